import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { CUTS } from '@/core/reference/cuts'
import { standardsOf } from '../house/standards'
import { readLine } from './reading'
import { piecesFor, weightTaken } from './weight-taken'

const AS_USUAL = standardsOf([])
const random = seededRandom(20261130)
const of = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T

describe('what is taken where a line says no weight', () => {
  it('for any table of any cut there is enough, and no piece is heavier than it is sold', () => {
    for (let round = 0; round < 2000; round++) {
      const cut = of(CUTS)
      const heads = 1 + Math.floor(random() * 60)
      const { taken_kg, pieces, sizes } = weightTaken(cut, {
        heads,
        bones: undefined,
        standards: AS_USUAL,
        alone: true,
      })
      expect(taken_kg).toBeLessThanOrEqual(cut.mass_kg.most)
      const enough = 0.95 * heads * cut.perHead_kg
      if (Math.ceil((heads * cut.perHead_kg) / cut.mass_kg.most) <= 40)
        expect(pieces * taken_kg, `${cut.id} for ${heads}`).toBeGreaterThanOrEqual(enough)
      expect(sizes.every(({ kg, pieces: many }) => kg > 0 && Number.isInteger(many) && many >= 1)).toBe(true)
    }
  }, 20_000)

  it('beside another roast, or where it was said how many there are, none is added', () => {
    const duck = CUTS.find(({ id }) => id === 'duck') ?? of(CUTS)
    expect(weightTaken(duck, { heads: 40, bones: undefined, standards: AS_USUAL }).pieces).toBe(1)
    expect(piecesFor(18, { most: 4.5 })).toBe(4)
    // More than anybody means: one, and its weight is refused with the most it may be.
    expect(piecesFor(1000, { most: 4.5 })).toBe(1)
  })

  it('what one tap would make of it is what was offered', () => {
    for (const line of ['turkey for 30, 6pm', 'lamb leg for 45, 7pm', 'striploin for 120, 7pm', 'duck for 7, 8pm']) {
      const reading = readLine(line, { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'UTC' })
      const ask = reading.ok && reading.value.asks.find(({ code }) => code === 'how_heavy')
      if (!reading.ok || !ask || !('options' in ask)) throw new Error(line)
      for (const { says, line: again } of ask.options) {
        const [, count = '1', kg = ''] = says.match(/^(?:(\d+) x )?([\d.]+) kg$/) ?? []
        const read = readLine(again, { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'UTC' })
        expect(read.ok && read.value.roasts.map((roast) => [roast.count, roast.mass_kg]), again).toEqual([
          [Number(count), Number(kg)],
        ])
      }
    }
  })

  it('of several roasts what is tapped is said of the one that was asked about, and of no other', () => {
    const context = { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'UTC' }
    for (const line of ['duck and goose for 12 7pm', 'rib and a leg of lamb 7pm', 'lamb leg; sirloin MR, 7pm']) {
      const reading = readLine(line, context)
      if (!reading.ok) throw new Error(line)
      const heavy = reading.value.asks.flatMap((ask) => (ask.code === 'how_heavy' ? [ask] : []))
      expect(heavy).toHaveLength(2)
      for (const { cut, options } of heavy)
        for (const { says, line: again } of options) {
          const read = readLine(again, context)
          if (!read.ok) throw new Error(again)
          expect(read.value.roasts.find((roast) => roast.cut === cut)?.mass_kg, again).toBe(
            Number(says.replace(' kg', '')),
          )
          expect(
            read.value.asks.filter(({ code }) => code === 'how_heavy'),
            again,
          ).toHaveLength(1)
        }
    }
  })
})
