'use client'
import { useState } from 'react'
import { boilingPoint, pressureAtAltitude } from '@/core/heat/vapour'
import { STANDARDS } from '@/core/reference/standards'
import { celsiusToFahrenheit, fahrenheitToCelsius } from '@/core/units'
import type { BoardItem } from '@/domain/cook/board'
import { putInAt, sameOven, sameTable, settingOf } from '@/domain/cook/board'
import type { Advice, Forecast, Split } from '@/domain/cook/forecast'
import { adviceWords, lateWords, oddWords } from '@/words/cook-words'
import { clock, temperature, type Units } from '@/words/units'
import { CookCurve } from './cook-curve'
import { blank, type LiveCook } from './use-cook'

/** Ways out that change what is done later, not what is set now: they are written down. */
const NOTED: Readonly<Partial<Record<Advice['code'], string>>> = {
  hold: 'hold in the cabinet after the pull',
  short_rest: 'rest ten minutes only',
  skip_finish: 'leave out the hot finish',
  pan_finish: 'finish in the pan',
  thin_end_first: 'carve the thin end first',
}
const STATE_WORDS = { waiting: 'waits', in: 'in', resting: 'rests', carving: 'being carved', served: 'served' } as const
const STEPS = [
  ['turned', 'Turned'],
  ['basted', 'Basted'],
  ['door', 'Door'],
  ['covered', 'Covered'],
  ['uncovered', 'Uncovered'],
] as const

interface RowProps {
  readonly board: BoardItem
  readonly forecast: Forecast | undefined
  readonly now_s: number
  readonly units: Units
  readonly add: LiveCook['add']
  readonly channels: LiveCook['channels']
  readonly items: readonly BoardItem[]
}

/** One roast: reading, trend, window of arrival, what is off, what could be done. */
export function BoardRow({ board, forecast, now_s, units, add, channels, items }: RowProps) {
  const { item, state, latest, pull_c, in_s } = board
  const [typed, setTyped] = useState('')
  const [altitude_m, setAltitude] = useState(item.altitude_m)
  const boiling_c = boilingPoint(pressureAtAltitude(altitude_m))
  const estimate = forecast?.estimate
  const arrives = estimate !== undefined && Number.isFinite(estimate.pull_s.p50)
  const fahrenheit = units.temperature === 'f'
  const put = (kind: Parameters<typeof blank>[0]['kind'], more: Partial<Parameters<typeof blank>[0]> = {}) =>
    add(blank({ kind, item: item.id, ...more }))
  const button = 'min-h-12 rounded-full border-2 border-line px-4 text-lg font-semibold hover:border-copper'
  const set_c = board.settings.at(-1)?.set_c ?? settingOf(item)
  /** An oven has one setting: it is noted for every roast that is in it. */
  const setOven = (value_c: number | null) => {
    for (const { item: inside } of sameOven(board, items)) put('oven', { item: inside.id, value_c })
  }
  const taken = (device: string, channel: number) =>
    items.find((each) =>
      each.entries.findLast((entry) => entry.kind === 'assign' && entry.device === device && entry.channel === channel),
    )?.item
  return (
    <section
      className="rounded-2xl border border-line bg-sheet p-4"
      data-testid="board-row"
      data-item={item.id}
      data-state={state}
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-display text-3xl font-bold">{item.title}</h2>
        <p className="text-lg text-soft">
          {STATE_WORDS[state]}
          {state === 'in' && `, ${board.oven_name}${set_c === undefined ? '' : ` at ${temperature(set_c, units)}`}`}
          {state === 'waiting' && `, goes in ${clock(putInAt(board), units)}`}
        </p>
        <p className="ml-auto text-lg text-soft">on the table {clock(board.promise_s, units)}</p>
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
        <p>
          <span className="block text-base text-soft">Core</span>
          <span className="font-display text-5xl font-bold" data-testid="core">
            {latest ? temperature(latest.value_c, units) : '—'}
          </span>
          {board.trend_k_per_min !== undefined && (
            <span className="ml-2 text-lg text-soft">
              {board.trend_k_per_min >= 0 ? '↗' : '↘'}{' '}
              {(Math.abs(board.trend_k_per_min) * 10 * (fahrenheit ? 1.8 : 1)).toFixed(1)} in 10 min
            </span>
          )}
        </p>
        <p>
          <span className="block text-base text-soft">Pull at</span>
          <span className="text-3xl font-semibold">
            {pull_c === undefined ? 'by the clock' : temperature(pull_c, units)}
          </span>
        </p>
        {estimate && !arrives && state === 'in' && (
          <p className="text-2xl font-semibold text-russet" data-testid="no-arrival">
            does not get there as it is set
          </p>
        )}
        {estimate && in_s !== undefined && arrives && state === 'in' && (
          <p data-testid="arrival">
            <span className="block text-base text-soft">Arrives</span>
            <span className="text-3xl font-semibold">{clock(in_s + estimate.pull_s.p50, units)}</span>{' '}
            <span className="text-lg text-soft">
              {clock(in_s + estimate.pull_s.p10, units)} to {clock(in_s + estimate.pull_s.p90, units)}
            </span>
          </p>
        )}
        {forecast && arrives && state === 'in' && (
          <p
            className={`text-2xl font-semibold ${Math.abs(forecast.late_s) < 300 ? 'text-moss' : 'text-russet'}`}
            data-testid="late"
          >
            {lateWords(forecast.late_s)}
          </p>
        )}
      </div>
      {board.points.length > 1 && (
        <p className="mt-1 text-lg">
          {board.points.map(({ point, value_c }) => `${point} ${temperature(value_c, units)}`).join(', ')}
        </p>
      )}
      {forecast?.split && state === 'in' && <SplitWays split={forecast.split} put={put} units={units} />}
      {[
        ...board.odd,
        ...(forecast?.shallow !== undefined && state === 'in' && board.odd.length === 0
          ? [{ code: 'too_shallow', at_s: now_s, depth: forecast.shallow } as const]
          : []),
      ].map((odd) => (
        <p
          key={odd.code}
          role="alert"
          className="mt-2 rounded-lg border-l-4 border-wattle bg-wattle-ground px-3 py-2 text-lg"
          data-odd={odd.code}
        >
          {oddWords(odd, units)}{' '}
          <button
            type="button"
            className="min-h-9 underline underline-offset-4"
            onClick={() => put('note', { text: 'looked at the probe' })}
          >
            Looked at
          </button>
        </p>
      ))}
      {state !== 'waiting' && (
        <CookCurve board={board} estimate={arrives ? estimate : undefined} now_s={now_s} units={units} />
      )}
      {forecast && forecast.advice.length > 0 && state === 'in' && Math.abs(forecast.late_s) >= 300 && (
        <div className="mt-3">
          <p className="text-base text-soft">Ways out, each simulated from these readings</p>
          <ul className="mt-1 grid gap-2 sm:grid-cols-2">
            {forecast.advice.map((advice) => {
              const words = adviceWords(advice, item.serve_c, units, sameTable(board, items).length - 1)
              return (
                <li key={`${advice.code}${advice.set_c ?? ''}`}>
                  <button
                    type="button"
                    className="min-h-14 w-full rounded-xl border-2 border-line px-3 py-1.5 text-left hover:border-copper"
                    onClick={() => {
                      if (advice.code === 'oven_up' || advice.code === 'oven_down') {
                        if (advice.pull_c !== undefined)
                          put('pull_at', { value_c: Math.round(advice.pull_c * 10) / 10 })
                        setOven(advice.set_c ?? null)
                      } else if (advice.swap) {
                        const { swap } = advice
                        const tenth = (value: number | undefined) =>
                          value === undefined ? null : Math.round(value * 10) / 10
                        put('pull_at', { value_c: tenth(advice.pull_c) })
                        put('oven', { value_c: tenth(advice.set_c), text: swap.oven_name })
                        put('pull_at', { item: swap.item, value_c: tenth(swap.pull_c) })
                        put('oven', { item: swap.item, value_c: tenth(swap.set_c), text: board.oven_name })
                      } else if (advice.code === 'pull_now') put('out', { value_c: latest?.value_c ?? null })
                      else if (NOTED[advice.code]) put('note', { text: NOTED[advice.code] ?? null })
                      else
                        for (const { item: moved } of sameTable(board, items))
                          put('promise', {
                            item: moved.id,
                            text: new Date((advice.promise_s ?? advice.plate_s) * 1000).toISOString(),
                          })
                    }}
                  >
                    <strong className="block text-lg">{words.what}</strong>
                    <span className="text-base text-soft">{words.result}</span>
                  </button>
                </li>
              )
            })}
          </ul>
        </div>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {state === 'waiting' && <Big onClick={() => put('in')}>It is in</Big>}
        {state === 'in' && <Big onClick={() => put('out', { value_c: latest?.value_c ?? null })}>It is out</Big>}
        {state === 'resting' && <Big onClick={() => put('carve')}>Carving</Big>}
        {state === 'carving' && <Big onClick={() => put('served')}>On the table</Big>}
        {state === 'in' &&
          STEPS.map(([kind, words]) => (
            <button key={kind} type="button" className={button} onClick={() => put(kind)}>
              {words}
            </button>
          ))}
        {(state === 'in' || state === 'resting') && (
          <form
            className="flex gap-2"
            onSubmit={(event) => {
              event.preventDefault()
              const value = Number(typed.replace(',', '.'))
              if (typed === '' || !Number.isFinite(value)) return
              put('reading', { value_c: fahrenheit ? fahrenheitToCelsius(value) : value, point: 'core' })
              setTyped('')
            }}
          >
            <input
              aria-label={`Reading of ${item.title}, ${fahrenheit ? '°F' : '°C'}`}
              inputMode="decimal"
              className="min-h-12 w-24 rounded-xl border-2 border-line bg-transparent px-3 text-center text-xl"
              placeholder={
                latest
                  ? String(Math.round(fahrenheit ? celsiusToFahrenheit(latest.value_c) : latest.value_c))
                  : fahrenheit
                    ? '°F'
                    : '°C'
              }
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
            <button type="submit" className={button}>
              Read
            </button>
          </form>
        )}
        {state === 'in' && set_c !== undefined && (
          <>
            <button type="button" className={button} onClick={() => setOven(set_c - 10)}>
              Oven −{fahrenheit ? '20 °F' : '10'}
            </button>
            <button type="button" className={button} onClick={() => setOven(set_c + 10)}>
              Oven +{fahrenheit ? '20 °F' : '10'}
            </button>
          </>
        )}
      </div>
      {channels.length > 0 && state !== 'served' && (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 text-lg">Probes</summary>
          <p className="mb-2 flex flex-wrap items-baseline gap-2 text-base text-soft">
            To calibrate, stand a probe in stirred ice water (0 °C) or in a rolling boil (
            {temperature(boiling_c, units, 1)} at
            <label>
              <input
                type="number"
                aria-label="Height above the sea, metres"
                className="said text-center"
                style={{ width: '6ch' }}
                step={50}
                min={0}
                max={4500}
                value={altitude_m}
                onChange={(event) => setAltitude(Math.max(0, Math.min(4500, Number(event.target.value))))}
              />{' '}
              m
            </label>
            ) and tap; its error is taken out from then on, for this cook.
          </p>
          <ul className="flex flex-wrap gap-2">
            {channels.map(({ device, channel, value_c }) => {
              const owner = taken(device, channel)
              return (
                <li
                  key={`${device}${channel}`}
                  className="flex items-center gap-1 rounded-full border border-line pl-3 text-lg"
                >
                  {channel + 1}: {temperature(value_c, units)}{' '}
                  {owner && <span className="text-base text-soft">({owner.title})</span>}
                  {[...item.points, 'air'].map((point) => (
                    <button
                      key={point}
                      type="button"
                      className="min-h-11 rounded-full px-3 font-semibold hover:bg-moss-ground"
                      aria-label={`Probe ${channel + 1} is in the ${point === 'air' ? `air around ${item.title}` : `${point.replace('_', ' ')} of ${item.title}`}`}
                      onClick={() => put('assign', { device, channel, point })}
                    >
                      {point === 'air'
                        ? 'in the air'
                        : point === 'core'
                          ? 'in the meat'
                          : `in the ${point.replace('_', ' ')}`}
                    </button>
                  ))}
                  <button
                    type="button"
                    className="min-h-11 rounded-full px-3 hover:bg-moss-ground"
                    aria-label={`Probe ${channel + 1} stands in ice water`}
                    onClick={() => put('calibrate', { device, channel, value_c: value_c, point: 'ice' })}
                  >
                    ice water
                  </button>
                  <button
                    type="button"
                    className="min-h-11 rounded-full px-3 hover:bg-moss-ground"
                    aria-label={`Probe ${channel + 1} stands in boiling water`}
                    onClick={() =>
                      put('calibrate', { device, channel, value_c: value_c - boiling_c, point: 'boiling' })
                    }
                  >
                    boiling
                  </button>
                </li>
              )
            })}
          </ul>
        </details>
      )}
    </section>
  )
}

/** One part is done, another is not: what each way does to the done part. */
function SplitWays({
  split,
  put,
  units,
}: {
  readonly split: Split
  readonly put: (kind: 'covered' | 'note', more?: { readonly text?: string; readonly point?: string }) => void
  readonly units: Units
}) {
  const done = split.done.replace('_', ' ')
  const lacking = split.lacking.replace('_', ' ')
  const way = 'min-h-14 rounded-xl border-2 border-line px-3 py-1.5 text-left hover:border-copper'
  return (
    <div className="mt-2 rounded-lg border-l-4 border-copper px-3 py-2" data-testid="split">
      <p className="text-lg">
        The {done} is done, the {lacking} gets there about {clock(split.arrives_s, units)}.{' '}
        {split.lacking === 'stuffing'
          ? `Stuffing is safe at ${temperature(STANDARDS.stuffingLeast.value, units)} in its middle, not before.`
          : 'Each part is safe at its own reading only.'}
      </p>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        <button type="button" className={way} onClick={() => put('covered', { point: split.done })}>
          <strong className="block text-lg">Foil over the {done}</strong>
          <span className="text-base text-soft">
            {Math.abs(split.foiled_c - split.as_it_is_c) < 1.5
              ? `the skin is spared; inside it comes to ${temperature(split.as_it_is_c, units)} by then either way`
              : `it comes to ${temperature(split.foiled_c, units)} by then; left bare, to ${temperature(split.as_it_is_c, units)}`}
          </span>
        </button>
        <button
          type="button"
          className={way}
          onClick={() =>
            put('note', {
              text:
                split.lacking === 'stuffing'
                  ? `stuffing into a dish and back into the oven to ${temperature(STANDARDS.stuffingLeast.value, units)}`
                  : `${done} off and resting, the rest goes back in`,
            })
          }
        >
          <strong className="block text-lg">
            {split.lacking === 'stuffing'
              ? 'Spoon the stuffing into a dish'
              : `Take the ${done} off, the rest goes back`}
          </strong>
          <span className="text-base text-soft">
            the {done} stays at {temperature(split.now_c, units)} and rests; the {lacking} needs until about{' '}
            {clock(split.arrives_s, units)} or a little less. Hot juices: use a tray
          </span>
        </button>
      </div>
    </div>
  )
}

function Big({ onClick, children }: { readonly onClick: () => void; readonly children: React.ReactNode }) {
  return (
    <button
      type="button"
      className="min-h-12 rounded-full bg-action px-6 text-lg font-bold text-white"
      onClick={onClick}
    >
      {children}
    </button>
  )
}
