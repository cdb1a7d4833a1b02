import { atLeast } from '@/core/estimate/ensemble'
import { type Estimate, foresee } from '@/core/estimate/estimate'
import { readInstead } from '@/core/program/read-instead'
import { endsTender, type Program } from '@/core/program/stage'
import { type BoardItem, freshOf, soonestPull } from '../board'
import { secondsOf } from '../entry/time'
import { isBelieved } from '../odd'
import type { Advice } from './advice'
import { type Belief, beliefOf, isDead, MEMBERS } from './belief'
import { chooseWays, type Way } from './choose'
import { plateOf } from './plate'
import { type Safety, safetyOf } from './safety'
import { type Split, splitOf } from './split'
import { waysOut } from './ways'

export { ADVICE_CODES, type Advice } from './advice'
export { type PeakWatch, watchPeak } from './after-pull'
export { questionOfItem } from './belief'
export type { Cost, Way } from './choose'
export type { Safety } from './safety'
export type { Split } from './split'

export interface Forecast {
  readonly estimate: Estimate
  /** At most four, the best first and marked. */
  readonly advice: readonly Way[]
  /** Every way out that was tried. */
  readonly tried: readonly Advice[]
  /** The probe seems to sit this far from the centre, 0–1; undefined while that is not plain. */
  readonly shallow: number | undefined
  readonly split: Split | undefined
  /** Where a least peak is asked for safety: how surely it is reached, and the reading that makes it sure. */
  readonly safety: Safety | undefined
  /** When the plates will be on the table, s since 1970; NaN where it never gets there. */
  readonly plate_s: number
  /** Against the promise: over nothing late, under nothing early, s; the rest gives way within its range first. */
  readonly late_s: number
}

/** Beyond this share of the way out a probe is said to be too shallow. */
const SHALLOW = 0.3
/** Fewer readings do not tell where a probe sits. */
const TELLING_READINGS = 40

/**
 * How late or early against the plan's own window: a pull that the plan gave room for is neither, however
 * much of its slack is left.
 */
function offWindow(board: BoardItem, pull_s: number, plate_s: number): number {
  const late_s = plate_s - board.promise_s
  const { item } = board
  const { window } = item
  if (late_s >= 0 || window === null) return late_s
  // As it was planned, moved as its promise was.
  const moved = board.promise_s - secondsOf(item.promise)
  const earliest_s = secondsOf(window.from) + moved
  return pull_s >= earliest_s ? 0 : Math.max(late_s, pull_s - earliest_s)
}

/** On the warmth that is left in a dead oven nobody counts for longer than this, s: it died before anybody saw it. */
const COASTS_S = 600
const NEVER: Estimate['pull_s'] = { p10: Number.NaN, p50: Number.NaN, p90: Number.NaN }

/** In a dead oven it never gets there, unless it is all but there and climbs still. */
function coasting(belief: Belief, main: Estimate): Estimate {
  const { board, setup } = belief
  const soon = !(main.pull_s.p50 - setup.now_s > COASTS_S)
  const climbs = board.trend_k_per_min === undefined || board.trend_k_per_min > 0
  if (!isDead(belief) || (soon && climbs)) return main
  return { ...main, pull_s: NEVER, carve_s: NEVER, peak_c: NEVER, course: [] }
}

/**
 * What is read counts before what is believed: a roast whose least done point reads its pull is to be pulled now,
 * however the model would have it, and one that reads well below it is not. A probe that may be elsewhere is looked at first.
 */
function asRead(board: BoardItem, { in_s, setup }: Belief, foreseen: Estimate, now_s: number): Estimate {
  const { pull_c } = board
  const main = asHotAsRead(board, setup.program, foreseen)
  // A reading alone does not make it tender.
  if (endsTender(setup.program)) return main
  const soonest_s = soonestPull(board, now_s)
  if (soonest_s !== undefined) return noSooner(main, soonest_s - in_s)
  const latest = freshOf(board, now_s)
  if (!latest || pull_c === undefined || latest.value_c < pull_c || !isBelieved(board)) return main
  const since_s = now_s - in_s
  const sooner_s = Number.isFinite(main.pull_s.p50) ? Math.max(0, main.pull_s.p50 - since_s) : 0
  const { p10, p50, p90 } = main.carve_s
  const carve = (value: number) => Math.max(since_s, value - sooner_s)
  return {
    ...main,
    pull_s: { p10: since_s, p50: since_s, p90: since_s },
    carve_s: Number.isFinite(p50) ? { p10: carve(p10), p50: carve(p50), p90: carve(p90) } : main.carve_s,
    // It has been as hot as it reads.
    peak_c: atLeast(main.peak_c, latest.value_c),
  }
}

/** A single reading may be a slip: the third highest is believed. */
const HOT_READINGS = 3
/** In an oven that is off a core falls before it comes out: by the clock it peaks as high as it has been read, whatever it reads now. */
function asHotAsRead(board: BoardItem, program: Program, main: Estimate): Estimate {
  if (!readInstead(program) || !isBelieved(board)) return main
  const hot = board.readings.map(({ value_c }) => value_c).toSorted((a, b) => b - a)[HOT_READINGS - 1]
  return hot === undefined ? main : { ...main, peak_c: atLeast(main.peak_c, hot) }
}

/** Nothing of it sooner than its reading allows; what follows the pull comes as much later. */
function noSooner(main: Estimate, soonest_s: number): Estimate {
  const { pull_s, carve_s } = main
  const { p10, p50, p90 } = pull_s
  if (!(p10 < soonest_s)) return main
  const later = (value: number) => Math.max(value, soonest_s)
  const moved_s = later(p50) - p50
  return {
    ...main,
    pull_s: { p10: later(p10), p50: later(p50), p90: later(p90) },
    carve_s: { p10: carve_s.p10, p50: carve_s.p50 + moved_s, p90: carve_s.p90 + moved_s },
  }
}

/**
 * When one roast of a cook arrives, by its readings, and what could be done about it. Undefined while
 * it is not in, or its document has problems.
 *
 * @param now_s cook time, s since 1970
 * @param others the other roasts of the cook: their ovens are a way out too
 */
export function forecastOf(
  board: BoardItem,
  now_s: number,
  seed = 7,
  others: readonly BoardItem[] = [],
  members: number = MEMBERS.arrival,
): Forecast | undefined {
  const belief = beliefOf(board, now_s, seed, members)
  if (!belief) return undefined
  const { setup, posterior } = belief
  const main = asRead(board, belief, coasting(belief, foresee(setup, posterior)), now_s)
  const { plate_s } = plateOf(belief, main.carve_s.p50)
  const late_s = Number.isFinite(plate_s) ? offWindow(board, belief.in_s + main.pull_s.p50, plate_s) : 0
  const depth = main.inferred.find(({ name }) => name === (belief.lastJump === undefined ? 'depth' : 'depth2'))
  const { least } = setup
  const tried = waysOut(belief, main, late_s, others, now_s, seed)
  return {
    estimate: main,
    advice: chooseWays(tried, belief),
    tried,
    safety:
      least === undefined || main.safe === undefined
        ? undefined
        : safetyOf(least, main.safe, main.peak_c, setup.pull_c[0] as number, board.item.serve_c),
    plate_s,
    late_s,
    shallow: setup.readings.length > TELLING_READINGS && depth && depth.mean > SHALLOW ? depth.mean : undefined,
    split: splitOf(belief, main),
  }
}
