'use client'
import { Bell, BellOff, Eye, Keyboard, KeyboardOff, Undo2 } from 'lucide-react'
import Link from 'next/link'
import { useEffect, useState } from 'react'
import { type NextLook, nextActions } from '@/domain/cook/board'
import { standing } from '@/domain/cook/entry/fold'
import { lastTogether, together } from '@/domain/cook/together'
import { ENTRY_WORDS } from '@/words/cook-words'
import { problemSentence } from '@/words/problems'
import { coolingRule } from '@/words/tasks'
import { rise, type Units } from '@/words/units'
import { IconButton } from '../controls/icon-button'
import { ShareAddress } from '../people/share'
import { Locked, useSigning } from '../people/who'
import { useHydrated } from '../shell/use-hydrated'
import { useKept } from '../shell/use-kept'
import { AtTheStove } from './at-the-stove'
import { BoardRow } from './board-row'
import { HandReading } from './hand-reading'
import { HowItAte } from './how-it-ate'
import { HowItWentView } from './how-it-went'
import { LeftOut } from './left-out'
import { Log } from './log'
import { AfterThat, NextStep } from './next-step'
import { PlanAgain } from './plan-again'
import { RunList } from './run-list'
import { stepHands } from './step-hands'
import { useAlarms } from './use-alarms'
import { blank, type CookStart, lookedAt, useCook } from './use-cook'

/** More roasts than this are shown small. */
const MANY = 4

/** Cook mode: what is next and when; then what is off plan, and the ways out. */
export function Board({
  units,
  fridge_c,
  ...start
}: CookStart & { readonly units: Units; readonly fridge_c?: number | undefined }) {
  const [by, setBy] = useSigning()
  const [keys, setKeys] = useKept('pheasant-letter-keys', 'on')
  const cook = useCook(start, by)
  const { now_s, items, forecasts, peaks, run, document: planned } = cook
  const [big, setBig] = useState(false)
  const hydrated = useHydrated()
  // One that was not wanted is asked for again after the next reading.
  const readKey = (id: string) => `read ${id} ${items.find(({ item }) => item.id === id)?.latest?.at_s ?? 0}`
  const actions = nextActions(run, items, now_s).filter(
    (action) => action.kind !== 'read' || !cook.heard.has(readKey(action.item)),
  )
  const reads = actions.flatMap((action) => (action.kind === 'read' ? [action] : []))
  const alarms = useAlarms(
    items,
    reads,
    run,
    planned,
    now_s,
    cook.heard,
    (key) => void cook.add(blank({ kind: 'heard', text: key })),
  )
  // What is alike and due at once is one for the hands.
  const looks = actions.filter((action) => action.kind === 'look')
  const steps = actions.flatMap((action) => (action.kind === 'step' ? [{ ...action.step, at_s: action.at_s }] : []))
  const groups = together(steps, planned)
  const [next] = actions
  const isStep = next?.kind === 'step'
  const rest = groups.slice(isStep ? 1 : 0).slice(0, Math.max(0, 4 - Math.max(1, looks.length)))
  const hands = stepHands(cook)
  const pieces = isStep ? (groups[0] ?? []) : []
  const pullOf = (id: string | null) => items.find(({ item }) => item.id === id)?.pull_c
  const looked = ({ kind, item }: NextLook) =>
    void cook.add(kind === 'read' ? blank({ kind: 'heard', text: readKey(item) }) : lookedAt(item))
  const undoable = lastTogether(standing(cook.entries), planned)
  const nextItem = next?.kind === 'step' ? next.step.step.item : next?.item
  const nextBoard = items.find(({ item }) => item.id === nextItem)
  const isFirstLook = isStep && next.step.step.kind === 'watch' && pieces.length === 1 && nextBoard?.byHand
  const isRead = next?.kind === 'read' || isFirstLook
  const { add } = cook
  const undo = () => {
    for (const { id, item } of undoable) add(blank({ kind: 'undo', of: id, item }))
  }
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
      if (keys === 'on' && event.key === 'u') undo()
      if (keys === 'on' && event.key === 'd' && nextItem) add(blank({ kind: 'door', item: nextItem }))
      if (event.key === 'Enter' && next && document.activeElement === document.body) {
        if (next.kind === 'step') pieces.forEach(hands.done)
        else if (next.kind === 'look') looked(next)
      }
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  })

  return (
    <Locked action="cook">
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
              : cook.shut
                ? `This device is no longer let in. ${problemSentence(cook.shut, units)} ${cook.waiting === 0 ? 'Nothing waits on it.' : `${cook.waiting} ${cook.waiting === 1 ? 'entry stays' : 'entries stay'} on this device and ${cook.waiting === 1 ? 'is' : 'are'} sent when it is let in again.`}`
                : `No connection. The board goes on; ${cook.waiting === 0 ? 'entries wait on this device' : `${cook.waiting} ${cook.waiting === 1 ? 'entry waits' : 'entries wait'} on this device`}.`}
            {cook.unkept > 0 && ` The device is full: ${cook.unkept} only in this page, leave it open.`}
          </p>
          {cook.shut && cook.waiting > 0 && (
            <Link href="/waiting" className="inline-flex min-h-11 items-center text-base underline underline-offset-4">
              Look at them
            </Link>
          )}
          {cook.refused > 0 && (
            <Link
              href="/waiting"
              className="inline-flex min-h-11 items-center text-base font-semibold text-wattle underline underline-offset-4"
              data-testid="refused"
            >
              {cook.refused === 1 ? 'One entry was refused' : `${cook.refused} entries were refused`}: look
            </Link>
          )}
          <AtTheStove kitchen={start.kitchen} by={by} setBy={setBy} units={units} />
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
              disabled={undoable.length === 0}
              onClick={undo}
            >
              <Undo2 className="size-5" aria-hidden /> Undo{undoable[0] ? ` “${ENTRY_WORDS[undoable[0].kind]}”` : ''}
              {undoable.length > 1 && ` × ${undoable.length}`}
            </button>
          </div>
        </div>

        {next && <LeftOut start={start} />}
        {next ? (
          <NextStep
            action={next}
            pieces={pieces}
            document={planned}
            now_s={now_s}
            units={units}
            pull_c={pullOf(nextItem ?? null)}
            hands={hands}
            looked={() => next.kind !== 'step' && looked(next)}
            reading={
              nextBoard &&
              isRead && (
                <HandReading
                  key={nextBoard.item.id}
                  board={nextBoard}
                  now_s={now_s}
                  units={units}
                  asked
                  put={(value_c, point) => {
                    add(blank({ kind: 'reading', item: nextBoard.item.id, value_c, point }))
                    // The first look with the probe is had.
                    pieces.forEach(hands.done)
                  }}
                />
              )
            }
          />
        ) : (
          <section className="rounded-3xl bg-bottle p-6 text-white" data-testid="next">
            <p className="font-display text-4xl font-bold">
              {items.some(({ state }) => state === 'served')
                ? 'Everything is on the table.'
                : 'This cook was given up.'}
            </p>
            <p className="mt-2 text-lg">{coolingRule(units)}</p>
          </section>
        )}
        {!next && (
          <HowItAte
            items={items}
            kitchen={start.kitchen}
            cookId={start.cookId}
            now_s={now_s}
            units={units}
            add={add}
            fridge_c={fridge_c}
          />
        )}
        {rest.length > 0 && (
          <AfterThat groups={rest} document={planned} now_s={now_s} units={units} hands={hands} pullOf={pullOf} />
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

        <div
          className={`grid grid-cols-[minmax(0,1fr)] items-start gap-4 ${items.length > MANY ? 'md:grid-cols-2 xl:grid-cols-3' : items.length > 1 ? 'xl:grid-cols-2' : ''}`}
        >
          {items.map((board) => (
            <BoardRow
              key={board.item.id}
              board={board}
              forecast={forecasts[board.item.id]}
              peak={peaks[board.item.id]}
              units={units}
              cook={cook}
              run={run}
              compact={items.length > MANY}
            />
          ))}
        </div>
        {next ? (
          <PlanAgain cook={cook} units={units} />
        ) : (
          <HowItWentView items={items} entries={cook.entries} units={units} />
        )}
        <RunList run={run} document={planned} units={units} hands={hands} pullOf={pullOf} />
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2">
          <Log entries={cook.entries} items={items} document={planned} now_s={now_s} units={units} add={cook.add} />
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
            <div className="mt-2">
              <ShareAddress
                slug={start.kitchen}
                of="board"
                thing={start.cookId}
                name={`Board: ${start.document.title}`}
                action="An address to watch this board"
                units={units}
              />
            </div>
            <p className="mt-2">
              <Link className="underline underline-offset-4" href={`/k/${start.kitchen}`}>
                Back to the kitchen
              </Link>
            </p>
          </section>
        </div>
      </div>
    </Locked>
  )
}
