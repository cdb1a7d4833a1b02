import { DANGER_ZONE_C } from '../reference/standards'

/**
 * Hold times at core temperature for whole-muscle beef, pork and lamb roasts.
 *
 * @see US model Food Code, table 3-401.11(B) (from memory; checked against the project's reference
 *   folder in lethality.test.ts).
 */
export const HOLD_TABLE: readonly { readonly temp_f: number; readonly seconds: number }[] = [
  { temp_f: 130, seconds: 6720 },
  { temp_f: 131, seconds: 5340 },
  { temp_f: 133, seconds: 3360 },
  { temp_f: 135, seconds: 2160 },
  { temp_f: 136, seconds: 1680 },
  { temp_f: 138, seconds: 1080 },
  { temp_f: 140, seconds: 720 },
  { temp_f: 142, seconds: 480 },
  { temp_f: 144, seconds: 300 },
  { temp_f: 145, seconds: 240 },
  { temp_f: 147, seconds: 134 },
  { temp_f: 149, seconds: 85 },
  { temp_f: 151, seconds: 54 },
  { temp_f: 153, seconds: 34 },
  { temp_f: 155, seconds: 22 },
  { temp_f: 157, seconds: 14 },
  { temp_f: 158, seconds: 0 },
]

/** The table's last row asks for no hold at all; a second stands for it. */
const INSTANT_S = 1

/**
 * Hold time that the table asks at a temperature, s, log-linear between rows; Infinity below its first row.
 * @example holdSeconds(60) // ≈ 720
 */
export function holdSeconds(temperature_c: number): number {
  const f = (temperature_c * 9) / 5 + 32
  const first = HOLD_TABLE[0] as (typeof HOLD_TABLE)[number]
  if (f < first.temp_f - 1e-9) return Number.POSITIVE_INFINITY
  for (let i = 1; i < HOLD_TABLE.length; i++) {
    const high = HOLD_TABLE[i] as (typeof HOLD_TABLE)[number]
    if (f >= high.temp_f) continue
    const low = HOLD_TABLE[i - 1] as (typeof HOLD_TABLE)[number]
    const part = (f - low.temp_f) / (high.temp_f - low.temp_f)
    const from = Math.log(Math.max(INSTANT_S, low.seconds))
    const to = Math.log(Math.max(INSTANT_S, high.seconds))
    return Math.exp(from + part * (to - from))
  }
  return INSTANT_S
}

/** How far a course of temperatures meets the table. */
export interface Lethality {
  /** ∫ dt / hold(T): the table is met at 1. */
  readonly share: number
  /** When it reached 1, s; undefined when it never did. */
  readonly met_s: number | undefined
  /** Time between 5 and 57 °C, s. */
  readonly dangerZone_s: number
  readonly highest_c: number
}

/**
 * Integrates the hold table over the coldest point's course, rest included, by the trapezium rule.
 * @param time_s times, s, ascending; @param core_c temperatures, °C; @param length valid values
 * @example integrateLethality([0, 720], [60, 60], 2).share // ≈ 1
 */
export function integrateLethality(time_s: ArrayLike<number>, core_c: ArrayLike<number>, length: number): Lethality {
  let share = 0
  let met_s: number | undefined
  let dangerZone_s = 0
  let highest_c = length > 0 ? (core_c[0] as number) : Number.NaN
  for (let i = 1; i < length; i++) {
    const dt = (time_s[i] as number) - (time_s[i - 1] as number)
    const from = core_c[i - 1] as number
    const to = core_c[i] as number
    share += (dt * (1 / holdSeconds(from) + 1 / holdSeconds(to))) / 2
    if (met_s === undefined && share >= 1) met_s = time_s[i] as number
    const middle = (from + to) / 2
    if (middle >= DANGER_ZONE_C.low && middle < DANGER_ZONE_C.high) dangerZone_s += dt
    if (to > highest_c) highest_c = to
  }
  return { share, met_s, dangerZone_s, highest_c }
}
