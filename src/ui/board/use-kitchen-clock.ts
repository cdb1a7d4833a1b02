'use client'
import { useCallback, useEffect, useState } from 'react'
import { type CookClock, cookTime } from '@/domain/cook/cook-document'
import { type DeviceWorld, KitchenClock } from './device-memory'

/** A rehearsal at speed is looked at twice a second. */
const AT_SPEED_MS = 500
/** A timer may come a little early: behind the second, so that it is the next one that is drawn. */
const BEHIND_MS = 10

/** Until the next look, ms: once in each second as it begins, for the whole board is drawn anew, on a tablet all day. */
const untilNext = ({ speed }: CookClock, now_s: number) =>
  speed > 1 ? AT_SPEED_MS : 1000 * (Math.floor(now_s) + 1 - now_s) + BEHIND_MS

/** The cook's own time, by the server's clock as this device knows it: it goes on without the network and behind a closed lid. */
export function useKitchenClock(clock: CookClock, rendered_s: number, device: DeviceWorld) {
  const [kitchen] = useState(() => new KitchenClock(rendered_s, device))
  const [now_s, setNow] = useState(() => cookTime(clock, rendered_s))
  const now = useCallback(() => cookTime(clock, kitchen.now()), [clock, kitchen])
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const tick = () => {
      const at_s = now()
      setNow(at_s)
      timer = setTimeout(tick, untilNext(clock, at_s))
    }
    tick()
    return () => clearTimeout(timer)
  }, [clock, now])
  const heard = useCallback((server_s: number) => kitchen.heard(server_s), [kitchen])
  /** The server's clock less this device's, ms. */
  const ahead_ms = useCallback(() => kitchen.now() * 1000 - Date.now(), [kitchen])
  return { now_s, now, heard, ahead_ms }
}
