/**
 * Solves A X = B for symmetric positive A by Cholesky's method. In place on copies.
 *
 * @param a size by size, row by row
 * @param b size by columns, row by row
 * @example solveSymmetric(Float64Array.of(4), Float64Array.of(8), 1, 1)[0] // 2
 */
export function solveSymmetric(a: Float64Array, b: Float64Array, size: number, columns: number): Float64Array {
  const l = Float64Array.from(a)
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = l[i * size + j] as number
      for (let k = 0; k < j; k++) sum -= (l[i * size + k] as number) * (l[j * size + k] as number)
      l[i * size + j] = i === j ? Math.sqrt(Math.max(1e-12, sum)) : sum / (l[j * size + j] as number)
    }
  const x = Float64Array.from(b)
  for (let c = 0; c < columns; c++) {
    for (let i = 0; i < size; i++) {
      let sum = x[i * columns + c] as number
      for (let k = 0; k < i; k++) sum -= (l[i * size + k] as number) * (x[k * columns + c] as number)
      x[i * columns + c] = sum / (l[i * size + i] as number)
    }
    for (let i = size - 1; i >= 0; i--) {
      let sum = x[i * columns + c] as number
      for (let k = i + 1; k < size; k++) sum -= (l[k * size + i] as number) * (x[k * columns + c] as number)
      x[i * columns + c] = sum / (l[i * size + i] as number)
    }
  }
  return x
}

/**
 * One round of the ensemble smoother with multiple data assimilation: members are moved towards the readings by
 *
 *   θ ← θ + C_θd (C_dd + α R)⁻¹ (d − d̄ − s (d(θ) − d̄))
 *
 * No noise is drawn: the mean goes all the way, what members differ by a share of it. The mean is as theory
 * has it; the spread too where a round says little and the share is a half, and wider where it says much, which is as it
 * should be: it is the model that is surest there and may be wrong.
 *
 * | symbol | argument | meaning |
 * |---|---|---|
 * | θ | theta | unknowns, one array of members each; moved in place |
 * | d(θ), d̄ | predictions | what each member says each reading is, row by reading; their mean |
 * | d | readings | what was read |
 * | s | share | share of the way that differences go, a half by theory where a round says little |
 * | α R | noise | variance of one reading's error, already times the number of rounds |
 *
 * @see A. A. Emerick and A. C. Reynolds, Computers & Geosciences 55 (2013) 3–15, for the rounds; P. Sakov and P. R. Oke,
 * Tellus A 60 (2008) 361–371, for doing without noise (both from memory).
 */
export function smooth(
  theta: readonly Float64Array[],
  predictions: Float64Array,
  readings: readonly number[],
  members: number,
  noise: number,
  share = 0.5,
): void {
  const size = readings.length
  const mean = new Float64Array(size)
  for (let k = 0; k < size; k++) {
    let sum = 0
    for (let m = 0; m < members; m++) sum += predictions[k * members + m] as number
    mean[k] = sum / members
  }
  const cdd = new Float64Array(size * size)
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = 0
      for (let m = 0; m < members; m++)
        sum +=
          ((predictions[i * members + m] as number) - (mean[i] as number)) *
          ((predictions[j * members + m] as number) - (mean[j] as number))
      cdd[i * size + j] = sum / (members - 1) + (i === j ? noise : 0)
      cdd[j * size + i] = cdd[i * size + j] as number
    }
  const innovation = new Float64Array(size * members)
  for (let k = 0; k < size; k++)
    for (let m = 0; m < members; m++)
      innovation[k * members + m] =
        (readings[k] as number) -
        (mean[k] as number) -
        share * ((predictions[k * members + m] as number) - (mean[k] as number))
  const weights = solveSymmetric(cdd, innovation, size, members)
  for (const column of theta) {
    let average = 0
    for (let m = 0; m < members; m++) average += column[m] as number
    average /= members
    const cross = new Float64Array(size)
    for (let k = 0; k < size; k++) {
      let sum = 0
      for (let m = 0; m < members; m++)
        sum += ((column[m] as number) - average) * ((predictions[k * members + m] as number) - (mean[k] as number))
      cross[k] = sum / (members - 1)
    }
    for (let m = 0; m < members; m++) {
      let shift = 0
      for (let k = 0; k < size; k++) shift += (cross[k] as number) * (weights[k * members + m] as number)
      column[m] = (column[m] as number) + shift
    }
  }
}
