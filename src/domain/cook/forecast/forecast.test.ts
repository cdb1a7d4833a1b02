import { describe, expect, it } from 'vitest'
import { boardOf } from '../board'
import { type CookEntry, cookDocument, cookEntry, type ProbeReading } from '../cook-document'
import { ADVICE_CODES, type Advice, forecastOf, watchPeak } from '.'
import { beliefOf } from './belief'
import { costOf } from './choose'
import { plateOf } from './plate'
import { isSound } from './sound'

const T0 = Date.UTC(2026, 10, 25, 12) / 1000
const iso = (minute: number) => new Date((T0 + minute * 60) * 1000).toISOString()
let count = 0
const entry = (kind: CookEntry['kind'], minute: number, more: Partial<CookEntry> = {}) =>
  cookEntry.parse({ id: `entry-${String(count++).padStart(4, '0')}`, kind, at: iso(minute), item: 'a', ...more })

interface Case {
  readonly cut?: string
  readonly mass_kg?: number
  readonly program?: object
  readonly serve_c?: number
  readonly pull_c?: number
  readonly plate?: number
  readonly rest_min?: number | null
}
const cookOf = ({
  cut = 'pork-loin',
  mass_kg = 1.8,
  program,
  serve_c = 63,
  pull_c = 58,
  plate = 120,
  rest_min = null,
}: Case) =>
  cookDocument.parse({
    title: 'x',
    clock: { origin: iso(0), real: iso(0) },
    items: [
      {
        id: 'a',
        title: 'a',
        roast: { cut, mass_kg },
        program: program ?? { school: 'steady', set_c: 160 },
        serve_c,
        promise: iso(plate),
        put_in: iso(0),
        pull: iso(80),
        carve: iso(plate - 9),
        pull_c,
        rest_min,
      },
    ],
  })
const climbing = (until: number, per_min: number, of = 5): ProbeReading[] =>
  Array.from({ length: until }, (_, i) => ({
    device: 'd',
    channel: 0,
    at_s: T0 + (i + 1) * 60,
    value_c: of + Math.max(0, i - 8) * per_min,
  }))
function forecast(of: Case, now: number, readings: ProbeReading[] = [], more: CookEntry[] = []) {
  const [board] = boardOf(
    cookOf(of),
    [entry('in', 0), entry('assign', 0, { device: 'd', channel: 0, point: 'core' }), ...more],
    readings,
    T0 + now * 60,
  )
  const found = board && forecastOf(board, T0 + now * 60, 7, [], 96)
  if (!board || !found) throw new Error('no forecast')
  return { ...found, board, codes: found.tried.map(({ code }) => code) }
}

describe('what is read', () => {
  it('at the pull it is to be pulled now, however the model would have it; below it, or odd, it is not', () => {
    const now = 60
    const there = forecast({ pull_c: 58 }, now, climbing(now, 1.06))
    expect(there.board.latest?.value_c).toBeGreaterThanOrEqual(58)
    expect(there.estimate.pull_s).toEqual({ p10: now * 60, p50: now * 60, p90: now * 60 })
    expect(there.estimate.carve_s.p50).toBeGreaterThanOrEqual(now * 60)
    const below = forecast({ pull_c: 58 }, now, climbing(now, 0.9))
    expect(below.estimate.pull_s.p90).toBeGreaterThan(now * 60)
    const jumped = climbing(now, 0.7).map((reading, i) => (i > 50 ? { ...reading, value_c: 75 } : reading))
    expect(forecast({ pull_c: 58 }, now, jumped).estimate.pull_s.p90).toBeGreaterThan(now * 60)
    // Somebody looked with another thermometer, and it is so.
    const looked = forecast({ pull_c: 58 }, now, jumped, [entry('reading', now, { value_c: 61 })])
    expect(looked.board.odd.length).toBeGreaterThan(0)
    expect(looked.estimate.pull_s.p90).toBe(now * 60)
  })

  it('an oven that is too cold does not keep in what reads its pull', () => {
    const now = 60
    const air = climbing(now, 0).map((reading) => ({ ...reading, channel: 1, value_c: 130 }))
    const stuck = entry('assign', 0, { device: 'd', channel: 1, point: 'air' })
    const there = forecast({ pull_c: 58 }, now, [...climbing(now, 1.06), ...air], [stuck])
    expect(there.board.odd.map(({ code }) => code)).toContain('oven_falling')
    expect(there.estimate.pull_s.p90).toBe(now * 60)
  })
})

const RIB = {
  cut: 'beef-rib-bone-in',
  mass_kg: 3,
  program: { school: 'steady', set_c: 180 },
  serve_c: 60,
  pull_c: 53,
}

describe('after its pull', () => {
  const out = 75
  const now = out + 4
  const rested = (plate: number, serve_c = 60) => {
    const [board] = boardOf(
      cookOf({ ...RIB, serve_c, rest_min: 40, plate }),
      [
        entry('in', 0),
        entry('assign', 0, { device: 'd', channel: 0, point: 'core' }),
        entry('out', out, { value_c: 53 }),
      ],
      climbing(now, 0.72),
      T0 + now * 60,
    )
    const peak = board && watchPeak(board, T0 + now * 60)
    if (!peak) throw new Error('not watched')
    return peak
  }

  it('what is told is by the knife: carved soon it comes to less, and is told how long to be left', () => {
    const late = rested(out + 25)
    const early = rested(out + 90)
    expect(late.peak_c.p50).toBeLessThan(early.peak_c.p50 - 0.75)
    expect(early.restUntil).toBeUndefined()
    // Wanted is more than it comes to by the knife, and no more than a degree over what the whole rest gives.
    const wanted = late.peak_c.p50 + 1.6
    expect(wanted).toBeLessThan(early.peak_c.p50 + 1)
    const told = rested(out + 25, wanted)
    expect(told.short).toBe(false)
    expect(told.restUntil?.at_s).toBeGreaterThan(T0 + now * 60)
    expect(told.restUntil?.peak_c).toBeCloseTo(wanted - 1)
    expect(told.restUntil?.plate_s).toBeGreaterThan(T0 + (out + 25) * 60)
    expect([told.verdict, early.verdict, rested(out + 90, 57).verdict]).toEqual(['under', 'as_wanted', 'over'])
  })

  it('no peak is under what has been read', () => {
    const { peak_c } = rested(out + 25)
    expect(peak_c.p10).toBeGreaterThanOrEqual(climbing(now, 0.72).at(-1)?.value_c ?? 0)
  })
})

describe('early and late', () => {
  it('inside the window that the rest allows it is on time, and nothing is offered but to leave it', () => {
    const { late_s, codes } = forecast({ plate: 105 }, 5)
    expect(late_s).toBe(0)
    expect(codes).toEqual(['leave_it'])
  })

  it('late by so much that even the least rest does not make it: ways that are earlier than leaving it', () => {
    const slow = forecast({ plate: 100 }, 60, climbing(60, 0.35))
    expect(slow.late_s).toBeGreaterThan(300)
    const left = slow.tried.find(({ code }) => code === 'leave_it')
    const ups = slow.tried.filter(({ code }) => code === 'oven_up')
    expect(ups).toHaveLength(2)
    for (const up of ups) expect(up.plate_s).toBeLessThan((left?.plate_s ?? 0) + 1)
    expect(slow.codes).toContain('later_promise')
    expect(slow.codes).not.toContain('oven_down')
  })

  it('early beyond the longest rest: cooler ovens, an earlier promise, a warm place', () => {
    const quick = forecast({ plate: 260 }, 40, climbing(40, 0.9))
    expect(quick.late_s).toBeLessThan(-600)
    expect(quick.codes).toContain('oven_down')
    expect(quick.codes).toContain('earlier_promise')
    expect(quick.codes).toContain('hold')
    expect(quick.codes).not.toContain('oven_up')
    const hold = quick.tried.find(({ code }) => code === 'hold')
    expect(hold?.plate_s).toBe(quick.board.promise_s)
  })

  it('the rest of the plan is the rest of the forecast: a longer one ends later', () => {
    const knife = (rest_min: number) => forecast({ rest_min, plate: 300 }, 2).estimate.carve_s.p50
    expect(knife(60) - knife(20)).toBeCloseTo(40 * 60, -1)
  })

  it('a rest that gives way to the promise climbs less, and is foretold to', () => {
    const of = (plate: number) => forecast({ ...RIB, rest_min: 40, plate }, 10)
    const { pull_s, carve_s } = of(400).estimate
    const whole = carve_s.p50 / 60 + 12
    const short = of(Math.round(whole - 22))
    expect(short.late_s).toBe(0)
    expect(short.estimate.pull_s).toEqual(pull_s)
    expect(short.estimate.peak_c.p50).toBeLessThan(of(400).estimate.peak_c.p50 - 0.5)
    // One that must wait for its hot finish rests before that: its knife takes nothing from it.
    const reverse = { ...RIB, program: { school: 'reverse-sear', set_c: 110, hot_min: 12 } }
    const peak = (plate: number) => forecast({ ...reverse, plate }, 10).estimate.peak_c.p50
    expect(peak(200)).toBeCloseTo(peak(400), 6)
  })

  it('a hot finish can be left out or done in the pan, each simulated with its own end', () => {
    const reverse = { school: 'reverse-sear', set_c: 110, hot_min: 12 }
    const late = forecast(
      { cut: 'beef-rib-bone-in', mass_kg: 2.7, program: reverse, serve_c: 55, pull_c: 50, plate: 150 },
      90,
      climbing(90, 0.2),
    )
    expect(late.codes).toContain('skip_finish')
    expect(late.codes).toContain('pan_finish')
    const at = (code: Advice['code']) => late.tried.find((advice) => advice.code === code)
    expect(at('skip_finish')?.plate_s).toBeLessThan(at('pan_finish')?.plate_s ?? 0)
    expect(at('skip_finish')?.peak_c).toBeLessThanOrEqual((at('pan_finish')?.peak_c ?? 0) + 0.3)
  })

  it('a bird that goes straight on in the heat is pulled below its floor, hotter too; one that rests is not', () => {
    const bird = { cut: 'chicken', mass_kg: 1.6, serve_c: 74, plate: 90 }
    const pulls = (program: object, pull_c: number) =>
      forecast({ ...bird, program, pull_c }, 40, climbing(40, 0.9)).tried.flatMap((advice) =>
        advice.code === 'oven_up' ? [advice.pull_c ?? Number.NaN] : [],
      )
    const [straightOn, rested] = [pulls({ school: 'finish-hot' }, 63), pulls({ school: 'steady', set_c: 150 }, 71)]
    expect(straightOn.length).toBeGreaterThan(0)
    expect(rested.length).toBeGreaterThan(0)
    expect(Math.max(...straightOn)).toBeLessThan(70)
    expect(Math.min(...rested)).toBeGreaterThanOrEqual(71)
  })

  it('pulled now it is less done, and on the table sooner', () => {
    const { tried: advice } = forecast({ plate: 85 }, 70, climbing(70, 0.6))
    const now = advice.find(({ code }) => code === 'pull_now')
    const left = advice.find(({ code }) => code === 'leave_it')
    expect(now?.plate_s).toBeLessThan(left?.plate_s ?? 0)
    expect(now?.peak_c).toBeLessThan(left?.peak_c ?? 0)
    // With time in hand it stays in: nobody serves it less done for nothing.
    const early = forecast({ plate: 130 }, 70, climbing(70, 0.6))
    expect(early.tried.map(({ code }) => code)).not.toContain('pull_now')
  })

  it('an oven that will not do it is said, with a heat that does', () => {
    const { estimate, advice, late_s } = forecast({ program: { school: 'steady', set_c: 75 }, pull_c: 98 }, 10)
    expect(Number.isNaN(estimate.pull_s.p50)).toBe(true)
    expect(advice.at(-1)).toMatchObject({ code: 'leave_it', never: true, best: false })
    expect(advice[0]).toMatchObject({ code: 'oven_up', best: true })
    expect(Number.isFinite(advice[0]?.plate_s)).toBe(true)
    expect(late_s).toBe(0)
  })
})

describe('what was done outside the program', () => {
  it('an oven set otherwise moves the arrival; the same setting does not', () => {
    const pull = (...more: CookEntry[]) => forecast({}, 30, [], more).estimate.pull_s.p50
    expect(pull(entry('oven', 20, { value_c: 200 }))).toBeLessThan(pull() - 300)
    expect(pull(entry('oven', 20, { value_c: 160 }))).toBeCloseTo(pull(), -1)
  })

  it('a baste that the program does by itself costs its door once', () => {
    const basted = {
      stages: [
        {
          environment: { kind: 'oven', set_c: 160 },
          until: { kind: 'pull' },
          tending: [{ act: 'baste', at_min: 20, every_min: 20 }],
        },
        { role: 'rest', environment: { kind: 'counter' }, cover: 'tent', until: { kind: 'time', minutes: 15 } },
      ],
    }
    const pull = (program: object | undefined, ...more: CookEntry[]) =>
      forecast(program ? { program } : {}, 50, [], more).estimate.pull_s.p50
    expect(pull(basted, entry('basted', 20))).toBe(pull(basted))
    expect(pull(undefined, entry('basted', 20))).toBeGreaterThan(pull(undefined))
  })
})

describe('a way out that could not be printed is none', () => {
  const [board] = boardOf(cookOf({}), [entry('in', 0)], [], T0 + 1800)
  const belief = board && beliefOf(board, T0 + 1800, 7, 16)
  if (!belief) throw new Error('no belief')
  const now_s = T0 + 1800
  const good: Advice = {
    code: 'oven_up',
    set_c: 180,
    pull_c: 58,
    pull_s: now_s + 600,
    plate_s: now_s + 1800,
    peak_c: 62,
  }

  it('a good one passes', () => {
    expect(isSound(good, belief, now_s)).toBe(true)
  })

  const bad: Readonly<Record<string, Partial<Advice>>> = {
    'on the table in the past': { plate_s: now_s - 60 },
    'pulled in the past': { pull_s: now_s - 600 },
    'on the table before the pull': { pull_s: now_s + 3000 },
    'pulled above the wanted': { pull_c: 70 },
    'pulled below its start': { pull_c: -11 },
    'hotter than water boils': { peak_c: 125 },
    'not a number': { plate_s: Number.NaN },
    'a promise in the past': { promise_s: now_s - 1 },
    'an oven no oven is': { set_c: 900 },
  }
  for (const [name, change] of Object.entries(bad))
    it(`${name}: refused`, () => {
      expect(isSound({ ...good, ...change }, belief, now_s)).toBe(false)
    })

  it('the plate lies between the least and the longest rest, at the promise where it can', () => {
    const knife = 6000
    const { earliest_s, plate_s } = plateOf(belief, knife)
    expect(plate_s).toBeGreaterThanOrEqual(earliest_s)
    const moved = { ...belief, board: { ...belief.board, promise_s: earliest_s + 60 } }
    expect(plateOf(moved, knife).plate_s).toBe(earliest_s + 60)
    const never = { ...belief, board: { ...belief.board, promise_s: earliest_s - 9000 } }
    expect(plateOf(never, knife).plate_s).toBe(earliest_s)
  })

  it('every code has a name of its own', () => {
    expect(new Set(ADVICE_CODES).size).toBe(ADVICE_CODES.length)
  })
})

describe('what a way out costs', () => {
  it('an oven that is cooler than advised is said to be, while what is in it is not hot yet', () => {
    const cares = (cut: string, set_c: number, reads_c: number) => {
      const [board] = boardOf(
        cookOf({ cut, serve_c: 74, pull_c: 71 }),
        [entry('in', 0), entry('assign', 0, { device: 'd', channel: 0, point: cut === 'turkey' ? 'breast' : 'core' })],
        climbing(60, (reads_c - 5) / 51),
        T0 + 3600,
      )
      const belief = board && beliefOf(board, T0 + 3600, 7, 16)
      if (!belief) throw new Error('nothing is believed')
      const advice: Advice = { code: 'oven_down', set_c, pull_s: T0 + 6000, plate_s: T0 + 7000, peak_c: 74 }
      return costOf(advice, belief).care
    }
    expect(cares('turkey', 135, 30)).toBe('slow_oven')
    expect(cares('turkey', 135, 60)).toBe('none')
    expect(cares('turkey', 165, 30)).toBe('none')
    expect(cares('pork-loin', 120, 30)).toBe('none')
    expect(cares('pork-loin', 85, 30)).toBe('slow_oven')
  })
})
