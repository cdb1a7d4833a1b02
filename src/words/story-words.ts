import type { CauseName } from '@/core/estimate/causes'
import { findSchool } from '@/core/program/schools'
import { ATE_WORDS, type Ate, type AteAspect } from '@/domain/cook/ate'
import type { StoryItem } from '@/domain/cook/story/story'
import { duration, length, mass, rise, temperature, type Units } from './units'
import { schoolName } from './words'

/** Cooks that are over, in words. */

export const ASPECT_NAMES: Readonly<Record<AteAspect, string>> = {
  plate: 'On the plate',
  crust: 'Crust',
  juice: 'Juice',
  tender: 'Bite',
}
const ATE_NAMES: { readonly [Aspect in AteAspect]: Readonly<Record<(typeof ATE_WORDS)[Aspect][number], string>> } = {
  plate: { under: 'underdone', as_wanted: 'as wanted', over: 'overdone' },
  crust: { pale: 'pale', as_wanted: 'as wanted', dark: 'too dark' },
  juice: { dry: 'dry', as_wanted: 'as wanted', wet: 'ran out' },
  tender: { tough: 'tough', as_wanted: 'as wanted', soft: 'too soft' },
}

/**
 * A word of how it ate.
 * @example ateName('crust', 'dark') // 'too dark'
 */
export const ateName = (aspect: AteAspect, word: string): string =>
  (ATE_NAMES[aspect] as Readonly<Record<string, string>>)[word] ?? word

/** How it ate in one sentence; undefined where nobody said. */
export function ateSentence(ate: Ate, units: Units): string | undefined {
  const said = (Object.keys(ATE_WORDS) as AteAspect[]).flatMap((aspect) => {
    const word = ate[aspect]
    return word === undefined ? [] : [`${ASPECT_NAMES[aspect].toLowerCase()} ${ateName(aspect, word)}`]
  })
  const left = Number(ate.left)
  if (ate.left !== undefined && Number.isFinite(left)) said.push(`${mass(left, units)} left over`)
  if (said.length === 0) return undefined
  const sentence = said.join(', ')
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`
}

export const VERDICT_NAMES = { under: 'underdone', as_wanted: 'as wanted', over: 'overdone' } as const

/**
 * The name of a school of a story, or what the house calls its own stages.
 * @example storySchool('steady') // 'One steady oven'
 */
export const storySchool = (school: string): string =>
  findSchool(school) ? schoolName(school) : school === '' ? 'own stages' : school

/** What a cause did, and how sure its reading is of it. */
export function causeSentence(item: StoryItem, cause: StoryItem['causes'][number], units: Units): string {
  const what: CauseName = cause.what
  const value = cause.value ?? 0
  switch (what) {
    case 'oven':
      return `the oven ${rise(Math.abs(value), units)} ${value < 0 ? 'colder' : 'hotter'} than its dial${cause.spread === null ? '' : `, give or take ${rise(cause.spread, units)}`}`
    case 'thickness': {
      const more_m = item.thickness_m * (Math.exp(value) - 1)
      return `the piece ${length(Math.abs(more_m), units)} ${more_m > 0 ? 'thicker' : 'thinner'} than was planned with`
    }
    case 'start':
      return `it started ${rise(Math.abs(value), units)} ${value < 0 ? 'colder' : 'warmer'}`
    case 'meat':
      return 'this meat took its heat otherwise: wetter or drier outside, another grain'
    case 'door':
      return item.doors > 0
        ? `the door, opened ${item.doors} ${item.doors === 1 ? 'time' : 'times'}, and what else was done to it`
        : 'what was done to it on the way'
    case 'dial':
      return 'the oven set otherwise on the way'
    case 'reading':
      return `pulled at another reading than planned${item.went.pull_c === null ? '' : `, ${temperature(item.went.pull_c, units)}`}`
    default:
      return what satisfies never
  }
}

/** By how much something was sooner or later; under a minute it was neither. */
export const laterWords = (later_s: number): string =>
  Math.abs(later_s) < 60 ? 'to the minute' : `${duration(Math.abs(later_s))} ${later_s > 0 ? 'later' : 'sooner'}`
