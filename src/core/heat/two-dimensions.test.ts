import { describe, expect, it } from 'vitest'
import { compositionOf } from '../reference/composition'
import { enthalpyTableOf } from './enthalpy'
import { newSurroundings } from './environment'
import { type KernelBody, RoastKernel } from './kernel'
import { HEAT_PARAMETERS } from './parameters'
import { conductivityOf, heatCapacityOf } from './properties'
import { ellipticCylinder, equivalentBall } from './shape'

/**
 * A reference of our own: a round cylinder of finite length in two dimensions (radius and length),
 * explicit finite volumes, convection on every face, constant properties, no evaporation.
 * Answers the time at which the centre reaches a temperature, s.
 */
function cylinderTime(
  radius_m: number,
  length_m: number,
  h: number,
  k: number,
  rho_c: number,
  start: number,
  air: number,
  to: number,
): number {
  const nr = 24
  const nz = 24
  const dr = radius_m / nr
  const dz = length_m / 2 / nz
  const dt = 0.2 * Math.min(dr, dz) ** 2 * (rho_c / k)
  let t = new Float64Array(nr * nz).fill(start)
  let next = new Float64Array(nr * nz)
  for (let time = 0; time < 1e6; time += dt) {
    for (let i = 0; i < nr; i++) {
      const inner = i * dr
      const outer = (i + 1) * dr
      const ring = (outer ** 2 - inner ** 2) / 2
      for (let j = 0; j < nz; j++) {
        const here = t[i * nz + j] as number
        let heat = 0
        if (i > 0) heat += ((inner * k) / dr) * ((t[(i - 1) * nz + j] as number) - here) * dz
        heat +=
          i < nr - 1
            ? ((outer * k) / dr) * ((t[(i + 1) * nz + j] as number) - here) * dz
            : (outer * dz * (air - here)) / (1 / h + dr / 2 / k)
        if (j > 0) heat += ring * (k / dz) * ((t[i * nz + j - 1] as number) - here)
        heat +=
          j < nz - 1
            ? ring * (k / dz) * ((t[i * nz + j + 1] as number) - here)
            : (ring * (air - here)) / (1 / h + dz / 2 / k)
        next[i * nz + j] = here + (heat * dt) / (rho_c * ring * dz)
      }
    }
    ;[t, next] = [next, t]
    if ((t[0] as number) >= to) return time
  }
  return Number.NaN
}

describe('one radial equation against two dimensions', () => {
  const composition = compositionOf('beef-lean')
  const parameters = { ...HEAT_PARAMETERS, conductivity_factor: 1, free_water: 1 }
  for (const [name, radius_m, length_m, h] of [
    ['a long loin in an oven', 0.04, 0.36, 25],
    ['a short, thick rib in an oven', 0.06, 0.15, 25],
    ['a piece as long as it is thick, in a fierce fire', 0.06, 0.12, 60],
    ['a loin in a water bath', 0.04, 0.2, 180],
  ] as const) {
    it(`${name}: time to 55 °C within 4 %, its properties being at one temperature`, () => {
      const mass_kg = Math.PI * radius_m ** 2 * length_m * parameters.density_kg_per_m3
      const body: KernelBody = {
        mass_kg,
        ball: equivalentBall(ellipticCylinder(radius_m, radius_m, length_m)),
        table: enthalpyTableOf(composition),
        water: composition.water,
        exposure: 1,
        wetness: 0,
      }
      const kernel = new RoastKernel(body, parameters, 5, 40)
      const around = {
        ...newSurroundings(),
        air_c: 90,
        wall_c: 90,
        convection_w_per_m2k: h,
        emissivity: 0,
        evaporation: 0,
      }
      let time = 0
      while (kernel.core_c < 55) {
        kernel.step(5, around)
        time += 5
      }
      const middle = 35
      const k = conductivityOf(composition, middle)
      const rho_c = parameters.density_kg_per_m3 * heatCapacityOf(composition, middle)
      const reference = cylinderTime(radius_m, length_m, h, k, rho_c, 5, 90, 55)
      expect(Math.abs(time / reference - 1)).toBeLessThan(0.04)
    })
  }
})
