/** Standard atmosphere, Pa. */
export const STANDARD_PRESSURE_PA = 101_325
/** Molar mass of water, kg/mol. */
const WATER_KG_PER_MOL = 0.018015
/** Gas constant, J/mol·K. */
const GAS_CONSTANT = 8.314462
/** 0 °C, K. */
export const ZERO_C_IN_K = 273.15

/**
 * Saturation pressure of water vapour over liquid water, Pa.
 *
 *   ln(p/p_c) = (T_c/T)(a1 τ + a2 τ^1.5 + a3 τ³ + a4 τ^3.5 + a5 τ⁴ + a6 τ^7.5),  τ = 1 − T/T_c
 *
 * Valid 0–373 °C within 0.1 %.
 * @see W. Wagner and A. Pruß, J. Phys. Chem. Ref. Data 31 (2002) 387, eq. 2.5 (coefficients from memory).
 * @example saturationPressure(100) // ≈ 101 400
 */
export function saturationPressure(temperature_c: number): number {
  const critical = 647.096
  const kelvin = temperature_c + ZERO_C_IN_K
  const t = 1 - kelvin / critical
  const sum =
    -7.85951783 * t +
    1.84408259 * t ** 1.5 -
    11.7866497 * t ** 3 +
    22.6807411 * t ** 3.5 -
    15.9618719 * t ** 4 +
    1.80122502 * t ** 7.5
  return 22.064e6 * Math.exp((critical / kelvin) * sum)
}

/**
 * Latent heat of vaporisation of water, J/kg: 2 501 000 − 2 381 T, within 0.5 % from 0 to 110 °C.
 * @see Linear fit to steam-table values (from memory).
 * @example vaporisationHeat(100) // ≈ 2262900
 */
export const vaporisationHeat = (temperature_c: number): number => 2_501_000 - 2381 * temperature_c

/** Where water boils at a pressure, °C, by bisection. @example boilingPoint(101_325) // ≈ 100 */
export function boilingPoint(pressure_pa: number): number {
  const known = boilingPoints.get(pressure_pa)
  if (known !== undefined) return known
  let low = 60
  let high = 130
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (saturationPressure(middle) < pressure_pa) low = middle
    else high = middle
  }
  boilingPoints.set(pressure_pa, (low + high) / 2)
  return (low + high) / 2
}
const boilingPoints = new Map<number, number>()

/**
 * Pressure of the standard atmosphere at an altitude, Pa: p₀(1 − 2.25577e-5 z)^5.25588.
 * @see ISO 2533 standard atmosphere, troposphere (from memory). @example pressureAtAltitude(0) // 101_325
 */
export const pressureAtAltitude = (altitude_m: number): number =>
  STANDARD_PRESSURE_PA * (1 - 2.25577e-5 * altitude_m) ** 5.25588

const LOWEST_C = -30
const PER_KELVIN = 4

/**
 * Heat carried off a wet surface by evaporation, per unit of mass-transfer conductance.
 *
 *   S(T) = L(T) · (P M / R T̄) · ln( (P − p∞) / (P − p_sat(T)) )     [J/m³]
 *
 * The logarithm is the Stefan-flow form of the mass flux: as the surface nears the boiling point
 * it grows without bound, so the plateau at 100 °C comes out of the physics and needs no clamp.
 * T̄ is the film temperature. Past 99.9 % of the boiling pressure the curve goes on as a straight
 * line of the last slope, which keeps Newton's method safe.
 */
export interface EvaporationTable {
  /** S, J/m³, every 0.25 K from -30 °C. */
  readonly heat: Float64Array
  readonly rows: number
}

export const EVAPORATION_LOWEST_C = LOWEST_C
export const EVAPORATION_PER_KELVIN = PER_KELVIN

/** By pressure, then by vapour: looked up once a step. */
const tables = new Map<number, Map<number, EvaporationTable>>()

/**
 * The table S(T) for an ambient vapour pressure and a total pressure, both Pa; made once and shared.
 * @example evaporationTableOf(1100, 101_325).rows // 921
 */
export function evaporationTableOf(vapour_pa: number, pressure_pa: number): EvaporationTable {
  const here = tables.get(pressure_pa) ?? new Map<number, EvaporationTable>()
  const known = here.get(vapour_pa)
  if (known) return known
  const rows = (200 - LOWEST_C) * PER_KELVIN + 1
  const heat = new Float64Array(rows)
  const film = 90 + ZERO_C_IN_K
  let last = rows - 1
  for (let i = 0; i < rows; i++) {
    const t = LOWEST_C + i / PER_KELVIN
    const saturated = saturationPressure(t)
    if (saturated > 0.999 * pressure_pa) {
      last = i - 1
      break
    }
    const density = (pressure_pa * WATER_KG_PER_MOL) / (GAS_CONSTANT * film)
    heat[i] = vaporisationHeat(t) * density * Math.log((pressure_pa - vapour_pa) / (pressure_pa - saturated))
  }
  const slope = Math.max((heat[last] as number) - (heat[last - 1] as number), 4e6 / PER_KELVIN)
  for (let i = last + 1; i < rows; i++) heat[i] = (heat[i - 1] as number) + slope
  const table = { heat, rows }
  here.set(vapour_pa, table)
  tables.set(pressure_pa, here)
  return table
}
