import { describe, expect, it } from 'vitest'
import { COMPOSITIONS } from '../reference/composition'
import { enthalpyAt, enthalpyTableOf, temperatureAt } from './enthalpy'
import { conductivityOf, densityOf, heatCapacityOf, iceFraction } from './properties'
import { boilingPoint, evaporationTableOf, pressureAtAltitude, saturationPressure, vaporisationHeat } from './vapour'

const lean = { water: 0.71, protein: 0.22, fat: 0.06, ash: 0.01 }
const water = { water: 1, protein: 0, fat: 0, ash: 0 }

describe('properties of meat', () => {
  it('water has the properties of water (steam tables, from memory)', () => {
    expect(heatCapacityOf(water, 20)).toBeGreaterThan(4150)
    expect(heatCapacityOf(water, 20)).toBeLessThan(4200)
    expect(conductivityOf(water, 20)).toBeCloseTo(0.6, 1)
    expect(densityOf(water, 20)).toBeCloseTo(996, -1)
  })

  it('lean beef lies in the range handbooks give (k 0.45–0.52 W/mK, c 3.3–3.6 kJ/kgK; brief, common values)', () => {
    expect(conductivityOf(lean, 20)).toBeGreaterThan(0.45)
    expect(conductivityOf(lean, 20)).toBeLessThan(0.52)
    expect(heatCapacityOf(lean, 20)).toBeGreaterThan(3300)
    expect(heatCapacityOf(lean, 20)).toBeLessThan(3600)
  })

  it('frozen meat conducts about three times better and most of its water is ice at -18 °C', () => {
    expect(conductivityOf(lean, -18) / conductivityOf(lean, 5)).toBeGreaterThan(2.4)
    expect(iceFraction(lean, -18)).toBeGreaterThan(0.5)
    expect(iceFraction(lean, 0)).toBe(0)
  })

  it('enthalpy and temperature are each other’s inverse, through the freezing plateau too', () => {
    for (const composition of COMPOSITIONS) {
      const table = enthalpyTableOf(composition)
      for (let t = -35; t <= 99; t += 2.7) expect(temperatureAt(table, enthalpyAt(table, t))).toBeCloseTo(t, 8)
    }
  })

  it('thawing from -18 to 5 °C takes about the heat that handbooks give for lean beef (about 250 kJ/kg, from memory)', () => {
    const table = enthalpyTableOf(lean)
    const heat = enthalpyAt(table, 5) - enthalpyAt(table, -18)
    expect(heat).toBeGreaterThan(220_000)
    expect(heat).toBeLessThan(290_000)
  })
})

describe('water vapour', () => {
  it('saturation pressures are those of the steam tables (Wagner and Pruß; values from memory)', () => {
    expect(saturationPressure(20)).toBeCloseTo(2339, -1)
    expect(saturationPressure(60) / 19_946).toBeCloseTo(1, 2)
    expect(saturationPressure(100) / 101_418).toBeCloseTo(1, 2)
  })

  it('water boils lower up the mountain', () => {
    expect(boilingPoint(pressureAtAltitude(0))).toBeCloseTo(100, 0)
    expect(boilingPoint(pressureAtAltitude(1500))).toBeCloseTo(95, 0)
  })

  it('latent heat falls as water warms (2 501 kJ/kg at 0 °C, 2 257 at 100 °C, steam tables from memory)', () => {
    expect(vaporisationHeat(0)).toBe(2_501_000)
    expect(vaporisationHeat(100) / 2_257_000).toBeCloseTo(1, 2)
  })

  it('evaporation climbs without end towards the boiling point and turns to condensation below the dew point', () => {
    const { heat } = evaporationTableOf(3000, 101_325)
    const at = (t: number) => heat[(t + 30) * 4] as number
    expect(at(10)).toBeLessThan(0)
    expect(at(99)).toBeGreaterThan(2.5 * at(90))
    for (let i = 1; i < heat.length; i++) expect(heat[i]).toBeGreaterThan(heat[i - 1] as number)
  })
})
