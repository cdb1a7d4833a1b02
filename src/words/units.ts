import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  kelvinsToFahrenheitRise,
  kilogramsToPoundsAndOunces,
  metresToInches,
} from '@/core/units'

/** How this reader wants quantities shown. */
export interface Units {
  readonly temperature: 'c' | 'f'
  readonly mass: 'kg' | 'lb'
  readonly clock: '24h' | '12h'
  readonly timeZone: string
  /** Day before month where nothing is said. */
  readonly dateOrder?: 'dmy' | 'mdy'
}

/** Where no kitchen says how it wants them. */
export const PLAIN_UNITS: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'UTC' }

/** A kitchen's own units, as its row keeps them. */
export const kitchenUnits = (kitchen: {
  readonly temperatureUnit: string
  readonly massUnit: Units['mass']
  readonly clock: Units['clock']
  readonly timeZone: string
  readonly dateOrder: 'dmy' | 'mdy'
}): Units => ({
  temperature: kitchen.temperatureUnit === 'f' ? 'f' : 'c',
  mass: kitchen.massUnit,
  clock: kitchen.clock,
  timeZone: kitchen.timeZone,
  dateOrder: kitchen.dateOrder,
})

export const temperature = (value_c: number, units: Units, digits = 0): string =>
  units.temperature === 'f' ? `${celsiusToFahrenheit(value_c).toFixed(0)} °F` : `${value_c.toFixed(digits)} °C`

/** Degrees as this reader wants them, their sign, and a number of theirs as °C. */
export const degreesOf = ({ temperature: unit }: Pick<Units, 'temperature'>) =>
  unit === 'f'
    ? { shown: celsiusToFahrenheit, unit: '°F', celsius: fahrenheitToCelsius }
    : { shown: (value_c: number) => value_c, unit: '°C', celsius: (value_c: number) => value_c }

export const rise = (value_k: number, units: Units): string =>
  units.temperature === 'f'
    ? `${kelvinsToFahrenheitRise(value_k).toFixed(0)} °F`
    : `${value_k.toFixed(value_k < 10 ? 1 : 0)} °C`

export function mass(value_kg: number, units: Units): string {
  if (units.mass === 'lb') {
    const { pounds, ounces } = kilogramsToPoundsAndOunces(value_kg)
    const rounded = Math.round(ounces)
    if (pounds === 0) return `${rounded} oz`
    return rounded === 0 ? `${pounds} lb` : rounded === 16 ? `${pounds + 1} lb` : `${pounds} lb ${rounded} oz`
  }
  return value_kg < 1 ? `${Math.round(value_kg * 1000)} g` : `${Number(value_kg.toFixed(2))} kg`
}

export const length = (value_m: number, units: Units): string =>
  units.mass === 'lb' ? `${metresToInches(value_m).toFixed(1)} in` : `${Math.round(value_m * 1000)} mm`

export function duration(value_s: number): string {
  const whole = Math.max(0, Math.round(value_s / 60))
  const hours = Math.floor(whole / 60)
  const minutes = whole % 60
  if (hours === 0) return `${minutes} min`
  return minutes === 0 ? `${hours} h` : `${hours} h ${minutes} min`
}

/** Made once: a format costs fifty times what it costs to use, and a board says its hours every second. */
const made = new Map<string, Intl.DateTimeFormat>()
/** Kitchens of one server lie in no more zones, by so many formats. */
const MOST_MADE = 500
function formatIn(locale: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${locale} ${JSON.stringify(options)}`
  const known = made.get(key)
  if (known) return known
  if (made.size >= MOST_MADE) made.clear()
  const format = new Intl.DateTimeFormat(locale, options)
  made.set(key, format)
  return format
}

const formatter = (units: Units, options: Intl.DateTimeFormatOptions) =>
  formatIn(units.dateOrder === 'mdy' ? 'en-US' : 'en-GB', { timeZone: units.timeZone, ...options })

export const clock = (at_s: number, units: Units): string =>
  formatter(units, {
    hour: units.clock === '12h' ? 'numeric' : '2-digit',
    minute: '2-digit',
    hour12: units.clock === '12h',
  }).format(Math.round(at_s / 60) * 60_000)

export const day = (at_s: number, units: Units): string =>
  formatter(units, { weekday: 'long', day: 'numeric', month: 'long' }).format(at_s * 1000)

/** From so far off a day is said with its year, s. */
const FAR_S = 300 * 86_400

/**
 * A day in few words.
 * @param from_s as seen from then: a day that is far off has its year, for "Thu 25 Nov" on the 28th is no day that was
 */
export const shortDay = (at_s: number, units: Units, from_s = at_s): string =>
  formatter(units, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(Math.abs(at_s - from_s) > FAR_S ? { year: 'numeric' } : {}),
  }).format(at_s * 1000)

/** The value of a datetime-local input for an instant in the kitchen's zone. */
export function localInput(at_s: number, units: Units): string {
  const parts = Object.fromEntries(
    formatIn('en-GB', {
      timeZone: units.timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
      .formatToParts(at_s * 1000)
      .map(({ type, value }) => [type, value]),
  )
  return `${parts.year}-${parts.month}-${parts.day}T${parts.hour}:${parts.minute}`
}
