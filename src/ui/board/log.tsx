'use client'
import { useState } from 'react'
import type { BoardItem } from '@/domain/cook/board'
import type { CookDocument, CookEntry } from '@/domain/cook/cook-document'
import { standing } from '@/domain/cook/entry/fold'
import { planSteps } from '@/domain/cook/run'
import { ENTRY_WORDS, entryText } from '@/words/cook-words'
import { stepTitle } from '@/words/steps'
import { clock, temperature, type Units } from '@/words/units'
import { type CsvReading, readCsv } from './read-csv'
import { blank, type LiveCook } from './use-cook'

/** What happened, newest first: who, when, what reading. Nothing is overwritten. */
export function Log({
  entries,
  items,
  document,
  units,
  add,
}: {
  readonly entries: readonly CookEntry[]
  readonly items: readonly BoardItem[]
  readonly document: CookDocument
  readonly units: Units
  readonly add: LiveCook['add']
}) {
  const [text, setText] = useState('')
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
          <li key={entry.id} className="flex gap-3 py-1.5">
            <span className="w-16 font-semibold">{clock(Date.parse(entry.at) / 1000, units)}</span>
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
          </li>
        ))}
        {shown.length === 0 && <li className="py-2 text-soft">Nothing yet. Each tap on the board stands here.</li>}
      </ol>
    </section>
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
