import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  celsiusToFahrenheit,
  celsiusToGasMark,
  fahrenheitRiseToKelvins,
  fahrenheitToCelsius,
  GAS_MARKS,
  gasMarkToCelsius,
  inchesToMetres,
  kelvinsToFahrenheitRise,
  kilograms,
  kilogramsToPounds,
  kilogramsToPoundsAndOunces,
  metresToInches,
  ouncesToKilograms,
  poundsToKilograms,
} from './index'

describe('units at the edges', () => {
  it('known pairs agree both ways', () => {
    expect(fahrenheitToCelsius(212)).toBeCloseTo(100, 12)
    expect(fahrenheitToCelsius(-40)).toBeCloseTo(-40, 12)
    expect(celsiusToFahrenheit(62.8)).toBeCloseTo(145.04, 2)
    expect(poundsToKilograms(1)).toBe(0.45359237)
    expect(ouncesToKilograms(16)).toBeCloseTo(0.45359237, 12)
    expect(inchesToMetres(1)).toBe(0.0254)
  })

  it('there and back is where it started', () => {
    fc.assert(
      fc.property(fc.double({ min: -500, max: 2000, noNaN: true }), (value) => {
        expect(celsiusToFahrenheit(fahrenheitToCelsius(value))).toBeCloseTo(value, 8)
        expect(kelvinsToFahrenheitRise(fahrenheitRiseToKelvins(value))).toBeCloseTo(value, 8)
        expect(kilogramsToPounds(poundsToKilograms(value))).toBeCloseTo(value, 8)
        expect(metresToInches(inchesToMetres(value))).toBeCloseTo(value, 8)
      }),
    )
  })

  it('a rise has no 32 in it', () => {
    expect(fahrenheitRiseToKelvins(9)).toBeCloseTo(5, 12)
    expect(kelvinsToFahrenheitRise(0)).toBe(0)
  })

  it('pounds and ounces never show sixteen ounces', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), (mass) => {
        const { pounds, ounces } = kilogramsToPoundsAndOunces(mass)
        expect(ounces).toBeLessThan(16)
        expect(poundsToKilograms(pounds) + ouncesToKilograms(ounces)).toBeCloseTo(mass, 2)
      }),
    )
  })

  it('gas marks go both ways and the ends are not stretched', () => {
    for (const { mark } of GAS_MARKS) expect(celsiusToGasMark(gasMarkToCelsius(mark) as number)).toBe(mark)
    expect(gasMarkToCelsius(3)).toBe(160)
    expect(gasMarkToCelsius(12)).toBeUndefined()
    expect(celsiusToGasMark(60)).toBeUndefined()
  })

  it('what is not a number is refused by name', () => {
    expect(() => kilograms(Number.NaN)).toThrow(/kilograms must be a finite number/)
  })
})
