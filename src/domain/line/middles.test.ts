import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { middles } from './middles'
import { tokensOf } from './tokens'

const read = (line: string) =>
  middles(tokensOf(line), line)
    .map(({ text }) => text)
    .join(' ')

describe('so much to so much', () => {
  it.each([
    ['rest 30-40 min', 'rest 35 min'],
    ['3 to 4 hours at 100', '3.5 hours at 100'],
    ['250 for 10 or 15 minutes', '250 for 12.5 minutes'],
    ['core 54-56C', 'core 55 c'],
    ['half a dozen ducks', '6 ducks'],
    ['oven 120 – 130 °C', 'oven 125 c'],
  ])('is the middle of it: %s', (line, wanted) => {
    expect(read(line)).toBe(wanted)
  })

  it.each(['120 to 54 C', '110 to 54 C', '5-40 minutes', '17-19h', '3-4 kg', 'from 6 to 7', '8-4 hours', '20-90 C'])(
    'is left where it says something else: %s',
    (line) => {
      expect(read(line)).toBe(
        tokensOf(line)
          .map(({ text }) => text)
          .join(' '),
      )
    },
  )

  it('takes nothing else from any words in any order', () => {
    const random = seededRandom(27111)
    const words = ['3', '-', '4', 'hours', 'to', 'or', 'min', 'c', '9999999999', 'é', ';', '½', '0', '7', 'h', '–']
    for (let i = 0; i < 2000; i++) {
      const line = Array.from(
        { length: 1 + Math.floor(random() * 12) },
        () => words[Math.floor(random() * words.length)],
      ).join(random() < 0.5 ? ' ' : '')
      const before = tokensOf(line)
      const after = middles(before, line)
      expect(after.at(-1)?.to).toBe(before.at(-1)?.to)
      for (const token of after) {
        const same = before.find(({ from }) => from === token.from)
        if (same?.to === token.to) expect(token.text).toBe(same.text)
        else expect(Number(token.text)).toBeGreaterThan(Number(same?.text))
      }
    }
  })
})
