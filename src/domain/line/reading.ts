import { TZDate } from '@date-fns/tz'
import { format } from 'date-fns'
import { pullsApart } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import { standardsOf } from '../house/standards'
import { waysOf } from '../house/ways'
import { fail, type Outcome, type Span, succeed } from '../problem/problem'
import { nearestOf } from '../quantity/nearest'
import { toldApart } from './bare-heats'
import { isNoRoast, isOtherRoast, NAME_WORDS, nameInLine } from './cut-names'
import { dayOfDate } from './day-of-date'
import type { Fact, Meaning } from './fact'
import { leadHours } from './lead'
import { withNegated } from './negated'
import { ORDINARY } from './ordinary'
import { piecesApart } from './pieces-apart'
import {
  atHourOf,
  continentalHour,
  daysApart,
  doneOnDays,
  goesBetween,
  goneIn,
  heldUntil,
  hoursApart,
  isPartOf,
  promiseOf,
  tableHour,
} from './promised'
import { isPulled } from './readers/doneness'
import { roastsOf } from './roast-reading'
import { kitchenOf } from './said-kitchen'
import { type Ask, isMeal, type LineReading, OF_ONE_HEAT, type SaidRoast } from './said-roast'
import { scaleOf, withScale } from './scale'
import { areTwoMeals, hoursOf, seatedOf, tablesAgain } from './seatings'
import { type LineContext, readSentence } from './sentence'
import { sharedOut } from './shares'
import { LONGEST_LINE } from './tokens'
import {
  byRoast,
  crownAlone,
  guestsOf,
  isInPastry,
  isSaidCloser,
  namedAgain,
  OF_TABLE,
  ownersOf,
  portionsOf,
} from './whose'

export type { Ask, Choice, HeatedStage, LineReading, SaidRoast } from './said-roast'

/** What is to be said where a line names no meat. */
export const NO_CUT = { code: 'missing_cut', nearest: ['beef-rib-bone-in', 'lamb-leg-bone-in', 'turkey'] } as const
const USUAL = ['beef-rib-bone-in', 'lamb-leg-bone-in', 'pork-loin', 'turkey', 'chicken']
/**
 * Reads a line about one roast or a whole meal.
 *
 * What was understood is answered with the words it came from; what was not, or not wholly, is asked about, with
 * lines that answer. Nothing stops the rest from being planned but having no meat at all.
 *
 * @example readLine('pork loin 1.8 kg', { now_s: 0, timeZone: 'UTC' }).value.roasts[0].cut // 'pork-loin'
 */
export function readLine(line: string, context: LineContext): Outcome<LineReading> {
  if (line.length > LONGEST_LINE) return fail({ code: 'line_too_long', given: line.length, most: LONGEST_LINE })
  const sentence = withNegated(readSentence(line, context), line)
  const { unknown } = sentence
  const kept = crownAlone(sentence.meanings, line).filter(
    (_, i, all) => !isSaidCloser(all, i, line) && !isInPastry(all, i, line),
  )
  const said = tablesAgain(sharedOut(kept, line)).flatMap((meaning, _, all) => wishOfAll(meaning, all))
  const prepared = doneOnDays(toldApart(said, line, context.reads), line)
  const told = tableHour(continentalHour(prepared, line, context), line, context)
  const meanings = goneIn(portionsOf(namedAgain(heldUntil(told, line, context), line), line), line, context)
  const asks: Ask[] = []
  const toCelsius = scaleOf(meanings, { line, reads: context.reads })
  const standards = standardsOf(context.house ?? [])
  const replaced = ({ from, to }: Span, by: string) =>
    `${line.slice(0, from)}${by}${line.slice(to)}`.replace(/ {2,}/g, ' ').trim()
  const spelt = ({ from, to }: Span) => line.slice(from, to)
  const added = (words: string) => `${line.trim().replace(/[,;.]$/, '')}, ${words}`

  for (const { from, to, text } of unknown.slice(0, 6)) {
    const near =
      ORDINARY.has(text.toLowerCase()) || isNoRoast(text) || isOtherRoast(text)
        ? []
        : nearestOf(text, NAME_WORDS, 2).filter((word) => word !== text.toLowerCase())
    asks.push({
      code: 'what_is',
      at: { from, to },
      words: text,
      options: [
        ...near.map((word) => ({ says: word, line: replaced({ from, to }, word) })),
        { says: 'leave it out', line: replaced({ from, to }, '') },
      ],
    })
  }

  const table = meanings.filter(({ fact }) => OF_TABLE.has(fact.kind))
  const guests = guestsOf(table)
  const named = byRoast(meanings)
  const { groups, wished } = piecesApart(named, table, guests)
  const wishes: Record<string, number> = {}
  for (const { fact } of table)
    if (fact.kind === 'wish' && !wished) wishes[fact.word] = (wishes[fact.word] ?? 0) + fact.count
  const said_s = promiseOf(table, context)
  const goesIn = table.map(({ fact }) => fact).findLast((fact) => fact.kind === 'put_in')
  const put_in_s = goesIn && (said_s === undefined || goesIn.already) ? goesIn.at_s : undefined
  const aside = kitchenOf(table, toCelsius)
  // "In at nine thirty, eat at two" is in the morning.
  const between = goesIn && !goesIn.already ? goesBetween(goesIn, context.now_s, said_s ?? 0) : undefined
  const batched = table.map(({ fact }) => fact).find((fact) => fact.kind === 'batches')
  const away = table.map(({ fact }) => fact).find((fact) => fact.kind === 'away')

  const apiece = meanings.map(({ fact }) => fact).findLast((fact) => fact.kind === 'mass' && fact.apiece)
  const apiece_kg = apiece?.kind === 'mass' ? apiece.kg : undefined
  const dated = hoursOf(meanings, context)
  const times = dated.map(({ at_s }) => at_s)
  // "Lunch for 30, lamb; dinner for 45, sirloin": each table has its own.
  const eaters = table.flatMap(({ fact }) => (fact.kind === 'guests' ? [fact.guests] : []))
  const isEach = groups.length > 1 && eaters.length === groups.length && new Set(times).size > 1
  const roasts = groups.flatMap((group, i) =>
    roastsOf(group, {
      toCelsius,
      guests: isEach ? eaters[i] : guests,
      roasts: isEach ? 1 : groups.length,
      several: groups.length > 1,
      apiece_kg,
      standards,
      asks,
      replaced,
      spelt,
      added,
    }),
  )
  // Pieces of one cut that were told apart are eaten in their turn.
  const alone = named.length === 1 && roasts.length > 1
  const counts = roasts.map(({ count }) => count)
  const seated = seatedOf(meanings, alone ? [counts.reduce((sum, count) => sum + count, 0)] : counts, context)
  // Several hours, and it is not plain of what.
  const apart = seated ? undefined : hoursApart(table, times)
  const days = seated || apart ? undefined : daysApart(table, said_s, context)
  const hours = apart ?? days
  const saidHours = seated || hours ? dated : []
  if (hours)
    asks.push({
      code: 'said_twice',
      at: { from: hours.first.from, to: hours.first.to },
      what: 'moment',
      taken: spelt(hours.taken),
      ...((days ? groups.length > 1 : areTwoMeals(saidHours.map(({ at_s }) => at_s))) ? { meals: true as const } : {}),
      ...(days ? { days: true as const } : {}),
      options: [
        { says: spelt(hours.first), line: replaced(hours.last, '') },
        { says: spelt(hours.last), line: replaced(hours.first, dayOf(hours, context)) },
      ],
    })
  const promise_s = seated?.seatings[0]?.at_s ?? said_s
  const other = promise_s === undefined ? undefined : dayOfDate(line, promise_s, context)
  if (other)
    asks.push({
      code: 'day_of_date',
      at: other.at,
      words: spelt(other.at),
      weekday: other.weekday,
      options: [other.dated, other.named].map((day) => ({ says: day, line: replaced(other.at, day) })),
    })
  // One heat said last is the heat of all that have none of their own.
  const shared = roasts.at(-1)
  const counted =
    seated && !alone ? roasts.map((roast, i) => ({ ...roast, count: seated.counts[i] ?? roast.count })) : roasts
  const heated =
    roasts.length > 1 && shared?.set_c !== undefined && shared.stages.length === 0
      ? counted.map((roast) =>
          saysHeat(roast)
            ? roast
            : { ...roast, set_c: shared.set_c as number, ...(shared.oven ? { oven: shared.oven } : {}) },
        )
      : counted
  // "Overnight, in at ten, eat at one" says how long, and so how hot.
  const isBetween = between !== undefined && heated.every(leavesHeatOpen)
  const all = !isBetween && table.some(({ fact }) => fact.kind === 'overnight') ? heated.map(throughTheNight) : heated
  if (roasts.length === 0)
    asks.unshift({
      code: 'no_cut',
      options: USUAL.map((id) => ({ says: nameInLine(id), line: `${nameInLine(id)} ${line.trim()}`.trim() })),
    })
  const sides = [
    ...new Map(
      table.flatMap(({ fact }) =>
        fact.kind === 'side' ? [[fact.id, { id: fact.id, title: fact.title }] as const] : [],
      ),
    ).values(),
  ]
  const away_min = away?.minutes
  // Of one roast it follows from when it goes in; of several not.
  const isOfMeal = isMeal({ roasts: all, sides, ...(away_min === undefined ? {} : { away_min }) })
  const follows = put_in_s !== undefined && !isOfMeal
  if (promise_s === undefined && roasts.length > 0 && !follows)
    asks.push({
      code: 'what_time',
      taken_h: leadHours(all),
      ...(put_in_s === undefined ? {} : { put_in_s }),
      options: ['eat 13:00', 'eat 19:00', 'eat tomorrow 19:00'].map((words) => ({
        says: words.replace('eat ', ''),
        line: added(words),
      })),
    })
  // By a heat that is said it goes in when it must.
  const goes = table.find(({ fact }) => fact === goesIn)
  if (between !== undefined && goes && (isOfMeal || !isBetween))
    asks.push({
      code: 'goes_in',
      at: { from: goes.from, to: goes.to },
      words: spelt(goes),
      options: [{ says: 'leave it out', line: replaced(goes, '') }],
    })
  // Of a meal the board hears it by hand.
  const wentIn = goesIn?.already && isOfMeal ? table.find(({ fact }) => fact === goesIn) : undefined
  const [first, ...others] = all
  const noted = wentIn && first ? [{ ...first, notes: [...first.notes, spelt(wentIn)] }, ...others] : all
  // What was not served so hot was the oven's: it is shown as that.
  const served = all.some(({ serve_c }) => serve_c !== undefined)
  // A meal's usual hour is not said where another is taken.
  const taken = meanings.filter(({ fact }) => fact.kind !== 'moment' || fact.weak !== 'meal' || fact.at_s === promise_s)
  const shown = taken.map((meaning): Meaning => {
    const { fact } = meaning
    if (fact.kind === 'serve' && fact.bare && !served) return { ...meaning, fact: { kind: 'heat', heat: fact.heat } }
    if (fact.kind === 'school' && fact.id === 'pan-first') return { ...meaning, fact: searedWhen(fact, all) }
    // Of several hours each is shown on its day, whether it is taken or not.
    const own = saidHours.find((hour) => hour.meaning === meaning)
    if (own && (fact.kind === 'moment' || fact.kind === 'again'))
      return { ...meaning, fact: { ...fact, at_s: own.at_s } }
    // What else is on that day is of its day: "saturday, canapés at six, beef at seven".
    if (fact.kind === 'moment' && fact.weak && fact.said === 'clock' && promise_s !== undefined)
      return { ...meaning, fact: { ...fact, at_s: atHourOf(promise_s, fact.at_s, context.timeZone) } }
    // A day and an hour said apart are one moment, and shown as that.
    const partly = fact.kind === 'moment' && promise_s !== undefined && isPartOf(fact, promise_s, context)
    return partly ? { ...meaning, fact: { ...fact, at_s: promise_s } } : meaning
  })
  return succeed({
    meanings: withScale(shown, toCelsius),
    roasts: noted,
    sides,
    ...(guests === undefined ? {} : { guests }),
    ...(batched ? { batches: { count: batched.count, apart_min: batched.apart_min } } : {}),
    ...(away_min === undefined ? {} : { away_min }),
    ...(seated && seated.seatings.length > 0 ? { seatings: seated.seatings } : {}),
    ways: waysOf(context.house ?? []),
    standards,
    wishes,
    vulnerable: table.some(({ fact }) => fact.kind === 'vulnerable'),
    ...aside,
    ...(promise_s === undefined ? {} : { promise_s }),
    ...(put_in_s === undefined ? {} : { put_in_s }),
    ...(goesIn?.already ? { isIn: true as const } : {}),
    ...(isBetween && !isOfMeal ? { between_s: between } : {}),
    asks,
  })
}

/** "120 to 48, sear" is seared after it, and is shown as that. */
function searedWhen(said: Fact, roasts: readonly SaidRoast[]): Fact {
  const isFirst = roasts.some(({ school, stages }) => school === 'pan-first' || openedIn(stages))
  if (isFirst) return said
  const inPan = roasts.some(({ stages }) => stages.some(({ on, finish }) => on === 'pan' && finish))
  return { kind: 'stage', stage: { on: inPan ? 'pan' : 'oven', finish: true } }
}
const openedIn = ([first]: SaidRoast['stages']): boolean => first?.on === 'pan' && !first.finish

/** The day that goes with the first of two hours, where the last has none of its own. */
function dayOf({ first, last }: NonNullable<ReturnType<typeof hoursApart>>, { timeZone }: LineContext): string {
  if (first.fact.kind !== 'moment' || first.fact.said !== 'both') return ''
  if (last.fact.kind !== 'moment' || last.fact.said !== 'clock') return ''
  return format(new TZDate(first.fact.at_s * 1000, timeZone), 'EEEE d MMMM').toLowerCase()
}

/** Whether a roast has a heat of its own, by a setting, a school or stages. */
const saysHeat = ({ set_c, school, stages }: SaidRoast): boolean =>
  set_c !== undefined || school !== undefined || stages.length > 0

/** Whether it is roasted by one heat, and nobody says how hot. */
const leavesHeatOpen = ({ set_c, school, stages, written, houseProgram }: SaidRoast): boolean =>
  set_c === undefined &&
  stages.length === 0 &&
  written.length === 0 &&
  houseProgram === undefined &&
  (school === undefined || OF_ONE_HEAT.has(school))

/** What cooks through the night cooks so low, °C (common practice: 100 to 110). */
const OVERNIGHT_C = 105

/** "Pork shoulder overnight" is a low oven, where nobody said which; a rib is not left in for so long. */
function throughTheNight(roast: SaidRoast): SaidRoast {
  const cut = findCut(roast.cut)
  const tender = cut !== undefined && pullsApart(cut) && (roast.doneness === undefined || isPulled(roast.doneness))
  return tender && !saysHeat(roast) ? { ...roast, school: 'low-and-long', set_c: OVERNIGHT_C } : roast
}

/** "Medium for four" of one roast is how it is wanted, and how many eat; beside "rare for two" it is what four of them want. */
function wishOfAll(meaning: Meaning, all: readonly Meaning[]): Meaning[] {
  const { fact } = meaning
  if (fact.kind !== 'wish' || !fact.perhapsAll) return [meaning]
  // "Rib rare for six, lamb leg pink for four": what is said of another roast says nothing of this one.
  const owners = ownersOf(all)
  const own = all.filter((_, i) => owners[i] === owners[all.indexOf(meaning)])
  if (own.some((other) => other !== meaning && other.fact.kind === 'wish')) return [meaning]
  const wanted: Meaning = { ...meaning, fact: { kind: 'doneness', word: fact.word } }
  // "Well done for two, the rest pink": theirs alone, for it is wanted otherwise.
  if (own.some(({ fact: { kind } }) => kind === 'doneness')) return [meaning]
  // "Well done for gran" is hers alone where others were said to eat.
  if (fact.count === 1) return all.some(({ fact: { kind } }) => kind === 'guests') ? [meaning] : [wanted]
  return [wanted, { ...meaning, fact: { kind: 'guests', guests: fact.count }, parted: false }]
}
