import type { Composition } from '../reference/composition'

/**
 * Thermal properties of food from what it is made of.
 *
 * | symbol | argument | unit | meaning |
 * |---|---|---|---|
 * | T | temperature_c | °C | temperature |
 * | x_i | composition | kg/kg | mass fraction of water, protein, fat, ash; ice is found from T |
 *
 *   c = Σ x_i c_i(T)     k = Σ k_i(T) v_i     1/ρ = Σ x_i/ρ_i(T)     v_i = ρ x_i/ρ_i
 *
 * Conductivity is the parallel model (volume fractions). Valid -40 to 150 °C; the authors claim
 * about 5 % for c and 10 % for k of mixed foods.
 *
 * @see Y. Choi and M. R. Okos, "Effects of temperature and composition on the thermal properties
 *   of foods", Food Engineering and Process Applications 1, 1986 (polynomials from memory).
 */
const polynomial = (a: number, b: number, c: number) => (t: number) => a + (b + c * t) * t

const CONDUCTIVITY = {
  water: polynomial(0.57109, 1.7625e-3, -6.7036e-6),
  protein: polynomial(0.17881, 1.1958e-3, -2.7178e-6),
  fat: polynomial(0.18071, -2.7604e-4, -1.7749e-7),
  ash: polynomial(0.32962, 1.4011e-3, -2.9069e-6),
  ice: polynomial(2.2196, -6.2489e-3, 1.0154e-4),
}
const DENSITY = {
  water: polynomial(997.18, 3.1439e-3, -3.7574e-3),
  protein: polynomial(1329.9, -0.5184, 0),
  fat: polynomial(925.59, -0.41757, 0),
  ash: polynomial(2423.8, -0.28063, 0),
  ice: polynomial(916.89, -0.13071, 0),
}
const HEAT_CAPACITY = {
  water: polynomial(4176.2, -9.0864e-2, 5.4731e-3),
  protein: polynomial(2008.2, 1.2089, -1.3129e-3),
  fat: polynomial(1984.2, 1.4733, -4.8008e-3),
  ash: polynomial(1092.6, 1.8896, -3.6817e-3),
  ice: polynomial(2062.3, 6.0769, 0),
}

/** Initial freezing point of muscle, °C. From memory: handbook tables give -1 to -2 °C for meats. */
export const FREEZING_POINT_C = -1.2
/** Latent heat of fusion of water at 0 °C, J/kg. */
export const FUSION_J_PER_KG = 333_600
/** Water that never freezes, per kg of protein (common estimate, from memory). */
const BOUND_WATER_PER_PROTEIN = 0.4

/**
 * Ice as a fraction of the whole mass: (x_w − x_b)(1 − T_f/T) below the freezing point T_f.
 * @see Schwartzberg's and Tchigeov's relations for frozen foods, reduced to Raoult's law (from memory).
 * @example iceFraction(compositionOf('beef-lean'), 5) // 0
 */
export function iceFraction(composition: Composition, temperature_c: number): number {
  if (temperature_c >= FREEZING_POINT_C) return 0
  const freezable = Math.max(0, composition.water - BOUND_WATER_PER_PROTEIN * composition.protein)
  return freezable * (1 - FREEZING_POINT_C / temperature_c)
}

const fractions = (composition: Composition, temperature_c: number) => {
  const ice = iceFraction(composition, temperature_c)
  return {
    water: composition.water - ice,
    protein: composition.protein,
    fat: composition.fat,
    ash: composition.ash,
    ice,
  }
}
type Part = keyof typeof CONDUCTIVITY
const PARTS: readonly Part[] = ['water', 'protein', 'fat', 'ash', 'ice']

/**
 * Density, kg/m³.
 * @example densityOf({ water: 1, protein: 0, fat: 0, ash: 0 }, 20) // ≈ 996
 */
export function densityOf(composition: Composition, temperature_c: number): number {
  const x = fractions(composition, temperature_c)
  return 1 / PARTS.reduce((volume, part) => volume + x[part] / DENSITY[part](temperature_c), 0)
}

/** Specific heat without latent heat, J/kg·K. @example heatCapacityOf({ water: 1, protein: 0, fat: 0, ash: 0 }, 20) // ≈ 4177 */
export function heatCapacityOf(composition: Composition, temperature_c: number): number {
  const x = fractions(composition, temperature_c)
  return PARTS.reduce((sum, part) => sum + x[part] * HEAT_CAPACITY[part](temperature_c), 0)
}

/**
 * Thermal conductivity, W/m·K.
 * @example conductivityOf({ water: 1, protein: 0, fat: 0, ash: 0 }, 20) // ≈ 0.604
 */
export function conductivityOf(composition: Composition, temperature_c: number): number {
  const x = fractions(composition, temperature_c)
  const density = densityOf(composition, temperature_c)
  return PARTS.reduce((sum, part) => {
    const volume = (x[part] * density) / DENSITY[part](temperature_c)
    return sum + volume * CONDUCTIVITY[part](temperature_c)
  }, 0)
}
