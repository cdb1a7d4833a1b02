import type { Plan } from '@/core/schedule/plan'
import type { Outcome } from '@/domain/problem/problem'
import type { PlanDocument } from '@/domain/roast/roast-document'

/** What the worker answers: the plan alone, for what it was resolved to holds functions and cannot travel. */
export interface PlanWorker {
  /** Answers for one document; also used for each school of a comparison. */
  plan(document: PlanDocument, now_s: number, members: number): Promise<Outcome<Plan>>
}
