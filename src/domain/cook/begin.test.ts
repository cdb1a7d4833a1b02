import { describe, expect, it } from 'vitest'
import { fridayEvening } from '@/stand-ins/demo/meals'
import { type StationChannel, sampler } from '@/stand-ins/probe-station/sampler'
import { makeMeal } from '../meal/make-meal'
import { makePlan } from '../plan/make-plan'
import { parseWith } from '../problem/parse'
import { planDocument } from '../roast/roast-document'
import { cookFromMeal, cookFromPlan, wentInAlready } from './begin'
import { cookDocument, cookEntry, readingsBatch } from './cook-document'
import { estimateDocument, estimateFrom } from './estimate-document'
import { runOf } from './run'

const NOW = Date.UTC(2026, 10, 27, 9) / 1000
const plan = planDocument.parse({
  title: 'Rib',
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  program: { school: 'steady', set_c: 140 },
  promise: '2026-11-27T19:00:00Z',
})

describe('a cook begins', () => {
  it('from a plan, with what was planned and a clock that is the wall’s', () => {
    const made = cookFromPlan(plan, NOW, 1)
    if (!made.ok) throw new Error('no cook')
    expect(cookDocument.parse(JSON.parse(JSON.stringify(made.value)))).toEqual(made.value)
    const [item] = made.value.items
    expect(Date.parse(item?.put_in ?? '')).toBeLessThan(Date.parse(item?.pull ?? ''))
    expect(Date.parse(item?.pull ?? '')).toBeLessThan(Date.parse(item?.carve ?? ''))
    expect(item?.pull_c).toBeLessThan(55)
    expect(made.value.clock.origin).toBe(made.value.clock.real)
  })

  it('with what is in already, since when it is; what was in on another day is not', () => {
    const since = (h: number) => new Date((NOW - h * 3600) * 1000).toISOString()
    const entries = (in_since?: string) => wentInAlready({ ...plan, in_since }, NOW, 'in-already-1')
    expect(entries()).toEqual([])
    expect(entries(since(-1))).toEqual([])
    expect(entries(since(40))).toEqual([])
    expect(entries(since(2))).toEqual([
      cookEntry.parse({ id: 'in-already-1', kind: 'in', at: since(2), item: 'roast' }),
    ])
  })

  it('with what is in already at the minutes its plan draws, early or late', () => {
    const roasts = [
      [
        { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
        { school: 'steady', set_c: 160 },
      ],
      [{ cut: 'beef-rib-bone-in', mass_kg: 2.7 }, { school: 'reverse-sear' }],
      [{ cut: 'chicken', mass_kg: 2 }, { school: 'finish-hot' }],
      [
        { cut: 'turkey', mass_kg: 6 },
        { stages: [{ environment: { kind: 'oven', set_c: 170 }, until: { kind: 'time', minutes: 170 } }] },
      ],
    ]
    const open = new Set(['put_in', 'pull', 'finish', 'rest', 'gravy', 'carve', 'serve'])
    for (const [roast, program] of roasts)
      for (const min of [-60, 0, 15, 70]) {
        const document = { ...plan, roast, program, gravy: true }
        const bare = makePlan(planDocument.parse(document), NOW)
        if (!bare.ok) throw new Error(JSON.stringify(bare.problems))
        const since_s = bare.value.plan.putIn + min * 60
        const now_s = since_s + 600
        const inAlready = planDocument.parse({ ...document, in_since: new Date(since_s * 1000).toISOString() })
        const drawn = makePlan(inAlready, now_s)
        const begun = cookFromPlan(inAlready, now_s, 1)
        if (!drawn.ok || !begun.ok) throw new Error(`${min}`)
        const run = runOf(begun.value, wentInAlready(inAlready, now_s, 'in-already-1'), now_s)
        for (const kind of open) {
          const told = drawn.value.plan.tasks.filter((task) => task.kind === kind).map(({ at }) => at)
          const onBoard = run.steps.filter(({ step }) => step.kind === kind).map(({ at_s }) => at_s)
          expect(onBoard.length, kind).toBe(told.length)
          for (const [i, at_s] of onBoard.entries())
            expect(Math.abs(at_s - (told[i] ?? 0)), `${min} ${kind}`).toBeLessThanOrEqual(2)
        }
        // Nothing is made of juices that have not run out.
        const at = (kind: string) => run.steps.find(({ step }) => step.kind === kind)?.at_s ?? 0
        if (at('pull') > 0) expect(at('gravy')).toBeGreaterThanOrEqual(at('pull'))
      }
  })

  it('from a plan that was told its reading, to be pulled at it as at any other', () => {
    const oven = (set_c: number, until: object) => ({ environment: { kind: 'oven', set_c }, until })
    const told = (stages: object[]) => {
      const made = cookFromPlan(planDocument.parse({ ...plan, program: { stages } }), NOW, 1)
      if (!made.ok) throw new Error(JSON.stringify(made.problems))
      const [item] = made.value.items
      const ends = item && 'stages' in item.program ? item.program.stages.map(({ until }) => until.kind) : []
      return { item, ends, kinds: made.value.steps.map(({ kind }) => kind), steps: made.value.steps }
    }
    const rest = { role: 'rest', environment: { kind: 'counter' }, cover: 'tent', until: { kind: 'time', minutes: 20 } }
    const single = told([oven(140, { kind: 'core', core_c: 50 }), rest])
    expect(single.item?.pull_c).toBe(50)
    expect(single.ends).toEqual(['pull', 'time'])
    expect(single.kinds.filter((kind) => /watch|pull|rest/.test(kind))).toEqual(['watch', 'pull', 'rest'])
    expect(Date.parse(single.item?.pull ?? '')).toBeLessThan(Date.parse(single.item?.carve ?? ''))
    // Of two readings the last is its pull, and the first a step that waits for its own.
    const twice = told([oven(110, { kind: 'core', core_c: 40 }), oven(160, { kind: 'core', core_c: 52 }), rest])
    expect([twice.item?.pull_c, twice.ends]).toEqual([52, ['core', 'pull', 'time']])
    expect(twice.steps.find(({ kind }) => kind === 'change')?.numbers.reads_c).toBe(40)
    // By the clock nothing is waited for.
    const clocked = told([oven(160, { kind: 'time', minutes: 100 }), rest])
    expect([clocked.item?.pull_c, clocked.kinds.includes('pull')]).toEqual([null, false])
  })

  it('as a rehearsal just before the first thing to do on the day', () => {
    const made = cookFromPlan(plan, NOW, 60)
    if (!made.ok) throw new Error('no cook')
    const origin = Date.parse(made.value.clock.origin)
    const ahead = made.value.steps.map(({ at }) => Date.parse(at) - origin).filter((ms) => ms > 0)
    expect(Math.min(...ahead)).toBe(60_000)
    expect(Date.parse(made.value.items[0]?.put_in ?? '') - origin).toBeGreaterThanOrEqual(600_000)
  })

  it('from a meal, one item a roast, each with its oven and its own serving', () => {
    const meal = fridayEvening('2026-11-27T18:00:00Z')
    const scheduled = makeMeal(meal, undefined, 0)
    if (!scheduled.ok) throw new Error('no plan')
    const made = cookFromMeal(meal, scheduled.value, NOW, 1)
    if (!made.ok) throw new Error('no cook')
    expect(made.value.items.length).toBe(scheduled.value.items.filter(({ kind }) => kind === 'roast').length)
    expect(new Set(made.value.items.map(({ promise }) => promise)).size).toBeGreaterThan(1)
    expect(cookFromMeal({ ...meal, roasts: [] }, { ...scheduled.value, items: [] }, NOW, 1).ok).toBe(false)
  })
})

describe('what comes in is checked', () => {
  it('an entry needs an identity and a time; a batch its unit', () => {
    expect(parseWith(cookEntry, { id: 'short', kind: 'in', at: 'x' }).ok).toBe(false)
    expect(parseWith(cookEntry, { id: 'long-enough', kind: 'boil', at: '2026-11-27T18:00:00Z' }).ok).toBe(false)
    expect(
      parseWith(readingsBatch, { readings: [{ channel: 0, seq: 0, at: '2026-11-27T18:00:00Z', value: 20 }] }).ok,
    ).toBe(false)
    expect(parseWith(readingsBatch, { unit: 'k', readings: [] }).ok).toBe(false)
    expect(
      parseWith(readingsBatch, { unit: 'f', readings: [{ channel: 0, seq: 0, at: '2026-11-27T18:00:00Z', value: 70 }] })
        .ok,
    ).toBe(true)
  })
})

describe('the headless estimate', () => {
  const ask = (change: object) => {
    const document = parseWith(estimateDocument, {
      roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
      program: { school: 'steady', set_c: 140 },
      target: { serve_c: 55 },
      readings: Array.from({ length: 50 }, (_, i) => ({
        minute: 2 + i * 2,
        c: 5 + 34 * (1 - Math.exp(-((i / 50) ** 1.8) * 1.4)),
      })),
      now_min: 100,
      ...change,
    })
    if (!document.ok) throw new Error(JSON.stringify(document.problems))
    const answer = estimateFrom(document.value)
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    return answer.value as {
      pull_min: { p10: number; p50: number; p90: number }
      options: { code: string; plate_min: number }[]
      odd: { code: string }[]
      inferred: { name: string; spread: number; before: number }[]
    }
  }

  it('answers when, what it learned, and what could be done', () => {
    const answer = ask({ plate_min: 150 })
    expect(answer.pull_min.p10).toBeGreaterThanOrEqual(100)
    expect(answer.pull_min.p10).toBeLessThan(answer.pull_min.p90)
    expect(answer.options.map(({ code }) => code)).toContain('oven_up')
    const thickness = answer.inferred.find(({ name }) => name === 'thickness')
    expect(thickness?.spread).toBeLessThan(thickness?.before ?? 0)
    expect(ask({ plate_min: 150 })).toEqual(answer)
  })

  it('names a reading that no meat makes', () => {
    const readings = Array.from({ length: 50 }, (_, i) => ({ minute: 2 + i * 2, c: i < 45 ? 5 + i * 0.8 : 22 }))
    expect(ask({ readings }).odd.map(({ code }) => code)).toEqual(['pulled_out'])
  })

  it('without readings it is the plan’s own arrival', () => {
    expect(ask({ readings: [], now_min: 0 }).pull_min.p50).toBeGreaterThan(60)
  })
})

describe('the simulated probe station', () => {
  const channel = (faults: StationChannel['faults'], point: StationChannel['point'] = 'core'): StationChannel => ({
    channel: 0,
    point,
    seed: 6,
    told: { cut: 'pork-loin', mass_kg: 1.6, set_c: 170, pull_c: 60, fan: false },
    put_in: '2026-11-27T18:00:00Z',
    faults,
  })
  const at = (minute: number, faults: StationChannel['faults'] = [], point: StationChannel['point'] = 'core') =>
    sampler(channel(faults, point))(minute * 60)

  it('climbs as meat does, its air as an oven, its bench as a room', () => {
    expect(at(5) ?? 0).toBeLessThan(at(40) ?? 0)
    expect(at(30, [], 'air')).toBeGreaterThan(120)
    expect(at(30, [], 'bench')).toBeCloseTo(20, 0)
  })

  it('fails as told: silence, the room, a jump, a dead battery', () => {
    expect(at(20, [{ kind: 'dropout', from_min: 15, to_min: 25 }])).toBeUndefined()
    expect(at(26, [{ kind: 'dropout', from_min: 15, to_min: 25 }])).toBeDefined()
    expect(at(48, [{ kind: 'pulled_out', from_min: 40, to_min: 60 }])).toBeLessThan(24)
    expect((at(40, [{ kind: 'moved', from_min: 30, by_k: 12 }]) ?? 0) - (at(40) ?? 0)).toBeCloseTo(12, 0)
    expect(at(500, [{ kind: 'battery', from_min: 60 }])).toBeUndefined()
  })
})
