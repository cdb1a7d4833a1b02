import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { CookEntry } from '@/domain/cook/cook-document'
import { parseJson } from '@/domain/problem/parse'
import type { Problem } from '@/domain/problem/problem'
import { deviceKeys, deviceStorage } from '../shell/device-storage'

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

/**
 * What was tapped in this very moment: the database writes it some milliseconds later, and a page may be closed before.
 * Only such storage is written before a tap returns.
 */
const JOT = 'pheasant-tapped-'
const jots = {
  keep(item: Waiting): void {
    try {
      deviceStorage.setItem(`${JOT}${item.id}`, JSON.stringify(item))
    } catch {
      // No room for it: the database says so, or has some.
    }
  },
  forget: (id: string): void => deviceStorage.removeItem(`${JOT}${id}`),
  all(): readonly Waiting[] {
    return deviceKeys(JOT).flatMap((key) => {
      const read = parseJson(deviceStorage.getItem(key) ?? '')
      const item = (read.ok ? read.value : undefined) as Partial<Waiting> | null | undefined
      return item?.id && item.entry && item.cook && item.kitchen ? [item as Waiting] : []
    })
  },
}
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
    all: async () => {
      const db = await database()
      // Jotted down and closed: it is put where it belongs now, and sent twice it is kept once.
      for (const item of jots.all()) {
        await db.put('entries', item)
        jots.forget(item.id)
      }
      return (await db.getAll('entries')).sort((a, b) => a.order - b.order)
    },
    put: async (item) => {
      jots.keep(item)
      await (await database()).put('entries', item)
      jots.forget(item.id)
    },
    remove: async (ids) => {
      for (const id of ids) jots.forget(id)
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
