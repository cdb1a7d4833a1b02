'use client'
import { useCallback, useState } from 'react'

interface History<Value> {
  readonly past: readonly Value[]
  readonly now: Value
  readonly future: readonly Value[]
}
const MOST = 60

/** A document with undo. `replace` changes it without a step to go back to: what the machine adds. */
export function useHistory<Value>(first: Value) {
  const [history, setHistory] = useState<History<Value>>({ past: [], now: first, future: [] })
  const change = useCallback((apply: (last: Value) => Value) => {
    setHistory(({ past, now }) => ({ past: [...past.slice(-MOST), now], now: apply(now), future: [] }))
  }, [])
  const replace = useCallback((apply: (last: Value) => Value) => {
    setHistory((last) => ({ ...last, now: apply(last.now) }))
  }, [])
  const undo = useCallback(() => {
    setHistory(({ past, now, future }) => {
      const back = past.at(-1)
      return back === undefined
        ? { past, now, future }
        : { past: past.slice(0, -1), now: back, future: [now, ...future] }
    })
  }, [])
  const redo = useCallback(() => {
    setHistory(({ past, now, future }) => {
      const [next, ...rest] = future
      return next === undefined ? { past, now, future } : { past: [...past, now], now: next, future: rest }
    })
  }, [])
  return {
    document: history.now,
    change,
    replace,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  }
}
