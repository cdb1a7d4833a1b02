import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { bodiesOf, usualThickness } from '../heat/piece'
import { findSchool, programOf, SCHOOLS, steadyProgram } from '../program/schools'
import type { Program, Stage } from '../program/stage'
import { CHART_ROWS } from '../reference/charts'
import { CUTS, findCut } from '../reference/cuts'
import { fahrenheitToCelsius, minutes, poundsToKilograms } from '../units'
import { cook } from './cook'
import { findPull } from './pull'

const parameters = HEAT_PARAMETERS
const oven = { ...DOMESTIC_OVEN, swing_k: 0 }
const cut = (id: string) => {
  const found = findCut(id)
  if (!found) throw new Error(id)
  return found
}
const roastAt = (set_c: number, rest_min = 40) => steadyProgram(set_c, rest_min)
const setup = (
  id: string,
  mass_kg: number,
  set_c: number,
  more: { start_c?: number; thickness_m?: number; program?: Program } = {},
) => ({
  bodies: bodiesOf({ cut: cut(id), mass_kg, thickness_m: more.thickness_m }, parameters),
  program: more.program ?? roastAt(set_c),
  oven,
  start_c: more.start_c ?? 5,
  parameters,
})
const minutesTo = (core_c: number, ...roast: Parameters<typeof setup>) => {
  const made = setup(...roast)
  return cook({ ...made, pull_c: made.bodies.map(() => core_c) }).pull_s / 60
}

describe('against published roasting charts (US federal consumer guidance, from memory)', () => {
  for (const row of CHART_ROWS.filter(({ inReference }) => inReference)) {
    it(`${row.cut} of ${row.weight_lb.join('–')} lb at ${row.oven_f} °F is within 15 % of its interval`, () => {
      const middle = (row.weight_lb[0] + row.weight_lb[1]) / 2
      const found = minutesTo(
        fahrenheitToCelsius(row.core_f),
        row.cut,
        poundsToKilograms(middle),
        fahrenheitToCelsius(row.oven_f),
      )
      const scale = row.basis === 'per_lb' ? middle : 1
      expect(found).toBeGreaterThan(row.minutes[0] * scale * 0.85)
      expect(found).toBeLessThan(row.minutes[1] * scale * 1.15)
    })
  }
})

describe('the order of things', () => {
  it('thicker, heavier, colder and cooler all take longer', () => {
    const base = minutesTo(55, 'pork-loin', 2, 160)
    expect(minutesTo(55, 'pork-loin', 2, 160, { thickness_m: 0.09 })).toBeGreaterThan(base)
    expect(minutesTo(55, 'pork-loin', 3, 160)).toBeGreaterThan(base)
    expect(minutesTo(55, 'pork-loin', 2, 160, { start_c: 1 })).toBeGreaterThan(base)
    expect(minutesTo(55, 'pork-loin', 2, 140)).toBeGreaterThan(base)
    expect(minutesTo(60, 'pork-loin', 2, 160)).toBeGreaterThan(base)
  })

  it('a long roast of the same thickness takes hardly longer (common practice)', () => {
    const thickness_m = 0.075
    const ratio =
      minutesTo(55, 'pork-loin', 4, 160, { thickness_m }) / minutesTo(55, 'pork-loin', 2, 160, { thickness_m })
    expect(ratio).toBeLessThan(1.15)
  })

  it('every cut has a thickness a hand would believe and grows thicker with weight', () => {
    for (const each of CUTS) {
      const { least, usual, most } = each.mass_kg
      expect(usualThickness(each, usual, parameters)).toBeGreaterThan(0.03)
      expect(usualThickness(each, usual, parameters)).toBeLessThan(0.2)
      expect(usualThickness(each, most, parameters)).toBeGreaterThanOrEqual(usualThickness(each, least, parameters))
    }
  })

  it('the shells make up the meat', () => {
    for (const each of CUTS) {
      for (const body of bodiesOf({ cut: each, mass_kg: each.mass_kg.usual }, parameters)) {
        expect(body.ball.shape).toBeGreaterThanOrEqual(1)
        expect(body.ball.shape).toBeLessThanOrEqual(3.2)
        expect(body.ball.conduction).toBeGreaterThan(0.7)
        expect(body.ball.conduction).toBeLessThan(1.2)
      }
    }
  })
})

describe('the pull and the rest', () => {
  it('the reading is found so that the peak is the wanted doneness', () => {
    for (const set_c of [110, 160, 200]) {
      const answer = findPull(setup('beef-rib-bone-in', 2.7, set_c), 55)
      expect(answer.outcome).toBe('reached')
      expect(Math.abs(Math.min(...answer.run.peak_c) - 55)).toBeLessThan(0.1)
      expect(answer.pull_c[0]).toBeLessThan(55)
    }
  })

  it('rises 2–5 °C after 110–130 °C, and 5 °C or more after 160 °C (common practice; 1.5–3 kg)', () => {
    for (const mass of [1.5, 2.2]) {
      const gentle = findPull(setup('beef-rib-bone-in', mass, 120), 55).run
      const brisk = findPull(setup('beef-rib-bone-in', mass, 160), 55).run
      const rise = (run: typeof gentle) => (run.peak_c[0] as number) - (run.pullCore_c[0] as number)
      expect(rise(gentle)).toBeGreaterThan(1.7)
      expect(rise(gentle)).toBeLessThan(5.5)
      expect(rise(brisk)).toBeGreaterThan(5)
      // Of the core itself: a probe, a little off it, shows less.
      expect(rise(brisk)).toBeLessThan(11)
    }
  })

  it('a bird is never pulled below its floor and needs both points', () => {
    const answer = findPull(setup('turkey', 6, 165), 74, undefined, 71)
    expect(Math.min(...answer.run.pullCore_c)).toBeGreaterThan(70.9)
    expect(answer.run.points).toEqual(['breast', 'thigh'])
  })

  it('an oven that never gets there says so instead of running on', () => {
    const answer = findPull(setup('beef-rib-bone-in', 2.7, 60), 70)
    expect(answer.outcome).toBe('time_limit')
  })
})

describe('schools', () => {
  it('the peak is the highest core there was: in an oven that is off that is long before it comes out', () => {
    const school = findSchool('oven-off')
    const fillet = cut('beef-tenderloin')
    if (!school) throw new Error('no such school')
    const made = setup('beef-tenderloin', 1, 260, { program: programOf(school, school.usual(fillet), fillet, 1) })
    const run = cook({ ...made, pull_c: made.bodies.map(() => 50) })
    const highest = Math.max(...(run.curve.core_c[0] as Float64Array).slice(0, run.curve.length))
    expect(run.peak_c[0]).toBeGreaterThanOrEqual(highest - 1e-6)
    expect(run.peak_c[0]).toBeLessThan(highest + 0.5)
    expect(run.peak_c[0]).toBeGreaterThan((run.pullCore_c[0] as number) + 5)
    expect(run.peak_s[0]).toBeLessThan(run.pull_s - 1800)
    // Pulled at a reading it climbs on, and peaks after.
    const steady = setup('beef-tenderloin', 1, 160)
    const pulled = cook({ ...steady, pull_c: steady.bodies.map(() => 50) })
    expect(pulled.peak_s[0]).toBeGreaterThan(pulled.pull_s)
  })

  it('there are thirteen, each with stages that end at the knife', () => {
    expect(SCHOOLS).toHaveLength(13)
    expect(new Set(SCHOOLS.map(({ id }) => id)).size).toBe(13)
  })

  it('every school suits a cut and can be cooked through on each of them', () => {
    for (const school of SCHOOLS) {
      const suited = CUTS.filter((each) => school.suits(each))
      expect(suited.length).toBeGreaterThan(0)
      for (const each of suited.slice(0, 4)) {
        const mass = each.mass_kg.usual
        const program = programOf(school, school.usual(each), each, mass)
        const run = cook({ ...setup(each.id, mass, 0, { program }), pull_c: [50, 50] })
        expect(run.outcome).toBe('reached')
        expect(run.carve_s).toBeGreaterThan(600)
      }
    }
  })

  it('oven-off and cold-start ribs of 1.8–4 kg end between rare and medium-well (common practice)', () => {
    for (const [id, start_c] of [
      ['oven-off', 18],
      ['cold-start', 8],
    ] as const) {
      const school = findSchool(id)
      for (const mass of [1.8, 2.7, 4]) {
        const rib = cut('beef-rib-bone-in')
        const program = programOf(
          school as NonNullable<typeof school>,
          (school as NonNullable<typeof school>).usual(rib),
          rib,
          mass,
        )
        const run = cook({ ...setup(rib.id, mass, 0, { program, start_c }), pull_c: [99] })
        const peak = Math.max(...(run.curve.core_c[0] as Float64Array).slice(0, run.curve.length))
        expect(peak).toBeGreaterThan(48)
        expect(peak).toBeLessThan(66)
      }
    }
  })

  it('stages end on their instant, and opening the door costs minutes', () => {
    const program = roastAt(160)
    const [first] = program.stages as [Stage, Stage]
    const basted: Program = {
      ...program,
      stages: [
        { ...first, tending: [{ act: 'baste', at_s: minutes(20), every_s: minutes(20) }] },
        program.stages[1] as Stage,
      ],
    }
    const plain = cook({ ...setup('pork-loin', 2, 0, { program }), pull_c: [60] })
    const opened = cook({ ...setup('pork-loin', 2, 0, { program: basted }), pull_c: [60] })
    expect(plain.pullCore_c[0]).toBeCloseTo(60, 2)
    expect(plain.carve_s - plain.pull_s).toBeCloseTo(2400, 6)
    expect(opened.pull_s).toBeGreaterThan(plain.pull_s + 60)
  })

  it('the step of 30 s is within a minute of one sixteen times finer', () => {
    const made = setup('beef-rib-bone-in', 2.7, 140)
    const coarse = cook({ ...made, pull_c: [52] }).pull_s
    const fine = cook({ ...made, pull_c: [52], resolution: { dt_s: 30 / 16, shells: 40 } }).pull_s
    expect(Math.abs(coarse - fine)).toBeLessThan(60)
  })
})
