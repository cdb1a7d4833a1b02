'use client'
import { RotateCcw } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Units } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { useHydrated } from '../shell/use-hydrated'

/** Plans a cook again, for the next such day, with what was learned since. */
export function CookAgain({
  kitchen,
  cookId,
  units,
}: {
  readonly kitchen: string
  readonly cookId: string
  readonly units: Units
}) {
  const router = useRouter()
  const ready = useHydrated()
  const [busy, setBusy] = useState(false)
  const [failed, setFailed] = useState<string | undefined>()
  const again = async () => {
    setBusy(true)
    const added = await send<{ kind: 'plan' | 'meal'; id: string }>(
      `/api/k/${kitchen}/cooks/${cookId}/again`,
      'POST',
      {},
    )
    if (added.ok) return router.push(`/k/${kitchen}/${added.value.kind}s/${added.value.id}`)
    setFailed(saidOf(added, units))
    setBusy(false)
  }
  return (
    <span>
      <button
        type="button"
        disabled={busy || !ready}
        className="inline-flex min-h-12 items-center gap-2 rounded-full bg-action px-5 text-lg font-semibold text-white disabled:opacity-70"
        onClick={() => void again()}
      >
        <RotateCcw className="size-5" aria-hidden /> Cook it again
      </button>
      {failed && (
        <span role="alert" className="ml-3 text-base text-wattle">
          {failed}
        </span>
      )}
    </span>
  )
}
