'use client'
import { useEffect, useRef, useState } from 'react'
import type { BoardItem } from '@/domain/cook/board'
import type { Forecast } from '@/domain/cook/forecast'
import type { CookWorker } from '@/workers/browser/protocol'
import { openThread } from '../shell/thread'

export type Forecasts = Readonly<Record<string, Forecast | undefined>>

/** Estimates are made again when so much wall time has passed, ms. */
const EVERY_MS = 5000

/** Arrival and ways out of every roast that is in, made in a thread of their own, again and again. */
export function useForecasts(items: readonly BoardItem[], now_s: number): Forecasts {
  const [forecasts, setForecasts] = useState<Forecasts>({})
  const newest = useRef({ items, now_s })
  useEffect(() => {
    newest.current = { items, now_s }
  }, [items, now_s])
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
          if (board.state !== 'in') continue
          const others = boards.filter(({ item }) => item.id !== board.item.id)
          // A thread that died is opened again for the next round; until then the board says that nothing is known.
          const forecast = await thread.ask((worker) => worker.forecast(board, at, others)).catch(() => undefined)
          if (live) setForecasts((last) => ({ ...last, [board.item.id]: forecast }))
        }
        await new Promise((done) => setTimeout(done, EVERY_MS))
      }
    }
    void round()
    return () => {
      live = false
      thread.end()
    }
  }, [])
  return forecasts
}
