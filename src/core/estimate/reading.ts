/** One reading of a probe in the meat. */
export interface Reading {
  /** Since put-in, s. */
  readonly time_s: number
  readonly value_c: number
  /** Which of the piece's bodies it is in; 0 where none is said. */
  readonly body?: number
  /** After the probe was moved it sits at another depth: readings of one sitting share a number, 0 or 1. */
  readonly sitting?: number
}

/** Where readings stand at a moment and how fast they climb, by a straight line through the last of them. */
export interface Level {
  readonly value_c: number
  readonly slope_per_s: number
  /** Standard error of the slope, relative. */
  readonly doubt: number
}

export const LEVEL_SPAN_S = 1500
export const LEVEL_LEAST = 8
/** A rise under this is no pace, K/h. */
const LEAST_K_PER_H = 0.2

/**
 * The readings of the sitting the last one belongs to, in the last 25 minutes before a moment, or longer.
 * @example recentOf([{ time_s: 0, value_c: 5 }, { time_s: 2000, value_c: 9 }], 2000).length // 1
 */
export function recentOf(readings: readonly Reading[], now_s: number, span_s = LEVEL_SPAN_S): Reading[] {
  const last = readings.at(-1)
  if (!last) return []
  return readings.filter(
    ({ time_s, sitting, body }) =>
      time_s > now_s - span_s &&
      time_s <= now_s &&
      (sitting ?? 0) === (last.sitting ?? 0) &&
      (body ?? 0) === (last.body ?? 0),
  )
}

/** A straight line by least squares: where it is at `now_s`, how it climbs, and how far off its values lie, squared. */
function lineThrough(times: readonly number[], values: ArrayLike<number>, now_s: number) {
  const n = times.length
  let middle = 0
  let mean = 0
  for (let i = 0; i < n; i++) {
    middle += (times[i] as number) / n
    mean += (values[i] as number) / n
  }
  let cross = 0
  let square = 0
  for (let i = 0; i < n; i++) {
    cross += ((times[i] as number) - middle) * ((values[i] as number) - mean)
    square += ((times[i] as number) - middle) ** 2
  }
  const slope = cross / square
  let error = 0
  for (let i = 0; i < n; i++) error += ((values[i] as number) - mean - slope * ((times[i] as number) - middle)) ** 2
  return { value_c: mean + slope * (now_s - middle), slope_per_s: slope, square, error }
}
const climbs = (slope_per_s: number): boolean => slope_per_s > LEAST_K_PER_H / 3600

/**
 * A straight line through some values at some times, read at `now_s`; undefined where it would say nothing.
 * @example levelOf([0, 600, 1200, 1800], [10, 11, 12, 13], 1800) // undefined
 */
export function levelOf(times: readonly number[], values: ArrayLike<number>, now_s: number): Level | undefined {
  const n = times.length
  if (n < LEVEL_LEAST) return undefined
  const { value_c, slope_per_s, square, error } = lineThrough(times, values, now_s)
  if (square < 3600 * n || !climbs(slope_per_s)) return undefined
  return { value_c, slope_per_s, doubt: Math.sqrt(error / Math.max(1, n - 2) / square) / slope_per_s }
}

/** A thermometer that is put in by hand is never quite where it was: error of such a reading, K (from memory of kitchens, no source). */
export const BY_HAND_K = 0.7
/** Two nearer than this are one, s. */
const LEAST_APART_S = 180

/**
 * The same through the few readings of a thermometer that is put in by hand, doubted by what one of them may be off. One
 * alone says where it stands and not how fast it climbs: its slope is NaN.
 *
 * @example fewOf([0, 900], [50, 56], 900)?.value_c // 56
 */
export function fewOf(times: readonly number[], values: ArrayLike<number>, now_s: number): Level | undefined {
  const last = values[times.length - 1]
  if (last === undefined) return undefined
  const { value_c, slope_per_s, square } = lineThrough(times, values, now_s)
  if (square < LEAST_APART_S ** 2 / 2)
    return { value_c: last, slope_per_s: Number.NaN, doubt: Number.POSITIVE_INFINITY }
  return climbs(slope_per_s) ? { value_c, slope_per_s, doubt: BY_HAND_K / Math.sqrt(square) / slope_per_s } : undefined
}

const LINE_S = 1200
/**
 * The cook's usual tool: a straight line through the last twenty minutes, s. Infinity while it does not rise.
 * @example straightLine([{ time_s: 0, value_c: 20 }, { time_s: 600, value_c: 30 }], 50) // 1800
 */
export function straightLine(readings: readonly Reading[], pull_c: number): number {
  const last = readings.at(-1)
  if (!last) return Number.POSITIVE_INFINITY
  const from = readings.find(({ time_s }) => time_s >= last.time_s - LINE_S) ?? last
  const slope = (last.value_c - from.value_c) / (last.time_s - from.time_s)
  return slope > 0 ? last.time_s + (pull_c - last.value_c) / slope : Number.POSITIVE_INFINITY
}

/**
 * A careful cook's tool: an exponential towards a level of its own through the last 25 minutes, by least squares, s.
 * Where it bends the wrong way or levels off too low, the straight line. Infinity while it does not rise.
 * @example Math.round(exponentialFit([{ time_s: 0, value_c: 20 }, { time_s: 600, value_c: 30 }], 50)) // 1800
 */
export function exponentialFit(readings: readonly Reading[], pull_c: number): number {
  const last = readings.at(-1)
  if (!last) return Number.POSITIVE_INFINITY
  const near = readings.filter(({ time_s }) => time_s >= last.time_s - LEVEL_SPAN_S)
  const straight = straightLine(readings, pull_c)
  if (near.length < LEVEL_LEAST || last.value_c >= pull_c) return straight
  const my = near.reduce((sum, { value_c }) => sum + value_c, 0) / near.length
  let best = { misfit: Number.POSITIVE_INFINITY, end_s: straight }
  for (let tau = 900; tau < 200_000; tau *= 1.15)
    for (const sign of [1, -1]) {
      // value = a + b·e^(∓(t − last)/τ): linear in a and b; falling curvature first, then rising.
      const x = near.map(({ time_s }) => Math.exp((-sign * (time_s - last.time_s)) / tau))
      const mx = x.reduce((sum, v) => sum + v, 0) / x.length
      let cross = 0
      let square = 0
      near.forEach(({ value_c }, i) => {
        cross += ((x[i] as number) - mx) * (value_c - my)
        square += ((x[i] as number) - mx) ** 2
      })
      const b = cross / Math.max(1e-12, square)
      const a = my - b * mx
      const misfit = near.reduce((sum, { value_c }, i) => sum + (value_c - a - b * (x[i] as number)) ** 2, 0)
      const share = (pull_c - a) / b
      if (misfit >= best.misfit || !(share > 0)) continue
      const end_s = last.time_s - sign * tau * Math.log(share)
      if (end_s > last.time_s) best = { misfit, end_s }
    }
  return best.end_s
}
