import type { Limit, RecordEntry, RecordKind, RecordRow } from '@/domain/record/record'
import { duration, temperature, type Units } from './units'

/** The food-safety record, in words. */

export const RECORD_NAMES: Readonly<Record<RecordKind, string>> = {
  receiving: 'Received',
  storage: 'Cold storage',
  cooking: 'Cooked',
  holding: 'Held hot',
  cooling: 'Cooled',
  reheating: 'Reheated',
  probe_check: 'Thermometer',
}

/** What to measure, as somebody with a thermometer in hand is told. */
export const RECORD_ASKS: Readonly<Record<RecordKind, string>> = {
  receiving: 'what came, from whom',
  storage: 'which fridge',
  cooking: 'what, at its core',
  holding: 'what, where it is held',
  cooling: 'what, at its core',
  reheating: 'what, at its core',
  probe_check: 'which one, in melting ice',
}

/**
 * A limit as a cook reads it.
 * @example limitWords({ most_c: 5, least_c: null, within_min: null }, { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'UTC' }) // 'at most 5 °C'
 */
export function limitWords({ most_c, least_c, within_min }: Limit, units: Units): string {
  const within = within_min === null ? '' : ` within ${duration(within_min * 60)}`
  if (most_c !== null && least_c !== null)
    return `${temperature(least_c, units)} to ${temperature(most_c, units)}${within}`
  if (most_c !== null) return `at most ${temperature(most_c, units)}${within}`
  if (least_c !== null) return `at least ${temperature(least_c, units)}${within}`
  return within === '' ? 'no limit' : within.trim()
}

/** What was read, and after how long. */
export const readWords = ({ value_c, minutes }: Pick<RecordEntry, 'value_c' | 'minutes'>, units: Units): string =>
  [value_c === null ? '' : temperature(value_c, units, 1), minutes === null ? '' : `after ${minutes} min`]
    .filter((part) => part !== '')
    .join(' ')

/** How a row stands. */
export const standsWords = (row: RecordRow): string =>
  row.correctedBy !== undefined
    ? `corrected by number ${row.correctedBy}`
    : row.kept
      ? 'kept'
      : row.released
        ? `not kept; ${row.released.action} (${row.released.by})`
        : row.entry.action
          ? `not kept; ${row.entry.action}`
          : 'not kept: say what was done'
