import { commonPractice, fromMemory, type Source } from './source'

/** A limit or a custom that more than one room goes by: its value, its unit and where it comes from. */
export interface Standard {
  readonly value: number
  readonly unit: '°C' | 'K' | 's' | 'kg'
  readonly source: Source
}

const hour = 3600
const minute = 60
const code = (text: string) => fromMemory(`US model Food Code: ${text}`)
const consumer = (text: string) => fromMemory(`US federal consumer guidance: ${text}`)
const of = (value: number, unit: Standard['unit'], source: Source): Standard => ({ value, unit, source })

/** Every limit and custom, each once. What is only part of the heat model stands in `heat/parameters`. */
export const STANDARDS = {
  dangerLow: of(5, '°C', code('41 °F, cold holding (3-501.16)')),
  dangerHigh: of(57, '°C', code('135 °F, hot holding (3-501.16)')),
  coolTo: of(21, '°C', code('57 to 21 °C (135 to 70 °F) within two hours (3-501.14)')),
  coolFirst: of(2 * hour, 's', code('57 to 21 °C within two hours (3-501.14)')),
  coolWhole: of(6 * hour, 's', code('and to 5 °C within six hours in all (3-501.14)')),
  temperLimit: of(2 * hour, 's', consumer('two-hour rule for the danger zone')),
  longDanger: of(4 * hour, 's', commonPractice('four-hour rule of thumb of professional kitchens')),
  birdOvenLeast: of(162, '°C', consumer('no oven below 325 °F for poultry; 162.8 °C less rounding of dials')),
  ovenLeast: of(93, '°C', consumer('no oven below 200 °F without a time and temperature check')),
  stuffingLeast: of(73.9, '°C', consumer('165 °F in the middle of the stuffing')),
  retailLarge: of(4.5, 'kg', code('10 lb and over (3-401.11(B)(1))')),
  retailOvenLarge: of(121, '°C', code('250 °F from 10 lb (3-401.11(B)(1))')),
  retailOvenFan: of(163, '°C', code('325 °F, convection, under 10 lb (3-401.11(B)(1))')),
  retailOvenStill: of(177, '°C', code('350 °F, still, under 10 lb (3-401.11(B)(1))')),
  poultryCounts: of(54.4, '°C', fromMemory('US agency guidance on lethality: nothing below 130 °F counts')),
  servingWarmth: of(48, '°C', commonPractice('below this at the mean the eater calls it lukewarm')),
  room: of(21, '°C', commonPractice('a kitchen')),
  fridge: of(4, '°C', commonPractice('a refrigerator as set')),
  coldFridge: of(3, '°C', commonPractice('a refrigerator left shut overnight')),
  cabinet: of(60, '°C', commonPractice('a warm cabinet, above hot holding with a margin')),
  longestHold: of(4 * hour, 's', commonPractice('held warm longer a roast dries and greys')),
  stuffingOven: of(180, '°C', commonPractice('a dish of stuffing five centimetres deep, some 25 minutes')),
  finishWaits: of(
    90 * minute,
    's',
    commonPractice('between a gentle roast and its hot finish, tented, 30 to 90 minutes'),
  ),
  shortRest: of(10 * minute, 's', commonPractice('the least rest that keeps the juice in a small roast')),
  usualRest: of(20 * minute, 's', commonPractice('a medium roast')),
  keepsCarved: of(20 * minute, 's', commonPractice('carved and covered, before the plate suffers')),
  preheatSlack: of(5 * minute, 's', commonPractice('dials click off before the walls are warm')),
  watchAhead: of(15 * minute, 's', commonPractice('someone stands there before the window opens')),
  saltAhead: of(24 * hour, 's', commonPractice('dry salting: a day ahead is best')),
  saltLeast: of(45 * minute, 's', commonPractice('dry salting: the least that is not worse than none')),
  brineAhead: of(12 * hour, 's', commonPractice('a wet brine: overnight')),
  brinedDries: of(4 * hour, 's', commonPractice('a brined piece dries open in the fridge before it goes in')),
  marinateAhead: of(12 * hour, 's', commonPractice('a marinade: overnight')),
  acidAhead: of(5 * hour, 's', commonPractice('a marinade with acid: a few hours')),
  acidLimit: of(6 * hour, 's', commonPractice('a marinade with acid: not beyond six hours')),
  leftoversKeep: of(4 * 24 * hour, 's', consumer('cooked leftovers three to four days in the refrigerator')),
  reheatTo: of(74, '°C', consumer('leftovers reheated to 165 °F')),
  mostRise: of(25, 'K', commonPractice('practice pulls 2 to 12 °C early; so far below no reading can be trusted')),
} as const satisfies Readonly<Record<string, Standard>>

/** The professional danger zone, °C: 41–135 °F. */
export const DANGER_ZONE_C = { low: STANDARDS.dangerLow.value, high: STANDARDS.dangerHigh.value } as const
/** Cooling: 57 to 21 °C within the first time, to 5 °C within the whole. */
export const COOLING = {
  from_c: STANDARDS.dangerHigh.value,
  middle_c: STANDARDS.coolTo.value,
  to_c: STANDARDS.dangerLow.value,
  first_s: STANDARDS.coolFirst.value,
  whole_s: STANDARDS.coolWhole.value,
} as const
export const TEMPER_LIMIT_S = STANDARDS.temperLimit.value
export const SERVING_WARMTH_C = STANDARDS.servingWarmth.value
export const PREHEAT_SLACK_S = STANDARDS.preheatSlack.value
export const ROOM_C = STANDARDS.room.value
export const FRIDGE_C = STANDARDS.fridge.value

/**
 * The least dry oven with which the retail hold table may be used, °C.
 * @param mass_kg raw weight, kg
 * @example retailOvenLeast(2.7, 'still') // 177
 */
export const retailOvenLeast = (mass_kg: number, oven: 'still' | 'fan'): number =>
  mass_kg >= STANDARDS.retailLarge.value
    ? STANDARDS.retailOvenLarge.value
    : oven === 'fan'
      ? STANDARDS.retailOvenFan.value
      : STANDARDS.retailOvenStill.value
