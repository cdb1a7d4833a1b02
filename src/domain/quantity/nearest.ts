import { distance } from 'fastest-levenshtein'

/** A word longer than this is no misspelling of anything; characters. */
const LONGEST_WORD = 48

/** Candidates as they are compared, made once: vocabularies are small and asked again with every key. */
const prepared = new Map<string, { readonly plain: string; readonly parts: readonly string[] }>()
const prepare = (candidate: string) => {
  let known = prepared.get(candidate)
  if (!known) {
    const plain = candidate.toLowerCase().replaceAll('-', ' ')
    known = { plain, parts: plain.split(' ') }
    prepared.set(candidate, known)
  }
  return known
}

/** Distances at or over this share of the longer word are no likeness. */
const UNLIKE = 0.55
/** Edit distance as a share of the longer word; 1 at once where the lengths alone rule a likeness out. */
const apart = (a: string, b: string): number => {
  const longer = Math.max(a.length, b.length)
  return Math.abs(a.length - b.length) >= UNLIKE * longer ? 1 : distance(a, b) / longer
}

/**
 * The few candidates most like a word, best first; none when nothing is near.
 * @example nearestOf('beff', ['beef', 'lamb']) // ['beef']
 */
export function nearestOf(word: string, candidates: Iterable<string>, count = 3): string[] {
  const wanted = word.toLowerCase().replaceAll('-', ' ').trim()
  if (wanted === '' || wanted.length > LONGEST_WORD) return []
  const words = wanted.split(' ')
  return [...new Set(candidates)]
    .map((candidate) => {
      const { plain, parts } = prepare(candidate)
      const whole = apart(wanted, plain)
      const part = Math.min(...parts.map((each) => apart(wanted, each)))
      const inside = plain.includes(wanted) || words.some((each) => each.length > 2 && parts.includes(each))
      return { candidate, score: Math.min(whole, part + 0.1, inside ? 0.2 + 0.3 * whole : 1) }
    })
    .filter(({ score }) => score < UNLIKE)
    .sort((a, b) => a.score - b.score)
    .slice(0, count)
    .map(({ candidate }) => candidate)
}
