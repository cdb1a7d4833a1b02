import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { sampler } from '@/stand-ins/probe-station/sampler'
import { nextDocument, nextFrom } from './next-document'

const PROMISE = '2026-11-28T19:00:00.000Z'
const at = (minutes: number) => new Date(Date.parse(PROMISE) + minutes * 60_000).toISOString()
const ask = (plan: object, more: object) =>
  nextFrom(nextDocument.parse({ plan: { ...plan, promise: PROMISE }, begun: at(-900), members: 32, ...more }))
const pork = {
  roast: { cut: 'pork-loin', mass_kg: 2 },
  program: { school: 'steady', set_c: 160 },
  target: { serve_c: 63 },
}

describe('what is next, asked from outside', () => {
  it('takes what was done in one minute in the order it was told, however much was done before', () => {
    for (let before = 0; before < 14; before++) {
      const entries = [
        ...Array.from({ length: before }, (_, i) => ({ kind: 'note', at: at(-300 + i), text: 'salted' })),
        { kind: 'in', at: at(-110) },
        { kind: 'out', at: at(-30), value_c: 56 },
        { kind: 'in', at: at(-30) },
      ]
      const answer = ask(pork, { now: at(-29), entries })
      expect(answer.ok && answer.value.roasts[0]?.state, `${before} before`).toBe('in')
    }
  })

  it('what its plan says is in already is in, unless it is told when it went in', () => {
    const plan = { ...pork, in_since: at(-120) }
    const told = (more: object) => {
      const answer = ask(plan, { begun: at(-100), now: at(-99), ...more })
      return answer.ok ? answer.value.roasts[0] : undefined
    }
    const since = told({})
    expect(since?.state).toBe('in')
    const later = told({ entries: [{ kind: 'in', at: at(-100) }] })
    expect(Date.parse(later?.pull.p50 ?? '') - Date.parse(since?.pull.p50 ?? '')).toBeGreaterThan(12 * 60_000)
  })

  it('asks for a reading by hand before the pull, after all that it says is to be done, and for none where a probe reads', () => {
    const went = [{ kind: 'in', at: at(-110) }]
    const byHand = [...went, { kind: 'reading', at: at(-60), value_c: 38 }]
    const actionsOf = (more: object) => {
      const answer = ask(pork, { now: at(-55), ...more })
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
      return answer.value.actions
    }
    const told = actionsOf({ entries: byHand })
    const last = told.at(-1)
    expect(last).toMatchObject({ kind: 'read', step: null, enter: [], overdue: false })
    const pull = told.find(({ kind }) => kind === 'pull')
    expect(Date.parse(last?.at ?? '')).toBeGreaterThan(Date.parse(at(-60)))
    expect(Date.parse(last?.at ?? '')).toBeLessThanOrEqual(Date.parse(pull?.at ?? ''))
    expect(told.filter(({ kind }) => kind === 'read')).toHaveLength(1)
    const readings = Array.from({ length: 50 }, (_, i) => ({ at: at(i - 105), c: 5 + 0.7 * i }))
    for (const asked of [{ entries: went }, { entries: byHand, readings }])
      expect(actionsOf(asked).map(({ kind }) => kind)).not.toContain('read')
  })

  it('guests who are told a later hour have it as done as wanted', () => {
    const leg = {
      roast: { cut: 'lamb-leg-bone-in', mass_kg: 2.4 },
      program: { school: 'steady', set_c: 180 },
      target: { serve_c: 55 },
    }
    const told = { cut: 'lamb-leg-bone-in', mass_kg: 2.4, set_c: 180, pull_c: 46.5, fan: false }
    const read = sampler({ channel: 0, point: 'core', seed: 5, told, put_in: at(-60), faults: [] })
    const readings = Array.from({ length: 55 }, (_, i) => ({ at: at(i - 60), c: read(i * 60) ?? 5 }))
    const answer = ask(leg, { now: at(-5), entries: [{ kind: 'in', at: at(-60) }], readings })
    const own = answer.ok ? answer.value.roasts[0] : undefined
    const way = own?.ways.find(({ code }) => code === 'later_promise')
    const left = own?.ways.find(({ code }) => code === 'leave_it')
    expect(left?.peak_c).toBeLessThan(54)
    expect(Math.abs((way?.peak_c ?? 0) - 55)).toBeLessThan(1)
    expect(way?.enter.map(({ kind }) => kind)).toEqual(['pull_at', 'promise'])
    expect(Date.parse(way?.promise ?? '')).toBeGreaterThan(Date.parse(left?.plate ?? ''))
  })

  it('while nothing is read its pull is where its plan had it, however much time goes by', () => {
    const entries = [{ kind: 'in', at: at(-120) }]
    const [soon = 0, later = 0] = [-119, -70].map((minute) => {
      const answer = ask(pork, { now: at(minute), entries })
      return answer.ok ? Date.parse(answer.value.roasts[0]?.pull.p50 ?? '') / 1000 : Number.NaN
    })
    expect(Math.abs(later - soon)).toBeLessThan(20)
  })

  it('a roast that was told its readings is turned up at the first and pulled at the last, whatever the clock', () => {
    const oven = (set_c: number, core_c: number) => ({
      environment: { kind: 'oven', set_c },
      until: { kind: 'core', core_c },
    })
    const rest = { role: 'rest', environment: { kind: 'counter' }, cover: 'tent', until: { kind: 'time', minutes: 20 } }
    const loin = { roast: pork.roast, program: { stages: [oven(110, 40), oven(160, 60), rest] }, target: pork.target }
    // A quick one: half a kelvin a minute from a quarter of an hour on.
    const read = (minute: number) => Math.max(5, 5 + 0.7 * (minute - 15))
    const dueAt = (kind: string, minute: number, done: object[] = []) => {
      const now = at(minute - 200)
      const readings = Array.from({ length: minute }, (_, i) => ({ at: at(i - 200), c: read(i) }))
      const answer = ask(loin, { now, entries: [{ kind: 'in', at: at(-200) }, ...done], readings })
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
      const due = answer.value.actions.find((action) => action.kind === kind)
      return { due, minutes: (Date.parse(due?.at ?? '') - Date.parse(now)) / 60_000 }
    }
    expect(read(67)).toBeGreaterThan(40)
    expect(dueAt('change', 40).minutes).toBeGreaterThan(5)
    expect(dueAt('change', 62).minutes).toBeGreaterThan(1)
    expect(dueAt('change', 62).minutes).toBeLessThan(8)
    expect(dueAt('change', 67).minutes).toBeLessThanOrEqual(0)
    const { step } = dueAt('change', 67).due ?? {}
    const changed = [{ kind: 'done', at: at(67 - 200), step }]
    expect(dueAt('pull', 80, changed).minutes).toBeGreaterThan(3)
    expect(dueAt('pull', 95, changed).minutes).toBeLessThanOrEqual(0)
    expect(dueAt('pull', 95, changed).due?.pull_c).toBe(60)
  })

  it('of a roast by the clock a reading says when that makes too much of it: another end is offered, taken, and gone by', () => {
    const oven = { environment: { kind: 'oven', set_c: 160 }, until: { kind: 'time', minutes: 100 } }
    const rest = { role: 'rest', environment: { kind: 'counter' }, cover: 'tent', until: { kind: 'time', minutes: 15 } }
    const loin = { roast: pork.roast, program: { stages: [oven, rest] }, target: pork.target }
    const answerAt = (minute: number, k_per_min: number, done: object[] = []) => {
      const readings = Array.from({ length: minute }, (_, i) => ({
        at: at(i - 125),
        c: Math.max(5, 5 + k_per_min * (i - 15)),
      }))
      const entries = [{ kind: 'in', at: at(-125) }, ...done]
      const answer = ask(loin, { now: at(minute - 125), entries, readings })
      const [own] = answer.ok ? answer.value.roasts : []
      if (!answer.ok || !own) throw new Error('nothing is next')
      const out = answer.value.actions.find(({ kind }) => kind === 'rest')
      return {
        own,
        best: own.ways.find(({ best }) => best),
        out_min: (Date.parse(out?.at ?? '') - Date.parse(at(-125))) / 60_000,
      }
    }
    // At the middle of its way as the clock has it: nothing is offered.
    expect(answerAt(60, 0.8).best?.code).toBe('leave_it')
    const quick = answerAt(60, 1)
    expect([quick.own.pull_c, quick.best?.code]).toEqual([null, 'pull_at'])
    expect(quick.out_min).toBeCloseTo(100, 0)
    const taken = answerAt(
      65,
      1,
      (quick.best?.enter ?? []).map((entry) => ({ ...entry, at: at(60 - 125) })),
    )
    expect(taken.own.pull_c).toBe(quick.best?.pull_c)
    expect(taken.out_min).toBeLessThan(85)
    expect(taken.own.peak_c).toBeLessThan((quick.own.peak_c ?? 0) - 3)
    // What reads the wanted already is offered to come out.
    expect(answerAt(85, 1).best?.code).toBe('pull_now')
  })

  it('in an oven that was switched off too soon: on again, to a reading', () => {
    const stage = (set_c: number | null, minutes: number) => ({
      environment: { kind: 'oven', set_c },
      until: { kind: 'time', minutes },
    })
    const round = {
      roast: { cut: 'beef-eye-of-round', mass_kg: 1.4 },
      program: { stages: [stage(250, 25), stage(null, 120)] },
      target: { serve_c: 55 },
    }
    const answerAt = (minute: number, k_per_min: number, done: object[] = []) => {
      const readings = Array.from({ length: minute }, (_, i) => ({
        at: at(i - 153),
        c: Math.max(5, 5 + k_per_min * (i - 15)),
      }))
      const answer = ask(round, { now: at(minute - 153), entries: [{ kind: 'in', at: at(-153) }, ...done], readings })
      const [own] = answer.ok ? answer.value.roasts : []
      if (!own) throw new Error('nothing is next')
      return { own, best: own.ways.find(({ best }) => best) }
    }
    const slow = answerAt(60, 0.35)
    expect(slow.own.peak_c).toBeLessThan(50)
    expect(slow.best?.code).toBe('oven_up')
    const taken = answerAt(
      65,
      0.35,
      (slow.best?.enter ?? []).map((entry) => ({ ...entry, at: at(60 - 153) })),
    )
    // A thermometer shows tenths.
    expect(taken.own.pull_c).toBeCloseTo(slow.best?.pull_c ?? 0, 1)
    expect(taken.own.peak_c).toBeGreaterThan(52)
    expect(taken.own.peak_c).toBeLessThan(58)
  })

  it('out of a hot finish that brought too little it goes back into that heat, to a reading, and is not finished again', () => {
    const chicken = { roast: { cut: 'chicken', mass_kg: 2 }, program: { school: 'finish-hot', set_c: 165 } }
    const finish = 62
    const off = 74
    const told = (from: number, to: number, c: number, k_per_min: number) =>
      Array.from({ length: to - from }, (_, i) => ({ at: at(from + i - 100), c: c + k_per_min * i }))
    const readings = [...told(5, finish, 9, 0.95), ...told(finish, off, 63, 0.3), ...told(off, 100, 66.6, 0.2)]
    const went = [
      { kind: 'in', at: at(-100) },
      { kind: 'finish', at: at(finish - 100) },
      { kind: 'rest', at: at(off - 100) },
    ]
    const after = (minutes: number, entries: object[]) => {
      const now = at(minutes - 100)
      const answer = ask(chicken, { now, entries, readings: readings.filter(({ at: when }) => when <= now) })
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
      return answer.value
    }
    expect(after(off, went.slice(0, 2)).roasts[0]).toMatchObject({ state: 'finishing', back_in_min: null })
    const out = after(off + 4, went)
    const [short] = out.roasts
    expect(short?.state).toBe('finishing')
    expect(short?.back_in_min).toBeGreaterThan(0)
    expect(short?.back_in_pull_c).toBeGreaterThanOrEqual(71)
    expect(short?.back_in_enter?.map(({ kind, value_c = null }) => [kind, value_c])).toEqual([
      ['in', null],
      ['oven', 230],
      ['pull_at', short?.back_in_pull_c],
    ])
    const again = [...went, ...(short?.back_in_enter ?? []).map((each) => ({ ...each, at: at(off + 5 - 100) }))]
    const back = after(off + 6, again)
    expect(back.roasts[0]).toMatchObject({ state: 'in', pull_c: short?.back_in_pull_c })
    expect(back.actions.map(({ kind }) => kind)).toEqual(['watch', 'pull', 'carve', 'serve'])
    expect(back.actions.find(({ kind }) => kind === 'pull')?.why.numbers).not.toHaveProperty('pale')
    expect(after(off + 1, went.slice(0, 2)).actions.find(({ kind }) => kind === 'rest')?.why.numbers.finished).toBe(1)
    expect(after(96, [...again, { kind: 'out', at: at(-5) }]).roasts[0]?.state).toBe('resting')
  })

  it('says what its meal’s schedule has no room for, by its name', () => {
    const roast = (id: string, cut: string, mass_kg: number, set_c: number) => ({
      id,
      title: id,
      serving: 's',
      roast: { cut, mass_kg },
      program: { school: 'steady', set_c },
    })
    const meal = (roasts: object[]) => ({
      kitchen: { ovens: [{ id: 'oven', name: 'Oven', kind: 'still', places: 1 }] },
      servings: [{ id: 's', title: 'Dinner', at: PROMISE }],
      roasts,
    })
    const next = (document: object) =>
      nextFrom(nextDocument.parse({ meal: document, begun: at(-540), now: at(-540), members: 32 }))
    const both = next(meal([roast('turkey', 'turkey', 5, 165), roast('lamb', 'lamb-leg-bone-in', 2.4, 130)]))
    const one = next(meal([roast('turkey', 'turkey', 5, 165)]))
    if (!both.ok || !one.ok) throw new Error('nothing is next')
    expect(both.value.left_out).toHaveLength(1)
    const names = [...both.value.left_out, ...both.value.roasts].map(({ item }) => item).sort()
    expect(names).toEqual(['lamb', 'turkey'])
    expect(one.value.left_out).toEqual([])
  })

  it('a tender cut that the model had out long ago still has times that could be printed', () => {
    const shoulder = {
      roast: { cut: 'pork-shoulder', mass_kg: 2.5 },
      program: { school: 'low-and-long' },
      target: { serve_c: 93 },
    }
    const readings = Array.from({ length: 60 }, (_, i) => ({ at: at(-600 + 12 * i), c: Math.min(88, 5 + 3 * i) }))
    for (const minute of [-200, -100, 0, 60]) {
      const answer = ask(shoulder, { now: at(minute), entries: [{ kind: 'in', at: at(-700) }], readings })
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
      const [own] = answer.value.roasts
      for (const time of Object.values(own?.pull ?? {})) {
        expect(time === null || Number.isFinite(Date.parse(time))).toBe(true)
        if (time !== null) expect(Date.parse(time)).toBeGreaterThanOrEqual(Date.parse(at(minute)) - 1000)
      }
    }
  })

  it('whatever climbs, however it is read: at its reading it comes out, and no peak is under what has been read', () => {
    const random = seededRandom(9628)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    let over = 0
    let rested = 0
    for (let round = 0; round < 20; round++) {
      const [cut, mass_kg, serve_c, school] = pick([
        ['beef-rib-bone-in', 3, 57, 'reverse-sear'],
        ['beef-tenderloin', 1.6, 57, 'steady'],
        ['pork-loin', 2, 63, 'hot-start'],
        ['lamb-leg-bone-in', 2.2, 60, 'steady'],
        ['chicken', 1.8, 74, 'steady'],
        ['turkey', 5.5, 74, 'steady'],
      ] as const)
      const bird = serve_c === 74
      const [level_c, tau_min, each_min] = [serve_c + 2 + 30 * random(), 40 + 100 * random(), pick([0.5, 2, 5])]
      const pulled = random() < 0.4
      const minutes = Math.round(60 + 200 * random())
      const of = (minute: number, more: number) =>
        Math.round(10 * (level_c + more - (level_c + more - 4) * Math.exp(-Math.max(0, minute - 8) / tau_min))) / 10
      const when = Array.from({ length: Math.floor(minutes / each_min) }, (_, i) => i * each_min)
      const cold = random() < 0.5
      const by = random() < 0.3
      const read = (bird ? (['breast', 'thigh'] as const) : (['core'] as const)).flatMap((probe, i) =>
        when.map((minute) => ({ at: at(-minutes + minute), c: of(minute, 6 * i), probe })),
      )
      const plan = { roast: { cut, mass_kg }, program: { school }, target: { serve_c } }
      const out_min = minutes - 6
      const answer = ask(plan, {
        now: at(0),
        entries: [
          { kind: 'in', at: at(-minutes) },
          ...(by
            ? read.map(({ probe, c, ...one }) => ({
                kind: 'reading',
                ...one,
                value_c: c,
                ...(bird ? { point: probe } : {}),
              }))
            : []),
          ...(pulled ? [{ kind: 'out', at: at(-6), value_c: of(out_min, 0) }] : []),
        ],
        readings: [
          ...(by ? [] : read),
          ...(cold ? when.map((minute) => ({ at: at(-minutes + minute), c: 95, probe: 'air' })) : []),
        ],
      })
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
      const [own] = answer.value.roasts
      const what = `${round} ${cut} ${own?.state} each ${each_min} min to ${level_c}`
      const last = of(when.at(-1) ?? 0, 0)
      expect(
        own?.odd.map(({ code }) => code).filter((code) => code === 'moved' || code === 'swapped'),
        what,
      ).toEqual([])
      if (own?.state === 'in' && own.pull_c !== null && last >= own.pull_c) {
        over++
        expect(own.pull.p90, what).toBe(at(0))
        expect(own.peak_c, what).toBeGreaterThanOrEqual(last - 0.01)
      }
      if (own?.state === 'resting') {
        rested++
        const since = when.filter((minute) => minute >= out_min).map((minute) => of(minute, 0))
        expect(own.peak_c, what).toBeGreaterThanOrEqual(Math.max(0, ...since) - 0.01)
      }
    }
    expect(over).toBeGreaterThan(2)
    expect(rested).toBeGreaterThan(3)
  }, 60_000)

  it('whatever was read and done, in any order: an answer or a reason, and no time in the past to wait for', () => {
    const random = seededRandom(2616)
    const kinds = ['in', 'out', 'oven', 'door', 'reading', 'pull_at', 'rest', 'carve', 'note', 'promise'] as const
    for (let round = 0; round < 25; round++) {
      const told = Array.from({ length: Math.floor(14 * random()) }, () => {
        const kind = kinds[Math.floor(random() * kinds.length)] as (typeof kinds)[number]
        return {
          kind,
          at: at(-200 + Math.floor(220 * random())),
          ...(kind === 'oven' || kind === 'reading' || kind === 'pull_at'
            ? { value_c: Math.round(200 * random()) }
            : {}),
          ...(kind === 'promise' ? { text: at(Math.floor(120 * random())) } : kind === 'note' ? { text: '火鸡' } : {}),
        }
      })
      const readings = Array.from({ length: Math.floor(60 * random()) }, () => ({
        at: at(-200 + 200 * random()),
        c: Math.round(1000 * (random() * 120 - 20)) / 1000,
        probe: random() < 0.2 ? 'air' : 'core',
      }))
      const now = at(-60 + 70 * random())
      const answer = ask(pork, { now, entries: told, readings })
      if (!answer.ok) {
        expect(answer.problems.length).toBeGreaterThan(0)
        continue
      }
      const [own] = answer.value.roasts
      for (const way of own?.ways ?? []) {
        if (way.pull !== null) expect(Date.parse(way.pull)).toBeGreaterThanOrEqual(Date.parse(now) - 2000)
        if (way.pull_c !== null) expect(way.pull_c).toBeLessThanOrEqual(63.5)
      }
      if (own?.state !== 'resting' && own?.state !== 'finishing') expect(own?.back_in_min).toBeNull()
    }
  }, 60_000)
})
