import { TZDate } from '@date-fns/tz'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { MONTHS, WEEKDAYS } from './moment'
import { readLine } from './reading'

const ZONE = 'Europe/London'
const NOW_S = Date.UTC(2026, 10, 24, 9) / 1000
const read = (line: string) => {
  const reading = readLine(line, { now_s: NOW_S, timeZone: ZONE })
  if (!reading.ok) throw new Error(line)
  return reading.value
}
const asked = (line: string) => read(line).asks.find((ask) => ask.code === 'day_of_date')

describe('a weekday beside a date', () => {
  it.each([
    ['sunday 28 nov 13:00 rib 3 kg', 6, 'sun 29 nov'],
    ['rib 3 kg saturday the 29th at 7pm', 0, 'sat 28 nov'],
    ['thursday, 25 december 14:00 goose 5 kg', 5, 'thu 24 dec'],
    // Yesterday it is not meant.
    ['monday 24th november 19:00 rib 3 kg', 2, 'mon 30 nov'],
  ])('%s: is asked about, by its date or by its name', (line, weekday, named) => {
    const ask = asked(line)
    expect(ask?.weekday).toBe(weekday)
    const [date, day] = ask?.options ?? []
    expect(day?.says).toBe(named)
    for (const option of [date, day]) expect(asked(option?.line ?? ''), option?.line).toBeUndefined()
    expect(read(date?.line ?? '').promise_s).toBe(read(line).promise_s)
    const eaten = new TZDate((read(day?.line ?? '').promise_s ?? 0) * 1000, ZONE)
    expect([WEEKDAYS[eaten.getDay()]?.slice(0, 3), eaten.getDate()].join(' ')).toBe(named.split(' ', 2).join(' '))
  })

  it('of any day of the next year it is asked where they are not of one day, and never else', () => {
    const random = seededRandom(41)
    for (let round = 0; round < 300; round++) {
      const at = new TZDate(2026, 10, 25 + Math.floor(300 * random()), ZONE)
      const weekday = Math.floor(7 * random())
      const line = `${WEEKDAYS[weekday]} ${at.getDate()} ${MONTHS[at.getMonth()]} 19:00 rib 3 kg`
      expect(asked(line) !== undefined, line).toBe(at.getDay() !== weekday)
    }
  }, 60_000)

  it('an hour is no date', () => {
    for (const line of ['sunday 1 pm rib 3 kg', 'sunday 7 rib 3 kg', 'friday 19:30 for 12, rib 3 kg'])
      expect(asked(line), line).toBeUndefined()
  })
})
