import { celsius } from '../../units'
import { forMinutes, isRed, on, rest, type School, stage, toPull, trade, usualServe } from './parts'

/** Held at the wanted temperature for hours, then dried and browned: the same all through. */
export const waterBath: School = {
  id: 'water-bath',
  name: 'Water bath, then hot',
  why: 'Held at the wanted temperature for hours, then dried and browned: the same all through.',
  suits: (cut) => isRed(cut) && cut.bone !== 'bird',
  // A degree over what is wanted: the core comes to a little under the bath.
  usual: (cut, serve_c = usualServe(cut)) => ({
    set_c: serve_c + 1,
    hot_c: 240,
    hot_min: 10,
    rest_min: Math.min(10, cut.rest_min.least),
  }),
  stages: (s) => [
    stage('cook', { kind: 'bath', set_c: celsius(s.set_c) }, toPull, { cover: 'bag' }),
    rest(s.rest_min, 'bare'),
    stage('finish', on(s.hot_c), forMinutes(s.hot_min)),
  ],
  controls: { hot: true },
  mayReplace: true,
  heat: 'bath',
  source: trade,
}
