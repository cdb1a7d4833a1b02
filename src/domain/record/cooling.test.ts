import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fridgeFrom, minutesLain, settledBy } from './cooling'
import { keepsLimit, limitOf, recordEntry } from './record'

const FIRST = limitOf(null, 'cooling')

describe('leftovers in the record', () => {
  it('enters what settles a limit, and nothing that is on its way and in time', () => {
    expect(settledBy(FIRST, 'nothing', 45, 60)).toBeUndefined()
    expect(settledBy(FIRST, 'nothing', 20, 110)).toEqual(FIRST)
    expect(settledBy(FIRST, 'first_met', 12, 200)).toBeUndefined()
    expect(settledBy(FIRST, 'first_met', 4, 300)).toMatchObject({ most_c: 5, within_min: 360 })
    expect(settledBy(FIRST, 'over', 60, 700)).toBeUndefined()
  })

  it('calls nothing kept that was too warm too late (seed 2614)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('nothing' as const, 'first_met' as const),
        fc.double({ min: -5, max: 90, noNaN: true }),
        fc.integer({ min: 0, max: 2000 }),
        (sofar, value_c, minutes) => {
          const limit = settledBy(FIRST, sofar, value_c, minutes)
          if (!limit) return
          const kept = keepsLimit({ value_c, minutes, limit })
          const [most, within] = sofar === 'nothing' ? [21, 120] : [5, 360]
          expect(kept).toBe(value_c <= most && minutes <= within)
        },
      ),
      { seed: 2614, numRuns: 500 },
    )
  })

  it('has an entry for what is found in the fridge after a minute or after years', () => {
    const served = '2026-07-25T19:00:00Z'
    expect(minutesLain(served, '2026-07-25T18:00:00Z')).toBeUndefined()
    for (const [read, minutes] of [
      ['2026-07-25T19:00:20Z', 0],
      ['2026-07-26T19:00:00Z', 1440],
      ['2026-11-30T19:00:00Z', 20_160],
      ['2031-01-01T00:00:00Z', 20_160],
    ] as const) {
      const lain = minutesLain(served, read)
      expect(lain).toBe(minutes)
      const said = {
        id: 'board-left-first',
        kind: 'cooling',
        at: read,
        what: 'Left',
        value_c: 4,
        limit: FIRST,
        by: 'R',
      }
      const entry = recordEntry.parse({ ...said, minutes: lain })
      expect(keepsLimit(entry)).toBe(minutes <= 120)
    }
  })

  it('takes a fridge for what it was read at in the middle, and no freezer for one', () => {
    expect(fridgeFrom([3, -19, 4, 9, 4])).toBe(4)
    expect(fridgeFrom([])).toBeUndefined()
    expect(fridgeFrom([-20, 18])).toBeUndefined()
  })
})
