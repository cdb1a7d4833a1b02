import { describe, expect, it } from 'vitest'
import { newSurroundings, setSurroundings } from './environment'
import { DOMESTIC_OVEN, OvenState, preheatSeconds } from './oven'
import { HEAT_PARAMETERS } from './parameters'

const still = { ...DOMESTIC_OVEN, swing_k: 0 }
const run = (oven: OvenState, seconds: number, set_c: number | undefined, drawn_w = 0) => {
  for (let t = 0; t < seconds; t += 30) oven.step(30, set_c, drawn_w)
}

describe('an oven', () => {
  it('heats from cold in the ten to twenty-five minutes that ovens take (common practice)', () => {
    for (const set_c of [150, 180, 220]) {
      expect(preheatSeconds(still, set_c)).toBeGreaterThan(8 * 60)
      expect(preheatSeconds(still, set_c)).toBeLessThan(25 * 60)
      const oven = new OvenState(still)
      oven.cold()
      run(oven, preheatSeconds(still, set_c), set_c)
      expect(oven.air_c).toBeCloseTo(set_c, 0)
    }
    expect(preheatSeconds(still, 150, 150)).toBe(0)
  })

  it('lies by its offset, and swings about its setting', () => {
    const oven = new OvenState({ ...still, offset_k: 12 })
    oven.preheated(160)
    run(oven, 1800, 160)
    expect(oven.air_c).toBeCloseTo(172, 1)
    const swinging = new OvenState({ ...DOMESTIC_OVEN, swing_k: 8 })
    swinging.preheated(160)
    let low = 999
    let high = 0
    for (let t = 0; t < 3600; t += 30) {
      swinging.step(30, 160, 0)
      low = Math.min(low, swinging.air_c)
      high = Math.max(high, swinging.air_c)
    }
    expect(high).toBeGreaterThan(163)
    expect(low).toBeLessThan(157)
  })

  it('loses air at an open door, keeps most of its walls, and recovers', () => {
    const oven = new OvenState(still)
    oven.preheated(180)
    oven.openDoor()
    expect(oven.air_c).toBeLessThan(140)
    expect(oven.wall_c).toBeGreaterThan(165)
    run(oven, 600, 180)
    expect(oven.air_c).toBeCloseTo(180, 0)
  })

  it('switched off it cools by its time constant, and a cold roast draws it down faster', () => {
    const empty = new OvenState(still)
    empty.preheated(260)
    run(empty, still.decay_s, undefined)
    expect((empty.air_c - 21) / (260 - 21)).toBeCloseTo(Math.exp(-1), 1)
    const loaded = new OvenState(still)
    loaded.preheated(260)
    run(loaded, still.decay_s, undefined, 200)
    expect(loaded.air_c).toBeLessThan(empty.air_c - 10)
  })
})

describe('what the surface meets', () => {
  const around = (...of: Parameters<typeof setSurroundings> extends [unknown, ...infer Rest] ? Rest : never) => {
    const into = newSurroundings()
    setSurroundings(into, ...of)
    return { ...into }
  }

  it('a fan gives more contact than still air, a bath more than both', () => {
    const contact = (...of: Parameters<typeof around>) => around(...of).convection_w_per_m2k
    const still_h = contact('oven', 'still', 'bare', HEAT_PARAMETERS)
    const fan_h = contact('oven', 'fan', 'bare', HEAT_PARAMETERS)
    const bath_h = contact('bath', 'still', 'bag', HEAT_PARAMETERS)
    expect(fan_h).toBeGreaterThan(still_h)
    expect(bath_h).toBeGreaterThan(fan_h * 3)
  })

  it('foil keeps heat and water in; a bag lets no water go; a tent does little', () => {
    const bare = around('oven', 'still', 'bare', HEAT_PARAMETERS)
    const foil = around('oven', 'still', 'foil', HEAT_PARAMETERS)
    const tent = around('counter', 'still', 'tent', HEAT_PARAMETERS)
    const open = around('counter', 'still', 'bare', HEAT_PARAMETERS)
    expect(foil.emissivity).toBeLessThan(bare.emissivity / 2)
    expect(foil.evaporation).toBeLessThan(0.1)
    expect(around('oven', 'still', 'bag', HEAT_PARAMETERS).evaporation).toBe(0)
    expect(tent.convection_w_per_m2k).toBeLessThan(open.convection_w_per_m2k)
    expect(around('bath', 'still', 'bare', HEAT_PARAMETERS).emissivity).toBe(0)
  })
})
