import type { ReactNode } from 'react'
import type { Task } from '@/core/schedule/task'
import { type TaskScene, taskHelp, taskTitle } from '@/words/tasks'
import { clock, shortDay, type Units } from '@/words/units'

export interface SheetRow {
  readonly task: Task
  readonly scene: TaskScene
  /** Whose hands, where more than one cook is at work. */
  readonly who?: string | undefined
}

/** Lines to write on are for paper: on a telephone the words have their room. */
const ON_PAPER = '[@media_screen_and_(max-width:40rem)]:hidden'

/** The run sheet for the wall, of one roast or of twenty: black on white, large enough for a wet bench, A4 or Letter. */
export function RunSheet({
  kicker,
  title,
  day,
  time,
  lead,
  rows,
  foot,
  units,
}: {
  readonly kicker: string
  readonly title: string
  readonly day: string
  readonly time: string
  readonly lead?: ReactNode
  readonly rows: readonly SheetRow[]
  readonly foot: ReactNode
  readonly units: Units
}) {
  const named = rows.some(({ who }) => who !== undefined)
  return (
    <article className="mb-10 break-after-page text-[12.5pt] leading-snug last:mb-0 last:break-after-auto">
      <header className="flex items-end justify-between gap-6 border-b-4 border-black pb-2">
        <div>
          <p>{kicker}</p>
          <h1 className="font-display text-3xl font-bold">{title}</h1>
        </div>
        <p className="text-right">
          {day}
          <strong className="block font-display text-4xl leading-none">{time}</strong>
        </p>
      </header>
      {lead}
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-black text-left">
            <th className="w-28 py-1">When</th>
            <th className="py-1">What</th>
            {named && <th className="w-24 py-1">Who</th>}
            <th className={`w-36 py-1 ${ON_PAPER}`}>Done at / reading</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ task, scene, who }, i) => {
            const today = shortDay(task.at, units)
            const before = rows[i - 1]?.task
            const help = taskHelp(task, scene, units)
            return (
              <tr
                key={`${task.kind}${task.at}${task.act ?? ''}${task.item ?? ''}${task.source ?? ''}`}
                className="break-inside-avoid border-b border-neutral-500 align-top"
              >
                <td className="py-1.5">
                  {(!before || today !== shortDay(before.at, units)) && <div className="text-[10pt]">{today}</div>}
                  <strong className="text-[15pt] leading-none">{clock(task.at, units)}</strong>
                  {task.window && (
                    <div className="text-[10pt]">
                      {clock(task.window.from, units)}–{clock(task.window.to, units)}
                    </div>
                  )}
                </td>
                <td className="py-1.5 pr-3">
                  <strong>{taskTitle(task, scene, units)}</strong>
                  {help && <div className="text-[10.5pt]">{help}</div>}
                </td>
                {named && <td className="py-1.5">{who}</td>}
                <td className={`py-1.5 ${ON_PAPER}`}>
                  <div className="mt-4 border-b border-neutral-500" />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <section className="mt-3 break-inside-avoid text-[10.5pt]">{foot}</section>
    </article>
  )
}
