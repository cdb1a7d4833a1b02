import { findSchool, pullsApart, type School } from '@/core/program/schools'
import { type Cut, findCut, isCured, isPoultry } from '@/core/reference/cuts'
import { donenessScale } from '@/core/reference/doneness'
import { tenderSeconds } from '@/core/reference/tenderness'
import type { Plan } from '@/core/schedule/plan'
import { cutByStandards, type HouseStandards, schoolByStandards, standardsFor } from '../house/standards'
import { asTheHouseDoes, type HouseWays } from '../house/ways'
import { leadHours } from '../line/lead'
import type { LineReading, SaidRoast } from '../line/reading'
import { type PlanDocument, type ProgramPart, planDocument } from '../roast/roast-document'
import { waitingForPull, withRoles } from '../roast/stages'
import { heldNumber } from '../schema/scalars'
import { withCare, withHold, writtenOut } from './said-care'
import { MOST_STAGES, staged } from './said-stretches'

/** No document holds a later one, s since 1970. */
const LATEST_S = Date.UTC(2199, 11, 31) / 1000

/** When a line is to be on the table, s since 1970: as it says, or the next half hour that leaves it time. */
export const promiseOf = ({ promise_s, put_in_s = 0, roasts }: LineReading, now_s: number): number =>
  promise_s === undefined
    ? Math.ceil((Math.max(now_s, Math.min(LATEST_S, put_in_s)) + leadHours(roasts) * 3600) / 1800) * 1800
    : Math.min(LATEST_S, Math.max(0, promise_s))

/** From now to the knife at the least, of what should be out by now, s. */
const STILL_OUT_S = 900
/**
 * A plan that goes in when it was said to, or went in, to the nearest minute: its promise moves, for what it takes does
 * not; it stays ahead.
 * @param putIn_s when it goes in as it is planned, s since 1970
 */
export function goingInAt(document: PlanDocument, putIn_s: number, wanted_s: number, now_s: number): PlanDocument {
  const promise_s = Math.max(Date.parse(document.promise) / 1000 + wanted_s - putIn_s, now_s + STILL_OUT_S)
  return { ...document, promise: new Date(Math.round(promise_s / 60) * 60_000).toISOString() }
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

/** From here on a piece that can fall apart is cooked to fall apart, not sliced, minutes. */
const LONG_MIN = 180
/** Whether a piece is cooked by the clock alone for hours, that can fall apart and of which nobody says how done. */
export function comesAsItComes({ roast, program, target }: Said): boolean {
  const cut = findCut(roast.cut)
  if (!cut || !pullsApart(cut) || cut.doneness === 'tender' || target !== undefined || !('stages' in program))
    return false
  const heated = program.stages.filter(({ role }) => role === 'cook')
  const minutes = heated.map(({ until }) => (until.kind === 'time' ? until.minutes : Number.NaN))
  return minutes.reduce((sum, each) => sum + each, 0) >= LONG_MIN
}

/** A degree either way of the least and the most done there is, K. */
const BESIDE_K = 2
/**
 * Whether a piece that is sliced was told the reading it is pulled at, and nobody says how done: "120 to 48, then sear" is
 * wanted as that makes it. A bird is as done as birds are.
 */
function isToldItsPull({ roast, program, target }: Said): boolean {
  const cut = findCut(roast.cut)
  if (!cut || isPoultry(cut) || cut.doneness === 'tender' || target !== undefined) return false
  return waitingForPull(program).pull_c !== undefined
}

type Said = Pick<PlanDocument, 'roast' | 'program' | 'target'>
/** What it comes to: its peak, °C, and how long it has turned tender, s; of what a meal places the first alone is known. */
type Planned = { readonly peak_c?: Plan['peak_c'] | undefined; readonly tender_s?: Plan['tender_s'] }
/** Whether how done a roast is to be may follow from how it was told to be cooked. */
export const mayComeAsTold = (document: Said): boolean => comesAsItComes(document) || isToldItsPull(document)

/**
 * What a roast is served at that comes as it was told, °C: by its hours where it is tender by then, by its reading where
 * that is a degree it can be served at; undefined of any other.
 */
export function servedAsItComes(document: Said, { peak_c, tender_s = 0 }: Planned): number | undefined {
  if (peak_c === undefined) return undefined
  if (comesAsItComes(document)) return tender_s >= tenderSeconds('leaves_bone') ? peak_c : undefined
  const cut = findCut(document.roast.cut)
  if (!cut || !isToldItsPull(document)) return undefined
  const degrees = donenessScale(cut.doneness).degrees.map(({ serve_c }) => serve_c)
  const isLess = peak_c < Math.min(...degrees) - BESIDE_K
  const isMore = peak_c > Math.max(...degrees) + BESIDE_K && !pullsApart(cut)
  return isLess || isMore ? undefined : peak_c
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
    ...(reading.isIn && reading.put_in_s !== undefined
      ? { in_since: new Date(reading.put_in_s * 1000).toISOString() }
      : {}),
    guests: reading.guests ?? null,
    wishes: reading.wishes,
    vulnerable: reading.vulnerable,
  })
}
