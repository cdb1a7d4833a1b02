import postgres from 'postgres'
import { RECONNECT } from '@/db/connection'
import { CHANNEL } from '@/db/repositories'
import { succeed } from '@/domain/problem/problem'
import { environment } from './environment'
import { inKitchen } from './kitchen'

/** Something that was saved in a kitchen: who listens asks again. */
export interface Change {
  readonly kitchen: string
  readonly what: string
  readonly id: string
  readonly version: number
}
type Hear = (change: Change) => void

interface Hub {
  readonly listeners: Map<string, Set<Hear>>
  /** Who hears of every kitchen: what this server remembers of them. */
  readonly everything: Set<Hear>
  readonly ends: Set<() => void>
  started: Promise<unknown> | undefined
}
/** One connection to the database hears for everyone, over hot reloads too. */
const world = globalThis as { pheasantHub?: Hub }
world.pheasantHub ??= { listeners: new Map(), everything: new Set(), ends: new Set(), started: undefined }
const hub = world.pheasantHub

const start = () =>
  (hub.started ??= postgres(environment().DATABASE_URL, {
    max: 1,
    onnotice: () => {},
    ...RECONNECT,
  })
    .listen(
      CHANNEL,
      (message) => {
        const change = JSON.parse(message) as Change
        for (const hear of hub.everything) hear(change)
        for (const hear of hub.listeners.get(change.kitchen) ?? []) hear(change)
      },
      // After a lost connection it listens again by itself: what was missed is asked for.
      () => {
        for (const [kitchen, hears] of hub.listeners)
          for (const hear of hears) hear({ kitchen, what: 'again', id: '', version: 0 })
      },
    )
    .catch((error: unknown) => {
      hub.started = undefined
      throw error
    }))

/** Hears the changes of every kitchen, for as long as the process lives. */
export async function hearEverything(hear: Hear): Promise<void> {
  hub.everything.add(hear)
  await start()
}

/** Hears the changes of one kitchen until the answer is called. */
export async function hearChanges(slug: string, hear: Hear): Promise<(() => void) | undefined> {
  const found = await inKitchen(slug, 'read', async (scope) => succeed(scope.kitchen.id))
  if (!found.ok) return undefined
  const id = found.value
  const hears = hub.listeners.get(id) ?? new Set()
  hub.listeners.set(id, hears.add(hear))
  await start()
  return () => {
    hears.delete(hear)
    if (hears.size === 0) hub.listeners.delete(id)
  }
}

/** Streams that are open; the server ends them when it is told to stop. */
export const openStreams = hub.ends
