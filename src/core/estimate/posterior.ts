import type { Program } from '../program/stage'
import { cookMember, type EstimateSetup, tracksOf } from './member'
import { seededRandom, uncorrelatedNormals } from './random'
import type { Reading } from './reading'
import { smooth } from './smoother'
import { type Drawn, depthOf, doubtOf, isUnknownOf, MIDDLE, NAMES, UNKNOWNS, type Unknown } from './unknowns'

/** Members after the readings: what a cook in progress is believed to be. Plain numbers. */
export interface Posterior {
  readonly theta: readonly Float64Array[]
  readonly members: number
  readonly aside: readonly number[]
}

/** What the readings have taught: posterior mean and spread of each unknown, in its own unit. */
export type Inferred = readonly {
  readonly name: Unknown
  readonly mean: number
  readonly spread: number
  readonly prior: number
}[]

export const inferredOf = ({ theta }: Posterior, program: Program): Inferred =>
  NAMES.flatMap((name, p) => {
    if (!isUnknownOf(name, program)) return []
    const column = theta[p] as Float64Array
    const mean = column.reduce((sum, value) => sum + value, 0) / column.length
    const variance = column.reduce((sum, value) => sum + (value - mean) ** 2, 0) / column.length
    return {
      name,
      mean: name === 'depth' || name === 'depth2' ? depthOf(mean) : mean,
      spread: Math.sqrt(variance),
      prior: UNKNOWNS[name],
    }
  })

/** Most readings used of each probe: spread evenly, the last always among them. More teach nothing new, for errors are correlated. */
const MOST_READINGS = 24
/** Error of one reading, K: noise of the probe and of the model between readings. */
const READING_K = 0.4
/** The first reading's error over the last one's, less one. */
const OLD_DOUBT = 0.5
/** A reading is set aside where it is farther from every belief than this many deviations, and this far, K. */
const ASIDE = { deviations: 6, least_k: 15 } as const
/** Rounds of the smoother; each takes 1/ROUNDS of the evidence. */
const ROUNDS = 2
/** What members differ by goes so much of the way: wide doubts are narrowed by more than a half. */
const NARROWED = 0.7

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

/** The share of the way to its pull that the least climbed body reads. @param readings by time, until now */
export function climbedBy(
  readings: readonly Reading[],
  { pull_c, start_c, startCore_c = start_c }: EstimateSetup,
): number {
  const last = new Map(readings.map(({ body = 0, value_c }) => [body, value_c]))
  const shares = [...last].map(
    ([body, value_c]) =>
      (value_c - startCore_c) / Math.max(1, (pull_c[body] ?? Number.POSITIVE_INFINITY) - startCore_c),
  )
  return shares.length === 0 ? 0 : Math.min(...shares)
}

/** One member's values by name. */
export const drawnOf =
  (theta: readonly Float64Array[], member: number): Drawn =>
  (name) =>
    (theta[NAMES.indexOf(name)] as Float64Array)[member] as number

/**
 * Sharpens the belief about a cook by its readings: an ensemble smoother with multiple data
 * assimilation. Members stay whole cooks of the one stepper, so what comes out is physically one
 * piece; what the model cannot say is in doubts that grow once a core climbs, in the error of a reading, and in a share
 * of the time to go that no reading takes away.
 */
export function assimilate(setup: EstimateSetup): Posterior {
  if (setup.certain) return { theta: NAMES.map(() => new Float64Array(1)), members: 1, aside: [] }
  const { members, seed } = setup
  let wanted = thinned(setup.readings, setup.now_s)
  const climbed = setup.named ? 0 : climbedBy(wanted, setup)
  const drawn = uncorrelatedNormals(NAMES.length, members, seededRandom(seed))
  const theta = NAMES.map((name, p) => {
    const doubt = isUnknownOf(name, setup.program) ? doubtOf(name, climbed) : 0
    const spread = doubt * (name === 'thickness' && setup.measured ? 0.5 : 1)
    const middle = MIDDLE[name] ?? 0
    return (drawn[p] as Float64Array).map((value) => middle + value * spread)
  })
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

/** The readings of a cook as they are used. */
export function readAs(setup: EstimateSetup, posterior: Posterior) {
  const aside = new Set(posterior.aside)
  const usable = setup.readings.map((reading, i) => ({ ...reading, i })).filter(({ i }) => !aside.has(i))
  const wanted = thinned(usable, setup.now_s)
  return { usable, wanted, tracks: tracksOf(wanted) }
}

/** The m-th of so many members, taken evenly. */
export const askedOf = ({ theta, members }: Posterior, m: number, count: number): Drawn =>
  drawnOf(theta, Math.floor((m * members) / count))
