import type { RoastKernel } from './kernel'

/**
 * A probe in a piece of meat as a thing: it does not feel one point. Its sensing part has a length, seldom lies right
 * in the thermal centre, and its stem brings a little of the oven in.
 */
export interface ProbeSpec {
  /** Length of its sensing part, m. */
  readonly sensing_m: number
  /** How far the middle of that part lies from the thermal centre, m. */
  readonly offCentre_m: number
  /** Share of what it reads that comes along its stem from the air. */
  readonly stem: number
  /** Time in which it covers two thirds of a jump, s. */
  readonly response_s: number
}

/** A wired oven probe pushed in by a careful cook (common practice; sizes from memory of what is sold). */
export const USUAL_PROBE: ProbeSpec = { sensing_m: 0.012, offCentre_m: 0.004, stem: 0.005, response_s: 8 }

/**
 * Where in a piece a probe reads, as a share of the way from the centre to the surface. Near the centre temperature
 * climbs with the square of the distance, so a length reads what is at its root mean square.
 *
 * @param radius_m from the centre to the surface, m
 * @example sensedShare(0.05) < 0.12 // true
 */
export const sensedShare = (radius_m: number, probe: ProbeSpec = USUAL_PROBE): number =>
  Math.min(0.8, Math.hypot(probe.offCentre_m, probe.sensing_m / Math.sqrt(12)) / radius_m)

/**
 * What a probe shows where its sensing part is so warm and its stem lies in air of another temperature, °C.
 * @param stem share of what it reads that comes along its stem
 * @example throughStem(50, 150, 0.01) // 51
 */
export const throughStem = (sensed_c: number, air_c: number, stem = USUAL_PROBE.stem): number =>
  (1 - stem) * sensed_c + stem * air_c

/** Temperature at a share of the radius, 0 centre to 1 surface, °C. */
export function temperatureInside(kernel: RoastKernel, share: number): number {
  const { outerShare, temperature, front_c } = kernel
  const last = kernel.shells - 1
  for (let i = 0; i <= last; i++) {
    const outer = outerShare[i] as number
    if (share > outer) continue
    const inner = i === 0 ? 0 : (outerShare[i - 1] as number)
    const from = i === 0 ? kernel.core_c : ((temperature[i - 1] as number) + (temperature[i] as number)) / 2
    const to = i === last ? front_c : ((temperature[i] as number) + (temperature[i + 1] as number)) / 2
    return from + ((share - inner) / (outer - inner)) * (to - from)
  }
  return front_c
}

/**
 * What a probe reads in a piece, °C, once it has settled.
 * @param air_c around its stem, °C
 */
export const readingIn = (kernel: RoastKernel, air_c: number, probe: ProbeSpec = USUAL_PROBE): number =>
  throughStem(temperatureInside(kernel, sensedShare(kernel.ball.radius_m, probe)), air_c, probe.stem)
