import type { Task } from '@/core/schedule/task'
import { celsius, epochSeconds } from '@/core/units'
import type { MealPlan } from '../meal/make-meal'
import type { CookDocument } from './cook-document'
import type { Run, RunStep } from './run'
import type { CookStep } from './step'

/** A plan while it is cooked: its tasks at the times they now have. */

/** What a page needs of a cook to say its times, and what is next on its board. */
export interface LivingCook {
  readonly cookId: string
  readonly document: CookDocument
  readonly run: Run
  readonly next: RunStep | undefined
}

/** A finish that was decided to be in a pan is in a pan on every page. */
function decidedHeat({ stage, because }: Task, { stage: now, set_c, numbers }: CookStep): Partial<Task> {
  if (!stage || now?.environment.kind !== 'pan' || stage.environment.kind === 'pan' || set_c === null) return {}
  const environment = { kind: 'pan', set_c: celsius(set_c) } as const
  return { set_c, stage: { ...stage, environment, tending: [] }, because: { ...because, numbers } }
}

/** A task of one roast as it now stands. */
const moved = (task: Task, { at_s, window, state, step }: RunStep): Task => ({
  ...task,
  ...decidedHeat(task, step),
  at: epochSeconds(at_s),
  window: window && state === 'open' ? { from: epochSeconds(window.from_s), to: epochSeconds(window.to_s) } : undefined,
})

/**
 * Tasks at the times they now have in their cook, each by its step: the first that is left of its kind and
 * that `is` the task's. A plan that was changed since may have others; those keep their planned times.
 */
function livingOf(tasks: readonly Task[], { steps }: Run, is: (task: Task, step: RunStep) => boolean): Task[] {
  const left = [...steps]
  return tasks
    .map((task) => {
      const place = left.findIndex((step) => step.step.kind === task.kind && is(task, step))
      const [step] = place < 0 ? [] : left.splice(place, 1)
      return step ? moved(task, step) : task
    })
    .sort((a, b) => a.at - b.at)
}

/** The tasks of one roast's plan at the times they now have in its cook. */
export const livingTasks = (tasks: readonly Task[], run: Run): Task[] => livingOf(tasks, run, () => true)

/** A meal's plan with its tasks, each by its item and source, at the times they now have in its cook. */
export const livingMeal = (plan: MealPlan, run: Run): MealPlan => ({
  ...plan,
  tasks: livingOf(plan.tasks, run, (task, { step }) => {
    const item = task.item === undefined ? null : (plan.itemIds[task.item] ?? null)
    const source = task.source === undefined ? null : (plan.sources[task.source]?.id ?? null)
    return step.item === item && (step.source?.id ?? null) === source
  }),
})
