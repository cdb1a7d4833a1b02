import { describe, expect, it } from 'vitest'
import { mergeReadings } from '@/domain/cook/readings'
import { readCsv } from './read-csv'

describe('readings in memory', () => {
  it('one a step is kept, the newest, in order, however they arrive', () => {
    const reading = (at_s: number, value_c: number) => ({ device: 'd', channel: 0, at_s, value_c })
    const merged = mergeReadings([reading(0, 1), reading(40, 3)], [reading(21, 2), reading(45, 4), reading(44, 9)])
    expect(merged.map(({ at_s, value_c }) => [at_s, value_c])).toEqual([
      [0, 1],
      [21, 2],
      [45, 4],
    ])
  })
})

describe('readings from a file', () => {
  it('finds times and temperatures whatever the order and the heading', () => {
    const text =
      'temp C;when\n41,5;2026-12-25 14:05\n42,0;2026-12-25T14:06:00Z\nnonsense;here\n900;2026-12-25T14:07:00Z'
    const { readings, wrong } = readCsv(text)
    expect(readings.map(({ value_c }) => value_c)).toEqual([41.5, 42])
    expect(wrong).toBe(2)
    expect(readings[1]?.at).toBe('2026-12-25T14:06:00.000Z')
  })

  it('believes a heading that says Fahrenheit', () => {
    expect(readCsv('time,value_f\n2026-12-25T14:05:00Z,122').readings[0]?.value_c).toBeCloseTo(50, 6)
  })

  it('an empty file has none', () => {
    expect(readCsv('')).toEqual({ readings: [], wrong: 0 })
  })
})
