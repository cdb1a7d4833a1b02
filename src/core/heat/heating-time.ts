import { compositionOf } from '../reference/composition'
import { enthalpyTableOf } from './enthalpy'
import { newSurroundings } from './environment'
import { RoastKernel } from './kernel'
import { HEAT_PARAMETERS } from './parameters'
import { conductivityOf, heatCapacityOf } from './properties'
import { equivalentBall, type Solid } from './shape'

/** What shapes are checked by: plain meat without evaporation, in air ten kelvin warmer, a third of the way. */

const COMPOSITION = compositionOf('beef-lean')
const PARAMETERS = { ...HEAT_PARAMETERS, conductivity_factor: 1 }
/** So little changes between these that properties are as good as constant, °C. */
const START_C = 30
const AIR_C = 40
const STEP_S = 20
/** A third of the way: what is left of the difference. */
export const THIRD = 0.64
/** Of this meat: W/m·K and J/m³·K. */
export const CHECK_K = conductivityOf(COMPOSITION, 32)
export const CHECK_RHO_C = PARAMETERS.density_kg_per_m3 * heatCapacityOf(COMPOSITION, 32)

/**
 * Time until the kernel's centre is a third of the way, s; NaN where it takes longer than a million.
 * @param h what the surface takes, W/m²K
 */
export function heatingTime(solid: Solid, h: number): number {
  const body = {
    mass_kg: solid.volume_m3 * PARAMETERS.density_kg_per_m3,
    ball: equivalentBall(solid),
    table: enthalpyTableOf(COMPOSITION),
    water: COMPOSITION.water,
    exposure: 1,
    wetness: 0,
  }
  const kernel = new RoastKernel(body, PARAMETERS, START_C, 40)
  const around = { ...newSurroundings(), air_c: AIR_C, wall_c: AIR_C, convection_w_per_m2k: h, emissivity: 0 }
  const wanted = AIR_C - THIRD * (AIR_C - START_C)
  let before = kernel.core_c
  for (let time = STEP_S; time < 1e6; time += STEP_S) {
    kernel.step(STEP_S, around)
    if (kernel.core_c >= wanted) return time - (STEP_S * (kernel.core_c - wanted)) / (kernel.core_c - before)
    before = kernel.core_c
  }
  return Number.NaN
}
