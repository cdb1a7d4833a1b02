import type { Cut } from '../reference/cuts'
import type { CookRun } from '../simulate/cook'

/** What comes to the table from one piece. */
export interface Yield {
  /** Weight at the knife, bone included, kg. */
  readonly cooked_kg: number
  /** Sliced meat, kg. */
  readonly carved_kg: number
  /** Water gone as vapour and juice, share of the raw weight. */
  readonly lost: number
  /** Juices in the tin, kg. */
  readonly juices_kg: number
  /** Juices that run out on the board as it is sliced, kg: more of it the hotter and the more done it is. */
  readonly boardJuices_kg: number
  /** Heads it feeds at the usual helping. */
  readonly heads: number
}

/**
 * Whole plates of the usual helping, one at least.
 * @example platesOf({ heads: 6.8 }) // 6
 */
export const platesOf = ({ heads }: Pick<Yield, 'heads'>): number => Math.max(1, Math.floor(heads))

/** Crumbs, trim and what clings to the bone at carving, as a share of the meat (common practice). */
const TRIM = 0.04
/**
 * Juice that the knife itself sets free, share of the raw weight, and how it runs: all of it at 80 °C, half every
 * ten kelvin below. Put so that a loin of pork leaves about 2 % of its weight on the board when it is carved at once and
 * less than half of that after twenty minutes' rest (kitchen tests, from memory, have a quarter).
 */
const CUT_FREE = 0.02
const RUNS_AT_C = 80
const THICKENS_K = 14
const runsAt = (temperature_c: number) => Math.min(1, Math.exp((temperature_c - RUNS_AT_C) / THICKENS_K))

/** Weight left and helpings of a cooked piece. */
export function yieldOf(cut: Cut, mass_kg: number, run: CookRun): Yield {
  let lost = 0
  let meat = 0
  let juices = 0
  let runs = 0
  for (const kernel of run.kernels) {
    lost += (kernel.lost + kernel.water.dripped) * kernel.mass_kg
    juices += kernel.water.dripped * kernel.mass_kg
    runs += kernel.water.runsFrom(CUT_FREE, (layer) => runsAt(kernel.temperature[layer] as number)) * kernel.mass_kg
    meat += kernel.mass_kg
  }
  const lostShare = lost / meat
  const cooked_kg = mass_kg * (1 - lostShare)
  const edible = 1 - (cut.bone === 'bird' ? 0.45 : (cut.boneShare ?? 0))
  const boardJuices_kg = (runs / meat) * mass_kg * edible
  return {
    cooked_kg,
    carved_kg: cooked_kg * edible * (1 - TRIM) - boardJuices_kg,
    boardJuices_kg,
    lost: lostShare,
    juices_kg: (juices / meat) * mass_kg,
    heads: mass_kg / cut.perHead_kg,
  }
}
