/**
 * Where a value comes from. Published: a document a reader can find. Common practice: what the
 * trade does, with no single source. From memory: published somewhere, written down here without
 * the document at hand. Derived: worked out here, with the reason in the note.
 */
export type SourceKind = 'published' | 'common_practice' | 'from_memory' | 'derived'

export interface Source {
  readonly kind: SourceKind
  readonly note: string
}

/**
 * A document a reader can find.
 * @example published('a table').kind // 'published'
 */
export const published = (note: string): Source => ({ kind: 'published', note })
/**
 * What the trade does, with no single source.
 * @example commonPractice('a habit').kind // 'common_practice'
 */
export const commonPractice = (note: string): Source => ({ kind: 'common_practice', note })
/**
 * Published somewhere; the document was not at hand.
 * @example fromMemory('a table').kind // 'from_memory'
 */
export const fromMemory = (note: string): Source => ({ kind: 'from_memory', note })
/**
 * Worked out here; the reason stands in the note.
 * @example derived('mass over density').note // 'mass over density'
 */
export const derived = (note: string): Source => ({ kind: 'derived', note })
