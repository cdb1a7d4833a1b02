import type { Colour } from '@/core/heat/colour'
import type { PointId } from '@/core/heat/piece'
import { findSchool } from '@/core/program/schools'
import type { Stage } from '@/core/program/stage'
import { findCut } from '@/core/reference/cuts'
import type { Tenderness } from '@/core/reference/tenderness'
import type { Task } from '@/core/schedule/task'
import type { ProgramPart } from '@/domain/roast/roast-document'
import { temperature, type Units } from './units'

export const cutName = (id: string): string => findCut(id)?.name ?? id
export const schoolName = (id: string): string => findSchool(id)?.name ?? 'Own program'
/** What a plan's way of cooking is called: its school, or what the house calls its own stages. */
export const programName = (program: ProgramPart): string =>
  'school' in program ? schoolName(program.school) : (program.name ?? 'Own stages')
export const donenessName = (id: string): string =>
  id.replaceAll('-', ' ').replace('medium rare', 'medium-rare').replace('medium well', 'medium-well')

export const POINT_NAMES: Readonly<Record<PointId, string>> = {
  core: 'core',
  thin_end: 'thin end',
  breast: 'breast',
  thigh: 'thigh',
  stuffing: 'stuffing',
}

/** What surrounds the meat, in a few words. */
export function surroundings(stage: Stage, units: Units): string {
  const { environment } = stage
  const cover =
    stage.cover === 'bare'
      ? ''
      : stage.cover === 'tent'
        ? ', loosely tented'
        : stage.cover === 'foil'
          ? ', under foil'
          : ', in its bag'
  switch (environment.kind) {
    case 'oven':
      return environment.heat === 'on'
        ? `oven at ${temperature(environment.set_c, units)}${cover}`
        : 'oven off, door shut'
    case 'fire':
      return environment.set_c > 230
        ? 'over the coals'
        : `beside the coals, lid on, ${temperature(environment.set_c, units)}${cover}`
    case 'pan':
      return `heavy pan, ${temperature(environment.set_c, units)}`
    case 'bath':
      return `water bath at ${temperature(environment.set_c, units)}`
    case 'cabinet':
      return `warm cabinet at ${temperature(environment.set_c, units)}${cover}`
    case 'counter':
      return `on the board${cover}`
    case 'fridge':
      return 'in the fridge'
    default:
      return environment satisfies never
  }
}

export const BASIS_NAMES: Readonly<Record<Task['because']['basis'], string>> = {
  model: 'from the model',
  common_practice: 'common practice',
  house_rule: 'house rule',
  standard: 'published standard',
  promise: 'your promise',
}

export const INPUT_NAMES: Readonly<Record<string, string>> = {
  thickness: 'the thickness',
  start_k: 'the start temperature',
  oven_k: 'how true the oven is',
  wetness: 'how dry the surface is',
  convection: 'how the air moves in this oven',
  drying: 'how fast its surface dries',
  model: 'the model itself',
}
/** How tender a tough cut has become. */
export const TENDERNESS_NAMES: Readonly<Record<Tenderness, string>> = {
  firm: 'still firm',
  slices: 'slices',
  leaves_bone: 'leaves the bone',
  falls_apart: 'falls apart',
}
/** What a cook calls the colour of a crust. */
export const COLOUR_NAMES: Readonly<Record<Colour, string>> = {
  pale: 'pale',
  golden: 'golden',
  brown: 'brown',
  deep: 'deep brown',
  burnt: 'burnt',
}
