import { eq } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { z } from 'zod'
import { cookShelf } from '@/db/cooks'
import { cooks, entries, kitchens, plans } from '@/db/schema'
import { within } from '@/db/within'
import { cookFromPlan } from '@/domain/cook/begin'
import { DOCUMENT_NAMES } from '@/domain/documents'
import { planDocument } from '@/domain/roast/roast-document'
import { readStored, STORED } from '@/domain/stored/stored'
import { reunion } from '@/stand-ins/demo/meals'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
const { db, close } = openTestDatabase()
afterAll(close)

const DOCUMENT = planDocument.parse({
  title: 'Wire',
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  promise: '2027-01-30T19:00:00Z',
})

const api = 'http://127.0.0.1/api'
const at = <Params extends object>(params: Params) => ({ params: Promise.resolve(params) })
const lists = async (kitchen: string) => {
  const get = async (module: Promise<{ GET: (request: Request, context: never) => Promise<Response> }>) =>
    (await module).GET(new Request(api), at({ kitchen }) as never)
  return {
    plans: await get(import('@/app/api/k/[kitchen]/plans/route')),
    meals: await get(import('@/app/api/k/[kitchen]/meals/route')),
    cooks: await get(import('@/app/api/k/[kitchen]/cooks/route')),
    house: await get(import('@/app/api/k/[kitchen]/house/route')),
  }
}

/** Every key anywhere in an answer. */
const keysOf = (value: unknown): string[] =>
  Array.isArray(value)
    ? value.flatMap(keysOf)
    : typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, each]) => [key, ...keysOf(each)])
      : []

describe('what leaves over HTTP', () => {
  it('no list shows a secret, a kitchen’s row or a column’s own name', async () => {
    const scope = await freshKitchen(db)
    await scope.plans.add(DOCUMENT)
    await scope.meals.add(reunion('2027-01-30T19:30:00Z'))
    const cook = cookFromPlan(DOCUMENT, Date.parse('2027-01-30T09:00:00Z') / 1000, 1)
    if (!cook.ok) throw new Error('no cook')
    await cookShelf(db, scope.kitchen).begin(cook.value)
    for (const [name, response] of Object.entries(await lists(scope.kitchen.slug))) {
      expect(response.status, name).toBe(200)
      const keys = new Set(keysOf(await response.json()))
      for (const inner of ['kitchenId', 'tokenHash', 'promiseAt', 'createdAt', 'updatedAt'])
        expect(keys, `${name} ${inner}`).not.toContain(inner)
    }
  })

  it('a device’s token is answered once, when it is made, and never its hash', async () => {
    const { POST } = await import('@/app/api/k/[kitchen]/devices/route')
    const scope = await freshKitchen(db)
    const made = await POST(
      new Request(api, {
        method: 'POST',
        body: JSON.stringify({ name: 'Stove' }),
        headers: { 'content-type': 'application/json' },
      }),
      at({ kitchen: scope.kitchen.slug }),
    )
    expect(made.status).toBe(201)
    const answer = await made.json()
    expect(Object.keys(answer).sort()).toEqual(['device', 'token'])
    expect(Object.keys(answer.device).sort()).toEqual(['battery', 'id', 'name', 'seen_at'])
    expect(await cookShelf(db, scope.kitchen).devices()).toEqual([
      expect.not.objectContaining({ tokenHash: expect.anything() }),
    ])
  })

  it('schema answers for every document and for nothing an object has by birth', async () => {
    const { GET } = await import('@/app/api/schema/[name]/route')
    const schema = (name: string) => GET(new Request(api), at({ name }))
    for (const name of DOCUMENT_NAMES) expect((await schema(name)).status, name).toBe(200)
    for (const name of ['constructor', '__proto__', 'toString', 'nothing', ''])
      expect((await schema(name)).status, name).toBe(404)
    // The command plan takes a meal: what schema plan describes.
    expect(Object.keys((await (await schema('plan')).json()).properties)).toContain('servings')
  })
})

describe('documents that this release cannot read', () => {
  it('take nothing else with them, are said, and stay as they are', async () => {
    const scope = await freshKitchen(db)
    const good = await scope.plans.add(DOCUMENT)
    const bad = await scope.plans.add({ ...DOCUMENT, title: 'From tomorrow' })
    const later = { version: 9, of: 'a later release' } as never
    const own = within(db, scope.kitchen.id)
    await own.update(plans).set({ document: later }).where(eq(plans.id, bad.id))
    const { plans: response } = await lists(scope.kitchen.slug)
    const { plans: rows, unreadable } = await response.json()
    expect(rows.map(({ id }: { id: string }) => id)).toEqual([good.id])
    expect(unreadable).toEqual([{ id: bad.id, detail: expect.stringContaining('version') }])
    const { GET } = await import('@/app/api/k/[kitchen]/plans/[plan]/route')
    const one = await GET(new Request(api), at({ kitchen: scope.kitchen.slug, plan: bad.id }))
    expect(one.status).toBe(410)
    expect((await one.json()).errors[0]).toMatchObject({ code: 'unreadable', what: bad.id })
    const [kept] = await own.select().from(plans).where(eq(plans.id, bad.id))
    expect(kept?.document).toEqual(later)
  })

  it('an entry and a kitchen’s equipment from a later release break no board and no meal', async () => {
    const scope = await freshKitchen(db)
    const cook = cookFromPlan(DOCUMENT, Date.parse('2027-01-30T09:00:00Z') / 1000, 1)
    if (!cook.ok) throw new Error('no cook')
    const shelf = cookShelf(db, scope.kitchen)
    const row = await shelf.begin(cook.value)
    const own = within(db, scope.kitchen.id)
    await own.insert(entries).values({
      seq: 1,
      id: 'from-tomorrow',
      kitchenId: scope.kitchen.id,
      cookId: row.id,
      entry: { id: 'from-tomorrow', kind: 'levitated', at: '2027-01-30T10:00:00Z' } as never,
    })
    expect((await shelf.entriesSince(row.id, 0)).map(({ entry }) => entry.kind)).toEqual(['note'])
    await db
      .update(kitchens)
      .set({ equipment: { ovens: 'many' } as never })
      .where(eq(kitchens.id, scope.kitchen.id))
    const { addMealFromWords } = await import('@/server/meals')
    expect((await addMealFromWords(scope.kitchen.slug, '6 people 30 jan 2pm')).ok).toBe(true)
    expect((await own.select().from(cooks).where(eq(cooks.id, row.id))).length).toBe(1)
  })

  it('an older document is taken up version by version, one from the future is refused', () => {
    const kind = {
      schema: z.strictObject({ version: z.literal(3), eat: z.string(), guests: z.int() }),
      steps: [
        ({ when, ...old }: Readonly<Record<string, unknown>>) => ({ ...old, eat: when }),
        (old: Readonly<Record<string, unknown>>) => ({ ...old, guests: 4 }),
      ],
    }
    const newest = { version: 3, eat: 'at seven', guests: 4 }
    expect(readStored(kind, { version: 1, when: 'at seven' })).toEqual({ ok: true, value: newest })
    expect(readStored(kind, { version: 2, eat: 'at seven' })).toEqual({ ok: true, value: newest })
    expect(readStored(kind, newest)).toEqual({ ok: true, value: newest })
    for (const version of [4, 0, -1, 1.5, 'new'])
      expect(readStored(kind, { ...newest, version })).toMatchObject({
        ok: false,
        problems: [{ code: 'version_unknown', newest: 3 }],
      })
    expect(readStored(STORED.roast, 'a string')).toMatchObject({ ok: false, problems: [{ code: 'no_document' }] })
    expect(readStored(STORED.roast, { ...DOCUMENT, version: undefined })).toEqual({ ok: true, value: DOCUMENT })
  })
})

describe('the end of a cook', () => {
  it('comes when all is served, goes when a serving is taken back, and comes again', async () => {
    const { addEntries } = await import('@/server/cooks')
    const scope = await freshKitchen(db)
    const cook = cookFromPlan(DOCUMENT, Date.parse('2027-01-30T09:00:00Z') / 1000, 1)
    if (!cook.ok) throw new Error('no cook')
    const shelf = cookShelf(db, scope.kitchen)
    const row = await shelf.begin(cook.value)
    const item = cook.value.items[0]?.id
    let count = 0
    const enter = async (kind: string, more: object = {}) => {
      const id = `ending-entry-${count++}`
      const at_ = new Date(Date.parse('2027-01-30T19:00:00Z') + count * 1000).toISOString()
      const kept = await addEntries(scope.kitchen.slug, row.id, { entries: [{ id, kind, at: at_, item, ...more }] })
      expect(kept.ok).toBe(true)
      return { id, state: (await shelf.find(row.id))?.state }
    }
    const served = await enter('served')
    expect(served.state).toBe('done')
    expect((await enter('undo', { of: served.id })).state).toBe('cooking')
    expect((await enter('served')).state).toBe('done')
  })
})
