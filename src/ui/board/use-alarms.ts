'use client'
import { useEffect, useRef, useState } from 'react'
import type { BoardItem } from '@/domain/cook/board'
import { oddWords } from '@/words/cook-words'
import { temperature, type Units } from '@/words/units'

export interface Alarm {
  readonly key: string
  readonly text: (units: Units) => string
}

/** Two short tones; no file is needed. */
function ring(): void {
  try {
    const context = new AudioContext()
    for (const [i, pitch] of [660, 880].entries()) {
      const tone = context.createOscillator()
      const level = context.createGain()
      tone.frequency.value = pitch
      level.gain.setValueAtTime(0.25, context.currentTime + i * 0.3)
      level.gain.exponentialRampToValueAtTime(0.001, context.currentTime + i * 0.3 + 0.28)
      tone.connect(level).connect(context.destination)
      tone.start(context.currentTime + i * 0.3)
      tone.stop(context.currentTime + i * 0.3 + 0.3)
    }
    setTimeout(() => void context.close(), 1500)
  } catch {}
}

/** Alarms that ring now: near the pull, at it, rest over, a probe that is lost or odd. */
function alarmsOf(items: readonly BoardItem[], now_s: number, early_k: number): Alarm[] {
  return items.flatMap((board): Alarm[] => {
    const { item, latest, pull_c, state } = board
    const alarms: Alarm[] = []
    if (state === 'in' && latest && pull_c !== undefined && now_s - latest.at_s < 600) {
      if (latest.value_c >= pull_c)
        alarms.push({
          key: `${item.id} pull`,
          text: (units) =>
            `${item.title} is at ${temperature(latest.value_c, units)}: pull it. Hot tin, hot fat: dry cloths, clear way.`,
        })
      else if (latest.value_c >= pull_c - early_k)
        alarms.push({
          key: `${item.id} early`,
          text: (units) =>
            `${item.title} is at ${temperature(latest.value_c, units)}, near its pull at ${temperature(pull_c, units)}. Stand by.`,
        })
    }
    if (state === 'resting' && board.out_s !== undefined) {
      const carve = board.promise_s - (Date.parse(item.promise) - Date.parse(item.carve)) / 1000
      if (now_s >= carve) alarms.push({ key: `${item.id} rested`, text: () => `${item.title} has rested: carve it.` })
    }
    for (const odd of board.odd)
      if (odd.code === 'lost' || odd.code === 'oven_falling' || odd.code === 'pulled_out')
        alarms.push({
          key: `${item.id} ${odd.code} ${odd.code === 'lost' ? '' : Math.round(odd.at_s / 600)}`,
          text: (units) => `${item.title}: ${oddWords(odd, units)}`,
        })
    return alarms
  })
}

/** Rings by choice, and keeps the screen awake while it may. */
export function useAlarms(items: readonly BoardItem[], now_s: number) {
  const [on, setOn] = useState(false)
  const [early_k, setEarly] = useState(4)
  const [hushed, setHushed] = useState<ReadonlySet<string>>(new Set())
  const rung = useRef(new Set<string>())
  const ringing = alarmsOf(items, now_s, early_k).filter(({ key }) => !hushed.has(key))
  const keys = ringing.map(({ key }) => key).join('|')
  useEffect(() => {
    if (!on) return
    for (const key of keys.split('|').filter(Boolean)) {
      if (rung.current.has(key)) continue
      rung.current.add(key)
      ring()
    }
  }, [on, keys])
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | undefined
    const take = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock.request('screen').then(
          (held) => {
            lock = held
          },
          () => {},
        )
    }
    take()
    document.addEventListener('visibilitychange', take)
    return () => {
      document.removeEventListener('visibilitychange', take)
      void lock?.release()
    }
  }, [on])
  return {
    on,
    toggle: () => {
      if (!on) ring()
      setOn(!on)
    },
    early_k,
    setEarly,
    ringing,
    hush: (key: string) => setHushed((last) => new Set([...last, key])),
  }
}
