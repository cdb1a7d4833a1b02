import { isTender, on, rest, type School, stage, toPull, trade, usual } from './parts'

/** Hours past 85 °C turn the tough parts to silk; the bone slides out. */
export const lowAndLong: School = {
  id: 'low-and-long',
  name: 'Low and long',
  why: 'Hours past 85 °C turn the tough parts to silk; the bone slides out.',
  suits: isTender,
  usual: usual(140),
  stages: (s) => [stage('cook', on(s.set_c), toPull, { cover: 'tent' }), rest(s.rest_min)],
  controls: { hot: false },
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
