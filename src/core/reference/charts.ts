import { fromMemory, type Source } from './source'

/** One row of a published roasting chart. */
export interface ChartRow {
  readonly cut: string
  readonly oven_f: number
  readonly weight_lb: readonly [number, number]
  readonly basis: 'per_lb' | 'total'
  readonly minutes: readonly [number, number]
  readonly core_f: number
  /** Whether the shared parameters were chosen with this row in view. */
  readonly inReference: boolean
  /** Written down when the parameters stood already: they are looked at with it, and not laid on it. */
  readonly since?: true
  readonly stuffed?: boolean
  readonly source: Source
}

const chart = fromMemory('US federal food-safety agencies, meat and poultry roasting charts and turkey chart')
const row = (
  cut: string,
  oven_f: number,
  weight_lb: [number, number],
  basis: 'per_lb' | 'total',
  minutes: [number, number],
  core_f: number,
  inReference: boolean,
  stuffed = false,
): ChartRow => ({
  cut,
  oven_f,
  weight_lb,
  basis,
  minutes,
  core_f,
  inReference,
  ...(stuffed ? { stuffed } : {}),
  source: chart,
})

/** Hams, cured and cooked: written down when the parameters stood already. */
const HAM_ROWS = [
  row('smoked-ham', 325, [10, 14], 'per_lb', [18, 20], 145, false),
  row('smoked-ham-half', 325, [5, 7], 'per_lb', [22, 25], 145, false),
  row('cooked-ham', 325, [10, 14], 'per_lb', [15, 18], 140, false),
  row('cooked-ham-half', 325, [5, 7], 'per_lb', [18, 24], 140, false),
].map((each): ChartRow => ({ ...each, since: true }))

/**
 * Published times to the consumer minimum, by which the model is judged. The first twelve are the
 * project's reference rows; the rest are further rows of the same charts, written down from memory
 * and held out of the acceptance test, shown with it.
 */
export const CHART_ROWS: readonly ChartRow[] = [
  row('beef-rib-bone-in', 325, [4, 6], 'per_lb', [23, 25], 145, true),
  row('beef-round-or-rump', 325, [2.5, 4], 'per_lb', [30, 35], 145, true),
  row('beef-tenderloin', 425, [4, 6], 'total', [45, 60], 145, true),
  row('lamb-leg-bone-in', 325, [5, 7], 'per_lb', [20, 25], 145, true),
  row('pork-loin', 350, [2, 5], 'per_lb', [20, 20], 145, true),
  row('pork-tenderloin', 437, [0.5, 1.5], 'total', [20, 30], 145, true),
  row('chicken', 350, [3, 4], 'total', [75, 90], 165, true),
  row('capon', 350, [4, 8], 'total', [120, 180], 165, true),
  row('turkey', 325, [8, 12], 'total', [165, 180], 165, true),
  row('turkey', 325, [14, 18], 'total', [225, 255], 165, true),
  row('turkey', 325, [20, 24], 'total', [270, 300], 165, true),
  row('turkey-breast-bone-in', 325, [4, 6], 'total', [90, 135], 165, true),
  row('beef-rib-boneless', 325, [4, 6], 'per_lb', [28, 33], 145, false),
  row('beef-tenderloin-half', 425, [2, 3], 'total', [35, 45], 145, false),
  row('beef-tri-tip', 425, [1.5, 2], 'total', [30, 40], 145, false),
  row('beef-eye-of-round', 325, [2, 3], 'per_lb', [20, 22], 145, false),
  row('veal-rib', 325, [4, 5], 'per_lb', [25, 27], 145, false),
  row('veal-loin', 325, [3, 4], 'per_lb', [34, 36], 145, false),
  row('lamb-leg-boneless-rolled', 325, [4, 7], 'per_lb', [25, 30], 145, false),
  row('lamb-shoulder', 325, [3, 4], 'per_lb', [30, 35], 145, false),
  row('pork-rib-rack', 350, [4, 6], 'per_lb', [20, 20], 145, false),
  row('pork-shoulder', 350, [3, 6], 'per_lb', [45, 45], 160, false),
  row('fresh-ham', 325, [12, 16], 'per_lb', [22, 26], 145, false),
  row('fresh-ham-half', 325, [5, 8], 'per_lb', [35, 40], 145, false),
  ...HAM_ROWS,
  row('cornish-hen', 350, [1.1, 1.5], 'total', [50, 60], 165, false),
  row('chicken', 350, [5, 7], 'total', [120, 135], 165, false),
  row('duck', 350, [4, 6], 'per_lb', [30, 35], 165, false),
  row('turkey', 325, [12, 14], 'total', [180, 225], 165, false),
  row('turkey', 325, [18, 20], 'total', [255, 270], 165, false),
  row('turkey', 325, [8, 12], 'total', [180, 210], 165, false, true),
  row('turkey', 325, [12, 14], 'total', [210, 240], 165, false, true),
  row('turkey', 325, [14, 18], 'total', [240, 255], 165, false, true),
  row('turkey', 325, [18, 20], 'total', [255, 285], 165, false, true),
  row('turkey', 325, [20, 24], 'total', [285, 315], 165, false, true),
  row('goose', 325, [8, 12], 'total', [150, 180], 165, false),
]
