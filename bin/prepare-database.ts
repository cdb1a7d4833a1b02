import { openDatabase } from '@/db/connection'
import { migrateDatabase } from '@/db/migrate'
import { environment, nowSeconds } from '@/server/environment'
import { layDemoCook } from '@/stand-ins/demo/demo-cook'
import { layDemo } from '@/stand-ins/demo/lay-demo'

const { DATABASE_URL, PHEASANT_TIME_ZONE } = environment()
await migrateDatabase(DATABASE_URL)
if (process.argv.includes('--demo')) {
  const { db, close } = openDatabase(DATABASE_URL)
  await layDemo(db, { timeZone: PHEASANT_TIME_ZONE, now_s: nowSeconds() })
  const orders = process.env.PHEASANT_STATION
  if (orders) await layDemoCook(db, nowSeconds(), orders)
  await close()
}
