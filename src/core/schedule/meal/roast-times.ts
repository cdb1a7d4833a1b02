import type { Slice } from '../../doneness/slice'
import type { Spread } from '../../estimate/ensemble'
import type { Yield } from '../../portions/portions'
import { type Program, type Stage, settingOf } from '../../program/stage'
import { STANDARDS } from '../../reference/standards'
import { answerRoast, type RoastAnswer, type RoastQuestion } from '../../roast/answer'
import { restStageIndex } from '../../roast/rest'
import type { Caution } from '../../safety/cautions'
import type { StageRun } from '../../simulate/cook'
import type { Hindrance } from '../../simulate/hindrance'
import { waitsFor } from '../tasks'
import type { Phase, SourceKind } from './problem'

/** A roast as the scheduler sees it in one oven: its stays on heat, found by simulation. */
export interface CookedRoast {
  /** Index of the oven it was simulated in. */
  readonly oven: number
  readonly stays: readonly Stay[]
  /** As it was cooked, stage by stage, s from put-in. */
  readonly program: Program
  readonly stages: readonly StageRun[]
  readonly pull_c: number
  readonly peak_c: number
  /** Peak after the pull, s. */
  readonly peakAfter_s: number
  /** How much later the slowest of ten pulls, s. */
  readonly slack_s: number
  readonly window_s: Spread | undefined
  readonly slice: Slice
  readonly cautions: readonly Caution[]
  readonly yield: Yield
  readonly course: readonly { readonly time_s: number; readonly air_c: number; readonly core_c: number }[]
  readonly outcome: RoastAnswer['outcome']
  readonly hindrances: readonly Hindrance[]
}

/** A stretch on one kind of heat, with the rest that may follow it. */
export interface Stay {
  readonly kind: SourceKind
  readonly phases: readonly Phase[]
  readonly preheated: boolean
  readonly gap: { readonly least_s: number; readonly most_s: number }
}

export interface MealRoastRequest extends Omit<RoastQuestion, 'rest' | 'members' | 'seed'> {
  readonly oven_index: number
}

const MEMBERS = 48
const SEED = 20_261
const COURSE_POINTS = 60

/**
 * What a stage needs of the kitchen; undefined where nothing is heated.
 * @example sourceOf({ environment: { kind: 'counter' } }) // undefined
 */
export const sourceOf = (stage: Stage): SourceKind | undefined => {
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
const toMinute = (s: number) => Math.round(s / 60) * 60

/** Cooks a roast in one oven and cuts the cook into stays on heat and gaps between them. */
export function cookForMeal({ oven_index, ...request }: MealRoastRequest): CookedRoast {
  const answer = answerRoast({ ...request, rest: 'takes_doubt', members: MEMBERS, seed: SEED })
  const { run, program, deciding, hasSpread } = answer
  const { cut } = request.piece
  const slack_s = toMinute(answer.slack_s)
  const rest = restStageIndex(program)
  const stays: { kind: SourceKind; phases: Phase[]; preheated: boolean; gap: { least_s: number; most_s: number } }[] =
    []
  run.stages.forEach(({ stage, start_s, end_s }, index) => {
    const kind = sourceOf(stage)
    const duration_s = toMinute(end_s - start_s)
    const last = stays.at(-1)
    if (kind === undefined) {
      if (!last) return
      const slack = index === rest ? slack_s : 0
      const least = Math.max(0, duration_s - slack)
      const finishing = run.stages.slice(index + 1).some((later) => sourceOf(later.stage) !== undefined)
      const most = finishing ? STANDARDS.finishWaits.value : Math.max(cut.rest_min.most * 60, least) + slack
      last.gap = { least_s: last.gap.least_s + least, most_s: last.gap.most_s + Math.max(duration_s, most) }
      return
    }
    if (duration_s <= 0) return
    const phase: Phase = { duration_s, set_c: settingOf(stage.environment) }
    const before = run.stages[index - 1]?.stage
    if (last && before && sourceOf(before) === kind) last.phases.push(phase)
    else stays.push({ kind, phases: [phase], preheated: stage.preheated, gap: { least_s: 0, most_s: 0 } })
  })
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
    oven: oven_index,
    stays,
    program,
    stages: run.stages,
    pull_c: answer.pull_c,
    peak_c: answer.peak_c,
    peakAfter_s: answer.peakAfter_s,
    slack_s,
    window_s: hasSpread && waitsFor(answer.pull.outcome, program) ? answer.ensemble.pull_s : undefined,
    slice: answer.slice,
    cautions: answer.cautions,
    yield: answer.yield,
    course,
    outcome: answer.outcome,
    hindrances: answer.hindrances,
  }
}
