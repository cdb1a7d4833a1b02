import type { PointId } from '../heat/piece'
import { type Cut, isPoultry } from '../reference/cuts'
import { donenessScale } from '../reference/doneness'
import type { CookRun } from '../simulate/cook'
import { holdSeconds } from './lethality'
import { POULTRY_DECADES, poultryRate } from './poultry'

/** What a piece must have had to be safe at this table: a peak, or a course of temperatures that does the same. */
export interface SafetyLeast {
  /** The peak that is safe at an instant, °C. */
  readonly least_c: number
  /** By which table a lower peak that lasts longer is safe too. */
  readonly by: 'hold_table' | 'poultry_decades'
}

/** A safety minimum is to be met so surely. */
export const SURE = 0.95

/**
 * The safety minimum of a piece for its table; undefined where it is the eaters' choice.
 * @example safetyLeast(findCut('pork-loin'), { vulnerable: false, stuffed: false })?.least_c // 62.8
 */
export function safetyLeast(
  cut: Cut,
  table: { readonly vulnerable: boolean; readonly stuffed: boolean },
): SafetyLeast | undefined {
  const bird = isPoultry(cut)
  if (!bird && cut.doneness !== 'pork' && cut.intact && !table.vulnerable && !table.stuffed) return undefined
  return { least_c: donenessScale(cut.doneness).minimum_c, by: bird ? 'poultry_decades' : 'hold_table' }
}

/** Wanted this near to the safe peak it is meant to be safe, K. */
const WANTED_SAFE_K = 0.3

/**
 * Whether what is wanted is meant to be safe: less is the eaters' choice, and said so where it is planned.
 * @example isMeantSafe({ least_c: 62.8, by: 'hold_table' }, 60) // false
 */
export const isMeantSafe = (least: SafetyLeast | undefined, serve_c: number): boolean =>
  least !== undefined && serve_c >= least.least_c - WANTED_SAFE_K

/** Below this neither table counts, °C. */
const COUNTS_C = 54

/** A share of what is asked, a second, at a temperature. */
const rateAt = ({ by }: SafetyLeast, core_c: number): number =>
  core_c < COUNTS_C ? 0 : by === 'poultry_decades' ? poultryRate(core_c) / POULTRY_DECADES : 1 / holdSeconds(core_c)

/** A core lies for so long within this of its peak, s and K: it climbs to it ever slower and leaves it so. */
const AROUND_PEAK = { lasts_s: 480, under_k: 0.5 } as const

/**
 * Whether a peak alone is safe, where nothing else is known of a core: at an instant, or by the minutes around it.
 * @example isPeakSafe({ least_c: 73.9, by: 'poultry_decades' }, 71) // true
 */
export const isPeakSafe = (least: SafetyLeast, peak_c: number): boolean =>
  peak_c >= least.least_c || AROUND_PEAK.lasts_s * rateAt(least, peak_c - AROUND_PEAK.under_k) >= 1

/** How much of what is asked a point has had: 1 is enough. Fed step by step. */
export class SafetyMeter {
  share = 0
  private last = 0
  constructor(private readonly least: SafetyLeast) {}

  /** @param step_s time since the point before, s */
  add(step_s: number, core_c: number): void {
    const rate = rateAt(this.least, core_c)
    this.share += (step_s * (this.last + rate)) / 2
    this.last = rate
  }

  /** Goes on where another is. */
  goOnFrom(other: SafetyMeter): void {
    this.share = other.share
    this.last = other.last
  }

  /** By its peak, or by all it has had. */
  isMet(peak_c: number): boolean {
    return peak_c >= this.least.least_c || this.share >= 1
  }
}

/** Stuffing holds eggs, bread and the juices of the bird: only its own peak counts, to this, K. */
const STUFFING_TOLERANCE_K = 0.3

/** Whether a point is safe: stuffing by its own peak only, meat also by all it has had. */
export const isPointSafe = (least: SafetyLeast, point: PointId, meter: SafetyMeter, peak_c: number): boolean =>
  point === 'stuffing' ? peak_c >= least.least_c - STUFFING_TOLERANCE_K : meter.isMet(peak_c)

/** Whether a cook is safe at every point. */
export const isSafe = (least: SafetyLeast, run: CookRun): boolean =>
  run.points.every((point, body) => {
    const meter = new SafetyMeter(least)
    const { time_s, core_c, length } = run.curve
    const own = core_c[body] as Float64Array
    for (let i = 0; i < length; i++)
      meter.add(i === 0 ? 0 : (time_s[i] as number) - (time_s[i - 1] as number), own[i] as number)
    return isPointSafe(least, point, meter, run.peak_c[body] as number)
  })
