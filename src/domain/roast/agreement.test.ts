import { describe, expect, it } from 'vitest'
import { estimate } from '@/core/estimate/estimate'
import { seededRandom } from '@/core/estimate/random'
import { findSchool, SCHOOLS } from '@/core/program/schools'
import { CUTS, findCut } from '@/core/reference/cuts'
import { answerRoast } from '@/core/roast/answer'
import { cookFromPlan } from '../cook/begin'
import { boardOf } from '../cook/board'
import { cookEntry } from '../cook/cook-document'
import { estimateDocument, estimateFrom } from '../cook/estimate-document'
import { forecastOf } from '../cook/forecast'
import { mealDocument } from '../meal/meal-document'
import { PLAIN_KITCHEN, resolveMeal } from '../meal/meal-problem'
import { makePlan } from '../plan/make-plan'
import { questionOf } from './question'
import { type PlanDocumentInput, planDocument, simulateDocument } from './roast-document'
import { simulate } from './simulate'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const PROMISE = '2026-11-28T19:00:00Z'
const random = seededRandom(826)
const between = (low: number, high: number) => low + (high - low) * random()

/** Every cut by every school it suits, each once, with a weight and a start of its own. */
const PAIRS = SCHOOLS.flatMap((school) =>
  CUTS.filter((cut) => school.suits(cut)).map((cut) => {
    const roast = {
      cut: cut.id,
      mass_kg: Math.round(between(cut.mass_kg.least, cut.mass_kg.most) * 100) / 100,
      start_c: Math.round(between(2, 9)),
      temper_min: random() < 0.4 ? 60 : 0,
      stuffed: cut.geometry.family === 'bird' && random() < 0.4,
      thin_end: cut.bone !== 'bird' && cut.geometry.family === 'round' && random() < 0.15 ? 0.6 : null,
    }
    return { school, cut, roast, fan: random() < 0.3 }
  }),
)
const documentOf = ({ school, roast, fan }: (typeof PAIRS)[number], more: Partial<PlanDocumentInput> = {}) =>
  planDocument.parse({
    roast,
    oven: { kind: fan ? 'fan' : 'still' },
    program: { school: school.id },
    promise: PROMISE,
    ...more,
  })

describe('an estimator without doubt is the plan', () => {
  for (const { id } of SCHOOLS)
    it(`${id}: fed the plan’s own curve at 10 and 60 or 30 and 90 %, it answers the plan’s pull and knife`, () => {
      let tried = 0
      const pairs = PAIRS.filter(({ school }) => school.id === id)
      // One in two, or all where a school suits few.
      for (const [i, pair] of (pairs.length > 6 ? pairs.filter((_, k) => k % 2 === 0) : pairs).entries()) {
        const asked = questionOf(documentOf(pair), { rest: 'takes_doubt', members: 16, seed: 1 })
        if (!asked.ok) throw new Error(JSON.stringify(asked.problems))
        const answer = answerRoast(asked.value.question)
        if (answer.outcome === 'cannot') continue
        tried++
        const { run, prepared } = answer
        const readings = run.curve.core_c.flatMap((column, body) =>
          Array.from({ length: run.curve.length }, (_, i) => ({
            time_s: run.curve.time_s[i] as number,
            value_c: column[i] as number,
            body,
          })),
        )
        for (const share of i % 2 === 0 ? [0.1, 0.6] : [0.3, 0.9]) {
          const now_s = share * run.pull_s
          const found = estimate({
            ...prepared,
            program: answer.program,
            pull_c: answer.pull.pull_c,
            readings: readings.filter(({ time_s }) => time_s <= now_s).sort((a, b) => a.time_s - b.time_s),
            now_s,
            measured: false,
            members: 1,
            seed: 1,
            certain: true,
          })
          const name = `${pair.cut.id} at ${share}`
          expect(Math.abs(found.pull_s.p50 - run.pull_s), name).toBeLessThanOrEqual(30)
          expect(Math.abs(found.carve_s.p50 - run.carve_s), name).toBeLessThanOrEqual(60)
        }
      }
      expect(tried).toBeGreaterThan(0)
    })
})

describe('a board that has only begun says what the plan said', () => {
  it('put in on the minute and left alone, every roast is on the table at its promise', () => {
    const late: string[] = []
    for (const pair of PAIRS.filter((_, i) => i % 9 === 0)) {
      const document = documentOf(pair)
      const cook = cookFromPlan(document, NOW, 1)
      if (!cook.ok) continue
      const item = cook.value.items[0] as (typeof cook.value.items)[number]
      const in_s = Date.parse(item.put_in) / 1000
      const [board] = boardOf(
        cook.value,
        [cookEntry.parse({ id: 'put-in-it-is', kind: 'in', at: item.put_in, item: item.id })],
        [],
        in_s + 60,
      )
      const forecast = board && forecastOf(board, in_s + 60, 3, [], 64)
      if (!forecast) throw new Error('no forecast')
      const left = forecast.advice.find(({ code }) => code === 'leave_it')
      const off_s = (left?.plate_s ?? Number.NaN) - Date.parse(PROMISE) / 1000
      // The rest gives way; what is less than five minutes the board calls on time.
      if (!(Math.abs(off_s) < 300)) late.push(`${pair.school.id} ${pair.cut.id}: ${Math.round(off_s / 60)} min`)
    }
    expect(late).toEqual([])
  })
})

describe('a plan, a meal, a simulation and an estimate of one roast agree', () => {
  const cases = {
    frozen: { roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, start_c: 3, icy_core_c: -5 }, set_c: 160 },
    tempered: { roast: { cut: 'lamb-leg-bone-in', mass_kg: 2.6, start_c: 4, temper_min: 90 }, set_c: 160 },
    stuffed: { roast: { cut: 'turkey', mass_kg: 6, stuffed: true }, set_c: 170 },
    mountain: { roast: { cut: 'pork-loin', mass_kg: 2 }, set_c: 150, altitude_m: 2600 },
    vulnerable: { roast: { cut: 'beef-tenderloin', mass_kg: 2 }, set_c: 180, vulnerable: true },
  } as const
  for (const [name, found] of Object.entries(cases))
    it(`${name}: pull reading, time to it, peak and cautions`, () => {
      const { roast, set_c } = found
      const altitude_m = 'altitude_m' in found ? found.altitude_m : 0
      const vulnerable = 'vulnerable' in found
      const cut = findCut(roast.cut)
      // A rest so long that its length decides nothing: the peak comes before.
      const program = { school: 'steady', set_c, rest_min: cut?.doneness === 'tender' ? 60 : 90 }
      const planned = makePlan(
        planDocument.parse({ roast, program, promise: PROMISE, altitude_m, vulnerable }),
        NOW,
        64,
      )
      const meal = resolveMeal(
        mealDocument.parse({
          kitchen: { ...PLAIN_KITCHEN, altitude_m },
          servings: [{ id: 's', title: 'S', at: PROMISE }],
          vulnerable,
          roasts: [{ id: 'r', title: 'R', serving: 's', roast, program }],
        }),
      )
      const simulated = simulate(simulateDocument.parse({ roast, program, altitude_m, vulnerable, members: 64 }))
      const estimated = estimateFrom(
        estimateDocument.parse({ roast, program, altitude_m, vulnerable, readings: [], now_min: 0, members: 128 }),
      )
      if (!planned.ok || !meal.ok || !simulated.ok || !estimated.ok) throw new Error('not all could be made')
      const { plan } = planned.value
      const cooked = meal.value.roasts[0]?.cooked[0]
      if (!cooked) throw new Error('the meal has no roast')
      const minute = (stage: { end_s: number } | undefined) => (stage?.end_s ?? Number.NaN) / 60
      const planPull_min = ((plan.stages[0]?.to ?? 0) - plan.putIn) / 60
      expect(cooked.pull_c).toBeCloseTo(plan.pull_c, 1)
      expect(simulated.value.pull_c).toBeCloseTo(plan.pull_c, 1)
      expect(estimated.value.pull_c).toBeCloseTo(plan.pull_c, 1)
      expect(Math.abs(minute(cooked.stages[0]) - planPull_min)).toBeLessThan(1)
      expect(Math.abs((simulated.value.carve_min ?? 0) - program.rest_min - planPull_min)).toBeLessThan(1)
      expect(Math.abs((estimated.value.pull_min.p50 ?? 0) / planPull_min - 1)).toBeLessThan(0.06)
      expect(cooked.peak_c).toBeCloseTo(plan.peak_c, 0)
      const codes = (cautions: readonly { code: string }[]) => cautions.map(({ code }) => code)
      expect(codes(cooked.cautions)).toEqual(codes(plan.cautions))
      expect(codes(simulated.value.cautions)).toEqual(codes(plan.cautions))
      expect(codes(estimated.value.cautions)).toEqual(codes(plan.cautions))
      if (name === 'frozen') expect(codes(plan.cautions)).toContain('frozen_start')
      if (name === 'vulnerable') expect(codes(plan.cautions)).toContain('vulnerable_guest')
    })

  it('up a mountain nothing gets over boiling there, and a shoulder takes longer', () => {
    const at = (altitude_m: number, serve_c: number) => {
      const found = simulate(
        simulateDocument.parse({
          roast: { cut: 'beef-shoulder', mass_kg: 2 },
          program: { school: 'steady', set_c: 150 },
          target: { serve_c },
          altitude_m,
          members: 8,
        }),
      )
      if (!found.ok) throw new Error('not made')
      return found.value
    }
    expect(at(2600, 88).carve_min).toBeGreaterThan((at(0, 88).carve_min ?? 0) * 1.02)
    expect(at(2600, 93)).toMatchObject({ outcome: 'cannot', because: [{ code: 'water_boils' }], pull_c: null })
  })
})

describe('an estimate from a simulation’s own readings', () => {
  it('has the truth in its band, by every school', () => {
    let inside = 0
    let asked = 0
    for (const pair of PAIRS.filter((_, i) => i % 11 === 1)) {
      const { roast, oven, program } = documentOf(pair)
      const simulated = simulate(simulateDocument.parse({ roast, oven, program, members: 8 }))
      if (!simulated.ok) throw new Error(JSON.stringify(simulated.problems))
      const { pull_min, pull_c, curve, points } = simulated.value
      if (pull_c === null || pull_min.p50 === null) continue
      const school = findSchool(pair.school.id)
      // By the clock alone there is no pull to foresee.
      if (school && simulated.value.outcome === 'fixed_program') continue
      const reached = curve.find(({ core_c, second_c, third_c }) =>
        [core_c, second_c, third_c].every((value) => value === null || value >= pull_c - 0.05),
      )
      if (!reached) continue
      const now_min = reached.minute * 0.5
      const probes = points.map((point, i) => ({ point, key: (['core_c', 'second_c', 'third_c'] as const)[i] }))
      const readings = curve
        .filter(({ minute }) => minute > 0 && minute <= now_min)
        .flatMap((row) =>
          probes.map(({ point, key }) => ({ minute: row.minute, c: (key && row[key]) ?? 0, probe: point })),
        )
      const found = estimateFrom(
        estimateDocument.parse({ roast, oven, program, readings, now_min, members: 96, seed: 2 }),
      )
      if (!found.ok) throw new Error(JSON.stringify(found.problems))
      asked++
      const { p10, p90 } = found.value.pull_min
      if ((p10 ?? Number.NaN) <= reached.minute + 0.5 && (p90 ?? Number.NaN) >= reached.minute - 0.5) inside++
    }
    expect(asked).toBeGreaterThan(9)
    expect(inside / asked).toBeGreaterThan(0.85)
  })
})
