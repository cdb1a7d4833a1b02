'use client'
import { useState } from 'react'
import { inTwo } from '@/domain/meal/changes'
import type { MealPlan, PlacedItem } from '@/domain/meal/make-meal'
import type { MealDocument, MealRoast } from '@/domain/meal/meal-document'
import { cutOf } from '@/domain/roast/resolve'
import { clock, duration, length, mass, type Units } from '@/words/units'
import { tryMeal } from './use-meal-plan'

const heat = (item: PlacedItem) => item.stays.reduce((sum, { from_s, to_s }) => sum + to_s - from_s, 0)
const doubt = ({ window_s }: PlacedItem) => (window_s ? Math.round((window_s.p90 - window_s.p10) / 120) : 0)

/** One large piece or two small ones: both scheduled in this very kitchen, side by side. */
export function OneOrTwo({
  roast,
  document,
  plan,
  units,
  change,
}: {
  readonly roast: MealRoast
  readonly document: MealDocument
  readonly plan: MealPlan
  readonly units: Units
  readonly change: (apply: (last: MealDocument) => MealDocument) => void
}) {
  const [two, setTwo] = useState<MealPlan | 'busy' | 'none' | undefined>()
  const half_kg = Math.round((roast.roast.mass_kg / 2) * 20) / 20
  const cut = cutOf(roast.roast)
  if (!cut || half_kg < cut.mass_kg.least || document.roasts.length >= 40) return null
  const one = plan.items.find(({ id }) => id === roast.id)
  const halves =
    two && two !== 'busy' && two !== 'none'
      ? two.items.filter(({ id }) => id === `${roast.id}-a` || id === `${roast.id}-b`)
      : []
  const column = (name: string, items: readonly PlacedItem[]) => (
    <div className="rounded-xl border border-line p-3">
      <p className="font-semibold">{name}</p>
      <ul className="mt-1 space-y-0.5 text-base">
        {items.map((item) => (
          <li key={item.id}>
            in at {clock(item.start_s, units)}, {duration(heat(item))} on heat, ± {doubt(item)} min
            {item.slice && `, grey rim ${length(item.slice.rim_m, units)}`}
          </li>
        ))}
      </ul>
    </div>
  )
  return (
    <div data-testid="one-or-two">
      {two === undefined && (
        <button
          type="button"
          className="min-h-11 underline underline-offset-4"
          onClick={async () => {
            setTwo('busy')
            setTwo((await tryMeal(inTwo(document, roast.id, half_kg))) ?? 'none')
          }}
        >
          One of {mass(roast.roast.mass_kg, units)}, or two of {mass(half_kg, units)}?
        </button>
      )}
      {two === 'busy' && <p className="text-soft">Scheduling two…</p>}
      {two === 'none' && <p>Two cannot be worked out as things are.</p>}
      {two && two !== 'busy' && two !== 'none' && (
        <>
          <div className="grid gap-2 sm:grid-cols-2">
            {one && column('One', [one])}
            {column('Two', halves)}
          </div>
          <p className="mt-1 text-base text-soft">
            {halves.length < 2
              ? 'There is no place for both halves.'
              : 'Two are quicker and surer, can start apart and be done differently; they have twice the ends, and take two places.'}
          </p>
          <div className="mt-2 flex gap-3">
            <button
              type="button"
              className="min-h-11 rounded-full bg-action px-5 font-semibold text-white disabled:opacity-50"
              disabled={halves.length < 2}
              onClick={() => change((last) => inTwo(last, roast.id, half_kg))}
            >
              Take two
            </button>
            <button type="button" className="min-h-11 px-3 underline" onClick={() => setTwo(undefined)}>
              Stay with one
            </button>
          </div>
        </>
      )}
    </div>
  )
}
