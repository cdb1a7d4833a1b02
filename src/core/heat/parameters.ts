import { pressureAtAltitude, STANDARD_PRESSURE_PA } from './vapour'

/**
 * The one parameter set of the heat model, shared by every cut, school and oven.
 *
 * Values marked "fitted" are the middle of the posterior that `npm run calibrate` prints: all evidence at once
 * (chart rows, rises, weights, covers, birds inside), drawn from the ranges of physics. No cut has a parameter
 * of its own: a cut differs by geometry and composition only.
 */
export interface HeatParameters {
  /** Density of meat, kg/m³. Handbook value for lean muscle, from memory. */
  readonly density_kg_per_m3: number
  /** Factor on the Choi–Okos conductivity (fibre direction, moving juices); range 0.9–1.35 (along the grain the highest). Fitted: the times ask for more than tables of still meat give. */
  readonly conductivity_factor: number
  /** The same where it cools, and no juices move inward; range 0.75–1: cooked meat at rest conducts some 0.40–0.50 W/m·K. Fitted on the rises. */
  readonly still_conductivity_factor: number
  /** Convection of a still domestic oven with its thermostat cycling, W/m²K; range 8–13. Fitted. */
  readonly still_oven_w_per_m2k: number
  /** Convection of a fan oven, W/m²K; range 18–25. */
  readonly fan_oven_w_per_m2k: number
  /** Emissivity of meat and of the oven's walls together, dimensionless. Handbook value. */
  readonly emissivity: number
  /** Share of a raw surface that is wet, 0–1. Fitted. */
  readonly wetness: number
  /** Time in which a bare surface in hot air dries to a third of what it gave off, s; range 1.5–8 h. Fitted. */
  readonly dries_s: number
  /** Share of the raw weight that can leave as water; drying slows as it is used up (falling-rate period). */
  readonly free_water: number
  /** Conductivity of the dried crust, W/m·K; range 0.1–0.4. */
  readonly crust_w_per_mk: number
  /** Diffusivity of vapour through the crust, m²/s; range 0.5e-5–2e-5. */
  readonly crust_diffusivity_m2_per_s: number
  /** Share of the evaporated water that juices from inside replace, 0–1. Fitted. */
  readonly replenished: number
  /**
   * Air that a still domestic oven lets out, m³/s; range 0.001–0.006. What the roast gives off and this does not
   * carry away is the oven's humidity: little in a low oven, much in a hot one. Fitted.
   */
  readonly vent_m3_per_s: number
  /** Convection in still room air around a resting roast, W/m²K; range 5–8, up to 10 in the draughts of a working kitchen. Fitted. */
  readonly counter_w_per_m2k: number
  /** Share of a surface that is wet where meat rests, 0–1: its juices come back to it. Fitted. */
  readonly resting_wetness: number
  /** Share of contact, of radiation and of evaporation that a loose tent of foil lets through, 0–1. Fitted. */
  readonly tent_contact: number
  readonly tent_radiation: number
  readonly tent_evaporation: number
  /** Share of contact with the oven's air and of its radiation that reaches meat sealed in foil, 0–1: the foil is bright, and its pocket full of steam. Fitted. */
  readonly foil_contact: number
  readonly foil_radiation: number
  /** Share of what a bare surface gives off that the folds of sealed foil let out, 0–1: some grams an hour. Fitted. */
  readonly foil_leaks: number
  /** Share of the surface that sees the oven where bone or a cage lies on the meat, 0–1: bone conducts, but is a way more. Fitted. */
  readonly bone_exposure: number
  /** Share of that surface that gives off water: bone does not. Fitted. */
  readonly bone_wet: number
  /** Skin and the fat under it hold back water: wetness of a bird's surface relative to bare meat. Fitted. */
  readonly skin_wet: number
  /** Share of a breast's and of a tied thigh's surface that sees the oven, 0–1. Fitted. */
  readonly breast_exposure: number
  readonly thigh_exposure: number
  /** Contact between a bird's cavity wall and its stuffing, W/m²K. Fitted on the published times of stuffed turkeys. */
  readonly cavity_w_per_m2k: number
  /** Vapour pressure of room air, Pa: 21 °C at 45 % relative humidity. */
  readonly room_vapour_pa: number
  /** Pressure of the air, Pa: the kitchen's, not the model's. It decides where water boils. */
  readonly pressure_pa: number
}

export const HEAT_PARAMETERS: HeatParameters = {
  density_kg_per_m3: 1060,
  conductivity_factor: 1.34,
  still_conductivity_factor: 0.8,
  still_oven_w_per_m2k: 10.1,
  fan_oven_w_per_m2k: 21,
  emissivity: 0.94,
  wetness: 0.52,
  dries_s: 29_000,
  free_water: 0.28,
  crust_w_per_mk: 0.13,
  crust_diffusivity_m2_per_s: 2.4e-5,
  replenished: 0.755,
  vent_m3_per_s: 0.0034,
  counter_w_per_m2k: 7.9,
  resting_wetness: 0.8,
  tent_contact: 0.95,
  tent_radiation: 0.9,
  tent_evaporation: 0.95,
  foil_contact: 0.8,
  foil_radiation: 0.275,
  foil_leaks: 0.011,
  bone_exposure: 0.835,
  bone_wet: 1,
  skin_wet: 0.72,
  breast_exposure: 0.77,
  thigh_exposure: 0.7,
  cavity_w_per_m2k: 47,
  room_vapour_pa: 1100,
  pressure_pa: STANDARD_PRESSURE_PA,
}

/**
 * The parameters in a kitchen so high over the sea, m.
 * @example parametersAt(0) === HEAT_PARAMETERS // true
 */
export const parametersAt = (altitude_m: number, parameters: HeatParameters = HEAT_PARAMETERS): HeatParameters =>
  altitude_m === 0 ? parameters : { ...parameters, pressure_pa: pressureAtAltitude(altitude_m) }

/** How sure the evidence leaves the shared parameters: one deviation of their logarithms, as `npm run calibrate` prints it. */
export const PARAMETER_DOUBT = { conduction: 0.04, contact: 0.12, wetness: 0.17, drying: 0.39 } as const

/** How conduction and wetness go with one another there, −1 to 1: wetter meat that conducts better fits the charts as well. No other two do by more than 0.2. */
export const CONDUCTION_WITH_WETNESS = 0.46

/**
 * Parameters as a doubt has them: conduction in the meat, contact with the air of either oven, and the time its
 * surface takes to dry, each times e to the power of what is drawn.
 * @example parametersVaried(HEAT_PARAMETERS, { conduction: 0, contact: 0, drying: 0 }).conductivity_factor / HEAT_PARAMETERS.conductivity_factor // 1
 */
export function parametersVaried(
  base: HeatParameters,
  drawn: { readonly conduction: number; readonly contact: number; readonly drying: number },
): HeatParameters {
  const contact = Math.exp(drawn.contact)
  return {
    ...base,
    conductivity_factor: base.conductivity_factor * Math.exp(drawn.conduction),
    still_conductivity_factor: base.still_conductivity_factor * Math.exp(drawn.conduction),
    dries_s: base.dries_s * Math.exp(drawn.drying),
    still_oven_w_per_m2k: base.still_oven_w_per_m2k * contact,
    fan_oven_w_per_m2k: base.fan_oven_w_per_m2k * contact,
  }
}
