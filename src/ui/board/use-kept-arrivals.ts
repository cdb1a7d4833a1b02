'use client'
import { useEffect, useRef } from 'react'
import type { Arrival, BoardItem } from '@/domain/cook/board'
import { arrivalText } from '@/domain/cook/entry/arrival'
import { blank, type LiveCook } from './use-cook'
import type { Forecasts } from './use-forecasts'

/** What is said moves when it is off by more than this, s: a minute to and fro is nobody's news. */
const WORTH_S = 120
/** A window is said anew when an end of it is off by more, s. */
const WINDOW_WORTH_S = 480
/** At least so often what is foreseen is kept as it then was, s. */
const KEPT_EVERY_S = 1200

/**
 * Whether a newer forecast is worth saying in place of the one that was kept.
 * @example isNews(undefined, { at_s: 0, p10: 1, p50: 2, p90: 3 }) // true
 */
export const isNews = (kept: Arrival | undefined, next: Arrival): boolean =>
  kept === undefined ||
  Math.abs(next.p50 - kept.p50) >= WORTH_S ||
  Math.abs(next.p10 - kept.p10) >= WINDOW_WORTH_S ||
  Math.abs(next.p90 - kept.p90) >= WINDOW_WORTH_S ||
  next.at_s - kept.at_s >= KEPT_EVERY_S ||
  // What should have been by now is said anew while it is not.
  (kept.p50 < next.at_s && next.p50 - kept.p50 >= 60)

/** Keeps what is foreseen in the log: from there the desk, the sheet, the home page, the calendar and every board say it. */
export function useKeptArrivals(
  items: readonly BoardItem[],
  forecasts: Forecasts,
  now_s: number,
  add: LiveCook['add'],
): void {
  const newest = useRef({ items, now_s })
  useEffect(() => {
    newest.current = { items, now_s }
  }, [items, now_s])
  useEffect(() => {
    if (document.visibilityState !== 'visible') return
    for (const board of newest.current.items) {
      const { item, in_s, state, arrival, never } = board
      const pull = forecasts[item.id]?.estimate.pull_s
      if (state !== 'in' || in_s === undefined || !pull) continue
      const next = { at_s: newest.current.now_s, p10: in_s + pull.p10, p50: in_s + pull.p50, p90: in_s + pull.p90 }
      if (Number.isFinite(pull.p50) ? isNews(arrival, next) : !never)
        add(blank({ kind: 'arrival', item: item.id, text: arrivalText(in_s, pull) }))
    }
  }, [forecasts, add])
}
