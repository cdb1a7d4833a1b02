'use client'
import { Check, Minus, SkipForward } from 'lucide-react'
import { useState } from 'react'
import type { CookDocument } from '@/domain/cook/cook-document'
import type { Run, RunStep } from '@/domain/cook/run'
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
  const cooks = [...new Set(run.steps.flatMap(({ step }) => step.who ?? []))]
  const before = run.steps.filter(({ state }) => state === 'before')
  const shown = run.steps
    .filter(({ state }) => state !== 'before')
    .filter(({ step }) => who === '' || step.who === who)
    .map((step, place) => ({ step, place }))
    .sort((a, b) => a.step.at_s - b.step.at_s || a.place - b.place)
    .map(({ step }) => step)
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
        {shown.map((each, i) => (
          <RunRow
            key={each.step.id}
            each={each}
            newDay={shortDay(each.at_s, units) !== shortDay(shown[i - 1]?.at_s ?? each.at_s, units)}
            words={stepTitle(
              each.step,
              document,
              units,
              each.step.kind === 'pull' ? pullOf?.(each.step.item) : undefined,
            )}
            units={units}
            hands={hands}
          />
        ))}
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
  each,
  newDay,
  words,
  units,
  hands,
}: {
  readonly each: RunStep
  readonly newDay: boolean
  readonly words: string
  readonly units: Units
  readonly hands: StepHands | undefined
}) {
  const { step, state, at_s, planned_s } = each
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
        {moved && <span className="ml-2 whitespace-nowrap text-base text-soft">planned {clock(planned_s, units)}</span>}
      </span>
      {open && hands ? (
        <span className="col-start-2 flex items-center justify-end gap-1 sm:col-start-3">
          <button
            type="button"
            className={small}
            aria-label={`Five minutes earlier: ${words}`}
            onClick={() => hands.shift(each, -SHIFT_S)}
          >
            −5
          </button>
          <button
            type="button"
            className={small}
            aria-label={`Five minutes later: ${words}`}
            onClick={() => hands.shift(each, SHIFT_S)}
          >
            +5
          </button>
          <button type="button" className={small} aria-label={`Leave out: ${words}`} onClick={() => hands.skip(each)}>
            leave out
          </button>
          <button
            type="button"
            className="min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
            aria-label={`Done: ${words}`}
            onClick={() => hands.done(each)}
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
