import { createHash } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import sharp from 'sharp'
import { afterAll, describe, expect, it } from 'vitest'
import { openPromise } from 'yauzl'
import { cookShelf, keepReadings } from '@/db/cooks'
import { photoShelf } from '@/db/photos'
import { recordShelf } from '@/db/record'
import type { KitchenScope } from '@/db/repositories'
import { cookFromPlan } from '@/domain/cook/begin'
import { cookEntry } from '@/domain/cook/cook-document'
import { limitOf, recordEntry } from '@/domain/record/record'
import { planDocument } from '@/domain/roast/roast-document'
import type { WholeReport } from '@/domain/whole/whole'
import { pictureOf } from '@/server/picture'
import { takeWhole } from '@/workers/server/whole-in'
import { writeWhole } from '@/workers/server/whole-out'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
const { db, close } = openTestDatabase()
const folder = mkdtempSync(join(tmpdir(), 'pheasant-whole-'))
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true })
  await close()
})
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')
const NOW_S = Date.UTC(2026, 10, 24, 9) / 1000
const MADE = '2026-11-26T12:00:00.000Z'

/** A kitchen with one of everything. */
async function lived(): Promise<KitchenScope> {
  const scope = await freshKitchen(db)
  const document = planDocument.parse({
    title: 'Sunday',
    roast: { cut: 'pork-loin', mass_kg: 1.8, supplier: 'Hollis & Søn; “best”' },
    promise: '2026-11-24T18:00:00Z',
  })
  const plan = await scope.plans.add(document)
  await scope.plans.save(plan.id, 1, { ...document, title: 'Sunday lunch' })
  await scope.plans.save(plan.id, 1, { ...document, title: 'Too late' })
  await scope.putHouseItem({ kind: 'standard', name: 'margin', value: 5, option: null, reason: '' }, 'Ida')
  await scope.setRecordPlan({ on: true, limits: {} })
  const begun = cookFromPlan(document, NOW_S, 1)
  if (!begun.ok) throw new Error('no cook')
  const shelf = cookShelf(db, scope.kitchen)
  const cook = await shelf.begin({ ...begun.value, source: { kind: 'plan', id: plan.id, version: 1 } })
  const device = await shelf.addDevice('Probe in the tin', sha256(`${scope.kitchen.id}`))
  const at = (minutes: number) => new Date((NOW_S + minutes * 60) * 1000)
  await shelf.add(cook.id, [
    cookEntry.parse({ id: 'entry-0001', kind: 'in', at: at(1).toISOString(), item: 'roast' }),
    cookEntry.parse({
      id: 'entry-0002',
      kind: 'assign',
      at: at(2).toISOString(),
      item: 'roast',
      point: 'core',
      device: device.id,
      channel: 0,
    }),
  ])
  await keepReadings(
    db,
    { id: device.id, kitchenId: scope.kitchen.id },
    Array.from({ length: 300 }, (_, seq) => ({
      channel: seq % 2,
      seq,
      at: at(2 + seq / 10),
      deviceAt: at(2 + seq / 10),
      valueC: 5 + seq / 7,
    })),
    0.8,
    'kölle, "x"',
  )
  const picture = await pictureOf(
    await sharp({ create: { width: 900, height: 600, channels: 3, background: '#a04020' } })
      .jpeg()
      .toBuffer(),
  )
  if (!picture) throw new Error('no picture')
  await photoShelf(db, scope.kitchen).add({ cookId: cook.id, item: 'roast', ...picture })
  const kept = (id: string, value_c: number) =>
    recordEntry.parse({
      id,
      kind: 'storage',
      at: at(5).toISOString(),
      what: `Walk-in of ${scope.kitchen.slug}`,
      value_c,
      limit: limitOf(null, 'storage'),
      by: 'Ida',
    })
  await recordShelf(db, scope.kitchen).add([kept('record-0001', 3), kept('record-0002', 4)], sha256)
  return scope
}

const write = async (scope: KitchenScope, name: string) => {
  const path = join(folder, name)
  const written = await writeWhole({ slug: scope.kitchen.slug, path, made: MADE })
  expect(written.ok).toBe(true)
  return path
}
const taken = async (scope: KitchenScope, path: string, take: boolean): Promise<WholeReport> => {
  const answer = await takeWhole({ slug: scope.kitchen.slug, path, take })
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
  return answer.value
}

/** Every part of a file, with the ids of one installation put for those of another. */
async function contents(path: string, ids: ReadonlyMap<string, string>): Promise<Record<string, string>> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false })
  const found: [string, Buffer][] = []
  await new Promise<void>((done, failed) => {
    zip.on('entry', async (entry) => {
      const chunks: Buffer[] = []
      for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer)
      found.push([entry.fileName, Buffer.concat(chunks)])
      zip.readEntry()
    })
    zip.on('end', () => done())
    zip.on('error', failed)
    zip.readEntry()
  })
  zip.close()
  const put = (text: string) => [...ids].reduce((last, [from, to]) => last.replaceAll(from, to), text)
  return Object.fromEntries(
    found
      .filter(([name]) => name !== 'manifest.json' && name !== 'README.txt')
      .map(([name, bytes]) => [
        put(name),
        name.endsWith('.webp') ? sha256(bytes.toString('base64')) : put(bytes.toString('utf8')),
      ]),
  )
}

describe('a whole kitchen', () => {
  it('goes out, and into another kitchen, and out again the same', async () => {
    const from = await lived()
    const to = await freshKitchen(db)
    const path = await write(from, 'from.zip')
    const looked = await taken(to, path, false)
    expect(looked.adds).toMatchObject({
      plans: 1,
      cooks: 1,
      entries: 2,
      probes: 1,
      readings: 300,
      photos: 1,
      house: 1,
      record: 2,
    })
    // Looking adds nothing.
    expect((await to.plans.list({ limit: 10, offset: 0 })).total).toBe(0)
    expect((await taken(to, path, true)).adds).toEqual(looked.adds)
    const cook = (await cookShelf(db, to.kitchen).list({ limit: 5, offset: 0 })).rows[0]
    const plan = (await to.plans.list({ limit: 5, offset: 0 })).rows[0]
    expect(cook?.document.source?.id).toBe(plan?.id)
    expect(await to.plans.listSetAside(plan?.id ?? '')).toHaveLength(1)
    const back = await write(to, 'to.zip')
    const first = await contents(path, new Map())
    const ids = new Map<string, string>()
    const names = (all: Record<string, string>, folderName: string) =>
      Object.keys(all)
        .filter((name) => name.startsWith(`${folderName}/`))
        .map((name) => name.split(/[/.]/)[1] as string)
    const second = await contents(back, ids)
    for (const kind of ['plans', 'cooks', 'photos', 'readings'])
      for (const [i, id] of names(second, kind).entries()) ids.set(id, names(first, kind)[i] as string)
    const versions = (all: Record<string, string>) =>
      [
        ...Object.values(all)
          .join('\n')
          .matchAll(/"id": "(pvr_?\w+)"/g),
      ].map(([, id]) => id as string)
    for (const [i, id] of versions(second).entries()) ids.set(id, versions(first)[i] as string)
    const again = await contents(back, ids)
    expect(Object.keys(again).sort()).toEqual(Object.keys(first).sort())
    for (const [name, text] of Object.entries(first)) {
      if (name === 'record.json' || name === 'house.json')
        expect(JSON.parse(again[name] ?? ''), name).toEqual(JSON.parse(text))
      else expect(again[name], name).toBe(text)
    }
  })

  it('taken in twice it adds nothing; more that happened meanwhile is added', async () => {
    const from = await lived()
    const to = await freshKitchen(db)
    await taken(to, await write(from, 'once.zip'), true)
    const twice = await taken(to, await write(from, 'twice.zip'), true)
    expect(Object.values(twice.adds).every((count) => count === 0)).toBe(true)
    expect(twice.left).toEqual([])
    expect(twice.there).toMatchObject({ plans: 1, cooks: 1, entries: 2, readings: 300, photos: 1, record: 2 })
    const shelf = cookShelf(db, from.kitchen)
    const cook = (await shelf.list({ limit: 1, offset: 0 })).rows[0]
    await shelf.add(cook?.id ?? '', [cookEntry.parse({ id: 'entry-0003', kind: 'out', at: MADE, item: 'roast' })])
    const more = await taken(to, await write(from, 'more.zip'), true)
    expect(more.adds).toMatchObject({ entries: 1, cooks: 0 })
  })

  it('a kitchen keeps what is its own, and says so', async () => {
    const from = await lived()
    const to = await lived()
    const report = await taken(to, await write(from, 'own.zip'), true)
    expect(report.left.map(({ what }) => what)).toContain('record.json')
    expect(report.adds.record).toBe(0)
    expect(report.there.house).toBe(1)
    expect((await recordShelf(db, to.kitchen).all()).length).toBe(2)
  })

  it('what is no such file, or was changed, is refused in words and takes nothing', async () => {
    const from = await lived()
    const to = await freshKitchen(db)
    const good = readFileSync(await write(from, 'good.zip'))
    const path = join(folder, 'bad.zip')
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          fc.record({ kind: fc.constant('noise' as const), bytes: fc.uint8Array({ maxLength: 200 }) }),
          fc.record({ kind: fc.constant('cut' as const), at: fc.nat(good.length) }),
          fc.record({
            kind: fc.constant('changed' as const),
            at: fc.nat(good.length - 1),
            by: fc.integer({ min: 1, max: 255 }),
          }),
        ),
        async (how) => {
          const bytes = Buffer.from(
            how.kind === 'noise' ? how.bytes : how.kind === 'cut' ? good.subarray(0, how.at) : good,
          )
          if (how.kind === 'changed') bytes[how.at] = ((bytes[how.at] as number) + how.by) % 256
          writeFileSync(path, bytes)
          const answer = await takeWhole({ slug: to.kitchen.slug, path, take: false })
          if (!answer.ok) expect(answer.problems[0]?.code).toBeDefined()
          expect((await to.plans.list({ limit: 1, offset: 0 })).total).toBe(0)
        },
      ),
      { seed: 2612, numRuns: 60, interruptAfterTimeLimit: 30_000 },
    )
  })
})
