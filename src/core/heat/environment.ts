import type { HeatParameters } from './parameters'
import type { Surroundings } from './surroundings'
import { type EvaporationTable, evaporationTableOf, STANDARD_PRESSURE_PA, ZERO_C_IN_K } from './vapour'

/** What surrounds the meat during a stage. */
export type EnvironmentKind = 'oven' | 'fire' | 'pan' | 'bath' | 'cabinet' | 'counter' | 'fridge'
/** What lies over the meat during a stage. */
export type Cover = 'bare' | 'tent' | 'foil' | 'bag'
/** Still heat, or air driven by a fan. */
export type OvenKind = 'still' | 'fan'

/**
 * Contact coefficients outside the oven, W/m²K. A lidded fire draws like a weak fan; a stirred
 * bath is limited by the bag; a pan touches one face at a time, about a quarter of the surface, and gives it some 90
 * through fat and a growing crust: a browning of ten minutes costs some 2 % of the weight and saves a quarter of an hour in the oven.
 * @see Common practice of food-engineering handbooks, ranges from the project brief; from memory.
 */
const CONTACT = { fire: 14, pan: 22, bath: 180, cabinet: 9, fridge: 7 } as const

/** A pan: what touches it, what of its coefficient moves vapour (the faces that do not, in warm air), and how little of it the rest sees. */
const PAN_TOUCHES = 0.25
const PAN_AIRY = 0.4
const PAN_SEEN = 0.15

/** How a cover changes the surface: share of contact and of radiation that remains, and of evaporation. */
interface Covered {
  readonly contact: number
  readonly radiation: number
  readonly evaporation: number
}
const BARE: Covered = { contact: 1, radiation: 1, evaporation: 1 }
const BAG: Covered = { contact: 1, radiation: 0.9, evaporation: 0 }
/** A piece of foil laid over a breast or legs: it shades them and is open at its sides. */
export const SHIELD: Covered = { contact: 0.5, radiation: 0.12, evaporation: 0.04 }

function coveredBy(cover: Cover, parameters: HeatParameters): Covered {
  switch (cover) {
    case 'bare':
      return BARE
    case 'bag':
      return BAG
    case 'tent':
      return {
        contact: parameters.tent_contact,
        radiation: parameters.tent_radiation,
        evaporation: parameters.tent_evaporation,
      }
    case 'foil':
      // Sealed: what evaporates stays in its pocket and condenses on the meat again, but for what its folds let out.
      return {
        contact: parameters.foil_contact,
        radiation: parameters.foil_radiation,
        evaporation: parameters.foil_leaks,
      }
    default:
      return cover satisfies never
  }
}

/** Vapour in a shut warm cabinet and in a refrigerator, Pa (from memory). */
const CABINET_PA = 4000
const FRIDGE_PA = 600
/** How much more air goes through than through a still oven. A fan drives it out; a fire draws it. */
const VENTS = { still: 1, fan: 1.5, fire: 4 } as const
/** Gas constant of water vapour, J/kg·K. */
const VAPOUR_J_PER_KG_K = 461.5
/** Vapour tables are made this far apart, Pa, up to this. */
const VAPOUR_STEP_PA = 250
const MOST_VAPOUR_PA = 30_000

/**
 * The vapour in an oven or over a fire that a roast gives so much to.
 * @param given_kg_per_s evaporated by all that is in it
 */
export function ventedVapour(
  kind: 'oven' | 'fire',
  oven: OvenKind,
  air_c: number,
  given_kg_per_s: number,
  parameters: HeatParameters,
): EvaporationTable {
  const vent = parameters.vent_m3_per_s * VENTS[kind === 'fire' ? 'fire' : oven]
  const more_pa = (Math.max(0, given_kg_per_s) * VAPOUR_J_PER_KG_K * (air_c + ZERO_C_IN_K)) / vent
  const pa = Math.min(MOST_VAPOUR_PA, parameters.room_vapour_pa + more_pa)
  return evaporationTableOf(Math.round(pa / VAPOUR_STEP_PA) * VAPOUR_STEP_PA, parameters.pressure_pa)
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
  const covered = coveredBy(cover, parameters)
  const contact =
    kind === 'oven'
      ? oven === 'fan'
        ? parameters.fan_oven_w_per_m2k
        : parameters.still_oven_w_per_m2k
      : kind === 'counter'
        ? parameters.counter_w_per_m2k
        : CONTACT[kind]
  into.convection_w_per_m2k = contact * covered.contact
  into.airy = kind === 'pan' ? PAN_AIRY : 1
  into.touches = kind === 'pan' ? PAN_TOUCHES : 1
  into.emissivity = kind === 'bath' ? 0 : parameters.emissivity * covered.radiation * (kind === 'pan' ? PAN_SEEN : 1)
  into.browning = 1
  into.evaporation = kind === 'bath' ? 0 : covered.evaporation
  const vapour_pa = kind === 'cabinet' ? CABINET_PA : kind === 'fridge' ? FRIDGE_PA : parameters.room_vapour_pa
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
  airy: 1,
  touches: 1,
  emissivity: 0.9,
  evaporation: 1,
  browning: 1,
  vapour: evaporationTableOf(1100, STANDARD_PRESSURE_PA),
})
