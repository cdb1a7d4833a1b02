import type { RoastQuestion } from '@/core/roast/answer'
import { type Outcome, succeed } from '../problem/problem'
import { pieceOf, type ResolvedRoast, resolveRoast } from './resolve'
import type { PlanDocument, SimulateDocument } from './roast-document'

/** What every document about one roast has; what it leaves out has its usual value. */
export type AboutRoast = Pick<SimulateDocument, 'roast' | 'oven' | 'program'> & {
  readonly target?: SimulateDocument['target'] | PlanDocument['target']
  readonly altitude_m?: number
  readonly vulnerable?: boolean
}

/** A document about one roast as the question it puts to the model, and as what it was understood. */
export function questionOf(
  document: AboutRoast,
  how: Pick<RoastQuestion, 'rest' | 'members' | 'seed'>,
): Outcome<{ readonly question: RoastQuestion; readonly resolved: ResolvedRoast }> {
  const resolved = resolveRoast(document)
  if (!resolved.ok) return resolved
  const { cut, oven, program, target } = resolved.value
  const { roast } = document
  return succeed({
    resolved: resolved.value,
    question: {
      piece: pieceOf(cut, roast),
      oven,
      start_c: roast.start_c,
      startCore_c: roast.icy_core_c ?? undefined,
      temper_s: roast.temper_min * 60,
      altitude_m: document.altitude_m ?? 0,
      program,
      target,
      vulnerable: document.vulnerable ?? false,
      taught: { oven_k: document.oven.doubt_k, thickness: roast.thickness_doubt },
      ...how,
    },
  })
}
