import { type Database, openDatabase } from '@/db/connection'
import { ensureKitchen, type KitchenScope, openKitchen } from '@/db/repositories'

const url = process.env.TEST_DATABASE_URL
if (!url) throw new Error('TEST_DATABASE_URL is not set: run the tests through npm test, which starts their database')

export const openTestDatabase = (): { db: Database; close: () => Promise<void> } => openDatabase(url)

let count = 0
/** A fresh kitchen of its own for one test. */
export async function freshKitchen(db: Database): Promise<KitchenScope> {
  const slug = `test-${process.pid}-${Date.now()}-${count++}`
  await ensureKitchen(db, { slug, name: 'Test kitchen', timeZone: 'Europe/London' })
  const scope = await openKitchen(db, slug)
  if (!scope) throw new Error('a kitchen just added was not found')
  return scope
}
