'use client'
import { nanoid } from 'nanoid'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { isOpen, type RecordPlan, type RecordRow } from '@/domain/record/record'
import { limitWords, RECORD_NAMES, readWords, standsWords } from '@/words/record-words'
import { clock, day as dayWords, degreesOf, type Units } from '@/words/units'
import { useSigning } from '../people/who'
import { saidOf, send } from '../shell/client'
import { PrintButton } from '../shell/print-button'
import { useHydrated } from '../shell/use-hydrated'
import { Limits } from './record-limits'
import { type Keep, NewEntry } from './record-new'

interface RecordViewProps {
  readonly slug: string
  readonly name: string
  readonly plan: RecordPlan | null
  readonly day: { readonly iso: string; readonly at_s: number; readonly before: string; readonly after: string | null }
  readonly record: {
    readonly rows: readonly RecordRow[]
    readonly open: number
    readonly length: number
    readonly last: string | undefined
    readonly broken: { readonly seq: number } | undefined
  }
  readonly units: Units
}

const quiet = 'inline-flex min-h-11 items-center px-2 text-lg underline underline-offset-4'

/** A day of the food-safety record: what was measured, what was not met, and a line to add the next. */
export function RecordView({ slug, name, plan, day, record, units }: RecordViewProps) {
  const router = useRouter()
  const ready = useHydrated()
  const [by, setBy, fixed] = useSigning()
  const [failed, setFailed] = useState<string | undefined>()
  const keep = async (entry: object): Promise<boolean> => {
    const kept = await send(`/api/k/${slug}/record`, 'POST', { entries: [{ id: nanoid(), by, ...entry }] })
    setFailed(kept.ok ? undefined : saidOf(kept, units))
    if (kept.ok) router.refresh()
    return kept.ok
  }
  const turnOn = async (on: boolean) => {
    const kept = await send(`/api/k/${slug}/record/limits`, 'PUT', { on, limits: plan?.limits ?? {} })
    setFailed(kept.ok ? undefined : saidOf(kept, units))
    if (kept.ok) router.refresh()
  }
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <div>
          <h1 className="font-display text-4xl font-bold tracking-tight">Food-safety record</h1>
          <p className="mt-1 text-xl text-soft">
            {name}, {dayWords(day.at_s, units)}
          </p>
        </div>
        <nav className="no-print flex flex-wrap items-center gap-x-3" aria-label="Days">
          <Link className={quiet} href={`/k/${slug}/record?day=${day.before}`} prefetch={false}>
            The day before
          </Link>
          {day.after && (
            <Link className={quiet} href={`/k/${slug}/record?day=${day.after}`} prefetch={false}>
              The day after
            </Link>
          )}
          <a className={quiet} href={`/api/k/${slug}/record/sheet?day=${day.iso}`}>
            Sheet as PDF
          </a>
          <PrintButton />
        </nav>
      </div>
      <p className="mt-2 max-w-3xl text-base text-soft">
        Your local food code decides what must be recorded, how often and how long it is kept. The limits below are this
        kitchen’s own where it has set them, else published ones, from memory.
      </p>
      {record.broken && (
        <p role="alert" className="mt-3 rounded-lg border-l-4 border-wattle bg-wattle-ground px-4 py-3 text-xl">
          Entry {record.broken.seq} is not as it was when it was kept: the record was changed outside the application.
        </p>
      )}
      {failed && (
        <p role="alert" className="mt-3 rounded-lg border-l-4 border-wattle bg-wattle-ground px-4 py-2 text-lg">
          {failed}
        </p>
      )}
      {plan?.on !== true ? (
        <div className="no-print mt-6 rounded-3xl border border-line bg-sheet p-6">
          <p className="text-xl">
            {plan === null ? 'This kitchen keeps no record.' : 'The record is paused.'} Turned on, what boards read of
            each roast enters it by itself, and the rest is a few taps a day.
          </p>
          <button
            type="button"
            disabled={!ready}
            className="mt-3 min-h-12 rounded-full bg-action px-6 text-lg font-semibold text-white disabled:opacity-70"
            onClick={() => void turnOn(true)}
          >
            Keep a record
          </button>
        </div>
      ) : (
        <NewEntry
          key={day.iso}
          plan={plan}
          earlier={day.after === null ? undefined : day.iso}
          by={by}
          setBy={fixed ? undefined : setBy}
          units={units}
          ready={ready}
          keep={keep}
        />
      )}
      <section className="mt-6">
        <h2 className="font-display text-2xl font-semibold">
          {record.rows.length === 0 ? 'Nothing on this day' : `${record.rows.length} on this day`}
          {record.open > 0 && <span className="text-wattle">, {record.open} open</span>}
        </h2>
        {record.rows.length > 0 && (
          <div className="mt-2 overflow-x-auto">
            <table className="w-full min-w-[44rem] text-lg" data-testid="record">
              <thead>
                <tr className="text-left text-base text-soft [&_th]:pr-4 [&_th]:font-normal">
                  <th>No.</th>
                  <th>At</th>
                  <th>What</th>
                  <th>Read</th>
                  <th>Limit</th>
                  <th>Stands</th>
                  <th>By</th>
                  <th className="no-print">
                    <span className="sr-only">Correct</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {record.rows.map((row) => (
                  <Row key={row.seq} row={row} units={units} by={by} ready={ready && plan?.on === true} keep={keep} />
                ))}
              </tbody>
            </table>
          </div>
        )}
      </section>
      <footer className="mt-8 border-t border-line pt-4 text-base text-soft">
        <p>
          {record.length} {record.length === 1 ? 'entry' : 'entries'} in all, each bound to the one before it.
          {record.last && (
            <>
              {' '}
              Last seal <span className="font-mono tracking-tight">{record.last.slice(0, 16)}</span>: written on a
              signed sheet it fixes everything up to here.
            </>
          )}
        </p>
        <p className="mt-10 hidden print:block">
          Checked and signed ______________________________ Date ______________
        </p>
        <p className="no-print mt-1 flex flex-wrap gap-x-4">
          <a className={quiet} href={`/api/k/${slug}/record/csv`}>
            All as CSV
          </a>
          <a className={quiet} href={`/api/k/${slug}/record/export`}>
            All with its seals
          </a>
          {plan?.on && (
            <button type="button" className={quiet} onClick={() => void turnOn(false)}>
              Pause the record
            </button>
          )}
        </p>
        {plan?.on && <Limits slug={slug} plan={plan} units={units} ready={ready} />}
      </footer>
    </>
  )
}

function Row({
  row,
  units,
  by,
  ready,
  keep,
}: {
  readonly row: RecordRow
  readonly units: Units
  readonly by: string
  readonly ready: boolean
  readonly keep: Keep
}) {
  const { entry, seq } = row
  const open = isOpen(row)
  const gone = row.correctedBy !== undefined
  const [doing, setDoing] = useState<'release' | 'correction' | undefined>()
  const [said, setSaid] = useState('')
  const number = Number(said.replace(',', '.'))
  const may = ready && by.trim() !== '' && said.trim() !== '' && (doing === 'release' || Number.isFinite(number))
  const submit = async () => {
    const { kind, what, limit, minutes } = entry
    const about = { kind, what, of: entry.id, about: doing }
    const value_c = degreesOf(units).celsius(number)
    const kept =
      doing === 'release'
        ? await keep({ ...about, action: said.trim(), value_c: null, minutes: null, limit })
        : // A slip of the pen: the measurement was then, not now.
          await keep({ ...about, at: entry.at, value_c: Math.round(10 * value_c) / 10, minutes, limit })
    if (!kept) return
    setDoing(undefined)
    setSaid('')
  }
  return (
    <>
      <tr
        className={`border-t border-line align-baseline [&_td]:pr-4 ${gone ? 'text-soft line-through decoration-1' : ''}`}
      >
        <td className="py-1.5 text-base text-soft">{seq}</td>
        <td>{clock(Date.parse(entry.at) / 1000, units)}</td>
        <td>
          <span className="text-base text-soft">{RECORD_NAMES[entry.kind]}</span> {entry.what}
        </td>
        <td className={!row.kept && !gone ? 'font-semibold text-wattle' : ''}>{readWords(entry, units)}</td>
        <td className="text-base text-soft">{limitWords(entry.limit, units)}</td>
        <td className={open ? 'text-wattle' : ''}>{standsWords(row)}</td>
        <td className="text-base text-soft">
          {entry.by}
          {entry.source === 'board' && ', from its probes'}
        </td>
        <td className="no-print text-base text-soft">
          {!gone && ready && entry.source === 'hand' && doing === undefined && (
            <button
              type="button"
              className="min-h-9 underline underline-offset-4"
              aria-label={`Correct number ${seq}`}
              onClick={() => setDoing('correction')}
            >
              Correct
            </button>
          )}
        </td>
      </tr>
      {!gone && ready && (open || doing !== undefined) && (
        <tr className="no-print">
          <td />
          <td colSpan={7} className="pb-1">
            {doing === undefined ? (
              <button
                type="button"
                className="min-h-11 text-base text-wattle underline underline-offset-4"
                onClick={() => setDoing('release')}
              >
                Say what was done
              </button>
            ) : (
              <form
                className="flex flex-wrap items-baseline gap-3"
                onSubmit={(event) => {
                  event.preventDefault()
                  if (may) void submit()
                }}
              >
                <input
                  aria-label={
                    doing === 'release' ? `What was done about number ${seq}` : `What number ${seq} should say`
                  }
                  className="said min-h-11 min-w-0 flex-1 basis-64"
                  maxLength={400}
                  placeholder={
                    doing === 'release'
                      ? 'what was done, and how it stands now'
                      : `the right reading, ${degreesOf(units)
                          .shown(4)
                          .toFixed(units.temperature === 'f' ? 0 : 1)}`
                  }
                  value={said}
                  onChange={(event) => setSaid(event.target.value)}
                />
                <button
                  type="submit"
                  disabled={!may}
                  className="min-h-11 rounded-full bg-action px-5 font-semibold text-white disabled:opacity-50"
                >
                  Keep it
                </button>
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => setDoing(undefined)}
                >
                  Leave it
                </button>
                {by.trim() === '' && <span className="text-base text-wattle">Say who you are first, above.</span>}
              </form>
            )}
          </td>
        </tr>
      )}
    </>
  )
}
