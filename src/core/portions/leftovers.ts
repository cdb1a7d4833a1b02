import type { Cut } from '../reference/cuts'

/** What is left when all have eaten, and what the day after makes of it. */
export interface Leftovers {
  /** Sliced meat, kg. */
  readonly meat_kg: number
  /** Bones and carcass for the pot, kg. */
  readonly bones_kg: number
  /** Water that covers them, and so about the stock they give, l. */
  readonly water_l: number
  readonly stock_l: number
  /** Bowls of soup with the meat in it. */
  readonly soup_heads: number
  /** Plates of cold meat, or sandwiches. */
  readonly plates: number
}

/** Sliced meat on one plate, kg (common practice). */
const PLATE_KG = 0.15
/** Water to bones, l/kg, and what of it is stock after three hours uncovered (common practice). */
const WATER_PER_KG = 2
const STOCK_SHARE = 0.7
/** Stock in a bowl of soup, l, and meat, kg (common practice). */
const BOWL_L = 0.3
const BOWL_MEAT_KG = 0.06
/** A carcass picked clean, as a share of the raw bird (common practice). */
const CARCASS_SHARE = 0.28

/**
 * Leftovers of one roast: what it feeds beyond those who eat, and its bones.
 *
 * @param carved_kg sliced meat it gives, kg
 * @param heads it feeds at the usual helping
 * @param guests who eat of it
 */
export function leftoversOf(
  cut: Cut,
  mass_kg: number,
  { carved_kg, heads }: { readonly carved_kg: number; readonly heads: number },
  guests: number,
): Leftovers {
  const meat_kg = carved_kg * Math.max(0, 1 - guests / Math.max(guests, heads))
  const bones_kg = mass_kg * (cut.bone === 'bird' ? CARCASS_SHARE : (cut.boneShare ?? 0))
  const water_l = bones_kg * WATER_PER_KG
  const stock_l = water_l * STOCK_SHARE
  const bowls = bones_kg > 0 ? stock_l / BOWL_L : 0
  return {
    meat_kg,
    bones_kg,
    water_l,
    stock_l,
    soup_heads: Math.floor(Math.min(bowls, meat_kg / BOWL_MEAT_KG)),
    plates: Math.floor(meat_kg / PLATE_KG),
  }
}
