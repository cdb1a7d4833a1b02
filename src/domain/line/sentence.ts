import { findCut } from '@/core/reference/cuts'
import { poundsToKilograms } from '@/core/units'
import type { HouseItem } from '../house/house-item'
import type { Span } from '../problem/problem'
import { cutsNamed, EMPTY, isWholeBird, noRoastAt, singular } from './cut-names'
import type { Meaning } from './fact'
import { middles } from './middles'
import { LONGEST_MOMENT } from './moment'
import { type DateOrder, numericDate } from './numeric-date'
import { oneHeat } from './one-heat'
import { makeReady, READERS } from './readers'
import { IS_MASS_UNIT } from './readers/grammar'
import { clocks } from './said-clock'
import { type Found, inAfter, type MomentContext, momentAt, startedAt } from './said-moment'
import { isImperial } from './scale'
import { againAt } from './seatings'
import { FILLER, spelling } from './spelling'
import { HOUR_WORDS, written } from './spoken'
import { NUMBER, numberOf, type Token, tokensOf } from './tokens'

/** A line word by word: what was understood and what was not. */
export interface Sentence {
  readonly meanings: readonly Meaning[]
  /** Words that say nothing to us, side by side ones together. */
  readonly unknown: readonly (Span & { readonly text: string })[]
}

/** What a line is read by. */
export interface LineContext extends MomentContext {
  /** The kitchen's own cuts and programs: they are known by their names. */
  readonly house?: readonly HouseItem[]
  /** Whether the kitchen says the day or the month first. */
  readonly dateOrder?: DateOrder | undefined
  /** In what it reads temperatures, for numbers that stand alone; °C where nothing is said. */
  readonly reads?: 'c' | 'f' | undefined
}

/** After these another roast may begin. */
const JOINS = new Set(['and', 'plus', '+', '&', 'with', 'also'])

const PIECES = new RegExp(`^(?:${NUMBER})$`)
const MOST_PIECES = 40
const RIB = 'beef-rib-bone-in'
/** So many ribs a side of beef has that are roasted. */
const MOST_RIBS = 7
/** And so many bones a rack or two, or a crown of two. */
const MOST_BONES = 24

/**
 * A cut at the head of some words, with how many of it: "two pork tenderloins", "11 turkeys", "2 x lamb rack".
 * @param apart a comma stands after the first word: "at 6 and 8, prime rib" is no eight of them
 * @param boned a rib roast or a rack was named before: ribs are its bones
 */
function cutAt(words: readonly string[], at: number, boned: boolean, apart = false): Found | undefined {
  const here = cutsNamed(words, at)
  // "porchetta style" names no porchetta.
  if (here && words[at + here.count] === 'style') return undefined
  // "turkey breast down" is a whole turkey, and how it lies.
  const last = at + (here?.count ?? 0) - 1
  if (here && here.count > 1 && words[last] === 'breast' && /^(?:side|down|up)$/.test(words[last + 1] ?? '')) {
    const whole = cutsNamed(words.slice(0, last), at)
    return whole && { count: whole.count, fact: { kind: 'cut', ids: whole.ids, count: 1 } }
  }
  if (here) {
    const next = at + here.count
    const byTimes = words[next] === 'x'
    // "Lamb shanks 4, braised": what is then done to it counts no hours.
    const bare = /s$/.test(words[last] ?? '') && COUNTED.test(words[next + 1] ?? '')
    const times = byTimes || bare ? Number(words[byTimes ? next + 1 : next]) : Number.NaN
    const many = Number.isInteger(times) && times >= 1 && times <= MOST_PIECES
    return {
      count: here.count + (many ? (byTimes ? 2 : 1) : 0),
      fact: { kind: 'cut', ids: here.ids, count: many ? times : 1 },
    }
  }
  const word = words[at] ?? ''
  if (apart || !PIECES.test(word) || ['a', 'an', 'half', 'quarter'].includes(word)) return undefined
  const count = numberOf(word)
  if (!Number.isInteger(count) || count < 1 || count > MOST_PIECES) return undefined
  let next = at + 1
  while (next < at + 5 && (words[next] === 'x' || EMPTY.has(words[next] ?? ''))) next++
  const named = cutsNamed(words, next)
  if (!named) return undefined
  // "3 ribs of beef" is one roast of three bones, and "rib roast, 3 ribs" says how many it has.
  // Two prime ribs are two roasts.
  const ribs =
    named.ids[0] === RIB &&
    count >= 2 &&
    // "2x rib 4 kg" are two.
    words[at + 1] !== 'x' &&
    count <= (boned ? MOST_BONES : MOST_RIBS) &&
    !/^(?:prime|standing)$/.test(words[next] ?? '') &&
    // "Two rib roasts" are two.
    !/^(?:roasts|joints)$/.test(words[next + named.count] ?? '')
  if (ribs && boned && named.count === 1)
    return { count: next - at + named.count, fact: { kind: 'bones', bones: count } }
  // "A 3-rib prime rib": how many it has, and what it is.
  const whole = ribs && /^ribs?$/.test(words[next] ?? '') ? cutsNamed(words, next + 1) : undefined
  return {
    count: whole?.ids[0] === RIB ? next - at + 1 + whole.count : next - at + named.count,
    fact: { kind: 'cut', ids: named.ids, ...(ribs ? { count: 1, bones: count } : { count }) },
  }
}

/** What follows a number of pieces, and no hour. */
const COUNTED = /^(?:braised|roast|roasted|covered|uncovered|tented|smoked|stuffed|seared|each|slow|from)$/
/** "Lamb rump": a piece that we know of another animal only is no second roast. */
function isOfAnother(
  before: Meaning | undefined,
  fact: Found['fact'],
  { from, text }: Token,
  line: string,
  unknown: readonly Span[],
): boolean {
  if (before?.fact.kind !== 'cut' || fact.kind !== 'cut' || before.fact.ids.length < 2) return false
  const named = findCut(fact.ids[0] ?? '')
  // Beef, lamb and pork, and whole birds, are meat of their own.
  if (fact.ids.length > 1 || named?.bone === 'bird') return false
  // "Lamb neck fillet": whatever a neck is, its fillet is no beef.
  const odd = unknown.at(-1)
  const after = odd && /^\s+$/.test(line.slice(before.to, odd.from)) ? odd.to : before.to
  const between = line.slice(after, from).trim().split(/\s+/)
  const beside = between.every((word) => word === '' || EMPTY.has(word.toLowerCase()))
  return (
    beside && (fact.count === 1 || !PIECES.test(text)) && findCut(before.fact.ids[0] ?? '')?.species !== named?.species
  )
}

/** "Partridges, four birds": how many there are; "turkey 6 kg, the bird in at nine": the one that was named. */
function ofNamedBird(fact: Found['fact'], named: Found['fact']): Found['fact'] {
  const anyBird = fact.kind === 'cut' && fact.ids.length > 1 && fact.ids.every(isWholeBird)
  if (!anyBird || named.kind !== 'cut' || !named.ids.some(isWholeBird)) return fact
  return fact.count > 1 ? { kind: 'pieces', count: fact.count } : { kind: 'filler' }
}

/** What may stand between how many and of what. */
const ADJECTIVES = new Set(
  'half frozen thawed defrosted stuffed unstuffed boneless boned bone in rolled butterflied spatchcocked spatchcock trussed tied untrussed salted unsalted brined marinated dry wet aged crown smoked glazed buttered'.split(
    ' ',
  ),
)
const MOST_ADJECTIVES = 4

/** So many of what comes, and the words that say it. */
interface Ahead {
  readonly pieces: number
  readonly count: number
}
/** Words from a place on that name what is not roasted, with what it weighs: how many. */
function unplannedAt(words: readonly string[], at: number): number {
  const none = noRoastAt(words, at)
  const weighed = none > 0 && PIECES.test(words[at + none] ?? '') && IS_MASS_UNIT.test(words[at + none + 1] ?? '')
  return weighed ? none + 2 : none
}

/**
 * How many of a cut some words begin with, where its nature or its weight stands between: "two frozen ducks",
 * "3 4lb ducks", "2 brace of partridge".
 */
function countAhead(tokens: readonly Token[], words: readonly string[], at: number, line: string): Ahead | undefined {
  const word = words[at] ?? ''
  const count = PIECES.test(word) ? numberOf(word) : Number.NaN
  if (!Number.isInteger(count) || count < 2 || count > MOST_PIECES) return undefined
  const braces = words[at + 1] === 'brace'
  let next = at + (braces ? 2 : 1)
  const from = next
  const weighed = /^\d/.test(words[next] ?? '') && IS_MASS_UNIT.test(words[next + 1] ?? '')
  // "3-4 lb" is one weight.
  if (weighed && /\S/.test(line.slice(tokens[at]?.to, tokens[next]?.from))) return undefined
  if (weighed) next += 2
  const natures = next
  while (next <= natures + MOST_ADJECTIVES && (ADJECTIVES.has(words[next] ?? '') || EMPTY.has(words[next] ?? '')))
    next++
  const named = next > from || braces ? cutsNamed(words, next) : undefined
  // "12 14 lb turkey" is no dozen of them.
  const last = named && (words[next + named.count - 1] ?? '')
  if (weighed && last === singular(last ?? '')) return undefined
  // "3 bone-in ribs" are one roast.
  if (!named || (named.ids[0] === RIB && !weighed)) return undefined
  return { pieces: braces ? 2 * count : count, count: braces ? 2 : 1 }
}

/** "Lamb, half a shoulder", "beef 2 kg rib": a word that says which of the cuts it may be, with the place of their name. */
function closerName(
  words: readonly string[],
  at: number,
  meanings: readonly Meaning[],
): readonly [number, readonly string[], number] | undefined {
  const place = meanings.findLastIndex(({ fact }) => fact.kind === 'cut')
  const named = meanings[place]?.fact
  if (named?.kind !== 'cut') return undefined
  const [own = ''] = named.ids
  const species = findCut(own)?.species ?? ''
  if (named.ids.length < 2) {
    // "Pulled pork for 12, 4 kg shoulder": said again.
    const again = cutsNamed([species, words[at] ?? ''], 0)
    return again?.count === 2 && again.ids.includes(own) ? [place, named.ids, named.count] : undefined
  }
  // Only of meat that was named as nothing but meat.
  if (cutsNamed([species], 0)?.ids !== named.ids) return undefined
  const found = cutsNamed([words[at] ?? '', species], 0)
  return found?.count === 2 ? [place, found.ids, named.count] : undefined
}

/** "Leg of lamb 2.3 kg and shoulder 1.9 kg": another part of the same beast. */
function besideName(words: readonly string[], at: number, meanings: readonly Meaning[]): Found['fact'] | undefined {
  const named = meanings.findLast(({ fact }) => fact.kind === 'cut')?.fact
  const own = named?.kind === 'cut' ? findCut(named.ids[0] ?? '') : undefined
  // A ham beside a loin of pork is cured, as it is alone.
  if (!own || own.bone === 'bird' || singular(words[at] ?? '') === 'ham') return undefined
  const found = cutsNamed([own.species, words[at] ?? ''], 0)
  return found?.count === 2 && !found.ids.includes(own.id) ? { kind: 'cut', ids: found.ids, count: 1 } : undefined
}

/** Birds of which one is a plate, kg. */
const SMALL_KG = 1
/** "Cornish hens 6 at 6": how many there are of what was named just before. */
function countBehind(
  tokens: readonly Token[],
  at: number,
  line: string,
  before: Meaning | undefined,
): Found['fact'] | undefined {
  const { text, from, parted } = tokens[at] as Token
  if (before?.fact.kind !== 'cut' || before.fact.count !== 1 || parted || !/^\d{1,2}$/.test(text)) return undefined
  const count = Number(text)
  const cut = findCut(before.fact.ids[0] ?? '')
  if (count < 2 || count > MOST_PIECES || !cut || cut.id === RIB || line.slice(before.to, from).trim() !== '')
    return undefined
  const name = line.slice(before.from, before.to).toLowerCase().split(/\s+/).at(-1) ?? ''
  const many = name !== singular(name) || (cut.bone === 'bird' && cut.mass_kg.usual <= SMALL_KG)
  const next = tokens[at + 1]
  const weighed = IS_MASS_UNIT.test(tokens[at + 2]?.text ?? '')
  const ends =
    !next || next.parted || weighed || /^(?:at|for|by|on|eat|dinner|lunch|supper|\d{1,2}:\d\d)$/.test(next.text)
  return many && ends ? { kind: 'pieces', count } : undefined
}

/** "130 C for 6 hours, from 11 am" is when it goes in; "served from 7 pm" is not. */
function inFrom(words: readonly string[], at: number, context: MomentContext): Found | undefined {
  if (words[at] !== 'from' || SERVED_FROM.test(words[at - 1] ?? '')) return undefined
  const found = momentAt(['in', 'at', ...words.slice(at + 1, at + LONGEST_MOMENT)], context)
  return found?.fact.kind === 'put_in' ? { ...found, count: found.count - 1 } : undefined
}
const SERVED_FROM = /^(?:serv|eat|open|carv|plate|guest|people|arriv|buffet|dinner|lunch|supper|table|ready)/

/** "Eye of round 3 lb medium rare 6": an hour, where a weight is said, the number is the last word, and no other hour is. */
function lastHour(
  tokens: readonly Token[],
  at: number,
  before: readonly Meaning[],
  context: MomentContext,
): Found['fact'] | undefined {
  const said = (tokens[at] as Token).text
  const text = HOUR_WORDS.has(said) ? String(numberOf(said)) : said
  if (at !== tokens.length - 1 || !/^(?:[1-9]|1[0-2])$/.test(text)) return undefined
  if (
    !before.some(({ fact }) => fact.kind === 'mass' || fact.kind === 'bones' || isBoned(fact)) ||
    before.some(({ fact }) => isHourSaid(fact))
  )
    return undefined
  return momentAt(['at', text], context)?.fact
}
const isBoned = (fact: Found['fact']): boolean => fact.kind === 'cut' && fact.bones !== undefined
const isHourSaid = (fact: Found['fact']): boolean =>
  fact.kind === 'put_in' || fact.kind === 'again' || (fact.kind === 'moment' && fact.said !== 'day')

const isClock = (tokens: readonly Token[], at: number): boolean =>
  /^\d{1,2}[:.]\d{2}$/.test(tokens[at]?.text ?? '') || /^[ap]m$/.test(tokens[at + 1]?.text ?? '')

/** "200 C 52 8pm": after these a number before an hour is a core. */
const BEFORE_CORE: ReadonlySet<Found['fact']['kind']> = new Set(['mass', 'heat', 'surface', 'traits', 'note'])
/** "7.30" is an hour. */
const WEIGHS_ALONE = /^\d{1,2}\.\d$/
const WEIGHS_OF = /^\d{1,2}(?:\.\d{1,2})?$/
/** Between these a core is sliced, °C. */
const CORE_ALONE = /^(?:4[5-9]|[56]\d|7[0-5])$/
/**
 * What a number says that stands for itself: "pork tenderloins (2)" how many there are, "rib eye 1.5 kg, 52, oven 120" a
 * core, for alone between commas it can be nothing else.
 */
function loneNumber(
  tokens: readonly Token[],
  at: number,
  line: string,
  before: readonly Meaning[],
): Found['fact'] | undefined {
  const { from, to, text, parted } = tokens[at] as Token
  const value = Number(text)
  const enclosed = line[from - 1] === '(' && line[to] === ')'
  if (enclosed && before.at(-1)?.fact.kind === 'cut' && /^\d+$/.test(text) && value >= 1 && value <= MOST_PIECES)
    return { kind: 'pieces', count: value }
  const last = before.at(-1)
  // "13:00 (8)": so many eat.
  if (enclosed && last?.fact.kind === 'moment' && /^\d{1,3}$/.test(text) && value >= 1)
    return { kind: 'guests', guests: value }
  // "Silverside 2.3, medium", "a gammon of 3": what it weighs, as the cut is sold.
  const between = last && line.slice(last.to, from).trim().toLowerCase()
  const weighs = between === '' ? WEIGHS_ALONE : between === 'of' ? WEIGHS_OF : undefined
  if (last?.fact.kind === 'cut' && weighs?.test(text)) {
    const sold = findCut(last.fact.ids[0] ?? '')?.mass_kg
    const kg = isImperial(line) ? poundsToKilograms(value) : value
    const isWeighed = before.slice(before.indexOf(last)).some(({ fact }) => fact.kind === 'mass')
    if (sold && kg >= sold.least && kg <= sold.most && !isWeighed) return { kind: 'mass', kg }
  }
  // "Venison loin 800 g 54 8pm": between what it weighs and an hour.
  const isBird = before.some(({ fact }) => fact.kind === 'cut' && findCut(fact.ids[0] ?? '')?.bone === 'bird')
  const afterWeight =
    !isBird && last !== undefined && BEFORE_CORE.has(last.fact.kind) && line.slice(last.to, from).trim() === ''
  const next = tokens[at + 1]
  const alone =
    (parted && (next?.parted ?? true)) ||
    (afterWeight &&
      (next === undefined ||
        next.parted ||
        isClock(tokens, at + 1) ||
        /^(?:\d{3}|reverse|sous|oven|fan|then)$/.test(next.text)))
  const isCore = alone && CORE_ALONE.test(text) && !before.some(({ fact }) => /^(?:serve|pull)$/.test(fact.kind))
  return isCore ? { kind: 'serve', heat: { value, unit: undefined }, bare: true } : undefined
}
/** What is quoted is kept as it stands: remember “bay leaf under the skin”. */
const QUOTED = /(?:remember|note)\s*(?:“([^”]*)”|"([^"]*)")/gi

/** Words of the kitchen's own names, spelt as lines are. */
const namesOf = (house: readonly HouseItem[]) =>
  house.flatMap(({ document }) =>
    // How a kitchen does it is no name of anything.
    document.kind === 'way' || document.kind === 'standard'
      ? []
      : [{ document, words: tokensOf(document.name).map(({ text }) => text) }],
  )

/** The kitchen's own cut or program that some words name. */
function houseAt(names: ReturnType<typeof namesOf>, words: readonly string[], at: number): Found | undefined {
  let best: Found | undefined
  for (const { document, words: own } of names)
    if (own.length > (best?.count ?? 0) && own.every((word, i) => words[at + i] === word))
      best = { count: own.length, fact: { kind: 'house', item: document } }
  return best
}

/** After "1.12." an hour comes: it ends no sentence, and is no weight. */
const CLOSED = /^\.,?\s+(?:um\s+|at\s+)?\d{1,2}(?::\d{2}|\s*uhr)/i
/** Before what a comma stands: it is of what comes after them. */
const ARTICLE = /^(?:an?|the|my|our|some|adults|kids|children)$/
/** Reads a line word by word. Every word is either part of a meaning, or filler, or unknown; nothing stops at it. */
export function readSentence(whole: string, context: LineContext): Sentence {
  makeReady()
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
  const spelt = tokensOf(line).map((token): Token => {
    const date = numericDate(token.text, context, CLOSED.test(line.slice(token.to, token.to + 16)))
    if (date !== undefined) return { ...token, text: date }
    const text = owned.has(token.text) ? undefined : spelling(token.text)
    return text === undefined ? token : { ...token, text, was: token.text }
  })
  const tokens = clocks(middles(oneHeat(written(spelt, line), line), line), line)
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
  /** So many of the cut that comes. */
  let pending: number | undefined
  for (let at = 0; at < tokens.length; ) {
    const named = meanings.findLast(({ fact }) => fact.kind === 'cut')?.fact
    // "Sirloin on the bone, 3 ribs".
    const boned =
      named?.kind === 'cut' &&
      (/rib|rack/.test(named.ids[0] ?? '') || (named.ids[0] === 'beef-strip-loin' && tokens[at - 1]?.text === 'bone'))
    // Most of what is said ends at a comma.
    const comma = tokens.findIndex(({ parted }, i) => i > at && parted)
    const end = comma < 0 ? words.length : comma
    // "Shoulder 3 kg pulled, pork loin 2 kg" names no pulled pork.
    let best: Found | undefined = cutAt(words.slice(0, end), at, boned, tokens[at + 1]?.parted ?? false)
    const own = houseAt(names, words, at)
    if (own && own.count >= (best?.count ?? 0)) best = own
    const place = starts[at] as number
    const clause = comma < 0 ? joined : joined.slice(0, (starts[comma] as number) - 1)
    for (const { pattern, fact, across } of READERS) {
      pattern.lastIndex = place
      const found = pattern.exec(across ? joined : clause)
      if (!found || found[0] === '') continue
      const end = place + found[0].trimEnd().length
      const next = end >= joined.length ? tokens.length : indexAt.get(end + 1)
      if (next === undefined || next - at <= (best?.count ?? 0)) continue
      const meant = fact(found, found[0].trimEnd())
      // "rib 3 kg and 2 kg lamb": what is named next has the second weight.
      if (meant?.kind === 'mass' && meant.kgs && cutAt(words, words[next] === 'of' ? next + 1 : next, false)) continue
      if (meant) best = { count: next - at, fact: meant }
    }
    const moment = startedAt(words, at, momentAt(words.slice(at, Math.min(end, at + LONGEST_MOMENT + 4)), context))
    if (moment && moment.count > (best?.count ?? 0)) best = moment
    const from = inFrom(words, at, context)
    if (from && from.count >= (best?.count ?? 0)) best = from
    const into = inAfter(words.slice(at, end), context)
    if (into && into.count > (best?.count ?? 0)) best = into
    const behind = countBehind(tokens, at, line, meanings.at(-1))
    const again = behind ? undefined : againAt(words.slice(at, at + LONGEST_MOMENT + 4), context)
    if (again && again.count > (best?.count ?? 0)) best = again
    // "silverside 2 kg, pot roast" is how, and no second joint.
    if (best?.fact.kind === 'cut' && words[at] === 'pot' && named && !joins)
      best = { count: words[at + 1] === 'roast' ? 2 : 1, fact: { kind: 'cover', cover: 'foil' } }
    if (best && named && !joins) best = { ...best, fact: ofNamedBird(best.fact, named) }
    const token = tokens[at] as Token
    // "Leg of lamb 2 kg, 2 racks": of the same beast.
    const several = joins || token.parted ? numberOf(words[at] ?? '') : Number.NaN
    const others = several >= 2 && several <= MOST_PIECES ? besideName(words, at + 1, meanings) : undefined
    // "Ham 3 kg, 3 ribs of beef" says whose.
    if (others?.kind === 'cut' && !(best?.fact.kind === 'cut' && best.count > 2))
      best = { count: 2, fact: { ...others, count: several } }
    // What is no roast is left to be asked about, whole.
    const none = unplannedAt(words, at)
    // "1 kg nut roast and a chicken": what was weighed before it is its own.
    if (none > 0 && meanings.length === 1 && meanings[0]?.fact.kind === 'mass' && !token.parted) meanings.pop()
    const isMass = best?.fact.kind === 'mass' && best.fact.count === undefined
    const many =
      none > 0 || (best && !isMass) || tokens[at + 1]?.parted ? undefined : countAhead(tokens, words, at, line)
    if (many !== undefined) {
      pending = many.pieces
      at += many.count
      continue
    }
    if (none > 0) best = undefined
    if (best?.fact.kind === 'cut' && pending !== undefined) {
      if (best.fact.count === 1) best = { ...best, fact: { ...best.fact, count: pending } }
      pending = undefined
    }
    if (best && !joins && !token.parted && isOfAnother(meanings.at(-1), best.fact, token, line, unknown))
      best = undefined
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
    const number =
      none > 0
        ? undefined
        : (behind ?? lastHour(tokens, at, meanings, context) ?? loneNumber(tokens, at, line, meanings))
    if (number) {
      meanings.push({ from: token.from, to: token.to, fact: number, mended: [], parted: number.kind === 'serve' })
      at++
      continue
    }
    const closer = none > 0 || joins ? undefined : closerName(words, at, meanings)
    if (closer) {
      const [cut, ids, count] = closer
      meanings[cut] = { ...(meanings[cut] as Meaning), fact: { kind: 'cut', ids, count } }
      at++
      continue
    }
    // "Lamb: leg 2 kg pink, shoulder 2 kg".
    const weighed = token.parted && PIECES.test(words[at + 1] ?? '') && IS_MASS_UNIT.test(words[at + 2] ?? '')
    const beside = none > 0 || !(joins || weighed) ? undefined : besideName(words, at, meanings)
    if (beside) {
      meanings.push({ from: token.from, to: token.to, fact: beside, mended: [], parted: true })
      at++
      joins = false
      continue
    }
    if (JOINS.has(token.text)) joins = true
    // "A 19 lb turkey, a 10 lb ham": the comma stands before what the article is of.
    const next = tokens[at + 1]
    if (token.parted && next && ARTICLE.test(token.text)) tokens[at + 1] = { ...next, parted: true }
    const { to } = tokens[at + Math.max(0, none - 1)] as Token
    if (none > 0 || !FILLER.has(token.text)) {
      const last = unknown.at(-1)
      const besides = last !== undefined && /^\s*$/.test(line.slice(last.to, token.from))
      const from = besides ? last.from : token.from
      if (besides) unknown.pop()
      unknown.push({ text: line.slice(from, to), from, to })
    }
    at += Math.max(1, none)
  }
  const said = meanings.filter(({ fact }) => fact.kind !== 'filler')
  return { meanings: [...said, ...quoted].sort((a, b) => a.from - b.from), unknown }
}
