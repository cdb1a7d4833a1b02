import { z } from 'zod'
import { gapOf } from '@/core/schedule/meal/solve'
import { finite } from '../schema/scalars'
import type { MealChange } from './changes'
import type { MealPlan } from './make-meal'
import type { MealDocument } from './meal-document'

const instant = z.iso.datetime()

/** What `plan` answers. */
export const scheduleAnswer = z.object({
  version: z.literal(1),
  proved: z.boolean().describe('Nothing better exists among the options'),
  cost: finite,
  gap: finite.nullable().describe('How far from the best it may be, 0–1; null where that is not known'),
  items: z.array(
    z.object({
      id: z.string(),
      kind: z.enum(['roast', 'side']),
      stays: z.array(
        z.object({
          source: z.string(),
          phases: z.array(z.object({ from: instant, to: instant, set_c: finite.nullable() })),
        }),
      ),
      dish: instant,
      ready: instant,
      pull_c: finite.nullable(),
      peak_c: finite.nullable(),
      doors: finite,
      cautions: z.array(z.looseObject({ code: z.string() })),
    }),
  ),
  tasks: z.array(
    z.object({
      kind: z.string(),
      at: instant,
      item: z.string().nullable(),
      source: z.string().nullable(),
      set_c: finite.nullable(),
      pull_c: finite.nullable(),
      cook: z.string().nullable(),
      hands_min: finite,
    }),
  ),
  clashes: z.array(
    z.object({ code: z.string(), item: z.string(), against: z.array(z.string()), sources: z.array(z.string()) }),
  ),
  changes: z.array(z.looseObject({ code: z.string(), still_out: finite })),
})
export type ScheduleAnswer = z.output<typeof scheduleAnswer>

const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

/** A meal's schedule as the headless `plan` answers it. */
export function scheduleAnswerOf(
  document: MealDocument,
  plan: MealPlan,
  changes: readonly MealChange[],
): ScheduleAnswer {
  const gap = gapOf({
    schedule: { options: [], dropped: [], cost: plan.cost },
    proved: plan.proved,
    bound: plan.bound,
  })
  const nameOf = (source: number | undefined) => (source === undefined ? null : (plan.sources[source]?.id ?? null))
  return {
    version: 1,
    proved: plan.proved,
    cost: plan.cost,
    gap: Number.isFinite(gap) ? gap : null,
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
      cautions: [...item.cautions],
    })),
    tasks: plan.tasks.map(({ kind, at, item, source, set_c, pull_c, cook, hands_s }) => ({
      kind,
      at: iso(at),
      item: item === undefined ? null : (plan.itemIds[item] ?? null),
      source: nameOf(source),
      set_c: set_c ?? null,
      pull_c: pull_c ?? null,
      cook: cook === undefined ? null : (document.kitchen.cooks[cook] ?? null),
      hands_min: Math.round(hands_s / 60),
    })),
    clashes: plan.dropped.map(({ id, against, clash }) => ({
      code: clash.code,
      item: id,
      against: [...against],
      sources: clash.sources.flatMap((source) => nameOf(source) ?? []),
    })),
    changes: changes.map(({ change, dropped }) => ({ ...change, still_out: dropped })),
  }
}
