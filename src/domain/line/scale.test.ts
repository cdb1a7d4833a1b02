import { describe, expect, it } from 'vitest'
import { readLine } from './reading'

const ovenOf = (line: string, reads?: 'c' | 'f') => {
  const read = readLine(line, { now_s: 0, timeZone: 'UTC', reads })
  const roast = read.ok ? read.value.roasts[0] : undefined
  return roast?.set_c ?? roast?.stages[0]?.set_c
}

describe('the scale of a bare number', () => {
  it('is the one that the kitchen reads, where nothing says otherwise', () => {
    expect(ovenOf('pork shoulder 3 kg at 275')).toBe(275)
    expect(ovenOf('pork shoulder 3 kg at 275', 'f')).toBe(135)
    expect(ovenOf('pork shoulder 3 kg at 160C', 'f')).toBe(160)
    expect(ovenOf('rib 3 kg at 120 until 50', 'f')).toBe(120)
  })

  it('is Fahrenheit for every oven that nobody leaves so hot for hours', () => {
    for (let set = 225; set <= 300; set++)
      for (const hours of [2, 3, 5, 9])
        expect(ovenOf(`shoulder of pork 3 kg, ${set} for ${hours} hours`), `${set} ${hours} h`).toBeCloseTo(
          ((set - 32) * 5) / 9,
          0,
        )
  })

  it('is Celsius for a hot beginning, also of pounds', () => {
    for (const set of [225, 250, 275]) expect(ovenOf(`4 lb rib ${set} for 15 minutes then 160`)).toBe(set)
  })
})
