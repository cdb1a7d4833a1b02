import type { Stage, Tending } from '../program/stage'
import type { EpochSeconds } from '../units'

/** Everything a cook is ever told to do, from the shop to the table; of two at the same minute the earlier here is said first. */
export const TASK_KINDS = [
  'buy',
  'thaw',
  'shape',
  'salt',
  'brine',
  'unbrine',
  'marinate',
  'dress',
  'set_out',
  'take_out',
  'heat_up',
  'take_off',
  'put_in',
  'change',
  'tend',
  'watch',
  'pull',
  'rest',
  'finish',
  'gravy',
  'carve',
  'dish',
  'pack',
  'serve',
] as const
export type TaskKind = (typeof TASK_KINDS)[number]

/** Done on the days or hours before: late for it makes no promise impossible, and nobody opens a board for it. */
export const AHEAD_KINDS: ReadonlySet<TaskKind> = new Set([
  'buy',
  'thaw',
  'shape',
  'salt',
  'brine',
  'unbrine',
  'marinate',
  'dress',
  'set_out',
])

/** One thing to do, at a time: of one roast or of twenty. Why it is then and not otherwise stands in `because`. */
export interface Task {
  readonly kind: TaskKind
  readonly at: EpochSeconds
  /** How long it takes a cook's hands, s. */
  readonly hands_s: number
  /** Where the time has doubt: the window, p10 to p90. */
  readonly window?: { readonly from: EpochSeconds; readonly to: EpochSeconds } | undefined
  readonly because: Because
  readonly stage?: Stage | undefined
  readonly act?: Tending['act'] | undefined
  /** Of a meal: which item and which heat source, by index, and whose hands. */
  readonly item?: number | undefined
  readonly source?: number | undefined
  readonly cook?: number | undefined
  /** What is to be set, °C; undefined with the heat off. */
  readonly set_c?: number | undefined
  /** Reading at which to pull, °C. */
  readonly pull_c?: number | undefined
}

/** Where a number comes from, as data. */
export interface Because {
  readonly basis: 'model' | 'common_practice' | 'house_rule' | 'standard' | 'promise'
  readonly numbers: Readonly<Record<string, number>>
}

/** How long each takes a cook's hands, s (common practice); carving and dishing up say their own. */
export const HANDS_S: Readonly<Record<TaskKind, number>> = {
  buy: 0,
  thaw: 300,
  shape: 900,
  salt: 600,
  brine: 900,
  unbrine: 600,
  marinate: 900,
  dress: 600,
  set_out: 1200,
  take_out: 300,
  heat_up: 60,
  put_in: 300,
  change: 60,
  tend: 120,
  watch: 0,
  pull: 300,
  take_off: 300,
  rest: 0,
  finish: 300,
  gravy: 900,
  carve: 0,
  dish: 0,
  pack: 600,
  serve: 0,
}

const ORDER = new Map(TASK_KINDS.map((kind, i) => [kind, i]))
/** By the clock; at the same minute in the order they are said. */
export const byClock = (a: Task, b: Task): number => a.at - b.at || (ORDER.get(a.kind) ?? 0) - (ORDER.get(b.kind) ?? 0)

/**
 * A reason with its numbers.
 * @example because('promise') // { basis: 'promise', numbers: {} }
 */
export const because = (basis: Because['basis'], numbers: Record<string, number> = {}): Because => ({ basis, numbers })
