import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { boilingPoint, pressureAtAltitude } from '@/core/heat/vapour'
import { SCHOOLS } from '@/core/program/schools'
import { CUTS } from '@/core/reference/cuts'
import { boardOf } from '../cook/board'
import { cookDocument, cookEntry } from '../cook/cook-document'
import { estimateDocument, estimateFrom } from '../cook/estimate-document'
import { forecastOf } from '../cook/forecast'
import { parseWith } from '../problem/parse'
import { type SimulateAnswer, simulateDocument } from './roast-document'
import { simulate } from './simulate'

type Input = Parameters<typeof simulateDocument.parse>[0]
const simulated = (input: Input) => {
  const document = parseWith(simulateDocument, { members: 8, ...(input as object) })
  return document.ok ? simulate(document.value) : document
}
const answered = (input: Input): SimulateAnswer => {
  const found = simulated(input)
  if (!found.ok) throw new Error(JSON.stringify(found.problems))
  return found.value
}
const estimated = (input: object) => {
  const document = parseWith(estimateDocument, { members: 32, ...input })
  return document.ok ? estimateFrom(document.value) : document
}
const rib = { cut: 'beef-rib-bone-in', mass_kg: 2.7 }
const oven = (set_c: number | null, until: object, more: object = {}) => ({
  environment: { kind: 'oven', set_c },
  until,
  ...more,
})
const rest = { role: 'rest', environment: { kind: 'counter' }, cover: 'tent', until: { kind: 'time', minutes: 20 } }

/** Everything that must hold of any answer at all. */
function faultsOf(
  answer: SimulateAnswer,
  document: { roast: { start_c: number }; serve_c: number | undefined; altitude_m: number },
): string[] {
  const boiling_c = boilingPoint(pressureAtAltitude(document.altitude_m))
  const faults: string[] = []
  const say = (ok: boolean, what: string) => {
    if (!ok) faults.push(what)
  }
  const text = JSON.stringify(answer)
  say(!/null,null,null,null/.test(text.replace(/"[^"]*":/g, '')) || answer.outcome === 'cannot', 'nothing but null')
  const { pull_min, pull_c, peak_c, carve_min, curve } = answer
  if (answer.outcome === 'cannot' || answer.outcome === 'time_limit') {
    say(answer.outcome === 'cannot', 'not reached without a reason')
    say(answer.because.length > 0, 'cannot be, without a because')
    say(pull_c === null && carve_min === null, 'a pull for what cannot be')
  } else {
    say(answer.because.length === 0, 'a because for what can be')
    say(pull_c !== null && carve_min !== null, 'no pull for what can be')
    if (document.serve_c !== undefined && answer.outcome === 'reached')
      say((pull_c ?? 0) <= Math.max(document.serve_c, 71) + 0.1, `pull ${pull_c} over the wanted ${document.serve_c}`)
    say((pull_c ?? 0) >= Math.min(document.roast.start_c, 30) - 25, `pull ${pull_c} under the start`)
    say(peak_c >= (pull_c ?? 0) - 0.2, `peak ${peak_c} under the pull ${pull_c}`)
    if (pull_min.p50 !== null)
      say(
        (pull_min.p10 ?? 0) <= pull_min.p50 && pull_min.p50 <= (pull_min.p90 ?? 0) && pull_min.p50 >= 0,
        'window out of order',
      )
    say((answer.peak_after_min ?? 0) >= 0, 'peak before the pull')
  }
  let before = -1
  for (const row of curve) {
    say(row.minute >= before, 'time runs back')
    before = row.minute
    for (const core of [row.core_c, row.second_c, row.third_c])
      if (core !== null) say(core > -40 && core < boiling_c + 0.6, `core ${core}`)
    if (faults.length > 4) break
  }
  say(isPrintable(answer), 'not finite')
  const share = answer.doneness.reduce((sum, each) => sum + each.share, 0)
  say(Math.abs(share - 1) < 0.01, `shares sum to ${share}`)
  return faults
}

/** Whether every number in it, however deep, is one. */
const isPrintable = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value !== 'object' || value === null || Object.values(value).every(isPrintable)

describe('what cannot be is said, with its reason', () => {
  it('an hour of great heat before a reading of 55: not a pull at minus 165', () => {
    const found = answered({
      roast: { cut: 'beef-tenderloin', mass_kg: 1.6 },
      program: { stages: [oven(230, { kind: 'time', minutes: 60 }), oven(120, { kind: 'pull' }), rest] },
      target: { serve_c: 55 },
    })
    expect(found).toMatchObject({ outcome: 'cannot', because: [{ code: 'passed_before_pull' }], pull_c: null })
  })

  it('a chicken after four hours at 220 is no hotter inside than water boils', () => {
    const { curve } = answered({
      roast: { cut: 'chicken', mass_kg: 1.6 },
      program: { stages: [oven(220, { kind: 'time', minutes: 240 }), rest] },
    })
    expect(Math.max(...curve.map(({ core_c }) => core_c))).toBeLessThan(100.6)
  })

  it('stages at 60 for a wanted 65 end in a reason and no arrival', () => {
    const found = answered({
      roast: { cut: 'pork-loin', mass_kg: 1.8 },
      program: { stages: [oven(60, { kind: 'pull' }), rest] },
      target: { serve_c: 65 },
    })
    expect(found).toMatchObject({ outcome: 'cannot', because: [{ code: 'never_reached' }] })
    expect(found.pull_min).toEqual({ p10: null, p50: null, p90: null })
    // Never pulled it has no peak: what is said of its safety is how hot it came to be.
    expect(isPrintable(found)).toBe(true)
    expect(found.cautions).toContainEqual(
      expect.objectContaining({ code: 'below_consumer_minimum', peak_c: expect.closeTo(found.peak_c ?? 0, 1) }),
    )
  })

  it('ten hours on a hot pan are refused, with what may be asked', () => {
    const found = simulated({
      roast: rib,
      program: { stages: [{ environment: { kind: 'pan', set_c: 230 }, until: { kind: 'time', minutes: 600 } }, rest] },
    })
    expect(found).toMatchObject({
      ok: false,
      problems: [{ code: 'out_of_range', path: ['program', 'stages', 0, 'until', 'minutes'], high: 120 }],
    })
  })

  it('a thin end that thaws in a pan, and one that boils in a bag and is bared, are as warm as meat can be', () => {
    const tip = { cut: 'beef-tri-tip', mass_kg: 0.3, start_c: 2, icy_core_c: -6, thin_end: 0.3 }
    const leg = {
      cut: 'lamb-leg-boneless-rolled',
      mass_kg: 0.5,
      surface: 'dry_salted',
      handling: 'injected',
      thin_end: 0.3,
    }
    for (const input of [
      { roast: tip, oven: { kind: 'fan', offset_k: -60 }, program: { school: 'pan-first' }, target: { serve_c: 47 } },
      { roast: leg, program: { school: 'kick-start' } },
    ] as const) {
      const ends = answered(input).curve.map(({ second_c }) => second_c ?? Number.NaN)
      expect(Math.min(...ends)).toBeGreaterThan(-6.1)
      expect(Math.max(...ends)).toBeLessThan(100.5)
      // It turns where its heat does: it does not jump up and down.
      const turns = ends.filter(
        (_, i) => i > 1 && ((ends[i] ?? 0) - (ends[i - 1] ?? 0)) * ((ends[i - 1] ?? 0) - (ends[i - 2] ?? 0)) < -1,
      )
      expect(turns.length).toBeLessThan(4)
    }
  })

  it('a colour that never comes is said to be one', () => {
    const found = answered({
      roast: rib,
      program: { stages: [oven(80, { kind: 'colour', browning_min: 60 }), rest] },
    })
    expect(found.because[0]).toMatchObject({ code: 'stage_never_ends', stage: 0 })
  })

  it('a frozen rib in an oven at 290 is not pulled at 19', () => {
    const found = answered({
      roast: { ...rib, start_c: 2, icy_core_c: -18 },
      program: { school: 'steady', set_c: 290 },
      target: { serve_c: 55 },
    })
    expect(found.pull_c === null || found.pull_c > 30).toBe(true)
    if (found.pull_c === null) expect(found.because[0]).toMatchObject({ code: 'rise_too_great' })
  })

  it('a bird promised at 40 or underdone is refused with what may be asked', () => {
    const cold = simulated({ roast: { cut: 'chicken', mass_kg: 1.6 }, target: { serve_c: 40 } })
    expect(cold).toMatchObject({
      ok: false,
      problems: [{ code: 'out_of_range', path: ['target', 'serve_c'], low: 71 }],
    })
    const under = simulated({ roast: { cut: 'turkey', mass_kg: 5 }, target: { doneness: 'underdone' } })
    expect(under).toMatchObject({ ok: false, problems: [{ code: 'unknown_doneness', nearest: ['done', 'well-done'] }] })
  })

  it('a bath has a peak, and it is near its water', () => {
    const found = answered({
      roast: { cut: 'beef-rib-boneless', mass_kg: 2.2 },
      program: { school: 'water-bath', set_c: 56 },
    })
    expect(found.outcome).toBe('reached')
    expect(found.peak_c).toBeGreaterThan(53)
  })

  it('told its own usual thickness, no cut answers otherwise', () => {
    for (const [i, cut] of CUTS.entries())
      for (const mass_kg of [[cut.mass_kg.least, cut.mass_kg.usual, cut.mass_kg.most][i % 3] as number]) {
        const free = answered({ roast: { cut: cut.id, mass_kg } })
        const told = answered({ roast: { cut: cut.id, mass_kg, thickness_mm: free.thickness_mm } })
        const minutes = ({ curve }: SimulateAnswer) => curve.at(-1)?.minute ?? 0
        // The thickness is printed to a tenth of a millimetre, and the minutes to a tenth.
        expect(Math.abs(minutes(told) / minutes(free) - 1), `${cut.id} ${mass_kg}`).toBeLessThan(0.015)
      }
  })
})

describe('estimates that were absurd', () => {
  const steady = { roast: { cut: 'pork-loin', mass_kg: 1.8 }, program: { school: 'steady', set_c: 160 } }
  const climbing = (until: number, of = (minute: number) => 5 + minute * 0.5) =>
    Array.from({ length: until }, (_, i) => ({ minute: i + 1, c: of(i + 1) }))

  it('readings of a thousand million are refused with their place', () => {
    for (const c of [1e9, -1e9, 1e308])
      expect(estimated({ ...steady, readings: [{ minute: 5, c }], now_min: 6 })).toMatchObject({
        ok: false,
        problems: [{ code: 'malformed', path: ['readings', 0, 'c'] }],
      })
  })

  it('a slip of 240 is put aside and said, and the arrival does not move', () => {
    const plain = estimated({ ...steady, readings: climbing(40), now_min: 41, plate_min: 200 })
    const slipped = estimated({
      ...steady,
      readings: [...climbing(40), { minute: 40.5, c: 240 }],
      now_min: 41,
      plate_min: 200,
    })
    if (!plain.ok || !slipped.ok) throw new Error('not estimated')
    expect(slipped.value.odd).toMatchObject([{ code: 'impossible', value_c: 240 }])
    expect(slipped.value.pull_min).toEqual(plain.value.pull_min)
    for (const option of slipped.value.options) {
      expect(option.pull_c === null || option.pull_c > 40).toBe(true)
      expect(option.plate_min).toBeGreaterThanOrEqual(41)
    }
  })

  it('the size of the ensemble that is asked for is the one that answers', () => {
    const found = estimated({ ...steady, readings: [], now_min: 0, members: 77 })
    expect(found.ok && found.value.members).toBe(77)
  })

  it('stages that end at a core or a colour have their length', () => {
    const program = { stages: [oven(200, { kind: 'core', core_c: 25 }), oven(110, { kind: 'pull' }), rest] }
    const roast = { cut: 'beef-tenderloin', mass_kg: 2 }
    const found = estimated({ roast, program, target: { serve_c: 55 }, readings: [], now_min: 0, members: 64 })
    const truth = answered({ roast, program, target: { serve_c: 55 } })
    if (!found.ok) throw new Error(JSON.stringify(found.problems))
    expect(Math.abs((found.value.carve_min.p50 ?? 0) / (truth.carve_min ?? 1) - 1)).toBeLessThan(0.08)
  })

  it('pan first finds its oven hot', () => {
    const roast = { cut: 'pork-tenderloin', mass_kg: 0.5 }
    const program = { school: 'pan-first' }
    const found = estimated({ roast, program, readings: [], now_min: 0, members: 64 })
    const truth = answered({ roast, program })
    if (!found.ok) throw new Error(JSON.stringify(found.problems))
    expect(Math.abs((found.value.pull_min.p50 ?? 0) - (truth.pull_min.p50 ?? 0))).toBeLessThan(3)
  })
})

describe('all cuts, all schools, all extremes', () => {
  const random = seededRandom(8260)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
  const between = (low: number, high: number) => low + (high - low) * random()
  const roastOf = (cut: (typeof CUTS)[number]) => {
    // Thawing takes a hundred times as long to compute: one in fifteen.
    const start_c = random() < 1 / 15 ? -10 : pick([0, 2, 5, 20, 30])
    return {
      cut: cut.id,
      mass_kg: pick([cut.mass_kg.least * 0.5, cut.mass_kg.least, cut.mass_kg.usual, cut.mass_kg.most * 1.6]),
      start_c,
      temper_min: pick([0, 0, 30, 120]),
      icy_core_c: random() < 0.1 ? Math.max(-20, start_c - pick([1, 8, 20])) : null,
      surface: pick(['plain', 'dry_salted', 'buttered']),
      handling: pick(['as_cut', 'stuffed', 'injected']),
      stuffed: cut.geometry.family === 'bird' && random() < 0.4,
      legs: pick(['tied', 'open', 'flat']),
      thin_end: cut.bone !== 'bird' && random() < 0.2 ? pick([0.3, 0.7, 1]) : null,
    }
  }
  const stageOf = () => ({
    role: pick(['cook', 'cook', 'rest', 'finish']),
    environment: pick([
      { kind: 'oven', set_c: Math.round(between(60, 300)) },
      { kind: 'oven', set_c: null },
      { kind: 'fire', set_c: Math.round(between(80, 400)) },
      { kind: 'pan', set_c: 230 },
      { kind: 'bath', set_c: Math.round(between(50, 95)) },
      { kind: 'cabinet', set_c: 60 },
      { kind: 'counter' },
      { kind: 'fridge' },
    ]),
    cover: pick(['bare', 'tent', 'foil', 'bag']),
    preheated: random() < 0.7,
    until: pick([
      { kind: 'time', minutes: pick([0, 1, 30, 600]) },
      { kind: 'pull' },
      { kind: 'pull' },
      { kind: 'core', core_c: pick([0, 40, 98]) },
      { kind: 'colour', browning_min: pick([0, 5, 600]) },
      { kind: 'clock', least_min: pick([0, 45]) },
    ]),
    tending:
      random() < 0.3
        ? [{ act: pick(['baste', 'turn', 'glaze', 'uncover']), at_min: pick([0, 20, 900]), every_min: pick([1, 30]) }]
        : [],
  })
  const documentOf = (cut: (typeof CUTS)[number], school: (typeof SCHOOLS)[number] | undefined) => ({
    roast: roastOf(cut),
    oven: { kind: pick(['still', 'fan']), offset_k: pick([-60, 0, 0, 25, 60]) },
    program: school
      ? {
          school: school.id,
          ...(random() < 0.5 ? { set_c: pick([60, 95, 140, 290]) } : {}),
          ...(random() < 0.3 ? { hot_min: pick([0, 1, 240]), rest_min: pick([0, 5, 180]) } : {}),
        }
      : { stages: Array.from({ length: 1 + Math.floor(random() * 4) }, stageOf) },
    ...(random() < 0.5 ? { target: { serve_c: Math.round(between(45, 97)) } } : {}),
    altitude_m: pick([0, 0, -400, 2000, 5500]),
    vulnerable: random() < 0.2,
  })

  it('every answer of simulate could be printed, or says why not', { timeout: 240_000 }, () => {
    const faults: string[] = []
    let answers = 0
    for (const [i, cut] of CUTS.entries()) {
      const suiting = SCHOOLS.filter((each) => each.suits(cut))
      for (const school of [...suiting.filter((_, k) => (i + k) % 3 === 0), undefined]) {
        const document = documentOf(cut, school)
        const found = simulated(document)
        if (!found.ok) {
          expect(found.problems.length).toBeGreaterThan(0)
          continue
        }
        answers++
        const serve_c = 'target' in document ? document.target.serve_c : undefined
        const wrong = faultsOf(found.value, { roast: document.roast, serve_c, altitude_m: document.altitude_m })
        if (wrong.length > 0) faults.push(`${JSON.stringify(document)}: ${wrong.join('; ')}`)
      }
    }
    expect(faults).toEqual([])
    expect(answers).toBeGreaterThan(50)
  })

  it('every forecast of a board lies ahead and in order, whatever was read', { timeout: 240_000 }, () => {
    const T0 = Date.UTC(2026, 10, 25, 12) / 1000
    const iso = (minute: number) => new Date((T0 + minute * 60) * 1000).toISOString()
    const faults: string[] = []
    let forecasts = 0
    for (let i = 0; i < 18; i++) {
      const cut = pick(CUTS)
      const school = pick(SCHOOLS.filter((each) => each.suits(cut)))
      const roast = { ...roastOf(cut), mass_kg: between(cut.mass_kg.least, cut.mass_kg.most) }
      const promise = pick([30, 200, 400, 2000])
      const cook = cookDocument.parse({
        title: 'x',
        clock: { origin: iso(0), real: iso(0) },
        items: [
          {
            id: 'a',
            title: 'a',
            roast,
            program: { school: school.id },
            serve_c: 74,
            promise: iso(promise),
            put_in: iso(0),
            pull: null,
            carve: iso(promise - 10),
            pull_c: pick([40, 60, 70]),
          },
        ],
      })
      const now = pick([0.2, 20, 150, 800])
      const entry = (kind: string, minute: number, more: object = {}) =>
        cookEntry.parse({ id: `fuzz-${kind}-${minute}`, kind, at: iso(minute), item: 'a', ...more })
      const readings = Array.from({ length: pick([0, 1, 30, 300]) }, (_, k) => ({
        device: 'd',
        channel: 0,
        at_s: T0 + pick([k * 30, between(0, now) * 60]),
        value_c: pick([5 + k * 0.2, between(-80, 400), 55]),
      })).sort((a, b) => a.at_s - b.at_s)
      const entries = [
        entry('in', 0),
        entry('assign', 0, { device: 'd', channel: 0, point: 'core' }),
        ...(random() < 0.4 ? [entry('oven', now / 2, { value_c: pick([60, 140, 250]) })] : []),
        ...(random() < 0.3 ? [entry('covered', now / 3), entry('door', now / 4)] : []),
      ]
      const now_s = T0 + now * 60
      const [board] = boardOf(cook, entries, readings, now_s)
      const forecast = board && forecastOf(board, now_s, 5, [], 48)
      if (!forecast) continue
      forecasts++
      const { estimate, advice } = forecast
      const name = `${cut.id} ${school.id} at ${now}`
      if (Number.isFinite(estimate.pull_s.p50)) {
        if (!(estimate.pull_s.p10 >= now * 60 - 1e-6 || school.id === 'oven-off' || school.id === 'cold-start'))
          faults.push(`${name}: pull in the past`)
        if (!(estimate.carve_s.p50 >= estimate.pull_s.p50 - 1)) faults.push(`${name}: carved before the pull`)
        if (!(estimate.peak_c.p90 < 101)) faults.push(`${name}: peak ${estimate.peak_c.p90}`)
      }
      for (const way of advice) {
        // What never gets there has no time, and says so.
        if (way.never) continue
        if (way.plate_s < now_s) faults.push(`${name}: ${way.code} on the table in the past`)
        if (way.pull_s < now_s - 1) faults.push(`${name}: ${way.code} pulled in the past`)
        if (way.pull_c !== undefined && way.pull_c > 74.6) faults.push(`${name}: ${way.code} pulled at ${way.pull_c}`)
        if (!Number.isFinite(way.peak_c + way.plate_s)) faults.push(`${name}: ${way.code} not finite`)
      }
    }
    expect(faults).toEqual([])
    expect(forecasts).toBeGreaterThan(10)
  })
})
