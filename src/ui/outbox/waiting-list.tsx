'use client'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { type CookEntry, cookEntry } from '@/domain/cook/cook-document'
import { parseWith } from '@/domain/problem/parse'
import { ENTRY_WORDS } from '@/words/cook-words'
import { problemSentence } from '@/words/problems'
import { clock, localInput, shortDay, temperature, type Units } from '@/words/units'
import { instantOfLocal } from '../controls/local-time'
import { useHydrated } from '../shell/use-hydrated'
import { deviceOutbox } from './device-outbox'
import type { Waiting } from './store'
import { useOutbox } from './use-outbox'

const pill = 'min-h-11 rounded-full border-2 border-line px-4 text-base font-semibold hover:border-copper'

/** Everything tapped on this device that the server does not have: read, mended, sent again, taken along as a file. */
export function WaitingList({ units }: { readonly units: Units }) {
  const { items: all, reachable } = useOutbox()
  // What was foreseen goes along by itself and is made anew: only what a hand did is listed.
  const items = all.filter(({ entry, refused }) => entry.kind !== 'arrival' || refused !== undefined)
  const hydrated = useHydrated()
  const keep = () => {
    const file = new Blob(
      [
        `${JSON.stringify(
          items.map(({ kitchen, cook, entry, refused }) => ({ kitchen, cook, entry, refused })),
          null,
          2,
        )}\n`,
      ],
      {
        type: 'application/json',
      },
    )
    const link = document.createElement('a')
    link.href = URL.createObjectURL(file)
    link.download = 'pheasant-entries.json'
    link.click()
    URL.revokeObjectURL(link.href)
  }
  if (!hydrated) return null
  if (items.length === 0)
    return (
      <p className="mt-4 text-xl" data-testid="nothing-waits">
        Everything that was tapped on this device is on the server.
      </p>
    )
  return (
    <>
      <p className="mt-2 text-lg text-soft">
        {reachable ? 'What waits is being sent.' : 'The server does not answer; it is tried again by itself.'} What was
        refused stays here until you mend it or let it go.
      </p>
      <p className="mt-4 flex flex-wrap gap-3">
        <button type="button" className={pill} onClick={keep}>
          Save all as a file
        </button>
      </p>
      <ul className="mt-4 space-y-3">
        {items.map((item) => (
          <Row key={item.id} item={item} units={units} />
        ))}
      </ul>
    </>
  )
}

function Row({ item, units }: { readonly item: Waiting; readonly units: Units }) {
  const [open, setOpen] = useState(false)
  const { entry, refused } = item
  const at_s = Date.parse(entry.at) / 1000
  const said = [
    entry.value_c !== null && temperature(entry.value_c, units),
    entry.text,
    entry.by && `by ${entry.by}`,
  ].filter(Boolean)
  return (
    <li
      className="rounded-2xl border border-line bg-sheet px-4 py-3"
      data-testid="waiting-entry"
      data-refused={refused !== undefined}
    >
      <p className="text-lg">
        <span className="font-semibold">{ENTRY_WORDS[entry.kind] ?? entry.kind}</span>
        {Number.isFinite(at_s) && `, ${shortDay(at_s, units)} ${clock(at_s, units)}`}
        {said.length > 0 && `: ${said.join(', ')}`}
      </p>
      {refused ? (
        <p className="text-base text-wattle">{refused.map((problem) => problemSentence(problem, units)).join(' ')}</p>
      ) : (
        <p className="text-base text-soft">Waits to be sent.</p>
      )}
      {refused && (
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className={pill} onClick={() => void deviceOutbox().again(item.id)}>
            Send again
          </button>
          <button type="button" className={pill} aria-expanded={open} onClick={() => setOpen(!open)}>
            Mend
          </button>
          <button type="button" className={pill} onClick={() => void deviceOutbox().letGo(item.id)}>
            Let go
          </button>
        </div>
      )}
      {open && refused && <Mend item={item} units={units} done={() => setOpen(false)} />}
    </li>
  )
}

/** A time as it is typed, in the kitchen’s zone; what is no time is left for the reader of entries to say. */
function instantOf(typed: string, units: Units): string {
  const local = typed.trim().replace(' ', 'T')
  if (!/^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(local)) return typed.trim()
  return instantOfLocal(local, units.timeZone) ?? typed.trim()
}

/** What of an entry can be put right by hand: its time, its reading and its words. */
function Mend({ item, units, done }: { readonly item: Waiting; readonly units: Units; readonly done: () => void }) {
  const asWritten = Number.isFinite(Date.parse(item.entry.at))
    ? localInput(Date.parse(item.entry.at) / 1000, units).replace('T', ' ')
    : item.entry.at
  const [at, setAt] = useState(asWritten)
  const [value, setValue] = useState(item.entry.value_c === null ? '' : String(item.entry.value_c))
  const [text, setText] = useState(item.entry.text ?? '')
  const [wrong, setWrong] = useState<string | undefined>()
  const save = () => {
    const mended: CookEntry = {
      ...item.entry,
      // Another id: under the old one the server may have something else.
      id: nanoid(),
      at: at === asWritten ? item.entry.at : instantOf(at, units),
      value_c: value.trim() === '' ? null : Number(value.replace(',', '.')),
      text: text === '' ? null : text,
    }
    const read = parseWith(cookEntry, mended)
    if (!read.ok) return setWrong(read.problems.map((problem) => problemSentence(problem, units)).join(' '))
    void deviceOutbox().again(item.id, read.value)
    done()
  }
  const field = 'mt-1 block min-h-11 w-full rounded-xl border border-line bg-sheet px-3 text-lg'
  return (
    <form
      className="mt-3 grid gap-3 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <label className="text-base text-soft">
        Time, such as 2026-12-25 14:05
        <input className={field} value={at} onChange={(event) => setAt(event.target.value)} />
      </label>
      <label className="text-base text-soft">
        Reading, °C
        <input className={field} inputMode="decimal" value={value} onChange={(event) => setValue(event.target.value)} />
      </label>
      <label className="text-base text-soft">
        Words
        <input className={field} maxLength={1000} value={text} onChange={(event) => setText(event.target.value)} />
      </label>
      <p className="sm:col-span-3">
        <button type="submit" className={pill}>
          Send it mended
        </button>{' '}
        {wrong && (
          <span role="alert" className="text-base text-wattle">
            {wrong}
          </span>
        )}
      </p>
    </form>
  )
}
