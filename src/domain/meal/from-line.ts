import { findSchool } from '@/core/program/schools'
import type { LineReading } from '../line/reading'
import { findSide } from '../line/sides'
import { partsOfSaid, planFromLine, promiseOf } from '../plan/from-line'
import type { PlanDocument, ProgramPart } from '../roast/roast-document'
import { type MealDocument, mealDocument } from './meal-document'

/** A table where nobody says how many. */
const USUAL_GUESTS = 6
const MOST_ROASTS = 40

/** Whether a line is about more than one plan can hold: several roasts, or what goes beside one. */
export const isMeal = ({ roasts, sides }: LineReading): boolean =>
  sides.length > 0 || roasts.length > 1 || roasts.some(({ count }) => count > 1)

/** Steady, and nothing said of its heat. */
const plainly = (program: ProgramPart): boolean =>
  'school' in program && program.school === 'steady' && program.set_c === undefined

/**
 * The heat that several roasts share where nobody said one: one oven has one setting, and a bird's is the highest
 * that all of them bear (common practice). Undefined where one roast alone has its own usual heat.
 */
function sharedHeat({ roasts }: LineReading): number | undefined {
  const heats = roasts.flatMap((said) => {
    const { cut, program } = partsOfSaid(said)
    return plainly(program) ? [findSchool('steady')?.usual(cut).set_c ?? 160] : []
  })
  return heats.length > 1 ? Math.max(...heats) : undefined
}

/** The meal document of a line about a whole table, in a kitchen. */
export function mealFromLine(reading: LineReading, now_s: number, kitchen: MealDocument['kitchen']): MealDocument {
  const promise_s = promiseOf(reading, now_s)
  const guests = reading.guests ?? USUAL_GUESTS
  const pieces = reading.roasts
    .flatMap((said) => Array.from({ length: said.count }, (_, i) => ({ said, i })))
    .slice(0, MOST_ROASTS)
  const heat_c = sharedHeat(reading)
  return mealDocument.parse({
    title:
      reading.roasts.length === 1
        ? partsOfSaid(reading.roasts[0] as LineReading['roasts'][number]).cut.name
        : `${guests} at the table`,
    kitchen,
    guests,
    vulnerable: reading.vulnerable,
    servings: [{ id: 'serving', title: 'The meal', at: new Date(promise_s * 1000).toISOString() }],
    roasts: pieces.map(({ said, i }, index) => {
      const { cut, preparation, ...parts } = partsOfSaid(said)
      return {
        id: `roast-${index + 1}`,
        title: said.count === 1 ? cut.name : `${cut.name} ${i + 1} of ${said.count}`,
        serving: 'serving',
        heads: Math.floor(guests / pieces.length) + (index < guests % pieces.length ? 1 : 0),
        ...parts,
        ...(plainly(parts.program) && heat_c !== undefined ? { program: { school: 'steady', set_c: heat_c } } : {}),
        preparation: preparation ?? 'dry_salt',
      }
    }),
    sides: reading.sides.flatMap(({ id }, i) => {
      const side = findSide(id)
      if (!side) return []
      return [{ ...side, id: `side-${i + 1}`, serving: 'serving' }]
    }),
  })
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
    : { kind: 'plan', document: { ...planFromLine(reading, now_s), altitude_m: kitchen.altitude_m } }
}
