import type { Meaning } from './fact'
import { atHourOf, isHour } from './promised'
import { MOST_GUESTS } from './readers/table'
import { type Found, type MomentContext, momentAt } from './said-moment'
import { NUMBER, numberOf } from './tokens'
import { namesMeat, ownersOf } from './whose'

/** Several hours in one line: which roasts are eaten when. */

/** Pieces that are eaten at one hour, by their place among all pieces of the line. */
export interface Seating {
  /** s since 1970. */
  readonly at_s: number
  readonly pieces: readonly number[]
}

/** "Another at 8:30", "one at 6", "the other for the second seating at 8". */
const AGAIN = new RegExp(
  `^(?:and |then )*(?:(another(?: one)?|(?:${NUMBER}) more|one extra)|(the (?:other|second|last|third)(?: one| two)?|the rest)|(${NUMBER})) (?:of them )?(?:(?:for|at) the (?:first|second|third|last|other) (?:seating|sitting|service|table) )?(?=(?:at|by|for) \\d)`,
)
/** More than so many are no joints: they are who eats. */
const MOST_AGAIN = 40
/** No kitchen serves one meal over a longer time, s. */
const LONGEST_DAY_S = 8 * 3600

/** So many pieces at an hour of their own, at the head of some words. */
export function againAt(words: readonly string[], context: MomentContext): Found | undefined {
  const said = `${words.slice(0, 14).join(' ')} `
  const lead = AGAIN.exec(said)
  if (!lead) return undefined
  const skipped = lead[0].trim().split(' ').length
  const [at, hour = '', half = ''] = words.slice(skipped)
  // "Four for 8" are a table.
  if (at === 'for' && !/^(?:\d{1,2}[:.]\d{2}|[ap]m)$/.test(`${hour.includes(':') ? hour : half}`)) return undefined
  const found = momentAt(['at', ...words.slice(skipped + 1)], context)
  if (found?.fact.kind !== 'moment' || found.fact.said === 'day') return undefined
  const [, more, other, number] = lead
  const count = numberOf(/^\S+/.exec(more ?? number ?? '')?.[0] ?? '')
  const pieces = Number.isInteger(count) && count > 0 ? count : 1
  // "Then 150 at 7" is an oven, "and 150 at 7" a table.
  if (pieces > MOST_GUESTS || (pieces > MOST_AGAIN && !/^and (?!then )/.test(said))) return undefined
  return {
    count: skipped + found.count,
    fact: {
      kind: 'again',
      count: pieces,
      which: more ? 'more' : other ? 'rest' : 'some',
      at_s: found.fact.at_s,
      said: found.fact.said,
    },
  }
}

/** Whether somebody says how many pieces there are. */
const saysPieces = (meanings: readonly Meaning[]): boolean =>
  meanings.some(({ fact }) => (fact.kind === 'cut' && fact.count > 1) || fact.kind === 'pieces')

/** "Sirloin 3.2 kg, 6 at 7": of one that was weighed they are who eats; "quail, 12 at 8" are so many of it. */
function isTableOfOne(meanings: readonly Meaning[], at: number): boolean {
  const agains = meanings.filter(({ fact }) => fact.kind === 'again').length
  const isWeighed = meanings.slice(0, at).some(({ fact }) => fact.kind === 'mass')
  return agains === 1 && isWeighed && !saysPieces(meanings)
}

/**
 * "Beef for 40 at half past twelve and 40 at two": as many again who eat, and not as many joints, where nobody said of how
 * many pieces.
 */
export function tablesAgain(meanings: readonly Meaning[]): Meaning[] {
  const ofTables = meanings.some(({ fact }) => fact.kind === 'guests') && !saysPieces(meanings)
  return meanings.flatMap((meaning, i): Meaning[] => {
    const { fact } = meaning
    if (fact.kind !== 'again' || fact.which === 'rest' || fact.count < 2) return [meaning]
    const follows = ofTables && meanings.slice(0, i).some((each) => each.fact.kind === 'guests')
    const isTable = follows || fact.count > MOST_AGAIN || (fact.which === 'some' && isTableOfOne(meanings, i))
    if (!isTable) return [meaning]
    const { at_s, said, count } = fact
    return [
      { ...meaning, fact: { kind: 'guests', guests: count } },
      { ...meaning, fact: { kind: 'moment', at_s, said }, parted: false },
    ]
  })
}

/** An hour that a line says, on its day. */
export interface Hour {
  readonly at_s: number
  readonly meaning: Meaning
}

/** Every hour of a line, in its order, on the day that was last said before it, or else the first that is said. */
export function hoursOf(meanings: readonly Meaning[], { timeZone }: MomentContext): Hour[] {
  const days = meanings.flatMap(({ fact }) =>
    (fact.kind === 'moment' || fact.kind === 'again') && fact.said !== 'clock' ? [fact] : [],
  )
  let day_s = (days.find(({ said }) => said === 'day') ?? days[0])?.at_s
  return meanings.flatMap((meaning): Hour[] => {
    const { fact } = meaning
    // "Friday pork at 7, Saturday lamb at 1": each day is of the hours after it.
    if (fact.kind === 'moment' && fact.said === 'day') day_s = fact.at_s
    if (!isHour(fact)) return []
    const dated = fact.said === 'both'
    if (dated) day_s = fact.at_s
    return [{ at_s: dated || day_s === undefined ? fact.at_s : atHourOf(day_s, fact.at_s, timeZone), meaning }]
  })
}

/** A lunch and a dinner are one day's work, two days are two meals. */
export const areTwoMeals = (times: readonly number[]): boolean =>
  Math.max(...times) - Math.min(...times) > LONGEST_DAY_S

/** What a line with several hours comes to. */
export interface Seated {
  readonly seatings: readonly Seating[]
  /** Every hour that was said, on its day. */
  readonly hours: readonly Hour[]
  /** How many there are of each roast, with what was said to come later. */
  readonly counts: readonly number[]
}

/**
 * Which pieces are eaten when, where a line says several hours and it is plain of what; undefined where it is not.
 * @param counts how many there are of each roast, as they were said
 */
export function seatedOf(
  meanings: readonly Meaning[],
  counts: readonly number[],
  context: MomentContext,
): Seated | undefined {
  const hours = hoursOf(meanings, context)
  const again = hours.filter(({ meaning }) => meaning.fact.kind === 'again')
  const [count = 0] = counts
  if (new Set(hours.map(({ at_s }) => at_s)).size < 2) {
    // "Chicken 1.6 kg, 4 at 7": how many, and when.
    const [fact] = again.map(({ meaning }) => meaning.fact)
    const many =
      hours.length === 1 && counts.length === 1 && count === 1 && fact?.kind === 'again' && fact.which === 'some'
    return many ? { seatings: [], hours, counts: [fact.count] } : undefined
  }
  const times =
    counts.length > 1
      ? byTheirCuts(meanings, hours, counts)
      : again.length > 0
        ? againTimes(hours, count)
        : inTurn(hours, count === 1 && isOfEach(meanings) ? hours.length : count)
  if (!times) return undefined
  const seats = [...new Set(times)].sort((a, b) => a - b)
  if (seats.length < 2 || areTwoMeals(seats)) return undefined
  return {
    seatings: seats.map((at_s) => ({ at_s, pieces: times.flatMap((time, i) => (time === at_s ? [i] : [])) })),
    hours,
    counts: counts.length > 1 ? counts : [times.length],
  }
}

const filled = (count: number, at_s: number): number[] => Array.from({ length: Math.max(0, count) }, () => at_s)

/** "Two at six and one at eight", "one at six, another at eight", "two, one at six and the other at seven". */
function againTimes(hours: readonly Hour[], count: number): number[] | undefined {
  const first = hours[0]?.meaning.fact.kind === 'again' ? undefined : hours[0]
  const later = hours.slice(first ? 1 : 0)
  const facts = later.flatMap(({ at_s, meaning: { fact } }) => (fact.kind === 'again' ? [{ ...fact, at_s }] : []))
  if (facts.length !== later.length) return undefined
  const rests = facts.filter(({ which }) => which === 'rest').length
  if (!first) {
    const said = facts.reduce((sum, fact) => sum + (fact.which === 'some' ? fact.count : 0), 0)
    const left = count - said
    // All of them have their hour, the last ones what is left.
    if (rests > 1 || (rests === 0 ? left !== 0 : left < 1)) return undefined
    return facts.flatMap((fact) => filled(fact.which === 'rest' ? left : fact.count, fact.at_s))
  }
  if (rests > 1 || (rests === 1 && (facts.length > 1 || count < 2))) return undefined
  const own = rests === 1 ? count - 1 : count
  return [
    ...filled(own, first.at_s),
    ...facts.flatMap((fact) => filled(fact.which === 'rest' ? 1 : fact.count, fact.at_s)),
  ]
}

/** "Rib at 12:30 and 14:00, 3 kg each": one for each hour. */
const isOfEach = (meanings: readonly Meaning[]): boolean =>
  meanings.some(({ fact }) => fact.kind === 'mass' && fact.apiece)

/** "Three at 19:00, 20:00 and 21:00": in turn, as evenly as may be. */
const inTurn = (hours: readonly Hour[], count: number): number[] | undefined =>
  count < hours.length
    ? undefined
    : Array.from({ length: count }, (_, i) => hours[Math.floor((i * hours.length) / count)]?.at_s ?? 0)

/** "Turkey at two and a ham at six": each has the hour that stands beside it, or that of the next. */
function byTheirCuts(
  meanings: readonly Meaning[],
  hours: readonly Hour[],
  counts: readonly number[],
): number[] | undefined {
  if (hours.some(({ meaning }) => meaning.fact.kind === 'again')) return undefined
  const owners = ownersOf(meanings)
  const cuts = meanings.filter(({ fact }) => namesMeat(fact)).length
  if (cuts !== counts.length) return undefined
  const own: (number | undefined)[] = counts.map(() => undefined)
  for (const { at_s, meaning } of hours) {
    const roast = owners[meanings.indexOf(meaning)] ?? 0
    // Two hours of one roast are no plain matter.
    if (own[roast] !== undefined && own[roast] !== at_s) return undefined
    own[roast] = at_s
  }
  let next: number | undefined
  for (let i = own.length - 1; i >= 0; i--) own[i] = next = own[i] ?? next
  const last = own.findLast((at_s) => at_s !== undefined)
  return own.flatMap((at_s, i) => filled(counts[i] ?? 1, at_s ?? last ?? 0))
}
