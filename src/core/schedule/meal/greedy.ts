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

/** What stands in each slot so far. */
export class Occupancy {
  private readonly places = new Map<number, number>()
  private readonly settings = new Map<number, Map<string, number>>()
  private readonly hands = new Map<number, number>()

  constructor(private readonly problem: MealProblem) {}

  private key(source: number, slot: number): number {
    return source * 100_000 + slot
  }

  fits({ uses, hands }: Prepared): boolean {
    for (const { source, slot, places, setting } of uses) {
      const key = this.key(source, slot)
      const capacity = this.problem.sources[source]?.places ?? 0
      if ((this.places.get(key) ?? 0) + places > capacity) return false
      const there = this.settings.get(key)
      if (there && there.size > 0 && !(there.size === 1 && there.has(setting))) return false
    }
    for (const [slot, share] of hands) if ((this.hands.get(slot) ?? 0) + share > this.problem.cooks + 1e-9) return false
    return true
  }

  add({ uses, hands }: Prepared, sign: 1 | -1 = 1): void {
    for (const { source, slot, places, setting } of uses) {
      const key = this.key(source, slot)
      this.places.set(key, (this.places.get(key) ?? 0) + sign * places)
      const there = this.settings.get(key) ?? new Map<string, number>()
      const count = (there.get(setting) ?? 0) + sign
      if (count > 0) there.set(setting, count)
      else there.delete(setting)
      this.settings.set(key, there)
    }
    for (const [slot, share] of hands) this.hands.set(slot, (this.hands.get(slot) ?? 0) + sign * share)
  }
}

/**
 * A good first answer at once: items placed one by one, each in the cheapest way that still fits,
 * hardest first, then in seeded shuffles with those that failed moved to the front; the best is kept.
 *
 * @param rounds how many orders to try; a round is a fraction of a millisecond for a dozen items
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
  const dropped = best.dropped.filter((item) => !madeRoom(item, best as Placed, prepared))
  const options: Option[] = [...best.chosen.values()].map(({ option }) => option).sort((a, b) => a.item - b.item)
  const left = dropped.reduce((sum, item) => sum + dropCost(problem, item), 0)
  return { options, dropped, cost: options.reduce((sum, option) => sum + option.cost, left) }
}

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
