import { DANGER_ZONE_C } from '@/core/reference/standards'
import type { Task } from '@/core/schedule/task'
import { tasksTogether } from '@/domain/meal/alike'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { sceneOfAll } from '@/words/meal-words'
import { coolingRule } from '@/words/tasks'
import { clock, day, mass, temperature, type Units } from '@/words/units'
import { RunSheet } from '../sheets/run-sheet'

export const SHEETS = { whole: 'Whole', oven: 'By oven', cook: 'By cook', labels: 'Tray labels' } as const
export type SheetKind = keyof typeof SHEETS

interface SheetsProps {
  readonly kind: SheetKind
  readonly kitchen: string
  readonly document: MealDocument
  readonly plan: MealPlan
  readonly units: Units
  readonly version: number
}

/** Run sheets for the wall: black on white, A4 or Letter, one a page. */
export function MealSheets(props: SheetsProps) {
  const { kind, document, plan } = props
  switch (kind) {
    case 'whole':
      return <Sheet {...props} title={document.title} tasks={plan.tasks} />
    case 'oven':
      return plan.sources
        .filter((source) => plan.items.some(({ stays }) => stays.some((stay) => stay.source === source.id)))
        .map((source) => (
          <Sheet
            key={source.id}
            {...props}
            title={source.name}
            tasks={plan.tasks.filter(
              (task) => task.source !== undefined && plan.sources[task.source]?.id === source.id,
            )}
          />
        ))
    case 'cook':
      return document.kitchen.cooks.map((cook, index) => (
        <Sheet key={cook} {...props} title={cook} tasks={plan.tasks.filter((task) => task.cook === index)} />
      ))
    case 'labels':
      return <Labels {...props} />
    default:
      return kind satisfies never
  }
}

function Sheet({
  title,
  tasks,
  kitchen,
  document,
  plan,
  units,
  version,
}: SheetsProps & { readonly title: string; readonly tasks: readonly Task[] }) {
  return (
    <RunSheet
      kicker={`${kitchen} · ${document.title} · ${document.guests} guests`}
      title={title}
      day={day(plan.end_s, units)}
      time={document.servings.map(({ at }) => clock(Date.parse(at) / 1000, units)).join(' · ')}
      units={units}
      rows={tasksTogether(tasks, plan, document).map((alike) => ({
        task: alike[0],
        scene: sceneOfAll(alike, plan, document),
        who: alike[0].cook === undefined ? '' : document.kitchen.cooks[alike[0].cook],
      }))}
      foot={
        <p>
          Version {version}. Hot tin, hot fat: dry cloths, clear way. Hold hot food above{' '}
          {temperature(DANGER_ZONE_C.high, units)}. {coolingRule(units)} Your local code comes before this sheet.
        </p>
      }
    />
  )
}

function Labels({ document, plan, units }: SheetsProps) {
  return (
    <div className="grid grid-cols-2 gap-3">
      {plan.items.map((item) => {
        const roast = document.roasts.find(({ id }) => id === item.id)
        const stay = item.stays[0]
        const source = plan.sources.find(({ id }) => id === stay?.source)
        return (
          <section key={item.id} className="break-inside-avoid border-2 border-black p-3">
            <h2 className="font-display text-2xl font-bold">{item.title}</h2>
            <p className="text-lg">
              {roast ? `${mass(roast.roast.mass_kg, units)} · ` : ''}
              {source?.name} in <strong>{clock(item.start_s, units)}</strong>
              {stay?.phases[0]?.set_c !== undefined && source?.kind !== 'hob'
                ? ` at ${temperature(stay.phases[0].set_c, units)}`
                : ''}
            </p>
            <p className="text-lg">
              {item.pull_c !== undefined && (
                <>
                  pull <strong>{temperature(item.pull_c, units)}</strong>,{' '}
                </>
              )}
              ready <strong>{clock(item.done_s, units)}</strong>
            </p>
            <p className="mt-2 text-base">{day(plan.end_s, units)}</p>
          </section>
        )
      })}
    </div>
  )
}
