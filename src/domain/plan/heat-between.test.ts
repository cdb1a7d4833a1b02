import { describe, expect, it } from 'vitest'
import { findCut } from '@/core/reference/cuts'
import { readLine } from '../line/reading'
import type { PlanDocument } from '../roast/roast-document'
import { planFromLine } from './from-line'
import { heatBetween, leavesHeatOpen } from './heat-between'
import { makePlan } from './make-plan'

const NOW = Date.UTC(2026, 10, 24, 5) / 1000
const MEMBERS = 4
const said = (line: string) => {
  const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!read.ok) throw new Error(line)
  return { between_s: read.value.between_s, asks: read.value.asks, plan: planFromLine(read.value, NOW) }
}
const inAt = (plan: PlanDocument, set_c: number): number | undefined => {
  if ('stages' in plan.program) return undefined
  const made = makePlan({ ...plan, program: { ...plan.program, set_c } }, NOW, MEMBERS)
  return made.ok ? made.value.plan.putIn : undefined
}

describe('a heat between two hours', () => {
  it.each([
    ['turkey 6.5 kg, in at 10:30, eat at 14:00', 165, 205],
    ['pork shoulder 3 kg pulled, in at 8am, serve 6pm', 110, 140],
    ['pork shoulder 4 kg pulled overnight, in at 10pm, eat tomorrow 1pm', 100, 120],
    ['beef rib 3 kg medium rare in at 14:30, eat at 7pm', 95, 110],
    ['chicken 1.7 kg in the oven at 17:00, ready by 18:30', 175, 220],
  ])(
    '%s',
    async (line, least, most) => {
      const { between_s, plan, asks } = said(line)
      const cut = findCut(plan.roast.cut)
      if (between_s === undefined || !cut) throw new Error('not read')
      expect(leavesHeatOpen(plan.program)).toBe(true)
      expect(asks.map(({ code }) => code)).not.toContain('goes_in')
      const set_c = (await heatBetween(cut, async (at_c) => inAt(plan, at_c), between_s)) as number
      expect(set_c % 5).toBe(0)
      expect(set_c).toBeGreaterThanOrEqual(least)
      expect(set_c).toBeLessThanOrEqual(most)
      // A dial goes by five degrees: of ten hours that is a quarter of one.
      const hours = (Date.parse(plan.promise) / 1000 - between_s) / 3600
      expect(Math.abs((inAt(plan, set_c) as number) - between_s)).toBeLessThan(60 * (6 + 2 * hours))
    },
    30_000,
  )

  it.each(['turkey 6 kg in at 4am, eat at 14:00', 'beef rib 4 kg in at 18:00, eat at 19:00'])(
    'none makes it: %s',
    async (line) => {
      const { between_s, plan } = said(line)
      const cut = findCut(plan.roast.cut)
      if (!cut) throw new Error('no cut')
      expect(await heatBetween(cut, async (at_c) => inAt(plan, at_c), between_s ?? NOW)).toBeUndefined()
    },
    30_000,
  )

  it('is not sought where no plan is made, and asks no more than a few', async () => {
    const cut = findCut('beef-rib-bone-in')
    if (!cut) throw new Error('no cut')
    expect(await heatBetween(cut, async () => undefined, NOW)).toBeUndefined()
    let asked = 0
    // A stair has no setting for most hours.
    const stair = async (set_c: number) => {
      asked++
      return set_c < 157 ? NOW : NOW + 20_000
    }
    expect(await heatBetween(cut, stair, NOW + 9000)).toBeGreaterThan(90)
    expect(asked).toBeLessThanOrEqual(8 + 3)
  })

  it.each([
    'rib 3 kg, 160C, in at 3pm, eat at 7pm',
    'rib 3 kg reverse sear, in at 3pm, eat at 7pm',
    'rib 3 kg with roast potatoes, in at 3pm, eat at 7pm',
  ])('by a heat that is said it goes in when it must, and that is told: %s', (line) => {
    const { between_s, asks } = said(line)
    expect(between_s).toBeUndefined()
    const ask = asks.find(({ code }) => code === 'goes_in')
    expect(ask?.options.map(({ says }) => says)).toEqual(['leave it out'])
    expect(said(ask?.options[0]?.line ?? '').asks.map(({ code }) => code)).not.toContain('goes_in')
  })
})
