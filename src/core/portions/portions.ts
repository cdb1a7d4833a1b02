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

/**
 * Juice that meat cannot hold once it has been this hot, as a share of its weight:
 * 0.31/(1 + 30 exp(−0.17 (T − 52))), of which evaporation has already taken its part.
 * @see The sigmoid of water-holding capacity used by R. G. M. van der Sman, Meat Science 76 (2007), coefficients from memory.
 */
const squeezedShare = (hottest_c: number) => 0.31 / (1 + 30 * Math.exp(-0.17 * (hottest_c - 52)))
/** The part of the squeezed juice that finds its way out as drip. The rest is kept in the slice. */
const DRIP_SHARE = 0.35

/** Weight left and helpings of a cooked piece. */
export function yieldOf(cut: Cut, mass_kg: number, run: CookRun): Yield {
  let lost = 0
  let meat = 0
  for (const kernel of run.kernels) {
    let squeezed = 0
    for (let i = 0; i < kernel.shells; i++)
      squeezed += (kernel.shellMass[i] as number) * squeezedShare(kernel.hottest[i] as number)
    lost += kernel.lost * kernel.mass_kg + DRIP_SHARE * squeezed
    meat += kernel.mass_kg
  }
  const lostShare = lost / meat
  const cooked_kg = mass_kg * (1 - lostShare)
  const edible = 1 - (cut.bone === 'bird' ? 0.45 : (cut.boneShare ?? 0))
  return {
    cooked_kg,
    carved_kg: cooked_kg * edible * (1 - CARVING_LOSS),
    lost: lostShare,
    heads: mass_kg / cut.perHead_kg,
  }
}
