import { tasksTogether } from '@/domain/meal/alike'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { keepingWords, leftoverWords } from '@/words/after-words'
import { sceneOfAll } from '@/words/meal-words'
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
            {tasksTogether(tasks, plan, document).map((alike) => {
              const [task] = alike
              const scene = sceneOfAll(alike, plan, document)
              const help = taskHelp(task, scene, units)
              const cook = task.cook === undefined ? undefined : document.kitchen.cooks[task.cook]
              return (
                <li
                  key={`${task.kind}${task.at}${task.item ?? ''}${task.source ?? ''}`}
                  className="grid grid-cols-[4.2rem_1fr_auto] gap-x-2 py-1.5 text-lg leading-snug"
                >
                  <span className="font-semibold">{clock(task.at, units)}</span>
                  <span>
                    {taskTitle(task, scene, units)}
                    {help && <span className="block text-base text-soft">{help}</span>}
                  </span>
                  <span className="text-base text-soft">{cook}</span>
                </li>
              )
            })}
          </ol>
        </section>
      ))}
      <Afterwards plan={plan} units={units} />
    </div>
  )
}

/** What is left of all roasts, what becomes of it, and how it is kept. */
function Afterwards({ plan, units }: { readonly plan: MealPlan; readonly units: Units }) {
  const left = plan.items.flatMap((item) => item.left ?? [])
  if (left.length === 0) return null
  const sum = (pick: (each: (typeof left)[number]) => number) => left.reduce((total, each) => total + pick(each), 0)
  const all = {
    meat_kg: sum(({ meat_kg }) => meat_kg),
    bones_kg: sum(({ bones_kg }) => bones_kg),
    water_l: sum(({ water_l }) => water_l),
    stock_l: sum(({ stock_l }) => stock_l),
    soup_heads: sum(({ soup_heads }) => soup_heads),
    plates: sum(({ plates }) => plates),
  }
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4" data-testid="afterwards">
      <h2 className="font-display text-2xl font-semibold">Afterwards</h2>
      <div className="mt-2 space-y-2 text-lg leading-snug">
        {leftoverWords(all, units).map((line) => (
          <p key={line}>{line}</p>
        ))}
        <p className="text-base text-soft">{keepingWords(plan.end_s, units)}</p>
      </div>
    </section>
  )
}
