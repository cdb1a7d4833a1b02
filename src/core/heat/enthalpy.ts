import type { Composition } from '../reference/composition'
import { conductivityOf, FUSION_J_PER_KG, heatCapacityOf, iceFraction } from './properties'
import { vaporisationHeat } from './vapour'

/**
 * Temperature and conductivity of a meat as tables over its enthalpy.
 *
 * The solver carries enthalpy, not temperature: energy is then conserved to rounding whatever the
 * step, and thawing needs no special case, because the freezing plateau is only a place where
 * the temperature hardly moves while the enthalpy does.
 *
 * Water boils inside the meat as it does outside: at the boiling point the temperature stands still until
 * all water has gone, which no roast lives to see, so no shell and no core passes it.
 *
 * Rows are equally spaced in enthalpy; between rows temperature and conductivity are linear.
 */
export interface EnthalpyTable {
  /** Enthalpy of row 0, J/kg; the reference is 0 at -40 °C. */
  readonly start: number
  /** Rows per J/kg. */
  readonly perJoule: number
  readonly rows: number
  /** Temperature at the last row, °C. */
  readonly hottest_c: number
  /** °C at each row. */
  readonly temperature: Float64Array
  /** W/m·K at each row. */
  readonly conductivity: Float64Array
  /** Apparent heat capacity between each row and the next, J/kg·K: the slope of the very lines the solver reads. */
  readonly heat: Float64Array
}

const LOWEST_C = -40
/** Boiling is spread over this, K, so that the curve has a slope to read. */
const BOILING_SPAN_K = 0.5
/** The table ends so far past boiling, K: meat that has lost all its water is no roast. */
const PAST_BOILING_K = 0.4
const ROWS = 5120
/** Apparent heat capacity where the table ends, J/kg·K: no heat raises it. */
const AT_THE_END_J_PER_KG_K = 1e9
const FINE_STEP_K = 0.025

function build(composition: Composition, boiling_c: number): EnthalpyTable {
  const FINE_STEPS = Math.ceil((boiling_c + PAST_BOILING_K - LOWEST_C) / FINE_STEP_K)
  const step = FINE_STEP_K
  const vapour_j = composition.water * vaporisationHeat(boiling_c)
  const boiled = (t: number) => Math.min(1, Math.max(0, (t - boiling_c) / BOILING_SPAN_K + 0.5))
  const temperature = new Float64Array(FINE_STEPS + 1)
  const enthalpy = new Float64Array(FINE_STEPS + 1)
  let sensible = 0
  for (let i = 0; i <= FINE_STEPS; i++) {
    const t = LOWEST_C + i * step
    if (i > 0) sensible += heatCapacityOf(composition, t - step / 2) * step
    temperature[i] = t
    enthalpy[i] =
      sensible +
      FUSION_J_PER_KG * (iceFraction(composition, LOWEST_C) - iceFraction(composition, t)) +
      vapour_j * boiled(t)
  }
  const top = enthalpy[FINE_STEPS] as number
  const table = {
    start: 0,
    perJoule: (ROWS - 1) / top,
    rows: ROWS,
    hottest_c: boiling_c + PAST_BOILING_K,
    temperature: new Float64Array(ROWS),
    conductivity: new Float64Array(ROWS),
    heat: new Float64Array(ROWS),
  }
  let j = 0
  for (let row = 0; row < ROWS; row++) {
    const target = (row * top) / (ROWS - 1)
    while (j < FINE_STEPS - 1 && (enthalpy[j + 1] as number) < target) j++
    const low = enthalpy[j] as number
    const high = enthalpy[j + 1] as number
    const t = (temperature[j] as number) + ((target - low) / (high - low)) * step
    table.temperature[row] = t
    table.conductivity[row] = conductivityOf(composition, t)
  }
  for (let row = 0; row < ROWS; row++) {
    const next = Math.min(row, ROWS - 2)
    const rise = (table.temperature[next + 1] as number) - (table.temperature[next] as number)
    // What has boiled dry stays at the hottest, whatever more it takes: its line must say so, or no step would settle.
    table.heat[row] = row < ROWS - 2 ? 1 / (rise * table.perJoule) : AT_THE_END_J_PER_KG_K
  }
  return table
}

const tables = new Map<string, EnthalpyTable>()

/**
 * The enthalpy table of a composition where water boils at `boiling_c`, °C; made once and shared.
 * @example enthalpyTableOf(compositionOf('beef-lean')).rows // 5120
 */
export function enthalpyTableOf(composition: Composition, boiling_c = 100): EnthalpyTable {
  const key = `${composition.water}/${composition.protein}/${composition.fat}/${composition.ash}/${boiling_c}`
  let table = tables.get(key)
  if (!table) {
    table = build(composition, boiling_c)
    tables.set(key, table)
  }
  return table
}

/**
 * Temperature at an enthalpy, °C.
 * @example temperatureAt(enthalpyTableOf(compositionOf('veal')), enthalpyAt(enthalpyTableOf(compositionOf('veal')), 40)) // ≈ 40
 */
export function temperatureAt(table: EnthalpyTable, enthalpy: number): number {
  const x = Math.min(table.rows - 1.000001, Math.max(0, enthalpy * table.perJoule))
  const i = x | 0
  const low = table.temperature[i] as number
  return low + (x - i) * ((table.temperature[i + 1] as number) - low)
}

/**
 * Enthalpy at a temperature, J/kg, by bisection of the same table: the exact inverse of {@link temperatureAt}.
 * @example enthalpyAt(enthalpyTableOf(compositionOf('veal')), 20) > 300_000 // true
 */
export function enthalpyAt(table: EnthalpyTable, temperature_c: number): number {
  let low = 0
  let high = table.rows - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((table.temperature[middle] as number) <= temperature_c) low = middle
    else high = middle
  }
  const from = table.temperature[low] as number
  const to = table.temperature[low + 1] as number
  return (low + (temperature_c - from) / (to - from)) / table.perJoule
}
