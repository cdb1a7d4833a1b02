import { DOMESTIC_OVEN, type OvenSpec } from '@/core/heat/oven'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { greatestThickness, usualThickness } from '@/core/heat/piece'
import { findSchool, programOf, SCHOOLS, type School, type SchoolSettings } from '@/core/program/schools'
import type { Program, Stage, StageEnvironment } from '@/core/program/stage'
import { CUTS, type Cut, findCut } from '@/core/reference/cuts'
import { donenessScale } from '@/core/reference/doneness'
import { TEMPER_LIMIT_S } from '@/core/safety/cautions'
import { celsius, type Metres, metres, minutes } from '@/core/units'
import { fail, type Outcome, type Path, type Problem, type QuantityKind, succeed } from '../problem/problem'
import { nearestOf } from '../quantity/nearest'
import type { PlanDocument, SimulateDocument } from './roast-document'

/** A document whose words have been looked up and whose numbers have been checked. */
export interface ResolvedRoast {
  readonly cut: Cut
  readonly thickness_m: Metres | undefined
  readonly oven: OvenSpec
  readonly school: School | undefined
  readonly settings: SchoolSettings | undefined
  readonly program: Program
  readonly target:
    | { readonly kind: 'serve'; readonly serve_c: number }
    | { readonly kind: 'pull'; readonly pull_c: number }
}

/** What the heat of a school may be set to, °C. */
export const HEAT_RANGE_C: Readonly<Record<School['heat'], { low: number; high: number }>> = {
  oven: { low: 60, high: 300 },
  fire: { low: 80, high: 400 },
  bath: { low: 48, high: 95 },
}
const SERVE_RANGE_C = { low: 40, high: 98 }
const START_RANGE_C = { low: -20, high: 30 }
/** A measured thickness may differ this much from the usual one of the weight before they contradict each other. */
const THICKNESS_RATIO = { low: 0.6, high: 1.6 }
const ANY_MASS_KG = { low: 0.15, high: 25 }
const MASS_MARGIN = { low: 0.5, high: 1.6 }

/** Words that may stand for a cut, for looking up and for suggestions. */
export const cutWords = (cut: Cut): readonly string[] => [
  cut.id.replaceAll('-', ' '),
  cut.name.toLowerCase(),
  ...cut.words,
]

/** The cuts most like a word, as ids. */
export function nearestCuts(word: string): string[] {
  const byWord = new Map<string, string>()
  for (const cut of CUTS) for (const each of cutWords(cut)) byWord.set(each, cut.id)
  return [...new Set(nearestOf(word, byWord.keys(), 6).map((each) => byWord.get(each) ?? each))].slice(0, 3)
}

/** The heaviest and lightest a cut can believably be, kg. */
export const massRange = (cut: Cut) => ({
  low: cut.mass_kg.least * MASS_MARGIN.low,
  high: cut.mass_kg.most * MASS_MARGIN.high,
})

/** The thickness a cut can have at a weight, mm. */
export function thicknessRange(cut: Cut, mass_kg: number): { low: number; usual: number; high: number } {
  const usual = usualThickness(cut, mass_kg, HEAT_PARAMETERS) * 1000
  return {
    low: Math.ceil(usual * THICKNESS_RATIO.low),
    usual: Math.round(usual),
    high: Math.floor(Math.min(usual * THICKNESS_RATIO.high, greatestThickness(cut, mass_kg, HEAT_PARAMETERS) * 1000)),
  }
}

/** Looks up and checks a document. All that is wrong comes back at once. */
export function resolveRoast(
  document: Pick<SimulateDocument, 'roast' | 'oven'> & {
    program: SimulateDocument['program']
    target?: SimulateDocument['target'] | PlanDocument['target']
  },
): Outcome<ResolvedRoast> {
  const problems: Problem[] = []
  const { roast, oven } = document
  const range = (path: Path, quantity: QuantityKind, value: number, low: number, high: number, cut?: string) => {
    if (!(value >= low && value <= high))
      problems.push({ code: 'out_of_range', path, quantity, value, low, high, ...(cut ? { cut } : {}) })
  }

  const cut = findCut(roast.cut)
  if (!cut) range(['roast', 'mass_kg'], 'mass_kg', roast.mass_kg, ANY_MASS_KG.low, ANY_MASS_KG.high)
  if (!cut)
    return fail(...problems, {
      code: 'unknown_cut',
      path: ['roast', 'cut'],
      given: roast.cut,
      nearest: nearestCuts(roast.cut),
    })
  const masses = massRange(cut)
  range(['roast', 'mass_kg'], 'mass_kg', roast.mass_kg, masses.low, masses.high, cut.id)
  range(['roast', 'start_c'], 'temperature_c', roast.start_c, START_RANGE_C.low, START_RANGE_C.high)
  range(['roast', 'temper_min'], 'minutes', roast.temper_min, 0, TEMPER_LIMIT_S / 60)
  range(['oven', 'offset_k'], 'rise_k', oven.offset_k, -60, 60)
  const massIsGood =
    problems.length === 0 || !problems.some((problem) => 'path' in problem && problem.path.at(-1) === 'mass_kg')
  if (roast.thickness_mm !== null && massIsGood) {
    const allowed = thicknessRange(cut, roast.mass_kg)
    if (!(roast.thickness_mm >= allowed.low && roast.thickness_mm <= allowed.high)) {
      problems.push({
        code: 'thickness_contradicts_mass',
        path: ['roast', 'thickness_mm'],
        thickness_mm: roast.thickness_mm,
        mass_kg: roast.mass_kg,
        low_mm: allowed.low,
        high_mm: allowed.high,
      })
    }
  }

  const target = resolveTarget(cut, document.target, problems)
  const wanted_c = target.kind === 'serve' ? target.serve_c : target.pull_c
  if (roast.start_c >= wanted_c)
    problems.push({ code: 'start_above_target', path: ['roast', 'start_c'], start_c: roast.start_c, serve_c: wanted_c })

  let school: School | undefined
  let settings: SchoolSettings | undefined
  let program: Program
  if ('stages' in document.program) {
    program = {
      school: 'own',
      stages: document.program.stages.map((stage, i) => resolveStage(stage, ['program', 'stages', i], range)),
    }
  } else {
    const given = document.program
    school = findSchool(given.school)
    if (!school)
      return fail(...problems, {
        code: 'unknown_school',
        path: ['program', 'school'],
        given: given.school,
        nearest: nearestOf(
          given.school,
          SCHOOLS.map(({ id }) => id),
        ),
      })
    if (!school.suits(cut)) {
      problems.push({
        code: 'school_does_not_suit',
        path: ['program', 'school'],
        school: school.id,
        cut: cut.id,
        nearest: SCHOOLS.filter((each) => each.suits(cut)).map(({ id }) => id),
      })
    }
    const usual = school.usual(cut)
    settings = {
      set_c: given.set_c ?? usual.set_c,
      hot_c: given.hot_c ?? usual.hot_c,
      hot_min: given.hot_min ?? usual.hot_min,
      rest_min: given.rest_min ?? usual.rest_min,
    }
    const heat = HEAT_RANGE_C[school.heat]
    range(['program', 'set_c'], 'temperature_c', settings.set_c, heat.low, heat.high)
    range(['program', 'hot_c'], 'temperature_c', settings.hot_c, 45, 400)
    range(['program', 'hot_min'], 'minutes', settings.hot_min, 1, 600)
    range(['program', 'rest_min'], 'minutes', settings.rest_min, 0, 240)
    const waits = school.stages(settings, cut, 1).some((stage) => stage.until.kind === 'pull')
    if (waits && settings.set_c + oven.offset_k < wanted_c + (school.heat === 'bath' ? 0.5 : 8)) {
      problems.push({ code: 'heat_below_target', path: ['program', 'set_c'], set_c: settings.set_c, serve_c: wanted_c })
    }
    program = programOf(school, settings, cut, roast.mass_kg)
  }
  if (problems.length > 0) return fail(...problems)
  return succeed({
    cut,
    thickness_m: roast.thickness_mm === null ? undefined : metres(roast.thickness_mm / 1000),
    oven: { ...DOMESTIC_OVEN, kind: oven.kind, offset_k: oven.offset_k },
    school,
    settings,
    program,
    target,
  })

  function resolveTarget(of: Cut, wanted: SimulateDocument['target'], into: Problem[]): ResolvedRoast['target'] {
    const scale = donenessScale(of.doneness)
    const usual = scale.degrees.find(({ id }) => id === of.usualDoneness)?.serve_c ?? 60
    if (wanted === undefined) return { kind: 'serve', serve_c: usual }
    if ('pull_c' in wanted) {
      range(['target', 'pull_c'], 'temperature_c', wanted.pull_c, 30, SERVE_RANGE_C.high)
      return { kind: 'pull', pull_c: wanted.pull_c }
    }
    if ('serve_c' in wanted) {
      range(['target', 'serve_c'], 'temperature_c', wanted.serve_c, SERVE_RANGE_C.low, SERVE_RANGE_C.high)
      return { kind: 'serve', serve_c: wanted.serve_c }
    }
    const word = wanted.doneness.toLowerCase()
    const degree = scale.degrees.find(({ id, words }) => id === word || words.includes(word))
    if (degree) return { kind: 'serve', serve_c: degree.serve_c }
    into.push({
      code: 'unknown_doneness',
      path: ['target', 'doneness'],
      given: wanted.doneness,
      nearest: scale.degrees.map(({ id }) => id),
    })
    return { kind: 'serve', serve_c: usual }
  }
}

type RangeCheck = (path: Path, quantity: QuantityKind, value: number, low: number, high: number) => void
type StageInput = Extract<SimulateDocument['program'], { stages: unknown }>['stages'][number]

function resolveStage(stage: StageInput, path: Path, range: RangeCheck): Stage {
  const { environment: given, until: end } = stage
  let environment: StageEnvironment
  if (given.kind === 'oven') {
    if (given.set_c !== null)
      range(
        [...path, 'environment', 'set_c'],
        'temperature_c',
        given.set_c,
        HEAT_RANGE_C.oven.low,
        HEAT_RANGE_C.oven.high,
      )
    environment =
      given.set_c === null ? { kind: 'oven', heat: 'off' } : { kind: 'oven', heat: 'on', set_c: celsius(given.set_c) }
  } else if ('set_c' in given) {
    range([...path, 'environment', 'set_c'], 'temperature_c', given.set_c, 45, 400)
    environment = { kind: given.kind, set_c: celsius(given.set_c) }
  } else environment = { kind: given.kind }
  if (end.kind === 'time') range([...path, 'until', 'minutes'], 'minutes', end.minutes, 0, 36 * 60)
  if (end.kind === 'core') range([...path, 'until', 'core_c'], 'temperature_c', end.core_c, 0, 98)
  if (end.kind === 'colour') range([...path, 'until', 'browning_min'], 'minutes', end.browning_min, 0, 600)
  return {
    role: stage.role,
    environment,
    cover: stage.cover,
    preheated: stage.preheated,
    ...(stage.position ? { position: stage.position } : {}),
    until:
      end.kind === 'time'
        ? { kind: 'time', duration_s: minutes(end.minutes) }
        : end.kind === 'core'
          ? { kind: 'core', core_c: celsius(end.core_c) }
          : end.kind === 'colour'
            ? { kind: 'colour', browning_s: minutes(end.browning_min) }
            : { kind: 'pull' },
    tending: stage.tending.map(({ act, at_min, every_min }) => ({
      act,
      at_s: minutes(at_min),
      every_s: every_min === undefined ? undefined : minutes(Math.max(1, every_min)),
    })),
  }
}
