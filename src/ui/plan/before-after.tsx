'use client'
import { buyFor } from '@/core/portions/buy'
import { gravyFor } from '@/core/portions/gravy'
import { leftoversOf } from '@/core/portions/leftovers'
import { platesOf } from '@/core/portions/portions'
import type { Plan } from '@/core/schedule/plan'
import { preparationOf } from '@/domain/plan/make-plan'
import { cutOf } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { coolingWords, gravyWords, leftoverWords, SALTY_GRAVY } from '@/words/after-words'
import { mass, type Units } from '@/words/units'
import { Stepper } from '../controls/stepper'

/** A weight that differs from what so many want by more than this is said, as a share. */
const DIFFERS = 0.08

/** Before and after one roast: what to buy for how many, what it costs, the gravy, what is left and its day after. */
export function BeforeAfter({
  document,
  plan,
  units,
  change,
}: {
  readonly document: PlanDocument
  readonly plan: Pick<Plan, 'yield' | 'cooling' | 'promise'>
  readonly units: Units
  readonly change: (apply: (last: PlanDocument) => PlanDocument) => void
}) {
  const cut = cutOf(document.roast)
  if (!cut) return null
  const { mass_kg } = document.roast
  const feeds = platesOf(plan.yield)
  const guests = document.guests ?? feeds
  const wanted = buyFor(cut, guests, document.price_per_kg ?? undefined)
  const differs = Math.abs(wanted.mass_kg * wanted.pieces - mass_kg) > DIFFERS * mass_kg
  const price = document.price_per_kg === null ? undefined : document.price_per_kg * mass_kg
  const gravy = gravyFor(guests, preparationOf(document) === 'wet_brine')
  const left = leftoversOf(cut, mass_kg, plan.yield, guests)
  const heading = 'font-semibold'
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5" data-testid="before-after">
      <h2 className="font-display text-2xl font-semibold">Before and after</h2>
      <div className="mt-2 grid gap-x-8 gap-y-4 text-lg leading-snug md:grid-cols-3">
        <div className="space-y-2">
          <h3 className={heading}>The shop</h3>
          <p className="flex flex-wrap items-center gap-x-3">
            <span>Eat of it:</span>
            <Stepper
              label="Guests"
              value={guests}
              least={1}
              onChange={(count) => change((last) => ({ ...last, guests: count }))}
            />
          </p>
          <p>
            {mass(mass_kg, units)} feeds about {feeds}.{' '}
            {differs &&
              `${guests} want ${wanted.pieces > 1 ? `${wanted.pieces} × ` : ''}${mass(wanted.mass_kg, units)}.`}
          </p>
          {differs && wanted.pieces === 1 && (
            <button
              type="button"
              className="min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
              onClick={() =>
                change((last) => ({
                  ...last,
                  roast: { ...last.roast, mass_kg: wanted.mass_kg, thickness_mm: null },
                }))
              }
            >
              Plan with {mass(wanted.mass_kg, units)}
            </button>
          )}
          <label className="flex flex-wrap items-baseline gap-x-2">
            Price a kilo
            <input
              type="number"
              className="said text-center"
              style={{ width: '6ch' }}
              min={0}
              step={0.5}
              value={document.price_per_kg ?? ''}
              placeholder="?"
              onChange={(event) => {
                const value = Number(event.target.value)
                if (Number.isFinite(value) && value >= 0 && value <= 10_000)
                  change((last) => ({ ...last, price_per_kg: event.target.value === '' ? null : value }))
              }}
            />
          </label>
          {price !== undefined && (
            <p data-testid="price">
              {price.toFixed(2)} in all, <strong>{(price / guests).toFixed(2)} a head</strong>.
            </p>
          )}
        </div>
        <div className="space-y-2">
          <h3 className={heading}>The gravy</h3>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-[var(--action)]"
              checked={document.gravy}
              onChange={(event) => change((last) => ({ ...last, gravy: event.target.checked }))}
            />
            Gravy while it rests, on the run
          </label>
          <p>{gravyWords(gravy, guests)}</p>
          {gravy.salty && <p className="text-base text-soft">{SALTY_GRAVY}</p>}
        </div>
        <div className="space-y-2">
          <h3 className={heading}>What is left</h3>
          {leftoverWords(left, units).map((line) => (
            <p key={line}>{line}</p>
          ))}
          <p className="text-base text-soft">{coolingWords(plan.cooling, plan.promise, units)}</p>
        </div>
      </div>
    </section>
  )
}
