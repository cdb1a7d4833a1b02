import { type Rule, textAt } from './tokens'

/** Parts of the day that a meal is named by: this afternoon, a late lunch, teatime, early evening. */

/** The hour that each is eaten at where no other is said (common practice), by its words made one. */
export const PARTS_OF_DAY: Readonly<Record<string, number>> = {
  'early-lunch': 12,
  'late-lunch': 14,
  'early-afternoon': 14,
  afternoon: 15,
  'mid-afternoon': 15,
  'late-afternoon': 17,
  teatime: 17,
  'early-evening': 18,
  'late-evening': 21,
}
const LIKE: Readonly<Record<string, string>> = {
  'early-dinner': 'early-evening',
  'early-supper': 'early-evening',
  'late-dinner': 'late-evening',
  'late-supper': 'late-evening',
  'tea-time': 'teatime',
  'high-tea': 'teatime',
  'afternoon-tea': 'mid-afternoon',
  'this-afternoon': 'afternoon',
  'middle-afternoon': 'mid-afternoon',
}
const MEAL = /^(?:dinner|lunch|supper|meal)$/

/**
 * "Early afternoon", "late lunch", "tea time": one word for what is one part of the day. "An early afternoon dinner" is
 * in the early afternoon.
 */
export const partOfDay: Rule = (tokens, at) => {
  const [word, next] = [textAt(tokens, at), textAt(tokens, at + 1)]
  if (tokens[at + 1]?.parted !== false) return undefined
  const named = `${word}-${next}`
  const text = Object.hasOwn(PARTS_OF_DAY, named) ? named : Object.hasOwn(LIKE, named) ? LIKE[named] : undefined
  if (text === undefined) return undefined
  const ofMeal = /afternoon|evening/.test(next) && MEAL.test(textAt(tokens, at + 2)) && tokens[at + 2]?.parted === false
  return { count: ofMeal ? 3 : 2, text }
}

/**
 * The hour of a part of the day, of a word that {@link partOfDay} made.
 * @example hourOfPart('late-lunch') // 14
 */
export const hourOfPart = (word: string): number | undefined =>
  Object.hasOwn(PARTS_OF_DAY, word) ? PARTS_OF_DAY[word] : undefined
