'use client'
import { useEffect, useRef, useState } from 'react'
import { type BoardItem, isResting } from '@/domain/cook/board'
import type { Forecast, PeakWatch } from '@/domain/cook/forecast'
import type { CookWorker } from '@/workers/browser/protocol'
import { openThread } from '../shell/thread'

export type Forecasts = Readonly<Record<string, Forecast | undefined>>

/** What the board foresees: the arrival of what is in, the peak of what is out. */
export interface Foreseen {
  readonly forecasts: Forecasts
  readonly peaks: Readonly<Record<string, PeakWatch | undefined>>
}

/** What makes all that was foreseen old at once: a tap, a reading by hand, a step. */
const knownOf = (items: readonly BoardItem[]): string =>
  items
    .map(
      ({ entries, state, promise_s }) =>
        `${state}${promise_s}${entries.filter(({ kind }) => kind !== 'arrival').length}`,
    )
    .join('|')

/** Estimates are made again when so much wall time has passed, ms. */
const EVERY_MS = 5000

/** Arrival and ways out of every roast that is in, made in a thread of their own, again and again. */
export function useForecasts(items: readonly BoardItem[], now_s: number): Foreseen {
  const [forecasts, setForecasts] = useState<Forecasts>({})
  const [peaks, setPeaks] = useState<Foreseen['peaks']>({})
  const wake = useRef(() => {})
  const newest = useRef({ items, now_s })
  useEffect(() => {
    newest.current = { items, now_s }
  }, [items, now_s])
  const known = knownOf(items)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is known is why it wakes
  useEffect(() => wake.current(), [known])
  useEffect(() => {
    const thread = openThread<CookWorker>(
      () =>
        new Worker(new URL('../../workers/browser/cook.worker.ts', import.meta.url), { type: 'module', name: 'cook' }),
    )
    let live = true
    const round = async () => {
      while (live) {
        const { items: boards, now_s: at } = newest.current
        for (const board of boards) {
          if (!live) return
          if (isResting(board)) {
            const peak = await thread.ask((worker) => worker.peak(board, at)).catch(() => undefined)
            if (live) setPeaks((last) => ({ ...last, [board.item.id]: peak }))
          }
          if (board.state !== 'in') continue
          const others = boards.filter(({ item }) => item.id !== board.item.id)
          // A thread that died is opened again for the next round; until then the board says that nothing is known.
          const forecast = await thread.ask((worker) => worker.forecast(board, at, others)).catch(() => undefined)
          if (live) setForecasts((last) => ({ ...last, [board.item.id]: forecast }))
        }
        await new Promise<void>((done) => {
          const pause = setTimeout(done, EVERY_MS)
          wake.current = () => {
            clearTimeout(pause)
            done()
          }
        })
      }
    }
    void round()
    return () => {
      live = false
      thread.end()
    }
  }, [])
  return { forecasts, peaks }
}
