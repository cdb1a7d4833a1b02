import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { findCut } from '@/core/reference/cuts'
import { cookShelf } from '@/db/cooks'
import type { KitchenRow, KitchenScope } from '@/db/repositories'
import { storyShelf } from '@/db/stories'
import type { CookEntry } from '@/domain/cook/cook-document'
import { asIfUntaught, type LearnedThing, learnedFrom, mealWithLearned, withLearned } from '@/domain/learn/learned'
import { type LearnedProbe, offsetsToBegin, probesFrom } from '@/domain/learn/probes'
import type { MealDocument } from '@/domain/meal/meal-document'
import { asIfToGoIn } from '@/domain/plan/make-plan'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { text } from '@/domain/schema/scalars'
import { keepTrail } from './access/trail'
import { compute } from './compute'
import { nowSeconds } from './environment'
import { inKitchen } from './kitchen'
import { settled } from './passing'
import { database } from './rooms'

/** The use cases of learning: what the kitchen's cooks taught, whether plans go by it, and plans that do. */

/** So many of the newest cooks are asked. */
const ASKED = 400
const MOST_OFF = 500

export interface LearnedInKitchen {
  readonly kitchen: KitchenRow
  readonly things: readonly (LearnedThing & { readonly on: boolean })[]
}

/** Lessons that are not switched off. */
function inUse<Thing extends LearnedThing>({ kitchen }: KitchenScope, things: readonly Thing[]): readonly Thing[] {
  const off = new Set(kitchen.learningOff)
  return things.filter(({ key }) => !off.has(key))
}

/** Everything the cooks of a kitchen taught. */
async function thingsOf(scope: KitchenScope): Promise<readonly LearnedThing[]> {
  const taught = await storyShelf(database(), scope.kitchen).taught(ASKED)
  return learnedFrom(taught, (cut) => findCut(cut)?.name ?? cut, nowSeconds())
}

/** So many of the newest checks of probes are asked. */
const CHECKS = 500

/** What each of a kitchen's probes reads too much. */
async function probesOf(scope: KitchenScope): Promise<readonly LearnedProbe[]> {
  const shelf = cookShelf(database(), scope.kitchen)
  const [checks, devices] = await Promise.all([shelf.checks(CHECKS), shelf.devices()])
  if (checks.length === 0) return []
  return probesFrom(checks, (id) => devices.find((each) => each.id === id)?.name, nowSeconds())
}

/** What a cook that begins now takes over of that. */
export async function offsetsFor(scope: KitchenScope): Promise<readonly CookEntry[]> {
  return offsetsToBegin(
    inUse(scope, await probesOf(scope)),
    new Date(nowSeconds() * 1000).toISOString(),
    () => `learned-${randomUUID()}`,
  )
}

export const learnedInKitchen = (slug: string): Promise<Outcome<LearnedInKitchen>> =>
  inKitchen(slug, 'read', async (scope) => {
    const off = new Set(scope.kitchen.learningOff)
    const things = [...(await thingsOf(scope)), ...(await probesOf(scope))]
    return succeed({ kitchen: scope.kitchen, things: things.map((thing) => ({ ...thing, on: !off.has(thing.key) })) })
  })

const switching = z.strictObject({ key: text(260), on: z.boolean() })

/** Has plans go by one lesson, or do without it. */
export const switchLearning = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'house', async (scope) => {
    const asked = parseWith(switching, value)
    if (!asked.ok) return asked
    const { key, on } = asked.value
    if (!on && scope.kitchen.learningOff.length >= MOST_OFF)
      return fail({ code: 'malformed', path: ['key'], detail: `no more than ${MOST_OFF} lessons are left out` })
    await scope.setLearning(key, on)
    await keepTrail(scope, 'setting', `whether plans go by ${key}`.slice(0, 200))
    return succeed({ kept: true })
  })

/** A meal with what this kitchen's cooks taught in its ovens and pieces. */
export async function taughtMeal(scope: KitchenScope, document: MealDocument): Promise<MealDocument> {
  const taught = mealWithLearned(document, inUse(scope, await thingsOf(scope)))
  if (taught.learned.length === 0) return document
  // What cannot be planned with it is planned without.
  return settled(await compute('meal', taught)) ? taught : document
}

/** A plan with what this kitchen's cooks taught in it, each with what it did to the put-in. */
export async function taughtPlan(scope: KitchenScope, document: PlanDocument): Promise<PlanDocument> {
  const { document: taught, used } = withLearned(document, inUse(scope, await thingsOf(scope)))
  if (used.length === 0) return document
  const now_s = nowSeconds()
  const putIn = async (of: PlanDocument) => settled(await compute('plan', { document: asIfToGoIn(of), now_s }))?.putIn
  const own_s = await putIn(taught)
  // What cannot be planned with it is planned without.
  if (own_s === undefined) return document
  const learned = await Promise.all(
    used.map(async (each) => {
      const without = asIfUntaught({ ...taught, learned: [each] })
      const without_s = await putIn({ ...without, learned: [] })
      return { ...each, later_min: without_s === undefined ? null : Math.round((own_s - without_s) / 60) }
    }),
  )
  return { ...taught, learned }
}
