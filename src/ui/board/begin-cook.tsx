'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Units } from '@/words/units'
import { type Standing, useWhenKept } from '../document-desk/use-when-kept'
import { useMay } from '../people/who'
import { saidOf, send } from '../shell/client'

/** A rehearsal of an afternoon takes some minutes. */
const REHEARSAL = 30
/** A server that is busy is asked again so often, after so long, ms: nothing was begun by it. */
const AGAIN = { times: 8, after_ms: 1000 }
const NOT_KEPT = 'A board cooks what is saved, and what you changed last is not: see what is marked, then begin.'

/** Starts cooking a plan or a meal: the board opens, with what is on the desk. */
export function BeginCook({
  kitchen,
  plan,
  meal,
  standing,
  units,
}: {
  readonly kitchen: string
  readonly plan?: string
  readonly meal?: string
  readonly standing: Standing
  readonly units: Units
}) {
  const router = useRouter()
  const may = useMay('cook')
  const [refused, setRefused] = useState<string | undefined>()
  const [busy, setBusy] = useState(false)
  const begin = async (speed: number, stands: Standing) => {
    if (stands === 'not_kept') return setRefused(NOT_KEPT)
    setRefused(undefined)
    setBusy(true)
    const post = () =>
      send<{ id: string }>(`/api/k/${kitchen}/cooks`, 'POST', plan === undefined ? { meal, speed } : { plan, speed })
    let begun = await post()
    for (let i = 0; i < AGAIN.times && !begun.ok && begun.status === 503; i++) {
      await new Promise((done) => setTimeout(done, AGAIN.after_ms))
      begun = await post()
    }
    if (begun.ok) return router.push(`/k/${kitchen}/cooks/${begun.value.id}`)
    setBusy(false)
    setRefused(`Not begun: ${saidOf(begun, units)}`)
  }
  const { ask, waits } = useWhenKept<number>(standing, (speed, stands) => void begin(speed, stands))
  if (!may) return null
  const held = busy || waits
  return (
    <>
      <button
        type="button"
        disabled={held}
        className="inline-flex min-h-11 items-center rounded-full border-2 border-ink px-5 font-semibold disabled:opacity-60"
        onClick={() => ask(1)}
      >
        {held ? 'One moment…' : 'Cook it'}
      </button>
      <button
        type="button"
        disabled={held}
        title={`${REHEARSAL} times as fast, with a clock of its own: nothing of the plan moves`}
        className="inline-flex min-h-11 items-center px-2 font-semibold underline decoration-line underline-offset-4 hover:decoration-copper disabled:opacity-60"
        onClick={() => ask(REHEARSAL)}
      >
        Rehearse
      </button>
      {refused && (
        <p
          role="alert"
          className="order-last basis-full rounded-lg border-l-4 border-wattle bg-wattle-ground px-3 py-1.5"
        >
          {refused}
        </p>
      )}
    </>
  )
}
