import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { sceneOf } from '@/words/meal-words'
import { taskHelp, taskTitle } from '@/words/tasks'
import { clock, day, type Units } from '@/words/units'

/** All tasks by day, with their owners: the days before, then the day. */
export function DaysView({
  plan,
  document,
  units,
}: {
  readonly plan: MealPlan
  readonly document: MealDocument
  readonly units: Units
}) {
  const days = new Map<string, MealPlan['tasks'][number][]>()
  for (const task of plan.tasks) {
    const name = day(task.at, units)
    days.set(name, [...(days.get(name) ?? []), task])
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2" data-testid="days">
      {[...days].map(([name, tasks]) => (
        <section key={name} className="rounded-2xl border border-line bg-sheet p-4">
          <h2 className="font-display text-2xl font-semibold">{name}</h2>
          <ol className="mt-2 divide-y divide-line">
            {tasks.map((task) => {
              const help = taskHelp(task, sceneOf(task, plan, document), units)
              const cook = task.cook === undefined ? undefined : document.kitchen.cooks[task.cook]
              return (
                <li
                  key={`${task.kind}${task.at}${task.item ?? ''}${task.source ?? ''}`}
                  className="grid grid-cols-[4.2rem_1fr_auto] gap-x-2 py-1.5 text-lg leading-snug"
                >
                  <span className="font-semibold">{clock(task.at, units)}</span>
                  <span>
                    {taskTitle(task, sceneOf(task, plan, document), units)}
                    {help && <span className="block text-base text-soft">{help}</span>}
                  </span>
                  <span className="text-base text-soft">{cook}</span>
                </li>
              )
            })}
          </ol>
        </section>
      ))}
    </div>
  )
}
