'use client'
import { nanoid } from 'nanoid'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { WholeReport } from '@/domain/whole/whole'
import { day, type Units } from '@/words/units'
import { wholeWords } from '@/words/whole'
import { saidOf, send, sendBytes } from '../shell/client'
import { useHydrated } from '../shell/use-hydrated'

/** A file goes up in parts of so many bytes, each sent again where the network fails. */
const PART = 1024 * 1024
const TRIES = 4
/** Reading a large kitchen takes its time, ms. */
const TAKES_MS = 600_000

/** The whole kitchen as one file: taken along, or brought in with a look at what that adds. */
export function WholeKitchen({ kitchen, units }: { readonly kitchen: string; readonly units: Units }) {
  const router = useRouter()
  const ready = useHydrated()
  const [said, setSaid] = useState('')
  const [looked, setLooked] = useState<{ readonly file: string; readonly report: WholeReport } | undefined>()
  const [busy, setBusy] = useState(false)
  const address = `/api/k/${kitchen}/whole`

  const bring = async (chosen: File | undefined) => {
    if (!chosen) return
    setBusy(true)
    setLooked(undefined)
    const file = nanoid()
    for (let from = 0; from < Math.max(1, chosen.size); from += PART) {
      setSaid(`${Math.round((100 * from) / Math.max(1, chosen.size))} % of ${chosen.name} is here …`)
      const part = chosen.slice(from, from + PART)
      let kept = await sendBytes(`${address}/parts?file=${file}&from=${from}`, part)
      for (let tries = 1; !kept.ok && tries < TRIES; tries++)
        kept = await sendBytes(`${address}/parts?file=${file}&from=${from}`, part)
      if (!kept.ok) {
        setSaid(`${chosen.name} could not be brought here. ${saidOf(kept, units)}`)
        return setBusy(false)
      }
    }
    setSaid('Looking what is in it …')
    const report = await send<WholeReport>(`${address}/take`, 'POST', { file, take: false }, TAKES_MS)
    setBusy(false)
    if (!report.ok) return setSaid(saidOf(report, units))
    setSaid('')
    setLooked({ file, report: report.value })
  }
  const take = async () => {
    if (!looked) return
    setBusy(true)
    setSaid('Taking it in …')
    const taken = await send<WholeReport>(`${address}/take`, 'POST', { file: looked.file, take: true }, TAKES_MS)
    setBusy(false)
    if (!taken.ok) return setSaid(`Nothing was taken. ${saidOf(taken, units)}`)
    setLooked(undefined)
    setSaid(`Taken in: ${wholeWords(taken.value.adds) ?? 'nothing new'}.`)
    router.refresh()
  }
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5" data-testid="whole">
      <h2 className="font-display text-2xl font-semibold">The whole kitchen as a file</h2>
      <p className="text-base text-soft">
        Plans, cooks, readings, pictures, record and standards in one ZIP of JSON and CSV, with a list that shows
        whether any of it was changed. Secrets of probes and calendars stay here.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-4 text-lg">
        <a
          href={address}
          className="inline-flex min-h-12 items-center rounded-full bg-action px-6 font-semibold text-white"
        >
          Take it along
        </a>
        <label
          className={`inline-flex min-h-12 cursor-pointer items-center rounded-full border-2 border-line px-6 focus-within:border-copper hover:border-copper ${busy || !ready ? 'opacity-60' : ''}`}
        >
          Bring one in
          <input
            type="file"
            className="sr-only"
            accept=".zip,application/zip"
            aria-label="Bring a whole kitchen in"
            disabled={busy || !ready}
            onChange={(event) => {
              void bring(event.target.files?.[0])
              event.target.value = ''
            }}
          />
        </label>
      </div>
      {looked && (
        <Looked report={looked.report} units={units} busy={busy} take={take} leave={() => setLooked(undefined)} />
      )}
      <p role="status" className="mt-2 min-h-6 text-base text-soft">
        {said}
      </p>
    </section>
  )
}

function Looked({
  report,
  units,
  busy,
  take,
  leave,
}: {
  readonly report: WholeReport
  readonly units: Units
  readonly busy: boolean
  readonly take: () => Promise<void>
  readonly leave: () => void
}) {
  const adds = wholeWords(report.adds)
  const there = wholeWords(report.there)
  return (
    <div className="mt-3 rounded-2xl border-2 border-copper p-4 text-lg" data-testid="looked">
      <p className="text-xl font-semibold">
        {report.kitchen}, made {day(Date.parse(report.made) / 1000, units)}
      </p>
      <p className="mt-1">{adds ? `It adds ${adds}.` : 'It adds nothing: all of it is here.'}</p>
      {there && <p className="text-soft">Here already: {there}.</p>}
      {report.left.length > 0 && (
        <details className="mt-1">
          <summary className="min-h-11 cursor-pointer py-2">
            {report.left.length + report.leftMore}{' '}
            {report.left.length + report.leftMore === 1 ? 'thing stays' : 'things stay'} out
          </summary>
          <ul className="text-base">
            {report.left.map(({ what, why }) => (
              <li key={`${what}${why}`}>
                <span className="font-semibold">{what}</span>: {why}
              </li>
            ))}
            {report.leftMore > 0 && <li>and {report.leftMore} more</li>}
          </ul>
        </details>
      )}
      <div className="mt-3 flex flex-wrap gap-4">
        {adds && (
          <button
            type="button"
            disabled={busy}
            className="min-h-12 rounded-full bg-action px-6 font-semibold text-white disabled:opacity-70"
            onClick={() => void take()}
          >
            Take it in
          </button>
        )}
        <button
          type="button"
          disabled={busy}
          className="min-h-12 px-2 underline underline-offset-4 disabled:opacity-70"
          onClick={leave}
        >
          Leave it
        </button>
      </div>
    </div>
  )
}
