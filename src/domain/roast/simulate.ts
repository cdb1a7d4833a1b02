import { sliceOf } from '@/core/doneness/slice'
import { cookEnsemble, type Spread, usualDoubt } from '@/core/estimate/ensemble'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf, usualThickness } from '@/core/heat/piece'
import { yieldOf } from '@/core/portions/portions'
import { coolingOf, warmthAfter } from '@/core/program/afterwards'
import { cook } from '@/core/program/cook'
import { findPull, type PullAnswer } from '@/core/program/pull'
import { donenessScale } from '@/core/reference/doneness'
import { cautionsOf, isBird } from '@/core/safety/cautions'
import { poultryDecades } from '@/core/safety/poultry'
import { temperedStart } from '@/core/schedule/plan'
import { celsius, minutes } from '@/core/units'
import { type Outcome, succeed } from '../problem/problem'
import { pieceOf, resolveRoast } from './resolve'
import type { SimulateAnswer, SimulateDocument } from './roast-document'

const rounded = (value: number, digits = 2) => Number(value.toFixed(digits))
const inMinutes = ({ p10, p50, p90 }: Spread) => {
  const each = (value: number) => (Number.isFinite(value) ? rounded(value / 60, 1) : null)
  return { p10: each(p10), p50: each(p50), p90: each(p90) }
}

/** Simulates one roast from a document: the whole of the headless `simulate`. */
export function simulate(document: SimulateDocument): Outcome<SimulateAnswer> {
  const resolved = resolveRoast(document)
  if (!resolved.ok) return resolved
  const { cut, oven, program, target, thickness_m } = resolved.value
  const parameters = HEAT_PARAMETERS
  const { roast } = document
  const piece = pieceOf(cut, roast)
  const startCore_c = roast.icy_core_c === null ? undefined : celsius(roast.icy_core_c)
  const bodies = bodiesOf(piece, parameters)
  const start_c = temperedStart(
    {
      piece,
      start_c: celsius(roast.start_c),
      temper_s: minutes(roast.temper_min),
      oven,
    },
    parameters,
  )
  const setup = { bodies, program, oven, start_c, startCore_c, parameters }
  const scale = donenessScale(cut.doneness)
  const answer: PullAnswer =
    target.kind === 'serve' ? findPull(setup, target.serve_c, undefined, scale.pullFloor_c) : pulledAt(target.pull_c)
  const { run } = answer
  const ensemble = cookEnsemble({
    piece,
    program,
    oven,
    start_c,
    startCore_c,
    pull_c: answer.pull_c,
    parameters,
    doubt: usualDoubt(thickness_m !== undefined),
    members: document.members,
    seed: document.seed,
  })
  const deciding = run.peak_c.indexOf(Math.min(...run.peak_c))
  const thickness = thickness_m ?? usualThickness(cut, roast.mass_kg, parameters)
  const kernel = run.kernels[0]
  if (!kernel) throw new RangeError('a cook has at least one body')
  const slice = sliceOf(kernel, scale, thickness)
  const yields = yieldOf(cut, roast.mass_kg, run)
  const { cautions, lethality } = cautionsOf(cut, run, roast.temper_min * 60, {
    vulnerable: false,
    coldest_c: roast.icy_core_c ?? roast.start_c,
    mass_kg: roast.mass_kg,
    oven: oven.kind,
  })
  const cooling = coolingOf(bodies[0] as (typeof bodies)[number], parameters)
  const whole = (value: number) => (Number.isFinite(value) ? rounded(value / 60, 0) : null)
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
  return succeed({
    version: 1,
    outcome: answer.outcome,
    pull_min: inMinutes(ensemble.pull_s),
    pull_c: rounded(answer.pull_c[deciding] as number),
    peak_c: rounded(run.peak_c[deciding] as number),
    peak_after_min: rounded(((run.peak_s[deciding] as number) - run.pull_s) / 60, 1),
    carve_min: rounded(run.carve_s / 60, 1),
    thickness_mm: rounded(thickness * 1000, 1),
    points: [...run.points],
    curve: rows,
    doneness: slice.shares.map(({ degree, share }) => ({ degree, share: rounded(share, 4) })),
    grey_rim_mm: rounded(slice.rim_m * 1000, 1),
    lost_share: rounded(yields.lost, 4),
    cooked_kg: rounded(yields.cooked_kg, 3),
    carved_kg: rounded(yields.carved_kg, 3),
    crust_index_min: rounded(kernel.browning_s / 60),
    lethality_share: rounded(Math.min(1e6, lethality.share), 4),
    poultry_decades: isBird(cut)
      ? rounded(Math.min(99, poultryDecades(curve.time_s, curve.core_c[deciding] as Float64Array, curve.length)))
      : null,
    warm_min: rounded(warmthAfter(run, parameters) / 60, 0),
    cooling: {
      whole_to_21_min: whole(cooling.whole.to21_s),
      whole_to_5_min: whole(cooling.whole.to5_s),
      whole_in_time: cooling.whole.inTime,
      slab_mm: cooling.slab_m === undefined ? null : rounded(cooling.slab_m * 1000, 0),
    },
    points_detail: bodies.map((body, i) => ({
      point: body.point,
      pull_c: rounded(run.pullCore_c[i] as number),
      peak_c: rounded(run.peak_c[i] as number),
      thickness_mm: rounded(body.thickness_m * 1000, 1),
    })),
    gap_k: bodies.length > 1 ? rounded(Math.max(...run.pullCore_c) - Math.min(...run.pullCore_c)) : null,
    danger_zone_min: rounded(lethality.dangerZone_s / 60, 1),
    matters: ensemble.matters.map(({ input, share }) => ({ input, share: rounded(share, 3) })),
    cautions: [...cautions],
  })

  function pulledAt(pull_c: number): PullAnswer {
    const pulls = bodies.map(() => pull_c)
    const run = cook({ ...setup, pull_c: pulls })
    return { outcome: run.outcome, pull_c: pulls, run, residual_k: 0 }
  }
}
