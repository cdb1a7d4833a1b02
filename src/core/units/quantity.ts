/**
 * Quantities inside Pheasant: SI numbers that remember what they are.
 *
 * The brand lives on a hidden key, so a quantity is an ordinary number at run time. A temperature
 * and a temperature difference are different types, because a rise of 5 °F is not -15 °C.
 * Brands do not stop `a + b` of unlike quantities: arithmetic stays in this folder or in one
 * documented equation.
 */
declare const unit: unique symbol

export type Quantity<Unit extends string> = number & { readonly [unit]: Unit }

/** A temperature on the Celsius scale. */
export type Celsius = Quantity<'celsius'>
/** A temperature difference (a rise, an offset, a tolerance), in kelvin. */
export type Kelvins = Quantity<'kelvins'>
/** A mass in kilograms. */
export type Kilograms = Quantity<'kilograms'>
/** A length in metres. */
export type Metres = Quantity<'metres'>
/** A duration in seconds. */
export type Seconds = Quantity<'seconds'>
/** An instant, in seconds since 1970-01-01T00:00Z. */
export type EpochSeconds = Quantity<'epoch-seconds'>

/** Names a quantity that a rule has already shown to be finite. @throws RangeError on NaN or infinity: our own bug. */
function finite<Q extends number>(name: string, value: number): Q {
  if (!Number.isFinite(value)) throw new RangeError(`${name} must be a finite number, got ${value}`)
  return value as Q
}

/**
 * A number as a temperature, °C.
 * @throws RangeError on NaN or infinity.
 * @example celsius(55) // 55
 */
export const celsius = (value: number): Celsius => finite('celsius', value)
/**
 * A number as a temperature difference, K.
 * @throws RangeError on NaN or infinity.
 * @example kelvins(4) // 4
 */
export const kelvins = (value: number): Kelvins => finite('kelvins', value)
/**
 * A number as a mass, kg.
 * @throws RangeError on NaN or infinity.
 * @example kilograms(2.7) // 2.7
 */
export const kilograms = (value: number): Kilograms => finite('kilograms', value)
/**
 * A number as a length, m.
 * @throws RangeError on NaN or infinity.
 * @example metres(0.1) // 0.1
 */
export const metres = (value: number): Metres => finite('metres', value)
/**
 * A number as a duration, s.
 * @throws RangeError on NaN or infinity.
 * @example seconds(90) // 90
 */
export const seconds = (value: number): Seconds => finite('seconds', value)
/**
 * A number as an instant, s since 1970.
 * @throws RangeError on NaN or infinity.
 * @example epochSeconds(0) // 0
 */
export const epochSeconds = (value: number): EpochSeconds => finite('epochSeconds', value)

/**
 * A duration given in minutes.
 * @example minutes(2) // 120
 */
export const minutes = (value: number): Seconds => seconds(value * 60)
/**
 * A duration given in hours.
 * @example hours(1) // 3600
 */
export const hours = (value: number): Seconds => seconds(value * 3600)
/**
 * A duration as minutes, for reading.
 * @example inMinutes(minutes(20)) // 20
 */
export const inMinutes = (duration: Seconds): number => duration / 60
/**
 * A temperature raised by a difference.
 * @example raisedBy(celsius(50), kelvins(5)) // 55
 */
export const raisedBy = (temperature: Celsius, rise: Kelvins): Celsius => celsius(temperature + rise)
/**
 * The difference of two temperatures, in kelvin.
 * @example differenceOf(celsius(55), celsius(50)) // 5
 */
export const differenceOf = (upper: Celsius, lower: Celsius): Kelvins => kelvins(upper - lower)
/**
 * The instant a duration after another.
 * @example after(epochSeconds(100), seconds(20)) // 120
 */
export const after = (instant: EpochSeconds, duration: Seconds): EpochSeconds => epochSeconds(instant + duration)
/**
 * The instant a duration before another.
 * @example before(epochSeconds(100), seconds(20)) // 80
 */
export const before = (instant: EpochSeconds, duration: Seconds): EpochSeconds => epochSeconds(instant - duration)
