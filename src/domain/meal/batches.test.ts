import { describe, expect, it } from 'vitest'
import { readLine } from '../line/reading'
import { fellowsOf, holdOf, inBatches, stagesOfRoast, withHold } from './batches'
import { mealFromLine } from './from-line'
import { makeMeal } from './make-meal'
import type { MealDocument } from './meal-document'
import { PLAIN_KITCHEN } from './meal-problem'
import { totalOf } from './quantities'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const KITCHEN: MealDocument['kitchen'] = { ...PLAIN_KITCHEN, cabinet_places: 4, cooks: ['A', 'B'] }
const meal = (line: string, kitchen = KITCHEN) => {
  const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!read.ok) throw new Error(line)
  return mealFromLine(read.value, NOW, kitchen)
}
const planned = (document: MealDocument) => {
  const plan = makeMeal(document, undefined, 1)
  if (!plan.ok) throw new Error(JSON.stringify(plan.problems))
  return plan.value
}
const minutesOf = (document: MealDocument) =>
  document.roasts.map(({ serving }) => {
    const at = document.servings.find(({ id }) => id === serving)?.at ?? ''
    return new Date(at).toISOString().slice(11, 16)
  })

describe('batches', () => {
  it('a line says them: so many, so far apart, every piece in one', () => {
    const batched = meal('6 chickens 1.8 kg in 3 batches 20 min apart, eat tomorrow 18:00')
    expect(minutesOf(batched)).toEqual(['18:00', '18:00', '18:20', '18:20', '18:40', '18:40'])
    expect(batched.servings).toHaveLength(3)
    expect(new Set(batched.roasts.map(({ title }) => title)).size).toBe(6)
  })

  it('are made, moved and put together again without leaving a serving behind', () => {
    const once = meal('5 chickens 1.8 kg, eat tomorrow 18:00')
    const ids = fellowsOf(once, once.roasts[0] as (typeof once.roasts)[number]).map(({ id }) => id)
    expect(ids).toHaveLength(5)
    const two = inBatches(once, ids, 2, 30)
    expect(minutesOf(two)).toEqual(['18:00', '18:00', '18:00', '18:30', '18:30'])
    const three = inBatches(two, ids, 3, 15)
    expect(new Set(minutesOf(three))).toEqual(new Set(['18:00', '18:15', '18:30']))
    const again = inBatches(three, ids, 1, 15)
    expect(again.servings).toHaveLength(1)
    expect(inBatches(once, [], 3, 10)).toBe(once)
    expect(inBatches(once, ids, 99, 10).servings.length).toBeLessThanOrEqual(12)
  })
})

describe('held warm', () => {
  it('goes into the cabinet after its rest, before its finish, and comes out of it again', () => {
    const document = meal('rib of beef 3 kg reverse sear and a chicken 1.8 kg, eat tomorrow 18:00')
    const [rib] = document.roasts
    if (!rib) throw new Error('no rib')
    const held = withHold(rib, document, 90)
    const stages = stagesOfRoast(held, document)
    expect(stages.map(({ environment, role }) => `${role} ${environment.kind}`)).toEqual([
      'cook oven',
      'rest counter',
      'rest cabinet',
      'finish oven',
    ])
    expect(holdOf(stages)).toBe(90)
    expect(holdOf(stagesOfRoast(withHold(held, document, 0), document))).toBe(0)
  })

  it('a held bird is scheduled in oven and cabinet, and nothing is pulled above what is wanted', () => {
    const document = meal('two chickens 1.8 kg, eat tomorrow 18:00')
    const [bird] = document.roasts
    if (!bird) throw new Error('no bird')
    const held: MealDocument = {
      ...document,
      roasts: document.roasts.map((roast) => (roast.id === bird.id ? withHold(roast, document, 60) : roast)),
    }
    const { items, faults } = planned(held)
    expect(faults).toEqual([])
    const placed = items.find(({ id }) => id === bird.id)
    expect(placed?.stays.map(({ source }) => source)).toEqual(['oven', 'cabinet'])
    const cabinet = placed?.stays[1]
    expect(((cabinet?.to_s ?? 0) - (cabinet?.from_s ?? 0)) / 60).toBeGreaterThanOrEqual(60)
  })
})

describe('somewhere else', () => {
  it('all is dished before the drive, packed as a step of its own, and promised where they eat', () => {
    const document = meal('two chickens 1.8 kg, eat tomorrow 18:00, 40 min by van')
    expect(document.servings[0]?.away_min).toBe(40)
    const { items, tasks } = planned(document)
    const table = Date.parse(document.servings[0]?.at ?? '') / 1000
    for (const { done_s, serve_s } of items) {
      expect(done_s).toBeLessThanOrEqual(table - 2400)
      expect(serve_s).toBe(table)
    }
    expect(tasks.find(({ kind }) => kind === 'pack')?.at).toBe(table - 2400)
    expect(tasks.at(-1)).toMatchObject({ kind: 'serve', at: table })
  })
})

describe('totals', () => {
  it.each([
    ['250 g a head', 10, '2.5 kg'],
    ['one a head', 7, '7'],
    ['120 g per person', 4, '480 g'],
    ['0.5 l a head', 3, '1.5 l'],
    ['a bag', 3, undefined],
    ['', 3, undefined],
  ])('%s for %i is %s', (quantity, guests, total) => {
    expect(totalOf(quantity, guests)).toBe(total)
  })
})
