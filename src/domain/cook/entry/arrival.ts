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

/** When the pull is foreseen: p10/p50/p90 as instants in the text, kept as it was foreseen. The newest is what every page says. */
export const arrival: EntryKind = {
  needs: ['text'],
  ofItem: true,
  onItem: (item, entry) => {
    item.arrival = arrivalOf(entry) ?? item.arrival
  },
}

/**
 * The text of an arrival.
 * @example arrivalText({ p10: 0, p50: 60, p90: 120 }).split('/').length // 3
 */
export const arrivalText = (arrival: { readonly p10: number; readonly p50: number; readonly p90: number }): string =>
  [arrival.p10, arrival.p50, arrival.p90].map((at_s) => new Date(Math.round(at_s) * 1000).toISOString()).join('/')
