import { DONENESS_SCALES } from '@/core/reference/doneness'

/** Words for how done it is wanted. */

const DONENESS = [
  ...new Set(
    DONENESS_SCALES.flatMap(({ degrees }) =>
      degrees.flatMap(({ id, words }) => [id, ...words].map((word) => word.replaceAll('-', ' '))),
    ),
  ),
].sort((a, b) => b.length - a.length)
/** Further words for a degree (common practice). */
const DEGREES: Readonly<Record<string, string>> = {
  'med rare': 'medium rare',
  mr: 'medium rare',
  'm/r': 'medium rare',
  med: 'medium',
  mw: 'medium well',
  'm/w': 'medium well',
  'medium to rare': 'medium rare',
  'rare to medium rare': 'medium rare',
  'medium rare to medium': 'medium rare',
  'rare to medium': 'medium rare',
  'med well': 'medium well',
  'medium to well': 'medium well',
  saignant: 'rare',
  'a point': 'medium rare',
  'bien cuit': 'well done',
  rose: 'pink',
  'fully cooked': 'done',
  'fall apart': 'pull apart',
  'falls apart': 'pull apart',
  'falling apart': 'pull apart',
  'fall off the bone': 'pull apart',
  'falling off the bone': 'pull apart',
  'falls off the bone': 'pull apart',
  'falls off bone': 'pull apart',
  'falling off bone': 'pull apart',
  'fall off bone': 'pull apart',
  'fork tender': 'pull apart',
  'meltingly tender': 'pull apart',
  'meltingly soft': 'pull apart',
  'spoon soft': 'pull apart',
  'spoon tender': 'pull apart',
  'very soft': 'pull apart',
  soft: 'pull apart',
  'pulls apart': 'pull apart',
  'pulled apart': 'pull apart',
  pullable: 'pull apart',
  'to pull': 'pull apart',
  'for pulling': 'pull apart',
  shredded: 'pull apart',
  'to shred': 'pull apart',
  'for shredding': 'pull apart',
  'no pink': 'well done',
  'not pink': 'well done',
  'never pink': 'well done',
  'nothing pink': 'well done',
  'not too pink': 'medium',
  'not rare': 'medium',
  'never rare': 'medium',
  'nothing rare': 'medium',
  'not too rare': 'medium',
  'not bloody': 'medium',
  'not too bloody': 'medium',
  'still pink': 'pink',
  blushing: 'pink',
  bloody: 'rare',
  grey: 'well done',
  gray: 'well done',
}
export const DEGREE = `(?:${[...Object.keys(DEGREES), ...DONENESS].sort((a, b) => b.length - a.length).join('|')})`
export const degreeOf = (text: string): string => (DEGREES[text] ?? text).replaceAll(' ', '-')

/**
 * Whether a word means meat that falls apart.
 * @example isPulled('pulled') // true
 */
export const isPulled = (word: string): boolean =>
  DONENESS_SCALES.flatMap(({ degrees }) => degrees).some(
    ({ id, words }) => id === 'pull-apart' && (id === word || words.includes(word.replaceAll('-', ' '))),
  )
