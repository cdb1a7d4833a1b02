import type { Slice } from '../doneness/slice'
import { sliceOf } from '../doneness/slice'
import type { EnsembleAnswer } from '../estimate/ensemble'
import { preheatSeconds } from '../heat/oven'
import type { PointId } from '../heat/piece'
import { coldWaterThawSeconds } from '../portions/buy'
import type { Yield } from '../portions/portions'
import { endsTender, type Program, type Stage } from '../program/stage'
import { type Cut, shapingOf } from '../reference/cuts'
import { scaleOf } from '../reference/doneness'
import { PREHEAT_SLACK_S } from '../reference/standards'
import { tenderSeconds } from '../reference/tenderness'
import {
  answerRoast,
  type PointAnswer,
  type PullSafety,
  type RoastAnswer,
  type RoastQuestion,
  shownOf,
  type TendingCost,
} from '../roast/answer'
import { prepareRoast } from '../roast/prepare'
import { restSeconds, restStageIndex, withRest } from '../roast/rest'
import type { Caution } from '../safety/cautions'
import type { Lethality } from '../safety/lethality'
import { type CoolingAdvice, coolingOf } from '../simulate/afterwards'
import { type CookRun, cook } from '../simulate/cook'
import type { Hindrance } from '../simulate/hindrance'
import { findPull } from '../simulate/pull'
import type { Shown } from '../simulate/shown'
import { type Celsius, type EpochSeconds, epochSeconds, seconds } from '../units'
import { carveSeconds } from './carving'
import { type Preparation, THAW_GRACE_S, type Thaw, thawStart } from './days-before'
import { asItWentIn, type Moves, movesOf } from './in-since'
import { AHEAD_KINDS, type Task } from './task'
import { tasksOf } from './tasks'

/** One roast, one oven, one promise. */
export interface PlanRequest extends Omit<RoastQuestion, 'rest' | 'target'> {
  /** Wanted at the core at its peak, °C. */
  readonly serve_c: Celsius
  readonly preparation: Preparation
  /** Whether gravy is made of its juices. */
  readonly gravy: boolean
  /** How it thaws before that; undefined where it is not frozen, or out of the freezer already. */
  readonly thaw: Thaw | undefined
  /** Plates on the table. */
  readonly promise: EpochSeconds
  /** What the kitchen's clock shows beyond UTC then, s; undefined where nobody knows. */
  readonly zone_s?: number | undefined
  readonly now: EpochSeconds
  /** It is in the heat already, since then; undefined where it is not. */
  readonly inSince?: EpochSeconds | undefined
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
  | Hindrance
  | {
      readonly code: 'start_passed'
      readonly late_s: number
      readonly earliestPromise: EpochSeconds
      readonly hotter: HotterOven | undefined
    }
  | {
      /** It went in already, and not when this promise wants it to: so much later, s; before it below zero. */
      readonly code: 'in_otherwise'
      readonly later_s: number
      /** When it is on the table as it is foreseen, its rest giving way. */
      readonly table: EpochSeconds
      /** Out of its heat it then waits for the knife, and keeps well, s. */
      readonly waits_s: number
      readonly keeps_s: number
      readonly earliestPromise: EpochSeconds
    }
  | { readonly code: 'promise_passed'; readonly late_s: number; readonly earliestPromise: EpochSeconds }
  | {
      /** It should be out of the freezer by now. */
      readonly code: 'thaw_passed'
      readonly at: EpochSeconds
      readonly takes_s: number
      readonly earliestPromise: EpochSeconds
      /** Cold water would still do it: from when, and how long. */
      readonly water: { readonly at: EpochSeconds; readonly takes_s: number } | undefined
    }
  | { readonly code: 'rest_too_long'; readonly longest_s: number; readonly most_s: number }
  | {
      readonly code: 'clock_misses_doneness'
      readonly peak_c: number
      readonly wanted_c: number
      readonly right: ClockRight | undefined
    }

/** What would have to be otherwise for the wanted, each by itself; undefined where nothing of its kind does it. */
export interface ClockRight {
  /** Its first heat, by index, and how long that would have to be, minutes. */
  readonly stage: number
  readonly minutes: number | undefined
  /** The same as a rule, minutes a kilo, where the school goes by one. */
  readonly perKilo_min: number | undefined
  /** A piece of this weight by the same rule, kg. */
  readonly mass_kg: number | undefined
  /** Put in at this temperature, °C. */
  readonly start_c: number | undefined
}

/** A hotter setting that would still make the promise, with what it costs. */
export interface HotterOven {
  readonly set_c: number
  readonly pull_s: number
  readonly rim_m: number
  readonly usualRim_m: number
}

export interface Plan {
  readonly outcome: RoastAnswer['outcome']
  readonly pull_c: number
  /** Where a least is asked for safety: how surely the reading meets it. */
  readonly safety: PullSafety | undefined
  readonly peak_c: number
  /** Peak after the pull, s. */
  readonly peakAfter_s: number
  /** What a usual probe shows at the pull and at its highest, °C. */
  readonly shown: Shown | undefined
  readonly ensemble: EnsembleAnswer
  readonly putIn: EpochSeconds
  readonly begin: EpochSeconds
  readonly promise: EpochSeconds
  /** The rest it was given, s: its least, and what the slowest of ten needs. */
  readonly rest_s: number
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
  /** How tender a tough cut has become at its centre: seconds at 90 °C, or their like. */
  readonly tender_s: number
  readonly tendingCosts: readonly TendingCost[]
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

export interface CoursePoint {
  readonly time_s: number
  readonly air_c: number
  readonly surface_c: number
  readonly core_c: readonly number[]
}

/** What is done ahead: that it is late for it makes no promise impossible. */
const AHEAD: ReadonlySet<Task['kind']> = new Set([...AHEAD_KINDS, 'take_out'])
const COURSE_POINTS = 240
const DONENESS_TOLERANCE_K = 3
const GRACE_S = 360
const DAY_S = 86_400

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

/** Whether it is wanted to fall apart and does: hours at 85 °C do what a moment at 93 does. */
function fallsApart(cut: Cut, serve_c: number, tender_s: number): boolean {
  const pulled = scaleOf(cut).degrees.find(({ id }) => id === 'pull-apart')
  return pulled !== undefined && serve_c >= pulled.from_c && tender_s >= tenderSeconds('falls_apart')
}

/**
 * Plans one roast back from its promise.
 *
 * The roast goes in so early that nine times in ten it has had its least rest before the knife; a
 * quicker one rests longer, within its range. The doubt is so taken up by the rest.
 */
export function planRoast(request: PlanRequest): Plan {
  const { serve_c, piece, promise, now } = request
  const { cut } = piece
  const answer = answerRoast({ ...request, target: { kind: 'serve', serve_c }, rest: 'takes_doubt' })
  const { run, program, ensemble, hasSpread, hindrances, prepared } = answer
  const least_s = restSeconds(request.program)
  const carve_s = carveSeconds(piece.mass_kg)
  const putIn = epochSeconds(promise - carve_s - run.carve_s)
  const stages = run.stages.map(({ stage, start_s, end_s, core_c }) => ({
    stage,
    from: epochSeconds(putIn + start_s),
    to: epochSeconds(putIn + end_s),
    core_c,
  }))
  const tasks = withPaleQuestion(tasksOf(request, answer, stages), request, answer)
  const must = tasks.filter(({ kind }) => !AHEAD.has(kind))
  const firstMust = Math.min(...must.map((task) => task.at))
  const troubles: Trouble[] = [...hindrances]
  const restMost_s = Math.max(cut.rest_min.most * 60, least_s)
  const moves =
    request.inSince === undefined
      ? undefined
      : movesOf(request.inSince, { tasks, stages, putIn, promise, program, least_s })
  if (hindrances.length === 0) {
    const whole_s = promise - firstMust
    // A few minutes of grace: whoever taps this takes a moment, and another ensemble differs by a minute or two.
    const earliestPromise = epochSeconds(Math.ceil((now + whole_s + GRACE_S) / 300) * 300)
    if (promise <= now) troubles.push({ code: 'promise_passed', late_s: now - promise, earliestPromise })
    else if (moves) troubles.push(...inOtherwise(moves, { promise, now, keeps_s: restMost_s }))
    else if (firstMust < now)
      troubles.push({
        code: 'start_passed',
        late_s: now - firstMust,
        earliestPromise,
        hotter: hotterOven(request, answer, promise - carve_s - now),
      })
    const thaw = tasks.find(({ kind }) => kind === 'thaw')
    if (request.thaw && thaw && thaw.at < now - THAW_GRACE_S && promise > now)
      troubles.push(thawTrouble(request, request.thaw, { thaw_s: thaw.at, putIn_s: putIn }))
    const longest_s = hasSpread ? least_s + ensemble.pull_s.p90 - ensemble.pull_s.p10 : least_s
    if (restStageIndex(program) >= 0 && longest_s > restMost_s * 1.25)
      troubles.push({ code: 'rest_too_long', longest_s, most_s: restMost_s })
    if (
      answer.outcome === 'fixed_program' &&
      !endsTender(program) &&
      !fallsApart(cut, serve_c, answer.tender_s) &&
      Math.abs(answer.pull.residual_k) > DONENESS_TOLERANCE_K
    )
      troubles.push({
        code: 'clock_misses_doneness',
        peak_c: answer.peak_c,
        wanted_c: serve_c,
        right: rightClock(request, answer),
      })
  }
  const plan: Plan = {
    outcome: answer.outcome,
    pull_c: answer.pull_c,
    safety: answer.safety,
    peak_c: answer.peak_c,
    peakAfter_s: answer.peakAfter_s,
    shown: shownOf(answer),
    ensemble,
    putIn,
    begin: epochSeconds(
      Math.min(...tasks.filter(({ kind }) => kind === 'take_out' || !AHEAD.has(kind)).map((task) => task.at)),
    ),
    promise,
    rest_s: restSeconds(program),
    tasks,
    stages,
    course: courseOf(run),
    points: run.points,
    thickness_m: prepared.thickness_m,
    slice: answer.slice,
    yield: answer.yield,
    lethality: answer.lethality,
    cautions: answer.cautions,
    troubles,
    browning_s: answer.browning_s,
    tender_s: answer.tender_s,
    tendingCosts: answer.tendingCosts,
    bodies: answer.points,
    gap_k: answer.gap_k,
    warm_s: answer.warm_s,
    cooling: coolingOf(prepared.bodies[0] as (typeof prepared.bodies)[number], prepared.parameters),
    poultryDecades: answer.poultryDecades,
  }
  return moves ? asItWentIn(plan, moves) : plan
}

/** Nearer to the planned it is not said that it went in otherwise, s. */
const BESIDE_S = 300

/** What its promise is where it went in already at another time than planned. */
function inOtherwise(
  { begins_s: later_s, ends_s, pull_s, next_s }: Moves,
  { promise, now, keeps_s }: { promise: number; now: number; keeps_s: number },
): Trouble[] {
  if (Math.abs(later_s) <= BESIDE_S) return []
  const earliestPromise = epochSeconds(Math.ceil(Math.max(promise + later_s, now + GRACE_S) / 300) * 300)
  const waits_s = next_s + ends_s - pull_s - later_s
  return [{ code: 'in_otherwise', later_s, table: epochSeconds(promise + ends_s), waits_s, keeps_s, earliestPromise }]
}

/** A frozen piece that should be out of its freezer by now: what still could be. */
function thawTrouble(
  { piece, preparation, temper_s, promise, zone_s, now }: PlanRequest,
  thaw: Thaw,
  { thaw_s, putIn_s }: { readonly thaw_s: number; readonly putIn_s: number },
): Trouble {
  const water: Thaw = { how: 'water', takes_s: coldWaterThawSeconds(piece.mass_kg) }
  const fromWater_s = thawStart(
    preparation,
    water,
    putIn_s - temper_s,
    putIn_s,
    { serving_s: promise, zone_s },
    shapingOf(piece.cut, piece.legs),
  )
  return {
    code: 'thaw_passed',
    at: epochSeconds(thaw_s),
    takes_s: thaw.takes_s,
    // They eat at the same hour, on the first day that leaves it its time.
    earliestPromise: epochSeconds(promise + DAY_S * Math.ceil((now + THAW_GRACE_S - thaw_s) / DAY_S)),
    water: fromWater_s >= now - THAW_GRACE_S ? { at: epochSeconds(fromWater_s), takes_s: water.takes_s } : undefined,
  }
}

/** A finish that is only for a pale skin: where it is not, the roast stays as it is to a reading of its own. */
function withPaleQuestion(
  tasks: readonly Task[],
  request: PlanRequest,
  { program, prepared, run }: RoastAnswer,
): Task[] {
  if (program.school !== 'finish-hot' || !run.pulled) return [...tasks]
  const { bodies, oven, start_c, startCore_c, parameters, floor_c } = prepared
  const plain = { ...program, stages: program.stages.filter(({ role }) => role !== 'finish') }
  const other = findPull(
    { bodies, oven, start_c, startCore_c, parameters, program: plain },
    request.serve_c,
    undefined,
    floor_c,
  )
  if (other.run.outcome !== 'reached') return [...tasks]
  const numbers = {
    pale: 1,
    else_pull_c: Math.min(...other.pull_c),
    else_min: Math.max(0, (other.run.pull_s - run.pull_s) / 60),
  }
  return tasks.map((task) =>
    task.kind === 'pull' || task.kind === 'finish'
      ? { ...task, because: { ...task.because, numbers: { ...task.because.numbers, ...numbers } } }
      : task,
  )
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

/** The lowest hotter setting that would still make the promise, simulated; from now to the knife is left `left_s`. */
function hotterOven(request: PlanRequest, usual: RoastAnswer, left_s: number): HotterOven | undefined {
  const { prepared } = usual
  const { bodies, oven, start_c, startCore_c, parameters, floor_c, thickness_m } = prepared
  const scale = scaleOf(request.piece.cut)
  const rimOf = (run: CookRun) => sliceOf(run.kernels[0] as CookRun['kernels'][number], scale, thickness_m).rim_m
  const rest_s = restSeconds(usual.program)
  for (let set_c = 140; set_c <= 220; set_c += 10) {
    const changed = hotter(request.program, set_c)
    if (changed.stages.every((stage, i) => stage === request.program.stages[i])) continue
    const program = withRest(changed, rest_s)
    const { run } = findPull(
      { bodies, oven, start_c, startCore_c, parameters, program },
      request.serve_c,
      undefined,
      floor_c,
    )
    if (run.outcome === 'reached' && run.carve_s + preheatSeconds(oven, set_c) + PREHEAT_SLACK_S <= left_s)
      return { set_c, pull_s: run.pull_s, rim_m: rimOf(run), usualRim_m: rimOf(usual.run) }
  }
  return undefined
}

/** The first stage of a program by the clock is tried from a fifth to three times as long, a piece from half to twice as heavy. */
const CLOCK_SHARE = { least: 0.2, most: 3 } as const
const MASS_SHARE = { least: 0.5, most: 2 } as const
/** From the fridge to the bench at its longest, °C. */
const STARTS_C = { least: 2, most: 18 } as const
const CLOCK_TRIES = 12

/** Where a miss that grows changes its sign; undefined where it does not within the range. */
function zeroOf(missAt: (value: number) => number, least: number, most: number): number | undefined {
  const [first, last] = [missAt(least), missAt(most)]
  if (!(Number.isFinite(first) && Number.isFinite(last) && Math.sign(first) !== Math.sign(last))) return undefined
  let low = least
  let high = most
  for (let i = 0; i < CLOCK_TRIES; i++) {
    const middle = (low + high) / 2
    if (Math.sign(missAt(middle)) === Math.sign(first)) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** What of a program by the clock would have to be otherwise, so that the wanted comes out: its first heat, the weight, the start. */
function rightClock(request: PlanRequest, { program, pull }: RoastAnswer): ClockRight | undefined {
  const stage = program.stages.findIndex(({ role, until, environment }) => {
    const heated = environment.kind !== 'oven' || environment.heat === 'on'
    return role === 'cook' && until.kind === 'time' && heated
  })
  const first = program.stages[stage]
  if (first?.until.kind !== 'time') return undefined
  const said_s = first.until.duration_s
  const miss = (start: Partial<PlanRequest>, duration_s: number): number => {
    const { bodies, oven, start_c, startCore_c, parameters } = prepareRoast({ ...request, ...start })
    const stages = program.stages.with(stage, { ...first, until: { kind: 'time', duration_s: seconds(duration_s) } })
    const run = cook({
      bodies,
      oven,
      start_c,
      startCore_c,
      parameters,
      program: { ...program, stages },
      pull_c: bodies.map(() => pull.pull_c[0] as number),
    })
    return run.outcome === 'reached' ? Math.min(...run.peak_c) - request.serve_c : Number.NaN
  }
  const duration_s = zeroOf((value) => miss({}, value), said_s * CLOCK_SHARE.least, said_s * CLOCK_SHARE.most)
  const { piece } = request
  // A rule by the weight gives a heavier piece its own time; whether that is enough for it is the question.
  const ofMass = (mass_kg: number) =>
    miss({ piece: { ...piece, mass_kg, thickness_m: undefined } }, (said_s * mass_kg) / piece.mass_kg)
  const byWeight = program.school === 'oven-off'
  const mass_kg = byWeight
    ? zeroOf(ofMass, piece.mass_kg * MASS_SHARE.least, piece.mass_kg * MASS_SHARE.most)
    : undefined
  const start_c = byWeight
    ? zeroOf((value) => miss({ start_c: value, temper_s: 0 }, said_s), STARTS_C.least, STARTS_C.most)
    : undefined
  if (duration_s === undefined && mass_kg === undefined && start_c === undefined) return undefined
  return {
    stage,
    minutes: duration_s === undefined ? undefined : Math.round(duration_s / 60),
    perKilo_min: duration_s === undefined || !byWeight ? undefined : duration_s / 60 / piece.mass_kg,
    mass_kg,
    start_c,
  }
}
