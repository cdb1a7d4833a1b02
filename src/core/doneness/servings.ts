import type { Slice } from './slice'

/** How one degree of doneness stands against those who asked for it. */
export interface DonenessServing {
  readonly degree: string
  /** Plates that the meat of this degree fills. */
  readonly plates: number
  /** Guests who asked for it. */
  readonly wanted: number
}

/**
 * Plates by degree: the heads a piece feeds, shared out as its meat is, by largest remainder, so
 * that the plates sum to the heads.
 */
export function servingsOf(slice: Slice, heads: number, wishes: Readonly<Record<string, number>>): DonenessServing[] {
  const exact = slice.shares.map(({ degree, share }) => ({ degree, exact: share * heads }))
  const plates = exact.map((row) => ({ ...row, plates: Math.floor(row.exact) }))
  let left = Math.round(heads) - plates.reduce((sum, row) => sum + row.plates, 0)
  for (const row of [...plates].sort((a, b) => b.exact - b.plates - (a.exact - a.plates))) {
    if (left <= 0) break
    row.plates++
    left--
  }
  return plates.map(({ degree, plates: filled }) => ({ degree, plates: filled, wanted: wishes[degree] ?? 0 }))
}
