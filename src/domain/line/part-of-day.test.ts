import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { hourOfPart } from './part-of-day'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const read = (line: string) => {
  const found = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!found.ok) throw new Error(`${line}: ${JSON.stringify(found.problems)}`)
  return found.value
}
const eaten = (line: string) => new Date((read(line).promise_s ?? Number.NaN) * 1000).toISOString().slice(5, 16)

/** As they are said, and the hour of each (common practice). */
const PARTS: readonly (readonly [string, number])[] = [
  ['afternoon', 15],
  ['early afternoon', 14],
  ['mid-afternoon', 15],
  ['late afternoon', 17],
  ['early lunch', 12],
  ['late lunch', 14],
  ['teatime', 17],
  ['tea time', 17],
  ['early evening', 18],
  ['early dinner', 18],
  ['late supper', 21],
]
const DAYS: readonly (readonly [string, string])[] = [
  ['friday', '11-27'],
  ['sunday', '11-29'],
  ['tomorrow', '11-25'],
  ['christmas day', '12-25'],
]
const MEATS = ['leg of lamb 2.2 kg', 'turkey 5 kg', '3.2 kg sirloin', 'chicken 1.8kg at 180']

describe('parts of the day', () => {
  it('in any order with a day and a roast they are its hour, and an hour that is said goes first', () => {
    const random = seededRandom(120)
    const of = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
    for (let round = 0; round < 160; round++) {
      const [part, hour] = of(PARTS)
      const [day, date] = of(DAYS)
      const meat = of(MEATS)
      const when = random() < 0.5 ? `${day} ${part}` : `${part} ${day}`
      const pieces = random() < 0.5 ? [meat, when] : [when, meat]
      expect(eaten(pieces.join(', ')), pieces.join(', ')).toBe(`${date}T${hour}:00`)
      const told = [...pieces, 'eat 19:30'].join(', ')
      expect(eaten(told), told).toBe(`${date}T19:30`)
    }
  }, 20_000)

  it('of an hour they say no second one, and a greeting says none', () => {
    expect(eaten('turkey 5 kg at 3 in the afternoon')).toBe('11-24T15:00')
    expect(eaten('turkey 5 kg saturday afternoon at 4')).toBe('11-28T16:00')
    expect(eaten('good afternoon, turkey 5 kg at 7')).toBe('11-24T19:00')
    expect(hourOfPart('midnight')).toBeUndefined()
  })

  it('a day that something is done on before is not eaten on', () => {
    for (const [line, note] of [
      ['turkey 5kg salted friday night, sunday 2pm', 'salted friday night'],
      ['collect the turkey friday, turkey 6 kg, eat sunday 2pm', 'collect the turkey friday'],
      ['guests arrive friday, rib 3 kg sunday 2pm', 'arrive friday'],
    ] as const) {
      const { asks, roasts } = read(line)
      expect(eaten(line), line).toBe('11-29T14:00')
      expect(asks.map(({ code }) => code)).not.toContain('said_twice')
      expect(JSON.stringify(roasts), line).toContain(note)
    }
    // Where no other day is said it is the day that they eat.
    expect(eaten('turkey 5kg salted friday')).toBe('11-27T19:00')
  })
})

describe('so hot and short at the end of what is gentle', () => {
  it('low and slow, or low then hot, it is the finish wherever it is said after; before it it is the start', () => {
    const random = seededRandom(121)
    for (let round = 0; round < 60; round++) {
      const [set_c, minutes] = [200 + 10 * Math.floor(random() * 6), 5 + 5 * Math.floor(random() * 6)]
      const hot = `${set_c}${random() < 0.5 ? ' C' : ''} for ${minutes}${random() < 0.7 ? ' min' : ''}`
      const gentle = ['low and slow', 'slow roasted', 'low then hot', 'reverse sear'][Math.floor(random() * 4)]
      const line = `pork shoulder 3 kg ${gentle}, ${hot}, eat 7pm`
      const [stage] = read(line).roasts[0]?.stages ?? []
      expect(stage, line).toMatchObject({ set_c, minutes, finish: true })
    }
    const first = read('pork shoulder 3 kg, 230 for 30 min then low and slow for 5 h, 6pm').roasts[0]?.stages
    expect(first?.map(({ finish, minutes }) => [finish, minutes])).toEqual([
      [undefined, 30],
      [undefined, 300],
    ])
  }, 20_000)
})

describe('who eats, and of what', () => {
  it('so many times an hour are people, of one that was weighed so many at an hour are too', () => {
    for (const line of [
      'sirloin 3.2 kg sat 7.30 x8',
      'sat 19:30 x 8, sirloin 3.2 kg',
      'sirloin 3.2kg 1930 x8',
      'sirloin 3.2 kg, 8 at 7.30',
    ])
      expect([read(line).guests, read(line).roasts.length], line).toEqual([8, 1])
    for (const [line, pieces] of [
      ['sirloin 3 kg x2 at 7.30', 2],
      ['ducks, 6 at 7', 6],
    ] as const)
      expect(
        read(line).roasts.reduce((sum, { count }) => sum + count, 0),
        line,
      ).toBe(pieces)
  })
})
