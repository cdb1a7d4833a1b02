import { findSchool } from '@/core/program/schools'
import type { TenderEnd } from '@/core/reference/tenderness'
import { isNoRoast, isOtherRoast } from '@/domain/line/cut-names'
import type { Fact, SaidHeat, SaidMoment, SaidStage } from '@/domain/line/fact'
import { WEEKDAYS } from '@/domain/line/moment'
import type { Ask } from '@/domain/line/reading'
import { clock, duration, mass, shortDay, type Units } from './units'
import { cutName, donenessName } from './words'

/** What a typed line was taken to mean, and what it leaves open, in words. */

const heat = ({ value, unit }: SaidHeat): string => `${value}${unit === undefined ? '°' : unit === 'c' ? ' °C' : ' °F'}`
const span = (minutes: number) => duration(minutes * 60)
const ON: Readonly<Record<SaidStage['on'], string>> = {
  oven: 'oven',
  fan: 'fan oven',
  pan: 'in the pan',
  fire: 'over the fire',
  bath: 'in the bath',
  off: 'oven off, door shut',
  cold: 'from a cold oven',
}
const COVER = { bag: 'in a bag', foil: 'under foil', tent: 'tented', bare: 'uncovered' } as const
const PREPARATION = {
  none: 'no salt ahead',
  dry_salt: 'salted ahead',
  wet_brine: 'in a brine',
  marinade: 'marinated',
  acid_marinade: 'marinated with acid: six hours at most',
} as const
const STUFFING = {
  cavity: 'stuffing in the cavity',
  neck: 'stuffed in the neck only',
  dish: 'stuffing in a dish',
  none: 'not stuffed',
} as const

const stageWords = ({ on, heat: at, usual, minutes, per_kg_min, core, cover, breastDown, finish }: SaidStage): string =>
  [
    finish ? (on === 'pan' ? 'then a hot pan' : 'then hot') : usual === undefined ? ON[on] : `${usual} oven`,
    at && heat(at),
    minutes !== undefined && span(minutes),
    per_kg_min !== undefined && `${Math.round(per_kg_min)} min a kilogram`,
    core && `to a core of ${heat(core)}`,
    cover && COVER[cover],
    breastDown && 'breast down',
  ]
    .filter(Boolean)
    .join(' ')

/** What is at an hour of a line. */
const MOMENTS = {
  arrival: 'guests come',
  course: 'something else',
  held: 'held until',
  meal: 'on the table',
} as const

/**
 * What some words were taken to mean; undefined where there is nothing to say.
 * @param now_s when they are read: a day that is far off has its year
 */
export function factWords(fact: Fact, units: Units, now_s?: number): string | undefined {
  switch (fact.kind) {
    case 'cut':
      if (fact.bones !== undefined) return `${cutName(fact.ids[0] ?? '')}, ${fact.bones} ribs`
      return `${fact.count > 1 ? `${fact.count} × ` : ''}${cutName(fact.ids[0] ?? '')}${fact.ids.length > 1 ? '?' : ''}`
    case 'bones':
      return `${fact.bones} ${fact.bones === 1 ? 'bone' : 'bones'} of it`
    case 'traits':
      return (
        [
          fact.traits.bone === 'in' && 'on the bone',
          fact.traits.bone === 'out' && 'boned',
          fact.traits.rolled && 'rolled',
          fact.traits.butterflied && 'opened flat',
          fact.traits.half && 'half of one',
          fact.traits.crown && 'the crown only',
          fact.traits.raw && 'still to be cooked',
          fact.traits.cured && 'cured',
          fact.traits.cooked && 'cooked already',
          fact.handling,
        ]
          .filter(Boolean)
          .join(', ') || undefined
      )
    case 'mass':
      if (fact.kgs) return fact.kgs.map((kg) => mass(kg, units)).join(' and ')
      if (fact.each) return `${mass(fact.kg, units)} for each guest`
      return `${mass(fact.kg, units)}${fact.count ? ` each, ${fact.count} of them` : ''}`
    case 'thickness':
      return `${fact.mm} mm through`
    case 'start':
      return [
        fact.heat && `starts at ${heat(fact.heat)}`,
        fact.temper_min ? `${span(fact.temper_min)} on the bench` : '',
      ]
        .filter(Boolean)
        .join(', ')
    case 'stage':
      return stageWords(fact.stage)
    case 'heat':
      return `${fact.on === undefined ? 'oven' : ON[fact.on]} ${heat(fact.heat)}`
    case 'oven':
      return `${fact.oven} oven`
    case 'cold_oven':
      return ON.cold
    case 'rest':
      return fact.minutes === undefined ? 'rests' : `rests ${span(fact.minutes)}`
    case 'hold':
      return `kept warm at ${heat(fact.heat)}${fact.minutes === undefined ? '' : ` for ${span(fact.minutes)}`}`
    case 'second':
      return ['second heat', fact.heat && heat(fact.heat), fact.minutes !== undefined && span(fact.minutes)]
        .filter(Boolean)
        .join(' ')
    case 'school':
      return `${findSchool(fact.id)?.name.toLowerCase()}${fact.minutes === undefined ? '' : `, ${span(fact.minutes)} breast down`}`
    case 'doneness':
      return donenessName(fact.word).toLowerCase()
    case 'serve':
      return `served at ${heat(fact.heat)}`
    case 'pull':
      return `pulled at ${heat(fact.heat)}${fact.point ? ` in the ${fact.point}` : ''}`
    case 'surface':
      return fact.surface === 'buttered' ? 'buttered' : fact.surface === 'dry_salted' ? 'salted ahead' : 'plain'
    case 'preparation':
      return PREPARATION[fact.preparation]
    case 'frozen':
      return fact.thaws === 'water'
        ? 'frozen: thawed in cold water'
        : fact.thaws === 'out'
          ? 'out of the freezer already'
          : 'bought frozen: thawed first'
    case 'stuffing':
      return STUFFING[fact.where]
    case 'legs':
      return fact.legs === 'flat' ? 'pressed flat' : `legs ${fact.legs}`
    case 'cover':
      return COVER[fact.cover]
    case 'tending':
      return tendedWords(fact, heat)
    case 'tender':
      return TENDER_WORDS[fact.degree]
    case 'note':
      return 'kept as a note'
    case 'guests':
      return `${fact.guests} at the table`
    case 'wish':
      return `${fact.count} × ${donenessName(fact.word).toLowerCase()}`
    case 'share':
      return donenessName(fact.word)
    case 'batches':
      return `in ${fact.count} batches, ${span(fact.apart_min)} apart`
    case 'away':
      return `${span(fact.minutes)} on the way, packed hot`
    case 'vulnerable':
      return 'a guest to be careful for'
    case 'side':
      return `beside it: ${fact.title.toLowerCase()}`
    case 'moment':
      return `${MOMENTS[fact.weak ?? 'meal']} ${shortDay(fact.at_s, units, now_s)} ${clock(fact.at_s, units)}`
    case 'again':
      return `${fact.count === 1 ? 'one' : fact.count}${fact.which === 'more' ? ' more' : ''} on the table ${shortDay(fact.at_s, units, now_s)} ${clock(fact.at_s, units)}`
    case 'overnight':
      return 'through the night'
    case 'offset':
      return `oven ${heat({ value: Math.abs(fact.by), unit: fact.unit })} ${fact.by < 0 ? 'colder' : 'hotter'} than its dial`
    case 'altitude':
      return `${Math.round(fact.m)} m above the sea`
    case 'ovens':
      return fact.count === 1 ? 'one oven' : `${fact.count} ovens`
    case 'put_in':
      return `${fact.already ? 'in the heat since' : 'into the heat'} ${shortDay(fact.at_s, units, now_s)} ${clock(fact.at_s, units)}`
    case 'written':
      return 'a stage as written'
    case 'house':
      return fact.item.kind === 'cut'
        ? `${fact.item.name}: ${cutName(fact.item.cut).toLowerCase()} of the house`
        : `${fact.item.name}: a program of the house`
    case 'span':
      return `for ${span(fact.minutes)}`
    case 'pieces':
      return fact.more ? `${fact.count} more` : `${fact.count} of them`
    case 'another_way':
    case 'filler':
      return undefined
    default:
      return fact satisfies never
  }
}

type Tended = Extract<Fact, { kind: 'tending' }>
const TENDED: Readonly<Record<Tended['act'], string>> = {
  baste: 'basted',
  glaze: 'glazed',
  turn: 'turned',
  uncover: 'foil off',
  cover: 'foil on',
  look: 'door opened to look',
  coals: 'coals added',
}
export const TENDER_WORDS: Readonly<Record<TenderEnd, string>> = {
  slices: 'until it is just tender and slices',
  leaves_bone: 'until it leaves the bone',
  falls_apart: 'until it falls apart',
}

function momentWords(moment: SaidMoment, heat: (said: SaidHeat) => string): string {
  if ('core' in moment) return `when it reads ${heat(moment.core)}`
  if ('before_end_min' in moment) return `${span(moment.before_end_min)} before the end`
  if ('at_min' in moment) return moment.at_min === 0 ? 'at the beginning' : `after ${span(moment.at_min)}`
  return moment.share === 0.5 ? 'half-way' : `at ${Math.round(moment.share * 100)} % of its time`
}

function tendedWords({ act, times, every_min, moments }: Tended, heat: (said: SaidHeat) => string): string {
  if (moments) return `${TENDED[act]} ${moments.map((moment) => momentWords(moment, heat)).join(' and ')}`
  return `${TENDED[act]}${times ? ` ${times} ×` : every_min ? ` every ${span(every_min)}` : ''}`
}

const SAID_TWICE: Readonly<Partial<Record<Fact['kind'], string>>> = {
  mass: 'weight',
  thickness: 'thickness',
  doneness: 'doneness',
  serve: 'core',
  pull: 'pull reading',
}

const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]
const hoursSaid = (hours: number) => `${NUMBERS[hours] ?? hours} hours`

const dayName = (weekday: number) => (WEEKDAYS[weekday] ?? '').replace(/^./, (letter) => letter.toUpperCase())
const MANY_BIRDS = /\bbirds? roasts?\b/i
const PARTS_OF_BIRDS =
  /\b(?:chicken|turkey|duck|goose|hen|capon)s? (?:thighs?|drumsticks?|wings?|legs?|breasts?|supremes?)\b/i

/** A question that a line leaves open, with what is taken until it is answered. */
export function askWords(ask: Ask, units: Units): string {
  switch (ask.code) {
    case 'no_cut':
      return 'What is it? Say the meat, or take one of these.'
    case 'which_cut':
      return `Which cut? Taken as ${cutName(ask.taken).toLowerCase()}.`
    case 'how_heavy':
      return `How heavy is the ${cutName(ask.cut).toLowerCase()}? Taken as ${ask.pieces === undefined ? '' : `${ask.pieces} of `}${mass(ask.taken_kg, units)}.`
    case 'what_is':
      if (PARTS_OF_BIRDS.test(ask.words))
        return `“${ask.words}”: parts of a bird are not planned here. A whole bird, a crown or a turkey’s breast is.`
      if (MANY_BIRDS.test(ask.words))
        return `“${ask.words}”: birds in one another are not planned here. A bird by itself is, or a boned breast.`
      if (isOtherRoast(ask.words)) return `“${ask.words}”: not among the cuts that are planned here.`
      if (isNoRoast(ask.words)) return `“${ask.words}”: no roast of meat or bird, and not planned here.`
      return ask.not_of === undefined
        ? `“${ask.words}” says nothing to us and is left out.`
        : `“${ask.words}” cannot be planned for ${cutName(ask.not_of).toLowerCase()}: its times are those without it.`
    case 'what_time':
      return ask.put_in_s === undefined
        ? `When do they eat? Taken as ${hoursSaid(ask.taken_h)} from now.`
        : `When do they eat? Several things cannot all be counted from when one goes in. Taken as ${hoursSaid(ask.taken_h)} after ${clock(ask.put_in_s, units)}.`
    case 'goes_in':
      return `“${ask.words}”: the plan says when it goes in, by its heat and by when they eat.`
    case 'said_twice':
      if (ask.meals)
        return `Two ${ask.days ? 'days' : 'hours'} that are no one meal: type a line for each. Here “${ask.taken}” is taken for all of it.`
      return ask.what === 'moment'
        ? `Two ${ask.days ? 'days' : 'hours'}: “${ask.taken}” is taken for all of it.`
        : `Two of it: the first ${SAID_TWICE[ask.what] ?? 'one'} is taken.`
    case 'day_of_date':
      return `“${ask.words}”: that is a ${dayName(ask.weekday)}. Taken by its date.`
    case 'not_a_word_for_it':
      return `“${ask.word}” is no doneness of this cut. Taken as ${donenessName(ask.taken).toLowerCase()}.`
  }
}
