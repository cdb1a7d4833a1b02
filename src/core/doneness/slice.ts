import type { RoastKernel } from '../heat/kernel'
import type { DonenessScale } from '../reference/doneness'

/** The cut face: how much of the meat came out how done. */
export interface Slice {
  /** Share of the meat in each degree, rarest first; sums to one. */
  readonly shares: readonly { readonly degree: string; readonly share: number }[]
  /** Thickness of meat under the crust that is more than one degree past the middle, m. */
  readonly rim_m: number
  /** Hottest temperature by distance from the centre, as shares of the half-thickness, centre first. */
  readonly profile: readonly { readonly share: number; readonly hottest_c: number }[]
}

/**
 * The degree whose band a temperature falls in; the rarest when below them all.
 * @example degreeAt(donenessScale('red'), 55) // 'medium-rare'
 */
export function degreeAt(scale: DonenessScale, temperature_c: number): string {
  let found = scale.degrees[0]?.id ?? ''
  for (const degree of scale.degrees) if (temperature_c >= degree.from_c) found = degree.id
  return found
}

/** How far meat may be above the middle before a cook calls it the grey rim, K: from medium-rare to well past medium. */
const RIM_RISE_K = 10

/**
 * Reads the slice off a cooked body. Doneness follows the hottest each shell has been, for the
 * colour of meat does not come back on cooling.
 *
 * @param thickness_m the piece's shortest thickness, m: shells are spread over half of it
 */
export function sliceOf(kernel: RoastKernel, scale: DonenessScale, thickness_m: number): Slice {
  const masses = new Map<string, number>(scale.degrees.map((degree) => [degree.id, 0]))
  let total = 0
  const profile: { share: number; hottest_c: number }[] = []
  const middle_c = kernel.water.hottest[0] as number
  let rimStarts = 1
  for (let i = kernel.shells - 1; i >= 0; i--) {
    if ((kernel.water.hottest[i] as number) < middle_c + RIM_RISE_K) break
    rimStarts = i === 0 ? 0 : (kernel.outerShare[i - 1] as number)
  }
  for (let i = 0; i < kernel.shells; i++) {
    const hottest = kernel.water.hottest[i] as number
    const mass = kernel.shellMass[i] as number
    const degree = degreeAt(scale, hottest)
    masses.set(degree, (masses.get(degree) ?? 0) + mass)
    total += mass
    const inner = i === 0 ? 0 : (kernel.outerShare[i - 1] as number)
    profile.push({ share: ((kernel.outerShare[i] as number) + inner) / 2, hottest_c: hottest })
  }
  return {
    shares: scale.degrees.map(({ id }) => ({ degree: id, share: (masses.get(id) ?? 0) / total })),
    rim_m: (1 - rimStarts) * (thickness_m / 2),
    profile,
  }
}
