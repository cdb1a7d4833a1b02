import type { Glance } from './glance'

/** Stories as a list has them, and what it is narrowed by. */

/** A story in a list: without its curves. */
export interface ListedStory {
  readonly cookId: string
  readonly servedAt: Date
  readonly guests: number | null
  readonly verdict: Glance['verdict']
  readonly lateMin: number | null
  readonly title: string
  readonly items: readonly {
    readonly title: string
    readonly cut_name: string
    readonly mass_kg: number
    readonly serve_c: number
    readonly peak_c: number | null
    readonly change: string | null
  }[]
}

/** What stories of a kitchen can be narrowed to, each with how many. */
export interface Facets {
  readonly cuts: readonly Facet[]
  readonly schools: readonly Facet[]
  readonly ovens: readonly Facet[]
  readonly suppliers: readonly Facet[]
}
export interface Facet {
  readonly name: string
  readonly count: number
}

/** A day of the calendar with what was served on it. */
export interface ServedDay {
  readonly day: string
  readonly count: number
}
