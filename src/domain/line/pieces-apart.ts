import type { Fact, Meaning } from './fact'
import { namesMeat } from './whose'

/** Pieces of one cut that are said one by one: "two ribs, one 3 kg medium rare, one 2 kg well done". */

/** No more are told apart in words. */
const MOST_APART = 12

type Doneness = Extract<Fact, { kind: 'doneness' }>

/** Groups of meanings, one a roast, and whether what was said of guests is said of pieces. */
export interface Apart {
  readonly groups: readonly (readonly Meaning[])[]
  readonly wished: boolean
}

const isOwnSize = ({ fact }: Meaning): boolean => fact.kind === 'mass' && !fact.each && fact.kgs === undefined
/** A weight of one piece. */
const isOwnMass = (meaning: Meaning): boolean =>
  isOwnSize(meaning) && meaning.fact.kind === 'mass' && !meaning.fact.apiece && (meaning.fact.count ?? 1) === 1

/** "2 x 3 kg", "6 off": how many pieces a meaning beside the name says there are. */
const piecesSaid = ({ fact }: Meaning): number =>
  fact.kind === 'pieces' && !fact.more ? fact.count : fact.kind === 'mass' ? (fact.count ?? 1) : 1
const ofOnePiece = (meaning: Meaning): Meaning =>
  meaning.fact.kind === 'mass' && meaning.fact.count !== undefined
    ? { ...meaning, fact: { kind: 'mass', kg: meaning.fact.kg } }
    : meaning

/** "2 kg and 2.5 kg", said of so many pieces, as a weight of each. */
function inOne([said, ...more]: readonly Meaning[], count: number): Meaning[] | undefined {
  const kgs = said?.fact.kind === 'mass' && more.length === 0 ? said.fact.kgs : undefined
  return said && kgs?.length === count ? kgs.map((kg) => ({ ...said, fact: { kind: 'mass', kg } })) : undefined
}

/** "2 chickens 1.6 kg and a bigger one 2.2 kg": what was said before there were more, of each of the first; then of those. */
function inTwoSizes(group: readonly Meaning[], masses: readonly Meaning[], count: number): Meaning[] | undefined {
  const at = group.findIndex(({ fact }) => fact.kind === 'pieces' && fact.more)
  const more = group[at]?.fact
  const [first, second] = masses
  if (more?.kind !== 'pieces' || !first || !second || masses.length > 2 || !masses.every(isOwnSize)) return undefined
  if (group.indexOf(first) > at || group.indexOf(second) < at) return undefined
  return Array.from({ length: count }, (_, i) => ofOnePiece(i < count - more.count ? first : second))
}

/** How done each of so many pieces is, by "one rare, one medium" of a table that is no table of so many; else undefined. */
function doneByWishes(wishes: readonly Meaning[], count: number, guests: number | undefined): Meaning[] | undefined {
  const each = wishes.flatMap((meaning): Meaning[] => {
    const { fact } = meaning
    if (fact.kind !== 'wish' || fact.count > MOST_APART) return []
    const done: Doneness = { kind: 'doneness', word: fact.word }
    return Array.from({ length: fact.count }, () => ({ ...meaning, fact: done }))
  })
  return each.length === count && guests !== count ? each : undefined
}

/**
 * The meanings of each roast, a cut of several pieces told apart where each has a weight, or a doneness, of its own;
 * what is said once is said of all.
 *
 * @param groups the meanings beside each cut
 * @param guests how many eat, where that is said: as many as there are pieces, each is a guest's
 */
export function piecesApart(
  groups: readonly (readonly Meaning[])[],
  table: readonly Meaning[],
  guests: number | undefined,
): Apart {
  const wishes = groups.length === 1 ? table.filter(({ fact }) => fact.kind === 'wish') : []
  let wished = false
  const apart = groups.flatMap((group): (readonly Meaning[])[] => {
    const named = group.find(({ fact }) => namesMeat(fact))
    const cut = named?.fact
    if (!named || cut?.kind !== 'cut') return [group]
    // "Three ribs, 3 kg each" are three roasts.
    const apiece = group.some(({ fact }) => fact.kind === 'mass' && fact.apiece) ? (cut.bones ?? 1) : 1
    const more = group.reduce((sum, { fact }) => sum + (fact.kind === 'pieces' && fact.more ? fact.count : 0), 0)
    const count = Math.max(cut.count, apiece, ...group.map(piecesSaid)) + more
    if (count < 2 || count > MOST_APART) return [group]
    const all = group.filter(({ fact }) => fact.kind === 'mass')
    const masses =
      all.length === count && all.every(isOwnMass) ? all : (inTwoSizes(group, all, count) ?? inOne(all, count))
    if (all.length > 1 && !masses) return [group]
    const said = group.filter(({ fact }) => fact.kind === 'doneness')
    const byWishes = said.length === 0 ? doneByWishes(wishes, count, guests) : undefined
    const dones = said.length === count ? said : byWishes
    if (!masses && !dones) return [group]
    wished ||= byWishes !== undefined
    const own = new Set<Meaning>([named, ...(masses ? all : []), ...(dones ?? [])])
    const shared = group.filter((meaning) => !own.has(meaning) && meaning.fact.kind !== 'pieces').map(ofOnePiece)
    return Array.from({ length: count }, (_, i): Meaning[] => [
      { ...named, fact: apiece > 1 ? { kind: 'cut', ids: cut.ids, count: 1 } : { ...cut, count: 1 } },
      ...(masses ? [masses[i] as Meaning] : []),
      ...(dones ? [dones[i] as Meaning] : []),
      ...shared,
    ])
  })
  return { groups: apart, wished }
}
