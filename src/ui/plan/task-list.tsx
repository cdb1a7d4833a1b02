'use client'
import { findCut } from '@/core/reference/cuts'
import type { Task } from '@/core/schedule/task'
import { taskHelp, taskTitle, taskWhy } from '@/words/tasks'
import { clock, shortDay, type Units } from '@/words/units'
import { BASIS_NAMES } from '@/words/words'
import { Why } from '../shell/why'

const LOUD = new Set(['put_in', 'pull', 'serve'])

/** The run of the roast: what to do, when, and why then. */
export function TaskList({
  tasks,
  cutId,
  acid,
  units,
}: {
  readonly tasks: readonly Task[]
  readonly cutId: string
  /** It lies in a marinade with acid. */
  readonly acid: boolean
  readonly units: Units
}) {
  const cut = findCut(cutId)
  if (!cut) return null
  const scene = { cut, acid }
  return (
    <ol className="divide-y divide-line" data-testid="tasks">
      {tasks.map((task, i) => {
        const today = shortDay(task.at, units)
        const before = tasks[i - 1]
        const newDay = !before || today !== shortDay(before.at, units)
        const help = taskHelp(task, scene, units)
        const loud = LOUD.has(task.kind)
        return (
          <li
            key={`${task.kind}${task.at}${task.act ?? ''}`}
            className="grid grid-cols-[5.6rem_1fr] gap-x-3 py-2.5"
            data-task={task.kind}
          >
            <div className="pt-0.5">
              {newDay && <div className="text-sm text-soft">{today}</div>}
              <div
                className={loud ? 'font-display text-2xl font-bold leading-none' : 'text-lg font-semibold leading-none'}
              >
                <Why
                  label={`${taskTitle(task, scene, units)} at ${clock(task.at, units)}`}
                  basis={BASIS_NAMES[task.because.basis]}
                  note={taskWhy(task, units)}
                >
                  {clock(task.at, units)}
                </Why>
              </div>
              {task.window && (
                <div className="mt-1 text-sm leading-tight text-soft">
                  {clock(task.window.from, units)} to {clock(task.window.to, units)}
                </div>
              )}
            </div>
            <div>
              <div className={loud ? 'font-display text-xl font-semibold leading-tight' : 'text-lg leading-tight'}>
                {taskTitle(task, scene, units)}
              </div>
              {help && <p className="mt-0.5 text-base leading-snug text-soft">{help}</p>}
            </div>
          </li>
        )
      })}
    </ol>
  )
}
