import { DOMESTIC_OVEN, type OvenSpec } from '@/core/heat/oven'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { greatestThickness, type PieceSize, usualThickness } from '@/core/heat/piece'
import { findSchool, programOf, SCHOOLS, type School, type SchoolSettings, settingsOf } from '@/core/program/schools'
import type { Program } from '@/core/program/stage'
import { CUTS, type Cut, findCut, isPoultry } from '@/core/reference/cuts'
import { degreeNamed, scaleOf } from '@/core/reference/doneness'
import { type CutStandards, houseCut, standardCut } from '@/core/reference/house-cut'
import { TEMPER_LIMIT_S } from '@/core/reference/standards'
import { type Metres, metres } from '@/core/units'
import { fail, type Outcome, type Path, type Problem, type QuantityKind, succeed } from '../problem/problem'
import { nearestOf } from '../quantity/nearest'
import type { HouseCutPart, PlanDocument, SimulateDocument, StagePart, StandardsPart } from './roast-document'
import { HEAT_RANGE_C, resolveStage, stagesOf } from './stages'

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

const SERVE_RANGE_C = { low: 40, high: 98 }
const START_RANGE_C = { low: -20, high: 30 }
/** A measured thickness may differ this much from the usual one of the weight before they contradict each other. */
const THICKNESS_RATIO = { low: 0.6, high: 1.6 }
const ANY_MASS_KG = { low: 0.15, high: 25 }
const MASS_MARGIN = { low: 0.5, high: 1.6 }

/**
 * Words that may stand for a cut, for looking up and for suggestions.
 * @example cutWords(findCut('turkey')).includes('turkey') // true
 */
export const cutWords = (cut: Cut): readonly string[] => [
  cut.id.replaceAll('-', ' '),
  cut.name.toLowerCase(),
  ...cut.words,
]

/**
 * The cuts most like a word, as ids.
 * @example nearestCuts('turky')[0] // 'turkey'
 */
export function nearestCuts(word: string): string[] {
  return [...new Set(nearestOf(word, CUT_BY_WORD.keys(), 6).map((each) => CUT_BY_WORD.get(each) ?? each))].slice(0, 3)
}
const CUT_BY_WORD = new Map(CUTS.flatMap((cut) => cutWords(cut).map((word) => [word, cut.id] as const)))

/**
 * The heaviest and lightest a cut can believably be, kg.
 * @example massRange(findCut('turkey')).low // 1.25
 */
export const massRange = (cut: Cut) => ({
  low: cut.mass_kg.least * MASS_MARGIN.low,
  high: cut.mass_kg.most * MASS_MARGIN.high,
})

/**
 * The thickness a cut can have at a weight, mm.
 * @example thicknessRange(findCut('beef-rib-bone-in'), 2.7).usual // 106
 */
export function thicknessRange(
  cut: Cut,
  mass_kg: number,
  legs?: PieceSize['legs'],
): { low: number; usual: number; high: number } {
  const usual = usualThickness(cut, mass_kg, HEAT_PARAMETERS, legs) * 1000
  return {
    low: Math.ceil(usual * THICKNESS_RATIO.low),
    usual: Math.round(usual),
    high: Math.floor(Math.min(usual * THICKNESS_RATIO.high, greatestThickness(cut, mass_kg, HEAT_PARAMETERS) * 1000)),
  }
}

/**
 * Standards of a document as the cut knows them.
 * @example asCutStandards({ rest_least_min: 30 }).restLeast_min // 30
 */
export const asCutStandards = ({
  serves,
  usual,
  rest_least_min,
  portion,
  buy_step_kg,
}: StandardsPart): CutStandards => ({
  serves,
  usual,
  restLeast_min: rest_least_min,
  portion,
  buyStep_kg: buy_step_kg,
})

/**
 * The cut of a roast: the catalogue's, with the house's values and what was done to it laid over.
 * @example cutOf({ cut: 'turkey', handling: 'stuffed' }).intact // false
 */
export function cutOf(roast: {
  readonly cut: string
  readonly house?: HouseCutPart | null
  readonly standards?: StandardsPart | undefined
  readonly handling?: string
}): Cut | undefined {
  const found = findCut(roast.cut)
  const base = found && roast.standards ? standardCut(found, asCutStandards(roast.standards)) : found
  const intact = (roast.handling ?? 'as_cut') === 'as_cut'
  if (!base) return undefined
  const { house } = roast
  if (!house) return intact ? base : { ...base, intact: false }
  const cut = houseCut(base, {
    name: house.name,
    thickness_m: house.thickness_mm === undefined ? undefined : house.thickness_mm / 1000,
    width: house.width_ratio,
    length: house.length_ratio,
    usual_kg: house.usual_kg,
    boneShare: house.bone_share,
    perHead_kg: house.per_head_kg,
    restLeast_min: house.rest_least_min,
    restMost_min: house.rest_most_min,
    intact: house.intact,
    measure: house.measure,
    probe: house.probe,
  })
  return intact ? cut : { ...cut, intact: false }
}

/**
 * The cut of a roast as it is judged: one that is cooked until it is tender is as a cut that always is.
 * @example cutAsCooked({ roast: { cut: 'lamb-leg-bone-in' }, program: { school: 'low-and-long' } }).doneness // 'tender'
 */
export function cutAsCooked({
  roast,
  program,
}: {
  readonly roast: Parameters<typeof cutOf>[0]
  readonly program: SimulateDocument['program']
}): Cut | undefined {
  const cut = cutOf(roast)
  const tender =
    'stages' in program
      ? program.stages.some(({ until }) => until.kind === 'tender')
      : findSchool(program.school)?.untilTender === true
  return cut && tender && cut.doneness !== 'tender' && !isPoultry(cut)
    ? { ...cut, doneness: 'tender', usualDoneness: 'pull-apart' }
    : cut
}

/**
 * A document by another program. Where that judges it by other words (tender, not medium-rare), what was wanted by
 * the old ones is let go of.
 */
export function withProgram<
  Document extends {
    readonly roast: Parameters<typeof cutOf>[0]
    readonly program: SimulateDocument['program']
    readonly target?: unknown
  },
>(document: Document, program: SimulateDocument['program']): Document {
  const changed = { ...document, program }
  if (cutAsCooked(document)?.doneness === cutAsCooked(changed)?.doneness) return changed
  const rest: { target?: unknown } & typeof changed = { ...changed }
  delete rest.target
  return 'wishes' in rest ? { ...rest, wishes: {} } : rest
}

/**
 * The oven of a document: what it does not say is a domestic oven's.
 * @example ovenOf({ kind: 'fan', offset_k: 0 }).kind // 'fan'
 */
export const ovenOf = (oven: SimulateDocument['oven']): OvenSpec => ({
  ...DOMESTIC_OVEN,
  kind: oven.kind,
  offset_k: oven.offset_k,
  // Where in its swing an oven stands nobody knows beforehand: a plan goes by its mean.
  swing_k: oven.swing_k ?? 0,
  decay_s: oven.decay_min === undefined ? DOMESTIC_OVEN.decay_s : oven.decay_min * 60,
  preheat_k_per_s: oven.preheat_k_per_min === undefined ? DOMESTIC_OVEN.preheat_k_per_s : oven.preheat_k_per_min / 60,
  door_loss: oven.door_loss ?? DOMESTIC_OVEN.door_loss,
})

/**
 * What the model makes of a roast: its size and how its surface and parts were prepared.
 * @example pieceOf(findCut('turkey'), { mass_kg: 6, thickness_mm: null, surface: 'plain', stuffed: false }).wetness // 1
 */
export const pieceOf = (cut: Cut, roast: SimulateDocument['roast']): PieceSize => ({
  cut,
  mass_kg: roast.mass_kg,
  thickness_m: roast.thickness_mm === null ? undefined : roast.thickness_mm / 1000,
  wetness: SURFACE_WETNESS[roast.surface],
  stuffed: roast.stuffed,
  legs: roast.legs,
  thinEnd: roast.thin_end ?? undefined,
})
/** Salted and left open it has dried; butter seals it (sizes from memory): wetness relative to a fresh surface */
const SURFACE_WETNESS = { plain: 1, dry_salted: 0.8, buttered: 0.7 } as const

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

  const cut = cutAsCooked(document)
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
  if (roast.icy_core_c !== null)
    range(['roast', 'icy_core_c'], 'temperature_c', roast.icy_core_c, START_RANGE_C.low, roast.start_c)
  const bird = cut.geometry.family === 'bird'
  if (!bird && roast.stuffed) problems.push({ code: 'no_cavity', path: ['roast', 'stuffed'] })
  if (bird && roast.stuffed && roast.legs === 'flat')
    problems.push({ code: 'no_cavity', path: ['roast', 'stuffed'], flat: true })
  if (cut.bone === 'bird' && roast.thin_end !== null)
    problems.push({ code: 'no_thin_end', path: ['roast', 'thin_end'] })
  const massIsGood =
    problems.length === 0 || !problems.some((problem) => 'path' in problem && problem.path.at(-1) === 'mass_kg')
  if (roast.thickness_mm !== null && massIsGood) {
    const allowed = thicknessRange(cut, roast.mass_kg, roast.legs)
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
    const own = cutOf(roast) ?? cut
    if (!school.suits(own)) {
      problems.push({
        code: 'school_does_not_suit',
        path: ['program', 'school'],
        school: school.id,
        cut: cut.id,
        nearest: SCHOOLS.filter((each) => each.suits(own)).map(({ id }) => id),
      })
    }
    settings = settingsOf(school, given, cut, wanted_c)
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
    oven: ovenOf(oven),
    school,
    settings,
    program,
    target,
  })

  function resolveTarget(of: Cut, wanted: SimulateDocument['target'], into: Problem[]): ResolvedRoast['target'] {
    const scale = scaleOf(of)
    const usual = scale.degrees.find(({ id }) => id === of.usualDoneness)?.serve_c ?? 60
    if (wanted === undefined) return { kind: 'serve', serve_c: usual }
    if ('pull_c' in wanted) {
      range(['target', 'pull_c'], 'temperature_c', wanted.pull_c, 30, SERVE_RANGE_C.high)
      return { kind: 'pull', pull_c: wanted.pull_c }
    }
    if ('serve_c' in wanted) {
      // A bird is never pulled below its floor, so less than that cannot be promised.
      const low = Math.max(SERVE_RANGE_C.low, scale.pullFloor_c ?? 0)
      range(['target', 'serve_c'], 'temperature_c', wanted.serve_c, low, SERVE_RANGE_C.high, of.id)
      return { kind: 'serve', serve_c: wanted.serve_c }
    }
    const word = wanted.doneness.toLowerCase()
    const degree = degreeNamed(scale, word)
    const promised = scale.degrees.filter(({ serve_c }) => serve_c >= (scale.pullFloor_c ?? 0))
    if (degree && promised.includes(degree)) return { kind: 'serve', serve_c: degree.serve_c }
    into.push({
      code: 'unknown_doneness',
      path: ['target', 'doneness'],
      given: wanted.doneness,
      nearest: promised.map(({ id }) => id),
    })
    return { kind: 'serve', serve_c: usual }
  }
}

/** The stages of a document, a school's own way written out; empty where it has problems. */
export function stagesOfDocument(document: Parameters<typeof resolveRoast>[0]): readonly StagePart[] {
  if ('stages' in document.program) return document.program.stages
  const resolved = resolveRoast(document)
  return resolved.ok ? stagesOf(resolved.value.program) : []
}
