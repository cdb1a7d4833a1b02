import { TZDate } from '@date-fns/tz'
import { addDays } from 'date-fns'

/** Feasts whose day moves, or that are told by their day where nobody wrote their name. */

/**
 * Easter Sunday of a year, by the Gregorian computus (anonymous algorithm, from memory): month 3 or 4, and day.
 * @example easterOf(2026) // { month: 4, day: 5 }
 */
export function easterOf(year: number): { readonly month: number; readonly day: number } {
  const golden = year % 19
  const century = Math.floor(year / 100)
  const inCentury = year % 100
  const moon = (19 * golden + century - Math.floor(century / 4) - Math.floor((8 * century + 13) / 25) + 15) % 30
  const weekday = (32 + 2 * (century % 4) + 2 * Math.floor(inCentury / 4) - moon - (inCentury % 4)) % 7
  const late = Math.floor((golden + 11 * moon + 22 * weekday) / 451)
  const days = moon + weekday - 7 * late + 114
  return { month: Math.floor(days / 31), day: (days % 31) + 1 }
}

interface Feast {
  /** Its first day in a year, by the kitchen's clock. */
  readonly first: (year: number, timeZone: string) => Date
  readonly days: number
}
const FEASTS: Readonly<Record<string, Feast>> = {
  christmas: { first: (year, timeZone) => new TZDate(year, 11, 24, timeZone), days: 3 },
  'new year': { first: (year, timeZone) => new TZDate(year, 11, 31, timeZone), days: 2 },
  easter: {
    first: (year, timeZone) => {
      const { month, day } = easterOf(year)
      return addDays(new TZDate(year, month - 1, day, timeZone), -2)
    },
    days: 4,
  },
  thanksgiving: {
    // The fourth Thursday of November.
    first: (year, timeZone) => {
      const first = new TZDate(year, 10, 1, timeZone)
      return addDays(first, ((4 - first.getDay() + 7) % 7) + 21)
    },
    days: 1,
  },
}

/** The spans of a feast, the newest year first, s since 1970; none of what is no feast. */
export function feastDays(
  words: string,
  now_s: number,
  timeZone: string,
  years = 3,
): readonly { readonly from_s: number; readonly before_s: number }[] {
  const feast = Object.hasOwn(FEASTS, words) ? FEASTS[words] : undefined
  if (!feast) return []
  const year = new TZDate(now_s * 1000, timeZone).getFullYear()
  return Array.from({ length: years }, (_, back) => {
    const first = feast.first(year - back, timeZone)
    return { from_s: first.getTime() / 1000, before_s: addDays(first, feast.days).getTime() / 1000 }
  })
}

/**
 * The same day of a feast that moves, at the same time of the clock, the next there is; undefined of any other.
 * @example easterAgain(Date.UTC(2026, 3, 5, 12) / 1000, Date.UTC(2026, 10, 1) / 1000, 'UTC') === Date.UTC(2027, 2, 28, 12) / 1000 // true
 */
export function easterAgain(then_s: number, now_s: number, timeZone: string): number | undefined {
  const then = new TZDate(then_s * 1000, timeZone)
  const sundayOf = (year: number) => {
    const { month, day } = easterOf(year)
    return new TZDate(year, month - 1, day, then.getHours(), then.getMinutes(), timeZone)
  }
  const off = Math.round((then.getTime() - sundayOf(then.getFullYear()).getTime()) / 86_400_000)
  if (Math.abs(off) > 2) return undefined
  const year = new TZDate(now_s * 1000, timeZone).getFullYear()
  const next = [year, year + 1, year + 2]
    .map((each) => addDays(sundayOf(each), off).getTime() / 1000)
    .find((at_s) => at_s > now_s + 86_400)
  return next
}
