import { findSchool, SCHOOLS } from '@/core/program/schools'
import { weightOf } from '@/core/safety/weight'
import { greedySchedule, prepare } from '@/core/schedule/meal/greedy'
import type { CookedRoast } from '@/core/schedule/meal/roast-times'
import { cutOf } from '../roast/resolve'
import { withHold } from './batches'
import type { MealDocument, MealRoast, MealSide } from './meal-document'
import { type ResolvedMeal, resolveMeal } from './meal-problem'

/** A change that would make room, as data; its words are made at the edge. */
export type ChangeKind =
  | { readonly code: 'oven_setting'; readonly id: string; readonly set_c: number; readonly minutes: number }
  | { readonly code: 'one_heat'; readonly set_c: number }
  | { readonly code: 'longer_rest'; readonly id: string; readonly minutes: number }
  | { readonly code: 'other_serving'; readonly id: string; readonly at: string }
  | { readonly code: 'school'; readonly id: string; readonly school: string; readonly set_c?: number }
  | { readonly code: 'two_smaller'; readonly id: string; readonly mass_kg: number }
  | { readonly code: 'side_range'; readonly id: string; readonly low_c: number; readonly high_c: number }
  | { readonly code: 'hold_longer'; readonly id: string; readonly minutes: number }
  | { readonly code: 'earlier_batch'; readonly id: string; readonly minutes: number }
  | { readonly code: 'start_earlier'; readonly hours: number }
  | { readonly code: 'another_cook' }

export interface MealChange {
  readonly change: ChangeKind
  /** Items left out after it; fewer than before. */
  readonly dropped: number
  readonly cost: number
  readonly document: MealDocument
}

const MOST = 6
export const STEADY = 'steady'
/** So many are asked to give way. */
const MOST_ASKED = 4
/** How much longer than it likes a side may wait, minutes. */
const HOLDS_MORE_MIN = [20, 45] as const
/** How long an earlier batch waits in the cabinet, minutes. */
const HOLDS_MIN = [60, 120, 180] as const

export const withRoast = (meal: MealDocument, id: string, apply: (roast: MealRoast) => MealRoast): MealDocument => ({
  ...meal,
  roasts: meal.roasts.map((roast) => (roast.id === id ? apply(roast) : roast)),
})
const withSide = (meal: MealDocument, id: string, apply: (side: MealSide) => MealSide): MealDocument => ({
  ...meal,
  sides: meal.sides.map((side) => (side.id === id ? apply(side) : side)),
})

/** The same roast as two of half the weight; a measured thickness was of the one piece, so it is let go. */
export const inTwo = (meal: MealDocument, id: string, half_kg: number): MealDocument => ({
  ...meal,
  placed: null,
  roasts: meal.roasts.flatMap((each) =>
    each.id === id
      ? ['a', 'b'].map((mark) => ({
          ...each,
          id: `${each.id}-${mark}`,
          title: `${each.title} ${mark === 'a' ? 'one' : 'two'}`,
          heads: Math.round(each.heads / 2),
          pin: { oven: null, start: null },
          roast: { ...each.roast, mass_kg: half_kg, thickness_mm: null },
        }))
      : [each],
  ),
})

/** Serves one item at another time, in a serving of its own. */
function elsewhere(meal: MealDocument, id: string, minutes: number): MealDocument | undefined {
  const item = meal.roasts.find((each) => each.id === id) ?? meal.sides.find((each) => each.id === id)
  const serving = meal.servings.find((each) => each.id === item?.serving)
  if (!item || !serving || meal.servings.length >= 12) return undefined
  const at = new Date(Date.parse(serving.at) + minutes * 60_000).toISOString()
  const same = meal.servings.find((each) => Date.parse(each.at) === Date.parse(at))
  const to = same ?? { id: `at-${Date.parse(at) / 60_000}`, title: serving.title, at, away_min: serving.away_min }
  const moved = { ...meal, servings: same ? meal.servings : [...meal.servings, to] }
  return meal.roasts.some((each) => each.id === id)
    ? withRoast(moved, id, (roast) => ({ ...roast, serving: to.id }))
    : withSide(moved, id, (side) => ({ ...side, serving: to.id }))
}

/** What the oven of a roast is set to, °C: as it was said, or as its school does it. Undefined for stages of its own. */
export function settingOf({ roast, program }: MealRoast): number | undefined {
  const cut = cutOf(roast)
  if (!('school' in program) || !cut) return undefined
  return program.set_c ?? findSchool(program.school)?.usual(cut).set_c
}

/** Whether it is cooked by a school in an oven, which can be set to another heat. */
const goesInAnOven = ({ program }: MealRoast): boolean =>
  'school' in program && findSchool(program.school)?.heat === 'oven'

/** Every single change worth trying for the items that clash. */
function* candidates(
  meal: MealDocument,
  ids: readonly string[],
): Generator<{ change: ChangeKind; document: MealDocument }> {
  // The heats that there are, and those that the sides in question like best.
  const settings = new Set([
    ...meal.roasts.flatMap((roast) => settingOf(roast) ?? []),
    ...meal.sides.filter(({ id }) => ids.includes(id)).map(({ set_c }) => set_c),
  ])
  const settable = meal.roasts.filter(goesInAnOven)
  if (settable.length > 1)
    for (const set_c of settings)
      yield {
        change: { code: 'one_heat', set_c },
        document: settable.reduce(
          (last, { id }) => withRoast(last, id, (roast) => ({ ...roast, program: { ...roast.program, set_c } })),
          meal,
        ),
      }
  for (const id of ids) {
    const roast = meal.roasts.find((each) => each.id === id)
    const side = meal.sides.find((each) => each.id === id)
    if (roast) {
      const { program } = roast
      const cut = cutOf(roast.roast)
      if ('school' in program && cut) {
        const school = findSchool(program.school)
        const now = settingOf(roast)
        for (const set_c of settings)
          if (set_c !== now && school?.heat === 'oven')
            yield {
              change: { code: 'oven_setting', id, set_c, minutes: 0 },
              document: withRoast(meal, id, (last) => ({ ...last, program: { ...program, set_c } })),
            }
        for (const other of SCHOOLS)
          if (other.id !== program.school && other.suits(cut) && other.mayReplace)
            yield {
              change: { code: 'school', id, school: other.id },
              document: withRoast(meal, id, (last) => ({ ...last, program: { school: other.id } })),
            }
        // At one heat, and that of another roast: the two go in together.
        if (program.school !== STEADY)
          for (const set_c of settings)
            yield {
              change: { code: 'school', id, school: STEADY, set_c },
              document: withRoast(meal, id, (last) => ({ ...last, program: { school: STEADY, set_c } })),
            }
      }
      if (cut && meal.roasts.length < 40) {
        const half = Math.round((roast.roast.mass_kg / 2) * 20) / 20
        if (half >= cut.mass_kg.least)
          yield {
            change: { code: 'two_smaller', id, mass_kg: half },
            document: inTwo(meal, id, half),
          }
        if (meal.kitchen.cabinet_places > 0)
          for (const minutes of HOLDS_MIN)
            yield {
              change: { code: 'earlier_batch', id, minutes },
              document: withRoast(meal, id, (last) => withHold(last, meal, minutes)),
            }
        yield {
          change: { code: 'longer_rest', id, minutes: 30 },
          document: withRoast(meal, id, (last) => ({
            ...last,
            roast: {
              ...last.roast,
              house: { ...(last.roast.house ?? {}), rest_most_min: cut.rest_min.most + 30 },
            },
          })),
        }
      }
    }
    if (side) {
      yield {
        change: { code: 'side_range', id, low_c: side.low_c - 30, high_c: side.high_c + 30 },
        document: withSide(meal, id, (last) => ({ ...last, low_c: last.low_c - 30, high_c: last.high_c + 30 })),
      }
      for (const more_min of HOLDS_MORE_MIN)
        yield {
          change: { code: 'hold_longer', id, minutes: side.hold_min + more_min },
          document: withSide(meal, id, (last) => ({ ...last, hold_min: last.hold_min + more_min })),
        }
    }
    for (const minutes of [-30, 30]) {
      const document = elsewhere(meal, id, minutes)
      const serving = document?.servings.find(
        (each) =>
          each.id === (document.roasts.find((r) => r.id === id) ?? document.sides.find((s) => s.id === id))?.serving,
      )
      if (document && serving) yield { change: { code: 'other_serving', id, at: serving.at }, document }
    }
  }
  const first = Math.min(...meal.servings.map(({ at }) => Date.parse(at)))
  const start = meal.day_start === null ? first - 12 * 3600_000 : Date.parse(meal.day_start)
  yield {
    change: { code: 'start_earlier', hours: 3 },
    document: { ...meal, day_start: new Date(start - 3 * 3600_000).toISOString() },
  }
  yield {
    change: { code: 'another_cook' },
    document: {
      ...meal,
      kitchen: { ...meal.kitchen, cooks: [...meal.kitchen.cooks, `Cook ${meal.kitchen.cooks.length + 1}`] },
    },
  }
}

/** What a roast is warned of that a cook must decide on, by code. */
const gravelyWarned = (cooked: readonly CookedRoast[]): string[] =>
  cooked
    .flatMap(({ cautions }) => cautions)
    .filter((caution) => ['danger', 'choice'].includes(weightOf(caution)))
    .map(({ code }) => code)

/** Whether a changed meal is warned of something that it was not: a bird in an oven too slow for it is no way to make room. */
export function bringsDanger(before: ResolvedMeal, after: ResolvedMeal): boolean {
  const known = new Map(before.roasts.map(({ roast, cooked }) => [roast.id, gravelyWarned(cooked)]))
  return after.roasts.some(({ roast, cooked }) => {
    const was = known.get(roast.id) ?? known.get(roast.id.replace(/-[ab]$/, '')) ?? []
    return gravelyWarned(cooked).some((code) => !was.includes(code))
  })
}

/** How much a change asks of the cook: five degrees are little, another school or another hour for the guests is much. */
function asks(change: ChangeKind, from_c: number | undefined): number {
  switch (change.code) {
    case 'oven_setting':
      return Math.abs(change.set_c - (from_c ?? change.set_c)) / 10 + Math.abs(change.minutes) / 30
    case 'one_heat':
      return 2
    case 'longer_rest':
    case 'hold_longer':
      return 1
    case 'side_range':
      return 2
    case 'start_earlier':
    case 'two_smaller':
      return 3
    case 'earlier_batch':
      return 3 + change.minutes / 60
    case 'school':
    case 'another_cook':
      return 4
    case 'other_serving':
      return 5
    default:
      return change satisfies never
  }
}
/** Of one kind no more than so many are offered: six of a kind say less than three kinds. */
const MOST_OF_A_KIND = 2

/**
 * The least changes that would make room for what was left out, each tried: single changes to the
 * items that clash and to those in their way, scheduled by the quick scheduler; those that place most first, then
 * those that ask least. None of them brings a danger that was not there.
 */
export function changesFor(meal: MealDocument, ids: readonly string[], droppedNow: number): MealChange[] {
  const found: MealChange[] = []
  // Where no single item is in the way they all are together: any of them may give way.
  const roasts = meal.roasts.map(({ id }) => id).filter((id) => !ids.includes(id))
  const asked = ids.length > droppedNow ? ids : [...ids, ...roasts.slice(0, MOST_ASKED)]
  const before = resolveMeal(meal)
  if (!before.ok) return []
  for (const { change, document } of candidates(meal, asked)) {
    const resolved = resolveMeal(document)
    if (!resolved.ok) continue
    const { problem } = resolved.value
    const schedule = greedySchedule(problem, prepare(problem), 20)
    if (schedule.dropped.length >= droppedNow || bringsDanger(before.value, resolved.value)) continue
    found.push({
      change:
        change.code === 'oven_setting'
          ? { ...change, minutes: cookMinutes(document, change.id) - cookMinutes(meal, change.id) }
          : change,
      dropped: schedule.dropped.length,
      cost: schedule.cost,
      document,
    })
  }
  const settings = new Map(meal.roasts.map((roast) => [roast.id, settingOf(roast)]))
  const askedOf = ({ change }: MealChange) => asks(change, 'id' in change ? settings.get(change.id) : undefined)
  const sorted = found.sort((a, b) => a.dropped - b.dropped || askedOf(a) - askedOf(b) || a.cost - b.cost)
  const kinds = new Map<string, number>()
  return sorted
    .filter(({ change: { code } }) => {
      const many = kinds.get(code) ?? 0
      kinds.set(code, many + 1)
      return many < MOST_OF_A_KIND
    })
    .slice(0, MOST)
}

/** Minutes on heat of one roast in the first oven that takes it. */
function cookMinutes(meal: MealDocument, id: string): number {
  const resolved = resolveMeal({ ...meal, roasts: meal.roasts.filter((roast) => roast.id === id), sides: [] })
  const stays = resolved.ok ? resolved.value.roasts[0]?.cooked[0]?.stays : undefined
  return Math.round(
    (stays ?? []).flatMap(({ phases }) => phases).reduce((sum, phase) => sum + phase.duration_s, 0) / 60,
  )
}
