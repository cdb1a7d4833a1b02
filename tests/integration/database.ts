import { grantToApplication } from '@/db/grants'
import { migrateDatabase } from '@/db/migrate'
import { buildCompute } from '../../bin/setup/compute.mjs'

/** Brings the tests' own database up to date. Its address comes from the test command; without one the database tests say so. */
export default async function setup(): Promise<void> {
  await buildCompute()
  const url = process.env.TEST_DATABASE_OWNER_URL
  if (!url) return
  await migrateDatabase(url)
  await grantToApplication(url)
}
