import { isPeakSafe } from '../safety/least'
import {
  type Anchor,
  anchorFor,
  CLIMB_S,
  CLIMB_STEP_S,
  climbedMore,
  endOf,
  endsByClock,
  FINER_READINGS,
} from './anchor'
import { type Spread, spreadOf } from './ensemble'
import { COURSE_STEP_S, cookMember, type EstimateSetup, type MemberPast, pastOf } from './member'
import { blendedPull, fitsOf, pacedPull, pacesOf, readsOver } from './pace'
import { askedOf, assimilate, climbedBy, type Inferred, inferredOf, type Posterior, readAs } from './posterior'
import { normalQuantile, quantile } from './random'
import type { Reading } from './reading'
import { type Rested, restUntil } from './resting'

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
  /** The same where its knife waits for the whole rest of its program. */
  readonly whole: { readonly peak_c: Spread; readonly safe: number | undefined }
  /** The same middle so long after its pull, each five minutes, °C. */
  readonly climb_c: readonly number[]
  /** By how much its last readings lie over what its members think, in the middle, where the clock takes it out, K; else 0. */
  readonly off_k: number
  readonly inferred: Inferred
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

/** Doubt about the future that no reading can take away, as a share of the time still to go. Set on unlike truth models (`npm run validate`). */
const FUTURE_DOUBT = 0.03
/** And as a share of the whole cook, fading over its last fifth. */
const MODEL_DOUBT = 0.012
/** What the future brings makes later by more than it makes sooner: doors, drying, a dial that sags. */
const LATER = 1.2

/** A band with the middle of what is believed, where doubt about the future would move that. */
function around(values: readonly number[], middles: readonly number[]): Spread {
  const { p10, p50, p90 } = spreadOf(values)
  return Number.isFinite(p50)
    ? { p10, p50: Math.min(p90, Math.max(p10, spreadOf(middles).p50)), p90 }
    : { p10, p50, p90 }
}

/**
 * Members stay wide so that later readings can still move them: halfway up a climb they lie farther apart than arrivals
 * are off, and of what they differ by so much is told. What comes later than is thought does so by more than what comes
 * sooner: of the kitchens' arrivals four in five do. Set on unlike truth models (`npm run validate`).
 */
const TOLD = { from: 0.2, to: 0.4, sooner: 0.45, later: 0.8 } as const

/**
 * How much of what members differ by is told of an arrival.
 * @param climbed share of the way from its start to its pull that has been read, 0–1
 * @example toldShare(0.5, 'later') // 0.8
 */
export const toldShare = (climbed: number, side: 'sooner' | 'later'): number =>
  1 - (1 - TOLD[side]) * Math.min(1, Math.max(0, (climbed - TOLD.from) / (TOLD.to - TOLD.from)))

/** What the future may bring, as equal shares of a standard normal. */
const AHEAD = Array.from({ length: 9 }, (_, i) => normalQuantile((i + 0.5) / 9))
const NOTHING_AHEAD = [0]

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
  // While nothing is read, time that goes by teaches nothing.
  const read_s = wanted.length === 0 ? 0 : setup.now_s
  const future = setup.certain || byClock ? NOTHING_AHEAD : AHEAD
  const climbed = setup.certain || byClock ? 0 : climbedBy(wanted, setup)
  const pulls: number[] = []
  const carves: number[] = []
  const middles = { pull: [] as number[], carve: [] as number[] }
  const ahead_s: { readonly doubt: number; readonly after: number }[] = []
  const peaks: number[] = []
  const wholes: number[] = []
  const climbs_c: number[][] = []
  const offs_k: number[] = []
  const none = () => new Float64Array(count).fill(Number.NaN)
  const each = { pull_s: none(), carve_s: none(), peak_c: none() }
  const points: { pull: number[]; peak: number[] }[] = []
  const courses: (readonly number[])[] = []
  let misfit = 0
  let safe = 0
  let wholeSafe = 0
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
    const seen = pace && probe && byReading ? pacedPull(run, probe, pace, setup.now_s) : undefined
    const paced = seen?.pull_s ?? run.pull_s
    const fitted = fits[decides]
    const blended = fitted === undefined || !byReading ? paced : blendedPull(paced, fitted, run.pull_s, setup.now_s)
    const ahead = Math.max(left, blended - setup.now_s)
    const whole = Math.max(blended, setup.now_s)
    const doubt = FUTURE_DOUBT * ahead + MODEL_DOUBT * whole * Math.min(1, ahead / (0.2 * Math.max(1, whole)))
    // The future is drawn for no member: each stands for all of it, so that chance moves nothing.
    const middle = byClock ? run.pull_s : Math.max(setup.now_s, blended + finer * Math.max(0, blended - read_s))
    const after = run.carve_s - run.pull_s
    middles.pull.push(middle)
    middles.carve.push(Math.max(setup.now_s, middle + after))
    ahead_s.push({ doubt: Math.hypot(doubt, seen?.off_s ?? 0), after })
    // A core that climbs slower at its pull than a member's climbs less after it, by as much; and none climbs once it
    // is carved.
    const climbs = seen?.pace ?? 1
    const isOut = run.pull_s <= setup.now_s
    const off_k = byClock ? offsOf(wanted, member.predicted, run.pullCore_c.length, isOut) : undefined
    if (off_k) offs_k.push(Math.min(...off_k))
    // One that thinks it has been left in past its reading is as hot as is read, and no hotter.
    const over_k =
      pace && probe && byReading && isOut ? readsOver(probe, pace, setup.pull_c[decides] as number, setup.now_s) : 0
    const cores_c = run.pullCore_c.map((core_c, i) => core_c - over_k + (off_k?.[i] ?? 0))
    // In an oven that is off a core may fall before the clock takes it out.
    const before_c = run.peak_c.map((peak_c, i) =>
      byClock && (run.peak_s[i] as number) < run.pull_s ? peak_c + (off_k?.[i] ?? 0) : Number.NEGATIVE_INFINITY,
    )
    const highestAfter = (rest_s: number, { peak_c: by_c }: Rested) =>
      run.pullCore_c.map((pulled_c, i) => {
        const climbed_k = Math.max(0, (by_c[i] as number) - pulled_c)
        const peak_c = Math.min(BOILING_C, (cores_c[i] as number) + climbs * climbed_k)
        return Math.max(anchored(peak_c, climbedMore(anchor, rest_s)), before_c[i] as number)
      })
    const rest_s = restUntil(setup.knife, after, middle)
    const rested = member.resting.at(run.pull_s + rest_s)
    const highest_c = highestAfter(rest_s, rested)
    const peak_c = Math.min(...highest_c)
    peaks.push(peak_c)
    const out = setup.knife ? member.resting.at(run.carve_s) : rested
    const whole_c = setup.knife ? Math.min(...highestAfter(after, out)) : peak_c
    wholes.push(whole_c)
    // What a member thinks it has had counts for nothing where it is read to be colder: only how hot it gets.
    const colder_k = Math.max(over_k, -Math.min(0, ...(off_k ?? [])))
    const isSafe = (as: Rested, by_c: number) =>
      as.safe && (colder_k < COLDER_K || setup.least === undefined || isPeakSafe(setup.least, by_c))
    if (isSafe(out, whole_c)) wholeSafe++
    for (let step = 0; byClock && step * CLIMB_STEP_S <= Math.min(CLIMB_S, after); step++) {
      const so_s = step * CLIMB_STEP_S
      const row = climbs_c[step] ?? []
      row.push(Math.min(...highestAfter(so_s, member.resting.at(run.pull_s + so_s))))
      climbs_c[step] = row
    }
    each.pull_s[m] = middle
    each.carve_s[m] = Math.max(setup.now_s, middle + after)
    each.peak_c[m] = peak_c
    if (isSafe(rested, peak_c)) safe++
    cores_c.forEach((value, i) => {
      points[i] ??= { pull: [], peak: [] }
      points[i].pull.push(value)
      points[i].peak.push(highest_c[i] as number)
    })
  }
  // How far the members lie apart is told by a share of it, and what the future may bring is added to each.
  const { p50: centre } = spreadOf(middles.pull)
  const share = { sooner: toldShare(climbed, 'sooner'), later: toldShare(climbed, 'later') }
  ahead_s.forEach(({ doubt, after }, i) => {
    const off_s = (middles.pull[i] as number) - centre
    const told = centre + share[off_s > 0 ? 'later' : 'sooner'] * off_s
    for (const ahead_z of future) {
      const pull = Math.max(setup.now_s, told + doubt * ahead_z * (ahead_z > 0 ? LATER : 1))
      pulls.push(pull)
      carves.push(Math.max(setup.now_s, pull + after))
    }
  })
  const arriving = peaks.length / count
  const some = arriving > 0.5
  return {
    pull_s: around(some ? pulls : [], middles.pull),
    carve_s: around(some ? carves : [], middles.carve),
    peak_c: spreadOf(some ? peaks : []),
    points: points.map(({ pull, peak }) => ({ pull_c: spreadOf(pull).p50, peak_c: spreadOf(peak).p50 })),
    climb_c: climbs_c.map((values) => spreadOf(values).p50),
    off_k: offs_k.length === 0 ? 0 : spreadOf(offs_k).p50,
    arriving,
    safe: setup.least === undefined || peaks.length === 0 ? undefined : safe / peaks.length,
    whole: {
      peak_c: spreadOf(some ? wholes : []),
      safe: setup.least === undefined || peaks.length === 0 ? undefined : wholeSafe / peaks.length,
    },
    inferred: inferredOf(posterior, setup.program),
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

/** Members until now, for ways of going on with them: asked with the same `most`, and {@link nowMarked} changes. */
export function pastsOf(setup: EstimateSetup, posterior: Posterior, most: number): (MemberPast | undefined)[] {
  const count = Math.min(most, posterior.members)
  const { wanted, tracks } = readAs(setup, posterior)
  return Array.from({ length: count }, (_, m) => pastOf(setup, askedOf(posterior, m, count), wanted, tracks))
}

/**
 * The last readings of a probe tell how far a member is off, K: while it is in, no farther over it than this is believed;
 * out, its clock has run, and a member that is behind is as far behind as is read.
 */
const OFF_READINGS = 3
const MOST_OFF_K = { over: 3, out: 30, under: 30 } as const
/** Read to be colder by this, what a member thinks it has had is not believed, K. */
const COLDER_K = 2

/**
 * How far the probe of each body reads over a member's own by its last readings, K: what the smoother could not explain.
 * Where the clock says when it is out, as it does once it is, what is left unexplained is in its core and not in its time.
 */
function offsOf(wanted: readonly Reading[], predicted: Float64Array, bodies: number, isOut: boolean): number[] {
  const most_k = isOut ? MOST_OFF_K.out : MOST_OFF_K.over
  return Array.from({ length: bodies }, (_, body) => {
    const offs = wanted.flatMap(({ body: own = 0, value_c }, k) =>
      own === body ? [value_c - (predicted[k] as number)] : [],
    )
    const last = offs.slice(-OFF_READINGS)
    const mean = last.reduce((sum, each) => sum + each, 0) / Math.max(1, last.length)
    return Math.min(most_k, Math.max(-MOST_OFF_K.under, mean))
  })
}

/** The body that is last at its reading. */
function decidingOf(core_c: readonly number[], pull_c: readonly number[]): number {
  let decides = 0
  for (let i = 1; i < core_c.length; i++)
    if ((core_c[i] as number) - (pull_c[i] as number) < (core_c[decides] as number) - (pull_c[decides] as number))
      decides = i
  return decides
}

/** No core that is worth foretelling gets hotter, °C. */
const BOILING_C = 100
/** Near the boiling point nothing climbs farther, °C. */
const NEAR_BOILING_C = 94
const anchored = (peak_c: number, more_k: number): number =>
  more_k < 0 ? peak_c + more_k : Math.max(peak_c, Math.min(peak_c + more_k, NEAR_BOILING_C))

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
