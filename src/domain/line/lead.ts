import { pullsApart } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import type { SaidRoast } from './said-roast'

/** Most roasts are on the table so soon after somebody thinks of them, h. */
const USUAL_H = 5
/** Nobody is kept waiting longer by a guess, h. */
const MOST_H = 36
/** From here down an oven is slow, °C. */
const SLOW_C = 130
/** Around what a line says in minutes: out of the fridge, preheated, rested, carved, h. */
const AROUND_H = 2

/** How long one roast takes from the fridge to the table, roughly and rather too long, h: what plans of many sizes take. */
function takes({ cut: id, mass_kg, stages, set_c, tender, school, doneness }: SaidRoast): number {
  const cut = findCut(id)
  const said_min = stages.reduce((sum, { minutes = 0 }) => sum + minutes, 0)
  const oven_c = Math.min(set_c ?? SLOW_C, ...stages.map((stage) => stage.set_c ?? SLOW_C))
  const slower = Math.max(0, SLOW_C - oven_c)
  const soft =
    tender !== undefined ||
    cut?.doneness === 'tender' ||
    (cut !== undefined && pullsApart(cut) && (school === 'low-and-long' || doneness === 'pull-apart'))
  const cooked_h = soft ? (6 + mass_kg) * (1 + 0.06 * slower) : 4 + 0.3 * mass_kg + 0.05 * slower
  return said_min > 0 && stages.every(({ minutes }) => minutes !== undefined) ? said_min / 60 + AROUND_H : cooked_h
}

/**
 * How long from now they eat where nobody says when, whole hours: five, or as long as the longest roast may take.
 * @example leadHours([]) // 5
 */
export const leadHours = (roasts: readonly SaidRoast[]): number =>
  Math.min(MOST_H, Math.max(USUAL_H, ...roasts.map((roast) => Math.ceil(takes(roast)))))
