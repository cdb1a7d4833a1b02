import { describe, expect, it } from 'vitest'
import { makeReady, READERS } from './readers'
import { readLine } from './reading'
import { warmLines } from './warm'

const context = { now_s: Date.UTC(2026, 10, 25, 9) / 1000, timeZone: 'Europe/London' }

describe('the reading of lines is made ready', () => {
  it('one pattern at a time where there is no time, and it ends', () => {
    let times = 1
    while (!makeReady(0) && times <= READERS.length) times++
    expect(times).toBeLessThanOrEqual(READERS.length)
    expect(makeReady(0)).toBe(true)
  })

  it('only when the thread has nothing better to do, and what is read after is what was read before', () => {
    const before = readLine('rib 2.7 kg, medium rare, eat 19:00', context)
    const waiting: (() => void)[] = []
    warmLines((go) => waiting.push(go))
    expect(waiting).toHaveLength(1)
    let turns = 0
    for (let go = waiting.shift(); go; go = waiting.shift()) {
      go()
      turns++
      expect(waiting.length).toBeLessThanOrEqual(1)
    }
    expect(turns).toBeLessThanOrEqual(READERS.length + 1)
    expect(readLine('rib 2.7 kg, medium rare, eat 19:00', context)).toEqual(before)
    // No pattern is left with a place in some other text.
    expect(READERS.every(({ pattern }) => pattern.lastIndex === 0 || pattern.sticky)).toBe(true)
  })
})
