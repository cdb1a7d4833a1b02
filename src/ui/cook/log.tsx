'use client'
import { useState } from 'react'
import { type BoardItem, standing } from '@/domain/cook/board'
import type { CookEntry } from '@/domain/cook/cook-document'
import { clock, temperature, type Units } from '../format/units'
import { ENTRY_WORDS } from './cook-words'
import { blank, type LiveCook } from './use-cook'

/** What happened, newest first: who, when, what reading. Nothing is overwritten. */
export function Log({
  entries,
  items,
  units,
  add,
}: {
  readonly entries: readonly CookEntry[]
  readonly items: readonly BoardItem[]
  readonly units: Units
  readonly add: LiveCook['add']
}) {
  const [text, setText] = useState('')
  const shown = [...standing(entries)].reverse().slice(0, 40)
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
      <ol className="mt-2 divide-y divide-line text-lg">
        {shown.map((entry) => (
          <li key={entry.id} className="flex gap-3 py-1.5">
            <span className="w-16 font-semibold">{clock(Date.parse(entry.at) / 1000, units)}</span>
            <span className="min-w-0 flex-1">
              {items.find(({ item }) => item.id === entry.item)?.item.title} {ENTRY_WORDS[entry.kind]}
              {entry.value_c !== null && ` ${temperature(entry.value_c, units)}`}
              {entry.kind === 'assign' && ` ${(entry.channel ?? 0) + 1} in the ${entry.point}`}
              {entry.kind !== 'promise' && entry.text && `: ${entry.text}`}
            </span>
            <span className="text-soft">{entry.by}</span>
          </li>
        ))}
        {shown.length === 0 && <li className="py-2 text-soft">Nothing yet. Each tap on the board stands here.</li>}
      </ol>
    </section>
  )
}
