import { buyFor } from '@/core/portions/buy'
import { findCut, isCured } from '@/core/reference/cuts'
import { cutByStandards, type HouseStandards, standardsFor } from '../house/standards'
import type { LineReading } from '../line/reading'
import { findSide, SIDES, type SideKind } from '../line/sides'
import { fail, type Outcome, succeed } from '../problem/problem'
import { type MealDocument, mealDocument } from './meal-document'

/** A meal of which no roast is said: how many, when, and what else a line says of the table. */
export interface MealWords {
  readonly guests: number
  readonly at_s: number
  readonly vulnerable?: boolean
  /** What is eaten beside the roast, where that is said. */
  readonly sides?: readonly SideKind[]
}

/** As many as a meal document takes. */
const MOST_GUESTS = 2000
const tooMany = (value: number) =>
  fail({ code: 'out_of_range', path: ['guests'], quantity: 'count', value, low: 1, high: MOST_GUESTS })

/**
 * What a line without a roast says of a meal: how many, and when. Whatever it does not know is pointed at, for there
 * is no plan yet on which it could be asked about.
 */
export function mealWordsOf({ guests, promise_s, vulnerable, sides, asks }: LineReading): Outcome<MealWords> {
  const unknown = asks.flatMap((ask) => (ask.code === 'what_is' ? [ask.words] : []))
  const crowd = unknown.map(Number).find((count) => count > MOST_GUESTS)
  if (guests === undefined && crowd !== undefined) return tooMany(crowd)
  if (guests === undefined) return fail({ code: 'missing_guests', path: ['line'] })
  if (promise_s === undefined) return fail({ code: 'missing_time', path: ['line'] })
  if (unknown.length > 0) return fail({ code: 'only_guests_and_time', path: ['line'], words: unknown.join(' ') })
  if (guests > MOST_GUESTS) return tooMany(guests)
  return succeed({ guests, at_s: promise_s, vulnerable, sides: sides.flatMap(({ id }) => findSide(id) ?? []) })
}

/** Sides most roasts come with: the ones that are a tap away. */
export const USUAL_SIDES: readonly SideKind[] = SIDES.slice(0, 6).map(({ side }) => side)

/** A first meal from how many and when: one roast that feeds them, potatoes and roots, in the kitchen's own ovens. */
export function mealFromWords(
  words: MealWords,
  kitchen: MealDocument['kitchen'],
  cutId = 'beef-rib-bone-in',
  standards: HouseStandards = new Map(),
): MealDocument {
  const found = findCut(cutId)
  if (!found) throw new RangeError(`no cut ${cutId}`)
  const cut = cutByStandards(found, standards)
  const held = standardsFor(found, standards)
  const { mass_kg, pieces } = buyFor(cut, words.guests, undefined)
  return mealDocument.parse({
    title: `${words.guests} at the table`,
    kitchen,
    guests: words.guests,
    servings: [{ id: 'serving', title: 'The meal', at: new Date(words.at_s * 1000).toISOString() }],
    roasts: Array.from({ length: Math.min(pieces, 12) }, (_, i) => ({
      id: `roast-${i + 1}`,
      title: pieces === 1 ? cut.name : `${cut.name} ${i + 1}`,
      serving: 'serving',
      heads: Math.round(words.guests / pieces),
      roast: {
        cut: cut.id,
        mass_kg,
        temper_min: 30,
        surface: isCured(cut) ? 'plain' : 'dry_salted',
        ...(held ? { standards: held } : {}),
      },
      program: { school: 'steady', set_c: 150 },
      ...(isCured(cut) ? { preparation: 'none' } : {}),
    })),
    vulnerable: words.vulnerable ?? false,
    sides: (words.sides?.length ? words.sides : USUAL_SIDES.slice(0, 2)).map((side, i) => ({
      ...side,
      id: `side-${i + 1}`,
      serving: 'serving',
    })),
  })
}
