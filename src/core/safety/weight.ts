import type { Caution } from './cautions'

/** How grave a caution is: danger stops, a choice is the cook's, good reassures, a note informs. */
export type Weight = 'danger' | 'choice' | 'good' | 'note'
/** Gravest first. */
export const WEIGHTS: readonly Weight[] = ['danger', 'choice', 'good', 'note']

/**
 * The weight of a caution: the one place that says what is danger.
 * @example weightOf({ code: 'stuffed_bird' }) // 'note'
 */
export function weightOf(caution: Caution): Weight {
  switch (caution.code) {
    case 'below_consumer_minimum':
      return caution.choice ? 'choice' : 'danger'
    case 'not_intact':
    case 'long_temper':
    case 'vulnerable_guest':
    case 'stuffing_short':
    case 'poultry_decades_short':
    case 'cabinet_too_cool':
      return 'danger'
    case 'slow_oven':
    case 'long_danger_zone':
    case 'heat_off':
    case 'fire':
    case 'retail_oven':
    case 'frozen_start':
    case 'cooked_before':
      return 'choice'
    case 'hold_table_met':
      return 'good'
    case 'hold_table_not_met':
    case 'raw_poultry':
    case 'hot_tin':
    case 'chill_leftovers':
    case 'stuffed_bird':
    case 'cools_fast':
      return 'note'
    default:
      return caution satisfies never
  }
}
