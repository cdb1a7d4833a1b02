import { type Celsius, celsius } from './quantity'

/**
 * British gas marks and the oven setting each stands for.
 *
 * @see Common practice; the Celsius column is the customary rounding, from memory. Gas 3 = 160 °C
 * and gas 6 = 200 °C agree with the project brief.
 */
export const GAS_MARKS: readonly { mark: number; set_c: number }[] = [
  { mark: 0.25, set_c: 110 },
  { mark: 0.5, set_c: 120 },
  { mark: 1, set_c: 140 },
  { mark: 2, set_c: 150 },
  { mark: 3, set_c: 160 },
  { mark: 4, set_c: 180 },
  { mark: 5, set_c: 190 },
  { mark: 6, set_c: 200 },
  { mark: 7, set_c: 220 },
  { mark: 8, set_c: 230 },
  { mark: 9, set_c: 240 },
]

/** Gas mark → °C; undefined when there is no such mark. @example gasMarkToCelsius(3) // 160 */
export function gasMarkToCelsius(mark: number): Celsius | undefined {
  const row = GAS_MARKS.find((entry) => entry.mark === mark)
  return row && celsius(row.set_c)
}

/** °C → the nearest gas mark; undefined more than 12 °C away from every mark. @example celsiusToGasMark(203) // 6 */
export function celsiusToGasMark(setting: number): number | undefined {
  const nearest = GAS_MARKS.reduce((best, entry) =>
    Math.abs(entry.set_c - setting) < Math.abs(best.set_c - setting) ? entry : best,
  )
  return Math.abs(nearest.set_c - setting) <= 12 ? nearest.mark : undefined
}
