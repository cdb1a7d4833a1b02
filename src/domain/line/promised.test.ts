import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const zone = { now_s: NOW, timeZone: 'Europe/London' }
/** Each on its own date after the Tuesday that it is. */
const DAYS = ['wednesday', 'thursday', 'friday', 'saturday', 'sunday', 'christmas day', 'boxing day', '31 december']
const day = fc.constantFrom(...DAYS)
const clock = fc.constantFrom('', ' at 1pm', ' 19:00', ' at half past six')

function read(line: string) {
  const reading = readLine(line, zone)
  if (!reading.ok) throw new Error(line)
  const twice = reading.value.asks.find(({ code }) => code === 'said_twice')
  return { ...reading.value, twice: twice?.code === 'said_twice' ? twice : undefined }
}

describe('two days in one line', () => {
  it('are asked about wherever they differ, and each answer leaves one', () => {
    fc.assert(
      fc.property(day, day, clock, (first, second, hour) => {
        const line = `turkey 6 kg for ${first} and beef rib 3 kg for ${second}${hour}`
        const { twice } = read(line)
        expect(twice !== undefined, line).toBe(first !== second)
        for (const { line: other } of twice?.options ?? []) expect(read(other).twice, other).toBeUndefined()
      }),
      { seed: 91, numRuns: 120 },
    )
  })

  it('of one roast: the one that is taken is that of the promise', () => {
    fc.assert(
      fc.property(day, day, (first, second) => {
        fc.pre(first !== second)
        const { twice, promise_s } = read(`rib 3 kg ${first} or ${second} 7pm`)
        const alone = read(`rib 3 kg ${twice?.taken}`)
        expect(promise_s).toBe(alone.promise_s)
      }),
      { seed: 92, numRuns: 60 },
    )
  })

  it('are none where one was only the day before, or that they eat is said', () => {
    for (const line of [
      'turkey 5 kg brined since monday, thursday 4pm',
      'rib 3 kg bought friday, eat saturday at 7pm',
      'cook today, serve tomorrow 7pm, pork shoulder 3 kg',
      'thanksgiving turkey 5 kg, thursday 4pm',
    ])
      expect(read(line).twice, line).toBeUndefined()
  })
})

describe('an hour beside who eats', () => {
  it('a bare "for 7" is one only where nobody says another and they are counted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 2, max: 40 }), (hour, people) => {
        const open = read(`lamb leg 2 kg for ${hour}, ${people} people`)
        expect(open.guests).toBe(people)
        expect(new Date((open.promise_s ?? 0) * 1000).getUTCHours() % 12).toBe(hour % 12)
        const alone = read(`lamb leg 2 kg for ${hour} at 19:00`)
        expect(alone.guests).toBe(hour)
      }),
      { seed: 93, numRuns: 80 },
    )
  })
})

describe('what is not wanted', () => {
  it('is no wish for it', () => {
    const wanted = (line: string) => read(line).roasts[0]?.doneness
    expect(wanted('beef rib 3 kg, not rare, 7pm')).toBe('medium')
    expect(wanted('beef rib 3 kg, never well done, 7pm')).toBeUndefined()
    expect(wanted('pork loin 2 kg, nothing pink, 7pm')).toBe('well-done')
    expect(wanted('beef rib 3 kg medium rare, not overdone, 7pm')).toBe('medium-rare')
  })
})

describe('nothing is eaten before it goes in', () => {
  const at = (line: string, hour: string) => {
    const now_s = Date.parse(`2026-11-24T${hour}:00Z`) / 1000
    const read = readLine(line, { now_s, timeZone: 'Europe/London' })
    if (!read.ok) throw new Error(line)
    const { promise_s, put_in_s, isIn } = read.value
    const iso = (each_s: number | undefined) =>
      each_s === undefined ? undefined : new Date(each_s * 1000).toISOString().slice(8, 16)
    return { eat: iso(promise_s), since: isIn ? iso(put_in_s) : undefined }
  }

  it('said just after its hour it is in since then; before it, and with a day, it goes in', () => {
    const line = 'turkey 5kg goes in at 9, eat at 2pm'
    expect(at(line, '08:30')).toEqual({ eat: '24T14:00', since: undefined })
    for (const hour of ['09:00', '09:30', '11:30'])
      expect(at(line, hour)).toEqual({ eat: '24T14:00', since: '24T09:00' })
    expect(at(line, '14:30')).toEqual({ eat: '25T14:00', since: undefined })
    for (const hour of ['08:30', '09:30', '14:30']) {
      expect(at('turkey 5kg goes in at 9 tomorrow, eat at 2pm', hour)).toEqual({ eat: '25T14:00', since: undefined })
      expect(at('turkey 5kg, in at 9 on thursday, eat at 2', hour)).toEqual({ eat: '26T14:00', since: undefined })
    }
  })
})
