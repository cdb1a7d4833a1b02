'use client'
import { useState } from 'react'
import { fahrenheitToCelsius } from '@/core/units'
import type { BoardItem } from '@/domain/cook/board'
import type { CookEntry } from '@/domain/cook/cook-document'
import { ASKS, entriesOfMishap, type Mishap, mishapsOf } from '@/domain/cook/mishap'
import { goneBy } from '@/domain/line/gone-by'
import { mishapWords } from '@/words/mishap-words'
import { clock, temperature, type Units } from '@/words/units'
import { typedDegrees } from '../controls/typed-degrees'

/** What is not as planned: said with a tap, it is a fact like any other, and times and ways out follow from it. */
export function Mishaps({
  board,
  items,
  now_s,
  set_c,
  units,
  add,
}: {
  readonly board: BoardItem
  readonly items: readonly BoardItem[]
  readonly now_s: number
  readonly set_c: number | undefined
  readonly units: Units
  readonly add: (entry: Pick<CookEntry, 'kind'> & Partial<CookEntry>) => void
}) {
  const [asked, setAsked] = useState<Mishap | undefined>()
  const [typed, setTyped] = useState('')
  const [first, setFirst] = useState<string | undefined>()
  const possible = mishapsOf(board, set_c)
  if (possible.length === 0) return null
  const asks = asked && ASKS[asked]
  const said = (): number | undefined => {
    if (asks === 'temperature') {
      const value = typedDegrees(typed)
      if (value === undefined) return undefined
      const value_c = units.temperature === 'f' ? fahrenheitToCelsius(value) : value
      return value_c >= 40 && value_c <= 320 ? value_c : undefined
    }
    return goneBy(typed, { now_s, timeZone: units.timeZone })
  }
  const enter = (mishap: Mishap, value?: number) => {
    for (const entry of entriesOfMishap(mishap, board, items, now_s, set_c, value)) add(entry)
    setFirst(mishapWords(mishap, units).first)
    setAsked(undefined)
    setTyped('')
  }
  const value = asks ? said() : undefined
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer py-2 text-lg">Something is not as planned</summary>
      <div className="flex flex-wrap gap-2">
        {possible.map((mishap) => (
          <button
            key={mishap}
            type="button"
            data-mishap={mishap}
            aria-pressed={asked === mishap}
            className="min-h-12 rounded-full border-2 border-line px-4 text-lg font-semibold hover:border-copper aria-pressed:border-copper"
            onClick={() => (ASKS[mishap] ? setAsked(mishap) : enter(mishap))}
          >
            {mishapWords(mishap, units).what}
          </button>
        ))}
      </div>
      {asked && (
        <form
          className="mt-2 flex flex-wrap items-center gap-2 text-lg"
          onSubmit={(event) => {
            event.preventDefault()
            if (value !== undefined) enter(asked, value)
          }}
        >
          <label className="flex items-center gap-2">
            {asks === 'temperature' ? 'It was at' : asked === 'in_at' ? 'It went in at' : 'It was out since'}
            <input
              className="min-h-12 w-28 rounded-xl border-2 border-line bg-transparent px-3 text-center text-xl"
              maxLength={20}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              placeholder={asks === 'temperature' ? (units.temperature === 'f' ? '°F' : '°C') : clock(now_s, units)}
            />
          </label>
          <button
            type="submit"
            disabled={value === undefined}
            className="min-h-12 rounded-full bg-action px-5 font-semibold text-white disabled:opacity-40"
          >
            {value === undefined ? 'Say it' : asks === 'temperature' ? temperature(value, units) : clock(value, units)}
          </button>
          <button type="button" className="min-h-12 px-3 underline" onClick={() => setAsked(undefined)}>
            Leave it
          </button>
        </form>
      )}
      {first && (
        <p role="status" className="mt-2 rounded-lg border-l-4 border-copper px-3 py-2 text-lg">
          {first}
        </p>
      )}
    </details>
  )
}
