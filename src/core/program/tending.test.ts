import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { findCut } from '../reference/cuts'
import { tendernessOf, tenderRate, tenderSeconds } from '../reference/tenderness'
import { answerRoast, type RoastQuestion } from '../roast/answer'
import { celsius, minutes, seconds } from '../units'
import { findSchool, programOf, steadyProgram } from './schools'
import { endsTender, type Program, type Tending, UNPLACED_S } from './stage'
import { hasMoments, placeTending, untended } from './tending'

const cut = (id: string) => {
  const found = findCut(id)
  if (!found) throw new Error(id)
  return found
}
const tended = (tending: readonly Tending[], set_c = 160): Program => {
  const plain = steadyProgram(set_c, 20)
  return { ...plain, stages: plain.stages.map((stage, i) => (i === 0 ? { ...stage, tending } : stage)) }
}
const ask = (program: Program, more: Partial<RoastQuestion> = {}) =>
  answerRoast({
    piece: { cut: cut('pork-loin'), mass_kg: 1.8 },
    oven: DOMESTIC_OVEN,
    start_c: 5,
    temper_s: 0,
    altitude_m: 0,
    program,
    target: { kind: 'serve', serve_c: 67 },
    vulnerable: false,
    rest: 'as_said',
    members: 8,
    seed: 1,
    ...more,
  })
const at = (moment: Tending['moment'], act: Tending['act'] = 'baste'): Tending => ({ act, at_s: UNPLACED_S, moment })

describe('moments that no clock says', () => {
  it('are placed by how it goes: a share, before the end, at a reading, to the minute', () => {
    const { program, run } = ask(
      tended([
        at({ kind: 'share', share: 0.5 }),
        at({ kind: 'before_end', before_s: minutes(20) }),
        at({ kind: 'core', core_c: celsius(40) }),
      ]),
    )
    const [half, before, reading] = program.stages[0]?.tending.map(({ at_s }) => at_s as number) ?? []
    expect(Math.abs((half ?? 0) - run.pull_s / 2)).toBeLessThan(120)
    expect(Math.abs((before ?? 0) - (run.pull_s - 1200))).toBeLessThan(120)
    const row = run.curve.time_s.findIndex((time) => time >= (reading ?? 0))
    expect(Math.abs((run.curve.core_c[0]?.[row] ?? 0) - 40)).toBeLessThan(2)
    for (const value of [half, before, reading]) expect((value ?? 0) % 60).toBe(0)
  })

  it('that never come are never done, and cost nothing', () => {
    const never = ask(tended([at({ kind: 'core', core_c: celsius(95) })]))
    expect(never.program.stages[0]?.tending[0]?.at_s).toBe(UNPLACED_S)
    expect(never.run.pull_s).toBeCloseTo(ask(tended([])).run.pull_s, 0)
  })

  it('stay inside their stage, whatever is asked', () => {
    const went = { stages: [{ start_s: 100, end_s: 700 }], reads: () => undefined }
    for (const moment of [
      { kind: 'share', share: 1 },
      { kind: 'before_end', before_s: seconds(0) },
      { kind: 'before_end', before_s: seconds(99_999) },
    ] as const) {
      const [placed] = placeTending(tended([at(moment)]), went).stages[0]?.tending ?? []
      expect(placed?.at_s).toBeGreaterThanOrEqual(0)
      expect(placed?.at_s).toBeLessThanOrEqual(540)
    }
  })

  it('are known from those that have a clock', () => {
    expect(hasMoments(tended([{ act: 'baste', at_s: minutes(20) }]))).toBe(false)
    expect(hasMoments(tended([at({ kind: 'share', share: 0.5 })]))).toBe(true)
    expect(untended(tended([at({ kind: 'share', share: 0.5 })])).stages[0]?.tending).toEqual([])
  })
})

describe('what tending costs', () => {
  it('is the doors: more of them cost more, none cost nothing, and the plan says how much', () => {
    const none = ask(tended([]))
    const often = ask(tended([{ act: 'baste', at_s: minutes(15), every_s: minutes(15) }]))
    const seldom = ask(tended([{ act: 'baste', at_s: minutes(40) }]))
    expect(none.tendingCosts).toEqual([])
    const cost = often.tendingCosts[0]?.later_s ?? 0
    expect(cost).toBeGreaterThan(60)
    expect(cost).toBeGreaterThan(seldom.tendingCosts[0]?.later_s ?? 0)
    expect(Math.abs(often.run.pull_s - none.run.pull_s - cost)).toBeLessThan(120)
  })

  it('is not only a door: foil off lets a covered roast brown, foil on holds it back', () => {
    const under = tended([])
    const foiled: Program = {
      ...under,
      stages: under.stages.map((stage, i) => (i === 0 ? { ...stage, cover: 'foil' as const } : stage)),
    }
    const opened: Program = {
      ...foiled,
      stages: foiled.stages.map((stage, i) =>
        i === 0 ? { ...stage, tending: [at({ kind: 'before_end', before_s: minutes(30) }, 'uncover')] } : stage,
      ),
    }
    expect(ask(opened).browning_s).toBeGreaterThan(ask(foiled).browning_s * 1.3)
    const closed = tended([{ act: 'cover', at_s: minutes(20) }])
    expect(ask(closed).browning_s).toBeLessThan(ask(under).browning_s)
  })
})

describe('cooked until it is tender', () => {
  it('68 °C for 30 h does what 90 °C does in 1.5 h (common practice)', () => {
    expect((30 * tenderRate(68)) / (1.5 * tenderRate(90))).toBeCloseTo(1, 1)
  })

  it('knows its words from the least up', () => {
    expect(tendernessOf(0)).toBe('firm')
    for (const degree of ['slices', 'leaves_bone', 'falls_apart'] as const)
      expect(tendernessOf(tenderSeconds(degree))).toBe(degree)
  })

  const shoulder = { cut: cut('lamb-shoulder'), mass_kg: 2.2 }
  const school = findSchool('low-and-long')
  const low = (set_c: number) => {
    if (!school) throw new Error('no school')
    return programOf(school, { ...school.usual(shoulder.cut), set_c }, shoulder.cut, shoulder.mass_kg)
  }
  const serve = { target: { kind: 'serve', serve_c: 93 } as const, piece: shoulder }

  it('ends by time and temperature: a gentler oven is longer and reads less when it is there', () => {
    const hot = ask(low(160), serve)
    const gentle = ask(low(120), serve)
    expect(endsTender(low(160))).toBe(true)
    for (const each of [hot, gentle]) expect(each.tender_s).toBeGreaterThanOrEqual(tenderSeconds('falls_apart') - 1)
    expect(gentle.run.pull_s).toBeGreaterThan(hot.run.pull_s * 1.2)
    expect(gentle.pull_c).toBeLessThan(hot.pull_c - 2)
  })

  it('a shoulder at 160 °C under foil falls apart in about four hours (common practice)', () => {
    const kick = findSchool('kick-start')
    if (!kick) throw new Error('no school')
    const { run } = ask(programOf(kick, kick.usual(shoulder.cut), shoulder.cut, 2.2), serve)
    expect(run.pull_s / 3600).toBeGreaterThan(3.5)
    expect(run.pull_s / 3600).toBeLessThan(4.5)
  })

  it('what never gets tender is said, not waited for', () => {
    const cold = ask(low(60), serve)
    expect(cold.outcome).toBe('cannot')
    expect(cold.hindrances[0]?.code).toBe('stage_never_ends')
  })
})
