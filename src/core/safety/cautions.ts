import type { CookRun } from '../program/cook'
import { settingOf } from '../program/stage'
import type { Cut } from '../reference/cuts'
import { donenessScale } from '../reference/doneness'
import { integrateLethality, type Lethality } from './lethality'

/** A caution as data: what it is about and the numbers behind it. Sentences live in ui/format. */
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
  | { readonly code: 'hot_tin' }
  | { readonly code: 'fire' }
  | { readonly code: 'chill_leftovers' }

/** Consumer advice for birds: no oven below 325 °F, °C (US federal consumer guidance, from memory). */
const BIRD_OVEN_MINIMUM_C = 162
/** Never an oven below 200 °F without a time–temperature check, °C (US federal consumer guidance, from memory). */
const OVEN_MINIMUM_C = 93
/** Tempering cap: the two-hour rule for the danger zone (US federal consumer guidance, from memory), s. */
export const TEMPER_LIMIT_S = 7200
/** Time of the core in the danger zone that deserves a word, s: the four-hour rule of thumb of professional kitchens. */
const LONG_DANGER_S = 4 * 3600

/** The cautions of one cook, gravest first, with the lethality they rest on. */
export function cautionsOf(cut: Cut, run: CookRun, temper_s: number): { cautions: Caution[]; lethality: Lethality } {
  const coldest = run.peak_c.indexOf(Math.min(...run.peak_c))
  const peak_c = run.peak_c[coldest] as number
  const lethality = integrateLethality(run.curve.time_s, run.curve.core_c[coldest] as Float64Array, run.curve.length)
  const scale = donenessScale(cut.doneness)
  const bird = cut.geometry.family === 'bird' || cut.geometry.family === 'crown'
  const cautions: Caution[] = []
  if (peak_c < scale.minimum_c - 0.3) {
    if (!cut.intact) cautions.push({ code: 'not_intact', peak_c, minimum_c: scale.minimum_c })
    cautions.push({ code: 'below_consumer_minimum', peak_c, minimum_c: scale.minimum_c, choice: cut.intact && !bird })
  }
  if (!bird) {
    if (lethality.met_s !== undefined) cautions.push({ code: 'hold_table_met', at_s: lethality.met_s })
    else cautions.push({ code: 'hold_table_not_met', share: lethality.share })
  }
  const limit_c = bird ? BIRD_OVEN_MINIMUM_C : OVEN_MINIMUM_C
  for (const { stage } of run.stages) {
    const set_c = settingOf(stage.environment)
    if (stage.environment.kind === 'oven' && stage.role === 'cook' && set_c !== undefined && set_c < limit_c) {
      cautions.push({ code: 'slow_oven', set_c, limit_c })
      break
    }
  }
  const off = run.stages.find(({ stage }) => stage.environment.kind === 'oven' && stage.environment.heat === 'off')
  if (off) cautions.push({ code: 'heat_off', core_c: off.core_c })
  if (lethality.dangerZone_s > LONG_DANGER_S)
    cautions.push({ code: 'long_danger_zone', hours: lethality.dangerZone_s / 3600 })
  if (temper_s > TEMPER_LIMIT_S) {
    cautions.push({ code: 'long_temper', minutes: temper_s / 60, limit_minutes: TEMPER_LIMIT_S / 60 })
  }
  if (bird) cautions.push({ code: 'raw_poultry' })
  if (run.stages.some(({ stage }) => stage.environment.kind === 'fire')) cautions.push({ code: 'fire' })
  cautions.push({ code: 'hot_tin' }, { code: 'chill_leftovers' })
  return { cautions, lethality }
}
