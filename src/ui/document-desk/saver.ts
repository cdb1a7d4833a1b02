export type SaveState = 'saved' | 'saving' | 'offline' | 'refused'

/** A save that came too late: the other text, ours, and where ours is kept. */
export interface Clash<Document> {
  readonly theirs: { readonly version: number; readonly document: Document }
  readonly mine: Document
  readonly setAsideId: string
  /** No cook changed anything here: only what is worked out by itself differs from what it began with. */
  readonly byItself: boolean
}

export interface SaverSnapshot<Document> {
  readonly state: SaveState
  /** The version the server has of what was last saved here. */
  readonly version: number
  readonly clash: Clash<Document> | undefined
}

/** The world the saver lives in; the browser's by default, another in tests. */
export interface SaverWorld {
  readonly fetch: (address: string, init: RequestInit) => Promise<Response>
  readonly storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>
  readonly wait: (ms: number) => Promise<void>
  /** Hears of each text that the server is known to have, with its version. */
  readonly kept?: (version: number, text: string) => void
}

const PAUSE_MS = 600
const RETRY_MS = 4000
export const draftKey = (planId: string) => `pheasant-draft-${planId}`

/** A document's text without what is worked out by itself: the places that a meal was given. */
const said = (text: string): string => JSON.stringify({ ...JSON.parse(text), placed: null })

/**
 * Saves a plan's text a moment after its last change, one save at a time, each naming the version
 * it started from.
 *
 * What has not been acknowledged stays on the device and is tried again until the server answers;
 * a stale save is refused by the server, which keeps both texts, and the cook chooses.
 */
export class PlanSaver<Document> {
  private snapshot: SaverSnapshot<Document>
  private readonly listeners = new Set<() => void>()
  private wanted: string
  private saved: string
  private running = false

  constructor(
    private readonly address: string,
    private readonly planId: string,
    private version: number,
    document: Document,
    private readonly world: SaverWorld,
  ) {
    this.snapshot = { state: 'saved', version, clash: undefined }
    this.saved = JSON.stringify(document)
    this.wanted = this.saved
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
  readonly read = (): SaverSnapshot<Document> => this.snapshot

  /** The cook wants this text kept. */
  want(document: Document, savable: boolean): void {
    const text = JSON.stringify(document)
    if (text === this.wanted && !(savable && text !== this.saved && this.snapshot.state === 'refused')) return
    this.wanted = text
    if (text !== this.saved) this.world.storage.setItem(draftKey(this.planId), JSON.stringify({ document }))
    if (savable) void this.run()
    else this.show({ state: 'refused' })
  }

  /** Saves our text over theirs. */
  keepMine(): void {
    const { clash } = this.snapshot
    if (!clash) return
    this.version = clash.theirs.version
    this.settle(clash)
    void this.run()
  }

  /** Takes their text; answers it. */
  keepTheirs(): Document | undefined {
    const { clash } = this.snapshot
    if (!clash) return undefined
    this.version = clash.theirs.version
    this.saved = JSON.stringify(clash.theirs.document)
    this.wanted = this.saved
    this.settle(clash)
    this.world.kept?.(this.version, this.saved)
    this.world.storage.removeItem(draftKey(this.planId))
    this.show({ state: 'saved' })
    return clash.theirs.document
  }

  /** Takes up a version that somebody else saved while nothing of ours was waiting; answers whether it could. */
  adopt(version: number, document: Document): boolean {
    if (this.wanted !== this.saved || this.running || version <= this.version) return false
    this.version = version
    this.saved = JSON.stringify(document)
    this.wanted = this.saved
    this.world.kept?.(version, this.saved)
    this.show({ state: 'saved', version })
    return true
  }

  private settle(clash: Clash<Document>): void {
    this.world.fetch(`${this.address}/set-aside/${clash.setAsideId}`, { method: 'POST' }).catch(() => {})
    this.show({ clash: undefined })
  }

  private show(change: Partial<SaverSnapshot<Document>>): void {
    this.snapshot = { ...this.snapshot, ...change }
    for (const listener of this.listeners) listener()
  }

  private async run(): Promise<void> {
    if (this.running || this.snapshot.clash) return
    this.running = true
    let pause = PAUSE_MS
    while (this.wanted !== this.saved && !this.snapshot.clash) {
      if (this.snapshot.state !== 'offline') this.show({ state: 'saving' })
      let before: string
      do {
        before = this.wanted
        await this.world.wait(pause)
      } while (this.wanted !== before)
      const outcome = await this.put(this.wanted)
      if (outcome === 'refused') break
      pause = outcome === 'offline' ? RETRY_MS : PAUSE_MS
    }
    this.running = false
  }

  private async put(text: string): Promise<'saved' | 'offline' | 'clash' | 'refused'> {
    const document = JSON.parse(text) as Document
    try {
      const response = await this.world.fetch(this.address, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ base_version: this.version, document }),
      })
      if (response.status >= 500) throw new Error(`the server answered ${response.status}`)
      const answer = await response.json()
      if (response.ok) {
        // A gate on the way answers 200 too: only a version says that it is kept.
        if (typeof answer?.version !== 'number') throw new Error('an answer of somebody else')
        this.version = answer.version
        this.saved = text
        this.world.kept?.(this.version, text)
        if (this.wanted === text) this.world.storage.removeItem(draftKey(this.planId))
        this.show({ state: 'saved', version: this.version })
        return 'saved'
      }
      if (response.status === 409) {
        const byItself = said(this.saved) === said(text)
        this.show({
          state: 'saved',
          clash: { theirs: answer.current, mine: document, setAsideId: answer.set_aside, byItself },
        })
        return 'clash'
      }
      this.show({ state: 'refused' })
      return 'refused'
    } catch {
      this.show({ state: 'offline' })
      return 'offline'
    }
  }
}
