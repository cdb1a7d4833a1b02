import type { Arrival, BoardItem } from './board'
import type { CookEntry } from './cook-document'
import { arrivalOf } from './entry/arrival'
import { secondsOf } from './entry/time'

/** One roast as planned against as it went. */
export interface HowItWent {
  readonly id: string
  readonly title: string
  readonly rows: readonly {
    readonly what: 'in' | 'out' | 'carve' | 'plate'
    readonly planned_s: number
    readonly actual_s: number | undefined
  }[]
  readonly pull: { readonly planned_c: number | undefined; readonly actual_c: number | undefined }
  /** Highest reading from the pull on, °C. */
  readonly peak: { readonly planned_c: number; readonly actual_c: number | undefined }
  /** Each arrival as it was foreseen then. */
  readonly foreseen: readonly Arrival[]
  /** Why it never came to the table. */
  readonly givenUp: string | undefined
}

/** Readings so long after the pull still say how far it climbed, s. */
const CLIMBS_S = 2 * 3600
/** A reading this near to it is the one it was pulled at, s. */
const AT_PULL_S = 300

/**
 * What was planned beside what happened, from the log alone: ready to be kept.
 *
 * @param entries those that stand
 */
export function howItWent(board: BoardItem, entries: readonly CookEntry[]): HowItWent {
  const { item, in_s, out_s, carve_s, readings } = board
  const own = entries.filter((entry) => entry.item === item.id)
  const last = (kind: CookEntry['kind']) => own.findLast((entry) => entry.kind === kind)
  const served = last('served')
  const after = out_s === undefined ? [] : readings.filter(({ at_s }) => at_s >= out_s && at_s < out_s + CLIMBS_S)
  const near =
    out_s === undefined ? undefined : readings.findLast(({ at_s }) => at_s <= out_s + 30 && at_s > out_s - AT_PULL_S)
  return {
    id: item.id,
    title: item.title,
    rows: [
      { what: 'in', planned_s: secondsOf(item.put_in), actual_s: in_s },
      { what: 'out', planned_s: secondsOf(item.pull ?? item.carve), actual_s: out_s },
      { what: 'carve', planned_s: secondsOf(item.carve), actual_s: carve_s },
      { what: 'plate', planned_s: secondsOf(item.promise), actual_s: served && secondsOf(served.at) },
    ],
    pull: { planned_c: item.pull_c ?? undefined, actual_c: last('out')?.value_c ?? near?.value_c },
    peak: {
      planned_c: item.serve_c,
      actual_c: after.length > 0 ? Math.max(...after.map(({ value_c }) => value_c)) : undefined,
    },
    foreseen: own.filter(({ kind }) => kind === 'arrival').flatMap((entry) => arrivalOf(entry) ?? []),
    givenUp: last('given_up')?.text ?? undefined,
  }
}
