import { findCut } from '@/core/reference/cuts'
import type { Plan } from '@/core/schedule/plan'
import type { KitchenRow, KitchenScope, Page, PlanRow, PlanVersionRow } from '@/db/repositories'
import type { Unreadable } from '@/db/stored'
import type { LivingCook } from '@/domain/cook/living-plan'
import { standardsOf, withStandards } from '@/domain/house/standards'
import { type LineReading, NO_CUT, readLine } from '@/domain/line/reading'
import { isMeal } from '@/domain/line/said-roast'
import { goingInAt, mayComeAsTold, planFromLine, servedAsItComes } from '@/domain/plan/from-line'
import { heatBetween, leavesHeatOpen } from '@/domain/plan/heat-between'
import { asIfToGoIn, checkPlan, checkPromiseAhead } from '@/domain/plan/make-plan'
import type { PlanSummary } from '@/domain/plan/summary'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { type PlanDocument, planDocument } from '@/domain/roast/roast-document'
import { compute, modelStamp } from './compute'
import { nowSeconds } from './environment'
import { inKitchen, lineContextOf } from './kitchen'
import { taughtPlan } from './learned'
import { type CookOfPlan, cooksOfSources } from './living'
import { log, problemOf } from './log'
import { passes, settled } from './passing'
import { cooksFollow, promisesOfPlan } from './promise'

/** The use cases around plans: find the kitchen's scope, ask domain and core, save. */

const noPlan = (id: string) => fail({ code: 'not_found', path: ['plan'], what: id })

/** A saved plan with the plan the model makes of it now. */
export interface SavedPlan {
  readonly kitchen: KitchenRow
  readonly row: PlanRow
  readonly plan: Plan
  /** Saves that came too late and wait to be looked at. */
  readonly setAside: readonly PlanVersionRow[]
  /** What is cooking of it now, and every cook there was. */
  readonly living: LivingCook | undefined
  readonly cooks: readonly CookOfPlan[]
}

export interface PlanList {
  readonly kitchen: KitchenRow
  readonly plans: readonly PlanRow[]
  readonly unreadable: readonly Unreadable[]
  readonly total: number
}

export const plansOfKitchen = (slug: string, page: Page): Promise<Outcome<PlanList>> =>
  inKitchen(slug, 'read', async (scope) => {
    const { rows, unreadable, total } = await scope.plans.list(page)
    return succeed({ kitchen: scope.kitchen, plans: rows, unreadable, total })
  })

/** A plan in a list, with what its ribbon is drawn from: null where it makes no plan, undefined where it is still worked out. */
export interface ListedPlan {
  readonly row: PlanRow
  readonly summary: PlanSummary | null | undefined
  /** What is cooking of it now: its times are the board's. */
  readonly living: LivingCook | undefined
}

/** Works a summary out and keeps it beside its plan. */
async function summarise(scope: KitchenScope, row: PlanRow): Promise<PlanSummary | null | undefined> {
  const made = await compute('summary', { document: row.document, now_s: nowSeconds() })
  if (!made.ok && passes(made)) return undefined
  const summary = made.ok ? made.value : null
  await scope.keepSummary(row, modelStamp(), summary)
  return summary
}

/** Plans as a list shows them: from what is kept beside them; only what changed since is worked out. */
export const listedPlans = (
  slug: string,
  page: Page,
): Promise<Outcome<{ rows: readonly ListedPlan[]; unreadable: readonly Unreadable[]; total: number }>> =>
  inKitchen(slug, 'read', async (scope) => {
    const { rows, unreadable, total } = await scope.plans.list(page)
    const kept = await scope.summaries(rows, modelStamp())
    const cooking = await cooksOfSources(
      scope,
      rows.map(({ id }) => id),
    )
    const listed = await Promise.all(
      rows.map(async (row) => ({
        row,
        summary: kept.has(row.id) ? kept.get(row.id) : await summarise(scope, row),
        living: cooking.get(row.id)?.living,
      })),
    )
    return succeed({ rows: listed, unreadable, total })
  })

/** After a save: so that the next list has nothing to work out. */
function summariseSoon(scope: KitchenScope, row: PlanRow): void {
  summarise(scope, row).catch((problem: unknown) =>
    log.warn({ problem: problemOf(problem), plan: row.id }, 'no summary'),
  )
}

export const planInKitchen = (slug: string, id: string, gone?: AbortSignal): Promise<Outcome<SavedPlan>> =>
  inKitchen(slug, 'read', async (scope) => {
    const row = await scope.plans.find(id)
    if (!row) return noPlan(id)
    const made = await compute('plan', { document: row.document, now_s: nowSeconds() }, gone)
    if (!made.ok) return made
    const cooked = (await cooksOfSources(scope, [id])).get(id)
    return succeed({
      kitchen: scope.kitchen,
      row,
      plan: made.value,
      setAside: await scope.plans.listSetAside(id),
      living: cooked?.living,
      cooks: cooked?.cooks ?? [],
    })
  })

/** Adds a plan from a typed line about one roast. */
export const addPlanFromLine = (slug: string, line: string): Promise<Outcome<PlanRow>> =>
  inKitchen(slug, 'plan', async (scope) => {
    const now_s = nowSeconds()
    const read = readLine(line, await lineContextOf(scope, now_s))
    if (!read.ok) return read
    if (read.value.roasts.length === 0) return fail(NO_CUT)
    if (isMeal(read.value)) return fail({ code: 'line_of_a_meal', path: ['line'] })
    const here = { altitude_m: altitudeOf(scope), time_zone: scope.kitchen.timeZone }
    const document = { ...planFromLine(read.value, now_s), ...here }
    return addChecked(scope, await planAsSaid(scope, read.value, document, now_s))
  })

/** The plan of a line with what its kitchen has learned, going in when its line says so, where it says so and can be planned. */
export async function planAsSaid(
  scope: KitchenScope,
  { put_in_s: said_s, promise_s, between_s }: LineReading,
  untaught: PlanDocument,
  now_s: number,
): Promise<PlanDocument> {
  const taught = await taughtPlan(scope, untaught)
  const document = between_s === undefined ? taught : await heatedBetween(taught, between_s, now_s)
  const put_in_s = promise_s === undefined ? said_s : undefined
  if (put_in_s === undefined && !mayComeAsTold(document)) return document
  const plan = settled(await compute('plan', { document: asIfToGoIn(document), now_s }))
  if (!plan) return document
  const serve_c = servedAsItComes(document, plan)
  const served = serve_c === undefined ? document : { ...document, target: { serve_c: Math.round(serve_c) } }
  return put_in_s === undefined ? served : goingInAt(served, plan.putIn, put_in_s, now_s)
}

/** The same plan in an oven that makes it go in when it was said to; where none does it says so. */
async function heatedBetween(document: PlanDocument, wanted_s: number, now_s: number): Promise<PlanDocument> {
  const { program } = document
  const cut = findCut(document.roast.cut)
  if (!cut || 'stages' in program || !leavesHeatOpen(program)) return document
  const at = (set_c: number): PlanDocument => ({ ...document, program: { ...program, set_c } })
  const putInAt = async (set_c: number) => settled(await compute('plan', { document: at(set_c), now_s }))?.putIn
  const set_c = await heatBetween(cut, putInAt, wanted_s)
  if (set_c !== undefined) return at(set_c)
  const said = 'no oven makes it go in when it was said to: it goes in when it must'
  return { ...document, notes: [document.notes, said].filter((note) => note !== '').join('; ') }
}

/** Adds a plan from a document. */
export const addPlanFromDocument = (slug: string, value: unknown): Promise<Outcome<PlanRow>> =>
  inKitchen(slug, 'plan', async (scope) => {
    // A document that does not say how high it is cooked, or by whose clock, is cooked in this kitchen.
    const here = typeof value === 'object' && value !== null ? { altitude_m: altitudeOf(scope), ...value } : value
    const document = parseWith(planDocument, here)
    if (!document.ok) return document
    const roast = withStandards(document.value.roast, standardsOf(await scope.listHouseItems()))
    const time_zone = document.value.time_zone ?? scope.kitchen.timeZone
    return addChecked(scope, { ...document.value, roast, time_zone })
  })

const altitudeOf = ({ kitchen }: KitchenScope): number => kitchen.equipment?.altitude_m ?? 0

async function addChecked(scope: KitchenScope, document: PlanDocument): Promise<Outcome<PlanRow>> {
  const now_s = nowSeconds()
  const ahead = checkPromiseAhead(document, now_s)
  if (!ahead.ok) return ahead
  const checked = checkPlan(document, now_s)
  if (!checked.ok) return checked
  const row = await scope.plans.add(document)
  summariseSoon(scope, row)
  return succeed(row)
}

export type SaveAnswer =
  | { readonly outcome: 'saved'; readonly version: number }
  | { readonly outcome: 'stale'; readonly current: PlanRow; readonly setAside: PlanVersionRow }

/** Saves a changed document over the version it started from. */
export const savePlan = (slug: string, id: string, baseVersion: number, value: unknown): Promise<Outcome<SaveAnswer>> =>
  inKitchen<SaveAnswer>(slug, 'plan', async (scope) => {
    const document = parseWith(planDocument, value)
    if (!document.ok) return document
    const checked = checkPlan(document.value, nowSeconds())
    if (!checked.ok) return checked
    const result = await scope.plans.save(id, baseVersion, document.value)
    switch (result.outcome) {
      case 'missing':
        return noPlan(id)
      case 'saved':
        summariseSoon(scope, result.row)
        await cooksFollow(scope, id, promisesOfPlan(document.value))
        return succeed({ outcome: 'saved', version: result.row.version })
      case 'stale':
        return succeed(result)
      default:
        return result satisfies never
    }
  })

/** Deals with a version that was set aside: the cook has taken it over or let it go. */
export const settleSetAside = (slug: string, id: string, versionId: string): Promise<Outcome<{ settled: boolean }>> =>
  inKitchen(slug, 'plan', async (scope) => succeed({ settled: await scope.settle(id, versionId) }))

const shelfOf = (scope: KitchenScope, kind: 'plan' | 'meal') => (kind === 'plan' ? scope.plans : scope.meals)
const notThere = (kind: 'plan' | 'meal', id: string) => fail({ code: 'not_found', path: [kind], what: id })

/** Puts a plan or a meal away, or takes it out again. */
export const archiveDocument = (
  slug: string,
  kind: 'plan' | 'meal',
  id: string,
  away: boolean,
): Promise<Outcome<{ archived: boolean }>> =>
  inKitchen(slug, 'plan', async (scope) =>
    (await shelfOf(scope, kind).archive(id, away)) ? succeed({ archived: away }) : notThere(kind, id),
  )

/** Takes a plan or a meal away with every version it has had. */
export const removeDocument = (slug: string, kind: 'plan' | 'meal', id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'plan', async (scope) =>
    (await shelfOf(scope, kind).remove(id)) ? succeed({ removed: true }) : notThere(kind, id),
  )
