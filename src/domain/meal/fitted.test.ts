import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { CUTS } from '@/core/reference/cuts'
import { readLine } from '../line/reading'
import { SIDES } from '../line/sides'
import { fitted } from './fitted'
import { documentFromLine } from './from-line'
import { makeMeal } from './make-meal'
import { type MealDocument, mealDocument } from './meal-document'
import { PLAIN_KITCHEN } from './meal-problem'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const SEED = 101
const MEALS = 24

function mealOf(line: string): MealDocument {
  const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  const stands = read.ok ? documentFromLine(read.value, NOW, PLAIN_KITCHEN) : undefined
  if (stands?.kind !== 'meal') throw new Error(`${line}: no meal`)
  return stands.document
}
const planned = (meal: MealDocument) => {
  const made = makeMeal(meal, undefined, 0)
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  return made.value
}
const heatsOf = ({ roasts }: MealDocument) => roasts.map(({ program }) => ('school' in program ? program.set_c : null))

describe('a dinner in one oven with one cook', () => {
  // Dinners as they are cooked in any home (common practice).
  it.each([
    'chicken 2 kg, roast potatoes, sunday 1pm',
    '4 chickens 1.8 kg, roast potatoes, sunday 1pm',
    'beef fillet 1.5 kg and roast potatoes, saturday 8pm',
    'pork loin 2 kg, roast potatoes, cauliflower cheese, sunday 1pm',
    'turkey 6 kg, roast potatoes, roast parsnips, yorkshire puddings, thursday 4pm',
    'crown of turkey 3 kg, pigs in blankets, stuffing, roast potatoes, parsnips, sprouts, 25 dec 2pm for 8',
    'turkey 6 kg, roast potatoes, roast parsnips, yorkshire puddings, pigs in blankets, sprouts, thursday 4pm',
    'turkey 14 lb, stuffing in a dish, green bean casserole, mac and cheese, thursday 3pm for 12',
    'rib of beef 3 kg, yorkshire puddings and roast potatoes, sunday 1pm',
    'leg of lamb 2.2 kg, potato gratin, roast carrots, sunday 1pm',
    'two legs of lamb 2.5 kg and two chickens 2 kg, saturday 7pm',
    'two turkeys 6 kg and a ham 4 kg, roast potatoes, gravy, saturday 3pm',
  ])('has room for all of it: %s', (line) => {
    const plan = planned(fitted(mealOf(line)))
    expect(plan.dropped).toEqual([])
    expect(plan.faults).toEqual([])
  })

  it('what was said to be its heat stays so, and what has room is left alone', () => {
    const said = mealOf('chicken 2 kg at 165, roast potatoes, sunday 1pm')
    expect(fitted(said)).toEqual(said)
    const fits = mealOf('leg of lamb 2.2 kg, potato gratin, sunday 1pm')
    expect(fitted(fits)).toBe(fits)
  })

  it('another heat than the usual is in its notes, once', () => {
    const meal = fitted(mealOf('chicken 2 kg, roast potatoes, sunday 1pm'))
    expect(heatsOf(meal)).toEqual([180])
    expect(meal.roasts.map(({ notes }) => notes)).toEqual([expect.stringMatching(/beside it/)])
    expect(fitted(meal)).toBe(meal)
  })

  it('a roast is never left out for its sides', () => {
    const plan = planned(mealOf('rib of beef 3 kg reverse sear, yorkshire puddings, roast potatoes, sunday 1pm'))
    expect(plan.items.map(({ kind }) => kind)).toContain('roast')
  })

  it(`of ${MEALS} meals of any roasts and sides none has less room than before, and only open heats change`, () => {
    const random = seededRandom(SEED)
    const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
    const serving = { id: 'table', title: 'Table', at: new Date((NOW + 30 * 3600) * 1000).toISOString() }
    for (let i = 0; i < MEALS; i++) {
      const roasts = Array.from({ length: 1 + Math.floor(random() * 2) }, (_, k) => {
        const cut = one(CUTS)
        const share = random()
        return {
          id: `r${k}`,
          title: cut.name,
          serving: 'table',
          roast: { cut: cut.id, mass_kg: cut.mass_kg.least + share * (cut.mass_kg.most - cut.mass_kg.least) * 0.5 },
          program: random() < 0.3 ? { school: 'steady', set_c: 150 } : { school: 'steady' },
        }
      })
      const sides = Array.from({ length: Math.floor(random() * 4) }, (_, k) => ({
        ...one(SIDES).side,
        id: `s${k}`,
        serving: 'table',
      }))
      const parsed = mealDocument.safeParse({
        title: 'Any',
        guests: 8,
        kitchen: PLAIN_KITCHEN,
        servings: [serving],
        roasts,
        sides,
      })
      if (!parsed.success) throw new Error(JSON.stringify(parsed.error.issues))
      const made = makeMeal(parsed.data, undefined, 0)
      if (!made.ok) continue
      const meal = fitted(parsed.data)
      expect(planned(meal).dropped.length, JSON.stringify(parsed.data)).toBeLessThanOrEqual(made.value.dropped.length)
      heatsOf(parsed.data).forEach((set_c, k) => {
        if (set_c !== undefined) expect(heatsOf(meal)[k]).toBe(set_c)
      })
    }
  }, 120_000)
})

describe('half a place', () => {
  it('is enough for ten who eat, and not for eleven', () => {
    const of = (guests: number) => {
      const meal = mealOf('turkey 6 kg, roast carrots, stuffing in a dish, thursday 4pm')
      return planned({ ...meal, guests })
        .items.filter(({ kind }) => kind === 'side')
        .flatMap(({ stays }) => stays.map(({ places }) => places))
    }
    expect(of(10)).toEqual([0.5, 0.5])
    expect(of(11)).toEqual([1, 1])
  })
})

describe('the knife', () => {
  const carvings = (line: string) => {
    const meal = mealOf(line)
    return (cooks: readonly string[]) =>
      planned({ ...meal, kitchen: { ...meal.kitchen, cooks: [...cooks] } }).tasks.filter(({ kind }) => kind === 'carve')
  }

  it('begins earlier where one cook has more to carve than keeps, says so, and does not with a second', () => {
    const of = carvings('two turkeys 6 kg and a ham 4 kg, saturday 3pm')
    const aheads = (cooks: readonly string[]) => of(cooks).map(({ because }) => because.numbers.ahead_min ?? 0)
    const alone = aheads(['Ann'])
    expect(alone).toHaveLength(3)
    expect(Math.max(...alone)).toBeGreaterThan(20)
    expect(Math.max(...alone)).toBeLessThanOrEqual(60)
    expect(aheads(['Ann', 'Ben'])).toEqual([0, 0, 0])
  })

  it('of two is as late as it keeps', () => {
    const [one, other] = carvings('two legs of lamb 2.5 kg, saturday 7pm')(['Ann'])
    expect([one?.because.numbers.ahead_min, other?.because.numbers.ahead_min]).toEqual([undefined, undefined])
  })
})
