import {
  forMinutes,
  on,
  pullsApart,
  rest,
  type School,
  stage,
  tend,
  toTender,
  trade,
  untilTender,
  usual,
} from './parts'

/** As hot as domestic ovens go, °C, and how long it takes to shut the door and turn the dial, minutes. */
const FULL_C = 240
const KICK_MIN = 2

/** Into full heat, dialled down at once under foil; tender, hands off, coloured at the end. */
export const kickStart: School = {
  id: 'kick-start',
  name: 'Kick start under foil',
  why: 'Into full heat, dialled down at once under foil; tender, hands off, coloured at the end.',
  suits: pullsApart,
  usual: untilTender(usual(160, 200, 20)),
  // Into the full heat, and down at once: what the walls still hold is the kick.
  stages: (s) => [
    stage('cook', on(FULL_C), forMinutes(KICK_MIN), { cover: 'foil' }),
    stage('cook', on(s.set_c), toTender(s.tender), { cover: 'foil' }),
    stage('finish', on(s.hot_c), forMinutes(s.hot_min), { tending: [tend('uncover', 0)] }),
    rest(s.rest_min, 'foil'),
  ],
  controls: { hot: true },
  untilTender: true,
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
