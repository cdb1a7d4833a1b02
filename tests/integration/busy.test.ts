import { afterAll, describe, expect, it, vi } from 'vitest'
import type { LineReading } from '@/domain/line/reading'
import type { MealDocument } from '@/domain/meal/meal-document'
import { fail, type Outcome, type Problem } from '@/domain/problem/problem'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
process.env.PHEASANT_NOW = '2027-01-28T09:00:00Z'
const { db, close } = openTestDatabase()
afterAll(close)

/** What the threads answer, whatever they are asked. */
const answers = vi.hoisted(() => ({ now: undefined as unknown }))
vi.mock('@/server/compute', () => ({ compute: async () => answers.now, modelStamp: () => 'none' }))

const NOW_S = Date.parse(process.env.PHEASANT_NOW) / 1000
const OUT_OF_TIME: Problem = { code: 'out_of_time', path: [], limit_s: 10 }
const IMPOSSIBLE: Problem = { code: 'malformed', path: ['roast'], detail: 'cannot be planned' }

async function lineRead(line: string): Promise<{ read: LineReading; document: PlanDocument | MealDocument }> {
  const { readLine } = await import('@/domain/line/reading')
  const { documentFromLine } = await import('@/domain/meal/from-line')
  const { equipmentOf } = await import('@/server/meals')
  const read = readLine(line, { now_s: NOW_S, timeZone: 'Europe/London' })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const stands = documentFromLine(read.value, NOW_S, equipmentOf(await freshKitchen(db)))
  if (!stands) throw new Error(`${line}: nothing to plan`)
  return { read: read.value, document: stands.document }
}

describe('while the machine is busy', () => {
  const LINES = [
    'turkey 6.5 kg, in at 10:30, eat at 14:00',
    'beef rib 2.7 kg oven 120, in at noon',
    'leg of lamb 2.5 kg 180 to 57C, eat at 19:00',
  ]
  /** The plan of a line in a kitchen of its own, as the server makes it. */
  async function planOf(line: string): Promise<Outcome<PlanDocument>> {
    const { planAsSaid } = await import('@/server/plans')
    const { withDatabase } = await import('@/server/kitchen')
    const { read, document } = await lineRead(line)
    const scope = await freshKitchen(db)
    return withDatabase(async () => ({
      ok: true,
      value: await planAsSaid(scope, read, document as PlanDocument, NOW_S),
    }))
  }

  it.each(LINES)('a line is asked again, and makes no other plan: %s', async (line) => {
    answers.now = fail(OUT_OF_TIME)
    expect(await planOf(line)).toEqual(fail(OUT_OF_TIME))
  })

  it.each(LINES)('a line that cannot be worked out is kept as it was said: %s', async (line) => {
    answers.now = fail(IMPOSSIBLE)
    const made = await planOf(line)
    expect(made.ok && made.value.roast).toEqual(((await lineRead(line)).document as PlanDocument).roast)
  })

  it('a calendar is asked for again: one without its roasts would take them out of a telephone', async () => {
    const { calendarOfKitchen } = await import('@/server/exports')
    const { withDatabase } = await import('@/server/kitchen')
    const scope = await freshKitchen(db)
    const { document } = await lineRead('beef rib 2.7 kg oven 120, eat at 19:00')
    await scope.plans.add(document as PlanDocument)
    answers.now = fail(OUT_OF_TIME)
    expect(await withDatabase(() => calendarOfKitchen(scope))).toEqual(fail(OUT_OF_TIME))
    answers.now = fail(IMPOSSIBLE)
    const empty = await withDatabase(() => calendarOfKitchen(scope))
    expect(empty.ok && empty.value).toContain('BEGIN:VCALENDAR')
  })
})
