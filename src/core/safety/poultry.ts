import { STANDARDS } from '../reference/standards'

/**
 * Reduction of Salmonella in poultry, in decades, over a course of temperatures.
 *
 *   log = ∫ dt / D(T),   7 D(T) = t₇ · 10^(−(T − 60)/z)
 *
 * t₇ = 1512 s at 60 °C (140 °F) and 13.7 s at 71.1 °C (160 °F) give z = 5.44 K.
 *
 * | symbol | meaning | unit |
 * |---|---|---|
 * | D | time at a temperature for one decade | s |
 * | z | rise that makes it ten times quicker | K |
 *
 * Nothing below 54.4 °C counts: germs grow at least as fast as they die.
 *
 * @see US agency guidance for a 7-decade reduction of Salmonella in chicken of 1 % fat (rows 140 and
 *   160 °F, from memory). The consumer figure of 165 °F stands for the same at an instant.
 * @example poultryDecades([0, 1512], [60, 60], 2) // ≈ 7
 */
export function poultryDecades(time_s: ArrayLike<number>, core_c: ArrayLike<number>, length: number): number {
  let decades = 0
  for (let i = 1; i < length; i++) {
    const dt = (time_s[i] as number) - (time_s[i - 1] as number)
    decades += (dt * (poultryRate(core_c[i - 1] as number) + poultryRate(core_c[i] as number))) / 2
  }
  return decades
}

const SEVEN_AT_60_S = 1512
const Z_K = 5.44
const LOWEST_C = STANDARDS.poultryCounts.value
/** What is asked of poultry. */
export const POULTRY_DECADES = 7

/** Decades a second at a temperature. */
export const poultryRate = (temperature_c: number) =>
  temperature_c < LOWEST_C ? 0 : (POULTRY_DECADES / SEVEN_AT_60_S) * 10 ** ((temperature_c - 60) / Z_K)
