import { describe, expect, it } from 'vitest'
import { servingsOf } from '../doneness/servings'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { bodiesOf, type PieceSize } from '../heat/piece'
import { steadyProgram } from '../program/schools'
import type { Stage } from '../program/stage'
import { findCut } from '../reference/cuts'
import { houseCut } from '../reference/house-cut'
import { retailOvenLeast } from '../reference/standards'
import { cautionsOf } from '../safety/cautions'
import { poultryDecades } from '../safety/poultry'
import { coolingOf, warmthAfter } from './afterwards'
import { cook } from './cook'

const cut = (id: string) => {
  const found = findCut(id)
  if (!found) throw new Error(id)
  return found
}
const oven = { ...DOMESTIC_OVEN, swing_k: 0 }
const parameters = HEAT_PARAMETERS
const program = (set_c: number, more: Partial<Stage> = {}) => steadyProgram(set_c, 20, more)
const run = (size: PieceSize, pull_c: number, more: Partial<Stage> = {}, start = 5, startCore_c?: number) => {
  const bodies = bodiesOf(size, parameters)
  return cook({
    bodies,
    program: program(165, more),
    oven,
    start_c: start,
    startCore_c,
    parameters,
    pull_c: bodies.map(() => pull_c),
  })
}

describe('a bird is more than one body', () => {
  const turkey = { cut: cut('turkey'), mass_kg: 6 }

  it('the stuffing is a third point, the last to be done, and the bird waits for it', () => {
    const plain = run(turkey, 74)
    const stuffed = run({ ...turkey, stuffed: true }, 74)
    expect(stuffed.points).toEqual(['breast', 'thigh', 'stuffing'])
    expect(stuffed.pullCore_c[2]).toBeCloseTo(74, 1)
    expect(stuffed.pull_s).toBeGreaterThan(plain.pull_s + 15 * 60)
  })

  it('open legs, foil on the breast and breast down each help the thigh', () => {
    const gap = (r: ReturnType<typeof run>) => (r.pullCore_c[0] as number) - (r.pullCore_c[1] as number)
    const plain = gap(run(turkey, 74))
    expect(gap(run({ ...turkey, legs: 'open' }, 74))).toBeLessThan(plain)
    expect(gap(run(turkey, 74, { foil: 'breast' }))).toBeLessThan(plain)
    expect(gap(run(turkey, 74, { position: 'breast_down' }))).toBeLessThan(plain)
    expect(gap(run(turkey, 74, { foil: 'legs' }))).toBeGreaterThan(plain)
  })
})

describe('a bird that is pressed flat', () => {
  const minutesTo71 = (size: PieceSize, set_c: number) =>
    cook({
      bodies: bodiesOf(size, parameters),
      program: steadyProgram(set_c, 20),
      oven,
      start_c: 5,
      parameters,
      pull_c: [71, 71],
    }).pull_s / 60

  // Common practice, no source: 40 to 50 and 75 to 95 minutes.
  it.each([
    ['chicken', 1.8, 220, 40, 50],
    ['turkey', 5.9, 232, 75, 95],
  ])('%s of %d kg at %d °C takes %d to %d minutes', (id, mass_kg, set_c, least, most) => {
    const size = { cut: cut(id), mass_kg }
    const flat = minutesTo71({ ...size, legs: 'flat' }, set_c)
    expect(flat).toBeGreaterThan(least)
    expect(flat).toBeLessThan(most)
    expect(flat).toBeLessThan(0.75 * minutesTo71(size, set_c))
  })

  it('measured it is as thick as it was measured, and it has no cavity', () => {
    const size: PieceSize = { cut: cut('chicken'), mass_kg: 1.8, legs: 'flat' }
    const depth = (of: PieceSize) => (bodiesOf(of, parameters)[0]?.thickness_m ?? 0) * 1000
    expect(depth(size)).toBeGreaterThan(45)
    expect(depth(size)).toBeLessThan(56)
    expect(depth({ ...size, thickness_m: 0.06 })).toBeCloseTo(60, 3)
    expect(bodiesOf({ ...size, stuffed: true }, parameters)).toHaveLength(2)
  })
})

describe('uneven and frozen pieces', () => {
  it('a thin end is done first and by more, the thinner it is', () => {
    const thick = { cut: cut('beef-tenderloin'), mass_kg: 2 }
    const over = (thinEnd: number) => {
      const r = run({ ...thick, thinEnd }, 52)
      expect(r.points).toEqual(['core', 'thin_end'])
      return (r.pullCore_c[1] as number) - (r.pullCore_c[0] as number)
    }
    expect(over(0.8)).toBeGreaterThan(1)
    expect(over(0.5)).toBeGreaterThan(over(0.8))
    expect(bodiesOf({ ...thick, thinEnd: 1 }, parameters)).toHaveLength(1)
  })

  it('the ends together weigh what the piece weighs, for cylinders and plump pieces', () => {
    for (const id of ['beef-tenderloin', 'lamb-leg-butterflied', 'lamb-leg-bone-in']) {
      const whole = bodiesOf({ cut: cut(id), mass_kg: 2 }, parameters)[0]?.mass_kg
      const parts = bodiesOf({ cut: cut(id), mass_kg: 2, thinEnd: 0.6 }, parameters)
      expect(parts.reduce((sum, body) => sum + body.mass_kg, 0)).toBeCloseTo(whole ?? 0, 9)
    }
  })

  it('an icy middle takes longer than a thawed one and less than a frozen piece', () => {
    const rib = { cut: cut('beef-rib-bone-in'), mass_kg: 2.7 }
    const thawed = run(rib, 55).pull_s
    const icy = run(rib, 55, {}, 4, -3).pull_s
    const frozen = run(rib, 55, {}, -15).pull_s
    expect(icy).toBeGreaterThan(thawed * 1.05)
    expect(frozen).toBeGreaterThan(icy)
  })
})

describe('afterwards', () => {
  const rib = { cut: cut('beef-rib-bone-in'), mass_kg: 2.7 }

  it('a whole roast does not cool in time, a thin slab does (US model Food Code limits, from memory)', () => {
    const advice = coolingOf(bodiesOf(rib, parameters)[0] as ReturnType<typeof bodiesOf>[number], parameters)
    expect(advice.whole.inTime).toBe(false)
    expect(advice.slab_m).toBeGreaterThan(0.015)
    expect(advice.slab_m).toBeLessThan(0.08)
    expect(advice.slab.to21_s).toBeLessThanOrEqual(7200)
  })

  it('a large roast stays warm longer than a small one, and asking does not change the run', () => {
    const small = run({ ...rib, mass_kg: 1.3 }, 52)
    const large = run({ ...rib, mass_kg: 5 }, 52)
    const before = large.kernels[0]?.core_c
    expect(warmthAfter(large, parameters)).toBeGreaterThan(warmthAfter(small, parameters))
    expect(large.kernels[0]?.core_c).toBe(before)
  })

  it('poultry: the table row at 160 °F and a bird at 74 °C both reach seven decades', () => {
    expect(poultryDecades([0, 13.7], [71.11, 71.11], 2)).toBeCloseTo(7, 0)
    expect(poultryDecades([0, 3600], [54, 54], 2)).toBe(0)
    const bird = run({ cut: cut('chicken'), mass_kg: 1.7 }, 74)
    const coldest = bird.pullCore_c.indexOf(Math.min(...bird.pullCore_c))
    expect(
      poultryDecades(bird.curve.time_s, bird.curve.core_c[coldest] as Float64Array, bird.curve.length),
    ).toBeGreaterThan(7)
  })
})

describe('what is allowed and what is said', () => {
  const table = { vulnerable: false, coldest_c: 5, mass_kg: 2.7, oven: 'still' as const }
  const codes = (r: ReturnType<typeof run>, id: string, more: Partial<typeof table> = {}, intact = true) =>
    cautionsOf({ ...cut(id), intact }, r, 0, { ...table, ...more }).cautions.map(({ code }) => code)

  it('a vulnerable guest turns a choice into a danger', () => {
    const rare = run({ cut: cut('beef-rib-bone-in'), mass_kg: 2.7 }, 48)
    expect(codes(rare, 'beef-rib-bone-in')).not.toContain('vulnerable_guest')
    expect(codes(rare, 'beef-rib-bone-in', { vulnerable: true })).toContain('vulnerable_guest')
    expect(codes(rare, 'beef-rib-bone-in', {}, false)).toContain('not_intact')
    expect(codes(rare, 'beef-rib-bone-in', { coldest_c: -2 })).toContain('frozen_start')
  })

  it('stuffing that falls short is named, whatever the bird does', () => {
    const bodies = bodiesOf({ cut: cut('turkey'), mass_kg: 6, stuffed: true }, parameters)
    const r = cook({ bodies, program: program(165), oven, start_c: 5, parameters, pull_c: [74, 74, 30] })
    expect(codes(r, 'turkey')).toContain('stuffing_short')
  })

  it('the retail table asks more of the oven for a smaller roast (US model Food Code, from memory)', () => {
    expect(retailOvenLeast(3, 'still')).toBe(177)
    expect(retailOvenLeast(3, 'fan')).toBe(163)
    expect(retailOvenLeast(5, 'still')).toBe(121)
  })
})

describe('plates and house cuts', () => {
  it('plates by degree sum to the heads, whatever the shares', () => {
    const slice = { rim_m: 0, profile: [], shares: [0.31, 0.37, 0.32].map((share, i) => ({ degree: `d${i}`, share })) }
    const servings = servingsOf(slice, 7, { d1: 5 })
    expect(servings.reduce((sum, { plates }) => sum + plates, 0)).toBe(7)
    expect(servings[1]).toMatchObject({ degree: 'd1', wanted: 5 })
  })

  it('a house cut changes what it says and nothing else, and is cooked as such', () => {
    const base = cut('pork-loin')
    const own = houseCut(base, { name: 'The farm’s loin', thickness_m: 0.09, perHead_kg: 0.2 })
    expect(own).toMatchObject({ name: 'The farm’s loin', perHead_kg: 0.2, composition: base.composition, id: base.id })
    expect(run({ cut: own, mass_kg: 2 }, 60).pull_s).toBeGreaterThan(run({ cut: base, mass_kg: 2 }, 60).pull_s)
  })
})
