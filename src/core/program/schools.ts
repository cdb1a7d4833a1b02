import type { Cover } from '../heat/environment'
import type { Cut } from '../reference/cuts'
import { donenessScale } from '../reference/doneness'
import { commonPractice, type Source } from '../reference/source'
import { celsius, minutes, type Seconds, seconds } from '../units'
import type { Program, Stage, StageEnd, StageEnvironment, Tending } from './stage'

/** What a cook may set of a school; each school has its own usual values. */
export interface SchoolSettings {
  /** The main heat, °C. */
  readonly set_c: number
  /** The hot part, °C, and how long it lasts, minutes; ignored by schools that have none. */
  readonly hot_c: number
  readonly hot_min: number
  /** Rest after the pull, minutes. */
  readonly rest_min: number
}

export interface School {
  readonly id: string
  readonly name: string
  /** Why its followers like it, in a line. */
  readonly why: string
  readonly suits: (cut: Cut) => boolean
  readonly usual: (cut: Cut) => SchoolSettings
  readonly stages: (settings: SchoolSettings, cut: Cut, mass_kg: number) => readonly Stage[]
  /** What the main heat is, for the word beside the setting. */
  readonly heat: 'oven' | 'fire' | 'bath'
  readonly source: Source
}

const trade = commonPractice('The school as practised; stages and settings within the range cooks use')

const on = (set_c: number): StageEnvironment => ({ kind: 'oven', heat: 'on', set_c: celsius(set_c) })
const off: StageEnvironment = { kind: 'oven', heat: 'off' }
const forMinutes = (value: number): StageEnd => ({ kind: 'time', duration_s: minutes(value) })
const toPull: StageEnd = { kind: 'pull' }

function stage(role: Stage['role'], environment: StageEnvironment, until: StageEnd, more: Partial<Stage> = {}): Stage {
  return { role, environment, until, cover: 'bare', preheated: true, tending: [], ...more }
}
const rest = (value: number, cover: Cover = 'tent'): Stage =>
  stage('rest', { kind: 'counter' }, forMinutes(value), { cover, preheated: false })
const tend = (act: Tending['act'], at_min: number, every_s?: Seconds): Tending => ({
  act,
  at_s: minutes(at_min),
  every_s,
})

const usualServe = (cut: Cut): number =>
  donenessScale(cut.doneness).degrees.find(({ id }) => id === cut.usualDoneness)?.serve_c ?? 55
const isBird = (cut: Cut) => cut.geometry.family === 'bird'
const isTender = (cut: Cut) => cut.doneness === 'tender'
const isRed = (cut: Cut) => cut.doneness === 'red'
const isWholeRed = (cut: Cut) => isRed(cut) && cut.intact
const usual =
  (set_c: number, hot_c = 230, hot_min = 15) =>
  (cut: Cut): SchoolSettings => ({ set_c, hot_c, hot_min, rest_min: cut.rest_min.least })

/** The simplest program there is: one setting to the pull, then a rest under a tent. */
export const steadyProgram = (set_c: number, rest_min: number, more: Partial<Stage> = {}): Program => ({
  school: 'steady',
  stages: [stage('cook', on(set_c), toPull, more), rest(rest_min)],
})

/** The thirteen schools, as programs of stages. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'steady',
    name: 'Steady',
    why: 'One setting to the pull: the fewest actions.',
    suits: () => true,
    usual: (cut) => usual(isBird(cut) ? 165 : isTender(cut) ? 150 : cut.mass_kg.usual < 0.8 ? 200 : 160)(cut),
    stages: (s) => steadyProgram(s.set_c, s.rest_min).stages,
    heat: 'oven',
    source: trade,
  },
  {
    id: 'hot-start',
    name: 'Hot start, then gentle',
    why: 'Colour first, while the surface is dry and the cook is watching.',
    suits: () => true,
    usual: (cut) => usual(isBird(cut) ? 165 : 150, 240, 15)(cut),
    stages: (s, cut) => [
      stage('cook', on(s.hot_c), forMinutes(s.hot_min)),
      stage('cook', on(s.set_c), toPull, { cover: isBird(cut) ? 'tent' : 'bare' }),
      rest(s.rest_min),
    ],
    heat: 'oven',
    source: trade,
  },
  {
    id: 'kick-start',
    name: 'Kick start under foil',
    why: 'Into full heat, dialled down at once under foil; tender, hands off, coloured at the end.',
    suits: isTender,
    usual: usual(160, 200, 20),
    stages: (s) => [
      stage('cook', on(s.set_c), toPull, { cover: 'foil' }),
      stage('finish', on(s.hot_c), forMinutes(s.hot_min), { tending: [tend('uncover', 0)] }),
      rest(s.rest_min),
    ],
    heat: 'oven',
    source: trade,
  },
  {
    id: 'low-and-long',
    name: 'Low and long',
    why: 'Hours past 85 °C turn the tough parts to silk; the bone slides out.',
    suits: isTender,
    usual: usual(140),
    stages: (s) => [stage('cook', on(s.set_c), toPull, { cover: 'tent' }), rest(s.rest_min)],
    heat: 'oven',
    source: trade,
  },
  {
    id: 'oven-off',
    name: 'Oven off',
    why: 'Eleven minutes a kilo at full heat, then off with the door shut for two hours: no thermometer, no tending.',
    suits: (cut) => isWholeRed(cut) && cut.mass_kg.usual >= 1.2,
    usual: usual(260),
    stages: (s, _cut, mass_kg) => [
      stage('cook', on(s.set_c), forMinutes(11 * mass_kg)),
      stage('cook', off, forMinutes(120)),
    ],
    heat: 'oven',
    source: trade,
  },
  {
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
    heat: 'oven',
    source: trade,
  },
  {
    id: 'reverse-sear',
    name: 'Reverse sear',
    why: 'Gentle to the pull, a long easy rest, the hottest oven at the end: even from edge to edge, crisp on arrival.',
    suits: (cut) => !isTender(cut) && !isBird(cut),
    usual: (cut) => ({
      set_c: 110,
      hot_c: 250,
      hot_min: cut.mass_kg.usual > 2.4 ? 9 : 6,
      rest_min: Math.min(45, Math.max(30, cut.rest_min.least)),
    }),
    stages: (s) => [
      stage('cook', on(s.set_c), toPull),
      rest(s.rest_min),
      stage('finish', on(s.hot_c), forMinutes(s.hot_min)),
    ],
    heat: 'oven',
    source: trade,
  },
  {
    id: 'pan-first',
    name: 'Pan first',
    why: 'Browned on every side in a heavy pan, then through in the oven: crust on a lean cut.',
    suits: (cut) => !isBird(cut) && cut.mass_kg.usual <= 2.4,
    usual: usual(180, 230, 10),
    stages: (s) => [
      stage('cook', { kind: 'pan', set_c: celsius(s.hot_c) }, forMinutes(s.hot_min), {
        tending: [tend('turn', s.hot_min / 4, minutes(s.hot_min / 4))],
      }),
      stage('cook', on(s.set_c), toPull),
      rest(s.rest_min),
    ],
    heat: 'oven',
    source: trade,
  },
  {
    id: 'two-zone-fire',
    name: 'Two-zone fire',
    why: 'Beside the coals under the lid to the pull, then over them for the crust: smoke.',
    suits: (cut) => !isTender(cut),
    usual: (cut) => ({ set_c: 175, hot_c: 300, hot_min: 4, rest_min: cut.rest_min.least }),
    stages: (s) => [
      stage('cook', { kind: 'fire', set_c: celsius(s.set_c) }, toPull),
      rest(s.rest_min),
      stage('finish', { kind: 'fire', set_c: celsius(s.hot_c) }, forMinutes(s.hot_min), {
        tending: [tend('turn', s.hot_min / 2)],
      }),
    ],
    heat: 'fire',
    source: trade,
  },
  {
    id: 'water-bath',
    name: 'Water bath, then hot',
    why: 'Held at the wanted temperature for hours, then dried and browned: the same all through.',
    suits: (cut) => isRed(cut) && cut.bone !== 'bird',
    // A degree over what is wanted: the core comes to a little under the bath.
    usual: (cut) => ({
      set_c: usualServe(cut) + 1,
      hot_c: 240,
      hot_min: 10,
      rest_min: Math.min(10, cut.rest_min.least),
    }),
    stages: (s) => [
      stage('cook', { kind: 'bath', set_c: celsius(s.set_c) }, toPull, { cover: 'bag' }),
      rest(s.rest_min, 'bare'),
      stage('finish', on(s.hot_c), forMinutes(s.hot_min)),
    ],
    heat: 'bath',
    source: trade,
  },
  {
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
    heat: 'oven',
    source: trade,
  },
  {
    id: 'finish-hot',
    name: 'Finish hot if pale',
    why: 'Steady to within reach, then a hot last stretch for the skin.',
    suits: (cut) => isBird(cut) || cut.doneness === 'pork',
    usual: usual(165, 230, 12),
    stages: (s) => [
      stage('cook', on(s.set_c), toPull),
      stage('finish', on(s.hot_c), { kind: 'time', duration_s: seconds(s.hot_min * 60) }),
      rest(s.rest_min),
    ],
    heat: 'oven',
    source: trade,
  },
  {
    id: 'cook-and-hold',
    name: 'Cook and hold',
    why: 'A low roast, then the warm cabinet: one roast serves a whole evening.',
    suits: (cut) => isRed(cut) && cut.mass_kg.usual >= 2,
    usual: (cut) => ({ set_c: 110, hot_c: 58, hot_min: 120, rest_min: Math.min(20, cut.rest_min.least) }),
    stages: (s) => [
      stage('cook', on(s.set_c), toPull),
      rest(s.rest_min),
      stage('rest', { kind: 'cabinet', set_c: celsius(s.hot_c) }, forMinutes(s.hot_min), { cover: 'tent' }),
    ],
    heat: 'oven',
    source: trade,
  },
]

/** The school with this id, or undefined. */
export const findSchool = (id: string): School | undefined => SCHOOLS.find((school) => school.id === id)

/** A school's program for one piece. */
export function programOf(school: School, settings: SchoolSettings, cut: Cut, mass_kg: number): Program {
  return { school: school.id, stages: school.stages(settings, cut, mass_kg) }
}
