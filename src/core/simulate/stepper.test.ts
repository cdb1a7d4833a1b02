import { describe, expect, it } from 'vitest'
import { seededRandom } from '../estimate/random'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { bodiesOf } from '../heat/piece'
import { findSchool, programOf, SCHOOLS, steadyProgram } from '../program/schools'
import type { Program, Stage } from '../program/stage'
import { CUTS, findCut } from '../reference/cuts'
import { celsius, minutes } from '../units'
import { cook } from './cook'
import { type CookSetup, RESOLUTION, RoastStepper, type StageChange } from './stepper'

const must = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('missing')
  return value
}
const loin = must(findCut('pork-loin'))
const turkey = must(findCut('turkey'))
const oven = { ...DOMESTIC_OVEN, swing_k: 0 }
const setup = (program: Program, more: Partial<CookSetup> = {}): CookSetup => ({
  bodies: bodiesOf({ cut: loin, mass_kg: 1.8 }, HEAT_PARAMETERS),
  program,
  oven,
  start_c: 5,
  pull_c: [58],
  parameters: HEAT_PARAMETERS,
  ...more,
})
const pullOf = (changes: readonly StageChange[], program = steadyProgram(160, 20)) =>
  cook(setup(program, { changes })).pull_s

describe('the one stepper', () => {
  it('is the same for the same set-up, and another step size is near it', () => {
    const one = cook(setup(steadyProgram(160, 20)))
    const two = cook(setup(steadyProgram(160, 20)))
    expect(two.pull_s).toBe(one.pull_s)
    expect(two.peak_c).toEqual(one.peak_c)
    for (const resolution of [RESOLUTION.member, RESOLUTION.estimate])
      expect(Math.abs(cook(setup(steadyProgram(160, 20), { resolution })).pull_s / one.pull_s - 1)).toBeLessThan(0.03)
  })

  it('is right to the square of its step, and water that leaves is the weight that is lost', () => {
    const pull = (dt_s: number) => cook(setup(steadyProgram(160, 20), { resolution: { dt_s, shells: 16 } }))
    const fine = pull(4)
    expect(Math.abs(pull(120).pull_s - fine.pull_s)).toBeLessThan(10)
    expect(Math.abs(pull(120).pull_s - fine.pull_s)).toBeLessThan(Math.abs(pull(480).pull_s - fine.pull_s))
    const [kernel] = fine.kernels
    const left = must(kernel).water.left.reduce((sum, kg) => sum + kg, 0)
    expect(left / must(kernel).mass_kg + must(kernel).lost + must(kernel).water.dripped).toBeCloseTo(1, 3)
    // The outside cannot hold its water, the middle can.
    const kept = (i: number) => (must(kernel).water.left[i] as number) / (must(kernel).shellMass[i] as number)
    expect(kept(0)).toBeGreaterThan(0.94)
    expect(kept(15)).toBeLessThan(0.8)
  })

  it('where it cools it conducts as still meat does: the same pull, a climb that is slower and less', () => {
    const hot = steadyProgram(200, 60)
    const conducting = (still_conductivity_factor: number) =>
      cook(setup(hot, { parameters: { ...HEAT_PARAMETERS, still_conductivity_factor }, pull_c: [52] }))
    const still = conducting(HEAT_PARAMETERS.still_conductivity_factor)
    const moving = conducting(HEAT_PARAMETERS.conductivity_factor)
    expect(still.pull_s).toBeCloseTo(moving.pull_s, 3)
    expect(must(still.peak_c[0])).toBeLessThan(must(moving.peak_c[0]))
    expect(must(still.peak_s[0])).toBeGreaterThan(must(moving.peak_s[0]))
  })

  it('goes back to what it saved, meat and oven alike, and takes the same way again', () => {
    const stepper = new RoastStepper(setup(steadyProgram(160, 20)))
    stepper.begin(must(steadyProgram(160, 20).stages[0]))
    for (let i = 0; i < 40; i++) {
      stepper.advance(30)
      stepper.settle(30)
    }
    stepper.save()
    const way = () =>
      Array.from({ length: 20 }, () => {
        stepper.advance(30)
        return [stepper.core_c, stepper.air_c, stepper.kernels[0]?.surface_c]
      })
    const first = way()
    stepper.restore()
    expect(way()).toEqual(first)
  })

  it('a setting changed in mid-cook counts from then, and is over with its stage', () => {
    const plain = pullOf([])
    const hotter = pullOf([{ time_s: 1800, set_c: 200 }])
    const earlier = pullOf([{ time_s: 600, set_c: 200 }])
    expect(hotter).toBeLessThan(plain - 120)
    expect(earlier).toBeLessThan(hotter)
    expect(pullOf([{ time_s: 40_000, set_c: 250 }])).toBe(plain)
    const hotStart = programOf(
      must(findSchool('hot-start')),
      { set_c: 150, hot_c: 240, hot_min: 15, rest_min: 15 },
      loin,
      1.8,
    )
    const turnedDown = cook(setup(hotStart, { changes: [{ time_s: 300, set_c: 120 }] }))
    const airAt = (time_s: number) =>
      turnedDown.curve.air_c[turnedDown.curve.time_s.findIndex((each) => each >= time_s)] as number
    expect(airAt(890)).toBeLessThan(200)
    expect(airAt(2400)).toBeCloseTo(150, 0)
  })

  it('every door, every minute outside and foil cost time; none of them is free', () => {
    const plain = pullOf([])
    expect(pullOf([{ time_s: 900, door: true }])).toBeGreaterThan(plain)
    expect(
      pullOf([
        { time_s: 900, door: true },
        { time_s: 1200, door: true },
      ]),
    ).toBeGreaterThan(pullOf([{ time_s: 900, door: true }]))
    const away = (s: number) =>
      pullOf([
        { time_s: 1200, away: true },
        { time_s: 1200 + s, away: false, door: true },
      ])
    expect(away(300)).toBeGreaterThan(plain + 100)
    expect(away(1200)).toBeGreaterThan(away(300) + 400)
    expect(pullOf([{ time_s: 60, cover: 'foil' }])).not.toBe(plain)
    expect(
      pullOf([
        { time_s: 60, cover: 'foil' },
        { time_s: 61, cover: 'bare' },
      ]),
    ).toBeCloseTo(plain, -2)
  })

  it('with an air probe the oven is what was read, whatever its dial says', () => {
    const air = (value_c: number) => Array.from({ length: 400 }, (_, i) => ({ time_s: i * 60, value_c }))
    const read = (value_c: number, set_c: number) => cook(setup(steadyProgram(set_c, 20), { air: air(value_c) })).pull_s
    // Only the walls it began with remember the dial, and they follow the air.
    expect(Math.abs(read(150, 120) / read(150, 220) - 1)).toBeLessThan(0.06)
    expect(read(150, 160)).toBeGreaterThan(read(170, 160))
  })

  it('a fire burns off what it is kept at, is made hotter in mid-cook, and is what a probe beside the meat reads', () => {
    const [cooked, ...after] = steadyProgram(130, 20).stages
    const fire = {
      school: 'fire',
      stages: [{ ...must(cooked), environment: { kind: 'fire', set_c: celsius(130) } as const }, ...after],
    }
    const on = (more: Partial<CookSetup>) => cook(setup(fire, more)).pull_s
    const { oven } = setup(fire)
    const kept = on({})
    expect(on({ oven: { ...oven, fire_k: 15 } })).toBeLessThan(kept - 300)
    // What an oven is off its dial is nothing to a fire.
    expect(on({ oven: { ...oven, offset_k: 15 } })).toBe(kept)
    expect(on({ changes: [{ time_s: 1800, set_c: 160 }] })).toBeLessThan(kept - 300)
    const air = Array.from({ length: 600 }, (_, i) => ({ time_s: i * 60, value_c: 115 }))
    expect(on({ air })).toBeCloseTo(on({ oven: { ...oven, fire_k: -15 } }), 0)
  })

  it('what is known to be in still has not been pulled', () => {
    const plain = cook(setup(steadyProgram(160, 20)))
    const held = cook(setup(steadyProgram(160, 20), { stillIn_s: plain.pull_s + 1000 }))
    expect(held.pull_s).toBeCloseTo(plain.pull_s + 1000, 3)
    expect(held.pullCore_c[0]).toBeGreaterThan(58)
    expect(Math.abs((held.ready_s ?? 0) - plain.pull_s)).toBeLessThan(30)
    expect(cook(setup(steadyProgram(160, 20), { stillIn_s: plain.pull_s - 1000 })).pull_s).toBeCloseTo(plain.pull_s, 0)
  })

  it('the cavity of a stuffed bird takes its heat from the meat, and its middle comes last', () => {
    const bodies = bodiesOf({ cut: turkey, mass_kg: 6, stuffed: true }, HEAT_PARAMETERS)
    const run = cook(setup(steadyProgram(165, 30), { bodies, pull_c: bodies.map(() => 71) }))
    const stuffing = run.points.indexOf('stuffing')
    expect(run.pullCore_c[stuffing]).toBe(Math.min(...run.pullCore_c))
    const empty = bodiesOf({ cut: turkey, mass_kg: 6 }, HEAT_PARAMETERS)
    expect(run.pull_s).toBeGreaterThan(
      cook(setup(steadyProgram(165, 30), { bodies: empty, pull_c: empty.map(() => 71) })).pull_s,
    )
  })

  it('stages follow each other without a gap, over all cuts and schools', () => {
    const random = seededRandom(5)
    for (const school of SCHOOLS)
      for (const cut of CUTS.filter((each) => school.suits(each) && random() < 0.4)) {
        const mass_kg = cut.mass_kg.usual
        const bodies = bodiesOf({ cut, mass_kg }, HEAT_PARAMETERS)
        const program = programOf(school, school.usual(cut), cut, mass_kg)
        const run = cook({ ...setup(program), bodies, pull_c: bodies.map(() => 52), resolution: RESOLUTION.estimate })
        expect(run.stages[0]?.start_s).toBe(0)
        run.stages.forEach(({ start_s, end_s }, i) => {
          expect(end_s).toBeGreaterThanOrEqual(start_s)
          if (i > 0) expect(start_s).toBe(run.stages[i - 1]?.end_s)
        })
        expect(run.carve_s).toBe(run.stages.at(-1)?.end_s)
        expect(run.pull_s).toBeLessThanOrEqual(run.carve_s)
        for (let i = 1; i < run.curve.length; i++)
          expect(run.curve.time_s[i]).toBeGreaterThanOrEqual(run.curve.time_s[i - 1] as number)
      }
  })

  it('somebody who looks on can end it, and sees each step once', () => {
    const seen: number[] = []
    const run = cook(setup(steadyProgram(160, 20)), {
      bare: true,
      stepped: (stepper, from_s) => {
        expect(stepper.time_s).toBeGreaterThan(from_s)
        seen.push(stepper.time_s)
        return stepper.time_s >= 1200
      },
    })
    expect(run.outcome).toBe('watched')
    expect(run.pulled).toBe(false)
    expect(seen.at(-1)).toBe(seen.find((time_s) => time_s >= 1200))
    expect(new Set(seen).size).toBe(seen.length)
  })

  it('a stage that ends by its colour ends when it has that colour', () => {
    const stage: Stage = {
      ...must(steadyProgram(240, 0).stages[0]),
      until: { kind: 'colour', browning_s: minutes(2) },
    }
    const run = cook(setup({ school: 'own', stages: [stage] }))
    expect(run.outcome).toBe('reached')
    expect(run.kernels[0]?.browning_s).toBeGreaterThan(119.5)
    expect(run.kernels[0]?.browning_s).toBeLessThan(130)
  })

  it('a wet roast makes its oven moist, and more so in a hot one; a resting one dries no further', () => {
    const vapour = (set_c: number) => {
      let most = 0
      cook(setup(steadyProgram(set_c, 0)), {
        bare: true,
        stepped: ({ kernels }) => {
          most = Math.max(most, kernels[0]?.given_kg_per_s ?? 0)
          return false
        },
      })
      return most
    }
    expect(vapour(200)).toBeGreaterThan(1.5 * vapour(110))
    const rested = cook(setup(steadyProgram(160, 40)))
    expect(rested.kernels[0]?.dried_s).toBeCloseTo(rested.pull_s, -2)
  })

  it('a piece that goes from the board back into the oven finds it as hot as it is set', () => {
    const reverse = programOf(
      must(findSchool('reverse-sear')),
      { set_c: 110, hot_c: 250, hot_min: 8, rest_min: 30 },
      loin,
      1.8,
    )
    const run = cook(setup(reverse))
    const finish = must(run.stages.at(-1))
    const at = run.curve.time_s.findIndex((time_s) => time_s > finish.start_s + 60)
    expect(run.curve.air_c[at]).toBeGreaterThan(150)
    expect(celsius(run.curve.air_c[at] as number)).toBeLessThan(250)
  })
})
