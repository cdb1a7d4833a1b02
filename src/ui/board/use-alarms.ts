'use client'
import { useEffect, useRef, useState } from 'react'
import { type BoardItem, freshOf, type NextLook, soonestPull } from '@/domain/cook/board'
import type { CookDocument } from '@/domain/cook/cook-document'
import type { OddReading } from '@/domain/cook/odd'
import { openSteps, type Run } from '@/domain/cook/run'
import { namedFor, together } from '@/domain/cook/together'
import { oddWords } from '@/words/cook-words'
import { stepTitle } from '@/words/steps'
import { temperature, type Units } from '@/words/units'

/** So many stand on the board at once. */
const MOST_RINGING = 3
/** A step is called so long after its time, s. */
const CALLED_S = 90

export interface Alarm {
  readonly key: string
  /** Meat that is done now weighs more than a step that is due. */
  readonly weight: number
  readonly text: (units: Units) => string
}

/** Steps that call nobody: the reading calls the pull, and what is on the table is there. */
const UNCALLED: ReadonlySet<string> = new Set(['pull', 'watch', 'rest', 'serve', 'buy', 'set_out'])

/** What a probe says that rings: the rest is only said. */
const CALLED_ODD: ReadonlySet<OddReading['code']> = new Set(['lost', 'oven_falling', 'core_falling', 'pulled_out'])

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
function alarmsOf(
  items: readonly BoardItem[],
  reads: readonly NextLook[],
  run: Run,
  planned: CookDocument,
  now_s: number,
  early_k: number,
): Alarm[] {
  const called = openSteps(run).filter(({ step: { kind }, at_s }) => at_s <= now_s - CALLED_S && !UNCALLED.has(kind))
  const due = together(called, planned).flatMap(([first, ...others]): Alarm[] => {
    if (!first) return []
    const all = namedFor(planned, [first, ...others])
    return [
      {
        key: `${first.step.id} ${Math.round(first.at_s / 60)}`,
        weight: 1,
        text: (units) => `It is time: ${stepTitle(first.step, all, units)}.`,
      },
    ]
  })
  const meat = items.flatMap((board): Alarm[] => {
    const { item, pull_c, state } = board
    const latest = freshOf(board, now_s)
    const alarms: Alarm[] = []
    // What goes straight on in the heat is not taken out there: a bird at 50 °C is far from done.
    const stays = run.steps.some(({ step }) => step.item === item.id && step.kind === 'pull' && step.numbers.stays)
    if (state === 'in' && latest && pull_c !== undefined) {
      if (latest.value_c >= pull_c && soonestPull(board, now_s) === undefined)
        alarms.push({
          key: `${item.id} pull`,
          weight: 4,
          text: (units) =>
            `${item.title} is at ${temperature(latest.value_c, units)}: ${stays ? 'on to its hot finish. It stays in' : 'pull it'}. Hot tin, hot fat: dry cloths, clear way.`,
        })
      else if (latest.value_c < pull_c && latest.value_c >= pull_c - early_k)
        alarms.push({
          key: `${item.id} early`,
          weight: 2,
          text: (units) =>
            `${item.title} is at ${temperature(latest.value_c, units)}, near its ${stays ? 'hot finish' : 'pull'} at ${temperature(pull_c, units)}. Stand by.`,
        })
    }
    for (const odd of board.odd)
      if (CALLED_ODD.has(odd.code))
        alarms.push({
          key: `${item.id} ${odd.code} ${odd.code === 'lost' ? '' : Math.round(odd.at_s / 600)}`,
          weight: 3,
          text: (units) => `${item.title}: ${oddWords(odd, units)}`,
        })
    return alarms
  })
  const toRead = reads.flatMap(({ item, at_s }): Alarm[] => {
    const title = items.find((board) => board.item.id === item)?.item.title
    return title === undefined || at_s > now_s
      ? []
      : [
          {
            key: `read ${item} ${Math.round(at_s / 60)}`,
            weight: 2,
            text: () => `It is time: read ${title} by hand.`,
          },
        ]
  })
  return [...meat, ...toRead, ...due]
}

/** Rings by choice, and keeps the screen awake while it may. */
export function useAlarms(
  items: readonly BoardItem[],
  reads: readonly NextLook[],
  run: Run,
  planned: CookDocument,
  now_s: number,
  /** Answered on whatever device. */
  heard: ReadonlySet<string>,
  hush: (key: string) => void,
) {
  const [on, setOn] = useState(false)
  const [early_k, setEarly] = useState(4)
  const rung = useRef(new Set<string>())
  // The gravest first; of several only that one sounds, the others wait in the list.
  const ringing = alarmsOf(items, reads, run, planned, now_s, early_k)
    .filter(({ key }) => !heard.has(key))
    .sort((a, b) => b.weight - a.weight)
    .slice(0, MOST_RINGING)
  const keys = ringing.map(({ key }) => key).join('|')
  useEffect(() => {
    if (!on) return
    const fresh = keys.split('|').filter((key) => key !== '' && !rung.current.has(key))
    for (const key of fresh) rung.current.add(key)
    // However many came at once, they ring once.
    if (fresh.length > 0) ring()
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
    hush,
  }
}
