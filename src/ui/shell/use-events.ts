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

/** A browser gives a stream up for good when it is answered by an error: then it is opened anew after so long, ms. */
const AGAIN_MS = { first: 1000, most: 8000 } as const

/** Hears a kitchen's changes for as long as the screen is there; a stream that is lost or refused is opened again. */
export function useEvents(kitchen: string, hear: Hear): void {
  const newest = useRef(hear)
  useEffect(() => {
    newest.current = hear
  }, [hear])
  useEffect(() => {
    let events: EventSource
    let again: ReturnType<typeof setTimeout> | undefined
    let wait_ms: number = AGAIN_MS.first
    const open = () => {
      events = new EventSource(`/api/k/${kitchen}/events`)
      events.onopen = () => {
        wait_ms = AGAIN_MS.first
        newest.current.opened?.()
      }
      events.onerror = () => {
        newest.current.lost?.()
        if (events.readyState !== EventSource.CLOSED) return
        again = setTimeout(open, wait_ms)
        wait_ms = Math.min(AGAIN_MS.most, 2 * wait_ms)
      }
      events.onmessage = (event) => {
        const told = parseJson(event.data)
        if (told.ok) newest.current.told(told.value as Told)
      }
    }
    open()
    return () => {
      clearTimeout(again)
      events.close()
    }
  }, [kitchen])
}
