import { TZDate } from '@date-fns/tz'
import { distance } from 'fastest-levenshtein'
import type { HouseItem } from '../house/house-item'
import type { Span } from '../problem/problem'
import { cutsNamed, EMPTY, NAME_WORDS, singular } from './cut-names'
import type { Fact, Meaning } from './fact'
import { DAY_WORDS, LONGEST_MOMENT, readMoment } from './moment'
import { minutesOf, READERS } from './readers'
import { NUMBER, numberOf, type Token, tokensOf } from './tokens'

/** A line word by word: what was understood and what was not. */
export interface Sentence {
  readonly meanings: readonly Meaning[]
  /** Words that say nothing to us, side by side ones together. */
  readonly unknown: readonly (Span & { readonly text: string })[]
}

export interface LineContext {
  /** The present, s since 1970. */
  readonly now_s: number
  /** IANA name of the kitchen's time zone. */
  readonly timeZone: string
  /** The kitchen's own cuts and programs: they are known by their names. */
  readonly house?: readonly HouseItem[]
}

/** Words that carry no meaning of their own here. */
const FILLER = new Set([
  ...EMPTY,
  ...'and with then plus also please is are it its we i want wanted would like have having got need to cook cooking make making do doing for at in into by from that this there be will can each all them us me you so but or as nice about roughly around approximately dinner lunch supper tea meal eat eating people oven heat meat degrees deg served serve x just really very quite bit once after before until till up down day evening night afternoon morning weekend party family table off hot warm cold per'.split(
    ' ',
  ),
  '+',
  '&',
  '"',
])
/** After these another roast may begin. */
const JOINS = new Set(['and', 'plus', '+', '&', 'with', 'also'])

/** The words that a pattern takes: its own, with what may be added to them and without what may be left off. */
const wordsOf = (source: string): string[] => [
  ...(source.match(/[a-z]{4,}/g) ?? []),
  ...[...source.matchAll(/([a-z]{3,})\(\?:([a-z|]+)\)/g)].flatMap(([, stem, ends = '']) =>
    ends.split('|').map((end) => `${stem}${end}`),
  ),
  ...[...source.matchAll(/([a-z]{3,})([a-z])\?/g)].flatMap(([, stem = '', end]) => [stem, `${stem}${end}`]),
]
const PATTERN_WORDS = READERS.flatMap(({ pattern }) => wordsOf(pattern.source))
const VOCABULARY: ReadonlySet<string> = new Set([...FILLER, ...NAME_WORDS, ...PATTERN_WORDS, ...DAY_WORDS])
/** Words that a misspelt one may have been: whole words only, not the halves that patterns are made of. */
const MENDED_TO: readonly string[] = [...new Set([...NAME_WORDS, ...PATTERN_WORDS, ...DAY_WORDS])].filter(
  (word) => word.length >= 3,
)
/** Spellings are looked up once: the same words come again with every key. */
const mended = new Map<string, string | undefined>()
const MOST_MENDED = 2000

/** The one word that a misspelt one must have been; undefined where none or several are as near. */
export function spelling(word: string): string | undefined {
  if (word.length < 4 || word.length > 16 || !/^[a-z]+$/.test(word)) return undefined
  if (VOCABULARY.has(word) || VOCABULARY.has(singular(word))) return undefined
  if (mended.has(word)) return mended.get(word)
  const most = word.length >= 8 ? 2 : 1
  let best: string | undefined
  let least = most + 1
  let several = false
  for (const known of MENDED_TO) {
    if (Math.abs(known.length - word.length) > most) continue
    const apart = known[0] === word[0] ? distance(word, known) : distance(word, known) + 0.5
    // Letters are left out more often than they are put in.
    const longer = best !== undefined && known.length > word.length && best.length <= word.length
    if (apart < least || (apart === least && longer)) {
      best = known
      least = apart
      several = false
    } else if (
      apart === least &&
      singular(known) !== singular(best ?? '') &&
      !(best !== undefined && best.length > word.length && known.length <= word.length)
    )
      several = true
  }
  const found = several ? undefined : best
  if (mended.size > MOST_MENDED) mended.clear()
  mended.set(word, found)
  return found
}

interface Found {
  readonly count: number
  readonly fact: Fact
}

const HOLIDAYS: readonly (readonly [RegExp, (year: number) => readonly [number, number]])[] = [
  [/^(?:christmas|xmas) eve/, () => [12, 24]],
  [/^(?:christmas|xmas)(?: day)?/, () => [12, 25]],
  [/^boxing day/, () => [12, 26]],
  [/^new year'?s eve/, () => [12, 31]],
  [/^new year'?s day/, () => [1, 1]],
  [/^thanksgiving(?: day)?/, (year) => [11, 22 + ((11 - new Date(Date.UTC(year, 10, 1)).getUTCDay()) % 7)]],
]
/** When a meal is eaten where only its name is said (common practice), the hour. */
const MEALS: readonly (readonly [RegExp, number])[] = [
  [/\b(?:lunch|lunchtime|midday)\b/, 13],
  [/\b(?:dinner|supper|evening|tonight|night)\b/, 19],
]
const USUAL_HOUR = 19

const LEADS_TABLE =
  /^(?:(?:to be )?(?:on the table|ready|plates?(?: up)?|sit(?:ting)? down|eat(?:ing)?|serv(?:e|ed|ing)|carved?|dinner|lunch|supper)(?: is| for| by| at| on)*) /

/** From now on: in 3 hours. */
const WITHIN = new RegExp(
  `^(?:ready |eat |served? )?in (${NUMBER} (?:hours?|hrs?|h)(?: ${NUMBER} (?:min|minutes))?|half an hour|${NUMBER} (?:minutes|mins?))(?: |$)`,
)
const HOLIDAY_BEGINS = /^(?:christmas|xmas|boxing|new|thanksgiving)$/

/** A moment at the head of some words, with holidays, meals and "in 3 hours". */
function momentAt(said: readonly string[], { now_s, timeZone }: LineContext): Found | undefined {
  const words = beforeMeasures(said)
  const text = words.slice(0, LONGEST_MOMENT).join(' ')
  // "dinner for 4" is a table, not an hour.
  if (/^(?:[a-z]+ )?for \d+(?! ?(?:am|pm|:|\d))(?: |$)/.test(text) && !/^(?:[a-z]+ )?for \d+ (?:am|pm)/.test(text))
    return undefined
  const within = said.slice(0, LONGEST_MOMENT).join(' ').match(WITHIN)
  if (within) {
    const at_s = Math.ceil((now_s + minutesOf(within[1] as string) * 60) / 60) * 60
    return Number.isFinite(at_s)
      ? { count: within[0].trim().split(' ').length, fact: { kind: 'moment', at_s, said: 'both' } }
      : undefined
  }
  const lead = text.match(LEADS_TABLE)
  const skipped = lead ? lead[0].trim().split(' ').length : 0
  let rest = words.slice(skipped)
  // "next", "this" and "on" before a day say nothing more.
  let more = 0
  while (['next', 'this', 'on', 'at', 'by', 'for', 'coming'].includes(rest[more] ?? '') && more < 3) more++
  const bare = rest.slice(more)
  for (const [pattern, dayOf] of HOLIDAY_BEGINS.test(bare[0] ?? '') ? HOLIDAYS : []) {
    const now = new TZDate(now_s * 1000, timeZone)
    const named = bare.join(' ').match(pattern)
    if (!named || !/(?: |$)/.test(bare.join(' ').slice(named[0].length, named[0].length + 1) || ' ')) continue
    const used = named[0].split(' ').length
    const date = (year: number) => {
      const [month, day] = dayOf(year)
      return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
    }
    const today = `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
    const iso = date(now.getFullYear()) < today ? date(now.getFullYear() + 1) : date(now.getFullYear())
    const after = bare.slice(used)
    const found = readMoment([iso, ...after.slice(0, 6)], { now_s, timeZone })
    if (found)
      return {
        count: skipped + more + used + found.count - 1,
        fact: { kind: 'moment', at_s: found.at_s, said: 'both' },
      }
    return dayOnly(iso, after, skipped + more + used, { now_s, timeZone })
  }
  // "on the table", "ready by": whatever follows is led.
  if (skipped > 0) rest = ['eat', ...rest]
  else if (more > 0 && !['at', 'by', 'on', 'for'].includes(rest[0] ?? '')) rest = bare
  const bareHours = evening(rest)
  const found = readMoment(bareHours.slice(0, LONGEST_MOMENT), { now_s, timeZone })
  if (found) {
    const dropped = rest === bare ? more : skipped > 0 ? skipped - 1 : 0
    let count = found.count + dropped
    // "eat saturday 19:00 in the evening"
    while (['oclock', "o'clock", 'sharp'].includes(words[count] ?? '')) count++
    const used = rest.slice(0, found.count)
    const dated = used.some((word) => DAYS_SAID.test(word))
    return { count, fact: { kind: 'moment', at_s: found.at_s, said: dated ? 'both' : 'clock' } }
  }
  // What has gone by is said to have gone by, not read as something else.
  if (bare[0] === 'yesterday') {
    const gone = new TZDate((now_s - 86_400) * 1000, timeZone)
    const iso = `${gone.getFullYear()}-${String(gone.getMonth() + 1).padStart(2, '0')}-${String(gone.getDate()).padStart(2, '0')}`
    const clock = readMoment([iso, ...bare.slice(1, 4)], { now_s, timeZone })
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
  if (day && (['today', 'tonight', 'tomorrow'].includes(day) || DAYS.includes(day))) {
    const start = skipped + more + 1
    return dayOnly(day, words.slice(start), start, { now_s, timeZone }, text)
  }
  return undefined
}
/** A word that names a day or a month. */
const DAYS_SAID =
  /^(?:today|tonight|tomorrow|\d{4}-\d{2}-\d{2}|(?:sun|mon|tue|wed|thu|fri|sat|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*)$/
const MONTH = /^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/
/** What a number is that is no hour. */
const MEASURED =
  /^(?:kgs?|kilos?|kilograms?|g|gr|gms?|grams?|lbs?|pounds?|oz|ounces?|mm|cm|inch|inches|people|persons?|guests?|heads?|covers?|adults?|min|mins|minutes?|hours?|hrs?|x|c|f|degrees)$/
/** The words before the first number that is no hour. */
function beforeMeasures(words: readonly string[]): readonly string[] {
  const end = words.findIndex((word, i) => /^\d/.test(word) && MEASURED.test(words[i + 1] ?? ''))
  return end < 0 ? words : words.slice(0, end)
}
const AFTER_NOON = /^(?:in the (?:evening|afternoon)|at night|tonight)/

/** "at 7" is seven in the evening: roasts are not eaten at dawn unless somebody says so. */
const evening = (words: readonly string[]): string[] =>
  words.map((word, i) => {
    const clock = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(word)
    if (clock && Number(clock[1]) < 12 && AFTER_NOON.test(words.slice(i + 1, i + 4).join(' ')))
      return `${Number(clock[1]) + 12}:${clock[2] ?? '00'}`
    return /^(?:[1-9]|10)$/.test(word) &&
      i > 0 &&
      i < 6 &&
      !/^(?:am|pm|h|st|nd|rd|th|min|minutes|hours?|hrs?)$/.test(words[i + 1] ?? '') &&
      !MONTH.test(words[i + 1] ?? '') &&
      !MONTH.test(words[i - 1] ?? '') &&
      words[i - 1] !== 'for'
      ? `${Number(word) + 12}:00`
      : word
  })
const DAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday']

/** A day with the name of a meal, or with none: at its usual hour. */
function dayOnly(
  day: string,
  after: readonly string[],
  used: number,
  context: LineContext,
  whole = '',
): Found | undefined {
  const named = after[0] ?? ''
  const meal =
    MEALS.find(([pattern]) => pattern.test(named)) ??
    MEALS.find(([pattern]) => pattern.test(whole.split(' ').slice(0, used).join(' ')))
  const hour = meal?.[1] ?? USUAL_HOUR
  const found = readMoment([day === 'tonight' ? 'today' : day, `${hour}:00`], context)
  const takes = MEALS.some(([pattern]) => pattern.test(named)) ? 1 : 0
  return found ? { count: used + takes, fact: { kind: 'moment', at_s: found.at_s, said: 'day' } } : undefined
}

const PIECES = new RegExp(`^(?:${NUMBER})$`)
const MOST_PIECES = 40
const RIB = 'beef-rib-bone-in'
/** So many ribs a side of beef has that are roasted. */
const MOST_RIBS = 7

/** A cut at the head of some words, with how many of it: "two pork tenderloins", "11 turkeys", "2 x lamb rack". */
function cutAt(words: readonly string[], at: number): Found | undefined {
  const here = cutsNamed(words, at)
  if (here) {
    const times = words[at + here.count] === 'x' ? Number(words[at + here.count + 1]) : Number.NaN
    const many = Number.isInteger(times) && times >= 1 && times <= MOST_PIECES
    return { count: here.count + (many ? 2 : 0), fact: { kind: 'cut', ids: here.ids, count: many ? times : 1 } }
  }
  const word = words[at] ?? ''
  if (!PIECES.test(word) || ['a', 'an', 'half', 'quarter'].includes(word)) return undefined
  const count = numberOf(word)
  if (!Number.isInteger(count) || count < 1 || count > MOST_PIECES) return undefined
  let next = at + 1
  while (next < at + 5 && (words[next] === 'x' || EMPTY.has(words[next] ?? ''))) next++
  const named = cutsNamed(words, next)
  if (!named) return undefined
  // "3 ribs of beef" is one roast of three bones.
  const ribs = named.ids[0] === RIB && count >= 2 && count <= MOST_RIBS
  return {
    count: next - at + named.count,
    fact: { kind: 'cut', ids: named.ids, ...(ribs ? { count: 1, bones: count } : { count }) },
  }
}

/** Hours said in words: half past seven, quarter to eight, seven o'clock. Roasts are eaten after noon. */
function clocks(tokens: readonly Token[]): Token[] {
  const made: Token[] = []
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i] as Token
    const [part, side, hour] = [token.text, tokens[i + 1]?.text, tokens[i + 2]]
    const minutes =
      part === 'half' && side === 'past'
        ? 30
        : part === 'quarter' && side === 'past'
          ? 15
          : part === 'quarter' && side === 'to'
            ? -15
            : undefined
    const said = minutes === undefined ? undefined : hour && numberOf(hour.text)
    if (minutes !== undefined && hour && said !== undefined && Number.isInteger(said) && said >= 1 && said <= 12) {
      const at_min = (said < 11 ? said + 12 : said) * 60 + minutes
      made.push({ ...token, to: hour.to, text: `${Math.floor(at_min / 60)}:${String(at_min % 60).padStart(2, '0')}` })
      i += 2
      continue
    }
    if (side === "o'clock" || side === 'oclock') {
      const value = numberOf(part)
      if (Number.isInteger(value) && value >= 1 && value <= 12) {
        made.push({ ...token, to: (tokens[i + 1] as Token).to, text: `${value < 11 ? value + 12 : value}:00` })
        i++
        continue
      }
    }
    const led = i > 0 && /^(?:at|by)$/.test(tokens[i - 1]?.text ?? '')
    const hour12 =
      led && /^[a-z]+$/.test(part) && !['a', 'an', 'half', 'quarter'].includes(part) ? numberOf(part) : Number.NaN
    if (Number.isInteger(hour12) && hour12 >= 1 && hour12 <= 12 && !MEASURED.test(side ?? '')) {
      made.push({ ...token, text: `${hour12 < 11 ? hour12 + 12 : hour12}:00` })
      continue
    }
    made.push(token)
  }
  return made
}

/** What is quoted is kept as it stands: remember “bay leaf under the skin”. */
const QUOTED = /(?:remember|note)\s*(?:“([^”]*)”|"([^"]*)")/gi

/** Words of the kitchen's own names, spelt as lines are. */
const namesOf = (house: readonly HouseItem[]) =>
  house.map(({ document }) => ({ document, words: tokensOf(document.name).map(({ text }) => text) }))

/** The kitchen's own cut or program that some words name. */
function houseAt(names: ReturnType<typeof namesOf>, words: readonly string[], at: number): Found | undefined {
  let best: Found | undefined
  for (const { document, words: own } of names)
    if (own.length > (best?.count ?? 0) && own.every((word, i) => words[at + i] === word))
      best = { count: own.length, fact: { kind: 'house', item: document } }
  return best
}

/** Reads a line word by word. Every word is either part of a meaning, or filler, or unknown; nothing stops at it. */
export function readSentence(whole: string, context: LineContext): Sentence {
  const quoted: Meaning[] = [...whole.matchAll(QUOTED)].map((found) => ({
    from: found.index,
    to: found.index + found[0].length,
    fact: { kind: 'note', text: (found[1] ?? found[2] ?? '').trim() },
    mended: [],
    parted: true,
  }))
  const line = whole.replace(QUOTED, (text) => ' '.repeat(text.length))
  const names = namesOf(context.house ?? [])
  const owned = new Set(names.flatMap(({ words }) => words))
  const tokens = clocks(
    tokensOf(line).map((token): Token => {
      const text = owned.has(token.text) ? undefined : spelling(token.text)
      return text === undefined ? token : { ...token, text, was: token.text }
    }),
  )
  const words = tokens.map(({ text }) => text)
  const joined = words.join(' ')
  const starts: number[] = []
  for (let i = 0, place = 0; i < words.length; i++) {
    starts.push(place)
    place += (words[i] as string).length + 1
  }
  const indexAt = new Map(starts.map((place, i) => [place, i]))
  const meanings: Meaning[] = []
  const unknown: (Span & { text: string })[] = []
  let joins = true
  for (let at = 0; at < tokens.length; ) {
    let best: Found | undefined = cutAt(words, at)
    const own = houseAt(names, words, at)
    if (own && own.count >= (best?.count ?? 0)) best = own
    const place = starts[at] as number
    // Most of what is said ends at a comma.
    const comma = tokens.findIndex(({ parted }, i) => i > at && parted)
    const clause = comma < 0 ? joined : joined.slice(0, (starts[comma] as number) - 1)
    for (const { pattern, fact, across } of READERS) {
      pattern.lastIndex = place
      const found = pattern.exec(across ? joined : clause)
      if (!found || found[0] === '') continue
      const end = place + found[0].trimEnd().length
      const next = end >= joined.length ? tokens.length : indexAt.get(end + 1)
      if (next === undefined || next - at <= (best?.count ?? 0)) continue
      const meant = fact(found, found[0].trimEnd())
      if (meant) best = { count: next - at, fact: meant }
    }
    const end = comma < 0 ? words.length : comma
    const moment = momentAt(words.slice(at, Math.min(end, at + LONGEST_MOMENT + 4)), context)
    if (moment && moment.count > (best?.count ?? 0)) best = moment
    const token = tokens[at] as Token
    if (best) {
      const taken = tokens.slice(at, at + best.count)
      meanings.push({
        from: token.from,
        to: (taken.at(-1) as Token).to,
        fact: best.fact,
        mended: taken.flatMap(({ was }) => was ?? []),
        parted: token.parted || joins,
      })
      at += best.count
      joins = false
      continue
    }
    if (JOINS.has(token.text)) joins = true
    if (!FILLER.has(token.text)) {
      const last = unknown.at(-1)
      if (last && /^\s*$/.test(line.slice(last.to, token.from)))
        unknown[unknown.length - 1] = { text: line.slice(last.from, token.to), from: last.from, to: token.to }
      else unknown.push({ text: line.slice(token.from, token.to), from: token.from, to: token.to })
    }
    at++
  }
  const said = meanings.filter(({ fact }) => fact.kind !== 'filler')
  return { meanings: [...said, ...quoted].sort((a, b) => a.from - b.from), unknown }
}
