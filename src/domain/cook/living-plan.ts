import { STANDARDS } from '@/core/reference/standards'
import type { Task } from '@/core/schedule/task'
import { celsius, epochSeconds } from '@/core/units'
import type { MealPlan } from '../meal/make-meal'
import type { CookDocument } from './cook-document'
import { isDecidedHold, type Run, type RunStep } from './run'
import { type CookStep, stageOfStep } from './step'

/** A plan while it is cooked: its tasks at the times they now have. */

/** What a page needs of a cook to say its times, and what is next on its board. */
export interface LivingCook {
  readonly cookId: string
  readonly document: CookDocument
  readonly run: Run
  readonly next: RunStep | undefined
}

/** A finish that was decided to be in a pan is in a pan on every page. */
function decidedHeat({ stage, because }: Task, step: CookStep): Partial<Task> {
  const environment = stageOfStep(step)?.environment
  if (!stage || environment?.kind !== 'pan' || stage.environment.kind === 'pan') return {}
  const { set_c, numbers } = step
  return { set_c: set_c ?? undefined, stage: { ...stage, environment, tending: [] }, because: { ...because, numbers } }
}

/** A task of one roast as it now stands. */
const moved = (task: Task, { at_s, window, state, step }: RunStep): Task => ({
  ...task,
  ...decidedHeat(task, step),
  at: epochSeconds(at_s),
  window: window && state === 'open' ? { from: epochSeconds(window.from_s), to: epochSeconds(window.to_s) } : undefined,
})

/** Into the cabinet, decided on the way: a task of the plan like any other. @param item index in its meal */
function decidedHold({ step, at_s }: RunStep, { items }: Run, item: number | undefined): Task {
  const set_c = celsius(step.set_c ?? STANDARDS.cabinet.value)
  const until_s = items.find(({ id }) => id === step.item)?.plate_s ?? at_s
  return {
    kind: 'rest',
    at: epochSeconds(at_s),
    hands_s: step.hands_s,
    set_c,
    stage: stageOfStep(step),
    because: { basis: step.basis, numbers: { minutes: Math.max(0, until_s - at_s) / 60 } },
    ...(item === undefined || item < 0 ? {} : { item }),
  }
}

/**
 * Tasks at the times they now have in their cook, each by its step: the first that is left of its kind and
 * that `is` the task's. A plan that was changed since may have others; those keep their planned times. What
 * was left out on the board is on no other page, and what was decided there is on all of them.
 */
function livingOf(
  tasks: readonly Task[],
  run: Run,
  is: (task: Task, step: RunStep) => boolean,
  itemOf: (id: string | null) => number | undefined = () => undefined,
): Task[] {
  const left = run.steps.filter(({ step }) => !isDecidedHold(step))
  const held = run.steps.filter(({ step }) => isDecidedHold(step))
  return [
    ...tasks.flatMap((task): Task[] => {
      const place = left.findIndex((step) => step.step.kind === task.kind && is(task, step))
      const [step] = place < 0 ? [] : left.splice(place, 1)
      return step === undefined ? [task] : step.state === 'skipped' ? [] : [moved(task, step)]
    }),
    ...held.flatMap((step) => (step.state === 'skipped' ? [] : [decidedHold(step, run, itemOf(step.step.item))])),
  ].sort((a, b) => a.at - b.at)
}

/** The tasks of one roast's plan at the times they now have in its cook. */
export const livingTasks = (tasks: readonly Task[], run: Run): Task[] => livingOf(tasks, run, () => true)

/** A meal's plan with its tasks, each by its item and source, at the times they now have in its cook. */
export const livingMeal = (plan: MealPlan, run: Run): MealPlan => ({
  ...plan,
  tasks: livingOf(
    plan.tasks,
    run,
    (task, { step }) => {
      const item = task.item === undefined ? null : (plan.itemIds[task.item] ?? null)
      const source = task.source === undefined ? null : (plan.sources[task.source]?.id ?? null)
      return step.item === item && (step.source?.id ?? null) === source
    },
    (id) => (id === null ? undefined : plan.itemIds.indexOf(id)),
  ),
})
