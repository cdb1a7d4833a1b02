'use client'
import { fellowsOf, holdOf, inBatches, LONGEST_HOLD_MIN, stagesOfRoast, withHold } from '@/domain/meal/batches'
import type { MealDocument, MealRoast } from '@/domain/meal/meal-document'
import { clock, duration, type Units } from '@/words/units'
import { SaidChoice } from '../controls/said-choice'

const APART_MIN = [10, 15, 20, 30, 45, 60] as const
const HOLDS_MIN = [0, 30, 60, 120, 180, LONGEST_HOLD_MIN] as const

/** Several of the same in batches, and a roast held warm till it is wanted: so an oven serves more than it holds. */
export function Batches({
  roast,
  document,
  units,
  change,
}: {
  readonly roast: MealRoast
  readonly document: MealDocument
  readonly units: Units
  readonly change: (apply: (last: MealDocument) => MealDocument) => void
}) {
  const fellows = fellowsOf(document, roast)
  const ids = fellows.map(({ id }) => id)
  const times = [
    ...new Set(
      fellows.flatMap(({ serving }) => {
        const at = document.servings.find(({ id }) => id === serving)?.at
        return at === undefined ? [] : [Date.parse(at) / 1000]
      }),
    ),
  ].sort((a, b) => a - b)
  const [first = 0, second] = times
  const apart_min = second === undefined ? 20 : Math.round((second - first) / 60)
  const hold_min = holdOf(stagesOfRoast(roast, document))
  const cabinet = document.kitchen.cabinet_places > 0
  if (fellows.length < 2 && !cabinet) return null
  return (
    <p className="text-lg leading-[2.1]" data-testid="batches">
      {fellows.length > 1 && (
        <>
          All {fellows.length}{' '}
          <SaidChoice
            label="Batches"
            value={String(times.length)}
            onChange={(count) => change((last) => inBatches(last, ids, Number(count), apart_min))}
            options={Array.from({ length: Math.min(12, fellows.length) }, (_, i) => [
              String(i + 1),
              i === 0 ? 'at once' : `in ${i + 1} batches`,
            ])}
          />
          {times.length > 1 && (
            <>
              {' '}
              <SaidChoice
                label="Apart"
                value={String(apart_min)}
                onChange={(minutes) => change((last) => inBatches(last, ids, times.length, Number(minutes)))}
                options={[...new Set([...APART_MIN, apart_min])]
                  .sort((a, b) => a - b)
                  .map((minutes) => [String(minutes), `${minutes} min`])}
              />{' '}
              apart: on the table {times.map((at_s) => clock(at_s, units)).join(', ')}
            </>
          )}
          .{' '}
        </>
      )}
      {cabinet && (
        <>
          After its rest{' '}
          <SaidChoice
            label="Held warm"
            value={String(hold_min)}
            onChange={(minutes) =>
              change((last) => ({
                ...last,
                placed: null,
                roasts: last.roasts.map((each) =>
                  each.id === roast.id ? withHold(each, last, Number(minutes)) : each,
                ),
              }))
            }
            options={[...new Set([...HOLDS_MIN, hold_min])]
              .sort((a, b) => a - b)
              .map((minutes) => [
                String(minutes),
                minutes === 0 ? 'it is not held' : `held ${duration(minutes * 60)} or more in the cabinet`,
              ])}
          />
          .
        </>
      )}
    </p>
  )
}
