import type { Task } from '@/core/schedule/task'
import { alike } from '../cook/together'
import type { MealPlan } from './make-meal'
import type { MealDocument } from './meal-document'

/** What makes roasts of a meal alike: all that is said of them but what they are called. */
const likeness = (roast: MealDocument['roasts'][number]): string => JSON.stringify({ ...roast, id: '', title: '' })

/**
 * Tasks of a meal in their order, the same of roasts that are alike, by the same cook and in the same oven at the same
 * time, in one group: twelve quail go in with one pair of hands, and stand in one row of a sheet.
 *
 * @example tasksTogether([], { itemIds: [] }, { roasts: [] }).length // 0
 */
export function tasksTogether(
  tasks: readonly Task[],
  { itemIds }: Pick<MealPlan, 'itemIds'>,
  { roasts }: Pick<MealDocument, 'roasts'>,
): [Task, ...Task[]][] {
  const likes = new Map(roasts.map((roast) => [roast.id, likeness(roast)]))
  return alike(tasks, ({ item, kind, set_c, cook, source, stage, at }) => ({
    like: item === undefined ? undefined : likes.get(itemIds[item] ?? ''),
    item,
    kind,
    at_s: at,
    by: [set_c, cook, source],
    stage,
  }))
}
