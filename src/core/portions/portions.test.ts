import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { bodiesOf } from '../heat/piece'
import { findSchool, programOf, type School } from '../program/schools'
import { rest } from '../program/schools/parts'
import { CUTS, type Cut, findCut } from '../reference/cuts'
import { cook } from '../simulate/cook'
import { buyFor, coldWaterThawSeconds, thawSeconds } from './buy'
import { gravyFor } from './gravy'
import { yieldOf } from './portions'

const cut = (id: string) => findCut(id) as Cut
const steady = findSchool('steady') as School
const yieldAt = (id: string, mass_kg: number, set_c: number, pull_c: number, rest_min?: number) => {
  const usual = programOf(steady, { ...steady.usual(cut(id)), set_c }, cut(id), mass_kg)
  const stages = usual.stages.map((stage) =>
    stage.role === 'rest' && rest_min !== undefined ? { ...stage, until: rest(rest_min).until } : stage,
  )
  const bodies = bodiesOf({ cut: cut(id), mass_kg }, HEAT_PARAMETERS)
  const run = cook({
    bodies,
    program: { ...usual, stages },
    oven: { ...DOMESTIC_OVEN, swing_k: 0 },
    start_c: 5,
    pull_c: bodies.map(() => pull_c),
    parameters: HEAT_PARAMETERS,
  })
  return yieldOf(cut(id), mass_kg, run)
}

describe('what to buy', () => {
  it('feeds the heads, in pieces the cut comes in, for every cut', () => {
    for (const each of CUTS)
      for (const heads of [1, 6, 20, 75]) {
        const { mass_kg, pieces } = buyFor(each, heads, undefined)
        expect(mass_kg * pieces).toBeGreaterThanOrEqual(heads * each.perHead_kg - 1e-9)
        expect(mass_kg * pieces).toBeLessThan(heads * each.perHead_kg + 0.05 * pieces + 1e-9)
        expect(mass_kg).toBeLessThanOrEqual(each.mass_kg.most + 0.05)
      }
  })
  it('what feeds one or two is bought by the piece, and always in whole ones', () => {
    const pieces = (id: string, heads: number) => buyFor(cut(id), heads, undefined).pieces
    expect([1, 5, 6].map((heads) => pieces('pheasant', heads))).toEqual([1, 3, 3])
    expect([pieces('lamb-shank', 4), pieces('cornish-hen', 6), pieces('quail', 6)]).toEqual([4, 6, 12])
    expect([pieces('lamb-rump', 6), pieces('lamb-cannon', 4), pieces('turkey', 8)]).toEqual([6, 2, 1])
    for (const { id } of CUTS) expect(Number.isInteger(pieces(id, 2.6)), id).toBe(true)
  })
  it('costs what the kilos cost, and a head its share', () => {
    const { mass_kg, pieces, price, pricePerHead } = buyFor(cut('beef-rib-bone-in'), 8, 32)
    expect(price).toBeCloseTo(mass_kg * pieces * 32, 9)
    expect(pricePerHead).toBeCloseTo((price as number) / 8, 9)
    expect(buyFor(cut('turkey'), 8, undefined).price).toBeUndefined()
  })
  it('a 5 kg turkey thaws in two to three days in the fridge, and in about five hours in water (common practice)', () => {
    expect(thawSeconds(5) / 86_400).toBeGreaterThan(2)
    expect(thawSeconds(5) / 86_400).toBeLessThan(3)
    expect(coldWaterThawSeconds(5) / 3600).toBeCloseTo(5, 6)
    expect(thawSeconds(0.5)).toBe(86_400)
  })
})

describe('gravy', () => {
  it('grows with the guests in fixed proportion: as much fat as a roux takes', () => {
    const few = gravyFor(4, false)
    const many = gravyFor(12, false)
    expect(many.stock_l).toBeCloseTo(3 * few.stock_l, 9)
    expect(many.fat_g / many.flour_g).toBeCloseTo(14 / 8, 9)
    expect(many.fat_g / many.stock_l).toBeCloseTo(few.fat_g / few.stock_l, 9)
  })
  it('says that a wet brine salts the drippings', () => {
    expect([gravyFor(4, true).salty, gravyFor(4, false).salty]).toEqual([true, false])
  })
})

describe('what comes to the table', () => {
  it('a rib roasted medium-rare loses 10–25 % and a well-done pork loin more than a rosy one (common practice)', () => {
    const rib = yieldAt('beef-rib-bone-in', 2.7, 140, 50)
    expect(rib.lost).toBeGreaterThan(0.08)
    expect(rib.lost).toBeLessThan(0.25)
    expect(yieldAt('pork-loin', 1.8, 165, 75).lost).toBeGreaterThan(yieldAt('pork-loin', 1.8, 165, 58).lost + 0.03)
  })
  it('bones are not carved: cooked weighs more than carved, and a bird has most bone', () => {
    const rib = yieldAt('beef-rib-bone-in', 2.7, 140, 50)
    const bird = yieldAt('turkey', 6, 165, 70)
    expect(rib.cooked_kg).toBeLessThan(2.7)
    expect(rib.carved_kg).toBeLessThan(rib.cooked_kg)
    expect(bird.carved_kg / bird.cooked_kg).toBeLessThan(rib.carved_kg / rib.cooked_kg)
  })
  it('leaves some 2 % of a loin of pork on the board when carved at once, less than half of that rested (common practice)', () => {
    const share = (rest_min: number) => {
      const piece = yieldAt('pork-loin', 1.8, 177, 60, rest_min)
      return piece.boardJuices_kg / piece.cooked_kg
    }
    expect(share(1)).toBeGreaterThan(0.012)
    expect(share(1)).toBeLessThan(0.03)
    expect(share(20)).toBeLessThan(0.5 * share(1))
    expect(share(40)).toBeLessThan(share(20))
  })
  it('a rib that was hardly squeezed runs less than a bird that was', () => {
    const [rib, bird] = [yieldAt('beef-rib-bone-in', 2.7, 120, 52), yieldAt('chicken', 1.7, 190, 74)]
    expect(rib.boardJuices_kg / rib.carved_kg).toBeLessThan(bird.boardJuices_kg / bird.carved_kg)
  })
  it('a gentler oven leaves more on the plate', () => {
    expect(yieldAt('beef-rib-bone-in', 2.7, 110, 52).lost).toBeLessThan(yieldAt('beef-rib-bone-in', 2.7, 200, 45).lost)
  })
})
