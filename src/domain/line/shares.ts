import type { Fact, Meaning } from './fact'

type Share = Extract<Fact, { kind: 'share' }>
type Shared = Meaning & { readonly fact: Share }
const isShare = (meaning: Meaning): meaning is Shared => meaning.fact.kind === 'share'

/**
 * "Two thirds medium rare, the rest well done": as how many as that are of those who eat, and the roast as most want it.
 * Where nobody says how many eat, what the fewer want is remembered; "the rest pink" beside no share is how it is done.
 *
 * @example sharedOut([], 'rib 3 kg').length // 0
 */
export function sharedOut(meanings: readonly Meaning[], line: string): Meaning[] {
  const shares = meanings.filter(isShare)
  const parts = shares.flatMap(({ fact: { share } }) => share ?? [])
  const guests = meanings.reduce((sum, { fact }) => sum + (fact.kind === 'guests' ? fact.guests : 0), 0)
  const named = meanings.reduce((sum, { fact }) => sum + (fact.kind === 'wish' ? fact.count : 0), 0)
  const left = Math.max(0, 1 - parts.reduce((sum, share) => sum + share, 0) - (guests > 0 ? named / guests : 0))
  const shareOf = ({ fact }: Shared) => fact.share ?? left
  const most = shares.reduce<Shared | undefined>(
    (found, each) => (found && shareOf(found) >= shareOf(each) ? found : each),
    undefined,
  )
  return meanings.flatMap((meaning): Meaning[] => {
    if (!isShare(meaning)) return [meaning]
    const { word } = meaning.fact
    const done: Meaning = { ...meaning, fact: { kind: 'doneness', word } }
    if (parts.length === 0) return [done]
    const count = Math.round(shareOf(meaning) * guests)
    const wish: Meaning[] = count > 0 ? [{ ...meaning, fact: { kind: 'wish', count, word }, parted: false }] : []
    if (meaning === most) return [done, ...wish]
    return guests > 0 ? wish : [{ ...meaning, fact: { kind: 'note', text: line.slice(meaning.from, meaning.to) } }]
  })
}
