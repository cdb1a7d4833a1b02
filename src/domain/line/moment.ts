import { TZDate } from '@date-fns/tz'
import { addDays, addMonths, isValid } from 'date-fns'

export const WEEKDAYS: readonly string[] = [
  'sunday',
  'monday',
  'tuesday',
  'wednesday',
  'thursday',
  'friday',
  'saturday',
]
export const MONTHS: readonly string[] = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
]
const startsWith = (names: readonly string[], word: string | undefined): number =>
  word && /^[a-z]{3,}$/.test(word) ? names.findIndex((name) => name.startsWith(word)) : -1

const LEADS = new Set([
  'eat',
  'serve',
  'served',
  'carve',
  'plate',
  'dinner',
  'lunch',
  'supper',
  'at',
  'on',
  'for',
  'by',
])

/**
 * Whether a word names a month, whole or short.
 * @example isMonth('sept') // true
 */
export const isMonth = (word: string): boolean => monthNumber(word) > 0
/**
 * Which month a word names, from 1; 0 where it names none.
 * @example monthNumber('sept') // 9
 */
export const monthNumber = (word: string): number => startsWith(MONTHS, word) + 1

/** Words of days, months and hours: what a misspelt one may have been. */
export const DAY_WORDS: readonly string[] = [
  ...WEEKDAYS,
  ...MONTHS,
  ...'today tonight tomorrow yesterday noon midday midnight easter christmas xmas thanksgiving boxing stephens patricks valentines hogmanay heiligabend burns independence saint eve year evening lunch lunchtime dinner supper ready plates sharp past half quarter'.split(
    ' ',
  ),
]

/** No moment is said in more words than this: leads, day, month, clock, half of the day. */
export const LONGEST_MOMENT = 12

/** Days as they are written short. */
const SHORT_DAYS: ReadonlySet<string> = new Set('mon tue tues wed thu thur thurs fri sat sun'.split(' '))
const NEAR_DAYS = new Set(['today', 'tonight', 'tomorrow'])
/** So many days from today, as "in two days" is written once it is read. */
const DAYS_ON = /^\+(\d{1,2})d$/
const ISO_DAY = /^(\d{4})-(\d{2})-(\d{2})$/
/** A weekday, or the one a week after it. */
const A_WEEK_ON = /^([a-z]+)(?:\+7)?$/

/**
 * Whether a word names a day by itself: tomorrow, friday, in two days, a date.
 * @example isDay('friday+7') // true
 */
export const isDay = (word: string): boolean =>
  NEAR_DAYS.has(word) ||
  SHORT_DAYS.has(word) ||
  DAYS_ON.test(word) ||
  ISO_DAY.test(word) ||
  WEEKDAYS.includes(word.replace(/\+7$/, ''))

/**
 * A clock time: 19:00, 7pm, 7.30pm, noon; undefined when it is none. A bare hour needs am or pm or a lead word.
 * @example readClock('7pm', false) // { hour: 19, minute: 0 }
 */
export function readClock(word: string | undefined, led: boolean): { hour: number; minute: number } | undefined {
  if (word === undefined) return undefined
  if (word === 'noon' || word === 'midday') return { hour: 12, minute: 0 }
  // The night's, at the end of its day.
  if (word === 'midnight') return { hour: 24, minute: 0 }
  const parts = word.match(/^(\d{1,2})(?:[:.](\d{2}))?(am|pm|h)?$/)
  if (!parts || (!parts[2] && !parts[3] && !led)) return undefined
  const hour12 = Number(parts[1])
  const minute = Number(parts[2] ?? 0)
  const half = parts[3]
  const hour = half === 'pm' && hour12 < 12 ? hour12 + 12 : half === 'am' && hour12 === 12 ? 0 : hour12
  return hour < 24 && minute < 60 ? { hour, minute } : undefined
}

/** From this hour on a clock may be of the morning. */
const MORNING = 10

/**
 * A clock as a roast is eaten by: 7:30 is in the evening where nobody writes 07:30 or says that it is morning.
 * @param next the word after it
 * @param before the first hour that is left as it is
 * @example afternoon('7:30') // '19:30'
 */
export function afternoon(word: string, next?: string, before = MORNING): string {
  const clock = /^([1-9])[:.](\d{2})$/.exec(word)
  return clock && Number(clock[1]) < before && !/^(?:[ap]m|in|a|h)$/.test(next ?? '')
    ? `${Number(clock[1]) + 12}:${clock[2]}`
    : word
}

/**
 * Reads a moment at the head of some words: `eat 19:00`, `eat sat 19:30`, `at 7pm`,
 * `eat 25 dec 14:00`, `eat 2026-12-25 14:00`, `tomorrow 13:00`.
 *
 * Without a day it is the next such clock time; with a weekday the next such day, today included
 * when the time is still to come; with a day and month the next such date.
 *
 * @returns seconds since 1970 and the number of words used; undefined when no moment stands there
 * @example readMoment(['tomorrow', '13:00'], { now_s: 0, timeZone: 'UTC' }).at_s // 133200
 */
export function readMoment(
  words: readonly string[],
  { now_s, timeZone }: { readonly now_s: number; readonly timeZone: string },
): { readonly at_s: number; readonly count: number } | undefined {
  let at = 0
  while (at < LONGEST_MOMENT && LEADS.has(words[at] ?? '')) at++
  // "for 8" is a number of guests, not an hour.
  const led = words.slice(0, at).some((word) => word !== 'for')
  let day: TZDate | undefined
  let rolls: 'day' | 'week' | 'month' | 'year' | undefined = 'day'
  const half = /^[ap]m$/
  let clock = readClock(words[at], led || half.test(words[at + 1] ?? ''))
  if (clock) {
    at++
    if (words[at] === 'am' || words[at] === 'pm') {
      clock = readClock(`${clock.hour}:${String(clock.minute).padStart(2, '0')}${words[at]}`, true) ?? clock
      at++
    }
    if (words[at] === 'on' && words.length > at + 1) at++
  }
  const word = words[at]
  const iso = word?.match(ISO_DAY)
  const weekday = startsWith(WEEKDAYS, word?.match(A_WEEK_ON)?.[1])
  const daysOn = word?.match(DAYS_ON)
  const dayNumber = word?.match(/^(\d{1,2})(?:st|nd|rd|th)?\.?$/)
  const monthAfter = startsWith(MONTHS, words[at + 1])
  const monthHere = startsWith(MONTHS, word)
  const dayAfter = words[at + 1]?.match(/^(\d{1,2})(?:st|nd|rd|th)?$/)
  // "The 25th" is the next one.
  const ordinal = monthAfter < 0 ? word?.match(/^(\d{1,2})(?:st|nd|rd|th)$/) : undefined
  const named = iso || weekday >= 0 || (dayNumber && monthAfter >= 0) || (monthHere >= 0 && dayAfter) || ordinal
  // Most words begin no moment: that is plain before any calendar is asked.
  if (!clock && !named && !daysOn && !NEAR_DAYS.has(word ?? '')) return undefined
  const now = new TZDate(now_s * 1000, timeZone)
  if (word === 'today' || word === 'tonight') {
    day = now
    rolls = undefined
    at++
  } else if (word === 'tomorrow' || daysOn) {
    day = addDays(now, Number(daysOn?.[1] ?? 1)) as TZDate
    rolls = undefined
    at++
  } else if (iso) {
    day = new TZDate(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3]), timeZone)
    rolls = undefined
    at++
  } else if (dayNumber && monthAfter >= 0) {
    day = new TZDate(now.getFullYear(), monthAfter, Number(dayNumber[1]), timeZone)
    rolls = 'year'
    at += 2
  } else if (monthHere >= 0 && dayAfter) {
    day = new TZDate(now.getFullYear(), monthHere, Number(dayAfter[1]), timeZone)
    rolls = 'year'
    at += 2
  } else if (weekday >= 0) {
    const later = word?.endsWith('+7') ?? false
    day = addDays(now, ((weekday - now.getDay() + 7) % 7) + (later ? 7 : 0)) as TZDate
    rolls = 'week'
    at++
  } else if (ordinal) {
    day = new TZDate(now.getFullYear(), now.getMonth(), Number(ordinal[1]), timeZone)
    // No such day in this month: the next has it.
    if (day.getDate() !== Number(ordinal[1]))
      day = new TZDate(day.getFullYear(), day.getMonth(), Number(ordinal[1]), timeZone)
    rolls = 'month'
    at++
  }
  if (!clock) {
    if (words[at] === 'at') at++
    clock = readClock(words[at], led || day !== undefined)
    if (!clock) return undefined
    at++
    if (words[at] === 'am' || words[at] === 'pm') {
      clock = readClock(`${clock.hour}:${String(clock.minute).padStart(2, '0')}${words[at]}`, true) ?? clock
      at++
    }
  }
  const base = day ?? now
  let moment = new TZDate(base.getFullYear(), base.getMonth(), base.getDate(), clock.hour, clock.minute, timeZone)
  if (!isValid(moment)) return undefined
  if (rolls && moment.getTime() / 1000 <= now_s) {
    if (rolls === 'year')
      moment = new TZDate(
        moment.getFullYear() + 1,
        moment.getMonth(),
        moment.getDate(),
        clock.hour,
        clock.minute,
        timeZone,
      )
    else if (rolls === 'month') moment = addMonths(moment, 1) as TZDate
    else moment = addDays(moment, rolls === 'week' ? 7 : 1) as TZDate
  }
  return { at_s: Math.round(moment.getTime() / 1000), count: at }
}
