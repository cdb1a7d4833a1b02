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

  it('is said beside what was understood: nobody is left to guess by which it is planned', () => {
    const shown = (line: string, reads?: 'c' | 'f') => {
      const read = readLine(line, { now_s: 0, timeZone: 'UTC', reads })
      return read.ok
        ? read.value.meanings.flatMap(({ fact }) =>
            fact.kind === 'heat' || fact.kind === 'serve' || fact.kind === 'pull'
              ? [[fact.kind, fact.heat.value, fact.heat.unit]]
              : fact.kind === 'stage'
                ? [fact.stage.heat, fact.stage.core].flatMap((heat) => (heat ? [[heat.value, heat.unit]] : []))
                : [],
          )
        : []
    }
    expect(shown('pork shoulder 6 lb 250 for 9 hours')).toEqual([[250, 'f']])
    expect(shown('rib 3 kg at 160, pull at 50')).toEqual([
      ['heat', 160, 'c'],
      ['pull', 50, 'c'],
    ])
    expect(shown('rib 6 lb 225 until 125')).toEqual([
      [225, 'f'],
      [125, 'f'],
    ])
    expect(shown('prime rib 11 pounds, 200F')).toEqual([['heat', 200, 'f']])
    expect(shown('pork shoulder 3kg, 203F')).toEqual([['serve', 203, 'f']])
    expect(shown('pork shoulder 3 kg at 275', 'f')).toEqual([['heat', 275, 'f']])
  })
})
