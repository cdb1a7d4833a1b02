import { describe, expect, it } from 'vitest'
import { ovenWays } from './oven-air'
import { seededRandom } from './random'

const IN_S = 3600
const OUT_S = IN_S + 9000
const DOORS = [IN_S + 4000, IN_S + 7000]
/** An oven at 180 °C that warms, swings and loses as said, read each 20 s with half a degree of noise. */
function airOf({ k_per_min = 12, swing_k = 5, loss = 0.35, cold = true } = {}) {
  const random = seededRandom(5)
  return Array.from({ length: 640 }, (_, i) => {
    const at_s = i * 20
    const warm_c = cold ? Math.min(180, 22 + (k_per_min / 60) * Math.max(0, at_s - 600)) : 180
    const steady = warm_c >= 180 ? warm_c + swing_k * Math.sin((2 * Math.PI * at_s) / 600) : warm_c
    const open_s = Math.min(...DOORS.map((door_s) => (at_s > door_s ? at_s - door_s : Number.POSITIVE_INFINITY)))
    const fallen = Number.isFinite(open_s) ? loss * Math.exp(-Math.max(0, open_s - 40) / 200) : 0
    return { at_s, value_c: steady - fallen * (steady - 21) + (random() - 0.5) }
  })
}
const told = (air: ReturnType<typeof airOf>) => ovenWays(air, { in_s: IN_S, out_s: OUT_S, set_c: 180, doors_s: DOORS })

describe('what a probe in the air says of an oven', () => {
  it('is nothing of the usual one', () => {
    const { preheat, door, swing } = told(airOf())
    expect(preheat).toBeCloseTo(0, 1)
    expect(Math.abs(door ?? 9)).toBeLessThan(0.15)
    expect(Math.abs(swing ?? 9)).toBeLessThan(0.2)
  })

  it('tells a slow one from a quick one, a tight door from a loose one, a thermostat that swings', () => {
    expect(told(airOf({ k_per_min: 7 })).preheat).toBeCloseTo(Math.log(7 / 12), 1)
    expect(told(airOf({ k_per_min: 20 })).preheat).toBeCloseTo(Math.log(20 / 12), 1)
    expect(told(airOf({ loss: 0.15 })).door ?? 0).toBeLessThan(-0.5)
    expect(told(airOf({ loss: 0.55 })).door ?? 0).toBeGreaterThan(0.3)
    expect(told(airOf({ swing_k: 12 })).swing ?? 0).toBeGreaterThan(0.6)
  })

  it('says nothing of what it did not see', () => {
    expect(told(airOf({ cold: false })).preheat).toBeUndefined()
    expect(ovenWays(airOf(), { in_s: IN_S, out_s: OUT_S, set_c: 180, doors_s: [] }).door).toBeUndefined()
    expect(ovenWays([], { in_s: 0, out_s: 9000, set_c: 180, doors_s: DOORS })).toEqual({
      preheat: undefined,
      door: undefined,
      swing: undefined,
      decay: undefined,
    })
    expect(ovenWays(airOf().slice(0, 3), { in_s: 5, out_s: 4, set_c: 0, doors_s: DOORS }).swing).toBeUndefined()
  })

  it('tells how slowly it cools once it is off and shut, and says nothing where it was opened or stays on', () => {
    const off = (decay_min: number, more: (s: number) => number = () => 0) =>
      Array.from({ length: 120 }, (_, i) => {
        const since_s = i * 30
        return {
          at_s: OUT_S + 600 + since_s + 1,
          value_c: 21 + 150 * Math.exp(-since_s / (60 * decay_min)) + more(since_s),
        }
      })
    const asked = (air: ReturnType<typeof off>) =>
      ovenWays(air, { in_s: IN_S, out_s: OUT_S, set_c: 180, doors_s: [] }).decay
    for (const minutes of [30, 55, 90]) expect(asked(off(minutes))).toBeCloseTo(Math.log(minutes / 55), 1)
    expect(asked(off(55, (s) => (s > 1200 ? -30 : 0)))).toBeUndefined()
    expect(asked(off(1e6))).toBeUndefined()
    expect(asked(off(6))).toBeUndefined()
  })
})
