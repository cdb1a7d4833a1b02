import { findSchool } from '@/core/program/schools'
import type { Stage } from '@/core/program/stage'
import { readNext } from './by-hand'
import type { CookDocument, CookEntry, CookItem, ProbeReading } from './cook-document'
import { type EndsNow, endingsOf } from './ending'
import { foldLog, promisedAt, standing } from './entry/fold'
import { type Arrival, type CookLog, freshItem, hasEnded, type ItemState, probeKey, type Series } from './entry/kind'
import { secondsOf } from './entry/time'
import { coldOf, impossibleOf, isBelieved, isSilent, lostAfter, type OddReading, oddOf, withSwaps } from './odd'
import { afterPulls, openSteps, planSteps, type Run, type RunStep } from './run'
import { RANK, SAME_S } from './run/course'
import type { CookStep } from './step'

export type { Arrival, ItemState, Series } from './entry/kind'

/** One roast on the board: where it stands, by what was entered and read. */
export interface BoardItem {
  readonly item: CookItem
  readonly state: ItemState
  readonly in_s: number | undefined
  readonly out_s: number | undefined
  /** To its hot finish, and out of that. */
  readonly finish_s: number | undefined
  readonly off_s: number | undefined
  /** A hot finish that it had before it went back into the heat. */
  readonly finished: { readonly from_s: number; readonly to_s: number } | undefined
  readonly carve_s: number | undefined
  /** Spells outside the oven in mid-cook, s. */
  readonly away: readonly { readonly from_s: number; readonly to_s: number }[]
  readonly promise_s: number
  /** Reading to pull at, °C: the plan's, or one set by hand. */
  readonly pull_c: number | undefined
  /** How it was decided that it ends otherwise than planned. */
  readonly endings: readonly EndsNow[]
  /** Where it is: the plan's oven, or the one it was carried to. */
  readonly oven_name: string
  /** Oven settings since it went in, by time. */
  readonly settings: readonly { readonly at_s: number; readonly set_c: number }[]
  /** The last of them while it holds, °C: a stretch of heat that was begun after it has its own. */
  readonly hand_c: number | undefined
  /** Readings of its deciding point, oldest first, hand and probe together. */
  readonly readings: Series
  readonly air: Series
  /** The point those readings are of: the least-done one that has a probe, or was read by hand. */
  readonly point: string
  /** Every probe in it, and every point read by hand, by its latest reading, with its readings oldest first. */
  readonly points: readonly ProbedPoint[]
  readonly latest: { readonly at_s: number; readonly value_c: number } | undefined
  /** It is in, and no probe in it speaks: it is read by hand or not at all. */
  readonly byHand: boolean
  /** Rise of the last ten minutes, K/min. */
  readonly trend_k_per_min: number | undefined
  /** When its pull is foreseen, as it was last kept: what every page says. */
  readonly arrival: Arrival | undefined
  /** Foreseen last: as it is, it never gets there. */
  readonly never: boolean
  readonly odd: readonly OddReading[]
  /** Entries of this item that still stand, newest last. */
  readonly entries: readonly CookEntry[]
}

/** One probe in a roast, or one point that is read by hand. */
export interface ProbedPoint {
  readonly point: string
  /** Device and channel; by hand: undefined. */
  readonly probe: { readonly device: string; readonly channel: number } | undefined
  readonly value_c: number
  readonly at_s: number
  /** Others go on while this one says nothing. */
  readonly silent: boolean
  /** Its readings are those of the roast: the lowest that can be believed. */
  readonly decides: boolean
  readonly readings: Series
}

/** No meat reads less or more than this, °C: a freezer’s core, and water that boils, with a probe’s error. */
const MEAT_C = { low: -30, high: 105 } as const
/** Silent for so long while another speaks, it decides nothing, s. */
const SILENT_S = 300
/** Read by hand, it is looked at less often, s. */
const HAND_SILENT_S = 1800
/** The trend is over the last nine minutes or a little more, s. */
const TREND_S = 540
/** A bird whose stuffing is out: it asks for nothing in its cavity any more. */
const unstuffed = (item: CookItem): CookItem => ({
  ...item,
  roast: { ...item.roast, stuffed: false },
  points: item.points.filter((point) => point !== 'stuffing'),
})

/** A probe in the meat, or a point read by hand, with all it said and what of that can be. */
interface Probed {
  readonly point: string
  readonly probe: { readonly device: string | null; readonly channel: number | null } | undefined
  readonly whole: Series
  readonly series: Series
  /** What the probe itself said of that, without what was read by hand. */
  readonly spoken: Series
}

/** The board of a cook from all that was entered and read. */
export function boardOf(
  document: CookDocument,
  allEntries: readonly CookEntry[],
  probes: readonly ProbeReading[],
  now_s: number,
): BoardItem[] {
  const entries = standing(allEntries)
  const log = foldLog(document, entries)
  const steps = planSteps(document)
  const items = document.items.map((planned): BoardItem => {
    const own = log.items.get(planned.id) ?? freshItem()
    const item = own.spooned_s === undefined ? planned : unstuffed(planned)
    const { state, in_s, out_s, finish_s, off_s, finished, carve_s, looked_s } = own
    const seriesOf = ({
      device,
      channel,
    }: {
      readonly device: string | null
      readonly channel: number | null
    }): Series => {
      const offset = log.offsets.get(probeKey(device, channel)) ?? 0
      return probes
        .filter((reading) => reading.device === device && reading.channel === channel)
        .filter(({ at_s }) => at_s >= (in_s ?? 0) - 60 && at_s <= now_s + 5)
        .map(({ at_s, value_c }) => ({ at_s, value_c: value_c - offset }))
    }
    const possible = ({ value_c }: { readonly value_c: number }) => value_c >= MEAT_C.low && value_c <= MEAT_C.high
    const byTime = (a: { readonly at_s: number }, b: { readonly at_s: number }) => a.at_s - b.at_s
    const inMeat = [...own.probes.values()].filter(
      ({ point }) => point !== 'air' && (point !== 'stuffing' || item.points.includes(point)),
    )
    // Of a bird a reading by hand is of the point it names, and stands in for the probe that is there.
    const named = (point: string) => item.points.length > 1 && item.points.includes(point)
    const stuck: Probed[] = inMeat.map((probe, i) => {
      const first = inMeat.findIndex(({ point }) => point === probe.point) === i
      const hand = first && named(probe.point) ? own.hand.filter(({ point }) => point === probe.point) : []
      const spoken = seriesOf(probe)
      const whole = [...spoken, ...hand].sort(byTime)
      return { point: probe.point, probe, whole, series: whole.filter(possible), spoken: spoken.filter(possible) }
    })
    // Read by hand where no probe is: a point of its own; else it is one more reading of what decides.
    const handPoints = [...new Set(own.hand.map(({ point }) => point))].filter(
      (point) =>
        item.points.includes(point) &&
        !stuck.some((each) => each.point === point) &&
        stuck.length + item.points.length > 1,
    )
    const byHand: Probed[] = handPoints.map((point) => {
      const whole = own.hand.filter((reading) => reading.point === point)
      return { point, probe: undefined, whole, series: whole.filter(possible), spoken: [] }
    })
    const probed = [...stuck, ...byHand]
    const newest_s = Math.max(...probed.map(({ series }) => series.at(-1)?.at_s ?? Number.NEGATIVE_INFINITY))
    const silent = ({ series, probe }: Probed) =>
      (series.at(-1)?.at_s ?? Number.NEGATIVE_INFINITY) <
      newest_s - (probe ? Math.max(SILENT_S, lostAfter(series)) : HAND_SILENT_S)
    // The lowest that can be believed is the core; one that has fallen silent decides nothing while another speaks.
    const deciding = probed
      .filter((each) => each.series.length > 0 && !silent(each))
      .reduce<Probed | undefined>(
        (least, each) =>
          least === undefined || (each.series.at(-1)?.value_c ?? 0) < (least.series.at(-1)?.value_c ?? 0)
            ? each
            : least,
        undefined,
      )
    const hand = own.hand.filter(
      ({ point }) => !handPoints.includes(point) && !(named(point) && stuck.some((each) => each.point === point)),
    )
    const readings = [...(deciding?.series ?? []), ...hand.filter(possible)].sort(byTime)
    const air = [...own.probes.values()]
      .filter(({ point }) => point === 'air')
      .flatMap(seriesOf)
      .sort(byTime)
    const latest = readings.at(-1)
    const before = latest && readings.findLast(({ at_s }) => at_s <= latest.at_s - TREND_S)
    const board = {
      item,
      state,
      in_s,
      out_s,
      finish_s,
      off_s,
      finished,
      carve_s,
      away: own.away,
      promise_s: promisedAt(item, log),
      pull_c: own.pull_c ?? item.pull_c ?? undefined,
      endings: endingsOf(steps, item.id, log),
      oven_name: own.oven_name ?? item.oven_name,
      settings: own.settings,
      hand_c: handIn(document, log, { item, settings: own.settings }),
      readings,
      air,
      point: deciding?.point ?? item.points[0] ?? 'core',
      points: probed.flatMap((each): ProbedPoint[] => {
        const last = each.series.at(-1)
        if (!last) return []
        const { device, channel } = each.probe ?? {}
        return [
          {
            point: each.point,
            probe: device != null && channel != null ? { device, channel } : undefined,
            value_c: last.value_c,
            at_s: last.at_s,
            silent: silent(each),
            decides: each === deciding,
            readings: each.series,
          },
        ]
      }),
      latest,
      byHand: state === 'in' && stuck.every(({ spoken }) => isSilent(spoken, in_s ?? now_s, now_s)),
      trend_k_per_min:
        latest && before ? ((latest.value_c - before.value_c) / (latest.at_s - before.at_s)) * 60 : undefined,
      arrival: state === 'in' ? own.arrival : undefined,
      never: state === 'in' && own.never,
      entries: entries.filter((entry) => entry.item === item.id),
    }
    const wrong = [...(deciding?.whole ?? []), ...hand].filter((reading) => !possible(reading))
    const odd =
      state === 'in'
        ? [
            ...impossibleOf(wrong, now_s, looked_s),
            ...oddOf(board, deciding?.probe && deciding.spoken, now_s, looked_s),
            ...coldOf(board, setIn(document, log, board), now_s, looked_s),
          ]
        : []
    return { ...board, odd }
  })
  return withSwaps(items)
}

/** It is out of all heat, to rest: of its pull, or of a hot finish. */
export const isResting = ({ state, off_s }: Pick<BoardItem, 'state' | 'off_s'>): boolean =>
  state === 'resting' || (state === 'finishing' && off_s !== undefined)

/** Where it is as it is called at the stove: a roast whose only heat is a fire is in no oven. */
export function placeOf({ item: { program }, oven_name }: Pick<BoardItem, 'item' | 'oven_name'>): string {
  const fired =
    'stages' in program
      ? program.stages.some(({ environment }) => environment.kind === 'fire') &&
        !program.stages.some(({ environment }) => environment.kind === 'oven')
      : findSchool(program.school)?.heat === 'fire'
  return fired && oven_name === 'the oven' ? 'the fire' : oven_name
}

type HeatSet = Pick<BoardItem, 'item' | 'settings'>
/** The last step of its plan that put a roast into another heat. */
const lastPut = (document: CookDocument, log: CookLog, { item }: HeatSet) =>
  planSteps(document)
    .filter(({ id, item: own, kind }) => own === item.id && PLACES.has(kind) && log.ticked.has(id))
    .toSorted((a, b) => (log.ticked.get(a.id) ?? 0) - (log.ticked.get(b.id) ?? 0))
    .at(-1)
/** What was set by hand, while no step of its plan came after it. */
function handIn(document: CookDocument, log: CookLog, set: HeatSet): number | undefined {
  const byHand = set.settings.at(-1)
  const done = byHand && lastPut(document, log, set)
  return !done || byHand.at_s >= (log.ticked.get(done.id) ?? 0) ? byHand?.set_c : undefined
}

/** What the heat is set to that a roast is in: the last that was done to it of its plan, or by hand; undefined where that is off, or no oven nor fire. */
function setIn(document: CookDocument, log: CookLog, board: HeatSet & Pick<BoardItem, 'hand_c'>): number | undefined {
  if (board.hand_c !== undefined) return board.hand_c
  const done = lastPut(document, log, board)
  if (!done) return settingOf(board.item)
  return done.stage === null || AIRY.has(done.stage.environment.kind) ? (done.set_c ?? undefined) : undefined
}
/** Where the air around the meat is what the heat is set to: not in a pan, a bath or the room. */
const AIRY = new Set<Stage['environment']['kind']>(['oven', 'fire'])
const PLACES = new Set<CookStep['kind']>(['put_in', 'change', 'finish'])

/** The setting a cook item starts with, °C. */
export function settingOf(item: CookItem): number | undefined {
  const { program } = item
  if ('stages' in program) {
    const oven = program.stages.find(({ environment }) => environment.kind === 'oven' && environment.set_c !== null)
    return oven && 'set_c' in oven.environment ? (oven.environment.set_c ?? undefined) : undefined
  }
  return program.set_c ?? item.set_c ?? undefined
}

/** The roasts a moved promise moves: all of the same table that are not served yet, the one itself among them. */
export const sameTable = (board: BoardItem, items: readonly BoardItem[]): BoardItem[] =>
  items.filter(({ promise_s, state }) => Math.abs(promise_s - board.promise_s) < 60 && !hasEnded(state))

/** The roasts in the same oven, the one itself among them. */
export const sameOven = (board: BoardItem, items: readonly BoardItem[]): BoardItem[] =>
  items.filter((each) => each === board || (each.state === 'in' && each.oven_name === board.oven_name))

/** One thing to do, with when: a step of the plan, a look at a probe that says what cannot be, or a reading by hand. */
export type NextAction = { readonly kind: 'step'; readonly step: RunStep; readonly at_s: number } | NextLook
export interface NextLook {
  readonly kind: 'look' | 'read'
  readonly item: string
  readonly at_s: number
}

/**
 * Near its pull, K, no core climbs more than so many times as fast as it is seen to, nor is that less than this, K/min,
 * or, not seen yet, this. Farther off it may yet gain speed: no core climbs faster than that.
 */
const CLIMBS = {
  near_k: 6,
  times: 2,
  least_k_per_min: 0.25,
  unseen_k_per_min: 1,
  most_k_per_min: 3,
  /** Where it stalls it is looked at again in a quarter of an hour a kelvin. */
  stalls_k_per_min: 1 / 15,
} as const
/** A reading older than this says nothing of now, s. */
const FRESH_S = 600
/** The latest reading, while it says something of now. */
export const freshOf = ({ latest }: Pick<BoardItem, 'latest'>, now_s: number): BoardItem['latest'] =>
  latest && now_s - latest.at_s < FRESH_S ? latest : undefined

/** The latest reading of what is in, fresh and believed, and its probe not lost. */
function soundOf(board: BoardItem, now_s: number): BoardItem['latest'] {
  const lost = board.odd.some(({ code }) => code === 'lost')
  return board.state === 'in' && !lost && isBelieved(board) ? freshOf(board, now_s) : undefined
}

/** Out for so long it has rested, s; back in, what its core reads at first is still heat from before. */
const RESTED_S = 180

/**
 * Since when a roast that had rested is back in its heat, or one that was put back at once to be pulled at another
 * reading, s since 1970; undefined where it never was.
 */
export function backSince({ away, state, entries }: Pick<BoardItem, 'away' | 'state' | 'entries'>): number | undefined {
  const last = away.at(-1)
  if (state !== 'in' || !last) return undefined
  const again = entries.some(({ kind, at }) => kind === 'pull_at' && secondsOf(at) >= last.to_s)
  return again || last.to_s - last.from_s >= RESTED_S ? last.to_s : undefined
}
/** Put back in, it stays for so long at the least, whatever it reads short of what is wanted, s. */
const LEAST_BACK_S = 300

/**
 * Before this a roast cannot read its pull, s since 1970, by what it reads now; undefined where nothing sound is
 * read. Whatever was foreseen a while ago, nothing is pulled that reads well below its pull.
 */
export function soonestPull(board: BoardItem, now_s: number): number | undefined {
  const { pull_c, trend_k_per_min: trend } = board
  const latest = soundOf(board, now_s)
  if (!latest || pull_c === undefined) return undefined
  const back_s = (backSince(board) ?? Number.NEGATIVE_INFINITY) + LEAST_BACK_S
  if (latest.value_c >= pull_c) return now_s < back_s && latest.value_c < board.item.serve_c ? back_s : undefined
  const gap_k = pull_c - latest.value_c
  const seen = trend === undefined ? CLIMBS.unseen_k_per_min : Math.max(CLIMBS.least_k_per_min, CLIMBS.times * trend)
  const reads_s = latest.at_s + (60 * gap_k) / (gap_k > CLIMBS.near_k ? CLIMBS.most_k_per_min : seen)
  return Math.max(reads_s, back_s)
}

/**
 * When a core reads what a step waits for that is no pull (a wrap at 74 °C), s since 1970; undefined where nothing sound
 * is read. Near it by how it climbs, farther off when it was planned, or as soon as any core could.
 */
function readsAt(board: BoardItem, reads_c: number, planned_s: number, now_s: number): number | undefined {
  const { trend_k_per_min: trend } = board
  const latest = soundOf(board, now_s)
  if (!latest) return undefined
  const gap_k = reads_c - latest.value_c
  if (gap_k <= 0) return Math.min(planned_s, now_s)
  return gap_k <= CLIMBS.near_k && trend !== undefined
    ? latest.at_s + (60 * gap_k) / Math.max(CLIMBS.stalls_k_per_min, trend)
    : Math.max(planned_s, latest.at_s + (60 * gap_k) / CLIMBS.most_k_per_min)
}

/**
 * Before this what is done to no roast alone has nothing to be done with, s since 1970, undefined where nothing holds
 * it up: gravy is made of the first tin that is out, and a table is served once its last roast may have been pulled.
 */
function waitsFor(
  { step, planned_s }: RunStep,
  pulls: ReadonlyMap<string, number>,
  items: readonly BoardItem[],
): number | undefined {
  const out = items.some(({ state }) => RANK[state] > RANK.in && state !== 'given_up')
  if (step.kind === 'gravy') return out || pulls.size === 0 ? undefined : Math.min(...pulls.values())
  if (step.kind !== 'serve') return undefined
  const table = items.filter(({ item }) => Math.abs(secondsOf(item.promise) - planned_s) < SAME_S)
  return Math.max(...table.map(({ item }) => pulls.get(item.id) ?? Number.NEGATIVE_INFINITY))
}

/** What is next in this kitchen, soonest first. */
export function nextActions(run: Run, items: readonly BoardItem[], now_s: number): NextAction[] {
  const looks = items
    .filter(({ state, odd }) => state === 'in' && odd.some(({ code }) => code !== 'door_open'))
    .map(({ item }): NextAction => ({ kind: 'look', item: item.id, at_s: now_s }))
  // What never gets there as it is is not pulled: there is a way out to be taken first.
  const stuck = new Set(items.flatMap(({ item, never }) => (never ? [item.id] : [])))
  /** By item, once its pull has been come to. */
  const soonest = new Map<string, number>()
  const own = openSteps(run)
    .filter(({ step }) => step.item === null || step.kind === 'put_in' || !stuck.has(step.item))
    .map((open): NextAction & { readonly kind: 'step' } => {
      const { step, at_s } = open
      if (step.item === null) return { kind: 'step', step: open, at_s }
      // Tender is no reading.
      const board = items.find(({ item }) => item.id === step.item)
      if (step.kind === 'pull' && step.numbers.tender === undefined)
        soonest.set(step.item, (board && soonestPull(board, now_s)) ?? at_s)
      const { reads_c } = step.numbers
      const reads_s = board && reads_c !== undefined ? readsAt(board, reads_c, at_s, now_s) : undefined
      if (reads_s !== undefined) return { kind: 'step', step: { ...open, at_s: reads_s }, at_s: reads_s }
      return { kind: 'step', step: open, at_s: Math.max(at_s, soonest.get(step.item) ?? at_s) }
    })
  const reads = items.flatMap((board) => {
    const { id } = board.item
    const read_s = readNext(
      board,
      Math.min(...own.flatMap(({ step, at_s }) => (step.step.item === id && isRead(step) ? [at_s] : []))),
    )
    return read_s === undefined ? [] : [{ kind: 'read' as const, item: id, at_s: read_s }]
  })
  const pulls = new Map(
    own.flatMap(({ step: { step }, at_s }) => (step.kind === 'pull' && step.item !== null ? [[step.item, at_s]] : [])),
  )
  const steps = own
    .map((action) => ({ ...action, at_s: Math.max(action.at_s, waitsFor(action.step, pulls, items) ?? action.at_s) }))
    .toSorted((a, b) => a.at_s - b.at_s || afterPulls(a.step) - afterPulls(b.step))
  // A probe that lies makes every other time a guess: that first. What is pulled by a reading is read before.
  return [...looks, ...[...reads, ...steps].toSorted((a, b) => a.at_s - b.at_s)]
}
/** Whether a reading says when a step is: a pull, or a change at one. A bath is as hot as it is. */
const isRead = ({ step: { kind, numbers } }: RunStep): boolean =>
  numbers.reads_c !== undefined || (kind === 'pull' && numbers.bath === undefined)
