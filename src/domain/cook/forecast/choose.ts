import { verdictOf } from '@/core/doneness/wanted'
import { donenessScale } from '@/core/reference/doneness'
import { DANGER_ZONE_C } from '@/core/reference/standards'
import { leastOven } from '@/core/safety/cautions'
import { SURE } from '@/core/safety/least'
import type { Advice } from './advice'
import type { Belief } from './belief'

/** What a way out costs: what a cook weighs before choosing it. */
export interface Cost {
  /** On the table after the promise that stands, s; before it: negative. */
  readonly late_s: number
  /** Guests are told another time, by so much, s. */
  readonly told_s: number
  /** Peak less wanted, K. */
  readonly off_k: number
  readonly crust: 'as_planned' | 'paler' | 'darker'
  /** Hands: nothing, a dial, some work, two people. */
  readonly effort: 0 | 1 | 2 | 3
  /** What can burn or spoil. */
  readonly care: 'none' | 'hot_tins' | 'hot_fat' | 'keep_hot' | 'slow_oven'
}

/** One of at most four ways out that are shown. */
export interface Way extends Advice {
  readonly cost: Cost
  readonly best: boolean
  /** What speaks for it. */
  readonly why: 'keeps_both' | 'keeps_time' | 'keeps_doneness' | 'least_harm'
}

/** No more are shown: a cook with hot hands reads four lines. */
const MOST = 4
/** Within this of the promise is on time, s. */
const ON_TIME_S = 300
/** So much later nobody at the table notices, s: what is foreseen late grows later more often than not. */
const UNNOTICED_S = 120

/** So much more done it is more tender, K. */
const MUCH_MORE_K = 10
/** As minutes of guests waiting: a cook may have a reason for a way that costs a little more. */
const WORSE_BY = 20

const EFFORT: Readonly<Record<Advice['code'], Cost['effort']>> = {
  leave_it: 0,
  pull_at: 0,
  oven_up: 1,
  oven_down: 1,
  pull_now: 1,
  later_promise: 2,
  earlier_promise: 2,
  hold: 2,
  short_rest: 1,
  skip_finish: 1,
  pan_finish: 2,
  thin_end_first: 2,
  swap_ovens: 3,
  other_heat: 3,
}
/** What does the same to the plate: only the better of them is shown. */
const FAMILY: Readonly<Partial<Record<Advice['code'], string>>> = {
  oven_up: 'oven',
  oven_down: 'oven',
  other_heat: 'oven',
  skip_finish: 'finish',
  pan_finish: 'finish',
  later_promise: 'promise',
  earlier_promise: 'promise',
}
const CARE: Readonly<Partial<Record<Advice['code'], Cost['care']>>> = {
  swap_ovens: 'hot_tins',
  other_heat: 'hot_tins',
  pan_finish: 'hot_fat',
  hold: 'keep_hot',
}

/** Cooler than is advised for such a piece, before it reads as hot as what is held hot: it is long on its way there. */
const isSlow = ({ set_c }: Advice, { latest }: Belief['board'], { piece }: Belief['setup']): boolean =>
  set_c !== undefined && set_c < leastOven(piece.cut) && !((latest?.value_c ?? 0) >= DANGER_ZONE_C.high)

/** What a way out costs against the promise and the doneness that were wanted. */
export function costOf(advice: Advice, { board, setup }: Pick<Belief, 'board' | 'setup'>): Cost {
  const finishes = setup.program.stages.some(({ role }) => role === 'finish')
  const told_s = advice.promise_s === undefined ? 0 : advice.promise_s - board.promise_s
  return {
    late_s: advice.plate_s - board.promise_s - told_s,
    told_s,
    off_k: advice.peak_c - board.item.serve_c,
    crust:
      advice.code === 'oven_up' || advice.code === 'swap_ovens'
        ? 'darker'
        : advice.code === 'oven_down' || advice.code === 'skip_finish' || (advice.code === 'pull_now' && !finishes)
          ? 'paler'
          : 'as_planned',
    effort: EFFORT[advice.code],
    care: isSlow(advice, board, setup) ? 'slow_oven' : (CARE[advice.code] ?? 'none'),
  }
}

/** Minutes of guests waiting, as a scale for all the rest (common practice: what a cook gives up for what). */
const WEIGHT = {
  latePerMin: 1.5,
  standingPerMin: 0.4,
  toldLaterPerMin: 0.5,
  toldSoonerPerMin: 1,
  telling: 4,
  overPerK: 4,
  underPerK: 3,
  /** Less done where less is not safe. */
  unsafePerK: 20,
  /** What was to fall apart and does not is another dish. */
  tough: 60,
  /** A chance of harm, whole: so much is waited to be rid of it. */
  unsafe: 60,
  paler: 4,
  effort: 1.5,
  shortRest: 4,
  held: 4,
  slowOven: 3,
} as const

/** What a tough cut reads when it falls apart, by its scale, where it is wanted so, °C. */
export function apartFrom({ board, setup }: Pick<Belief, 'board' | 'setup'>): number | undefined {
  const { doneness } = setup.piece.cut
  const last = donenessScale(doneness).degrees.at(-1)
  return doneness === 'tender' && last !== undefined && board.item.serve_c >= last.from_c ? last.from_c : undefined
}
/** Wanted to fall apart, and carved before it does. */
const isTough = ({ peak_c }: Advice, belief: Pick<Belief, 'board' | 'setup'>): boolean =>
  peak_c < (apartFrom(belief) ?? Number.NEGATIVE_INFINITY)

function harm(advice: Advice, cost: Cost, belief: Pick<Belief, 'board' | 'setup' | 'floor_c'>): number {
  const { floor_c } = belief
  if (advice.never) return Number.POSITIVE_INFINITY
  const late = Math.max(0, cost.late_s - UNNOTICED_S) / 60
  const standing = Math.max(0, -cost.late_s - ON_TIME_S) / 60
  const told = cost.told_s / 60
  const off = Math.max(0, Math.abs(cost.off_k) - 1)
  const under = floor_c === undefined ? WEIGHT.underPerK : WEIGHT.unsafePerK
  return (
    late * WEIGHT.latePerMin +
    standing * WEIGHT.standingPerMin +
    (told === 0 ? 0 : WEIGHT.telling + Math.abs(told) * (told > 0 ? WEIGHT.toldLaterPerMin : WEIGHT.toldSoonerPerMin)) +
    off * (cost.off_k > 0 ? WEIGHT.overPerK : under) +
    (isTough(advice, belief) ? WEIGHT.tough : 0) +
    (advice.safe === undefined ? 0 : Math.max(0, SURE - advice.safe) * WEIGHT.unsafe) +
    (cost.crust === 'paler' ? WEIGHT.paler : 0) +
    cost.effort * WEIGHT.effort +
    (advice.code === 'short_rest' ? WEIGHT.shortRest : 0) +
    (advice.code === 'hold' ? WEIGHT.held : 0) +
    (cost.care === 'slow_oven' ? WEIGHT.slowOven : 0)
  )
}

const whyOf = ({ late_s, told_s, off_k }: Cost): Way['why'] => {
  const time = Math.abs(late_s) <= ON_TIME_S && told_s === 0
  const done = verdictOf(off_k) === 'as_wanted'
  return time && done ? 'keeps_both' : time ? 'keeps_time' : done ? 'keeps_doneness' : 'least_harm'
}

/**
 * The ways out that are shown: the best first and marked, leaving it always among them with what comes
 * of it, at most four and no two that do the same.
 */
export function chooseWays(found: readonly Advice[], belief: Pick<Belief, 'board' | 'setup' | 'floor_c'>): Way[] {
  const weighed = found
    .map((advice) => ({ advice, cost: costOf(advice, belief) }))
    .map((each) => ({ ...each, harm: harm(each.advice, each.cost, belief) }))
    .sort((a, b) => a.harm - b.harm || a.cost.effort - b.cost.effort)
  const families = new Set<string>()
  const distinct = weighed.filter(({ advice: { code } }) => {
    const family = FAMILY[code] ?? code
    if (families.has(family)) return false
    families.add(family)
    return true
  })
  const left = distinct.find(({ advice }) => advice.code === 'leave_it')
  // What does more harm than leaving it is no way out.
  const worst = (left?.harm ?? Number.POSITIVE_INFINITY) + WORSE_BY
  // What is left tough is told what would make it tender, however late that is.
  const tender =
    left && isTough(left.advice, belief)
      ? distinct.find(({ advice }) => !isTough(advice, belief) || advice.peak_c > left.advice.peak_c + MUCH_MORE_K)
      : undefined
  const others = distinct
    .filter((each) => each !== left && (each.harm <= worst || each === tender))
    .slice(0, left ? MOST - 1 : MOST)
  return [...others, ...(left ? [left] : [])]
    .sort((a, b) => a.harm - b.harm || a.cost.effort - b.cost.effort)
    .map(({ advice, cost, harm }, i) => ({
      ...advice,
      cost,
      best: i === 0 && Number.isFinite(harm),
      why: whyOf(cost),
    }))
}
