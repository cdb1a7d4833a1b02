import { isMonth, monthNumber } from './moment'
import { COVERS, DASHED, type Made, madeOne, numberOf, type Rule, type Token, textAt } from './tokens'

/** Hours and dates as they are said in words: each made one word that a moment is read from. */

/** A word that names a day or a month. */
export const DAYS_SAID =
  /^(?:today|tonight|tomorrow|\+\d+d|\d{4}-\d{2}-\d{2}|(?:sun|mon|tue|wed|thu|fri|sat|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*(?:\+7)?|christmas|xmas|easter|thanksgiving)$/
export const MONTH = /^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/
/** Who eats. */
const EATERS = 'people|ppl|persons?|guests?|heads?|covers?|adults?'
const ARE_EATERS = new RegExp(`^(?:${EATERS})$`)
/** Who may have an hour of their own; a cover is one that eats, or is put on at nine. */
export const COME_NEXT = /^(?:people|guests?|adults?)$/
/** What a number is that is no hour. */
export const MEASURED = new RegExp(
  `^(?:kgs?|kilos?|kilograms?|g|gr|gms?|grams?|lbs?|pounds?|oz|ounces?|mm|cm|m|metres?|meters?|ft|feet|foot|inch|inches|${EATERS}|min|mins|minutes?|hours?|hrs?|x|c|f|degrees)$`,
)

/** Minutes before or after an hour, in words. */
const PARTS_OF_AN_HOUR: ReadonlyMap<string, number> = new Map(
  Object.entries({ five: 5, ten: 10, quarter: 15, twenty: 20 }),
)
/** And in figures, after "at": "5 to 7" alone is a range to nobody. */
const FIGURES = new Set([5, 10, 20, 25])
/** Before an hour that is plain, and before one that is about so or is halved. */
const CLOCK_LEADS = 'at|by|eat|serve|served|table|ready|dinner|lunch|supper'
/** After a lead, or a day: "boxing day two thirty for six". */
const AFTER_WHICH = new RegExp(`^(?:${CLOCK_LEADS}|day|eve)$|${DAYS_SAID.source}`)
const LEADS_CLOCK = new RegExp(`^(?:${CLOCK_LEADS})$`)
const LEADS_HOUR = new RegExp(`^(?:${CLOCK_LEADS}|around|about|eating|for)$`)
const AT = /^(?:at|by)$/
const HALF_DAY = /^[ap]m$/
const ORDINAL = /^\d{1,2}(?:st|nd|rd|th)$/

const clockText = (at_min: number) => `${Math.floor(at_min / 60)}:${String(at_min % 60).padStart(2, '0')}`
/** An hour of twelve as roasts are eaten by, minutes of the day. */
const eatenAt = (hour12: number) => (hour12 < 11 ? hour12 + 12 : hour12) * 60
/** Such an hour and so many minutes before or after it. */
const clockOf = (hour12: number, minutes = 0) => clockText(eatenAt(hour12) + minutes)
export const isHour12 = (value: number) => Number.isInteger(value) && value >= 1 && value <= 12

const ON_A_DAY = new RegExp(`${DAYS_SAID.source}|^(?:christmas|xmas|boxing|new|easter|thanksgiving)$`)
/** Nothing follows that an hour could be so many of. */
const endsAt = (tokens: readonly Token[], at: number) => {
  const next = tokens[at]
  const onDay = next?.text === 'on' && ON_A_DAY.test(textAt(tokens, at + 1))
  return !next || next.parted || DAYS_SAID.test(next.text) || onDay
}

/** Minutes beside an hour; undefined where the words are none. */
function minutesSaid(part: string, side: 'past' | 'to', before: string): number | undefined {
  if (part === 'half') return side === 'past' ? 30 : undefined
  if (FIGURES.has(Number(part)))
    return AT.test(before) || (before === 'for' && side === 'past') ? Number(part) : undefined
  // "For ten to twelve" are guests; nobody is a quarter, or past.
  return before === 'for' && side === 'to' && part !== 'quarter' ? undefined : PARTS_OF_AN_HOUR.get(part)
}
/** half past seven, ten to eight, at 5 to 7 */
const beforeOrAfter: Rule = (tokens, at) => {
  const side = textAt(tokens, at + 1)
  if (side !== 'past' && side !== 'to') return undefined
  const minutes = minutesSaid(textAt(tokens, at), side, textAt(tokens, at - 1))
  const hour = numberOf(textAt(tokens, at + 2))
  if (minutes === undefined || !isHour12(hour) || MEASURED.test(textAt(tokens, at + 3))) return undefined
  return { count: 3, text: clockOf(hour, side === 'past' ? minutes : -minutes) }
}

/** seven o'clock, 12 noon, 12:30 noon */
const namedHour: Rule = (tokens, at) => {
  const [part, side] = [textAt(tokens, at), textAt(tokens, at + 1)]
  const apart = side === 'o' && textAt(tokens, at + 2) === 'clock'
  if (apart || side === "o'clock" || side === 'oclock') {
    const value = numberOf(part)
    return isHour12(value) ? { count: apart ? 3 : 2, text: clockOf(value) } : undefined
  }
  return /^12(?:[:.][0-5]\d)?$/.test(part) && /^(?:noon|midday)$/.test(side)
    ? { count: 2, text: part === '12' ? '12:00' : part }
    : undefined
}

/** "half seven" is half past seven: after "at" and the like, or where nothing follows that could be halved. */
const halfHour: Rule = (tokens, at) => {
  if (textAt(tokens, at) !== 'half') return undefined
  const before = textAt(tokens, at - 1)
  const hour = textAt(tokens, at + 1)
  const next = tokens[at + 2]?.parted ? '' : textAt(tokens, at + 2)
  if (/^an?$/.test(hour) || !isHour12(numberOf(hour)) || MEASURED.test(next)) return undefined
  const bare = !/^(?:and|an?|x|\d.*)$/.test(before) && endsAt(tokens, at + 2)
  // "Half six turkey 5 kg": nobody begins with half of six of them.
  const first = at === 0 && numberOf(hour) > 1
  return LEADS_HOUR.test(before) || bare || first ? { count: 2, text: clockOf(numberOf(hour), 30) } : undefined
}

/** An hour of twelve in its half of the day. */
const clockInHalf = (hour12: string, minutes: string, isAfternoon: boolean): string =>
  `${(Number(hour12) % 12) + (isAfternoon ? 12 : 0)}:${minutes}`

/** 730 pm */
const closeHour: Rule = (tokens, at) => {
  const close = /^(1[0-2]|[1-9])([0-5]\d)$/.exec(textAt(tokens, at))
  const half = textAt(tokens, at + 1)
  return close && HALF_DAY.test(half)
    ? { count: 2, text: clockInHalf(close[1] as string, close[2] as string, half === 'pm') }
    : undefined
}

/** 19.30 hrs, 1930 hrs: as timetables have it */
const timetable: Rule = (tokens, at) => {
  const hour = /^(1[3-9]|2[0-3])[:.]?([0-5]\d)$/.exec(textAt(tokens, at))
  return hour && /^(?:hrs|hours|h)$/.test(textAt(tokens, at + 1))
    ? { count: 2, text: `${hour[1]}:${hour[2]}` }
    : undefined
}

/** 7p, 7:30a */
const shortHalf: Rule = (tokens, at) => {
  const [number, half] = [tokens[at], tokens[at + 1]]
  const clock = /^(1[0-2]|[1-9])(?:[:.]([0-5]\d))?$/.exec(number?.text ?? '')
  if (!clock || number?.to !== half?.from || !/^[ap]$/.test(half?.text ?? '')) return undefined
  return { count: 2, text: clockInHalf(clock[1] as string, clock[2] ?? '00', half?.text === 'p') }
}

/** Numbers in words that are no hour. */
const NO_HOUR = /^(?:an?|half|quarter|couple|pair|brace|dozen)$/
/** Minutes past an hour as a word or two. */
const MINUTE_WORDS: readonly (readonly [string, number])[] = [
  ['fifteen', 15],
  ['twenty', 20],
  ['thirty', 30],
  ['forty', 40],
  ['forty five', 45],
  ['fifty', 50],
]
/** What a sentence goes on with behind its hour. */
const GOES_ON = /^(?:and|with|we|i|it|is|there|from|plus|please|sharp|of)$/
/** "Four twenty five" may be an oven, "five thirty" none. */
const MOST_OVEN_HEAD = 4
/** seven thirty, seven pm, 6 30 after a lead */
const hourAndMinutes: Rule = (tokens, at) => {
  const part = textAt(tokens, at)
  const worded = /^[a-z]+$/.test(part)
  if (NO_HOUR.test(part)) return undefined
  const hour = numberOf(part)
  const next = textAt(tokens, at + 1)
  if (!isHour12(hour)) {
    // at 18 30
    const late = /^(?:1[3-9]|2[0-3])$/.test(part) && /^[0-5]\d$/.test(next) && !tokens[at + 1]?.parted
    return late && AT.test(textAt(tokens, at - 1)) && endsAt(tokens, at + 2)
      ? { count: 2, text: `${part}:${next}` }
      : undefined
  }
  if (worded && HALF_DAY.test(next)) return { count: 1, text: `${hour}:00` }
  if (tokens[at + 1]?.parted) return undefined
  if (!worded) {
    const led = LEADS_CLOCK.test(textAt(tokens, at - 1)) && /^[0-5]\d$/.test(next) && endsAt(tokens, at + 2)
    return led ? { count: 2, text: clockOf(hour, Number(next)) } : undefined
  }
  const after = [next, textAt(tokens, at + 2)]
  const minutes = MINUTE_WORDS.findLast(([words]) => after.join(' ').startsWith(words))
  const count = 1 + (minutes?.[0].split(' ').length ?? 0)
  const followed = textAt(tokens, at + count)
  if (!minutes || MEASURED.test(followed)) return undefined
  const half = HALF_DAY.test(followed)
  // "Dinner at five forty five for sixteen".
  const before = textAt(tokens, at - 1)
  const ends =
    endsAt(tokens, at + count) ||
    (followed === 'for' && AFTER_WHICH.test(before)) ||
    // "Dinner at seven thirty and have a three kilo rib"; "turkey at three twenty and a ham" is a heat.
    (GOES_ON.test(followed) && hour > MOST_OVEN_HEAD && AFTER_WHICH.test(before))
  return half || ends ? { count, text: half ? `${hour}:${minutes[1]}` : clockOf(hour, minutes[1]) } : undefined
}

/** A day of the week by its name or its beginning. */
const WEEKDAY = /^(?:sun|mon|tues?|wed|thur?s?|fri|sat)(?:day|nesday|urday|sday)?$/
/** So many days on: the day after tomorrow, in two days, in a week; Sunday week, a week from Friday. */
const daysOn: Rule = (tokens, at) => {
  const words = tokens.slice(at, at + 6).map(({ text }) => text)
  const said = words.join(' ')
  const on = (pattern: RegExp, days: (found: RegExpExecArray) => string): Made | undefined => {
    const found = pattern.exec(said)
    const text = found && days(found)
    return found && text ? { count: found[0].trim().split(' ').length, text } : undefined
  }
  const number = (text = '') => numberOf(text)
  const few = (count: number) => (Number.isInteger(count) && count >= 1 && count <= 60 ? count : undefined)
  const ahead = (days: number | undefined) => (days === undefined ? '' : `+${days}d`)
  const weekday = (name = '') => (WEEKDAY.test(name) ? `${name}+7` : '')
  return (
    on(/^(?:the )?day after tomorrow\b/, () => '+2d') ??
    on(/^in (\S+) days?\b(?: time)?/, ([, count]) => ahead(few(number(count)))) ??
    on(/^(\S+) days? from (?:now|today)\b/, ([, count]) => ahead(few(number(count)))) ??
    on(/^(?:in )?a week from (?:now|today)\b|^in a week\b(?: time)?|^a week today\b|^today week\b/, () => '+7d') ??
    on(/^(?:a week (?:from )?tomorrow|tomorrow week)\b/, () => '+8d') ??
    on(/^a week (?:from |on )?(?:this )?([a-z]+)/, ([, name]) => weekday(name)) ??
    on(/^([a-z]+) week\b/, ([, name]) => weekday(name))
  )
}

/** Those who eat then: "10 covers", "for 8". */
const SEATED = new RegExp(`^(?:\\d{1,3} (?:${COVERS})|for \\d{1,3})$`)
/** 1930 h, at 1930, 1930 at the end of what is said */
const military: Rule = (tokens, at) => {
  const clock = /^([01]\d|2[0-3])([0-5]\d)$/.exec(textAt(tokens, at))
  if (!clock) return undefined
  const side = textAt(tokens, at + 1)
  const hours = /^(?:h|hrs?|hours?)$/.test(side)
  const led = /^(?:at|by|eat|serve|table|ready)$/.test(textAt(tokens, at - 1)) && !MEASURED.test(side)
  // "rib 3 kg, 1900": a round minute of an afternoon, and nothing else that it could be.
  const ends = endsAt(tokens, at + 1) || SEATED.test(`${side} ${textAt(tokens, at + 2)}`)
  const alone = Number(clock[1]) >= 12 && Number(clock[2]) % 5 === 0 && at > 0 && ends
  return hours || led || alone ? { count: hours ? 2 : 1, text: `${clock[1]}:${clock[2]}` } : undefined
}

/** Earlier than this "17h" is a span of hours. */
const FIRST_EVENING_H = 17
/** After these so many hours are how long it takes. */
const LASTS = /^(?:c|f|degrees|for|slow|overnight|about|another|x|\d.*)$/

/** "at 20h", and "20h" at the end of what is said: a clock. "110 C, 14 h" is how long. */
const hourOfDay: Rule = (tokens, at) => {
  const [number, h] = [tokens[at], tokens[at + 1]]
  if (!number || h?.text !== 'h' || !/^(?:1\d|2[0-3])$/.test(number.text) || number.to !== h.from) return undefined
  // "À 13 h pour 8".
  if (!endsAt(tokens, at + 2) && textAt(tokens, at + 2) !== 'pour') return undefined
  const before = textAt(tokens, at - 1)
  const led = LEADS_CLOCK.test(before) || DAYS_SAID.test(before) || before === 'a'
  return led || (Number(number.text) >= FIRST_EVENING_H && at > 0 && !LASTS.test(before))
    ? { count: 2, text: `${number.text}:00` }
    : undefined
}

/** 18 Uhr, 19.30 Uhr, 19:30 h */
const hourWithUnit: Rule = (tokens, at) => {
  const said = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(textAt(tokens, at))
  const unit = textAt(tokens, at + 1)
  if (!said || !(unit === 'uhr' || (/^(?:h|hrs?|hours)$/.test(unit) && textAt(tokens, at).includes(':'))))
    return undefined
  const [hour, minute] = [Number(said[1]), Number(said[2] ?? 0)]
  if (hour > 23 || minute > 59) return undefined
  return { count: 2, text: clockText((hour > 12 ? hour * 60 : eatenAt(hour)) + minute) }
}

/** around 7, 7ish */
const roughly: Rule = (tokens, at) => {
  const part = textAt(tokens, at)
  if (NO_HOUR.test(part)) return undefined
  const hour = numberOf(part)
  if (!isHour12(hour)) return undefined
  if (textAt(tokens, at + 1) === 'ish') return { count: 2, text: clockOf(hour) }
  return /^(?:around|before|after)$/.test(textAt(tokens, at - 1)) && endsAt(tokens, at + 1)
    ? { count: 1, text: clockOf(hour) }
    : undefined
}

/** "Twelve noon", "12 noon". */
const twelveNoon: Rule = (tokens, at) =>
  numberOf(textAt(tokens, at)) === 12 && /^(?:noon|midday)$/.test(textAt(tokens, at + 1))
    ? { count: 2, text: '12:00' }
    : undefined

/** "Ready for 2": nobody is ready for two people. */
const readyFor: Rule = (tokens, at) => {
  const hour = numberOf(textAt(tokens, at))
  const led = textAt(tokens, at - 1) === 'for' && textAt(tokens, at - 2) === 'ready'
  return led && isHour12(hour) && endsAt(tokens, at + 1) ? { count: 1, text: clockOf(hour) } : undefined
}

/** at seven */
const worded: Rule = (tokens, at) => {
  const part = textAt(tokens, at)
  if (!AT.test(textAt(tokens, at - 1)) || !/^[a-z]+$/.test(part)) return undefined
  if (['a', 'an', 'half', 'quarter'].includes(part) || MEASURED.test(textAt(tokens, at + 1))) return undefined
  const hour = numberOf(part)
  return isHour12(hour) ? { count: 1, text: clockOf(hour) } : undefined
}

/** An hour of a range, with the words it takes, minutes of the day by twelve or by twenty-four. */
interface SaidHour {
  readonly count: number
  readonly hour: number
  readonly minute: number
  readonly half?: string | undefined
  /** It cannot be anything but an hour. */
  readonly plain: boolean
}
function hourAt(tokens: readonly Token[], at: number): SaidHour | undefined {
  const clock = /^(\d{1,2})(?:[:.]([0-5]\d))?$/.exec(textAt(tokens, at))
  const half = HALF_DAY.exec(textAt(tokens, at + 1))?.[0]
  const hour = clock ? Number(clock[1]) : numberOf(textAt(tokens, at))
  if (!Number.isInteger(hour) || hour < 1 || hour > 23) return undefined
  const minute = Number(clock?.[2] ?? 0)
  return { count: half ? 2 : 1, hour, minute, half, plain: half !== undefined || clock?.[2] !== undefined }
}
/** No table is told to be ready within a longer time, minutes; a service, a buffet goes on longer. */
const LONGEST_RANGE_MIN = 180
const LONGEST_SERVICE_MIN = 480
/** Within such a time they sit down together; over a longer one the first are there when it begins, minutes. */
const ONE_TABLE_MIN = 60
/** Goes on from one hour to another. */
const SERVICE = /^(?:service|services|serving|served|buffet|brunch|carvery|house|open|doors|party|reception)$/
/** What is said before a range, and who it is for: "buffet for 60, 12 till 2". */
const servesBefore = (tokens: readonly Token[], at: number): boolean => {
  const people = /^pax$/.test(textAt(tokens, at - 1)) || ARE_EATERS.test(textAt(tokens, at - 1)) ? 1 : 0
  const counted = /^\d+$/.test(textAt(tokens, at - 1 - people)) && textAt(tokens, at - 2 - people) === 'for'
  return SERVICE.test(textAt(tokens, at - 1 - (counted ? 2 + people : 0)))
}
/** between 6 and 7, 6-7pm, 6:00-6:30: the middle of it, in time for all of it; service 12-3, from 12 until 2:30: when it begins. */
const range: Rule = (tokens, at, line) => {
  const lead = textAt(tokens, at)
  const led = lead === 'between' || lead === 'from'
  const from = at + (led ? 1 : 0)
  const first = hourAt(tokens, from)
  if (!first) return undefined
  const last = tokens[from + first.count - 1] as Token
  const joiner = tokens[from + first.count]
  if (!joiner) return undefined
  const dashed = DASHED.test(line.slice(last.to, joiner.from))
  const worded = lead === 'between' ? joiner.text === 'and' : /^(?:to|till?|until)$/.test(joiner.text)
  if (!dashed && !worded) return undefined
  const to = from + first.count + (dashed ? 0 : 1)
  const second = hourAt(tokens, to)
  if (!second) return undefined
  const end = to + second.count
  if (MEASURED.test(textAt(tokens, end)) || textAt(tokens, end) === 'h') return undefined
  const plain = first.plain || second.plain
  const before = textAt(tokens, at - 1)
  const service = servesBefore(tokens, at)
  // "from 6 to 7" may be degrees of a core, and "6-7" people or kilograms; "for 8-10" is a table.
  const isTime = lead === 'between' || plain || service || (LEADS_HOUR.test(before) && before !== 'for')
  const ends = endsAt(tokens, end) || (service && textAt(tokens, end) === 'on')
  if (!isTime || (lead === 'from' && !ends)) return undefined
  if (!dashed && !led && !plain && FIGURES.has(first.hour)) return undefined
  const half = second.half ?? first.half
  const at_min = ({ hour, minute, half: own = half }: SaidHour) =>
    (hour > 12 ? hour * 60 : own ? ((hour % 12) + (own === 'pm' ? 12 : 0)) * 60 : eatenAt(hour)) + minute
  const [opens, closes] = [at_min(first), at_min(second)]
  // 11 to 1 pm begins before noon.
  const opened = opens > closes && first.half === undefined ? opens - 12 * 60 : opens
  const long_min = closes - opened
  if (opened < 0 || long_min <= 0 || long_min > (service ? LONGEST_SERVICE_MIN : LONGEST_RANGE_MIN)) return undefined
  const eaten_min = service || long_min > ONE_TABLE_MIN ? opened : Math.round((opened + closes) / 10) * 5
  return { count: end - at, text: clockText(eaten_min) }
}

/** "for 8-10", "serves 8-10": as many as there may be. */
const atTable: Rule = (tokens, at, line) => {
  const [least, most] = [tokens[at], tokens[at + 1]]
  if (!least || !most || !/^(?:for|feeds|feeding|serves|serving)$/.test(textAt(tokens, at - 1))) return undefined
  if (!/^\d{1,3}$/.test(least.text) || !/^\d{1,3}$/.test(most.text)) return undefined
  if (!DASHED.test(line.slice(least.to, most.from)) || Number(most.text) <= Number(least.text)) return undefined
  const next = textAt(tokens, at + 2)
  return (ARE_EATERS.test(next) || !MEASURED.test(next)) && !HALF_DAY.test(next)
    ? { count: 2, text: most.text }
    : undefined
}

/** "20:00 x6 covers": so many eat. */
const timesEaters: Rule = (tokens, at) =>
  textAt(tokens, at) === 'x' && /^\d{1,3}$/.test(textAt(tokens, at + 1)) && ARE_EATERS.test(textAt(tokens, at + 2))
    ? { count: 2, text: textAt(tokens, at + 1) }
    : undefined

/** "the 26th of november" is "26th november". */
const ordinalOf: Rule = (tokens, at) => {
  const the = textAt(tokens, at) === 'the' ? 1 : 0
  const day = textAt(tokens, at + the)
  const of = textAt(tokens, at + the + 1) === 'of' ? 1 : 0
  if (!ORDINAL.test(day) && !(of && /^\d{1,2}$/.test(day))) return undefined
  if (of && !MONTH.test(textAt(tokens, at + the + 2))) return undefined
  return the + of > 0 ? { count: 1 + the + of, text: day } : undefined
}

/** "Saturday 5 December", "sat, dec 5th", "Saturday the 5th": the date says which day it is. */
const weekdayOfDate: Rule = (tokens, at) => {
  if (!WEEKDAY.test(textAt(tokens, at))) return undefined
  const the = textAt(tokens, at + 1) === 'the' ? 1 : 0
  const place = at + 1 + the
  const [said, next] = [textAt(tokens, place), textAt(tokens, place + 1)]
  const of = next === 'of' ? 1 : 0
  const day = DAY_OF_MONTH.test(said) && isMonth(textAt(tokens, place + 1 + of))
  const month = isMonth(said) && DAY_OF_MONTH.test(next) && !MEASURED.test(textAt(tokens, place + 2))
  // As an ordinal, for "for 26" may be so many that eat.
  const ordinal = ORDINAL.test(said) ? said : `${said}th`
  if (day || (the > 0 && ORDINAL.test(said) && of === 0)) return { count: 2 + the + of, text: ordinal }
  return month ? { count: 2 + the, text: said } : undefined
}
/** "5 December 2026", "Saturday, December 5th, 2026": as dates are written, 2026-12-05. */
const datedWithYear: Rule = (tokens, at) => {
  const from = at + (WEEKDAY.test(textAt(tokens, at)) ? 1 : 0)
  const start = from + (textAt(tokens, from) === 'the' ? 1 : 0)
  const [first, second] = [textAt(tokens, start), textAt(tokens, start + 1)]
  const of = second === 'of' ? 1 : 0
  const [day, month] = isMonth(first) ? [second, first] : [first, textAt(tokens, start + 1 + of)]
  const end = start + 2 + (isMonth(first) ? 0 : of)
  const year = textAt(tokens, end)
  if (!DAY_OF_MONTH.test(day) || !isMonth(month) || !YEAR.test(year)) return undefined
  const date = new Date(Date.UTC(Number(year), monthNumber(month) - 1, Number.parseInt(day, 10)))
  // There is no 31 February.
  return date.getUTCMonth() === monthNumber(month) - 1
    ? { count: end + 1 - at, text: date.toISOString().slice(0, 10) }
    : undefined
}
/** 2030 and the tens after it are hours of the evening. */
const YEAR = /^20[2-9][1-46-9]$/
const DAY_OF_MONTH = /^(?:[1-9]|[12]\d|3[01])(?:st|nd|rd|th)?$/

/** "Kids eat at 6 adults at 8": an hour, for who comes next has one of their own. */
const hourBeforeEaters: Rule = (tokens, at) =>
  /^(?:at|by)$/.test(textAt(tokens, at - 1)) &&
  /^(?:[1-9]|1[0-2])$/.test(textAt(tokens, at)) &&
  COME_NEXT.test(textAt(tokens, at + 1)) &&
  /^(?:at|by)$/.test(textAt(tokens, at + 2)) &&
  /^\d/.test(textAt(tokens, at + 3))
    ? { count: 1, text: clockOf(Number(textAt(tokens, at))) }
    : undefined

const RULES: readonly Rule[] = [
  hourBeforeEaters,
  datedWithYear,
  weekdayOfDate,
  hourWithUnit,
  range,
  atTable,
  timesEaters,
  beforeOrAfter,
  namedHour,
  halfHour,
  closeHour,
  shortHalf,
  timetable,
  hourAndMinutes,
  daysOn,
  military,
  hourOfDay,
  roughly,
  twelveNoon,
  readyFor,
  worded,
  ordinalOf,
]

/** "Eight o'clock in the morning": an hour of the evening is not meant. */
const beforeNoon = (text: string): string =>
  text.replace(/^(1[2-9]|2[0-3]):(\d{2})$/, (_, hour: string, minute: string) => `${Number(hour) - 12}:${minute}`)
const IN_THE_MORNING = RULES.map(
  (rule): Rule =>
    (tokens, at, line) => {
      const found = rule(tokens, at, line)
      const dawn = found && ['in', 'the', 'morning'].every((word, i) => textAt(tokens, at + found.count + i) === word)
      return dawn ? { ...found, text: beforeNoon(found.text) } : found
    },
)

/**
 * Hours said in words: half past seven, quarter to eight, seven o'clock. Roasts are eaten after noon.
 * @param line the line they stand in, for what stands between two words
 */
export const clocks = (tokens: readonly Token[], line: string): Token[] => madeOne(tokens, line, IN_THE_MORNING)
