'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { P10_DEVIATIONS } from '@/core/estimate/random'
import type { LearnedThing } from '@/domain/learn/learned'
import { learnedInterval, learnedSentence } from '@/words/learned-words'
import { shortDay, type Units } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { useHydrated } from '../shell/use-hydrated'

const GROUPS: readonly (readonly [readonly LearnedThing['of'][], string])[] = [
  [['oven', 'preheat', 'door', 'swing', 'decay'], 'Ovens'],
  [['cut'], 'Pieces'],
  [['supplier'], 'Butchers'],
  [['probe'], 'Probes'],
]

/** What cooks taught: each thing with how sure it is and how many cooks it rests on, and whether plans go by it. */
export function LearnedView({
  slug,
  things,
  units,
}: {
  readonly slug: string
  readonly things: readonly (LearnedThing & { readonly on: boolean })[]
  readonly units: Units
}) {
  const router = useRouter()
  const ready = useHydrated()
  const [failed, setFailed] = useState<string | undefined>()
  const turn = async (key: string, on: boolean) => {
    const kept = await send(`/api/k/${slug}/learning`, 'PUT', { key, on })
    if (kept.ok) router.refresh()
    setFailed(kept.ok ? undefined : saidOf(kept, units))
  }
  return (
    <>
      <h1 className="font-display text-4xl font-bold tracking-tight">What was learned</h1>
      <p className="mt-2 max-w-3xl text-lg text-soft">
        From the readings of this kitchen’s own cooks, in the{' '}
        <Link href={`/k/${slug}/logbook`} prefetch={false} className="underline underline-offset-4">
          logbook
        </Link>
        . A new plan goes by it where nothing else was said, and says so. The bar is where the true value lies eight
        times in ten; few cooks leave it wide.
      </p>
      {failed && (
        <p role="alert" className="mt-3 text-lg text-wattle">
          {failed}
        </p>
      )}
      {things.length === 0 && (
        <p className="mt-8 text-xl" data-testid="nothing-learned">
          Nothing yet. A cook with a probe in it, taken from the oven to the table on its board, is the first lesson.
        </p>
      )}
      {GROUPS.map(([of, title]) => {
        const own = things.filter((thing) => of.includes(thing.of))
        return (
          own.length > 0 && (
            <section key={title} className="mt-8">
              <h2 className="font-display text-2xl font-semibold">{title}</h2>
              <ul className="mt-2 divide-y divide-line">
                {own.map((thing) => (
                  <li
                    key={thing.key}
                    className="grid items-center gap-x-6 gap-y-2 py-3 md:grid-cols-[minmax(0,1fr)_14rem_10rem]"
                    data-testid={`learned-${thing.key}`}
                  >
                    <div>
                      <p className={`text-xl ${thing.on ? '' : 'text-soft line-through decoration-1'}`}>
                        {learnedSentence(thing, units)}
                      </p>
                      <p className="text-base text-soft">
                        {learnedInterval(thing, units)}, from {thing.cooks}{' '}
                        {thing.of === 'probe'
                          ? thing.cooks === 1
                            ? 'check'
                            : 'checks'
                          : thing.cooks === 1
                            ? 'cook'
                            : 'cooks'}
                        {thing.changed_s !== undefined && (
                          <span className="text-copper">
                            {' '}
                            since {shortDay(thing.changed_s, units)}, when it became another
                          </span>
                        )}
                      </p>
                    </div>
                    <Bar thing={thing} />
                    <button
                      type="button"
                      aria-pressed={thing.on}
                      disabled={!ready}
                      aria-label={`Plans go by it: ${learnedSentence(thing, units)}`}
                      className={`min-h-12 rounded-full border-2 px-4 text-lg ${thing.on ? 'border-moss bg-moss-ground font-semibold' : 'border-line'}`}
                      onClick={() => void turn(thing.key, !thing.on)}
                    >
                      {thing.on ? 'plans use it' : 'left out'}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )
        )
      })}
    </>
  )
}

/** The whole of the bar, in each thing's own unit. */
const WIDEST: Readonly<Record<LearnedThing['of'], number>> = {
  oven: 20,
  cut: 0.2,
  supplier: 0.2,
  preheat: 1,
  door: 1,
  decay: 1,
  swing: 1,
  probe: 3,
}

/** Nothing in the middle; the interval and its mean. */
function Bar({ thing: { of, mean, spread } }: { readonly thing: LearnedThing }) {
  const widest = WIDEST[of]
  const x = (value: number) => 100 + 96 * Math.max(-1, Math.min(1, value / widest))
  return (
    <svg viewBox="0 0 200 24" className="w-full max-w-56" aria-hidden>
      <line x1="4" x2="196" y1="12" y2="12" className="stroke-line" strokeWidth="2" />
      <line x1="100" x2="100" y1="3" y2="21" className="stroke-soft" strokeWidth="2" />
      <line
        x1={x(mean - P10_DEVIATIONS * spread)}
        x2={x(mean + P10_DEVIATIONS * spread)}
        y1="12"
        y2="12"
        className="stroke-moss"
        strokeWidth="8"
        strokeLinecap="round"
        strokeOpacity="0.45"
      />
      <circle cx={x(mean)} cy="12" r="6" className="fill-moss" />
    </svg>
  )
}
