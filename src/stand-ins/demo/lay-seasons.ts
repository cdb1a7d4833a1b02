import { createHash } from 'node:crypto'
import { TZDate } from '@date-fns/tz'
import { addDays, subDays } from 'date-fns'
import { eq } from 'drizzle-orm'
import type { Database } from '@/db/connection'
import { cookShelf, keepReadings } from '@/db/cooks'
import { recordShelf } from '@/db/record'
import { type KitchenScope, openKitchen } from '@/db/repositories'
import { cooks } from '@/db/schema'
import { storyShelf } from '@/db/stories'
import { cookDocument } from '@/domain/cook/cook-document'
import { glanceOf } from '@/domain/cook/story/glance'
import { storyOf } from '@/domain/cook/story/story'
import type { HouseStandard } from '@/domain/house/house-item'
import { limitOf, type RecordEntry, type RecordKind, recordEntry } from '@/domain/record/record'
import { cookOf, logOf, PAST_COOKS, type PastCook, type PastLog } from './seasons'
import seasons from './seasons.json'

const LOGS = seasons as unknown as readonly PastLog[]

interface World {
  readonly timeZone: string
  readonly now_s: number
}

/** When a past cook was promised, by the kitchen's clock. */
function promiseOf({ days, on, clock: [hour, minute] }: PastCook, { timeZone, now_s }: World): string {
  const today = new TZDate(now_s * 1000, timeZone)
  const day = on ? lastOf(on, today) : nearest(hour < 16 ? 0 : 6, subDays(today, days))
  return new Date(
    new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), hour, minute, timeZone).getTime(),
  ).toISOString()
}
/** The last such day of the year before today. */
function lastOf([month, date]: readonly [number, number], today: Date): Date {
  const thisYear = new TZDate(today.getFullYear(), month - 1, date)
  return thisYear < subDays(today, 1) ? thisYear : new TZDate(today.getFullYear() - 1, month - 1, date)
}
/** The nearest such weekday, never later than three days on. */
const nearest = (weekday: number, day: Date): Date => {
  const ahead = (weekday - day.getDay() + 7) % 7
  return ahead > 3 ? subDays(day, 7 - ahead) : addDays(day, ahead)
}

/** Lays the demo's past: cooks with their logs, readings and stories. Into kitchens that have no cook yet. */
export async function laySeasons(db: Database, world: World): Promise<void> {
  for (const slug of ['cottage', 'tern-point'] as const) {
    const scope = await openKitchen(db, slug)
    if (!scope) continue
    const shelf = cookShelf(db, scope.kitchen)
    if ((await shelf.list({ limit: 1, offset: 0 })).total > 0) continue
    const stories = storyShelf(db, scope.kitchen)
    if (slug === 'tern-point') {
      await layRecord(db, scope, world)
      await layStandards(scope)
    }
    // A token that nobody has: what it sent is what is kept.
    const device = await shelf.addDevice(
      'Probe station, earlier seasons',
      createHash('sha256').update(`${slug} ${scope.kitchen.id} earlier`).digest('hex'),
    )
    for (const [i, past] of PAST_COOKS.entries()) {
      const log = LOGS[i]
      if (past.slug !== slug || !log) continue
      const promise = promiseOf(past, world)
      const promise_s = Date.parse(promise) / 1000
      const document = cookDocument.parse(cookOf(past, promise))
      const row = await shelf.begin(document)
      await db
        .update(cooks)
        .set({ createdAt: new Date(document.clock.origin) })
        .where(eq(cooks.id, row.id))
      const { entries, readings } = logOf(log, document, promise, { device: device.id, by: past.by, tag: `${i}` })
      await shelf.add(row.id, entries)
      await shelf.setState(row.id, 'done')
      await keepReadings(
        db,
        { id: device.id, kitchenId: scope.kitchen.id },
        readings.map(({ channel, at_s, value_c }, seq) => ({
          channel,
          seq,
          at: new Date(at_s * 1000),
          deviceAt: new Date(at_s * 1000),
          valueC: value_c,
        })),
        undefined,
        `past-${i}`,
      )
      const story = storyOf(document, entries, readings, promise_s + 4 * 3600)
      await stories.keep({ cookId: row.id, seq: entries.length, story, ...glanceOf(story) })
    }
  }
}

/** What Tern Point's head cook settled on, one of it after a first try. */
async function layStandards(scope: KitchenScope): Promise<void> {
  const set = (name: string, part: Partial<HouseStandard>, by: string) =>
    scope.putHouseItem({ kind: 'standard', name, value: null, option: null, reason: '', ...part }, by)
  await set('serve.red.medium-rare', { value: 54 }, 'Jory')
  await set('rest.duck', { value: 20 }, 'Maren')
  await set('serve.red.medium-rare', { value: 56 }, 'Maren')
  await set('school.pork', { option: 'kick-start', reason: 'the crackling is what they come back for' }, 'Maren')
}

/** Two days of Tern Point's food-safety record: a fridge that was too warm, and what was done; one that is still open. */
async function layRecord(db: Database, scope: KitchenScope, { timeZone, now_s }: World): Promise<void> {
  const plan = { on: true, limits: { storage: { most_c: 4, least_c: null, within_min: null } } }
  await scope.setRecordPlan(plan)
  const yesterday = subDays(new TZDate(now_s * 1000, timeZone), 1)
  const at = (hour: number, minute: number) =>
    new Date(
      new TZDate(yesterday.getFullYear(), yesterday.getMonth(), yesterday.getDate(), hour, minute, timeZone).getTime(),
    ).toISOString()
  let count = 0
  const entry = (
    kind: RecordKind,
    time: string,
    what: string,
    value_c: number | null,
    by: string,
    more: Partial<RecordEntry> = {},
  ) =>
    recordEntry.parse({
      id: `demo-record-${String(++count).padStart(3, '0')}`,
      kind,
      at: time,
      what,
      value_c,
      by,
      limit: limitOf(plan, kind),
      ...more,
    })
  const warm = entry('storage', at(14, 30), 'Cellar fridge', 6.8, 'Jory')
  const slip = entry('holding', at(18, 20), 'Gravy, warm cabinet', 46, 'Tamsin')
  const entries = [
    entry('probe_check', at(8, 5), 'Probe 1', 0.2, 'Maren'),
    entry('probe_check', at(8, 7), 'Probe 4', -0.4, 'Maren'),
    entry('storage', at(8, 15), 'Walk-in', 2.9, 'Maren'),
    entry('storage', at(8, 17), 'Cellar fridge', 3.6, 'Maren'),
    entry('receiving', at(9, 40), 'Rib 4.3 kg, Fellside Meats', 3.1, 'Jory'),
    entry('receiving', at(9, 45), 'Loin 2.8 kg, Porter’s dock', 4.4, 'Jory'),
    warm,
    entry('storage', at(15, 40), 'Cellar fridge', null, 'Jory', {
      about: 'release',
      of: warm.id,
      action: 'door had not shut; seal wiped, nothing in it above 5 °C; 3.4 °C an hour later',
    }),
    slip,
    entry('holding', at(18, 20), 'Gravy, warm cabinet', 64, 'Tamsin', { about: 'correction', of: slip.id }),
    entry('cooking', at(18, 30), 'Pork loin, at its core', 63.8, 'Tamsin'),
    entry('cooling', at(21, 10), 'Stock, in shallow trays', 18, 'Maren', { minutes: 95 }),
    entry('reheating', at(21, 30), 'Staff soup', 71, 'Jory'),
  ]
  await recordShelf(db, scope.kitchen).add(entries, (text) => createHash('sha256').update(text, 'utf8').digest('hex'))
}
