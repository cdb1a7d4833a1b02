import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../../heat/oven'
import { steadyProgram } from '../../program/schools'
import { checkSchedule } from './check'
import { clashesOf } from './clash'
import { openingsOf, othersOpen } from './doors'
import { greedySchedule, Occupancy, prepare } from './greedy'
import { buildModel } from './model'
import { handUses, optionsOf, settingName, slotsOf, usesOf } from './options'
import { GRID_S, type Leg, type MealItem, type MealProblem, sameOption } from './problem'
import type { CookedRoast } from './roast-times'
import { gapOf, solveMeal } from './solve'
import { mealTasks, type TaskNeeds } from './tasks'

const SERVE = 1_800_000_000 - (1_800_000_000 % GRID_S)
const leg = (minutes: number, set_c: number | undefined, more: Partial<Leg> = {}, sources = [0]): Leg => ({
  places: 1,
  choices: sources.map((source) => ({ source, phases: [{ duration_s: minutes * 60, set_c }], lead_s: 600, cost: 0 })),
  gap: { least_s: 1200, most_s: 3600, liked_s: 1200, perTen: 1 },
  ...more,
})
const item = (id: string, legs: Leg[], more: Partial<MealItem> = {}): MealItem => ({
  id,
  serve_s: SERVE,
  legs,
  dish_s: 600,
  early_s: 0,
  ...more,
})
const problem = (items: MealItem[], more: Partial<MealProblem> = {}): MealProblem => ({
  sources: [
    { id: 'oven', kind: 'oven', places: 2, oneSetting: true, low_c: 50, high_c: 260 },
    { id: 'other', kind: 'oven', places: 1, oneSetting: true, low_c: 50, high_c: 260 },
    { id: 'hob', kind: 'hob', places: 2, oneSetting: false, low_c: 0, high_c: 400 },
  ],
  items,
  cooks: 2,
  earliest_s: SERVE - 10 * 3600,
  ...more,
})
const scheduled = (of: MealProblem) => greedySchedule(of, prepare(of))

describe('options of one item', () => {
  it('end with dishing up at the serving, the rest within its range, in ten-minute steps', () => {
    const of = problem([item('a', [leg(60, 160)])])
    const options = optionsOf(of, 0)
    expect(options).toHaveLength(5)
    for (const option of options) {
      const rest = option.dish_s - (option.blocks[0]?.to_s ?? 0)
      expect(rest).toBeGreaterThanOrEqual(1200)
      expect(rest).toBeLessThanOrEqual(3600)
      expect((rest - 1200) % 600).toBe(0)
      expect(option.done_s).toBe(SERVE)
    }
    expect(options[0]?.cost).toBe(0)
    expect(options.map(({ cost }) => cost)).toEqual([...options.map(({ cost }) => cost)].sort((a, b) => a - b))
  })

  it('two legs follow each other, each on its own source', () => {
    const of = problem([
      item('a', [
        leg(120, 110, {}, [0, 1]),
        leg(10, 240, { gap: { least_s: 0, most_s: 0, liked_s: 0, perTen: 0 } }, [0, 1]),
      ]),
    ])
    const options = optionsOf(of, 0)
    expect(options).toHaveLength(5 * 2 * 2)
    for (const { blocks } of options) expect(blocks[0]?.to_s).toBeLessThan(blocks[1]?.from_s ?? 0)
  })

  it('none start before the day does, and a pin leaves what it allows', () => {
    expect(optionsOf(problem([item('a', [leg(60, 160)])], { earliest_s: SERVE - 3600 }), 0)).toEqual([])
    const start = SERVE - 600 - 2400 - 3600
    const pinned = optionsOf(
      problem([item('a', [leg(60, 160, {}, [0, 1])], { pinnedStart_s: start, pinnedSource: 1 })]),
      0,
    )
    expect(pinned).toHaveLength(1)
    expect(pinned[0]).toMatchObject({ start_s: start, blocks: [{ source: 1 }] })
    expect(optionsOf(problem([item('a', [leg(60, 160)], { pinnedStart_s: SERVE })]), 0)).toEqual([])
  })

  it('a switched-off oven is taken whole, under a name of its own', () => {
    const of = problem([item('a', [leg(120, undefined)])])
    const [option] = optionsOf(of, 0)
    if (!option) throw new Error('no option')
    const inside = usesOf(option, of).filter(({ places }) => places > 0)
    expect(inside.every(({ places, setting }) => places === 2 && setting === 'off 0')).toBe(true)
    expect(settingName(160, 0, true)).toBe('1600')
    expect(settingName(160, 0, false)).toBe('any')
  })

  /** Hot for a while, then gentler: changed in the middle of a slot. */
  const twoHeats = (then_c: number, hot_min = 23): Leg => ({
    ...leg(0, undefined),
    choices: [
      {
        source: 0,
        phases: [
          { duration_s: hot_min * 60, set_c: 230 },
          { duration_s: 67 * 60, set_c: then_c },
        ],
        lead_s: 600,
        cost: 0,
      },
    ],
  })

  it('a change of heat within a slot is one use of it, which only the same change at the same second shares', () => {
    const of = problem([item('a', [twoHeats(160)]), item('b', [twoHeats(160)]), item('c', [twoHeats(160, 24)])])
    for (const option of optionsOf(of, 0)) {
      const slots = usesOf(option, of).map(({ source, slot }) => `${source}/${slot}`)
      expect(new Set(slots).size).toBe(slots.length)
    }
    const { options, dropped } = scheduled(problem(of.items.slice(0, 2)))
    expect(dropped).toEqual([])
    expect(new Set(options.map(({ start_s }) => start_s)).size).toBe(1)
    expect(checkSchedule(problem(of.items.slice(0, 2)), { options, dropped, cost: 0 })).toEqual([])
    // A minute longer hot goes in a minute sooner; another heat after it does not go in.
    const uneven = scheduled(problem([of.items[0] as MealItem, of.items[2] as MealItem]))
    expect(uneven.dropped).toEqual([])
    expect(uneven.options.map(({ start_s }) => start_s - (uneven.options[0]?.start_s ?? 0))).toEqual([0, -60])
    expect(scheduled(problem([item('a', [twoHeats(160)]), item('b', [twoHeats(170)])])).dropped).toHaveLength(1)
  })

  it('back in the oven it rested from, its heat-up asks no more of a slot than there is', () => {
    const seared: Leg[] = [
      leg(120, 110, { gap: { least_s: 900, most_s: 1500, liked_s: 900, perTen: 0 } }),
      leg(10, 250, { gap: { least_s: 0, most_s: 0, liked_s: 0, perTen: 0 } }),
    ]
    const of = problem([item('a', seared), item('b', seared)])
    for (const option of optionsOf(of, 0)) {
      const slots = usesOf(option, of).map(({ source, slot }) => `${source}/${slot}`)
      expect(new Set(slots).size).toBe(slots.length)
    }
    const together = scheduled(of)
    expect(together.dropped).toEqual([])
    expect(checkSchedule(of, together)).toEqual([])
  })

  it('slots cover what they are of, and no slot more than it must', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100_000 }), fc.integer({ min: 1, max: 20_000 }), (from, length) => {
        const { first, last } = slotsOf(from, from + length, 0)
        expect(first * GRID_S).toBeLessThanOrEqual(from)
        expect((last + 1) * GRID_S).toBeGreaterThanOrEqual(from + length - 1e-6)
        expect((first + 1) * GRID_S).toBeGreaterThan(from)
        expect(last * GRID_S).toBeLessThan(from + length)
      }),
    )
  })

  it('hands asked of all slots together are the work there is', () => {
    const of = problem([item('a', [leg(60, 160)])])
    const [option] = optionsOf(of, 0)
    if (!option) throw new Error('no option')
    const asked = handUses(option, of.earliest_s).reduce((sum, [, share]) => sum + share * GRID_S, 0)
    const work = option.hands.reduce((sum, { from_s, to_s, share }) => sum + share * (to_s - from_s), 0)
    expect(asked).toBeCloseTo(work, 6)
  })
})

describe('what stands in the way', () => {
  it('two at one heat share an oven, two heats do not, a third finds it full', () => {
    const same = problem([item('a', [leg(60, 160)]), item('b', [leg(60, 160)])])
    expect(scheduled(same).dropped).toEqual([])
    const tight = { gap: { least_s: 1200, most_s: 1200, liked_s: 1200, perTen: 1 } }
    const heats = problem([item('a', [leg(60, 160, tight)]), item('b', [leg(60, 200, tight)])])
    expect(scheduled(heats).dropped).toHaveLength(1)
    const three = problem(['a', 'b', 'c'].map((id) => item(id, [leg(60, 160, tight)])))
    expect(scheduled(three).dropped).toHaveLength(1)
  })

  it('an occupancy gives back what is taken out again', () => {
    const of = problem([item('a', [leg(60, 160)]), item('b', [leg(60, 200)])])
    const [a, b] = prepare(of).map(([first]) => first)
    if (!a || !b) throw new Error('no options')
    const occupancy = new Occupancy(of)
    expect(occupancy.fits(b)).toBe(true)
    occupancy.add(a)
    expect(occupancy.fits(b)).toBe(false)
    occupancy.add(a, -1)
    expect(occupancy.fits(b)).toBe(true)
  })

  it('a clash names who is in the way, or the hands, or that there is no way', () => {
    const tight = { gap: { least_s: 1200, most_s: 1200, liked_s: 1200, perTen: 1 } }
    const clash = (of: MealProblem) => clashesOf(of, prepare(of), scheduled(of))[0]
    expect(clash(problem([item('a', [leg(90, 160, tight)]), item('b', [leg(60, 200, tight)])]))).toMatchObject({
      code: 'crowded',
      item: 1,
      against: [0],
    })
    expect(
      clash(problem([item('a', [leg(60, 160, tight)]), item('b', [leg(60, 160, tight)])], { cooks: 1 }))?.code,
    ).toBe('hands')
    expect(clash(problem([item('a', [leg(60, 160)])], { earliest_s: SERVE - 60 }))).toMatchObject({
      code: 'no_way',
      sources: [0],
    })
  })

  it('openings by others are those of the same oven while it is in', () => {
    const of = problem([item('a', [leg(180, 160)]), item('b', [leg(60, 160)])])
    const { options } = scheduled(of)
    const [a, b] = options
    if (!a || !b) throw new Error('not placed')
    expect(othersOpen(options, a).every((time) => time > a.start_s && time < (a.blocks[0]?.to_s ?? 0))).toBe(true)
    expect(othersOpen(options, a).length).toBeGreaterThan(0)
    expect(openingsOf(of, options)).toEqual([4, 0, 0])
  })
})

describe('the exact model', () => {
  it('takes a schedule apart into columns and puts it together again', () => {
    const of = problem([item('a', [leg(60, 160, {}, [0, 1])]), item('b', [leg(60, 200, {}, [0, 1])])])
    const prepared = prepare(of)
    const first = greedySchedule(of, prepared)
    const { model, columnsOf, scheduleOf } = buildModel(of, prepared)
    const values = new Float64Array(model.columns)
    for (const column of columnsOf(first)) values[column] = 1
    const again = scheduleOf(values)
    expect(again.cost).toBe(first.cost)
    expect(again.options.every((option, i) => sameOption(option, first.options[i] as typeof option))).toBe(true)
    expect(model.starts.at(-1)).toBe(model.values.length)
  })

  it('without a solver the first answer stands, its gap unknown but for a perfect one', () => {
    const of = problem([item('a', [leg(60, 160)])])
    expect(solveMeal(of, undefined, 0)).toMatchObject({ proved: true, bound: 0 })
    expect(gapOf({ schedule: { options: [], dropped: [], cost: 10 }, proved: false, bound: undefined })).toBe(1)
    expect(gapOf({ schedule: { options: [], dropped: [], cost: 10 }, proved: false, bound: 9 })).toBeCloseTo(0.1)
  })

  it('a solver that tells of better answers is heard, and a worse last one is not believed', () => {
    const tight = { gap: { least_s: 1200, most_s: 2400, liked_s: 2400, perTen: 1 } }
    const of = problem([item('a', [leg(60, 160, tight)]), item('b', [leg(60, 170, tight)])])
    const prepared = prepare(of)
    const best = greedySchedule(of, prepared)
    const told: number[] = []
    const answer = solveMeal(
      of,
      { solve: (model) => ({ status: 'limit', values: new Float64Array(model.columns), bound: 1 }) },
      1,
      ({ schedule }) => told.push(schedule.cost),
    )
    expect(answer.schedule.cost).toBe(best.cost)
    expect(told[0]).toBe(best.cost)
  })
})

describe('tasks of a meal', () => {
  const steady = steadyProgram(160, 20)
  const run = (index: number, start_s: number, end_s: number) => ({
    stage: steady.stages[index] as (typeof steady.stages)[number],
    start_s,
    end_s,
    core_c: 50,
    ended: true,
  })
  const cooked = {
    program: steady,
    stages: [run(0, 0, 3600), run(1, 3600, 4800)],
    pull_c: 50,
    peak_c: 55,
    peakAfter_s: 600,
    outcome: 'reached',
    window_s: { p10: 3000, p50: 3600, p90: 4500 },
  } as unknown as CookedRoast
  const need = (more: Partial<TaskNeeds> = {}): TaskNeeds => ({
    cooked,
    oven: DOMESTIC_OVEN,
    serve_c: 55,
    mass_kg: 3,
    thaw: undefined,
    preparation: 'dry_salt',
    shape: undefined,
    temper_s: 1800,
    owner: undefined,
    ...more,
  })
  const tasksFor = (of: MealProblem, needs: TaskNeeds[]) =>
    mealTasks(of, scheduled(of).options, needs, undefined, [SERVE])

  it('the window of a pull is as wide as its doubt, about the pull', () => {
    const of = problem([item('a', [leg(60, 160)])])
    const pull = tasksFor(of, [need()]).find(({ kind }) => kind === 'pull')
    expect(pull?.window).toEqual({ from: (pull?.at ?? 0) - 600, to: (pull?.at ?? 0) + 900 })
  })

  it('one heat-up for two that share an oven, two for two heats', () => {
    const kinds = (set: number) =>
      tasksFor(problem([item('a', [leg(90, 160)]), item('b', [leg(60, set, {}, set === 160 ? [0] : [1])])]), [
        need(),
        need(),
      ]).filter(({ kind }) => kind === 'heat_up')
    expect(kinds(160)).toHaveLength(1)
    expect(kinds(200)).toHaveLength(2)
  })

  it('no cook is given two things that overlap while another is free', () => {
    const of = problem([item('a', [leg(60, 160)]), item('b', [leg(60, 160)])])
    const tasks = tasksFor(of, [need(), need()]).filter(({ cook }) => cook !== undefined)
    for (const task of tasks) {
      const busy = tasks.filter((other) => other !== task && other.at <= task.at && other.at + other.hands_s > task.at)
      if (busy.length === 1) expect(busy[0]?.cook).not.toBe(task.cook)
    }
  })

  it('the schedule behind them has no fault', () => {
    const of = problem([item('a', [leg(60, 160)]), item('b', [leg(60, 160)])])
    expect(checkSchedule(of, scheduled(of))).toEqual([])
  })
})
