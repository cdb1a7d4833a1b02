import { celsius, minutes } from '../../units'
import { forMinutes, isTender, rest, type School, stage, tend, toPull, trade } from './parts'

/** Beside the coals under the lid to the pull, then over them for the crust: smoke. */
export const twoZoneFire: School = {
  id: 'two-zone-fire',
  name: 'Two-zone fire',
  why: 'Beside the coals under the lid to the pull, then over them for the crust: smoke.',
  suits: (cut) => !isTender(cut),
  usual: (cut) => ({ set_c: 175, hot_c: 300, hot_min: 4, rest_min: cut.rest_min.least }),
  stages: (s) => [
    stage('cook', { kind: 'fire', set_c: celsius(s.set_c) }, toPull, {
      tending: [tend('coals', 60, minutes(60))],
    }),
    rest(s.rest_min),
    stage('finish', { kind: 'fire', set_c: celsius(s.hot_c) }, forMinutes(s.hot_min), {
      tending: [tend('turn', s.hot_min / 2)],
    }),
  ],
  controls: { hot: true },
  mayReplace: true,
  heat: 'fire',
  source: trade,
}
