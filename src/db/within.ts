import { drizzle } from 'drizzle-orm/postgres-js'
import type { Sql } from 'postgres'
import type { Database } from './connection'

/**
 * The second wall: the database itself lets a kitchen's queries see that kitchen's rows alone (row-level security,
 * migration 0014). Every statement runs in a transaction that says which kitchen it is for; one that does not say sees
 * nothing, whatever it forgot in its `where`.
 */
export const KITCHEN_SETTING = 'pheasant.kitchen'

type Client = Sql & { readonly begin: Sql['begin'] }
type Tx = Parameters<Parameters<Sql['begin']>[0] & ((tx: never) => unknown)>[0] & Sql

const entering = (tx: Sql, kitchenId: string) => tx`select set_config(${KITCHEN_SETTING}, ${kitchenId}, true)`

/** A client whose every statement and transaction is one kitchen's: all that drizzle asks of a client. */
function clientWithin(client: Client, kitchenId: string): Sql {
  const alone = (run: (tx: Sql) => unknown) =>
    client
      .begin((tx) => [entering(tx as unknown as Sql, kitchenId), run(tx as unknown as Sql)] as never)
      .then((results) => (results as unknown as unknown[])[1])
  return {
    options: client.options,
    unsafe: (...words: Parameters<Sql['unsafe']>) => ({
      // biome-ignore lint/suspicious/noThenProperty: a query of the driver is awaited as it is, or asked for bare values
      then: (done: never, failed: never) => alone((tx) => tx.unsafe(...words)).then(done, failed),
      catch: (failed: never) => alone((tx) => tx.unsafe(...words)).catch(failed),
      values: () => alone((tx) => tx.unsafe(...words).values()),
    }),
    begin: (work: (tx: Tx) => unknown) =>
      client.begin(async (tx) => {
        await entering(tx as unknown as Sql, kitchenId)
        return work(tx as unknown as Tx)
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
