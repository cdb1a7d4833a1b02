import type { Spread } from '@/core/estimate/ensemble'
import { normalShare, P10_DEVIATIONS } from '@/core/estimate/random'
import { type SafetyLeast, SURE } from '@/core/safety/least'

/** A safety minimum, with the chance that it is met. */
export interface Safety {
  readonly least_c: number
  /** Of 1. */
  readonly chance: number
  /** The reading to pull at for a chance of 95 in 100, °C; undefined where it is met already. */
  readonly pull_c: number | undefined
}

/** Deviations below the middle for that. */
const SURE_DEVIATIONS = 1.645

/** By how much a peak must be higher to be safe in 95 of 100, K; under nothing it is. A degree later is about a degree more. */
export const shortOfSure = ({ least_c }: SafetyLeast, { p10, p50 }: Pick<Spread, 'p10' | 'p50'>): number =>
  least_c - (p50 - (SURE_DEVIATIONS * (p50 - p10)) / P10_DEVIATIONS)

/** The chance of a safe peak, and the pull that makes it sure. */
export function safetyOf(
  least: SafetyLeast,
  chance: number,
  peak_c: Pick<Spread, 'p10' | 'p50'>,
  pull_c: number,
  serve_c: number,
): Safety {
  const sure_c = Math.min(Math.max(serve_c, least.least_c), Math.ceil((pull_c + shortOfSure(least, peak_c)) * 2) / 2)
  return { least_c: least.least_c, chance, pull_c: chance >= SURE || sure_c <= pull_c ? undefined : sure_c }
}

/** Whether a roast is so far from surely safe that something is to be done about it. */
export const isUnsure = (chance: number | undefined): boolean => chance !== undefined && chance < UNSURE
/** What is foreseen is foreseen roughly: this much less than sure is let pass. */
const UNSURE = SURE - 0.07

/**
 * The chance of safety, by all it had or by its peak: the members' own peaks lie lower than the one that is told, by as
 * much as the anchor moves that.
 */
export function safeChance(
  { p10, p50 }: Spread,
  more_k: number,
  least: SafetyLeast | undefined,
  share: number | undefined,
): number | undefined {
  if (least === undefined || share === undefined) return undefined
  const deviation = Math.max(0.1, (p50 - p10) / P10_DEVIATIONS)
  return Math.max(share, normalShare((p50 + more_k - least.least_c) / deviation))
}
