import { z } from 'zod'
import { type AddressRow, openAddress, peopleShelf } from '@/db/people'
import { type KitchenScope, openKitchen } from '@/db/repositories'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { ident, text } from '@/domain/schema/scalars'
import { calendarOfKitchen } from '../exports'
import { inKitchen, withDatabase } from '../kitchen'
import { database } from '../rooms'
import { actAs } from './actor'
import { within } from './limiter'
import { hashOf, newSecret } from './secrets'

/** Addresses that show one thing to whoever has them: secret, with an end, counted, and closed by a tap. */

const DAY_MS = 86_400_000
const MOST_ADDRESSES = 100

const sharing = z.strictObject({
  of: z.enum(['calendar', 'sheet', 'board']),
  thing: ident(60).nullable().default(null),
  name: text(80).trim().min(1),
  days: z.int().min(1).max(400).default(30),
})

const shelfOf = (scope: KitchenScope) => peopleShelf(database(), scope.kitchen, scope.who)

/** Makes an address; its secret is shown this once. */
export const share = (
  slug: string,
  value: unknown,
): Promise<Outcome<{ readonly id: string; readonly path: string; readonly ends: string }>> =>
  inKitchen(slug, 'share', async (scope) => {
    const asked = parseWith(sharing, value)
    if (!asked.ok) return asked
    const { of, thing, name, days } = asked.value
    if ((of === 'calendar') !== (thing === null))
      return fail({
        code: 'malformed',
        path: ['thing'],
        detail: 'a sheet and a board are of one thing, a calendar of all',
      })
    const often = await within('hand_out', scope.who.id)
    if (!often.ok) return often
    const shelf = shelfOf(scope)
    if ((await shelf.addresses()).length >= MOST_ADDRESSES)
      return fail({ code: 'too_many', path: ['of'], most: MOST_ADDRESSES })
    const secret = newSecret()
    const ends = new Date(Date.now() + days * DAY_MS)
    const row = await shelf.makeAddress(of, thing, name, hashOf(secret), ends)
    return succeed({
      id: row.id,
      path: of === 'calendar' ? `/calendar/${secret}` : `/shared/${secret}`,
      ends: ends.toISOString(),
    })
  })

export const addressesOf = (slug: string): Promise<Outcome<readonly AddressRow[]>> =>
  inKitchen(slug, 'share', async (scope) => succeed(await shelfOf(scope).addresses()))

export const unshare = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'share', async (scope) =>
    (await shelfOf(scope).closeAddress(id))
      ? succeed({ removed: true })
      : fail({ code: 'not_found', path: ['address'], what: id }),
  )

/** Does what an address opens, as the house: whoever has it may see that one thing. */
export const atAddress = <Value>(
  secret: string,
  work: (address: AddressRow, scope: KitchenScope) => Promise<Outcome<Value>>,
): Promise<Outcome<Value>> =>
  withDatabase(async () => {
    const found = await openAddress(database(), hashOf(secret))
    if (!found) return fail({ code: 'not_found', path: ['address'], what: 'of that secret' })
    const scope = await openKitchen(database(), found.kitchen.slug)
    return scope
      ? actAs({ kind: 'house' }, () => work(found.address, scope))
      : fail({ code: 'not_found', path: ['address'], what: 'of that secret' })
  })

/** A kitchen's calendar, for whoever has its address. */
export const calendarAt = (secret: string): Promise<Outcome<string>> =>
  atAddress(secret, async (address, scope) =>
    address.of === 'calendar'
      ? calendarOfKitchen(scope)
      : fail({ code: 'not_found', path: ['address'], what: 'of that secret' }),
  )
