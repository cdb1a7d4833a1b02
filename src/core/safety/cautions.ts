import type { OvenKind } from '../heat/environment'
import { settingOf } from '../program/stage'
import { type Cut, findCut, isPoultry } from '../reference/cuts'
import { donenessScale, scaleOf } from '../reference/doneness'
import { DANGER_ZONE_C, retailOvenLeast, STANDARDS, TEMPER_LIMIT_S } from '../reference/standards'
import { type CookRun, reachedBy } from '../simulate/cook'
import { integrateLethality, type Lethality } from './lethality'
import { POULTRY_DECADES, poultryDecades } from './poultry'

/** A caution as data: what it is about and the numbers behind it. Sentences live in words. */
export type Caution =
  | {
      readonly code: 'below_consumer_minimum'
      readonly peak_c: number
      readonly minimum_c: number
      readonly choice: boolean
    }
  | { readonly code: 'hold_table_met'; readonly at_s: number }
  | { readonly code: 'hold_table_not_met'; readonly share: number }
  | { readonly code: 'not_intact'; readonly peak_c: number; readonly minimum_c: number }
  | { readonly code: 'slow_oven'; readonly set_c: number; readonly limit_c: number }
  | { readonly code: 'long_danger_zone'; readonly hours: number }
  | { readonly code: 'long_temper'; readonly minutes: number; readonly limit_minutes: number }
  | { readonly code: 'heat_off'; readonly core_c: number }
  | { readonly code: 'raw_poultry' }
  /** Cooked by who made it: how hot it must get depends on where it was packed. */
  | { readonly code: 'cooked_before'; readonly sealed_c: number; readonly opened_c: number; readonly raw_c: number }
  | { readonly code: 'hot_tin' }
  | { readonly code: 'fire' }
  | { readonly code: 'chill_leftovers' }
  | { readonly code: 'vulnerable_guest'; readonly peak_c: number; readonly minimum_c: number }
  | { readonly code: 'stuffing_short'; readonly peak_c: number; readonly minimum_c: number }
  | { readonly code: 'stuffed_bird' }
  | { readonly code: 'retail_oven'; readonly set_c: number; readonly least_c: number }
  | { readonly code: 'frozen_start'; readonly core_c: number }
  | { readonly code: 'poultry_decades_short'; readonly decades: number; readonly wanted: number }
  | { readonly code: 'cabinet_too_cool'; readonly set_c: number; readonly least_c: number }
  /** Lukewarm on the board before many plates are filled. */
  | { readonly code: 'cools_fast'; readonly minutes: number }

/** Who eats, and what was done to the piece. */
export interface TableContext {
  /** Someone very young, old, pregnant or with a weak immune system. */
  readonly vulnerable: boolean
  /** Coldest point at the start, °C. */
  readonly coldest_c: number
  /** Raw weight, kg: the retail table asks more of the oven for a smaller roast. */
  readonly mass_kg: number
  readonly oven: OvenKind
}

/**
 * The least oven that consumer advice has for a piece without a check of time and temperature, °C.
 * @example leastOven(findCut('turkey')) // 162
 */
export const leastOven = (cut: Cut): number =>
  isPoultry(cut) ? STANDARDS.birdOvenLeast.value : STANDARDS.ovenLeast.value

/** The cautions of one cook, gravest first, with the lethality they rest on. */
export function cautionsOf(
  cut: Cut,
  run: CookRun,
  temper_s: number,
  table: TableContext,
): { cautions: Caution[]; lethality: Lethality } {
  const reached_c = run.points.map((_, body) => reachedBy(run, body))
  const peak_c = Math.min(...reached_c)
  const coldest = reached_c.indexOf(peak_c)
  const lethality = integrateLethality(run.curve.time_s, run.curve.core_c[coldest] as Float64Array, run.curve.length)
  const scale = scaleOf(cut)
  const bird = isPoultry(cut)
  const cautions: Caution[] = []
  const stuffing = run.points.indexOf('stuffing')
  if (stuffing >= 0) {
    const inside_c = reached_c[stuffing] as number
    if (inside_c < scale.minimum_c - 0.3)
      cautions.push({ code: 'stuffing_short', peak_c: inside_c, minimum_c: scale.minimum_c })
  }
  if (peak_c < scale.minimum_c - 0.3) {
    if (table.vulnerable) cautions.push({ code: 'vulnerable_guest', peak_c, minimum_c: scale.minimum_c })
    if (!cut.intact) cautions.push({ code: 'not_intact', peak_c, minimum_c: scale.minimum_c })
    cautions.push({
      code: 'below_consumer_minimum',
      peak_c,
      minimum_c: scale.minimum_c,
      choice: cut.intact && !bird && !table.vulnerable,
    })
  }
  // What was cooked before is not made safe again by the table for raw roasts.
  if (!bird && cut.doneness !== 'ham') {
    if (lethality.met_s !== undefined) {
      cautions.push({ code: 'hold_table_met', at_s: lethality.met_s })
      const least_c = retailOvenLeast(table.mass_kg, table.oven)
      const main = run.stages.find(({ stage }) => stage.environment.kind === 'oven' && stage.until.kind === 'pull')
      const set_c = main && settingOf(main.stage.environment)
      if (set_c !== undefined && set_c < least_c && peak_c < scale.minimum_c - 0.3)
        cautions.push({ code: 'retail_oven', set_c, least_c })
    } else cautions.push({ code: 'hold_table_not_met', share: lethality.share })
  } else if (bird) {
    const { curve } = run
    const decades = poultryDecades(curve.time_s, curve.core_c[coldest] as Float64Array, curve.length)
    if (decades < POULTRY_DECADES) cautions.push({ code: 'poultry_decades_short', decades, wanted: POULTRY_DECADES })
  }
  const cabinet = run.stages.find(({ stage }) => stage.environment.kind === 'cabinet')?.stage
  const held_c = cabinet && settingOf(cabinet.environment)
  if (held_c !== undefined && held_c < DANGER_ZONE_C.high)
    cautions.push({ code: 'cabinet_too_cool', set_c: held_c, least_c: DANGER_ZONE_C.high })
  if (table.coldest_c < 0) cautions.push({ code: 'frozen_start', core_c: table.coldest_c })
  if (stuffing >= 0) cautions.push({ code: 'stuffed_bird' })
  const limit_c = leastOven(cut)
  for (const { stage } of run.stages) {
    const set_c = settingOf(stage.environment)
    if (stage.environment.kind === 'oven' && stage.role === 'cook' && set_c !== undefined && set_c < limit_c) {
      cautions.push({ code: 'slow_oven', set_c, limit_c })
      break
    }
  }
  const off = run.stages.find(({ stage }) => stage.environment.kind === 'oven' && stage.environment.heat === 'off')
  if (off) cautions.push({ code: 'heat_off', core_c: off.core_c })
  if (lethality.dangerZone_s > STANDARDS.longDanger.value)
    cautions.push({ code: 'long_danger_zone', hours: lethality.dangerZone_s / 3600 })
  if (temper_s > TEMPER_LIMIT_S) {
    cautions.push({ code: 'long_temper', minutes: temper_s / 60, limit_minutes: TEMPER_LIMIT_S / 60 })
  }
  if (bird) cautions.push({ code: 'raw_poultry' })
  // Cooked until it falls apart it is judged as tender meat, and was cooked before all the same.
  if (findCut(cut.id)?.doneness === 'ham')
    cautions.push({
      code: 'cooked_before',
      sealed_c: donenessScale('ham').minimum_c,
      opened_c: STANDARDS.reheatTo.value,
      raw_c: donenessScale('pork').minimum_c,
    })
  if (run.stages.some(({ stage }) => stage.environment.kind === 'fire')) cautions.push({ code: 'fire' })
  cautions.push({ code: 'hot_tin' }, { code: 'chill_leftovers' })
  return { cautions, lethality }
}
