import { DANGER_ZONE_C, STANDARDS } from '@/core/reference/standards'
import { type BoardItem, type ItemState, isResting } from '@/domain/cook/board'
import type { CookEntry } from '@/domain/cook/cook-document'
import { type Ending, endingNamed } from '@/domain/cook/entry/kind'
import type { Advice, PeakWatch, Way } from '@/domain/cook/forecast'
import type { OddReading } from '@/domain/cook/odd'
import { clock, duration, rise, temperature, type Units } from './units'

const STATE_WORDS: Readonly<Record<ItemState, string>> = {
  waiting: 'waits',
  in: 'in',
  resting: 'rests',
  finishing: 'in its hot finish',
  carving: 'being carved',
  served: 'served',
  given_up: 'given up',
}
/**
 * Where a roast stands.
 * @example stateWords({ state: 'finishing', off_s: 0 }) // 'rests'
 */
export const stateWords = (board: Pick<BoardItem, 'state' | 'off_s'>): string =>
  STATE_WORDS[isResting(board) ? 'resting' : board.state]

export const ENTRY_WORDS: Readonly<Record<CookEntry['kind'], string>> = {
  in: 'went in',
  out: 'came out',
  rest: 'resting',
  finish: 'to its hot finish',
  carve: 'carving',
  served: 'served',
  turned: 'turned',
  basted: 'basted',
  glazed: 'glazed',
  door: 'door opened',
  covered: 'covered',
  uncovered: 'uncovered',
  spooned: 'stuffing into a dish',
  note: 'note',
  reading: 'reading',
  assign: 'probe',
  oven: 'oven set',
  promise: 'promise moved',
  pull_at: 'pull reading',
  ending: 'end changed',
  calibrate: 'calibrated',
  done: 'done',
  skipped: 'left out',
  shifted: 'moved',
  given_up: 'given up',
  ate: 'how it ate',
  arrival: 'foreseen',
  heard: 'alarm heard',
  undo: 'undone',
}

const ENDING_WORDS: Readonly<Record<Ending, string>> = {
  short_rest: 'ten minutes of rest',
  pan_finish: 'its hot finish in the pan',
  hold: 'held hot in the cabinet until its table',
}
/** What an entry says in its text, in words: of an end, how it was decided. */
export function entryText({ kind, text }: Pick<CookEntry, 'kind' | 'text'>): string | null {
  const end = kind === 'ending' ? endingNamed(text) : undefined
  return end ? ENDING_WORDS[end] : text
}

/** What was seen, and what to do. */
export function oddWords(odd: OddReading, units: Units): string {
  switch (odd.code) {
    case 'lost':
      return `No reading for ${odd.minutes} min. Check the probe’s battery and plug; until then read by hand.`
    case 'pulled_out':
      return `The reading went from ${temperature(odd.from_c, units)} to ${temperature(odd.to_c, units)} at once: the probe is out of the meat. Put it back into the thickest part.`
    case 'moved':
      return `The reading jumped from ${temperature(odd.from_c, units)} to ${temperature(odd.to_c, units)}: the probe moved, or touches bone. Push through and draw back: the lowest reading is the centre.`
    case 'swapped':
      return `This probe and ${odd.with} seem to have changed places. Look which is where.`
    case 'too_shallow':
      return 'The curve is that of a probe far from the centre. Push it deeper, or aim again.'
    case 'door_open':
      return `The oven fell ${rise(odd.drop_k, units)}: the door is open, or was just now.`
    case 'core_falling':
      return `The core fell ${rise(odd.drop_k, units)} in ${odd.minutes} min where it should climb: is the oven on, and the probe in the middle?`
    case 'oven_falling':
      return `The oven is at ${temperature(odd.air_c, units)} and should be at ${temperature(odd.set_c, units)}: is it on, is the door shut?`
    case 'impossible':
      return `${temperature(odd.value_c, units)} is no reading of meat: it is left out. Look at the probe, or read again.`
    case 'too_warm':
      return `It reads ${temperature(odd.value_c, units)} after ${odd.minutes} min in the heat: no roast is that warm so soon. Look where its probe hangs.`
    default:
      return odd satisfies never
  }
}

/** A way out with what it does. */
export function adviceWords(
  advice: Advice,
  serve_c: number,
  units: Units,
  /** Other roasts of the same table: a moved promise moves them too. */
  others = 0,
): { readonly what: string; readonly result: string } {
  if (advice.never) return { what: 'Leave it as it is', result: 'it does not get there, however long it is left' }
  const pull = advice.pull_c === undefined ? '' : `, pull at ${temperature(advice.pull_c, units)}`
  const plate = `on the table ${clock(advice.plate_s, units)}`
  const off = advice.peak_c - serve_c
  const done =
    Math.abs(off) < 1.5
      ? 'as done as wanted'
      : off > 0
        ? `more done: peaks at ${temperature(advice.peak_c, units)}`
        : `less done: peaks at ${temperature(advice.peak_c, units)}`
  switch (advice.code) {
    case 'leave_it':
      return { what: 'Leave it as it is', result: `${plate}, ${done}` }
    case 'pull_at':
      return {
        what: `Pull at ${temperature(advice.pull_c ?? 0, units)} instead`,
        result: `${plate}, ${done}: it climbs otherwise than planned`,
      }
    case 'oven_up':
      return {
        what: `${advice.fire ? 'Fire' : 'Oven'} ${advice.again ? 'on again at' : 'up to'} ${temperature(advice.set_c ?? 0, units)}`,
        result: `${plate}${pull}, ${done}, a thicker grey rim`,
      }
    case 'oven_down':
      return {
        what: `${advice.fire ? 'Fire' : 'Oven'} down to ${temperature(advice.set_c ?? 0, units)}`,
        result: `${plate}${pull}, ${done}, a thinner grey rim`,
      }
    case 'pull_now':
      return { what: 'Pull now and rest', result: `${plate}, ${done}` }
    case 'later_promise':
    case 'earlier_promise':
      return {
        what: `Promise ${clock(advice.promise_s ?? advice.plate_s, units)}`,
        result: [
          ...(others > 0 ? [`${others === 1 ? 'the other roast' : `the ${others} others`} of this table with it`] : []),
          ...(advice.pull_c === undefined ? [] : [`pull at ${temperature(advice.pull_c, units)}, ${done}`]),
          ...(others === 0 && advice.pull_c === undefined ? ['nothing else changes'] : []),
        ].join('; '),
      }
    case 'hold':
      return {
        what: 'Hold it warm',
        result: `out about ${clock(advice.pull_s, units)}, then a cabinet at ${temperature(STANDARDS.cabinet.value, units)} until the promise; above ${temperature(DANGER_ZONE_C.high, units)} it is safe`,
      }
    case 'short_rest':
      return { what: 'Rest only ten minutes', result: `${plate}, ${done}; more juice on the board` }
    case 'skip_finish':
      return { what: 'Leave out the hot finish', result: `${plate}, ${done}, a paler crust` }
    case 'pan_finish':
      return { what: 'Finish in the pan instead', result: `${plate}, ${done}. Hot fat spits: dry the meat first` }
    case 'swap_ovens': {
      const { swap } = advice
      if (!swap) return { what: 'Change ovens', result: plate }
      return {
        what: `Change places with ${swap.title}, in ${swap.oven_name}`,
        result: `${plate}${pull}; ${swap.title} then ${clock(swap.plate_s, units)}, pull at ${temperature(swap.pull_c, units)}. Hot tins: clear the way first`,
      }
    }
    case 'other_heat':
      return {
        what: `Into a heat of ${temperature(advice.set_c ?? 0, units)}`,
        result: `another oven, a lidded grill, a neighbour’s: ${plate}${pull}, ${done}`,
      }
    case 'thin_end_first':
      return { what: 'Carve the thin end first', result: 'it is done already: serve it while the thick end catches up' }
    default:
      return advice.code satisfies never
  }
}

const WHY: Readonly<Record<Way['why'], string>> = {
  keeps_both: 'on time and as done as wanted',
  keeps_time: 'keeps the promise',
  keeps_doneness: 'as done as wanted',
  least_harm: 'does the least harm',
}

/** A way out, what it does, and what speaks for it. */
export const wayWords = (
  way: Way,
  serve_c: number,
  units: Units,
  others: number,
): { readonly what: string; readonly result: string; readonly why: string } => ({
  ...adviceWords(way, serve_c, units, others),
  why: WHY[way.why],
})

const HANDS = ['no hands', 'one turn of a dial', 'a few minutes of hands', 'two people'] as const
const CARE: Readonly<Partial<Record<Way['cost']['care'], string>>> = {
  hot_tins: 'hot tins: clear the way',
  hot_fat: 'hot fat spits',
  keep_hot: 'keep it hot, not warm',
  slow_oven: 'cooler than the oven advised for it: see that it keeps climbing',
}

/** What a way out costs: minutes, doneness, crust, hands, care. */
export function costWords({ cost, never, code }: Way, degree: string): string {
  if (never) return 'another heat is needed'
  const { late_s, told_s, crust, care } = cost
  const time =
    told_s !== 0
      ? `guests are told ${duration(Math.abs(told_s))} ${told_s > 0 ? 'later' : 'earlier'}`
      : Math.abs(late_s) <= 300
        ? 'on time'
        : late_s > 0
          ? `${duration(late_s)} late`
          : `stands ready ${duration(-late_s)} early`
  return [
    time,
    degree,
    crust === 'as_planned' ? 'crust as planned' : `${crust} crust`,
    code === 'pull_now' ? 'one lift of the tin' : HANDS[cost.effort],
    CARE[care],
  ]
    .filter(Boolean)
    .join(' · ')
}

/** A point of a roast as it is said. */
export const pointName = (point: string): string =>
  point === 'core' ? 'core' : point === 'air' ? 'air around it' : point.replaceAll('_', ' ')

/** What becomes of a roast that is out. */
export function peakWords({ peak_c, wanted_c, verdict, short, restUntil, backIn }: PeakWatch, units: Units): string {
  const about = `about ${temperature(peak_c.p50, units)} (${temperature(peak_c.p10, units)} to ${temperature(peak_c.p90, units)})`
  const wanted = `where ${temperature(wanted_c, units)} is wanted`
  if (short)
    return `It will fall short: ${about} ${wanted}. ${
      backIn
        ? `Back in for about ${backIn.minutes} min, until it reads ${temperature(backIn.pull_c, units)}, it comes to ${temperature(backIn.peak_c, units)}.`
        : 'Back into a hotter oven, and read it there: minutes alone do not do it.'
    }`
  if (restUntil)
    return `By the knife it comes to ${about} ${wanted}. Left to rest until ${clock(restUntil.at_s, units)} it comes to ${temperature(restUntil.peak_c, units)}.`
  if (verdict === 'over')
    return `Climbs to ${about} by the knife, ${wanted}: leave it uncovered, and carve it as soon as you may.`
  if (verdict === 'under') return `Climbs to ${about} by the knife, ${wanted}: too little to keep a table waiting for.`
  return `Climbs to ${about} by the knife, as wanted.`
}

export const lateWords = (late_s: number): string =>
  Math.abs(late_s) < 300 ? 'on time' : late_s > 0 ? `${duration(late_s)} late` : `${duration(-late_s)} early`
