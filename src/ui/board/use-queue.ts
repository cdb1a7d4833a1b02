'use client'
import { useCallback, useState, useSyncExternalStore } from 'react'
import type { CookEntry } from '@/domain/cook/cook-document'
import type { DeviceWorld } from './device-memory'
import { EntryQueue } from './entry-queue'

/** Entries of this device on their way to the server. */
export function useQueue(kitchen: string, cookId: string, device: DeviceWorld) {
  const [queue] = useState(
    () =>
      new EntryQueue(`/api/k/${kitchen}/cooks/${cookId}/entries`, cookId, {
        fetch: (to, init) => fetch(to, init),
        storage: device.storage,
        wait: (ms) => new Promise((done) => setTimeout(done, ms)),
      }),
  )
  const sending = useSyncExternalStore(queue.subscribe, queue.read, queue.read)
  const put = useCallback((entry: CookEntry) => queue.put(entry), [queue])
  return { ...sending, put }
}
