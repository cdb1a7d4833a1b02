import { eq } from 'drizzle-orm'
import Papa from 'papaparse'
import { afterAll, describe, expect, it } from 'vitest'
import { addresses } from '@/db/people-schema'
import { houseItemDocument } from '@/domain/house/house-item'
import { mealDocument } from '@/domain/meal/meal-document'
import { reunion } from '@/stand-ins/demo/meals'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
const { db, close } = openTestDatabase()
afterAll(close)

const exported = () => import('@/server/exports')

async function supper() {
  const scope = await freshKitchen(db)
  const row = await scope.meals.add(reunion('2027-01-30T19:30:00Z'))
  return { scope, row, slug: scope.kitchen.slug }
}

describe('the ways out', () => {
  it('the calendar file has an event for every task, each with a name that stays', async () => {
    const { mealCalendar } = await exported()
    const { row, slug } = await supper()
    const first = await mealCalendar(slug, row.id)
    if (!first.ok) throw new Error('no calendar')
    const ids = [...first.value.matchAll(/UID:(.*)/g)].map(([, id]) => id)
    expect(ids.length).toBeGreaterThan(30)
    expect(new Set(ids).size).toBe(ids.length)
    const again = await mealCalendar(slug, row.id)
    expect(again.ok && [...again.value.matchAll(/UID:(.*)/g)].map(([, id]) => id)).toEqual(ids)
    expect(first.value).toMatch(/SUMMARY:.*: pull at \d+ °C/)
  })

  it('a subscription opens by its token alone, and shows only its own kitchen', async () => {
    const { calendarAt, share, unshare } = await import('@/server/access/addresses')
    const { scope, slug } = await supper()
    const other = await freshKitchen(db)
    const asked = { of: 'calendar', name: 'Calendar', days: 30 }
    const [made, another] = [await share(slug, asked), await share(other.kitchen.slug, asked)]
    if (!made.ok || !another.ok) throw new Error('no address')
    const secret = ({ path }: { path: string }) => path.replace('/calendar/', '')
    expect(secret(made.value).length).toBeGreaterThanOrEqual(32)
    const mine = await calendarAt(secret(made.value))
    expect(mine.ok && mine.value).toContain('Keepers’ reunion supper')
    const theirs = await calendarAt(secret(another.value))
    expect(theirs.ok && theirs.value).not.toContain('Keepers’')
    expect((await calendarAt('guessed')).ok).toBe(false)
    const listed = await db.select().from(addresses).where(eq(addresses.kitchenId, scope.kitchen.id))
    expect(listed).toHaveLength(1)
    expect(listed[0]).toMatchObject({ uses: 1 })
    expect(listed[0]?.tokenHash).not.toContain(secret(made.value))
    expect((await unshare(other.kitchen.slug, made.value.id)).ok).toBe(false)
    expect((await unshare(slug, made.value.id)).ok).toBe(true)
    expect((await calendarAt(secret(made.value))).ok).toBe(false)
    await db
      .update(addresses)
      .set({ expiresAt: new Date(0) })
      .where(eq(addresses.kitchenId, other.kitchen.id))
    expect((await calendarAt(secret(another.value))).ok).toBe(false)
  })

  it('tasks and shopping as CSV are read back by a CSV reader', async () => {
    const { mealShoppingCsv, mealTasksCsv } = await exported()
    const { row, slug } = await supper()
    const tasks = await mealTasksCsv(slug, row.id)
    const shopping = await mealShoppingCsv(slug, row.id)
    if (!tasks.ok || !shopping.ok) throw new Error('no CSV')
    const rows = Papa.parse<Record<string, string>>(tasks.value, { header: true }).data
    expect(rows.at(-1)).toMatchObject({ task: 'On the table: Supper', utc: '2027-01-30T19:30:00.000Z' })
    const items = Papa.parse<Record<string, string>>(shopping.value, { header: true }).data
    expect(items.find(({ item }) => item === 'Rib of beef')).toMatchObject({ mass_kg: '6.30', pieces: '1' })
    expect(items.find(({ item }) => item === 'Stock')?.quantity).toMatch(/l$/)
  })

  it('nothing that was typed becomes a formula in a spreadsheet', async () => {
    const { mealShoppingCsv, mealTasksCsv } = await exported()
    const { scope, row, slug } = await supper()
    const [first, ...others] = row.document.sides
    if (!first) throw new Error('no side')
    const document = { ...row.document, sides: [{ ...first, title: '=1+1', quantity: '@SUM(A1)' }, ...others] }
    await scope.meals.save(row.id, 1, document)
    for (const answer of [await mealShoppingCsv(slug, row.id), await mealTasksCsv(slug, row.id)]) {
      if (!answer.ok) throw new Error('no CSV')
      for (const cells of Papa.parse<string[]>(answer.value).data)
        for (const cell of cells) expect(cell).not.toMatch(/^[=+@\t\r]|^-(?![\d.]+$)/)
    }
  })

  it('the document goes out and comes in as the same meal', async () => {
    const { mealJson } = await exported()
    const { row, slug, scope } = await supper()
    const out = await mealJson(slug, row.id)
    if (!out.ok) throw new Error('no document')
    const back = await scope.meals.add(mealDocument.parse(JSON.parse(JSON.stringify(out.value))))
    expect(back.document).toEqual(row.document)
  })
})

describe('meals beside plans', () => {
  it('lie on their own shelf: a meal is no plan and a plan no meal', async () => {
    const { scope, row } = await supper()
    expect(await scope.plans.find(row.id)).toBeUndefined()
    expect((await scope.plans.list({ limit: 50, offset: 0 })).rows).toEqual([])
    expect((await scope.meals.list({ limit: 50, offset: 0 })).rows.map(({ id }) => id)).toEqual([row.id])
  })

  it('a late save of a meal is set aside like any other', async () => {
    const { scope, row } = await supper()
    await scope.meals.save(row.id, 1, { ...row.document, title: 'Theirs' })
    const late = await scope.meals.save(row.id, 1, { ...row.document, title: 'Mine' })
    expect(late).toMatchObject({ outcome: 'stale', current: { version: 2, document: { title: 'Theirs' } } })
    expect((await scope.meals.listSetAside(row.id)).map(({ document }) => document.title)).toEqual(['Mine'])
  })
})

describe('house cuts and programs', () => {
  const cut = houseItemDocument.parse({
    kind: 'cut',
    name: 'Alder Farm rib',
    cut: 'beef-rib-bone-in',
    house: { thickness_mm: 120 },
  })

  it('are kept by kitchen and name: the same name again replaces', async () => {
    const [mine, other] = [await freshKitchen(db), await freshKitchen(db)]
    const first = await mine.putHouseItem(cut, 'Ida')
    const second = await mine.putHouseItem({ ...cut, house: { thickness_mm: 125 } } as typeof cut, 'Ida')
    expect(second.id).toBe(first.id)
    expect(await mine.listHouseItems()).toHaveLength(1)
    expect(await other.listHouseItems()).toEqual([])
    expect(await other.removeHouseItem(first.id, '')).toBe(false)
    expect(await mine.removeHouseItem(first.id, '')).toBe(true)
  })

  it('a cut that is none is refused', () => {
    expect(houseItemDocument.safeParse({ ...cut, cut: 'unicorn' }).success).toBe(false)
    expect(houseItemDocument.safeParse({ kind: 'program', name: 'Empty', stages: [] }).success).toBe(false)
  })
})
