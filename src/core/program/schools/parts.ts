import type { Cover } from '../../heat/environment'
import type { Cut } from '../../reference/cuts'
import { scaleOf } from '../../reference/doneness'
import { commonPractice, type Source } from '../../reference/source'
import { type TenderEnd, tenderSeconds } from '../../reference/tenderness'
import { celsius, minutes, type Seconds, seconds } from '../../units'
import type { Stage, StageEnd, StageEnvironment, Tending } from '../stage'

/** What a cook may set of a school; each school has its own usual values. */
export interface SchoolSettings {
  /** The main heat, °C. */
  readonly set_c: number
  /** The hot part, °C, and how long it lasts, minutes; ignored by schools that have none. */
  readonly hot_c: number
  readonly hot_min: number
  /** Rest after the pull, minutes. */
  readonly rest_min: number
  /** How tender, where it is cooked until it is tender and not to a reading. */
  readonly tender?: TenderEnd | undefined
}

/** A way of roasting. Each is a file of its own beside this one: adding one touches that file, its line in the index, and its test. */
export interface School {
  readonly id: string
  readonly name: string
  /** Why its followers like it, in a line. */
  readonly why: string
  readonly suits: (cut: Cut) => boolean
  /** Its usual settings for a cut; where the heat goes by it, for what is wanted at the core, °C. */
  readonly usual: (cut: Cut, serve_c?: number) => SchoolSettings
  readonly stages: (settings: SchoolSettings, cut: Cut, mass_kg: number) => readonly Stage[]
  /** Which settings a cook is asked for beside the main heat and the rest. */
  readonly controls: { readonly hot: boolean }
  /** Both its stretches are at the main heat where no other is said. */
  readonly oneHeat?: true
  /** It cooks until what it cooks is tender: a cut with degrees is judged by that too. */
  readonly untilTender?: true
  /** Whether it may be offered in place of another when a meal's ovens clash: nobody need be taught anything new. */
  readonly mayReplace: boolean
  /** Its place among the three first compared; one without a place waits to be chosen. */
  readonly compared?: number
  /** What the main heat is, for the word beside the setting. */
  readonly heat: 'oven' | 'fire' | 'bath'
  readonly source: Source
}

export const trade = commonPractice('The school as practised; stages and settings within the range cooks use')

/**
 * An oven that is on at a setting, °C.
 * @example on(120) // { kind: 'oven', heat: 'on', set_c: 120 }
 */
export const on = (set_c: number): StageEnvironment => ({ kind: 'oven', heat: 'on', set_c: celsius(set_c) })
export const off: StageEnvironment = { kind: 'oven', heat: 'off' }
/**
 * Ends after so many minutes; kept in seconds.
 * @example forMinutes(30) // { kind: 'time', duration_s: 1800 }
 */
export const forMinutes = (value: number): StageEnd => ({ kind: 'time', duration_s: minutes(value) })
export const toPull: StageEnd = { kind: 'pull' }
/**
 * Ends when a tough cut is so tender; to the pull reading where nothing is said of that.
 * @example toTender(undefined) // { kind: 'pull' }
 */
export const toTender = (tender: TenderEnd | undefined): StageEnd =>
  tender === undefined ? toPull : { kind: 'tender', tender_s: seconds(tenderSeconds(tender)) }

export function stage(
  role: Stage['role'],
  environment: StageEnvironment,
  until: StageEnd,
  more: Partial<Stage> = {},
): Stage {
  return { role, environment, until, cover: 'bare', preheated: true, tending: [], ...more }
}
/**
 * A rest on the counter, minutes, tented unless it is said otherwise.
 * @example rest(20).until // { kind: 'time', duration_s: 1200 }
 */
export const rest = (value: number, cover: Cover = 'tent'): Stage =>
  stage('rest', { kind: 'counter' }, forMinutes(value), { cover, preheated: false })
/**
 * What is done to the piece at a minute of its stage, and every so many seconds after.
 * @example tend('baste', 30) // { act: 'baste', at_s: 1800 }
 */
export const tend = (act: Tending['act'], at_min: number, every_s?: Seconds): Tending => ({
  act,
  at_s: minutes(at_min),
  every_s,
})

/**
 * What a cut is usually served at, °C.
 * @example usualServe(findCut('beef-rib-bone-in')) // 55
 */
export const usualServe = (cut: Cut): number =>
  scaleOf(cut).degrees.find(({ id }) => id === cut.usualDoneness)?.serve_c ?? 55
/**
 * Whether it is a whole bird, with breast and thigh.
 * @example isBird(findCut('turkey')) // true
 */
export const isBird = (cut: Cut) => cut.geometry.family === 'bird'
/**
 * Whether it is cooked until it gives way.
 * @example isTender(findCut('turkey')) // false
 */
export const isTender = (cut: Cut) => cut.doneness === 'tender'
/**
 * Whether people cook it until it falls apart, always or sometimes.
 * @example pullsApart(findCut('lamb-leg-bone-in')) // true
 */
export const pullsApart = (cut: Cut) => isTender(cut) || cut.pullsApart === true
/**
 * Whether it has degrees from rare to well done.
 * @example isRed(findCut('beef-rib-bone-in')) // true
 */
export const isRed = (cut: Cut) => cut.doneness === 'red'
/**
 * Whether it has degrees and its inside is untouched.
 * @example isWholeRed(findCut('beef-rib-bone-in')) // true
 */
export const isWholeRed = (cut: Cut) => isRed(cut) && cut.intact
/** Wanted at the core above this it is wanted tender, not at a reading, °C. */
const WANTED_TENDER_C = 86
/**
 * A school's usual settings for what is to be pulled apart: until it falls apart, unless a lower core is wanted, °C.
 * @example untilTender(usual(140))(findCut('lamb-shoulder')).tender // 'falls_apart'
 */
export const untilTender =
  (settings: (cut: Cut) => SchoolSettings) =>
  (cut: Cut, serve_c = usualServe(cut)): SchoolSettings => ({
    ...settings(cut),
    tender: serve_c >= WANTED_TENDER_C ? 'falls_apart' : undefined,
  })
export const usual =
  (set_c: number, hot_c = 230, hot_min = 15) =>
  (cut: Cut): SchoolSettings => ({ set_c, hot_c, hot_min, rest_min: cut.rest_min.least })
