import {
  type Celsius,
  celsius,
  type Kelvins,
  type Kilograms,
  kelvins,
  kilograms,
  type Metres,
  metres,
} from './quantity'

/** The international avoirdupois pound, exact by definition (1959), kg. */
export const POUND_KG = 0.45359237
/** The avoirdupois ounce, a sixteenth of a pound, kg. */
export const OUNCE_KG = POUND_KG / 16
/** The international inch, exact by definition (1959), m. */
export const INCH_M = 0.0254

/** °F → °C. @example fahrenheitToCelsius(212) // 100 */
export const fahrenheitToCelsius = (fahrenheit: number): Celsius => celsius(((fahrenheit - 32) * 5) / 9)
/** °C → °F. @example celsiusToFahrenheit(100) // 212 */
export const celsiusToFahrenheit = (temperature: number): number => (temperature * 9) / 5 + 32
/** A rise in °F → a rise in K: no 32 here. @example fahrenheitRiseToKelvins(9) // 5 */
export const fahrenheitRiseToKelvins = (rise: number): Kelvins => kelvins((rise * 5) / 9)
/** A rise in K → a rise in °F. @example kelvinsToFahrenheitRise(5) // 9 */
export const kelvinsToFahrenheitRise = (rise: number): number => (rise * 9) / 5

/** lb → kg. @example poundsToKilograms(1) // 0.45359237 */
export const poundsToKilograms = (pounds: number): Kilograms => kilograms(pounds * POUND_KG)
/**
 * kg → lb.
 * @example kilogramsToPounds(1) // ≈ 2.2046
 */
export const kilogramsToPounds = (mass: number): number => mass / POUND_KG
/**
 * oz → kg.
 * @example ouncesToKilograms(16) // ≈ 0.4536
 */
export const ouncesToKilograms = (ounces: number): Kilograms => kilograms(ounces * OUNCE_KG)
/** kg → whole pounds and the ounces left over, to a tenth of an ounce. @example kilogramsToPoundsAndOunces(1) // { pounds: 2, ounces: 3.3 } */
export function kilogramsToPoundsAndOunces(mass: number): { pounds: number; ounces: number } {
  const tenths = Math.round((mass / OUNCE_KG) * 10)
  return { pounds: Math.trunc(tenths / 160), ounces: (tenths % 160) / 10 }
}

/**
 * in → m.
 * @example inchesToMetres(1) // 0.0254
 */
export const inchesToMetres = (inches: number): Metres => metres(inches * INCH_M)
/**
 * m → in.
 * @example metresToInches(0.0254) // 1
 */
export const metresToInches = (length: number): number => length / INCH_M
