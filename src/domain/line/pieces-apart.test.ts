import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { readLine } from './reading'

const NOW_S = Date.UTC(2026, 10, 24, 9) / 1000
const read = (line: string) => {
  const found = readLine(line, { now_s: NOW_S, timeZone: 'Europe/London' })
  if (!found.ok) throw new Error(line)
  return found.value
}
const said = (line: string) =>
  read(line).roasts.map(({ mass_kg, doneness, count, set_c }) => ({ mass_kg, doneness, count: count ?? 1, set_c }))

describe('pieces of one cut, told one by one', () => {
  it('each has the weight and the doneness that stand at its place, in whatever order they are said', () => {
    const random = seededRandom(4711)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    const COUNTS = ['', '', 'two', 'three', 'four']
    for (let round = 0; round < 200; round++) {
      const count = 2 + Math.floor(random() * 3)
      const pieces = Array.from({ length: count }, (_, i) => ({
        kg: 2 + i / 2 + Math.floor(random() * 4) / 10,
        done: pick(['rare', 'medium rare', 'medium', 'well done']),
      }))
      const joined = (words: string[]) => words.join(pick([', ', ' and ']))
      const line = `${COUNTS[count]} prime ribs, ${joined(pieces.map(({ kg, done }) => `one ${kg}kg ${done}`))}, oven 150, 7pm`
      const found = said(line)
      expect(
        found.map(({ mass_kg, doneness }) => [mass_kg, doneness?.replace('-', ' ')]),
        line,
      ).toEqual(pieces.map(({ kg, done }) => [kg, done]))
      // What is said once is said of all.
      expect(
        found.every(({ set_c, count: own }) => set_c === 150 && own === 1),
        line,
      ).toBe(true)
      expect(read(line).asks, line).toEqual([])
    }
  })

  it('fewer weights than pieces are asked about, and what guests want stays theirs', () => {
    expect(read('three prime ribs, one 3kg one 2kg, 7pm').asks.map(({ code }) => code)).toEqual(['said_twice'])
    const wishes = read('two small ribs 2kg each for 2, one rare one medium, 7pm')
    expect(wishes.roasts).toHaveLength(1)
    expect(wishes.wishes).toEqual({ rare: 1, medium: 1 })
    expect(read('rib 3kg, one rare one medium, 7pm').wishes).toEqual({ rare: 1, medium: 1 })
  })

  it('of two sizes each has its own weight, and none is left out', () => {
    const random = seededRandom(65)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    for (let round = 0; round < 200; round++) {
      const [first, more] = [2 + Math.floor(random() * 4), 1 + Math.floor(random() * 3)]
      const [small, big] = [1.2 + Math.floor(random() * 5) / 10, 2 + Math.floor(random() * 9) / 10]
      const weighed = pick([`${first} chickens ${small} kg`, `${first} x ${small} kg chickens`])
      const others = more === 1 ? pick(['a bigger one', 'one large one']) : `${more} ${pick(['big', 'larger'])} ones`
      const line = `${weighed}${pick([' and ', ', ', ' plus '])}${others} ${pick(['', 'of '])}${big} kg, 7pm`
      expect(
        said(line).map(({ mass_kg, count }) => [mass_kg, count]),
        line,
      ).toEqual([...Array(first).fill([small, 1]), ...Array(more).fill([big, 1])])
      const unweighed = `${first} small chickens${pick([' and ', ', '])}${others}, 7pm`
      expect(
        said(unweighed).reduce((sum, { count }) => sum + count, 0),
        unweighed,
      ).toBe(first + more)
    }
  })

  it('they are eaten in their turn where as many hours are said', () => {
    const { seatings } = read('two chickens, one 1.5kg at 6 and one 2kg at 8')
    expect(seatings?.map(({ pieces }) => pieces)).toEqual([[0], [1]])
  })
})
