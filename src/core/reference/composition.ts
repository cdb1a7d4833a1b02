import { derived, fromMemory, type Source } from './source'

/** What meat is made of, as mass fractions that sum to one. */
export interface Composition {
  readonly water: number
  readonly protein: number
  readonly fat: number
  readonly ash: number
}

export type CompositionId =
  | 'beef-marbled'
  | 'beef-lean'
  | 'veal'
  | 'lamb'
  | 'pork-lean'
  | 'pork-fat'
  | 'pork-belly'
  | 'ham'
  | 'poultry'
  | 'waterfowl'
  | 'game'
  | 'stuffing'

interface CompositionRow extends Composition {
  readonly id: CompositionId
  readonly source: Source
}

const stuffing = derived(
  'Bread, onion, butter and stock in the usual proportions; starch counted with protein, whose heat properties are near',
)
const tables = fromMemory('National food composition tables, raw lean with the usual trim; rounded to a hundredth')

/** Composition of the edible part as it goes in, by kind of meat: raw, and cured for hams. */
export const COMPOSITIONS: readonly CompositionRow[] = [
  { id: 'beef-marbled', water: 0.64, protein: 0.19, fat: 0.16, ash: 0.01, source: tables },
  { id: 'beef-lean', water: 0.71, protein: 0.22, fat: 0.06, ash: 0.01, source: tables },
  { id: 'veal', water: 0.74, protein: 0.2, fat: 0.05, ash: 0.01, source: tables },
  { id: 'lamb', water: 0.65, protein: 0.18, fat: 0.16, ash: 0.01, source: tables },
  { id: 'pork-lean', water: 0.72, protein: 0.21, fat: 0.06, ash: 0.01, source: tables },
  { id: 'pork-fat', water: 0.63, protein: 0.18, fat: 0.18, ash: 0.01, source: tables },
  { id: 'pork-belly', water: 0.45, protein: 0.12, fat: 0.42, ash: 0.01, source: tables },
  { id: 'ham', water: 0.62, protein: 0.18, fat: 0.16, ash: 0.04, source: tables },
  { id: 'poultry', water: 0.72, protein: 0.21, fat: 0.06, ash: 0.01, source: tables },
  { id: 'waterfowl', water: 0.6, protein: 0.17, fat: 0.22, ash: 0.01, source: tables },
  { id: 'game', water: 0.73, protein: 0.23, fat: 0.03, ash: 0.01, source: tables },
  { id: 'stuffing', water: 0.6, protein: 0.27, fat: 0.11, ash: 0.02, source: stuffing },
]

/**
 * The composition with this id. @throws RangeError for an id outside the table: our own bug.
 * @example compositionOf('beef-lean').water > 0.7 // true
 */
export function compositionOf(id: CompositionId): Composition {
  const row = COMPOSITIONS.find((entry) => entry.id === id)
  if (!row) throw new RangeError(`no composition ${id}`)
  return row
}
