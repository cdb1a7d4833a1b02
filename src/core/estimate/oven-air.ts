import { DOMESTIC_OVEN } from '../heat/oven'
import { ROOM_C } from '../reference/standards'

/**
 * What a probe in the air of an oven says of how that oven heats: how fast it warms, what an opened door costs, how far
 * its thermostat swings, how slowly it cools once it is off. Each as the logarithm over the usual domestic oven, so that nothing is nothing.
 */
export interface OvenWays {
  readonly preheat: number | undefined
  readonly door: number | undefined
  readonly swing: number | undefined
  readonly decay: number | undefined
}

interface Reading {
  readonly at_s: number
  readonly value_c: number
}

/** It begins cold below this, °C. */
const COLD_C = 60
/** Warm-up is read between these shares of the way: the first is the probe's own, the last the thermostat's. */
const FROM_SHARE = 0.3
const TO_SHARE = 0.8
/** A door is looked at so long before and after, s; a thermostat where none was opened for so long. */
const BEFORE_S = 180
const AFTER_S = 240
const AFTER_DOOR_S = 900
/** The oven's first stretch says how it warms, not where it settles, s. */
export const SETTLES_S = 1500
/** Cooling is read so long after the pull, when the door is shut again, s; over so long, and so much, K. */
const SHUT_S = 600
const COOLS_S = 1200
const COOLS_K = 25
/** An oven that is off falls as one curve: what strays from it by more, K, was opened or is on. */
const STRAYS_K = 3
/** Ratios beyond this are a probe that moved or a door left open, as a logarithm. */
const MOST = 1.6

const ratio = (value: number, usual: number): number | undefined => {
  const found = Math.log(value / usual)
  return Number.isFinite(found) && Math.abs(found) < MOST ? found : undefined
}
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

/** When it first read so much, between two readings, s. */
function crossing(readings: readonly Reading[], value_c: number): number | undefined {
  const i = readings.findIndex((each) => each.value_c >= value_c)
  const [before, after] = [readings[i - 1], readings[i]]
  if (!before || !after) return undefined
  const share = (value_c - before.value_c) / (after.value_c - before.value_c)
  return before.at_s + share * (after.at_s - before.at_s)
}

/**
 * @param air readings of a probe in the oven's air, by time, s and °C
 * @param cook put-in and pull, s, the dial, °C, and when the door was opened, s
 */
export function ovenWays(
  air: readonly Reading[],
  cook: { readonly in_s: number; readonly out_s: number; readonly set_c: number; readonly doors_s: readonly number[] },
): OvenWays {
  return {
    preheat: preheatOf(air, cook),
    door: doorOf(air, cook),
    swing: swingOf(air, cook),
    decay: decayOf(air, cook),
  }
}
type Cook = Parameters<typeof ovenWays>[1]

function preheatOf(air: readonly Reading[], { in_s, set_c }: Cook): number | undefined {
  const before = air.filter(({ at_s }) => at_s <= in_s)
  const cold = before.findLastIndex(({ value_c }) => value_c < COLD_C)
  const start = before[cold]
  if (!start) return undefined
  const warming = before.slice(cold)
  const at = (share: number) => crossing(warming, start.value_c + share * (set_c - start.value_c))
  const [from_s, to_s] = [at(FROM_SHARE), at(TO_SHARE)]
  if (from_s === undefined || to_s === undefined || to_s <= from_s) return undefined
  const k_per_s = ((TO_SHARE - FROM_SHARE) * (set_c - start.value_c)) / (to_s - from_s)
  return ratio(k_per_s, DOMESTIC_OVEN.preheat_k_per_s)
}

function doorOf(air: readonly Reading[], { in_s, out_s, doors_s }: Cook): number | undefined {
  const losses = doors_s
    .filter((door_s) => door_s > in_s + SETTLES_S && door_s < out_s - AFTER_S)
    .flatMap((door_s) => {
      const before = air.filter(({ at_s }) => at_s >= door_s - BEFORE_S && at_s <= door_s)
      const after = air.filter(({ at_s }) => at_s > door_s && at_s <= door_s + AFTER_S)
      if (before.length < 2 || after.length < 2) return []
      const was_c = mean(before.map(({ value_c }) => value_c))
      const fell_c = Math.min(...after.map(({ value_c }) => value_c))
      const loss = (was_c - fell_c) / (was_c - ROOM_C)
      return loss > 0.02 && loss < 0.9 ? [loss] : []
    })
  return losses.length === 0 ? undefined : ratio(mean(losses), DOMESTIC_OVEN.door_loss)
}

function swingOf(air: readonly Reading[], { in_s, out_s, doors_s }: Cook): number | undefined {
  const settled = air
    .filter(
      ({ at_s }) =>
        at_s > in_s + SETTLES_S &&
        at_s < out_s &&
        !doors_s.some((door_s) => at_s >= door_s && at_s < door_s + AFTER_DOOR_S),
    )
    .map(({ value_c }) => value_c)
    .sort((a, b) => a - b)
  if (settled.length < 30) return undefined
  const at = (share: number) => settled[Math.floor(share * (settled.length - 1))] as number
  return ratio(Math.max(0.5, (at(0.95) - at(0.05)) / 2), DOMESTIC_OVEN.swing_k)
}

/** After the pull nothing draws on it: an oven that falls by itself is off, and shut. */
function decayOf(air: readonly Reading[], { out_s, set_c }: Cook): number | undefined {
  const falling = air.filter(({ at_s, value_c }) => at_s > out_s + SHUT_S && value_c > COLD_C && value_c < set_c)
  const [first, last] = [falling[0], falling.at(-1)]
  if (!first || !last || falling.length < 10) return undefined
  if (last.at_s - first.at_s < COOLS_S || first.value_c - last.value_c < COOLS_K) return undefined
  const times = falling.map(({ at_s }) => at_s - first.at_s)
  const logs = falling.map(({ value_c }) => Math.log(value_c - ROOM_C))
  const [time, log] = [mean(times), mean(logs)]
  const slope =
    times.reduce((sum, each, i) => sum + (each - time) * ((logs[i] as number) - log), 0) /
    times.reduce((sum, each) => sum + (each - time) ** 2, 0)
  const strays = falling.some(
    ({ value_c }, i) => Math.abs(ROOM_C + Math.exp(log + slope * ((times[i] as number) - time)) - value_c) > STRAYS_K,
  )
  return slope >= 0 || strays ? undefined : ratio(-1 / slope, DOMESTIC_OVEN.decay_s)
}
