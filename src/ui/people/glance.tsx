'use client'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import type { BoardItem } from '@/domain/cook/board'
import type { CookDocument } from '@/domain/cook/cook-document'
import type { Run } from '@/domain/cook/run'
import { stateWords } from '@/words/cook-words'
import { stepTitle } from '@/words/steps'
import { clock, temperature, type Units } from '@/words/units'

/** It is asked anew so often, ms. */
const AGAIN_MS = 20_000
/** So many of the next steps are shown. */
const NEXT = 6

/** A board for whoever only watches: what is next, how each roast stands, when it is carried in. Nothing to tap. */
export function Glance({
  kitchen,
  document,
  run,
  items,
  now_s,
  units,
}: {
  readonly kitchen: string
  readonly document: CookDocument
  readonly run: Run
  readonly items: readonly BoardItem[]
  readonly now_s: number
  readonly units: Units
}) {
  const router = useRouter()
  useEffect(() => {
    const timer = setInterval(() => router.refresh(), AGAIN_MS)
    return () => clearInterval(timer)
  }, [router])
  const open = run.steps.filter(({ state }) => state === 'open')
  const [first, ...later] = open
  return (
    <main className="mx-auto max-w-4xl space-y-5 px-4 py-6 sm:px-6" data-testid="glance">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="font-display text-3xl font-bold tracking-tight">{document.title}</h1>
        <p className="text-lg text-soft">
          {kitchen}, {clock(now_s, units)}
        </p>
      </div>
      <section className="rounded-2xl bg-bottle p-5 text-white">
        <p className="text-lg text-white/80">{first ? 'Next' : 'All is done'}</p>
        {first && (
          <p className="font-display text-4xl font-bold" data-testid="glance-next">
            {clock(first.at_s, units)} {stepTitle(first.step, document, units)}
          </p>
        )}
      </section>
      <ul className="grid gap-3 sm:grid-cols-2">
        {items.map(({ item, state, off_s, latest, promise_s, pull_c, oven_name }) => (
          <li key={item.id} className="rounded-2xl border border-line bg-sheet p-4">
            <p className="text-xl font-semibold">{item.title}</p>
            <p className="text-lg text-soft">
              {stateWords({ state, off_s })}
              {state === 'in' && `, ${oven_name}`}
            </p>
            <p className="mt-1 text-3xl font-bold">
              {latest ? temperature(latest.value_c, units) : '–'}
              {pull_c !== undefined && state === 'in' && (
                <span className="text-lg font-normal text-soft"> out at {temperature(pull_c, units)}</span>
              )}
            </p>
            <p className="text-lg">On the table {clock(promise_s, units)}</p>
          </li>
        ))}
      </ul>
      {later.length > 0 && (
        <ol className="divide-y divide-line text-lg">
          {later.slice(0, NEXT).map((each) => (
            <li key={each.step.id} className="flex gap-4 py-2">
              <span className="w-20 shrink-0 font-semibold">{clock(each.at_s, units)}</span>
              {stepTitle(each.step, document, units)}
            </li>
          ))}
        </ol>
      )}
    </main>
  )
}
