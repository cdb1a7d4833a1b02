import { STANDARDS } from '../../reference/standards'
import {
  type Block,
  DISH_SHARE,
  GRID_S,
  HANDLE_S,
  type Hands,
  type Leg,
  type LegChoice,
  type MealItem,
  type MealProblem,
  type Option,
} from './problem'

const TEN_MIN_S = 600
const OVER_COST = 10
/** More ways than this for one item are thinned evenly: enough for every ten minutes of every source. */
const MOST_OPTIONS = 900

/**
 * The gaps after a leg, in steps of ten minutes; and, where the setting changes on the way, those beside them that put
 * the change on the grid: two who ask for the same change share a source only if they change at the same second.
 */
function gapsOf({ gap: { least_s, most_s } }: Leg, choice: LegChoice, end_s: number, origin_s: number): number[] {
  const gaps: number[] = []
  for (let gap = least_s; gap <= most_s + 1; gap += TEN_MIN_S) gaps.push(gap)
  const [first, second] = choice.phases
  if (!first || !second || first.set_c === second.set_c) return gaps
  const changes_s = end_s - durationOf(choice) + first.duration_s - origin_s
  const shifted = gaps.flatMap((gap) => {
    const beside_s = (((changes_s - gap) % GRID_S) + GRID_S) % GRID_S
    return beside_s > 0 && gap + beside_s <= most_s ? [gap + beside_s] : []
  })
  return [...gaps, ...shifted]
}

/** What it costs to be carved so early: little while it keeps, then more than any other comfort, less than to be left out. */
const costOfEarly = (early_s: number): number => {
  const over_s = Math.max(0, early_s - STANDARDS.keepsCarved.value)
  return (early_s + OVER_COST * over_s) / TEN_MIN_S
}

const durationOf = ({ phases }: LegChoice): number => phases.reduce((sum, phase) => sum + phase.duration_s, 0)

/** Every way of doing one item, back from its serving, on the ten-minute steps of its gaps. */
export function optionsOf(problem: MealProblem, index: number): Option[] {
  const item = problem.items[index] as MealItem
  const found: Option[] = []
  const walk = (leg: number, end_s: number, later: readonly Block[], cost: number, dish_s: number, done_s: number) => {
    if (leg < 0) {
      const start_s = later[0]?.from_s ?? dish_s
      const earliest = Math.min(...later.map((block) => block.from_s - block.lead_s), dish_s)
      if (earliest < problem.earliest_s) return
      if (item.pinnedStart_s !== undefined && Math.abs(start_s - item.pinnedStart_s) > 1) return
      found.push({
        item: index,
        blocks: later,
        hands: handsOf(later, dish_s, done_s, item.hands),
        start_s,
        dish_s,
        done_s,
        cost,
      })
      return
    }
    const { gap, choices, places } = item.legs[leg] as Leg
    const pinned = leg === 0 ? item.pinnedStart_s : undefined
    for (const choice of choices) {
      if (leg === 0 && item.pinnedSource !== undefined && choice.source !== item.pinnedSource) continue
      const duration = durationOf(choice)
      // A pinned start decides the gap; it must still lie within what the item bears.
      const gaps =
        pinned === undefined
          ? gapsOf(item.legs[leg] as Leg, choice, end_s, problem.earliest_s)
          : [end_s - duration - pinned].filter((s) => s >= gap.least_s - 1 && s <= gap.most_s + 1)
      for (const wait of gaps) {
        const to_s = end_s - wait
        let from_s = to_s - duration
        const block: Block = {
          source: choice.source,
          places,
          from_s,
          to_s,
          lead_s: choice.lead_s,
          phases: choice.phases.map((phase) => {
            const from = from_s
            from_s += phase.duration_s
            return { from_s: from, to_s: from_s, set_c: phase.set_c }
          }),
        }
        const beside = (Math.abs(wait - gap.liked_s) / TEN_MIN_S) * gap.perTen
        walk(leg - 1, block.from_s, [block, ...later], cost + choice.cost + beside, dish_s, done_s)
      }
    }
  }
  for (let early = 0; early <= item.early_s + 1; early += TEN_MIN_S) {
    const done_s = item.serve_s - early
    walk(item.legs.length - 1, done_s - item.dish_s, [], costOfEarly(early), done_s - item.dish_s, done_s)
  }
  found.sort((a, b) => a.cost - b.cost || b.start_s - a.start_s)
  if (found.length <= MOST_OPTIONS) return found
  // The cheapest third whole, the rest evenly.
  const head = found.slice(0, MOST_OPTIONS / 3)
  const tail = found.slice(MOST_OPTIONS / 3)
  const stride = tail.length / (MOST_OPTIONS - head.length)
  return [
    ...head,
    ...Array.from({ length: MOST_OPTIONS - head.length }, (_, i) => tail[Math.floor(i * stride)] as Option),
  ]
}

function handsOf(blocks: readonly Block[], dish_s: number, done_s: number, part = 1): Hands[] {
  const hands: Hands[] = blocks.flatMap(({ from_s, to_s }) => [
    { kind: 'in', from_s, to_s: from_s + HANDLE_S, share: part },
    { kind: 'out', from_s: to_s, to_s: to_s + HANDLE_S, share: part },
  ])
  if (done_s > dish_s) hands.push({ kind: 'dish', from_s: dish_s, to_s: done_s, share: part * DISH_SHARE })
  return hands
}

/**
 * The grid slots that a span touches, rounded outward, counted from the problem's earliest.
 * @example slotsOf(0, 0, 0).last // -1
 */
export function slotsOf(from_s: number, to_s: number, origin_s: number): { first: number; last: number } {
  return {
    first: Math.floor((from_s - origin_s) / GRID_S + 1e-9),
    last: Math.ceil((to_s - origin_s) / GRID_S - 1e-9) - 1,
  }
}

/** What one option asks of each slot: places and setting of a source, share of a cook. */
export interface Use {
  readonly source: number
  readonly slot: number
  readonly places: number
  /**
   * A setting in tenths of a degree, or a name of its own when the oven is off and locked. Where it changes inside the
   * slot, both and when: whoever changes it to the same at the same second may be in it too.
   */
  readonly setting: string
}

/** One setting of one source for a while; nothing stands in it while it heats up. */
interface Stretch {
  readonly source: number
  readonly from_s: number
  readonly to_s: number
  readonly places: number
  readonly setting: string
}

function stretchesOf(option: Option, problem: MealProblem): Stretch[] {
  return option.blocks.flatMap((block) => {
    const { source: index, lead_s, phases } = block
    const source = problem.sources[index]
    if (!source) return []
    return phases.flatMap((phase, i): Stretch[] => {
      const setting = settingName(phase.set_c, option.item, source.oneSetting)
      const { from_s, to_s } = phase
      const places = phase.set_c === undefined ? source.places : block.places
      const heats = { source: index, from_s: from_s - lead_s, to_s: from_s, places: 0, setting }
      return [...(i === 0 && lead_s > 0 ? [heats] : []), { source: index, from_s, to_s, places, setting }]
    })
  })
}

/** The uses of an option; each (source, slot) appears once. */
export function usesOf(option: Option, problem: MealProblem): Use[] {
  const uses = new Map<string, Use>()
  const latest = new Map<string, string>()
  for (const { source, from_s, to_s, places, setting } of stretchesOf(option, problem).toSorted(
    (a, b) => a.from_s - b.from_s,
  )) {
    const { first, last } = slotsOf(from_s, to_s, problem.earliest_s)
    for (let slot = first; slot <= last; slot++) {
      const key = `${source}/${slot}`
      const known = uses.get(key)
      const same = known === undefined || latest.get(key) === setting
      uses.set(key, {
        source,
        slot,
        // One after the other: never more than the larger of them at a time.
        places: Math.max(known?.places ?? 0, places),
        setting: same ? (known?.setting ?? setting) : `${known.setting}>${setting}@${Math.round(from_s)}`,
      })
      latest.set(key, setting)
    }
  }
  return [...uses.values()]
}

export const settingName = (set_c: number | undefined, item: number, oneSetting: boolean): string =>
  !oneSetting ? 'any' : set_c === undefined ? `off ${item}` : String(Math.round(set_c * 10))

/** Share of a cook that each slot of an option asks, as [slot, share]. */
export function handUses(option: Option, origin_s: number): [number, number][] {
  const uses = new Map<number, number>()
  for (const { from_s, to_s, share: part } of option.hands) {
    const { first, last } = slotsOf(from_s, to_s, origin_s)
    for (let slot = first; slot <= last; slot++) {
      const start = origin_s + slot * GRID_S
      const share = (part * (Math.min(to_s, start + GRID_S) - Math.max(from_s, start))) / GRID_S
      uses.set(slot, (uses.get(slot) ?? 0) + share)
    }
  }
  return [...uses]
}
