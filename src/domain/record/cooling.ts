import { COOLING } from '@/core/reference/standards'
import { type Limit, MOST_MINUTES } from './record'

/** How leftovers cooled, as the record has it. */

/** What is known of a piece before this reading: whether the first limit was met in time, or found not to be. */
export type CoolingSoFar = 'nothing' | 'first_met' | 'over'

/** By when it is cold through, whatever the first limit. */
const SECOND: Limit = { most_c: COOLING.to_c, least_c: null, within_min: COOLING.whole_s / 60 }

/**
 * The limit that a reading of cooling leftovers settles; undefined while it is still on its way and in time: that is no
 * deviation, and no proof.
 *
 * @param first the kitchen's own first limit, or the published one
 * @param minutes since it was served
 * @example settledBy({ most_c: 21, least_c: null, within_min: 120 }, 'nothing', 40, 60) // undefined
 * @example settledBy({ most_c: 21, least_c: null, within_min: 120 }, 'nothing', 18, 100)?.most_c // 21
 */
export function settledBy(first: Limit, sofar: CoolingSoFar, value_c: number, minutes: number): Limit | undefined {
  if (sofar === 'over') return undefined
  const limit = sofar === 'first_met' ? SECOND : first
  const cold = limit.most_c === null || value_c <= limit.most_c
  const late = limit.within_min !== null && minutes > limit.within_min
  return cold || late ? limit : undefined
}

/**
 * How long it has lain since it was served, minutes, as a record says it: no longer than a record can say, for what is
 * found in a fridge after a month is over its limit and no more so for being older. Undefined before it was served.
 * @example minutesLain('2026-11-26T19:00:00Z', '2026-11-26T20:30:00Z') // 90
 */
export function minutesLain(served: string, read: string): number | undefined {
  const minutes = Math.round((Date.parse(read) - Date.parse(served)) / 60_000)
  return minutes < 0 ? undefined : Math.min(minutes, MOST_MINUTES)
}

/** A fridge is read between these, °C: what is colder is a freezer, what is warmer is none. */
const FRIDGE_C = { low: -1.5, high: 12 } as const

/**
 * What a kitchen's refrigerator stands at, from what was read of its cold store, °C; undefined where it was never read.
 * @example fridgeFrom([4, 6, 5]) // 5
 * @example fridgeFrom([-18]) // undefined
 */
export function fridgeFrom(storage_c: readonly number[]): number | undefined {
  const own = storage_c.filter((value) => value >= FRIDGE_C.low && value <= FRIDGE_C.high).sort((a, b) => a - b)
  return own[Math.floor(own.length / 2)]
}
