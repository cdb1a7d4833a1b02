import { greedySchedule, prepare } from '@/core/schedule/meal/greedy'
import { bringsDanger, STEADY, settingOf, withRoast } from './changes'
import type { MealDocument, MealRoast } from './meal-document'
import { type ResolvedMeal, resolveMeal } from './meal-problem'

/** What is cooked at one heat, and nobody said at which. */
const leavesHeatOpen = ({ program }: MealRoast): boolean =>
  'school' in program && program.school === STEADY && program.set_c === undefined

const ROUNDS = 20
const NOTE = 'At a heat that suits what goes beside it: at its usual one there was no room for all.'

const leftOut = ({ problem }: ResolvedMeal): number => greedySchedule(problem, prepare(problem), ROUNDS).dropped.length

/**
 * A meal as it was said, with its roasts at another heat than the usual where that lets more of it find its place: a
 * chicken at 165 °C leaves no oven for potatoes, one at 180 °C does. Only where nobody said the heat, as near to the
 * usual as it may be, and never where it brings a danger; each roast that was set so has it in its notes.
 */
export function fitted(meal: MealDocument): MealDocument {
  const open = meal.roasts.filter(leavesHeatOpen)
  const before = open.length > 0 && meal.sides.length > 0 ? resolveMeal(meal) : undefined
  if (!before?.ok) return meal
  const now = leftOut(before.value)
  if (now === 0) return meal
  const usual = open.flatMap((roast) => settingOf(roast) ?? [])
  const apart = (set_c: number) => Math.max(...usual.map((each) => Math.abs(each - set_c)))
  const heats = [...new Set(meal.sides.flatMap(({ set_c, low_c }) => [set_c, low_c]))]
  let best = { meal, left: now }
  for (const set_c of heats.toSorted((a, b) => apart(a) - apart(b))) {
    const tried = open.reduce(
      (last, { id }) =>
        withRoast(last, id, (roast) => ({
          ...roast,
          program: { ...roast.program, set_c },
          notes: [roast.notes, NOTE].filter((note) => note !== '').join(' '),
        })),
      meal,
    )
    const after = resolveMeal(tried)
    if (!after.ok || bringsDanger(before.value, after.value)) continue
    const left = leftOut(after.value)
    if (left < best.left) best = { meal: tried, left }
    if (left === 0) break
  }
  return best.meal
}
