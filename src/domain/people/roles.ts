/** What somebody is in a kitchen, the least first. Each may do what those before it may. */
export const ROLES = ['guest', 'cook', 'head_cook', 'owner'] as const
export type Role = (typeof ROLES)[number]

/**
 * What can be done in a kitchen, each with the least role that may do it. The one table of it: every use case names what
 * it does, and a test asks every route as everybody (routes.test.ts).
 */
export const LEAST_ROLE = {
  /** Look at everything: plans, boards, logbook, sheets. */
  read: 'guest',
  /** Begin a cook, keep its log, its readings and its pictures, say how it ate. */
  cook: 'cook',
  /** Make, change and put away plans and meals; put cooks away. */
  plan: 'head_cook',
  /** What the house goes by: standards, cuts, programs, equipment, customs, lessons. */
  house: 'head_cook',
  /** The food-safety record: what is measured, corrected, released, and by what limits. */
  record: 'head_cook',
  /** Probes that send readings, and addresses that show something to whoever has them. */
  share: 'head_cook',
  /** Who belongs to it and as what; tablets; the trail of that. */
  people: 'owner',
  /** Everything taken along, brought in or given up. */
  whole: 'owner',
} as const satisfies Readonly<Record<string, Role>>
export type Action = keyof typeof LEAST_ROLE

/**
 * Whether somebody of a role may do something.
 * @example mayDo('cook', 'cook') // true
 * @example mayDo('cook', 'record') // false
 */
export const mayDo = (role: Role, action: Action): boolean => ROLES.indexOf(role) >= ROLES.indexOf(LEAST_ROLE[action])

/** What a tablet by the stove may do is what a cook may. */
export const TABLET_ROLE: Role = 'cook'
