'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useMay } from '../people/who'
import { send } from '../shell/client'

/** A rehearsal of an afternoon takes some minutes. */
const REHEARSAL = 30

/** Starts cooking a plan or a meal: the board opens. */
export function BeginCook({
  kitchen,
  plan,
  meal,
}: {
  readonly kitchen: string
  readonly plan?: string
  readonly meal?: string
}) {
  const router = useRouter()
  const may = useMay('cook')
  const [failed, setFailed] = useState(false)
  const begin = async (speed = 1) => {
    const begun = await send<{ id: string }>(
      `/api/k/${kitchen}/cooks`,
      'POST',
      plan === undefined ? { meal, speed } : { plan, speed },
    )
    if (!begun.ok) return setFailed(true)
    router.push(`/k/${kitchen}/cooks/${begun.value.id}`)
  }
  if (!may) return null
  return (
    <>
      <button
        type="button"
        className="inline-flex min-h-11 items-center rounded-full border-2 border-ink px-5 font-semibold"
        onClick={() => void begin()}
      >
        {failed ? 'Not begun: try again' : 'Cook it'}
      </button>
      <button
        type="button"
        title={`${REHEARSAL} times as fast, with a clock of its own: nothing of the plan moves`}
        className="inline-flex min-h-11 items-center px-2 font-semibold underline decoration-line underline-offset-4 hover:decoration-copper"
        onClick={() => void begin(REHEARSAL)}
      >
        Rehearse
      </button>
    </>
  )
}
