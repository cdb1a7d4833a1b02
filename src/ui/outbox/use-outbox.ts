'use client'
import { useEffect, useSyncExternalStore } from 'react'
import { deviceOutbox } from './device-outbox'
import type { OutboxState } from './outbox'

const NONE: OutboxState = { items: [], acknowledged: [], reachable: true, shut: undefined, unkept: new Set() }
const nothing = () => () => {}

/** What of this device's entries is not on the server yet; any page that asks sends it on. */
export function useOutbox(): OutboxState {
  const inBrowser = typeof window !== 'undefined'
  const state = useSyncExternalStore(
    inBrowser ? deviceOutbox().subscribe : nothing,
    inBrowser ? deviceOutbox().read : () => NONE,
    () => NONE,
  )
  useEffect(() => void deviceOutbox().start(), [])
  return state
}
