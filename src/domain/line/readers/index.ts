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
