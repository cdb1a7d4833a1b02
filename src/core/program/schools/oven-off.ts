import { forMinutes, isWholeRed, off, on, type School, stage, trade, usual } from './parts'

/** Eleven minutes a kilo at full heat, then off with the door shut for two hours: no thermometer, no tending. */
export const ovenOff: School = {
  id: 'oven-off',
  name: 'Oven off',
  why: 'Eleven minutes a kilo at full heat, then off with the door shut for two hours: no thermometer, no tending.',
  suits: (cut) => isWholeRed(cut) && cut.mass_kg.usual >= 1.2,
  usual: usual(260),
  stages: (s, _cut, mass_kg) => [
    stage('cook', on(s.set_c), forMinutes(11 * mass_kg)),
    stage('cook', off, forMinutes(120)),
  ],
  controls: { hot: false },
  mayReplace: false,
  heat: 'oven',
  source: trade,
}
