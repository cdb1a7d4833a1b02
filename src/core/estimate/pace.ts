import type { MemberRun } from './member'
import { type Level, levelOf } from './reading'

/** A member's probe at a time, by straight lines between its steps; undefined outside them. */
function probeAt({ time_s, value_c }: MemberRun['probe'], at_s: number): number | undefined {
  let low = 0
  let high = time_s.length - 1
  if (high < 1 || at_s < (time_s[0] as number) || at_s > (time_s[high] as number)) return undefined
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((time_s[middle] as number) <= at_s) low = middle
    else high = middle
  }
  const from = time_s[low] as number
  const to = time_s[high] as number
  const part = to > from ? (at_s - from) / (to - from) : 0
  return (value_c[low] as number) + part * ((value_c[high] as number) - (value_c[low] as number))
}

/** Early on the pace says little of the end, for the curve still bends; near the end it says nearly all. */
const TRUSTED = { from: 0.5, over: 0.2 } as const
const PACE = { least: 0.55, most: 1.8, doubt: 0.15 } as const

/**
 * A member's pull, s, from where its own probe would read what is read now, at the pace that is seen:
 * what the smoother could not explain shows in level and slope, and those are carried on. Level and
 * slope of reading and member are taken by the same line at the same times, so a member that is right
 * is left as it is.
 *
 * @param level of the readings at `now_s`
 * @param times the readings' times, s
 */
export function pacedPull(member: MemberRun, level: Level, times: readonly number[], now_s: number): number {
  const { run, probe } = member
  const { pull_s } = run
  const own = times.map((time_s) => probeAt(probe, time_s))
  if (own.some((value) => value === undefined)) return pull_s
  const line = levelOf(times, own as number[], now_s)
  const here = probeAt(probe, now_s)
  if (!line || here === undefined) return pull_s
  const wanted = here + level.value_c - line.value_c
  const { time_s, value_c } = probe
  let i = 1
  while (i < time_s.length && (time_s[i] as number) <= pull_s && (value_c[i] as number) < wanted) i++
  if (i >= time_s.length || i < 2) return pull_s
  const low = value_c[i - 1] as number
  const high = value_c[i] as number
  const part = Math.min(1, Math.max(0, (wanted - low) / Math.max(1e-6, high - low)))
  const at = (time_s[i - 1] as number) + part * ((time_s[i] as number) - (time_s[i - 1] as number))
  // Its pace where it reads what is read now: over as long a stretch, ending there.
  const shifted = times.map((each) => probeAt(probe, each + at - now_s))
  const there = shifted.some((value) => value === undefined)
    ? line
    : (levelOf(times, shifted as number[], now_s) ?? line)
  const done = now_s / Math.max(now_s, pull_s)
  const late = Math.min(1, Math.max(0, (done - TRUSTED.from) / TRUSTED.over))
  const trust = late / (1 + (level.doubt / PACE.doubt) ** 2)
  const pace = Math.min(PACE.most, Math.max(PACE.least, level.slope_per_s / there.slope_per_s)) ** trust
  const left = Math.max(0, pull_s - at) / pace
  return now_s + late * left + (1 - late) * Math.max(0, pull_s - now_s)
}
