import { tenth as toTenth } from '../../quantity/round'
import type { SaidMoment } from '../fact'
import type { HeatedStage, LineReading, SaidRoast } from '../reading'

const tenth = (value: number) => String(toTenth(value))

/** A reading of a line in a few signs, for comparing: what each roast is, then the table, then what is asked. */

const kg = (value: number) => `${Math.round(value * 100) / 100}kg`
const PREPARED = {
  none: 'unsalted',
  dry_salt: 'salted',
  wet_brine: 'brine',
  marinade: 'marinade',
  acid_marinade: 'acid',
} as const

function stageGist({ on, set_c, usual, minutes, core_c, cover, breastDown, finish }: HeatedStage): string {
  const place = on === 'oven' || on === 'fan' ? '' : on
  const heat = set_c === undefined ? (usual ?? '') : Math.round(set_c)
  return `[${finish ? '*' : ''}${place}${heat}${minutes === undefined ? '' : `/${tenth(minutes)}`}${core_c === undefined ? '' : `>${Math.round(core_c)}`}${cover ? `+${cover}` : ''}${breastDown ? '+down' : ''}]`
}

function momentGist(moment: SaidMoment): string {
  if ('share' in moment) return `@${Math.round(moment.share * 100)}%`
  if ('before_end_min' in moment) return `@-${tenth(moment.before_end_min)}`
  return 'at_min' in moment ? `@+${tenth(moment.at_min)}` : `@>${Math.round(moment.core.value)}`
}

function roastGist(roast: SaidRoast, assumed: boolean): string[] {
  return [
    roast.cut,
    roast.count > 1 ? `x${roast.count}` : '',
    assumed ? '?kg' : kg(roast.mass_kg),
    roast.thickness_mm === undefined ? '' : `${tenth(roast.thickness_mm)}mm`,
    roast.start_c === undefined ? '' : `start${tenth(roast.start_c)}`,
    roast.temper_min === undefined ? '' : `bench${tenth(roast.temper_min)}`,
    roast.surface ?? '',
    roast.handling ?? '',
    roast.stuffed ? 'stuffed' : '',
    roast.legs ? `legs-${roast.legs}` : '',
    roast.preparation ? PREPARED[roast.preparation] : '',
    roast.frozen ? 'frozen' : '',
    roast.oven === 'fan' ? 'fan' : '',
    roast.set_c === undefined ? '' : `oven${Math.round(roast.set_c)}`,
    roast.school ?? '',
    roast.rest_min === undefined ? '' : `rest${tenth(roast.rest_min)}`,
    roast.hold_c === undefined
      ? ''
      : `hold${Math.round(roast.hold_c)}${roast.hold_min === undefined ? '' : `/${tenth(roast.hold_min)}`}`,
    roast.cover ?? '',
    ...roast.tending.map(
      ({ act, times, every_min, moments = [] }) =>
        `${act}${times ? `x${times}` : ''}${every_min ? `/${every_min}` : ''}${moments.map(momentGist).join('')}`,
    ),
    ...roast.stages.map(stageGist),
    roast.tender ? `until-${roast.tender}` : '',
    roast.doneness ? `=${roast.doneness}` : '',
    roast.serve_c === undefined ? '' : `=${Math.round(roast.serve_c)}`,
    roast.pull_c === undefined ? '' : `pull${Math.round(roast.pull_c)}`,
    ...roast.notes.map(() => 'note'),
  ].filter((sign) => sign !== '')
}

/** Local time of an instant as 11-24T19:00. */
function moment(at_s: number, timeZone: string): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(at_s * 1000)
  const of = (type: string) => parts.find((part) => part.type === type)?.value
  return `${of('month')}-${of('day')}T${of('hour')}:${of('minute')}`
}

/** The gist of a reading; the words of one roast in no order, roasts in the order of the line. */
export function gist(reading: LineReading, timeZone: string): string {
  const guessed = reading.asks.flatMap((ask) => (ask.code === 'how_heavy' ? [ask.cut] : []))
  const asked = reading.asks.flatMap((ask) =>
    ask.code === 'what_is'
      ? [`?${ask.words.toLowerCase()}`]
      : ask.code === 'which_cut'
        ? ['?cut']
        : ask.code === 'goes_in'
          ? ['?in']
          : ask.code === 'said_twice'
            ? ['?twice']
            : ask.code === 'no_cut'
              ? ['?meat']
              : ask.code === 'not_a_word_for_it'
                ? ['?word']
                : [],
  )
  const table = [
    reading.guests === undefined ? '' : `for${reading.guests}`,
    ...Object.entries(reading.wishes).map(([word, count]) => `${word}:${count}`),
    reading.vulnerable ? 'care' : '',
    reading.oven_k === undefined ? '' : `${reading.oven_k < 0 ? 'cold' : 'hot'}${tenth(Math.abs(reading.oven_k))}`,
    reading.altitude_m === undefined ? '' : `${reading.altitude_m}m`,
    reading.ovens === undefined ? '' : `ovens${reading.ovens}`,
    reading.batches ? `batches${reading.batches.count}/${reading.batches.apart_min}` : '',
    reading.away_min ? `away${reading.away_min}` : '',
    ...reading.sides.map(({ id }) => `+${id}`),
    ...(reading.seatings ?? []).map(({ at_s, pieces }) => `${pieces.length}@${moment(at_s, timeZone)}`),
    reading.promise_s === undefined || reading.seatings ? '' : `@${moment(reading.promise_s, timeZone)}`,
    reading.between_s === undefined ? '' : `from@${moment(reading.between_s, timeZone)}`,
    reading.put_in_s === undefined ? '' : `${reading.isIn ? 'since' : 'in'}@${moment(reading.put_in_s, timeZone)}`,
    ...asked,
  ].filter((sign) => sign !== '')
  return [
    ...reading.roasts.map((roast) => roastGist(roast, guessed.includes(roast.cut)).sort().join(' ')),
    table.sort().join(' '),
  ].join(' | ')
}

/** The same as it is written in the corpus, in any order. */
export const sorted = (written: string): string =>
  written
    .split('|')
    .map((part) => part.trim().split(/ +/).filter(Boolean).sort().join(' '))
    .join(' | ')
