import { estimate } from '@/core/estimate/estimate'
import { seededRandom } from '@/core/estimate/random'
import { exponentialFit, type Reading, straightLine } from '@/core/estimate/reading'
import { DOMESTIC_OVEN } from '@/core/heat/oven'
import { steadyProgram } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import { prepareRoast } from '@/core/roast/prepare'

/** A cook whose end is known, told to the estimator only so far. */
export interface KnownCook {
  readonly name: string
  readonly told: {
    readonly cut: string
    readonly mass_kg: number
    readonly set_c: number
    readonly start_c: number
    readonly pull_c: number
    readonly fan: boolean
  }
  /** Of all its probes, by time. */
  readonly readings: readonly Reading[]
  readonly pull_s: number
}

export interface ArrivalCheck {
  readonly name: string
  readonly at: number
  /** Error of the predicted pull time as a share of the whole cook. */
  readonly error: number
  readonly inside: boolean
  readonly straight: number
  /** Of an exponential through the last 25 minutes. */
  readonly exponential: number
  /** In an oven of 130 °C or less. */
  readonly low: boolean
}

/** By hand it is read from this share of a cook on, each so many seconds, and just now. */
const BY_HAND = { from: 0.35, least_s: 720, most_s: 1080 } as const

/** What of a cook's readings somebody has who puts a thermometer in by hand now and then, every point each time. */
export function asByHand(cook: KnownCook, now_s: number, seed: number): Reading[] {
  const random = seededRandom(seed)
  const times = [now_s]
  for (let at_s = now_s; at_s > BY_HAND.from * cook.pull_s; times.unshift(at_s))
    at_s -= BY_HAND.least_s + random() * (BY_HAND.most_s - BY_HAND.least_s)
  const bodies = [...new Set(cook.readings.map(({ body }) => body ?? 0))]
  return times.flatMap((at_s) =>
    bodies.flatMap(
      (each) => cook.readings.findLast(({ time_s, body }) => time_s <= at_s && (body ?? 0) === each) ?? [],
    ),
  )
}

/** The estimate of a known cook's pull after a share of its time. @param byHand read now and then instead of each minute */
export function arrivalAt(cook: KnownCook, at: number, members: number, seed = 5, byHand = false): ArrivalCheck {
  const cut = findCut(cook.told.cut)
  if (!cut) throw new RangeError(`no cut ${cook.told.cut}`)
  const now_s = at * cook.pull_s
  const readings = byHand
    ? asByHand(cook, now_s, Math.round(cook.pull_s))
    : cook.readings.filter(({ time_s }) => time_s <= now_s)
  const start = prepareRoast({
    piece: { cut, mass_kg: cook.told.mass_kg },
    oven: { ...DOMESTIC_OVEN, kind: cook.told.fan ? 'fan' : 'still' },
    start_c: cook.told.start_c,
    temper_s: 0,
    altitude_m: 0,
  })
  const { pull_s } = estimate({
    ...start,
    program: steadyProgram(cook.told.set_c, 30),
    readings,
    now_s,
    pull_c: start.bodies.map(() => cook.told.pull_c),
    measured: false,
    members,
    seed,
  })
  // What a straight line, or an exponential, through each probe says: done is when the last one is.
  const bodies = [...new Set(readings.map(({ body }) => body ?? 0))]
  const latest = (of: (own: readonly Reading[]) => number) =>
    Math.max(...bodies.map((each) => of(readings.filter(({ body }) => (body ?? 0) === each))))
  const errorOf = (end_s: number) => (Number.isFinite(end_s) ? (end_s - cook.pull_s) / cook.pull_s : 1)
  return {
    name: cook.name,
    at,
    error: (pull_s.p50 - cook.pull_s) / cook.pull_s,
    inside: cook.pull_s >= pull_s.p10 && cook.pull_s <= pull_s.p90,
    straight: errorOf(latest((own) => straightLine(own, cook.told.pull_c))),
    exponential: errorOf(latest((own) => exponentialFit(own, cook.told.pull_c))),
    low: cook.told.set_c <= 130,
  }
}

export interface ArrivalSummary {
  readonly at: number
  readonly cooks: number
  readonly median: number
  readonly bias: number
  readonly inside: number
  readonly straight: number
  readonly exponential: number
}

/**
 * Median error, bias and honesty of many checks, as shares.
 * @example summariseArrivals([{ at: 0.5, error: -0.1, inside: true, straight: 0.2, exponential: 0.1 }]).inside // 1
 */
export function summariseArrivals(checks: readonly ArrivalCheck[]): ArrivalSummary {
  const middle = (values: readonly number[]) =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN
  return {
    at: checks[0]?.at ?? 0,
    cooks: checks.length,
    median: middle(checks.map(({ error }) => Math.abs(error))),
    bias: middle(checks.map(({ error }) => error)),
    inside: checks.filter(({ inside }) => inside).length / checks.length,
    straight: middle(checks.map(({ straight }) => Math.abs(straight))),
    exponential: middle(checks.map(({ exponential }) => Math.abs(exponential))),
  }
}
