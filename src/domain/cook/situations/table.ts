import type { Way } from '../forecast'
import type { Told } from './kitchen'

/** One thing that happens in kitchens, and what a good cook does then (common practice, no source). */
export interface Situation {
  readonly name: string
  readonly told: Told
  /** What the board says of the time. */
  readonly time?: 'late' | 'early' | 'on_time' | 'stuck'
  /** A good cook would do one of these first. */
  readonly best?: readonly Way['code'][]
  /** Offered among the four. */
  readonly offers?: readonly Way['code'][]
  /** Never offered. */
  readonly never?: readonly Way['code'][]
  /** What the readings should be said to be. */
  readonly odd?: string
}

const pork = {}
const rib = { roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 }, program: { school: 'steady', set_c: 140 } }
const reverse = { roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 }, program: { school: 'reverse-sear' } }
const turkey = { roast: { cut: 'turkey', mass_kg: 5.5 }, program: { school: 'steady', set_c: 165 } }
const fillet = { roast: { cut: 'beef-tenderloin', mass_kg: 1.6 }, program: { school: 'steady', set_c: 120 } }
const leg = { roast: { cut: 'lamb-leg-bone-in', mass_kg: 2.4 }, program: { school: 'steady', set_c: 150 } }
const low = { roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 }, program: { school: 'steady', set_c: 110 } }

const rest = (minutes: number) => ({
  role: 'rest' as const,
  environment: { kind: 'counter' as const },
  cover: 'tent' as const,
  until: { kind: 'time' as const, minutes },
})
const heat = (set_c: number | null, until: { kind: 'time'; minutes: number } | { kind: 'core'; core_c: number }) => ({
  environment: { kind: 'oven' as const, set_c },
  until,
})
/** Told how long, and told at what reading. */
const clocked: Told['plan'] = {
  roast: { cut: 'pork-loin', mass_kg: 1.8 },
  program: { stages: [heat(160, { kind: 'time', minutes: 90 }), rest(15)] },
}
const reading: Told['plan'] = {
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  program: { stages: [heat(140, { kind: 'core', core_c: 50 }), rest(20)] },
}
const clockedRib: Told['plan'] = {
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  program: { stages: [heat(140, { kind: 'time', minutes: 132 }), rest(20)] },
}
const off: Told['plan'] = {
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  program: { stages: [heat(260, { kind: 'time', minutes: 30 }), heat(null, { kind: 'time', minutes: 120 })] },
}

export const SITUATIONS: readonly Situation[] = [
  { name: 'pork, as told, half-way', told: { plan: pork, minute: 45 }, time: 'on_time', best: ['leave_it'] },
  { name: 'rib, as told, half-way', told: { plan: rib, minute: 80 }, time: 'on_time', best: ['leave_it'] },
  {
    name: 'turkey, as told, half-way',
    told: { plan: turkey, minute: 80 },
    time: 'on_time',
    best: ['leave_it'],
    never: ['pull_now'],
  },
  {
    name: 'rib a good deal thicker, found out half-way',
    told: { plan: rib, minute: 90, thicker: 1.25 },
    time: 'on_time',
    best: ['leave_it'],
  },
  {
    name: 'pork thicker, found out late',
    told: { plan: pork, minute: 75, thicker: 1.25 },
    time: 'late',
    // Seven minutes: hotter it gains none, for it is to be pulled later then.
    best: ['oven_up', 'leave_it'],
    offers: ['later_promise', 'oven_up'],
  },
  {
    name: 'turkey, oven 25 colder than its dial',
    told: { plan: turkey, minute: 115, oven_k: -25 },
    time: 'late',
    best: ['oven_up', 'short_rest'],
    offers: ['later_promise'],
    never: ['pull_now'],
  },
  { name: 'low rib, oven 15 colder', told: { plan: low, minute: 150, oven_k: -15 }, time: 'late', best: ['oven_up'] },
  {
    name: 'reverse sear, much thicker',
    told: { plan: reverse, minute: 120, thicker: 1.3 },
    time: 'on_time',
    best: ['leave_it'],
  },
  {
    name: 'fillet thicker',
    told: { plan: fillet, minute: 50, thicker: 1.4 },
    time: 'late',
    best: ['oven_up'],
    offers: ['later_promise'],
  },
  {
    name: 'lamb leg, oven 30 colder',
    told: { plan: leg, minute: 80, oven_k: -30 },
    time: 'late',
    best: ['oven_up', 'later_promise'],
  },
  {
    name: 'rib thin, will be early',
    told: { plan: rib, minute: 60, thicker: 0.68 },
    time: 'early',
    best: ['leave_it', 'oven_down', 'hold'],
    offers: ['oven_down'],
    never: ['oven_up'],
  },
  {
    name: 'pork in a hot oven, very early',
    told: { plan: pork, minute: 35, oven_k: 40 },
    best: ['leave_it', 'oven_down', 'hold'],
    never: ['oven_up'],
  },
  {
    name: 'turkey, oven 30 hotter',
    told: { plan: turkey, minute: 70, oven_k: 30 },
    best: ['leave_it', 'oven_down'],
    never: ['oven_up', 'pull_now'],
  },
  {
    name: 'fillet much thinner',
    told: { plan: fillet, minute: 30, thicker: 0.7 },
    time: 'early',
    best: ['hold', 'oven_down'],
    never: ['oven_up'],
  },
  {
    name: 'reverse sear thin',
    told: { plan: reverse, minute: 80, thicker: 0.75 },
    time: 'early',
    best: ['leave_it', 'oven_down', 'hold'],
    offers: ['oven_down'],
    never: ['oven_up', 'skip_finish'],
  },
  {
    name: 'leg started warm',
    told: { plan: leg, minute: 50, warmer_k: 12 },
    best: ['leave_it', 'oven_down', 'pull_at'],
    never: ['oven_up'],
  },
  {
    name: 'guests 45 min late, rib half-way',
    told: { plan: rib, minute: 90, promise_min: 45 },
    time: 'early',
    best: ['leave_it', 'oven_down', 'hold'],
    offers: ['hold'],
    never: ['oven_up'],
  },
  {
    name: 'guests two hours late, rib half-way',
    told: { plan: rib, minute: 90, promise_min: 120 },
    time: 'early',
    best: ['hold', 'oven_down'],
    never: ['oven_up'],
  },
  {
    name: 'guests an hour late, pork nearly done',
    told: { plan: pork, minute: 80, promise_min: 60 },
    time: 'early',
    best: ['hold'],
    never: ['oven_up'],
  },
  {
    name: 'guests half an hour early, rib half-way',
    told: { plan: rib, minute: 90, promise_min: -30 },
    time: 'late',
    best: ['oven_up', 'short_rest'],
    offers: ['later_promise'],
  },
  {
    name: 'guests an hour early, turkey half-way',
    told: { plan: turkey, minute: 90, promise_min: -60 },
    time: 'late',
    best: ['oven_up', 'short_rest', 'later_promise'],
    never: ['pull_now'],
  },
  {
    name: 'oven dead at forty minutes, pork',
    told: { plan: pork, minute: 55, truly: [{ minute: 40, set_c: 22 }], said: [{ minute: 54, mishap: 'oven_dead' }] },
    time: 'stuck',
    best: ['other_heat'],
    offers: ['leave_it'],
  },
  {
    name: 'power gone, rib half-way',
    told: { plan: rib, minute: 100, truly: [{ minute: 95, set_c: 22 }], said: [{ minute: 96, mishap: 'power_gone' }] },
    best: ['leave_it', 'other_heat'],
  },
  {
    name: 'power gone for half an hour and back',
    told: {
      plan: rib,
      minute: 130,
      truly: [
        { minute: 90, set_c: 22 },
        { minute: 120, set_c: 140 },
      ],
      said: [
        { minute: 92, mishap: 'power_gone' },
        { minute: 120, mishap: 'heat_back' },
      ],
    },
    best: ['pull_at', 'leave_it', 'oven_up'],
  },
  {
    name: 'oven dead near the pull',
    told: { plan: pork, minute: 85, truly: [{ minute: 84, set_c: 22 }], said: [{ minute: 84, mishap: 'oven_dead' }] },
    best: ['leave_it', 'pull_now'],
  },
  {
    name: 'set 40 too low, found out half-way',
    told: {
      plan: pork,
      minute: 60,
      truly: [
        { minute: 1, set_c: 120 },
        { minute: 58, set_c: 160 },
      ],
      said: [{ minute: 58, mishap: 'wrong_setting', value: 120 }],
    },
    best: ['oven_up', 'later_promise', 'leave_it'],
  },
  {
    name: 'set 50 too high, found out early',
    told: {
      plan: rib,
      minute: 45,
      truly: [
        { minute: 1, set_c: 190 },
        { minute: 44, set_c: 140 },
      ],
      said: [{ minute: 44, mishap: 'wrong_setting', value: 190 }],
    },
    best: ['leave_it', 'oven_down'],
    never: ['oven_up'],
  },
  {
    name: 'went in half an hour later than was tapped',
    told: { plan: pork, minute: 60, truly: [], thicker: 1, said: [{ minute: 59, mishap: 'in_at', value: 30 }] },
    best: ['pull_at', 'leave_it', 'oven_up'],
  },
  {
    name: 'out by mistake for 20 minutes',
    told: {
      plan: pork,
      minute: 70,
      truly: [
        { minute: 40, away: true },
        { minute: 60, away: false },
      ],
      said: [{ minute: 60, mishap: 'out_since', value: 40 }],
    },
    time: 'late',
    best: ['oven_up', 'later_promise'],
    offers: ['later_promise'],
  },
  { name: 'probe dead half-way', told: { plan: rib, minute: 90, probeUntil: 70 }, best: ['leave_it'], odd: 'lost' },
  {
    name: 'probe dead and said so',
    told: { plan: rib, minute: 90, probeUntil: 70, said: [{ minute: 88, mishap: 'probe_dead' }] },
    best: ['leave_it'],
  },
  { name: 'no probe at all', told: { plan: rib, minute: 90, probeUntil: 0 }, best: ['leave_it'] },
  {
    name: 'bird not turned until late',
    told: {
      plan: { ...turkey, program: { school: 'bird-turned' } },
      minute: 110,
      said: [{ minute: 105, mishap: 'not_turned' }],
    },
    best: ['leave_it'],
    never: ['pull_now'],
  },
  {
    name: 'foil left on',
    told: { plan: pork, minute: 60, said: [{ minute: 59, mishap: 'foil_left_on' }] },
    best: ['leave_it'],
  },
  {
    name: 'browns too fast, foil over it',
    told: { plan: turkey, minute: 90, said: [{ minute: 88, mishap: 'browning_fast' }] },
    best: ['leave_it'],
    never: ['pull_now'],
  },
  {
    name: 'ten minutes to the pull, late by a little',
    told: { plan: pork, minute: 88, thicker: 1.1 },
    time: 'on_time',
    best: ['leave_it', 'pull_now'],
  },
  {
    name: 'turkey late, ten minutes before the promise',
    told: { plan: turkey, minute: 165, oven_k: -25 },
    time: 'late',
    best: ['oven_up', 'short_rest', 'later_promise'],
    never: ['pull_now'],
  },
  {
    name: 'low rib that will never get there: oven at 60',
    told: {
      plan: low,
      minute: 120,
      truly: [{ minute: 20, set_c: 58 }],
      said: [{ minute: 110, entry: { kind: 'oven', value_c: 58 } }],
    },
    time: 'stuck',
    best: ['oven_up'],
  },
  {
    name: 'reverse sear late near its pull',
    told: { plan: reverse, minute: 165, thicker: 1.2 },
    best: ['leave_it', 'short_rest', 'oven_up'],
  },
  {
    name: 'leg nearly there, guests half an hour late',
    told: { plan: leg, minute: 95, promise_min: 30 },
    time: 'early',
    best: ['leave_it', 'hold', 'oven_down'],
    never: ['oven_up'],
  },
  {
    name: 'fillet done early, guests an hour late',
    told: { plan: fillet, minute: 55, promise_min: 60 },
    time: 'early',
    best: ['hold', 'oven_down'],
    never: ['oven_up'],
  },
  {
    name: 'rib, door stood open',
    told: { plan: rib, minute: 90, said: [{ minute: 80, entry: { kind: 'door' } }] },
    time: 'on_time',
    best: ['leave_it'],
  },
  {
    name: 'pork too hot from the start: will be done before its table',
    told: { plan: pork, minute: 50, oven_k: 25 },
    best: ['leave_it', 'oven_down', 'hold', 'pull_at'],
    never: ['oven_up'],
  },
  {
    name: 'turkey as told, early in the cook',
    told: { plan: turkey, minute: 20 },
    time: 'on_time',
    best: ['leave_it'],
    never: ['pull_now'],
  },
  {
    name: 'rib by the clock, as told',
    told: { plan: clockedRib, minute: 80 },
    time: 'on_time',
    best: ['leave_it'],
    never: ['oven_up', 'pull_now'],
  },
  {
    name: 'rib to a reading of its own, in a cooler oven',
    told: { plan: reading, minute: 80, oven_k: -40 },
    time: 'late',
    best: ['oven_up', 'later_promise'],
    never: ['pull_now'],
  },
  {
    name: 'rib in an oven that was switched off, and is weaker than told',
    told: { plan: off, minute: 80, oven_k: -70 },
    best: ['oven_up'],
  },
  {
    name: 'loin by the clock, the oven runs hot: at a reading instead',
    told: { plan: clocked, minute: 55, oven_k: 25 },
    time: 'on_time',
    best: ['pull_at'],
    offers: ['leave_it'],
    never: ['oven_up'],
  },
]
