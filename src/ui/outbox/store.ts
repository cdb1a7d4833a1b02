import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { CookEntry } from '@/domain/cook/cook-document'
import type { Problem } from '@/domain/problem/problem'

/** An entry that the server has not named yet: one record each. */
export interface Waiting {
  /** The entry's own id. */
  readonly id: string
  readonly kitchen: string
  readonly cook: string
  readonly entry: CookEntry
  /** In the order in which they were tapped on this device. */
  readonly order: number
  /** Why the server would not have it; while it says so it is not sent. */
  readonly refused?: readonly Problem[] | undefined
}

/** Where they are kept on the device. */
export interface OutboxStore {
  readonly all: () => Promise<readonly Waiting[]>
  readonly put: (item: Waiting) => Promise<void>
  readonly remove: (ids: readonly string[]) => Promise<void>
  /** Takes the right to send for a while, where no other page has it; true when this one may. */
  readonly lease: (owner: string, for_ms: number, now_ms: number) => Promise<boolean>
}

interface Shape extends DBSchema {
  entries: { key: string; value: Waiting }
  lease: { key: string; value: { readonly owner: string; readonly until_ms: number } }
}

const NAME = 'pheasant-outbox'
const SENDER = 'sender'

/** The device's own database; opened when it is first asked for. */
export function deviceStore(): OutboxStore {
  let opened: Promise<IDBPDatabase<Shape>> | undefined
  const database = () =>
    (opened ??= openDB<Shape>(NAME, 1, {
      upgrade(db) {
        db.createObjectStore('entries', { keyPath: 'id' })
        db.createObjectStore('lease')
      },
    }).catch((problem: unknown) => {
      opened = undefined
      throw problem
    }))
  return {
    all: async () => (await (await database()).getAll('entries')).sort((a, b) => a.order - b.order),
    put: async (item) => {
      await (await database()).put('entries', item)
    },
    remove: async (ids) => {
      const tx = (await database()).transaction('entries', 'readwrite')
      await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done])
    },
    lease: async (owner, for_ms, now_ms) => {
      const tx = (await database()).transaction('lease', 'readwrite')
      const held = await tx.store.get(SENDER)
      const free = !held || held.owner === owner || held.until_ms < now_ms
      if (free) await tx.store.put({ owner, until_ms: now_ms + for_ms }, SENDER)
      await tx.done
      return free
    },
  }
}
