'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import type { LivingCook } from '@/domain/cook/living-plan'
import { stepTitle } from '@/words/steps'
import { clock, shortDay, type Units } from '@/words/units'
import { useEvents } from '../shell/use-events'

/** A tap on a board is on the other pages so soon, ms: several at once make one look. */
const SOON_MS = 400

/** Looks again when something was entered on one of these boards. */
export function useCookNews(kitchen: string, cooks: readonly string[]): void {
  const router = useRouter()
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  useEvents(kitchen, {
    told: ({ what, id }) => {
      if (what !== 'entries' || !cooks.includes(id)) return
      clearTimeout(timer.current)
      timer.current = setTimeout(() => router.refresh(), SOON_MS)
    },
  })
}

/** A page that goes by boards: it looks again when one of them says something new. */
export function CookNews({ kitchen, cooks }: { readonly kitchen: string; readonly cooks: readonly string[] }) {
  useCookNews(kitchen, cooks)
  return null
}

/** Says on a plan's page that it is being cooked, what is next, and leads to the board. */
export function CookingNow({
  kitchen,
  living,
  units,
}: {
  readonly kitchen: string
  readonly living: LivingCook
  readonly units: Units
}) {
  const { cookId, document, next } = living
  useCookNews(kitchen, [cookId])
  return (
    <section
      className="flex flex-wrap items-center gap-x-6 gap-y-2 rounded-2xl bg-bottle px-5 py-3 text-lg text-white"
      data-testid="cooking-now"
    >
      <p className="min-w-0 flex-1">
        <strong>Being cooked.</strong>{' '}
        {next ? (
          <>
            Next {clock(next.at_s, units)}: {stepTitle(next.step, document, units)}.
          </>
        ) : (
          'All steps are done.'
        )}{' '}
        <span className="text-white/80">The run below goes by the board; the ribbon stays as it was planned.</span>
      </p>
      <Link
        href={`/k/${kitchen}/cooks/${cookId}`}
        prefetch={false}
        className="inline-flex min-h-12 items-center rounded-full bg-white px-5 font-semibold text-[#10362b]"
      >
        To the board
      </Link>
    </section>
  )
}

/** Every time a plan was cooked, newest first: found again from its plan. */
export function CooksOfPlan({
  kitchen,
  cooks,
  units,
}: {
  readonly kitchen: string
  readonly cooks: readonly {
    readonly id: string
    readonly state: 'cooking' | 'done'
    readonly at_s: number
    readonly rehearsal: boolean
  }[]
  readonly units: Units
}) {
  if (cooks.length === 0) return null
  return (
    <p className="flex flex-wrap items-center gap-x-4 text-base" data-testid="cooks-of-plan">
      <span className="text-soft">Cooked</span>
      {cooks.slice(0, 8).map(({ id, state, at_s, rehearsal }) => (
        <Link
          key={id}
          href={`/k/${kitchen}/cooks/${id}`}
          prefetch={false}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {shortDay(at_s, units)} {clock(at_s, units)}
          {rehearsal ? ', rehearsal' : ''}
          {state === 'cooking' ? ', on the board' : ''}
        </Link>
      ))}
    </p>
  )
}
