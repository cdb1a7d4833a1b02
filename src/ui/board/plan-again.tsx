'use client'
import { useEffect, useRef, useState } from 'react'
import type { Replan } from '@/domain/cook/replan'
import { openSteps } from '@/domain/cook/run'
import type { Problem } from '@/domain/problem/problem'
import { itemTitle, stepTitle } from '@/words/steps'
import { clock, temperature, type Units } from '@/words/units'
import type { CookWorker } from '@/workers/browser/protocol'
import { ProblemList } from '../shell/problem-list'
import { openThread, type Thread } from '../shell/thread'
import { blank, type LiveCook } from './use-cook'

/** The rest of a meal planned again around what is in: before and after beside each other, taken or left. */
export function PlanAgain({ cook, units }: { readonly cook: LiveCook; readonly units: Units }) {
  const thread = useRef<Thread<CookWorker> | undefined>(undefined)
  const [thought, setThought] = useState<Replan | undefined>()
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [busy, setBusy] = useState(false)
  const { document } = cook
  useEffect(() => {
    thread.current = openThread<CookWorker>(
      () =>
        new Worker(new URL('../../workers/browser/cook.worker.ts', import.meta.url), { type: 'module', name: 'cook' }),
    )
    return () => thread.current?.end()
  }, [])
  if (!document.meal) return null
  const think = async () => {
    setBusy(true)
    const found = await thread.current
      ?.ask((worker) => worker.replan(document, cook.entries, cook.now_s))
      .catch(() => undefined)
    setBusy(false)
    setProblems(found && !found.ok ? found.problems : found ? [] : [{ code: 'reckoning_stopped', path: [] }])
    setThought(found?.ok ? found.value : undefined)
  }
  const nothing = thought && thought.moved.length === 0 && thought.promises.length === 0
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4" data-testid="plan-again">
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          disabled={busy}
          className="min-h-12 rounded-full border-2 border-ink px-5 text-lg font-semibold disabled:opacity-50"
          onClick={() => void think()}
        >
          {busy ? 'Planning…' : 'Plan the rest again'}
        </button>
        <p className="min-w-0 flex-1 text-base text-soft">
          Around what is in the ovens now: sides, settings and hands. Nothing changes until you take it.
        </p>
      </div>
      {problems.length > 0 && <ProblemList problems={problems} units={units} className="mt-3" />}
      {nothing && (
        <p className="mt-3 text-lg" role="status">
          The rest stands as it is: nothing need move
          {thought.dropped.length > 0 &&
            `, but ${thought.dropped.map((id) => itemTitle(document, id)).join(', ')} finds no place`}
          .
        </p>
      )}
      {thought && !nothing && (
        <div className="mt-3" data-testid="proposal">
          {thought.promises.length > 0 && (
            <p className="text-lg">
              On the table <strong>{clock(Math.max(...thought.promises.map(({ to_s }) => to_s)), units)}</strong>:{' '}
              {thought.promises.map(({ item }) => itemTitle(document, item)).join(', ')} cannot be there before.
            </p>
          )}
          <div className="overflow-x-auto">
            <table className="mt-2 w-full text-lg">
              <thead>
                <tr className="border-b-2 border-line text-left text-base text-soft">
                  <th className="py-1 pr-4 font-normal">As it stands</th>
                  <th className="py-1 pr-4 font-normal">Planned again</th>
                  <th className="py-1 font-normal">What</th>
                </tr>
              </thead>
              <tbody>
                {openSteps(thought.before).map((each) => {
                  const after = thought.after.steps.find(({ step }) => step.id === each.step.id)
                  if (!after) return null
                  const change = thought.moved.find(({ step }) => step.step.id === each.step.id)
                  const moves = Math.abs(after.at_s - each.at_s) >= 60
                  return (
                    <tr
                      key={each.step.id}
                      className={`border-b border-line ${moves || change ? 'font-semibold' : 'text-soft'}`}
                    >
                      <td className="py-1 pr-4 tabular-nums">{clock(each.at_s, units)}</td>
                      <td className="py-1 pr-4 tabular-nums">{moves ? clock(after.at_s, units) : 'same'}</td>
                      <td className="py-1">
                        {stepTitle(each.step, document, units)}
                        {change?.source && <span className="text-copper"> now {change.source.name}</span>}
                        {change?.set_c !== undefined && (
                          <span className="text-copper"> at {temperature(change.set_c, units)}</span>
                        )}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          </div>
          {thought.dropped.length > 0 && (
            <p className="mt-2 font-semibold text-wattle">
              {thought.dropped.map((id) => itemTitle(document, id)).join(', ')}: no oven has room in time. Serve it
              later, or leave it out.
            </p>
          )}
          <div className="mt-3 flex gap-3">
            <button
              type="button"
              className="min-h-12 rounded-full bg-action px-6 text-lg font-semibold text-white"
              onClick={() => {
                for (const entry of thought.entries) cook.add(blank(entry))
                setThought(undefined)
              }}
            >
              Take it
            </button>
            <button type="button" className="min-h-12 px-3 text-lg underline" onClick={() => setThought(undefined)}>
              Leave it as it stands
            </button>
          </div>
        </div>
      )}
    </section>
  )
}
