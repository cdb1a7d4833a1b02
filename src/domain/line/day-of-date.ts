import { TZDate } from '@date-fns/tz'
import type { Span } from '../problem/problem'
import { MONTHS, WEEKDAYS } from './moment'

/** "Sunday 28 November", where the 28th is a Saturday: which of them is meant is asked. */

/** As short as they are said. */
const short = (names: readonly string[]) => names.map((name) => name.slice(0, 3))
const DAYS = short(WEEKDAYS)
const OF_YEAR = short(MONTHS)
const NAMED = `(${DAYS.join('|')})[a-z]*\\.?`
const MONTH = `(?:${OF_YEAR.join('|')})[a-z]*`
/** A day of a month is said with its month, or as an ordinal: "Sunday 1 pm" is an hour. */
const DATE = `(\\d{1,2})(?:(?:st|nd|rd|th)(?: of)?(?: ${MONTH})?|(?: of)? ${MONTH})`
const BOTH = new RegExp(`\\b${NAMED}[ ,]+(?:the )?(${DATE})(?![a-z\\d])`, 'i')

/** A weekday and a date that are not of one day. */
export interface DayOfDate {
  readonly at: Span
  /** The day of the week that the date is, 0 a Sunday: it is taken. */
  readonly weekday: number
  /** The date with its own weekday, and the nearest day from today on that has the name which was said. */
  readonly dated: string
  readonly named: string
}

/**
 * Where a line names a weekday and a date that is none.
 * @param promise_s when they eat as it was read, s since 1970: where that is not on the date, the date was no date
 * @example dayOfDate('sunday 28 nov 13:00 rib 3 kg', 1795870800, { now_s: 1795500000, timeZone: 'UTC' })?.named // 'sun 29 nov'
 */
export function dayOfDate(
  line: string,
  promise_s: number,
  { now_s, timeZone }: { readonly now_s: number; readonly timeZone: string },
): DayOfDate | undefined {
  const said = BOTH.exec(line)
  if (!said) return undefined
  const [text, name = '', , day = ''] = said
  const eaten = new TZDate(promise_s * 1000, timeZone)
  const weekday = DAYS.indexOf(name.toLowerCase())
  if (eaten.getDate() !== Number(day) || eaten.getDay() === weekday) return undefined
  const today = new TZDate(now_s * 1000, timeZone)
  const midnight = new TZDate(today.getFullYear(), today.getMonth(), today.getDate(), timeZone).getTime()
  const after = (weekday - eaten.getDay() + 7) % 7
  const of = (days: number) => new TZDate(eaten.getFullYear(), eaten.getMonth(), eaten.getDate() + days, timeZone)
  const isBefore = after > 3 && of(after - 7).getTime() >= midnight
  const words = (date: TZDate) => `${DAYS[date.getDay()]} ${date.getDate()} ${OF_YEAR[date.getMonth()]}`
  return {
    at: { from: said.index, to: said.index + text.length },
    weekday: eaten.getDay(),
    dated: words(of(0)),
    named: words(of(isBefore ? after - 7 : after)),
  }
}
