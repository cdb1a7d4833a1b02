import { seededRandom } from '../../estimate/random'
import { handUses, optionsOf, usesOf } from './options'
import { dropCost, type MealProblem, type MealSchedule, type Option } from './problem'

/** An option with its uses worked out once. */
export interface Prepared {
  readonly option: Option
  readonly uses: ReturnType<typeof usesOf>
  readonly hands: ReturnType<typeof handUses>
}

/** All options of all items, uses and all. */
export const prepare = (problem: MealProblem): Prepared[][] =>
  problem.items.map((_, item) =>
    optionsOf(problem, item).map((option) => ({
      option,
      uses: usesOf(option, problem),
      hands: handUses(option, problem.earliest_s),
    })),
  )

/** What stands in a slot of a source: so many places, so many options, all at one setting. */
interface Standing {
  places: number
  setting: string
  count: number
}

/** What stands in each slot so far. */
export class Occupancy {
  private readonly standing = new Map<number, Standing>()
  private readonly hands = new Map<number, number>()

  constructor(private readonly problem: MealProblem) {}

  private key(source: number, slot: number): number {
    return source * 100_000 + slot
  }

  fits({ uses, hands }: Prepared): boolean {
    for (const { source, slot, places, setting } of uses) {
      const there = this.standing.get(this.key(source, slot))
      if (there && there.count > 0 && there.setting !== setting) return false
      if ((there?.places ?? 0) + places > (this.problem.sources[source]?.places ?? 0)) return false
    }
    for (const [slot, share] of hands) if ((this.hands.get(slot) ?? 0) + share > this.problem.cooks + 1e-9) return false
    return true
  }

  /** Puts in what fits, or takes out (−1) what was put in. */
  add({ uses, hands }: Prepared, sign: 1 | -1 = 1): void {
    for (const { source, slot, places, setting } of uses) {
      const key = this.key(source, slot)
      const there = this.standing.get(key)
      if (!there) this.standing.set(key, { places, setting, count: sign })
      else {
        there.places += sign * places
        there.count += sign
        there.setting = setting
      }
    }
    for (const [slot, share] of hands) this.hands.set(slot, (this.hands.get(slot) ?? 0) + sign * share)
  }
}

/**
 * A good first answer at once: items placed one by one, each in the cheapest way that still fits,
 * hardest first, then in seeded shuffles with those that failed moved to the front; the best is kept.
 *
 * @param rounds how many orders to try; a round is a fraction of a millisecond for a dozen items; where something found no
 *   place, four milliseconds more a round
 */
export function greedySchedule(
  problem: MealProblem,
  prepared: readonly Prepared[][],
  rounds = 60,
  seed = 1,
): MealSchedule {
  const random = seededRandom(seed)
  const size = (item: number) => {
    const option = prepared[item]?.[0]?.option
    return option ? option.blocks.reduce((sum, block) => sum + (block.to_s - block.from_s) * block.places, 0) : 0
  }
  let order = problem.items.map((_, item) => item).sort((a, b) => size(b) - size(a))
  let best: Placed | undefined
  for (let round = 0; round < rounds; round++) {
    const occupancy = new Occupancy(problem)
    const chosen = new Map<number, Prepared>()
    const dropped: number[] = []
    let cost = 0
    for (const item of order) {
      const found = prepared[item]?.find((each) => occupancy.fits(each))
      if (found) {
        occupancy.add(found)
        chosen.set(item, found)
        cost += found.option.cost
      } else {
        dropped.push(item)
        cost += dropCost(problem, item)
      }
    }
    if (!best || cost < best.cost) best = { chosen, dropped, occupancy, cost }
    const rest = order.filter((item) => !dropped.includes(item))
    for (let i = rest.length - 1; i > 0; i--) {
      if (random() < 0.5) continue
      const j = Math.floor(random() * (i + 1))
      const swap = rest[i] as number
      rest[i] = rest[j] as number
      rest[j] = swap
    }
    order = [...dropped, ...rest]
  }
  if (!best) return { options: [], dropped: [], cost: 0 }
  const left = best.dropped.filter((item) => !madeRoom(item, best as Placed, prepared))
  const dropped = rearranged(left, best, problem, prepared, random, rounds * LOOKS_A_ROUND)
  const options: Option[] = [...best.chosen.values()].map(({ option }) => option).sort((a, b) => a.item - b.item)
  return { options, dropped, cost: options.reduce((sum, option) => sum + option.cost, droppedCost(problem, dropped)) }
}

const droppedCost = (problem: MealProblem, dropped: readonly number[]): number =>
  dropped.reduce((sum, item) => sum + dropCost(problem, item), 0)

/** Items as they were placed, and what stands where by that. */
interface Placed {
  readonly chosen: Map<number, Prepared>
  readonly dropped: readonly number[]
  readonly occupancy: Occupancy
  readonly cost: number
}

/** No more ways are looked at for one item that found no place. */
const MOST_TRIED = 20_000

/**
 * Whether one of those that are placed can be done another way so that a dropped item fits: two roasts that change
 * their heat together go in together, and then one of them rests longer than it likes.
 */
function madeRoom(item: number, { chosen, occupancy }: Placed, prepared: readonly Prepared[][]): boolean {
  let tried = 0
  for (const [other, before] of chosen) {
    occupancy.add(before, -1)
    for (const own of prepared[item] ?? []) {
      if (++tried > MOST_TRIED) break
      if (!occupancy.fits(own)) continue
      occupancy.add(own)
      const moved = prepared[other]?.find((each) => ++tried <= MOST_TRIED && occupancy.fits(each))
      if (moved) {
        occupancy.add(moved)
        chosen.set(item, own).set(other, moved)
        return true
      }
      occupancy.add(own, -1)
    }
    occupancy.add(before)
  }
  return false
}

/** For each order that was tried a way is looked at so often, no more, when room is sought for what has none. */
const LOOKS_A_ROUND = 5000

/**
 * Where items still have no place, one or two of the others are taken out at random, one that had none is put in some
 * way that fits then, and those that were taken out find theirs again: kept where no more is left out than before, so
 * that it wanders. What is placed is changed; answers what is left out in the end.
 */
function rearranged(
  left: readonly number[],
  { chosen, occupancy }: Placed,
  problem: MealProblem,
  prepared: readonly Prepared[][],
  random: () => number,
  looks: number,
): number[] {
  let looked = 0
  let dropped = [...left]
  const asLeft = [...chosen]
  const put = (item: number, way: Prepared | undefined): boolean => {
    if (!way) return false
    occupancy.add(way)
    chosen.set(item, way)
    return true
  }
  const take = (item: number): Prepared | undefined => {
    const way = chosen.get(item)
    if (way) occupancy.add(way, -1)
    chosen.delete(item)
    return way
  }
  /** The first way that fits, from a place in the list on. */
  const wayFor = (item: number, from = 0): Prepared | undefined => {
    const ways = prepared[item] ?? []
    for (let i = 0; i < ways.length; i++) {
      looked++
      const way = ways[(from + i) % ways.length] as Prepared
      if (occupancy.fits(way)) return way
    }
    return undefined
  }
  const one = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)]
  while (dropped.length > 0 && chosen.size > 0 && looked < looks) {
    looked++
    const item = one(dropped) as number
    const placed = [...chosen.keys()]
    const out = [...new Set([one(placed), random() < 0.5 ? one(placed) : undefined])].filter(
      (each) => each !== undefined,
    )
    const before = out.map((other) => [other, take(other)] as const)
    const entered = put(item, wayFor(item, Math.floor(random() * (prepared[item]?.length ?? 1))))
    const lost = entered ? out.filter((other) => !put(other, wayFor(other))) : out
    const without = [...dropped.filter((each) => each !== item), ...lost]
    if (entered && droppedCost(problem, without) <= droppedCost(problem, dropped)) {
      dropped = without
      continue
    }
    for (const each of [item, ...out]) take(each)
    for (const [other, way] of before) put(other, way)
  }
  if (droppedCost(problem, dropped) === droppedCost(problem, left)) {
    // It wandered for nothing: back to where it began.
    for (const item of [...chosen.keys()]) take(item)
    for (const [item, way] of asLeft) put(item, way)
    return [...left]
  }
  // What wandered goes back to what it likes best, as far as the others leave it room.
  for (let pass = 0; pass < 2; pass++)
    for (const item of [...chosen.keys()]) {
      const before = take(item)
      put(item, wayFor(item) ?? before)
    }
  return dropped
}
