'use client'
import Link from 'next/link'
import type { LearnedPart } from '@/domain/roast/roast-document'
import { usedSentence } from '@/words/learned-words'
import type { Units } from '@/words/units'

/** What earlier cooks taught a plan or a meal, and what that did to its times; each can be done without. */
export function LearnedCard({
  learned,
  kitchen,
  units,
  without,
}: {
  readonly learned: readonly LearnedPart[]
  readonly kitchen: string
  readonly units: Units
  readonly without: (part: LearnedPart) => void
}) {
  if (learned.length === 0) return null
  return (
    <section className="rounded-2xl border border-line bg-sheet px-4 py-3 sm:px-5" data-testid="learned">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="font-display text-xl font-semibold">From earlier cooks</h2>
        <Link
          href={`/k/${kitchen}/learned`}
          prefetch={false}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          What was learned
        </Link>
      </div>
      <ul className="divide-y divide-line text-lg">
        {learned.map((part) => (
          <li key={`${part.of}${part.name}`} className="flex flex-wrap items-baseline justify-between gap-x-6 py-1.5">
            <span className="min-w-0 flex-1 basis-80">{usedSentence(part, units)}</span>
            <button
              type="button"
              className="min-h-11 text-base underline underline-offset-4"
              onClick={() => without(part)}
            >
              Do without
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
