'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'

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
    const response = await fetch(`/api/k/${kitchen}/cooks`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(plan === undefined ? { meal } : { plan }),
    }).catch(() => undefined)
    if (!response?.ok) return setFailed(true)
    const row = (await response.json()) as { id: string }
    router.push(`/k/${kitchen}/cooks/${row.id}`)
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
