'use client'
import { useState } from 'react'
import { clock, shortDay, type Units } from '@/words/units'
import { send } from '../shell/client'

/** A save that came too late, kept beside the document. */
export interface SetAside<Document> {
  readonly id: string
  /** When it was kept, s since 1970. */
  readonly at_s: number
  readonly document: Document
}

const act = 'min-h-11 rounded-full px-5 font-semibold'

/** Texts that are kept beside a document: what this device never got saved, and saves that came too late. Each is taken or let go. */
export function KeptBeside<Document>({
  draft,
  setAside,
  address,
  units,
  describe,
  take,
}: {
  readonly draft: { readonly kept: Document | undefined; readonly dismiss: () => void; readonly forget: () => void }
  readonly setAside: readonly SetAside<Document>[]
  readonly address: string
  readonly units: Units
  /** What would be other than it is now, in a few words. */
  readonly describe: (document: Document) => string
  readonly take: (document: Document) => void
}) {
  const [settled, setSettled] = useState<ReadonlySet<string>>(new Set())
  const settle = (id: string) => {
    setSettled((last) => new Set([...last, id]))
    void send(`${address}/set-aside/${id}`, 'POST')
  }
  const open = setAside.filter(({ id }) => !settled.has(id))
  if (!draft.kept && open.length === 0) return null
  return (
    <div className="space-y-3">
      {draft.kept && (
        <div className="flex flex-wrap items-center gap-3 rounded-xl border-2 border-copper bg-copper-ground p-3">
          <p className="flex-1">Changes made on this device were never saved.</p>
          <button
            type="button"
            className={`${act} bg-action text-white`}
            onClick={() => {
              if (draft.kept) take(draft.kept)
              draft.dismiss()
            }}
          >
            Bring them back
          </button>
          <button type="button" className="min-h-11 px-3 underline" onClick={draft.forget}>
            Let them go
          </button>
        </div>
      )}
      {open.map(({ id, at_s, document }) => (
        <div
          key={id}
          data-testid="set-aside"
          className="flex flex-wrap items-center gap-3 rounded-xl border border-copper p-3"
        >
          <p className="flex-1">
            A change of {shortDay(at_s, units)} {clock(at_s, units)} came too late and is kept beside this one:{' '}
            {describe(document)}.
          </p>
          <button
            type="button"
            className={`${act} border-2 border-ink`}
            onClick={() => {
              take(document)
              settle(id)
            }}
          >
            Use it
          </button>
          <button type="button" className="min-h-11 px-3 underline" onClick={() => settle(id)}>
            Let it go
          </button>
        </div>
      ))}
    </div>
  )
}
