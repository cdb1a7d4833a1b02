import type { Shaping } from '../reference/cuts'
import { STANDARDS } from '../reference/standards'
import { epochSeconds } from '../units'
import { because, HANDS_S, type Task, type TaskKind } from './task'

/** What is done to a piece on the days before it is roasted. */
export type Preparation = 'none' | 'dry_salt' | 'wet_brine' | 'marinade' | 'acid_marinade'

const HOUR_S = 3600
const DAY_S = 24 * HOUR_S
/** How long ahead each preparation is wanted, s. */
export const AHEAD_S: Readonly<Record<Preparation, number>> = {
  none: 0,
  dry_salt: STANDARDS.saltAhead.value,
  wet_brine: STANDARDS.brineAhead.value,
  marinade: STANDARDS.marinateAhead.value,
  acid_marinade: STANDARDS.acidAhead.value,
}
/** On its rack in the tin so long before it leaves the fridge, s (common practice). */
const DRESSED_S = 2 * HOUR_S
const DRIES_S = STANDARDS.brinedDries.value

/** When they eat, s since 1970, and what the kitchen's clock shows beyond UTC then, s; undefined where nobody knows. */
export interface TableClock {
  readonly serving_s: number
  readonly zone_s?: number | undefined
}

/** Nobody is up from eleven at night to half past six; what falls there is done half an hour before bed. */
const NIGHT_H = { from: 23, bed: 22.5, to: 6.5 } as const
/** Where nobody knows the clock, the night is counted from the serving, as of a supper at seven. */
const SUPPER_H = 19
const sinceMidnight = (at_s: number): number => ((at_s % DAY_S) + DAY_S) % DAY_S
const hourOf = (at_s: number, { serving_s, zone_s }: TableClock): number =>
  sinceMidnight(zone_s === undefined ? at_s - serving_s + SUPPER_H * HOUR_S : at_s + zone_s) / HOUR_S

/**
 * The same instant, or the evening before where it falls into the night.
 * @example beforeBed(4 * 3600, { serving_s: 12 * 3600, zone_s: 0 }) // -5400
 * @example beforeBed(8 * 3600, { serving_s: 12 * 3600, zone_s: 0 }) // 28800
 */
export function beforeBed(at_s: number, table: TableClock): number {
  const hour = hourOf(at_s, table)
  if (hour > NIGHT_H.to && hour < NIGHT_H.from) return at_s
  return at_s - (hour >= NIGHT_H.from ? hour - NIGHT_H.bed : hour + 24 - NIGHT_H.bed) * HOUR_S
}

/** So long after it should be out of the freezer nothing is said yet, s. */
export const THAW_GRACE_S = 360

/** How a frozen piece thaws: in the fridge, or the same day in cold water that is changed every half hour. */
export interface Thaw {
  readonly how: 'fridge' | 'water'
  /** How long it takes, s. */
  readonly takes_s: number
}

/** What a whole table asks for beside its roasts' own days, s since 1970. */
export interface AroundTheTable extends TableClock {
  /** The first thing anybody does for it. */
  readonly first_s: number
  /** When the first of it goes on heat. */
  readonly in_s: number
}

/** Knives, boards and tins so long before the first goes in (common practice), s; and when it is shopped, by the clock. */
const LAID_S = 3 * HOUR_S
const SHOPS_H = 10

/** The shop before the first day of work, and the kitchen laid out in the morning: of one roast or of twenty. */
export const aroundTheTable = ({ first_s, in_s, ...table }: AroundTheTable): Task[] => {
  const task = (kind: TaskKind, at_s: number): Task => ({
    kind,
    at: epochSeconds(at_s),
    hands_s: HANDS_S[kind],
    because: because('common_practice'),
  })
  return [task('buy', shoppedAt(first_s, table)), task('set_out', beforeBed(in_s - LAID_S, table) - HANDS_S.set_out)]
}

/** The last time that shops are open before anything is done, by the kitchen's clock: at ten; else eight hours before a table. */
function shoppedAt(first_s: number, { serving_s, zone_s }: TableClock): number {
  if (zone_s === undefined) return serving_s - Math.ceil((serving_s - first_s) / DAY_S) * DAY_S - 8 * HOUR_S
  const latest_s = first_s - HOUR_S
  return latest_s - sinceMidnight(latest_s + zone_s - SHOPS_H * HOUR_S)
}

/** How it is shaped, as a reason says it. */
const SHAPED: Readonly<Record<Shaping, Readonly<Record<string, number>>>> = {
  tie: {},
  flatten: { flat: 1 },
  even: { even: 1 },
}

/** When it comes out of the freezer, s, and what is to be said of it. */
function thawAt({ how, takes_s }: Thaw, thawed_s: number, table: TableClock): [number, Record<string, number>] {
  const at_s = thawed_s - takes_s
  // Someone is up to change the water.
  return how === 'water' ? [at_s, { water_h: takes_s / HOUR_S }] : [beforeBed(at_s, table), {}]
}

/**
 * Salt, brine, marinade and thawing, back from when the piece must be ready for the bench.
 *
 * @param thaw undefined where nothing is frozen
 * @param ready_s when it leaves the fridge, s since 1970
 * @param in_s when it goes in, s since 1970
 * @param table when they eat: nobody is woken at night
 * @param shape what is done to its shape
 * @param tin whether it goes into its tin on a rack
 */
export function daysBefore(
  preparation: Preparation,
  thaw: Thaw | undefined,
  ready_s: number,
  in_s: number,
  table: TableClock,
  { shape, tin }: { readonly shape: Shaping | undefined; readonly tin: boolean },
): { readonly tasks: readonly Task[]; readonly prepared_s: number } {
  // Thawed in water it is cooked the same day: salt has the least time that is worth it.
  const ahead_s = preparation === 'dry_salt' && thaw?.how === 'water' ? STANDARDS.saltLeast.value : AHEAD_S[preparation]
  const unbrined_s = beforeBed(ready_s - DRIES_S, table)
  const wanted = (preparation === 'wet_brine' ? unbrined_s : ready_s) - ahead_s
  // Acid bears no longer than its hours: that one is done when it must be.
  const sameDay = thaw?.how === 'water' && ahead_s <= STANDARDS.saltLeast.value
  const prepared_s = preparation === 'acid_marinade' || sameDay ? wanted : beforeBed(wanted, table)
  const task = (kind: TaskKind, at_s: number, numbers: Readonly<Record<string, number>> = {}): Task => ({
    kind,
    at: epochSeconds(at_s),
    hands_s: HANDS_S[kind],
    because: because('common_practice', numbers),
  })
  // What is still frozen is not tied, and not dressed.
  const dressed_s = Math.max(
    sameDay ? Math.max(ready_s - DRESSED_S, prepared_s) : beforeBed(ready_s - DRESSED_S, table),
    preparation === 'wet_brine' ? unbrined_s : Number.NEGATIVE_INFINITY,
  )
  const shape_s = (sameDay ? prepared_s : Math.min(prepared_s, dressed_s)) - HANDS_S.shape
  const hours = { ahead_h: (in_s - prepared_s) / HOUR_S }
  return {
    prepared_s,
    tasks: [
      ...(preparation === 'dry_salt' ? [task('salt', prepared_s, hours)] : []),
      ...(preparation === 'wet_brine' ? [task('brine', prepared_s, hours), task('unbrine', unbrined_s)] : []),
      ...(preparation === 'marinade' || preparation === 'acid_marinade' ? [task('marinate', prepared_s, hours)] : []),
      ...(shape ? [task('shape', shape_s, SHAPED[shape])] : []),
      ...(tin ? [task('dress', dressed_s)] : []),
      ...(thaw ? [task('thaw', ...thawAt(thaw, shape ? shape_s : prepared_s, table))] : []),
    ],
  }
}

/** When such a piece must come out of the freezer, s since 1970. */
export const thawStart = (
  preparation: Preparation,
  thaw: Thaw,
  ready_s: number,
  in_s: number,
  table: TableClock,
  shape: Shaping | undefined,
): number =>
  daysBefore(preparation, thaw, ready_s, in_s, table, { shape, tin: false }).tasks.find(({ kind }) => kind === 'thaw')
    ?.at ?? ready_s
