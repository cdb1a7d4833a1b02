import type { Plan } from '@/core/schedule/plan'
import { cutOf } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { cautionWords } from '../format/cautions'
import { clock, day, length, mass, shortDay, temperature, type Units } from '../format/units'
import { cutName, programName, surroundings, taskHelp, taskTitle } from '../format/words'

interface SheetProps {
  readonly kitchen: string
  readonly document: PlanDocument
  readonly plan: Plan
  readonly units: Units
  readonly version: number
}

/** The run sheet for the wall: black on white, large enough for a wet bench, A4 or Letter. */
export function RunSheet({ kitchen, document, plan, units, version }: SheetProps) {
  const cut = cutOf(document.roast)
  if (!cut) return null
  const heats = plan.stages.map(({ stage }) => surroundings(stage, units)).join(' → ')
  return (
    <article className="text-[12.5pt] leading-snug">
      <header className="flex items-end justify-between gap-6 border-b-4 border-black pb-2">
        <div>
          <p>
            {kitchen} · {day(plan.promise, units)}
          </p>
          <h1 className="font-display text-3xl font-bold">{document.title || cutName(cut.id)}</h1>
        </div>
        <p className="text-right">
          On the table
          <strong className="block font-display text-4xl leading-none">{clock(plan.promise, units)}</strong>
        </p>
      </header>
      <p className="mt-2">
        {cutName(cut.id)}, <strong>{mass(document.roast.mass_kg, units)}</strong>, {length(plan.thickness_m, units)}{' '}
        through
        {document.roast.thickness_mm === null ? ' (not measured)' : ''}. {programName(document.program)}: {heats}.
      </p>
      <p className="mt-1 text-[15pt]">
        Pull at <strong>{temperature(plan.pull_c, units)}</strong>, peaks at{' '}
        <strong>{temperature(plan.peak_c, units)}</strong> in the rest. Probe:{' '}
        {cut.probe.charAt(0).toLowerCase() + cut.probe.slice(1)}.
      </p>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-black text-left">
            <th className="w-28 py-1">When</th>
            <th className="py-1">What</th>
            <th className="w-36 py-1">Done at / reading</th>
          </tr>
        </thead>
        <tbody>
          {plan.tasks.map((task, i) => {
            const today = shortDay(task.at, units)
            const before = plan.tasks[i - 1]
            const newDay = !before || today !== shortDay(before.at, units)
            const help = taskHelp(task, cut)
            return (
              <tr
                key={`${task.kind}${task.at}${task.act ?? ''}`}
                className="break-inside-avoid border-b border-neutral-500 align-top"
              >
                <td className="py-1.5">
                  {newDay && <div className="text-[10pt]">{today}</div>}
                  <strong className="text-[15pt] leading-none">{clock(task.at, units)}</strong>
                  {task.window && (
                    <div className="text-[10pt]">
                      {clock(task.window.from, units)}–{clock(task.window.to, units)}
                    </div>
                  )}
                </td>
                <td className="py-1.5 pr-3">
                  <strong>{taskTitle(task, cut, units)}</strong>
                  {help && <div className="text-[10.5pt]">{help}</div>}
                </td>
                <td className="py-1.5">
                  <div className="mt-4 border-b border-neutral-500" />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <section className="mt-3 break-inside-avoid text-[10.5pt]">
        {plan.cautions
          .map((caution) => cautionWords(caution, units))
          .filter(({ weight }) => weight !== 'good')
          .map(({ text }) => (
            <p key={text}>• {text}</p>
          ))}
        <p className="mt-1">Plan version {version}. Your local code comes before this sheet.</p>
      </section>
    </article>
  )
}
