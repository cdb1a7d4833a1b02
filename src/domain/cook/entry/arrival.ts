import type { Spread } from '@/core/estimate/ensemble'
import type { CookEntry } from '../cook-document'
import type { Arrival, EntryKind } from './kind'
import { secondsOf } from './time'

/** What an arrival that was kept says; undefined where its text is none. */
export function arrivalOf({ text, at }: Pick<CookEntry, 'text' | 'at'>): Arrival | undefined {
  const [p10, p50, p90] = (text ?? '').split('/').map(secondsOf)
  if (p10 === undefined || p50 === undefined || p90 === undefined || ![p10, p50, p90].every(Number.isFinite))
    return undefined
  return { at_s: secondsOf(at), p10, p50, p90 }
}

/** Kept where a roast, as it is, never gets there: a dead oven, one that is set too low. */
const NEVER = 'never'

/**
 * When the pull is foreseen: p10/p50/p90 as instants in the text, or that it never comes, kept as it was foreseen. The
 * newest is what every page says.
 */
export const arrival: EntryKind = {
  needs: ['text'],
  ofItem: true,
  onItem: (item, entry) => {
    item.never = entry.text === NEVER
    item.arrival = item.never ? undefined : (arrivalOf(entry) ?? item.arrival)
  },
}

/**
 * The text of an arrival.
 *
 * @param in_s when it went in, cook time, s
 * @param pull_s foreseen since then, s; NaN where it never gets there
 * @example arrivalText(0, { p10: 0, p50: Number.NaN, p90: 120 }) // 'never'
 */
export function arrivalText(in_s: number, pull_s: Spread): string {
  const at = [pull_s.p10, pull_s.p50, pull_s.p90]
  if (!at.every(Number.isFinite)) return NEVER
  return at.map((each) => new Date(Math.round(in_s + each) * 1000).toISOString()).join('/')
}
