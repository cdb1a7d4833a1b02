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
  'batches',
  'away',
])
/** Whether a fact says what meat it is. */
export const namesMeat = (fact: Fact): boolean =>
  fact.kind === 'cut' || (fact.kind === 'house' && fact.item.kind === 'cut')

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
    if (own !== other) return false
    if (place === at + 1) return !next.parted || between.includes('(')
    // A joint has one weight: with two of them there are two.
    return !ANOTHER.test(between) && all.filter(({ fact: { kind } }) => kind === 'mass').length === 1
  }
  return !next.parted && findCut(other)?.species === findCut(own)?.species
}

/** "Beef wellington, 1 kg fillet": what is in it. */
export function isInPastry(all: readonly Meaning[], at: number, line: string): boolean {
  const { fact, from } = all[at] as Meaning
  const before = all.slice(0, at).findLast((meaning) => meaning.fact.kind === 'cut')
  if (fact.kind !== 'cut' || fact.count > 1 || before?.fact.kind !== 'cut' || before.fact.count > 1) return false
  const isSame = fact.ids[0] === before.fact.ids[0]
  return isSame && IN_PASTRY.test(line.slice(before.from, before.to)) && !/\band\b/i.test(line.slice(before.to, from))
}

/** Whose each fact is, by the roast's place: a cut's own are those beside it, up to where the next one begins. */
export function ownersOf(meanings: readonly Meaning[]): number[] {
  const cuts = meanings.flatMap(({ fact }, i) => (namesMeat(fact) ? [i] : []))
  return meanings.map((_, i) => {
    const next = cuts.findIndex((cut) => cut >= i)
    if (next < 0) return cuts.length - 1
    if (next === 0 || cuts[next] === i) return next
    // Between two cuts: what stands after the last break before the next belongs to the next.
    const from = (cuts[next - 1] as number) + 1
    const to = cuts[next] as number
    const last = meanings.slice(from, to + 1).findLastIndex(({ parted }) => parted)
    return last >= 0 && i >= from + last ? next : next - 1
  })
}

/** The facts of each roast. */
export function byRoast(meanings: readonly Meaning[]): Meaning[][] {
  const own = ownersOf(meanings)
  const cuts = meanings.filter(({ fact }) => namesMeat(fact))
  return cuts.map((_, roast) => meanings.filter(({ fact }, i) => own[i] === roast && !OF_TABLE.has(fact.kind)))
}
