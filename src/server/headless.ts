import { gapOf } from '@/core/schedule/meal/solve'
import { changesFor } from '@/domain/meal/changes'
import { makeMeal } from '@/domain/meal/make-meal'
import { mealDocument } from '@/domain/meal/meal-document'
import { parseWith } from '@/domain/problem/parse'
import { type Outcome, succeed } from '@/domain/problem/problem'
import { nodeSolver } from '@/workers/solver/load'

const LIMIT_S = 8
const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

/** The whole of the headless `plan`: a meal document in, its schedule out. */
export async function planHeadless(value: unknown): Promise<Outcome<unknown>> {
  const document = parseWith(mealDocument, value)
  if (!document.ok) return document
  const made = makeMeal(document.value, await nodeSolver(), LIMIT_S)
  if (!made.ok) return made
  const plan = made.value
  const clashing = [...new Set(plan.dropped.flatMap(({ id, against }) => [id, ...against]))]
  return succeed({
    version: 1,
    proved: plan.proved,
    cost: plan.cost,
    gap: gapOf({ schedule: { options: [], dropped: [], cost: plan.cost }, proved: plan.proved, bound: plan.bound }),
    items: plan.items.map((item) => ({
      id: item.id,
      kind: item.kind,
      stays: item.stays.map(({ source, phases }) => ({
        source,
        phases: phases.map(({ from_s, to_s, set_c }) => ({ from: iso(from_s), to: iso(to_s), set_c: set_c ?? null })),
      })),
      dish: iso(item.dish_s),
      ready: iso(item.done_s),
      pull_c: item.pull_c ?? null,
      peak_c: item.peak_c ?? null,
      doors: item.doors,
      cautions: item.cautions,
    })),
    tasks: plan.tasks.map(({ kind, at, item, source, set_c, pull_c, cook, hands_s }) => ({
      kind,
      at: iso(at),
      item: item === undefined ? null : plan.itemIds[item],
      source: source === undefined ? null : plan.sources[source]?.id,
      set_c: set_c ?? null,
      pull_c: pull_c ?? null,
      cook: cook === undefined ? null : document.value.kitchen.cooks[cook],
      hands_min: Math.round(hands_s / 60),
    })),
    clashes: plan.dropped.map(({ id, against, clash }) => ({
      code: clash.code,
      item: id,
      against,
      sources: clash.sources.map((source) => plan.sources[source]?.id),
    })),
    changes: changesFor(document.value, clashing, plan.dropped.length).map(({ change, dropped }) => ({
      ...change,
      still_out: dropped,
    })),
  })
}
