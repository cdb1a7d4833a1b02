import { seededRandom } from '@/core/estimate/random'

/** Points of its sensing part that are averaged. */
const POINTS = 5

/**
 * A probe as a kitchen has it: pushed in by hand, so it lies some millimetres off the middle; it feels along a length,
 * and a little of the air comes in along its stem (lengths and distances are common practice, the stem from memory).
 */
export class KitchenProbe {
  private readonly off_m: number
  private readonly sensing_m: number
  private readonly stem: number

  /** @param seed the same, the same probe */
  constructor(seed: number) {
    const random = seededRandom(seed)
    this.off_m = 0.006 * random()
    this.sensing_m = 0.01 + 0.005 * random()
    this.stem = 0.002 + 0.006 * random()
  }

  /**
   * What it shows, °C.
   * @param shells from the middle outwards, °C
   * @param dr thickness of a shell, m
   * @param air_c round its stem
   */
  read(shells: Float64Array, dr: number, air_c: number): number {
    let sum = 0
    for (let i = 0; i < POINTS; i++) {
      const along_m = this.sensing_m * (i / (POINTS - 1) - 0.5)
      sum += at(shells, Math.hypot(this.off_m, along_m) / dr)
    }
    return (1 - this.stem) * (sum / POINTS) + this.stem * air_c
  }
}

/** Between the middles of shells, so many of them from the centre. */
function at(shells: Float64Array, from: number): number {
  const place = Math.min(shells.length - 1, Math.max(0, from - 0.5))
  const inner = Math.floor(place)
  const outer = Math.min(shells.length - 1, inner + 1)
  const part = place - inner
  return (1 - part) * (shells[inner] as number) + part * (shells[outer] as number)
}
