import type { Task } from '@/core/schedule/task'
import { epochSeconds } from '@/core/units'
import type { MealPlan } from '../meal/make-meal'
import type { CookDocument } from './cook-document'
import type { Run, RunStep } from './run'

/** A plan while it is cooked: its tasks at the times they now have. */

/** What a page needs of a cook to say its times. */
export interface Living {
  readonly cookId: string
  readonly document: CookDocument
  readonly run: Run
}

/** And what is next on its board. */
export interface LivingCook extends Living {
  readonly next: RunStep | undefined
}

const sameKind = (task: Task, { step }: RunStep): boolean => task.kind === step.kind

/** A task of one roast as it now stands. */
const moved = (task: Task, { at_s, window, state }: RunStep): Task => ({
  ...task,
  at: epochSeconds(at_s),
  window: window && state === 'open' ? { from: epochSeconds(window.from_s), to: epochSeconds(window.to_s) } : undefined,
})

/**
 * The tasks of one roast's plan at the times they now have in its cook. A plan that was changed since has
 * other tasks: then those of the cook are looked up by their kind, in order.
 */
export function livingTasks(tasks: readonly Task[], { steps }: Run): Task[] {
  const left = [...steps]
  return tasks
    .map((task) => {
      const place = left.findIndex((step) => sameKind(task, step))
      const [step] = place < 0 ? [] : left.splice(place, 1)
      return step ? moved(task, step) : task
    })
    .sort((a, b) => a.at - b.at)
}

/** A meal's plan with its tasks, each by its item and source, at the times they now have in its cook. */
export function livingMeal(plan: MealPlan, { steps }: Run): MealPlan {
  const left = [...steps]
  const tasks = plan.tasks
    .map((task) => {
      const item = task.item === undefined ? null : (plan.itemIds[task.item] ?? null)
      const source = task.source === undefined ? null : (plan.sources[task.source]?.id ?? null)
      const place = left.findIndex(
        (step) => sameKind(task, step) && step.step.item === item && (step.step.source?.id ?? null) === source,
      )
      const [step] = place < 0 ? [] : left.splice(place, 1)
      return step ? moved(task, step) : task
    })
    .sort((a, b) => a.at - b.at)
  return { ...plan, tasks }
}
