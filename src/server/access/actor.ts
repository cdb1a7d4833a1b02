import { AsyncLocalStorage } from 'node:async_hooks'
import { headers } from 'next/headers'
import { isClaimed, tabletByToken } from '@/db/people'
import type { Actor } from '@/domain/people/actor'
import { environment } from '../environment'
import { isOwnHost } from '../hosts'
import { database } from '../rooms'
import { DOOR, doorOf, isProxied } from './door'
import { hashOf } from './secrets'
import { personOf } from './sign-in'

/** Who asks, for every use case alike: by the session of their browser, by the tablet's own cookie, or as the house itself. */

const acting = new AsyncLocalStorage<Actor>()
/** Who it is outside any request: nobody, but for tests, which are the house. */
const OTHERWISE: Actor = { kind: process.env.PHEASANT_ACT === 'house' ? 'house' : 'nobody' }

/** Does a piece of work as somebody. */
export const actAs = <Value>(actor: Actor, work: () => Value): Value => acting.run(actor, work)

export const TABLET_COOKIE = 'pheasant_tablet'
const cookieOf = (given: Headers, name: string): string | undefined =>
  given
    .get('cookie')
    ?.split(';')
    .map((each) => each.trim())
    .find((each) => each.startsWith(`${name}=`))
    ?.slice(name.length + 1)

/** Once claimed it stays so; before that it is asked again. */
const world = globalThis as { pheasantClaimed?: boolean }
export async function isOwned(): Promise<boolean> {
  world.pheasantClaimed ||= await isClaimed(database())
  return world.pheasantClaimed
}
/** Whether a request comes from the machine itself, by the door that only that has. */
const fromTheMachine = (given: Headers): boolean =>
  environment().PHEASANT_OPEN === 'demo' ||
  (doorOf(given) === DOOR.machine && !isProxied() && isOwnHost(given.get('host')))

async function actorOf(given: Headers): Promise<Actor> {
  const person = await personOf(given)
  if (person) return { kind: 'person', ...person }
  const token = cookieOf(given, TABLET_COOKIE)
  const tablet = token && (await tabletByToken(database(), hashOf(token)))
  if (tablet) return { kind: 'tablet', id: tablet.id, name: tablet.name, kitchenId: tablet.kitchenId }
  // Whoever sits at the machine is let in as they are, until somebody owns it.
  return fromTheMachine(given) && !(await isOwned()) ? { kind: 'demo' } : { kind: 'nobody' }
}

/** One request is asked for many things: who it is, is looked up once. */
const known = new WeakMap<object, Promise<Actor>>()

/** What the request bears that is answered now; undefined where there is none. */
export async function requestHeaders(): Promise<Headers | undefined> {
  try {
    return (await headers()) as unknown as Headers
  } catch {
    return undefined
  }
}

export async function actorNow(): Promise<Actor> {
  const said = acting.getStore()
  if (said) return said
  const given = await requestHeaders()
  if (!given) return OTHERWISE
  const before = known.get(given)
  if (before) return before
  const found = actorOf(given)
  known.set(given, found)
  return found
}
