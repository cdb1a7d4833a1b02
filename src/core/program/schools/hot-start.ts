import { isPoultry } from '../../reference/cuts'
import { forMinutes, isBird, on, rest, type School, stage, toPull, trade, usual } from './parts'

/** Colour first, while the surface is dry and the cook is watching. */
export const hotStart: School = {
  id: 'hot-start',
  name: 'Hot start, then gentle',
  why: 'Colour first, while the surface is dry and the cook is watching.',
  suits: () => true,
  usual: (cut) => usual(isPoultry(cut) ? 165 : 150, 240, 15)(cut),
  stages: (s, cut) => [
    stage('cook', on(s.hot_c), forMinutes(s.hot_min)),
    stage('cook', on(s.set_c), toPull, { cover: isBird(cut) ? 'tent' : 'bare' }),
    rest(s.rest_min),
  ],
  controls: { hot: true },
  mayReplace: true,
  compared: 3,
  heat: 'oven',
  source: trade,
}
