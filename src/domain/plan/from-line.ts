import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { usualThickness } from '@/core/heat/piece'
import { findSchool, programOf, pullsApart, type School, settingsOf } from '@/core/program/schools'
import { type Cut, findCut, isCured } from '@/core/reference/cuts'
import { cutByStandards, type HouseStandards, schoolByStandards, standardsFor } from '../house/standards'
import { asTheHouseDoes, BASTE_MIN, type HouseWays } from '../house/ways'
import { leadHours } from '../line/lead'
import type { HeatedStage, LineReading, SaidRoast } from '../line/reading'
import { type PlanDocument, type ProgramPart, planDocument, type StagePart } from '../roast/roast-document'
import { mainStage, stagesOf, withRoles } from '../roast/stages'
import { heldNumber } from '../schema/scalars'

/** No document holds a later one, s since 1970. */
const LATEST_S = Date.UTC(2199, 11, 31) / 1000

/** When a line is to be on the table, s since 1970: as it says, or the next half hour that leaves it time. */
export const promiseOf = ({ promise_s, put_in_s = 0, roasts }: LineReading, now_s: number): number =>
  promise_s === undefined
    ? Math.ceil((Math.max(now_s, Math.min(LATEST_S, put_in_s)) + leadHours(roasts) * 3600) / 1800) * 1800
    : Math.min(LATEST_S, Math.max(0, promise_s))

/**
 * A plan that goes in when it was said to, to the nearest minute: its promise moves, for what it takes does not.
 * @param putIn_s when it goes in as it is planned, s since 1970
 */
export const goingInAt = (document: PlanDocument, putIn_s: number, wanted_s: number): PlanDocument => ({
  ...document,
  promise: new Date(Math.round((Date.parse(document.promise) / 1000 + wanted_s - putIn_s) / 60) * 60_000).toISOString(),
})
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

const restPart = (minutes: number): StagePart => ({
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

/** A school's own way written out, for what no school's settings can say. */
function writtenOut(school: School, roast: SaidRoast, cut: Cut): StagePart[] {
  const { set_c, second_c: hot_c, second_min: hot_min, rest_min } = roast
  const settings = settingsOf(school, { set_c, hot_c, hot_min, rest_min }, cut)
  return stagesOf(programOf(school, settings, cut, roast.mass_kg))
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
function staged(roast: SaidRoast, cut: Cut): ProgramPart {
  const said = roast.stages.map((stage) =>
    stage.usual === undefined ? stage : { ...stage, set_c: stage.set_c ?? usualHeat(stage.usual, cut) },
  )
  const fallback_c = roast.set_c ?? steadySet(cut)
  const panned = said.filter(({ on, finish }) => on === 'pan' && !finish)
  // "On the barbecue, 135 to 50": what was said as an oven is its fire.
  const onFire = roast.school === 'two-zone-fire' || said.some(({ on }) => on === 'fire')
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
      (roast.set_c !== undefined && cooks.every(({ on }) => on !== 'off' && on !== 'cold')))
  // Breast down for the first hour: then the other way up, at the heat that was said.
  const turned = !open && cooks.at(-1)?.breastDown ? cooks.at(-1)?.set_c : undefined
  const main: HeatedStage[] =
    goesOn || turned !== undefined ? [...cooks, { on: onFire ? 'fire' : 'oven', set_c: turned ?? fallback_c }] : cooks
  const reverse = roast.school === 'reverse-sear' || finishes.length > 0
  const searing = findSchool(main.some(({ on }) => on === 'bath') ? 'water-bath' : 'reverse-sear') as School
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
  return {
    stages: withRoles([
      ...stages,
      ...(wantsRest ? [restPart(rest_min)] : []),
      ...finishes.map((stage) => {
        const { set_c, minutes } = stage.on === 'pan' ? PAN_FINISH : onFire ? fireFinish(cut) : FINISH
        return stageOf({ ...stage, set_c: stage.set_c ?? set_c, minutes: stage.minutes ?? minutes }, fallback_c)
      }),
    ]).slice(0, MOST_STAGES),
  }
}

/** What is done to the main stretch of heat: its cover, its end, its tending. */
function withCare(program: ProgramPart, roast: SaidRoast, cut: Cut): ProgramPart {
  const { cover, pull_c, tender } = roast
  const tending = roast.tending.filter((each) => wrapCore(each) === undefined)
  const wrapped_c = roast.tending.map(wrapCore).find((core_c) => core_c !== undefined)
  const tended = tending.flatMap(tendedAs)
  // What comes off at the end was on before.
  const covered =
    cover ??
    (tended.some(({ act }) => act === 'uncover') && !tended.some(({ act }) => act === 'cover')
      ? ('foil' as const)
      : undefined)
  const foiled = covered !== undefined && covered !== 'bare'
  const tenderly = tender !== undefined && !('school' in program && findSchool(program.school)?.untilTender)
  if (!foiled && pull_c === undefined && tended.length === 0 && !tenderly && wrapped_c === undefined) return program
  const stages =
    'stages' in program
      ? program.stages
      : writtenOut(
          findSchool(program.school) as School,
          { ...roast, ...(program.set_c === undefined ? {} : { set_c: program.set_c }) },
          cut,
        )
  const main = mainStage(stages)
  const endOf = (until: StagePart['until']): StagePart['until'] =>
    tenderly
      ? { kind: 'tender', degree: tender }
      : pull_c === undefined
        ? until
        : { kind: 'core', core_c: heldNumber(pull_c) }
  return {
    ...('stages' in program ? program : {}),
    stages: stages
      .flatMap((stage, i) => {
        if (i !== main) return [stage]
        const cooked: StagePart = {
          ...stage,
          cover: foiled ? covered : stage.cover,
          until: endOf(stage.until),
          // What is said takes the place of what a school does of the same kind by itself.
          tending: [...stage.tending.filter(({ act }) => !tended.some((each) => each.act === act)), ...tended].slice(
            0,
            MOST_TENDED,
          ),
        }
        return wrapped_c === undefined ? [cooked] : wrappedAt(cooked, wrapped_c)
      })
      .slice(0, MOST_STAGES),
  }
}

/** The reading at which it was said to be wrapped tight, °C. */
function wrapCore({ sealed, moments }: SaidRoast['tending'][number]): number | undefined {
  const [moment] = moments ?? []
  return sealed && moment && 'core' in moment ? heldNumber(moment.core.value) : undefined
}

/** One stretch of heat as two: bare to a reading, and on in foil. What is done by the hour goes on, wrapped or not. */
const wrappedAt = (stage: StagePart, core_c: number): StagePart[] => [
  { ...stage, until: { kind: 'core', core_c } },
  {
    ...stage,
    cover: 'foil',
    preheated: true,
    tending: stage.tending.filter(({ act, every_min }) => act === 'coals' && every_min !== undefined),
  },
]

/** What is kept warm at the end, as cook and hold does it. */
function withHold(program: ProgramPart, { hold_c, hold_min }: SaidRoast, cut: Cut): ProgramPart {
  if (hold_c === undefined || !('stages' in program)) return program
  const { hot_min } = (findSchool('cook-and-hold') as School).usual(cut)
  const held: StagePart = {
    ...restPart(hold_min ?? hot_min),
    environment: { kind: 'cabinet', set_c: heldNumber(hold_c) },
    preheated: true,
  }
  return { ...program, stages: withRoles([...program.stages, held]).slice(-MOST_STAGES) }
}

/** A program holds no more. */
const MOST_STAGES = 12
/** A stage holds no more. */
const MOST_TENDED = 12
/** Glazed with sugar in the last third, twice, or it burns (common practice). */
const GLAZES = [0.7, 0.85]

/** Something done while it cooks, as a stage holds it. */
function tendedAs({ act, times, every_min, moments }: SaidRoast['tending'][number]): StagePart['tending'] {
  const at = (more: Partial<StagePart['tending'][number]>) => ({ act, at_min: 0, ...more })
  const [only, ...others] = moments ?? []
  // Twice in the last half hour: at its beginning, and half-way through it.
  if (only && others.length === 0 && 'before_end_min' in only && times !== undefined && times > 1)
    return Array.from({ length: Math.min(MOST_TENDED, times) }, (_, i) =>
      at({ before_end_min: heldNumber((only.before_end_min * (times - i)) / times) }),
    )
  if (moments)
    return moments.map((moment) =>
      'core' in moment
        ? at({ at_core_c: heldNumber(moment.core.value) })
        : 'before_end_min' in moment
          ? at({ before_end_min: heldNumber(moment.before_end_min) })
          : 'at_min' in moment
            ? at({ at_min: heldNumber(moment.at_min) })
            : at({ at_share: moment.share }),
    )
  if (every_min !== undefined) return [at({ at_min: heldNumber(every_min), every_min: heldNumber(every_min) })]
  if (act === 'glaze') return (times === 1 ? [0.75] : GLAZES).map((at_share) => at({ at_share }))
  if (times === undefined && act === 'baste') return [at({ at_min: BASTE_MIN, every_min: BASTE_MIN })]
  const count = Math.min(MOST_TENDED, times ?? 1)
  return Array.from({ length: count }, (_, i) => at({ at_share: Math.round((100 * (i + 1)) / (count + 1)) / 100 }))
}

/** How a line wants a roast cooked. */
export function programOfSaid(roast: SaidRoast, cut: Cut): ProgramPart {
  if (roast.written.length > 0) return { stages: withRoles(roast.written.slice(0, MOST_STAGES)) }
  if (roast.houseProgram) return { name: roast.houseProgram.name, stages: roast.houseProgram.stages }
  if (roast.stages.length > 0) return withHold(withCare(staged(roast, cut), roast, cut), roast, cut)
  // What is to be tender is cooked low and long, where nothing else is said.
  const holds = roast.hold_c !== undefined
  const own =
    roast.tender !== undefined && pullsApart(cut) && roast.set_c === undefined
      ? 'low-and-long'
      : holds && roast.pull_c === undefined && (findSchool('cook-and-hold') as School).suits(cut)
        ? 'cook-and-hold'
        : 'steady'
  const school = findSchool(roast.school ?? own) as School
  // What no school's settings can say is written out.
  if (holds && school.id !== 'cook-and-hold') {
    const stages = writtenOut(school, roast, cut)
    return withHold(withCare({ name: school.name, stages }, roast, cut), roast, cut)
  }
  const { second_c = roast.hold_c, second_min = roast.hold_min } = roast
  // What is smoked, or cooked until it falls apart, has no hot finish over the coals.
  if (school.id === 'two-zone-fire' && (roast.smoked || !school.suits(cut))) {
    const stages = withRoles(writtenOut(school, roast, cut).filter(({ role }) => role !== 'finish'))
    return withCare({ name: 'Beside the coals', stages }, roast, cut)
  }
  // A school that is not made for this cut is cooked as it was asked for, stage by stage.
  if (!school.suits(cut)) return withCare({ name: school.name, stages: writtenOut(school, roast, cut) }, roast, cut)
  return withCare(
    {
      school: school.id,
      ...(roast.set_c === undefined ? {} : { set_c: heldNumber(roast.set_c) }),
      ...(second_c === undefined ? {} : { hot_c: heldNumber(second_c) }),
      ...(second_min === undefined ? {} : { hot_min: heldNumber(second_min) }),
      ...(roast.rest_min === undefined ? {} : { rest_min: heldNumber(roast.rest_min) }),
      ...(school.untilTender && roast.tender !== undefined ? { tender: roast.tender } : {}),
    },
    roast,
    cut,
  )
}

/** A plan's parts that a meal's roast has too. */
const planPart = planDocument.pick({
  roast: true,
  program: true,
  target: true,
  preparation: true,
  frozen: true,
  thaws: true,
  notes: true,
})

/** Whether a line says how it is cooked itself. */
const saysHow = ({ written, houseProgram, stages, school, set_c, second_c, second_min, tender }: SaidRoast): boolean =>
  written.length > 0 ||
  houseProgram !== undefined ||
  stages.length > 0 ||
  [school, set_c, second_c, second_min, tender].some((each) => each !== undefined)
const restSaid = ({ rest_min }: SaidRoast) => (rest_min === undefined ? {} : { rest_min: heldNumber(rest_min) })

/** What a plan and a meal's roast share of a roast as it was said. */
export function partsOfSaid(roast: SaidRoast, ways: HouseWays = {}, standards: HouseStandards = new Map()) {
  const found = findCut(roast.cut)
  if (!found) throw new RangeError(`no cut ${roast.cut}`)
  const cut = cutByStandards(found, standards)
  const own = saysHow(roast) ? undefined : schoolByStandards(found, standards)
  const held = standardsFor(found, standards)
  const salted = roast.preparation === undefined ? !isCured(found) : roast.preparation === 'dry_salt'
  // What a glaze is made of no stage knows.
  const glazes = roast.tending.flatMap(({ act, said }) =>
    act === 'glaze' && said && /with|honey|maple|mustard|sugar|marmalade|orange|apricot|cider/.test(said) ? [said] : [],
  )
  const parts = {
    roast: {
      cut: roast.cut,
      mass_kg: heldNumber(roast.mass_kg),
      thickness_mm: roast.thickness_mm === undefined ? null : heldNumber(roast.thickness_mm),
      start_c: heldNumber(roast.start_c ?? 5),
      temper_min: heldNumber(roast.temper_min ?? 30),
      surface: roast.surface ?? (salted ? ('dry_salted' as const) : ('plain' as const)),
      handling: roast.handling ?? 'as_cut',
      stuffed: roast.stuffed ?? false,
      legs: roast.legs ?? 'tied',
      ...(roast.houseCut ? { house: roast.houseCut.house } : {}),
      ...(held || own ? { standards: { ...held, ...(own?.reason ? { school: own.reason } : {}) } } : {}),
    },
    program: own ? withCare({ ...own.program, ...restSaid(roast) }, roast, cut) : programOfSaid(roast, cut),
    ...(roast.serve_c !== undefined
      ? { target: { serve_c: heldNumber(roast.serve_c) } }
      : roast.doneness !== undefined
        ? { target: { doneness: roast.doneness } }
        : {}),
    preparation: roast.preparation ?? null,
    frozen: roast.frozen ?? false,
    ...(roast.thaws ? { thaws: roast.thaws } : {}),
    notes: [...roast.notes, ...glazes].join('; ').slice(0, 500),
  }
  return { cut, ...asTheHouseDoes(planPart.parse(parts), roast, cut, ways) }
}

/** The pieces that a roast said once stands for, as a meal holds them but for their place in it. */
export function piecesOfSaid(said: SaidRoast, ways: HouseWays = {}, standards: HouseStandards = new Map()) {
  const { cut, preparation, ...parts } = partsOfSaid(said, ways, standards)
  return Array.from({ length: said.count }, (_, i) => ({
    title: said.count === 1 ? cut.name : `${cut.name} ${i + 1} of ${said.count}`,
    ...parts,
    preparation:
      preparation ?? (parts.roast.surface === 'plain' && isCured(cut) ? ('none' as const) : ('dry_salt' as const)),
  }))
}

/** The plan document of the one roast that a line is about. */
export function planFromLine(reading: LineReading, now_s: number): PlanDocument {
  const [said] = reading.roasts
  if (!said) throw new RangeError('the line names no roast')
  const { cut, ...parts } = partsOfSaid(said, reading.ways, reading.standards)
  const promise_s = promiseOf(reading, now_s)
  return planDocument.parse({
    version: 1,
    title: cut.name,
    ...parts,
    oven: { kind: said.oven ?? 'still', offset_k: reading.oven_k ?? 0 },
    promise: new Date(promise_s * 1000).toISOString(),
    guests: reading.guests ?? null,
    wishes: reading.wishes,
    vulnerable: reading.vulnerable,
  })
}
