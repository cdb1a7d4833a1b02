import { pressureAtAltitude, STANDARD_PRESSURE_PA } from './vapour'

/**
 * The one parameter set of the heat model, shared by every cut, school and oven.
 *
 * Values marked "fitted" were chosen together, within the physical range given, on the published
 * chart rows and the usual rises in rest; `npm run validate` prints what they give. No cut has a
 * parameter of its own: a cut differs by geometry and composition only.
 */
export interface HeatParameters {
  /** Density of meat, kg/m³. Handbook value for lean muscle, from memory. */
  readonly density_kg_per_m3: number
  /** Factor on the Choi–Okos conductivity (fibre direction, moving juices); range 0.9–1.2 (along the grain the highest). Fitted. */
  readonly conductivity_factor: number
  /** Convection of a still domestic oven with its thermostat cycling, W/m²K; range 8–13. Fitted. */
  readonly still_oven_w_per_m2k: number
  /** Convection of a fan oven, W/m²K; range 18–25. */
  readonly fan_oven_w_per_m2k: number
  /** Emissivity of meat and of the oven's walls together, dimensionless. Handbook value. */
  readonly emissivity: number
  /** Share of a raw surface that is wet, 0–1. Fitted. */
  readonly wetness: number
  /** Share of the raw weight that can leave as water; drying slows as it is used up (falling-rate period). */
  readonly free_water: number
  /** Conductivity of the dried crust, W/m·K; range 0.1–0.4. */
  readonly crust_w_per_mk: number
  /** Diffusivity of vapour through the crust, m²/s; range 0.5e-5–2e-5. */
  readonly crust_diffusivity_m2_per_s: number
  /** Share of the evaporated water that juices from inside replace, 0–1. Fitted. */
  readonly replenished: number
  /** Vapour pressure in a dry oven with a roast in it, Pa; range 2000–5000. */
  readonly oven_vapour_pa: number
  /** Convection in still room air around a resting roast, W/m²K; range 5–8, up to 10 in the draughts of a working kitchen. Fitted. */
  readonly counter_w_per_m2k: number
  /** Share of contact, of radiation and of evaporation that a loose tent of foil lets through, 0–1. Fitted. */
  readonly tent_contact: number
  readonly tent_radiation: number
  readonly tent_evaporation: number
  /** Vapour pressure of room air, Pa: 21 °C at 45 % relative humidity. */
  readonly room_vapour_pa: number
  /** Pressure of the air, Pa: the kitchen's, not the model's. It decides where water boils. */
  readonly pressure_pa: number
}

export const HEAT_PARAMETERS: HeatParameters = {
  density_kg_per_m3: 1060,
  conductivity_factor: 1.2,
  still_oven_w_per_m2k: 12.5,
  fan_oven_w_per_m2k: 21,
  emissivity: 0.94,
  wetness: 0.56,
  free_water: 0.28,
  crust_w_per_mk: 0.16,
  crust_diffusivity_m2_per_s: 3e-5,
  replenished: 0.78,
  oven_vapour_pa: 4400,
  counter_w_per_m2k: 9,
  tent_contact: 0.95,
  tent_radiation: 0.9,
  tent_evaporation: 0.95,
  room_vapour_pa: 1100,
  pressure_pa: STANDARD_PRESSURE_PA,
}

/**
 * The parameters in a kitchen so high over the sea, m.
 * @example parametersAt(0) === HEAT_PARAMETERS // true
 */
export const parametersAt = (altitude_m: number, parameters: HeatParameters = HEAT_PARAMETERS): HeatParameters =>
  altitude_m === 0 ? parameters : { ...parameters, pressure_pa: pressureAtAltitude(altitude_m) }

/**
 * Parameters as a doubt has them: conduction in the meat, and contact with the air of either oven, each
 * times e to the power of what is drawn.
 * @example parametersVaried(HEAT_PARAMETERS, { conduction: 0, contact: 0 }).conductivity_factor / HEAT_PARAMETERS.conductivity_factor // 1
 */
export function parametersVaried(
  base: HeatParameters,
  drawn: { readonly conduction: number; readonly contact: number },
): HeatParameters {
  const contact = Math.exp(drawn.contact)
  return {
    ...base,
    conductivity_factor: base.conductivity_factor * Math.exp(drawn.conduction),
    still_oven_w_per_m2k: base.still_oven_w_per_m2k * contact,
    fan_oven_w_per_m2k: base.fan_oven_w_per_m2k * contact,
  }
}
