import { migrateDatabase } from '@/db/migrate'

/** Brings the tests' own database up to date. Its address comes from the test command; without one the database tests say so. */
export default async function setup(): Promise<void> {
  const url = process.env.TEST_DATABASE_URL
  if (url) await migrateDatabase(url)
}
