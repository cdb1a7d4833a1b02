import { describe, expect, it } from 'vitest'
import { FOUND } from '@/domain/line/corpus/found'
import { LINES } from '@/domain/line/corpus/lines'
import { readLine } from '@/domain/line/reading'
import { askWords, factWords } from './line-words'
import type { Units } from './units'

const NOW = Date.UTC(2026, 10, 28, 9) / 1000
const units: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'Europe/London' }
const read = (line: string) => {
  const reading = readLine(line, { now_s: NOW, timeZone: units.timeZone })
  if (!reading.ok) throw new Error(line)
  return reading.value
}
const said = (line: string) => read(line).meanings.map(({ fact }) => factWords(fact, units, NOW))

describe('what a line was taken to mean', () => {
  it('is said of every meaning, in words with nothing left in them', () => {
    for (const [line] of [...LINES, ...FOUND]) {
      const { meanings, asks } = read(line)
      for (const { fact } of meanings) {
        const words = factWords(fact, units, NOW)
        if (fact.kind !== 'traits') expect(words, `${line}: ${fact.kind}`).toBeTruthy()
        expect(words ?? '', line).not.toMatch(/undefined|NaN|\[object|Infinity/)
      }
      for (const ask of asks) expect(askWords(ask, units), line).not.toMatch(/undefined|NaN|\[object|Infinity/)
    }
  })

  it('a time that stands for itself, pieces in brackets, and a table of one wish', () => {
    expect(said('turkey 14 lbs, 425F, 80 minutes')).toEqual(['Turkey', '6.35 kg', 'oven 425 °F', 'for 1 h 20 min'])
    expect(said('pork tenderloins (2), 500 g each')).toContain('2 of them')
    expect(said('two small chickens and a large one')).toContain('1 more')
    expect(said('lamb leg 2 kg medium for 4')).toEqual(expect.arrayContaining(['medium', '4 at the table']))
  })

  it('a sear is said where it comes: before the oven, or after its reading', () => {
    expect(said('venison loin 1 kg, sear, 120 to 50').at(-2)).toBe('pan first')
    expect(said('venison loin 1 kg, 120 to 50, sear').at(-1)).toBe('then hot')
    expect(said('venison loin 1 kg, 120 to 50, pan sear').at(-1)).toBe('then a hot pan')
  })

  it('a day that is far off has its year, a near one has none', () => {
    expect(said('turkey 5 kg thanksgiving')).toContain('on the table Thu, 25 Nov 2027 19:00')
    expect(said('turkey 5 kg christmas day at 3')).toContain('on the table Fri 25 Dec 15:00')
  })

  it('an hour that was not said is told in hours', () => {
    const ask = read('pork shoulder 2.5 kg').asks.find(({ code }) => code === 'what_time')
    expect(ask && askWords(ask, units)).toBe('When do they eat? Taken as nine hours from now.')
  })

  it('a day and an hour said apart are shown as the one moment they are', () => {
    const moments = said('cooked ham 4 kg christmas dinner, at 4').filter((words) => words?.includes('on the table'))
    expect(moments).toEqual(['on the table Fri 25 Dec 16:00', 'on the table Fri 25 Dec 16:00'])
    expect(said('turkey 5 kg, guests come at 17:00, we eat at 18:00')).toContain('on the table Sat 28 Nov 18:00')
  })

  it('what is understood and cannot be planned says of what', () => {
    const asked = (line: string) => {
      const ask = read(line).asks.find(({ code }) => code === 'what_is')
      return ask && askWords(ask, units)
    }
    expect(asked('turkey 5 kg spatchcocked, stuffed')).toBe(
      '“stuffed” cannot be planned for turkey: its times are those without it.',
    )
    expect(asked('smoked duck 2 kg')).toContain('cannot be planned for duck')
    expect(asked('beef wellington 1.2 kg')).toContain('“wellington” cannot be planned for beef tenderloin, whole')
    expect(asked('oxtail')).toContain('not planned here')
    expect(asked('duck breast')).toContain('parts of a bird are not planned here')
    expect(asked('8 chicken thighs')).toContain('parts of a bird are not planned here')
  })
})
