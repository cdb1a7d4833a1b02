import { tasksTogether } from '@/domain/meal/alike'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { sceneOfAll } from '@/words/meal-words'
import { taskTitle } from '@/words/tasks'
import { clock, type Units } from '@/words/units'

/** Who does what when, on the day: a column for each cook. */
export function CrewView({
  plan,
  document,
  units,
}: {
  readonly plan: MealPlan
  readonly document: MealDocument
  readonly units: Units
}) {
  const from = plan.begin_s - 3 * 3600
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 md:grid-cols-2 xl:grid-cols-3" data-testid="crew">
      {document.kitchen.cooks.map((cook, index) => {
        const own = plan.tasks.filter((task) => task.cook === index && task.at >= from)
        const tasks = tasksTogether(own, plan, document)
        return (
          <section key={cook} className="rounded-2xl border border-line bg-sheet p-4">
            <h2 className="font-display text-2xl font-semibold">{cook}</h2>
            <ol className="mt-2 divide-y divide-line">
              {tasks.map((alike) => (
                <li
                  key={`${alike[0].kind}${alike[0].at}${alike[0].item ?? ''}${alike[0].source ?? ''}`}
                  className="grid grid-cols-[4.2rem_1fr] gap-2 py-1.5 text-lg leading-snug"
                >
                  <span className="font-semibold">{clock(alike[0].at, units)}</span>
                  <span>{taskTitle(alike[0], sceneOfAll(alike, plan, document), units)}</span>
                </li>
              ))}
              {tasks.length === 0 && <li className="py-2 text-soft">Nothing: give this cook an item.</li>}
            </ol>
          </section>
        )
      })}
    </div>
  )
}
