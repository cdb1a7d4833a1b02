import type { Cut } from '../../reference/cuts'
import type { Program } from '../stage'
import { birdTurned } from './bird-turned'
import { coldStart } from './cold-start'
import { cookAndHold } from './cook-and-hold'
import { finishHot } from './finish-hot'
import { hotStart } from './hot-start'
import { kickStart } from './kick-start'
import { lowAndLong } from './low-and-long'
import { ovenOff } from './oven-off'
import { panFirst } from './pan-first'
import type { School, SchoolSettings } from './parts'
import { reverseSear } from './reverse-sear'
import { steady } from './steady'
import { twoZoneFire } from './two-zone-fire'
import { waterBath } from './water-bath'

export { isBird, pullsApart, type School, type SchoolSettings } from './parts'
export { steadyProgram } from './steady-program'

/** The thirteen schools, as programs of stages. */
export const SCHOOLS: readonly School[] = [
  steady,
  hotStart,
  kickStart,
  lowAndLong,
  ovenOff,
  coldStart,
  reverseSear,
  panFirst,
  twoZoneFire,
  waterBath,
  birdTurned,
  finishHot,
  cookAndHold,
]

/**
 * The school with this id, or undefined.
 * @example findSchool('reverse-sear').name // 'Reverse sear'
 */
export const findSchool = (id: string): School | undefined => SCHOOLS.find((school) => school.id === id)

/** Settings as somebody gives them: what is left out is the school's own. */
export type GivenSettings = { readonly [Key in keyof SchoolSettings]?: SchoolSettings[Key] | undefined }

/**
 * A school's settings for a cut, as they were given, and as it usually has them where they were not.
 * @param serve_c what is wanted at the core, °C
 * @example settingsOf(findSchool('bird-turned'), { set_c: 160 }, findCut('turkey')).hot_c // 160
 */
export function settingsOf(school: School, given: GivenSettings, cut: Cut, serve_c?: number): SchoolSettings {
  const usual = school.usual(cut, serve_c)
  return {
    set_c: given.set_c ?? usual.set_c,
    hot_c: given.hot_c ?? (school.oneHeat ? given.set_c : undefined) ?? usual.hot_c,
    hot_min: given.hot_min ?? usual.hot_min,
    rest_min: given.rest_min ?? usual.rest_min,
    ...(school.untilTender ? { tender: given.tender ?? usual.tender } : {}),
  }
}

/**
 * A school's program for one piece.
 * @example programOf(findSchool('steady'), findSchool('steady').usual(findCut('turkey')), findCut('turkey'), 6).school // 'steady'
 */
export function programOf(school: School, settings: SchoolSettings, cut: Cut, mass_kg: number): Program {
  return { school: school.id, stages: school.stages(settings, cut, mass_kg) }
}
