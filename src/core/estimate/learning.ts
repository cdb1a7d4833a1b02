/**
 * What many cooks taught of things that stay from cook to cook: by how much an oven is off its dial, how much thicker a
 * butcher cuts than is usual. All of them are one Gaussian belief, for no cook tells its oven from its piece: what one
 * oven does to every cut, and one cut in every oven, does. They drift a little; each cook has its own scatter.
 */

/** What one cook saw: a number that is the sum of some things, each by a factor, and an error. */
export interface Lesson {
  readonly at_s: number
  readonly value: number
  /** One deviation. */
  readonly error: number
  readonly of: readonly { readonly key: string; readonly by: number }[]
  /** The thing that may suddenly be another: an oven is mended, or breaks. */
  readonly mayChange?: string | undefined
}

/** How a thing behaves. */
export interface Nature {
  /** Deviation before any cook: what kitchens differ by. */
  readonly prior: number
  /** By how much it drifts in a year, one deviation: old cooks count less. */
  readonly drift: number
  /** Deviation of the next cook from the thing itself: another piece, another shelf. */
  readonly scatter: number
}

/** Natures of what is learned: priors as in the doubts of a plan (ensemble.ts), scatter and drift from memory of ovens and butchers. */
export const NATURES = {
  /** Air less dial, K; what is odd in a kitchen's heat is taken for it. */
  oven: { prior: 8, drift: 3, scatter: 2.5 },
  /** By how much more it is off its dial for each 100 K that it is set hotter, K. */
  tilt: { prior: 4, drift: 1.5, scatter: 0 },
  /** Thickness over what weight says, as a logarithm. */
  cut: { prior: 0.06, drift: 0.02, scatter: 0.05 },
  /** A butcher's pieces beside all of their cut. */
  supplier: { prior: 0.05, drift: 0.02, scatter: 0.05 },
  /** How fast an oven warms, what an opened door costs and how far it swings, over the usual one, as logarithms. */
  preheat: { prior: 0.35, drift: 0.05, scatter: 0.1 },
  door: { prior: 0.35, drift: 0.05, scatter: 0.25 },
  /** What a probe reads too much, K. */
  probe: { prior: 1, drift: 0.4, scatter: 0.3 },
  swing: { prior: 0.5, drift: 0.1, scatter: 0.25 },
  /** How slowly it cools with the heat off, over the usual one, as a logarithm. */
  decay: { prior: 0.4, drift: 0.05, scatter: 0.1 },
} as const satisfies Readonly<Record<string, Nature>>

export interface Learned {
  readonly mean: number
  /** Deviation of the mean itself. */
  readonly spread: number
  /** Deviation to expect of the next cook: the mean's and its own. */
  readonly next: number
  /** Cooks that it rests on. */
  readonly cooks: number
  /** Since when, where it was found to be another than before; by then older cooks say nothing of it. */
  readonly changed_s: number | undefined
}

const YEAR_S = 365.25 * 86_400
/** A cook is a surprise beyond so many deviations; two running in one oven, to the same side, say that it is another. */
const SURPRISE = 2.5

/** One Gaussian belief about all things at once. */
class Belief {
  readonly keys: string[] = []
  private readonly means: number[] = []
  private readonly covariance: number[][] = []
  private readonly cooks = new Map<string, Set<number>>()
  private readonly changed = new Map<string, number>()
  private at_s: number | undefined

  constructor(private readonly natureOf: (key: string) => Nature) {}

  private place(key: string): number {
    const known = this.keys.indexOf(key)
    if (known >= 0) return known
    this.keys.push(key)
    this.means.push(0)
    for (const row of this.covariance) row.push(0)
    this.covariance.push([...this.keys.map(() => 0)])
    const i = this.keys.length - 1
    ;(this.covariance[i] as number[])[i] = this.natureOf(key).prior ** 2
    return i
  }

  /** Time goes by: each thing drifts, and never beyond what it was before anything was seen. */
  driftTo(at_s: number): void {
    const years = this.at_s === undefined ? 0 : Math.max(0, at_s - this.at_s) / YEAR_S
    this.at_s = Math.max(at_s, this.at_s ?? at_s)
    if (years === 0) return
    this.keys.forEach((key, i) => {
      const row = this.covariance[i] as number[]
      const { prior, drift } = this.natureOf(key)
      row[i] = Math.max(row[i] as number, Math.min(prior ** 2, (row[i] as number) + drift ** 2 * years))
    })
  }

  /** What is foretold of a lesson, and how surely. */
  foretold({ of, error }: Pick<Lesson, 'of' | 'error'>): { readonly mean: number; readonly deviation: number } {
    const places = of.map(({ key, by }) => ({ i: this.place(key), by }))
    let mean = 0
    let variance = error ** 2
    for (const { i, by } of places) {
      mean += by * (this.means[i] as number)
      for (const other of places) variance += by * other.by * (this.covariance[i]?.[other.i] as number)
    }
    return { mean, deviation: Math.sqrt(variance) }
  }

  takeIn(lesson: Lesson): void {
    const { mean, deviation } = this.foretold(lesson)
    const places = lesson.of.map(({ key, by }) => ({ i: this.place(key), by }))
    const off = lesson.value - mean
    const toward = this.keys.map((_, i) =>
      places.reduce((sum, { i: j, by }) => sum + by * (this.covariance[i]?.[j] as number), 0),
    )
    const variance = deviation ** 2
    for (let i = 0; i < toward.length; i++) {
      this.means[i] = (this.means[i] as number) + ((toward[i] as number) / variance) * off
      const row = this.covariance[i] as number[]
      for (let j = 0; j < toward.length; j++)
        row[j] = (row[j] as number) - ((toward[i] as number) * (toward[j] as number)) / variance
    }
    // Two lessons of one cook are one cook.
    for (const { key, by } of lesson.of)
      if (by !== 0) this.cooks.set(key, (this.cooks.get(key) ?? new Set()).add(lesson.at_s))
  }

  /** A thing is another from now on: what was known of it is forgotten. */
  forget(key: string, since_s: number): void {
    const i = this.place(key)
    this.means[i] = 0
    for (const row of this.covariance) row[i] = 0
    this.covariance[i] = this.keys.map((_, j) => (i === j ? this.natureOf(key).prior ** 2 : 0))
    this.cooks.delete(key)
    this.changed.set(key, since_s)
  }

  told(): Map<string, Learned> {
    return new Map(
      this.keys.map((key, i): [string, Learned] => {
        const spread = Math.sqrt(Math.max(0, this.covariance[i]?.[i] as number))
        return [
          key,
          {
            mean: this.means[i] as number,
            spread,
            next: Math.hypot(spread, this.natureOf(key).scatter),
            cooks: this.cooks.get(key)?.size ?? 0,
            changed_s: this.changed.get(key),
          },
        ]
      }),
    )
  }
}

/**
 * What is known of every thing after some cooks, shrunk towards nothing by as much as they leave open.
 *
 * @param lessons in any order; those after `to_s` are not known yet
 * @param natureOf how a thing behaves, by its key
 * @param to_s now, s since 1970: what has not been seen for long is less sure
 * @example learn([], () => NATURES.oven, 0).size // 0
 */
export function learn(
  lessons: readonly Lesson[],
  natureOf: (key: string) => Nature,
  to_s: number,
): ReadonlyMap<string, Learned> {
  const belief = new Belief(natureOf)
  const usable = lessons
    .filter(
      ({ at_s, value, error, of }) =>
        at_s <= to_s && error > 0 && [value, ...of.map(({ by }) => by)].every(Number.isFinite),
    )
    .sort((a, b) => a.at_s - b.at_s || a.value - b.value)
  const surprises = new Map<string, { readonly side: number; readonly lesson: Lesson }>()
  const seen = new Set<string>()
  for (const lesson of usable) {
    belief.driftTo(lesson.at_s)
    const { mayChange } = lesson
    const { mean, deviation } = belief.foretold(lesson)
    const off = (lesson.value - mean) / deviation
    const side = mayChange !== undefined && seen.has(mayChange) && Math.abs(off) > SURPRISE ? Math.sign(off) : 0
    const before = mayChange === undefined ? undefined : surprises.get(mayChange)
    if (mayChange !== undefined) {
      seen.add(mayChange)
      surprises.delete(mayChange)
    }
    if (side === 0 || mayChange === undefined) belief.takeIn(lesson)
    else if (before?.side === side) {
      // The second in a row: it was mended, or broke. What came before is of another thing.
      belief.forget(mayChange, before.lesson.at_s)
      belief.takeIn(before.lesson)
      belief.takeIn(lesson)
    }
    // The first alone is held back: it may be one odd cook.
    else surprises.set(mayChange, { side, lesson })
  }
  belief.driftTo(to_s)
  return belief.told()
}

/**
 * Log likelihood of what a cook saw, under a belief: for holding a cook out and asking who foretold it best.
 * @example logLikelihood(0, 0, 1) // ≈ -0.9189385
 */
export const logLikelihood = (value: number, mean: number, deviation: number): number =>
  -0.5 * ((value - mean) / deviation) ** 2 - Math.log(deviation * Math.sqrt(2 * Math.PI))
