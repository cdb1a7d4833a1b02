import { sql } from 'drizzle-orm'
import type { Database } from './connection'
import { KITCHEN_SETTING } from './within'

/** Old readings thinned: what a curve and a record need stays, and a disk is not filled by probes that read each second. */

/** How readings of an age are kept: a few in each stretch. */
export interface ThinningStage {
  readonly column: 'thinned_to' | 'thinned_far_to'
  readonly olderThan_days: number
  readonly every_s: number
}
export const THINNING: readonly ThinningStage[] = [
  { column: 'thinned_to', olderThan_days: 60, every_s: 60 },
  { column: 'thinned_far_to', olderThan_days: 400, every_s: 300 },
]
/** So much of a device's past is done at once, days: a day of one probe at a reading a second is 86,400. */
const PIECE_DAYS = 7
const LOCK = 7_431_908

/**
 * Thins the next piece of whatever is due; answers how many readings went, and undefined where nothing is due or
 * another server is at it.
 */
export async function thinNext(db: Database, now: Date): Promise<number | undefined> {
  return db.transaction(async (tx) => {
    const [held] = await tx.execute<{ mine: boolean }>(sql`select pg_try_advisory_xact_lock(${LOCK}) as mine`)
    if (!held?.mine) return undefined
    for (const { column, olderThan_days, every_s } of THINNING) {
      const name = sql.identifier(column)
      const until = new Date(now.getTime() - olderThan_days * 86_400_000).toISOString()
      const [due] = await tx.execute<{ id: string; kitchen_id: string; begins: string; ends: string }>(
        sql`select * from thinning_due(${column === 'thinned_far_to'}, ${until}::timestamptz, ${PIECE_DAYS})`,
      )
      if (!due) continue
      const [gone] = await tx.execute<{ gone: string }>(
        sql`select thin_readings(${due.id}, ${due.begins}::timestamptz, ${due.ends}::timestamptz, ${every_s}) as gone`,
      )
      await tx.execute(sql`select set_config(${KITCHEN_SETTING}, ${due.kitchen_id}, true)`)
      await tx.execute(sql`update devices set ${name} = ${due.ends}::timestamptz where id = ${due.id}`)
      return Number(gone?.gone ?? 0)
    }
    return undefined
  })
}
