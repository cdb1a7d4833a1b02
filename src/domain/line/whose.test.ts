import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const read = (line: string) => {
  const reading = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return reading.value
}
const NAMES = ['turkey', 'beef rib', 'lamb leg', 'pork loin', 'chicken', 'duck', 'goose', 'brisket', 'venison haunch']
const SEPARATORS = [', ', '; ', '. ']

describe('a name that is said again', () => {
  it('says more of the piece that was weighed, in any order, and is no other roast', () => {
    const random = seededRandom(41)
    const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
    const began = performance.now()
    for (let i = 0; i < 200; i++) {
      const names = NAMES.toSorted(() => random() - 0.5).slice(0, 2 + Math.floor(2 * random()))
      const kgs = names.map(() => Math.round(10 * (1.5 + 3 * random())) / 10)
      const heats = names.map(() => 100 + 10 * Math.floor(10 * random()))
      const said = names.map((name, n) => `${name} ${kgs[n]} kg`).join(one([', ', ' and ']))
      const again = names
        .map((name, n) => `${one(['', 'the '])}${name} at ${heats[n]} C`)
        .toSorted(() => random() - 0.5)
        .join(one(SEPARATORS))
      const line = `${said}${one(SEPARATORS)}${random() < 0.5 ? `7 pm${one(SEPARATORS)}${again}` : `${again}${one(SEPARATORS)}7 pm`}`
      const { roasts, asks } = read(line)
      expect(
        roasts.map(({ mass_kg, set_c, count }) => [mass_kg, set_c, count]),
        line,
      ).toEqual(names.map((_, n) => [kgs[n], heats[n], 1]))
      expect(
        asks.filter(({ code }) => code !== 'which_cut'),
        line,
      ).toEqual([])
    }
    expect(performance.now() - began).toBeLessThan(30_000)
  })

  it('is weighed then, where it was only named before: a list, and what each of it weighs', () => {
    const random = seededRandom(64)
    const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
    const began = performance.now()
    for (let i = 0; i < 200; i++) {
      const names = NAMES.toSorted(() => random() - 0.5).slice(0, 2 + Math.floor(2 * random()))
      const kgs = names.map(() => Math.round(10 * (1.5 + 3 * random())) / 10)
      const order = names.map((_, n) => n).toSorted(() => random() - 0.5)
      const weighed = order.map((n) => `${names[n]} ${kgs[n]} kg`).join(', ')
      const line = `${names.map((name) => `${one(['', 'a '])}${name}`).join(' and ')}${one([' at 7 pm, ', ' for 7 pm, '])}${weighed}`
      expect(
        read(line).roasts.map(({ mass_kg, count }) => [mass_kg, count]),
        line,
      ).toEqual(names.map((_, n) => [kgs[n], 1]))
    }
    expect(performance.now() - began).toBeLessThan(30_000)
  })

  it('is another one where it has a weight, a number or an article of its own', () => {
    const weights = (line: string) => read(line).roasts.map(({ mass_kg, count }) => `${count} x ${mass_kg}`)
    expect(weights('chicken 1.5 kg and chicken 2 kg, 7 pm')).toEqual(['1 x 1.5', '1 x 2'])
    expect(weights('chicken 1.5 kg at 6 pm and another chicken at 8 pm')).toHaveLength(2)
    expect(weights('turkey 6 kg, two turkeys 5 kg, 3 pm')).toEqual(['1 x 6', '2 x 5'])
    expect(read('chicken 2 kg at 6 pm and chicken at 8 pm').seatings).toHaveLength(2)
  })

  it('has its own hour: each is on the table at that', () => {
    const { roasts, seatings } = read('turkey 6 kg and beef rib 3 kg, turkey at 2 pm, rib at 7 pm')
    expect(roasts.map(({ cut }) => cut)).toEqual(['turkey', 'beef-rib-bone-in'])
    expect(seatings?.map(({ at_s }) => new Date(at_s * 1000).getUTCHours())).toEqual([14, 19])
  })

  it('is shown as what it was named, and not asked about again', () => {
    const named = read('turkey 6 kg and beef rib 3 kg, 3 pm, the beef rare').meanings.flatMap(({ fact }) =>
      fact.kind === 'cut' ? [fact.ids] : [],
    )
    expect(named).toEqual([['turkey'], ['beef-rib-bone-in'], ['beef-rib-bone-in']])
  })

  it('no name goes on after a comma', () => {
    expect(read('pork shoulder 3 kg pulled, pork loin 2 kg 63 C, 6 pm').roasts.map(({ cut }) => cut)).toEqual([
      'pork-shoulder',
      'pork-loin',
    ])
  })
})
