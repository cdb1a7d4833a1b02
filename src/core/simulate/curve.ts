import type { RoastKernel } from '../heat/kernel'

/** Sampled course of a cook; all arrays have `length` valid values. Times in s, temperatures in °C. */
export interface CookCurve {
  readonly length: number
  readonly time_s: Float64Array
  readonly air_c: Float64Array
  readonly surface_c: Float64Array
  /** One array for each body, in the order of the set-up. */
  readonly core_c: readonly Float64Array[]
}

/** Growing column store for the curve: doubles when full, so a step allocates nothing on average. */
export class CurveRecorder {
  length = 0
  private capacity: number
  private columns: Float64Array[]

  constructor(width: number, capacity: number) {
    this.capacity = capacity
    this.columns = Array.from({ length: width }, () => new Float64Array(capacity))
  }

  add(time_s: number, air_c: number, kernels: readonly RoastKernel[]): void {
    if (this.length === this.capacity) {
      this.capacity *= 2
      this.columns = this.columns.map((column) => {
        const grown = new Float64Array(this.capacity)
        grown.set(column)
        return grown
      })
    }
    const row = this.length++
    const { columns } = this
    ;(columns[0] as Float64Array)[row] = time_s
    ;(columns[1] as Float64Array)[row] = air_c
    ;(columns[2] as Float64Array)[row] = (kernels[0] as RoastKernel).surface_c
    for (let i = 0; i < kernels.length; i++) (columns[3 + i] as Float64Array)[row] = (kernels[i] as RoastKernel).core_c
  }

  finish(): CookCurve {
    const [time_s, air_c, surface_c, ...core_c] = this.columns as [
      Float64Array,
      Float64Array,
      Float64Array,
      ...Float64Array[],
    ]
    return { length: this.length, time_s, air_c, surface_c, core_c }
  }
}
