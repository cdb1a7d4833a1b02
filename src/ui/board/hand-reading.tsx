'use client'
import { useState } from 'react'
import { celsiusToFahrenheit, fahrenheitToCelsius } from '@/core/units'
import type { BoardItem } from '@/domain/cook/board'
import { oldestPoint } from '@/domain/cook/by-hand'
import { type Doubt, doubtOf, inNumbers } from '@/domain/cook/plausible'
import { pointName } from '@/words/cook-words'
import { temperature, type Units } from '@/words/units'
import { typedDegrees } from '../controls/typed-degrees'

/**
 * A reading by hand, of whichever point: one that cannot be is asked about before it counts. Laid among the buttons
 * of its row; the question takes a line of its own under them, so that nothing pressed moves.
 */
export function HandReading({
  board,
  now_s,
  units,
  asked = false,
  put,
}: {
  readonly board: BoardItem
  readonly now_s: number
  readonly units: Units
  /** It was asked for: beside its row there is then another. */
  readonly asked?: boolean
  readonly put: (value_c: number, point: string) => void
}) {
  const { item, points, latest } = board
  const [typed, setTyped] = useState('')
  const [point, setPoint] = useState<string | undefined>()
  const [doubt, setDoubt] = useState<Doubt | undefined>()
  const fahrenheit = units.temperature === 'f'
  const oldest = asked ? oldestPoint(board)?.point : undefined
  const own = point ?? oldest ?? (item.points.includes('core') ? 'core' : (item.points[0] ?? 'core'))
  const before = points.find((each) => each.point === own) ?? (item.points.length > 1 ? undefined : latest)
  const unit = fahrenheit ? '°F' : '°C'
  const keep = (value_c: number) => {
    put(value_c, own)
    // The next that is asked for is another point.
    if (asked) setPoint(undefined)
    setTyped('')
    setDoubt(undefined)
  }
  const named = own === 'core' ? item.title : `${pointName(own)}, ${item.title}`
  return (
    <>
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          const value = typedDegrees(typed)
          if (value === undefined) return
          const found = doubtOf(
            value,
            fahrenheit,
            { latest: before && { at_s: before.at_s, value_c: before.value_c }, start_c: item.roast.start_c, now_s },
            own === 'air',
          )
          if (found) setDoubt(found)
          else keep(fahrenheit ? fahrenheitToCelsius(value) : value)
        }}
      >
        {item.points.length > 1 && (
          <fieldset className="flex flex-wrap gap-1">
            <legend className="sr-only">Which point is read</legend>
            {[...item.points, 'air'].map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={own === each}
                className="min-h-12 rounded-full border-2 border-line px-3 text-lg font-semibold aria-pressed:border-copper aria-pressed:bg-copper-ground"
                onClick={() => {
                  setPoint(each)
                  setDoubt(undefined)
                }}
              >
                {pointName(each)}
              </button>
            ))}
          </fieldset>
        )}
        <input
          aria-label={asked ? `${named} reads now, ${unit}` : `Reading of ${named}, ${unit}`}
          inputMode="decimal"
          className="min-h-12 w-24 rounded-xl border-2 border-line bg-transparent px-3 text-center text-xl"
          placeholder={
            before ? String(Math.round(fahrenheit ? celsiusToFahrenheit(before.value_c) : before.value_c)) : unit
          }
          value={typed}
          maxLength={9}
          onChange={(event) => {
            setTyped(event.target.value)
            setDoubt(undefined)
          }}
        />
        <button
          type="submit"
          className="min-h-12 rounded-full border-2 border-line px-4 text-lg font-semibold hover:border-copper"
        >
          {asked ? 'Keep it' : 'Read'}
        </button>
      </form>
      {doubt && (
        <div
          role="alert"
          className="basis-full rounded-lg border-l-4 border-copper bg-copper-ground px-3 py-2 text-lg"
          data-testid="doubt"
        >
          <p>
            {temperature(doubt.given_c, units)}?{' '}
            {doubt.last_c === undefined ? 'That is no meat.' : `It was ${temperature(doubt.last_c, units)}.`}
            {doubt.meant.length > 0 ? ' Did you mean' : ' Read it again, or say that it is so.'}
          </p>
          <div className="mt-1 flex flex-wrap gap-2">
            {doubt.meant.map(({ value_c, as }) => (
              <button
                key={as}
                type="button"
                className="min-h-12 rounded-full bg-action px-4 font-semibold text-white"
                onClick={() => keep(value_c)}
              >
                {as === 'tenth'
                  ? `${inNumbers(value_c, fahrenheit).toFixed(1)} ${unit}`
                  : `${typed.trim()} ${as === 'fahrenheit' ? '°F' : '°C'}: ${temperature(value_c, units)}`}
              </button>
            ))}
            <button
              type="button"
              className="min-h-12 rounded-full border-2 border-ink px-4 font-semibold"
              onClick={() => keep(doubt.given_c)}
            >
              It is {temperature(doubt.given_c, units)}
            </button>
            <button type="button" className="min-h-12 px-3 underline" onClick={() => setDoubt(undefined)}>
              Read again
            </button>
          </div>
        </div>
      )}
    </>
  )
}
