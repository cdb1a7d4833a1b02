import { distance } from 'fastest-levenshtein'

/** The few candidates most like a word, best first; none when nothing is near. */
export function nearestOf(word: string, candidates: Iterable<string>, count = 3): string[] {
  const wanted = word.toLowerCase().replaceAll('-', ' ')
  return [...new Set(candidates)]
    .map((candidate) => {
      const plain = candidate.toLowerCase().replaceAll('-', ' ')
      const parts = plain.split(' ')
      const whole = distance(wanted, plain) / Math.max(wanted.length, plain.length)
      const part = Math.min(...parts.map((each) => distance(wanted, each) / Math.max(wanted.length, each.length)))
      const inside = plain.includes(wanted) || wanted.split(' ').some((each) => each.length > 2 && parts.includes(each))
      return { candidate, score: Math.min(whole, part + 0.1, inside ? 0.2 + 0.3 * whole : 1) }
    })
    .filter(({ score }) => score < 0.55)
    .sort((a, b) => a.score - b.score)
    .slice(0, count)
    .map(({ candidate }) => candidate)
}
