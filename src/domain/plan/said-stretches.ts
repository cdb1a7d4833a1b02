import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { usualThickness } from '@/core/heat/piece'
import { findSchool, type School } from '@/core/program/schools'
import type { Cut } from '@/core/reference/cuts'
import type { HeatedStage, SaidRoast } from '../line/reading'
import { ENDS_HOT, GENTLE_C } from '../line/said-heat'
import type { ProgramPart, StagePart } from '../roast/roast-document'
import { withRoles } from '../roast/stages'
import { heldNumber } from '../schema/scalars'

/** Stretches of heat as a line says them, as the stages of a program. */

/** A program holds no more. */
export const MOST_STAGES = 12
/** Where nobody says (common practice): a hot pan, and the hottest finish. */
const PAN_C = 230
const FINISH = { set_c: 250, minutes: 8 }
const PAN_FINISH = { set_c: PAN_C, minutes: 4 }

/** The usual heat of a cut at one setting, °C. */
export const steadySet = (cut: Cut): number => (findSchool('steady') as School).usual(cut).set_c

/** What is meant by a hot oven, and by a low one, °C. */
function usualHeat(said: 'hot' | 'low', cut: Cut): number {
  const { hot_c } = (findSchool('hot-start') as School).usual(cut)
  return said === 'hot' ? hot_c : (findSchool('low-and-long') as School).usual(cut).set_c
}

/** Coals are laid on so often, minutes (common practice). */
const COALS_MIN = 60
const COALS = { act: 'coals', at_min: COALS_MIN, every_min: COALS_MIN } as const

function stageOf(stage: HeatedStage, fallback_c: number): StagePart {
  const { on, minutes, core_c, cover, breastDown } = stage
  const set_c = heldNumber(stage.set_c ?? (on === 'pan' ? PAN_C : fallback_c))
  return {
    role: 'cook',
    environment:
      on === 'off'
        ? { kind: 'oven', set_c: null }
        : on === 'pan' || on === 'fire' || on === 'bath'
          ? { kind: on, set_c }
          : { kind: 'oven', set_c },
    cover: cover ?? 'bare',
    preheated: on !== 'cold',
    ...(breastDown ? { position: 'breast_down' as const } : {}),
    until:
      core_c !== undefined
        ? { kind: 'core', core_c: heldNumber(core_c) }
        : minutes !== undefined
          ? { kind: 'time', minutes: heldNumber(minutes) }
          : { kind: 'pull' },
    // A fire that lasts wants coals.
    tending: on === 'fire' && (minutes ?? Number.POSITIVE_INFINITY) > COALS_MIN ? [COALS] : [],
  }
}

/** A rest beside the oven, minutes. */
export const restPart = (minutes: number): StagePart => ({
  role: 'rest',
  environment: { kind: 'counter' },
  cover: 'tent',
  preheated: false,
  until: { kind: 'time', minutes: heldNumber(minutes) },
  tending: [],
})

/** A stretch of an oven as one of a fire. */
const overCoals = (stage: HeatedStage): HeatedStage =>
  stage.on === 'oven' || stage.on === 'fan' ? { ...stage, on: 'fire' } : stage
/** How hot and how long a fire finishes a cut. */
function fireFinish(cut: Cut) {
  const { hot_c, hot_min } = (findSchool('two-zone-fire') as School).usual(cut)
  return { set_c: hot_c, minutes: hot_min }
}

/** Nothing says how long it lasts. */
const isEndless = ({ minutes, per_kg_min, core_c }: HeatedStage): boolean =>
  [minutes, per_kg_min, core_c].every((each) => each === undefined)

/** Hot first and then off, with what was not said of it as its school does it: how long hot, and how long off. */
function withOvenOff(cooks: readonly HeatedStage[], roast: SaidRoast, cut: Cut): HeatedStage[] {
  const school = findSchool('oven-off') as School
  const [hot, off] = school
    .stages(school.usual(cut), cut, roast.mass_kg)
    .map(({ until }) => (until.kind === 'time' ? Math.round(until.duration_s / 60) : undefined))
  const named = roast.school === school.id && cooks.length > 0 && !cooks.some(({ on }) => on === 'off')
  const all = named ? [...cooks, { on: 'off' as const, minutes: off }] : [...cooks]
  return all.map((stage, i) => (isEndless(stage) && all[i + 1]?.on === 'off' ? { ...stage, minutes: hot } : stage))
}

/**
 * No middle has begun to warm by so small a share of the time that heat takes to cross a piece, r²/a with a thermal
 * diffusivity of meat of 0.13 mm²/s (handbooks, from memory); a hot oven, °C.
 */
const START = { share: 0.1, diffusivity_m2_per_s: 1.3e-7, least_c: 200 } as const

/** "Start 240 for 20", and nothing after it: over before its middle is warm, it is the start of a roast and no roast. */
function onlyStarts(
  [first, ...more]: readonly HeatedStage[],
  { mass_kg, thickness_mm, school = 'hot-start' }: SaidRoast,
  cut: Cut,
): boolean {
  if (school !== 'hot-start') return false
  if (!first || more.length > 0 || (first.on !== 'oven' && first.on !== 'fan')) return false
  if (first.minutes === undefined || first.core_c !== undefined || (first.set_c ?? 0) < START.least_c) return false
  const thick_m =
    thickness_mm === undefined
      ? usualThickness(cut, mass_kg ?? cut.mass_kg.usual, HEAT_PARAMETERS)
      : thickness_mm / 1000
  return first.minutes * 60 < (START.share * (thick_m / 2) ** 2) / START.diffusivity_m2_per_s
}

/** Stretches of heat in the order they are cooked in, with a rest where one belongs. */
export function staged(roast: SaidRoast, cut: Cut): ProgramPart {
  const said = roast.stages.map((stage) =>
    stage.usual === undefined ? stage : { ...stage, set_c: stage.set_c ?? usualHeat(stage.usual, cut) },
  )
  const panned = said.filter(({ on, finish }) => on === 'pan' && !finish)
  // "On the barbecue, 135 to 50": what was said as an oven is its fire.
  const onFire = roast.school === 'two-zone-fire' || said.some(({ on }) => on === 'fire')
  const gently = onFire
    ? 'two-zone-fire'
    : ENDS_HOT.includes(roast.school ?? '')
      ? ENDS_HOT.find((school) => findSchool(school)?.suits(cut))
      : undefined
  const gentle_c = gently === undefined ? steadySet(cut) : (findSchool(gently) as School).usual(cut).set_c
  const fallback_c = roast.set_c ?? gentle_c
  const rest = said.filter((stage) => !panned.includes(stage)).map((stage) => (onFire ? overCoals(stage) : stage))
  // Seared first, said without how long.
  const pans: HeatedStage[] =
    panned.length === 0 && roast.school === 'pan-first'
      ? [{ on: 'pan', minutes: (findSchool('pan-first') as School).usual(cut).hot_min }]
      : panned
  const finishes = rest.filter(({ finish }) => finish)
  const cooks = withOvenOff(
    rest.filter(({ finish }) => !finish),
    roast,
    cut,
  )
  // One heat and then another, said without how long: hot first for as long as usual, or hotter last to finish.
  const [opens, goes] = cooks
  const openly = opens?.set_c !== undefined && isEndless(opens) && goes?.set_c !== undefined
  if (openly && (opens.set_c ?? 0) > (goes.set_c ?? 0))
    cooks[0] = { ...opens, minutes: (findSchool('hot-start') as School).usual(cut).hot_min }
  else if (openly && cooks.length === 2 && finishes.length === 0 && goes.core_c === undefined)
    finishes.push({ ...(cooks.pop() as HeatedStage), finish: true })
  // Reverse seared, to a reading and then hotter for some minutes: that is its finish, said without the word.
  const [before, after] = [cooks.at(-2), cooks.at(-1)]
  const hotter = before?.core_c !== undefined && (after?.set_c ?? 0) > (before.set_c ?? 0)
  // "160 to 68, then 230": it has been cooked, and what comes is its crust.
  const sears =
    finishes.length === 0 &&
    hotter &&
    after !== undefined &&
    (after.minutes !== undefined ? roast.school === 'reverse-sear' : isEndless(after))
  if (sears) finishes.push({ ...(cooks.pop() as HeatedStage), finish: true })
  const open = cooks.some(({ minutes, core_c }) => minutes === undefined || core_c !== undefined)
  // A start that is over by the clock goes on at the heat that was said, or at the usual one.
  const goesOn =
    !open &&
    (cooks.length === 0 ||
      onlyStarts(cooks, roast, cut) ||
      (cooks.length === 1 && cooks[0]?.first === true) ||
      (roast.set_c !== undefined && cooks.every(({ on }) => on !== 'off' && on !== 'cold')))
  // Breast down for the first hour: then the other way up, at the heat that was said.
  const turned = !open && cooks.at(-1)?.breastDown ? cooks.at(-1)?.set_c : undefined
  const main: HeatedStage[] =
    goesOn || turned !== undefined ? [...cooks, { on: onFire ? 'fire' : 'oven', set_c: turned ?? fallback_c }] : cooks
  // "180, the last half hour at 220": it stays in, and rests after that. A rib at 120 is seared after its rest.
  const gentle = (cooks[0]?.set_c ?? fallback_c) < GENTLE_C && (findSchool('reverse-sear') as School).suits(cut)
  const straightOn =
    roast.school !== 'reverse-sear' && !gentle && finishes.length > 0 && finishes.every(({ last }) => last)
  const reverse = roast.school === 'reverse-sear' || (finishes.length > 0 && !straightOn)
  const bathed = main.some(({ on }) => on === 'bath')
  const searing = findSchool(bathed ? 'water-bath' : onFire ? 'two-zone-fire' : 'reverse-sear') as School
  const rest_min = roast.rest_min ?? (reverse ? searing.usual(cut).rest_min : cut.rest_min.least)
  // A reverse sear ends hot, whether that was said or not.
  if (roast.school === 'reverse-sear' && finishes.length === 0)
    finishes.push({ on: onFire ? 'fire' : 'oven', finish: true })
  const [first, second, third] = [...pans, ...main]
  const plain = (stage: HeatedStage | undefined) =>
    stage !== undefined && stage.core_c === undefined && !stage.cover && !stage.breastDown
  const school = (id: string) => {
    const found = findSchool(id)
    return found?.suits(cut) ? found : undefined
  }
  const rested = roast.rest_min === undefined ? {} : { rest_min: heldNumber(roast.rest_min) }
  const simple =
    !onFire &&
    plain(first) &&
    plain(second) &&
    !third &&
    finishes.length === 0 &&
    second?.minutes === undefined &&
    roast.pull_c === undefined
  if (
    simple &&
    first?.on !== 'pan' &&
    first?.minutes !== undefined &&
    (first.set_c ?? 0) > (second?.set_c ?? 999) &&
    school('hot-start')
  )
    return {
      school: 'hot-start',
      set_c: heldNumber(second?.set_c ?? fallback_c),
      hot_c: heldNumber(first.set_c ?? fallback_c),
      hot_min: heldNumber(first.minutes),
      ...rested,
    }
  if (simple && first?.on === 'pan' && first.minutes !== undefined && school('pan-first'))
    return {
      school: 'pan-first',
      set_c: heldNumber(second?.set_c ?? fallback_c),
      hot_c: heldNumber(first.set_c ?? PAN_C),
      hot_min: heldNumber(first.minutes),
      ...rested,
    }
  if (
    !onFire &&
    plain(first) &&
    !second &&
    first?.minutes === undefined &&
    finishes.length === 1 &&
    finishes[0]?.on !== 'pan' &&
    !straightOn &&
    roast.restAfter_min === undefined &&
    roast.pull_c === undefined &&
    school('reverse-sear')
  ) {
    const usual = searing.usual(cut)
    return {
      school: 'reverse-sear',
      set_c: heldNumber(first?.set_c ?? roast.set_c ?? usual.set_c),
      hot_c: heldNumber(finishes[0]?.set_c ?? usual.hot_c),
      hot_min: heldNumber(finishes[0]?.minutes ?? usual.hot_min),
      ...rested,
    }
  }
  const stages = [...pans, ...main].map((stage) => stageOf(stage, fallback_c))
  const last = main.at(-1)
  const wantsRest = roast.rest_min !== undefined || last?.on !== 'off'
  const hot = finishes.map((stage) => {
    const { set_c, minutes } = stage.on === 'pan' ? PAN_FINISH : onFire ? fireFinish(cut) : FINISH
    return stageOf({ ...stage, set_c: stage.set_c ?? set_c, minutes: stage.minutes ?? minutes }, fallback_c)
  })
  return {
    stages: withRoles([
      ...stages,
      ...(straightOn ? hot : []),
      ...(wantsRest ? [restPart(rest_min)] : []),
      ...(straightOn ? [] : hot),
      ...(roast.restAfter_min === undefined ? [] : [restPart(roast.restAfter_min)]),
    ]).slice(0, MOST_STAGES),
  }
}
