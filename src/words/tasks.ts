import { isBird } from '@/core/program/schools'
import type { Stage, TendingAct } from '@/core/program/stage'
import type { Cut } from '@/core/reference/cuts'
import { isPoultry } from '@/core/reference/cuts'
import { donenessScale } from '@/core/reference/doneness'
import { COOLING, DANGER_ZONE_C, STANDARDS } from '@/core/reference/standards'
import type { Task } from '@/core/schedule/task'
import { clock, duration, rise, temperature, type Units } from './units'
import { surroundings } from './words'

/** What stands around a task and gives it its names: nothing for one roast, the item and its oven for one of many. */
export interface TaskScene {
  readonly cut?: Cut | undefined
  /** Which of several items it is. */
  readonly title?: string | undefined
  readonly source?: { readonly name: string; readonly kind: string } | undefined
  /** What comes on the table then. */
  readonly servings?: string | undefined
  /** A wet brine makes the juice too salty for gravy. */
  readonly salty?: boolean | undefined
  /** A marinade with acid in it. */
  readonly acid?: boolean | undefined
}

export const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
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

/** What goes on, or comes off, with a change of heat. */
const COVERED: Readonly<Record<Stage['cover'], string>> = {
  bare: ', cover off',
  tent: ', foil on loosely',
  foil: ', wrapped tight in foil',
  bag: ', in its bag',
}

const ACT_TITLES: Readonly<Record<TendingAct, string>> = {
  baste: 'Baste',
  turn: 'Turn',
  glaze: 'Glaze',
  uncover: 'Take off the foil',
  cover: 'Foil on, loosely',
  look: 'A quick look, door shut again',
  coals: 'Coals on the fire',
}

/**
 * What stands before the reading of a roast's pull: what goes straight on in the heat is not taken out there.
 * @param pull the numbers of its step
 * @example pullLead({ stays: 1 }) // 'Hot finish from'
 */
export const pullLead = (pull: Task['because']['numbers'] | undefined): string =>
  pull?.stays ? 'Hot finish from' : 'Pull at'

/** A task in the imperative, as a cook would say it; of several items it begins with which. */
export function taskTitle(task: Task, scene: TaskScene, units: Units): string {
  const text = imperative(task, scene, units)
  return scene.title && task.item !== undefined ? `${scene.title}: ${lower(text)}` : text
}

/** A fire hotter than this is cooked over, not beside, °C. */
const OVER_COALS_C = 230

function imperative(task: Task, { cut, source, servings }: TaskScene, units: Units): string {
  const { numbers } = task.because
  const where = source ? lower(source.name) : NAMES[heatOf(task.stage)]
  const heat = task.set_c === undefined ? '' : temperature(task.set_c, units)
  switch (task.kind) {
    case 'buy':
      return 'Buy or fetch everything on the shopping list'
    case 'thaw':
      return numbers.water_h === undefined
        ? 'Out of the freezer, into the fridge on a tray'
        : 'Out of the freezer, in its wrapping into cold water'
    case 'shape':
      return numbers.flat
        ? 'Cut the backbone out, press it flat'
        : numbers.even
          ? 'Trim it even, score the fat'
          : 'Trim, tie, make it even'
    case 'salt':
      return 'Salt all over, leave open in the fridge'
    case 'brine':
      return 'Into the brine, in the fridge'
    case 'unbrine':
      return 'Out of the brine, dry, leave open'
    case 'marinate':
      return 'Into the marinade, in the fridge'
    case 'dress':
      return 'On its rack in the tin, surface dried'
    case 'set_out':
      return 'Sharpen knives, set out boards, probes, tins, foil'
    case 'take_out':
      return 'Take out of the fridge, pat dry'
    case 'heat_up':
      if (heatOf(task.stage) === 'fire' || source?.kind === 'fire')
        return task.stage?.role === 'finish' || (task.set_c ?? 0) > OVER_COALS_C
          ? 'Bring the fire up: fresh coals, vents open'
          : 'Light the fire, coals to one side'
      return heatOf(task.stage) === 'pan' ? `Heat a heavy pan to ${heat}` : `Heat ${where} to ${heat}`
    case 'put_in':
      if (source?.kind === 'hob' || heatOf(task.stage) === 'pan')
        return task.stage ? 'Into the hot pan' : `On the ${where.replace(/^the /, '')}`
      if (heatOf(task.stage) === 'fire')
        return (task.set_c ?? 0) > OVER_COALS_C
          ? 'On, over the coals, lid off'
          : 'On, beside the coals, thin end away, lid down'
      if (task.stage?.preheated === false) return `Into ${where}, cold, and set it${heat ? ` to ${heat}` : ''}`
      return `Into ${where}${heat && source ? ` at ${heat}` : ''}${task.stage?.position === 'breast_down' ? ', breast down' : ''}`
    case 'change':
      if (task.stage && task.set_c !== undefined && !source) return `Now ${surroundings(task.stage, units)}`
      return task.set_c === undefined
        ? `${where.charAt(0).toUpperCase()}${where.slice(1)} off. Do not open the door`
        : `${where.charAt(0).toUpperCase()}${where.slice(1)} to ${heat}${numbers.cover_changes ? COVERED[task.stage?.cover ?? 'bare'] : ''}`
    case 'tend':
      return task.act === 'turn' && cut && isBird(cut) && !task.because.numbers.other_way
        ? 'Turn breast up'
        : ACT_TITLES[task.act ?? 'look']
    case 'watch':
      return 'Stand by: first look with the probe'
    case 'pull':
      if (numbers.pale) return `At ${temperature(task.pull_c ?? 0, units)} look at the skin: is it pale?`
      if (numbers.stays)
        return `${numbers.tender ? 'When it is tender' : 'On to the hot finish'}, about ${temperature(task.pull_c ?? 0, units)}${numbers.tender ? ': on to the hot finish' : ''}`
      return numbers.tender
        ? `Out when it is tender, about ${temperature(task.pull_c ?? 0, units)}`
        : `Pull at ${temperature(task.pull_c ?? 0, units)}`
    case 'take_off':
      return source?.kind === 'hob' ? 'Off the hob, drain' : `Out of ${where}`
    case 'rest':
      return task.stage
        ? task.stage.environment.kind === 'cabinet'
          ? `Hold in the ${surroundings(task.stage, units)}`
          : `${numbers.out || numbers.finished ? 'Out, and rest' : 'Rest'} ${surroundings(task.stage, units)}`
        : 'Rest, loosely tented'
    case 'finish':
      return task.stage
        ? `Finish: ${source && task.stage.environment.kind === 'oven' ? `${where} at ${heat}` : surroundings(task.stage, units)}, ${duration((numbers.minutes ?? 0) * 60)}`
        : 'Finish'
    case 'gravy':
      return 'Gravy: skim, roux, stock, strain, taste before salting'
    case 'carve':
      return 'Carve'
    case 'dish':
      return 'Dish up'
    case 'pack':
      return `Pack it hot and go: ${duration((numbers.minutes ?? 0) * 60)} on the way`
    case 'serve':
      return servings ? `On the table: ${servings}` : 'On the table'
    default:
      return task.kind satisfies never
  }
}

const keepHot = (units: Units) => `Keep above ${temperature(DANGER_ZONE_C.high, units)} or eat.`
/** How leftovers are cooled, in the reader's degrees. */
export const coolingRule = (units: Units): string =>
  `Leftovers: from ${temperature(COOLING.from_c, units)} to ${temperature(COOLING.middle_c, units)} within ${duration(COOLING.first_s)}, to ${temperature(COOLING.to_c, units)} within ${duration(COOLING.whole_s - COOLING.first_s)} more.`

/** How each kind of tending is done, with the caution that bites there. */
const TEND_HELP: Readonly<Partial<Record<TendingAct, string>>> = {
  baste: 'Tin out, door shut meanwhile, spoon, back in. Hot fat: tilt the tin away from you.',
  glaze: 'Thin. Sugar burns: never before the last third.',
  turn: 'Dry cloths or two spoons, no fork. Hot fat spits.',
  coals:
    'A handful beside the meat, lit ones if you have them; lid down at once. Never leave the fire; out of the wind.',
  look: 'Each opening costs the oven heat.',
}

/** What waits for a reading that is no pull. */
function atReading({ because }: Task, units: Units): string | undefined {
  const { reads_c } = because.numbers
  return reads_c === undefined ? undefined : `Once the core reads ${temperature(reads_c, units)}, whatever the clock.`
}

/** A line of help under the task: how, and the caution that bites here. */
export function taskHelp(task: Task, scene: TaskScene, units: Units): string | undefined {
  const { cut, source } = scene
  const bird = cut !== undefined && isPoultry(cut)
  const whole = cut !== undefined && isBird(cut)
  switch (task.kind) {
    case 'thaw':
      return task.because.numbers.water_h === undefined
        ? 'In the fridge, never on the bench; lowest shelf, over a tray.'
        : 'In a tight bag, under cold tap water that is changed every 30 minutes, never warm; cook it as soon as it is thawed.'
    case 'shape':
      return task.because.numbers.flat
        ? 'Breast down, strong shears along both sides of the backbone; turn it over and lean on the breastbone until it cracks. Fingers clear of the blades; the backbone goes into the stock.'
        : undefined
    case 'salt':
      return bird
        ? 'About 8 g a kilo. Raw juice carries germs: wash hands, board and sink after; do not rinse the bird.'
        : 'About 8 g a kilo, on a rack over a tin. The surface dries, and a dry surface browns.'
    case 'marinate':
      return scene.acid ? `With acid, ${duration(STANDARDS.acidLimit.value)} at the most.` : undefined
    case 'dress':
      return bird
        ? `${whole ? 'Giblet bag out. ' : ''}Raw juice on nothing eaten raw; wash hands and board.`
        : undefined
    case 'take_out':
      return whole
        ? 'Check the cavity: giblet bag out.'
        : `Never more than ${duration(STANDARDS.temperLimit.value)} on the bench.`
    case 'put_in':
      if (!cut) return source?.kind === 'hob' ? 'Hot fat spits: dry it first, lay it in away from you.' : undefined
      return task.stage?.environment.kind === 'pan'
        ? 'Hot fat spits: dry the meat, lay it in away from you.'
        : task.stage?.environment.kind === 'fire'
          ? 'Outdoors only, clear of walls, out of the wind; a handful of coals each hour; never leave the fire.'
          : `Probe in: ${lower(cut.probe)}.`
    case 'change':
      return atReading(task, units)
    case 'tend':
      return [atReading(task, units), TEND_HELP[task.act ?? 'look']].filter(Boolean).join(' ') || undefined
    case 'watch':
      return task.because.numbers.tender
        ? 'Try it with a fork in the thickest part: it turns without a pull when it is there.'
        : 'Push through and draw back: the lowest reading is the centre.'
    case 'pull':
      if (task.because.numbers.bath)
        return `The bath holds it for hours without harm. Out and the bath off by ${clock(task.at, units)}, or the hot finish is late; dry it well.`
      if (task.because.numbers.pale)
        return `Pale: the hot finish. Brown already: leave the oven as it is to ${temperature(task.because.numbers.else_pull_c ?? 0, units)}, about ${duration((task.because.numbers.else_min ?? 0) * 60)} more, and skip the finish.`
      if (task.because.numbers.tender)
        return 'Tender counts, not the reading: a fork turns in it, the bone slides. Hot tin, hot fat: dry cloths, clear way.'
      return bird
        ? 'Every point must be there: inner thigh and thick breast. Hot tin: dry cloths, clear way.'
        : 'Hot tin, hot fat: dry cloths, clear way. Push through and draw back: the lowest reading counts.'
    case 'rest': {
      if (task.stage?.environment.kind === 'cabinet') return `Keep it above ${temperature(DANGER_ZONE_C.high, units)}.`
      const { out, finished, fire } = task.because.numbers
      const least_c = finished && cut ? donenessScale(cut.doneness).pullFloor_c : undefined
      return [
        least_c === undefined ? '' : `Read every point first: under ${temperature(least_c, units)} it stays in.`,
        out || finished ? 'Hot tin: dry cloths, clear way.' : '',
        'Out of the wind.',
        fire ? '' : 'The oven is free: potatoes, puddings.',
      ]
        .filter(Boolean)
        .join(' ')
    }
    case 'finish':
      return task.because.numbers.rests
        ? 'Hot fat spits and hot sugar burns: stay with it. It rests after this.'
        : 'Straight to the knife after this: no second rest.'
    case 'gravy':
      return scene.salty ? 'The brined roast gives salty juice: stretch it with unsalted stock.' : undefined
    case 'carve': {
      const ahead = task.because.numbers.ahead_min
      const kept =
        ahead === undefined
          ? ''
          : ` On the table ${duration(ahead * 60)} after it: slices close together in a warm dish, hot gravy over, under foil.`
      return `${cut?.bone === 'in' ? 'Bones off first, then across the grain.' : bird ? 'Legs off, each breast off whole, then sliced.' : 'Across the grain, about 12 mm. End slices are more done.'}${kept} ${keepHot(units)}`
    }
    case 'pack':
      return `Boxes warmed with hot water, lids shut, nothing stacked on the slices. ${keepHot(units)} Read it on arrival.`
    case 'serve':
      return coolingRule(units)
    default:
      return undefined
  }
}

/** Why a task is when and what it is; undefined where the trade says so and no more can be said. */
export function taskWhy(task: Task, units: Units): string {
  const n = task.because.numbers
  const minutes = Math.round(n.minutes ?? 0)
  switch (task.kind) {
    case 'salt':
    case 'brine':
    case 'marinate':
      return `${Math.round(n.ahead_h ?? STANDARDS.saltAhead.value / 3600)} hours ahead: salt goes in and the surface dries. A day is best, four days the most, three quarters of an hour the least worth doing.`
    case 'take_out':
      return `${minutes} minutes on the bench. It gains the core little; the two-hour rule caps it.`
    case 'heat_up':
      return `${minutes} minutes for this oven to reach ${temperature(task.set_c ?? 0, units)}, five of them slack: the light goes out before the walls are hot.`
    case 'put_in':
      return `${duration((n.cook_min ?? 0) * 60)} to the pull and ${duration((n.rest_min ?? 0) * 60)} from there to the knife, counted back from the plate. Nine times in ten it has had its least rest by then; a quick roast rests longer.`
    case 'watch':
      return 'A quarter of an hour before the earliest likely pull (one roast in ten is quicker than that).'
    case 'pull':
      if (n.tender)
        return `By then it has had the time and heat that turn its tough parts to gelatine, by one law for all cuts. It reads about ${temperature(n.pull_c ?? 0, units)}; another would be there sooner or later at the same reading.`
      return `It climbs ${rise(n.rise_k ?? 0, units)} after it leaves the heat and peaks ${Math.round(n.peak_after_min ?? 0)} minutes later at ${temperature((n.pull_c ?? 0) + (n.rise_k ?? 0), units)}. You asked for ${temperature(n.serve_c ?? 0, units)}. Found by simulating this roast, not by a rule.`
    case 'rest':
      if (task.stage?.environment.kind === 'cabinet')
        return `${duration((n.minutes ?? 0) * 60)}: held hot until it is wanted, so that it may be done sooner.`
      return `${duration((n.minutes ?? 0) * 60)}: the least rest for this cut, and the slack that takes up the doubt in the oven.`
    case 'carve':
      return n.ahead_min === undefined
        ? `${minutes} minutes for the knife, by the size of the piece.`
        : `${minutes} minutes for the knife, and so early because the other roasts need it too: another who carves lets it wait.`
    case 'serve':
      return 'Your promise. Everything hangs from here.'
    case 'change':
    case 'finish':
      return `${duration((n.minutes ?? 0) * 60)}: a stage of this school, simulated with the rest of the cook.`
    case 'tend':
      return 'Part of this school. The door loses heat each time; the simulation counts it.'
    default:
      return 'As kitchens do it.'
  }
}
