import type { WholeKind, WholeReport } from '@/domain/whole/whole'

/** What a whole kitchen's file holds, counted in words. */
const NAMES: Readonly<Record<WholeKind, readonly [string, string]>> = {
  plans: ['plan', 'plans'],
  meals: ['meal', 'meals'],
  cooks: ['cook', 'cooks'],
  entries: ['entry of a log', 'entries of logs'],
  probes: ['probe', 'probes'],
  readings: ['reading', 'readings'],
  photos: ['picture', 'pictures'],
  house: ['cut, program, way or standard', 'cuts, programs, ways and standards'],
  record: ['entry of the food-safety record', 'entries of the food-safety record'],
}

/** What is counted, in words; undefined where it is nothing. */
export function wholeWords(counts: WholeReport['adds']): string | undefined {
  const parts = Object.entries(NAMES).flatMap(([kind, [one, many]]) => {
    const count = counts[kind as WholeKind] ?? 0
    return count === 0 ? [] : [`${count.toLocaleString('en')} ${count === 1 ? one : many}`]
  })
  if (parts.length === 0) return undefined
  return parts.length === 1 ? parts[0] : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`
}
