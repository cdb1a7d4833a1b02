import { atHourOf, isHour } from '../line/promised'
import type { LineReading } from '../line/reading'
import { findSide } from '../line/sides'
import { piecesOfSaid } from '../plan/from-line'
import { cutOf } from '../roast/resolve'
import { MOST_SERVINGS } from './batches'
import { type MealDocument, mealRoast, mealSide } from './meal-document'

/** What is said in one line, added to a meal that stands already. */

/**
 * An id that no roast or side of a meal has.
 * @example freshId({ roasts: [], sides: [] }, 'side') // 'side-1'
 */
export const freshId = (meal: Pick<MealDocument, 'roasts' | 'sides'>, word: string): string => {
  const taken = new Set([...meal.roasts, ...meal.sides].map(({ id }) => id))
  for (let i = 1; ; i++) if (!taken.has(`${word}-${i}`)) return `${word}-${i}`
}

/** Two of the same name cannot be told apart at the stove. */
function freshTitle(meal: MealDocument, title: string): string {
  const taken = new Set(meal.roasts.map((each) => each.title))
  for (let i = 1; ; i++) {
    const name = i === 1 ? title : `${title} ${i}`
    if (!taken.has(name)) return name
  }
}

/** Whom a further roast feeds: those whom no other does, or as many as it can. */
function headsLeft(meal: MealDocument, roast: { readonly cut: string; readonly mass_kg: number }): number {
  const cut = cutOf(roast)
  const can = cut ? Math.max(1, Math.floor(roast.mass_kg / cut.perHead_kg)) : meal.guests
  const fed = meal.roasts.reduce((sum, { heads }) => sum + heads, 0)
  return Math.min(meal.guests, fed < meal.guests ? Math.min(can, meal.guests - fed) : can)
}

/** A further serving of a meal, by what is its own. */
export function furtherServing({ servings }: Pick<MealDocument, 'servings'>, at_s: number) {
  const taken = new Set(servings.map(({ id }) => id))
  let number = servings.length + 1
  while (taken.has(`serving-${number}`)) number++
  return { id: `serving-${number}`, title: `Serving ${number}`, at: new Date(at_s * 1000).toISOString() }
}

/** A meal with a serving at an hour of its day, and that serving: one that it has, or a further one. */
function servingAt(meal: MealDocument, at_s: number): { readonly meal: MealDocument; readonly serving: string } {
  const [first] = meal.servings
  const same = meal.servings.find(({ at }) => Date.parse(at) / 1000 === at_s)
  if (same || !first || meal.servings.length >= MOST_SERVINGS) return { meal, serving: (same ?? first)?.id ?? '' }
  const serving = { ...first, ...furtherServing(meal, at_s) }
  return { meal: { ...meal, servings: [...meal.servings, serving] }, serving: serving.id }
}

/** When each piece of a line is eaten, s since 1970, on the day of the meal; undefined where no hour is said. */
function hoursSaid(
  { seatings, promise_s, meanings }: LineReading,
  meal: MealDocument,
  timeZone: string,
): (piece: number) => number | undefined {
  const day_s = Date.parse(meal.servings[0]?.at ?? '') / 1000
  const saysHour = meanings.some(({ fact }) => isHour(fact))
  return (piece) => {
    const said_s = seatings?.find(({ pieces }) => pieces.includes(piece))?.at_s ?? (saysHour ? promise_s : undefined)
    return said_s === undefined || !Number.isFinite(day_s) ? undefined : atHourOf(day_s, said_s, timeZone)
  }
}

/** A meal with what was added to it. */
export interface AddedTo {
  readonly meal: MealDocument
  /** The last that was added, by its id. */
  readonly added: string
}

/**
 * Adds what a line says to a meal: its roasts and sides, each to the serving of the hour that is said beside it (a
 * further one where there is none), or to the first.
 */
export function addSaid(document: MealDocument, reading: LineReading, timeZone: string): AddedTo {
  const { roasts, sides, guests, ways, standards } = reading
  const hourOf = hoursSaid(reading, document, timeZone)
  let meal = document
  let added = ''
  let piece = 0
  for (const said of roasts)
    for (const each of piecesOfSaid(said, ways, standards)) {
      added = freshId(meal, said.cut)
      const heads =
        guests === undefined ? headsLeft(meal, each.roast) : Math.round(guests / (roasts.length * said.count))
      const at_s = hourOf(piece++)
      const placed = at_s === undefined ? { meal, serving: meal.servings[0]?.id ?? '' } : servingAt(meal, at_s)
      const { serving } = placed
      const title = freshTitle(meal, each.title)
      meal = {
        ...placed.meal,
        roasts: [...meal.roasts, mealRoast.parse({ ...each, title, id: added, serving, heads })],
      }
    }
  for (const { id } of sides) {
    const known = findSide(id)
    if (!known) continue
    added = freshId(meal, 'side')
    const side = mealSide.parse({ ...known, id: added, serving: meal.servings[0]?.id })
    meal = { ...meal, sides: [...meal.sides, side] }
  }
  return { meal, added }
}
