import type { KitchenScope } from '@/db/repositories'
import type { MealDocument } from '@/domain/meal/meal-document'
import { type Outcome, succeed } from '@/domain/problem/problem'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { inKitchen } from './kitchen'
import { addMealFromDocument } from './meals'
import { addPlanFromDocument } from './plans'

/** A document that stands for what was asked: one roast, or a whole meal. */
export type Standing =
  | { readonly kind: 'plan'; readonly document: PlanDocument }
  | { readonly kind: 'meal'; readonly document: MealDocument }

/** What it became: a plan of one roast, or a whole meal. */
export interface AddedLine {
  readonly kind: 'plan' | 'meal'
  readonly id: string
}

/** Makes a document in a kitchen's scope, and adds it there as what it is. */
export async function addStanding(
  slug: string,
  documentOf: (scope: KitchenScope) => Promise<Outcome<Standing>>,
): Promise<Outcome<AddedLine>> {
  const made = await inKitchen(slug, 'plan', documentOf)
  if (!made.ok) return made
  const { kind, document } = made.value
  const row = kind === 'plan' ? await addPlanFromDocument(slug, document) : await addMealFromDocument(slug, document)
  return row.ok ? succeed({ kind, id: row.value.id }) : row
}
