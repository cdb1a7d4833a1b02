import type { Prepared } from './greedy'
import { dropCost, type MealProblem, type MealSchedule, type Option } from './problem'

/**
 * The exact model: choose one option an item.
 *
 *   min Σ cost x + DROP Σ d
 *   Σ_{options of i} x + d_i = 1                          each item once, or left out
 *   Σ places x ≤ places of the source                     each source and slot
 *   Σ_{options of i at setting T} x ≤ z_{source,slot,T}   one row an item: a strong link
 *   Σ_T z ≤ 1                                             one setting at a time
 *   Σ share x ≤ cooks                                     each slot
 *
 * x and d are 0 or 1; z may be fractional, for whole x make it whole.
 */
export interface MipModel {
  readonly columns: number
  readonly rows: number
  readonly cost: Float64Array
  readonly rowLow: Float64Array
  readonly rowHigh: Float64Array
  readonly starts: Int32Array
  readonly indices: Int32Array
  readonly values: Float64Array
  /** 1 for whole columns. */
  readonly whole: Int32Array
}

export interface BuiltModel {
  readonly model: MipModel
  /** The columns of a schedule, to start from. */
  readonly columnsOf: (schedule: MealSchedule) => number[]
  readonly scheduleOf: (values: ArrayLike<number>) => MealSchedule
}

/** The row map of a model under construction. */
class Rows {
  readonly low: number[] = []
  readonly high: number[] = []
  private readonly index = new Map<string, number>()

  of(name: string, low: number, high: number): number {
    const known = this.index.get(name)
    if (known !== undefined) return known
    this.low.push(low)
    this.high.push(high)
    this.index.set(name, this.low.length - 1)
    return this.low.length - 1
  }
}

export function buildModel(problem: MealProblem, prepared: readonly Prepared[][]): BuiltModel {
  const rows = new Rows()
  const columns: { cost: number; whole: boolean; entries: Map<number, number> }[] = []
  const owner: (Option | undefined)[] = []
  const settings = new Map<string, number>()
  const infinity = Number.POSITIVE_INFINITY
  const settingColumn = (source: number, slot: number, setting: string): number => {
    const name = `${source}/${slot}/${setting}`
    const known = settings.get(name)
    if (known !== undefined) return known
    const entries = new Map([[rows.of(`one ${source}/${slot}`, -infinity, 1), 1]])
    columns.push({ cost: 0, whole: false, entries })
    owner.push(undefined)
    settings.set(name, columns.length - 1)
    return columns.length - 1
  }
  const firstColumn: number[] = []
  const dropColumn: number[] = []
  problem.items.forEach((_, item) => {
    const once = rows.of(`item ${item}`, 1, 1)
    firstColumn.push(columns.length)
    for (const each of prepared[item] ?? []) {
      columns.push({ cost: each.option.cost, whole: true, entries: new Map([[once, 1]]) })
      owner.push(each.option)
    }
    dropColumn.push(columns.length)
    columns.push({ cost: dropCost(problem, item), whole: true, entries: new Map([[once, 1]]) })
    owner.push(undefined)
  })
  const add = (column: number, row: number, value: number) => {
    const { entries } = columns[column] as (typeof columns)[number]
    entries.set(row, (entries.get(row) ?? 0) + value)
  }
  problem.items.forEach((_, item) => {
    ;(prepared[item] ?? []).forEach((each, k) => {
      const column = (firstColumn[item] as number) + k
      const linked = new Set<string>()
      for (const { source, slot, places, setting } of each.uses) {
        const heat = problem.sources[source]
        if (!heat) continue
        if (places > 0) add(column, rows.of(`full ${source}/${slot}`, -infinity, heat.places), places)
        const name = `${item}/${source}/${slot}/${setting}`
        if (!heat.oneSetting || linked.has(name)) continue
        linked.add(name)
        const row = rows.of(`set ${name}`, -infinity, 0)
        add(column, row, 1)
        const z = settingColumn(source, slot, setting)
        ;(columns[z] as (typeof columns)[number]).entries.set(row, -1)
      }
      for (const [slot, share] of each.hands) add(column, rows.of(`hands ${slot}`, -infinity, problem.cooks), share)
    })
  })
  const count = columns.reduce((sum, { entries }) => sum + entries.size, 0)
  const model: MipModel = {
    columns: columns.length,
    rows: rows.low.length,
    cost: Float64Array.from(columns, ({ cost }) => cost),
    rowLow: Float64Array.from(rows.low),
    rowHigh: Float64Array.from(rows.high),
    starts: new Int32Array(columns.length + 1),
    indices: new Int32Array(count),
    values: new Float64Array(count),
    whole: Int32Array.from(columns, ({ whole }) => (whole ? 1 : 0)),
  }
  let at = 0
  columns.forEach(({ entries }, column) => {
    model.starts[column] = at
    for (const [row, value] of [...entries].sort((a, b) => a[0] - b[0])) {
      model.indices[at] = row
      model.values[at] = value
      at++
    }
  })
  model.starts[columns.length] = at
  return {
    model,
    columnsOf: (schedule) => [
      ...schedule.options.map(
        (option) =>
          (firstColumn[option.item] as number) +
          (prepared[option.item] ?? []).findIndex((each) => each.option === option),
      ),
      ...schedule.dropped.map((item) => dropColumn[item] as number),
    ],
    scheduleOf: (values) => {
      const options: Option[] = []
      const dropped: number[] = []
      let cost = 0
      problem.items.forEach((_, item) => {
        const first = firstColumn[item] as number
        const last = dropColumn[item] as number
        for (let column = first; column < last; column++) {
          const option = owner[column]
          if (option && (values[column] as number) > 0.5) {
            options.push(option)
            cost += option.cost
            return
          }
        }
        dropped.push(item)
        cost += dropCost(problem, item)
      })
      return { options, dropped, cost }
    },
  }
}
