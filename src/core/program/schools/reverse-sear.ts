import { isPoultry } from '../../reference/cuts'
import { forMinutes, isTender, on, rest, type School, stage, toPull, trade } from './parts'

/** Gentle to the pull, a long easy rest, the hottest oven at the end: even from edge to edge, crisp on arrival. */
export const reverseSear: School = {
  id: 'reverse-sear',
  name: 'Reverse sear',
  why: 'Gentle to the pull, a long easy rest, the hottest oven at the end: even from edge to edge, crisp on arrival.',
  // Poultry is not roasted below 163 °C (US federal consumer advice, from memory), its breast alone no more than the bird.
  suits: (cut) => !isTender(cut) && !isPoultry(cut),
  usual: (cut) => ({
    set_c: 110,
    hot_c: 250,
    hot_min: cut.mass_kg.usual > 2.4 ? 9 : 6,
    rest_min: Math.min(45, Math.max(30, cut.rest_min.least)),
  }),
  stages: (s) => [
    stage('cook', on(s.set_c), toPull),
    rest(s.rest_min),
    stage('finish', on(s.hot_c), forMinutes(s.hot_min)),
  ],
  controls: { hot: true },
  mayReplace: true,
  compared: 2,
  heat: 'oven',
  source: trade,
}
