import { type Estimate, foresee } from '@/core/estimate/estimate'
import type { PointId } from '@/core/heat/piece'
import type { Stage } from '@/core/program/stage'
import { type Belief, MEMBERS } from './belief'

/** One part is done and another is not: what the done part comes to while the other gets there. */
export interface Split {
  readonly done: string
  readonly lacking: string
  /** The lacking part gets there, cook time, s. */
  readonly arrives_s: number
  /** The done part now, and by then left as it is, under foil, °C. */
  readonly now_c: number
  readonly as_it_is_c: number
  readonly foiled_c: number
}

/** Which piece of foil covers which part; what has none is wrapped whole. */
const FOIL: Readonly<Record<string, Stage['foil']>> = { breast: 'breast', thigh: 'legs' }

/** Follows the done part of a piece to the moment the other gets there, bare and under foil, by the whole piece's own belief. */
export function splitOf(belief: Belief, main: Estimate): Split | undefined {
  const { board, setup, posterior, points, in_s } = belief
  const pull_c = setup.pull_c[0] as number
  const done = board.points
    .filter(({ point, value_c }) => point !== board.point && value_c >= pull_c)
    .sort((a, b) => b.value_c - a.value_c)[0]
  const body = points.indexOf(done?.point as PointId)
  if (!done || !board.latest || board.latest.value_c >= pull_c || body < 0) return undefined
  if (!Number.isFinite(main.pull_s.p50)) return undefined
  // What it climbs from now to the pull: as it is pulled now, and as it is pulled when the other is there.
  const now = foresee({ ...setup, pull_c: setup.pull_c.map(() => setup.start_c) }, posterior, MEMBERS.ways)
  const at = (change: Partial<typeof setup>) => {
    const then = foresee({ ...setup, ...change }, posterior, MEMBERS.ways)
    const climb = (then.points[body]?.pull_c ?? 0) - (now.points[body]?.pull_c ?? 0)
    return done.value_c + Math.max(0, Number.isFinite(climb) ? climb : 0)
  }
  const time_s = setup.now_s + 1
  const foil = FOIL[done.point]
  const changes = [...(setup.changes ?? []), foil ? { time_s, foil } : { time_s, cover: 'foil' as const }]
  return {
    done: done.point,
    lacking: board.point,
    arrives_s: in_s + main.pull_s.p50,
    now_c: done.value_c,
    as_it_is_c: at({}),
    foiled_c: at({ changes }),
  }
}
