import { grantToApplication } from '@/db/grants'
import { migrateDatabase } from '@/db/migrate'
import { buildCompute } from '../../bin/setup/compute.mjs'
import { forEachWorker } from '../../bin/setup/database.mjs'

/** Brings the tests' own databases up to date. Their address comes from the test command; without one the database tests say so. */
export default async function setup(): Promise<void> {
  await buildCompute()
  const url = process.env.TEST_DATABASE_OWNER_URL
  if (!url) return
  for (const own of forEachWorker((worker) => `${url}_${worker}`)) {
    await migrateDatabase(own)
    await grantToApplication(own)
  }
}
