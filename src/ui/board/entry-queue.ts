import type { CookEntry } from '@/domain/cook/cook-document'

/** What the queue needs of the world; the browser's, or another in tests. */
export interface QueueWorld {
  readonly fetch: (address: string, init: RequestInit) => Promise<Response>
  readonly storage: Pick<Storage, 'getItem' | 'setItem'>
  readonly wait: (ms: number) => Promise<void>
}

export interface QueueSnapshot {
  /** Entries not yet acknowledged by the server, oldest first. */
  readonly waiting: readonly CookEntry[]
  readonly reachable: boolean
  /** Entries the server would not take, with its reasons: shown, never dropped in silence. */
  readonly refused: number
}

const RETRY_MS = 2500
const BATCH = 100

/**
 * Entries on their way to the server: kept on the device until acknowledged, sent in order, each
 * with an identity of its own, so that a batch sent twice is kept once.
 */
export class EntryQueue {
  private snapshot: QueueSnapshot
  private readonly listeners = new Set<() => void>()
  private running = false
  private readonly key: string

  constructor(
    private readonly address: string,
    cookId: string,
    private readonly world: QueueWorld,
  ) {
    this.key = `pheasant-entries-${cookId}`
    const kept = world.storage.getItem(this.key)
    this.snapshot = { waiting: kept ? (JSON.parse(kept) as CookEntry[]) : [], reachable: true, refused: 0 }
    if (this.snapshot.waiting.length > 0) void this.run()
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
  readonly read = (): QueueSnapshot => this.snapshot

  /** Takes an entry; from here on it is safe on this device. */
  put(entry: CookEntry): void {
    this.show({ waiting: [...this.snapshot.waiting, entry] })
    void this.run()
  }

  private show(change: Partial<QueueSnapshot>): void {
    this.snapshot = { ...this.snapshot, ...change }
    if (change.waiting) this.world.storage.setItem(this.key, JSON.stringify(this.snapshot.waiting))
    for (const listener of this.listeners) listener()
  }

  private async run(): Promise<void> {
    if (this.running) return
    this.running = true
    while (this.snapshot.waiting.length > 0) {
      const batch = this.snapshot.waiting.slice(0, BATCH)
      const outcome = await this.send(batch)
      if (outcome === 'again') await this.world.wait(RETRY_MS)
      else {
        const ids = new Set(batch.map(({ id }) => id))
        this.show({
          waiting: this.snapshot.waiting.filter(({ id }) => !ids.has(id)),
          ...(outcome === 'refused' ? { refused: this.snapshot.refused + batch.length } : {}),
        })
      }
    }
    this.running = false
  }

  private async send(batch: readonly CookEntry[]): Promise<'kept' | 'again' | 'refused'> {
    try {
      const response = await this.world.fetch(this.address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ entries: batch }),
      })
      if (response.ok) {
        this.show({ reachable: true })
        return 'kept'
      }
      if (response.status >= 400 && response.status < 500) {
        this.show({ reachable: true })
        return 'refused'
      }
    } catch {}
    this.show({ reachable: false })
    return 'again'
  }
}
