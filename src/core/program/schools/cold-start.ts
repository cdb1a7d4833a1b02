import { forMinutes, isWholeRed, off, on, rest, type School, stage, trade } from './parts'

/** In cold, an hour of heat, hours of nothing, a warm-up before serving: the cook can be away. */
export const coldStart: School = {
  id: 'cold-start',
  name: 'Cold start, off, reheat',
  why: 'In cold, an hour of heat, hours of nothing, a warm-up before serving: the cook can be away.',
  suits: (cut) => isWholeRed(cut) && cut.mass_kg.usual >= 2.5,
  usual: (cut) => ({ set_c: 190, hot_c: 150, hot_min: 47, rest_min: Math.min(30, cut.rest_min.most) }),
  stages: (s) => [
    stage('cook', on(s.set_c), forMinutes(60), { preheated: false }),
    stage('cook', off, forMinutes(150)),
    stage('cook', on(s.hot_c), forMinutes(s.hot_min)),
    rest(s.rest_min),
  ],
  controls: { hot: true },
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
