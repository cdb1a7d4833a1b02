import type { RoastKernel } from '../heat/kernel'
import type { PointId } from '../heat/piece'
import { pullStageIndex, STAGE_LIMIT_S, type Stage } from '../program/stage'
import type { WentBy } from '../program/tending'
import { type CookCurve, CurveRecorder } from './curve'
import { type CookSetup, RoastStepper } from './stepper'

/** One stage as it went. */
export interface StageRun {
  readonly stage: Stage
  readonly start_s: number
  readonly end_s: number
  /** Lowest core of all bodies at the end of the stage, °C. */
  readonly core_c: number
  /** Whether its condition was met, or the time limit came first. */
  readonly ended: boolean
}

/** What a simulated cook answers, with its evidence. */
export interface CookRun {
  readonly outcome: 'reached' | 'time_limit' | 'watched'
  readonly stages: readonly StageRun[]
  readonly curve: CookCurve
  /** Whether the pull came. Where it did not, `pull_s` is 0 and the peaks are −Infinity: nothing to show. */
  readonly pulled: boolean
  /** End of the last stage that ends at the pull reading (else of the last heated stage), s. */
  readonly pull_s: number
  /** Since when its pull has been met without a break, s: before `pull_s` where it is known to have been left in. */
  readonly ready_s: number | undefined
  /** Its cores in the stage it is pulled from, while it is known to be in. */
  readonly trace: CoreTrace | undefined
  /** Each body's core at the pull, °C. */
  readonly pullCore_c: readonly number[]
  /**
   * Each body's highest core up to the knife, °C, and when, s: as a rule after the pull, but in an oven that is off long
   * before it.
   */
  readonly peak_c: readonly number[]
  readonly peak_s: readonly number[]
  /** End of the last stage, s. */
  readonly carve_s: number
  readonly points: readonly PointId[]
  /** The bodies as they are at the knife. */
  readonly kernels: readonly RoastKernel[]
  readonly steps: number
}

/** Somebody who looks on: after each step, with its beginning; answers true when enough has been seen. */
export interface Watcher {
  readonly stepped: (stepper: RoastStepper, from_s: number) => boolean
  /** No curve is kept. */
  readonly bare?: boolean
}

/** A cook in mid-stage, to go on from: see {@link RoastStepper.goOnFrom}. It has not been pulled. */
export interface CookPast {
  readonly stepper: RoastStepper
  /** The stage of its program that it is in. */
  readonly index: number
  /** Its cores so far in that stage. */
  readonly trace?: CoreTrace | undefined
}

/** How a cook went, for placing what is tended in it. */
export function wentBy({ stages, curve }: CookRun): WentBy {
  const coreAt = (row: number) => Math.min(...curve.core_c.map((column) => column[row] as number))
  return {
    stages,
    reads: (core_c, from_s, to_s) => {
      for (let row = 0; row < curve.length; row++) {
        const time_s = curve.time_s[row] as number
        if (time_s < from_s - 1e-6) continue
        if (time_s > to_s) return undefined
        if (coreAt(row) >= core_c) return time_s
      }
      return undefined
    },
  }
}

/** Cores of a cook, step by step. */
export class CoreTrace {
  private readonly time_s: number[]
  private readonly core_c: number[][]

  /** @param before goes on from there */
  constructor(before?: CoreTrace) {
    this.time_s = [...(before?.time_s ?? [])]
    this.core_c = [...(before?.core_c ?? [])]
  }
  add(time_s: number, kernels: readonly RoastKernel[]): void {
    this.time_s.push(time_s)
    this.core_c.push(kernels.map(({ core_c }) => core_c))
  }
  /** Since when every core has been at its reading without a break, s; undefined where one is not. @param pull_c of each */
  since(pull_c: readonly number[]): number | undefined {
    const { time_s, core_c } = this
    const lacks = (row: number) => Math.max(...pull_c.map((wanted_c, i) => wanted_c - (core_c[row]?.[i] as number)))
    let row = time_s.length - 1
    if (row < 0 || lacks(row) > 0) return undefined
    while (row > 0 && lacks(row - 1) <= 0) row--
    const at_s = time_s[row] as number
    if (row === 0) return at_s
    const from_s = time_s[row - 1] as number
    const lacked = lacks(row - 1)
    return from_s + (lacked / (lacked - lacks(row))) * (at_s - from_s)
  }
}

function readyBy(until: Stage['until'], pull_c: readonly number[], trace: CoreTrace | undefined): number | undefined {
  if (until.kind === 'pull') return trace?.since(pull_c)
  return until.kind === 'core' ? trace?.since(pull_c.map(() => until.core_c)) : undefined
}

/** A core moves less than this in one step, K: a body of a few centimetres in a roaring oven moves about 2 K in a minute. */
const NEAR_END = 12

/**
 * Cooks a piece through a program, to the knife. Deterministic: same set-up, same answer.
 *
 * The step that meets a stage's condition is taken again to the instant.
 *
 * @param watcher looks on after each step; a cook it ends has the outcome `watched`
 * @param past goes on from there; its stages before are not told again
 */
export function cook(setup: CookSetup, watcher?: Watcher, past?: CookPast): CookRun {
  const { program } = setup
  const stepper = new RoastStepper(setup)
  const { kernels, points } = stepper
  const recorder = new CurveRecorder(3 + kernels.length, watcher?.bare ? 4 : 1024)
  const stages: StageRun[] = []
  const pullIndex = pullStageIndex(program)
  const peak_c = kernels.map(() => Number.NEGATIVE_INFINITY)
  const peak_s = kernels.map(() => 0)
  let pullCore_c: number[] = kernels.map((kernel) => kernel.core_c)
  let pull_s = 0
  let ready_s: number | undefined
  let trace: CoreTrace | undefined
  let outcome: CookRun['outcome'] = 'reached'
  let pulled = false
  let enough = false

  const trackPeak = () => {
    for (let i = 0; i < kernels.length; i++) {
      const core = (kernels[i] as RoastKernel).core_c
      if (core > (peak_c[i] as number)) {
        peak_c[i] = core
        peak_s[i] = stepper.time_s
      }
    }
  }
  const seen = (from_s: number) => {
    trackPeak()
    if (!watcher?.bare) recorder.add(stepper.time_s, stepper.air_c, kernels)
    if (watcher?.stepped(stepper, from_s)) enough = true
  }

  const first = past?.index ?? 0
  for (let index = first; index < program.stages.length && !enough; index++) {
    const stage = program.stages[index] as Stage
    const { until } = stage
    if (past && index === first) stepper.goOnFrom(past.stepper, stage)
    else stepper.begin(stage)
    const start = stepper.stageStart_s
    const fixed_s = until.kind === 'time' ? until.duration_s : until.kind === 'clock' ? until.least_s : undefined
    const end = start + (fixed_s ?? STAGE_LIMIT_S)
    if (index === 0) recorder.add(start, stepper.begun_c, kernels)
    // Whatever the model says, what is known to be in has not been pulled.
    const still_s = index === pullIndex && fixed_s === undefined ? (setup.stillIn_s ?? 0) : 0
    const lacking = () => (stepper.time_s < still_s - 1e-6 ? Number.POSITIVE_INFINITY : stepper.lacking())
    if (still_s > 0) {
      trace = new CoreTrace(past && index === first ? past.trace : undefined)
      if (!past || index > first) trace.add(stepper.time_s, kernels)
    }
    let ended = fixed_s !== undefined
    let gap = lacking()
    if (gap <= 0) ended = true
    else
      while (stepper.time_s < end - 1e-6 && !enough) {
        const from = stepper.time_s
        const step = stepper.stepTo(from < still_s - 1e-6 ? Math.min(end, still_s) : end)
        // Known to be in still, its gap says nothing: the step ends where that does.
        const near = Number.isFinite(gap) && (gap < NEAR_END || until.kind === 'colour' || until.kind === 'tender')
        if (near) stepper.save()
        stepper.advance(step)
        const after = near ? stepper.lacking() : Number.POSITIVE_INFINITY
        if (after <= 0) {
          const part = Math.max(1e-3, Math.min(1, gap / (gap - after))) * step
          stepper.restore()
          stepper.advance(part)
          stepper.settle(part)
          ended = true
          seen(from)
          break
        }
        stepper.settle(step)
        if (from < still_s) trace?.add(stepper.time_s, kernels)
        gap = lacking()
        seen(from)
        if (gap <= 0) {
          ended = true
          break
        }
      }
    if (!ended) outcome = enough ? 'watched' : 'time_limit'
    if (index === pullIndex && ended) ready_s = readyBy(until, setup.pull_c, trace) ?? stepper.time_s
    stages.push({ stage, start_s: start, end_s: stepper.time_s, core_c: stepper.core_c, ended })
    if (index === pullIndex && ended) {
      pulled = true
      pull_s = stepper.time_s
      pullCore_c = kernels.map((kernel) => kernel.core_c)
      trackPeak()
    }
    if (!ended) break
  }
  // Never pulled there is nothing to show.
  if (!pulled) peak_c.fill(Number.NEGATIVE_INFINITY)
  return {
    outcome,
    stages,
    curve: recorder.finish(),
    pulled,
    pull_s,
    ready_s,
    trace,
    pullCore_c,
    peak_c,
    peak_s,
    carve_s: stepper.time_s,
    points,
    kernels,
    steps: stepper.steps,
  }
}

/**
 * How hot a body came to be, °C: at its peak, or, where it was never pulled, as hot as it was at all (cooled from the
 * start, that is where it began).
 */
export function reachedBy(run: CookRun, body: number): number {
  if (run.pulled) return run.peak_c[body] as number
  return (run.curve.core_c[body] ?? new Float64Array())
    .subarray(0, run.curve.length)
    .reduce((a, b) => Math.max(a, b), -Infinity)
}
