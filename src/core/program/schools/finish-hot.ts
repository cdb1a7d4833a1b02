import { seconds } from '../../units'
import { isBird, on, rest, type School, stage, toPull, trade, usual } from './parts'

/** Steady to within reach, then a hot last stretch for the skin. */
export const finishHot: School = {
  id: 'finish-hot',
  name: 'Finish hot if pale',
  why: 'Steady to within reach, then a hot last stretch for the skin.',
  suits: (cut) => isBird(cut) || cut.doneness === 'pork',
  usual: usual(165, 230, 12),
  stages: (s) => [
    stage('cook', on(s.set_c), toPull),
    stage('finish', on(s.hot_c), { kind: 'time', duration_s: seconds(s.hot_min * 60) }),
    rest(s.rest_min),
  ],
  controls: { hot: true },
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
