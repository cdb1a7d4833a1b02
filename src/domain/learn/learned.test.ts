import { describe, expect, it } from 'vitest'
import { NATURES } from '@/core/estimate/learning'
import { mealDocument } from '../meal/meal-document'
import { makePlan } from '../plan/make-plan'
import { planDocument } from '../roast/roast-document'
import { sameDayAgain } from './again'
import {
  asIfUntaught,
  doWithout,
  learnedFrom,
  mealWithLearned,
  mealWithout,
  type TaughtItem,
  unlearned,
  withLearned,
} from './learned'

const NOW_S = Date.parse('2026-11-25T09:00:00Z') / 1000
const plan = planDocument.parse({
  roast: { cut: 'pork-loin', mass_kg: 2, supplier: 'Hollis' },
  program: { school: 'steady', set_c: 160 },
  promise: '2026-11-29T19:00:00Z',
})
/** A loin that took so much longer in an oven so far off, of a piece so much thicker. */
const taught = (days: number, oven_k: number, thickness: number, more: Partial<TaughtItem> = {}): TaughtItem => ({
  served: new Date((NOW_S - days * 86_400) * 1000).toISOString(),
  cut: 'pork-loin',
  supplier: 'Hollis',
  oven: 'the oven',
  taught: {
    longer: -0.011 * oven_k + 1.7 * thickness,
    per_k: -0.011,
    per_thickness: 1.7,
    air_k: oven_k,
    told_k: 0,
    told_thicker: 0,
    measured: false,
  },
  ...more,
})
const cold = [10, 30, 60, 90, 120].map((days) => taught(days, -9, 0.06))
const things = learnedFrom(cold, () => 'Pork loin', NOW_S)

describe('what a kitchen learns', () => {
  it('is told of each oven, cut and supplier, with its cooks', () => {
    expect(things.map(({ key }) => key)).toEqual(['oven:the oven', 'cut:pork-loin', 'supplier:pork-loin:Hollis'])
    const [oven, cut, supplier] = things
    expect(oven?.mean).toBeLessThan(-6)
    expect(oven?.cooks).toBe(5)
    expect(cut?.mean).toBeGreaterThan(0.02)
    // A supplier begins where the cut is, and goes on from there.
    expect(supplier?.mean).toBeGreaterThan(cut?.mean ?? 1)
    expect(learnedFrom([], () => '', NOW_S)).toEqual([])
  })

  it('goes into what nobody said, narrows the plan and says what it moved', () => {
    const { document, used } = withLearned(plan, things)
    expect(used.map(({ of }) => of)).toEqual(['oven', 'supplier'])
    expect(document.oven.offset_k).toBeLessThan(-5)
    expect(document.oven.doubt_k).toBeLessThan(6)
    const before = makePlan(plan, NOW_S)
    const after = makePlan(document, NOW_S)
    if (!before.ok || !after.ok) throw new Error('no plan')
    expect(after.value.plan.putIn).toBeLessThan(before.value.plan.putIn - 300)
    const wide = ({ p10, p90 }: { p10: number; p90: number }) => p90 - p10
    const share = (of: typeof after.value.plan) => wide(of.ensemble.pull_s) / of.ensemble.pull_s.p50
    expect(share(after.value.plan)).toBeLessThan(share(before.value.plan))
  })

  it('learns that an oven is off by another amount at another setting, and plans by the setting', () => {
    const at = (days: number, set_c: number, oven_k: number) => {
      const one = taught(days, oven_k, 0)
      return { ...one, taught: { ...(one.taught as NonNullable<TaughtItem['taught']>), set_c, decay: Math.log(1.5) } }
    }
    const seen = learnedFrom(
      [10, 40, 70, 100, 130, 160, 190, 220].map((days, i) => (i % 2 ? at(days, 120, -2) : at(days, 220, -12))),
      () => 'Pork loin',
      NOW_S,
    )
    const oven = seen.find(({ of }) => of === 'oven')
    expect(oven?.tilt).toBeLessThan(-5)
    expect(seen.find(({ of }) => of === 'decay')?.mean).toBeGreaterThan(0.3)
    const offset = (set_c: number) =>
      withLearned({ ...plan, program: { school: 'steady', set_c } }, seen).document.oven.offset_k
    expect(offset(120)).toBeGreaterThan(offset(160))
    expect(offset(160)).toBeGreaterThan(offset(220))
    expect(offset(220)).toBeLessThan(-8)
    expect(withLearned(plan, seen).document.oven.decay_min).toBeGreaterThan(70)
    // Nothing seen of its settings: one offset for all of them, as before.
    expect(learnedFrom(cold, () => '', NOW_S).find(({ of }) => of === 'oven')?.tilt).toBe(0)
  })

  it('is not unlearned by a plan that knew it already and was right, and learns from what was measured', () => {
    const right = { longer: 0, per_k: -0.011, per_thickness: 1.7, air_k: null, measured: false }
    const after = learnedFrom(
      [
        ...cold,
        ...[8, 6, 4, 2].map((days) => taught(days, 0, 0, { taught: { ...right, told_k: -9, told_thicker: 0.06 } })),
      ],
      () => 'Pork loin',
      NOW_S,
    )
    const mean = (of: typeof things, key: string) => of.find((each) => each.key === key)?.mean ?? Number.NaN
    expect(mean(after, 'oven:the oven')).toBeLessThan(mean(things, 'oven:the oven') + 0.5)
    expect(mean(after, 'supplier:pork-loin:Hollis')).toBeGreaterThan(0.03)
    const measured = learnedFrom(
      [1, 2, 3, 4].map((days) =>
        taught(days, 0, 0, { taught: { ...right, told_k: 0, told_thicker: 0.15, measured: true } }),
      ),
      () => 'Pork loin',
      NOW_S,
    )
    expect(mean(measured, 'supplier:pork-loin:Hollis')).toBeGreaterThan(0.05)
    expect(Math.abs(mean(measured, 'oven:the oven'))).toBeLessThan(1)
  })

  it('leaves what was said by hand, and what was another thing', () => {
    const said = { ...plan, oven: { ...plan.oven, offset_k: 4 }, roast: { ...plan.roast, thickness_mm: 78 } }
    expect(withLearned(said, things).used).toEqual([])
    expect(withLearned(plan, things, 'the other oven').used.map(({ of }) => of)).toEqual(['supplier'])
  })

  it('can be done without, whole or one by one, and is the plan it was', () => {
    const { document } = withLearned(plan, things)
    expect(asIfUntaught(document)).toEqual(plan)
    expect(doWithout(doWithout(document, ['oven']), ['supplier'])).toEqual(plan)
    expect(doWithout(document, ['cut'])).toBe(document)
    const kept = unlearned(document, ['oven'])
    expect(kept.oven.doubt_k).toBeUndefined()
    expect(kept.learned.map(({ of }) => of)).toEqual(['supplier'])
    expect(kept.roast.thickness_doubt).toBe(document.roast.thickness_doubt)
    expect(unlearned(plan, ['oven'])).toBe(plan)
  })

  it('says that an oven became another', () => {
    const mended = [taught(6, 5, 0.06), taught(2, 6, 0.06), ...cold]
    const [oven] = learnedFrom(mended, () => 'Pork loin', NOW_S)
    expect(oven?.changed_s).toBeDefined()
    expect(oven?.mean).toBeGreaterThan(0)
    expect(oven?.spread).toBeLessThan(NATURES.oven.prior)
  })
})

describe('the same day again', () => {
  it('is the next such weekday at the same time of the clock, over a change of clocks too', () => {
    const sunday = Date.parse('2026-03-22T13:00:00Z') / 1000
    const again = sameDayAgain(sunday, Date.parse('2026-03-25T10:00:00Z') / 1000, 'Europe/London')
    // Summer time has begun: one o'clock is an hour sooner by the world's clock.
    expect(new Date(again * 1000).toISOString()).toBe('2026-03-29T12:00:00.000Z')
    // On the day itself it is a week ahead.
    expect(sameDayAgain(sunday, sunday - 3600, 'UTC')).toBe(sunday + 7 * 86_400)
  })

  it('goes into a meal’s ovens and pieces, and comes out again without touching what a hand said', () => {
    const meal = mealDocument.parse({
      kitchen: {
        ovens: [
          { id: 'a', name: 'The oven' },
          { id: 'b', name: 'Left oven', offset_k: 4 },
        ],
      },
      servings: [{ id: 's', title: 'Dinner', at: '2026-11-29T19:00:00Z' }],
      roasts: [
        { id: 'loin', title: 'Loin', serving: 's', roast: { cut: 'pork-loin', mass_kg: 2, supplier: 'Hollis' } },
        { id: 'other', title: 'Other', serving: 's', roast: { cut: 'pork-loin', mass_kg: 2, thickness_mm: 80 } },
        { id: 'rib', title: 'Rib', serving: 's', roast: { cut: 'beef-rib-bone-in', mass_kg: 3 } },
      ],
    })
    const knows = mealWithLearned(meal, things)
    expect(knows.learned.map(({ of }) => of)).toEqual(['oven', 'supplier'])
    expect(knows.kitchen.ovens[0]?.offset_k).toBeLessThan(-5)
    expect(knows.kitchen.ovens[1]?.offset_k).toBe(4)
    expect(knows.roasts[0]?.roast.thickness_mm).toBeGreaterThan(60)
    expect(knows.roasts[1]?.roast.thickness_mm).toBe(80)
    expect(knows.roasts[2]).toEqual(meal.roasts[2])
    expect(mealDocument.parse(knows)).toEqual(knows)
    expect(knows.learned.reduce(mealWithout, knows)).toEqual(meal)
    expect(mealWithLearned(meal, [])).toBe(meal)
  })

  it('how an oven heats is learned of its air, goes into plans, and comes out again', () => {
    const slow = [10, 30, 60].map((days) => {
      const each = taught(days, -9, 0.06)
      return { ...each, taught: each.taught && { ...each.taught, preheat: -0.5, swing: 0.6, door: 0.01 } }
    })
    const known = learnedFrom(slow, () => 'Pork loin', NOW_S)
    expect(known.map(({ of }) => of)).toEqual(['oven', 'preheat', 'door', 'swing', 'cut', 'supplier'])
    const { document, used } = withLearned(plan, known)
    // A door like any other is left as it is.
    expect(used.map(({ of }) => of)).toEqual(['oven', 'preheat', 'swing', 'supplier'])
    expect(document.oven.preheat_k_per_min).toBeLessThan(9)
    expect(document.oven.swing_k).toBeGreaterThan(6)
    expect(planDocument.parse(document)).toEqual(document)
    const before = makePlan(plan, NOW_S)
    const after = makePlan(doWithout(document, ['oven', 'supplier']), NOW_S)
    const lit = (made: typeof before) =>
      made.ok &&
      made.value.plan.putIn -
        Math.min(...made.value.plan.tasks.filter(({ kind }) => kind === 'heat_up').map(({ at }) => at))
    expect(lit(after)).toBeGreaterThan(Number(lit(before)))
    expect(doWithout(document, ['oven', 'preheat', 'swing', 'supplier'])).toEqual(plan)
  })
})
