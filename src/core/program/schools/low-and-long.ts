import { on, pullsApart, rest, type School, stage, toTender, trade, untilTender, usual } from './parts'

/** Hours of gentle heat turn the tough parts to silk; the bone slides out. Time counts as much as the reading. */
export const lowAndLong: School = {
  id: 'low-and-long',
  name: 'Low and long',
  why: 'Hours of gentle heat turn the tough parts to silk; the bone slides out. Time counts as much as the reading.',
  suits: pullsApart,
  usual: untilTender(usual(140)),
  stages: (s) => [stage('cook', on(s.set_c), toTender(s.tender), { cover: 'tent' }), rest(s.rest_min, 'foil')],
  controls: { hot: false },
  untilTender: true,
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
