import type { KitchenRow, KitchenScope, PlanRow, PlanVersionRow } from '@/db/repositories'
import type { Unreadable } from '@/db/stored'
import { readLine } from '@/domain/line/line'
import { planFromLine } from '@/domain/plan/from-line'
import { checkPlan, checkPromiseAhead, type MadePlan, makePlan } from '@/domain/plan/make-plan'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { type PlanDocument, planDocument } from '@/domain/roast/roast-document'
import { nowSeconds } from './environment'
import { inKitchen } from './kitchen'

/** The use cases around plans: find the kitchen's scope, ask domain and core, save. */

const noPlan = (id: string) => fail({ code: 'not_found', path: ['plan'], what: id })

/** A saved plan with the plan the model makes of it now. */
export interface SavedPlan {
  readonly kitchen: KitchenRow
  readonly row: PlanRow
  readonly made: MadePlan
  /** Saves that came too late and wait to be looked at. */
  readonly setAside: readonly PlanVersionRow[]
}

export const plansOfKitchen = (
  slug: string,
): Promise<Outcome<{ kitchen: KitchenRow; plans: readonly PlanRow[]; unreadable: readonly Unreadable[] }>> =>
  inKitchen(slug, async (scope) => {
    const { rows, unreadable } = await scope.plans.list()
    return succeed({ kitchen: scope.kitchen, plans: rows, unreadable })
  })

export const planInKitchen = (slug: string, id: string): Promise<Outcome<SavedPlan>> =>
  inKitchen(slug, async (scope) => {
    const row = await scope.plans.find(id)
    if (!row) return noPlan(id)
    const made = makePlan(row.document, nowSeconds())
    if (!made.ok) return made
    return succeed({ kitchen: scope.kitchen, row, made: made.value, setAside: await scope.plans.listSetAside(id) })
  })

/** Adds a plan from a typed line. */
export const addPlanFromLine = (slug: string, line: string): Promise<Outcome<PlanRow>> =>
  inKitchen(slug, async (scope) => {
    const read = readLine(line, nowSeconds(), scope.kitchen.timeZone)
    return read.ok
      ? addChecked(scope, { ...planFromLine(read.value, nowSeconds()), altitude_m: altitudeOf(scope) })
      : read
  })

/** Adds a plan from a document. */
export const addPlanFromDocument = (slug: string, value: unknown): Promise<Outcome<PlanRow>> =>
  inKitchen(slug, async (scope) => {
    // A document that does not say how high it is cooked is cooked in this kitchen.
    const here = typeof value === 'object' && value !== null ? { altitude_m: altitudeOf(scope), ...value } : value
    const document = parseWith(planDocument, here)
    return document.ok ? addChecked(scope, document.value) : document
  })

const altitudeOf = ({ kitchen }: KitchenScope): number => kitchen.equipment?.altitude_m ?? 0

async function addChecked(scope: KitchenScope, document: PlanDocument): Promise<Outcome<PlanRow>> {
  const now_s = nowSeconds()
  const ahead = checkPromiseAhead(document, now_s)
  if (!ahead.ok) return ahead
  const checked = checkPlan(document, now_s)
  return checked.ok ? succeed(await scope.plans.add(document)) : checked
}

export type SaveAnswer =
  | { readonly outcome: 'saved'; readonly version: number }
  | { readonly outcome: 'stale'; readonly current: PlanRow; readonly setAside: PlanVersionRow }

/** Saves a changed document over the version it started from. */
export const savePlan = (slug: string, id: string, baseVersion: number, value: unknown): Promise<Outcome<SaveAnswer>> =>
  inKitchen<SaveAnswer>(slug, async (scope) => {
    const document = parseWith(planDocument, value)
    if (!document.ok) return document
    const checked = checkPlan(document.value, nowSeconds())
    if (!checked.ok) return checked
    const result = await scope.plans.save(id, baseVersion, document.value)
    switch (result.outcome) {
      case 'missing':
        return noPlan(id)
      case 'saved':
        return succeed({ outcome: 'saved', version: result.row.version })
      case 'stale':
        return succeed(result)
      default:
        return result satisfies never
    }
  })

/** Deals with a version that was set aside: the cook has taken it over or let it go. */
export const settleSetAside = (slug: string, id: string, versionId: string): Promise<Outcome<{ settled: boolean }>> =>
  inKitchen(slug, async (scope) => succeed({ settled: await scope.settle(id, versionId) }))
