import Papa from 'papaparse'
import { fahrenheitToCelsius } from '@/core/units'
import { PROBE_C } from '@/domain/schema/scalars'

export interface CsvReading {
  readonly at: string
  readonly value_c: number
}

/** More than this is no cook: one reading in a quarter of a minute for eight hours. */
const MOST = 2000

/**
 * Readings from a CSV text: the first column that reads as times, the first that reads as numbers.
 * A heading that says Fahrenheit is believed. Lines that are neither are counted, not dropped in silence.
 */
export function readCsv(text: string): { readonly readings: readonly CsvReading[]; readonly wrong: number } {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const heading = data[0]?.join(' ') ?? ''
  const fahrenheit = /°\s?f|fahrenheit|\bf\b|_f\b/i.test(heading)
  const readings: CsvReading[] = []
  let wrong = 0
  data.forEach((row, i) => {
    const time = row.map((cell) => timeOf(cell)).find((value) => value !== undefined)
    const number = row
      .map((cell) => (timeOf(cell) === undefined ? numberOf(cell) : undefined))
      .find((value) => value !== undefined)
    if (time === undefined || number === undefined) {
      if (i > 0) wrong++
      return
    }
    const value_c = fahrenheit ? fahrenheitToCelsius(number) : number
    if (value_c >= PROBE_C.low && value_c <= PROBE_C.high) readings.push({ at: time, value_c })
    else wrong++
  })
  const stride = Math.ceil(readings.length / MOST)
  return { readings: readings.filter((_, i) => i % Math.max(1, stride) === 0), wrong }
}

function timeOf(cell: string): string | undefined {
  const text = cell.trim()
  if (!/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d/.test(text)) return undefined
  const at = Date.parse(text.replace(' ', 'T'))
  return Number.isFinite(at) ? new Date(at).toISOString() : undefined
}

function numberOf(cell: string): number | undefined {
  const text = cell
    .trim()
    .replace(/\s?°?[cf]$/i, '')
    .replace(',', '.')
  if (text === '') return undefined
  const value = Number(text)
  return Number.isFinite(value) ? value : undefined
}
