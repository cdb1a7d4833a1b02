import type { PieceSize, PointId } from '../heat/piece'
import { temperatureInside, throughStem } from '../heat/probe'
import { pullStageIndex, type Stage } from '../program/stage'
import { isPointSafe, type SafetyLeast, SafetyMeter } from '../safety/least'
import { type CookPast, type CookRun, cook, type Watcher } from '../simulate/cook'
import {
  type AirReading,
  type CookConditions,
  type CookSetup,
  INSTANT_S,
  RESOLUTION,
  type RoastStepper,
  type StageChange,
} from '../simulate/stepper'
import type { Reading } from './reading'
import { type Knife, Resting } from './resting'
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
  /** Each unknown is only what it is called: to say what was learned of it, not to foretell. */
  readonly named?: boolean
  /** What makes it safe, where something is asked: the share of members that are is counted. */
  readonly least?: SafetyLeast | undefined
  /** Undefined where the rest is as long as its program's, come what may. */
  readonly knife?: Knife | undefined
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
  /** What becomes of it after its pull; safe is true where nothing is asked. Only of a whole run. */
  readonly resting: Resting
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

/** Looks on at one member: reads its probes, and what becomes of it. */
class MemberWatch implements Watcher {
  readonly bare = true
  readonly predicted: Float64Array
  readonly course: number[] = []
  readonly probes: ({ time_s: number[]; value_c: number[] } | undefined)[]
  readonly resting = new Resting()
  private before: number[]
  private next: number[]
  private coreBefore_c: number
  private meters: SafetyMeter[]
  private highest: number[]
  private readonly depths: readonly number[]
  /** Of two sittings in a body the present one is read on. */
  private readonly present: readonly boolean[]
  private readonly after: ReadonlySet<Stage>

  /** @param until_s enough is seen then, s; undefined: at the knife */
  constructor(
    private readonly setup: EstimateSetup,
    private readonly of: Drawn,
    private readonly readings: readonly Reading[],
    private readonly tracks: readonly Track[],
    private readonly whole: boolean,
    bodies: number,
    private readonly until_s: number | undefined,
  ) {
    const start_c = setup.startCore_c ?? setup.start_c + of('start_k')
    this.predicted = new Float64Array(readings.length)
    this.depths = tracks.map(({ depth }) => (setup.certain ? 0 : depthOf(of(depth))))
    this.before = tracks.map(() => start_c)
    this.next = tracks.map(() => 0)
    this.coreBefore_c = start_c
    this.probes = Array.from({ length: bodies }, () => undefined)
    for (const { body } of tracks) this.probes[body] = { time_s: [], value_c: [] }
    // The one shown is first.
    this.present = tracks.map((track, t) => tracks.findIndex(({ body }) => body === track.body) === t)
    const { least } = setup
    this.meters = least && whole ? Array.from({ length: bodies }, () => new SafetyMeter(least)) : []
    this.highest = Array.from({ length: bodies }, () => Number.NEGATIVE_INFINITY)
    this.after = new Set(setup.program.stages.slice(pullStageIndex(setup.program) + 1))
  }

  /** The same so far, for another way of going on. */
  goingOn(setup: EstimateSetup): MemberWatch {
    const watch = new MemberWatch(setup, this.of, this.readings, this.tracks, true, this.probes.length, undefined)
    watch.predicted.set(this.predicted)
    watch.course.push(...this.course)
    this.probes.forEach((probe, body) => {
      if (probe) watch.probes[body] = { time_s: [...probe.time_s], value_c: [...probe.value_c] }
    })
    watch.before = [...this.before]
    watch.next = [...this.next]
    watch.coreBefore_c = this.coreBefore_c
    this.meters.forEach((meter, body) => {
      watch.meters[body]?.goOnFrom(meter)
    })
    watch.highest = [...this.highest]
    watch.resting.goOnFrom(this.resting)
    return watch
  }

  stepped(stepper: RoastStepper, from_s: number): boolean {
    const { setup, readings, tracks, whole, course } = this
    const to_s = stepper.time_s
    const { least } = setup
    let safe = true
    this.meters.forEach((meter, body) => {
      const core_c = stepper.kernels[body]?.core_c ?? Number.NaN
      meter.add(to_s - from_s, core_c)
      const highest_c = Math.max(this.highest[body] as number, core_c)
      this.highest[body] = highest_c
      if (least && !isPointSafe(least, stepper.points[body] as PointId, meter, highest_c)) safe = false
    })
    if (whole) this.resting.add(stepper, this.after.has(stepper.stage), safe)
    for (let t = 0; t < tracks.length; t++) {
      const track = tracks[t] as Track
      const kernel = stepper.kernels[track.body]
      if (!kernel) continue
      const depth = this.depths[t] as number
      const value = depth === 0 ? kernel.core_c : throughStem(temperatureInside(kernel, depth), stepper.air_c)
      const from = this.before[t] as number
      for (let at = this.next[t] as number; at < track.indices.length; at++) {
        const index = track.indices[at] as number
        const { time_s } = readings[index] as Reading
        if (time_s > to_s) break
        const part = to_s > from_s ? (time_s - from_s) / (to_s - from_s) : 1
        this.predicted[index] = from + Math.min(1, Math.max(0, part)) * (value - from)
        this.next[t] = at + 1
      }
      this.before[t] = value
      if (whole && this.present[t]) {
        this.probes[track.body]?.time_s.push(to_s)
        this.probes[track.body]?.value_c.push(value)
      }
    }
    if (!whole) return to_s >= (this.until_s ?? Number.POSITIVE_INFINITY)
    const core_c = stepper.kernels[readings.at(-1)?.body ?? 0]?.core_c ?? Number.NaN
    if (stepper.stage.role === 'cook')
      while (course.length * COURSE_STEP_S <= to_s) {
        const part = to_s > from_s ? (course.length * COURSE_STEP_S - from_s) / (to_s - from_s) : 1
        course.push(this.coreBefore_c + Math.min(1, Math.max(0, part)) * (core_c - this.coreBefore_c))
      }
    this.coreBefore_c = core_c
    return this.until_s !== undefined && to_s >= this.until_s - INSTANT_S
  }

  /** What was read after its own end it would have gone on reading. */
  finish(): void {
    this.tracks.forEach(({ indices }, t) => {
      for (let at = this.next[t] as number; at < indices.length; at++)
        this.predicted[indices[at] as number] = this.before[t] as number
    })
  }
}

/** A member until now: ways of going on with it begin there. */
export interface MemberPast {
  readonly past: CookPast
  readonly watch: MemberWatch
}

const cookSetupOf = (setup: EstimateSetup, of: Drawn): CookSetup => {
  const parameters = parametersOf(of, setup.parameters)
  // What stays hot longer gives a cold roast more, too.
  const stays = Math.exp(of('cooling'))
  return {
    bodies: bodiesAs(of, setup.piece, setup.thickness_m, parameters),
    program: setup.program,
    oven: {
      ...setup.oven,
      offset_k: setup.oven.offset_k + of('oven_k'),
      fire_k: of('oven_k'),
      swing_k: 0,
      decay_s: setup.oven.decay_s * stays,
      capacity_j_per_k: setup.oven.capacity_j_per_k * stays,
    },
    start_c: setup.start_c + of('start_k'),
    startCore_c: setup.startCore_c,
    pull_c: setup.pull_c,
    parameters,
    resolution: setup.certain ? RESOLUTION.answer : RESOLUTION.estimate,
    changes: setup.changes,
    air: setup.air,
    stillIn_s: setup.now_s,
  }
}

/**
 * Cooks one member by the one stepper and reads its probes on the way.
 *
 * @param readings what to predict, by time
 * @param whole to the knife, with its course; else only until the last reading
 * @param known the same member until now, by the same readings: see {@link pastOf}
 */
export function cookMember(
  setup: EstimateSetup,
  of: Drawn,
  readings: readonly Reading[],
  tracks: readonly Track[],
  whole: boolean,
  known?: MemberPast,
): MemberRun {
  const asked = cookSetupOf(setup, of)
  const until_s = whole ? undefined : (readings.at(-1)?.time_s ?? 0)
  const watch =
    known?.watch.goingOn(setup) ?? new MemberWatch(setup, of, readings, tracks, whole, asked.bodies.length, until_s)
  const run = cook(asked, watch, known?.past)
  watch.finish()
  const { predicted, course, probes, resting } = watch
  return { run, resting, predicted, course, probes }
}

/**
 * A member until now, for ways of going on that all begin there: with {@link nowMarked} changes. Undefined where it is
 * out by then.
 */
export function pastOf(
  setup: EstimateSetup,
  of: Drawn,
  readings: readonly Reading[],
  tracks: readonly Track[],
): MemberPast | undefined {
  const asked = cookSetupOf(setup, of)
  const watch = new MemberWatch(setup, of, readings, tracks, true, asked.bodies.length, setup.now_s)
  let stepper: RoastStepper | undefined
  const { outcome, stages, trace } = cook(asked, {
    bare: true,
    stepped: (at, from_s) => {
      stepper = at
      return watch.stepped(at, from_s)
    },
  })
  const index = stages.length - 1
  return outcome === 'watched' && stepper && index <= pullStageIndex(setup.program)
    ? { past: { stepper, index, trace }, watch }
    : undefined
}

/** The changes of a cook with a mark at now, which ends a step and changes nothing: what goes on from there begins with the same. */
export const nowMarked = ({ changes = [], now_s }: Pick<EstimateSetup, 'changes' | 'now_s'>): StageChange[] => [
  ...changes.filter(({ time_s }) => time_s <= now_s),
  { time_s: now_s },
  ...changes.filter(({ time_s }) => time_s > now_s),
]
