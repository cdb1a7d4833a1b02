'use client'
import { scaleOf } from '@/core/reference/doneness'
import { unlearned } from '@/domain/learn/learned'
import { preparationOf } from '@/domain/plan/make-plan'
import { cutAsCooked } from '@/domain/roast/resolve'
import type { PlanDocument, ROAST_SURFACES } from '@/domain/roast/roast-document'
import type { Units } from '@/words/units'
import { donenessName } from '@/words/words'
import { Choice } from '../controls/choice'
import { DaysBefore } from '../controls/days-before'
import { PieceFields } from '../controls/piece-fields'
import { SaidRise } from '../controls/said-number'
import { Stepper } from '../controls/stepper'

type Change = (apply: (last: PlanDocument) => PlanDocument) => void

export const SURFACE_NAMES: Readonly<Record<(typeof ROAST_SURFACES)[number], string>> = {
  dry_salted: 'salted ahead',
  plain: 'not salted ahead',
  buttered: 'buttered or oiled',
}
/** Heights people cook at, m; a kitchen's own is added. */
const HEIGHTS_M = [0, 500, 1000, 1500, 2000, 2500, 3000, 3500] as const
/** What the sentence leaves out: how the piece was prepared, and who is at the table. */
export function Particulars({
  document,
  heads,
  units,
  change,
}: {
  readonly document: PlanDocument
  readonly heads: number
  readonly units: Units
  readonly change: Change
}) {
  const { roast } = document
  const cut = cutAsCooked(document)
  if (!cut) return null
  const scale = scaleOf(cut)
  const roastWith = (part: Partial<PlanDocument['roast']>) =>
    change((last) => ({ ...last, roast: { ...last.roast, ...part } }))
  const wished = Object.values(document.wishes).reduce((sum, count) => sum + count, 0)
  return (
    <details className="rounded-2xl border border-line bg-sheet px-4 py-2 sm:px-5" data-testid="particulars">
      <summary className="min-h-11 cursor-pointer py-2 font-display text-xl font-semibold">
        The piece and the table
      </summary>
      <div className="grid gap-x-8 gap-y-4 pb-4 pt-1 text-lg md:grid-cols-2">
        <div className="space-y-3">
          <DaysBefore
            preparation={preparationOf(document)}
            frozen={document.frozen}
            thaws={document.thaws}
            notes={document.notes}
            put={(part) => change((last) => ({ ...last, ...part }))}
          />
          <label className="flex min-h-11 flex-wrap items-baseline gap-x-3">
            <span className="w-24 text-base text-soft">From</span>
            <input
              className="said min-w-0 flex-1"
              placeholder="which butcher"
              maxLength={80}
              value={roast.supplier}
              onChange={(event) => roastWith({ supplier: event.target.value })}
            />
          </label>
          <PieceFields roast={roast} put={roastWith} />
          <Choice
            label="Kitchen"
            value={String(document.altitude_m)}
            onChange={(value) => change((last) => ({ ...last, altitude_m: Number(value) }))}
            options={[...new Set([...HEIGHTS_M, document.altitude_m])]
              .sort((a, b) => a - b)
              .map((height_m) => [String(height_m), height_m === 0 ? 'near the sea' : `${height_m} m up`])}
          />
          <div className="flex min-h-11 flex-wrap items-baseline gap-x-3">
            <span className="w-24 text-base text-soft">Oven</span>
            <span>
              <SaidRise
                label="Oven: hotter than its dial by"
                value_k={document.oven.offset_k}
                units={units}
                least={-60}
                most={60}
                onChange={(offset_k) =>
                  change((last) => {
                    const own = unlearned(last, ['oven'])
                    return { ...own, oven: { ...own.oven, offset_k } }
                  })
                }
              />{' '}
              hotter than its dial says
            </span>
          </div>
        </div>
        <div className="space-y-3">
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-[var(--action)]"
              checked={document.vulnerable}
              onChange={(event) => change((last) => ({ ...last, vulnerable: event.target.checked }))}
            />
            Someone at the table is very young, old, pregnant or ill
          </label>
          <fieldset>
            <legend className="text-base text-soft">
              How they like it ({wished} asked, this piece fills about {heads} plates)
            </legend>
            <ul className="mt-1 space-y-1">
              {scale.degrees.map(({ id }) => (
                <li key={id} className="flex items-center gap-2">
                  <span className="w-28">{donenessName(id)}</span>
                  <Stepper
                    label={`Guests who want ${donenessName(id)}`}
                    value={document.wishes[id] ?? 0}
                    onChange={(count) => change((last) => ({ ...last, wishes: { ...last.wishes, [id]: count } }))}
                  />
                </li>
              ))}
            </ul>
          </fieldset>
        </div>
      </div>
    </details>
  )
}
