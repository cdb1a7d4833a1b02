import { buyFor } from '@/core/portions/buy'
import { findCut } from '@/core/reference/cuts'
import { cutByStandards, type HouseStandards, standardsFor } from '../house/standards'
import { afternoon, LONGEST_MOMENT, readMoment } from '../line/moment'
import { SIDES, type SideKind } from '../line/sides'
import { LONGEST_LINE } from '../line/tokens'
import { fail, type Outcome, succeed } from '../problem/problem'
import { type MealDocument, mealDocument } from './meal-document'

/** A meal said in words: who many, when. */
export interface MealWords {
  readonly guests: number
  readonly at_s: number
}

/** As many as a meal document takes. */
const MOST_GUESTS = 2000
const PEOPLE = /(\d+)\s*(?:people|guests|heads?|covers)/i

/**
 * Reads "38 people on Saturday at 19:30".
 * @example readMealWords('4 people 1970-01-02 19:00', 0, 'UTC').value.guests // 4
 */
export function readMealWords(line: string, now_s: number, timeZone: string): Outcome<MealWords> {
  if (line.length > LONGEST_LINE) return fail({ code: 'line_too_long', given: line.length, most: LONGEST_LINE })
  const people = line.match(PEOPLE)
  const said = line
    .replace(PEOPLE, ' ')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter((word) => word && !['on', 'at', 'for', 'a', 'supper', 'dinner', 'lunch', 'eat'].includes(word))
  const words = said.map((word, i) => afternoon(word, said[i + 1]))
  let at_s: number | undefined
  const unknown: string[] = []
  for (let i = 0; i < words.length; ) {
    const moment = readMoment(words.slice(i, i + LONGEST_MOMENT), { now_s, timeZone })
    if (moment) at_s = moment.at_s
    else unknown.push(words[i] as string)
    i += moment?.count ?? 1
  }
  if (!people) return fail({ code: 'missing_guests', path: ['line'] })
  if (at_s === undefined) return fail({ code: 'missing_time', path: ['line'] })
  if (unknown.length > 0) return fail({ code: 'only_guests_and_time', path: ['line'], words: unknown.join(' ') })
  const guests = Number(people[1])
  if (!(guests >= 1 && guests <= MOST_GUESTS))
    return fail({ code: 'out_of_range', path: ['guests'], quantity: 'count', value: guests, low: 1, high: MOST_GUESTS })
  return succeed({ guests, at_s })
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
      roast: { cut: cut.id, mass_kg, temper_min: 30, surface: 'dry_salted', ...(held ? { standards: held } : {}) },
      program: { school: 'steady', set_c: 150 },
    })),
    sides: USUAL_SIDES.slice(0, 2).map((side, i) => ({ ...side, id: `side-${i + 1}`, serving: 'serving' })),
  })
}
