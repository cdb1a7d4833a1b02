'use client'
import { nanoid } from 'nanoid'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { type BoardItem, boardOf } from '@/domain/cook/board'
import type { CookDocument, CookEntry, ProbeReading } from '@/domain/cook/cook-document'
import { foldLog } from '@/domain/cook/entry/fold'
import { type Run, runOfLog } from '@/domain/cook/run'
import type { Problem } from '@/domain/problem/problem'
import { deviceOutbox, takeUpOlder } from '../outbox/device-outbox'
import { useOutbox } from '../outbox/use-outbox'
import { useMay } from '../people/who'
import { deviceStorage } from '../shell/device-storage'
import { useHydrated } from '../shell/use-hydrated'
import { type DeviceWorld, eachOnce, recallEntries, rememberEntries } from './device-memory'
import { keepThisBoard } from './keep-board'
import { type Foreseen, useForecasts } from './use-forecasts'
import { useKeptArrivals } from './use-kept-arrivals'
import { useKitchenClock } from './use-kitchen-clock'
import { useStream } from './use-stream'

export interface CookStart {
  readonly kitchen: string
  readonly cookId: string
  readonly document: CookDocument
  readonly entries: readonly { readonly seq: number; readonly entry: CookEntry }[]
  readonly readings: readonly ProbeReading[]
  readonly now_s: number
  readonly devices: readonly Station[]
}

/** What said nothing for longer is of another evening, s. */
export const OTHER_EVENING_S = 3 * 3600

/** A station of probes of this kitchen. */
export interface Station {
  readonly id: string
  readonly name: string
  /** From this page. */
  readonly added?: boolean
}

export interface LiveCook {
  readonly kitchen: string
  readonly now_s: number
  readonly document: CookDocument
  readonly items: readonly BoardItem[]
  /** Every step of the plan as it now stands. */
  readonly run: Run
  readonly forecasts: Foreseen['forecasts']
  readonly peaks: Foreseen['peaks']
  readonly entries: readonly CookEntry[]
  readonly waiting: number
  readonly refused: number
  /** Entries that only this page has: the device has no room for them. */
  readonly unkept: number
  /** Whether the server answers; the board goes on without it. */
  readonly connected: boolean
  readonly add: (entry: EntryPart) => CookEntry
  readonly devices: readonly Station[]
  readonly deviceAdded: (device: Station) => void
  /** The server's clock less this device's, ms. */
  /** Why this device is no longer let in; what it holds stays on it. */
  readonly shut: Problem | undefined
  readonly serverAhead_ms: () => number
  readonly heard: ReadonlySet<string>
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
/** What is entered by hand: the board adds who, an identity, and when where that is not said. */
export type EntryPart = Omit<CookEntry, 'id' | 'at' | 'by'> & { readonly at?: string | undefined }

export const blank = (part: Partial<CookEntry> & Pick<CookEntry, 'kind'>): EntryPart => ({
  ...EMPTY,
  ...part,
})

const thisDevice = (): DeviceWorld => ({
  storage: deviceStorage,
  clock: () => Date.now() / 1000,
  fromKept: typeof window !== 'undefined' && window.document.documentElement.dataset.kept !== undefined,
})

/** Somebody looked at the probe in a roast: what was odd is answered. */
export const lookedAt = (item: string) => blank({ kind: 'note', item, text: 'looked at the probe' })

/** The board is made anew each so many seconds of cook time, not each tick. */
const BOARD_STEP_S = 5

/** A cook that lives: the clock, the entries of all screens, the probes, the arrival of each roast. */
export function useCook(start: CookStart, by: string): LiveCook {
  const { kitchen, cookId, document } = start
  const hydrated = useHydrated()
  const [device] = useState(thisDevice)
  const { now_s, now, heard, ahead_ms } = useKitchenClock(document.clock, start.now_s, device)
  const outbox = useOutbox()
  const { kept, readings, connected, shut } = useStream(start, heard)
  const [recalled] = useState(() => recallEntries(device, cookId))
  useEffect(keepThisBoard, [])
  useEffect(() => void takeUpOlder(kitchen, cookId), [kitchen, cookId])

  const own = useMemo(() => outbox.items.filter(({ cook }) => cook === cookId), [outbox.items, cookId])
  const waiting = useMemo(() => own.filter(({ refused }) => refused === undefined).map(({ entry }) => entry), [own])
  const refused = own.length - waiting.length
  const acknowledged = useMemo(
    () => outbox.acknowledged.filter(({ cook }) => cook === cookId).map(({ entry }) => entry),
    [outbox.acknowledged, cookId],
  )
  // What the server has said it has is remembered with what it tells everybody: which of the two comes first is chance.
  useEffect(
    () => rememberEntries(device, cookId, eachOnce(recalled, kept, acknowledged)),
    [device, cookId, recalled, kept, acknowledged],
  )
  // Who only looks keeps nothing, not even what this screen foresees.
  const may = useMay('cook')
  const put = useCallback(
    (entry: CookEntry) => void (may && deviceOutbox().put(kitchen, cookId, entry)),
    [kitchen, cookId, may],
  )
  const entries = useMemo(
    () => (hydrated ? eachOnce(recalled, kept, acknowledged, waiting) : kept),
    [recalled, kept, acknowledged, waiting, hydrated],
  )
  const board_s = Math.floor(now_s / BOARD_STEP_S) * BOARD_STEP_S
  const items = useMemo(() => boardOf(document, entries, readings, board_s), [document, entries, readings, board_s])
  const log = useMemo(() => foldLog(document, entries), [document, entries])
  const run = useMemo(() => runOfLog(document, log, board_s), [document, log, board_s])
  const { forecasts, peaks } = useForecasts(items, now_s)

  const last = useRef(0)
  const add = useCallback<LiveCook['add']>(
    (part) => {
      // A clock that is set right may step back; what is tapped later stays later all the same.
      last.current = Math.max(now() * 1000, last.current + 1)
      const entry: CookEntry = { ...part, id: nanoid(), at: part.at ?? new Date(last.current).toISOString(), by }
      put(entry)
      return entry
    },
    [put, now, by],
  )
  const [addedDevices, setAddedDevices] = useState<readonly Station[]>([])
  const deviceAdded = useCallback((station: Station) => setAddedDevices((last) => [...last, station]), [])
  useKeptArrivals(items, forecasts, now_s, add)
  const channels = useMemo(() => {
    const newest = new Map<string, ProbeReading>()
    for (const reading of readings) newest.set(`${reading.device}/${reading.channel}`, reading)
    return [...newest.values()].sort((a, b) => a.channel - b.channel)
  }, [readings])

  return {
    kitchen,
    now_s,
    document,
    items,
    run,
    forecasts,
    peaks,
    entries,
    // What a hand did is counted; what was foreseen is sent with it and missed by nobody.
    waiting: hydrated ? waiting.filter(({ kind }) => kind !== 'arrival').length : 0,
    refused: hydrated ? refused : 0,
    unkept: own.filter(({ id }) => outbox.unkept.has(id)).length,
    connected: connected && outbox.reachable && outbox.shut === undefined,
    shut: hydrated ? (outbox.shut ?? shut) : undefined,
    add,
    devices: [...start.devices, ...addedDevices],
    deviceAdded,
    serverAhead_ms: ahead_ms,
    heard: log.heard,
    channels,
  }
}
