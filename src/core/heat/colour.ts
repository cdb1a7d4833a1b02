import { ZERO_C_IN_K } from './vapour'

/**
 * Colour. The surface that the heat balance knows is one even, wet front, and water never browns; what browns is what
 * sticks out of it and has dried: ridges, fat, skin. Such a patch lies behind some millimetres of fat or dried meat,
 *
 *   T = T_front + (T_around − T_front) · R / (R + 1/h),  R ≈ 0.02 m²K/W,
 *
 * and browns by an Arrhenius law of 100 kJ/mol. It is counted in minutes at 150 °C.
 */
const PATCH_M2K_PER_W = 0.02
/** Fat and steam under a patch let no more through than this, however it is pressed on, W/m²K. */
const MOST_W_PER_M2K = 60
/** Under foil or in a bag everything stays wet, and what is wet does not brown: between these shares of evaporation it dries in part. */
const DRIES = { from: 0.1, whole: 0.3 } as const
const ACTIVATION_K = 12_027
const AT_150_C_K = 423.15

/**
 * Temperature of a dry patch, °C.
 *
 * @param front_c evaporation front, °C
 * @param around_c what it meets, air and walls together, °C
 * @param outside_w_per_m2k contact and radiation together
 * @example Math.round(patchTemperature(75, 163, 17)) // 97
 */
export const patchTemperature = (front_c: number, around_c: number, outside_w_per_m2k: number): number =>
  front_c +
  ((around_c - front_c) * PATCH_M2K_PER_W) / (PATCH_M2K_PER_W + 1 / Math.min(MOST_W_PER_M2K, outside_w_per_m2k))

/**
 * Share of the surface's ridges, fat and skin that are dry under a cover.
 *
 * @param evaporation share of the surface's evaporation that the cover lets through
 * @example dryShare(1) // 1
 */
export const dryShare = (evaporation: number): number =>
  Math.min(1, Math.max(0, (evaporation - DRIES.from) / (DRIES.whole - DRIES.from)))

/**
 * How fast a patch browns, against 150 °C.
 * @example browningRate(150) // 1
 */
export const browningRate = (patch_c: number): number =>
  Math.exp(ACTIVATION_K * (1 / AT_150_C_K - 1 / (patch_c + ZERO_C_IN_K)))

/** How much faster a surface browns with fat on it, or sugar. Common practice: a glaze takes colour in minutes. */
export const SURFACE_BROWNING = { plain: 1, fat: 1.3, glaze: 4 } as const

/**
 * Words for a colour, from the palest: from so many minutes at 150 °C on. The limits were laid between the facts of
 * practice in colour.test.ts, with those facts in sight: what cooks call the crust of usual roasts (common practice).
 */
export const COLOURS = [
  { id: 'pale', minutes: 0 },
  { id: 'golden', minutes: 0.8 },
  { id: 'brown', minutes: 2 },
  { id: 'deep', minutes: 12 },
  { id: 'burnt', minutes: 100 },
] as const
export type Colour = (typeof COLOURS)[number]['id']

/**
 * The word for so much browning, s at 150 °C.
 * @example colourOf(600) // 'brown'
 */
export const colourOf = (browning_s: number): Colour =>
  COLOURS.findLast(({ minutes }) => browning_s >= minutes * 60)?.id ?? 'pale'
