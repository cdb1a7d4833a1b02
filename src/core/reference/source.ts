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

export const published = (note: string): Source => ({ kind: 'published', note })
export const commonPractice = (note: string): Source => ({ kind: 'common_practice', note })
export const fromMemory = (note: string): Source => ({ kind: 'from_memory', note })
export const derived = (note: string): Source => ({ kind: 'derived', note })
