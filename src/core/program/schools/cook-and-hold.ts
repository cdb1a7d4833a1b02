import { celsius } from '../../units'
import { forMinutes, isRed, on, rest, type School, stage, toPull, trade } from './parts'

/** A low roast, then the warm cabinet: one roast serves a whole evening. */
export const cookAndHold: School = {
  id: 'cook-and-hold',
  name: 'Cook and hold',
  why: 'A low roast, then the warm cabinet: one roast serves a whole evening.',
  suits: (cut) => isRed(cut) && cut.mass_kg.usual >= 2,
  usual: (cut) => ({ set_c: 110, hot_c: 58, hot_min: 120, rest_min: Math.min(20, cut.rest_min.least) }),
  stages: (s) => [
    stage('cook', on(s.set_c), toPull),
    rest(s.rest_min),
    stage('rest', { kind: 'cabinet', set_c: celsius(s.hot_c) }, forMinutes(s.hot_min), { cover: 'tent' }),
  ],
  controls: { hot: true },
  mayReplace: true,
  heat: 'oven',
  source: trade,
}
