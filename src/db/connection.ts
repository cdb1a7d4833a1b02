import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema'

export type Database = PostgresJsDatabase<typeof schema>

/** Gone is said soon, and soon tried again, s. */
export const RECONNECT = { connect_timeout: 2, backoff: () => 0.25 } as const

/** Opens a pool on a database address. One for each process; hot reloads share it through {@link sharedDatabase}. */
export function openDatabase(url: string): { db: Database; close: () => Promise<void> } {
  const client = postgres(url, {
    max: 10,
    onnotice: () => {},
    ...RECONNECT,
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
