import { type Cut, isPoultry } from '../../reference/cuts'
import { isTender, type School, trade, usual } from './parts'
import { steadyProgram } from './steady-program'

/** Small birds are done before they are brown at what large ones want. */
const SMALL_BIRD_KG = 0.5

/** What a cut is roasted at where nobody says, °C. */
const usualHeat = (cut: Cut): number => {
  if (isPoultry(cut)) return cut.mass_kg.usual < SMALL_BIRD_KG ? 200 : 165
  return isTender(cut) ? 150 : cut.mass_kg.usual < 0.8 ? 200 : 160
}

/** One setting to the pull: the fewest actions. */
export const steady: School = {
  id: 'steady',
  name: 'Steady',
  why: 'One setting to the pull: the fewest actions.',
  suits: () => true,
  usual: (cut) => usual(usualHeat(cut))(cut),
  stages: (s) => steadyProgram(s.set_c, s.rest_min).stages,
  controls: { hot: false },
  mayReplace: true,
  compared: 1,
  heat: 'oven',
  source: trade,
}
