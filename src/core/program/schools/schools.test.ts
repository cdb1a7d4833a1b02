import { describe, expect, it } from 'vitest'
import { CUTS } from '../../reference/cuts'
import { pullStageIndex, settingOf } from '../stage'
import { SCHOOLS } from '.'

const suited = SCHOOLS.flatMap((school) => CUTS.filter((cut) => school.suits(cut)).map((cut) => ({ school, cut })))
const stagesOf = ({ school, cut }: (typeof suited)[number], change: object = {}) =>
  school.stages({ ...school.usual(cut), ...change }, cut, cut.mass_kg.usual)

describe('each school on each cut it suits', () => {
  it('there are some of each, and steady suits all', () => {
    for (const school of SCHOOLS) expect(suited.some((pair) => pair.school === school)).toBe(true)
    expect(suited.filter(({ school }) => school.id === 'steady')).toHaveLength(CUTS.length)
  })

  it('has stages whose heats are in a range that ovens, fires and baths have', () => {
    for (const pair of suited)
      for (const stage of stagesOf(pair)) {
        const set_c = settingOf(stage.environment)
        if (set_c === undefined) continue
        expect(set_c).toBeGreaterThanOrEqual(3)
        expect(set_c).toBeLessThanOrEqual(320)
      }
  })

  it('waits for at most one pull, and everything timed lasts', () => {
    for (const pair of suited) {
      const stages = stagesOf(pair)
      expect(stages.filter(({ until }) => until.kind === 'pull').length).toBeLessThanOrEqual(1)
      for (const { until } of stages) if (until.kind === 'time') expect(until.duration_s).toBeGreaterThanOrEqual(0)
      expect(pullStageIndex({ school: pair.school.id, stages })).toBeGreaterThanOrEqual(0)
    }
  })

  it('rests after the pull unless it says it needs none', () => {
    for (const pair of suited) {
      const stages = stagesOf(pair)
      const pull = stages.findIndex(({ until }) => until.kind === 'pull')
      if (pull < 0) continue
      expect(stages.slice(pull + 1).some(({ role }) => role === 'rest')).toBe(true)
    }
  })

  it('says which settings it has: what it is asked for changes it, what it is not asked for does not', () => {
    for (const pair of suited) {
      const plain = JSON.stringify(stagesOf(pair))
      const hotter = JSON.stringify(stagesOf(pair, { hot_c: 211, hot_min: 17 }))
      expect(plain !== hotter, pair.school.id).toBe(pair.school.controls.hot)
    }
  })

  it('follows its settings: the main heat and the rest are where they are set', () => {
    for (const pair of suited.filter(({ school }) => school.id !== 'oven-off')) {
      const heats = stagesOf(pair, { set_c: 123 }).map(({ environment }) => settingOf(environment))
      expect(heats).toContain(123)
      const rests = stagesOf(pair, { rest_min: 37 }).filter(({ role }) => role === 'rest')
      if (rests.length > 0)
        expect(rests.some(({ until }) => until.kind === 'time' && until.duration_s === 37 * 60)).toBe(true)
    }
  })
})

describe('what makes each school itself', () => {
  const of = (id: string) => suited.find(({ school }) => school.id === id) as (typeof suited)[number]
  const kinds = (id: string) => stagesOf(of(id)).map(({ environment }) => environment.kind)

  it('the oven is switched off and the door stays shut where the school says so', () => {
    for (const id of ['oven-off', 'cold-start']) {
      const off = stagesOf(of(id)).find(({ environment }) => environment.kind === 'oven' && environment.heat === 'off')
      expect(off?.tending).toEqual([])
    }
  })

  it('eleven minutes a kilo before the oven goes off (common practice)', () => {
    const { school, cut } = of('oven-off')
    const [first] = school.stages(school.usual(cut), cut, 4)
    expect(first?.until).toEqual({ kind: 'time', duration_s: 44 * 60 })
  })

  it('a cold start goes into a cold oven', () => {
    expect(stagesOf(of('cold-start'))[0]?.preheated).toBe(false)
  })

  it('the reverse sear ends in the heat, the water bath in a bag, the hold in the cabinet, the pan comes first', () => {
    expect(stagesOf(of('reverse-sear')).at(-1)?.role).toBe('finish')
    expect(stagesOf(of('water-bath'))[0]?.cover).toBe('bag')
    expect(kinds('cook-and-hold').at(-1)).toBe('cabinet')
    expect(kinds('pan-first')[0]).toBe('pan')
    expect(kinds('two-zone-fire')[0]).toBe('fire')
  })

  it('a turned bird lies on its breast first', () => {
    const stages = stagesOf(of('bird-turned'))
    expect(stages[0]?.position).toBe('breast_down')
    expect(stages[1]?.position).toBeUndefined()
  })
})
