'use client'
import { useEffect, useRef } from 'react'
import { parseJson } from '@/domain/problem/parse'

/** Something that was saved in the kitchen, as its stream tells it. */
export interface Told {
  readonly what: string
  readonly id: string
  readonly latest?: readonly (readonly [channel: number, at_s: number, value_c: number])[]
}

interface Hear {
  readonly told: (told: Told) => void
  /** The stream opened, again and again: what was missed is asked for. */
  readonly opened?: () => void
  readonly lost?: () => void
}

/** Hears a kitchen's changes for as long as the screen is there; the browser opens a lost stream again by itself. */
export function useEvents(kitchen: string, hear: Hear): void {
  const newest = useRef(hear)
  useEffect(() => {
    newest.current = hear
  }, [hear])
  useEffect(() => {
    const events = new EventSource(`/api/k/${kitchen}/events`)
    events.onopen = () => newest.current.opened?.()
    events.onerror = () => newest.current.lost?.()
    events.onmessage = (event) => {
      const told = parseJson(event.data)
      if (told.ok) newest.current.told(told.value as Told)
    }
    return () => events.close()
  }, [kitchen])
}
