'use client'
import type { ClockRight, Trouble } from '@/core/schedule/plan'
import { stagesOfDocument } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { troubleWords } from '@/words/cautions'
import { clock, duration, length, mass, shortDay, temperature, type Units } from '@/words/units'
import { schoolName } from '@/words/words'

/** What is wrong, and what to do about it: each way out is one tap. */
export function TroubleNote({
  trouble,
  units,
  change,
}: {
  readonly trouble: Trouble
  readonly units: Units
  readonly change: (apply: (last: PlanDocument) => PlanDocument) => void
}) {
  const button = 'min-h-11 rounded-full border-2 border-ink px-4 text-left font-semibold leading-tight'
  return (
    <section
      role="alert"
      className={`rounded-xl border-2 p-4 ${trouble.code === 'clock_misses_doneness' || trouble.code === 'thaw_passed' ? 'border-copper bg-copper-ground' : 'border-wattle bg-wattle-ground'}`}
      data-testid={`trouble-${trouble.code}`}
    >
      <p className="text-lg font-semibold">{troubleWords(trouble, units)}</p>
      <div className="mt-3 flex flex-wrap gap-3">
        {(trouble.code === 'start_passed' || trouble.code === 'promise_passed' || trouble.code === 'in_otherwise') && (
          <button
            type="button"
            className={button}
            onClick={() =>
              change((last) => ({ ...last, promise: new Date(trouble.earliestPromise * 1000).toISOString() }))
            }
          >
            Promise {clock(trouble.earliestPromise, units)} instead
          </button>
        )}
        {trouble.code === 'thaw_passed' && (
          <>
            <button type="button" className={button} onClick={() => change((last) => ({ ...last, thaws: 'out' }))}>
              It is out of the freezer
            </button>
            {trouble.water && (
              <button type="button" className={button} onClick={() => change((last) => ({ ...last, thaws: 'water' }))}>
                In cold water from {clock(trouble.water.at, units)}
              </button>
            )}
            <button
              type="button"
              className={button}
              onClick={() =>
                change((last) => ({ ...last, promise: new Date(trouble.earliestPromise * 1000).toISOString() }))
              }
            >
              Promise {shortDay(trouble.earliestPromise, units)} {clock(trouble.earliestPromise, units)} instead
            </button>
          </>
        )}
        {trouble.code === 'clock_misses_doneness' && (
          <>
            {trouble.right?.minutes !== undefined && (
              <button type="button" className={button} onClick={() => change(withFirstHeat(trouble.right))}>
                First heat {duration(trouble.right.minutes * 60)} instead
                {trouble.right.perKilo_min !== undefined && (
                  <span className="block text-sm font-normal">{trouble.right.perKilo_min.toFixed(1)} min a kilo</span>
                )}
              </button>
            )}
            {trouble.right?.start_c !== undefined && (
              <button
                type="button"
                className={button}
                onClick={() =>
                  change((last) => ({
                    ...last,
                    roast: { ...last.roast, start_c: Math.round(trouble.right?.start_c ?? 0), temper_min: 0 },
                  }))
                }
              >
                In at {temperature(trouble.right.start_c, units)} instead
              </button>
            )}
            {trouble.right?.mass_kg !== undefined && (
              <button
                type="button"
                className={button}
                onClick={() =>
                  change((last) => ({
                    ...last,
                    roast: {
                      ...last.roast,
                      mass_kg: Math.round((trouble.right?.mass_kg ?? 0) * 20) / 20,
                      thickness_mm: null,
                    },
                  }))
                }
              >
                A piece of {mass(trouble.right.mass_kg, units)} by the same rule
              </button>
            )}
            <button
              type="button"
              className={button}
              onClick={() => change((last) => ({ ...last, target: { serve_c: Math.round(trouble.peak_c) } }))}
            >
              Take it as it comes: {temperature(trouble.peak_c, units)}
            </button>
          </>
        )}
        {trouble.code === 'start_passed' && trouble.hotter && (
          <HotterButton hotter={trouble.hotter} units={units} className={button} change={change} />
        )}
        {trouble.code === 'start_passed' && !trouble.hotter && (
          <p className="self-center">
            No oven setting makes the old promise any more. A smaller or flatter piece would.
          </p>
        )}
      </div>
    </section>
  )
}

/** The same program with its first heat so long: stages of the house's own from then on. */
const withFirstHeat =
  (right: ClockRight | undefined) =>
  (last: PlanDocument): PlanDocument => {
    const stages = stagesOfDocument(last)
    const stage = right && stages[right.stage]
    if (!stage || right.minutes === undefined) return last
    const until = { kind: 'time' as const, minutes: right.minutes }
    const name = 'school' in last.program ? schoolName(last.program.school) : last.program.name
    return { ...last, program: { ...(name ? { name } : {}), stages: stages.with(right.stage, { ...stage, until }) } }
  }

/** The same program with every cooking oven at least so hot. */
const hotterProgram = (program: PlanDocument['program'], set_c: number): PlanDocument['program'] =>
  'school' in program
    ? { ...program, set_c }
    : {
        ...program,
        stages: program.stages.map((stage) =>
          stage.role === 'cook' && stage.environment.kind === 'oven' && stage.environment.set_c !== null
            ? { ...stage, environment: { kind: 'oven', set_c: Math.max(set_c, stage.environment.set_c) } }
            : stage,
        ),
      }

type HotterTrouble = NonNullable<Extract<Trouble, { code: 'start_passed' }>['hotter']>

function HotterButton({
  hotter,
  units,
  className,
  change,
}: {
  readonly hotter: HotterTrouble
  readonly units: Units
  readonly className: string
  readonly change: (apply: (last: PlanDocument) => PlanDocument) => void
}) {
  const cost_m = hotter.rim_m - hotter.usualRim_m
  return (
    <button
      type="button"
      className={className}
      onClick={() =>
        change((last) => ({
          ...last,
          program: hotterProgram(last.program, hotter.set_c),
          roast: { ...last.roast, temper_min: 0 },
        }))
      }
    >
      Oven up to {temperature(hotter.set_c, units)}, straight in
      {cost_m > 0.0005 ? (
        <span className="block text-sm font-normal">grey rim {length(cost_m, units)} thicker</span>
      ) : null}
    </button>
  )
}
