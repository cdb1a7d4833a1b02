import { DANGER_ZONE_C } from '@/core/reference/standards'
import type { Mishap } from '@/domain/cook/mishap'
import { temperature, type Units } from './units'

/** What went wrong, and the first thing a good cook does (common practice). */
export function mishapWords(mishap: Mishap, units: Units): { readonly what: string; readonly first: string } {
  switch (mishap) {
    case 'oven_dead':
      return {
        what: 'This oven is dead',
        first: 'Keep its door shut: it falls slowly. Then another oven, or the ways out below.',
      }
    case 'power_gone':
      return {
        what: 'The power is gone',
        first: `Doors shut, no peeking. Gas, fire and pan still cook. What stays between ${temperature(DANGER_ZONE_C.low, units)} and ${temperature(DANGER_ZONE_C.high, units)} for four hours is thrown away.`,
      }
    case 'heat_back':
      return { what: 'The heat is back', first: 'Read the core by hand once: then the arrival is sure again.' }
    case 'wrong_setting':
      return { what: 'It was set wrong', first: 'Set it right, do not make up for it in the other direction.' }
    case 'in_at':
      return { what: 'It went in at another time', first: 'All times follow from the true one.' }
    case 'out_since':
      return { what: 'It was out for a while', first: 'Back in it goes; a roast forgives minutes on the board.' }
    case 'not_turned':
      return { what: 'Turned only now', first: 'Both hands, dry cloths: hot fat runs out of the cavity.' }
    case 'foil_left_on':
      return {
        what: 'The foil was left on',
        first: 'Off with it now: it browns from here on. Steam burns: open it away from you.',
      }
    case 'browning_fast':
      return { what: 'It browns too fast', first: 'Foil over the dark part, loosely.' }
    case 'probe_dead':
      return { what: 'The probe is dead', first: 'Read by hand, each quarter of an hour, at the thickest part.' }
    default:
      return mishap satisfies never
  }
}
