import { z } from 'zod'

/** The plain values that every document is made of, one schema each: what passes can be kept, sent and drawn. */

const LONE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g
const NUL = '\u0000'
/** Without a NUL, and without half a character: a database keeps neither. */
const mended = (text: string): string => text.replaceAll(NUL, '').replace(LONE, '\uFFFD')

/**
 * Whether a text can be kept as it is: no NUL in it and no half character.
 * @example isWhole('rib') // true
 */
export const isWhole = (text: string): boolean => mended(text) === text

/** Text of a cook, at most so many characters long: what cannot be kept of it is mended, never a reason to lose the rest. */
export const text = (most: number) => z.string().overwrite(mended).max(most)

/** A name by which something is found again: refused, not mended, where it cannot be kept as it is. */
export const ident = (most: number, least = 1) =>
  z.string().min(least).max(most).refine(isWhole, 'has a character that cannot be kept')

/** Nothing in a kitchen is measured by more than this; nor by less, but for nothing at all. */
const MOST = 1e9
const LEAST = 1e-9

/** A number as kitchens have them: no infinity, and none so small that it is a slip. */
export const finite = z
  .number()
  .min(-MOST)
  .max(MOST)
  .overwrite((value) => (Math.abs(value) < LEAST ? 0 : value))

/**
 * A number as a document can hold it: what is beyond any kitchen becomes the farthest there is, for the range check to refuse.
 * @example heldNumber(1e20) // 1000000000
 */
export const heldNumber = (value: number): number => Math.max(-MOST, Math.min(MOST, value))

/** Years that a cook may speak of. */
const YEARS = { first: 1970, last: 2199 } as const
const isOfOurTime = (value: string) => {
  const at = new Date(value)
  const year = at.getUTCFullYear()
  return Number.isFinite(at.getTime()) && year >= YEARS.first && year <= YEARS.last
}

/** An instant, ISO 8601 with its offset, between 1970 and 2199. */
export const instant = z.iso
  .datetime({ offset: true })
  .refine(isOfOurTime, `must lie in the years ${YEARS.first} to ${YEARS.last}`)

/** A count of saves, as the database holds it. */
export const versionNumber = z.int().min(1).max(2_147_483_647)

/** What a kitchen's probe can read, °C: beyond it is a broken wire. */
export const PROBE_C = { low: -60, high: 500 } as const
export const probeCelsius = z.number().min(PROBE_C.low).max(PROBE_C.high)
