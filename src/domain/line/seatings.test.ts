import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { documentFromLine } from '../meal/from-line'
import { PLAIN_KITCHEN } from '../meal/meal-problem'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const zone = { now_s: NOW, timeZone: 'Europe/London' }

/** Who is served when, by a line: each roast's cut and hour. */
function served(line: string): string[] {
  const reading = readLine(line, zone)
  if (!reading.ok) throw new Error(line)
  const document = documentFromLine(reading.value, NOW, PLAIN_KITCHEN)
  if (document?.kind !== 'meal') throw new Error(`${line} is no meal`)
  const { servings, roasts } = document.document
  return roasts.map(
    ({ roast, serving }) => `${roast.cut} ${servings.find(({ id }) => id === serving)?.at.slice(11, 16)}`,
  )
}

describe('several hours in one line', () => {
  it('are servings of one meal, each with its own roasts', () => {
    expect(served('turkey 6 kg at 2pm and a pork loin 2 kg at 6pm')).toEqual(['turkey 14:00', 'pork-loin 18:00'])
    expect(served('prime rib 3 kg at 6, another at 8:30')).toEqual(['beef-rib-bone-in 18:00', 'beef-rib-bone-in 20:30'])
    expect(served('two 2 kg pork loins at 6 and one at 8').toSorted()).toEqual([
      'pork-loin 18:00',
      'pork-loin 18:00',
      'pork-loin 20:00',
    ])
  })

  it('in turn where they are only listed', () => {
    expect(served('six strip loins 5 kg, 18:30 and 21:00').filter((each) => each.endsWith('18:30'))).toHaveLength(3)
  })

  it('one for each where each is weighed', () => {
    expect(served('rib 12.30 and 14.00, 3 kg each')).toEqual(['beef-rib-bone-in 12:30', 'beef-rib-bone-in 14:00'])
  })

  it('no day beside it is that of an hour which has its own', () => {
    const days = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday']
    for (const [at, eaten] of days.entries()) {
      const before = days[(at + 6) % 7]
      for (const line of [
        `pork shoulder 3 kg, eat ${eaten} at 6pm, put it on ${before} night at 110`,
        `put it on ${before} night at 110, pork shoulder 3 kg, eat ${eaten} at 6pm`,
      ]) {
        const reading = readLine(line, zone)
        const alone = readLine(`pork shoulder 3 kg, eat ${eaten} at 6pm`, zone)
        expect(reading.ok && alone.ok && reading.value.promise_s === alone.value.promise_s, line).toBe(true)
      }
    }
  })

  it('leave nobody out: every piece has one hour, and the first is the promise', () => {
    for (const line of [
      '4 strip loins 5 kg Saturday, two at 19:00 and the rest at 21:00',
      'turkey 6 kg and ham 3 kg at 2, pork loin 2 kg at 7',
      'rib 3 kg at 7, 4 more at 8:30',
    ]) {
      const reading = readLine(line, zone)
      if (!reading.ok) throw new Error(line)
      const { seatings = [], roasts, promise_s } = reading.value
      const pieces = seatings.flatMap((seating) => seating.pieces).toSorted((a, b) => a - b)
      const count = roasts.reduce((sum, roast) => sum + roast.count, 0)
      expect(pieces, line).toEqual(Array.from({ length: count }, (_, i) => i))
      expect(promise_s, line).toBe(seatings[0]?.at_s)
    }
  })

  it('days apart are two meals, and asked about', () => {
    const reading = readLine('turkey 6 kg 7pm friday and prime rib 3 kg 6pm saturday', zone)
    expect(reading.ok && reading.value.seatings).toBeUndefined()
    expect(reading.ok && reading.value.asks.some(({ code }) => code === 'said_twice')).toBe(true)
  })

  it('that do not add up are asked about', () => {
    const reading = readLine('3 chickens 1.6 kg, one at 6 and one at 7', zone)
    expect(reading.ok && reading.value.asks.some(({ code }) => code === 'said_twice')).toBe(true)
  })

  it.each([
    ['rib 3 kg saturday 6pm or 7pm', -1],
    ['rib 3 kg saturday 5 december, 6:30 for 7, kids eat at 5', -1],
    ['turkey 5 kg 6pm, 7pm', -1],
    // The one that they are said to eat at.
    ['rib 3 kg on friday, dinner at 7, or 8pm', 0],
  ])('of one roast are asked about, and each answer keeps the day: %s', (line, taken) => {
    const hoursOf = (text: string) => {
      const reading = readLine(text, zone)
      if (!reading.ok) throw new Error(text)
      const { meanings, asks, promise_s } = reading.value
      const hours = meanings.flatMap(({ fact }) => (fact.kind === 'moment' && fact.said !== 'day' ? [fact.at_s] : []))
      return { hours, promise_s, ask: asks.find(({ code }) => code === 'said_twice') }
    }
    const { hours, promise_s, ask } = hoursOf(line)
    expect(ask?.options).toHaveLength(2)
    expect(promise_s).toBe(hours.at(taken))
    const answered = ask?.options.map((option) => hoursOf(option.line)) ?? []
    expect(answered.map((answer) => answer.promise_s)).toEqual([hours[0], hours.at(-1)])
    for (const answer of answered) expect(answer.ask).toBeUndefined()
  })

  it('of two tables are as many who eat, whatever their numbers, and no such many joints (seed 74)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 120 }),
        fc.integer({ min: 2, max: 120 }),
        fc.constantFrom('and ', 'and then ', ''),
        fc.constantFrom(' ', ' more '),
        (first, second, and, more) => {
          // "Then 150 at 7" is an oven.
          fc.pre(and === 'and ' || second <= 40)
          const reading = readLine(`beef rib for ${first} at 12:30, ${and}${second}${more}at 14:30`, zone)
          if (!reading.ok) throw new Error('not read')
          const { guests, roasts } = reading.value
          expect(guests).toBe(first + second)
          const mass_kg = roasts.reduce((sum, { mass_kg: each, count }) => sum + each * count, 0)
          // Enough for each of them, and no more than a joint over at either table.
          expect(mass_kg / (first + second)).toBeGreaterThan(0.2)
          expect(mass_kg).toBeLessThan(0.8 * (first + second) + 20)
        },
      ),
      { seed: 74, numRuns: 60 },
    )
  })
})
