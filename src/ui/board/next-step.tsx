'use client'
import type { NextAction } from '@/domain/cook/board'
import type { CookDocument } from '@/domain/cook/cook-document'
import type { RunStep } from '@/domain/cook/run'
import { namedFor } from '@/domain/cook/together'
import { itemTitle, stepHelp, stepTitle } from '@/words/steps'
import { clock, duration, type Units } from '@/words/units'
import { Countdown } from './countdown'
import type { StepHands } from './step-hands'

/** So long after its time a step is said to be due, s. */
const DUE_S = 90
const LATER_S = 300
const READ_HELP = 'No probe speaks in it. The thickest part, push through and draw back: the lowest reading counts.'

/** The one question: what next, and when. Readable from two metres. */
export function NextStep({
  action,
  pieces,
  document: planned,
  now_s,
  units,
  pull_c,
  hands,
  looked,
  reading,
}: {
  readonly action: NextAction
  /** The same step of each piece that is alike, the one itself among them. */
  readonly pieces: readonly RunStep[]
  readonly document: CookDocument
  readonly now_s: number
  readonly units: Units
  readonly pull_c: number | undefined
  readonly hands: StepHands
  /** Looked at, or not to be read this time. */
  readonly looked: () => void
  /** Where a reading by hand is entered, where one is asked for. */
  readonly reading: React.ReactNode
}) {
  const due = action.at_s < now_s - DUE_S
  const document = namedFor(planned, pieces)
  const step = action.kind === 'step' ? action.step : undefined
  const name = itemTitle(document, action.kind === 'step' ? null : action.item) ?? 'it'
  const help = step ? stepHelp(step.step, document, units) : action.kind === 'read' ? READ_HELP : undefined
  const window = step?.window
  return (
    <section
      aria-label="Next"
      className="grid grid-cols-[minmax(0,1fr)] items-start gap-x-8 gap-y-4 rounded-3xl border border-transparent bg-bottle p-5 text-white sm:grid-cols-[minmax(0,1fr)_auto] sm:p-7 [[data-theme=night]_&]:border-line"
      data-testid="next"
      data-step={step?.step.kind ?? action.kind}
      data-id={step?.step.id}
      data-at={Math.round(action.at_s)}
    >
      <div className="min-w-0">
        <p className="text-xl text-white/80">
          {action.kind === 'look' ? 'Now' : due ? 'Now, it is time' : 'Next'}
          {step?.step.who && <span className="ml-3">{step.step.who}</span>}
        </p>
        <p
          className="font-display text-4xl font-bold leading-[1.05] tracking-tight sm:text-5xl"
          data-testid="next-words"
        >
          {step
            ? stepTitle(step.step, document, units, step.step.kind === 'pull' ? pull_c : undefined)
            : action.kind === 'read'
              ? document.items.length > 1
                ? `Read by hand: ${name}`
                : 'Read it by hand'
              : `Look at the probe in ${name}`}
        </p>
        {window && (
          <p className="mt-2 text-xl text-white/90" data-testid="next-window">
            {window.to_s < now_s
              ? 'It should be there by now: read it yourself, at the thickest part.'
              : window.from_s < now_s
                ? `any time now, within ${duration(window.to_s - now_s)} nine times in ten`
                : `${clock(window.from_s, units)} to ${clock(window.to_s, units)}, eight times in ten`}
          </p>
        )}
        {help && <p className="mt-2 text-lg leading-snug text-white/80">{help}</p>}
      </div>
      <div className="sm:text-right">
        <p className="font-display text-6xl font-bold tabular-nums sm:text-8xl" data-testid="countdown">
          <Countdown to_s={action.at_s} now_s={now_s} />
        </p>
        {action.kind !== 'look' && (
          <p className="text-xl text-white/80" data-testid="next-at">
            {clock(action.at_s, units)}
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-3 sm:col-span-2">
        {reading && (
          <div className="flex flex-wrap items-center gap-2 rounded-3xl bg-sheet p-3 text-ink">{reading}</div>
        )}
        {action.kind === 'read' ? (
          <button
            type="button"
            className="min-h-16 rounded-full border-2 border-white/50 px-5 text-lg font-semibold hover:border-white"
            onClick={looked}
          >
            Not this time
          </button>
        ) : (
          <button
            type="button"
            className="min-h-16 rounded-full bg-white px-8 font-display text-2xl font-bold text-[#10362b]"
            onClick={() => (step ? pieces.forEach(hands.done) : looked())}
          >
            Done
          </button>
        )}
        {step && (
          <>
            <button
              type="button"
              className="min-h-16 rounded-full border-2 border-white/50 px-5 text-lg font-semibold hover:border-white"
              onClick={() => pieces.forEach((each) => void hands.shift(each, LATER_S))}
            >
              5 min later
            </button>
            <button
              type="button"
              className="min-h-16 rounded-full border-2 border-white/50 px-5 text-lg font-semibold hover:border-white"
              onClick={() => pieces.forEach(hands.skip)}
            >
              Leave out
            </button>
          </>
        )}
      </div>
    </section>
  )
}

/** What comes after that, each with a tick. */
export function AfterThat({
  groups,
  document: planned,
  now_s,
  units,
  hands,
  pullOf,
}: {
  readonly groups: readonly (readonly RunStep[])[]
  readonly document: CookDocument
  readonly now_s: number
  readonly units: Units
  readonly hands: StepHands
  readonly pullOf: (item: string | null) => number | undefined
}) {
  return (
    <ol className="grid gap-2 text-lg sm:grid-cols-2 lg:grid-cols-3" aria-label="After that">
      {groups.map((group) => {
        const [first] = group
        if (!first) return null
        const document = namedFor(planned, group)
        return (
          <li
            key={first.step.id}
            className="flex items-center gap-3 rounded-2xl border border-line bg-sheet py-1 pl-4 pr-1"
          >
            <strong className="tabular-nums">
              <Countdown to_s={first.at_s} now_s={now_s} />
            </strong>
            <span className="min-w-0 flex-1 leading-snug">
              {stepTitle(first.step, document, units, first.step.kind === 'pull' ? pullOf(first.step.item) : undefined)}
              {first.step.who && <span className="text-soft"> {first.step.who}</span>}
            </span>
            <button
              type="button"
              className="min-h-12 rounded-full px-4 font-semibold hover:bg-moss-ground"
              aria-label={`Done: ${stepTitle(first.step, document, units)}`}
              onClick={() => group.forEach(hands.done)}
            >
              Done
            </button>
          </li>
        )
      })}
    </ol>
  )
}
