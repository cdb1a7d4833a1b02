'use client'
import * as Comlink from 'comlink'
import { nanoid } from 'nanoid'
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { type BoardItem, boardOf } from '@/domain/cook/board'
import { type CookDocument, type CookEntry, cookTime, type ProbeReading } from '@/domain/cook/cook-document'
import type { Forecast } from '@/domain/cook/forecast'
import { mergeReadings } from '@/domain/cook/readings'
import type { CookWorker } from '@/workers/browser/protocol'
import { deviceStorage } from '../shell/device-storage'
import { useHydrated } from '../shell/use-hydrated'
import { type DeviceWorld, eachOnce, KitchenClock, recallEntries, rememberEntries } from './device-memory'
import { EntryQueue } from './entry-queue'
import { keepThisBoard } from './keep-board'

export interface CookStart {
  readonly kitchen: string
  readonly cookId: string
  readonly document: CookDocument
  readonly entries: readonly { readonly seq: number; readonly entry: CookEntry }[]
  readonly readings: readonly ProbeReading[]
  readonly now_s: number
}

export interface LiveCook {
  readonly now_s: number
  readonly items: readonly BoardItem[]
  readonly forecasts: Readonly<Record<string, Forecast | undefined>>
  readonly entries: readonly CookEntry[]
  readonly waiting: number
  readonly refused: number
  /** Whether the server answers; the board goes on without it. */
  readonly connected: boolean
  readonly add: (entry: Omit<CookEntry, 'id' | 'at' | 'by'> & { readonly at?: string }) => CookEntry
  readonly channels: readonly {
    readonly device: string
    readonly channel: number
    readonly value_c: number
    readonly at_s: number
  }[]
}

const EMPTY = {
  kind: 'note',
  item: null,
  value_c: null,
  point: null,
  device: null,
  channel: null,
  of: null,
  text: null,
} as const
export const blank = (part: Partial<CookEntry> & Pick<CookEntry, 'kind'>): Omit<CookEntry, 'id' | 'at' | 'by'> => ({
  ...EMPTY,
  ...part,
})

const thisDevice = (): DeviceWorld => ({
  storage: deviceStorage,
  clock: () => Date.now() / 1000,
  fromKept: typeof window !== 'undefined' && window.document.documentElement.dataset.kept !== undefined,
})

/** Estimates are made again when so much cook time or so many readings have passed, s of wall time at least. */
const FORECAST_EVERY_MS = 5000

/** A cook that lives: the clock, the entries of all screens, the probes, the arrival of each roast. */
export function useCook(start: CookStart, by: string): LiveCook {
  const { kitchen, cookId, document } = start
  const address = `/api/k/${kitchen}/cooks/${cookId}`
  const hydrated = useHydrated()
  const [device] = useState(thisDevice)
  const [clock] = useState(() => new KitchenClock(start.now_s, device))
  const [now_s, setNow] = useState(() => cookTime(document.clock, start.now_s))
  const wall = useCallback(() => clock.now(), [clock])
  useEffect(() => {
    const tick = () => setNow(cookTime(document.clock, wall()))
    tick()
    const timer = setInterval(tick, 500)
    return () => clearInterval(timer)
  }, [document.clock, wall])

  const [queue] = useState(
    () =>
      new EntryQueue(`${address}/entries`, cookId, {
        fetch: (to, init) => fetch(to, init),
        storage: device.storage,
        wait: (ms) => new Promise((done) => setTimeout(done, ms)),
      }),
  )
  const sending = useSyncExternalStore(queue.subscribe, queue.read, queue.read)
  const [kept, setKept] = useState(() => start.entries.map(({ entry }) => entry))
  const [recalled] = useState(() => recallEntries(device, cookId))
  useEffect(() => rememberEntries(device, cookId, eachOnce(recalled, kept)), [device, cookId, recalled, kept])
  useEffect(keepThisBoard, [])
  const [readings, setReadings] = useState<readonly ProbeReading[]>(start.readings)
  const [heard, setHeard] = useState(true)
  const since = useRef(Math.max(0, ...start.entries.map(({ seq }) => seq)))

  const refresh = useCallback(async () => {
    const response = await fetch(`${address}?since=${since.current}`).catch(() => undefined)
    if (!response?.ok) return setHeard(false)
    const state = (await response.json()) as {
      entries: CookStart['entries']
      readings: ProbeReading[]
      now_s: number
    }
    setHeard(true)
    clock.heard(state.now_s)
    since.current = Math.max(since.current, ...state.entries.map(({ seq }) => seq))
    if (state.entries.length > 0) setKept((last) => [...last, ...state.entries.map(({ entry }) => entry)])
    setReadings((last) => mergeReadings(last, state.readings))
  }, [address, clock])
  useEffect(() => {
    const events = new EventSource(`/api/k/${kitchen}/events`)
    let pending: ProbeReading[] = []
    const flush = setInterval(() => {
      if (pending.length === 0) return
      const added = pending
      pending = []
      setReadings((last) => mergeReadings(last, added))
    }, 500)
    events.onopen = () => {
      setHeard(true)
      void refresh()
    }
    events.onerror = () => setHeard(false)
    events.onmessage = (event) => {
      const told = JSON.parse(event.data) as { what: string; id: string; latest?: [number, number, number][] }
      if (told.what === 'readings')
        for (const [channel, at_s, value_c] of told.latest ?? [])
          pending.push({ device: told.id, channel, at_s, value_c })
      if (told.what === 'again' || (told.what === 'entries' && told.id === cookId)) void refresh()
    }
    // A lid that was closed opens again: whatever was missed is asked for.
    const seen = () => window.document.visibilityState === 'visible' && void refresh()
    window.document.addEventListener('visibilitychange', seen)
    return () => {
      clearInterval(flush)
      events.close()
      window.document.removeEventListener('visibilitychange', seen)
    }
  }, [kitchen, cookId, refresh])

  const waiting = sending.waiting
  const entries = useMemo(
    () => (hydrated ? eachOnce(recalled, kept, waiting) : kept),
    [recalled, kept, waiting, hydrated],
  )
  // The board is made anew each five seconds of cook time, not each tick.
  const board_s = Math.floor(now_s / 5) * 5
  const items = useMemo(() => boardOf(document, entries, readings, board_s), [document, entries, readings, board_s])

  const [forecasts, setForecasts] = useState<Record<string, Forecast | undefined>>({})
  const newest = useRef({ items, now_s })
  useEffect(() => {
    newest.current = { items, now_s }
  }, [items, now_s])
  useEffect(() => {
    const thread = new Worker(new URL('../../workers/browser/cook.worker.ts', import.meta.url), {
      type: 'module',
      name: 'cook',
    })
    const worker = Comlink.wrap<CookWorker>(thread)
    let live = true
    const round = async () => {
      while (live) {
        const { items: boards, now_s: at } = newest.current
        for (const board of boards) {
          if (!live) return
          if (board.state !== 'in') continue
          const forecast = await worker.forecast(
            board,
            at,
            boards.filter(({ item }) => item.id !== board.item.id),
          )
          if (live) setForecasts((last) => ({ ...last, [board.item.id]: forecast }))
        }
        await new Promise((done) => setTimeout(done, FORECAST_EVERY_MS))
      }
    }
    void round()
    return () => {
      live = false
      thread.terminate()
    }
  }, [])

  const add = useCallback<LiveCook['add']>(
    (part) => {
      const entry: CookEntry = {
        ...part,
        id: nanoid(),
        at: part.at ?? new Date(cookTime(document.clock, wall()) * 1000).toISOString(),
        by,
      }
      queue.put(entry)
      return entry
    },
    [queue, document.clock, wall, by],
  )
  const channels = useMemo(() => {
    const last = new Map<string, ProbeReading>()
    for (const reading of readings) last.set(`${reading.device}/${reading.channel}`, reading)
    return [...last.values()].sort((a, b) => a.channel - b.channel)
  }, [readings])

  return {
    now_s,
    items,
    forecasts,
    entries,
    waiting: hydrated ? waiting.length : 0,
    refused: sending.refused,
    connected: heard && sending.reachable,
    add,
    channels,
  }
}
