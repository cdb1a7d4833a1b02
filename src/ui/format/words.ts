import type { PointId } from '@/core/heat/piece'
import { findSchool } from '@/core/program/schools'
import type { Stage } from '@/core/program/stage'
import { type Cut, findCut } from '@/core/reference/cuts'
import type { Task } from '@/core/schedule/tasks'
import type { ProgramPart } from '@/domain/roast/roast-document'
import { duration, rise, temperature, type Units } from './units'

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
        : `beside the coals, lid on, ${temperature(environment.set_c, units)}`
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

const heatOf = (stage: Stage | undefined) => stage?.environment.kind ?? 'oven'
const NAMES = {
  oven: 'the oven',
  fire: 'the fire',
  pan: 'the pan',
  bath: 'the bath',
  cabinet: 'the cabinet',
  counter: 'the board',
  fridge: 'the fridge',
} as const

/** A task in the imperative, as a cook would say it. */
export function taskTitle(task: Task, cut: Cut, units: Units): string {
  const numbers = task.because.numbers
  switch (task.kind) {
    case 'salt':
      return 'Salt all over, leave open in the fridge'
    case 'take_out':
      return 'Take out of the fridge, pat dry'
    case 'preheat':
    case 'preheat_finish':
      return heatOf(task.stage) === 'fire'
        ? 'Light the fire, coals to one side'
        : `Heat ${NAMES[heatOf(task.stage)]} to ${temperature(numbers.set_c ?? 0, units)}`
    case 'put_in':
      return task.stage?.environment.kind === 'pan'
        ? 'Into the hot pan'
        : task.stage?.environment.kind === 'fire'
          ? 'On, beside the coals, lid down'
          : task.stage?.preheated === false
            ? 'Into the cold oven, set it'
            : `Into ${NAMES[heatOf(task.stage)]}`
    case 'tend':
      return task.act === 'turn'
        ? cut.geometry.family === 'bird'
          ? 'Turn breast up'
          : 'Turn'
        : task.act === 'baste'
          ? 'Baste'
          : task.act === 'glaze'
            ? 'Glaze'
            : 'Take off the foil'
    case 'watch':
      return `Stand by: first look with the probe`
    case 'pull':
      return `Pull at ${temperature(numbers.pull_c ?? 0, units)}`
    case 'rest':
      return task.stage
        ? task.stage.environment.kind === 'cabinet'
          ? `Hold in the ${surroundings(task.stage, units)}`
          : `Rest ${surroundings(task.stage, units)}`
        : 'Rest'
    case 'change':
      return task.stage
        ? task.stage.environment.kind === 'oven' && task.stage.environment.heat === 'off'
          ? 'Oven off. Do not open the door'
          : `Now ${surroundings(task.stage, units)}`
        : 'Change the heat'
    case 'finish':
      return task.stage
        ? `Finish: ${surroundings(task.stage, units)}, ${duration((numbers.minutes ?? 0) * 60)}`
        : 'Finish'
    case 'carve':
      return 'Carve'
    case 'serve':
      return 'On the table'
    default:
      return task.kind satisfies never
  }
}

/** A line of help under the task: how, and the caution that bites here. */
export function taskHelp(task: Task, cut: Cut): string | undefined {
  const bird = cut.geometry.family === 'bird' || cut.geometry.family === 'crown'
  switch (task.kind) {
    case 'salt':
      return bird
        ? 'About 8 g a kilo. Raw juice carries germs: wash hands, board and sink after; do not rinse the bird.'
        : 'About 8 g a kilo, on a rack over a tin. The surface dries, and a dry surface browns.'
    case 'take_out':
      return bird ? 'Check the cavity: giblet bag out.' : 'Never more than two hours on the bench.'
    case 'put_in':
      return task.stage?.environment.kind === 'pan'
        ? 'Hot fat spits: dry the meat, lay it in away from you.'
        : task.stage?.environment.kind === 'fire'
          ? 'Outdoors only, clear of walls; never leave the fire.'
          : `Probe in: ${cut.probe.charAt(0).toLowerCase()}${cut.probe.slice(1)}.`
    case 'watch':
      return 'Push through and draw back: the lowest reading is the centre.'
    case 'pull':
      return bird
        ? 'Every point must be there: inner thigh and thick breast. Hot tin: dry cloths, clear way.'
        : 'Hot tin, hot fat: dry cloths, clear way.'
    case 'rest':
      return task.stage?.environment.kind === 'cabinet'
        ? 'Keep it above 57 °C (135 °F).'
        : 'Out of the wind. The oven is free: potatoes, puddings.'
    case 'finish':
      return 'Straight to the knife after this: no second rest.'
    case 'carve':
      return cut.bone === 'in'
        ? 'Bones off first, then across the grain. Keep above 57 °C or eat.'
        : bird
          ? 'Legs off, each breast off whole, then sliced.'
          : 'Across the grain, about 12 mm. End slices are more done.'
    case 'serve':
      return 'Leftovers: cool from 57 to 21 °C within 2 h, to 5 °C within 4 h more.'
    default:
      return undefined
  }
}

/** Why a task is when and what it is. */
export function taskWhy(task: Task, units: Units): string {
  const n = task.because.numbers
  switch (task.kind) {
    case 'salt':
      return `${Math.round(n.ahead_h ?? 24)} hours ahead: salt goes in and the surface dries. A day is best, four days the most, three quarters of an hour the least worth doing.`
    case 'take_out':
      return `${Math.round(n.minutes ?? 0)} minutes on the bench. It gains the core little; the two-hour rule caps it.`
    case 'preheat':
    case 'preheat_finish':
      return `${Math.round(n.minutes ?? 0)} minutes for this oven to reach ${temperature(n.set_c ?? 0, units)}, five of them slack: the light goes out before the walls are hot.`
    case 'put_in':
      return `${duration((n.cook_min ?? 0) * 60)} to the pull and ${duration((n.rest_min ?? 0) * 60)} from there to the knife, counted back from the plate. Nine times in ten it has had its least rest by then; a quick roast rests longer.`
    case 'watch':
      return 'A quarter of an hour before the earliest likely pull (one roast in ten is quicker than that).'
    case 'pull':
      return `It climbs ${rise(n.rise_k ?? 0, units)} after it leaves the heat and peaks ${Math.round(n.peak_after_min ?? 0)} minutes later at ${temperature((n.pull_c ?? 0) + (n.rise_k ?? 0), units)}. You asked for ${temperature(n.serve_c ?? 0, units)}. Found by simulating this roast, not by a rule.`
    case 'rest':
      return `${duration((n.minutes ?? 0) * 60)}: the least rest for this cut, and the slack that takes up the doubt in the oven.`
    case 'carve':
      return `${Math.round(n.minutes ?? 0)} minutes for the knife, by the size of the piece.`
    case 'serve':
      return 'Your promise. Everything hangs from here.'
    case 'change':
    case 'finish':
      return `${duration((n.minutes ?? 0) * 60)}: a stage of this school, simulated with the rest of the cook.`
    case 'tend':
      return 'Part of this school. The door loses heat each time; the simulation counts it.'
    default:
      return task.kind satisfies never
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
  model: 'the model itself',
}
