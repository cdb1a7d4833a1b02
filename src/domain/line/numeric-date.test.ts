import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { numericDate } from './numeric-date'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 26, 9) / 1000
const read = (text: string, dateOrder?: 'dmy' | 'mdy') =>
  numericDate(text, { now_s: NOW, timeZone: 'Europe/London', dateOrder })

describe('a day in numbers', () => {
  it.each([
    ['25/12', 'dmy', '2026-12-25'],
    ['12/25', 'mdy', '2026-12-25'],
    ['12/25', 'dmy', '2026-12-25'],
    ['5/12', 'dmy', '2026-12-05'],
    ['5/12', 'mdy', '2027-05-12'],
    ['1/11', 'dmy', '2027-11-01'],
    ['25.12.2026', 'dmy', '2026-12-25'],
    ['24/12/26', 'dmy', '2026-12-24'],
  ] as const)('%s by %s is %s', (text, order, iso) => {
    expect(read(text, order)).toBe(iso)
  })

  it.each(['1/2', '3/4', '31/31', '30/2/2027', '2.5', '19.30', '0/0'])('%s is none', (text) => {
    expect(read(text)).toBeUndefined()
  })

  it('stands any numbers, and what it answers is a day there is', { timeout: 5000 }, () => {
    const random = seededRandom(26_11)
    for (let i = 0; i < 2000; i++) {
      const number = () => Math.floor(random() * 40)
      const found = read(
        `${number()}/${number()}${random() < 0.3 ? `/${2000 + number()}` : ''}`,
        random() < 0.5 ? 'dmy' : 'mdy',
      )
      if (found !== undefined) expect(new Date(`${found}T00:00:00Z`).toISOString().slice(0, 10)).toBe(found)
    }
  })

  it('in a line it is when they eat, in the kitchen’s order; a half stays a half', () => {
    const at = (line: string, dateOrder: 'dmy' | 'mdy') => {
      const found = readLine(line, { now_s: NOW, timeZone: 'Europe/London', dateOrder })
      if (!found.ok) throw new Error(line)
      return found.value
    }
    const line = 'rib 3 kg, eat 5/12 19:00'
    expect(new Date((at(line, 'dmy').promise_s ?? 0) * 1000).toISOString()).toBe('2026-12-05T19:00:00.000Z')
    expect(new Date((at(line, 'mdy').promise_s ?? 0) * 1000).toISOString()).toBe('2027-05-12T18:00:00.000Z')
    expect(at('chicken 4 1/2 lb', 'dmy').roasts[0]?.mass_kg).toBeCloseTo(2.04, 1)
  })
})
