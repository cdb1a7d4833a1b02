import { findSchool } from '@/core/program/schools'
import { type Cut, findCut } from '@/core/reference/cuts'
import { DONENESS_SCALES, type DonenessScaleId, donenessScale, servedWithin } from '@/core/reference/doneness'
import { standardCut } from '@/core/reference/house-cut'
import { asCutStandards } from '../roast/resolve'
import type { SchoolPart, StandardsPart } from '../roast/roast-document'
import type { HouseItem, HouseStandard } from './house-item'

/**
 * House standards: what a head cook has every plan of the kitchen begin with. They are copied into a plan when it is
 * made, so that one that is changed later changes no plan that is made.
 */

/** Ranges of what is a number, and whether it is for each kind of meat. */
export const STANDARD_NUMBERS = {
  rest: { each: true, low: 0, high: 120, unit: 'minutes' },
  portion: { each: false, low: 0.5, high: 2, unit: 'of the usual portion' },
  margin: { each: false, low: 0, high: 60, unit: 'minutes' },
  buy: { each: false, low: 0.01, high: 2.5, unit: 'kg' },
} as const

const isScale = (id: string | undefined): id is DonenessScaleId => DONENESS_SCALES.some((scale) => scale.id === id)
const within = (value: number | null, low: number, high: number, unit: string) =>
  value !== null && value >= low && value <= high ? undefined : `is from ${low} to ${high} ${unit}`

/**
 * Why a standard cannot be; undefined where it can.
 * @example standardProblem({ kind: 'standard', name: 'serve.red.rare', value: 51, option: null, reason: '' }) // undefined
 */
export function standardProblem({ name, value, option, set_c }: HouseStandard): string | undefined {
  const [what, scale, degree, ...more] = name.split('.')
  if (more.length > 0) return 'is no standard'
  if (what === 'serve' && isScale(scale) && degree !== undefined) {
    const range = servedWithin(scale, degree)
    return range ? within(value, range.low, range.high, '°C, or it is another degree') : `knows no ${degree}`
  }
  if (degree !== undefined) return 'is no standard'
  if (what === 'usual' && isScale(scale)) {
    const { degrees, pullFloor_c } = donenessScale(scale)
    const found = degrees.find(({ id }) => id === option)
    return found && found.serve_c >= (pullFloor_c ?? 0) ? undefined : 'is no degree that is promised of it'
  }
  if (what === 'school' && isScale(scale)) {
    if (option === null || !findSchool(option)) return 'is no school'
    return set_c === undefined || (set_c >= 50 && set_c <= 300) ? undefined : 'has a heat from 50 to 300 °C'
  }
  const number = STANDARD_NUMBERS[what as keyof typeof STANDARD_NUMBERS]
  if (!Object.hasOwn(STANDARD_NUMBERS, what ?? '') || number.each !== isScale(scale)) return 'is no standard'
  if (!number.each && scale !== undefined) return 'is no standard'
  return within(value, number.low, number.high, number.unit)
}

/** A kitchen's standards, by their names. */
export type HouseStandards = ReadonlyMap<string, HouseStandard>
export const standardsOf = (house: readonly HouseItem[]): HouseStandards =>
  new Map(house.flatMap(({ document }) => (document.kind === 'standard' ? [[document.name, document] as const] : [])))

/** What a kitchen's standards are for one cut; undefined where it has none. */
export function standardsFor(cut: Cut, standards: HouseStandards): StandardsPart | undefined {
  if (standards.size === 0) return undefined
  const number = (name: string) => standards.get(name)?.value ?? undefined
  // What is sliced at other times may be cooked until it is tender too.
  const scales = cut.pullsApart ? [cut.doneness, 'tender'] : [cut.doneness]
  const serves = Object.fromEntries(
    [...standards].flatMap(([name, { value }]) =>
      scales.some((scale) => name.startsWith(`serve.${scale}.`)) && value !== null
        ? [[name.slice('serve.'.length), value]]
        : [],
    ),
  )
  const rest = number(`rest.${cut.doneness}`)
  const margin = number('margin')
  const usual = standards.get(`usual.${cut.doneness}`)?.option ?? undefined
  const portion = number('portion')
  const buy = number('buy')
  const part: StandardsPart = {
    ...(Object.keys(serves).length > 0 ? { serves } : {}),
    ...(usual === undefined ? {} : { usual }),
    ...(rest === undefined && margin === undefined
      ? {}
      : { rest_least_min: Math.min(180, (rest ?? cut.rest_min.least) + (margin ?? 0)) }),
    ...(portion === undefined ? {} : { portion }),
    ...(buy === undefined ? {} : { buy_step_kg: buy }),
  }
  return Object.keys(part).length > 0 ? part : undefined
}

/** A cut as its kitchen's standards have it. */
export function cutByStandards(cut: Cut, standards: HouseStandards | undefined): Cut {
  const part = standards && standardsFor(cut, standards)
  return part ? standardCut(cut, asCutStandards(part)) : cut
}

/**
 * A roast of a document with its kitchen's standards under it; one that brings its own keeps them.
 * @example withStandards({ cut: 'turkey' }, new Map()).standards // undefined
 */
export function withStandards<Roast extends { readonly cut: string; readonly standards?: StandardsPart | undefined }>(
  roast: Roast,
  standards: HouseStandards,
): Roast {
  if (roast.standards !== undefined) return roast
  const cut = findCut(roast.cut)
  const held = cut && standardsFor(cut, standards)
  return held ? { ...roast, standards: held } : roast
}

/** The school a kitchen cooks a cut in where a line says nothing of how, with why; undefined: it has none that suits. */
export function schoolByStandards(
  cut: Cut,
  standards: HouseStandards,
): { readonly program: SchoolPart; readonly reason: string } | undefined {
  const standard = standards.get(`school.${cut.doneness}`)
  const school = standard?.option ? findSchool(standard.option) : undefined
  if (!standard || !school?.suits(cut)) return undefined
  return {
    program: { school: school.id, ...(standard.set_c === undefined ? {} : { set_c: standard.set_c }) },
    reason: standard.reason,
  }
}
