import { createHash } from 'node:crypto'
import Papa from 'papaparse'
import { z } from 'zod'
import { safetyLeast } from '@/core/safety/least'
import type { CookRow } from '@/db/cooks'
import { recordShelf } from '@/db/record'
import type { KitchenRow, KitchenScope } from '@/db/repositories'
import { LEFT_POINT } from '@/domain/cook/ate'
import type { CookEntry } from '@/domain/cook/cook-document'
import { standing } from '@/domain/cook/entry/fold'
import type { CookStory } from '@/domain/cook/story/story'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { fridgeFrom, minutesLain, settledBy } from '@/domain/record/cooling'
import { kitchenDay } from '@/domain/record/day'
import {
  brokenAt,
  type ChainedEntry,
  isOpen,
  keepsLimit,
  limitOf,
  limitPart,
  RECORD_KINDS,
  type RecordEntry,
  type RecordRow,
  recordEntry,
  rowsOf,
} from '@/domain/record/record'
import { cutAsCooked } from '@/domain/roast/resolve'
import { limitWords, RECORD_NAMES, readWords, standsWords } from '@/words/record-words'
import { clock, day as dayWords, kitchenUnits } from '@/words/units'
import { keepTrail, signedAs } from './access/trail'
import { nowSeconds } from './environment'
import { onFiles } from './file-work'
import { inKitchen } from './kitchen'
import { FILES } from './limits'
import { database } from './rooms'

/** The use cases of the food-safety record. */

const sha256 = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex')
const shelfOf = (scope: KitchenScope) => recordShelf(database(), scope.kitchen)

/** So many of the newest entries are looked at with each day; `verify` looks at all. */
const LOOKED_AT = 500

export interface DayOfRecord {
  readonly kitchen: KitchenRow
  readonly rows: readonly RecordRow[]
  /** Deviations nobody has said what was done about. */
  readonly open: number
  /** The chain: how long, its last hash, and where its newest part is broken. */
  readonly length: number
  readonly last: string | undefined
  readonly broken: ReturnType<typeof brokenAt>
}

/** The record of one span, a day as the kitchen's clock counts it. */
export const dayOfRecord = (slug: string, from_s: number, before_s: number): Promise<Outcome<DayOfRecord>> =>
  inKitchen(slug, 'read', async (scope) => {
    const shelf = shelfOf(scope)
    const [span, newest] = await Promise.all([
      shelf.span(new Date(from_s * 1000), new Date(before_s * 1000)),
      shelf.newest(LOOKED_AT),
    ])
    const [first] = newest
    const last = newest.at(-1)
    const rows = rowsOf(span)
    return succeed({
      kitchen: scope.kitchen,
      rows,
      open: rows.filter(isOpen).length,
      length: last?.seq ?? 0,
      last: last?.hash,
      broken: first && brokenAt(newest, sha256, { seq: first.seq - 1, prev: first.prev }),
    })
  })

/** What is entered by hand: its limit is the kitchen's, as it stands now. */
const entering = z.strictObject({ entries: z.array(z.unknown()).min(1).max(50) })
const byHand = z.looseObject({ kind: z.enum(RECORD_KINDS) })

/** Adds measurements, corrections and releases; none of them where one cannot be. */
export const enterRecord = (
  slug: string,
  value: unknown,
): Promise<Outcome<{ readonly kept: readonly ChainedEntry[] }>> =>
  inKitchen(slug, 'record', async (scope, actor) => {
    const asked = parseWith(entering, value)
    if (!asked.ok) return asked
    const { recordPlan } = scope.kitchen
    const shelf = shelfOf(scope)
    const entries: RecordEntry[] = []
    for (const [i, given] of asked.value.entries.entries()) {
      const kind = parseWith(byHand, given)
      const entry = kind.ok
        ? parseWith(recordEntry, {
            // When it was, by the server's clock where nobody says otherwise: a tablet's may be off.
            at: new Date(nowSeconds() * 1000).toISOString(),
            ...kind.value,
            by: signedAs(actor, typeof kind.value.by === 'string' ? kind.value.by : ''),
            limit: limitOf(recordPlan, kind.value.kind),
            source: 'hand',
          })
        : kind
      if (!entry.ok)
        return fail(
          ...entry.problems.map((each) => ('path' in each ? { ...each, path: ['entries', i, ...each.path] } : each)),
        )
      const { of } = entry.value
      if (of !== null && !entries.some(({ id }) => id === of) && !(await shelf.find(of)))
        return fail({ code: 'not_found', path: ['entries', i, 'of'], what: of })
      if (Date.parse(entry.value.at) / 1000 > nowSeconds() + 300)
        return fail({ code: 'malformed', path: ['entries', i, 'at'], detail: 'what is recorded has happened already' })
      entries.push(entry.value)
    }
    const { kept, reused } = await shelf.add(entries, sha256, scope.who.id)
    return reused.length > 0
      ? fail(...reused.map((id) => ({ code: 'id_reused' as const, path: ['entries'], id })))
      : succeed({ kept })
  })

/** A roast's peak, as its board read it, enters the record of a kitchen that keeps one. */
export async function recordCook(
  scope: KitchenScope,
  { id, document }: Pick<CookRow, 'id' | 'document'>,
  story: CookStory,
): Promise<void> {
  const plan = scope.kitchen.recordPlan
  if (!plan?.on) return
  const entries = story.items.flatMap((item): RecordEntry[] => {
    const { peak_c, plate, pull_c } = item.went
    const value_c = peak_c ?? pull_c
    if (value_c === null || plate === null) return []
    const own = plan.limits.cooking
    const planned = document.items.find(({ id: of }) => of === item.id)
    const cut = planned && cutAsCooked(planned)
    // What the kitchen says, or what is published for this meat; a whole piece of beef or lamb may be served as it is asked for.
    const published = cut && safetyLeast(cut, { vulnerable: planned.vulnerable, stuffed: planned.roast.stuffed })
    const least_c = own ? own.least_c : (published?.least_c ?? null)
    return [
      recordEntry.parse({
        id: `board-${id}-${item.id}`.slice(0, 64),
        kind: 'cooking',
        at: plate,
        what: `${item.title}: highest at its core`,
        value_c,
        limit: { most_c: null, least_c, within_min: null },
        by: 'the board',
        source: 'board',
      }),
    ]
  })
  if (entries.length > 0) await recordShelf(database(), scope.kitchen).add(entries, sha256)
}

/** Readings of what is left over enter the record of a kitchen that keeps one, where they settle a limit. */
export async function recordLeftovers(
  scope: KitchenScope,
  { id, document }: Pick<CookRow, 'id' | 'document'>,
  log: readonly CookEntry[],
  kept: readonly CookEntry[],
): Promise<void> {
  const plan = scope.kitchen.recordPlan
  const read = kept.filter(({ kind, point, value_c }) => kind === 'note' && point === LEFT_POINT && value_c !== null)
  if (!plan?.on || read.length === 0) return
  const shelf = shelfOf(scope)
  const first = limitOf(plan, 'cooling')
  const stand = standing(log)
  for (const entry of read) {
    const served = stand.findLast((each) => each.kind === 'served' && each.item === entry.item)
    const item = document.items.find((each) => each.id === entry.item)
    if (!served || !item || entry.value_c === null) continue
    const minutes = minutesLain(served.at, entry.at)
    if (minutes === undefined) continue
    const idOf = (which: 'first' | 'second') => `board-left-${which}-${id}-${item.id}`.slice(0, 64)
    const [one, two] = await Promise.all([shelf.find(idOf('first')), shelf.find(idOf('second'))])
    const sofar = two || (one && !keepsLimit(one.entry)) ? 'over' : one ? 'first_met' : 'nothing'
    const limit = settledBy(first, sofar, entry.value_c, minutes)
    if (!limit) continue
    await shelf.add(
      [
        recordEntry.parse({
          id: idOf(sofar === 'nothing' ? 'first' : 'second'),
          kind: 'cooling',
          at: entry.at,
          what: `${item.title}: what is left of it`,
          value_c: entry.value_c,
          minutes,
          limit,
          by: entry.by || 'the board',
          source: 'board',
        }),
      ],
      sha256,
    )
  }
}

/** So long is a fridge as it was read, s; and of so many readings. */
const FRIDGE_S = 90 * 86_400
const FRIDGE_READ = 21

/** What a kitchen's cold store stands at, as its record has it, °C; undefined where it was not read of late. */
export async function fridgeOf(slug: string): Promise<number | undefined> {
  const found = await inKitchen(slug, 'read', async (scope) =>
    succeed(
      fridgeFrom(await shelfOf(scope).readOf('storage', new Date((nowSeconds() - FRIDGE_S) * 1000), FRIDGE_READ)),
    ),
  )
  return found.ok ? found.value : undefined
}

const planning = z.strictObject({
  on: z.boolean(),
  limits: z.partialRecord(z.enum(RECORD_KINDS), limitPart).default({}),
})

/** The kitchen's own plan: whether it keeps a record, and the limits it sets itself. */
export const planRecord = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'record', async (scope) => {
    const asked = parseWith(planning, value)
    if (!asked.ok) return asked
    await scope.setRecordPlan(asked.value)
    await keepTrail(scope, 'setting', 'the record’s limits')
    return succeed({ kept: true })
  })

export interface ExportedRecord {
  readonly format: 'pheasant food-safety record'
  readonly version: 1
  readonly kitchen: string
  readonly exported: string
  readonly hashing: string
  readonly chain: readonly ChainedEntry[]
}

/** The whole record, as it can be verified without us. */
export const exportRecord = (slug: string): Promise<Outcome<ExportedRecord>> =>
  inKitchen(slug, 'record', async (scope) => {
    await keepTrail(scope, 'exported', '', { name: 'the record' })
    return succeed({
      format: 'pheasant food-safety record',
      version: 1,
      kitchen: scope.kitchen.name,
      exported: new Date(nowSeconds() * 1000).toISOString(),
      hashing:
        'SHA-256 of the UTF-8 of {"entry":…,"prev":…,"seq":…}, names of every object in order, no spaces; prev of the first is 64 zeros',
      chain: await shelfOf(scope).all(),
    })
  })

/** The whole record as CSV, times in the kitchen's zone. */
export const recordCsv = (slug: string): Promise<Outcome<string>> =>
  inKitchen(slug, 'record', async (scope) => {
    const local = new Intl.DateTimeFormat('sv-SE', {
      timeZone: scope.kitchen.timeZone,
      dateStyle: 'short',
      timeStyle: 'short',
    })
    return succeed(
      Papa.unparse(
        (await shelfOf(scope).all()).map(({ seq, hash, entry }) => ({
          number: seq,
          local_time: local.format(Date.parse(entry.at)),
          utc: entry.at,
          kind: entry.kind,
          what: entry.what,
          value_c: entry.value_c ?? '',
          minutes: entry.minutes ?? '',
          limit_most_c: entry.limit.most_c ?? '',
          limit_least_c: entry.limit.least_c ?? '',
          limit_minutes: entry.limit.within_min ?? '',
          kept: keepsLimit(entry) ? 'yes' : 'no',
          action: entry.action,
          about: entry.about ?? '',
          of: entry.of ?? '',
          by: entry.by,
          source: entry.source,
          hash,
        })),
        { escapeFormulae: true },
      ),
    )
  })

/** A day of the record as a sheet to print and sign. */
export async function daySheet(slug: string, said: string | undefined): Promise<Outcome<Uint8Array>> {
  const there = await inKitchen(slug, 'read', async (scope) => succeed(scope.kitchen))
  if (!there.ok) return there
  const day = kitchenDay(said, nowSeconds(), there.value.timeZone)
  const found = await dayOfRecord(slug, day.from_s, day.before_s)
  if (!found.ok) return found
  const { kitchen, rows, open, length, last, broken } = found.value
  const units = kitchenUnits(kitchen)
  return onFiles(
    'sheetPdf',
    {
      title: 'Food-safety record',
      under: `${kitchen.name}, ${dayWords(day.from_s + 12 * 3600, units)} ${day.iso.slice(0, 4)}`,
      columns: SHEET_COLUMNS,
      rows: rows.map((row) => ({
        strong: isOpen(row),
        cells: [
          String(row.seq),
          clock(Date.parse(row.entry.at) / 1000, units),
          `${RECORD_NAMES[row.entry.kind]}: ${row.entry.what}`,
          readWords(row.entry, units),
          limitWords(row.entry.limit, units),
          standsWords(row),
          `${row.entry.by}${row.entry.source === 'board' ? ', from its probes' : ''}`,
        ],
      })),
      foot: [
        rows.length === 0 ? 'Nothing was entered on this day.' : '',
        open > 0 ? `${open} not met, and nobody said what was done.` : '',
        broken
          ? `Entry ${broken.seq} is not as it was when it was kept: the record was changed outside the application.`
          : '',
        last
          ? `${length} entries in all, each bound to the one before it. Last seal ${last}: signed with this sheet it fixes everything up to here.`
          : '',
        'Your local food code decides what must be recorded, how often and how long it is kept.',
      ].filter((line) => line !== ''),
      sign: ['Checked and signed', 'Date'],
      made: new Date(nowSeconds() * 1000).toISOString(),
    },
    FILES.page_ms,
  )
}
const SHEET_COLUMNS = [
  { name: 'No.', share: 4 },
  { name: 'At', share: 6 },
  { name: 'What', share: 28 },
  { name: 'Read', share: 14 },
  { name: 'Limit', share: 16 },
  { name: 'Stands', share: 22 },
  { name: 'By', share: 10 },
]
