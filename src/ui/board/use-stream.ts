'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { CookEntry, ProbeReading } from '@/domain/cook/cook-document'
import { mergeReadings } from '@/domain/cook/readings'
import type { Problem } from '@/domain/problem/problem'
import { send } from '../shell/client'
import { useEvents } from '../shell/use-events'

interface StreamStart {
  readonly kitchen: string
  readonly cookId: string
  readonly entries: readonly { readonly seq: number; readonly entry: CookEntry }[]
  readonly readings: readonly ProbeReading[]
}

/** Answers that say that this device is no longer let in. */
const SHUT: ReadonlySet<Problem['code']> = new Set(['not_signed_in', 'not_allowed', 'not_found'])

/** Readings that come one by one are shown together. */
const FLUSH_MS = 500

/**
 * What the server tells of a cook: entries of all screens and readings of all probes, as they come, and
 * whatever was missed asked for again.
 *
 * @param heard told the server's time whenever it answers, s
 */
export function useStream({ kitchen, cookId, ...start }: StreamStart, heard: (server_s: number) => void) {
  const [kept, setKept] = useState(() => start.entries.map(({ entry }) => entry))
  const [readings, setReadings] = useState<readonly ProbeReading[]>(start.readings)
  const [connected, setConnected] = useState(true)
  const [shut, setShut] = useState<Problem | undefined>()
  const since = useRef(Math.max(0, ...start.entries.map(({ seq }) => seq)))

  const refresh = useCallback(async () => {
    const found = await send<{ entries: StreamStart['entries']; readings: ProbeReading[]; now_s: number }>(
      `/api/k/${kitchen}/cooks/${cookId}?since=${since.current}`,
      'GET',
    )
    setShut(found.ok ? undefined : found.problems.find(({ code }) => SHUT.has(code)))
    if (!found.ok) return setConnected(false)
    const state = found.value
    setConnected(true)
    heard(state.now_s)
    since.current = Math.max(since.current, ...state.entries.map(({ seq }) => seq))
    if (state.entries.length > 0) setKept((last) => [...last, ...state.entries.map(({ entry }) => entry)])
    setReadings((last) => mergeReadings(last, state.readings))
  }, [kitchen, cookId, heard])

  const pending = useRef<ProbeReading[]>([])
  useEffect(() => {
    const flush = setInterval(() => {
      if (pending.current.length === 0) return
      const added = pending.current
      pending.current = []
      setReadings((last) => mergeReadings(last, added))
    }, FLUSH_MS)
    // A lid that was closed opens again: whatever was missed is asked for.
    const seen = () => window.document.visibilityState === 'visible' && void refresh()
    window.document.addEventListener('visibilitychange', seen)
    return () => {
      clearInterval(flush)
      window.document.removeEventListener('visibilitychange', seen)
    }
  }, [refresh])
  useEvents(kitchen, {
    opened: () => {
      setConnected(true)
      void refresh()
    },
    lost: () => {
      setConnected(false)
      // It may be gone for a moment, or shut for good: asked, it says which.
      void refresh()
    },
    told: ({ what, id, latest = [] }) => {
      if (what === 'readings')
        for (const [channel, at_s, value_c] of latest) pending.current.push({ device: id, channel, at_s, value_c })
      if (what === 'again' || (what === 'entries' && id === cookId)) void refresh()
    },
  })

  return { kept, readings, connected, shut }
}
