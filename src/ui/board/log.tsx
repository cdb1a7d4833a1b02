'use client'
import { useState } from 'react'
import type { BoardItem } from '@/domain/cook/board'
import type { CookDocument, CookEntry } from '@/domain/cook/cook-document'
import { standing } from '@/domain/cook/entry/fold'
import { isMovable, movedTo } from '@/domain/cook/entry/moved'
import { planSteps } from '@/domain/cook/run'
import { goneBy } from '@/domain/line/gone-by'
import { ENTRY_WORDS, entryText } from '@/words/cook-words'
import { stepTitle } from '@/words/steps'
import { clock, temperature, type Units } from '@/words/units'
import { type CsvReading, readCsv } from './read-csv'
import { blank, type LiveCook } from './use-cook'

/** What happened, newest first: who, when, what reading. Nothing is overwritten: what was tapped late is entered anew. */
export function Log({
  entries,
  items,
  document,
  now_s,
  units,
  add,
}: {
  readonly entries: readonly CookEntry[]
  readonly items: readonly BoardItem[]
  readonly document: CookDocument
  readonly now_s: number
  readonly units: Units
  readonly add: LiveCook['add']
}) {
  const [text, setText] = useState('')
  const [moving, setMoving] = useState<string | undefined>()
  const steps = planSteps(document)
  /** What was done is said by the step of the plan it was. */
  const stepOf = ({ kind, of }: CookEntry) => {
    const step =
      kind === 'done' || kind === 'skipped' || kind === 'shifted' ? steps.find(({ id }) => id === of) : undefined
    return step && `${stepTitle(step, document, units)},`
  }
  const shown = [...standing(entries)]
    .filter(({ kind }) => kind !== 'arrival' && kind !== 'heard')
    .reverse()
    .slice(0, 60)
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4" data-testid="log">
      <h2 className="font-display text-xl font-semibold">What happened</h2>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (text.trim() === '') return
          add(blank({ kind: 'note', text: text.trim() }))
          setText('')
        }}
      >
        <input
          aria-label="A note"
          className="min-h-12 min-w-0 flex-1 rounded-xl border-2 border-line bg-transparent px-3 text-lg"
          placeholder="a note"
          maxLength={1000}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <button type="submit" className="min-h-12 rounded-xl bg-action px-5 font-semibold text-white">
          Note it
        </button>
      </form>
      <ReadingsFile items={items} add={add} />
      <ol className="mt-2 divide-y divide-line text-lg">
        {shown.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-baseline gap-x-3 py-1.5">
            <EntryTime entry={entry} units={units} move={isMovable(entry) ? () => setMoving(entry.id) : undefined} />
            <span className="min-w-0 flex-1">
              {stepOf(entry) ?? items.find(({ item }) => item.id === entry.item)?.item.title} {ENTRY_WORDS[entry.kind]}
              {entry.value_c !== null && ` ${temperature(entry.value_c, units)}`}
              {entry.kind === 'assign' && ` ${(entry.channel ?? 0) + 1} in the ${entry.point}`}
              {(entry.kind === 'promise' || entry.kind === 'shifted') &&
                entry.text &&
                ` to ${clock(Date.parse(entry.text) / 1000, units)}`}
              {entry.kind !== 'promise' && entry.kind !== 'shifted' && entry.text && `: ${entryText(entry)}`}
            </span>
            <span className="text-soft">{entry.by}</span>
            {moving === entry.id && (
              <Earlier
                entry={entry}
                now_s={now_s}
                units={units}
                entriesAt={(at_s) => movedTo(document, entries, entry, at_s, now_s)}
                move={(decided) => {
                  for (const each of decided) add(blank(each))
                  setMoving(undefined)
                }}
                leave={() => setMoving(undefined)}
              />
            )}
          </li>
        ))}
        {shown.length === 0 && <li className="py-2 text-soft">Nothing yet. Each tap on the board stands here.</li>}
      </ol>
    </section>
  )
}

/** When it was, and a way to say that it was tapped later than it was done. */
function EntryTime({
  entry,
  units,
  move,
}: {
  readonly entry: CookEntry
  readonly units: Units
  readonly move: (() => void) | undefined
}) {
  const at = clock(Date.parse(entry.at) / 1000, units)
  return move ? (
    <button
      type="button"
      className="min-h-9 w-16 text-left font-semibold underline decoration-line decoration-2 underline-offset-4 hover:decoration-copper"
      aria-label={`${at}, ${ENTRY_WORDS[entry.kind]}: it was at another time`}
      onClick={move}
    >
      {at}
    </button>
  ) : (
    <span className="w-16 font-semibold">{at}</span>
  )
}

type Decided = NonNullable<ReturnType<typeof movedTo>>
/** Minutes that a tap comes late by. */
const LATE_MIN = [1, 5, 15] as const

/** When it really was: a few minutes earlier, or at a time. */
function Earlier({
  entry,
  now_s,
  units,
  entriesAt,
  move,
  leave,
}: {
  readonly entry: CookEntry
  readonly now_s: number
  readonly units: Units
  readonly entriesAt: (at_s: number) => Decided | undefined
  readonly move: (decided: Decided) => void
  readonly leave: () => void
}) {
  const [typed, setTyped] = useState('')
  const at_s = Date.parse(entry.at) / 1000
  const said_s = typed.trim() === '' ? undefined : goneBy(typed, { now_s, timeZone: units.timeZone })
  const decided = said_s === undefined ? undefined : entriesAt(said_s)
  const round = 'min-h-12 rounded-full border-2 border-line px-4 text-lg font-semibold hover:border-copper'
  return (
    <form
      className="mb-2 mt-1 flex basis-full flex-wrap items-center gap-2"
      data-testid="earlier"
      onSubmit={(event) => {
        event.preventDefault()
        if (decided) move(decided)
      }}
    >
      {LATE_MIN.map((minutes) => {
        const sooner = entriesAt(at_s - minutes * 60)
        return (
          <button
            key={minutes}
            type="button"
            disabled={!sooner}
            className={`${round} disabled:opacity-40`}
            onClick={() => sooner && move(sooner)}
          >
            {minutes} min earlier
          </button>
        )
      })}
      <input
        aria-label="It was at"
        className="min-h-12 w-28 rounded-xl border-2 border-line bg-transparent px-3 text-center text-xl"
        placeholder={clock(at_s, units)}
        maxLength={20}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <button
        type="submit"
        disabled={!decided}
        className="min-h-12 rounded-full bg-action px-5 text-lg font-semibold text-white disabled:opacity-40"
      >
        {decided && said_s !== undefined ? `It was at ${clock(said_s, units)}` : 'It was then'}
      </button>
      <button type="button" className="min-h-12 px-3 text-lg underline" onClick={leave}>
        Leave it
      </button>
      <span className="basis-full text-base text-soft" role="status">
        {typed.trim() !== '' &&
          (said_s === undefined
            ? 'A time that has gone by, such as 14:05 or 2.05 pm.'
            : decided
              ? ''
              : 'It cannot have been then: what was done before or after it would be the other way round.')}
      </span>
    </form>
  )
}

/** Readings from a thermometer's CSV file: a column of times, a column of temperatures. Looked at before they are kept. */
function ReadingsFile({ items, add }: { readonly items: readonly BoardItem[]; readonly add: LiveCook['add'] }) {
  const [found, setFound] = useState<
    { readonly name: string; readonly readings: readonly CsvReading[]; readonly wrong: number } | undefined
  >()
  const [item, setItem] = useState(items[0]?.item.id ?? '')
  return (
    <div className="mt-2 text-base">
      <label className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        Readings from a CSV file
        <input
          type="file"
          accept=".csv,text/csv"
          className="sr-only"
          onChange={async (event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            if (file) setFound({ name: file.name, ...readCsv(await file.text()) })
          }}
        />
      </label>
      {found && (
        <div className="mt-1 rounded-lg border-2 border-copper bg-copper-ground p-3" data-testid="csv-preview">
          <p>
            {found.name}: {found.readings.length} readings
            {found.wrong > 0 && `, ${found.wrong} lines not understood`}.{' '}
            {found.readings.length === 0 &&
              'A line is a time (2026-12-25 14:05 or ISO) and a temperature in °C; a heading with “f” or “°F” means Fahrenheit.'}
          </p>
          {found.readings.length > 0 && (
            <p className="mt-2 flex flex-wrap gap-3">
              <select
                aria-label="Which roast"
                className="said"
                value={item}
                onChange={(event) => setItem(event.target.value)}
              >
                {items.map(({ item: each }) => (
                  <option key={each.id} value={each.id}>
                    {each.title}
                  </option>
                ))}
              </select>
              <button
                type="button"
                className="min-h-11 rounded-full bg-action px-5 font-semibold text-white"
                onClick={() => {
                  for (const { at, value_c } of found.readings)
                    add({ ...blank({ kind: 'reading', item, value_c, point: 'core' }), at })
                  setFound(undefined)
                }}
              >
                Take them
              </button>
              <button type="button" className="min-h-11 px-2 underline" onClick={() => setFound(undefined)}>
                Leave them
              </button>
            </p>
          )}
        </div>
      )}
    </div>
  )
}
