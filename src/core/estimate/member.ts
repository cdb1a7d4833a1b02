import type { PieceSize, PointId } from '../heat/piece'
import { isPointSafe, type SafetyLeast, SafetyMeter } from '../safety/least'
import { type CookRun, cook } from '../simulate/cook'
import {
  type AirReading,
  type CookConditions,
  RESOLUTION,
  type RoastStepper,
  type StageChange,
} from '../simulate/stepper'
import type { Reading } from './reading'
import { bodiesAs, type Drawn, depthOf, parametersOf } from './unknowns'

/** A cook in progress as the estimator takes it. */
export interface EstimateSetup extends CookConditions {
  readonly piece: PieceSize
  /** Told or usual, m. */
  readonly thickness_m: number
  /** What was done outside it. */
  readonly changes?: readonly StageChange[] | undefined
  /** By time; of all points. The last one's point is the one shown. */
  readonly readings: readonly Reading[]
  /** Air probe, where there is one: then the oven is known and not guessed. */
  readonly air?: readonly AirReading[] | undefined
  readonly now_s: number
  /** The thickness was measured. */
  readonly measured: boolean
  /** What makes it safe, where something is asked: the share of members that are is counted. */
  readonly least?: SafetyLeast | undefined
  readonly members: number
  readonly seed: number
  /** Nothing is doubted: one member, as told, as finely as a plan. */
  readonly certain?: boolean
}

export const COURSE_STEP_S = 300

/** What a member's probe reads through time. */
export interface ProbeCourse {
  readonly time_s: readonly number[]
  readonly value_c: readonly number[]
}

/** What one member says of one cook. */
export interface MemberRun {
  readonly run: CookRun
  /** Safe at every point; true where nothing is asked. */
  readonly safe: boolean
  /** What its probe reads at each reading asked for, °C. */
  readonly predicted: Float64Array
  /** Its true centre at the point shown, each five minutes; NaN after the pull. */
  readonly course: readonly number[]
  /** The probe of each body as it sits now, at each step; undefined where a body has none. */
  readonly probes: readonly (ProbeCourse | undefined)[]
}

/** Readings by where the probe sits: which body, which sitting, which of the two depths. */
interface Track {
  readonly body: number
  readonly depth: 'depth' | 'depth2'
  readonly indices: readonly number[]
}

/**
 * The tracks of some readings; the one shown first.
 * @example tracksOf([{ time_s: 60, value_c: 5, body: 0 }, { time_s: 60, value_c: 6, body: 1 }]).length // 2
 */
export function tracksOf(readings: readonly Reading[]): Track[] {
  const shown = readings.at(-1)
  const tracks = new Map<string, { body: number; depth: Track['depth']; indices: number[] }>()
  readings.forEach((reading, i) => {
    const body = reading.body ?? 0
    const sitting = reading.sitting ?? 0
    const key = `${body}/${sitting}`
    const depth = body === (shown?.body ?? 0) && sitting === 0 ? 'depth' : 'depth2'
    const track = tracks.get(key) ?? { body, depth, indices: [] }
    track.indices.push(i)
    tracks.set(key, track)
  })
  const own = `${shown?.body ?? 0}/${shown?.sitting ?? 0}`
  return [...tracks].sort(([a], [b]) => Number(b === own) - Number(a === own)).map(([, track]) => track)
}

/**
 * Cooks one member by the one stepper and reads its probes on the way.
 *
 * @param readings what to predict, by time
 * @param whole to the knife, with its course; else only until the last reading
 */
export function cookMember(
  setup: EstimateSetup,
  of: Drawn,
  readings: readonly Reading[],
  tracks: readonly Track[],
  whole: boolean,
): MemberRun {
  const parameters = parametersOf(of, setup.parameters)
  const bodies = bodiesAs(of, setup.piece, setup.thickness_m, parameters)
  const start_c = setup.start_c + of('start_k')
  const shown = readings.at(-1)?.body ?? 0
  const predicted = new Float64Array(readings.length)
  const depths = tracks.map(({ depth }) => (setup.certain ? 0 : depthOf(of(depth))))
  const before = tracks.map(() => setup.startCore_c ?? start_c)
  const next = tracks.map(() => 0)
  const last_s = readings.at(-1)?.time_s ?? 0
  const course: number[] = []
  let coreBefore_c = setup.startCore_c ?? start_c
  const probes: ({ time_s: number[]; value_c: number[] } | undefined)[] = bodies.map(() => undefined)
  // The one shown is last, so of two sittings in a body the present one stays.
  for (const { body } of tracks.toReversed()) probes[body] = { time_s: [], value_c: [] }
  const present = tracks.map((track, t) => tracks.findIndex(({ body }) => body === track.body) === t)
  const { least } = setup
  const meters = least && whole ? bodies.map(() => new SafetyMeter(least)) : []
  const stepped = (stepper: RoastStepper, from_s: number): boolean => {
    const to_s = stepper.time_s
    meters.forEach((meter, body) => {
      meter.add(to_s - from_s, stepper.kernels[body]?.core_c ?? Number.NaN)
    })
    tracks.forEach((track, t) => {
      const kernel = stepper.kernels[track.body]
      if (!kernel) return
      const depth = depths[t] as number
      const value = depth === 0 ? kernel.core_c : kernel.temperatureAtShare(depth)
      const from = before[t] as number
      for (let at = next[t] as number; at < track.indices.length; at++) {
        const index = track.indices[at] as number
        const { time_s } = readings[index] as Reading
        if (time_s > to_s) break
        const part = to_s > from_s ? (time_s - from_s) / (to_s - from_s) : 1
        predicted[index] = from + Math.min(1, Math.max(0, part)) * (value - from)
        next[t] = at + 1
      }
      before[t] = value
      if (whole && present[t]) {
        probes[track.body]?.time_s.push(to_s)
        probes[track.body]?.value_c.push(value)
      }
    })
    if (!whole) return to_s >= last_s
    const core_c = stepper.kernels[shown]?.core_c ?? Number.NaN
    if (stepper.stage.role === 'cook')
      while (course.length * COURSE_STEP_S <= to_s) {
        const part = to_s > from_s ? (course.length * COURSE_STEP_S - from_s) / (to_s - from_s) : 1
        course.push(coreBefore_c + Math.min(1, Math.max(0, part)) * (core_c - coreBefore_c))
      }
    coreBefore_c = core_c
    return false
  }
  const run = cook(
    {
      bodies,
      program: setup.program,
      oven: { ...setup.oven, offset_k: setup.oven.offset_k + of('oven_k'), swing_k: 0 },
      start_c,
      startCore_c: setup.startCore_c,
      pull_c: setup.pull_c,
      parameters,
      resolution: setup.certain ? RESOLUTION.answer : RESOLUTION.estimate,
      changes: setup.changes,
      air: setup.air,
      stillIn_s: setup.now_s,
    },
    { stepped, bare: true },
  )
  // What was read after its own end it would have gone on reading.
  tracks.forEach((track, t) => {
    for (let at = next[t] as number; at < track.indices.length; at++)
      predicted[track.indices[at] as number] = before[t] as number
  })
  const safe =
    least === undefined ||
    meters.every((meter, body) => isPointSafe(least, run.points[body] as PointId, meter, run.peak_c[body] as number))
  return { run, safe, predicted, course, probes }
}
