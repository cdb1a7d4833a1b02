import { existsSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'
import { fahrenheitToCelsius } from '../units'
import { HOLD_TABLE, holdSeconds, integrateLethality } from './lethality'

const constant = (temperature_c: number, seconds: number) => {
  const length = 201
  const time = Float64Array.from({ length }, (_, i) => (i * seconds) / (length - 1))
  return integrateLethality(time, new Float64Array(length).fill(temperature_c), length)
}

describe('lethality by the hold table (US model Food Code 3-401.11(B), from memory)', () => {
  it('holding each row’s temperature for its time meets the table exactly there', () => {
    for (const { temp_f, seconds } of HOLD_TABLE.filter((row) => row.seconds > 0)) {
      expect(constant(fahrenheitToCelsius(temp_f), seconds).share).toBeCloseTo(1, 6)
      expect(constant(fahrenheitToCelsius(temp_f), seconds * 0.9).met_s).toBeUndefined()
    }
  })

  it('the table is the one in the project’s reference folder, where that is at hand', () => {
    const file = resolve(import.meta.dirname, '../../../../shared/reference/lethality.csv')
    const rows = existsSync(file)
      ? readFileSync(file, 'utf8')
          .split('\n')
          .filter((line) => /^\d/.test(line))
          .map((line) => line.split(',').map(Number))
      : HOLD_TABLE.map(({ temp_f, seconds }) => [temp_f, seconds])
    expect(rows).toEqual(HOLD_TABLE.map(({ temp_f, seconds }) => [temp_f, seconds]))
  })

  it('nothing below 54.4 °C counts, and hotter always needs less', () => {
    expect(holdSeconds(54)).toBe(Number.POSITIVE_INFINITY)
    for (let t = 54.5; t < 75; t += 0.25) expect(holdSeconds(t + 0.25)).toBeLessThanOrEqual(holdSeconds(t))
    expect(constant(53, 1e6).share).toBe(0)
  })

  it('the danger zone counts from 5 to 57 °C', () => {
    const time = Float64Array.from({ length: 101 }, (_, i) => i * 60)
    const ramp = Float64Array.from({ length: 101 }, (_, i) => i)
    expect(integrateLethality(time, ramp, 101).dangerZone_s).toBe(52 * 60)
  })
})
