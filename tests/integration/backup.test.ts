import { createHash } from 'node:crypto'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import postgres from 'postgres'
import { afterAll, describe, expect, it } from 'vitest'
import { openDatabase } from '@/db/connection'
import { cookShelf, keepReadings } from '@/db/cooks'
import { openKitchen } from '@/db/repositories'
import { cookFromPlan } from '@/domain/cook/begin'
import { cookEntry } from '@/domain/cook/cook-document'
import { cluster } from '../../bin/setup/database.mjs'

/** A cluster that nobody uses: restored into, and thrown away with its folder. */
const folder = mkdtempSync(join(tmpdir(), 'pheasant-restore-'))
process.env.PHEASANT_BACKUPS = join(folder, 'backups')
const { backUp, backupsIn, restore } = await import('../../bin/setup/backups.mjs')
const { prepareDatabase } = await import('../../bin/setup/prepare.mjs')
const spare = cluster({ name: 'postgres-restore', firstPort: 54_560, databases: ['from', 'pheasant'], durable: false })
afterAll(async () => {
  await spare.stop()
  rmSync(folder, { recursive: true, force: true })
})

const TABLES = [
  'kitchens',
  'plans',
  'plan_versions',
  'house_items',
  'cooks',
  'entries',
  'devices',
  'readings',
  'readings_aside',
  'cook_stories',
  'record_entries',
  'house_changes',
  'photos',
] as const

/** Every table's count, and a sum over every row of it as text, in an order of its own. */
async function sums(url: string): Promise<Record<string, string>> {
  const sql = postgres(url, { max: 1, onnotice: () => {} })
  const found: Record<string, string> = {}
  for (const table of TABLES) {
    const rows = await sql.unsafe(`select t::text as row from ${table} t order by 1`)
    const hash = createHash('sha256')
    for (const { row } of rows) hash.update(`${row}\n`)
    found[table] = `${rows.length} ${hash.digest('hex')}`
  }
  await sql.end()
  return found
}

/** A cluster made from nothing, migrated three times: on a busy disk that takes its time, ms. */
const PATIENCE_MS = 300_000

describe('a backup', { timeout: PATIENCE_MS }, () => {
  it('restores into an empty database: every table has the same rows, to the last character', async () => {
    await spare.start()
    spare.recreate('from')
    spare.recreate('pheasant')
    prepareDatabase(spare.ownerUrl('from'), { demo: true })
    const { db, close } = openDatabase(spare.url('from'))
    const scope = await openKitchen(db, 'cottage')
    const [plan] = (await scope?.plans.list({ limit: 1, offset: 0 }))?.rows ?? []
    if (!scope || !plan) throw new Error('the demo has a plan')
    const shelf = cookShelf(db, scope.kitchen)
    const made = cookFromPlan(plan.document, Date.parse(plan.document.promise) / 1000 - 40_000, 1)
    if (!made.ok) throw new Error('no cook')
    const cook = await shelf.begin(made.value)
    const at = '2026-12-25T12:00:00Z'
    await shelf.add(cook.id, [
      cookEntry.parse({ id: 'backup-entry-1', kind: 'note', at, text: 'Ünïcødé 💥, "quoted"\n' }),
    ])
    const device = await shelf.addDevice('Probe', 'hash-of-the-backup-test')
    await keepReadings(
      db,
      { id: device.id, kitchenId: scope.kitchen.id },
      Array.from({ length: 500 }, (_, seq) => {
        const when = new Date(Date.parse(at) + seq * 1000)
        return { channel: seq % 5, seq, at: when, deviceAt: when, valueC: 20 + seq / 10 }
      }),
      0.5,
    )
    await close()
    const file = backUp(spare, 'from')
    expect(backupsIn()).toEqual([file])
    const before = restore(spare, file, 'pheasant')
    expect(before).toMatch(/^pheasant_before_/)
    prepareDatabase(spare.ownerUrl('pheasant'), { demo: false })
    const [original, restored] = [await sums(spare.ownerUrl('from')), await sums(spare.ownerUrl('pheasant'))]
    expect(restored).toEqual(original)
    expect(Number(restored.readings?.split(' ')[0])).toBeGreaterThan(500)
    expect(Number(restored.record_entries?.split(' ')[0])).toBeGreaterThan(5)
    // The application can work with what was restored, and may do no more than before.
    const again = openDatabase(spare.url('pheasant'))
    const kitchen = await openKitchen(again.db, 'cottage')
    if (!kitchen) throw new Error('no kitchen')
    expect(
      (await cookShelf(again.db, kitchen.kitchen).entriesSince(cook.id, 0)).map(({ entry }) => entry.text),
    ).toEqual(['Ünïcødé 💥, "quoted"\n'])
    await again.close()
  })

  it('that is cut short is no backup, and what cannot be restored changes nothing', async () => {
    const broken = join(folder, 'broken.dump')
    writeFileSync(broken, 'PGDMP and then nothing')
    const before = await sums(spare.ownerUrl('pheasant'))
    expect(() => restore(spare, broken, 'pheasant')).toThrow(/restoring failed/)
    expect(() => restore(spare, join(folder, 'none.dump'), 'pheasant')).toThrow(/no backup/)
    expect(await sums(spare.ownerUrl('pheasant'))).toEqual(before)
    const good = backupsIn().length
    expect(() => backUp(spare, 'no_such_database')).toThrow(/backup failed/)
    expect(backupsIn()).toHaveLength(good)
  })
})
