import { customAlphabet } from 'nanoid'

const suffix = customAlphabet('23456789abcdefghjkmnpqrstuvwxyz', 14)

/** A new id with the prefix of its kind, such as `pln_…`. */
export const newId = (
  kind: 'kit' | 'pln' | 'pvr' | 'hse' | 'cok' | 'dev' | 'ent' | 'chg' | 'pho' | 'inv' | 'tab' | 'adr' | 'per',
): string => `${kind}_${suffix()}`
