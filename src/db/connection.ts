import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema'

export type Database = PostgresJsDatabase<typeof schema>

/** Opens a pool on a database address. One for each process; hot reloads share it through {@link sharedDatabase}. */
export function openDatabase(url: string): { db: Database; close: () => Promise<void> } {
  const client = postgres(url, {
    max: 10,
    onnotice: () => {},
    // Gone is said soon, and soon tried again.
    connect_timeout: 2,
    backoff: () => 0.25,
    connection: { application_name: 'pheasant' },
  })
  return { db: drizzle(client, { schema }), close: () => client.end({ timeout: 2 }) }
}

const holder = globalThis as { pheasantDatabase?: ReturnType<typeof openDatabase> }

/** The process's one pool. */
export function sharedDatabase(url: string): Database {
  holder.pheasantDatabase ??= openDatabase(url)
  return holder.pheasantDatabase.db
}
