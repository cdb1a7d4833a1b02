import { type Slice, sliceOf } from '../doneness/slice'
import { cookEnsemble, type EnsembleAnswer, usualDoubt } from '../estimate/ensemble'
import { type OvenSpec, preheatSeconds } from '../heat/oven'
import { HEAT_PARAMETERS, type HeatParameters } from '../heat/parameters'
import { bodiesOf, type PieceSize, type PointId, usualThickness } from '../heat/piece'
import { type Yield, yieldOf } from '../portions/portions'
import { type CoolingAdvice, coolingOf, warmthAfter } from '../program/afterwards'
import { type CookRun, pullStageIndex } from '../program/cook'
import { findPull, type PullAnswer } from '../program/pull'
import { type Program, type Stage, settingOf } from '../program/stage'
import { donenessScale } from '../reference/doneness'
import { type Caution, cautionsOf, isBird, type TableContext } from '../safety/cautions'
import type { Lethality } from '../safety/lethality'
import { poultryDecades } from '../safety/poultry'
import { type Celsius, type EpochSeconds, epochSeconds, type Seconds, seconds } from '../units'
import { carveSeconds, PREHEAT_SLACK_S, type Task, tasksOf } from './tasks'

/** One roast, one oven, one promise. */
export interface RoastRequest {
  readonly piece: PieceSize
  readonly start_c: Celsius
  /** Centre still colder than the rest, °C: part-frozen. */
  readonly startCore_c?: Celsius | undefined
  /** Time on the bench before it goes in. */
  readonly temper_s: Seconds
  readonly drySalted: boolean
  /** What the cautions need to know beyond the cook itself. */
  readonly table: TableContext
  readonly oven: OvenSpec
  readonly program: Program
  /** Wanted at the core at its peak. */
  readonly serve_c: Celsius
  /** Plates on the table. */
  readonly promise: EpochSeconds
  readonly now: EpochSeconds
  readonly members: number
  readonly seed: number
  readonly parameters?: HeatParameters
}

/** A stage on the clock. */
export interface TimedStage {
  readonly stage: Stage
  readonly from: EpochSeconds
  readonly to: EpochSeconds
  readonly core_c: number
}

/** Something that is not right with the plan, as data. */
export type Trouble =
  | {
      readonly code: 'start_passed'
      readonly late_s: number
      readonly earliestPromise: EpochSeconds
      readonly hotter: HotterOven | undefined
    }
  | { readonly code: 'promise_passed'; readonly late_s: number; readonly earliestPromise: EpochSeconds }
  | {
      readonly code: 'never_reached'
      readonly highest_c: number
      readonly wanted_c: number
      readonly setting_c: number | undefined
    }
  | { readonly code: 'rest_too_long'; readonly longest_s: number; readonly most_s: number }
  | { readonly code: 'clock_misses_doneness'; readonly peak_c: number; readonly wanted_c: number }

/** A hotter setting that would still make the promise, with what it costs. */
export interface HotterOven {
  readonly set_c: number
  readonly pull_s: number
  readonly rim_m: number
  readonly usualRim_m: number
}

export interface Plan {
  readonly outcome: PullAnswer['outcome']
  readonly pull_c: number
  readonly peak_c: number
  /** Peak after the pull, s. */
  readonly peakAfter_s: number
  readonly ensemble: EnsembleAnswer
  readonly putIn: EpochSeconds
  readonly begin: EpochSeconds
  readonly promise: EpochSeconds
  readonly tasks: readonly Task[]
  readonly stages: readonly TimedStage[]
  /** Sampled for drawing: seconds from put-in, °C. */
  readonly course: readonly CoursePoint[]
  readonly points: readonly PointId[]
  readonly thickness_m: number
  readonly slice: Slice
  readonly yield: Yield
  readonly lethality: Lethality
  readonly cautions: readonly Caution[]
  readonly troubles: readonly Trouble[]
  readonly browning_s: number
  /** Each body: its pull reading, its peak. */
  readonly bodies: readonly PointAnswer[]
  /** Hottest less least-heated point at the pull, K; 0 with one point. */
  readonly gap_k: number
  /** From the knife until the meat is lukewarm on the board, s. */
  readonly warm_s: number
  readonly cooling: CoolingAdvice
  /** Decades of Salmonella killed at the least-heated point, for birds. */
  readonly poultryDecades: number | undefined
}

export interface PointAnswer {
  readonly point: PointId
  readonly pull_c: number
  readonly peak_c: number
  readonly thickness_m: number
}

export interface CoursePoint {
  readonly time_s: number
  readonly air_c: number
  readonly surface_c: number
  readonly core_c: readonly number[]
}

const COURSE_POINTS = 240
/** Salted and left open, the surface has dried: wetness relative to a fresh one (common practice, size from memory). */
export const SALTED_WETNESS = 0.8
const DONENESS_TOLERANCE_K = 3
const GRACE_S = 360

const programWithRest = (program: Program, rest_s: number): Program => {
  const index = restStageIndex(program)
  if (index < 0) return program
  return {
    ...program,
    stages: program.stages.map((stage, i) =>
      i === index ? { ...stage, until: { kind: 'time', duration_s: seconds(rest_s) } } : stage,
    ),
  }
}
const restStageIndex = (program: Program) => {
  const pull = pullStageIndex(program)
  const after = (ok: (stage: Stage) => boolean) => program.stages.findIndex((stage, i) => i > pull && ok(stage))
  const waits = after((stage) => stage.until.kind === 'clock')
  return waits >= 0 ? waits : after((stage) => stage.role === 'rest')
}

const hotter = (program: Program, set_c: number): Program => ({
  ...program,
  stages: program.stages.map((stage) =>
    stage.role === 'cook' &&
    stage.environment.kind === 'oven' &&
    stage.environment.heat === 'on' &&
    stage.environment.set_c < set_c
      ? { ...stage, environment: { ...stage.environment, set_c: set_c as Celsius } }
      : stage,
  ),
})

/**
 * Plans one roast back from its promise.
 *
 * The roast goes in so early that nine times in ten it has had its least rest before the knife; a
 * quicker one rests longer, within its range. The doubt is so taken up by the rest.
 */
export function planRoast(request: RoastRequest): Plan {
  const parameters = request.parameters ?? HEAT_PARAMETERS
  const { oven, serve_c, piece } = request
  const { cut } = piece
  const bodies = bodiesOf(piece, parameters)
  const least_s = restOf(request.program)
  const floor_c = donenessScale(cut.doneness).pullFloor_c
  const start_c = temperedStart(request, parameters)
  const setup = { bodies, oven, start_c, startCore_c: request.startCore_c, parameters }
  const first = findPull({ ...setup, program: request.program }, serve_c, undefined, floor_c)
  const drawn = cookEnsemble({
    piece,
    program: request.program,
    oven,
    start_c,
    startCore_c: request.startCore_c,
    pull_c: first.pull_c,
    parameters,
    doubt: usualDoubt(piece.thickness_m !== undefined),
    members: request.members,
    seed: request.seed,
  })
  const hasSpread = Number.isFinite(drawn.pull_s.p50) && drawn.lost < drawn.members / 4
  const slack_s = hasSpread ? Math.max(0, drawn.pull_s.p90 - first.run.pull_s) : 0
  const program = programWithRest(request.program, least_s + slack_s)
  const answer = findPull({ ...setup, program }, serve_c, first.pull_c[0], floor_c)
  const { run } = answer
  // The longer rest lets the peak come higher, so the reading and its time move a little: the window with them.
  const moved_s = run.pull_s - first.run.pull_s
  const ensemble: EnsembleAnswer = {
    ...drawn,
    pull_s: {
      p10: drawn.pull_s.p10 + moved_s,
      p50: drawn.pull_s.p50 + moved_s,
      p90: drawn.pull_s.p90 + moved_s,
    },
  }
  const carve_s = carveSeconds(piece.mass_kg)
  const putIn = epochSeconds(request.promise - carve_s - run.carve_s)
  const tasks = tasksOf({ ...request, mass_kg: piece.mass_kg }, program, run, answer, ensemble, putIn, hasSpread)
  const must = tasks.filter((task) => task.kind !== 'salt' && task.kind !== 'take_out')
  const firstMust = Math.min(...must.map((task) => task.at))
  const { cautions, lethality } = cautionsOf(cut, run, request.temper_s, request.table)
  const deciding = run.peak_c.indexOf(Math.min(...run.peak_c))
  const troubles: Trouble[] = []
  if (run.outcome === 'time_limit') {
    const stage = run.stages.at(-1)?.stage
    troubles.push({
      code: 'never_reached',
      highest_c: Math.min(...run.kernels.map((kernel) => kernel.core_c)),
      wanted_c: serve_c,
      setting_c: stage && settingOf(stage.environment),
    })
  } else {
    const whole_s = request.promise - firstMust
    // A few minutes of grace: whoever taps this takes a moment, and another ensemble differs by a minute or two.
    const earliestPromise = epochSeconds(Math.ceil((request.now + whole_s + GRACE_S) / 300) * 300)
    if (request.promise <= request.now)
      troubles.push({ code: 'promise_passed', late_s: request.now - request.promise, earliestPromise })
    else if (firstMust < request.now) {
      troubles.push({
        code: 'start_passed',
        late_s: request.now - firstMust,
        earliestPromise,
        hotter: hotterOven(request, setup, run, least_s, carve_s),
      })
    }
    const restMost_s = Math.max(cut.rest_min.most * 60, least_s)
    const longest_s = hasSpread ? least_s + ensemble.pull_s.p90 - ensemble.pull_s.p10 : least_s
    if (restStageIndex(program) >= 0 && longest_s > restMost_s * 1.25)
      troubles.push({ code: 'rest_too_long', longest_s, most_s: restMost_s })
    if (answer.outcome === 'fixed_program' && Math.abs(answer.residual_k) > DONENESS_TOLERANCE_K) {
      troubles.push({ code: 'clock_misses_doneness', peak_c: run.peak_c[deciding] as number, wanted_c: serve_c })
    }
  }
  const thickness_m = piece.thickness_m ?? usualThickness(cut, piece.mass_kg, parameters)
  const { peak_c: peaks, pullCore_c, curve } = run
  return {
    outcome: answer.outcome,
    pull_c: answer.pull_c[deciding] as number,
    peak_c: run.peak_c[deciding] as number,
    peakAfter_s: (run.peak_s[deciding] as number) - run.pull_s,
    ensemble,
    putIn,
    begin: epochSeconds(Math.min(...tasks.filter((task) => task.kind !== 'salt').map((task) => task.at))),
    promise: request.promise,
    tasks,
    stages: run.stages.map(({ stage, start_s, end_s, core_c }) => ({
      stage,
      from: epochSeconds(putIn + start_s),
      to: epochSeconds(putIn + end_s),
      core_c,
    })),
    course: courseOf(run),
    points: run.points,
    thickness_m,
    slice: sliceOf(run.kernels[0] as CookRun['kernels'][number], donenessScale(cut.doneness), thickness_m),
    yield: yieldOf(cut, piece.mass_kg, run),
    lethality,
    cautions,
    troubles,
    browning_s: run.kernels[0]?.browning_s ?? 0,
    bodies: bodies.map((body, i) => ({
      point: body.point,
      pull_c: pullCore_c[i] as number,
      peak_c: peaks[i] as number,
      thickness_m: body.thickness_m,
    })),
    gap_k: Math.max(...pullCore_c) - Math.min(...pullCore_c),
    warm_s: warmthAfter(run, parameters),
    cooling: coolingOf(bodies[0] as CookSetupBodies[number], parameters),
    poultryDecades: isBird(cut)
      ? poultryDecades(curve.time_s, curve.core_c[deciding] as Float64Array, curve.length)
      : undefined,
  }
}

/** The rest of a program after its pull, s; 0 when it has none. */
function restOf(program: Program): number {
  const stage = program.stages[restStageIndex(program)]
  if (stage?.until.kind === 'clock') return stage.until.least_s
  return stage && stage.until.kind === 'time' ? stage.until.duration_s : 0
}

/** Core after the bench: the fridge temperature raised by what the model says the bench gives, over the whole piece. */
export function temperedStart(
  request: Pick<RoastRequest, 'piece' | 'start_c' | 'temper_s' | 'oven'>,
  parameters: HeatParameters,
): number {
  if (request.temper_s <= 0) return request.start_c
  const bench = findPull(
    {
      bodies: bodiesOf({ ...request.piece, stuffed: false, thinEnd: undefined }, parameters),
      oven: request.oven,
      start_c: request.start_c,
      parameters,
      program: {
        school: 'bench',
        stages: [
          {
            role: 'cook',
            environment: { kind: 'counter' },
            cover: 'bare',
            preheated: false,
            tending: [],
            until: { kind: 'time', duration_s: request.temper_s },
          },
        ],
      },
    },
    request.start_c,
  )
  return bench.run.kernels[0]?.mean_c ?? request.start_c
}

function courseOf(run: CookRun): CoursePoint[] {
  const { curve } = run
  const stride = Math.max(1, Math.floor(curve.length / COURSE_POINTS))
  const course: CoursePoint[] = []
  for (let i = 0; i < curve.length; i++) {
    if (i % stride !== 0 && i !== curve.length - 1) continue
    course.push({
      time_s: curve.time_s[i] as number,
      air_c: curve.air_c[i] as number,
      surface_c: curve.surface_c[i] as number,
      core_c: curve.core_c.map((column) => column[i] as number),
    })
  }
  return course
}

/** The lowest hotter setting that would still make the promise, simulated. */
function hotterOven(
  request: RoastRequest,
  setup: { bodies: CookSetupBodies; oven: OvenSpec; start_c: number; parameters: HeatParameters },
  usual: CookRun,
  rest_s: number,
  carve_s: number,
): HotterOven | undefined {
  const left_s = request.promise - carve_s - request.now
  const scale = donenessScale(request.piece.cut.doneness)
  const thickness = usualThickness(request.piece.cut, request.piece.mass_kg, setup.parameters)
  for (let set_c = 140; set_c <= 220; set_c += 10) {
    const changed = hotter(request.program, set_c)
    if (changed.stages.every((stage, i) => stage === request.program.stages[i])) continue
    const { run } = findPull({ ...setup, program: programWithRest(changed, rest_s) }, request.serve_c)
    if (run.outcome === 'reached' && run.carve_s + preheatSeconds(request.oven, set_c) + PREHEAT_SLACK_S <= left_s) {
      return {
        set_c,
        pull_s: run.pull_s,
        rim_m: sliceOf(run.kernels[0] as CookRun['kernels'][number], scale, thickness).rim_m,
        usualRim_m: sliceOf(usual.kernels[0] as CookRun['kernels'][number], scale, thickness).rim_m,
      }
    }
  }
  return undefined
}
type CookSetupBodies = ReturnType<typeof bodiesOf>
