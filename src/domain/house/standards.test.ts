import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CUTS, findCut } from '@/core/reference/cuts'
import { DONENESS_SCALES, scaleOf, servedWithin } from '@/core/reference/doneness'
import { cookFromPlan } from '../cook/begin'
import { readLine } from '../line/reading'
import { documentFromLine } from '../meal/from-line'
import { planFromLine } from '../plan/from-line'
import { makePlan } from '../plan/make-plan'
import { cutOf, resolveRoast } from '../roast/resolve'
import { planDocument } from '../roast/roast-document'
import { type HouseItem, type HouseStandard, houseItemDocument } from './house-item'
import { standardProblem, standardsFor, standardsOf } from './standards'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const standard = (name: string, part: Partial<HouseStandard>): HouseItem => ({
  id: name,
  document: houseItemDocument.parse({ kind: 'standard', name, ...part }),
})
const HOUSE = [
  standard('serve.red.medium-rare', { value: 56.5 }),
  standard('rest.red', { value: 35 }),
  standard('margin', { value: 10 }),
  standard('portion', { value: 1.2 }),
  standard('buy', { value: 0.5 }),
  standard('usual.pork', { option: 'just-done' }),
  standard('school.red', { option: 'reverse-sear', set_c: 110, reason: 'the rim stays thin' }),
]
const read = (line: string, house: readonly HouseItem[] = HOUSE) => {
  const found = readLine(line, { now_s: NOW, timeZone: 'Europe/London', house })
  if (!found.ok) throw new Error(line)
  return found.value
}
const plan = (line: string, house?: readonly HouseItem[]) => planFromLine(read(line, house), NOW)
const targetOf = (document: ReturnType<typeof plan>) => {
  const resolved = resolveRoast(document)
  return resolved.ok && resolved.value.target.kind === 'serve' ? resolved.value.target.serve_c : undefined
}

describe('house standards', () => {
  it('a plan begins with them: degree, rest with its margin, school with its reason', () => {
    const rib = plan('beef rib 3 kg, 19:00')
    expect(targetOf(rib)).toBe(56.5)
    expect(rib.program).toEqual({ school: 'reverse-sear', set_c: 110 })
    expect(rib.roast.standards?.school).toBe('the rim stays thin')
    expect(cutOf(rib.roast)?.rest_min).toEqual({ least: 45, most: 60 })
    expect(targetOf(plan('beef rib 3 kg, rare'))).toBe(51)
    expect(targetOf(plan('pork loin 2 kg'))).toBe(67)
  })

  it('what a line says goes before them', () => {
    const said = plan('beef rib 3 kg, 150 c, serve at 60 c')
    expect(said.program).toMatchObject({ school: 'steady', set_c: 150 })
    expect(targetOf(said)).toBe(60)
    expect(said.roast.standards?.school).toBeUndefined()
  })

  it('portions and the step they are bought by decide the weight', () => {
    const bought = (house: readonly HouseItem[]) => read('beef rib for 6', house).roasts[0]?.mass_kg ?? 0
    expect(bought([])).toBe(2.7)
    expect(bought([standard('portion', { value: 1.2 })])).toBe(3.3)
    expect(bought([standard('buy', { value: 0.5 })])).toBe(3)
    expect(bought([standard('buy', { value: 0.25 })])).toBe(2.75)
  })

  it('plan, board and meal stand at the same degree; a standard changed later changes no plan', () => {
    const rib = plan('beef rib 3 kg, promise 20:00')
    const cook = cookFromPlan(rib, NOW, 1)
    expect(cook.ok && cook.value.items[0]?.serve_c).toBe(56.5)
    const meal = documentFromLine(read('beef rib 3 kg and chicken 2 kg for 8 at 20:00'), NOW, kitchen())
    expect(meal?.kind === 'meal' && meal.document.roasts[0]?.roast.standards?.serves).toEqual({
      'red.medium-rare': 56.5,
    })
    const later = planDocument.parse(JSON.parse(JSON.stringify(rib)))
    expect(targetOf(later)).toBe(56.5)
    const made = makePlan(rib, NOW)
    expect(made.ok).toBe(true)
  })

  it('any standard that is taken keeps its degree in its band and makes a document of every cut', () => {
    const names = DONENESS_SCALES.flatMap(({ id, degrees }) => [
      ...degrees.map((degree) => `serve.${id}.${degree.id}`),
      `usual.${id}`,
      `rest.${id}`,
      `school.${id}`,
    ])
    const any = fc.record({
      name: fc.oneof(fc.constantFrom(...names, 'portion', 'margin', 'buy'), fc.string({ maxLength: 60, minLength: 1 })),
      value: fc.option(fc.double({ min: -50, max: 200, noNaN: true })),
      option: fc.option(fc.constantFrom('rare', 'done', 'just-done', 'pink', 'steady', 'reverse-sear', 'bird-turned')),
    })
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), fc.constantFrom(...CUTS), (many, cut) => {
        const taken = many.flatMap(({ name, value, option }) => {
          const document = houseItemDocument.safeParse({ kind: 'standard', name, value, option })
          if (!document.success || document.data.kind !== 'standard' || standardProblem(document.data)) return []
          return [{ id: name, document: document.data }]
        })
        const part = standardsFor(cut, standardsOf(taken))
        const document = plan(cut.name.replaceAll(',', ''), taken)
        expect(planDocument.safeParse(document).success).toBe(true)
        if (!part) return
        const own = cutOf({ cut: cut.id, standards: part })
        for (const [name, value] of Object.entries(part.serves ?? {})) {
          const [scale, degree] = name.split('.') as ['red', string]
          const range = servedWithin(scale, degree)
          expect(value).toBeGreaterThanOrEqual(range?.low ?? Number.POSITIVE_INFINITY)
          expect(value).toBeLessThanOrEqual(range?.high ?? 0)
        }
        const scale = own && scaleOf(own)
        const usual = scale?.degrees.find(({ id }) => id === own?.usualDoneness)
        expect(usual?.serve_c ?? 0).toBeGreaterThanOrEqual(scale?.pullFloor_c ?? 40)
      }),
      { seed: 2611, numRuns: 150, interruptAfterTimeLimit: 20_000 },
    )
  })

  it('what cannot be is said', () => {
    const wrong = (name: string, part: Partial<HouseStandard>) =>
      standardProblem(standard(name, part).document as HouseStandard)
    expect(wrong('serve.red.medium-rare', { value: 62 })).toContain('another degree')
    expect(wrong('serve.poultry.done', { value: 68 })).toContain('73')
    expect(wrong('serve.red.crisp', { value: 62 })).toContain('knows no crisp')
    expect(wrong('usual.poultry', { option: 'underdone' })).toContain('no degree')
    expect(wrong('rest.red', { value: 500 })).toContain('0 to 120')
    expect(wrong('rest', { value: 5 })).toBeDefined()
    expect(wrong('constructor', { value: 5 })).toBeDefined()
    expect(wrong('school.red', { option: 'magic' })).toContain('no school')
    expect(findCut('turkey')).toBeDefined()
  })
})

function kitchen() {
  return {
    ovens: [{ id: 'oven', name: 'Oven', kind: 'still' as const }],
  } as unknown as Parameters<typeof documentFromLine>[2]
}
