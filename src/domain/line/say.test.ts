import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { SCHOOLS } from '@/core/program/schools'
import { TENDING_ACTS } from '@/core/program/stage'
import { CUTS, type Cut } from '@/core/reference/cuts'
import { donenessScale } from '@/core/reference/doneness'
import { TENDER_ENDS } from '@/core/reference/tenderness'
import { documentFromLine } from '../meal/from-line'
import { PLAIN_KITCHEN } from '../meal/meal-problem'
import { tenth } from '../quantity/round'
import { cutAsCooked, resolveRoast } from '../roast/resolve'
import {
  HANDLINGS,
  type PlanDocument,
  PREPARATIONS,
  planDocument,
  ROAST_SURFACES,
  type StagePart,
} from '../roast/roast-document'
import { withRoles } from '../roast/stages'
import { readLine } from './reading'
import { sayPlan } from './say'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const CASES = 1000
const LIMIT_MS = 20

type Random = () => number
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
const maybe = <T>(random: Random, value: T): T | undefined => (random() < 0.4 ? value : undefined)

function stageFor(random: Random): StagePart {
  const kind = pick(random, [
    'oven',
    'oven',
    'oven',
    'off',
    'fire',
    'pan',
    'bath',
    'cabinet',
    'counter',
    'fridge',
  ] as const)
  const until = pick(random, ['time', 'pull', 'core', 'colour', 'clock', 'tender'] as const)
  return {
    role: 'cook',
    environment:
      kind === 'off'
        ? { kind: 'oven', set_c: null }
        : kind === 'counter' || kind === 'fridge'
          ? { kind }
          : { kind, set_c: tenth(60 + 200 * random()) },
    cover: pick(random, ['bare', 'tent', 'foil', 'bag']),
    preheated: random() < 0.7,
    ...(random() < 0.2 ? { position: pick(random, ['breast_up', 'breast_down'] as const) } : {}),
    ...(random() < 0.2 ? { foil: pick(random, ['breast', 'legs'] as const) } : {}),
    ...(random() < 0.2 ? { surface: pick(random, ['fat', 'glaze'] as const) } : {}),
    until:
      until === 'time'
        ? { kind: 'time', minutes: Math.ceil(300 * random()) }
        : until === 'pull'
          ? { kind: 'pull' }
          : until === 'core'
            ? { kind: 'core', core_c: tenth(45 + 45 * random()) }
            : until === 'colour'
              ? { kind: 'colour', browning_min: Math.ceil(60 * random()) }
              : until === 'tender'
                ? { kind: 'tender', degree: pick(random, TENDER_ENDS) }
                : { kind: 'clock', least_min: Math.ceil(200 * random()) },
    tending: Array.from({ length: Math.floor(3 * random() ** 2) }, () => ({
      act: pick(random, TENDING_ACTS),
      ...(random() < 0.5
        ? { at_min: Math.floor(90 * random()) }
        : {
            at_min: 0,
            ...pick(random, [
              { at_share: Math.round(100 * random()) / 100 },
              { before_end_min: Math.floor(60 * random()) },
              { at_core_c: tenth(20 + 60 * random()) },
            ]),
          }),
      ...(random() < 0.5 ? { every_min: Math.ceil(60 * random()) } : {}),
    })),
  }
}

/** Any plan that a line can say: its numbers, its order and its ways are the seed's. */
function planFor(random: Random): PlanDocument {
  const cut: Cut = pick(random, CUTS)
  const bird = cut.geometry.family === 'bird'
  const schools = SCHOOLS.filter((school) => school.suits(cut))
  const school = pick(random, schools)
  const program =
    random() < 0.5
      ? {
          school: school.id,
          ...(school.untilTender && random() < 0.4 ? { tender: pick(random, TENDER_ENDS) } : {}),
          ...(random() < 0.6 ? { set_c: tenth(60 + 200 * random()) } : {}),
          ...(random() < 0.3 ? { hot_c: tenth(150 + 100 * random()) } : {}),
          ...(random() < 0.3 ? { hot_min: Math.ceil(40 * random()) } : {}),
          ...(random() < 0.3 ? { rest_min: Math.ceil(60 * random()) } : {}),
        }
      : { stages: withRoles(Array.from({ length: 1 + Math.floor(5 * random()) }, () => stageFor(random))) }
  // Cooked until it is tender it is wanted by other words.
  const judged = cutAsCooked({ roast: { cut: cut.id }, program }) ?? cut
  const degrees = donenessScale(judged.doneness).degrees
  const promise_s = NOW + Math.floor(random() * 200 * 1440) * 60 + 86_400
  return planDocument.parse({
    title: cut.name,
    roast: {
      cut: cut.id,
      mass_kg: Math.round(1000 * (cut.mass_kg.least + random() * (cut.mass_kg.most - cut.mass_kg.least))) / 1000,
      thickness_mm: maybe(random, tenth(40 + 100 * random())) ?? null,
      start_c: maybe(random, tenth(20 * random())) ?? 5,
      temper_min: Math.floor(120 * random()),
      surface: pick(random, ROAST_SURFACES),
      handling: bird ? 'as_cut' : pick(random, HANDLINGS),
      stuffed: bird && random() < 0.3,
      legs: bird && random() < 0.3 ? 'open' : 'tied',
    },
    oven: {
      kind: random() < 0.3 ? 'fan' : 'still',
      ...(random() < 0.3 ? { offset_k: tenth(24 * random() - 12) } : {}),
    },
    altitude_m: maybe(random, 100 + Math.floor(3000 * random())) ?? 0,
    program,
    target: pick(random, [undefined, { serve_c: tenth(45 + 40 * random()) }, { doneness: pick(random, degrees).id }]),
    promise: new Date(promise_s * 1000).toISOString(),
    guests: maybe(random, 1 + Math.floor(60 * random())) ?? null,
    wishes: random() < 0.3 ? { [pick(random, degrees).id]: 1 + Math.floor(9 * random()) } : {},
    vulnerable: random() < 0.2,
    preparation: maybe(random, pick(random, PREPARATIONS)) ?? null,
    ...pick(random, [
      {},
      {},
      {},
      {},
      { frozen: true },
      { frozen: true, thaws: 'water' },
      { frozen: true, thaws: 'out' },
    ] as const),
    notes:
      random() < 0.3
        ? pick(random, ['bay leaf under the skin', 'two probes; 180 °C, not more', 'für Tante Åse, оставить'])
        : '',
  })
}

describe('a plan read back as a line', () => {
  it('gives the same plan again, whatever the plan', { timeout: 300_000 }, () => {
    const random = seededRandom(7301)
    for (let i = 0; i < CASES; i++) {
      const plan = planFor(random)
      const zone = pick(random, ['Europe/London', 'America/New_York', 'Asia/Kathmandu', 'UTC'])
      const { line, unsaid } = sayPlan(plan, zone)
      expect(unsaid, line).toEqual([])
      const read = readLine(line, { now_s: NOW, timeZone: zone })
      if (!read.ok) {
        // A dozen stages with all that can be said of them are longer than a line.
        expect(read.problems[0]?.code, line).toBe('line_too_long')
        continue
      }
      expect(
        read.value.asks.map((ask) => `${ask.code} ${'words' in ask ? ask.words : ''}`),
        line,
      ).toEqual([])
      const again = documentFromLine(read.value, NOW, PLAIN_KITCHEN)
      expect(again?.document, line).toEqual(plan)
    }
  })

  it('says what no line can', () => {
    const plan = planFor(seededRandom(1))
    const own = planDocument.parse({ ...plan, title: 'Gran’s', oven: { kind: 'fan', swing_k: 9 }, altitude_m: 12.5 })
    expect(sayPlan(own, 'UTC').unsaid).toEqual(['what is known of the oven', 'the height of the kitchen', 'its title'])
  })

  it('any line at all that makes a plan is read back to that plan, and in time', { timeout: 300_000 }, () => {
    for (const line of [
      'beef rib 3 kg reverse sear 110, rest 40, sat 19:00',
      'turkey 6 kg stuffed, 230 for 20 min then 175 covered, eat 25 dec 14:00',
    ]) {
      const first = readLine(line, { now_s: NOW, timeZone: 'Europe/London' })
      const plan = first.ok ? documentFromLine(first.value, NOW, PLAIN_KITCHEN) : undefined
      if (plan?.kind !== 'plan') throw new Error(line)
      const from = performance.now()
      const again = readLine(sayPlan(plan.document, 'Europe/London').line, { now_s: NOW, timeZone: 'Europe/London' })
      expect(performance.now() - from).toBeLessThan(LIMIT_MS * 10)
      expect(again.ok && documentFromLine(again.value, NOW, PLAIN_KITCHEN)).toEqual(plan)
    }
  })

  it.each([
    ['beef rib 3 kg cooked through, 7pm', 'well-done'],
    ['pork loin 2 kg cooked through, 7pm', 'well-done'],
    ['chicken 1.6 kg cooked through, 7pm', 'done'],
    ['duck 2 kg cooked through, 7pm', 'done'],
  ])('cooked through is a degree of any meat: %s', (line, id) => {
    const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
    const made = read.ok ? documentFromLine(read.value, NOW, PLAIN_KITCHEN) : undefined
    if (made?.kind !== 'plan') throw new Error(line)
    const resolved = resolveRoast(made.document)
    const asId = resolveRoast({ ...made.document, target: { doneness: id } })
    expect(resolved.ok && resolved.value.target).toEqual(asId.ok && asId.value.target)
  })

  it('a plan that says done of beef or pork keeps it, and is read back as well done', () => {
    for (const line of ['beef rib 3 kg well done, 7pm', 'pork loin 2 kg well done, 7pm']) {
      const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
      const made = read.ok ? documentFromLine(read.value, NOW, PLAIN_KITCHEN) : undefined
      if (made?.kind !== 'plan') throw new Error(line)
      const older = { ...made.document, target: { doneness: 'done' } }
      const [one, other] = [resolveRoast(older), resolveRoast(made.document)]
      expect(one.ok && one.value.target).toEqual(other.ok && other.value.target)
      expect(sayPlan(older, 'UTC').line).toContain('well done')
    }
  })
})
