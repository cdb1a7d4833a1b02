'use client'
import { useState } from 'react'
import { keepsLimit, limitOf, RECORD_KINDS, type RecordKind, type RecordPlan } from '@/domain/record/record'
import { limitWords, RECORD_ASKS, RECORD_NAMES } from '@/words/record-words'
import { degreesOf, type Units } from '@/words/units'
import { instantOfLocal } from '../controls/local-time'

/** Keeps an entry; answers whether it is kept. */
export type Keep = (entry: object) => Promise<boolean>

/** A thermometer in one hand: what, how warm, kept. */
export function NewEntry({
  plan,
  earlier,
  by,
  setBy,
  units,
  ready,
  keep,
}: {
  readonly plan: RecordPlan
  /** The day that is looked at, where that is not today: then it is said at what time. */
  readonly earlier: string | undefined
  readonly by: string
  /** undefined: it is whoever is signed in. */
  readonly setBy: ((by: string) => void) | undefined
  readonly units: Units
  readonly ready: boolean
  readonly keep: Keep
}) {
  const [kind, setKind] = useState<RecordKind>('storage')
  const [what, setWhat] = useState('')
  const [read, setRead] = useState('')
  const [minutes, setMinutes] = useState('')
  const [action, setAction] = useState('')
  const [time, setTime] = useState('12:00')
  const limit = limitOf(plan, kind)
  const number = Number(read.replace(',', '.'))
  const degrees = degreesOf(units)
  const value_c = read.trim() === '' || !Number.isFinite(number) ? null : degrees.celsius(number)
  const took = minutes.trim() === '' ? null : Number(minutes)
  const measured = value_c !== null && keepsLimit({ value_c, minutes: took, limit })
  const at = earlier === undefined ? undefined : instantOfLocal(`${earlier}T${time}`, units.timeZone)
  const whole =
    (earlier === undefined || at !== undefined) &&
    what.trim() !== '' &&
    value_c !== null &&
    by.trim() !== '' &&
    (took === null || Number.isFinite(took))
  const field = 'said min-h-12 text-xl'
  return (
    <form
      className="no-print mt-5 rounded-3xl border border-line bg-sheet p-4 sm:p-5"
      data-testid="record-new"
      onSubmit={(event) => {
        event.preventDefault()
        if (!whole) return
        void keep({
          kind,
          what,
          value_c: Math.round(10 * (value_c as number)) / 10,
          minutes: took,
          action,
          limit,
          ...(at === undefined ? {} : { at }),
        }).then((kept) => {
          if (!kept) return
          setRead('')
          setMinutes('')
          setAction('')
        })
      }}
    >
      <div className="flex flex-wrap gap-2" role="radiogroup" aria-label="What is recorded">
        {RECORD_KINDS.map((each) => (
          <button
            key={each}
            type="button"
            role="radio"
            aria-checked={kind === each}
            className={`min-h-12 rounded-full border-2 px-4 text-lg ${kind === each ? 'border-moss bg-moss-ground font-semibold' : 'border-line hover:border-copper'}`}
            onClick={() => setKind(each)}
          >
            {RECORD_NAMES[each]}
          </button>
        ))}
      </div>
      <div className="mt-4 flex flex-wrap items-baseline gap-x-6 gap-y-3 text-lg">
        <input
          aria-label="What was measured"
          className={`${field} min-w-0 flex-1 basis-56`}
          placeholder={RECORD_ASKS[kind]}
          maxLength={160}
          value={what}
          onChange={(event) => setWhat(event.target.value)}
        />
        <label className="inline-flex items-baseline gap-2">
          <input
            aria-label="Temperature read"
            inputMode="decimal"
            className={`${field} w-24 text-right`}
            value={read}
            onChange={(event) => setRead(event.target.value)}
          />
          {degrees.unit}
        </label>
        {earlier !== undefined && (
          <label className="inline-flex items-baseline gap-2">
            at
            <input
              aria-label="When it was measured"
              type="time"
              className={`${field} w-32`}
              value={time}
              onChange={(event) => setTime(event.target.value)}
            />
          </label>
        )}
        {limit.within_min !== null && (
          <label className="inline-flex items-baseline gap-2">
            after
            <input
              aria-label="Minutes it took"
              inputMode="numeric"
              className={`${field} w-20 text-right`}
              value={minutes}
              onChange={(event) => setMinutes(event.target.value)}
            />
            min
          </label>
        )}
        <label className="inline-flex items-baseline gap-2">
          by
          <input
            aria-label="Measured by"
            className={`${field} w-32`}
            placeholder="your name"
            maxLength={80}
            value={by}
            readOnly={setBy === undefined}
            onChange={(event) => setBy?.(event.target.value)}
          />
        </label>
        <button
          type="submit"
          disabled={!ready || !whole}
          className="min-h-12 rounded-full bg-action px-6 text-lg font-semibold text-white disabled:opacity-50"
        >
          Keep it
        </button>
      </div>
      <p className={`mt-2 text-lg ${value_c !== null && !measured ? 'text-wattle' : 'text-soft'}`} role="status">
        {value_c === null
          ? `Here: ${limitWords(limit, units)}.`
          : measured
            ? `Kept: ${limitWords(limit, units)}.`
            : `Not kept: ${limitWords(limit, units)}. What is done about it?`}
      </p>
      {value_c !== null && !measured && (
        <input
          aria-label="What is done about it"
          className={`${field} mt-1 w-full`}
          placeholder="sent back; thrown away; into the other fridge, read again at …"
          maxLength={400}
          value={action}
          onChange={(event) => setAction(event.target.value)}
        />
      )}
    </form>
  )
}
