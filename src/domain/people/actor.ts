import { type Role, TABLET_ROLE } from './roles'

/** Who asks. */
export type Actor =
  | { readonly kind: 'person'; readonly id: string; readonly name: string; readonly session: string }
  /** A tablet by the stove: of one kitchen, and whoever stands there. */
  | { readonly kind: 'tablet'; readonly id: string; readonly name: string; readonly kitchenId: string }
  /** Whoever sits at the machine of an installation that nobody has claimed yet. */
  | { readonly kind: 'demo' }
  /** The house itself: its jobs. */
  | { readonly kind: 'house' }
  | { readonly kind: 'nobody' }

export const DEMO_PERSON = { id: 'demo', name: 'Robin Ash' } as const

/** As what is kept says who it was. */
export function whoOf(actor: Actor): { readonly id: string; readonly name: string } {
  switch (actor.kind) {
    case 'person':
    case 'tablet':
      return { id: actor.id, name: actor.name }
    case 'demo':
      return DEMO_PERSON
    case 'house':
      return { id: 'house', name: '' }
    case 'nobody':
      return { id: '', name: '' }
    default:
      return actor satisfies never
  }
}

/**
 * What somebody is in a kitchen; undefined: nothing, and it is not there for them.
 *
 * @param member what a person is there
 * @example roleOf({ kind: 'tablet', id: 't', name: 'Stove', kitchenId: 'a' }, 'b', undefined) // undefined
 */
export function roleOf(actor: Actor, kitchenId: string, member: Role | undefined): Role | undefined {
  switch (actor.kind) {
    case 'person':
      return member
    case 'tablet':
      return actor.kitchenId === kitchenId ? TABLET_ROLE : undefined
    case 'demo':
    case 'house':
      return 'owner'
    case 'nobody':
      return undefined
    default:
      return actor satisfies never
  }
}
