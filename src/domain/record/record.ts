import { z } from 'zod'
import { COOLING, STANDARDS } from '@/core/reference/standards'
import { finite, ident, instant, probeCelsius, text } from '../schema/scalars'

/**
 * The food-safety record of a kitchen that must keep one: what was measured, against what limit, and what was done where
 * it was not met. Only ever added to: a correction is an entry that names what it corrects. Local codes decide.
 */

/** What is recorded, each with what its temperature is held against. */
export const RECORD_KINDS = [
  'receiving',
  'storage',
  'cooking',
  'holding',
  'cooling',
  'reheating',
  'probe_check',
] as const
export type RecordKind = (typeof RECORD_KINDS)[number]

/** A limit: at most, at least, or near a value; and within how long, where time counts. */
export const limitPart = z.strictObject({
  most_c: finite.nullable().default(null),
  least_c: finite.nullable().default(null),
  within_min: finite.min(1).max(10_000).nullable().default(null),
})
export type Limit = z.output<typeof limitPart>

interface PublishedLimit extends Limit {
  readonly source: string
}
const code = (section: string) => `US model Food Code ${section}, from memory`

/** The published defaults: a kitchen’s own plan may say otherwise, and its local code comes before both. */
export const PUBLISHED_LIMITS: Readonly<Record<RecordKind, PublishedLimit>> = {
  receiving: { most_c: STANDARDS.dangerLow.value, least_c: null, within_min: null, source: code('3-202.11') },
  storage: { most_c: STANDARDS.dangerLow.value, least_c: null, within_min: null, source: code('3-501.16') },
  cooking: {
    most_c: null,
    least_c: 63,
    within_min: null,
    source: `${code('3-401.11')}: whole pieces 63 °C, poultry 74 °C`,
  },
  holding: { most_c: null, least_c: STANDARDS.dangerHigh.value, within_min: null, source: code('3-501.16') },
  cooling: {
    most_c: COOLING.middle_c,
    least_c: null,
    within_min: COOLING.first_s / 60,
    source: `${code('3-501.14')}: 57 to 21 °C in two hours, to 5 °C in four more`,
  },
  reheating: { most_c: null, least_c: STANDARDS.reheatTo.value, within_min: 120, source: code('3-403.11') },
  probe_check: { most_c: 1, least_c: -1, within_min: null, source: 'in melting ice within a degree: common practice' },
}

/** A kitchen's own plan: limits it sets itself, each with who did. What is not said is as published. */
export const recordPlan = z.strictObject({
  on: z.boolean().default(true),
  limits: z.partialRecord(z.enum(RECORD_KINDS), limitPart).default({}),
})
export type RecordPlan = z.output<typeof recordPlan>

/** The limit a kitchen goes by. */
export const limitOf = (plan: RecordPlan | null, kind: RecordKind): Limit => {
  const { most_c, least_c, within_min } = plan?.limits[kind] ?? PUBLISHED_LIMITS[kind]
  return { most_c, least_c, within_min }
}

/** The longest that a record says something took, minutes: two weeks. */
export const MOST_MINUTES = 20_160

/** What is said of one measurement, or of one that was made before. */
export const recordEntry = z
  .strictObject({
    id: ident(64, 8),
    kind: z.enum(RECORD_KINDS),
    at: instant,
    what: text(160).trim().min(1),
    value_c: probeCelsius.nullable().default(null),
    /** How long it took, or has lain, minutes. */
    minutes: finite.min(0).max(MOST_MINUTES).nullable().default(null),
    limit: limitPart,
    by: text(80).trim().min(1),
    /** Entered by hand, or by a board from its probes. */
    source: z.enum(['hand', 'board']).default('hand'),
    /** What was done about a limit that was not met. */
    action: text(400).trim().default(''),
    /** The entry it corrects, or whose deviation it settles. */
    of: ident(64, 8).nullable().default(null),
    about: z.enum(['correction', 'release']).nullable().default(null),
  })
  .superRefine((entry, context) => {
    const say = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    if (entry.about !== null && entry.of === null) say('of', 'say which entry this is about')
    if (entry.about === 'release' && entry.action === '') say('action', 'say what was done')
    if (entry.about !== 'release' && entry.value_c === null) say('value_c', 'a measurement has a temperature')
  })
export type RecordEntry = z.output<typeof recordEntry>

/**
 * Whether a measurement keeps its limit.
 * @example keepsLimit({ value_c: 4, minutes: null, limit: { most_c: 5, least_c: null, within_min: null } }) // true
 */
export function keepsLimit({ value_c, minutes, limit }: Pick<RecordEntry, 'value_c' | 'minutes' | 'limit'>): boolean {
  if (value_c === null) return true
  const { most_c, least_c, within_min } = limit
  const warm = most_c === null || value_c <= most_c
  const hot = least_c === null || value_c >= least_c
  const soon = within_min === null || minutes === null || minutes <= within_min
  return warm && hot && soon
}

/** An entry as it is kept: in its place, bound to the one before it. */
export interface ChainedEntry {
  readonly seq: number
  readonly entry: RecordEntry
  /** Hash of the entry before; of the first: sixty-four zeros. */
  readonly prev: string
  readonly hash: string
}
export const FIRST_PREV = '0'.repeat(64)

/**
 * The text that is hashed: the place, the hash before and the entry, with the names of every object in order, so that
 * anybody can make it again.
 * @example canonical({ b: 1, a: [2, null] }) // '{"a":[2,null],"b":1}'
 */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`
  if (typeof value === 'object' && value !== null)
    return `{${Object.entries(value)
      .filter(([, each]) => each !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([name, each]) => `${JSON.stringify(name)}:${canonical(each)}`)
      .join(',')}}`
  return JSON.stringify(value)
}

/** What is hashed of an entry in its place, by SHA-256 of its UTF-8. */
export const hashedText = (seq: number, prev: string, entry: RecordEntry): string => canonical({ entry, prev, seq })

/**
 * What is wrong with a chain, by the place of its first fault; undefined where nothing is.
 *
 * @param after where it begins; nothing: at its first entry
 */
export function brokenAt(
  chain: readonly ChainedEntry[],
  sha256: (text: string) => string,
  after: { readonly seq: number; readonly prev: string } = { seq: 0, prev: FIRST_PREV },
): { readonly seq: number; readonly why: 'missing' | 'unbound' | 'changed' } | undefined {
  let { prev } = after
  for (const [i, each] of chain.entries()) {
    const seq = after.seq + i + 1
    if (each.seq !== seq) return { seq, why: 'missing' }
    if (each.prev !== prev) return { seq: each.seq, why: 'unbound' }
    if (sha256(hashedText(each.seq, each.prev, each.entry)) !== each.hash) return { seq: each.seq, why: 'changed' }
    prev = each.hash
  }
  return undefined
}

/** An entry of a day with what was said of it since. */
export interface RecordRow extends ChainedEntry {
  readonly kept: boolean
  /** What corrected it; it no longer counts. */
  readonly correctedBy: number | undefined
  /** What settled its deviation. */
  readonly released: RecordEntry | undefined
}

/** Entries with what later ones say of them. Releases stand with what they settle. */
export function rowsOf(chain: readonly ChainedEntry[]): RecordRow[] {
  return chain
    .filter(({ entry }) => entry.about !== 'release')
    .map((each) => {
      const about = chain.filter(({ entry }) => entry.of === each.entry.id)
      return {
        ...each,
        kept: keepsLimit(each.entry),
        correctedBy: about.findLast(({ entry }) => entry.about === 'correction')?.seq,
        released: about.findLast(({ entry }) => entry.about === 'release')?.entry,
      }
    })
}

/** A limit that was not met, and nobody said what was done. */
export const isOpen = (row: RecordRow): boolean =>
  !row.kept && row.released === undefined && row.correctedBy === undefined && row.entry.action === ''
