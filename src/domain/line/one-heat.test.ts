import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { oneHeat } from './one-heat'
import { tokensOf } from './tokens'

const read = (line: string) =>
  oneHeat(tokensOf(line), line)
    .map(({ text }) => text)
    .join(' ')
const plain = (line: string) =>
  tokensOf(line)
    .map(({ text }) => text)
    .join(' ')

describe('a heat that is printed for every oven', () => {
  it.each([
    ['roast at 180C/160C fan/gas 4 for an hour', 'roast at 160 c fan for an hour'],
    ['oven 200°C (fan 180°C), 20 min', '180 c fan 20 min'],
    ['220/200 fan', '200 fan'],
    ['180°C, fan 160°C, gas mark 4', '160 c fan'],
    ['180C fan 160C gas 4', '160 c fan'],
    ['350F/180C/160C fan, rest 20', '160 c fan rest 20'],
    ['220C/200C fan then 180C/160C fan', '200 c fan then 160 c fan'],
  ])('is that of the fan oven: %s', (line, wanted) => {
    expect(read(line)).toBe(wanted)
  })

  it.each([
    '160 fan',
    'fan oven 160 to 54',
    '160 fan/54 core',
    '180C/gas 4',
    '160 fan, 2 kg',
    '180 for 20, then 160 fan',
    '1/2 kg fan',
  ])('and what is no such list is left: %s', (line) => {
    expect(read(line)).toBe(plain(line))
  })

  it('is within the line, whatever the words and their order', () => {
    const random = seededRandom(29111)
    const words = [
      '180',
      '160',
      '/',
      'fan',
      'c',
      'gas',
      '4',
      'oven',
      ',',
      '(',
      ')',
      '180/160',
      'mark',
      '9',
      '½',
      'é',
      '2 kg',
      '.',
    ]
    for (let i = 0; i < 2000; i++) {
      const line = Array.from(
        { length: 1 + Math.floor(random() * 14) },
        () => words[Math.floor(random() * words.length)],
      ).join(random() < 0.5 ? ' ' : '')
      const before = tokensOf(line)
      const after = oneHeat(before, line)
      expect(after.length).toBeLessThanOrEqual(2 * before.length)
      let last = 0
      for (const { from, to } of after) {
        expect(from).toBeGreaterThanOrEqual(last)
        expect(to).toBeGreaterThanOrEqual(from)
        last = to
      }
      expect(last).toBeLessThanOrEqual(line.length)
      // Where no fan is said nothing is taken away.
      if (!line.includes('fan')) expect(after).toEqual(before)
    }
  })
})
