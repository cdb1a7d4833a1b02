import { drizzle } from 'drizzle-orm/postgres-js'
import type { ReservedSql, Sql, TransactionSql } from 'postgres'
import type { Database } from './connection'

/**
 * The second wall: the database itself lets a kitchen's queries see that kitchen's rows alone (row-level security,
 * migration 0014). Every statement runs in a transaction that says which kitchen it is for; one that does not say sees
 * nothing, whatever it forgot in its `where`.
 */
export const KITCHEN_SETTING = 'pheasant.kitchen'

type Client = Sql

const entering = (tx: Pick<Sql, 'unsafe'>, kitchenId: string) =>
  tx.unsafe('select set_config($1, $2, true)', [KITCHEN_SETTING, kitchenId], { prepare: true })

/** One statement in its own transaction, sent with what begins and ends that in one go: it costs no more trips than itself. */
async function alone(client: Client, kitchenId: string, ask: (own: ReservedSql) => PromiseLike<unknown>) {
  const own = await client.reserve()
  try {
    const [begun, said, asked, kept] = await Promise.allSettled([
      own`begin`,
      entering(own, kitchenId),
      ask(own),
      own`commit`,
    ])
    for (const each of [asked, said, begun, kept]) if (each.status === 'rejected') throw each.reason
    return (asked as PromiseFulfilledResult<unknown>).value
  } finally {
    own.release()
  }
}

/** A client whose every statement and transaction is one kitchen's: all that drizzle asks of a client. */
function clientWithin(client: Client, kitchenId: string): Sql {
  return {
    options: client.options,
    unsafe: (...words: Parameters<Sql['unsafe']>) => ({
      // biome-ignore lint/suspicious/noThenProperty: a query of the driver is awaited as it is, or asked for bare values
      then: (done: never, failed: never) => alone(client, kitchenId, (own) => own.unsafe(...words)).then(done, failed),
      catch: (failed: never) => alone(client, kitchenId, (own) => own.unsafe(...words)).catch(failed),
      values: () => alone(client, kitchenId, (own) => own.unsafe(...words).values()),
    }),
    begin: (work: (tx: TransactionSql) => unknown) =>
      client.begin(async (tx) => {
        await entering(tx, kitchenId)
        return work(tx)
      }),
  } as unknown as Sql
}

/**
 * The database as one kitchen may see it. Within a transaction that was begun so, it is that transaction.
 *
 * @param db the process's database, or a transaction on it
 */
export function within(db: Database, kitchenId: string): Database {
  const client = (db as { $client?: Client }).$client
  return client ? (drizzle(clientWithin(client, kitchenId)) as unknown as Database) : db
}
