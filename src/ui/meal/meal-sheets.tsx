import type { MealTask } from '@/core/schedule/meal/tasks'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { mealTaskHelp, mealTaskTitle } from '../format/meal-words'
import { clock, day, mass, shortDay, temperature, type Units } from '../format/units'

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
}: SheetsProps & { readonly title: string; readonly tasks: readonly MealTask[] }) {
  return (
    <article className="mb-10 break-after-page text-[12pt] leading-snug last:break-after-auto">
      <header className="flex items-end justify-between gap-6 border-b-4 border-black pb-2">
        <div>
          <p>
            {kitchen} · {document.title} · {document.guests} guests
          </p>
          <h1 className="font-display text-3xl font-bold">{title}</h1>
        </div>
        <p className="text-right">
          {day(plan.end_s, units)}
          <strong className="block font-display text-3xl leading-none">
            {document.servings.map(({ at }) => clock(Date.parse(at) / 1000, units)).join(' · ')}
          </strong>
        </p>
      </header>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-black text-left">
            <th className="w-24 py-1">When</th>
            <th className="py-1">What</th>
            <th className="w-24 py-1">Who</th>
            <th className="w-32 py-1">Done / reading</th>
          </tr>
        </thead>
        <tbody>
          {tasks.map((task, i) => {
            const today = shortDay(task.at_s, units)
            const before = tasks[i - 1]
            const help = mealTaskHelp(task, plan, document)
            return (
              <tr
                key={`${task.kind}${task.at_s}${task.item ?? ''}${task.source ?? ''}`}
                className="break-inside-avoid border-b border-neutral-500 align-top"
              >
                <td className="py-1">
                  {(!before || shortDay(before.at_s, units) !== today) && <div className="text-[10pt]">{today}</div>}
                  <strong className="text-[14pt] leading-none">{clock(task.at_s, units)}</strong>
                  {task.window && (
                    <div className="text-[9.5pt]">
                      {clock(task.window.from_s, units)}–{clock(task.window.to_s, units)}
                    </div>
                  )}
                </td>
                <td className="py-1 pr-2">
                  <strong>{mealTaskTitle(task, plan, document, units)}</strong>
                  {help && <div className="text-[10pt]">{help}</div>}
                </td>
                <td className="py-1">{task.cook === undefined ? '' : document.kitchen.cooks[task.cook]}</td>
                <td className="py-1">
                  <div className="mt-4 border-b border-neutral-500" />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-2 text-[10pt]">
        Version {version}. Hot tin, hot fat: dry cloths, clear way. Hold hot food above 57 °C (135 °F); leftovers from
        57 to 21 °C within 2 h, to 5 °C within 4 h more. Your local code comes before this sheet.
      </p>
    </article>
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
