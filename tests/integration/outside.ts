import { spawn } from 'node:child_process'
import { resolve } from 'node:path'
import { createInterface } from 'node:readline'
import { expect } from 'vitest'

/**
 * What a kitchen that knows nothing of ours is made of: a ball of meat written down afresh, and JSON lines sent to
 * `next` and read.
 */

export interface Entry {
  readonly kind: string
  readonly item?: string | null
  readonly value_c?: number | null
}
export interface Action {
  readonly kind: string
  readonly item: string | null
  readonly at: string
  readonly set_c: number | null
  readonly where: string | null
  readonly oven: string | null
  readonly pull_c: number | null
  readonly enter: readonly Entry[]
}
interface Way {
  readonly code: string
  readonly best: boolean
  readonly set_c: number | null
  readonly enter: readonly Entry[]
}
export interface Roast {
  readonly item: string
  readonly state: string
  readonly promise: string
  readonly pull_c: number | null
  readonly pull: { readonly p10: string | null; readonly p50: string | null; readonly p90: string | null }
  readonly peak_c: number | null
  readonly safe_chance: number | null
  readonly back_in_enter: readonly Entry[] | null
  readonly ways: readonly Way[]
}
export interface Answer {
  readonly over: boolean
  readonly actions: readonly Action[]
  readonly roasts: readonly Roast[]
  readonly left_out: readonly { readonly item: string }[]
  readonly errors?: unknown
}

const root = resolve(import.meta.dirname, '../..')

/** The long-running `next`, asked one document after another. */
export function nextByLines(): { readonly ask: (document: object) => Promise<Answer>; readonly end: () => void } {
  const program = spawn(process.execPath, ['bin/pheasant.mjs', 'next', '--lines'], { cwd: root })
  const answers = createInterface({ input: program.stdout })[Symbol.asyncIterator]()
  return {
    ask: async (document) => {
      program.stdin.write(`${JSON.stringify(document)}\n`)
      const { value } = await answers.next()
      return JSON.parse(value) as Answer
    },
    end: () => void program.kill(),
  }
}

/** How wet its surface is at first, of 1, and in how long it dries to a third of that, s (round figures, from nowhere). */
const WET = 0.3
const DRIES_S = 9000

/** A ball of meat in shells of one thickness: what goes in at its surface is what the air gives less what dries off. */
export class Ball {
  readonly shells: number[]
  highest_c = Number.NEGATIVE_INFINITY
  private hot_s = 0
  constructor(
    readonly radius_m: number,
    start_c: number,
    private readonly wet = WET,
  ) {
    this.shells = Array.from({ length: 12 }, () => start_c)
  }
  get core_c(): number {
    return this.shells[0] as number
  }
  step(dt_s: number, air_c: number, h: number): void {
    if (air_c > 60) this.hot_s += dt_s
    const dr = this.radius_m / this.shells.length
    const parts = Math.ceil(dt_s / (0.15 * (dr * dr * 3.6e6)))
    for (let part = 0; part < parts; part++) {
      const before = [...this.shells]
      const surface_c = before.at(-1) as number
      // Vapour leaves it, in its oven and on its board (Lewis and Magnus, from memory).
      const over_pa = 610.9 * Math.exp((17.6 * surface_c) / (surface_c + 243)) - 1500
      const dries_w = this.wet * Math.exp(-this.hot_s / DRIES_S) * h * 0.0163 * Math.max(0, over_pa)
      const given_w = h * (air_c - surface_c) - dries_w
      for (let i = 0; i < before.length; i++) {
        const inner = (i * dr) ** 2
        const outer = ((i + 1) * dr) ** 2
        const volume = (((i + 1) * dr) ** 3 - (i * dr) ** 3) / 3
        const out_w =
          i < before.length - 1
            ? ((0.48 * ((before[i + 1] as number) - (before[i] as number))) / dr) * outer
            : given_w * outer
        const in_w = i > 0 ? ((0.48 * ((before[i] as number) - (before[i - 1] as number))) / dr) * inner : 0
        this.shells[i] = Math.min(98, (before[i] as number) + ((out_w - in_w) * (dt_s / parts)) / (3.6e6 * volume))
      }
    }
    this.highest_c = Math.max(this.highest_c, this.core_c)
  }
}

export const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

/** A way is tried for so long before another is taken, s. */
const TRIED_S = 900
export const TURNS: ReadonlySet<string> = new Set(['oven_up', 'oven_down', 'other_heat'])
/** The way out that this cook takes now: the best, where it is anything to do and the last has been tried. */
export function wayToTake({ ways }: Roast, tookLast_s: number, now_s: number): Way | undefined {
  const best = ways.find((way) => way.best)
  const does = best && best.code !== 'leave_it' && best.enter.some(({ kind }) => kind !== 'note')
  return does && now_s - tookLast_s > TRIED_S ? best : undefined
}

/** What could not be printed is not answered. */
export function check(
  { actions }: Answer,
  { pull, pull_c, safe_chance, ways, peak_c }: Roast,
  serve_c: number,
  now_s: number,
) {
  const at = actions.map(({ at }) => Date.parse(at))
  expect(at.every(Number.isFinite)).toBe(true)
  if (pull.p50 !== null) {
    expect(Date.parse(pull.p50) / 1000).toBeGreaterThanOrEqual(now_s - 1)
    expect(Date.parse(pull.p10 ?? '')).toBeLessThanOrEqual(Date.parse(pull.p90 ?? ''))
  }
  if (pull_c !== null) expect(pull_c).toBeLessThanOrEqual(Math.max(serve_c, 71) + 0.5)
  if (safe_chance !== null) expect(safe_chance).toBeLessThanOrEqual(1)
  if (peak_c !== null) expect(peak_c).toBeLessThanOrEqual(100)
  expect(ways.filter(({ best }) => best).length).toBeLessThanOrEqual(1)
  for (const { code, enter } of ways) if (code !== 'leave_it') expect(enter.length, code).toBeGreaterThan(0)
}
