import type { Hindrance } from '@/core/simulate/hindrance'
import type { Role } from '../people/roles'

/**
 * Something wrong with what was asked, as data: a code, where it is, and the numbers behind it.
 * No sentences here: words turns problems into words, in the reader's units.
 */
export type Problem =
  | { readonly code: 'missing_cut'; readonly nearest: readonly string[] }
  | { readonly code: 'line_of_a_meal'; readonly path: Path }
  | { readonly code: 'missing_guests'; readonly path: Path }
  | { readonly code: 'missing_time'; readonly path: Path }
  | { readonly code: 'only_guests_and_time'; readonly path: Path; readonly words: string }
  | { readonly code: 'missing_doneness'; readonly path: Path }
  | { readonly code: 'nothing_placed'; readonly path: Path }
  /** No bird, or one that is pressed flat. */
  | { readonly code: 'no_cavity'; readonly path: Path; readonly flat?: true }
  | { readonly code: 'no_thin_end'; readonly path: Path }
  | {
      readonly code: 'missing_heat'
      readonly path: Path
      readonly title: string
      readonly source: 'oven' | 'fire' | 'hob' | 'bath' | 'cabinet'
    }
  | { readonly code: 'no_document'; readonly path: Path }
  | { readonly code: 'version_unknown'; readonly path: Path; readonly version: string; readonly newest: number }
  | { readonly code: 'line_too_long'; readonly given: number; readonly most: number }
  | { readonly code: 'unknown_cut'; readonly path: Path; readonly given: string; readonly nearest: readonly string[] }
  | {
      readonly code: 'unknown_school'
      readonly path: Path
      readonly given: string
      readonly nearest: readonly string[]
    }
  | {
      readonly code: 'unknown_doneness'
      readonly path: Path
      readonly given: string
      readonly nearest: readonly string[]
    }
  | {
      readonly code: 'school_does_not_suit'
      readonly path: Path
      readonly school: string
      readonly cut: string
      readonly nearest: readonly string[]
    }
  | {
      readonly code: 'out_of_range'
      readonly path: Path
      readonly quantity: QuantityKind
      readonly value: number
      readonly low: number
      readonly high: number
      readonly cut?: string
    }
  | {
      readonly code: 'thickness_contradicts_mass'
      readonly path: Path
      readonly thickness_mm: number
      readonly mass_kg: number
      readonly low_mm: number
      readonly high_mm: number
    }
  | { readonly code: 'cannot_be'; readonly path: Path; readonly because: Hindrance }
  | { readonly code: 'heat_below_target'; readonly path: Path; readonly set_c: number; readonly serve_c: number }
  | { readonly code: 'start_above_target'; readonly path: Path; readonly start_c: number; readonly serve_c: number }
  | { readonly code: 'promise_passed'; readonly path: Path; readonly promise: string; readonly now: string }
  | { readonly code: 'promise_too_far'; readonly path: Path; readonly days: number }
  | { readonly code: 'malformed'; readonly path: Path; readonly detail: string }
  | { readonly code: 'malformed_json'; readonly path: Path; readonly detail: string }
  | { readonly code: 'unreadable'; readonly path: Path; readonly what: string; readonly detail: string }
  | { readonly code: 'not_found'; readonly path: Path; readonly what: string }
  | { readonly code: 'stale_version'; readonly path: Path; readonly yours: number; readonly theirs: number }
  | { readonly code: 'too_large'; readonly path: Path; readonly most_bytes: number }
  | { readonly code: 'too_deep'; readonly path: Path; readonly most: number }
  | { readonly code: 'too_many'; readonly path: Path; readonly most: number }
  | { readonly code: 'out_of_time'; readonly path: Path; readonly limit_s: number }
  | { readonly code: 'too_busy'; readonly path: Path; readonly retry_s: number }
  /** A thread of the device's own died while it computed. */
  | { readonly code: 'reckoning_stopped'; readonly path: Path }
  | { readonly code: 'unavailable'; readonly path: Path; readonly retry_s: number }
  /** Nobody has said who they are. */
  | { readonly code: 'not_signed_in'; readonly path: Path }
  /** They may see it, and not do that: what they are, and the least that may. */
  | { readonly code: 'not_allowed'; readonly path: Path; readonly role: Role; readonly least: Role }
  | { readonly code: 'too_often'; readonly path: Path; readonly retry_s: number }
  | { readonly code: 'id_reused'; readonly path: Path; readonly id: string }
  | { readonly code: 'sequence_reused'; readonly path: Path; readonly channel: number; readonly seq: number }

export type QuantityKind = 'mass_kg' | 'length_mm' | 'temperature_c' | 'rise_k' | 'minutes' | 'count'
export type Path = readonly (string | number)[]
/** Characters of a line, from (included) to (excluded). */
export interface Span {
  readonly from: number
  readonly to: number
}

export type Outcome<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly problems: readonly Problem[] }

/**
 * What was asked for, with nothing wrong.
 * @example succeed(3) // { ok: true, value: 3 }
 */
export const succeed = <Value>(value: Value): Outcome<Value> => ({ ok: true, value })
/**
 * What is wrong, each with its path.
 * @example fail({ code: 'not_found', path: [], what: 'plan' }).ok // false
 */
export const fail = (
  ...problems: readonly Problem[]
): { readonly ok: false; readonly problems: readonly Problem[] } => ({ ok: false, problems })
