import { TZDate } from '@date-fns/tz'
import { pullsApart } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import type { Fact, Meaning } from './fact'
import { isHotInCelsius } from './readers/grammar'
import { type MomentContext, momentAt } from './said-moment'

/** When they eat, of all that a line says of it. */

/** What cooks overnight is eaten by this hour of the next day, or the day is said. */
const MORNING_AFTER_H = 15
export const HALF_DAY_S = 12 * 3600
/** And it is no night that is shorter, s. */
const A_NIGHT_S = 10 * 3600
const DAY_S = 86_400
/** What was to go in so long ago may have, s. */
const JUST_GONE_S = 3 * 3600

type Moment = Extract<Fact, { kind: 'moment' }>
type Again = Extract<Fact, { kind: 'again' }>
const momentOf = (fact: Moment | Again): Moment =>
  fact.kind === 'moment' ? fact : { kind: 'moment', at_s: fact.at_s, said: fact.said }

const isWeak = ({ weak }: Moment): boolean => weak !== undefined

/** "Dinner at 8, I need the kitchen at 6": where one of them says that they eat then it is that; a day goes with any. */
function eatenAmong(all: readonly Pick<Moment, 'led'>[]): (moment: Pick<Moment, 'led' | 'said'>) => boolean {
  const isLed = all.some(({ led }) => led)
  return ({ led, said }) => !isLed || led === true || said === 'day'
}

/** Whether a fact says an hour to eat at: no day alone, no name of a meal, no coming of guests. */
export const isHour = (fact: Fact): fact is Moment | Again =>
  fact.kind === 'again' || (fact.kind === 'moment' && fact.said !== 'day' && !isWeak(fact))

/**
 * When it may be meant to go in, s since 1970: the hour that was said, or the same of the other half of the day.
 */
const goingIn = ({
  at_s,
  halfSaid,
}: Pick<Extract<Fact, { kind: 'put_in' }>, 'at_s' | 'halfSaid'>): readonly number[] =>
  halfSaid ? [at_s] : [at_s, at_s - HALF_DAY_S]

/**
 * When they eat, s since 1970: the last that was said; a day and an hour said apart are one moment. Guests who arrive
 * at an hour eat then where no other is said, and a meal has its usual hour.
 * @param table what the line says of the table
 */
export function promiseOf(table: readonly Meaning[], { now_s, timeZone }: MomentContext): number | undefined {
  const all = table.flatMap(({ fact }) => (fact.kind === 'moment' || fact.kind === 'again' ? [momentOf(fact)] : []))
  const meant = all.filter((moment) => !isWeak(moment))
  const eaten = meant.filter(eatenAmong(meant))
  // "Eat Monday at 6, put it on Sunday night": no day beside it is that of an hour that has its own.
  const dined = meant.findLast(({ led, said }) => led && said === 'both')
  if (dined && !eaten.some(({ led, said }) => led && said === 'clock')) return dined.at_s
  const moments = eaten.some(({ said }) => said !== 'day') ? eaten : all
  const last = moments.at(-1)
  const other =
    last?.said === 'clock'
      ? // "Saturday 6 or 7 pm" is on Saturday either way; "guests come Saturday at 6, eat at 7" too.
        (moments.findLast(({ said }) => said === 'day') ?? [...all, ...moments].findLast(({ said }) => said === 'both'))
      : moments.findLast(({ said }) => said === 'clock')
  const dated = last && other && last.said !== 'both' && last !== other
  if (dated) {
    const [day, clock] = last.said === 'day' ? [last, other] : [other, last]
    return atHourOf(day.at_s, clock.at_s, timeZone)
  }
  // What is in already is eaten by the next clock that shows this.
  const isIn = table.some(({ fact }) => fact.kind === 'put_in' && fact.already)
  if (isIn && last?.halfTaken && last.at_s - HALF_DAY_S > now_s) return last.at_s - HALF_DAY_S
  // "In at ten at night, eat at one": the day after, for nothing is eaten before it goes in.
  const goes = table.map(({ fact }) => fact).findLast((fact) => fact.kind === 'put_in')
  const isAfter = goes?.halfSaid && last?.said === 'clock' && goes.at_s > last.at_s && goes.at_s < last.at_s + DAY_S
  // "Oven on at eight, eat at two", said at nine: that was today.
  if (isAfter && goes.at_s - DAY_S < now_s - JUST_GONE_S) return atHourOf(last.at_s + DAY_S, last.at_s, timeZone)
  if (last?.said !== 'clock' || !table.some(({ fact }) => fact.kind === 'overnight')) return last?.at_s
  const hour = new TZDate(last.at_s * 1000, timeZone).getHours()
  const tonight = hour <= MORNING_AFTER_H && last.at_s - now_s < A_NIGHT_S
  return tonight ? atHourOf(last.at_s + 86_400, last.at_s, timeZone) : last.at_s
}

/**
 * Which of the moments that may be meant lies between now and when they eat, s since 1970; undefined where none does.
 * @example goesBetween({ at_s: 90000, halfSaid: true }, 0, 99000) // 90000
 */
export const goesBetween = (
  goes: Parameters<typeof goingIn>[0],
  now_s: number,
  promise_s: number,
): number | undefined => goingIn(goes).find((at_s) => at_s > now_s && at_s < promise_s)

/** Who says a day means it. */
const SAYS_DAY = /day|morrow|night|\b(?:mon|tue|wed|thu|fri|sat|sun)\b|\d(?:st|nd|rd|th)\b/i
/**
 * Nothing is eaten before it goes in. "Goes in at nine, eat at two", said at half past nine: it is in since then. "Goes
 * in at nine tomorrow, eat at two": they eat tomorrow.
 */
export function goneIn(meanings: readonly Meaning[], line: string, context: MomentContext): Meaning[] {
  const { now_s, timeZone } = context
  const promise_s = promiseOf(meanings, context)
  const goes = meanings.findLast(({ fact }) => fact.kind === 'put_in')
  if (goes?.fact.kind !== 'put_in' || goes.fact.already || promise_s === undefined) return [...meanings]
  const { at_s } = goes.fact
  if (at_s < promise_s || goesBetween(goes.fact, now_s, promise_s) !== undefined) return [...meanings]
  const saysDay = SAYS_DAY.test(line.slice(goes.from, goes.to))
  const gone_s = at_s - DAY_S
  const isJustGone = gone_s <= now_s && gone_s > now_s - JUST_GONE_S
  return meanings.map((meaning) => {
    const { fact } = meaning
    if (meaning === goes && !saysDay && isJustGone)
      return { ...meaning, fact: { kind: 'put_in', at_s: gone_s, already: true } }
    if (fact.kind !== 'moment' || fact.said !== 'clock' || fact.at_s > at_s || !saysDay) return meaning
    const days = Math.ceil((at_s - fact.at_s) / DAY_S)
    return { ...meaning, fact: { ...fact, at_s: atHourOf(fact.at_s + days * DAY_S, fact.at_s, timeZone) } }
  })
}

/**
 * "Hold at 60 until nine": they eat at nine where no other hour is said; where one is, what is kept on after it is
 * remembered as it was said.
 */
export function heldUntil(meanings: readonly Meaning[], line: string, context: MomentContext): Meaning[] {
  const isSaid = promiseOf(meanings, context) !== undefined
  return meanings.flatMap((meaning): Meaning[] => {
    const { fact, from, to } = meaning
    if (fact.kind !== 'hold' || fact.until === undefined) return [meaning]
    const ends = momentAt(['at', ...fact.until.split(' ')], context)?.fact
    if (isSaid) return [meaning, { ...meaning, fact: { kind: 'note', text: line.slice(from, to) }, parted: false }]
    return ends ? [meaning, { ...meaning, fact: ends, parted: false }] : [meaning]
  })
}

/** A table, or an hour. */
const BARE_TABLE = /^for (?:[1-9]|1[0-2])$/i
/** "Lamb leg for 7, 8 people": where no other hour is said and somebody says how many they are, the bare one is the hour. */
export function tableHour(meanings: readonly Meaning[], line: string, context: MomentContext): Meaning[] {
  const tables = meanings.filter(({ fact }) => fact.kind === 'guests')
  const bare = tables.find(({ from, to }) => BARE_TABLE.test(line.slice(from, to)))
  const said = tables.find(({ from, to }) => /\p{L}/u.test(line.slice(from, to).replace(/^for /i, '')))
  const isOpen = tables.length === 2 && bare && said && promiseOf(meanings, context) === undefined
  const found = isOpen ? momentAt(['at', line.slice(bare.from, bare.to).slice(4)], context)?.fact : undefined
  return found ? meanings.map((each) => (each === bare ? { ...each, fact: found } : each)) : [...meanings]
}

/** An hour of the day as it is written on the continent: 19h, 12h30. */
const CONTINENTAL = /^(1[3-9]|2[0-3])\s?h$|^(1[0-2])\s?h\s?([0-5]\d)$/i
/** In a cooler oven so many hours are a length, °C; °F where it is more than any oven in °C. */
const LONG_STAY_C = 130

/**
 * "Topside 1.2 kg, oven 150, core 55, 19h" is eaten at seven: nothing is roasted for so long at such a heat. Only where
 * no other hour is said, and of no meat that is cooked by the day.
 */
export function continentalHour(meanings: readonly Meaning[], line: string, context: MomentContext): Meaning[] {
  if (promiseOf(meanings, context) !== undefined) return [...meanings]
  // "Gigot 7h, 120°, 20h": who says how long it takes says an hour beside it.
  const saidHow = meanings.some(
    ({ fact, from, to }) => fact.kind === 'span' && !CONTINENTAL.test(line.slice(from, to)) && fact.minutes >= 60,
  )
  const isSliced = meanings.some(({ fact }) => fact.kind === 'serve' || fact.kind === 'doneness')
  const heatSaid = ({ fact }: Meaning) =>
    fact.kind === 'heat' ? fact.heat : fact.kind === 'stage' ? fact.stage.heat : undefined
  const isHot = saidHow || meanings.some((meaning) => isHotInCelsius(heatSaid(meaning)))
  const isLong =
    !isHot &&
    meanings.some((meaning) => {
      const { fact } = meaning
      const cut = fact.kind === 'cut' ? findCut(fact.ids[0] ?? '') : undefined
      const heat = heatSaid(meaning)
      return (!isSliced && cut !== undefined && pullsApart(cut)) || (heat !== undefined && heat.value < LONG_STAY_C)
    })
  return meanings.map((meaning) => {
    const said = meaning.fact.kind === 'span' ? CONTINENTAL.exec(line.slice(meaning.from, meaning.to)) : null
    const [, whole, hour = whole, minute = '00'] = said ?? []
    const found = hour && !isLong ? momentAt(['at', `${hour}:${minute}`], context)?.fact : undefined
    return found ? { ...meaning, fact: found } : meaning
  })
}

/** The first and the last hour that a line says to eat at, where they are not the same, and the one that is taken. */
export interface HoursApart {
  readonly first: Meaning
  readonly last: Meaning
  readonly taken: Meaning
}
/** @param times every hour on its day, s since 1970: one o'clock on Saturday is not one on Sunday */
export function hoursApart(table: readonly Meaning[], times: readonly number[]): HoursApart | undefined {
  const hours = table.flatMap((meaning) => (isHour(meaning.fact) ? [{ ...momentOf(meaning.fact), meaning }] : []))
  const [first, last] = [hours[0], hours.at(-1)]
  const taken = hours.findLast(eatenAmong(hours))
  if (!first || !last || !taken || (first.at_s === last.at_s && new Set(times).size < 2)) return undefined
  return { first: first.meaning, last: last.meaning, taken: taken.meaning }
}

/**
 * The first and the last day that a line says to eat on, where they are not the same, and the one that is taken: "turkey
 * for Thanksgiving, rib for Christmas". Where it is said that they eat then, another day is of something else.
 */
export function daysApart(
  table: readonly Meaning[],
  promise_s: number | undefined,
  { now_s, timeZone }: MomentContext,
): HoursApart | undefined {
  const dayOf = (at_s: number) => new TZDate(at_s * 1000, timeZone).toDateString()
  const days = table.flatMap((meaning) => {
    const { fact } = meaning
    return fact.kind === 'moment' && fact.said !== 'clock' && !isWeak(fact)
      ? [{ meaning, day: dayOf(fact.at_s), isLed: fact.led === true && fact.said === 'both' }]
      : []
  })
  // "Bought today, eaten on Saturday at seven".
  const told = days.filter(({ day }) => day !== dayOf(now_s))
  const [first, last] = [told[0], told.at(-1)]
  if (promise_s === undefined || !first || !last || told.some(({ isLed }) => isLed)) return undefined
  const taken = told.findLast(({ day }) => day === dayOf(promise_s))
  if (!taken || told.every(({ day }) => day === first.day)) return undefined
  return { first: first.meaning, last: last.meaning, taken: taken.meaning }
}

/** Whether a day or an hour that was said is that of when they eat. */
export function isPartOf({ said, at_s }: Moment, promise_s: number, { timeZone }: MomentContext): boolean {
  if (said === 'both') return false
  return said === 'day'
    ? atHourOf(at_s, promise_s, timeZone) === promise_s
    : atHourOf(promise_s, at_s, timeZone) === promise_s
}

/** The hour of one moment on the day of another, s since 1970. */
export function atHourOf(day_s: number, clock_s: number, timeZone: string): number {
  const date = new TZDate(day_s * 1000, timeZone)
  const hour = new TZDate(clock_s * 1000, timeZone)
  return Math.round(
    new TZDate(
      date.getFullYear(),
      date.getMonth(),
      date.getDate(),
      hour.getHours(),
      hour.getMinutes(),
      timeZone,
    ).getTime() / 1000,
  )
}

/** What is done on a day before: nothing is eaten then. */
const DONE_ON =
  /\b(?:salt(?:ed)?|brined?|rub(?:bed)?|marinated?|defrost(?:ed|ing)?|thaw(?:ed|ing)?|out of (?:the )?freezer|collect(?:ed|ing)?|pick(?:ed)? (?:it |them )?up|deliver(?:ed|y)|buy|bought|order(?:ed)?|shopping|arriv(?:es?|ing)|(?:guests?|family|they|we) arrive)(?: (?:it|them|the|my|bird|meat|turkey|rib|joint|roast|beef|lamb|pork|ham|goose|from|on|by|since|in|all))*\s*$/i
/** So far before a day it is looked for, characters. */
const BEFORE_DAY = 60

/** "Salt friday night, turkey 5 kg sunday 2pm": where another day is said, that of the salt is remembered and not eaten on. */
export function doneOnDays(meanings: readonly Meaning[], line: string): Meaning[] {
  const days = meanings.filter(({ fact }) => fact.kind === 'moment' && fact.said !== 'clock' && !isWeak(fact))
  const saidOf = ({ from }: Meaning) => {
    const reach = Math.max(0, from - BEFORE_DAY)
    const found = DONE_ON.exec(line.slice(reach, from))
    return found ? reach + found.index : undefined
  }
  const done = new Map(
    days.flatMap((day) => {
      const from = saidOf(day)
      return from === undefined ? [] : [[day, from] as const]
    }),
  )
  if (done.size === 0 || done.size === days.length) return [...meanings]
  return meanings.map((meaning) => {
    const from = done.get(meaning)
    return from === undefined ? meaning : { ...meaning, fact: { kind: 'note', text: line.slice(from, meaning.to) } }
  })
}
