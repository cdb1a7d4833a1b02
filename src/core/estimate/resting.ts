import { INSTANT_S, type RoastStepper } from '../simulate/stepper'

/** A knife that does not wait: when it is due, s since put-in, and how short the rest may become for it, s. */
export interface Knife {
  readonly due_s: number
  readonly least_s: number
}

/**
 * How long a roast rests, s: as it was meant to, or where it came out late, until the knife is due.
 * @param meant_s the rest of its program, s
 * @param pull_s when it comes out, s since put-in
 * @example restUntil({ due_s: 7200, least_s: 900 }, 2400, 6000) // 1200
 */
export const restUntil = (knife: Knife | undefined, meant_s: number, pull_s: number): number =>
  knife ? Math.min(meant_s, Math.max(knife.least_s, knife.due_s - pull_s)) : meant_s

/** What has become of a roast by a minute of its rest: the highest each core has been, °C, and whether it is safe. */
export interface Rested {
  readonly peak_c: readonly number[]
  readonly safe: boolean
}

/** The rest of a simulated roast as it goes, for a knife that comes at another time than its program's. */
export class Resting {
  private readonly time_s: number[] = []
  private readonly rows: Rested[] = []

  /** Goes on where another is. */
  goOnFrom({ time_s, rows }: Resting): void {
    this.time_s.splice(0, this.time_s.length, ...time_s)
    this.rows.splice(0, this.rows.length, ...rows)
  }

  /** @param pulled whether it is out: before, only the last moment is kept */
  add({ time_s, kernels }: RoastStepper, pulled: boolean, safe: boolean): void {
    const before = pulled ? this.rows.at(-1)?.peak_c : undefined
    const peak_c = kernels.map(({ core_c }, i) => Math.max(core_c, before?.[i] ?? core_c))
    const row = pulled ? this.rows.length : 0
    this.time_s[row] = time_s
    this.rows[row] = { peak_c, safe }
  }

  /** As it is at a time, s since put-in; between steps the cores by a straight line, and safe as it was before. */
  at(at_s: number): Rested {
    const { time_s, rows } = this
    const next = time_s.findIndex((each) => each >= at_s - INSTANT_S)
    const row = rows[next < 0 ? rows.length - 1 : next] as Rested
    if (next <= 0) return row
    const before = rows[next - 1] as Rested
    const from = time_s[next - 1] as number
    const part = (at_s - from) / Math.max(INSTANT_S, (time_s[next] as number) - from)
    return {
      peak_c: row.peak_c.map((high, i) => (before.peak_c[i] as number) + part * (high - (before.peak_c[i] as number))),
      safe: part >= 1 - 1e-6 ? row.safe : before.safe,
    }
  }
}
