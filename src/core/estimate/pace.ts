import type { CookRun } from '../simulate/cook'
import type { EstimateSetup, ProbeCourse } from './member'
import {
  BY_HAND_K,
  exponentialFit,
  fewOf,
  LEVEL_LEAST,
  LEVEL_SPAN_S,
  type Level,
  levelOf,
  type Reading,
  recentOf,
} from './reading'

type FitSetup = Pick<EstimateSetup, 'now_s' | 'pull_c' | 'changes'>

/** A member's probe at a time, by straight lines between its steps; undefined outside them. */
function probeAt({ time_s, value_c }: ProbeCourse, at_s: number): number | undefined {
  let low = 0
  let high = time_s.length - 1
  if (high < 1 || at_s < (time_s[0] as number) || at_s > (time_s[high] as number)) return undefined
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((time_s[middle] as number) <= at_s) low = middle
    else high = middle
  }
  const from = time_s[low] as number
  const to = time_s[high] as number
  const part = to > from ? (at_s - from) / (to - from) : 0
  return (value_c[low] as number) + part * ((value_c[high] as number) - (value_c[low] as number))
}

/** Early on the pace says little of the end, for the curve still bends; near the end it says nearly all. */
const TRUSTED = { from: 0.38, over: 0.3 } as const
const PACE = { least: 0.55, most: 1.8, doubt: 0.15 } as const
/** A core that hardly climbs climbs hardly more once it is out, whatever a member thinks lies under its surface. */
const LEAST_CLIMB = 0.1
/** A climb is never so slow that a reading by hand may be off by more than its wait, K/s. */
const LEAST_SLOPE_PER_S = 5 / 3600

/** How the readings of one body go: their level now, and when they were read, s. */
export interface Pace {
  readonly level: Level
  readonly times: readonly number[]
  /** They are few, put in by hand. */
  readonly isFew: boolean
}

/** The last readings in one body. @param span_s how far back */
const recentIn = (body: number, readings: readonly Reading[], now_s: number, span_s = LEVEL_SPAN_S): Reading[] =>
  recentOf(
    readings.filter((reading) => (reading.body ?? 0) === body),
    now_s,
    span_s,
  )

/** By hand so many of the last are taken, so far back, s. */
const FEW = { many: 3, span_s: 2 * LEVEL_SPAN_S } as const

const isAlone = ({ slope_per_s }: Level): boolean => Number.isNaN(slope_per_s)
const lineOf = (isFew: boolean): typeof levelOf => (isFew ? fewOf : levelOf)

/** The pace of each body's readings; undefined where they say none. @param bodies how many there are */
export function pacesOf(readings: readonly Reading[], bodies: number, now_s: number): (Pace | undefined)[] {
  return Array.from({ length: bodies }, (_, body) => {
    const recent = recentIn(body, readings, now_s)
    const isFew = recent.length < LEVEL_LEAST
    const used = isFew ? recentIn(body, readings, now_s, FEW.span_s).slice(-FEW.many) : recent
    const times = used.map(({ time_s }) => time_s)
    const level = lineOf(isFew)(
      times,
      used.map(({ value_c }) => value_c),
      now_s,
    )
    return level ? { level, times, isFew } : undefined
  })
}

/** A member's pull by the pace that is seen, and that pace against its own. */
export interface Paced {
  readonly pull_s: number
  /** How fast it climbs against the member where that reads the same, as far as it is to be trusted: 1 alike. */
  readonly pace: number
  /** What it may be off for what one reading by hand is, s; 0 where many are read. */
  readonly off_s: number
}

/**
 * A member's pull, s, from where its own probe would read what is read now, at the pace that is seen:
 * what the smoother could not explain shows in level and slope, and those are carried on. Level and
 * slope of reading and member are taken by the same line at the same times, so a member that is right
 * is left as it is.
 *
 * @param pull_s the member's own pull, s: not before now
 * @param ready_s when it was at its reading, s: before its pull where it is known to have been left in
 * @param probe of the body that decides it
 */
export function pacedPull(
  { pull_s, ready_s = pull_s }: Pick<CookRun, 'pull_s' | 'ready_s'>,
  probe: ProbeCourse,
  { level, times, isFew }: Pace,
  now_s: number,
): Paced {
  const asIs = { pull_s, pace: 1, off_s: 0 }
  const own = times.map((time_s) => probeAt(probe, time_s))
  if (own.some((value) => value === undefined)) return asIs
  const line = lineOf(isFew)(times, own as number[], now_s)
  const here = probeAt(probe, now_s)
  if (!line || here === undefined) return asIs
  const wanted = here + level.value_c - line.value_c
  const { time_s, value_c } = probe
  // From now on, or back from now: what was out, or in a dead oven, has read the same before.
  let i = time_s.findIndex((each) => each >= now_s)
  if (i < 0) return asIs
  while (i < time_s.length && (time_s[i] as number) <= pull_s && (value_c[i] as number) < wanted) i++
  while (i > 1 && (value_c[i - 1] as number) > wanted) i--
  if (i >= time_s.length || i < 2) return asIs
  const low = value_c[i - 1] as number
  const high = value_c[i] as number
  const part = Math.min(1, Math.max(0, (wanted - low) / Math.max(1e-6, high - low)))
  const from_s = time_s[i - 1] as number
  const to_s = time_s[i] as number
  const at = from_s + part * (to_s - from_s)
  // Its pace where it reads what is read now: over as long a stretch, ending there.
  const shifted = times.map((each) => probeAt(probe, each + at - now_s))
  const there = shifted.some((value) => value === undefined)
    ? line
    : (lineOf(isFew)(times, shifted as number[], now_s) ?? line)
  const done = now_s / Math.max(now_s, pull_s)
  const late = Math.min(1, Math.max(0, (done - TRUSTED.from) / TRUSTED.over))
  const trust = late / (1 + (level.doubt / PACE.doubt) ** 2)
  const isOne = isAlone(level)
  const ratio = isOne ? 1 : Math.min(PACE.most, level.slope_per_s / there.slope_per_s)
  const slope_per_s = isOne ? (high - low) / Math.max(1, to_s - from_s) : level.slope_per_s
  const left = Math.max(0, ready_s - at) / Math.max(PACE.least, ratio) ** trust
  return {
    pull_s: now_s + late * left + (1 - late) * Math.max(0, pull_s - now_s),
    pace: Math.max(LEAST_CLIMB, ratio) ** trust,
    off_s: isFew ? (late * BY_HAND_K) / Math.max(LEAST_SLOPE_PER_S, slope_per_s) : 0,
  }
}

/**
 * How far a member that is at its pull already reads over what it will be pulled at, K: where less than that is read it
 * is still to come to it, and its core is colder by as much. 0 where it does not read over.
 *
 * @param pull_c the reading it is pulled at, °C
 */
export function readsOver(probe: ProbeCourse, { level, times }: Pace, pull_c: number, now_s: number): number {
  const own_c = probeAt(probe, now_s)
  if (own_c === undefined) return 0
  // One reading alone says where it stood: since then it has climbed as the member has.
  const stood_c = isAlone(level) ? (probeAt(probe, times.at(-1) ?? now_s) ?? own_c) : own_c
  return Math.max(0, own_c - Math.max(pull_c, level.value_c + own_c - stood_c))
}

/** After a change the core bends the other way for so long, and a line through it says nothing, s. */
const SETTLES_S = 1.8 * LEVEL_SPAN_S
/** From this share of the cook on the fit counts, fully so much later, and then by this weight. */
const FITTED = { from: 0.55, over: 0.2, weight: 0.5 } as const

/** When a body's readings come to its pull by their own curve. */
export interface Fit {
  readonly end_s: number
  /** How far it is to be believed, of 1: noise in readings bends a curve, and moves its end by as much as is left. */
  readonly trust: number
}
/** A fit whose end is as uncertain as this share of the time that is left counts half. */
const FIT_DOUBT = 0.1
/** Fits that leave out every third reading, in turn, say how sure the whole is. */
const LEFT_OUT = [0, 1, 2] as const

/**
 * Near its end the curve itself says when: an exponential through the last readings of a body, which knows nothing
 * of meat, errs otherwise than the model does, and half of each is nearer than either.
 *
 * @param fit when it comes to the pull by its own curve
 */
export function blendedPull(paced_s: number, { end_s, trust }: Fit, pull_s: number, now_s: number): number {
  const done = now_s / Math.max(now_s, pull_s)
  const weight = trust * FITTED.weight * Math.min(1, Math.max(0, (done - FITTED.from) / FITTED.over))
  // A fit that says something else altogether has seen something else than a climb.
  const ahead = Math.max(1, paced_s - now_s)
  const bounded = now_s + Math.min(2 * ahead, Math.max(0.5 * ahead, end_s - now_s))
  return paced_s + weight * (bounded - paced_s)
}

/** When each body's readings come to its pull by their own curve; undefined where something changed lately or is still to change. */
export function fitsOf(setup: FitSetup, readings: readonly Reading[]): (Fit | undefined)[] {
  const { now_s, pull_c, changes = [] } = setup
  if (changes.some(({ time_s }) => time_s > now_s - SETTLES_S)) return pull_c.map(() => undefined)
  return pull_c.map((wanted_c, body) => {
    const recent = recentIn(body, readings, now_s)
    const last = recent.at(-1)
    if (recent.length < LEVEL_LEAST || !last || last.time_s - (recent[0] as Reading).time_s < LEVEL_SPAN_S / 2)
      return undefined
    const end_s = exponentialFit(recent, wanted_c)
    if (!Number.isFinite(end_s)) return undefined
    const lefts = LEFT_OUT.map((out) => {
      const part = recent.filter((_, i) => i % LEFT_OUT.length !== out)
      return Math.log(Math.max(60, exponentialFit(part, wanted_c) - last.time_s))
    })
    const mean = lefts.reduce((sum, left) => sum + left, 0) / lefts.length
    // What leaving a third out, in turn, does to it (the jackknife).
    const doubt = Math.sqrt(
      ((lefts.length - 1) / lefts.length) * lefts.reduce((sum, left) => sum + (left - mean) ** 2, 0),
    )
    return { end_s, trust: Number.isFinite(doubt) ? 1 / (1 + (doubt / FIT_DOUBT) ** 2) : 0 }
  })
}
