import { K, RHO_C } from './truth'

/**
 * Moves shells of meat on by a step, explicitly; in place.
 *
 * @param dr thickness of a shell, m
 * @param shape 1 a slab, 2 a long cylinder, 3 a ball
 * @param flux into the outermost, W/m²
 * @param most_c nothing gets hotter
 */
export function stepShells(
  shells: Float64Array,
  dr: number,
  shape: number,
  flux: number,
  dt_s: number,
  most_c: number,
): void {
  const last = shells.length - 1
  const before = Float64Array.from(shells)
  for (let i = 0; i <= last; i++) {
    const here = before[i] as number
    const inner = (i * dr) ** (shape - 1)
    const outer = ((i + 1) * dr) ** (shape - 1)
    const room = (((i + 1) * dr) ** shape - (i * dr) ** shape) / shape
    const out = i < last ? (K / dr) * ((before[i + 1] as number) - here) : flux
    const from = i > 0 ? (K / dr) * ((before[i - 1] as number) - here) : 0
    shells[i] = Math.min(most_c, here + (dt_s * (outer * out + inner * from)) / (RHO_C * room))
  }
}

/** A ball of meat in shells: one part of a bird. */
export class Ball {
  readonly shells: Float64Array
  readonly dr: number
  constructor(
    readonly radius_m: number,
    start_c: number,
    shells: number,
  ) {
    this.shells = new Float64Array(shells).fill(start_c)
    this.dr = radius_m / shells
  }
  get core_c(): number {
    return this.shells[0] as number
  }
  get front_c(): number {
    return this.shells[this.shells.length - 1] as number
  }
  get area_m2(): number {
    return 4 * Math.PI * this.radius_m ** 2
  }
  /**
   * @param flux into the surface, W/m²
   * @param most_c nothing gets hotter
   */
  step(dt_s: number, flux: number, most_c: number): void {
    stepShells(this.shells, this.dr, 3, flux, dt_s, most_c)
  }
}
