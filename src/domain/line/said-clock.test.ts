import { describe, expect, it } from 'vitest'
import { clocks } from './said-clock'
import { tokensOf } from './tokens'

const said = (line: string) => clocks(tokensOf(line), line).map(({ text }) => text)

/** A generator of its own, so that a seed says the same sentences everywhere. */
function* seeded(seed: number) {
  let state = seed
  for (;;) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    yield state / 2 ** 32
  }
}

describe('hours said in words', () => {
  it('of an hour are its middle, of two its beginning, whatever hours it lies between', () => {
    for (let from = 1; from <= 8; from++)
      for (const long of [1, 2]) {
        const eaten = `${from + 12}:${long === 1 ? '30' : '00'}`
        for (const line of [
          `between ${from} and ${from + long}`,
          `${from}-${from + long}pm`,
          `${from} pm to ${from + long} pm`,
        ])
          expect(said(line), line).toEqual([eaten])
      }
  })

  it('are not made of weights, tables, degrees or how long it takes', () => {
    for (const line of [
      '6-7 kg',
      'for 8-10 people',
      'for 8-10',
      '50-55 c',
      '160-170',
      '3-4 hours',
      '110 c 20 h',
      'half a turkey',
    ])
      expect(
        said(line).filter((word) => word.includes(':')),
        line,
      ).toEqual([])
  })

  it('and dates leave every other word as it was, in its place, for any words in any order', () => {
    const words =
      'half past to between and from the of 5 25th 26th november 6 7 - 7pm 20h 1930 h pm noon midnight at kg eight ish around ; é 鴨 9999999999'.split(
        ' ',
      )
    const random = seeded(51)
    const next = () => random.next().value as number
    let took_ms = 0
    for (let i = 0; i < 600; i++) {
      const line = Array.from(
        { length: 1 + Math.floor(next() * 14) },
        () => words[Math.floor(next() * words.length)],
      ).join(' ')
      const tokens = tokensOf(line)
      const began = performance.now()
      const made = clocks(tokens, line)
      took_ms += performance.now() - began
      const own = new Set(tokens.map(({ text }) => text))
      let last = 0
      for (const { text, from, to } of made) {
        expect(from, line).toBeGreaterThanOrEqual(last)
        expect(to, line).toBeGreaterThan(from)
        last = to
        if (!own.has(text)) expect(text, line).toMatch(/^(?:[01]?\d|2[0-4]):[0-5]\d$/)
      }
      expect(made.at(-1)?.to).toBe(tokens.at(-1)?.to)
    }
    expect(took_ms).toBeLessThan(2000)
  })
})
