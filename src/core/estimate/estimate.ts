import { pullStageIndex } from '../program/stage'
import type { CookRun } from '../simulate/cook'
import { type Spread, spreadOf } from './ensemble'
import { COURSE_STEP_S, cookMember, type EstimateSetup, type MemberPast, pastOf, tracksOf } from './member'
import { blendedPull, fitsOf, pacedPull, pacesOf } from './pace'
import { normalQuantile, quantile, seededRandom, uncorrelatedNormals } from './random'
import type { Reading } from './reading'
import { restUntil } from './resting'
import { smooth } from './smoother'
import { type Drawn, depthOf, doubtOf, MIDDLE, NAMES, UNKNOWNS, type Unknown } from './unknowns'

export { type EstimateSetup, nowMarked } from './member'

export interface Estimate {
  /** Time of the pull since put-in, s; NaN where most members never get there. */
  readonly pull_s: Spread
  /** When the knife begins, with the rest and finish of the program, s since put-in. */
  readonly carve_s: Spread
  /** Highest core of the least-done point from the pull to the knife, °C. */
  readonly peak_c: Spread
  /** Each point now and at the pull, middle, °C: true centres, not readings. */
  readonly points: readonly { readonly pull_c: number; readonly peak_c: number }[]
  /** Share of members that get there. */
  readonly arriving: number
  /** Share of those that are safe at every point, by peak or by all they had; undefined where nothing was asked. */
  readonly safe: number | undefined
  /** What the readings have taught: posterior mean and spread of each unknown, in its own unit. */
  readonly inferred: readonly {
    readonly name: Unknown
    readonly mean: number
    readonly spread: number
    readonly prior: number
  }[]
  /** Root mean square of reading less prediction, K. */
  readonly misfit_k: number
  /** Readings no member could explain, by their index: set aside. */
  readonly aside: readonly number[]
  /** Predicted core (true centre) of the point shown through time: median and band, each five minutes. */
  readonly course: readonly {
    readonly time_s: number
    readonly low_c: number
    readonly middle_c: number
    readonly high_c: number
  }[]
  readonly members: number
  /** Each member's own middle, for two ways that are asked of the same members; NaN where it never gets there. */
  readonly each: MemberEnds
  /** Where the belief is anchored: the same for every way of going on with it. */
  readonly anchor: Anchor
}

/** How a cook ends by each member: pull and knife, s since put-in, and the highest core of the least-done point, °C. */
export interface MemberEnds {
  readonly pull_s: Float64Array
  readonly carve_s: Float64Array
  readonly peak_c: Float64Array
}

/** Members after the readings: what a cook in progress is believed to be. Plain numbers. */
export interface Posterior {
  readonly theta: readonly Float64Array[]
  readonly members: number
  readonly aside: readonly number[]
}

/** Most readings used of each probe: spread evenly, the last always among them. More teach nothing new, for errors are correlated. */
const MOST_READINGS = 24
/** Error of one reading, K: noise of the probe and of the model between readings. */
const READING_K = 0.4
/** The first reading's error over the last one's, less one. */
const OLD_DOUBT = 0.5
/** A reading is set aside where it is farther from every belief than this many deviations, and this far, K. */
const ASIDE = { deviations: 6, least_k: 15 } as const
/** So many readings take half of what coarse members are off. */
const FINER_READINGS = 6
/** Rounds of the smoother; each takes 1/ROUNDS of the evidence. */
const ROUNDS = 2
/** What members differ by goes so much of the way: wide doubts are narrowed by more than a half. */
const NARROWED = 0.7
/** Doubt about the future that no reading can take away, as a share of the time still to go. Set on unlike truth models (`npm run validate`). */
const FUTURE_DOUBT = 0.03
/** And as a share of the whole cook, fading over its last fifth. */
const MODEL_DOUBT = 0.018

/** A band with the middle of what is believed, where doubt about the future would move that. */
function around(values: readonly number[], middles: readonly number[]): Spread {
  const { p10, p50, p90 } = spreadOf(values)
  return Number.isFinite(p50)
    ? { p10, p50: Math.min(p90, Math.max(p10, spreadOf(middles).p50)), p90 }
    : { p10, p50, p90 }
}

/** What the future may bring, as equal shares of a standard normal. */
const AHEAD = Array.from({ length: 9 }, (_, i) => normalQuantile((i + 0.5) / 9))
const NOTHING_AHEAD = [0]

interface Wanted extends Reading {
  readonly index: number
}

/** Readings until now, thinned evenly in time, each probe by itself. */
function thinned(readings: readonly Reading[], now_s: number): Wanted[] {
  const all = readings.map((reading, index) => ({ ...reading, index }))
  const own = all.filter(({ time_s, value_c }) => time_s > 0 && time_s <= now_s && Number.isFinite(value_c))
  const groups = new Map<string, Wanted[]>()
  for (const reading of own) {
    const key = `${reading.body ?? 0}`
    groups.set(key, [...(groups.get(key) ?? []), reading])
  }
  const most = groups.size > 1 ? Math.ceil((1.5 * MOST_READINGS) / groups.size) : MOST_READINGS
  return [...groups.values()]
    .flatMap((group) =>
      group.length <= most
        ? group
        : Array.from({ length: most }, (_, i) => group[Math.round((i * (group.length - 1)) / (most - 1))] as Wanted),
    )
    .sort((a, b) => a.time_s - b.time_s || a.index - b.index)
}

/** The share of the way to its pull that the least climbed body reads. */
function climbedBy({ readings, now_s, pull_c, start_c, startCore_c = start_c }: EstimateSetup): number {
  const last = new Map<number, number>()
  for (const { time_s, value_c, body = 0 } of readings)
    if (time_s > 0 && time_s <= now_s && Number.isFinite(value_c)) last.set(body, value_c)
  const shares = [...last].map(
    ([body, value_c]) =>
      (value_c - startCore_c) / Math.max(1, (pull_c[body] ?? Number.POSITIVE_INFINITY) - startCore_c),
  )
  return shares.length === 0 ? 0 : Math.min(...shares)
}

const drawnOf =
  (theta: readonly Float64Array[], member: number): Drawn =>
  (name) =>
    (theta[NAMES.indexOf(name)] as Float64Array)[member] as number

/**
 * Sharpens the belief about a cook by its readings: an ensemble smoother with multiple data
 * assimilation. Members stay whole cooks of the one stepper, so what comes out is physically one
 * piece; what the model cannot say is in `late`, in the error of a reading, and in a share of the time
 * to go that no reading takes away.
 */
export function assimilate(setup: EstimateSetup): Posterior {
  if (setup.certain) return { theta: NAMES.map(() => new Float64Array(1)), members: 1, aside: [] }
  const { members, seed } = setup
  const climbed = setup.named ? 0 : climbedBy(setup)
  const drawn = uncorrelatedNormals(NAMES.length, members, seededRandom(seed))
  const theta = NAMES.map((name, p) => {
    const spread = doubtOf(name, climbed) * (name === 'thickness' && setup.measured ? 0.5 : 1)
    const middle = MIDDLE[name] ?? 0
    return (drawn[p] as Float64Array).map((value) => middle + value * spread)
  })
  let wanted = thinned(setup.readings, setup.now_s)
  const aside: number[] = []
  for (let round = 0; round < ROUNDS && wanted.length > 0; round++) {
    const tracks = tracksOf(wanted)
    const said = Array.from(
      { length: members },
      (_, m) => cookMember(setup, drawnOf(theta, m), wanted, tracks, false).predicted,
    )
    const fits = wanted.map((reading, k) => round > 0 || explained(reading.value_c, said, k))
    if (round === 0) for (const [k, { index }] of wanted.entries()) if (!fits[k]) aside.push(index)
    const kept = wanted.flatMap((_, k) => (fits[k] ? [k] : []))
    if (kept.length === 0) break
    const predictions = new Float64Array(kept.length * members)
    const errors = kept.map((k) => readingError(wanted[k] as Wanted, setup.now_s))
    kept.forEach((k, row) => {
      for (let m = 0; m < members; m++)
        predictions[row * members + m] = (said[m]?.[k] as number) / (errors[row] as number)
    })
    smooth(
      theta,
      predictions,
      kept.map((k, row) => (wanted[k]?.value_c as number) / (errors[row] as number)),
      members,
      ROUNDS,
      NARROWED,
    )
    wanted = kept.map((k) => wanted[k] as Wanted)
  }
  return { theta, members, aside }
}

/** Error of a reading, K: long ago it says more of how a model begins than of how this cook will end. */
const readingError = ({ time_s }: Reading, now_s: number): number =>
  READING_K * (1 + OLD_DOUBT * (1 - Math.min(1, time_s / Math.max(1, now_s))))

/** Whether any belief comes near a reading. */
function explained(value_c: number, said: readonly Float64Array[], k: number): boolean {
  let sum = 0
  let square = 0
  for (const predicted of said) {
    sum += predicted[k] as number
    square += (predicted[k] as number) ** 2
  }
  const mean = sum / said.length
  const deviation = Math.sqrt(Math.max(0, square / said.length - mean ** 2) + READING_K ** 2)
  return Math.abs(value_c - mean) <= Math.max(ASIDE.least_k, ASIDE.deviations * deviation)
}

/**
 * What a belief says of a cook from now to the knife, or of another way of going on with it.
 *
 * @param most members to ask, taken evenly; all by default. Two ways asked of the same members are compared pair by pair.
 * @param known what of the belief has been found already
 */
export function foresee(
  setup: EstimateSetup,
  posterior: Posterior,
  most = posterior.members,
  known: Known = {},
): Estimate {
  const { theta } = posterior
  const count = Math.min(most, posterior.members)
  const { usable, wanted, tracks } = readAs(setup, posterior)
  const paces = pacesOf(usable, setup.pull_c.length, setup.now_s)
  const fits = setup.certain ? [] : fitsOf(setup, usable)
  // A pull by the clock comes when the clock says; nothing is to be foreseen. One by what has become of the meat is no
  // reading that a line could be drawn to.
  const byClock = endsByClock(setup)
  const until = endOf(setup)
  const byReading = until === 'pull' || until === 'core'
  const anchor = known.anchor ?? anchorFor(setup, posterior)
  // Members that were moved to readings have taken their own coarseness into account with them.
  const finer = anchor.share / (1 + wanted.length / FINER_READINGS)
  const future = setup.certain || byClock ? NOTHING_AHEAD : AHEAD
  const pulls: number[] = []
  const carves: number[] = []
  const middles = { pull: [] as number[], carve: [] as number[] }
  const peaks: number[] = []
  const none = () => new Float64Array(count).fill(Number.NaN)
  const each = { pull_s: none(), carve_s: none(), peak_c: none() }
  const points: { pull: number[]; peak: number[] }[] = []
  const courses: (readonly number[])[] = []
  let misfit = 0
  let safe = 0
  for (let m = 0; m < count; m++) {
    const member = cookMember(setup, askedOf(posterior, m, count), wanted, tracks, true, known.pasts?.[m])
    const { run } = member
    courses.push(member.course)
    for (let k = 0; k < wanted.length; k++)
      misfit += ((wanted[k] as Reading).value_c - (member.predicted[k] as number)) ** 2
    if (run.outcome !== 'reached') continue
    const left = Math.max(0, run.pull_s - setup.now_s)
    const decides = decidingOf(run.pullCore_c, setup.pull_c)
    const pace = paces[decides]
    const probe = member.probes[decides]
    const seen = pace && probe && byReading ? pacedPull(run.pull_s, probe, pace, setup.now_s) : undefined
    const paced = seen?.pull_s ?? run.pull_s
    const fitted = fits[decides]
    const blended = fitted === undefined || !byReading ? paced : blendedPull(paced, fitted, run.pull_s, setup.now_s)
    const ahead = Math.max(left, blended - setup.now_s)
    const whole = Math.max(blended, setup.now_s)
    const doubt = FUTURE_DOUBT * ahead + MODEL_DOUBT * whole * Math.min(1, ahead / (0.2 * Math.max(1, whole)))
    // The future is drawn for no member: each stands for all of it, so that chance moves nothing.
    const middle = byClock ? run.pull_s : Math.max(setup.now_s, blended + finer * Math.max(0, blended - setup.now_s))
    const after = run.carve_s - run.pull_s
    middles.pull.push(middle)
    middles.carve.push(Math.max(setup.now_s, middle + after))
    for (const ahead_z of future) {
      const pull = byClock ? middle : Math.max(setup.now_s, middle + doubt * ahead_z)
      pulls.push(pull)
      carves.push(Math.max(setup.now_s, pull + after))
    }
    // A core that climbs slower at its pull than a member's climbs less after it, by as much; and none climbs once it
    // is carved.
    const climbs = seen?.pace ?? 1
    const rested = member.resting.at(run.pull_s + restUntil(setup.knife, after, middle))
    const highest_c = run.pullCore_c.map((pulled_c, i) => {
      const climbed_k = Math.max(0, (rested.peak_c[i] as number) - pulled_c)
      const whole_k = Math.max(1e-6, (run.peak_c[i] as number) - pulled_c)
      const peak_c = Math.min(BOILING_C, pulled_c + climbs * climbed_k)
      return anchored(peak_c, anchor.peak_k * Math.min(1, climbed_k / whole_k))
    })
    const peak_c = Math.min(...highest_c)
    peaks.push(peak_c)
    each.pull_s[m] = middle
    each.carve_s[m] = Math.max(setup.now_s, middle + after)
    each.peak_c[m] = peak_c
    if (rested.safe) safe++
    run.pullCore_c.forEach((value, i) => {
      points[i] ??= { pull: [], peak: [] }
      points[i].pull.push(value)
      points[i].peak.push(highest_c[i] as number)
    })
  }
  const arriving = peaks.length / count
  const some = arriving > 0.5
  return {
    pull_s: around(some ? pulls : [], middles.pull),
    carve_s: around(some ? carves : [], middles.carve),
    peak_c: spreadOf(some ? peaks : []),
    points: points.map(({ pull, peak }) => ({ pull_c: spreadOf(pull).p50, peak_c: spreadOf(peak).p50 })),
    arriving,
    safe: setup.least === undefined || peaks.length === 0 ? undefined : safe / peaks.length,
    inferred: NAMES.map((name, p) => {
      const column = theta[p] as Float64Array
      const mean = column.reduce((sum, value) => sum + value, 0) / column.length
      const variance = column.reduce((sum, value) => sum + (value - mean) ** 2, 0) / column.length
      return {
        name,
        mean: name === 'depth' || name === 'depth2' ? depthOf(mean) : mean,
        spread: Math.sqrt(variance),
        prior: UNKNOWNS[name],
      }
    }),
    misfit_k: wanted.length > 0 ? Math.sqrt(misfit / (wanted.length * count)) : 0,
    aside: posterior.aside,
    course: courseOf(courses, some ? Math.max(...pulls) : 0),
    members: count,
    each,
    anchor,
  }
}

/** What of a belief need not be found again: ways that are compared share it. */
export interface Known {
  readonly anchor?: Anchor
  /** Of each member that is asked, by {@link pastsOf}. */
  readonly pasts?: readonly (MemberPast | undefined)[]
}

/** The readings of a cook as they are used. */
function readAs(setup: EstimateSetup, posterior: Posterior) {
  const aside = new Set(posterior.aside)
  const usable = setup.readings.map((reading, i) => ({ ...reading, i })).filter(({ i }) => !aside.has(i))
  const wanted = thinned(usable, setup.now_s)
  return { usable, wanted, tracks: tracksOf(wanted) }
}

/** The m-th of so many members, taken evenly. */
const askedOf = ({ theta, members }: Posterior, m: number, count: number): Drawn =>
  drawnOf(theta, Math.floor((m * members) / count))

/** Members until now, for ways of going on with them: asked with the same `most`, and {@link nowMarked} changes. */
export function pastsOf(setup: EstimateSetup, posterior: Posterior, most: number): (MemberPast | undefined)[] {
  const count = Math.min(most, posterior.members)
  const { wanted, tracks } = readAs(setup, posterior)
  return Array.from({ length: count }, (_, m) => pastOf(setup, askedOf(posterior, m, count), wanted, tracks))
}

/** The body that is last at its reading. */
function decidingOf(core_c: readonly number[], pull_c: readonly number[]): number {
  let decides = 0
  for (let i = 1; i < core_c.length; i++)
    if ((core_c[i] as number) - (pull_c[i] as number) < (core_c[decides] as number) - (pull_c[decides] as number))
      decides = i
  return decides
}

const NOTHING_DRAWN: Drawn = () => 0
const endOf = ({ program }: EstimateSetup) => program.stages[pullStageIndex(program)]?.until.kind
const endsByClock = (setup: EstimateSetup): boolean => {
  const until = endOf(setup)
  return until === 'time' || until === 'clock'
}

/** No core that is worth foretelling gets hotter, °C. */
const BOILING_C = 100
/** Near the boiling point nothing climbs farther, °C. */
const NEAR_BOILING_C = 94
const anchored = (peak_c: number, more_k: number): number =>
  more_k < 0 ? peak_c + more_k : Math.max(peak_c, Math.min(peak_c + more_k, NEAR_BOILING_C))

/** Where a roast as told lies against the members of a belief: later by a share of its time, higher at its peak by so much, K. */
export interface Anchor {
  readonly share: number
  readonly peak_k: number
}
const NO_ANCHOR: Anchor = { share: 0, peak_k: 0 }
/** So many members tell where the middle of the belief lay before anything was read, once something is. */
const ANCHOR_MEMBERS = 32

/**
 * By what share of its time a roast as told pulls later than the middle of what is believed before any reading:
 * members are cooked coarsely, to be many, and half of them being slower does not put the middle one at what was
 * told. Until something is read, a board says what its plan said.
 *
 * Its rise is anchored too, see {@link climbsMore}. Nothing is where nothing is doubted, or it is pulled by the clock.
 */
function anchorFor(setup: EstimateSetup, posterior: Posterior): Anchor {
  if (setup.certain || endsByClock(setup)) return NO_ANCHOR
  const told = asTold(setup)
  const fine = toldRun(told)
  if (fine.outcome !== 'reached') return NO_ANCHOR
  const few = setup.readings.length < FINER_READINGS
  const prior = assimilate({ ...told, members: few ? posterior.members : ANCHOR_MEMBERS })
  const pulls: number[] = []
  for (let m = 0; m < prior.members; m++) {
    const { run } = cookMember(told, drawnOf(prior.theta, m), [], [], true)
    if (run.outcome === 'reached') pulls.push(run.pull_s)
  }
  if (pulls.length <= prior.members / 2) return NO_ANCHOR
  const middle_s = spreadOf(pulls).p50
  return { share: middle_s > 0 ? fine.pull_s / middle_s - 1 : 0, peak_k: climbsMoreThan(fine, told, posterior) }
}

/**
 * By how much higher a roast as told peaks than the middle of a belief would with its size, start and oven, K. How wet
 * a surface was says nothing of how much farther the core climbs; what a belief has learned of the rest does, and is
 * left in. Stays so, whatever is read.
 */
export function climbsMore(setup: EstimateSetup, posterior: Posterior): number {
  const told = asTold(setup)
  const fine = toldRun(told)
  return fine.outcome === 'reached' ? climbsMoreThan(fine, told, posterior) : 0
}

/** @param fine the roast as told, cooked as finely as a plan */
function climbsMoreThan(fine: CookRun, told: EstimateSetup, posterior: Posterior): number {
  const stride = Math.max(1, Math.floor(posterior.members / ANCHOR_MEMBERS))
  const peaks: number[] = []
  for (let m = 0; m < posterior.members; m += stride) {
    const own = drawnOf(posterior.theta, m)
    const { run } = cookMember(told, (name) => (SIZE_AND_HEAT.has(name) ? 0 : own(name)), [], [], true)
    if (run.outcome === 'reached') peaks.push(Math.min(...run.peak_c))
  }
  return peaks.length === 0 ? 0 : Math.min(...fine.peak_c) - spreadOf(peaks).p50
}
/** What a belief learns of these says how far a core will climb. */
const SIZE_AND_HEAT: ReadonlySet<Unknown> = new Set(['thickness', 'start_k', 'oven_k'])

/** A cook before anything was done to it or read of it. */
const asTold = (setup: EstimateSetup): EstimateSetup => ({
  ...setup,
  now_s: 0,
  readings: [],
  changes: [],
  air: undefined,
})
const toldRun = (told: EstimateSetup) => cookMember({ ...told, certain: true }, NOTHING_DRAWN, [], [], true).run

/** The belief of a cook by its readings so far, and what it says of the rest. Same set-up, same answer. */
export const estimate = (setup: EstimateSetup): Estimate => foresee(setup, assimilate(setup))

function courseOf(courses: readonly (readonly number[])[], until_s: number): Estimate['course'] {
  const rows: { time_s: number; low_c: number; middle_c: number; high_c: number }[] = []
  for (let slot = 1; slot * COURSE_STEP_S <= until_s; slot++) {
    const values = courses.map((course) => course[slot] ?? Number.NaN).filter(Number.isFinite)
    if (values.length === 0 || values.length < courses.length / 4) break
    const sorted = Float64Array.from(values).sort()
    rows.push({
      time_s: slot * COURSE_STEP_S,
      low_c: quantile(sorted, 0.1),
      middle_c: quantile(sorted, 0.5),
      high_c: quantile(sorted, 0.9),
    })
  }
  return rows
}
