import { describe, expect, it } from 'vitest'
import { CUTS, findCut } from '@/core/reference/cuts'
import { readLine } from '../line/reading'
import { planFromLine } from '../plan/from-line'
import { planDocument } from '../roast/roast-document'
import type { HouseItem } from './house-item'
import { WAYS, type WayId, waysOf, withWay } from './ways'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const house = (ways: Readonly<Partial<Record<WayId, string>>>): HouseItem[] =>
  Object.entries(ways).map(([name, option]) => ({
    id: name,
    document: { kind: 'way', name: name as WayId, option },
  }))
const plan = (line: string, ways: Readonly<Partial<Record<WayId, string>>> = {}) => {
  const read = readLine(line, { now_s: NOW, timeZone: 'Europe/London', house: house(ways) })
  if (!read.ok) throw new Error(line)
  return planFromLine(read.value, NOW)
}

describe('where kitchens differ', () => {
  it('every way can be chosen and is then what a document has, on every cut it is about', () => {
    for (const way of WAYS)
      for (const cut of CUTS.filter(way.applies)) {
        const base = planDocument.parse({
          roast: { cut: cut.id, mass_kg: cut.mass_kg.usual },
          promise: '2026-12-25T18:00:00Z',
        })
        for (const { id } of way.options) {
          expect(way.of(withWay(base, way.id, id)), `${cut.id} ${way.id} ${id}`).toBe(id)
        }
      }
  })

  it('a kitchen’s way is taken where the line does not say, and only there', () => {
    const ways = { temper: '0', truss: 'open', baste: 'often', salt: 'at_once', thigh: 'tender' } as const
    const kept = plan('chicken 1.8 kg', ways)
    expect(kept.roast.temper_min).toBe(0)
    expect(kept.roast.legs).toBe('open')
    expect(kept.preparation).toBe('none')
    expect(kept.target).toEqual({ serve_c: 80 })
    expect('stages' in kept.program && kept.program.stages[0]?.tending[0]?.act).toBe('baste')
    const said = plan('chicken 1.8 kg, bench 60 min, legs tied, salted overnight, basted once, well done', ways)
    expect(said.roast.temper_min).toBe(60)
    expect(said.roast.legs).toBe('tied')
    expect(said.preparation).toBe('dry_salt')
    expect(said.target).toEqual({ doneness: 'well-done' })
    expect('stages' in said.program && said.program.stages[0]?.tending).toHaveLength(1)
  })

  it('what is not about a cut leaves it alone, and no word of a way is a name in a line', () => {
    const rib = plan('rib of beef 3 kg, salted', { truss: 'open', pork: 'old', thigh: 'tender', bone: 'off' })
    expect(rib.target).toBeUndefined()
    expect(rib.roast.legs).toBe('tied')
    expect(rib.notes).toBe('bone off, tied back on for carving')
    expect(rib.preparation).toBe('dry_salt')
  })

  it('one note takes the place of the other of its way, and other notes stay', () => {
    const first = withWay(plan('rib of beef 3 kg, rosemary'), 'rack', 'trivet')
    const second = withWay(first, 'rack', 'bones')
    expect(first.notes).toBe('rosemary; on a trivet of vegetables')
    expect(second.notes).toBe('rosemary; on a bed of bones')
    expect(withWay(second, 'rack', 'rack').notes).toBe('rosemary')
  })

  it('what a kitchen keeps is read back by its way', () => {
    expect(waysOf(house({ pork: 'old', rack: 'bones' }))).toEqual({ pork: 'old', rack: 'bones' })
    expect(findCut('turkey') && withWay(plan('turkey 5 kg'), 'truss', 'no such way').roast.legs).toBe('tied')
  })
})
