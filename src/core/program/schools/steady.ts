import { isBird, isTender, type School, trade, usual } from './parts'
import { steadyProgram } from './steady-program'

/** One setting to the pull: the fewest actions. */
export const steady: School = {
  id: 'steady',
  name: 'Steady',
  why: 'One setting to the pull: the fewest actions.',
  suits: () => true,
  usual: (cut) => usual(isBird(cut) ? 165 : isTender(cut) ? 150 : cut.mass_kg.usual < 0.8 ? 200 : 160)(cut),
  stages: (s) => steadyProgram(s.set_c, s.rest_min).stages,
  controls: { hot: false },
  mayReplace: true,
  compared: 1,
  heat: 'oven',
  source: trade,
}
