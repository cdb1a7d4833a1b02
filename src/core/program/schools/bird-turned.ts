import { forMinutes, isBird, on, rest, type School, stage, tend, toPull, trade, usual } from './parts'

/** Breast down for the first part, so the thighs catch up. */
export const birdTurned: School = {
  id: 'bird-turned',
  name: 'Bird turned',
  why: 'Breast down for the first part, so the thighs catch up.',
  suits: isBird,
  usual: (cut) => ({ ...usual(170)(cut), hot_c: 170, hot_min: Math.round(20 + 9 * cut.mass_kg.usual) }),
  stages: (s) => [
    stage('cook', on(s.hot_c), forMinutes(s.hot_min), { position: 'breast_down' }),
    stage('cook', on(s.set_c), toPull, { tending: [tend('turn', 0)] }),
    rest(s.rest_min),
  ],
  controls: { hot: true },
  oneHeat: true,
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
