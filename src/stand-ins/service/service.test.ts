import { describe, expect, it } from 'vitest'
import { findCut } from '@/core/reference/cuts'
import { cookFromMeal, cookFromPlan } from '@/domain/cook/begin'
import { makeMeal } from '@/domain/meal/make-meal'
import { mealDocument } from '@/domain/meal/meal-document'
import { planDocument } from '@/domain/roast/roast-document'
import { KitchenBird } from '../kitchen/bird'
import { KitchenRoast } from '../kitchen/kitchen'
import { type Kitchen, type ServedRoast, serve } from './service'

const PROMISE = '2026-11-28T19:00:00Z'
const PROMISE_S = Date.parse(PROMISE) / 1000
const BEGUN_S = PROMISE_S - 14 * 3600

const roast = (seed: number, thickness_m: number, more: Partial<ServedRoast> = {}): ServedRoast => ({
  piece: new KitchenRoast({ seed, thickness_m, shape: 2, start_c: 5 }),
  serve_c: 60,
  late_min: 0,
  dead_at: undefined,
  ...more,
})
const servedBy = (asked: object, told: ServedRoast, offset_k = 0, more: Partial<Kitchen> = {}) => {
  const plan = { ...asked, promise: PROMISE }
  const cook = cookFromPlan(planDocument.parse(plan), BEGUN_S, 1)
  if (!cook.ok) throw new Error(JSON.stringify(cook.problems))
  const [item] = cook.value.items
  const [one] = serve(
    cook.value,
    { plan },
    new Map([[item?.id ?? '', told]]),
    { offset_k: () => offset_k, ...more },
    BEGUN_S,
    PROMISE_S + 7200,
    64,
  )
  if (!one) throw new Error('nothing served')
  return one
}
const served = (told: ServedRoast, offset_k: number, more: Partial<Kitchen> = {}, serve_c = 60) =>
  servedBy(
    {
      roast: { cut: 'pork-loin', mass_kg: 2 },
      program: { school: 'steady', set_c: 160 },
      target: { serve_c },
    },
    told,
    offset_k,
    more,
  )

describe('a cook who does what the board says', () => {
  it('keeps the promise and the doneness in a cold oven and a hot one', () => {
    expect(findCut('pork-loin')).toBeDefined()
    for (const offset_k of [-8, 8]) {
      const { late_min, off_k } = served(roast(3, 0.071), offset_k)
      expect(Math.abs(late_min)).toBeLessThanOrEqual(15)
      expect(Math.abs(off_k)).toBeLessThanOrEqual(2.5)
    }
  })

  it('goes by hand when its probe is lost, and is not raw for it', () => {
    // Read every ten minutes by hand one of them may come late, and says so; none is raw.
    const all = [3, 5, 7].map((seed) => served(roast(seed, 0.075, { dead_at: 0.5 }), 0))
    expect(all.filter(({ late_min }) => Math.abs(late_min) <= 20).length).toBeGreaterThanOrEqual(2)
    for (const { late_min, off_k } of all) {
      expect(Math.abs(late_min)).toBeLessThanOrEqual(40)
      expect(off_k).toBeGreaterThan(-5)
    }
  })

  it('put in late, does nothing before it is in, and says how late it comes', () => {
    const late = served(roast(3, 0.071, { late_min: 25 }), 0)
    expect(late.late_min).toBeLessThanOrEqual(30)
    expect(Math.abs(late.off_k)).toBeLessThanOrEqual(3)
  })

  it('holds it for guests who say that they come later, and counts from the new promise', () => {
    const guests = { said_s: PROMISE_S - 3000, later_s: 1500 }
    const { late_min, off_k } = served(roast(3, 0.071), 0, { guests })
    expect(Math.abs(late_min)).toBeLessThanOrEqual(12)
    expect(Math.abs(off_k)).toBeLessThanOrEqual(3)
  })

  it('is late by no more than it was forgotten, whatever doors were opened', () => {
    const doors_s = [PROMISE_S - 5400, PROMISE_S - 4500, PROMISE_S - 3600]
    const plateau = new KitchenRoast({ seed: 3, thickness_m: 0.071, shape: 2, start_c: 5, family: 'plateau' })
    const told = roast(3, 0.071, { piece: plateau, forgotten_min: 6 })
    const { late_min, browned_s, held, calls } = served(told, 0, { doors_s, swings: true })
    expect(late_min).toBeLessThanOrEqual(16)
    expect(held).toBe(true)
    expect(browned_s / 60).toBeGreaterThan(0.5)
    expect(calls).toBeGreaterThan(4)
  })

  it('carries what is in an oven that fails to another, and serves nothing unsafe for it', () => {
    for (const airProbe of [true, false]) {
      const told = roast(3, 0.071, { serve_c: 63 })
      const { late_min, held, off_k } = served(told, 0, { ovenDies_s: PROMISE_S - 3600, airProbe }, 63)
      expect(Number.isFinite(late_min)).toBe(true)
      expect(late_min).toBeLessThanOrEqual(75)
      expect(held).toBe(true)
      expect(Math.abs(off_k)).toBeLessThanOrEqual(4)
    }
  })

  it('cooks a bird by both its probes, and a shoulder until it falls apart', () => {
    const bird = servedBy(
      { roast: { cut: 'chicken', mass_kg: 1.8 }, target: { serve_c: 74 } },
      { piece: new KitchenBird({ seed: 5, mass_kg: 1.8, start_c: 5 }), serve_c: 74, late_min: 0, dead_at: undefined },
    )
    expect(Math.abs(bird.late_min)).toBeLessThanOrEqual(10)
    expect(bird.held).toBe(true)
    expect(bird.off_k).toBeGreaterThan(-2)
    const shoulder = servedBy(
      { roast: { cut: 'pork-shoulder', mass_kg: 2 }, program: { school: 'low-and-long' }, target: { serve_c: 93 } },
      roast(7, 0.115, { serve_c: 93 }),
    )
    expect(Math.abs(shoulder.late_min)).toBeLessThanOrEqual(20)
    expect(shoulder.tender_min).toBeGreaterThan(50)
  })

  it('brings two roasts and a side to one table, probes that change places and all', () => {
    const meal = mealDocument.parse({
      kitchen: {
        ovens: [
          { id: 'left', name: 'Left oven', kind: 'still' },
          { id: 'right', name: 'Right oven', kind: 'still' },
        ],
        cooks: ['Ann', 'Bo'],
      },
      servings: [{ id: 'supper', title: 'Supper', at: PROMISE }],
      roasts: [
        {
          id: 'pork',
          title: 'Pork',
          serving: 'supper',
          roast: { cut: 'pork-loin', mass_kg: 2 },
          target: { serve_c: 60 },
        },
        {
          id: 'eye',
          title: 'Eye',
          serving: 'supper',
          roast: { cut: 'beef-eye-of-round', mass_kg: 1.5 },
          target: { serve_c: 60 },
        },
      ],
      sides: [{ id: 'roots', title: 'Roots', serving: 'supper', set_c: 180, low_c: 150, high_c: 220, minutes: 45 }],
    })
    const made = makeMeal(meal, undefined, 0)
    const cook = made.ok ? cookFromMeal(meal, made.value, BEGUN_S, 1) : made
    if (!cook.ok) throw new Error(JSON.stringify(cook.problems))
    const told = new Map([
      ['pork', roast(11, 0.071)],
      ['eye', roast(12, 0.073)],
    ])
    const kitchen = { offset_k: () => 0, swapped_s: PROMISE_S - 3600 }
    const both = serve(cook.value, { meal }, told, kitchen, BEGUN_S, PROMISE_S + 7200, 48)
    for (const { late_min, off_k } of both) {
      expect(Math.abs(late_min)).toBeLessThanOrEqual(15)
      expect(Math.abs(off_k)).toBeLessThanOrEqual(4)
    }
  })
})
