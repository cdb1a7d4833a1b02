import type { BirdPosition, Tending } from '@/core/program/stage'
import type { StageChange } from '@/core/simulate/stepper'
import type { CookEntry } from '../cook-document'

/** Readings of one probe, oldest first; cook time, s, and °C. */
export type Series = readonly { readonly at_s: number; readonly value_c: number }[]

export type ItemState = 'waiting' | 'in' | 'resting' | 'finishing' | 'carving' | 'served' | 'given_up'

/**
 * Whether nothing more is done to a roast: it is on the table, or never comes there.
 * @example hasEnded('given_up') // true
 */
export const hasEnded = (state: ItemState): boolean => state === 'served' || state === 'given_up'

/** Ends otherwise than planned, decided while a roast is in: ten minutes of rest, a pan for its hot finish, kept hot until its table. */
export const ENDINGS = ['short_rest', 'pan_finish', 'hold'] as const
export type Ending = (typeof ENDINGS)[number]
/**
 * The ending that an entry's text names.
 * @example endingNamed('hold') // 'hold'
 */
export const endingNamed = (text: string | null): Ending | undefined => ENDINGS.find((each) => each === text)

/** When a pull is foreseen, cook time, s, and when that was said. */
export interface Arrival {
  readonly at_s: number
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

/** What the log says of one roast; made by folding its entries, each by the effect of its kind. */
export interface ItemLog {
  state: ItemState
  /** When it first went in, s; a piece that was out by mistake and is back in keeps it. */
  in_s: number | undefined
  out_s: number | undefined
  finish_s: number | undefined
  /** Out of its hot finish, to rest before the knife. */
  off_s: number | undefined
  /** A hot finish that it has had, and that it went back into the heat after. */
  finished: { readonly from_s: number; readonly to_s: number } | undefined
  carve_s: number | undefined
  served_s: number | undefined
  /** Its stuffing is in a dish since. */
  spooned_s: number | undefined
  /** The newest that was kept since it went in. */
  arrival: Arrival | undefined
  /** As it is, it never gets there: foreseen last, and nothing was done about it since. */
  never: boolean
  /** Spells outside the oven in mid-cook, s. */
  away: { from_s: number; to_s: number }[]
  promise_s: number | undefined
  pull_c: number | undefined
  /** How its end was decided to go otherwise than planned. */
  endings: Set<Ending>
  oven_name: string | undefined
  settings: { at_s: number; set_c: number }[]
  hand: { at_s: number; value_c: number; point: string }[]
  /** By device and channel: one point may have two, a probe is in one place. */
  probes: Map<string, { device: string | null; channel: number | null; point: string }>
  /** Somebody has looked: what was odd before is answered. */
  looked_s: number
  /** How it ate, by respect. */
  ate: Map<string, string>
}

/** A step moved to another time, and perhaps to another heat. */
export interface Shift {
  readonly at_s: number
  /** Id of the source it goes to. */
  readonly source: string | undefined
  readonly set_c: number | undefined
}

/** What the log says of a cook. */
export interface CookLog {
  readonly items: Map<string, ItemLog>
  /** What a probe reads too much, K, by device and channel. */
  readonly offsets: Map<string, number>
  /** A promise moved for all. */
  promise_s: number | undefined
  /** Steps of the plan by their ids: done when, left out, done at another time. */
  readonly ticked: Map<string, number>
  readonly skipped: Set<string>
  readonly shifted: Map<string, Shift>
  /** What was done to a roast without saying which step of the plan it was. */
  readonly loose: { readonly item: string; readonly kind: CookEntry['kind']; readonly at_s: number }[]
  /** Alarms that were answered. */
  readonly heard: Set<string>
}

/**
 * A roast of which nothing has been said yet.
 * @example freshItem().state // 'waiting'
 */
export const freshItem = (): ItemLog => ({
  state: 'waiting',
  in_s: undefined,
  out_s: undefined,
  finish_s: undefined,
  off_s: undefined,
  finished: undefined,
  carve_s: undefined,
  served_s: undefined,
  spooned_s: undefined,
  arrival: undefined,
  never: false,
  away: [],
  promise_s: undefined,
  pull_c: undefined,
  endings: new Set(),
  oven_name: undefined,
  settings: [],
  hand: [],
  probes: new Map(),
  looked_s: Number.NEGATIVE_INFINITY,
  ate: new Map(),
})

/** The fields of an entry beyond what all have. */
export type EntryField = 'value_c' | 'point' | 'device' | 'channel' | 'of' | 'text'

/**
 * One kind of entry: what it must say, what it does to the log, and what it changes in the meat's
 * surroundings. A new kind is a file like its neighbours, a row in `index.ts` and a word in `words`;
 * the compiler names the rest.
 */
export interface EntryKind {
  /** Fields that must be said. */
  readonly needs: readonly EntryField[]
  /** Whether it must name its roast. */
  readonly ofItem: boolean
  /** Why what it says cannot be; undefined where it can. */
  readonly cannot?: (entry: CookEntry) => string | undefined
  /** Its effect on its roast; undefined where it has none. */
  readonly onItem?: (item: ItemLog, entry: CookEntry, at_s: number) => void
  /** Its effect on the whole cook. */
  readonly onCook?: (log: CookLog, entry: CookEntry, at_s: number) => void
  /**
   * What it did to the meat's surroundings, as the stepper takes it; `planned` are the acts the program
   * does by itself, which are not done twice.
   */
  readonly change?: (entry: CookEntry, planned: ReadonlySet<Tending['act']>) => Omit<StageChange, 'time_s'> | undefined
}

/** A kind that only stands in the log. */
export const SEEN_ONLY: EntryKind = { needs: [], ofItem: true }
export const UP: BirdPosition = 'breast_up'
/**
 * @example probeKey('dev', 2) // 'dev/2'
 */
export const probeKey = (device: string | null, channel: number | null): string => `${device}/${channel}`
