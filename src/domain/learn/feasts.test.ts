import { describe, expect, it } from 'vitest'
import { easterAgain, easterOf, feastDays } from './feasts'

const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

describe('feasts', () => {
  it('Easter is where the calendar has it', () => {
    // Dates of the western church, as any almanac has them.
    const known = {
      1961: '4-2',
      2000: '4-23',
      2008: '3-23',
      2011: '4-24',
      2024: '3-31',
      2025: '4-20',
      2026: '4-5',
      2027: '3-28',
      2038: '4-25',
    }
    for (const [year, date] of Object.entries(known)) {
      const { month, day } = easterOf(Number(year))
      expect(`${month}-${day}`, year).toBe(date)
    }
    for (let year = 1900; year < 2200; year++) {
      const { month, day } = easterOf(year)
      const at = Date.UTC(year, month - 1, day)
      expect(new Date(at).getUTCDay()).toBe(0)
      expect(at).toBeGreaterThanOrEqual(Date.UTC(year, 2, 22))
      expect(at).toBeLessThanOrEqual(Date.UTC(year, 3, 25))
    }
  })

  it('the days of a feast are the kitchen’s own', () => {
    const [easter] = feastDays('easter', Date.UTC(2026, 5, 1) / 1000, 'Europe/London')
    expect([easter?.from_s, easter?.before_s].map((at) => iso(at ?? 0))).toEqual([
      '2026-04-02T23:00:00.000Z',
      '2026-04-06T23:00:00.000Z',
    ])
    const [thanks] = feastDays('thanksgiving', Date.UTC(2026, 10, 30) / 1000, 'UTC')
    expect(iso(thanks?.from_s ?? 0)).toBe('2026-11-26T00:00:00.000Z')
    expect(feastDays('constructor', 0, 'UTC')).toEqual([])
  })

  it('a lamb of Good Friday comes again on Good Friday, at its hour, over the change of clocks', () => {
    const then = Date.parse('2026-04-03T18:30:00+01:00') / 1000
    const again = easterAgain(then, Date.UTC(2026, 10, 26) / 1000, 'Europe/London')
    expect(iso(again ?? 0)).toBe('2027-03-26T18:30:00.000Z')
    expect(easterAgain(Date.UTC(2026, 6, 1) / 1000, Date.UTC(2026, 10, 26) / 1000, 'UTC')).toBeUndefined()
  })
})
