import { STANDARDS } from '../reference/standards'
import { minutes, type Seconds, seconds } from '../units'

/**
 * Carving takes a few minutes, and longer for a larger piece (common practice), s.
 * @param mass_kg raw weight, kg
 * @example carveSeconds(2.5) // 600
 */
export const carveSeconds = (mass_kg: number): Seconds => minutes(Math.min(20, 5 + 2 * mass_kg))

/** Carved, in a warm dish under foil, it is never left longer than this (common practice), s. */
const MOST_AHEAD_S = 3600
const STEP_S = 600

/**
 * How long before the table the first of several roasts may have been carved, s: as long as slices keep; longer where
 * the knives that there are cannot do them all in that, with ten minutes for what else hands have to do then.
 *
 * @param carvings_s how long each takes that goes to the table together, s
 * @param cooks who can carve
 * @example carvedAhead([1020, 780], 1) // 1200
 * @example carvedAhead([1020, 1020, 780], 1) // 3000
 */
export function carvedAhead(carvings_s: readonly number[], cooks: number): Seconds {
  const keeps_s = seconds(STANDARDS.keepsCarved.value)
  const all_s = carvings_s.reduce((sum, each) => sum + each, 0)
  const needs_s = all_s / cooks - Math.min(...carvings_s)
  if (needs_s <= keeps_s) return keeps_s
  return seconds(Math.min(MOST_AHEAD_S, Math.ceil((needs_s + STEP_S) / STEP_S) * STEP_S))
}
