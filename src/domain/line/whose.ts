import { findCut } from '@/core/reference/cuts'
import type { Fact, Meaning } from './fact'

/** Whose each fact of a line is: the table's, or that of the roast it stands beside. */

/** Facts that belong to the table, whatever roast they stand beside. */
export const OF_TABLE: ReadonlySet<Fact['kind']> = new Set([
  'guests',
  'wish',
  'vulnerable',
  'side',
  'moment',
  'put_in',
  'again',
  'overnight',
  'offset',
  'altitude',
  'ovens',
  'batches',
  'away',
])
/** A cut, whether it is on its bone or off it. */
const withoutBone = (id: string): string => id.replace(/-(?:bone-in|boneless)(?:-rolled)?$/, '')
/** Whether a fact says what meat it is. */
export const namesMeat = (fact: Fact): boolean =>
  (fact.kind === 'cut' && !fact.again) || (fact.kind === 'house' && fact.item.kind === 'cut')
const isAgain = ({ fact }: Meaning): boolean => fact.kind === 'cut' && fact.again === true

/** A name that says what goes round the meat. */
export const IN_PASTRY = /wellington/i
/** What stands between two roasts, and not within the names of one. */
const ANOTHER = /[,;+&]|\b(?:and|plus|with|also|then)\b/i

/**
 * "beef 2.2 kg topside", "rump cap 1.4 kg (picanha)": the first word is said closer, or over again, by the next, and is
 * no roast of its own.
 */
export function isSaidCloser(all: readonly Meaning[], at: number, line: string): boolean {
  const { fact, from, to } = all[at] as Meaning
  if (fact.kind !== 'cut' || fact.count > 1) return false
  const place = all.findIndex((meaning, i) => i > at && meaning.fact.kind === 'cut')
  const next = all[place]
  if (next?.fact.kind !== 'cut' || next.fact.count > 1) return false
  const [own, other] = [fact.ids[0] ?? '', next.fact.ids[0] ?? '']
  // "Pot roast, silverside": how it is cooked.
  const name = line.slice(from, to)
  const isHow = /^pot\b/i.test(name)
  // What goes round it is asked about by its name.
  if (IN_PASTRY.test(name)) return false
  if (fact.ids.length < 2 && !isHow) {
    const between = line.slice(to, next.from)
    if (own !== other && !(between.includes('(') && withoutBone(own) === withoutBone(other))) return false
    // "Rib eye (boneless prime rib) 2 kg": what stands between says only what kind it is.
    const kinds = all.slice(at + 1, place).every(({ fact: { kind } }) => kind === 'traits' || kind === 'filler')
    if (kinds) return !next.parted || between.includes('(')
    // A joint has one weight: with two of them there are two.
    return !ANOTHER.test(between) && all.filter(({ fact: { kind } }) => kind === 'mass').length === 1
  }
  // "The ham 4 kg, dinner at 3, the ham is cooked": named, weighed, and named again.
  if (own === other && all.slice(at, place).some(({ fact: { kind } }) => kind === 'mass')) return false
  if (findCut(other)?.species !== findCut(own)?.species) return false
  // "1.8 kg ham and 3.5 kg pork shoulder": each has its own weight.
  const weighed = all.slice(at + 1, place).filter(({ fact: { kind } }) => kind === 'mass').length
  const beyond = [at - 1, place + 1].filter((i) => all[i]?.fact.kind === 'mass').length
  const isWeighedAgain = weighed > 0 && weighed + beyond > 1
  if (isWeighedAgain && ANOTHER.test(line.slice(to, next.from))) return false
  // "Roast beef for sandwiches, eye of round 1.4 kg": the weight is the closer one's, and there is no other.
  const isClosed = !ANOTHER.test(line.slice(to, next.from).replaceAll(',', ''))
  const weights = (from: number, until: number) =>
    all.slice(from, until).filter(({ fact: { kind } }) => kind === 'mass').length
  const after = all.findIndex((meaning, i) => i > place && meaning.fact.kind === 'cut')
  const own_weights = weights(place, after < 0 ? all.length : after)
  return !next.parted || (isClosed && weights(0, place) === 0 && own_weights <= 1)
}

/** "Beef wellington, 1 kg fillet": what is in it. */
export function isInPastry(all: readonly Meaning[], at: number, line: string): boolean {
  const { fact, from } = all[at] as Meaning
  const before = all.slice(0, at).findLast((meaning) => meaning.fact.kind === 'cut')
  if (fact.kind !== 'cut' || fact.count > 1 || before?.fact.kind !== 'cut' || before.fact.count > 1) return false
  const isSame = fact.ids[0] === before.fact.ids[0]
  return isSame && IN_PASTRY.test(line.slice(before.from, before.to)) && !/\band\b/i.test(line.slice(before.to, from))
}

/** Whose each fact is, by the place of the name it stands beside: those up to where the next one begins. */
function besideNames(meanings: readonly Meaning[]): number[] {
  const names = meanings.flatMap((meaning, i) => (namesMeat(meaning.fact) || isAgain(meaning) ? [i] : []))
  return meanings.map((_, i) => {
    const next = names.findIndex((name) => name >= i)
    if (next < 0) return names.length - 1
    if (next === 0 || names[next] === i) return next
    // Between two names: what stands after the last break before the next belongs to the next.
    const from = (names[next - 1] as number) + 1
    const to = names[next] as number
    const last = meanings.slice(from, to + 1).findLastIndex(({ parted }) => parted)
    return last >= 0 && i >= from + last ? next : next - 1
  })
}

/** Whose each fact is, by the roast's place: a cut's own are those beside its name, wherever that is said. */
export function ownersOf(meanings: readonly Meaning[]): number[] {
  const roasts: Meaning[] = []
  const placeOf = meanings.flatMap((meaning) => {
    if (namesMeat(meaning.fact)) return [roasts.push(meaning) - 1]
    return isAgain(meaning) ? [roasts.findLastIndex((roast) => isSame(roast.fact, meaning.fact))] : []
  })
  return besideNames(meanings).map((name) => placeOf[name] ?? name)
}

/** The facts of each roast. */
export function byRoast(meanings: readonly Meaning[]): Meaning[][] {
  const own = ownersOf(meanings)
  const cuts = meanings.filter(({ fact }) => namesMeat(fact))
  return cuts.map((_, roast) => meanings.filter(({ fact }, i) => own[i] === roast && !OF_TABLE.has(fact.kind)))
}

/** Whether two names may be of one piece: the same, or one of them closer. */
const isSame = (fact: Fact, again: Fact): boolean =>
  fact.kind === 'cut' &&
  again.kind === 'cut' &&
  (fact.ids.includes(again.ids[0] ?? '') || again.ids.includes(fact.ids[0] ?? ''))

/** How many eat; undefined where that is not said. */
export const guestsOf = (meanings: readonly Meaning[]): number | undefined =>
  meanings.reduce<number | undefined>(
    (found, { fact }) => (fact.kind === 'guests' ? (found ?? 0) + fact.guests : found),
    undefined,
  )

/** A bird of which everybody has one, as it is sold, kg. */
const MOST_PLATE_KG = 0.65
/** No more is a portion, kg. */
const MOST_PORTION_KG = 0.45
/** "20 portions of sirloin at 180 g each", "lamb leg 500 g each for four": what each of them eats, and no such joint. */
export function portionsOf(meanings: readonly Meaning[], line: string): Meaning[] {
  const guests = guestsOf(meanings) ?? 0
  const portioned = meanings.some(
    ({ fact: { kind }, from, to }) => kind === 'guests' && /\bportions?\b/i.test(line.slice(from, to)),
  )
  const named = meanings.flatMap(({ fact }) => (fact.kind === 'cut' ? [fact] : []))
  const [cut] = named.length === 1 && named[0]?.count === 1 ? named[0].ids.map(findCut) : []
  /** So little no butcher sells of it in one piece, kg. */
  const noJoint_kg = guests > 0 && cut && cut.bone !== 'bird' ? cut.mass_kg.least : 0
  /** "Poussin 450 g each for four": four of them. */
  const isPlate = guests > 0 && cut?.bone === 'bird' && cut.mass_kg.usual <= MOST_PLATE_KG
  return meanings.map((meaning): Meaning => {
    const { fact } = meaning
    if (fact.kind !== 'mass' || !fact.apiece) return meaning
    if (isPlate && fact.kg <= cut.mass_kg.most)
      return { ...meaning, fact: { kind: 'mass', kg: fact.kg, count: guests } }
    if (!(portioned && fact.kg <= MOST_PORTION_KG) && fact.kg >= noJoint_kg) return meaning
    return { ...meaning, fact: { kind: 'mass', kg: fact.kg, each: 'guest' } }
  })
}

/** What says what a piece is, and not what is done to it. */
const OF_PIECE: ReadonlySet<Fact['kind']> = new Set(['mass', 'pieces', 'bones', 'thickness'])
/** Before a name these say that it is another one, or the one that was named. */
const ONE_MORE = /\b(?:an?|one|another|second|other|extra)\s+$/i
const AND = /(?:\b(?:and|plus|with|also|then)|[&+])\s+$/i
const THE_SAME = /\b(?:the|my|our|that|carve|slice|rest|baste|take|put|salt|season|tie|score|serve)\s+$/i

/**
 * "Ham 3 kg and turkey 5 kg, the ham glazed", "turkey 6 kg and rib 3 kg, turkey at two": a name that is said again, once
 * the piece has its weight, says more of that piece.
 */
export function namedAgain(meanings: readonly Meaning[], line: string): Meaning[] {
  const owners = besideNames(meanings)
  const names = meanings.filter(({ fact }) => namesMeat(fact))
  const factsOf = (name: number) =>
    meanings.filter((meaning, i) => owners[i] === name && meaning !== names[name]).map(({ fact }) => fact)
  /** What is said again, with what it is said of. */
  const more = new Map<Meaning, Extract<Fact, { kind: 'cut' }>>()
  const closer = new Map<Meaning, Extract<Fact, { kind: 'cut' }>>()
  for (const [name, meaning] of names.entries()) {
    const { fact, from } = meaning
    const before = names.findLastIndex((other, i) => i < name && !more.has(other) && isSame(other.fact, fact))
    const first = names[before]?.fact
    if (fact.kind !== 'cut' || fact.count > 1 || first?.kind !== 'cut' || first.count > 1) continue
    const [said, added] = [factsOf(before), factsOf(name)]
    const lead = line.slice(0, from)
    // "Turkey and beef at 2, turkey 6 kg, beef rib 3 kg": only now weighed, and said closer.
    const isWeighed = added.some(({ kind }) => kind === 'mass') && !said.some(({ kind }) => OF_PIECE.has(kind))
    if (isWeighed && !ONE_MORE.test(lead) && !AND.test(lead)) {
      more.set(meaning, fact)
      closer.set(names[before] as Meaning, fact)
      continue
    }
    if (
      said.some(({ kind }) => kind === 'mass') &&
      !ONE_MORE.test(lead) &&
      (added.length > 0 || THE_SAME.test(lead)) &&
      added.every(({ kind }) => !OF_PIECE.has(kind) && !said.some((each) => each.kind === kind))
    )
      more.set(meaning, first)
  }
  return meanings.map((meaning) => {
    const first = more.get(meaning)
    if (first) return { ...meaning, fact: { ...first, again: true } }
    const fact = closer.get(meaning)
    return fact ? { ...meaning, fact } : meaning
  })
}

/** "Crown 3.5 kg, Christmas dinner": where no meat is named it is a turkey's, or a duck's; that is asked. */
export function crownAlone(meanings: readonly Meaning[], line: string): Meaning[] {
  const isNamed = meanings.some(({ fact }) => fact.kind === 'cut')
  return meanings.map((meaning): Meaning => {
    const { fact, from, to } = meaning
    return !isNamed && fact.kind === 'traits' && fact.traits.crown && /crown/i.test(line.slice(from, to))
      ? { ...meaning, fact: { kind: 'cut', ids: ['turkey-breast-bone-in', 'duck-crown'], count: 1 } }
      : meaning
  })
}
