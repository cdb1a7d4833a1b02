import { nanoid } from 'nanoid'
import type { CookEntry } from '@/domain/cook/cook-document'
import { parseJson } from '@/domain/problem/parse'
import { send } from '../shell/client'
import { deviceStorage } from '../shell/device-storage'
import { Outbox } from './outbox'
import { deviceStore } from './store'

const CHANNEL = 'pheasant-outbox'
/** Where a page has no locks (an address without https), the right to send is taken for so long at a time, ms. */
const LEASE_MS = 20_000

function make(): Outbox {
  const store = deviceStore()
  const me = nanoid()
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(CHANNEL)
  const outbox = new Outbox({
    store,
    send: (address, body) => send(address, 'POST', body),
    wait: (ms) => new Promise((done) => setTimeout(done, ms)),
    now_ms: () => Date.now(),
    tell: () => channel?.postMessage('changed'),
    alone: async (work) => {
      if (navigator.locks) await navigator.locks.request(CHANNEL, work)
      // Sent twice it is kept once: a device that keeps no lease sends all the same.
      else if (await store.lease(me, LEASE_MS, Date.now()).catch(() => true)) await work()
    },
  })
  if (channel) channel.onmessage = () => void outbox.reload()
  return outbox
}

let outbox: Outbox | undefined
/** This page's one outbox: the device's entries of every cook. */
export const deviceOutbox = (): Outbox => (outbox ??= make())

/** Entries that an earlier release kept for a cook, in the device's other storage. */
export async function takeUpOlder(kitchen: string, cook: string): Promise<void> {
  const key = `pheasant-entries-${cook}`
  const json = parseJson(deviceStorage.getItem(key) ?? '[]')
  if (json.ok && Array.isArray(json.value))
    for (const entry of json.value as CookEntry[]) await deviceOutbox().put(kitchen, cook, entry)
  deviceStorage.removeItem(key)
}
