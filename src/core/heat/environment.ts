import type { Surroundings } from './kernel'
import type { HeatParameters } from './parameters'
import { evaporationTableOf, STANDARD_PRESSURE_PA } from './vapour'

/** What surrounds the meat during a stage. */
export type EnvironmentKind = 'oven' | 'fire' | 'pan' | 'bath' | 'cabinet' | 'counter' | 'fridge'
/** What lies over the meat during a stage. */
export type Cover = 'bare' | 'tent' | 'foil' | 'bag'
/** Still heat, or air driven by a fan. */
export type OvenKind = 'still' | 'fan'

/**
 * Contact coefficients outside the oven, W/m²K. A lidded fire draws like a weak fan; a stirred
 * bath is limited by the bag; a pan touches one face at a time, so a third of its contact
 * coefficient of about 250 is spread over the whole surface.
 * @see Common practice of food-engineering handbooks, ranges from the project brief; from memory.
 */
const CONTACT = { fire: 14, pan: 85, bath: 180, cabinet: 9, fridge: 7 } as const

/** Contact between a bird's cavity wall and its stuffing, W/m²K. Fitted on the published times of stuffed turkeys. */
export const CAVITY_W_PER_M2K = 45

/** How a cover changes the surface: share of contact and of radiation that remains, and of evaporation. */
export const COVERS: Readonly<
  Record<Exclude<Cover, 'tent'>, { contact: number; radiation: number; evaporation: number }>
> = {
  bare: { contact: 1, radiation: 1, evaporation: 1 },
  foil: { contact: 0.5, radiation: 0.12, evaporation: 0.04 },
  bag: { contact: 1, radiation: 0.9, evaporation: 0 },
}

/**
 * Fills in the surface conditions of an environment and a cover; air and wall temperatures are
 * the caller's. Writes into `into`, so the time loop allocates nothing.
 */
export function setSurroundings(
  into: Surroundings,
  kind: EnvironmentKind,
  oven: OvenKind,
  cover: Cover,
  parameters: HeatParameters,
): void {
  const covered =
    cover === 'tent'
      ? {
          contact: parameters.tent_contact,
          radiation: parameters.tent_radiation,
          evaporation: parameters.tent_evaporation,
        }
      : COVERS[cover]
  const contact =
    kind === 'oven'
      ? oven === 'fan'
        ? parameters.fan_oven_w_per_m2k
        : parameters.still_oven_w_per_m2k
      : kind === 'counter'
        ? parameters.counter_w_per_m2k
        : CONTACT[kind]
  const hot = kind === 'oven' || kind === 'fire' || kind === 'pan'
  into.convection_w_per_m2k = contact * covered.contact
  into.emissivity = kind === 'bath' ? 0 : parameters.emissivity * covered.radiation * (kind === 'pan' ? 0.5 : 1)
  into.browning = 1
  into.evaporation = kind === 'bath' ? 0 : covered.evaporation
  const vapour_pa =
    hot || kind === 'cabinet' ? parameters.oven_vapour_pa : kind === 'fridge' ? 600 : parameters.room_vapour_pa
  into.vapour = evaporationTableOf(vapour_pa, parameters.pressure_pa)
}

/**
 * Fresh surroundings to fill in.
 * @example typeof newSurroundings().air_c // 'number'
 */
export const newSurroundings = (): Surroundings => ({
  air_c: 20,
  wall_c: 20,
  convection_w_per_m2k: 10,
  emissivity: 0.9,
  evaporation: 1,
  browning: 1,
  vapour: evaporationTableOf(1100, STANDARD_PRESSURE_PA),
})
