import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { doubtOf } from './plausible'

const before = { latest: { at_s: 0, value_c: 42 }, start_c: 5, now_s: 600 }

describe('a reading typed by hand', () => {
  it.each([
    ['a little more than before', 46, false, undefined],
    ['another spot, a little less', 36, false, undefined],
    ['a point forgotten', 455, false, { value_c: 45.5, as: 'tenth' }],
    ['°F in a kitchen of °C', 113, false, { value_c: 45, as: 'fahrenheit' }],
    ['°C in a kitchen of °F', 45, true, { value_c: 45, as: 'celsius' }],
    ['°F in its own kitchen', 113, true, undefined],
    ['twenty degrees in ten minutes too many', 92, false, null],
    ['less than it went in with', -18, false, null],
  ] as const)('%s', (_, typed, fahrenheit, meant) => {
    const doubt = doubtOf(typed, fahrenheit, before)
    if (meant === undefined) expect(doubt).toBeUndefined()
    else if (meant === null) expect(doubt).toMatchObject({ last_c: 42 })
    else expect(doubt?.meant[0]).toMatchObject({ as: meant.as, value_c: expect.closeTo(meant.value_c, 1) })
  })

  it('an oven may be anything, and a first reading anything that meat can be', () => {
    expect(doubtOf(165, false, before, true)).toBeUndefined()
    expect(doubtOf(61, false, { latest: undefined, start_c: 5, now_s: 0 })).toBeUndefined()
    expect(
      doubtOf(140, false, { latest: undefined, start_c: 5, now_s: 0 })
        ?.meant.map(({ as }) => as)
        .sort(),
    ).toEqual(['fahrenheit', 'tenth'])
  })

  it('whatever is typed, what is offered in its place would itself be believed', () => {
    const random = seededRandom(451)
    for (let i = 0; i < 100_000; i++) {
      const latest = random() < 0.8 ? { at_s: 0, value_c: -5 + random() * 100 } : undefined
      const now_s = random() * 20_000
      const fahrenheit = random() < 0.5
      const typed = (random() - 0.3) * 10 ** Math.floor(random() * 7)
      for (const { value_c } of doubtOf(typed, fahrenheit, { latest, start_c: 5, now_s })?.meant ?? []) {
        expect(Number.isFinite(value_c)).toBe(true)
        expect(doubtOf(value_c, false, { latest, start_c: 5, now_s })).toBeUndefined()
      }
    }
  })
})
