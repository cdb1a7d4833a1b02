import { peopleShelf } from '@/db/people'
import type { KitchenScope } from '@/db/repositories'
import type { Actor } from '@/domain/people/actor'
import { database } from '../rooms'

/** Keeps a line of the trail of a kitchen, by who did it. */
export const keepTrail = (
  scope: KitchenScope,
  what: string,
  about: string,
  detail?: Readonly<Record<string, string | number | boolean | null>>,
): Promise<void> => peopleShelf(database(), scope.kitchen, scope.who).keep(what, about, detail)

/** Under what name something is kept: a person's own; whoever is said to be at it where many use one screen. */
export const signedAs = (actor: Actor, said: string): string => (actor.kind === 'person' ? actor.name : said)
