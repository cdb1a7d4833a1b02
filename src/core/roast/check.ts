import { type Program, pullStageIndex, settingOf } from '../program/stage'
import { STANDARDS } from '../reference/standards'
import type { Hindrance } from '../simulate/hindrance'
import type { PullAnswer } from '../simulate/pull'

const MOST_RISE_K = STANDARDS.mostRise.value
/** A core comes this near to boiling and no nearer while there is water in it, K. */
const BOILS_SHORT_K = 0.5
/** Past the wanted by more than this the reading was of no use, K. */
const PASSED_K = 1.5

/**
 * The one check that every answer about a roast passes before it leaves: what the model itself says
 * cannot be, with its reason. Empty where the answer could be printed.
 */
export function hindrancesOf(
  pull: PullAnswer,
  target: { readonly kind: 'serve'; readonly serve_c: number } | { readonly kind: 'pull'; readonly pull_c: number },
  program: Program,
  boiling_c: number,
): Hindrance[] {
  const { run } = pull
  const wanted_c = target.kind === 'serve' ? target.serve_c : target.pull_c
  const highest_c = Math.min(...run.kernels.map((kernel) => kernel.core_c))
  if (wanted_c > boiling_c - BOILS_SHORT_K) return [{ code: 'water_boils', boiling_c, wanted_c }]
  if (run.outcome !== 'reached') {
    const index = run.stages.length - 1
    const stage = run.stages[index]?.stage
    if (stage && stage.until.kind !== 'pull') return [{ code: 'stage_never_ends', stage: index, highest_c }]
    return [{ code: 'never_reached', highest_c, wanted_c, setting_c: stage && settingOf(stage.environment) }]
  }
  if (target.kind === 'pull' || pull.outcome === 'fixed_program') return []
  const peak_c = Math.min(...run.peak_c)
  const reading_c = Math.min(...pull.pull_c)
  const waiting = run.stages[pullStageIndex(program)]
  const waited = waiting !== undefined && waiting.end_s > waiting.start_s
  // At a reading that is never set lower (birds) a higher peak is as meant; a stage that did not wait is not.
  if (!waited && pull.residual_k > PASSED_K) return [{ code: 'passed_before_pull', peak_c, wanted_c }]
  const rise_k = wanted_c - reading_c
  if (rise_k > MOST_RISE_K) return [{ code: 'rise_too_great', rise_k, most_k: MOST_RISE_K }]
  if (pull.residual_k > PASSED_K && waited && reading_c < wanted_c - MOST_RISE_K)
    return [{ code: 'rise_too_great', rise_k, most_k: MOST_RISE_K }]
  return []
}
