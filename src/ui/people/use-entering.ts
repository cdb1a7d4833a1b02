'use client'
import { useState } from 'react'
import type { Units } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { leaveFor } from '../shell/leave-for'
import { useHydrated } from '../shell/use-hydrated'

/** Asks for something that, where it is given, leads to another page; where it is not, says why. */
export function useEntering<Answer>(units: Units) {
  const ready = useHydrated()
  const [said, setSaid] = useState<string | undefined>()
  const [busy, setBusy] = useState(false)
  const enter = async (
    address: string,
    method: 'POST' | 'DELETE',
    body: unknown,
    pathOf: (answer: Answer) => string,
  ): Promise<void> => {
    setBusy(true)
    const done = await send<Answer>(address, method, body)
    if (done.ok) return leaveFor(pathOf(done.value))
    setSaid(saidOf(done, units))
    setBusy(false)
  }
  return { enter, said, ready: ready && !busy }
}
