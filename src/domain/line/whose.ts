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

/**
 * "beef 2.2 kg topside", "rump cap picanha": the first word is said closer, or over again, by the next, and is no roast
 * of its own.
 */
export function isSaidCloser({ fact, from, to }: Meaning, after: readonly Meaning[], line: string): boolean {
  if (fact.kind !== 'cut' || fact.count > 1) return false
  const next = after.find((meaning) => meaning.fact.kind === 'cut')
  if (next?.fact.kind !== 'cut' || next.fact.count > 1) return false
  const [own, other] = [fact.ids[0] ?? '', next.fact.ids[0] ?? '']
  // "Pot roast, silverside": how it is cooked.
  const isHow = /^pot\b/i.test(line.slice(from, to))
  if (fact.ids.length < 2 && !isHow)
    return after[0] === next && own === other && (!next.parted || line.slice(to, next.from).includes('('))
  return !next.parted && findCut(other)?.species === findCut(own)?.species
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
