import { kitchensOfPerson, memberRole } from '@/db/people'
import { type KitchenRow, type KitchenScope, listKitchens, openKitchen } from '@/db/repositories'
import { UnreadableDocument } from '@/db/stored'
import { customsPart } from '@/domain/house/customs'
import type { LineContext } from '@/domain/line/sentence'
import { type Actor, roleOf, whoOf } from '@/domain/people/actor'
import { type Action, LEAST_ROLE, mayDo, type Role } from '@/domain/people/roles'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { actorNow } from './access/actor'
import { keepTrail } from './access/trail'
import { databaseIsAway, meansAway, unlessAway } from './availability'
import { RETRY_AFTER_S } from './limits'
import { NotNow } from './passing'
import { database } from './rooms'

/** The kitchens that whoever asks belongs to; none while the database is gone. */
export async function kitchensOfHouse(): Promise<readonly KitchenRow[]> {
  const found = await withDatabase(async () => succeed(await kitchensOf(await actorNow())))
  return found.ok ? found.value : []
}

async function kitchensOf(actor: Actor): Promise<readonly KitchenRow[]> {
  if (actor.kind === 'nobody') return []
  if (actor.kind === 'person') return kitchensOfPerson(database(), actor.id)
  const all = await listKitchens(database())
  return actor.kind === 'tablet' ? all.filter(({ id }) => id === actor.kitchenId) : all
}

/** Does a piece of work with the database; where that is gone, the answer says so instead of failing. */
export async function withDatabase<Value>(work: () => Promise<Outcome<Value>>): Promise<Outcome<Value>> {
  const away = fail({ code: 'unavailable', path: [], retry_s: RETRY_AFTER_S })
  if (databaseIsAway()) return away
  try {
    return (await unlessAway(work())) ?? away
  } catch (problem) {
    if (problem instanceof UnreadableDocument)
      return fail({ code: 'unreadable', path: [], what: problem.id, detail: problem.detail })
    if (problem instanceof NotNow) return fail(...problem.problems)
    if (meansAway(problem)) return away
    throw problem
  }
}

const notThere = (slug: string) => fail({ code: 'not_found', path: ['kitchen'], what: slug })

/**
 * Opens a kitchen's scope for a piece of work of one kind, for whoever asks (roles.ts has the table). A kitchen that is
 * not theirs is as one that is not there; what their role may not do is said to be so.
 */
export const inKitchen = <Value>(
  slug: string,
  action: Action,
  work: (scope: KitchenScope, actor: Actor, role: Role) => Promise<Outcome<Value>>,
): Promise<Outcome<Value>> =>
  withDatabase(async () => {
    const actor = await actorNow()
    if (actor.kind === 'nobody') return fail({ code: 'not_signed_in', path: [] })
    const scope = await openKitchen(database(), slug, whoOf(actor))
    if (!scope) return notThere(slug)
    const member = actor.kind === 'person' ? await memberRole(database(), scope.kitchen.id, actor.id) : undefined
    const role = roleOf(actor, scope.kitchen.id, member)
    if (!role) return notThere(slug)
    if (!mayDo(role, action)) return fail({ code: 'not_allowed', path: [], role, least: LEAST_ROLE[action] })
    return work(scope, actor, role)
  })

/** What whoever asks is in a kitchen. */
export const roleHere = (
  slug: string,
): Promise<Outcome<{ readonly role: Role; readonly actor: Actor; readonly kitchen: KitchenRow }>> =>
  inKitchen(slug, 'read', async ({ kitchen }, actor, role) => succeed({ role, actor, kitchen }))

/** Whether somebody has said who they are: for what belongs to no kitchen. */
export async function signedIn(): Promise<Outcome<Actor>> {
  return withDatabase(async () => {
    const actor = await actorNow()
    return actor.kind === 'nobody' ? fail({ code: 'not_signed_in', path: [] }) : succeed(actor)
  })
}

/** What a kitchen's lines are read by: its zone, its order of day and month, its own cuts, programs and ways. */
export const lineContextOf = async (scope: KitchenScope, now_s: number): Promise<LineContext> => ({
  now_s,
  timeZone: scope.kitchen.timeZone,
  dateOrder: scope.kitchen.dateOrder,
  reads: scope.kitchen.temperatureUnit === 'f' ? 'f' : 'c',
  house: await scope.listHouseItems(),
})

/** How the kitchen's people read quantities and days. */
export const keepCustoms = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'house', async (scope) => {
    const customs = parseWith(customsPart, value)
    if (!customs.ok) return customs
    await scope.setCustoms(customs.value)
    await keepTrail(scope, 'setting', 'units and clock')
    return succeed({ kept: true })
  })
