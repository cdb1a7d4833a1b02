import type { Plan } from '@/core/schedule/plan'
import type { BoardItem } from '@/domain/cook/board'
import type { CookClock, CookDocument, CookEntry } from '@/domain/cook/cook-document'
import type { Forecast, PeakWatch } from '@/domain/cook/forecast'
import type { Replan } from '@/domain/cook/replan'
import type { MealChange } from '@/domain/meal/changes'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import type { Outcome } from '@/domain/problem/problem'
import type { PlanDocument } from '@/domain/roast/roast-document'

/** What the worker answers: the plan alone, for what it was resolved to holds functions and cannot travel. */
export interface PlanWorker {
  /** Answers for one document; also used for each school of a comparison. */
  plan(document: PlanDocument, now_s: number): Promise<Outcome<Plan>>
}

/** The scheduler of a whole meal. A cancel is the end of the worker: the solver does not listen while it works. */
export interface MealWorker {
  /** The first answer alone: some tens of milliseconds. */
  quick(document: MealDocument): Promise<Outcome<MealPlan>>
  /** Better answers as they come, the last with its proof or gap. */
  solve(document: MealDocument, limit_s: number, tell: (plan: MealPlan) => void): Promise<Outcome<MealPlan>>
  changes(document: MealDocument, ids: readonly string[], dropped: number): Promise<readonly MealChange[]>
}

/** Arrival and advice for one roast of a cook. */
export interface CookWorker {
  forecast(board: BoardItem, now_s: number, others: readonly BoardItem[]): Promise<Forecast | undefined>
  /** The rest of a meal planned again from now. */
  replan(cook: CookDocument, entries: readonly CookEntry[], now_s: number): Promise<Outcome<Replan>>
  /** How high a roast that is out will climb. */
  peak(board: BoardItem, now_s: number): Promise<PeakWatch | undefined>
}

/** What practice probes are told: whose readings they invent, and where they send them. */
export interface StationOrder {
  readonly token: string
  readonly clock: CookClock
  /** The server's clock less this device's, ms. */
  readonly ahead_ms: number
  readonly put_in: string
  readonly seed: number
  readonly told: {
    readonly cut: string
    readonly mass_kg: number
    readonly set_c: number
    readonly pull_c: number
    readonly fan: boolean
  }
}
