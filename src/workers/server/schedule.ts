import { changesFor } from '@/domain/meal/changes'
import { makeMeal } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { type ScheduleAnswer, scheduleAnswerOf } from '@/domain/meal/schedule-answer'
import { type Outcome, succeed } from '@/domain/problem/problem'
import { nodeSolver } from '../solver/load'

/** How long the exact solver may look for better, s. */
const SEARCH_S = 6

/** The whole of the headless `plan`: a meal in, its schedule out. */
export async function scheduleOf(document: MealDocument): Promise<Outcome<ScheduleAnswer>> {
  const made = makeMeal(document, await nodeSolver(), SEARCH_S)
  if (!made.ok) return made
  const plan = made.value
  const clashing = [...new Set(plan.dropped.flatMap(({ id, against }) => [id, ...against]))]
  return succeed(scheduleAnswerOf(document, plan, changesFor(document, clashing, plan.dropped.length)))
}
