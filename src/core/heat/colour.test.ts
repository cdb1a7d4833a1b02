import { describe, expect, it } from 'vitest'
import type { Stage, StageEnvironment } from '../program/stage'
import { findCut } from '../reference/cuts'
import { cook } from '../simulate/cook'
import { celsius, minutes } from '../units'
import { browningRate, type Colour, colourOf } from './colour'
import { DOMESTIC_OVEN } from './oven'
import { HEAT_PARAMETERS } from './parameters'
import { bodiesOf } from './piece'

const on = (set_c: number): StageEnvironment => ({ kind: 'oven', heat: 'on', set_c: celsius(set_c) })
const off: StageEnvironment = { kind: 'oven', heat: 'off' }
const at = (kind: 'fire' | 'pan' | 'bath', set_c: number): StageEnvironment => ({ kind, set_c: celsius(set_c) })
const stage = (environment: StageEnvironment, long_min: number, more: Partial<Stage> = {}): Stage => ({
  role: 'cook',
  environment,
  cover: 'bare',
  preheated: true,
  tending: [],
  until: { kind: 'time', duration_s: minutes(long_min) },
  ...more,
})
const browned = (cutId: string, mass_kg: number, stages: readonly Stage[]): number => {
  const cut = findCut(cutId)
  if (!cut) throw new Error(cutId)
  const bodies = bodiesOf({ cut, mass_kg }, HEAT_PARAMETERS)
  const { kernels } = cook({
    bodies,
    program: { school: 'own', stages },
    oven: DOMESTIC_OVEN,
    start_c: 5,
    pull_c: bodies.map(() => 99),
    parameters: HEAT_PARAMETERS,
  })
  return kernels[0]?.browning_s ?? 0
}
const foil = { cover: 'foil' } as const
const bag = { cover: 'bag' } as const
const rib = (...stages: Stage[]) => browned('beef-rib-bone-in', 2.7, stages)
const chicken = (...stages: Stage[]) => browned('chicken', 1.8, stages)
const loin = (...stages: Stage[]) => browned('pork-loin', 1.8, stages)
const shoulder = (...stages: Stage[]) => browned('lamb-shoulder', 2.2, stages)
const bath = stage(at('bath', 56), 240, bag)
const counter = stage({ kind: 'counter' }, 40, { role: 'rest', cover: 'tent' })

/** What cooks call the crust of usual roasts: common practice, no single source. The words' limits were laid with these in sight. */
const FACTS: readonly (readonly [string, Colour, () => number])[] = [
  ['a rib three hours at 120 °C waits for its sear', 'pale', () => rib(stage(on(120), 180))],
  ['a rib two hours at 163 °C', 'brown', () => rib(stage(on(163), 120))],
  ['a rib a quarter of an hour at 260 °C', 'brown', () => rib(stage(on(260), 15))],
  ['a rib started hot, then 163 °C', 'brown', () => rib(stage(on(240), 15), stage(on(163), 90))],
  ['a reverse-seared rib out of its hot finish', 'brown', () => rib(stage(on(110), 180), counter, stage(on(250), 9))],
  ['a rib with the oven off after half an hour of full heat', 'deep', () => rib(stage(on(260), 30), stage(off, 120))],
  ['a chicken an hour and a half at 190 °C', 'brown', () => chicken(stage(on(190), 90))],
  ['a chicken finished hot', 'brown', () => chicken(stage(on(165), 80), stage(on(230), 12))],
  ['a chicken forgotten for two and a half hours at 230 °C', 'burnt', () => chicken(stage(on(230), 150))],
  ['a turkey at 163 °C', 'brown', () => browned('turkey', 6, [stage(on(163), 200)])],
  ['a duck at 170 °C', 'brown', () => browned('duck', 2.2, [stage(on(170), 100)])],
  ['a pork loin at 160 °C, a little', 'golden', () => loin(stage(on(160), 75))],
  ['a pork loin an hour at 200 °C', 'brown', () => loin(stage(on(200), 60))],
  ['a shoulder four hours under foil', 'pale', () => shoulder(stage(on(160), 240, foil))],
  [
    'the same, uncovered at 200 °C for its colour',
    'brown',
    () => shoulder(stage(on(160), 240, foil), stage(on(200), 20)),
  ],
  ['a shoulder in a bag', 'pale', () => shoulder(stage(on(160), 240, bag))],
  ['a rib out of the bath', 'pale', () => browned('beef-rib-boneless', 2, [bath])],
  ['ten hot minutes after the bath', 'golden', () => browned('beef-rib-boneless', 2, [bath, stage(on(240), 10)])],
  [
    'a fillet browned in the pan',
    'deep',
    () => browned('beef-tenderloin', 1.4, [stage(at('pan', 230), 10), stage(on(180), 20)]),
  ],
  [
    'a tri-tip over the coals',
    'deep',
    () => browned('beef-tri-tip', 1, [stage(at('fire', 175), 34), stage(at('fire', 300), 4)]),
  ],
]

describe('the colour of a crust', () => {
  it.each(FACTS)('%s is %s', (_, colour, found) => {
    expect(colourOf(found())).toBe(colour)
  })

  it('is slow at 100 °C, quick at 200 °C, and one at 150 °C', () => {
    expect(browningRate(150)).toBe(1)
    expect(browningRate(100)).toBeLessThan(0.03)
    expect(browningRate(200)).toBeGreaterThan(15)
  })

  it('sugar takes it sooner than fat, fat sooner than nothing', () => {
    const with_ = (surface: Stage['surface']) => loin(stage(on(170), 60, { surface }))
    expect(with_('fat')).toBeGreaterThan(with_('plain') * 1.1)
    expect(with_('glaze')).toBeGreaterThan(with_('fat') * 2)
  })

  it('never comes back, and resting adds none', () => {
    const hot = rib(stage(on(200), 60))
    expect(rib(stage(on(200), 60), counter)).toBeCloseTo(hot, 0)
    expect(rib(stage(on(200), 70))).toBeGreaterThan(hot)
  })
})
