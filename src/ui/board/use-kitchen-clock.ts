'use client'
import { useCallback, useEffect, useState } from 'react'
import { type CookClock, cookTime } from '@/domain/cook/cook-document'
import { type DeviceWorld, KitchenClock } from './device-memory'

/** Two looks a second: a countdown in seconds never skips one. */
const TICK_MS = 500

/** The cook's own time, by the server's clock as this device knows it: it goes on without the network and behind a closed lid. */
export function useKitchenClock(clock: CookClock, rendered_s: number, device: DeviceWorld) {
  const [kitchen] = useState(() => new KitchenClock(rendered_s, device))
  const [now_s, setNow] = useState(() => cookTime(clock, rendered_s))
  const now = useCallback(() => cookTime(clock, kitchen.now()), [clock, kitchen])
  useEffect(() => {
    const tick = () => setNow(now())
    tick()
    const timer = setInterval(tick, TICK_MS)
    return () => clearInterval(timer)
  }, [now])
  const heard = useCallback((server_s: number) => kitchen.heard(server_s), [kitchen])
  /** The server's clock less this device's, ms. */
  const ahead_ms = useCallback(() => kitchen.now() * 1000 - Date.now(), [kitchen])
  return { now_s, now, heard, ahead_ms }
}
