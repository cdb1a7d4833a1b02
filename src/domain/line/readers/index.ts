import { CARE } from './care'
import type { Reader } from './grammar'
import { BARE, HEATS } from './heat'
import { PIECE } from './piece'
import { STAGES } from './stages'
import { TABLE } from './table'
import { written } from './written'

export { minutesOf } from './grammar'

/**
 * What words of a line can say, each as a pattern and what it means. Of all that match at a word the longest
 * counts; of two as long the earlier in this list. Patterns see one spelling: see tokensOf.
 */
export const READERS: readonly Reader[] = [...STAGES, written(), ...PIECE, ...HEATS, ...CARE, ...BARE, ...TABLE]

/**
 * Engines make a pattern ready when it is first tried, and do so at once and for good where the text is long; for all of
 * them in short texts that takes half a second, in which a page answers no key.
 */
const LONG = ' '.repeat(1001)
let ready = 0

/**
 * Makes patterns ready, one of them at the least.
 *
 * @param most_ms how long, ms; all of them by default
 * @returns whether all of them are
 */
export function makeReady(most_ms = Number.POSITIVE_INFINITY): boolean {
  const until = performance.now() + most_ms
  while (ready < READERS.length) {
    const { pattern } = READERS[ready++] as Reader
    for (const text of [LONG, 'a']) {
      pattern.lastIndex = 0
      pattern.exec(text)
    }
    if (performance.now() >= until) break
  }
  return ready >= READERS.length
}
