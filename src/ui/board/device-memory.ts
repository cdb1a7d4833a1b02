import type { CookEntry } from '@/domain/cook/cook-document'

/** What the memory needs of the device; the browser's, or another in tests. */
export interface DeviceWorld {
  readonly storage: Pick<Storage, 'getItem' | 'setItem'>
  /** The device's own clock, s: one that goes on while the lid is closed. */
  readonly clock: () => number
  /** True where the page came from what the device kept, with nothing answering: its times are old. */
  readonly fromKept: boolean
}

const CLOCK = 'pheasant-clock-ahead'

/** The server's clock as this device knows it: right again after a closed lid, and without the network. */
export class KitchenClock {
  private ahead_s: number

  /** @param rendered_s the server's time when the page was made, s */
  constructor(
    rendered_s: number,
    private readonly world: DeviceWorld,
  ) {
    const known = world.fromKept ? world.storage.getItem(CLOCK) : null
    const kept_s = Number(known ?? Number.NaN)
    this.ahead_s = Number.isFinite(kept_s) ? kept_s : rendered_s - world.clock()
    if (!world.fromKept) this.remember()
  }

  /** Now, s, by the server's clock. */
  now(): number {
    return this.world.clock() + this.ahead_s
  }

  /** The server said what time it is: a device clock that was set meanwhile does no harm. */
  heard(server_s: number): void {
    this.ahead_s = server_s - this.world.clock()
    this.remember()
  }

  private remember(): void {
    try {
      this.world.storage.setItem(CLOCK, String(this.ahead_s))
    } catch {
      // A full device: the page goes by what it has heard.
    }
  }
}

const entriesKey = (cookId: string) => `pheasant-kept-${cookId}`

/** What is remembered of a cook; nothing where what lies there is no list of entries, as after a write that was cut off. */
function rememberedOf(world: DeviceWorld, cookId: string): CookEntry[] {
  try {
    const kept: unknown = JSON.parse(world.storage.getItem(entriesKey(cookId)) ?? '[]')
    return Array.isArray(kept) ? (kept as CookEntry[]).filter((entry) => typeof entry?.id === 'string') : []
  } catch {
    return []
  }
}

/**
 * Keeps the acknowledged entries of a cook on the device, for a board that is opened with nothing answering. Entries
 * are only ever added: what another page of this device knows already is not forgotten by one that lags behind it.
 */
export const rememberEntries = (world: DeviceWorld, cookId: string, entries: readonly CookEntry[]): void => {
  try {
    world.storage.setItem(entriesKey(cookId), JSON.stringify(eachOnce(entries, rememberedOf(world, cookId))))
  } catch {
    // A full device: the server has them all the same.
  }
}

/** The acknowledged entries this device remembers; none where the page itself is fresh. */
export const recallEntries = (world: DeviceWorld, cookId: string): CookEntry[] =>
  world.fromKept ? rememberedOf(world, cookId) : []

/** Entries of several sources, each once, in the order first met. */
export function eachOnce(...lists: readonly (readonly CookEntry[])[]): CookEntry[] {
  const met = new Map<string, CookEntry>()
  for (const list of lists) for (const entry of list) if (!met.has(entry.id)) met.set(entry.id, entry)
  return [...met.values()]
}
