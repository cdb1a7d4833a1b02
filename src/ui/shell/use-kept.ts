'use client'
import { useCallback, useSyncExternalStore } from 'react'
import { deviceStorage } from './device-storage'

const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** A choice this device keeps; the usual one while the server renders, and where nothing can be kept. */
export function useKept(key: string, usual: string): readonly [string, (value: string) => void] {
  const value = useSyncExternalStore(
    subscribe,
    () => deviceStorage.getItem(key) ?? usual,
    () => usual,
  )
  const set = useCallback(
    (next: string) => {
      deviceStorage.setItem(key, next)
      for (const listener of listeners) listener()
    },
    [key],
  )
  return [value, set]
}
