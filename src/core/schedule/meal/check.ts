import type { MealProblem, MealSchedule } from './problem'

/** What is wrong with a schedule, with the numbers. */
export type MealFault =
  | { readonly code: 'missing' | 'twice'; readonly item: number }
  | {
      readonly code: 'too_full'
      readonly source: number
      readonly at_s: number
      readonly places: number
      readonly most: number
    }
  | {
      readonly code: 'settings_clash'
      readonly source: number
      readonly at_s: number
      readonly items: readonly [number, number]
    }
  | { readonly code: 'no_time_to_heat'; readonly source: number; readonly item: number; readonly short_s: number }
  | { readonly code: 'out_of_range'; readonly source: number; readonly item: number; readonly set_c: number }
  | { readonly code: 'gap'; readonly item: number; readonly leg: number; readonly gap_s: number }
  | { readonly code: 'late'; readonly item: number; readonly by_s: number }
  | { readonly code: 'too_early'; readonly item: number; readonly by_s: number }
  | { readonly code: 'order'; readonly item: number }
  | { readonly code: 'hands'; readonly at_s: number; readonly wanted: number; readonly cooks: number }
  | { readonly code: 'pin'; readonly item: number }
  | { readonly code: 'before_start'; readonly item: number; readonly by_s: number }

const SLACK_S = 2
const HANDS_WINDOW_S = 600

/**
 * Judges a schedule by the clock. Written apart from the solver: it knows no grid, no options and
 * no model, only instants, and sweeps over them.
 */
export function checkSchedule(problem: MealProblem, schedule: MealSchedule): MealFault[] {
  const faults: MealFault[] = []
  const seen = new Map<number, number>()
  for (const { item } of schedule.options) seen.set(item, (seen.get(item) ?? 0) + 1)
  problem.items.forEach((_, item) => {
    const count = (seen.get(item) ?? 0) + (schedule.dropped.includes(item) ? 1 : 0)
    if (count === 0) faults.push({ code: 'missing', item })
    if (count > 1) faults.push({ code: 'twice', item })
  })

  for (const option of schedule.options) {
    const item = problem.items[option.item]
    if (!item) continue
    const { blocks } = option
    if (blocks.length !== item.legs.length) faults.push({ code: 'order', item: option.item })
    blocks.forEach((block, leg) => {
      const wanted = item.legs[leg]?.gap
      const until = blocks[leg + 1]?.from_s ?? option.dish_s
      const gap_s = until - block.to_s
      if (wanted && (gap_s < wanted.least_s - SLACK_S || gap_s > wanted.most_s + SLACK_S))
        faults.push({ code: 'gap', item: option.item, leg, gap_s })
      for (const { set_c } of block.phases) {
        const source = problem.sources[block.source]
        if (source && set_c !== undefined && (set_c < source.low_c || set_c > source.high_c))
          faults.push({ code: 'out_of_range', source: block.source, item: option.item, set_c })
      }
    })
    if (option.done_s > item.serve_s + SLACK_S)
      faults.push({ code: 'late', item: option.item, by_s: option.done_s - item.serve_s })
    if (option.done_s < item.serve_s - item.early_s - SLACK_S)
      faults.push({ code: 'too_early', item: option.item, by_s: item.serve_s - item.early_s - option.done_s })
    const first = Math.min(...blocks.map((block) => block.from_s - block.lead_s), option.dish_s)
    if (first < problem.earliest_s - SLACK_S)
      faults.push({ code: 'before_start', item: option.item, by_s: problem.earliest_s - first })
    const start = blocks[0]?.from_s ?? option.dish_s
    if (
      (item.pinnedStart_s !== undefined && Math.abs(start - item.pinnedStart_s) > 60) ||
      (item.pinnedSource !== undefined && blocks[0]?.source !== item.pinnedSource)
    )
      faults.push({ code: 'pin', item: option.item })
  }

  problem.sources.forEach((source, index) => {
    const stays = schedule.options.flatMap((option) =>
      option.blocks
        .filter((block) => block.source === index)
        .flatMap((block) =>
          block.phases.map((phase, i) => ({
            ...phase,
            item: option.item,
            places: phase.set_c === undefined ? source.places : block.places,
            lead_s: i === 0 ? block.lead_s : 0,
            first: i === 0,
          })),
        ),
    )
    for (const at of stays) {
      const there = stays.filter((stay) => stay.from_s <= at.from_s + SLACK_S && stay.to_s > at.from_s + SLACK_S)
      const places = there.reduce((sum, stay) => sum + stay.places, 0)
      if (places > source.places)
        faults.push({ code: 'too_full', source: index, at_s: at.from_s, places, most: source.places })
      if (!source.oneSetting) continue
      const other = there.find((stay) => stay.set_c !== at.set_c || (at.set_c === undefined && stay.item !== at.item))
      if (other && other.item !== at.item)
        faults.push({ code: 'settings_clash', source: index, at_s: at.from_s, items: [other.item, at.item] })
      // Another setting must have ended a heat-up before.
      if (!at.first) continue
      for (const before of stays) {
        if (before.item === at.item || before.set_c === at.set_c) continue
        if (before.from_s >= at.from_s || before.to_s > at.from_s) continue
        const same = stays.some(
          (stay) =>
            stay.set_c === at.set_c && stay.from_s <= before.to_s + SLACK_S && stay.to_s >= at.from_s - at.lead_s,
        )
        const short_s = before.to_s + at.lead_s - at.from_s
        if (short_s > SLACK_S && !same) faults.push({ code: 'no_time_to_heat', source: index, item: at.item, short_s })
      }
    }
  })

  // Hands: within any ten minutes no more work than the cooks can do in them.
  const hands = schedule.options.flatMap((option) => option.hands)
  const instants = [...new Set(hands.map(({ from_s }) => Math.floor(from_s / HANDS_WINDOW_S) * HANDS_WINDOW_S))]
  const offset = ((problem.earliest_s % HANDS_WINDOW_S) + HANDS_WINDOW_S) % HANDS_WINDOW_S
  for (const instant of instants) {
    for (const start of [instant + offset, instant + offset - HANDS_WINDOW_S]) {
      const work = hands.reduce(
        (sum, { from_s, to_s, share }) =>
          sum + share * Math.max(0, Math.min(to_s, start + HANDS_WINDOW_S) - Math.max(from_s, start)),
        0,
      )
      if (work > problem.cooks * HANDS_WINDOW_S + SLACK_S)
        faults.push({ code: 'hands', at_s: start, wanted: work / HANDS_WINDOW_S, cooks: problem.cooks })
    }
  }
  return faults
}
