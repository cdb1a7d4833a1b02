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

/** Counted from the serving, nobody is up from 4 to 12 hours after it; what falls there is done half an hour before bed. */
export function beforeBed(at_s: number, serving_s: number): number {
  const after = (((at_s - serving_s) % DAY_S) + DAY_S) % DAY_S
  return after > 4 * HOUR_S && after < 12 * HOUR_S ? at_s - (after - 3.5 * HOUR_S) : at_s
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
export interface AroundTheTable {
  /** The first thing anybody does for it. */
  readonly first_s: number
  /** When the first of it goes on heat. */
  readonly in_s: number
  /** When they eat, the last of several. */
  readonly serving_s: number
}

const MORNING_S = 10 * HOUR_S
/** Nobody is up for that before a lunch: no sooner than so long before the first goes in. */
const LAID_S = 3 * HOUR_S

/** The shop before the first day of work, and the kitchen laid out in the morning: of one roast or of twenty. */
export const aroundTheTable = ({ first_s, in_s, serving_s }: AroundTheTable): Task[] => {
  const task = (kind: TaskKind, at_s: number): Task => ({
    kind,
    at: epochSeconds(at_s),
    hands_s: HANDS_S[kind],
    because: because('common_practice'),
  })
  return [
    task('buy', serving_s - Math.ceil((serving_s - first_s) / DAY_S) * DAY_S - 8 * HOUR_S),
    task('set_out', Math.min(Math.max(serving_s - MORNING_S, in_s - LAID_S), in_s - HOUR_S)),
  ]
}

/** How it is shaped, as a reason says it. */
const SHAPED: Readonly<Record<Shaping, Readonly<Record<string, number>>>> = {
  tie: {},
  flatten: { flat: 1 },
  even: { even: 1 },
}

/** When it comes out of the freezer, s, and what is to be said of it. */
function thawAt({ how, takes_s }: Thaw, thawed_s: number, serving_s: number): [number, Record<string, number>] {
  const at_s = thawed_s - takes_s
  // Someone is up to change the water.
  return how === 'water' ? [at_s, { water_h: takes_s / HOUR_S }] : [beforeBed(at_s, serving_s), {}]
}

/**
 * Salt, brine, marinade and thawing, back from when the piece must be ready for the bench.
 *
 * @param thaw undefined where nothing is frozen
 * @param ready_s when it leaves the fridge, s since 1970
 * @param in_s when it goes in, s since 1970
 * @param serving_s when they eat: nobody is woken at night, s since 1970
 * @param shape what is done to its shape
 * @param tin whether it goes into its tin on a rack
 */
export function daysBefore(
  preparation: Preparation,
  thaw: Thaw | undefined,
  ready_s: number,
  in_s: number,
  serving_s: number,
  { shape, tin }: { readonly shape: Shaping | undefined; readonly tin: boolean },
): { readonly tasks: readonly Task[]; readonly prepared_s: number } {
  // Thawed in water it is cooked the same day: salt has the least time that is worth it.
  const ahead_s = preparation === 'dry_salt' && thaw?.how === 'water' ? STANDARDS.saltLeast.value : AHEAD_S[preparation]
  const wanted = ready_s - ahead_s - (preparation === 'wet_brine' ? DRIES_S : 0)
  // Acid bears no longer than its hours: that one is done when it must be.
  const sameDay = thaw?.how === 'water' && ahead_s <= STANDARDS.saltLeast.value
  const prepared_s = preparation === 'acid_marinade' || sameDay ? wanted : beforeBed(wanted, serving_s)
  const task = (kind: TaskKind, at_s: number, numbers: Readonly<Record<string, number>> = {}): Task => ({
    kind,
    at: epochSeconds(at_s),
    hands_s: HANDS_S[kind],
    because: because('common_practice', numbers),
  })
  // What is still frozen is not tied, and not dressed.
  const shape_s = (sameDay ? prepared_s : Math.min(prepared_s, ready_s - DRESSED_S)) - HANDS_S.shape
  const hours = { ahead_h: (in_s - prepared_s) / HOUR_S }
  return {
    prepared_s,
    tasks: [
      ...(preparation === 'dry_salt' ? [task('salt', prepared_s, hours)] : []),
      ...(preparation === 'wet_brine' ? [task('brine', prepared_s, hours), task('unbrine', ready_s - DRIES_S)] : []),
      ...(preparation === 'marinade' || preparation === 'acid_marinade' ? [task('marinate', prepared_s, hours)] : []),
      ...(shape ? [task('shape', shape_s, SHAPED[shape])] : []),
      ...(tin ? [task('dress', sameDay ? Math.max(ready_s - DRESSED_S, prepared_s) : ready_s - DRESSED_S)] : []),
      ...(thaw ? [task('thaw', ...thawAt(thaw, shape ? shape_s : prepared_s, serving_s))] : []),
    ],
  }
}

/** When such a piece must come out of the freezer, s since 1970. */
export const thawStart = (
  preparation: Preparation,
  thaw: Thaw,
  ready_s: number,
  in_s: number,
  serving_s: number,
  shape: Shaping | undefined,
): number =>
  daysBefore(preparation, thaw, ready_s, in_s, serving_s, { shape, tin: false }).tasks.find(
    ({ kind }) => kind === 'thaw',
  )?.at ?? ready_s
