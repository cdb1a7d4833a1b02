import Papa from 'papaparse'
import { z } from 'zod'
import { type CookRow, cookShelf } from '@/db/cooks'
import type { KitchenRow, KitchenScope } from '@/db/repositories'
import { type StoryFilter, storyShelf } from '@/db/stories'
import { type CookEntry, cookTime } from '@/domain/cook/cook-document'
import { secondsOf } from '@/domain/cook/entry/time'
import type { Facets, ListedStory, ServedDay } from '@/domain/cook/story/found'
import type { CookStory } from '@/domain/cook/story/story'
import { feastDays } from '@/domain/learn/feasts'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { text } from '@/domain/schema/scalars'
import { compute } from './compute'
import { nowPrecisely } from './environment'
import { inKitchen } from './kitchen'
import { log, problemOf } from './log'
import { passes } from './passing'
import { recordCook } from './record'
import { database } from './rooms'

/** The use cases of the logbook: cooks that are over, found, read and laid over each other. */

const shelfOf = (scope: KitchenScope) => storyShelf(database(), scope.kitchen)

/** A cook's readings are told from at most so many hours, and one in so many seconds. */
const SPAN_S = 30 * 3600
const STEP_S = 30
/** Stories that are not written yet: so many are waited for where a list is asked, the rest follow. */
const WAITED = 4
const FOLLOWING = 40
/** What says nothing of how it was cooked. */
const AFTERWARDS: ReadonlySet<CookEntry['kind']> = new Set(['ate', 'heard', 'note'])

/** Writes the story of a cook that is over, or adds what was said of it since. */
async function tell(scope: KitchenScope, id: string): Promise<void> {
  const cooks = cookShelf(database(), scope.kitchen)
  const stories = shelfOf(scope)
  const row = await cooks.find(id)
  if (row?.state !== 'done' || row.document.clock.speed !== 1) return
  const [[before], entries] = await Promise.all([stories.find([id]), cooks.entriesSince(id, 0)])
  const news = entries.filter(({ seq }) => seq > (before?.seq ?? 0))
  const told = before && news.every(({ entry }) => AFTERWARDS.has(entry.kind)) ? before.story : undefined
  const told_s = entries.map(({ entry }) => secondsOf(entry.at))
  const from_s = Math.min(...told_s, ...row.document.items.map(({ put_in }) => secondsOf(put_in))) - 600
  const to_s = Math.min(Math.max(...told_s, from_s) + 3 * 3600, from_s + SPAN_S)
  const readings = told ? [] : await cooks.readings(new Date(from_s * 1000), new Date(to_s * 1000), STEP_S)
  const made = await compute('story', {
    document: row.document,
    entries: entries.map(({ entry }) => entry),
    readings,
    now_s: Math.min(cookTime(row.document.clock, nowPrecisely()), to_s),
    told,
  })
  if (!made.ok) {
    if (!passes(made)) gaveUp(id, row.lastSeq)
    return
  }
  const { story, glance } = made.value
  await stories.keep({ cookId: id, seq: entries.at(-1)?.seq ?? 0, story, ...glance })
  counted.delete(scope.kitchen.id)
  await recordCook(scope, row, story)
}

/** Cooks of which no story could be made, as long as nothing new is said of them: not tried at every look. */
const untellable = new Map<string, number>()
const MOST_UNTELLABLE = 2000
function gaveUp(id: string, lastSeq: number): void {
  if (untellable.size >= MOST_UNTELLABLE) untellable.clear()
  untellable.set(id, lastSeq)
}

/** Cooks that are being told, and whether something was said of them meanwhile: one is told once at a time. */
const telling = new Map<string, { done: Promise<void>; again: boolean }>()

/** Tells a cook as far as it can be told: what cannot is logged, and takes no page with it. */
function tried(scope: KitchenScope, { id, lastSeq }: Pick<CookRow, 'id' | 'lastSeq'>): Promise<void> {
  const under = telling.get(id)
  if (under) {
    under.again = true
    return under.done
  }
  const once = (): Promise<void> =>
    tell(scope, id).catch((problem: unknown) => {
      gaveUp(id, lastSeq)
      log.warn({ problem: problemOf(problem), cook: id }, 'no story')
    })
  const own = { done: Promise.resolve(), again: false }
  own.done = once()
    .then(() => (own.again ? once() : undefined))
    .finally(() => telling.delete(id))
  telling.set(id, own)
  return own.done
}

/** Taps come in bursts: a story waits so long for the next one, ms. */
const BURST_MS = 1500
const soon = new Set<string>()

/** The same, for whoever does not wait for it. */
export function tellSoon(scope: KitchenScope, row: Pick<CookRow, 'id' | 'lastSeq'>): void {
  if (soon.has(row.id)) return
  soon.add(row.id)
  setTimeout(() => {
    soon.delete(row.id)
    void tried(scope, row)
  }, BURST_MS).unref()
}

/** Sees to it that what is over stands in the logbook; what is not written yet is waited for, as far as it takes a moment. */
async function toldUp(scope: KitchenScope): Promise<void> {
  const untold = (await shelfOf(scope).untold(FOLLOWING)).filter(({ id, lastSeq }) => untellable.get(id) !== lastSeq)
  for (const later of untold.slice(WAITED)) tellSoon(scope, later)
  await Promise.all(untold.slice(0, WAITED).map((row) => tried(scope, row)))
}

/** What the address of a logbook may say. */
export const logbookQuery = z.object({
  words: text(200).trim().optional().catch(undefined),
  cut: text(80).optional().catch(undefined),
  school: text(80).optional().catch(undefined),
  oven: text(120).optional().catch(undefined),
  supplier: text(80).optional().catch(undefined),
  result: z.enum(['under', 'as_wanted', 'over', 'late']).optional().catch(undefined),
  season: z.enum(['spring', 'summer', 'autumn', 'winter', 'christmas']).optional().catch(undefined),
  guests: z.enum(['few', 'some', 'many']).optional().catch(undefined),
  year: z.coerce.number().int().min(1970).max(9999).optional().catch(undefined),
  page: z.coerce.number().int().min(1).max(40_000).catch(1),
})
export type LogbookQuery = z.output<typeof logbookQuery>

const SEASONS = {
  spring: [3, 4, 5],
  summer: [6, 7, 8],
  autumn: [9, 10, 11],
  winter: [12, 1, 2],
  christmas: [12],
} as const
const GUESTS = { few: { least: 1, most: 4 }, some: { least: 5, most: 12 }, many: { least: 13, most: 2000 } } as const
export const LOGBOOK_PAGE = 24

const filterOf = ({ words, cut, school, oven, supplier, result, season, guests, year }: LogbookQuery): StoryFilter => ({
  words,
  cut,
  school,
  oven,
  supplier,
  verdict: result === 'late' ? undefined : result,
  late: result === 'late',
  months: season ? SEASONS[season] : undefined,
  guests: guests ? GUESTS[guests] : undefined,
  from: year ? new Date(Date.UTC(year, 0, 1)) : undefined,
  before: year ? new Date(Date.UTC(year + 1, 0, 1)) : undefined,
})

/** What a logbook is narrowed by is counted once in a while, and anew when a story is told here. */
const FACETS_MS = 30_000
const MOST_COUNTED = 500
const counted = new Map<string, { readonly until_ms: number; readonly facets: Promise<Facets> }>()
function facetsOf(scope: KitchenScope): Promise<Facets> {
  const { id } = scope.kitchen
  const known = counted.get(id)
  if (known && known.until_ms > Date.now()) return known.facets
  if (counted.size >= MOST_COUNTED) counted.clear()
  const facets = shelfOf(scope).facets()
  counted.set(id, { until_ms: Date.now() + FACETS_MS, facets })
  facets.catch(() => counted.delete(id))
  return facets
}

export interface Logbook {
  readonly kitchen: KitchenRow
  readonly stories: readonly ListedStory[]
  readonly total: number
  readonly facets: Facets
  readonly days: readonly ServedDay[]
}

export const logbookOf = (slug: string, query: LogbookQuery, now_s: number): Promise<Outcome<Logbook>> =>
  inKitchen(slug, 'read', async (scope) => {
    await toldUp(scope)
    const stories = shelfOf(scope)
    const year = query.year ?? new Date(now_s * 1000).getUTCFullYear()
    const [listed, facets, days] = await Promise.all([
      stories.list(filterOf(query), { limit: LOGBOOK_PAGE, offset: (query.page - 1) * LOGBOOK_PAGE }),
      facetsOf(scope),
      stories.days(new Date(Date.UTC(year, 0, 1)), new Date(Date.UTC(year + 1, 0, 1))),
    ])
    return succeed({ kitchen: scope.kitchen, ...listed, facets, days })
  })

export interface ToldCook {
  readonly id: string
  readonly story: CookStory
}

/** At most so many cooks are laid over each other. */
export const MOST_COMPARED = 3

const COOK_ID = /^[\w-]{1,60}$/

/** The stories of some cooks, in the order asked for; one that has none is not there. */
export const storiesOf = (
  slug: string,
  ids: readonly string[],
): Promise<Outcome<{ readonly kitchen: KitchenRow; readonly cooks: readonly ToldCook[] }>> =>
  inKitchen(slug, 'read', async (scope) => {
    const asked = [...new Set(ids)].filter((id) => COOK_ID.test(id)).slice(0, MOST_COMPARED)
    const stories = shelfOf(scope)
    const untold = asked.length > 0 ? await stories.untold(MOST_COMPARED, asked) : []
    await Promise.all(untold.map((row) => tried(scope, row)))
    const found = await stories.find(asked)
    const cooks = asked.flatMap((id) => {
      const row = found.find(({ cookId }) => cookId === id)
      return row ? [{ id, story: row.story }] : []
    })
    return cooks.length > 0
      ? succeed({ kitchen: scope.kitchen, cooks })
      : fail({ code: 'not_found', path: ['cook'], what: asked.join(', ') })
  })

/** The curves of a cook as CSV, in the order of time. */
export async function curveCsv(slug: string, id: string): Promise<Outcome<string>> {
  const found = await storiesOf(slug, [id])
  if (!found.ok) return found
  const rows = found.value.cooks.flatMap(({ story }) =>
    story.items.flatMap(({ title, planned_curve, read_curve }) =>
      [
        ...planned_curve.map(([s, c]) => ({ s, roast: title, planned_c: c as number | '', read_c: '' as number | '' })),
        ...read_curve.map(([s, c]) => ({ s, roast: title, planned_c: '' as number | '', read_c: c as number | '' })),
      ]
        .sort((a, b) => a.s - b.s)
        .map(({ s, ...row }) => ({ minutes_since_put_in: (s / 60).toFixed(2), ...row })),
    ),
  )
  return succeed(Papa.unparse(rows, { escapeFormulae: true }))
}

/** The newest cook that is found by some words; of a feast, also by its days. */
export async function cookLike(scope: KitchenScope, words: string): Promise<string | undefined> {
  await toldUp(scope)
  const stories = shelfOf(scope)
  const first = { limit: 1, offset: 0 }
  const named = (await stories.list({ words }, first)).stories[0]
  if (named) return named.cookId
  for (const { from_s, before_s } of feastDays(words, nowPrecisely(), scope.kitchen.timeZone)) {
    const days = { from: new Date(from_s * 1000), before: new Date(before_s * 1000) }
    const found = (await stories.list(days, first)).stories[0]
    if (found) return found.cookId
  }
  return undefined
}
