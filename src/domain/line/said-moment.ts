import { TZDate } from '@date-fns/tz'
import { easter } from 'date-easter'
import { format } from 'date-fns'
import type { Fact } from './fact'
import { afternoon, isDay, LONGEST_MOMENT, readMoment } from './moment'
import { hourOfPart } from './part-of-day'
import { minutesOf } from './readers'
import { COME_NEXT, DAYS_SAID, isHour12, MEASURED, MONTH } from './said-clock'
import { NUMBER } from './tokens'

/** Moments as cooks say them beyond a day and a clock: feasts, meals, half past seven, in three hours. */

export interface MomentContext {
  /** The present, s since 1970. */
  readonly now_s: number
  /** IANA name of the kitchen's time zone. */
  readonly timeZone: string
}

/** A fact at the head of some words, with the number of words it takes. */
export interface Found {
  readonly count: number
  readonly fact: Fact
}

/** So many days from Easter Sunday, as month and day. */
const fromEaster =
  (days: number) =>
  (year: number): readonly [number, number] => {
    const { month, day } = easter(year)
    const date = new Date(Date.UTC(year, month - 1, day + days))
    return [date.getUTCMonth() + 1, date.getUTCDate()]
  }
const HOLIDAYS: readonly (readonly [RegExp, (year: number) => readonly [number, number]])[] = [
  [/^(?:(?:christmas|xmas) eve|heiligabend)/, () => [12, 24]],
  [/^(?:christmas|xmas)(?: day)?/, () => [12, 25]],
  [/^(?:boxing day|(?:st|saint) stephen'?s(?: day)?)/, () => [12, 26]],
  [/^(?:new year'?s eve|hogmanay|nye)/, () => [12, 31]],
  [/^new year'?s(?: day)?/, () => [1, 1]],
  [/^burns'? (?:night|supper)/, () => [1, 25]],
  [/^valentine'?s(?: day)?/, () => [2, 14]],
  [/^(?:st|saint) patrick'?s(?: day)?/, () => [3, 17]],
  [/^independence day/, () => [7, 4]],
  [/^good friday/, fromEaster(-2)],
  [/^easter monday/, fromEaster(1)],
  [/^easter(?: sunday| day)?/, fromEaster(0)],
  [
    /^(?:thanksgiving(?: day)?|turkey day)/,
    (year) => [11, 22 + ((11 - new Date(Date.UTC(year, 10, 1)).getUTCDay()) % 7)],
  ],
]
/** When a meal is eaten where only its name is said (common practice), the hour. */
const MEALS: readonly (readonly [RegExp, number])[] = [
  [/\bbrunch\b/, 11],
  [/\b(?:lunch|lunchtime|midday)\b/, 13],
  [/\b(?:dinner|supper|evening|tonight|night)\b/, 19],
]
const USUAL_HOUR = 19
/** The hour of the meal, or of the part of the day, that some words name. */
const hourNamed = (words: string): number | undefined =>
  words
    .split(' ')
    .map(hourOfPart)
    .find((hour) => hour !== undefined) ?? MEALS.find(([pattern]) => pattern.test(words))?.[1]

const LEADS_TABLE =
  /^(?:(?:to be )?(?:on the table|ready|done(?= by| at| for| around| about| \d)|plate[sd]?(?: up)?|s(?:it(?:ting)?|at) down(?: about| around)?|(?:mains?|main course)(?= for| by| at)|(?:on )?the pass|pick(?:ed)?(?:[ -]?up)|collect(?:ed|ion|ing)?|deliver(?:ed|y|ing)?|eat(?:ing|en)?|serv(?:e|ed|ing)|carv(?:ed?|ing)|slic(?:ed?|ing)(?= (?:at|for|by|from|it)\b)|(?:goes |go )?(?:on )?the table|dinner|lunch|supper)(?: is| for| by| at| on)*) /

/** From now on: in 3 hours, 3 hours from now. */
const SO_LONG = `(${NUMBER} (?:hours?|hrs?|h)(?: and a (?:half|quarter)|(?: and)? ${NUMBER} (?:min|minutes))?|half an hour|${NUMBER} (?:minutes|mins?))`
const WITHIN = new RegExp(`^(?:ready |eat |served? )?(?:(?:with)?in ${SO_LONG}|(?:in )?${SO_LONG} from now)(?: |$)`)
const HOLIDAY_BEGINS =
  /^(?:christmas|xmas|boxing|new|good|easter|thanksgiving|st|saint|hogmanay|heiligabend|burns'?|valentine'?s|independence|nye|turkey)$/

const isoDay = (day: TZDate): string => format(day, 'yyyy-MM-dd')

/** The next such feast at the head of some words, with the number of words used. */
function holidayAt(
  words: readonly string[],
  { now_s, timeZone }: MomentContext,
): { readonly count: number; readonly iso: string } | undefined {
  if (!HOLIDAY_BEGINS.test(words[0] ?? '')) return undefined
  const text = words.join(' ')
  const now = new TZDate(now_s * 1000, timeZone)
  for (const [pattern, dayOf] of HOLIDAYS) {
    const named = text.match(pattern)
    if (!named) continue
    const inYear = (year: number) => {
      const [month, day] = dayOf(year)
      return isoDay(new TZDate(year, month - 1, day, timeZone))
    }
    const year = now.getFullYear()
    return { count: named[0].split(' ').length, iso: inYear(inYear(year) < isoDay(now) ? year + 1 : year) }
  }
  return undefined
}

/** When it goes in, not when it is eaten: put in at 3 pm, goes in at 15:00, start at 8 am, in the oven by noon. */
const PUT_IN =
  /^(?:(?:i |we )?(?:can |will |must |have to )?(?:put(?:ting)?(?: it)?(?: in(?:to)?(?: the)?(?: oven)?)?|(?:it )?(?:goes|going|go) in(?: the oven)?|in(?:to)? the oven|in(?= (?:at|by|now) )|oven on|(?:it )?(?:goes |going |go )?on(?: the (?:smoker|grill|barbecue|bbq|pit|coals))?(?= at )|start(?:s|ing|ed)?(?: cooking| roasting| it)*|begin(?:s|ning)?(?: cooking| roasting)*)) (?=at |by |from |around |about |on |tomorrow |today |now |in (?:an? |half |\d)|\d)(?:around |about |from )*/
/** A clock that no day of a cook begins at: half past two is in the afternoon. */
const BEFORE_DAWN = 7

/** "At ten tonight", "11 at night": in the evening. */
const NIGHT = /^([5-9]|1[01])(?::(\d{2}))? (?:tonight|at night)/
/** A clock, or the half of the day that it is of. */
const isClock = (word: string): boolean => /^\d{1,2}[:.]\d{2}$|^[ap]m$|^(?:noon|midday|midnight)$/.test(word)
const HALF_SAID = /^[ap]m$|^(?:noon|midday|midnight)$|^0\d?[:.]\d{2}$/
const putIn = (at_s: number, words: readonly string[]): Found['fact'] => ({
  kind: 'put_in',
  at_s,
  ...(words.some((word) => HALF_SAID.test(word)) ? { halfSaid: true } : {}),
})

/** Dinners start between these, o'clock. */
const DINNER_H = { from: 17, to: 21 }
/** "An 11 am start", "16:30 start": the hour stands before the word. What starts at seven in the evening is the dinner. */
function startAt(words: readonly string[], context: MomentContext): Found | undefined {
  const end = words.slice(0, 4).indexOf('start')
  const said = words.slice(0, Math.max(0, end)).map((word, i) => afternoon(word, words[i + 1], BEFORE_DAWN))
  const found = said.some(isClock) ? readMoment(said, context) : undefined
  const starts_h = found && new TZDate(found.at_s * 1000, context.timeZone).getHours()
  const isDinner = starts_h !== undefined && starts_h >= DINNER_H.from && starts_h < DINNER_H.to
  return found?.count === end && !isDinner ? { count: end + 1, fact: putIn(found.at_s, said) } : undefined
}

function putInAt(words: readonly string[], context: MomentContext): Found | undefined {
  const lead = `${words.slice(0, LONGEST_MOMENT).join(' ')} `.match(PUT_IN)
  if (!lead) return startAt(words, context)
  const skipped = lead[0].trim().split(' ').length
  const rest = words.slice(skipped, skipped + LONGEST_MOMENT)
  const soon = rest[0] === 'now' ? { count: 1, at_s: Math.ceil(context.now_s / 60) * 60 } : withinAt(rest, context)
  if (soon) return { count: skipped + soon.count, fact: { kind: 'put_in', at_s: soon.at_s } }
  // "in the oven at 10": no oven is that cold.
  const hour = rest[0] === 'at' || rest[0] === 'by' ? 1 : 0
  // "Goes in at 10" too; but "put in 2 chickens" is no hour.
  if (
    (/\boven\b/.test(lead[0]) || (hour === 1 && /\b(?:in|i|we)\b/.test(lead[0]))) &&
    isHour12(Number(rest[hour])) &&
    !MEASURED.test(rest[hour + 1] ?? '')
  )
    rest[hour] = `${rest[hour]}:00`
  const night = NIGHT.exec(rest.slice(hour, hour + 3).join(' '))
  if (night) rest[hour] = `${Number(night[1]) + HALF_DAY_H}:${night[2] ?? '00'}`
  // "start at 8" is as likely cold meat: a clock says that it is one.
  const found = readMoment(
    rest.map((word, i) => afternoon(word, rest[i + 1], BEFORE_DAWN)),
    context,
  )
  return found && rest.slice(0, found.count).some(isClock)
    ? { count: skipped + found.count, fact: putIn(found.at_s, night ? ['pm'] : rest.slice(0, found.count)) }
    : undefined
}

/** Before its name is said when it starts, this many words at most. */
const LONGEST_NAME = 10
const STARTS =
  /^(?:start|begin) (?!.*\b(?:oven|fire|coals|grill|smoker|barbecue|bbq)\b)|^(?:put|get|pop|stick) .+ (?:in|into|on) /

/**
 * "Start 3 kg brisket at midnight", "put a pork shoulder in the smoker at 11 pm": the hour that follows what is started is when it goes in.
 * @param words of the whole line
 * @param found what they say from a place on
 */
export function startedAt(words: readonly string[], at: number, found: Found | undefined): Found | undefined {
  if (found?.fact.kind !== 'moment' || found.fact.said === 'day' || found.fact.led || found.fact.weak) return found
  if (at < 2 || at > LONGEST_NAME || !STARTS.test(`${words.slice(0, at).join(' ')} `)) return found
  const own = words.slice(at, at + found.count)
  // "Put a shoulder in for one": they eat then.
  return own[0] !== 'for' && own.some(isClock) ? { count: found.count, fact: putIn(found.fact.at_s, own) } : found
}

/** "3 pm in the oven": when it goes in, where no heat follows. */
const INTO = /^(?:put )?in(?:to)?(?: the| my)? oven$|^(?:it )?goes in(?: the oven)?$|^(?:to )?go in(?: the oven)?$/
/** What a moment says that "in the oven" stands behind. @param words up to the next comma */
export function inAfter(words: readonly string[], context: MomentContext): Found | undefined {
  const found = /^\d/.test(words[0] ?? '') ? readMoment(words, context) : undefined
  return found && INTO.test(words.slice(found.count).join(' '))
    ? { count: words.length, fact: putIn(found.at_s, words.slice(0, found.count)) }
    : undefined
}

/** It is in already: went in at 8:30, been in the oven since 8, in for 2 hours already, put in an hour ago. */
const HEAT = '(?: (?:the )?(?:oven|heat|smoker|grill|fire))?'
const WENT_IN = new RegExp(
  `^(?:and )?(?:i |we )?(?:it |they )?(?:(?:(?:has|have|is|was|were|are) )?(?:already )?(?:(?:went|gone|going|been put|been|put|started|cooking|roasting) )+(?:it |them )?(?:already )?(?:(?:into|in|on)${HEAT} )?|(?:(?:is|was|are|were) )?(?:already )?(?:into|in|on)${HEAT} )(?:already )?`,
)
const SINCE =
  /^(?:at |since |from |about |around |last night |yesterday )*(midnight|noon|midday|\d{1,2}(?!\d))(?:[:.](\d{2}))?(?: ?(am|pm))?(?: (?:last night|yesterday|this morning))?(?= |$)/
const SO_LONG_AGO = new RegExp(
  `^(?:for )?(?:about |around )?(?<long>${SO_LONG}|an hour)(?<past>(?: already| ago)*)(?= |$)`,
)
/** Longer ago than this nothing that is roasted went in, h. */
const LONGEST_IN_H = 20
const HALF_DAY_H = 12
const NAMED_HALF: Readonly<Record<string, string>> = { midnight: 'am', noon: 'pm', midday: 'pm' }

/** A minute ago: just went in, I have just put it in the oven. */
const JUST = new RegExp(
  `^(?:(?:and|it|they|i|we|has|have|i've|we've) )*(?:just (?:now )?(?:went|gone|put(?: it| them)?)|(?:went|gone) just now|(?:(?:is|are) )?going|(?:is|are)) (?:into|in)${HEAT}(?<now> (?:just )?now)?(?= |$)`,
)

/** When it went in already; what was not said to be past is not. */
function wentInAt(words: readonly string[], { now_s, timeZone }: MomentContext): Found | undefined {
  const text = words.slice(0, LONGEST_MOMENT + 6).join(' ')
  const just = JUST.exec(text)
  if (just && (just.groups?.now || /\bjust\b/.test(just[0])))
    return {
      count: just[0].split(' ').length,
      fact: { kind: 'put_in', at_s: Math.round(now_s / 60) * 60, already: true },
    }
  const lead = WENT_IN.exec(`${text} `)?.[0]
  if (lead === undefined) return undefined
  const rest = text.slice(lead.length)
  const long = SO_LONG_AGO.exec(rest)
  const said = SINCE.exec(rest)
  // "Put it in at 8 this morning", said at nine: it is in.
  const thisMorning = / this morning$/.test(said?.[0] ?? '')
  const isPast = thisMorning || /\b(?:went|gone|been|was|were|started|already)\b/.test(lead) || /^since\b/.test(rest)
  const at_s = long
    ? isPast || long.groups?.past !== ''
      ? now_s - minutesOf(long.groups?.long ?? '') * 60
      : undefined
    : isPast && said
      ? lastClock(
          said[1] === 'midnight' ? 0 : Number(said[1]?.replace(/noon|midday/, '12')),
          Number(said[2] ?? 0),
          said[3] ?? (thisMorning ? 'am' : NAMED_HALF[said[1] ?? '']),
          { now_s, timeZone },
        )
      : undefined
  if (at_s === undefined || !Number.isFinite(at_s) || now_s - at_s > LONGEST_IN_H * 3600) return undefined
  const count = `${lead}${(long ?? said)?.[0] ?? ''}`.trim().split(' ').length
  return { count, fact: { kind: 'put_in', at_s: Math.round(at_s / 60) * 60, already: true } }
}

/** The last time that a clock showed this, s since 1970: of both halves of the day where neither was said. */
function lastClock(hour: number, minute: number, half: string | undefined, { now_s, timeZone }: MomentContext) {
  if (hour > 24 || minute > 59 || (half !== undefined && hour > HALF_DAY_H)) return undefined
  const hours =
    half === undefined
      ? isHour12(hour)
        ? [hour % HALF_DAY_H, (hour % HALF_DAY_H) + HALF_DAY_H]
        : [hour % 24]
      : [(hour % HALF_DAY_H) + (half === 'pm' ? HALF_DAY_H : 0)]
  const now = new TZDate(now_s * 1000, timeZone)
  return hours
    .flatMap((each) =>
      [0, 1].map(
        (back) =>
          new TZDate(now.getFullYear(), now.getMonth(), now.getDate() - back, each, minute, timeZone).getTime() / 1000,
      ),
    )
    .filter((at_s) => at_s <= now_s)
    .reduce((last, at_s) => Math.max(last, at_s), Number.NEGATIVE_INFINITY)
}

/** So many words, and those after them that say no more of an hour. */
function pastOclock(words: readonly string[], count: number): number {
  let past = count
  while (['oclock', "o'clock", 'sharp'].includes(words[past] ?? '')) past++
  return past
}

/** What is served or said before it and after it. */
const COURSES =
  "drinks|cocktails|nibbles|canapes?|hors d'oeuvres?|aperitifs?|starters?|first course|soup|speeches|toasts?|desserts?|coffee|ceremony"
const COURSE = new RegExp(`\\b(?:${COURSES})\\b`)
/** Behind its hour: "6:30 arrival" too. */
const COURSE_AFTER = new RegExp(`^(?:for )?(?:(?:guests? |the )*(?<arrival>arrivals?|arrive|arriving)|${COURSES}) `)

/** When the guests come: guests arrive at 6, everyone is here by 7; and until when it is held, where no other hour is said. */
const ARRIVES = new RegExp(
  `^(?:(?:guests?|people|family|friends|company) (?=(?:at|from|by|around|about) |\\d{1,2}[:.]\\d{2} |\\d{1,2} [ap]m)|(?:(?:the |my |our |all )*(?:guests?|people|family|friends|company|everyone|everybody|visitors|they) )?(?:(?:will|are|is|be) )*(?:arriv(?:e|es|ing)|com(?:e|es|ing)(?: over| round)?|here|due|expected|get(?:ting)? here|over) |(?:(?:pre dinner )?(?:${COURSES})(?: service| reception)?|doors(?: open)?|(?:(?:and|then) )?(?:hold|held|keep|kept)(?: it| them)?(?: hot| warm)? (?:until|till|to)) )(?=at |by |around |about |for |from |on |tomorrow |today |\\+|\\d)`,
)

const HELD = /\b(?:hold|held|keep|kept)\b/

/** "6:30 canapés, 7:30 beef, 9 dessert": what is eaten before or after it. */
function otherCourse(words: readonly string[], context: MomentContext): Found | undefined {
  const hour = /^\d/.test(words[0] ?? '') ? hourAfter(words, 0, context) : undefined
  const course = hour && COURSE_AFTER.exec(`${words.slice(hour.count, hour.count + 3).join(' ')} `)
  return course
    ? {
        count: hour.count + course[0].trim().split(' ').length,
        fact: { ...hour.fact, weak: course.groups?.arrival ? 'arrival' : 'course' },
      }
    : undefined
}

function arrivalAt(words: readonly string[], context: MomentContext): Found | undefined {
  const course = otherCourse(words, context)
  if (course) return course
  const lead = `${words.slice(0, LONGEST_MOMENT).join(' ')} `.match(ARRIVES)
  if (!lead) return undefined
  let skipped = lead[0].trim().split(' ').length
  while (/^(?:from|by|at|around|about)$/.test(words[skipped] ?? '')) skipped++
  const found = hourAfter(words, skipped, context)
  const weak = HELD.test(lead[0]) ? 'held' : COURSE.test(lead[0]) ? 'course' : 'arrival'
  return found && { count: found.count, fact: { ...found.fact, weak } }
}

/** The hour that comes after so many words, with the number of words up to its end. */
function hourAfter(words: readonly string[], skipped: number, context: MomentContext) {
  const found = momentAt(['eat', ...words.slice(skipped)], context)
  return found?.fact.kind === 'moment' && found.count > 1
    ? { count: skipped + found.count - 1, fact: found.fact }
    : undefined
}

/** "6:30 for 7", "7 for half past seven": when they come, and when they sit down. */
const COME_FOR =
  /^(?:(?:dinner|lunch|supper|eat|at|on|guests?|arrive) )*(\d{1,2})(?:[:.](\d{2}))?(?: ?[ap]m)? for (?=(\d{1,2})(?:[:.](\d{2}))?(?: |[ap]m))/
const MOST_APART_MIN = 75

function comeFor(words: readonly string[], context: MomentContext): Found | undefined {
  const said = COME_FOR.exec(`${words.slice(0, LONGEST_MOMENT).join(' ')} `)
  if (!said || (said[2] === undefined && said[4] === undefined)) return undefined
  // "19:30 for 8" is a table of eight: half past seven for eight says both hours by one clock.
  if (Number(said[1]) > HALF_DAY_H && said[4] === undefined) return undefined
  const [from_min, to_min] = [minutesInto(said[1], said[2]), minutesInto(said[3], said[4])]
  const apart_min = (to_min - from_min + 720) % 720
  if (apart_min < 10 || apart_min > MOST_APART_MIN) return undefined
  return hourAfter(words, said[0].trim().split(' ').length, context)
}
/** Minutes into half a day. */
const minutesInto = (hour = '', minute = '0') => (Number(hour) % 12) * 60 + Number(minute)

/** "In 3 hours", from now, with the number of words up to its end. */
function withinAt(words: readonly string[], { now_s }: MomentContext): { count: number; at_s: number } | undefined {
  const within = words.slice(0, LONGEST_MOMENT).join(' ').match(WITHIN)
  const at_s = within ? Math.ceil((now_s + minutesOf(within[1] ?? within[2] ?? '') * 60) / 60) * 60 : Number.NaN
  return within && Number.isFinite(at_s) ? { count: within[0].trim().split(' ').length, at_s } : undefined
}

/** A moment at the head of some words, with holidays, meals and "in 3 hours". */
export function momentAt(said: readonly string[], { now_s, timeZone }: MomentContext): Found | undefined {
  const goesIn =
    wentInAt(said, { now_s, timeZone }) ??
    putInAt(said, { now_s, timeZone }) ??
    arrivalAt(said, { now_s, timeZone }) ??
    comeFor(said, { now_s, timeZone })
  if (goesIn) return goesIn
  const measured = beforeMeasures(said)
  const words = beforeTable(measured)
  // "dinner for 4" is a table, not an hour.
  const [only = ''] = words
  const isWhen = isDay(only) || /^\d{1,2}[:.]\d{2}$/.test(only) || holidayAt(words, { now_s, timeZone }) !== undefined
  if (words.length < 2 && words !== measured && !isWhen) return undefined
  const text = words.slice(0, LONGEST_MOMENT).join(' ')
  const within = withinAt(said, { now_s, timeZone })
  if (within) return { count: within.count, fact: { kind: 'moment', at_s: within.at_s, said: 'both' } }
  const lead = text.match(LEADS_TABLE)
  const skipped = lead ? lead[0].trim().split(' ').length : 0
  let rest = words.slice(skipped)
  // "next", "this" and "on" before a day say nothing more.
  let more = 0
  while (['next', 'this', 'on', 'at', 'by', 'for', 'coming', 'around'].includes(rest[more] ?? '') && more < 3) more++
  const bare = rest.slice(more)
  const feast = holidayAt(bare, { now_s, timeZone })
  if (feast) {
    const after = bare.slice(feast.count)
    const before = skipped + more + feast.count
    const found = readMoment(evening([feast.iso, ...after.slice(0, 6)]), { now_s, timeZone })
    return found
      ? {
          count: pastOclock(words, before + found.count - 1),
          fact: { kind: 'moment', at_s: found.at_s, said: 'both' },
        }
      : dayOnly(feast.iso, after, before, { now_s, timeZone })
  }
  // "on the table", "ready by": whatever follows is led.
  if (skipped > 0) rest = ['eat', ...rest]
  // "On 5 December at 7": the number after "on" is a day.
  else if (more > 0 && (isDated(bare) || !['at', 'by', 'on', 'for'].includes(rest[0] ?? ''))) rest = bare
  const bareHours = evening(rest, LUNCH.test(text))
  const found = readMoment(bareHours.slice(0, LONGEST_MOMENT), { now_s, timeZone })
  if (found) {
    const dropped = rest === bare ? more : skipped > 0 ? skipped - 1 : 0
    const count = pastOclock(words, found.count + dropped)
    const used = rest.slice(0, found.count)
    const dated = used.some((word) => DAYS_SAID.test(word))
    const halfTaken = used.some((word, i) => word !== bareHours[i]) ? { halfTaken: true as const } : {}
    return {
      count,
      fact: {
        kind: 'moment',
        at_s: found.at_s,
        said: dated ? 'both' : 'clock',
        ...halfTaken,
        ...(skipped > 0 ? { led: true as const } : {}),
      },
    }
  }
  // What has gone by is said to have gone by, not read as something else.
  if (bare[0] === 'yesterday') {
    const gone = new TZDate((now_s - 86_400) * 1000, timeZone)
    const clock = readMoment([isoDay(gone), ...bare.slice(1, 4)], { now_s, timeZone })
    const at_s = clock?.at_s ?? Math.floor(gone.getTime() / 1000)
    return { count: skipped + more + (clock ? clock.count : 1), fact: { kind: 'moment', at_s, said: 'both' } }
  }
  // A date without an hour.
  const dated = bare.slice(0, 2)
  const date =
    MONTH.test(dated[0] ?? '') !== MONTH.test(dated[1] ?? '')
      ? readMoment([...dated, `${USUAL_HOUR}:00`], { now_s, timeZone })
      : undefined
  if (date && date.count === 3)
    return { count: skipped + more + 2, fact: { kind: 'moment', at_s: date.at_s, said: 'day' } }
  // A day without an hour, or a meal without one.
  const day = bare[0]
  if (day && isDay(day)) {
    const start = skipped + more + 1
    return dayOnly(day, words.slice(start), start, { now_s, timeZone }, text)
  }
  const ordinal = bare.findIndex((word) => /^\d{1,2}(?:st|nd|rd|th)$/.test(word))
  if (ordinal === 0 || (ordinal === 1 && bare[0] === 'the')) {
    const next = readMoment([bare[ordinal] ?? '', `${USUAL_HOUR}:00`], { now_s, timeZone })
    return next && { count: skipped + more + ordinal + 1, fact: { kind: 'moment', at_s: next.at_s, said: 'day' } }
  }
  return mealAt(said, { now_s, timeZone })
}

/** "5 dec": a day of a month at the head of some words. */
const isDated = ([day = '', month = '']: readonly string[]): boolean =>
  /^\d{1,2}(?:st|nd|rd|th)?$/.test(day) && MONTH.test(month)

/** A meal by its name alone: today's, or tomorrow's. */
function mealAt(words: readonly string[], context: MomentContext): Found | undefined {
  const first = words[0] ?? ''
  const named = /^(?:for|at)$/.test(first) ? (words[1] ?? '') : first
  const meal = /^(?:brunch|lunch|lunchtime|dinner|supper)$/.test(named)
    ? MEALS.find(([pattern]) => pattern.test(named))?.[1]
    : hourOfPart(named)
  const found = meal === undefined ? undefined : readMoment([`${meal}:00`], context)
  return found
    ? { count: named === first ? 1 : 2, fact: { kind: 'moment', at_s: found.at_s, said: 'clock', weak: 'meal' } }
    : undefined
}
/** The words before the first number that is no hour. */
function beforeMeasures(words: readonly string[]): readonly string[] {
  const isHour = (word: string, next: string) => /^\d{1,2}:[0-5]\d$/.test(word) && COME_NEXT.test(next)
  const end = words.findIndex((word, i) => {
    const next = words[i + 1] ?? ''
    return /^\d/.test(word) && MEASURED.test(next) && !isHour(word, next)
  })
  return end < 0 ? words : words.slice(0, end)
}
/** The words before those who eat: "saturday for 8" is a day, and a table. */
function beforeTable(words: readonly string[]): readonly string[] {
  const end = words.findIndex(
    (word, i) =>
      word === 'for' && i < 2 && /^\d+$/.test(words[i + 1] ?? '') && !/^(?:[ap]m|\d.*)$/.test(words[i + 2] ?? ''),
  )
  return end < 0 ? words : words.slice(0, end)
}
const LUNCH = /^(?:for )?(?:brunch|lunch)\b/
const BEFORE_NOON = /^in the morning(?: |$)/
const AFTER_NOON = /^(?:in the (?:evening|afternoon)|at night|tonight)/

/** "at 7" is seven in the evening: roasts are not eaten at dawn unless somebody says so. */
const evening = (words: readonly string[], atLunch = false): string[] =>
  words.map((word, i) => {
    const clock = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(word)
    if (clock && Number(clock[1]) < 12 && AFTER_NOON.test(words.slice(i + 1, i + 4).join(' ')))
      return `${Number(clock[1]) + 12}:${clock[2] ?? '00'}`
    const dawn = BEFORE_NOON.test(words.slice(i + 1, i + 4).join(' '))
    if (clock && dawn && Number(clock[1]) <= 12) return `${Number(clock[1]) % 12}:${clock[2] ?? '00'}`
    const later = afternoon(word, words[i + 1])
    if (later !== word) return later
    // Nobody has lunch at ten at night.
    return (atLunch ? /^[1-9]$/ : /^(?:[1-9]|10)$/).test(word) &&
      i > 0 &&
      i < 6 &&
      !/^(?:am|pm|h|st|nd|rd|th|min|minutes|hours?|hrs?)$/.test(words[i + 1] ?? '') &&
      !MONTH.test(words[i + 1] ?? '') &&
      // "december 2" is a day, "25 december 2" an hour.
      (!MONTH.test(words[i - 1] ?? '') || /^\d{1,2}$/.test(words[i - 2] ?? '')) &&
      words[i - 1] !== 'for'
      ? `${Number(word) + 12}:00`
      : word
  })

/** A day with the name of a meal, or with none: at its usual hour. */
function dayOnly(
  day: string,
  after: readonly string[],
  used: number,
  context: MomentContext,
  whole = '',
): Found | undefined {
  const named = after[0] ?? ''
  const said = whole.split(' ').slice(0, used)
  const hour = hourNamed(named) ?? hourNamed(said.join(' ')) ?? USUAL_HOUR
  const found = readMoment([day === 'tonight' ? 'today' : day, `${hour}:00`], context)
  const takes = hourNamed(named) === undefined ? 0 : 1
  return found ? { count: used + takes, fact: { kind: 'moment', at_s: found.at_s, said: 'day' } } : undefined
}
