import type { Spread } from '@/core/estimate/ensemble'
import { answerRoast, type RoastAnswer, shownOf } from '@/core/roast/answer'
import { coolingOf, warmthAfter } from '@/core/simulate/afterwards'
import { type Outcome, succeed } from '../problem/problem'
import { questionOf } from './question'
import type { SimulateAnswer, SimulateDocument } from './roast-document'

const rounded = (value: number, digits = 2) => Number(value.toFixed(digits))
const orNull = (value: number, digits = 2) => (Number.isFinite(value) ? rounded(value, digits) : null)
const inMinutes = ({ p10, p50, p90 }: Spread) => ({
  p10: orNull(p10 / 60, 1),
  p50: orNull(p50 / 60, 1),
  p90: orNull(p90 / 60, 1),
})

/** One row a minute, the last always among them. */
function curveOf({ run }: RoastAnswer): SimulateAnswer['curve'] {
  const { curve } = run
  const rows: SimulateAnswer['curve'] = []
  let nextMinute = 0
  for (let i = 0; i < curve.length; i++) {
    const minute = (curve.time_s[i] as number) / 60
    if (minute < nextMinute && i !== curve.length - 1) continue
    nextMinute = Math.floor(minute) + 1
    rows.push({
      minute: rounded(minute, 1),
      oven_c: rounded(curve.air_c[i] as number, 1),
      surface_c: rounded(curve.surface_c[i] as number, 1),
      core_c: rounded(curve.core_c[0]?.[i] as number),
      second_c: curve.core_c[1] ? rounded(curve.core_c[1][i] as number) : null,
      third_c: curve.core_c[2] ? rounded(curve.core_c[2][i] as number) : null,
    })
  }
  return rows
}

/**
 * Simulates one roast from a document: the whole of the headless `simulate`.
 * @example simulate(simulateDocument.parse({ roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 } })).ok // true
 */
export function simulate(document: SimulateDocument): Outcome<SimulateAnswer> {
  const asked = questionOf(document, { rest: 'as_said', members: document.members, seed: document.seed })
  if (!asked.ok) return asked
  const answer = answerRoast(asked.value.question)
  const { run, prepared, lethality, slice, yield: yields } = answer
  const can = answer.outcome !== 'cannot'
  const shown = can ? shownOf(answer) : undefined
  const cooling = coolingOf(prepared.bodies[0] as (typeof prepared.bodies)[number], prepared.parameters)
  const whole = (value: number) => orNull(value / 60, 0)
  return succeed({
    version: 1,
    outcome: answer.outcome,
    because: [...answer.hindrances],
    pull_min: inMinutes(answer.ensemble.pull_s),
    pull_c: can ? rounded(answer.pull_c) : null,
    peak_c: rounded(answer.peak_c),
    peak_after_min: can ? rounded(answer.peakAfter_s / 60, 1) : null,
    pull_reads_c: shown ? orNull(shown.pull_c) : null,
    peak_reads_c: shown ? orNull(shown.peak_c) : null,
    carve_min: can ? rounded(run.carve_s / 60, 1) : null,
    thickness_mm: rounded(prepared.thickness_m * 1000, 1),
    points: [...run.points],
    curve: curveOf(answer),
    doneness: slice.shares.map(({ degree, share }) => ({ degree, share: rounded(share, 4) })),
    grey_rim_mm: rounded(slice.rim_m * 1000, 1),
    lost_share: rounded(yields.lost, 4),
    juices_kg: rounded(yields.juices_kg, 3),
    board_juices_kg: rounded(yields.boardJuices_kg, 3),
    cooked_kg: rounded(yields.cooked_kg, 3),
    carved_kg: rounded(yields.carved_kg, 3),
    crust_index_min: rounded(answer.browning_s / 60),
    lethality_share: rounded(Math.min(1e6, lethality.share), 4),
    poultry_decades: answer.poultryDecades === undefined ? null : rounded(Math.min(99, answer.poultryDecades)),
    warm_min: rounded(warmthAfter(run, prepared.parameters) / 60, 0),
    cooling: {
      whole_to_21_min: whole(cooling.whole.to21_s),
      whole_to_5_min: whole(cooling.whole.to5_s),
      whole_in_time: cooling.whole.inTime,
      slab_mm: cooling.slab_m === undefined ? null : rounded(cooling.slab_m * 1000, 0),
    },
    points_detail: answer.points.map(({ point, pull_c, peak_c, thickness_m }) => ({
      point,
      pull_c: rounded(pull_c),
      peak_c: rounded(peak_c),
      thickness_mm: rounded(thickness_m * 1000, 1),
    })),
    gap_k: answer.points.length > 1 ? rounded(answer.gap_k) : null,
    danger_zone_min: rounded(lethality.dangerZone_s / 60, 1),
    matters: answer.ensemble.matters.map(({ input, share }) => ({ input, share: rounded(share, 3) })),
    cautions: [...answer.cautions],
  })
}
