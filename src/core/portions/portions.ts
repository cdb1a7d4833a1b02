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
  /** Heads it feeds at the usual helping. */
  readonly heads: number
}

/**
 * Whole plates of the usual helping, one at least.
 * @example platesOf({ heads: 6.8 }) // 6
 */
export const platesOf = ({ heads }: Pick<Yield, 'heads'>): number => Math.max(1, Math.floor(heads))

/** Left on the board and the bone at carving, as a share of the meat (common practice). */
const CARVING_LOSS = 0.06

/** Weight left and helpings of a cooked piece. */
export function yieldOf(cut: Cut, mass_kg: number, run: CookRun): Yield {
  let lost = 0
  let meat = 0
  let juices = 0
  for (const kernel of run.kernels) {
    lost += (kernel.lost + kernel.water.dripped) * kernel.mass_kg
    juices += kernel.water.dripped * kernel.mass_kg
    meat += kernel.mass_kg
  }
  const lostShare = lost / meat
  const cooked_kg = mass_kg * (1 - lostShare)
  const edible = 1 - (cut.bone === 'bird' ? 0.45 : (cut.boneShare ?? 0))
  return {
    cooked_kg,
    carved_kg: cooked_kg * edible * (1 - CARVING_LOSS),
    lost: lostShare,
    juices_kg: (juices / meat) * mass_kg,
    heads: mass_kg / cut.perHead_kg,
  }
}
