import { RateLimiterDrizzle, RateLimiterRes } from 'rate-limiter-flexible'
import { rateLimits } from '@/db/people-schema'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { log, problemOf } from '../log'
import { database } from '../rooms'

/** How often somebody may ask: counted in the database, so that two servers count together. */

/** So many in so many seconds, for one asker; docs/limits.md says it to its users. */
export const RATES = {
  /** Wrong passwords for one name; and from one address, whatever the name. */
  sign_in_name: { points: 10, duration: 900 },
  sign_in_from: { points: 40, duration: 900 },
  /** Secrets of invitations, claims and tablets that open nothing. */
  way_in: { points: 30, duration: 900 },
  /** Numbers said at a tablet, for one person. */
  pin: { points: 8, duration: 300 },
  /** Ways in and addresses that one person hands out. */
  hand_out: { points: 60, duration: 3600 },
  /** Batches of one probe station. */
  readings: { points: 1200, duration: 60 },
  /** Questions that compute for long, of one asker. */
  compute: { points: 600, duration: 60 },
} as const satisfies Readonly<Record<string, { readonly points: number; readonly duration: number }>>
export type Rate = keyof typeof RATES

const world = globalThis as { pheasantLimiters?: Map<Rate, RateLimiterDrizzle> }
world.pheasantLimiters ??= new Map()
const limiters = world.pheasantLimiters

function limiterOf(rate: Rate): RateLimiterDrizzle {
  const known = limiters.get(rate)
  if (known) return known
  const { points, duration } = RATES[rate]
  const made = new RateLimiterDrizzle({
    storeClient: database(),
    schema: rateLimits,
    keyPrefix: rate,
    points,
    duration,
    // Who is over is told so without asking the database again.
    inMemoryBlockOnConsumed: points + 1,
  })
  limiters.set(rate, made)
  return made
}

/** Counts against a limit; fails with how long to wait where it is used up. A limiter that cannot count lets through. */
export async function within(rate: Rate, key: string, points = 1): Promise<Outcome<true>> {
  try {
    await limiterOf(rate).consume(key.slice(0, 200), points)
    return succeed(true)
  } catch (problem) {
    if (problem instanceof RateLimiterRes)
      return fail({ code: 'too_often', path: [], retry_s: Math.max(1, problem.msBeforeNext / 1000) })
    log.warn({ problem: problemOf(problem), rate }, 'a limit could not be counted')
    return succeed(true)
  }
}

/** So many of what comes often are counted at once: the database is asked once for all of them. */
const TOGETHER = 20
const counted = new Map<string, number>()
/** More askers than this are forgotten, and begin again. */
const MOST_COUNTED = 10_000

/** As {@link within}, for what comes every second: a server counts by itself, and tells the database of each twenty. */
export async function withinOften(rate: Rate, key: string): Promise<Outcome<true>> {
  const name = `${rate} ${key}`
  const held = counted.get(name) ?? 0
  if (counted.size > MOST_COUNTED) counted.clear()
  counted.set(name, held + 1)
  return held % TOGETHER === 0 ? within(rate, key, TOGETHER) : succeed(true)
}

/** Whether a limit is used up, without counting. */
export async function isUsedUp(rate: Rate, key: string): Promise<Outcome<true>> {
  const { points } = RATES[rate]
  const held = await limiterOf(rate)
    .get(key.slice(0, 200))
    .catch(() => null)
  return held && held.consumedPoints >= points
    ? fail({ code: 'too_often', path: [], retry_s: Math.max(1, held.msBeforeNext / 1000) })
    : succeed(true)
}

/** It went well: what was counted against it is forgotten. */
export const forgive = (rate: Rate, key: string): Promise<unknown> =>
  limiterOf(rate)
    .delete(key.slice(0, 200))
    .catch(() => undefined)
