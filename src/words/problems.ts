import { findSchool } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import type { Problem } from '@/domain/problem/problem'
import { hindranceWords } from './cautions'
import { ROLE_WORDS } from './people'
import { clock, length, mass, shortDay, temperature, type Units } from './units'

const list = (words: readonly string[]) =>
  words.length === 0
    ? ''
    : words.length === 1
      ? (words[0] as string)
      : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`
const plain = (id: string) => id.replaceAll('-', ' ')
const nearest = (words: readonly string[]) => (words.length > 0 ? ` Did you mean ${list(words.map(plain))}?` : '')

const a = (word: string) => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`
const WHAT: Readonly<Record<string, string>> = {
  mass_kg: 'weight',
  thickness_mm: 'thickness',
  start_c: 'start temperature',
  temper_min: 'time on the bench',
  offset_k: 'oven offset',
  set_c: 'heat',
  hot_c: 'hot heat',
  hot_min: 'hot minutes',
  rest_min: 'rest',
  serve_c: 'doneness',
  pull_c: 'pull reading',
  promise_s: 'promise',
  minutes: 'minutes',
}
const nameOf = (key: string | number | undefined) => WHAT[String(key)] ?? String(key ?? 'value')

/** A problem as a clear sentence that says what to do. */
export function problemSentence(problem: Problem, units: Units): string {
  switch (problem.code) {
    case 'missing_cut':
      return `Say which cut, such as ${list(problem.nearest.map(plain))}.`
    case 'line_of_a_meal':
      return 'That is a whole meal, not one roast: plan it as a meal.'
    case 'missing_guests':
      return 'Say how many eat, such as 38 people.'
    case 'missing_time':
      return 'Say when they eat, such as Saturday 19:30.'
    case 'only_guests_and_time':
      return `“${problem.words}” is not understood. Say only how many and when; what they eat comes next.`
    case 'missing_doneness':
      return 'Say how done it is wanted.'
    case 'nothing_placed':
      return 'No roast of this meal has a place yet: plan it first.'
    case 'no_cavity':
      if (problem.flat)
        return 'A bird pressed flat has no cavity: bake the stuffing in a dish beside it, or leave the bird whole.'
      return 'Only a whole bird has a cavity to stuff; for a rolled piece say it is stuffed and rolled.'
    case 'no_thin_end':
      return 'A bird has no thin end.'
    case 'missing_heat':
      return `${problem.title} needs ${problem.source === 'oven' ? 'an oven in its range' : `a ${problem.source}`} that this kitchen does not have. Change its school or the kitchen.`
    case 'no_document':
      return 'That is no document of this kitchen.'
    case 'version_unknown':
      return `That is version ${problem.version}; this release reads 1 to ${problem.newest}. Open it with the release that wrote it.`
    case 'line_too_long':
      return `That is ${problem.given} characters long; a line may have ${problem.most}. Say one roast, or one table, at a time.`
    case 'unknown_cut':
      return `There is no cut “${problem.given}”.${nearest(problem.nearest)}`
    case 'unknown_school':
      return `There is no school “${problem.given}”.${nearest(problem.nearest)}`
    case 'unknown_doneness':
      return `“${problem.given}” is no doneness of this cut. Choose ${list(problem.nearest.map(plain))}.`
    case 'school_does_not_suit':
      return `${findSchool(problem.school)?.name ?? problem.school} is not for ${findCut(problem.cut)?.name.toLowerCase() ?? problem.cut}. Choose ${list(problem.nearest.map((id) => findSchool(id)?.name.toLowerCase() ?? id))}.`
    case 'out_of_range': {
      const show = (value: number) =>
        problem.quantity === 'mass_kg'
          ? mass(value, units)
          : problem.quantity === 'temperature_c'
            ? temperature(value, units)
            : problem.quantity === 'minutes'
              ? `${Math.round(value)} min`
              : problem.quantity === 'length_mm'
                ? length(value / 1000, units)
                : String(value)
      const of = problem.cut ? ` for ${findCut(problem.cut)?.name.toLowerCase() ?? problem.cut}` : ''
      const value = problem.quantity === 'mass_kg' && problem.value <= 0 ? `${problem.value} kg` : show(problem.value)
      return `The ${nameOf(problem.path.at(-1))} ${value} is out of range${of}: give ${show(problem.low)} to ${show(problem.high)}.`
    }
    case 'thickness_contradicts_mass':
      return `${length(problem.thickness_mm / 1000, units)} thick does not go with ${mass(problem.mass_kg, units)}: a piece of that weight is ${length(problem.low_mm / 1000, units)} to ${length(problem.high_mm / 1000, units)} through. Measure the shortest way, or check the weight.`
    case 'cannot_be':
      return hindranceWords(problem.because, units)
    case 'heat_below_target':
      return `At ${temperature(problem.set_c, units)} it never gets to ${temperature(problem.serve_c, units)} inside. Set it at least ${temperature(problem.serve_c + 8, units)}.`
    case 'start_above_target':
      return `It starts at ${temperature(problem.start_c, units)}, already past ${temperature(problem.serve_c, units)}. Give the temperature in the fridge.`
    case 'promise_passed':
      return `${clock(Date.parse(problem.promise) / 1000, units)} on ${shortDay(Date.parse(problem.promise) / 1000, units)} has passed. Promise a time that is still to come.`
    case 'promise_too_far':
      return `The promise is ${problem.days} days away. Check the year.`
    case 'malformed':
      return problem.path.length > 0 ? `${problem.path.join(' › ')}: ${problem.detail}` : problem.detail
    case 'malformed_json':
      return `This is not JSON: ${problem.detail}`
    case 'unreadable':
      return `“${problem.what}” is kept, but this release cannot read it (${problem.detail}). Nothing of it is lost; open it with the release that wrote it.`
    case 'not_found':
      return `There is no ${problem.path.at(-1)} ${problem.what} here.`
    case 'stale_version':
      return `Someone else saved version ${problem.theirs} meanwhile; yours started from ${problem.yours}. Both are kept.`
    case 'too_large':
      return `That is more than ${Math.round(problem.most_bytes / 1024)} kB, the most this address takes. Send it in parts.`
    case 'too_deep':
      return `Its parts lie more than ${problem.most} deep in each other: that is no document of this kitchen.`
    case 'too_many':
      if (problem.path[0] === 'photos') return `There are ${problem.most} pictures of it already: take one away first.`
      return `A list in it has more than ${problem.most} entries, the most this address takes. Send it in parts.`
    case 'out_of_time':
      return `No answer within ${problem.limit_s} s. Ask once more: the machine may be busy with others. If that is no help, ask for less: fewer roasts and sides, fewer stages or members.`
    case 'too_busy':
      return `The kitchen’s computer is busy. Try again in ${problem.retry_s} s.`
    case 'reckoning_stopped':
      return 'This device stopped reckoning. Nothing is lost: change anything, and it is reckoned again.'
    case 'not_signed_in':
      return 'Sign in first: nobody has said who this is.'
    case 'not_allowed':
      return `${capital(a(ROLE_WORDS[problem.role]))} may not do that here: it takes ${a(ROLE_WORDS[problem.least])}. Ask an owner of the kitchen.`
    case 'too_often':
      return `That was asked too often. Try again in ${problem.retry_s < 90 ? `${Math.max(1, Math.ceil(problem.retry_s))} seconds` : `${Math.ceil(problem.retry_s / 60)} minutes`}.`
    case 'unavailable':
      return `The kitchen’s records do not answer. Nothing is lost; try again in ${problem.retry_s} s.`
    case 'id_reused':
      return `Another entry already has the id ${problem.id}. Give this one an id of its own.`
    case 'sequence_reused':
      return `Channel ${problem.channel} already has another reading ${problem.seq}. A device that counts from the start again sends a session of its own.`
    default:
      return problem satisfies never
  }
}
