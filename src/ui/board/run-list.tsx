'use client'
import { Check, Minus, SkipForward } from 'lucide-react'
import { useState } from 'react'
import type { CookDocument } from '@/domain/cook/cook-document'
import type { Run, RunStep } from '@/domain/cook/run'
import { namedFor, together } from '@/domain/cook/together'
import { stepTitle } from '@/words/steps'
import { clock, shortDay, type Units } from '@/words/units'
import type { StepHands } from './step-hands'

const SHIFT_S = 300
/** A minute to and fro is the same time. */
const SAME_S = 60

/** Every step of the plan, planned and as it now stands: each ticked, left out or moved with one tap. */
export function RunList({
  run,
  document,
  units,
  hands,
  pullOf,
}: {
  readonly run: Run
  readonly document: CookDocument
  readonly units: Units
  readonly hands?: StepHands | undefined
  readonly pullOf?: ((item: string | null) => number | undefined) | undefined
}) {
  const [who, setWho] = useState('')
  /** Steps of pieces alike that are looked at one by one, by the first of them. */
  const [apart, setApart] = useState<ReadonlySet<string>>(new Set())
  const cooks = [...new Set(run.steps.flatMap(({ step }) => step.who ?? []))]
  const before = run.steps.filter(({ state }) => state === 'before')
  const shown = run.steps.filter(({ state }) => state !== 'before').filter(({ step }) => who === '' || step.who === who)
  // What is done with one pair of hands is one row, as long as all of it stands alike.
  const groups = [...new Set(shown.map(({ state }) => state))]
    .flatMap((state) =>
      together(
        shown.filter((each) => each.state === state),
        document,
      ),
    )
    .flatMap((group) => (apart.has(group[0].step.id) ? group.map((each): [RunStep] => [each]) : [group]))
    .sort(([a], [b]) => a.at_s - b.at_s || shown.indexOf(a) - shown.indexOf(b))
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4" data-testid="run">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 className="font-display text-xl font-semibold">The run</h2>
        {cooks.length > 1 && (
          <fieldset className="flex flex-wrap gap-1">
            <legend className="sr-only">Whose steps</legend>
            {['', ...cooks].map((name) => (
              <button
                key={name}
                type="button"
                aria-pressed={who === name}
                className="min-h-11 rounded-full px-4 font-semibold aria-pressed:bg-bottle aria-pressed:text-white"
                onClick={() => setWho(name)}
              >
                {name || 'All hands'}
              </button>
            ))}
          </fieldset>
        )}
      </div>
      {before.length > 0 && (
        <p className="mt-1 text-base text-soft">
          Taken as done before this board was opened:{' '}
          {before.map(({ step }) => stepTitle(step, document, units)).join('; ')}.
        </p>
      )}
      <ol className="mt-1 divide-y divide-line">
        {groups.map((group, i) => {
          const [first] = group
          return (
            <RunRow
              key={first.step.id}
              group={group}
              newDay={shortDay(first.at_s, units) !== shortDay(groups[i - 1]?.[0].at_s ?? first.at_s, units)}
              words={stepTitle(
                first.step,
                namedFor(document, group),
                units,
                first.step.kind === 'pull' ? pullOf?.(first.step.item) : undefined,
              )}
              units={units}
              hands={hands}
              onApart={() => setApart(new Set([...apart, first.step.id]))}
            />
          )
        })}
      </ol>
    </section>
  )
}

const MARKS = {
  done: { Mark: Check, words: 'done', tone: 'text-moss' },
  passed: { Mark: Check, words: 'gone by', tone: 'text-soft' },
  skipped: { Mark: SkipForward, words: 'left out', tone: 'text-soft' },
  before: { Mark: Check, words: 'before', tone: 'text-soft' },
  open: { Mark: Minus, words: 'open', tone: 'text-copper' },
} as const

function RunRow({
  group,
  newDay,
  words,
  units,
  hands,
  onApart,
}: {
  /** The step, and the same of each piece that is alike. */
  readonly group: readonly [RunStep, ...RunStep[]]
  readonly newDay: boolean
  readonly words: string
  readonly units: Units
  readonly hands: StepHands | undefined
  readonly onApart: () => void
}) {
  const [{ step, state, at_s, planned_s }] = group
  const { Mark, tone, words: stateWords } = MARKS[state]
  const moved = Math.abs(at_s - planned_s) >= SAME_S
  const open = state === 'open'
  const small = 'min-h-11 min-w-11 rounded-full px-2 text-base font-semibold hover:bg-moss-ground'
  return (
    <li
      className="grid grid-cols-[4.5rem_minmax(0,1fr)] items-center gap-x-3 py-1 sm:grid-cols-[4.5rem_minmax(0,1fr)_auto]"
      data-step={step.kind}
      data-item={step.item ?? ''}
      data-state={state}
    >
      <span className={`text-lg tabular-nums ${open ? 'font-bold' : 'text-soft'}`} data-testid="step-at">
        {newDay && <span className="block text-sm font-normal text-soft">{shortDay(at_s, units)}</span>}
        {clock(at_s, units)}
      </span>
      <span className={`text-lg leading-snug ${open ? '' : 'text-soft'}`}>
        {words}
        {step.who && <span className="text-soft"> {step.who}</span>}
        {group.length > 1 && hands && (
          <button
            type="button"
            className="min-h-11 px-2 text-base text-soft underline decoration-line underline-offset-4 hover:text-ink"
            onClick={onApart}
            aria-label={`One by one: ${words}`}
          >
            one by one
          </button>
        )}
        {moved && <span className="ml-2 whitespace-nowrap text-base text-soft">planned {clock(planned_s, units)}</span>}
      </span>
      {open && hands ? (
        <span className="col-start-2 flex items-center justify-end gap-1 sm:col-start-3">
          <button
            type="button"
            className={small}
            aria-label={`Five minutes earlier: ${words}`}
            onClick={() => group.forEach((each) => void hands.shift(each, -SHIFT_S))}
          >
            −5
          </button>
          <button
            type="button"
            className={small}
            aria-label={`Five minutes later: ${words}`}
            onClick={() => group.forEach((each) => void hands.shift(each, SHIFT_S))}
          >
            +5
          </button>
          <button
            type="button"
            className={small}
            aria-label={`Leave out: ${words}`}
            onClick={() => group.forEach(hands.skip)}
          >
            leave out
          </button>
          <button
            type="button"
            className="min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
            aria-label={`Done: ${words}`}
            onClick={() => group.forEach(hands.done)}
          >
            Done
          </button>
        </span>
      ) : (
        <span className={`col-start-2 inline-flex items-center gap-1 text-base sm:col-start-3 ${tone}`}>
          <Mark className="size-5" aria-hidden /> {stateWords}
        </span>
      )}
    </li>
  )
}
