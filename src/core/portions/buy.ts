import type { Cut } from '../reference/cuts'

/** What to buy for so many heads. */
export interface Purchase {
  readonly mass_kg: number
  readonly pieces: number
  readonly price: number | undefined
  readonly pricePerHead: number | undefined
}

/** What feeds so many at the most is bought by the piece (common practice). */
const MOST_BY_PIECE = 3

/**
 * How many pieces of a cut feed so many: of what feeds one or two as many as they eat, a shank or a partridge each, a
 * pheasant for two; of all else as few as it comes in.
 * @example piecesOf(findCut('pheasant'), 6) // 3
 */
export function piecesOf(
  { mass_kg: { usual, most }, perHead_kg }: Pick<Cut, 'mass_kg' | 'perHead_kg'>,
  heads: number,
): number {
  const feeds = usual / perHead_kg
  if (feeds > MOST_BY_PIECE) return Math.max(1, Math.ceil((heads * perHead_kg) / most))
  return Math.max(1, Math.ceil(feeds < 1 ? heads * Math.round(1 / feeds) : heads / Math.round(feeds)))
}

/**
 * Raw weight by heads, rounded up to 50 g, or to the kitchen's own step.
 * @example buyFor(findCut('beef-rib-bone-in'), 6, 20) // { mass_kg: 2.7, pieces: 1, price: 54, pricePerHead: 9 }
 */
export function buyFor(cut: Cut, heads: number, pricePerKg: number | undefined): Purchase {
  const wanted = heads * cut.perHead_kg
  const pieces = piecesOf(cut, heads)
  const mass_kg = rounded(wanted / pieces, cut.buyStep_kg ?? 0.05)
  const price = pricePerKg === undefined ? undefined : mass_kg * pieces * pricePerKg
  return { mass_kg, pieces, price, pricePerHead: price === undefined ? undefined : price / Math.max(1, heads) }
}

/** Up to the next step; a hair above one is that one. */
const rounded = (mass_kg: number, step_kg: number) => Number((Math.ceil(mass_kg / step_kg - 1e-9) * step_kg).toFixed(3))

/**
 * Fridge thawing: about 24 h for each 2.2 kg, a day at least (common practice), s.
 * @example thawSeconds(6.6) // ≈ 259200
 */
export const thawSeconds = (mass_kg: number): number => Math.max(1, mass_kg / 2.2) * 24 * 3600
/**
 * Cold water, changed every half hour: 30 min for each 500 g (common practice), s.
 * @example coldWaterThawSeconds(1) // 3600
 */
export const coldWaterThawSeconds = (mass_kg: number): number => (mass_kg / 0.5) * 1800
