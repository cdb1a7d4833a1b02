'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { CookEntry, ProbeReading } from '@/domain/cook/cook-document'
import { mergeReadings } from '@/domain/cook/readings'

interface StreamStart {
  readonly kitchen: string
  readonly cookId: string
  readonly entries: readonly { readonly seq: number; readonly entry: CookEntry }[]
  readonly readings: readonly ProbeReading[]
}

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
  const since = useRef(Math.max(0, ...start.entries.map(({ seq }) => seq)))

  const refresh = useCallback(async () => {
    const response = await fetch(`/api/k/${kitchen}/cooks/${cookId}?since=${since.current}`).catch(() => undefined)
    if (!response?.ok) return setConnected(false)
    const state = (await response.json()) as {
      entries: StreamStart['entries']
      readings: ProbeReading[]
      now_s: number
    }
    setConnected(true)
    heard(state.now_s)
    since.current = Math.max(since.current, ...state.entries.map(({ seq }) => seq))
    if (state.entries.length > 0) setKept((last) => [...last, ...state.entries.map(({ entry }) => entry)])
    setReadings((last) => mergeReadings(last, state.readings))
  }, [kitchen, cookId, heard])

  useEffect(() => {
    const events = new EventSource(`/api/k/${kitchen}/events`)
    let pending: ProbeReading[] = []
    const flush = setInterval(() => {
      if (pending.length === 0) return
      const added = pending
      pending = []
      setReadings((last) => mergeReadings(last, added))
    }, FLUSH_MS)
    events.onopen = () => {
      setConnected(true)
      void refresh()
    }
    events.onerror = () => setConnected(false)
    events.onmessage = (event) => {
      const told = JSON.parse(event.data) as { what: string; id: string; latest?: [number, number, number][] }
      if (told.what === 'readings')
        for (const [channel, at_s, value_c] of told.latest ?? [])
          pending.push({ device: told.id, channel, at_s, value_c })
      if (told.what === 'again' || (told.what === 'entries' && told.id === cookId)) void refresh()
    }
    // A lid that was closed opens again: whatever was missed is asked for.
    const seen = () => window.document.visibilityState === 'visible' && void refresh()
    window.document.addEventListener('visibilitychange', seen)
    return () => {
      clearInterval(flush)
      events.close()
      window.document.removeEventListener('visibilitychange', seen)
    }
  }, [kitchen, cookId, refresh])

  return { kept, readings, connected }
}
