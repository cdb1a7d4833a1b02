import { celsius, minutes } from '../../units'
import { forMinutes, isBird, on, rest, type School, stage, tend, toPull, trade, usual } from './parts'

/** Browned on every side in a heavy pan, then through in the oven: crust on a lean cut. */
export const panFirst: School = {
  id: 'pan-first',
  name: 'Pan first',
  why: 'Browned on every side in a heavy pan, then through in the oven: crust on a lean cut.',
  suits: (cut) => !isBird(cut) && cut.mass_kg.usual <= 2.4,
  usual: usual(180, 230, 10),
  stages: (s) => [
    stage('cook', { kind: 'pan', set_c: celsius(s.hot_c) }, forMinutes(s.hot_min), {
      tending: [tend('turn', s.hot_min / 4, minutes(s.hot_min / 4))],
    }),
    stage('cook', on(s.set_c), toPull),
    rest(s.rest_min),
  ],
  controls: { hot: true },
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
