import { sql } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { listKitchens, openKitchen } from '@/db/repositories'
import { type PlanDocument, planDocument } from '@/domain/roast/roast-document'
import { layDemo } from '@/stand-ins/demo/lay-demo'
import { freshKitchen, openTestDatabase } from './kitchen'

const { db, close } = openTestDatabase()
afterAll(close)

const rib: PlanDocument = planDocument.parse({
  title: 'Rib',
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  promise: '2026-12-25T19:00:00Z',
})

describe('plans in PostgreSQL', () => {
  it('a plan comes back as it was written', async () => {
    const kitchen = await freshKitchen(db)
    const row = await kitchen.plans.add(rib)
    const found = await kitchen.plans.find(row.id)
    expect(found?.document).toEqual(rib)
    expect(found?.promiseAt.toISOString()).toBe('2026-12-25T19:00:00.000Z')
    expect(found?.version).toBe(1)
  })

  it('another kitchen can neither see, change nor list a plan', async () => {
    const [mine, other] = [await freshKitchen(db), await freshKitchen(db)]
    const row = await mine.plans.add(rib)
    expect(await other.plans.find(row.id)).toBeUndefined()
    expect((await other.plans.list({ limit: 50, offset: 0 })).rows).toEqual([])
    expect(await other.plans.save(row.id, 1, { ...rib, title: 'Stolen' })).toEqual({ outcome: 'missing' })
    expect((await mine.plans.find(row.id))?.document.title).toBe('Rib')
  })

  it('a save counts the version up and keeps every text', async () => {
    const kitchen = await freshKitchen(db)
    const row = await kitchen.plans.add(rib)
    const saved = await kitchen.plans.save(row.id, 1, { ...rib, title: 'Second' })
    expect(saved).toMatchObject({ outcome: 'saved', row: { version: 2 } })
    const versions = await kitchen.plans.listVersions(row.id)
    expect(versions.map(({ version, document }) => [version, document.title])).toEqual([
      [1, 'Rib'],
      [2, 'Second'],
    ])
  })

  it('a stale save is refused and both texts are kept', async () => {
    const kitchen = await freshKitchen(db)
    const row = await kitchen.plans.add(rib)
    await kitchen.plans.save(row.id, 1, { ...rib, title: 'Theirs' })
    const late = await kitchen.plans.save(row.id, 1, { ...rib, title: 'Mine' })
    expect(late).toMatchObject({ outcome: 'stale', current: { version: 2, document: { title: 'Theirs' } } })
    expect((await kitchen.plans.find(row.id))?.document.title).toBe('Theirs')
    const aside = await kitchen.plans.listSetAside(row.id)
    expect(aside.map(({ document }) => document.title)).toEqual(['Mine'])
    expect(await kitchen.settle(row.id, aside[0]?.id ?? '')).toBe(true)
    expect(await kitchen.settle(row.id, aside[0]?.id ?? '')).toBe(false)
    expect(await kitchen.plans.listSetAside(row.id)).toEqual([])
    expect(await kitchen.plans.listVersions(row.id)).toHaveLength(3)
  })

  it('of many saves from one version exactly one is taken and none is lost', async () => {
    const kitchen = await freshKitchen(db)
    const row = await kitchen.plans.add(rib)
    const results = await Promise.all(
      Array.from({ length: 8 }, (_, i) => kitchen.plans.save(row.id, 1, { ...rib, title: `Cook ${i}` })),
    )
    expect(results.filter(({ outcome }) => outcome === 'saved')).toHaveLength(1)
    expect(await kitchen.plans.listSetAside(row.id)).toHaveLength(7)
  })

  it('the database itself refuses a plan without a kitchen', async () => {
    await expect(
      db.execute(
        sql`insert into plans (id, kitchen_id, promise_at, document) values ('pln_x', 'kit_none', now(), '{}')`,
      ),
    ).rejects.toThrow()
  })

  it('the demo is laid once, however often it is asked for', async () => {
    const world = { timeZone: 'Europe/London', now_s: Date.UTC(2026, 10, 24, 9) / 1000 }
    // In a database that has kitchens it is laid only where it is asked for, and then once.
    await freshKitchen(db)
    expect(await layDemo(db, world)).toBe(false)
    expect(await layDemo(db, world, true)).toBe(true)
    expect(await layDemo(db, world, true)).toBe(true)
    const slugs = (await listKitchens(db)).map(({ slug }) => slug)
    expect(slugs).toEqual(expect.arrayContaining(['cottage', 'tern-point']))
    const plans = await (await openKitchen(db, 'tern-point'))?.plans
      .list({ limit: 50, offset: 0 })
      .then(({ rows }) => rows)
    expect(plans).toHaveLength(3)
    expect(plans?.[0]?.promiseAt.toISOString()).toBe('2026-11-27T17:00:00.000Z')
  })
})
