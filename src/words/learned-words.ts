import { P10_DEVIATIONS } from '@/core/estimate/random'
import { type LearnedThing, TILT_AT_C } from '@/domain/learn/learned'
import type { LearnedPart } from '@/domain/roast/roast-document'
import { duration, rise, temperature, type Units } from './units'

/** What cooks taught, in words. */

const cooksWords = (cooks: number) => (cooks === 1 ? 'one cook' : `${cooks} cooks`)
const percent = (share: number) => `${Math.abs(Math.round(100 * share))} %`

/** What a thing was found to be, as a sentence. */
export function learnedSentence(thing: Pick<LearnedThing, 'of' | 'name' | 'mean' | 'tilt'>, units: Units): string {
  const { of, name, mean } = thing
  switch (of) {
    case 'oven': {
      const off =
        Math.abs(mean) < 0.5
          ? `${capital(name)} keeps to its dial`
          : `${capital(name)} runs ${rise(Math.abs(mean), units)} ${mean < 0 ? 'colder' : 'hotter'} than its dial`
      const tilt = thing.tilt ?? 0
      return Math.abs(tilt) < 1
        ? off
        : `${off} at ${temperature(TILT_AT_C, units)}, and ${rise(Math.abs(tilt), units)} ${tilt < 0 ? 'less' : 'more'} for each ${rise(100, units)} hotter`
    }
    case 'probe':
      return Math.abs(mean) < 0.15
        ? `${name} reads true`
        : `${name} reads ${rise(Math.abs(mean), units)} ${mean > 0 ? 'high' : 'low'}`
    case 'preheat':
      return `${capital(name)} warms ${percent(Math.exp(mean) - 1)} ${mean < 0 ? 'slower' : 'faster'} than most`
    case 'door':
      return `${capital(name)} loses ${percent(Math.exp(mean) - 1)} ${mean < 0 ? 'less' : 'more'} at an opened door than most`
    case 'swing':
      return `${capital(name)}’s thermostat swings ${percent(Math.exp(mean) - 1)} ${mean < 0 ? 'less' : 'more'} than most`
    case 'decay':
      return `${capital(name)} cools ${percent(Math.exp(mean) - 1)} ${mean < 0 ? 'faster' : 'slower'} than most with the heat off`
    case 'cut':
    case 'supplier':
      return Math.abs(mean) < 0.005
        ? `${capital(name)}: as thick as its weight says`
        : `${capital(name)}: ${percent(Math.exp(mean) - 1)} ${mean > 0 ? 'thicker' : 'thinner'} than its weight says`
    default:
      return of satisfies never
  }
}

/** Where it lies eight times in ten. */
export function learnedInterval(
  { of, mean, spread }: Pick<LearnedThing, 'of' | 'mean' | 'spread'>,
  units: Units,
): string {
  const [low, high] = [mean - P10_DEVIATIONS * spread, mean + P10_DEVIATIONS * spread]
  if (of !== 'oven' && of !== 'probe') {
    const of100 = (value: number) => `${Math.round(100 * (Math.exp(value) - 1))}`
    return `${signed(of100(low))} to ${signed(of100(high))} %`
  }
  return `${low < 0 ? '−' : '+'}${rise(Math.abs(low), units)} to ${high < 0 ? '−' : '+'}${rise(Math.abs(high), units)}`
}

/** What a plan took over from earlier cooks, and what that did to it. */
export function usedSentence(part: LearnedPart, units: Units): string {
  const { of, name, value, cooks, later_min } = part
  const what =
    of === 'oven'
      ? `${name === '' ? 'the oven' : name} runs ${rise(Math.abs(value), units)} ${value < 0 ? 'colder' : 'hotter'} than its dial`
      : of === 'preheat'
        ? `${name} warms by ${rise(value, units)} a minute`
        : of === 'door'
          ? `${name} loses ${percent(value)} of its heat when it is opened`
          : of === 'swing'
            ? `${name}’s thermostat swings ${rise(value, units)} either way`
            : of === 'decay'
              ? `${name} takes ${duration(value * 60)} to lose two thirds of its heat once it is off`
              : `${name} comes ${percent(value - 1)} ${value > 1 ? 'thicker' : 'thinner'} than its weight says`
  const did =
    later_min === null
      ? ''
      : later_min === 0
        ? ', which moves nothing'
        : `, so it goes in ${Math.abs(later_min)} min ${later_min > 0 ? 'later' : 'earlier'}`
  return `${capital(what)}: learned from ${cooksWords(cooks)}${did}.`
}

const signed = (text: string) => (text.startsWith('-') ? text.replace('-', '−') : `+${text}`)
const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`
