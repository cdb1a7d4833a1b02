/** Quantities for a pan gravy, SI. */
export interface Gravy {
  readonly stock_l: number
  readonly fat_g: number
  readonly flour_g: number
  /** The drippings are too salty to use alone: taste, and stretch with unsalted stock. */
  readonly salty: boolean
}

/** Gravy a head, l: about a third of a cup (common practice). */
const GRAVY_PER_HEAD_L = 0.08
/** Roux: one tablespoon each of fat (14 g) and flour (8 g) to 240 ml (common practice). */
const FAT_G_PER_L = 14 / 0.24
const FLOUR_G_PER_L = 8 / 0.24

/**
 * Gravy for so many guests; a wet-brined roast gives salty juices.
 * @example gravyFor(10, false).stock_l // ≈ 0.8
 */
export function gravyFor(guests: number, wetBrined: boolean): Gravy {
  const stock_l = guests * GRAVY_PER_HEAD_L
  return {
    stock_l,
    fat_g: stock_l * FAT_G_PER_L,
    flour_g: stock_l * FLOUR_G_PER_L,
    salty: wetBrined,
  }
}
