'use client'
import { useState } from 'react'
import { readNewPromise } from '@/domain/line/new-promise'
import { clock, duration, type Units } from '@/words/units'

/** The promise, and where it moves to: any time, as it is said. */
export function PromiseMove({
  promise_s,
  plate_s,
  now_s,
  units,
  title,
  others,
  move,
}: {
  readonly promise_s: number
  /** When the plates will be there as things stand, s. */
  readonly plate_s: number
  readonly now_s: number
  readonly units: Units
  readonly title: string
  /** Roasts of the same table that move with it. */
  readonly others: number
  readonly move: (to_s: number) => void
}) {
  const [typed, setTyped] = useState<string | undefined>()
  const to_s = typed === undefined ? undefined : readNewPromise(typed, { now_s, timeZone: units.timeZone, promise_s })
  const late_s = plate_s - promise_s
  if (typed === undefined)
    return (
      <button
        type="button"
        className="min-h-11 text-lg underline decoration-line decoration-2 underline-offset-4 hover:decoration-copper"
        aria-label={`On the table ${clock(promise_s, units)}: move the promise of ${title}`}
        onClick={() => setTyped('')}
      >
        on the table <strong data-testid="promise">{clock(promise_s, units)}</strong>
        {late_s > 60 && <span className="text-russet"> as it stands {clock(plate_s, units)}</span>}
      </button>
    )
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (to_s === undefined) return
        move(to_s)
        setTyped(undefined)
      }}
    >
      <input
        // biome-ignore lint/a11y/noAutofocus: it was asked for with the tap before
        autoFocus
        aria-label={`New promise of ${title}`}
        className="min-h-12 w-44 rounded-xl border-2 border-line bg-transparent px-3 text-xl"
        placeholder="19:45, +45, in 2 h"
        maxLength={60}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <button
        type="submit"
        disabled={to_s === undefined}
        className="min-h-12 rounded-full bg-action px-5 text-lg font-semibold text-white disabled:opacity-40"
      >
        {to_s === undefined ? 'Move it' : `Promise ${clock(to_s, units)}`}
      </button>
      <button type="button" className="min-h-12 px-3 text-lg underline" onClick={() => setTyped(undefined)}>
        Leave it
      </button>
      <span className="basis-full text-base text-soft" role="status">
        {to_s === undefined
          ? typed.trim() === ''
            ? 'A time, or how much later.'
            : 'Not understood, or gone by: 19:45, 7.45 pm, +45, half an hour later, in 2 h, tomorrow 13:00.'
          : `${duration(Math.abs(to_s - promise_s))} ${to_s >= promise_s ? 'later' : 'earlier'}${others > 0 ? `, ${others === 1 ? 'the other roast' : `the ${others} others`} of this table too` : ''}`}
      </span>
    </form>
  )
}
