import { eq } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { cookShelf } from '@/db/cooks'
import type { KitchenScope } from '@/db/repositories'
import { kitchens } from '@/db/schema'
import { equipmentPart } from '@/domain/meal/meal-document'
import { planDocument } from '@/domain/roast/roast-document'
import { reunion } from '@/stand-ins/demo/meals'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
process.env.PHEASANT_NOW = '2027-01-28T09:00:00Z'
const { db, close } = openTestDatabase()
afterAll(close)

const plansOf = () => import('@/server/plans')
const mealsOf = () => import('@/server/meals')
const cooksOf = () => import('@/server/cooks')
const houseOf = () => import('@/server/house')

const must = <Value>(outcome: { ok: true; value: Value } | { ok: false; problems: unknown }): Value => {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems))
  return outcome.value
}
const ALL = { limit: 50, offset: 0 }
const code = (outcome: { ok: boolean; problems?: readonly { code: string }[] }) => outcome.problems?.[0]?.code
const document = planDocument.parse({
  title: 'Saturday rib',
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  promise: '2027-01-30T19:00:00Z',
})
/** A kitchen up a mountain. */
async function mountain(): Promise<KitchenScope> {
  const scope = await freshKitchen(db)
  const equipment = equipmentPart.parse({ ovens: [{ id: 'o', name: 'Oven' }], altitude_m: 1900 })
  await db.update(kitchens).set({ equipment }).where(eq(kitchens.id, scope.kitchen.id))
  return scope
}

describe('plans', () => {
  it('a line becomes a plan that is found again with its times, and is no other kitchen’s', async () => {
    const { addPlanFromLine, planInKitchen, plansOfKitchen } = await plansOf()
    const mine = await freshKitchen(db)
    const other = await freshKitchen(db)
    const row = must(await addPlanFromLine(mine.kitchen.slug, 'lamb leg 2.8 kg bone-in, pink, fan 150, eat sat 19:15'))
    const found = must(await planInKitchen(mine.kitchen.slug, row.id))
    expect(found.plan.promise).toBe(Date.parse('2027-01-30T19:15:00Z') / 1000)
    expect(found.plan.putIn).toBeLessThan(found.plan.promise)
    expect(code(await planInKitchen(other.kitchen.slug, row.id))).toBe('not_found')
    expect(must(await plansOfKitchen(other.kitchen.slug, ALL)).plans).toEqual([])
    expect(code(await planInKitchen('no-such-kitchen', row.id))).toBe('not_found')
  })

  it('goes by the clock of the kitchen it is made in: no step of a Sunday lunch’s days before is at night', async () => {
    const { addPlanFromLine, addPlanFromDocument, planInKitchen } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    const row = must(await addPlanFromLine(kitchen.slug, 'pork shoulder 4 kg pulled, eat sunday 13:00'))
    expect(row.document.time_zone).toBe('Europe/London')
    const { plan } = must(await planInKitchen(kitchen.slug, row.id))
    const before = plan.tasks.filter(({ kind }) => ['buy', 'salt', 'set_out', 'shape', 'dress'].includes(kind))
    expect(before.length).toBeGreaterThan(2)
    for (const { kind, at } of before) expect([kind, new Date(at * 1000).getUTCHours() % 23 >= 6]).toEqual([kind, true])
    const elsewhere = must(await addPlanFromDocument(kitchen.slug, { ...document, time_zone: 'Asia/Tokyo' }))
    expect(elsewhere.document.time_zone).toBe('Asia/Tokyo')
    expect(code(await addPlanFromDocument(kitchen.slug, { ...document, time_zone: 'Nowhere/Else' }))).toBe('malformed')
  })

  it('a roast that is said to go in at a minute goes in at that minute, however it was added', async () => {
    const { addFromLine } = await import('@/server/lines')
    const { addPlanFromLine, planInKitchen } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    const line = 'pork loin 1.8 kg, 160, goes in tomorrow 15:00'
    const one = must(await addFromLine(kitchen.slug, line))
    const other = must(await addPlanFromLine(kitchen.slug, line))
    for (const { id } of [one, other]) {
      const { plan } = must(await planInKitchen(kitchen.slug, id))
      const minute = Math.round(plan.putIn / 60) * 60_000
      expect(new Date(minute).toISOString()).toMatch(/T15:00:00/)
      expect(plan.promise % 60).toBe(0)
    }
  })

  it('told when it goes in and when they eat, its oven is as hot as that takes; where none is, the plan says so', async () => {
    const { addPlanFromLine, planInKitchen } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    const line = 'pork shoulder 3 kg pulled, in at 8am saturday, eat saturday 18:00'
    const row = must(await addPlanFromLine(kitchen.slug, line))
    expect(row.document.program).toMatchObject({ school: 'steady' })
    const set_c = 'stages' in row.document.program ? undefined : row.document.program.set_c
    expect(set_c).toBeGreaterThan(100)
    expect(set_c).toBeLessThan(150)
    expect(row.document.notes).toBe('')
    const { plan } = must(await planInKitchen(kitchen.slug, row.id))
    expect(Math.abs(plan.putIn - Date.parse('2027-01-30T08:00:00Z') / 1000)).toBeLessThan(25 * 60)
    expect(plan.promise).toBe(Date.parse('2027-01-30T18:00:00Z') / 1000)
    const never = must(await addPlanFromLine(kitchen.slug, 'turkey 6 kg, in at 4am saturday, eat saturday 14:00'))
    expect(never.document.notes).toContain('no oven makes it go in when it was said to')
    expect(never.document.program).not.toHaveProperty('set_c', expect.any(Number))
  })

  it('a line about a table becomes a meal in this kitchen, one about a roast a plan', async () => {
    const { addFromLine } = await import('@/server/lines')
    const { mealInKitchen } = await import('@/server/meals')
    const { planInKitchen } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    const line = 'sunday lunch for 6: leg of lamb 2.5 kg pink, roast potatoes and parsnips'
    const meal = must(await addFromLine(kitchen.slug, line))
    expect(meal.kind).toBe('meal')
    const { row, plan: scheduled } = must(await mealInKitchen(kitchen.slug, meal.id))
    expect(row.document.sides.map(({ title }) => title)).toEqual(['Roast potatoes', 'Roast parsnips'])
    expect(row.document.roasts[0]).toMatchObject({ heads: 6, target: { doneness: 'pink' } })
    expect(scheduled?.dropped).toEqual([])
    const roast = must(
      await addFromLine(kitchen.slug, 'turkey 6 kg brined overnight, frozen, one pregnant, eat sat 18:00'),
    )
    expect(roast.kind).toBe('plan')
    const made = must(await planInKitchen(kitchen.slug, roast.id))
    expect(made.row.document).toMatchObject({ preparation: 'wet_brine', frozen: true, vulnerable: true })
    expect(made.plan.tasks.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['thaw', 'brine', 'unbrine']))
    expect(code(await addFromLine(kitchen.slug, 'nothing at all'))).toBe('missing_cut')
    const { addMealFromWords } = await import('@/server/meals')
    const table = must(await addMealFromWords(kitchen.slug, '10 people on Sunday at 18:00, one pregnant, roast beef'))
    expect(table.document).toMatchObject({ guests: 10, vulnerable: true })
    expect(table.document.roasts).toHaveLength(1)
  })

  it('what cannot be planned is refused whole, and nothing is kept of it', async () => {
    const { addPlanFromDocument, addPlanFromLine, plansOfKitchen } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    expect(code(await addPlanFromLine(kitchen.slug, 'purple monkey 2.7 kg'))).toBe('missing_cut')
    expect(code(await addPlanFromLine(kitchen.slug, 'beef rib 3 kg with roast potatoes'))).toBe('line_of_a_meal')
    expect(code(await addPlanFromLine(kitchen.slug, 'beef rib 300 kg, eat sat 19:00'))).toBe('out_of_range')
    expect(code(await addPlanFromDocument(kitchen.slug, { ...document, promise: '2020-01-01T12:00:00Z' }))).toBe(
      'promise_passed',
    )
    expect(code(await addPlanFromDocument(kitchen.slug, { ...document, promise: '2099-01-01T12:00:00Z' }))).toBe(
      'promise_too_far',
    )
    expect(code(await addPlanFromDocument(kitchen.slug, { ...document, roast: { cut: 'unicorn', mass_kg: 2 } }))).toBe(
      'unknown_cut',
    )
    for (const nothing of [null, 7, 'a plan', [], {}])
      expect((await addPlanFromDocument(kitchen.slug, nothing)).ok).toBe(false)
    expect(must(await plansOfKitchen(kitchen.slug, ALL)).plans).toEqual([])
  })

  it('a kitchen’s height goes into its plans, by line and by document, unless that says its own', async () => {
    const { addPlanFromDocument, addPlanFromLine } = await plansOf()
    const { kitchen } = await mountain()
    const byLine = must(await addPlanFromLine(kitchen.slug, 'pork loin 1.8 kg, rosy, oven 160, eat sat 18:00'))
    expect(byLine.document.altitude_m).toBe(1900)
    const silent = { title: document.title, roast: document.roast, promise: document.promise }
    expect(must(await addPlanFromDocument(kitchen.slug, silent)).document.altitude_m).toBe(1900)
    expect(must(await addPlanFromDocument(kitchen.slug, { ...silent, altitude_m: 300 })).document.altitude_m).toBe(300)
  })

  it('a late save is set aside, shown, and settled once', async () => {
    const { addPlanFromDocument, planInKitchen, savePlan, settleSetAside } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    const row = must(await addPlanFromDocument(kitchen.slug, document))
    expect(must(await savePlan(kitchen.slug, row.id, 1, { ...document, title: 'Ours' }))).toMatchObject({
      outcome: 'saved',
      version: 2,
    })
    const late = must(await savePlan(kitchen.slug, row.id, 1, { ...document, title: 'Late' }))
    if (late.outcome !== 'stale') throw new Error('not stale')
    const shown = must(await planInKitchen(kitchen.slug, row.id)).setAside
    expect(shown.map(({ document: kept }) => kept.title)).toEqual(['Late'])
    expect(must(await settleSetAside(kitchen.slug, row.id, late.setAside.id))).toEqual({ settled: true })
    expect(must(await settleSetAside(kitchen.slug, row.id, late.setAside.id))).toEqual({ settled: false })
    expect(must(await planInKitchen(kitchen.slug, row.id)).setAside).toEqual([])
    expect(code(await savePlan(kitchen.slug, 'pln_none', 1, document))).toBe('not_found')
    expect(
      code(await savePlan(kitchen.slug, row.id, 2, { ...document, roast: { ...document.roast, mass_kg: -5 } })),
    ).toBe('out_of_range')
  })
})

describe('meals', () => {
  it('words become a meal that can be planned; words that are none say what is missing', async () => {
    const { addMealFromWords, mealInKitchen } = await mealsOf()
    const { kitchen } = await freshKitchen(db)
    const row = must(await addMealFromWords(kitchen.slug, '12 people on saturday at 19:30'))
    const found = must(await mealInKitchen(kitchen.slug, row.id))
    expect(found.problems).toEqual([])
    expect(found.plan?.items.length).toBeGreaterThan(1)
    expect(code(await addMealFromWords(kitchen.slug, 'saturday 19:30'))).toBe('missing_guests')
    expect(code(await addMealFromWords(kitchen.slug, '12 people'))).toBe('missing_time')
    expect(code(await addMealFromWords(kitchen.slug, '10 people on Sunday at 18:00, purple'))).toBe(
      'only_guests_and_time',
    )
    const careful = must(await addMealFromWords(kitchen.slug, '10 people on Sunday at 6 p.m., one pregnant'))
    expect(must(await mealInKitchen(kitchen.slug, careful.id)).row.document.vulnerable).toBe(true)
    expect(code(await addMealFromWords(kitchen.slug, '12 people 2020-01-01 12:00'))).toBe('promise_passed')
    expect(code(await addMealFromWords(kitchen.slug, '999999 people saturday 19:30'))).toBe('out_of_range')
  })

  it('looked at before it is kept, a document keeps nothing; kept, it comes back as it was', async () => {
    const { addMealFromDocument, mealsOfKitchen, previewMeal } = await mealsOf()
    const { kitchen } = await freshKitchen(db)
    const meal = reunion('2027-01-30T19:30:00Z')
    expect(must(await previewMeal(kitchen.slug, meal)).plan.items.length).toBeGreaterThan(3)
    expect(must(await mealsOfKitchen(kitchen.slug, ALL)).meals).toEqual([])
    const row = must(await addMealFromDocument(kitchen.slug, meal))
    // But for whose clock it goes by, which it did not say.
    expect(row.document).toEqual({ ...meal, time_zone: 'Europe/London' })
  })

  it('a late save of a meal waits on its desk', async () => {
    const { addMealFromDocument, mealInKitchen, saveMeal } = await mealsOf()
    const { kitchen } = await freshKitchen(db)
    const meal = reunion('2027-01-30T19:30:00Z')
    const row = must(await addMealFromDocument(kitchen.slug, meal))
    must(await saveMeal(kitchen.slug, row.id, 1, { ...meal, title: 'Ours' }))
    expect(must(await saveMeal(kitchen.slug, row.id, 1, { ...meal, title: 'Late' })).outcome).toBe('stale')
    expect(must(await mealInKitchen(kitchen.slug, row.id)).setAside.map(({ document: kept }) => kept.title)).toEqual([
      'Late',
    ])
  })

  it('a roast that this kitchen’s oven cannot do is named with its reason', async () => {
    const { previewMeal } = await mealsOf()
    const { kitchen } = await freshKitchen(db)
    const meal = reunion('2027-01-30T19:30:00Z')
    const [first] = meal.roasts
    const cold = {
      ...meal,
      roasts: [
        {
          ...first,
          program: {
            stages: [
              { environment: { kind: 'oven', set_c: 60 }, until: { kind: 'pull' } },
              { role: 'rest', environment: { kind: 'counter' }, until: { kind: 'time', minutes: 20 } },
            ],
          },
          target: { serve_c: 66 },
        },
      ],
      sides: [],
      placed: null,
    }
    const refused = await previewMeal(kitchen.slug, cold)
    expect(refused).toMatchObject({
      ok: false,
      problems: [{ code: 'cannot_be', path: ['roasts', 0, 'program'], because: { code: 'never_reached' } }],
    })
  })
})

describe('cooks', () => {
  it('begin from a plan with its own rest, height and guests, and from a meal with every roast', async () => {
    const { beginCook } = await cooksOf()
    const { addPlanFromDocument } = await plansOf()
    const { addMealFromDocument } = await mealsOf()
    const { kitchen } = await mountain()
    const plan = must(await addPlanFromDocument(kitchen.slug, { ...document, vulnerable: true, altitude_m: 1900 }))
    const [item] = must(await beginCook(kitchen.slug, { plan: plan.id })).document.items
    expect(item).toMatchObject({ altitude_m: 1900, vulnerable: true })
    expect(item?.rest_min).toBeGreaterThan(15)
    const pull_s = Date.parse(item?.pull ?? '') / 1000
    const carve_s = Date.parse(item?.carve ?? '') / 1000
    expect((carve_s - pull_s) / 60).toBeCloseTo(item?.rest_min ?? 0, 0)
    const meal = must(await addMealFromDocument(kitchen.slug, reunion('2027-01-30T19:30:00Z')))
    const cook = must(await beginCook(kitchen.slug, { meal: meal.id, speed: 10 }))
    expect(cook.document.items).toHaveLength(meal.document.roasts.length)
    expect(code(await beginCook(kitchen.slug, { plan: 'pln_none' }))).toBe('not_found')
    expect(code(await beginCook(kitchen.slug, {}))).toBe('malformed')
    expect(code(await beginCook(kitchen.slug, { plan: plan.id, speed: 1e6 }))).toBe('malformed')
  })

  it('entries that do not say what they must, or name no roast of this cook, are refused with their place', async () => {
    const { addEntries, beginCook, cookInKitchen } = await cooksOf()
    const { addPlanFromDocument } = await plansOf()
    const { kitchen } = await freshKitchen(db)
    const plan = must(await addPlanFromDocument(kitchen.slug, document))
    const cook = must(await beginCook(kitchen.slug, { plan: plan.id }))
    const item = cook.document.items[0]?.id
    const entry = (more: object) => ({
      id: `use-case-${JSON.stringify(more).length}`,
      at: '2027-01-30T12:00:00Z',
      item,
      ...more,
    })
    const add = (...entries: unknown[]) => addEntries(kitchen.slug, cook.id, { entries })
    const nonsense = [
      entry({ kind: 'reading' }),
      entry({ kind: 'levitated' }),
      entry({ kind: 'in', item: 'another' }),
      { id: 7 },
      null,
    ]
    const good = entry({ kind: 'in' })
    const { kept, refused } = must(await add(...nonsense, good))
    // One that cannot be takes no other with it.
    expect(kept.map(({ entry: { id } }) => id)).toEqual([good.id])
    expect(refused.map(({ problems: [first] }) => first && 'path' in first && first.path)).toEqual([
      ['value_c'],
      ['kind'],
      ['item'],
      ['id'],
      [],
    ])
    expect(refused.map(({ id }) => id)).toEqual(
      [nonsense[0], nonsense[1], nonsense[2]]
        .map((each) => (each as { id: string }).id)
        .concat([null as never, null as never]),
    )
    expect((await add()).ok).toBe(false)
    const state = must(await cookInKitchen(kitchen.slug, cook.id, 0))
    expect(state.entries.map(({ entry: kept }) => kept.kind)).toEqual(['in'])
    expect(must(await cookInKitchen(kitchen.slug, cook.id, state.entries[0]?.seq ?? 0)).entries).toEqual([])
  })

  it('a device sends readings in °F, each kept once; a stranger’s token opens nothing', async () => {
    const { addDevice, takeReadings } = await cooksOf()
    const { kitchen } = await freshKitchen(db)
    const { token, device } = must(await addDevice(kitchen.slug, { name: 'Probe' }))
    const batch = { unit: 'f', readings: [{ channel: 0, seq: 1, at: '2027-01-30T12:00:00Z', value: 131 }] }
    expect(must(await takeReadings(token, batch))).toEqual({ kept: 1, known: 0, refused: [] })
    expect(must(await takeReadings(token, batch))).toEqual({ kept: 0, known: 1, refused: [] })
    const [reading] = await cookShelf(db, kitchen).readings(
      new Date('2027-01-30T11:00:00Z'),
      new Date('2027-01-30T13:00:00Z'),
      20,
    )
    expect(reading).toMatchObject({ device: device.id, channel: 0 })
    expect(reading?.value_c).toBeCloseTo(55, 1)
    // Impossible ones are refused one by one; a late retry with another clock is the same reading.
    const [good] = batch.readings
    const mixed = {
      unit: 'f',
      sent_at: '2027-01-28T08:00:00Z',
      readings: [
        { ...good, seq: 2, value: 2000 },
        good,
        { ...good, seq: 3, at: '0001-01-01T00:00:00Z' },
        { ...good, seq: 4, value: null },
        { ...good, value: 140 },
        { ...good, seq: 5 },
      ],
    }
    const taken = must(await takeReadings(token, mixed))
    expect(taken).toMatchObject({
      kept: 1,
      refused: [{ place: 0 }, { place: 2 }, { place: 3 }, { place: 1 }, { place: 4 }],
    })
    expect(code(await takeReadings('guessed', batch))).toBe('not_found')
    expect((await addDevice(kitchen.slug, { name: '  ' })).ok).toBe(false)
    const { revokeDevice } = await cooksOf()
    const other = await freshKitchen(db)
    expect(code(await revokeDevice(other.kitchen.slug, device.id))).toBe('not_found')
    expect(must(await revokeDevice(kitchen.slug, device.id))).toEqual({ removed: true })
    await new Promise((done) => setTimeout(done, 2100))
    expect(code(await takeReadings(token, batch))).toBe('not_found')
    expect(await cookShelf(db, kitchen).devices()).toHaveLength(1)
  })
})

describe('a kitchen’s own cuts and ways', () => {
  it('are added, replaced by name, listed for their kitchen alone and taken away', async () => {
    const { houseItemsOf, putHouseItem, removeHouseItem } = await houseOf()
    const mine = await freshKitchen(db)
    const other = await freshKitchen(db)
    const cut = { kind: 'cut', name: 'Alder Farm rib', cut: 'beef-rib-bone-in', house: { thickness_mm: 120 } }
    const first = must(await putHouseItem(mine.kitchen.slug, cut))
    const second = must(await putHouseItem(mine.kitchen.slug, { ...cut, house: { thickness_mm: 130 } }))
    expect(second.id).toBe(first.id)
    expect(must(await houseItemsOf(other.kitchen.slug))).toEqual([])
    expect(code(await removeHouseItem(other.kitchen.slug, first.id, ''))).toBe('not_found')
    expect(must(await removeHouseItem(mine.kitchen.slug, first.id, 'Ida'))).toEqual({ removed: true })
    expect(must(await houseItemsOf(mine.kitchen.slug))).toEqual([])
    expect((await putHouseItem(mine.kitchen.slug, { ...cut, cut: 'unicorn' })).ok).toBe(false)
  })
})
