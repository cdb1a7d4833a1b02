'use client'
import { Archive, ArchiveRestore, Trash2 } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { AlertDialog } from 'radix-ui'
import { useState } from 'react'
import type { Units } from '@/words/units'
import { type Answered, saidOf, send } from '../shell/client'

interface PutAwayProps {
  readonly address: string
  readonly title: string
  /** What goes with it when it is deleted, with its verb. */
  readonly goes: string
  readonly away: boolean
  readonly units: Units
}

const quiet =
  'inline-flex min-h-11 items-center gap-2 rounded-full px-3 text-base text-soft hover:bg-moss-ground hover:text-ink'

/** Puts one thing away, takes it out again, or deletes it, with what goes with it said first. */
export function PutAway({ address, title, goes, away, units }: PutAwayProps) {
  const router = useRouter()
  const [failed, setFailed] = useState<string | undefined>()
  const done = (answered: Answered<unknown>) => {
    if (answered.ok) router.refresh()
    else setFailed(saidOf(answered, units))
  }
  const archive = async () => done(await send(`${address}/archive`, 'POST', { archived: !away }))
  const remove = async () => done(await send(address, 'DELETE'))
  return (
    <div className="flex flex-wrap items-center gap-1">
      <button
        type="button"
        className={quiet}
        onClick={() => void archive()}
        aria-label={away ? `Take out again: ${title}` : `Put away: ${title}`}
      >
        {away ? <ArchiveRestore className="size-5" aria-hidden /> : <Archive className="size-5" aria-hidden />}
        {away ? 'Take out again' : 'Put away'}
      </button>
      <AlertDialog.Root>
        <AlertDialog.Trigger className={quiet} aria-label={`Delete: ${title}`}>
          <Trash2 className="size-5" aria-hidden /> Delete
        </AlertDialog.Trigger>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
          <AlertDialog.Content className="fixed left-1/2 top-1/2 z-50 w-[min(32rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 rounded-3xl border border-line bg-sheet p-6 text-ink shadow-2xl">
            <AlertDialog.Title className="font-display text-2xl font-semibold">Delete “{title}”?</AlertDialog.Title>
            <AlertDialog.Description className="mt-2 text-lg text-soft">
              With it {goes}. It cannot be brought back but from a backup. Put away, it would be kept and only leave the
              lists.
            </AlertDialog.Description>
            <div className="mt-5 flex flex-wrap justify-end gap-3">
              <AlertDialog.Cancel className="min-h-12 rounded-full border-2 border-line px-5 text-lg font-semibold hover:border-copper">
                Keep it
              </AlertDialog.Cancel>
              <AlertDialog.Action
                className="min-h-12 rounded-full bg-wattle px-5 text-lg font-semibold text-white"
                onClick={() => void remove()}
              >
                Delete it
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
      {failed && (
        <p role="alert" className="text-base text-wattle">
          {failed}
        </p>
      )}
    </div>
  )
}
