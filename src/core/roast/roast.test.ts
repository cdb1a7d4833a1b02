import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { findSchool, programOf, SCHOOLS, steadyProgram } from '../program/schools'
import type { Program } from '../program/stage'
import { CUTS, findCut, isPoultry } from '../reference/cuts'
import { STANDARDS } from '../reference/standards'
import { isPointSafe, SafetyMeter, SURE, safetyLeast } from '../safety/least'
import { celsius, minutes } from '../units'
import { answerRoast, type RoastQuestion } from './answer'
import { prepareRoast } from './prepare'
import { restSeconds, restStageIndex, withRest } from './rest'

const must = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('missing')
  return value
}
const rib = must(findCut('beef-rib-bone-in'))
const question = (more: Partial<RoastQuestion> = {}): RoastQuestion => ({
  piece: { cut: rib, mass_kg: 2.7 },
  oven: { ...DOMESTIC_OVEN, swing_k: 0 },
  start_c: 5,
  temper_s: 0,
  altitude_m: 0,
  program: steadyProgram(150, 25),
  target: { kind: 'serve', serve_c: 55 },
  vulnerable: false,
  rest: 'as_said',
  members: 48,
  seed: 4,
  ...more,
})
const ask = (more: Partial<RoastQuestion> = {}) => answerRoast(question(more))

describe('the rest of a program', () => {
  it('is found, measured and replaced in every school that has one', () => {
    for (const school of SCHOOLS)
      for (const cut of CUTS.filter((each) => school.suits(each)).slice(0, 4)) {
        const program = programOf(school, school.usual(cut), cut, cut.mass_kg.usual)
        const index = restStageIndex(program)
        if (index < 0) {
          expect(restSeconds(program)).toBe(0)
          expect(withRest(program, 999)).toBe(program)
          continue
        }
        const longer = withRest(program, 4321)
        expect(restSeconds(longer)).toBe(4321)
        expect(longer.stages.filter((stage, i) => stage !== program.stages[i])).toHaveLength(1)
      }
  })

  it('a wait for the clock comes before a rest', () => {
    const program: Program = {
      school: 'own',
      stages: [
        ...steadyProgram(150, 20).stages,
        { ...must(steadyProgram(150, 20).stages[1]), until: { kind: 'clock', least_s: minutes(40) } },
      ],
    }
    expect(restStageIndex(program)).toBe(2)
    expect(restSeconds(program)).toBe(2400)
  })
})

describe('the one answer', () => {
  it('is the same for the same question, and its window holds its own pull', () => {
    const one = ask()
    expect(ask().ensemble).toEqual(one.ensemble)
    expect(one.ensemble.pull_s.p10).toBeLessThan(one.run.pull_s)
    expect(one.ensemble.pull_s.p90).toBeGreaterThan(one.run.pull_s)
    expect(one.outcome).toBe('reached')
    expect(one.hindrances).toEqual([])
  })

  it('the rest takes the doubt up when it is asked to: longer by the slowest of ten, and half as much again where it has room', () => {
    const said = ask()
    const taken = ask({ rest: 'takes_doubt' })
    expect(said.slack_s).toBe(0)
    expect(taken.slack_s).toBeGreaterThan(300)
    expect(restSeconds(taken.program) - restSeconds(said.program)).toBeCloseTo(taken.slack_s, 3)
    const slowest_s = taken.ensemble.pull_s.p90 - taken.run.pull_s
    expect(taken.slack_s).toBeGreaterThan(slowest_s - 90)
    expect(taken.slack_s).toBeLessThan(1.7 * slowest_s + 120)
    // It climbs on for most of an hour: what rests longer is pulled lower.
    expect(taken.pull_c).toBeLessThanOrEqual(said.pull_c + 0.1)
    expect(said.pull_c - taken.pull_c).toBeLessThan(3)
  })

  it('a measured piece has a narrower window, a flatter one of the same weight an earlier', () => {
    const width = ({ ensemble }: ReturnType<typeof ask>) => ensemble.pull_s.p90 - ensemble.pull_s.p10
    const usual = ask()
    const measured = ask({ piece: { cut: rib, mass_kg: 2.7, thickness_m: usual.prepared.thickness_m } })
    const flat = ask({ piece: { cut: rib, mass_kg: 2.7, thickness_m: usual.prepared.thickness_m * 0.8 } })
    expect(width(measured)).toBeLessThan(width(usual))
    expect(flat.run.pull_s).toBeLessThan(usual.run.pull_s * 0.92)
  })

  it('a bench warms the start, frozen meat takes longer and is said', () => {
    expect(prepareRoast(question({ temper_s: 5400 })).start_c).toBeGreaterThan(6)
    const frozen = ask({ start_c: 2, startCore_c: -5 })
    expect(frozen.run.pull_s).toBeGreaterThan(ask({ start_c: 2 }).run.pull_s * 1.05)
    expect(frozen.cautions.map(({ code }) => code)).toContain('frozen_start')
  })

  it('who eats decides what is said, not how it is cooked', () => {
    const plain = ask()
    const careful = ask({ vulnerable: true })
    expect(careful.run.pull_s).toBe(plain.run.pull_s)
    expect(careful.cautions.map(({ code }) => code)).toContain('vulnerable_guest')
    expect(plain.cautions.map(({ code }) => code)).not.toContain('vulnerable_guest')
  })

  it('pulled at a reading that is told, it peaks where it peaks', () => {
    const told = ask({ target: { kind: 'pull', pull_c: 50 } })
    expect(told.pull_c).toBe(50)
    expect(told.peak_c).toBeGreaterThan(50)
    expect(told.outcome).toBe('reached')
  })

  it('what cannot be has its reason, no spread, and the temperature it gets to', () => {
    const never = ask({ program: steadyProgram(52, 20), target: { kind: 'serve', serve_c: 58 } })
    expect(never.outcome).toBe('cannot')
    expect(never.hindrances[0]).toMatchObject({ code: 'never_reached', wanted_c: 58, setting_c: 52 })
    expect(Number.isNaN(never.ensemble.pull_s.p50)).toBe(true)
    expect(never.peak_c).toBeGreaterThan(40)
    expect(never.peak_c).toBeLessThan(58)
    const steep = ask({ start_c: 2, startCore_c: -18, program: steadyProgram(290, 25) })
    if (steep.outcome === 'cannot') expect(steep.hindrances[0]).toMatchObject({ most_k: STANDARDS.mostRise.value })
    else expect(55 - steep.pull_c).toBeLessThanOrEqual(STANDARDS.mostRise.value)
  })

  it('a school by the clock has no reading and no hindrance, whatever comes of it', () => {
    const school = must(findSchool('cold-start'))
    const big = must(CUTS.find((cut) => school.suits(cut)))
    const found = ask({
      piece: { cut: big, mass_kg: big.mass_kg.usual },
      program: programOf(school, school.usual(big), big, big.mass_kg.usual),
      target: { kind: 'serve', serve_c: celsius(50) },
    })
    expect(found.outcome).toBe('fixed_program')
    expect(found.hindrances).toEqual([])
  })

  it('every point of a bird is at its reading when it is pulled', () => {
    const turkey = must(findCut('turkey'))
    const found = ask({
      piece: { cut: turkey, mass_kg: 6, stuffed: true },
      program: steadyProgram(165, 30),
      target: { kind: 'serve', serve_c: 74 },
    })
    expect(found.points.map(({ point }) => point)).toEqual(['breast', 'thigh', 'stuffing'])
    for (const { pull_c } of found.points) expect(pull_c).toBeGreaterThanOrEqual(found.pull_c - 0.1)
    expect(found.gap_k).toBeGreaterThan(0)
    expect(found.poultryDecades).toBeGreaterThan(6)
  })
})

describe('the pull by risk', () => {
  const tenderloin = { cut: must(findCut('pork-tenderloin')), mass_kg: 0.5 }
  const hot = { program: steadyProgram(230, 5), target: { kind: 'serve' as const, serve_c: 63 } }

  it('is higher than the middle asks where a safety minimum stands, never above the wanted, and safe in 95 of 100', () => {
    const sure = ask({ piece: tenderloin, ...hot })
    const safety = must(sure.safety)
    expect(safety.raised_k).toBeGreaterThan(0)
    expect(safety.chance).toBeGreaterThanOrEqual(SURE)
    expect(safety.chanceLower).toBeLessThan(safety.chance)
    expect(sure.pull_c).toBeLessThanOrEqual(63)
    expect(sure.peak_c).toBeGreaterThan(63)
  })

  it('is the middle where the choice is the eaters’, or where less than the safe peak is wanted', () => {
    expect(ask().safety).toBeUndefined()
    expect(ask({ piece: tenderloin, ...hot, target: { kind: 'serve', serve_c: 58 } }).safety).toBeUndefined()
    expect(ask({ vulnerable: true, target: { kind: 'serve', serve_c: 63 } }).safety?.least_c).toBeCloseTo(62.8)
  })

  it('is the same whoever asks, however many members their doubt has', () => {
    const few = ask({ piece: tenderloin, ...hot, members: 8, seed: 99 })
    expect(few.pull_c).toBeCloseTo(ask({ piece: tenderloin, ...hot }).pull_c, 6)
  })

  it('counts a lower peak that lasts: 12 minutes at 60 °C are the food code’s own row, stuffing has its peak only', () => {
    const least = must(safetyLeast(must(findCut('pork-loin')), { vulnerable: false, stuffed: false }))
    const held = (minutes: number) => {
      const meter = new SafetyMeter(least)
      meter.add(0, 60)
      for (let i = 0; i < minutes; i++) meter.add(60, 60)
      return meter
    }
    expect(held(11).isMet(60)).toBe(false)
    expect(held(13).isMet(60)).toBe(true)
    expect(isPointSafe(least, 'stuffing', held(60), 60)).toBe(false)
  })
})

describe('what keeps a table safe goes by the meat, not by its shape', () => {
  const of = (id: string, serve_c: number, set_c = 165) => {
    const cut = must(findCut(id))
    return ask({
      piece: { cut, mass_kg: cut.mass_kg.usual },
      program: steadyProgram(set_c, 15),
      target: { kind: 'serve', serve_c },
    }).cautions.map(({ code }) => code)
  }

  it('every part of a bird is asked what a bird is', () => {
    for (const { id } of CUTS.filter(isPoultry)) {
      expect(safetyLeast(must(findCut(id)), { vulnerable: false, stuffed: false })?.by, id).toBe('poultry_decades')
      expect(of(id, 74), id).toContain('raw_poultry')
      expect(of(id, 74, 150), id).toContain('slow_oven')
    }
    expect(isPoultry(must(findCut('turkey-breast-boneless')))).toBe(true)
    expect(isPoultry(must(findCut('pork-loin')))).toBe(false)
  })

  it('a cooked ham says what it is for, and no table of raw roasts is held against it', () => {
    const codes = of('cooked-ham', 60)
    expect(codes).toContain('cooked_before')
    expect(codes).not.toContain('hold_table_not_met')
    expect(codes).not.toContain('below_consumer_minimum')
    expect(of('cooked-ham', 50)).toContain('below_consumer_minimum')
    expect(of('smoked-ham', 67)).not.toContain('cooked_before')
  })
})

describe('warm at the plate', () => {
  it('is minded where it is lukewarm before the plates are filled, and only there', () => {
    const rare = ask({ program: withRest(steadyProgram(110, 25), 5400), target: { kind: 'serve', serve_c: 51 } })
    const hot = ask({ program: steadyProgram(180, 15), target: { kind: 'serve', serve_c: 66 } })
    for (const { warm_s, cautions } of [rare, hot])
      expect(cautions.some(({ code }) => code === 'cools_fast')).toBe(warm_s < 480)
    expect(rare.warm_s).toBeLessThan(hot.warm_s)
    expect(hot.cautions.some(({ code }) => code === 'cools_fast')).toBe(false)
  })
})
