'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { send } from '../shell/client'

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
  const [failed, setFailed] = useState(false)
  const begin = async () => {
    const begun = await send<{ id: string }>(
      `/api/k/${kitchen}/cooks`,
      'POST',
      plan === undefined ? { meal } : { plan },
    )
    if (!begun.ok) return setFailed(true)
    router.push(`/k/${kitchen}/cooks/${begun.value.id}`)
  }
  return (
    <button
      type="button"
      className="inline-flex min-h-11 items-center rounded-full border-2 border-ink px-5 font-semibold"
      onClick={() => void begin()}
    >
      {failed ? 'Not begun: try again' : 'Cook it'}
    </button>
  )
}
