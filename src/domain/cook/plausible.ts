import { celsiusToFahrenheit, fahrenheitToCelsius } from '@/core/units'

/** What a number that cannot be meat, or cannot be so soon, may have been meant as. */
export interface Doubt {
  /** As it was typed, taken at its word, °C. */
  readonly given_c: number
  /** Believable ones, likeliest first, °C. */
  readonly meant: readonly { readonly value_c: number; readonly as: 'tenth' | 'celsius' | 'fahrenheit' }[]
  /** What was read last, °C. */
  readonly last_c: number | undefined
}

/** What is known of a point that is read. */
export interface ReadBefore {
  readonly latest: { readonly at_s: number; readonly value_c: number } | undefined
  /** As it went in, °C: nothing in it is much colder. */
  readonly start_c: number
  readonly now_s: number
}

/** Meat climbs no faster, K/min (a thin piece over a fire), and falls no faster. */
const FASTEST_K_PER_MIN = { up: 2.5, down: 0.6 } as const
/** Another spot a finger away may read so much otherwise, K. */
const ELSEWHERE_K = 9
/** Water boils: no core is hotter, °C. */
const HOTTEST_C = 101
/** As it lay: this much colder than it was said to go in, K. */
const COLDER_K = 8

/**
 * Whether a reading typed by hand should be asked about before it counts, and what it may have been.
 *
 * @param typed as it was typed
 * @param fahrenheit whether this reader's numbers are °F
 * @param air what surrounds the meat is read: an oven may be anything
 * @example doubtOf(240, false, { latest: { at_s: 0, value_c: 23 }, start_c: 5, now_s: 600 }).meant[0] // { value_c: 24, as: 'tenth' }
 */
export function doubtOf(
  typed: number,
  fahrenheit: boolean,
  { latest, start_c, now_s }: ReadBefore,
  air = false,
): Doubt | undefined {
  const own = (value: number) => (fahrenheit ? fahrenheitToCelsius(value) : value)
  const given_c = own(typed)
  const minutes = latest ? Math.max(0, (now_s - latest.at_s) / 60) : 0
  const low = air
    ? -10
    : latest
      ? Math.max(start_c - COLDER_K, latest.value_c - ELSEWHERE_K - FASTEST_K_PER_MIN.down * minutes)
      : start_c - COLDER_K
  const high = air
    ? 320
    : Math.min(HOTTEST_C, latest ? latest.value_c + ELSEWHERE_K + FASTEST_K_PER_MIN.up * minutes : HOTTEST_C)
  const believable = (value_c: number) => Number.isFinite(value_c) && value_c >= low && value_c <= high
  if (believable(given_c)) return undefined
  const candidates = [
    { value_c: own(typed / 10), as: 'tenth' as const },
    fahrenheit
      ? { value_c: typed, as: 'celsius' as const }
      : { value_c: fahrenheitToCelsius(typed), as: 'fahrenheit' as const },
  ]
  const near = latest?.value_c ?? (low + high) / 2
  return {
    given_c,
    last_c: latest?.value_c,
    meant: candidates
      .filter(({ value_c }) => believable(value_c))
      .sort((a, b) => Math.abs(a.value_c - near) - Math.abs(b.value_c - near)),
  }
}

/**
 * What is typed for a believable reading, in the other unit's numbers: for a question.
 * @example inNumbers(24, true) // 75.2
 */
export const inNumbers = (value_c: number, fahrenheit: boolean): number =>
  Math.round((fahrenheit ? celsiusToFahrenheit(value_c) : value_c) * 10) / 10
