import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { findSchool, programOf, SCHOOLS, steadyProgram } from '../program/schools'
import type { Program, Stage } from '../program/stage'
import { CUTS, findCut } from '../reference/cuts'
import { STANDARDS } from '../reference/standards'
import { celsius, epochSeconds, minutes } from '../units'
import type { CookedRoast } from './meal/roast-times'
import { stagesOnClock } from './meal/tasks'
import { type PlanRequest, planRoast, type TimedStage } from './plan'
import { byClock, HANDS_S, TASK_KINDS } from './task'
import { type RoastOnClock, roastTasks } from './tasks'

const NOW = epochSeconds(1_800_000_000)
const PROMISE = epochSeconds(NOW + 3 * 86_400)
const must = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('missing')
  return value
}
const rib = must(findCut('beef-rib-bone-in'))
const request = (more: Partial<PlanRequest> = {}): PlanRequest => ({
  piece: { cut: rib, mass_kg: 2.7 },
  oven: { ...DOMESTIC_OVEN, swing_k: 0 },
  start_c: 5,
  temper_s: 1800,
  altitude_m: 0,
  program: steadyProgram(150, 25),
  serve_c: celsius(55),
  vulnerable: false,
  preparation: 'dry_salt',
  gravy: false,
  thaw: undefined,
  promise: PROMISE,
  now: NOW,
  members: 16,
  seed: 4,
  ...more,
})

/** Stages that take an hour each, from a time. */
const timed = (program: Program, from = 10_000): TimedStage[] =>
  program.stages.map((stage, i) => ({
    stage,
    from: epochSeconds(from + i * 3600),
    to: epochSeconds(from + (i + 1) * 3600),
    core_c: 50,
  }))
const onClock = (program: Program, more: Partial<RoastOnClock> = {}): RoastOnClock => {
  const stages = timed(program)
  const end = must(stages.at(-1)).to
  return {
    program,
    stages,
    oven: DOMESTIC_OVEN,
    mass_kg: 2,
    serve_c: 55,
    pull_c: 50,
    peak_c: 55,
    peakAfter_s: 900,
    window_s: { p10: 3000, p50: 3600, p90: 4500 },
    waits: true,
    carve: { at: end, hands_s: 600 },
    ...more,
  }
}
const tended = (tending: Stage['tending']): Program => {
  const [cooks, rests] = steadyProgram(160, 60).stages
  return { school: 'own', stages: [{ ...must(cooks), tending }, must(rests)] }
}

describe('steps of one roast', () => {
  it('basting comes at its times, stops before the stage ends, and never after it', () => {
    const times = (at_min: number, every_min?: number) =>
      roastTasks(
        onClock(
          tended([
            { act: 'baste', at_s: minutes(at_min), every_s: every_min === undefined ? undefined : minutes(every_min) },
          ]),
        ),
      )
        .filter(({ kind }) => kind === 'tend')
        .map(({ at }) => (at - 10_000) / 60)
    expect(times(20)).toEqual([20])
    expect(times(20, 15)).toEqual([20, 35, 50])
    expect(times(90)).toEqual([])
    expect(times(0, 30)).toEqual([0, 30])
    // A step of no length would never end.
    expect(times(5, 0)).toEqual([5])
  })

  it('the pull has its window about it and somebody stands there before it opens', () => {
    const tasks = roastTasks(onClock(steadyProgram(160, 20)))
    const pull = must(tasks.find(({ kind }) => kind === 'pull'))
    expect(pull.window).toEqual({ from: pull.at - 600, to: pull.at + 900 })
    expect(must(tasks.find(({ kind }) => kind === 'watch')).at).toBe(pull.at - 600 - STANDARDS.watchAhead.value)
    expect(pull.because.numbers).toMatchObject({ pull_c: 50, rise_k: 5, peak_after_min: 15 })
  })

  it('by the clock there is no pull and no watch; without a spread no window', () => {
    const kinds = (more: Partial<RoastOnClock>) =>
      roastTasks(onClock(steadyProgram(160, 20), more)).map(({ kind }) => kind)
    expect(kinds({ waits: false })).toEqual(['put_in', 'rest', 'carve'])
    expect(kinds({ window_s: undefined })).toEqual(['put_in', 'pull', 'rest', 'carve'])
  })

  it('no stages, no steps', () => {
    expect(roastTasks({ ...onClock(steadyProgram(160, 20)), stages: [] })).toEqual([])
  })
})

describe('the run of a plan', () => {
  for (const school of SCHOOLS)
    it(`${school.id}: every stage is a step, in the order of the clock, and the last is the promise`, () => {
      for (const cut of CUTS.filter((each) => school.suits(each)).slice(0, 3)) {
        const plan = planRoast(
          request({
            piece: { cut, mass_kg: cut.mass_kg.usual },
            program: programOf(school, school.usual(cut), cut, cut.mass_kg.usual),
            gravy: false,
            serve_c: celsius(cut.doneness === 'poultry' ? 74 : cut.doneness === 'tender' ? 90 : 56),
          }),
        )
        expect([...plan.tasks].sort(byClock)).toEqual(plan.tasks)
        expect(plan.tasks.at(-1)).toMatchObject({ kind: 'serve', at: PROMISE })
        const kinds = plan.tasks.map(({ kind }) => kind)
        expect(kinds.filter((kind) => kind === 'put_in')).toHaveLength(1)
        expect(kinds.filter((kind) => kind === 'carve')).toHaveLength(1)
        for (const { stage, from } of plan.stages.slice(1))
          expect(plan.tasks.some((task) => task.stage === stage && task.at === from)).toBe(true)
        for (const task of plan.tasks) {
          expect(TASK_KINDS).toContain(task.kind)
          expect(Number.isFinite(task.at)).toBe(true)
          expect(task.hands_s).toBeGreaterThanOrEqual(0)
        }
      }
    })

  it('an oven is lit before it is needed, and again only once the meat is off it', () => {
    const reverse = must(findSchool('reverse-sear'))
    const plan = planRoast(
      request({ program: programOf(reverse, { set_c: 110, hot_c: 250, hot_min: 9, rest_min: 30 }, rib, 2.7) }),
    )
    const [first, second] = plan.tasks.filter(({ kind }) => kind === 'heat_up')
    expect(first?.at).toBeLessThan(plan.putIn)
    const pull = must(plan.tasks.find(({ kind }) => kind === 'pull'))
    expect(second?.at).toBeGreaterThanOrEqual(pull.at)
    expect(second?.at).toBeLessThan(must(plan.tasks.find(({ kind }) => kind === 'finish')).at)
  })

  it('a cold start is not lit beforehand; salt is wanted a day ahead and never in the past', () => {
    const cold = must(findSchool('cold-start'))
    const plan = planRoast(
      request({ piece: { cut: rib, mass_kg: 3.5 }, program: programOf(cold, cold.usual(rib), rib, 3.5) }),
    )
    expect(plan.tasks.some(({ kind, at }) => kind === 'heat_up' && at < plan.putIn)).toBe(false)
    const salt = must(plan.tasks.find(({ kind }) => kind === 'salt'))
    expect(plan.putIn - salt.at).toBe(STANDARDS.saltAhead.value)
    const soon = planRoast(request({ promise: epochSeconds(NOW + 6 * 3600) }))
    expect(must(soon.tasks.find(({ kind }) => kind === 'salt')).at).toBeGreaterThanOrEqual(NOW)
    expect(planRoast(request({ preparation: 'none' })).tasks.some(({ kind }) => kind === 'salt')).toBe(false)
  })

  it('a promise that moves by half an hour moves every step by as much', () => {
    const base = planRoast(request())
    const later = planRoast(request({ promise: epochSeconds(PROMISE + 1800) }))
    expect(later.tasks.map(({ kind }) => kind)).toEqual(base.tasks.map(({ kind }) => kind))
    later.tasks.forEach((task, i) => {
      expect(task.at - must(base.tasks[i]).at).toBeCloseTo(1800, 6)
    })
  })

  it('every kind of step says how long it takes a cook’s hands', () => {
    expect(Object.keys(HANDS_S).sort()).toEqual([...TASK_KINDS].sort())
  })
})

describe('a roast in the places a meal gave it', () => {
  const reverse = must(findSchool('reverse-sear'))
  const program = programOf(reverse, { set_c: 110, hot_c: 250, hot_min: 10, rest_min: 30 }, rib, 2.7)
  const run = (index: number, start_s: number, end_s: number) => ({
    stage: must(program.stages[index]),
    start_s,
    end_s,
    core_c: 50,
    ended: true,
  })
  const cooked = {
    program,
    stages: [run(0, 0, 7200), run(1, 7200, 9000), run(2, 9000, 9600)],
  } as unknown as CookedRoast
  const block = (from_s: number, to_s: number, set_c: number) => ({
    source: 0,
    places: 1,
    from_s,
    to_s,
    lead_s: 0,
    phases: [{ from_s, to_s, set_c }],
  })

  it('a rest the schedule made longer is longer, and the stages touch', () => {
    const option = {
      item: 0,
      blocks: [block(1000, 8200, 110), block(12_000, 12_600, 250)],
      hands: [],
      start_s: 1000,
      dish_s: 12_600,
      done_s: 13_200,
      cost: 0,
    }
    const stages = stagesOnClock(cooked, option)
    expect(stages.map(({ from, to }) => [from, to])).toEqual([
      [1000, 8200],
      [8200, 12_000],
      [12_000, 12_600],
    ])
  })

  it('a rest at the end goes on until the knife', () => {
    const steady = steadyProgram(160, 20)
    const simple = {
      program: steady,
      stages: [
        { stage: must(steady.stages[0]), start_s: 0, end_s: 3600, core_c: 50, ended: true },
        { stage: must(steady.stages[1]), start_s: 3600, end_s: 4800, core_c: 55, ended: true },
      ],
    } as unknown as CookedRoast
    const option = {
      item: 0,
      blocks: [block(0, 3600, 160)],
      hands: [],
      start_s: 0,
      dish_s: 6000,
      done_s: 6600,
      cost: 0,
    }
    expect(stagesOnClock(simple, option).at(-1)).toMatchObject({ from: 3600, to: 6000 })
  })
})

describe('a school by the clock', () => {
  const ovenOff = must(findSchool('oven-off'))
  const program = programOf(ovenOff, ovenOff.usual(rib), rib, 2.7)

  it('says how long its first heat would have to be, and that does it', () => {
    const plan = planRoast(request({ program, serve_c: celsius(50) }))
    const trouble = plan.troubles.find(({ code }) => code === 'clock_misses_doneness')
    if (trouble?.code !== 'clock_misses_doneness') throw new Error('it does not miss')
    const right = must(trouble.right)
    const stages = program.stages.map((stage, i) =>
      i === right.stage
        ? { ...stage, until: { kind: 'time' as const, duration_s: minutes(must(right.minutes)) } }
        : stage,
    )
    const again = planRoast(request({ program: { ...program, stages }, serve_c: celsius(50) }))
    expect(again.troubles.map(({ code }) => code)).not.toContain('clock_misses_doneness')
    expect(Math.abs(again.peak_c - 50)).toBeLessThan(1.5)
  })

  it('whatever weight by the same rule, or start, it offers gives the wanted', () => {
    let offered = 0
    for (const [mass_kg, wanted_c] of [2.7, 1.3, 6].flatMap((mass) =>
      [48, 54, 62, 66].map((wanted) => [mass, wanted] as const),
    )) {
      const own = programOf(ovenOff, ovenOff.usual(rib), rib, mass_kg)
      const asked = { piece: { cut: rib, mass_kg }, program: own, serve_c: celsius(wanted_c) }
      const trouble = planRoast(request(asked)).troubles.find(({ code }) => code === 'clock_misses_doneness')
      if (trouble?.code !== 'clock_misses_doneness' || !trouble.right) continue
      const { minutes: first, perKilo_min, mass_kg: other, start_c } = trouble.right
      if (first !== undefined) expect(must(perKilo_min) * mass_kg).toBeCloseTo(first, -1)
      const ends = (more: Partial<PlanRequest>) => planRoast(request({ ...asked, ...more })).peak_c
      if (other !== undefined) {
        offered++
        const program = programOf(ovenOff, ovenOff.usual(rib), rib, other)
        expect(Math.abs(ends({ piece: { cut: rib, mass_kg: other }, program }) - wanted_c)).toBeLessThan(1.5)
      }
      if (start_c !== undefined) {
        offered++
        expect(Math.abs(ends({ start_c, temper_s: 0 }) - wanted_c)).toBeLessThan(1.5)
      }
    }
    expect(offered).toBeGreaterThan(0)
  })

  it('says so where no time does it', () => {
    const plan = planRoast(request({ program, serve_c: celsius(97) }))
    expect(plan.troubles).toContainEqual(expect.objectContaining({ code: 'clock_misses_doneness', right: undefined }))
  })
})

describe('the days before one roast', () => {
  it('a frozen brined piece thaws, lies in its brine and dries, in that order, and nobody is woken for it', () => {
    const { tasks, putIn } = planRoast(
      request({ preparation: 'wet_brine', thaw: { how: 'fridge', takes_s: 2 * 86_400 } }),
    )
    const at = (kind: string) => must(tasks.find((task) => task.kind === kind)).at
    expect(at('thaw')).toBeLessThanOrEqual(at('brine') - 2 * 86_400)
    expect(at('brine')).toBeLessThan(at('unbrine'))
    expect(at('unbrine')).toBeLessThan(putIn)
    expect(tasks.some(({ kind }) => kind === 'salt')).toBe(false)
  })

  it('acid is no longer on it than its hours', () => {
    const { tasks, putIn } = planRoast(request({ preparation: 'acid_marinade' }))
    const marinated = must(tasks.find(({ kind }) => kind === 'marinate'))
    expect(putIn - marinated.at).toBeLessThanOrEqual(STANDARDS.acidLimit.value)
  })
})
