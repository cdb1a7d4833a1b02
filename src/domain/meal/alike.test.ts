import { describe, expect, it } from 'vitest'
import { fridayEvening } from '@/stand-ins/demo/meals'
import { manyOf } from '../cook/together'
import { tasksTogether } from './alike'
import { makeMeal } from './make-meal'
import { type MealDocument, mealDocument } from './meal-document'

const evening = fridayEvening('2026-11-27T18:00:00Z')
const [given] = evening.roasts
if (!given) throw new Error('no roast')
const hen = (i: number, more: Partial<MealDocument['roasts'][number]> = {}) => ({
  ...given,
  roast: { ...given.roast, cut: 'cornish-hen', mass_kg: 0.6, thickness_mm: null },
  target: { doneness: 'done' },
  program: { school: 'steady' as const },
  id: `hen-${i}`,
  title: `Cornish hen ${i} of 4`,
  ...more,
})
const mealOf = (roasts: readonly object[]) => {
  const [oven] = evening.kitchen.ovens
  const meal = mealDocument.parse({
    ...evening,
    kitchen: { ...evening.kitchen, ovens: [oven], cooks: evening.kitchen.cooks.slice(0, 1) },
    roasts,
    sides: [],
    placed: null,
  })
  const made = makeMeal(meal, undefined, 0)
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  return { meal, plan: made.value }
}

describe('tasks that are one for the hands', () => {
  it('the same of hens that are alike is one row, and each is pulled by its own reading', () => {
    const { meal, plan } = mealOf([hen(1), hen(2), hen(3), hen(4)])
    const groups = tasksTogether(plan.tasks, plan, meal)
    expect(groups.flat()).toHaveLength(plan.tasks.length)
    expect(new Set(groups.flat()).size).toBe(plan.tasks.length)
    for (const [first, ...others] of groups)
      for (const other of others) {
        expect([other.kind, other.cook, other.source]).toEqual([first.kind, first.cook, first.source])
        expect(Math.abs(other.at - first.at)).toBeLessThan(60)
        expect(other.item).not.toBe(first.item)
      }
    const sizes = (kind: string) => groups.filter(([{ kind: each }]) => each === kind).map(({ length }) => length)
    expect(sizes('pull')).toEqual([1, 1, 1, 1])
    for (const kind of ['salt', 'take_out', 'put_in']) {
      expect(
        sizes(kind).reduce((sum, each) => sum + each, 0),
        kind,
      ).toBe(4)
      expect(sizes(kind).length, kind).toBeLessThan(4)
    }
  })

  it('one that is heavier, or cooked otherwise, has rows of its own', () => {
    const { meal, plan } = mealOf([hen(1), hen(2, { roast: { ...hen(2).roast, mass_kg: 0.8 } as never })])
    expect(tasksTogether(plan.tasks, plan, meal).every(({ length }) => length === 1)).toBe(true)
    expect(manyOf('Cornish hen 1 of 4', 4)).toBe('4 × Cornish hen')
    expect(manyOf('Rib', 2)).toBe('2 × Rib')
  })
})
