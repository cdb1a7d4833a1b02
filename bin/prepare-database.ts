import { rmSync, writeFileSync } from 'node:fs'
import { openDatabase } from '@/db/connection'
import { grantToApplication } from '@/db/grants'
import { migrateDatabase } from '@/db/migrate'
import { isClaimed, makeClaim } from '@/db/people'
import { hashOf, newSecret } from '@/server/access/secrets'
import { environment, nowSeconds } from '@/server/environment'
import { layDemoCook } from '@/stand-ins/demo/demo-cook'
import { layDemo } from '@/stand-ins/demo/lay-demo'
import { laySeasons } from '@/stand-ins/demo/lay-seasons'

/** The address for the first owner is good for so long. */
const CLAIM_DAYS = 30

// Run as the tables' owner: migrates, says what the application may do, and lays the demo where there is nothing yet.
try {
  await prepare()
} catch (problem) {
  const { message, cause } = problem as { message?: string; cause?: { message?: string } }
  process.stderr.write(`${(cause?.message ?? message ?? String(problem)).split('\n')[0]}\n`)
  process.exit(1)
}

async function prepare(): Promise<void> {
  const { DATABASE_URL, PHEASANT_TIME_ZONE } = environment()
  await migrateDatabase(DATABASE_URL)
  await grantToApplication(DATABASE_URL)
  const asked = process.argv.includes('--demo-again')
  if (asked || process.argv.includes('--demo')) {
    const { db, close } = openDatabase(DATABASE_URL)
    const laid = await layDemo(db, { timeZone: PHEASANT_TIME_ZONE, now_s: nowSeconds() }, asked)
    if (laid) await laySeasons(db, { timeZone: PHEASANT_TIME_ZONE, now_s: nowSeconds() })
    const orders = process.env.PHEASANT_STATION
    if (laid && orders) await layDemoCook(db, nowSeconds(), orders)
    await close()
  }
  const file = process.env.PHEASANT_CLAIM
  if (file) await makeClaimable(DATABASE_URL, file)
}

/** A new one-time address for the first owner, while there is none; its secret goes into a file that only we may read. */
async function makeClaimable(url: string, file: string): Promise<void> {
  rmSync(file, { force: true })
  const { db, close } = openDatabase(url)
  try {
    if (await isClaimed(db)) return
    const secret = newSecret()
    await makeClaim(db, hashOf(secret), new Date(Date.now() + CLAIM_DAYS * 86_400_000))
    writeFileSync(file, `${secret}\n`, { mode: 0o600 })
  } finally {
    await close()
  }
}
