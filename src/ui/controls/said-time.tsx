'use client'
import { useState } from 'react'
import { afternoon, readClock } from '@/domain/line/moment'
import { readNewPromise } from '@/domain/line/new-promise'
import { clock, day, localInput, type Units } from '@/words/units'
import { instantOfLocal } from './local-time'

const DAY_S = 86_400
/** So many days ahead stand in the list; a later one is said in words. */
const DAYS = 45

/** A clock time as it is being typed: 19:00, 7pm, 7.30; undefined when it is none yet. */
const clockOf = (text: string) =>
  // One figure may be of either half of the day: that is decided when it is finished.
  /^\s*[1-9]\s*$/.test(text) ? undefined : readClock(afternoon(text.toLowerCase().replaceAll(' ', '')), true)

/**
 * A time and its day, as they are said. A clock time counts as it is typed; words (`+45`, `half an hour later`,
 * `25 dec 14:00`) count when they are finished, with Enter or by leaving the field.
 */
export function SaidTime({
  at,
  now_s,
  units,
  timeLabel,
  dayLabel,
  problem = false,
  onChange,
}: {
  readonly at: string
  readonly now_s: number
  readonly units: Units
  readonly timeLabel: string
  readonly dayLabel: string
  readonly problem?: boolean
  readonly onChange: (at: string) => void
}) {
  const [typed, setTyped] = useState<string | undefined>()
  const at_s = Date.parse(at) / 1000
  const [date, time] = localInput(at_s, units).split('T') as [string, string]
  const shown = typed ?? clock(at_s, units)
  const moved_s =
    typed === undefined || clockOf(typed)
      ? undefined
      : readNewPromise(typed, { now_s, timeZone: units.timeZone, promise_s: at_s })
  const pass = (local: string) => {
    const instant = instantOfLocal(local, units.timeZone)
    if (instant) onChange(instant)
  }
  const finish = () => {
    if (moved_s !== undefined) onChange(new Date(moved_s * 1000).toISOString())
    setTyped(undefined)
  }
  // By the calendar of the kitchen: a day is not always 24 hours.
  const first = localInput(Math.min(now_s, at_s), units).slice(0, 10)
  const days = Array.from({ length: DAYS }, (_, i) =>
    new Date(Date.parse(`${first}T12:00:00Z`) + i * DAY_S * 1000).toISOString().slice(0, 10),
  )
  if (!days.includes(date)) days.push(date)
  return (
    <span>
      <input
        aria-label={timeLabel}
        aria-invalid={problem || (clockOf(shown) === undefined && moved_s === undefined) || undefined}
        title="19:30, 7.30 pm, +45, half an hour later, 25 dec 14:00"
        className="said"
        style={{ width: `${Math.max(5, shown.length) + 1}ch` }}
        maxLength={60}
        value={shown}
        onChange={(event) => {
          setTyped(event.target.value)
          const found = clockOf(event.target.value)
          const pad = (part: number) => String(part).padStart(2, '0')
          if (found) pass(`${date}T${pad(found.hour)}:${pad(found.minute)}`)
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') finish()
        }}
        onBlur={finish}
      />
      {moved_s !== undefined && (
        <span role="status" className="ml-2 text-base text-soft">
          that is {clock(moved_s, units)}, {day(moved_s, units)}
        </span>
      )}{' '}
      on{' '}
      <select
        aria-label={dayLabel}
        aria-invalid={problem || undefined}
        className="said max-w-full"
        value={date}
        onChange={(event) => pass(`${event.target.value}T${time}`)}
      >
        {days.map((each) => (
          <option key={each} value={each}>
            {day(Date.parse(`${each}T12:00:00Z`) / 1000, { ...units, timeZone: 'UTC' })}
          </option>
        ))}
      </select>
    </span>
  )
}
