/**
 * Seeded uniform numbers in [0, 1): the 32-bit mixing generator of T. Ettinger ("mulberry32",
 * public domain, from memory). Same seed, same numbers, on any machine.
 * @example seededRandom(1)() === seededRandom(1)() // true
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = state
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}

/**
 * Standard normal quantile, absolute error under 5e-4.
 * @see M. Abramowitz and I. Stegun, Handbook of Mathematical Functions, 26.2.23.
 * @example normalQuantile(0.9) // ≈ 1.2816
 */
export function normalQuantile(probability: number): number {
  const lower = Math.min(probability, 1 - probability)
  const t = Math.sqrt(-2 * Math.log(Math.max(1e-300, lower)))
  const value = t - (2.515517 + t * (0.802853 + t * 0.010328)) / (1 + t * (1.432788 + t * (0.189269 + t * 0.001308)))
  return probability < 0.5 ? -value : value
}

/** From the middle of a standard normal to its p10, or its p90. */
export const P10_DEVIATIONS = 1.2816

/**
 * Share of a standard normal below a value, absolute error under 7.5e-8.
 * @see M. Abramowitz and I. Stegun, Handbook of Mathematical Functions, 26.2.17 (coefficients from memory).
 * @example normalShare(1.2816) // ≈ 0.9
 */
export function normalShare(value: number): number {
  const x = Math.abs(value)
  const t = 1 / (1 + 0.2316419 * x)
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return value >= 0 ? 1 - tail : tail
}

/**
 * `count` standard normal values, one from each equal slice of probability, shuffled: a Latin hypercube's column.
 * @example stratifiedNormals(4, seededRandom(1)).length // 4
 */
export function stratifiedNormals(count: number, random: () => number): Float64Array {
  const values = Float64Array.from({ length: count }, (_, i) => normalQuantile((i + 0.02 + 0.96 * random()) / count))
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    const swap = values[i] as number
    values[i] = values[j] as number
    values[j] = swap
  }
  return values
}

/**
 * Columns of `count` standard normal values that go with one another no more than chance in the long run: a Latin
 * hypercube whose columns are made orthogonal, each to those before it (Gram–Schmidt).
 * @example uncorrelatedNormals(2, 8, seededRandom(1)).length // 2
 */
export function uncorrelatedNormals(columns: number, count: number, random: () => number): Float64Array[] {
  const found: Float64Array[] = []
  for (let c = 0; c < columns; c++) {
    const half = stratifiedNormals(count >> 1, random)
    const column = new Float64Array(count)
    half.forEach((value, i) => {
      column[2 * i] = value
      column[2 * i + 1] = -value
    })
    const mean = column.reduce((sum, value) => sum + value, 0) / count
    for (let i = 0; i < count; i++) (column[i] as number) -= mean
    // With fewer values than columns nothing is left of them.
    if (count > 2 * columns)
      for (const other of found) {
        let along = 0
        for (let i = 0; i < count; i++) along += ((column[i] as number) * (other[i] as number)) / count
        for (let i = 0; i < count; i++) (column[i] as number) -= along * (other[i] as number)
      }
    const spread = Math.sqrt(column.reduce((sum, value) => sum + value * value, 0) / count) || 1
    for (let i = 0; i < count; i++) (column[i] as number) /= spread
    found.push(column)
  }
  return found
}

/**
 * The value below which a share of the sorted values lies, linear between them.
 * @example quantile([1, 2, 3, 4, 5], 0.5) // 3
 */
export function quantile(sorted: ArrayLike<number>, share: number): number {
  const x = share * (sorted.length - 1)
  const i = Math.min(sorted.length - 2, Math.floor(x))
  if (sorted.length === 1) return sorted[0] as number
  return (sorted[i] as number) + (x - i) * ((sorted[i + 1] as number) - (sorted[i] as number))
}
