import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { readCsv } from './read-csv'

describe('readings from a CSV file', () => {
  it('takes the first column of times and the first of numbers, whatever else is there', () => {
    const { readings, wrong } = readCsv(
      'when,probe,value\n2026-12-25T12:00:00Z,core,41.5\n2026-12-25 12:01:00Z,core,"42,5"\n',
    )
    expect(readings).toEqual([
      { at: '2026-12-25T12:00:00.000Z', value_c: 41.5 },
      { at: '2026-12-25T12:01:00.000Z', value_c: 42.5 },
    ])
    expect(wrong).toBe(0)
  })

  it('believes a heading that says Fahrenheit', () => {
    expect(readCsv('time,temp °F\n2026-12-25T12:00:00Z,131').readings[0]?.value_c).toBeCloseTo(55, 6)
    expect(readCsv('time;temp\n2026-12-25T12:00:00Z;55 °C').readings[0]?.value_c).toBe(55)
  })

  it('counts what it cannot read and keeps the rest', () => {
    const { readings, wrong } = readCsv('t,v\nyesterday,20\n2026-12-25T12:00:00Z,\n2026-12-25T12:00:00Z,21\n,,\n')
    expect(readings).toHaveLength(1)
    expect(wrong).toBeGreaterThanOrEqual(2)
  })

  it('thins a long day evenly, first and order kept', () => {
    const rows = Array.from({ length: 9000 }, (_, i) => `${new Date(1e12 + i * 1000).toISOString()},${20 + i / 1000}`)
    const { readings } = readCsv(`t,v\n${rows.join('\n')}`)
    expect(readings.length).toBeLessThanOrEqual(2000)
    expect(readings.length).toBeGreaterThan(1500)
    expect(readings[0]?.value_c).toBe(20)
    expect([...readings].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))).toEqual(readings)
  })

  it('answers any text at all at once, with readings a thermometer could give', { timeout: 60_000 }, () => {
    const random = seededRandom(77)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    const cells = [
      '2026-12-25T12:00:00Z',
      '9999-99-99T99:99',
      '12:00',
      '-273',
      '1e308',
      'NaN',
      '55',
      '"',
      '""',
      "'",
      ',',
      ';',
      '\t',
      '\n',
      '\r\n',
      '=cmd()',
      'é',
      '核',
      '٣٤',
      '\u0000',
      '',
    ]
    const from = performance.now()
    for (let i = 0; i < 3000; i++) {
      const text = Array.from({ length: Math.floor(random() * 60) }, () => pick(cells)).join(pick([',', ';', '', '\n']))
      const { readings, wrong } = readCsv(text)
      expect(wrong).toBeGreaterThanOrEqual(0)
      for (const { at, value_c } of readings) {
        expect(Number.isFinite(Date.parse(at))).toBe(true)
        expect(value_c).toBeGreaterThan(-100)
        expect(value_c).toBeLessThan(1000)
      }
    }
    expect(performance.now() - from).toBeLessThan(30_000)
  })
})
