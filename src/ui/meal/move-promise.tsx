'use client'
import { useState } from 'react'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { itemTitle } from '@/words/meal-words'
import { clock, type Units } from '@/words/units'
import { tryMeal } from './use-meal-plan'

const shifted = (meal: MealDocument, minutes: number): MealDocument => {
  const iso = (at: string) => new Date(Date.parse(at) + minutes * 60_000).toISOString()
  const pin = <Item extends { pin: MealDocument['sides'][number]['pin'] }>(item: Item): Item =>
    item.pin.start === null ? item : { ...item, pin: { ...item.pin, start: iso(item.pin.start) } }
  return {
    ...meal,
    servings: meal.servings.map((serving) => ({ ...serving, at: iso(serving.at) })),
    roasts: meal.roasts.map(pin),
    sides: meal.sides.map(pin),
    placed: null,
  }
}

/** Move the promise and see what changes before taking it. */
export function MovePromise({
  document,
  plan,
  units,
  change,
}: {
  readonly document: MealDocument
  readonly plan: MealPlan
  readonly units: Units
  readonly change: (apply: (last: MealDocument) => MealDocument) => void
}) {
  const [thought, setThought] = useState<{ minutes: number; plan: MealPlan | undefined; busy: boolean } | undefined>()
  const think = async (minutes: number) => {
    setThought({ minutes, plan: undefined, busy: true })
    setThought({ minutes, plan: await tryMeal(shifted(document, minutes)), busy: false })
  }
  const rows = (thought?.plan?.items ?? []).flatMap((item) => {
    const now = plan.items.find(({ id }) => id === item.id)
    return now && now.start_s !== item.start_s ? [{ id: item.id, from: now.start_s, to: item.start_s }] : []
  })
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4" data-testid="move-promise">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-2 font-display text-xl font-semibold">If the promise moves</h2>
        {[-30, -15, 15, 30].map((minutes) => (
          <button
            key={minutes}
            type="button"
            className="min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
            onClick={() => void think(minutes)}
          >
            {minutes > 0 ? '+' : '−'}
            {Math.abs(minutes)} min
          </button>
        ))}
      </div>
      {thought?.busy && <p className="mt-3 text-soft">Working it out…</p>}
      {thought && !thought.busy && (
        <div className="mt-3">
          {thought.plan ? (
            <>
              <ul className="space-y-0.5 text-base">
                {rows.map(({ id, from, to }) => (
                  <li key={id}>
                    {itemTitle(document, id)} goes in at <strong>{clock(to, units)}</strong> instead of{' '}
                    {clock(from, units)}
                  </li>
                ))}
                {thought.plan.dropped.map(({ id }) => (
                  <li key={id} className="font-semibold text-wattle">
                    {itemTitle(document, id)} finds no place then
                  </li>
                ))}
              </ul>
              <div className="mt-3 flex gap-3">
                <button
                  type="button"
                  className="min-h-11 rounded-full bg-action px-5 font-semibold text-white"
                  onClick={() => {
                    change((last) => shifted(last, thought.minutes))
                    setThought(undefined)
                  }}
                >
                  Take it
                </button>
                <button type="button" className="min-h-11 px-3 underline" onClick={() => setThought(undefined)}>
                  Leave it
                </button>
              </div>
            </>
          ) : (
            <p>It cannot be worked out as things are: see what is marked above.</p>
          )}
        </div>
      )}
    </section>
  )
}
