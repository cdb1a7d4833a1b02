import { cookMember, type EstimateSetup } from './member'
import type { Inferred } from './posterior'
import { MIDDLE, type Unknown } from './unknowns'

/** What may have made a cook end sooner or later than it was planned. */
export const CAUSES = ['oven', 'thickness', 'start', 'meat', 'door', 'dial', 'reading'] as const
export type CauseName = (typeof CAUSES)[number]

/** Unknowns that a cook can do nothing about are told together: how this meat takes heat. */
const OF: Readonly<Partial<Record<CauseName, readonly Unknown[]>>> = {
  oven: ['oven_k'],
  thickness: ['thickness'],
  start: ['start_k'],
  meat: ['wetness', 'drying', 'contact', 'conduct', 'shape', 'second'],
}

export interface Cause {
  readonly what: CauseName
  /** Later by it, s; under nothing it made it sooner. */
  readonly later_s: number
  /** Of all that made it sooner or later, 0 to 1. */
  readonly share: number
  /** What was inferred of it, and its deviation: K, or the logarithm of the thickness; undefined of what is no one number. */
  readonly value: number | undefined
  readonly spread: number | undefined
}

/** Less makes no difference that a cook would notice, s. */
const LEAST_S = 60

/**
 * Why a roast was pulled when it was and not when it was planned: each thing that was learned or done, put alone into
 * the roast as told. They do not add up to the whole, for they work on each other; the shares are of what they do alone.
 *
 * @param setup the cook at its pull, with what was done to it
 * @param inferred what its readings taught
 * @param planned_c the reading it was to be pulled at, for each body
 */
export function causesOf(setup: EstimateSetup, inferred: Inferred, planned_c: readonly number[]): readonly Cause[] {
  const told: EstimateSetup = { ...setup, readings: [], changes: [], air: undefined, now_s: 0, pull_c: planned_c }
  const pullOf = (more: Partial<EstimateSetup>, learned: readonly Unknown[] = []): number => {
    const { run } = cookMember(
      { ...told, ...more },
      (name) => (learned.includes(name) ? inferred.find((each) => each.name === name)?.mean : MIDDLE[name]) ?? 0,
      [],
      [],
      true,
    )
    return run.outcome === 'reached' ? run.pull_s : Number.NaN
  }
  const as_s = pullOf({})
  const changes = setup.changes ?? []
  const hand = changes.filter(({ set_c }) => set_c === undefined)
  const dial = changes.filter(({ set_c }) => set_c !== undefined)
  const later = CAUSES.map((what): readonly [CauseName, number] => {
    if (what === 'door') return [what, hand.length > 0 ? pullOf({ changes: hand }) - as_s : 0]
    if (what === 'dial') return [what, dial.length > 0 ? pullOf({ changes: dial }) - as_s : 0]
    if (what === 'reading') return [what, pullOf({ pull_c: setup.pull_c }) - as_s]
    // Where the air was measured, that is the oven, and not what was guessed of it.
    if (what === 'oven' && setup.air) return [what, pullOf({ air: setup.air }) - as_s]
    return [what, pullOf({}, OF[what]) - as_s]
  }).filter(([, later_s]) => Math.abs(later_s) >= LEAST_S)
  const all_s = later.reduce((sum, [, later_s]) => sum + Math.abs(later_s), 0)
  return later
    .map(([what, later_s]) => {
      const names = OF[what] ?? []
      const own = names.length === 1 ? inferred.find(({ name }) => name === names[0]) : undefined
      return { what, later_s, share: Math.abs(later_s) / all_s, value: own?.mean, spread: own?.spread }
    })
    .sort((a, b) => b.share - a.share)
}
