import { changesFor } from '@/domain/meal/changes'
import { makeMeal } from '@/domain/meal/make-meal'
import { mealDocument } from '@/domain/meal/meal-document'
import { type ScheduleAnswer, scheduleAnswerOf } from '@/domain/meal/schedule-answer'
import { parseWith } from '@/domain/problem/parse'
import { type Outcome, succeed } from '@/domain/problem/problem'
import { nodeSolver } from '@/workers/solver/load'

const LIMIT_S = 8

/** The whole of the headless `plan`: a meal document in, its schedule out. */
export async function planHeadless(value: unknown): Promise<Outcome<ScheduleAnswer>> {
  const document = parseWith(mealDocument, value)
  if (!document.ok) return document
  const made = makeMeal(document.value, await nodeSolver(), LIMIT_S)
  if (!made.ok) return made
  const plan = made.value
  const clashing = [...new Set(plan.dropped.flatMap(({ id, against }) => [id, ...against]))]
  return succeed(scheduleAnswerOf(document.value, plan, changesFor(document.value, clashing, plan.dropped.length)))
}
