'use client'
import { Bell, BellOff, Eye, Keyboard, KeyboardOff, Undo2 } from 'lucide-react'
import Link from 'next/link'
import { useEffect, useState } from 'react'
import { type NextAction, nextActions } from '@/domain/cook/board'
import { standing } from '@/domain/cook/entry/fold'
import { ACTION_WORDS, ENTRY_WORDS } from '@/words/cook-words'
import { coolingRule } from '@/words/tasks'
import { duration, rise, temperature, type Units } from '@/words/units'
import { IconButton } from '../controls/icon-button'
import { useHydrated } from '../shell/use-hydrated'
import { useKept } from '../shell/use-kept'
import { BoardRow } from './board-row'
import { Countdown } from './countdown'
import { Log } from './log'
import { useAlarms } from './use-alarms'
import { blank, type CookStart, useCook } from './use-cook'

/** Cook mode: what is next and when; then what is off plan, and the ways out. */
export function Board({ units, ...start }: CookStart & { readonly units: Units }) {
  const [by, setBy] = useKept('pheasant-name', '')
  const [keys, setKeys] = useKept('pheasant-letter-keys', 'on')
  const cook = useCook(start, by)
  const { now_s, items, forecasts } = cook
  const [big, setBig] = useState(false)
  const hydrated = useHydrated()
  const alarms = useAlarms(items, now_s)
  const arrivals = Object.fromEntries(
    items.map(({ item, in_s }) => {
      const estimate = forecasts[item.id]?.estimate
      return [
        item.id,
        estimate && in_s !== undefined && Number.isFinite(estimate.pull_s.p50)
          ? { p10: in_s + estimate.pull_s.p10, p50: in_s + estimate.pull_s.p50, p90: in_s + estimate.pull_s.p90 }
          : undefined,
      ]
    }),
  )
  const actions = nextActions(items, arrivals, now_s)
  const next = actions[0]
  const title = (id: string) => items.find(({ item }) => item.id === id)?.item.title ?? id
  const undoable = standing(cook.entries).at(-1)
  const { add } = cook
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (
        event.target instanceof HTMLInputElement ||
        event.target instanceof HTMLTextAreaElement ||
        event.ctrlKey ||
        event.metaKey
      )
        return
      // Letters alone do things only where the cook wants it: speech input and a leaning elbow type them too.
      if (keys === 'on' && event.key === 'u' && undoable)
        add(blank({ kind: 'undo', of: undoable.id, item: undoable.item }))
      if (keys === 'on' && event.key === 'd' && next) add(blank({ kind: 'door', item: next.item }))
      if (event.key === 'Enter' && next && document.activeElement === document.body)
        add(blank({ kind: DONE[next.kind], item: next.item }))
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [add, next, undoable, keys])

  return (
    <div
      className={`mx-auto max-w-[96rem] space-y-4 px-4 py-4 sm:px-6 ${big ? 'text-[1.35rem]' : ''}`}
      data-testid="board"
      data-connected={cook.connected}
      data-waiting={cook.waiting}
      data-now={Math.floor(now_s)}
      data-ready={hydrated}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p className="text-lg text-soft">{start.document.title}</p>
        {start.document.clock.speed > 1 && (
          <p className="rounded-full bg-copper-ground px-3 py-1 text-base">
            rehearsal, {start.document.clock.speed} times as fast
          </p>
        )}
        <p role="status" className="text-base" data-testid="connection">
          {cook.connected
            ? cook.waiting > 0
              ? `Sending ${cook.waiting}…`
              : 'All kept'
            : `No connection. The board goes on; ${cook.waiting === 0 ? 'entries wait on this device' : `${cook.waiting} ${cook.waiting === 1 ? 'entry waits' : 'entries wait'} on this device`}.`}
          {cook.unkept > 0 && ` The device is full: ${cook.unkept} only in this page, leave it open.`}
        </p>
        {cook.refused > 0 && (
          <Link
            href="/waiting"
            className="inline-flex min-h-11 items-center text-base font-semibold text-wattle underline underline-offset-4"
            data-testid="refused"
          >
            {cook.refused === 1 ? 'One entry was refused' : `${cook.refused} entries were refused`}: look
          </Link>
        )}
        <label className="inline-flex items-baseline gap-2 text-base text-soft">
          At the stove
          <input
            aria-label="Who is at the stove"
            className="said min-h-11 placeholder:font-normal placeholder:text-soft placeholder:opacity-100"
            style={{ width: `${Math.max(10, by.length + 1)}ch` }}
            placeholder="your name"
            maxLength={80}
            value={by}
            onChange={(event) => setBy(event.target.value)}
          />
        </label>
        <div className="ml-auto flex items-center gap-1">
          <IconButton
            large
            label="Letter keys: U takes the last entry back, D says the door was opened"
            pressed={keys === 'on'}
            onClick={() => setKeys(keys === 'on' ? 'off' : 'on')}
          >
            {keys === 'on' ? (
              <Keyboard className="size-6" aria-hidden />
            ) : (
              <KeyboardOff className="size-6" aria-hidden />
            )}
          </IconButton>
          <IconButton large label="Large type" pressed={big} onClick={() => setBig(!big)}>
            <Eye className="size-6" aria-hidden />
          </IconButton>
          <IconButton large label="Sounds and a screen that stays awake" pressed={alarms.on} onClick={alarms.toggle}>
            {alarms.on ? <Bell className="size-6" aria-hidden /> : <BellOff className="size-6" aria-hidden />}
          </IconButton>
          <button
            type="button"
            className="inline-flex min-h-12 items-center gap-2 rounded-full px-4 font-semibold hover:bg-moss-ground disabled:opacity-40"
            disabled={!undoable}
            onClick={() => undoable && cook.add(blank({ kind: 'undo', of: undoable.id, item: undoable.item }))}
          >
            <Undo2 className="size-5" aria-hidden /> Undo{undoable ? ` “${ENTRY_WORDS[undoable.kind]}”` : ''}
          </button>
        </div>
      </div>

      {next ? (
        <Next
          action={next}
          title={title(next.item)}
          now_s={now_s}
          units={units}
          pull_c={items.find(({ item }) => item.id === next.item)?.pull_c}
          done={() => cook.add(blank({ kind: DONE[next.kind], item: next.item }))}
        />
      ) : (
        <section className="rounded-3xl bg-bottle p-6 text-white" data-testid="next">
          <p className="font-display text-4xl font-bold">Everything is on the table.</p>
          <p className="mt-2 text-lg">{coolingRule(units)}</p>
        </section>
      )}
      {actions.length > 1 && (
        <ol className="flex flex-wrap gap-x-6 gap-y-1 text-lg" aria-label="After that">
          {actions.slice(1, 5).map((action) => (
            <li key={`${action.item}${action.kind}`}>
              <strong>
                <Countdown to_s={action.at_s} now_s={now_s} />
              </strong>{' '}
              {ACTION_WORDS[action.kind]} {title(action.item)}
            </li>
          ))}
        </ol>
      )}
      {alarms.ringing.map((alarm) => (
        <p
          key={alarm.key}
          role="alert"
          className="flex items-center gap-4 rounded-2xl border-2 border-wattle bg-wattle-ground px-4 py-3 text-xl font-semibold"
        >
          <span className="flex-1">{alarm.text(units)}</span>
          <button
            type="button"
            className="min-h-12 rounded-full border-2 border-ink px-5"
            onClick={() => alarms.hush(alarm.key)}
          >
            Heard
          </button>
        </p>
      ))}

      <div className={`grid grid-cols-[minmax(0,1fr)] gap-4 ${items.length > 1 ? 'xl:grid-cols-2' : ''}`}>
        {items.map((board) => (
          <BoardRow
            key={board.item.id}
            board={board}
            forecast={forecasts[board.item.id]}
            now_s={now_s}
            units={units}
            add={cook.add}
            channels={cook.channels}
            items={items}
          />
        ))}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2">
        <Log entries={cook.entries} items={items} units={units} add={cook.add} />
        <section className="rounded-2xl border border-line bg-sheet p-4 text-base text-soft">
          <p>
            Keys: <kbd>Enter</kbd> the next step is done
            {keys === 'on' ? (
              <>
                , <kbd>d</kbd> door opened, <kbd>u</kbd> undo
              </>
            ) : (
              '; letter keys are off'
            )}
            .
          </p>
          <p className="mt-1">
            Alarm <strong className="text-ink">{rise(alarms.early_k, units)}</strong> before the pull{' '}
            <button
              type="button"
              className="min-h-9 underline underline-offset-4"
              onClick={() => alarms.setEarly(alarms.early_k === 2 ? 4 : alarms.early_k === 4 ? 6 : 2)}
            >
              change
            </button>
            . Your local food code comes before this board.
          </p>
          <p className="mt-2">
            <Link className="underline underline-offset-4" href={`/k/${start.kitchen}`}>
              Back to the kitchen
            </Link>
          </p>
        </section>
      </div>
    </div>
  )
}

const DONE = { put_in: 'in', pull: 'out', carve: 'carve', serve: 'served', look: 'note' } as const

/** The one question: what next, and when. Readable from two metres. */
function Next({
  action,
  title,
  now_s,
  units,
  pull_c,
  done,
}: {
  readonly action: NextAction
  readonly title: string
  readonly now_s: number
  readonly units: Units
  readonly pull_c: number | undefined
  readonly done: () => void
}) {
  const late = action.at_s < now_s - 90
  return (
    <section
      aria-label="Next"
      className="flex flex-wrap items-center gap-x-8 gap-y-4 rounded-3xl border border-transparent bg-bottle p-5 text-white sm:p-7 [[data-theme=night]_&]:border-line"
      data-testid="next"
    >
      <div className="min-w-0 flex-1 basis-80">
        <p className="text-xl text-white/80">{action.kind === 'look' ? 'Now' : late ? 'Now, it is time' : 'Next'}</p>
        <p className="font-display text-5xl font-bold leading-[1.05] tracking-tight sm:text-6xl">
          {ACTION_WORDS[action.kind]} {title}
          {action.kind === 'pull' && pull_c !== undefined && ` at ${temperature(pull_c, units).replace(' ', '\u00a0')}`}
        </p>
        {action.window && (
          <p className="mt-2 text-xl text-white/90">
            between {duration(Math.max(0, action.window.from_s - now_s))} and{' '}
            {duration(Math.max(0, action.window.to_s - now_s))} from now, eight times in ten
          </p>
        )}
      </div>
      <p className="font-display text-6xl font-bold tabular-nums sm:text-8xl" data-testid="countdown">
        <Countdown to_s={action.at_s} now_s={now_s} />
      </p>
      <button
        type="button"
        className="min-h-16 rounded-full bg-white px-8 font-display text-2xl font-bold text-[#10362b]"
        onClick={done}
      >
        Done
      </button>
    </section>
  )
}
