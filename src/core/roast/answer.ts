import { type Slice, sliceOf } from '../doneness/slice'
import { cookEnsemble, type EnsembleAnswer, type EnsembleSetup, type Spread, taughtDoubt } from '../estimate/ensemble'
import type { RoastKernel } from '../heat/kernel'
import type { PointId } from '../heat/piece'
import { boilingPoint } from '../heat/vapour'
import { type Yield, yieldOf } from '../portions/portions'
import { type Program, pullStageIndex } from '../program/stage'
import { hasMoments, placeTending, untended } from '../program/tending'
import { isPoultry } from '../reference/cuts'
import { scaleOf } from '../reference/doneness'
import { type Caution, cautionsOf } from '../safety/cautions'
import { isMeantSafe, type SafetyLeast, SURE, safetyLeast } from '../safety/least'
import type { Lethality } from '../safety/lethality'
import { poultryDecades } from '../safety/poultry'
import { warmthAfter } from '../simulate/afterwards'
import { type CookRun, cook, reachedBy, wentBy } from '../simulate/cook'
import type { Hindrance } from '../simulate/hindrance'
import { findPull, type PullAnswer } from '../simulate/pull'
import { type Shown, shownBy } from '../simulate/shown'
import { RESOLUTION } from '../simulate/stepper'
import { hindrancesOf } from './check'
import { type PreparedRoast, prepareRoast, pullFloor, type RoastStart } from './prepare'
import { restSeconds, withRest } from './rest'

/** One roast, one oven, one way of cooking it, and how done. */
export interface RoastQuestion extends RoastStart {
  readonly program: Program
  readonly target:
    | { readonly kind: 'serve'; readonly serve_c: number }
    | { readonly kind: 'pull'; readonly pull_c: number }
  /** Someone very young, old, pregnant or with a weak immune system eats of it. */
  readonly vulnerable: boolean
  /** How well cooks have taught its oven, K, and its thickness, relative. */
  readonly taught?: Parameters<typeof taughtDoubt>[1] | undefined
  /** Whether the rest is as the program says, or made longer by what the slowest of ten needs, so that a slow one has its least. */
  readonly rest: 'as_said' | 'takes_doubt'
  readonly members: number
  readonly seed: number
}

/** One probed point of a roast. */
export interface PointAnswer {
  readonly point: PointId
  readonly pull_c: number
  readonly peak_c: number
  readonly thickness_m: number
}

/** How surely a pull reading is safe. */
export interface PullSafety {
  readonly least_c: number
  /** Chance that it is met at the reading, and a degree lower, of 1. */
  readonly chance: number
  readonly chanceLower: number
  /** By how much the reading is higher than the one that meets the wanted in the middle, K. */
  readonly raised_k: number
}

/** What the model says of one roast; plans, meals, simulations and boards all read this. */
export interface RoastAnswer {
  readonly prepared: PreparedRoast
  readonly outcome: PullAnswer['outcome'] | 'cannot'
  /** Why it cannot be done so; empty where it can. */
  readonly hindrances: readonly Hindrance[]
  /** As it was cooked: with the rest it was given. */
  readonly program: Program
  readonly pull: PullAnswer
  readonly run: CookRun
  readonly ensemble: EnsembleAnswer
  /** The ensemble says something: most of its members arrive. */
  readonly hasSpread: boolean
  /** By how much the rest was made longer, s. */
  readonly slack_s: number
  /** Index of the point that decides: the least done. */
  readonly deciding: number
  readonly pull_c: number
  /** Where a least is asked for safety: how surely the reading meets it. */
  readonly safety: PullSafety | undefined
  readonly peak_c: number
  /** Peak after the pull, s. */
  readonly peakAfter_s: number
  readonly points: readonly PointAnswer[]
  /** Hottest less least-heated point at the pull, K; 0 with one point. */
  readonly gap_k: number
  readonly slice: Slice
  readonly yield: Yield
  readonly lethality: Lethality
  readonly cautions: readonly Caution[]
  /** From the knife until the meat is lukewarm on the board, s. */
  readonly warm_s: number
  /** Decades of Salmonella killed at the least-heated point, for birds. */
  readonly poultryDecades: number | undefined
  /** Minutes at 150 °C on the surface, or their like, in s. */
  readonly browning_s: number
  /** How tender a tough cut has become at its centre: seconds at 90 °C, or their like. */
  readonly tender_s: number
  readonly tendingCosts: readonly TendingCost[]
}

/** By how much later the pull comes for the doors opened in a stage, s. */
export interface TendingCost {
  readonly stage: number
  readonly later_s: number
}

const NO_SPREAD: Spread = { p10: Number.NaN, p50: Number.NaN, p90: Number.NaN }
const moved = ({ p10, p50, p90 }: Spread, by_s: number): Spread => ({
  p10: p10 + by_s,
  p50: p50 + by_s,
  p90: p90 + by_s,
})

/**
 * Where the rest has room, it takes up what nineteen in twenty and more need, not nine in ten: too early it rests on or
 * its oven is turned down, too late nothing helps but guests who wait.
 */
const MORE_SLACK = 1.5

/** The slowest of ten by both sides of the spread: half as much chance in it as in the one quantile of a small ensemble. */
const SKEW = 1.06
const slowestOfTen = ({ p10, p50, p90 }: Spread): number => p50 + (SKEW * (p90 - p10)) / 2

/** An ensemble that says nothing: for a roast that does not arrive even when all is as told. */
const nothing = (members: number): EnsembleAnswer => ({
  pull_s: NO_SPREAD,
  peak_c: NO_SPREAD,
  band: [],
  matters: [],
  safe: undefined,
  lost: members,
  members,
})

/** Carving and the way to the table take so long, s (common practice). */
const WARM_LEAST_S = 8 * 60

/** The chance of safety is counted over so many, always the same ones: whoever asks gets the same reading. */
const SAFETY_ENSEMBLE = { members: 48, seed: 4001 } as const
/** Readings are chosen to this, K. */
const READING_STEP_K = 0.5

/**
 * The lowest reading from the one for the middle up to the wanted that is safe in 95 of 100. Pulled at the wanted
 * itself every member peaks at least there, so there is always one.
 */
function surePull(
  ask: Omit<EnsembleSetup, 'members' | 'seed'>,
  bodies: PreparedRoast['bodies'],
  middle: PullAnswer,
  serve_c: number,
  least: SafetyLeast,
): { readonly pull: PullAnswer; readonly safety: PullSafety } {
  const chances = new Map<number, number>()
  const chanceAt = (raised_k: number): number => {
    const known = chances.get(raised_k)
    if (known !== undefined) return known
    const pull_c = middle.pull_c.map((pull) => pull + raised_k)
    const found = cookEnsemble({ ...ask, pull_c, ...SAFETY_ENSEMBLE, least }).safe ?? 0
    chances.set(raised_k, found)
    return found
  }
  const most_k = Math.max(0, serve_c - Math.min(...middle.pull_c))
  const steps = middle.outcome === 'reached' ? Math.ceil(most_k / READING_STEP_K - 1e-9) : 0
  const raisedBy = (step: number) => Math.min(most_k, step * READING_STEP_K)
  let low = 0
  let high = steps
  // The lowest step that is sure: the chance rises with the reading.
  while (low < high) {
    const half = Math.floor((low + high) / 2)
    if (chanceAt(raisedBy(half)) >= SURE) high = half
    else low = half + 1
  }
  const raised_k = raisedBy(low)
  const safety = {
    least_c: least.least_c,
    chance: chanceAt(raised_k),
    chanceLower: chanceAt(raised_k - 1),
    raised_k,
  }
  if (raised_k === 0) return { pull: middle, safety }
  const pull_c = middle.pull_c.map((pull) => pull + raised_k)
  const run = cook({ ...ask, bodies, pull_c })
  return { pull: { ...middle, pull_c, run, residual_k: Math.min(...run.peak_c) - serve_c }, safety }
}

/**
 * Cooks a roast: finds its pull reading, its doubt, what comes to the plate and what is to be minded.
 *
 * The one home of these: a plan, a meal's roast, `simulate` and `estimate` differ in what they ask of
 * the answer, never in the physics or the cautions. What the checks say cannot be comes back with the
 * outcome `cannot` and its reasons.
 */
export function answerRoast(question: RoastQuestion): RoastAnswer {
  const { target, members, seed } = question
  const prepared = prepareRoast(question)
  const { piece, oven, bodies, parameters, start_c, startCore_c, floor_c, thickness_m } = prepared
  const { cut } = piece
  const setup = { bodies, oven, start_c, startCore_c, parameters }
  const pullOf = (program: Program, guess_c?: number): PullAnswer => {
    if (target.kind === 'serve')
      return findPull({ ...setup, program }, target.serve_c, guess_c, pullFloor(floor_c, program))
    const pull_c = bodies.map(() => target.pull_c)
    const run = cook({ ...setup, program, pull_c })
    return { outcome: run.outcome === 'reached' ? 'reached' : 'time_limit', pull_c, run, residual_k: 0 }
  }
  const asked = placedByItself(question.program, pullOf)
  const first = pullOf(asked)
  const arrives = first.outcome !== 'time_limit'
  const doubt = taughtDoubt(piece.thickness_m !== undefined, question.taught ?? {})
  const ask = { piece, program: asked, oven, start_c, startCore_c, pull_c: first.pull_c, parameters, doubt }
  const drawn = arrives ? cookEnsemble({ ...ask, members, seed }) : nothing(members)
  // Members are cooked more coarsely than the answer: what that alone is worth is taken out.
  const coarse = arrives ? cook({ ...ask, bodies, resolution: RESOLUTION.member }) : undefined
  const finer_s = coarse?.outcome === 'reached' ? first.run.pull_s - coarse.pull_s : 0
  const hasSpread = Number.isFinite(drawn.pull_s.p50) && drawn.lost < drawn.members / 4
  const doubt_s =
    hasSpread && question.rest === 'takes_doubt'
      ? Math.max(0, slowestOfTen(drawn.pull_s) + finer_s - first.run.pull_s)
      : 0
  const slack_s = Math.max(doubt_s, Math.min(MORE_SLACK * doubt_s, cut.rest_min.most * 60 - restSeconds(asked)))
  const program = slack_s > 0 ? withRest(asked, restSeconds(asked) + slack_s) : asked
  const middle = slack_s > 0 ? pullOf(program, first.pull_c[0]) : first
  const least = safetyLeast(cut, { vulnerable: question.vulnerable, stuffed: piece.stuffed === true })
  const sure =
    least && arrives && target.kind === 'serve' && isMeantSafe(least, target.serve_c)
      ? surePull({ ...ask, program }, bodies, middle, target.serve_c, least)
      : undefined
  const pull = sure?.pull ?? middle
  const { run } = pull
  // The longer rest lets the peak come higher, so the reading and its time move a little: the window with them.
  const ensemble = hasSpread
    ? {
        ...drawn,
        pull_s: moved(drawn.pull_s, finer_s + run.pull_s - first.run.pull_s),
        peak_c: moved(drawn.peak_c, Math.min(...run.peak_c) - Math.min(...first.run.peak_c)),
      }
    : { ...drawn, pull_s: NO_SPREAD }
  const deciding = run.peak_c.indexOf(Math.min(...run.peak_c))
  const { cautions, lethality } = cautionsOf(cut, run, question.temper_s, {
    vulnerable: question.vulnerable,
    coldest_c: startCore_c ?? question.start_c,
    mass_kg: piece.mass_kg,
    oven: oven.kind,
  })
  const { curve, pullCore_c } = run
  const warm_s = run.pulled ? warmthAfter(run, parameters) : WARM_LEAST_S
  const hindrances = hindrancesOf(pull, target, program, boilingPoint(parameters.pressure_pa))
  return {
    prepared,
    outcome: hindrances.length > 0 ? 'cannot' : pull.outcome,
    hindrances,
    program,
    pull,
    run,
    ensemble,
    hasSpread,
    slack_s,
    deciding,
    pull_c: pull.pull_c[deciding] as number,
    safety: sure?.safety,
    peak_c: reachedBy(run, deciding),
    peakAfter_s: run.pulled ? Math.max(0, (run.peak_s[deciding] as number) - run.pull_s) : 0,
    points: bodies.map((body, i) => ({
      point: body.point,
      pull_c: pullCore_c[i] as number,
      peak_c: reachedBy(run, i),
      thickness_m: body.thickness_m,
    })),
    gap_k: Math.max(...pullCore_c) - Math.min(...pullCore_c),
    slice: sliceOf(run.kernels[0] as RoastKernel, scaleOf(cut), thickness_m),
    yield: yieldOf(cut, piece.mass_kg, run),
    lethality,
    warm_s,
    cautions:
      warm_s < WARM_LEAST_S ? [...cautions, { code: 'cools_fast', minutes: Math.floor(warm_s / 60) }] : cautions,
    poultryDecades: isPoultry(cut)
      ? poultryDecades(curve.time_s, curve.core_c[deciding] as Float64Array, curve.length)
      : undefined,
    browning_s: run.kernels[0]?.browning_s ?? 0,
    tender_s: Math.min(...run.kernels.map((kernel) => kernel.tender_s)),
    tendingCosts: arrives
      ? tendingCosts(program, run, (other) => cook({ ...ask, bodies, program: other, pull_c: pull.pull_c }))
      : [],
  }
}

/** What a usual probe shows of a roast at the point that decides; undefined where the pull does not come. */
export function shownOf({ prepared, program, pull, run, deciding }: RoastAnswer): Shown | undefined {
  const { bodies, oven, start_c, startCore_c, parameters } = prepared
  return run.pulled
    ? shownBy({ bodies, oven, start_c, startCore_c, parameters, program, pull_c: pull.pull_c }, deciding)
    : undefined
}

/** Moments are placed by how it goes with them where they were: twice is enough to the minute. */
const PLACINGS = 2
function placedByItself(program: Program, pullOf: (program: Program) => PullAnswer): Program {
  let placed = program
  if (hasMoments(program)) for (let i = 0; i < PLACINGS; i++) placed = placeTending(placed, wentBy(pullOf(placed).run))
  return placed
}

/** What tending costs: by how much later the pull comes than with nobody opening the door, a stage at a time. */
function tendingCosts(program: Program, run: CookRun, again: (program: Program) => CookRun): TendingCost[] {
  return program.stages.flatMap((stage, index): TendingCost[] => {
    const opened = stage.tending.length > 0 && stage.environment.kind === 'oven' && index <= pullStageIndex(program)
    if (!opened) return []
    const { pull_s, pulled } = again(untended(program, index))
    return pulled ? [{ stage: index, later_s: Math.max(0, run.pull_s - pull_s) }] : []
  })
}
