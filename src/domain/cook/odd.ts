import type { BoardItem } from './board'
import type { Series } from './entry/kind'
import { secondsOf } from './entry/time'

/** What is odd about readings, and whether they are believed all the same. */

/** Something about the readings that a cook should look at. */
export type OddReading =
  | { readonly code: 'lost'; readonly at_s: number; readonly minutes: number }
  | { readonly code: 'pulled_out'; readonly at_s: number; readonly from_c: number; readonly to_c: number }
  | { readonly code: 'moved'; readonly at_s: number; readonly from_c: number; readonly to_c: number }
  | { readonly code: 'swapped'; readonly at_s: number; readonly with: string }
  | { readonly code: 'too_shallow'; readonly at_s: number; readonly depth: number }
  | { readonly code: 'impossible'; readonly at_s: number; readonly value_c: number }
  | { readonly code: 'too_warm'; readonly at_s: number; readonly value_c: number; readonly minutes: number }
  | { readonly code: 'door_open'; readonly at_s: number; readonly drop_k: number }
  | { readonly code: 'core_falling'; readonly at_s: number; readonly drop_k: number; readonly minutes: number }
  | { readonly code: 'oven_falling'; readonly at_s: number; readonly air_c: number; readonly set_c: number }

/**
 * A probe is lost that has said nothing for so long, s: some of its own pauses, where it speaks more seldom than most;
 * after its first word nobody knows those yet.
 */
const LOST = { least_s: 180, pauses: 2.5, of: 6, most_s: 2400, unknown_s: 660 } as const

/**
 * How long a probe that has spoken so may say nothing before it is lost, s.
 * @example lostAfter([0, 60, 120, 180].map((at_s) => ({ at_s, value_c: 20 }))) // 180
 * @example lostAfter([0, 300, 600, 900].map((at_s) => ({ at_s, value_c: 20 }))) // 750
 */
export function lostAfter(series: Series): number {
  const recent = series.slice(-LOST.of - 1)
  const pauses = recent.slice(1).map(({ at_s }, i) => at_s - (recent[i]?.at_s ?? at_s))
  const usual_s = pauses.toSorted((a, b) => a - b)[Math.floor(pauses.length / 2)]
  if (usual_s === undefined) return LOST.unknown_s
  return Math.min(LOST.most_s, Math.max(LOST.least_s, LOST.pauses * usual_s))
}
/** Whether a probe that has spoken so says nothing any more. @param since_s when its roast went in, s */
export const isSilent = (spoken: Series, since_s: number, now_s: number): boolean =>
  now_s - (spoken.at(-1)?.at_s ?? since_s) > lostAfter(spoken)
const JUMP_K = 6
const JUMP_SPAN_S = 120
const JUMP_WINDOW_S = 90
/** Between sparse readings a core goes on as it climbed until then, s, by half as much again; where nobody knows how, so fast, K/s. */
const CLIMBED = { span_s: 900, least_s: 90, over: 1.5, usual: 1.5 / 60 } as const

/** How far a core may have climbed in so long after a reading of a series, K. */
function mayClimb(series: Series, from: number, since: number, apart_s: number): number {
  const { at_s, value_c } = series[from] as Series[number]
  const before = series
    .slice(since, from)
    .find((each) => at_s - each.at_s <= CLIMBED.span_s && at_s - each.at_s >= CLIMBED.least_s)
  const pace = before ? CLIMBED.over * Math.max(0, (value_c - before.value_c) / (at_s - before.at_s)) : CLIMBED.usual
  return pace * apart_s
}
/** Two that changed places are so near to where the other was, K. */
const SWAP_K = 3
const OUT_BELOW_C = 32
/** In a heat that is hotter by this, K, no core falls so far, K, in so long, s; not so soon after it went in, or was out. */
const FALLS = { under_k: 20, drop_k: 0.4, span_s: 600, settled_s: 1200 } as const
/** Air that is so far under what is set, K, for so long, s, read so often. */
const COLD_AIR = { under_k: 25, span_s: 900, readings: 5 } as const
/** What goes in is no warmer than it was said to be by more than this, K, and climbs no faster than this, K/s. */
const TOO_WARM = { over_k: 20, climbs_k_per_s: 3 / 60, soon_s: 1800 } as const
/** What was odd is said for so long, s. */
const STILL_SAID_S = 1800

/**
 * Jumps in a series that no meat makes: each splits it in two sittings.
 * @example jumpsOf([20, 20.4, 29].map((value_c, i) => ({ at_s: i * 60, value_c }))) // [2]
 */
export function jumpsOf(series: Series): number[] {
  const jumps: number[] = []
  for (let i = 1; i < series.length; i++) {
    const to = series[i] as (typeof series)[number]
    const last = jumps.at(-1)
    if (last !== undefined && to.at_s - (series[last] as (typeof series)[number]).at_s < JUMP_SPAN_S) continue
    // Against the reading before, however sparse, and against those of the last minute and a half.
    for (let k = i - 1; k >= 0 && k >= (last ?? 0); k--) {
      const from = series[k] as (typeof series)[number]
      const apart = to.at_s - from.at_s
      if (apart > (k === i - 1 ? JUMP_SPAN_S * 3 : JUMP_WINDOW_S)) break
      const over_k = to.value_c - from.value_c
      if (Math.abs(over_k) < JUMP_K || (over_k > 0 && over_k < JUMP_K + mayClimb(series, k, last ?? 0, apart))) continue
      jumps.push(k + 1)
      break
    }
  }
  return jumps
}

/** The last reading that no meat gives, until somebody has looked or half an hour has gone. */
export function impossibleOf(wrong: Series, now_s: number, looked_s: number): OddReading[] {
  const last = [...wrong].sort((a, b) => a.at_s - b.at_s).at(-1)
  if (!last || now_s - last.at_s > STILL_SAID_S || looked_s > last.at_s) return []
  return [{ code: 'impossible', ...last }]
}

/** An oven that is not on: by its air, or by a core that falls where it should climb. */
export function coldOf(
  { readings, air, in_s, away }: Pick<BoardItem, 'readings' | 'air' | 'in_s' | 'away'>,
  set_c: number | undefined,
  now_s: number,
  looked_s: number,
): OddReading[] {
  if (set_c === undefined) return []
  const since_s = Math.max(in_s ?? now_s, ...away.map(({ to_s }) => to_s))
  const odd: OddReading[] = []
  const now = air.at(-1)
  if (now && now_s - now.at_s < lostAfter(air)) {
    const long = air.filter(({ at_s }) => at_s > now.at_s - COLD_AIR.span_s)
    const spans = now.at_s - (long[0]?.at_s ?? now.at_s) > COLD_AIR.span_s / 2
    const cold = long.every(({ value_c }) => value_c < set_c - COLD_AIR.under_k)
    if (long.length >= COLD_AIR.readings && spans && cold && now.at_s - since_s > COLD_AIR.span_s)
      odd.push({ code: 'oven_falling', at_s: now.at_s, air_c: now.value_c, set_c })
  }
  const latest = readings.at(-1)
  const before = latest && readings.findLast(({ at_s }) => at_s <= latest.at_s - FALLS.span_s)
  if (odd.length > 0 || !latest || !before || latest.at_s <= looked_s || now_s - latest.at_s > lostAfter(readings))
    return odd
  const settled = before.at_s - since_s > FALLS.settled_s && jumpsOf(readings.slice(-60)).length === 0
  const hot = set_c > latest.value_c + FALLS.under_k
  if (settled && hot && before.value_c - latest.value_c >= FALLS.drop_k)
    odd.push({
      code: 'core_falling',
      at_s: latest.at_s,
      drop_k: before.value_c - latest.value_c,
      minutes: Math.round((latest.at_s - before.at_s) / 60),
    })
  return odd
}

/** @param spoken what the probe itself said that decides; undefined where none is in it */
export function oddOf(
  { readings, air, in_s, item }: Pick<BoardItem, 'readings' | 'air' | 'in_s' | 'item'>,
  spoken: Series | undefined,
  now_s: number,
  looked_s: number,
): OddReading[] {
  const odd: OddReading[] = []
  const watched = spoken !== undefined
  const latest = readings.at(-1)
  const last = spoken?.at(-1)
  // Read by hand since, it is known to be lost.
  if (spoken && last && isSilent(spoken, last.at_s, now_s) && (latest === undefined || latest.at_s <= last.at_s))
    odd.push({ code: 'lost', at_s: last.at_s, minutes: Math.round((now_s - last.at_s) / 60) })
  const jump = jumpsOf(readings).at(-1)
  // Its first reading is one that no roast has so soon: the probe hangs elsewhere, in another roast may be.
  const [first] = readings
  const most_c = (at_s: number) =>
    item.roast.start_c + TOO_WARM.over_k + TOO_WARM.climbs_k_per_s * Math.max(0, at_s - (in_s ?? at_s))
  const elsewhere = watched && first && first.value_c > most_c(first.at_s) ? first : undefined
  // Looked at and not read again since, it is as odd as it was.
  if (elsewhere && jump === undefined && latest && (looked_s <= elsewhere.at_s || latest.at_s <= looked_s))
    odd.push({ code: 'too_warm', ...latest, minutes: Math.max(1, Math.round((latest.at_s - (in_s ?? 0)) / 60)) })
  if (jump !== undefined && latest) {
    const from = readings[jump - 1] as (typeof readings)[number]
    // What came of it: the reading a little later says more than the first after the jump.
    const to = (readings.findLast(({ at_s }) => at_s <= (readings[jump]?.at_s ?? 0) + JUMP_SPAN_S) ??
      readings[jump]) as (typeof readings)[number]
    // A later hand on the board says that somebody has looked.
    // Soon after it hung elsewhere it was hung right.
    const hung = elsewhere && to.at_s - elsewhere.at_s < TOO_WARM.soon_s && to.value_c <= most_c(to.at_s)
    if (!hung && looked_s <= to.at_s && now_s - to.at_s < STILL_SAID_S) {
      const cold = to.value_c < OUT_BELOW_C && from.value_c - to.value_c > JUMP_K
      const hot = to.value_c > from.value_c + 25
      odd.push({ code: cold || hot ? 'pulled_out' : 'moved', at_s: to.at_s, from_c: from.value_c, to_c: to.value_c })
    }
  }
  const now = air.at(-1)
  if (now && now_s - now.at_s < lostAfter(air)) {
    const recent = air.filter(({ at_s }) => at_s > now.at_s - 240)
    const high = Math.max(...recent.map(({ value_c }) => value_c))
    if (high - now.value_c > 22) odd.push({ code: 'door_open', at_s: now.at_s, drop_k: high - now.value_c })
  }
  return odd
}

/** Two probes that jumped at the same time, each to where the other was, have changed places. */
export function withSwaps(items: readonly BoardItem[]): BoardItem[] {
  const jumped = (board: BoardItem) => board.odd.find((odd) => odd.code === 'moved' || odd.code === 'pulled_out')
  return items.map((board) => {
    const own = jumped(board)
    const other = items.find((each) => {
      const theirs = jumped(each)
      return (
        each !== board &&
        own !== undefined &&
        theirs !== undefined &&
        'from_c' in own &&
        'from_c' in theirs &&
        Math.abs(own.at_s - theirs.at_s) <= JUMP_SPAN_S &&
        Math.abs(own.to_c - theirs.from_c) < SWAP_K &&
        Math.abs(theirs.to_c - own.from_c) < SWAP_K
      )
    })
    if (!own || !other) return board
    const odd = board.odd.map((each) =>
      each === own ? ({ code: 'swapped', at_s: own.at_s, with: other.item.title } as const) : each,
    )
    return { ...board, odd }
  })
}

/** These say that a probe may not sit where it is said to; the others speak of an oven, or of silence. */
const OF_THE_PROBE = new Set<OddReading['code']>(['moved', 'swapped', 'pulled_out', 'impossible', 'too_warm'])

/** Whether what is read of the meat now is believed: whoever sticks it in by hand knows where. */
export const isBelieved = ({ odd, latest, entries }: Pick<BoardItem, 'odd' | 'latest' | 'entries'>): boolean =>
  odd.every(({ code }) => !OF_THE_PROBE.has(code)) ||
  entries.some(({ kind, at }) => kind === 'reading' && secondsOf(at) === latest?.at_s)
