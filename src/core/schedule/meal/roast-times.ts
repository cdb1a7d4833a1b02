import { type Slice, sliceOf } from '../../doneness/slice'
import { cookEnsemble, usualDoubt } from '../../estimate/ensemble'
import type { OvenSpec } from '../../heat/oven'
import { HEAT_PARAMETERS } from '../../heat/parameters'
import { bodiesOf, type PieceSize, usualThickness } from '../../heat/piece'
import { type CookRun, pullStageIndex } from '../../program/cook'
import { findPull, type PullAnswer } from '../../program/pull'
import { type Program, type Stage, settingOf } from '../../program/stage'
import { donenessScale } from '../../reference/doneness'
import { type Caution, cautionsOf } from '../../safety/cautions'
import type { Celsius, Seconds } from '../../units'
import { temperedStart } from '../plan'
import type { Phase, SourceKind } from './problem'

/** A roast as the scheduler sees it in one oven: its stays on heat, found by simulation. */
export interface CookedRoast {
  /** Index of the oven it was simulated in. */
  readonly oven: number
  readonly stays: readonly Stay[]
  readonly pull_c: number
  readonly peak_c: number
  /** How much later the slowest of ten pulls, s. */
  readonly slack_s: number
  readonly window_s: { readonly p10: number; readonly p50: number; readonly p90: number }
  /** Straight to the knife after the heat: no rest to stretch. */
  readonly carvesAtOnce: boolean
  readonly slice: Slice
  readonly cautions: readonly Caution[]
  readonly course: readonly { readonly time_s: number; readonly air_c: number; readonly core_c: number }[]
  readonly outcome: PullAnswer['outcome']
}

/** A stretch on one kind of heat, with the rest that may follow it. */
export interface Stay {
  readonly kind: SourceKind
  readonly phases: readonly Phase[]
  readonly preheated: boolean
  readonly gap: { readonly least_s: number; readonly most_s: number }
}

export interface MealRoastRequest {
  readonly oven: number
  readonly piece: PieceSize
  readonly program: Program
  readonly spec: OvenSpec
  readonly start_c: Celsius
  readonly temper_s: Seconds
  readonly serve_c: number
  readonly vulnerable: boolean
}

/** Between a gentle roast and its hot finish it may wait this long, tented (common practice: 30–90 min), s. */
const FINISH_WAITS_S = 90 * 60
const MEMBERS = 24
const SEED = 20_261
const COURSE_POINTS = 60

const sourceOf = (stage: Stage): SourceKind | undefined => {
  switch (stage.environment.kind) {
    case 'oven':
    case 'fire':
    case 'bath':
    case 'cabinet':
      return stage.environment.kind
    case 'pan':
      return 'hob'
    default:
      return undefined
  }
}

/** Simulates a roast in one oven and cuts the cook into stays on heat and gaps between them. */
export function cookForMeal(request: MealRoastRequest): CookedRoast {
  const parameters = HEAT_PARAMETERS
  const { piece, program, spec } = request
  const { cut } = piece
  const scale = donenessScale(cut.doneness)
  const bodies = bodiesOf(piece, parameters)
  const start_c = temperedStart({ piece, start_c: request.start_c, temper_s: request.temper_s, oven: spec }, parameters)
  const answer = findPull(
    { bodies, program, oven: spec, start_c, parameters },
    request.serve_c,
    undefined,
    scale.pullFloor_c,
  )
  const { run } = answer
  const ensemble = cookEnsemble({
    piece,
    program,
    oven: spec,
    start_c,
    pull_c: answer.pull_c,
    parameters,
    doubt: usualDoubt(piece.thickness_m !== undefined),
    members: MEMBERS,
    seed: SEED,
  })
  const spread = Number.isFinite(ensemble.pull_s.p50)
    ? ensemble.pull_s
    : { p10: run.pull_s, p50: run.pull_s, p90: run.pull_s }
  const slack_s = answer.outcome === 'fixed_program' ? 0 : Math.max(0, Math.round((spread.p90 - spread.p50) / 60) * 60)
  const pull = pullStageIndex(program)
  const stays: { kind: SourceKind; phases: Phase[]; preheated: boolean; gap: { least_s: number; most_s: number } }[] =
    []
  run.stages.forEach(({ stage, start_s, end_s }, index) => {
    const kind = sourceOf(stage)
    const duration_s = Math.round((end_s - start_s) / 60) * 60
    const last = stays.at(-1)
    if (kind === undefined) {
      if (!last) return
      const finishing = run.stages.slice(index + 1).some((later) => sourceOf(later.stage) !== undefined)
      const slack = index > pull && index - 1 <= pull ? slack_s : 0
      const most = finishing ? FINISH_WAITS_S : Math.max(cut.rest_min.most * 60, duration_s) + slack
      last.gap = { least_s: last.gap.least_s + duration_s, most_s: last.gap.most_s + Math.max(duration_s, most) }
      return
    }
    if (duration_s <= 0) return
    const phase: Phase = { duration_s, set_c: settingOf(stage.environment) }
    const before = run.stages[index - 1]?.stage
    if (last && before && sourceOf(before) === kind) last.phases.push(phase)
    else stays.push({ kind, phases: [phase], preheated: stage.preheated, gap: { least_s: 0, most_s: 0 } })
  })
  const table = {
    vulnerable: request.vulnerable,
    coldest_c: request.start_c,
    mass_kg: piece.mass_kg,
    oven: spec.kind,
  }
  const deciding = run.peak_c.indexOf(Math.min(...run.peak_c))
  const thickness = piece.thickness_m ?? usualThickness(cut, piece.mass_kg, parameters)
  const { curve } = run
  const stride = Math.max(1, Math.floor(curve.length / COURSE_POINTS))
  const course = Array.from({ length: Math.ceil(curve.length / stride) }, (_, k) => {
    const i = Math.min(curve.length - 1, k * stride)
    return {
      time_s: curve.time_s[i] as number,
      air_c: curve.air_c[i] as number,
      core_c: (curve.core_c[deciding] as Float64Array)[i] as number,
    }
  })
  return {
    oven: request.oven,
    stays,
    pull_c: answer.pull_c[deciding] as number,
    peak_c: run.peak_c[deciding] as number,
    slack_s,
    window_s: spread,
    carvesAtOnce: (stays.at(-1)?.gap.most_s ?? 0) === 0,
    slice: sliceOf(run.kernels[0] as CookRun['kernels'][number], scale, thickness),
    cautions: cautionsOf(cut, run, request.temper_s, table).cautions,
    course,
    outcome: answer.outcome,
  }
}
