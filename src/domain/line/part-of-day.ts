import { type Rule, textAt } from './tokens'

/** Parts of the day that a meal is named by: this afternoon, a late lunch, teatime, early evening. */

/** The hour that each is eaten at where no other is said (common practice), by its words made one. */
const HOURS: ReadonlyMap<string, number> = new Map([
  ['early-lunch', 12],
  ['late-lunch', 14],
  ['early-afternoon', 14],
  ['afternoon', 15],
  ['this-afternoon', 15],
  ['mid-afternoon', 15],
  ['middle-afternoon', 15],
  ['afternoon-tea', 15],
  ['late-afternoon', 17],
  ['teatime', 17],
  ['tea-time', 17],
  ['high-tea', 17],
  ['early-evening', 18],
  ['early-dinner', 18],
  ['early-supper', 18],
  ['late-evening', 21],
  ['late-dinner', 21],
  ['late-supper', 21],
])
const MEAL = /^(?:dinner|lunch|supper|meal)$/

/**
 * "Early afternoon", "late lunch", "tea time": one word for what is one part of the day. "An early afternoon dinner" is
 * in the early afternoon.
 */
export const partOfDay: Rule = (tokens, at) => {
  const [word, next] = [textAt(tokens, at), textAt(tokens, at + 1)]
  if (tokens[at + 1]?.parted !== false) return undefined
  const text = `${word}-${next}`
  if (!HOURS.has(text)) return undefined
  const ofMeal = /afternoon|evening/.test(next) && MEAL.test(textAt(tokens, at + 2)) && tokens[at + 2]?.parted === false
  return { count: ofMeal ? 3 : 2, text }
}

/**
 * The hour of a part of the day, of a word that {@link partOfDay} made.
 * @example hourOfPart('late-lunch') // 14
 */
export const hourOfPart = (word: string): number | undefined => HOURS.get(word)
