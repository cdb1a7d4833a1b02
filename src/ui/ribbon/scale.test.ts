import { describe, expect, it } from 'vitest'
import { ribbonScale, rowsFor, tickStep } from './scale'

const frame = { from_s: 1000, to_s: 11_000, left: 40, right: 840, top: 10, bottom: 110 }

describe('the scale of the ribbon', () => {
  it('ends at the promise on the right, and the pointer reads back what was drawn', () => {
    const scale = ribbonScale(frame)
    expect(scale.x(frame.to_s)).toBeCloseTo(frame.right, 9)
    for (const at_s of [1000, 3210, 9999]) expect(scale.at(scale.x(at_s))).toBeCloseTo(at_s, 6)
  })
  it('hotter is higher, and nothing leaves the band: not an oven at 250 °C, not a freezer', () => {
    const { y } = ribbonScale(frame)
    expect(y(60)).toBeLessThan(y(20))
    expect(y(250)).toBe(frame.top)
    expect(y(-18)).toBe(frame.bottom)
  })
  it('ticks are round and leave their room, for a steak and for two days', () => {
    for (const perPixel of [2, 10, 60, 200]) {
      const step = tickStep(perPixel, 60)
      expect(step).toBeGreaterThanOrEqual(perPixel * 60)
      expect(step % 900).toBe(0)
    }
  })
  it('labels of one row never overlap while there is a free row', () => {
    const labels = [0, 30, 60, 200, 215].map((x) => ({ x, width: 50 }))
    const rows = rowsFor(labels, 3)
    labels.forEach((one, i) => {
      for (const [k, two] of labels.entries())
        if (k > i && rows[k] === rows[i]) expect(two.x).toBeGreaterThanOrEqual(one.x + one.width)
    })
    expect(Math.max(...rows)).toBeLessThan(3)
  })
})
