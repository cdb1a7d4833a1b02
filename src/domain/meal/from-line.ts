import { findCut } from '@/core/reference/cuts'
import type { LineReading } from '../line/reading'
import { isMeal } from '../line/said-roast'
import { findSide } from '../line/sides'
import { partsOfSaid, piecesOfSaid, planFromLine, promiseOf, servedAsItComes } from '../plan/from-line'
import { steadySet } from '../plan/said-stretches'
import type { PlanDocument, ProgramPart } from '../roast/roast-document'
import { inBatches, MOST_SERVINGS } from './batches'
import type { MealPlan } from './make-meal'
import { type MealDocument, mealDocument } from './meal-document'

/** A table where nobody says how many. */
const USUAL_GUESTS = 6
const MOST_ROASTS = 40
/** The first, and those after it. */
const servingId = (place: number): string => (place === 0 ? 'serving' : `serving-${place + 1}`)

/** Steady, and nothing said of its heat. */
const plainly = (program: ProgramPart): boolean =>
  'school' in program && program.school === 'steady' && program.set_c === undefined

/**
 * The heat that several roasts share where nobody said one: one oven has one setting, and a bird's is the highest
 * that all of them bear (common practice). Undefined where one roast alone has its own usual heat.
 */
function sharedHeat({ roasts }: LineReading): number | undefined {
  const heats = roasts
    .map((said) => partsOfSaid(said))
    .flatMap(({ cut, program }) => (plainly(program) ? [steadySet(cut)] : []))
  return heats.length > 1 ? Math.max(...heats) : undefined
}

type Ovens = MealDocument['kitchen']['ovens']
/** So many ovens as are said: the first of the kitchen's, and more like its last where it has fewer. */
function soMany(known: Ovens, count: number): Ovens {
  const ovens = known.slice(0, count)
  const like = ovens.at(-1)
  const ids = new Set(known.map(({ id }) => id))
  for (let next = 2; like && ovens.length < count; next++)
    if (!ids.has(`oven-${next}`)) ovens.push({ ...like, id: `oven-${next}`, name: `Oven ${ovens.length + 1}` })
  return ovens
}

/** The meal document of a line about a whole table, in a kitchen. */
export function mealFromLine(reading: LineReading, now_s: number, kitchen: MealDocument['kitchen']): MealDocument {
  const guests = reading.guests ?? USUAL_GUESTS
  const pieces = reading.roasts
    .flatMap((said) => piecesOfSaid(said, reading.ways, reading.standards))
    .slice(0, MOST_ROASTS)
  const heat_c = sharedHeat(reading)
  const servings = (reading.seatings ?? [{ at_s: promiseOf(reading, now_s), pieces: [] }]).slice(0, MOST_SERVINGS)
  const [only, ...others] = reading.roasts
  const [oven, ...ovens] = kitchen.ovens
  // Of several ovens nobody said which.
  const known = oven && ovens.length === 0 ? [{ ...oven, offset_k: reading.oven_k ?? oven.offset_k }] : kitchen.ovens
  const all = reading.ovens === undefined ? known : soMany(known, reading.ovens)
  const meal = mealDocument.parse({
    title: only && others.length === 0 ? (findCut(only.cut)?.name ?? only.cut) : `${guests} at the table`,
    kitchen: { ...kitchen, ovens: all, altitude_m: reading.altitude_m ?? kitchen.altitude_m },
    guests,
    vulnerable: reading.vulnerable,
    servings: servings.map(({ at_s }, i) => ({
      id: servingId(i),
      title: servings.length === 1 ? 'The meal' : `Serving ${i + 1}`,
      at: new Date(at_s * 1000).toISOString(),
      away_min: reading.away_min ?? 0,
    })),
    roasts: pieces.map((piece, index) => ({
      ...piece,
      id: `roast-${index + 1}`,
      serving: servingId(
        Math.max(
          0,
          servings.findIndex((each) => each.pieces.includes(index)),
        ),
      ),
      heads: Math.floor(guests / pieces.length) + (index < guests % pieces.length ? 1 : 0),
      ...(plainly(piece.program) && heat_c !== undefined ? { program: { school: 'steady', set_c: heat_c } } : {}),
    })),
    sides: reading.sides.flatMap(({ id }, i) => {
      const side = findSide(id)
      return side ? [{ ...side, id: `side-${i + 1}`, serving: 'serving' }] : []
    }),
  })
  const { batches } = reading
  const ids = meal.roasts.map(({ id }) => id)
  return batches && ids.length > 1 ? inBatches(meal, ids, batches.count, batches.apart_min) : meal
}

/** The document that a line stands for: a plan of one roast, or a meal. */
export function documentFromLine(
  reading: LineReading,
  now_s: number,
  kitchen: MealDocument['kitchen'],
):
  | { readonly kind: 'plan'; readonly document: PlanDocument }
  | { readonly kind: 'meal'; readonly document: MealDocument }
  | undefined {
  if (reading.roasts.length === 0) return undefined
  return isMeal(reading)
    ? { kind: 'meal', document: mealFromLine(reading, now_s, kitchen) }
    : {
        kind: 'plan',
        document: { ...planFromLine(reading, now_s), altitude_m: reading.altitude_m ?? kitchen.altitude_m },
      }
}

/** A meal whose roasts that were told their reading, and of which nobody said how done, are wanted as that makes them. */
export function mealAsTold(meal: MealDocument, { items }: Pick<MealPlan, 'items'>): MealDocument {
  return {
    ...meal,
    roasts: meal.roasts.map((roast) => {
      const serve_c = servedAsItComes(roast, { peak_c: items.find(({ id }) => id === roast.id)?.peak_c })
      return serve_c === undefined ? roast : { ...roast, target: { serve_c: Math.round(serve_c) } }
    }),
  }
}
