import { describe, expect, it } from 'vitest'
import { planDocument } from '../roast/roast-document'
import { cookFromPlan } from './begin'
import { boardOf, nextActions, sameOven, sameTable } from './board'
import { type CookEntry, cookDocument, cookEntry, cookTime, type ProbeReading } from './cook-document'
import { arrivalText } from './entry/arrival'
import { standing } from './entry/fold'
import { forecastOf } from './forecast'
import { jumpsOf } from './odd'
import { planSteps, runOf } from './run'
import type { CookStep } from './step'

const T0 = Date.UTC(2026, 10, 25, 12) / 1000
const iso = (minute: number) => new Date((T0 + minute * 60) * 1000).toISOString()
const document = cookDocument.parse({
  title: 'Supper',
  clock: { origin: iso(0), real: iso(0), speed: 1 },
  items: ['rib', 'pork'].map((id, i) => ({
    id,
    title: id,
    roast: { cut: i === 0 ? 'beef-rib-bone-in' : 'pork-loin', mass_kg: 2.5 },
    program: { school: 'steady', set_c: 140 },
    serve_c: i === 0 ? 55 : 63,
    promise: iso(240),
    put_in: iso(10),
    pull: iso(190),
    carve: iso(225),
    pull_c: i === 0 ? 50 : 58,
  })),
})
let count = 0
const entry = (kind: CookEntry['kind'], minute: number, more: Partial<CookEntry> = {}) =>
  cookEntry.parse({ id: `entry-${String(count++).padStart(4, '0')}`, kind, at: iso(minute), item: 'rib', ...more })
const probe = (from: number, to: number, value: (minute: number) => number, channel = 0): ProbeReading[] =>
  Array.from({ length: to - from }, (_, i) => ({
    device: 'd',
    channel,
    at_s: T0 + (from + i) * 60,
    value_c: value(from + i),
  }))
const assigned = [entry('in', 10), entry('assign', 11, { device: 'd', channel: 0, point: 'core' })]
const turkey = cookDocument.parse({
  ...document,
  items: [
    {
      ...document.items[0],
      roast: { cut: 'turkey', mass_kg: 5 },
      program: { school: 'steady', set_c: 165 },
      serve_c: 74,
      pull_c: 70,
      points: ['breast', 'thigh'],
    },
  ],
})
const probedBird = [
  entry('in', 10),
  entry('assign', 11, { device: 'd', channel: 0, point: 'breast' }),
  entry('assign', 11, { device: 'd', channel: 1, point: 'thigh' }),
]
const rib = (entries: CookEntry[], readings: ProbeReading[], minute: number) =>
  boardOf(document, entries, readings, T0 + minute * 60)[0]

describe('entries are added, never changed', () => {
  it('an undone entry no longer stands, and one sent twice counts once', () => {
    const first = entry('in', 10)
    const undo = entry('undo', 11, { of: first.id })
    expect(standing([first, first]).length).toBe(1)
    expect(standing([first, undo])).toEqual([])
  })

  it('a roast goes from waiting to served, step by step, and back by undo', () => {
    const steps = [entry('in', 10), entry('out', 190), entry('carve', 220), entry('served', 240)]
    const states = steps.map((_, i) => rib(steps.slice(0, i + 1), [], 241)?.state)
    expect(rib([], [], 5)?.state).toBe('waiting')
    expect(states).toEqual(['in', 'resting', 'carving', 'served'])
    expect(rib([...steps, entry('undo', 241, { of: steps[3]?.id ?? '' })], [], 242)?.state).toBe('carving')
  })

  it('the order of arrival does not matter: two tablets agree', () => {
    const steps = [entry('in', 10), entry('door', 40), entry('out', 190)]
    expect(rib([...steps].reverse(), [], 200)).toEqual(rib(steps, [], 200))
  })
})

describe('what is next', () => {
  it('the soonest of all roasts comes first, and an arrival replaces the plan', () => {
    const now_s = T0 + 20 * 60
    const next = (...entries: CookEntry[]) =>
      nextActions(runOf(document, entries, now_s), boardOf(document, entries, [], now_s), now_s)[0]
    expect(next(entry('in', 10))).toMatchObject({ kind: 'step', step: { step: { item: 'pork', kind: 'put_in' } } })
    const text = arrivalText(0, { p10: now_s - 120, p50: now_s - 60, p90: now_s + 60 })
    expect(next(entry('in', 5), entry('in', 10, { item: 'pork' }), entry('arrival', 19, { text }))).toMatchObject({
      step: { step: { item: 'rib', kind: 'pull' }, at_s: now_s - 60, window: { to_s: now_s + 60 } },
    })
  })

  it('an arrival that was foreseen a while ago pulls nothing that reads well below its pull', () => {
    const now_s = T0 + 120 * 60
    const text = arrivalText(0, { p10: now_s - 120, p50: now_s - 60, p90: now_s + 60 })
    const assign = entry('assign', 11, { device: 'd', channel: 0, point: 'core' })
    const entries = [entry('in', 5), assign, entry('arrival', 110, { text })]
    const next = (value_c: number, minute = 119) => {
      const readings = probe(minute, minute + 2, () => value_c)
      const found = nextActions(runOf(document, entries, now_s), boardOf(document, entries, readings, now_s), now_s)
      const own = found.filter((each) => each.kind === 'step' && each.step.step.item === 'rib')
      const [first] = own
      return { kind: first?.kind === 'step' && first.step.step.kind, at_s: own[0]?.at_s ?? 0 }
    }
    const pull_c = document.items[0]?.pull_c as number
    expect(next(pull_c - 6)).toEqual({ kind: 'pull', at_s: T0 + 120 * 60 + 6 * 60 })
    expect(next(pull_c)).toEqual({ kind: 'pull', at_s: now_s - 60 })
    // Far off it may yet gain speed.
    expect(next(pull_c - 30)).toEqual({ kind: 'pull', at_s: T0 + 120 * 60 + 10 * 60 })
    // A reading of long ago says nothing of now.
    expect(next(pull_c - 6, 100)).toEqual({ kind: 'pull', at_s: now_s - 60 })
  })

  it('gravy waits for the first tin, and a table for its last roast, however late they read', () => {
    const steps = planSteps(document)
    const pull = steps.find(({ kind }) => kind === 'pull') as CookStep
    const told = { ...document, steps: [...steps, { ...pull, id: 'gravy', kind: 'gravy' as const, item: null }] }
    const now_s = Date.parse(document.items[0]?.promise ?? '') / 1000 + 300
    const minute = (now_s - T0) / 60
    const text = arrivalText(0, { p10: now_s - 120, p50: now_s - 60, p90: now_s + 60 })
    const entries = ['rib', 'pork'].flatMap((item, channel) => [
      entry('in', 10, { item }),
      entry('assign', 11, { item, device: 'd', channel, point: 'core' }),
      entry('arrival', minute - 10, { item, text }),
    ])
    const short = [6, 4].flatMap((short_k, channel) =>
      probe(minute - 1, minute + 1, () => (document.items[channel]?.pull_c as number) - short_k, channel),
    )
    const next = (more: readonly CookEntry[]) => {
      const all = [...entries, ...more]
      const found = nextActions(runOf(told, all, now_s), boardOf(told, all, short, now_s), now_s)
      return found.flatMap((each) =>
        each.kind === 'step' ? [{ does: `${each.step.step.kind} ${each.step.step.item}`, at_s: each.at_s }] : [],
      )
    }
    const late = next([])
    const place = (does: string) => late.findIndex((each) => each.does === does)
    // Pork reads the nearer of the two: its tin is the first.
    expect(late.slice(0, 2).map(({ does }) => does)).toEqual(['pull pork', 'gravy null'])
    expect(late[1]?.at_s).toBe(late[0]?.at_s)
    expect(place('serve null')).toBeGreaterThan(place('pull rib'))
    expect(place('pull rib')).toBeGreaterThan(1)
    expect(next([entry('out', minute, { item: 'pork' })])[0]).toMatchObject({ does: 'gravy null' })
  })

  it('a rehearsal’s clock runs faster from where it began', () => {
    const clock = { origin: iso(0), real: iso(100), speed: 60 }
    expect(cookTime(clock, T0 + 101 * 60)).toBe(T0 + 3600)
  })
})

describe('probes by point', () => {
  it('the least-done point decides, and a calibration takes its error out', () => {
    const bird = { ...document, items: document.items.map((item) => ({ ...item, points: ['breast', 'thigh'] })) }
    const entries = [
      entry('in', 10),
      entry('assign', 11, { device: 'd', channel: 0, point: 'breast' }),
      entry('assign', 11, { device: 'd', channel: 1, point: 'thigh' }),
    ]
    const readings = [...probe(12, 60, () => 60), ...probe(12, 60, () => 52, 1)].sort((a, b) => a.at_s - b.at_s)
    const at = (more: CookEntry[]) => boardOf(bird, [...entries, ...more], readings, T0 + 3600)[0]
    expect(at([])).toMatchObject({ point: 'thigh', latest: { value_c: 52 } })
    const off = entry('calibrate', 12, { device: 'd', channel: 0, value_c: 12 })
    expect(at([off])).toMatchObject({ point: 'breast', latest: { value_c: 48 } })
  })
})

describe('a promise that moves', () => {
  const later = (item: string) => entry('promise', 20, { item, text: iso(270) })

  it('takes the roasts of the same table with it, and one that waits goes in later by as much', () => {
    const before = boardOf(document, [entry('in', 10)], [], T0 + 15 * 60)
    const [rib] = before
    if (!rib) throw new Error('no board')
    const table = sameTable(rib, before).map(({ item }) => item.id)
    expect(table).toEqual(['rib', 'pork'])
    const after = boardOf(document, [entry('in', 10), ...table.map(later)], [], T0 + 25 * 60)
    expect(after.map(({ promise_s }) => promise_s)).toEqual([T0 + 270 * 60, T0 + 270 * 60])
    const now_s = T0 + 25 * 60
    const run = runOf(document, [entry('in', 10), ...table.map(later)], now_s)
    expect(nextActions(run, after, now_s)[0]).toMatchObject({
      step: { step: { item: 'pork', kind: 'put_in' }, at_s: T0 + 40 * 60 },
    })
  })

  it('leaves another table and what is served alone', () => {
    const apart = boardOf(document, [later('pork')], [], T0 + 25 * 60)
    expect(sameTable(apart[0] as (typeof apart)[number], apart).map(({ item }) => item.id)).toEqual(['rib'])
    const served = boardOf(document, [entry('served', 20, { item: 'pork' })], [], T0 + 25 * 60)
    expect(sameTable(served[0] as (typeof served)[number], served).map(({ item }) => item.id)).toEqual(['rib'])
  })
})

describe('changing ovens', () => {
  const two = cookDocument.parse({
    ...document,
    items: [
      { ...document.items[0], oven_name: 'left oven', program: { school: 'steady', set_c: 110 }, promise: iso(170) },
      { ...document.items[1], oven_name: 'right oven', program: { school: 'steady', set_c: 170 } },
    ],
  })
  const climb = (minute: number) => 5 + Math.max(0, minute - 40) * 0.25
  const entries = [
    entry('in', 10),
    entry('in', 10, { item: 'pork' }),
    entry('assign', 11, { device: 'd', channel: 0, point: 'core' }),
    entry('assign', 11, { item: 'pork', device: 'd', channel: 1, point: 'core' }),
  ]
  const readings = [...probe(12, 90, climb), ...probe(12, 90, climb, 1)].sort((a, b) => a.at_s - b.at_s)
  const boards = (more: CookEntry[] = []) => boardOf(two, [...entries, ...more], readings, T0 + 90 * 60)
  const swapOf = () => {
    const [late, other] = boards()
    const forecast = late && other && forecastOf(late, T0 + 90 * 60, 7, [other])
    return { forecast, swap: forecast?.advice.find(({ code }) => code === 'swap_ovens') }
  }

  it('is offered to a late roast beside a hotter oven, with what it does to both', () => {
    const { forecast, swap } = swapOf()
    expect(forecast?.late_s).toBeGreaterThan(300)
    expect(swap).toMatchObject({ set_c: 170, swap: { item: 'pork', oven_name: 'right oven', set_c: 110 } })
    expect(swap?.pull_s).toBeLessThan(T0 + 10 * 60 + (forecast?.estimate.pull_s.p50 ?? 0))
    // Hotter outside rises more in the rest: it is pulled at a lower reading; the other way round for the other.
    expect(swap?.pull_c).toBeLessThan(53)
    expect(swap?.swap?.pull_c).toBeGreaterThan(58)
  })

  it('is not offered alone, nor towards a cooler oven', () => {
    const [late, other] = boards()
    if (!late || !other) throw new Error('no board')
    expect(forecastOf(late, T0 + 90 * 60)?.advice.some(({ code }) => code === 'swap_ovens')).toBe(false)
    expect(forecastOf(other, T0 + 90 * 60, 7, [late])?.advice.some(({ code }) => code === 'swap_ovens')).toBe(false)
  })

  it('a setting is noted for all that are in that oven, and for nothing beside it', () => {
    const [left, right] = boards()
    const [moved, still] = boards([entry('oven', 80, { value_c: 170, text: 'right oven' })])
    if (!left || !right || !moved || !still) throw new Error('no board')
    expect(sameOven(left, [left, right])).toEqual([left])
    expect(sameOven(still, [moved, still])).toEqual([moved, still])
  })

  it('once done the board says where each is', () => {
    const moved = boards([entry('oven', 91, { value_c: 170, text: 'right oven' })])
    expect(moved[0]).toMatchObject({ oven_name: 'right oven', settings: [{ set_c: 170 }], hand_c: 170 })
    expect(moved[1]?.oven_name).toBe('right oven')
  })
})

describe('a bird of which one part is done', () => {
  const climb = (minute: number, to: number) => 5 + ((to - 5) * Math.max(0, minute - 25)) / 135
  const at = (breast_c: number, thigh_c: number) => {
    const readings = [
      ...probe(12, 160, (minute) => climb(minute, breast_c)),
      ...probe(12, 160, (minute) => climb(minute, thigh_c), 1),
    ].sort((a, b) => a.at_s - b.at_s)
    const [board] = boardOf(turkey, probedBird, readings, T0 + 160 * 60)
    return board && forecastOf(board, T0 + 160 * 60)?.split
  }

  it('says when the other gets there, and what the done part comes to, bare and under foil', () => {
    const split = at(72, 62)
    expect(split).toMatchObject({ done: 'breast', lacking: 'thigh' })
    expect(split?.arrives_s).toBeGreaterThan(T0 + 160 * 60)
    expect(split?.as_it_is_c).toBeGreaterThan(73)
    expect(split?.foiled_c).toBeGreaterThanOrEqual(split?.now_c ?? 99)
    // Foil this late spares the skin: the middle is already on its way; the board calls a degree and a half the same.
    expect(Math.abs((split?.foiled_c ?? 0) - (split?.as_it_is_c ?? 99))).toBeLessThan(1.5)
  })

  it('is not said while neither is done', () => {
    expect(at(64, 60)).toBeUndefined()
  })
})

describe('odd readings are named, not averaged in', () => {
  const climbing = (minute: number) => 5 + (minute - 10) * 0.25
  const codes = (readings: ProbeReading[], minute: number, more: CookEntry[] = []) =>
    rib([...assigned, ...more], readings, minute)?.odd.map(({ code }) => code)

  it('a steady climb is not odd', () => {
    expect(codes(probe(12, 90, climbing), 90)).toEqual([])
  })

  it('warmer at its first reading than any roast is so soon: its probe hangs elsewhere, until somebody has looked', () => {
    const elsewhere = probe(12, 16, (m) => 54 + (m - 12) * 0.3)
    expect(codes(elsewhere, 16)).toEqual(['too_warm'])
    expect(codes(elsewhere, 16, [entry('note', 14, { text: 'looked' })])).toEqual([])
    // Not read again since: what it read is no truer for it. Hung right, it reads what it should, and nothing moved.
    expect(codes(elsewhere, 16, [entry('note', 16, { text: 'looked' })])).toEqual(['too_warm'])
    const right = [...elsewhere, ...probe(16, 20, (m) => 5 + (m - 12) * 0.2)]
    expect(codes(right, 20, [entry('note', 16, { text: 'looked' })])).toEqual([])
    // Put in some minutes before it was tapped, read late, or simply warm from the bench.
    expect(
      codes(
        probe(12, 30, (m) => 24 + (m - 12) * 0.4),
        30,
      ),
    ).toEqual([])
    expect(
      codes(
        probe(50, 60, (m) => 58 + (m - 50) * 0.4),
        60,
      ),
    ).toEqual([])
  })

  it('out of the meat, moved, lost, oven off, door open', () => {
    expect(
      codes(
        probe(12, 90, (m) => (m < 85 ? climbing(m) + 20 : 22)),
        90,
      ),
    ).toEqual(['pulled_out'])
    expect(
      codes(
        probe(12, 90, (m) => climbing(m) + (m < 85 ? 0 : 9)),
        90,
      ),
    ).toEqual(['moved'])
    expect(codes(probe(12, 80, climbing), 90)).toEqual(['lost'])
    // One that speaks every five or ten minutes is not lost between its words, but after some of its own pauses.
    const seldom = (every: number) => probe(12, 80, climbing).filter((_, i) => i % every === 0)
    for (const every of [5, 10]) {
      const last = Math.max(...seldom(every).map(({ at_s }) => at_s))
      for (const minutes of [every - 1, every + 1, 2 * every])
        expect(codes(seldom(every), (last - T0) / 60 + minutes)).toEqual([])
      expect(codes(seldom(every), (last - T0) / 60 + 3 * every)).toEqual(['lost'])
    }
    // Of its first word nobody knows when the next is due.
    expect(codes(probe(12, 13, climbing), 20)).toEqual([])
    expect(codes(probe(12, 13, climbing), 24)).toEqual(['lost'])
    const air = entry('assign', 11, { device: 'd', channel: 1, point: 'air' })
    expect(
      codes(
        [...probe(12, 90, climbing), ...probe(12, 90, (m) => (m < 70 ? 140 : 100), 1)].sort((a, b) => a.at_s - b.at_s),
        90,
        [air],
      ),
    ).toEqual(['oven_falling'])
    expect(
      codes(
        [...probe(12, 90, climbing), ...probe(12, 90, (m) => (m < 88 ? 140 : 105), 1)].sort((a, b) => a.at_s - b.at_s),
        90,
        [air],
      ),
    ).toEqual(['door_open'])
  })

  it('a core that falls in a hot oven is said, and not one that was out, nor in an oven that is off by its plan', () => {
    const codes = (readings: ProbeReading[], more: CookEntry[] = []) =>
      rib([...assigned, ...more], readings, 90)?.odd.map(({ code }) => code)
    const falling = probe(12, 91, (m) => (m < 70 ? 5 + m * 0.6 : 47 - (m - 70) * 0.1))
    expect(codes(falling)).toEqual(['core_falling'])
    expect(codes(probe(12, 91, (m) => (m < 70 ? 5 + m * 0.6 : 47)))).toEqual([])
    expect(codes(falling, [entry('out', 75), entry('in', 80)])).toEqual([])
    expect(codes(falling, [entry('oven', 70, { value_c: 20 })])).toEqual([])
  })

  it('sparse readings of the air tell a cold oven as well', () => {
    const air = entry('assign', 11, { device: 'd', channel: 1, point: 'air' })
    const readings = [
      ...probe(12, 91, (m) => 5 + m * 0.5),
      ...probe(12, 91, (m) => (m < 70 ? 140 : 90), 1).filter((_, i) => i % 2 === 0),
    ].sort((a, b) => a.at_s - b.at_s)
    expect(rib([...assigned, air], readings, 90)?.odd.map(({ code }) => code)).toEqual(['oven_falling'])
  })

  it('a fire that goes out under it is said as an oven is, and a pan is judged by no air', () => {
    const begin = (school: string) => {
      const plan = planDocument.parse({
        roast: { cut: 'beef-tenderloin', mass_kg: 1.8 },
        program: { school },
        target: { serve_c: 55 },
        promise: iso(300),
      })
      const begun = cookFromPlan(plan, T0 - 86_400, 1)
      if (!begun.ok) throw new Error('no plan')
      const step = begun.value.steps.find(({ kind }) => kind === 'put_in')
      const more = { item: begun.value.items[0]?.id ?? null }
      const entries = [
        entry('in', 10, { ...more, of: step?.id ?? null }),
        entry('assign', 11, { ...more, device: 'd', channel: 1, point: 'air' }),
      ]
      const [board] = boardOf(
        begun.value,
        entries,
        probe(12, 60, () => 60, 1),
        T0 + 60 * 60,
      )
      return { where: step?.stage?.environment.kind, odd: board?.odd.map(({ code }) => code) }
    }
    expect(begin('two-zone-fire')).toEqual({ where: 'fire', odd: ['oven_falling'] })
    expect(begin('pan-first')).toEqual({ where: 'pan', odd: [] })
  })

  it('what never gets there as it is is not told to be pulled, and nothing is late for ever: until something is done', () => {
    const stuck = entry('arrival', 60, { text: 'never' })
    const at = (entries: CookEntry[], minute: number) => {
      const boards = boardOf(document, entries, [], T0 + minute * 60)
      const run = runOf(document, entries, T0 + minute * 60)
      const own = nextActions(run, boards, T0 + minute * 60).flatMap((each) =>
        each.kind === 'step' && each.step.step.item === 'rib' ? [each.step.step.kind] : [],
      )
      return { board: boards[0], kinds: own, plate_s: run.items.find(({ id }) => id === 'rib')?.plate_s ?? 0 }
    }
    const before = at(assigned, 200)
    expect(before.kinds).toContain('pull')
    const now = at([...assigned, stuck], 200)
    expect(now.board?.never).toBe(true)
    expect(now.kinds).toEqual([])
    expect(now.plate_s).toBeGreaterThan(T0 + 260 * 60)
    const mended = at([...assigned, stuck, entry('oven', 100, { value_c: 160 })], 200)
    expect(mended.board?.never).toBe(false)
    expect(mended.kinds).toContain('pull')
    expect(arrivalText(0, { p10: 1, p50: Number.NaN, p90: 3 })).toBe('never')
    expect(arrivalText(0, { p10: 1, p50: 2, p90: Number.NaN })).toBe('never')
  })

  it('a bird read by hand where its probes are dead is read at each point by itself', () => {
    const entries = [
      ...probedBird,
      entry('reading', 100, { value_c: 62, point: 'breast' }),
      entry('reading', 100, { value_c: 72, point: 'thigh' }),
    ]
    const probes = [...probe(12, 60, (m) => m * 0.6), ...probe(12, 60, (m) => m * 0.75, 1)]
    const [board] = boardOf(turkey, entries, probes, T0 + 101 * 60)
    expect(board?.point).toBe('breast')
    expect(board?.latest?.value_c).toBe(62)
    expect(board?.points.map(({ point, value_c }) => [point, value_c])).toEqual([
      ['breast', 62],
      ['thigh', 72],
    ])
  })

  it('two that jumped each to where the other was have changed places', () => {
    const entries = [
      ...assigned,
      entry('in', 10, { item: 'pork' }),
      entry('assign', 11, { item: 'pork', device: 'd', channel: 1, point: 'core' }),
    ]
    const readings = [
      ...probe(12, 90, (m) => (m < 85 ? 48 : 31)),
      ...probe(12, 90, (m) => (m < 85 ? 31.5 : 47.5), 1),
    ].sort((a, b) => a.at_s - b.at_s)
    const boards = boardOf(document, entries, readings, T0 + 90 * 60)
    expect(boards.map(({ odd }) => odd)).toMatchObject([
      [{ code: 'swapped', with: 'pork' }],
      [{ code: 'swapped', with: 'rib' }],
    ])
  })

  it('somebody who has looked quiets it', () => {
    const readings = probe(12, 90, (m) => climbing(m) + (m < 85 ? 0 : 9))
    expect(codes(readings, 90, [entry('note', 89, { text: 'looked' })])).toEqual([])
  })

  it('a jump splits a series; noise does not', () => {
    const series = (values: number[]) => values.map((value_c, i) => ({ at_s: i * 60, value_c }))
    expect(jumpsOf(series([20, 20.4, 20.1, 29, 29.2]))).toEqual([3])
    expect(jumpsOf(series([20, 21, 22, 23]))).toEqual([])
  })

  it('a core that climbs fast and is read seldom has not been moved', () => {
    const each = (minutes: number, of: (minute: number) => number) =>
      Array.from({ length: 8 }, (_, i) => ({ at_s: i * minutes * 60, value_c: of(i * minutes) }))
    // A tenderloin climbs a degree and a half a minute: six or seven between two readings by hand.
    expect(jumpsOf(each(4.5, (minute) => 10 + 1.5 * minute))).toEqual([])
    expect(jumpsOf(each(5, (minute) => 10 + 1.3 * minute))).toEqual([])
    // What climbs slowly and is suddenly eight degrees warmer has been, and so has what fell.
    expect(jumpsOf(each(5, (minute) => 10 + 0.2 * minute + (minute > 17 ? 8 : 0)))).toEqual([4])
    expect(jumpsOf(each(4.5, (minute) => 10 + 1.5 * minute - (minute > 15 ? 14 : 0)))).toEqual([4])
  })
})

describe('arrival and ways out', () => {
  it('a roast that runs late is offered a hotter oven that helps', () => {
    // Slower than planned: a stiff, thick piece.
    const slow = probe(12, 120, (m) => 5 + 38 * (1 - Math.exp(-(((m - 10) / 160) ** 1.7))))
    const board = rib(assigned, slow, 120)
    const forecast = board && forecastOf(board, T0 + 120 * 60)
    if (!forecast || !board) throw new Error('no forecast')
    expect(forecast.late_s).toBeGreaterThan(300)
    const up = forecast.tried.filter(({ code }) => code === 'oven_up')
    expect(up.length).toBe(2)
    expect(up[0]?.plate_s).toBeLessThan(board.promise_s + forecast.late_s)
    expect(up[1]?.plate_s).toBeLessThan(up[0]?.plate_s ?? 0)
    expect(forecast.advice.map(({ code }) => code)).toContain('later_promise')
  })

  it('the same readings give the same forecast', () => {
    const readings = probe(12, 80, (m) => 5 + (m - 10) * 0.2)
    const board = rib(assigned, readings, 80)
    if (!board) throw new Error('no board')
    expect(forecastOf(board, T0 + 4800)).toEqual(forecastOf(board, T0 + 4800))
  })
})
