import type { CookEntry } from '@/domain/cook/cook-document'
import type { Problem } from '@/domain/problem/problem'
import type { Answered } from '../shell/client'
import type { OutboxStore, Waiting } from './store'

/** What the outbox needs of the world; the browser's, or another in tests. */
export interface OutboxWorld {
  readonly store: OutboxStore
  readonly send: (address: string, body: unknown) => Promise<Answered<unknown>>
  readonly wait: (ms: number) => Promise<void>
  readonly now_ms: () => number
  /** Runs the work while no other page of this device runs it. */
  readonly alone: (work: () => Promise<void>) => Promise<void>
  /** Tells the other pages of this device that something changed. */
  readonly tell: () => void
}

export interface OutboxState {
  /** On this device and not yet on the server, oldest first; the refused ones among them. */
  readonly items: readonly Waiting[]
  /** Named by the server since this page was opened. */
  readonly acknowledged: readonly Waiting[]
  readonly reachable: boolean
  /** Why the server lets this device write no longer: it is no longer signed in, or may not. */
  readonly shut: Problem | undefined
  /** Kept by this page alone, for the device has no room: gone when it is closed. */
  readonly unkept: ReadonlySet<string>
}

const BATCH = 100
const PAUSE_MS = { first: 1000, most: 30_000 } as const
/** A cook that is not there may be there in a moment: so often it is asked again before it is said. */
const NOT_THERE_TRIES = 5

/** Answers that say something of the entries themselves, and not of the moment or the way. */
const OF_THE_BATCH: ReadonlySet<number> = new Set([400, 409, 413, 422])

interface NamedAnswer {
  readonly kept: readonly { readonly entry: CookEntry }[]
  readonly refused: readonly { readonly id: string | null; readonly problems: readonly Problem[] }[]
}
const isNamed = (value: unknown): value is NamedAnswer => {
  const { kept, refused } = (value ?? {}) as Partial<NamedAnswer>
  return Array.isArray(kept) && Array.isArray(refused) && kept.every((each) => typeof each?.entry?.id === 'string')
}

/** How one cook's entries fare. */
interface Lane {
  readonly tries: number
  readonly again_ms: number
}

/**
 * Entries on their way to the server, of every cook and every page of this device. An entry is here until the
 * server names its id: no status, no silence and no stranger's answer takes it away.
 */
export class Outbox {
  private state: OutboxState = { items: [], acknowledged: [], reachable: true, shut: undefined, unkept: new Set() }
  private readonly listeners = new Set<() => void>()
  private readonly lanes = new Map<string, Lane>()
  private running = false
  private loaded: Promise<void> | undefined
  private order = 0

  constructor(private readonly world: OutboxWorld) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
  readonly read = (): OutboxState => this.state

  /** Reads what this device keeps, and sends it on. */
  start(): Promise<void> {
    this.loaded ??= this.reload()
    return this.loaded
  }

  /** Another page changed what is kept. */
  async reload(): Promise<void> {
    const kept = await this.world.store.all().catch(() => [])
    const ids = new Set(kept.map(({ id }) => id))
    const mine = this.state.items.filter(({ id }) => this.state.unkept.has(id) && !ids.has(id))
    this.order = Math.max(this.order, ...kept.map(({ order }) => order))
    this.show({ items: [...kept, ...mine].sort((a, b) => a.order - b.order) })
    // Another page has sent them: the way is open.
    if (this.toSend().length === 0) this.show({ reachable: true })
    void this.run()
  }

  /** Takes an entry: from here on it is on this device, or it is said that it is not. */
  async put(kitchen: string, cook: string, entry: CookEntry): Promise<void> {
    this.order = Math.max(this.order + 1, this.world.now_ms())
    const item: Waiting = { id: entry.id, kitchen, cook, entry, order: this.order }
    this.show({ items: [...this.state.items.filter(({ id }) => id !== item.id), item] })
    await this.keep(item)
    this.world.tell()
    void this.run()
  }

  /** Sends one that was refused again, as it was or as it was mended. */
  async again(id: string, entry?: CookEntry): Promise<void> {
    const item = this.state.items.find((each) => each.id === id)
    if (!item) return
    // What was refused under an id may be another's: mended, it is an entry of its own.
    const next: Waiting = { ...item, id: entry?.id ?? id, entry: entry ?? item.entry, refused: undefined }
    // Kept before the old one goes: at no moment is it neither here nor on the server.
    await this.change(next)
    if (next.id !== id) await this.drop([id])
    this.lanes.delete(laneOf(next))
    void this.run()
  }

  /** Lets one go for good: only ever by hand. */
  async letGo(id: string): Promise<void> {
    await this.drop([id])
    this.world.tell()
  }

  private show(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change }
    for (const listener of this.listeners) listener()
  }

  private async keep(item: Waiting): Promise<void> {
    const unkept = new Set(this.state.unkept)
    try {
      await this.world.store.put(item)
      unkept.delete(item.id)
    } catch {
      unkept.add(item.id)
    }
    this.show({ unkept })
  }

  private async change(item: Waiting): Promise<void> {
    this.show({
      items: [...this.state.items.filter(({ id }) => id !== item.id), item].sort((a, b) => a.order - b.order),
    })
    await this.keep(item)
    this.world.tell()
  }

  private async drop(ids: readonly string[]): Promise<void> {
    const gone = new Set(ids)
    this.show({
      items: this.state.items.filter(({ id }) => !gone.has(id)),
      unkept: new Set([...this.state.unkept].filter((id) => !gone.has(id))),
    })
    await this.world.store.remove(ids).catch(() => {})
  }

  private async run(): Promise<void> {
    if (this.running) return
    this.running = true
    try {
      while (this.toSend().length > 0) {
        await this.world.alone(() => this.round())
        if (this.toSend().length > 0) await this.world.wait(this.pause())
      }
    } finally {
      this.running = false
    }
  }

  private toSend = (): readonly Waiting[] => this.state.items.filter(({ refused }) => refused === undefined)

  /** Until the next lane may be tried. */
  private pause(): number {
    const now = this.world.now_ms()
    const due = this.toSend().map((item) => (this.lanes.get(laneOf(item))?.again_ms ?? now) - now)
    return Math.min(PAUSE_MS.most, Math.max(PAUSE_MS.first / 4, Math.min(...due)))
  }

  /** Each cook's entries once; one cook's trouble holds up no other's. */
  private async round(): Promise<void> {
    const lanes = new Map<string, Waiting[]>()
    for (const item of this.toSend()) {
      const lane = laneOf(item)
      lanes.set(lane, [...(lanes.get(lane) ?? []), item])
    }
    for (const [lane, items] of lanes) {
      if ((this.lanes.get(lane)?.again_ms ?? 0) > this.world.now_ms()) continue
      for (let i = 0; i < items.length; i += BATCH) if (!(await this.sendBatch(items.slice(i, i + BATCH)))) break
    }
  }

  private later(lane: string): void {
    const tries = (this.lanes.get(lane)?.tries ?? 0) + 1
    const pause_ms = Math.min(PAUSE_MS.most, PAUSE_MS.first * 2 ** (tries - 1))
    this.lanes.set(lane, { tries, again_ms: this.world.now_ms() + pause_ms })
  }

  /** Sends a batch; true where the server said of each what became of it. One that is refused whole is cut in two. */
  private async sendBatch(batch: readonly Waiting[]): Promise<boolean> {
    const [first] = batch
    if (!first) return true
    const lane = laneOf(first)
    const answered = await this.world.send(`/api/k/${first.kitchen}/cooks/${first.cook}/entries`, {
      entries: batch.map(({ entry }) => entry),
    })
    if (answered.ok && isNamed(answered.value)) return this.named(batch, answered.value, lane)
    const status = answered.ok ? undefined : answered.status
    this.show({ reachable: status !== undefined && status < 500 })
    const problems = answered.ok ? [] : answered.problems
    if (status === 401 || status === 403) this.show({ shut: problems[0] })
    if (status !== undefined && problems.length > 0 && (OF_THE_BATCH.has(status) || status === 500)) {
      if (batch.length > 1) {
        const half = Math.ceil(batch.length / 2)
        const one = await this.sendBatch(batch.slice(0, half))
        const other = await this.sendBatch(batch.slice(half))
        return one && other
      }
      if (OF_THE_BATCH.has(status)) {
        await this.change({ ...first, refused: problems })
        return true
      }
    }
    if (status === 404 && problems.some(({ code }) => code === 'not_found')) {
      if ((this.lanes.get(lane)?.tries ?? 0) >= NOT_THERE_TRIES) {
        for (const item of batch) await this.change({ ...item, refused: problems })
        return true
      }
    }
    this.later(lane)
    return false
  }

  private async named(batch: readonly Waiting[], answer: NamedAnswer, lane: string): Promise<boolean> {
    const sent = new Map(batch.map((item) => [item.id, item]))
    const kept = answer.kept.map(({ entry }) => entry.id).filter((id) => sent.has(id))
    this.show({
      reachable: true,
      shut: undefined,
      acknowledged: [...this.state.acknowledged, ...kept.flatMap((id) => sent.get(id) ?? [])],
    })
    if (kept.length > 0) await this.drop(kept)
    for (const { id, problems } of answer.refused) {
      const item = id === null ? undefined : sent.get(id)
      if (item && !kept.includes(item.id)) await this.change({ ...item, refused: problems })
    }
    this.world.tell()
    const all = batch.every(({ id }) => kept.includes(id) || answer.refused.some((each) => each.id === id))
    if (all) this.lanes.delete(lane)
    else this.later(lane)
    return all
  }
}

const laneOf = ({ kitchen, cook }: Pick<Waiting, 'kitchen' | 'cook'>) => `${kitchen}/${cook}`
