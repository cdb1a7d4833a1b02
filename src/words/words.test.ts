import { describe, expect, it } from 'vitest'
import type { Stage } from '@/core/program/stage'
import { findCut } from '@/core/reference/cuts'
import type { Caution } from '@/core/safety/cautions'
import type { Trouble } from '@/core/schedule/plan'
import { TASK_KINDS, type Task, type TaskKind } from '@/core/schedule/task'
import { celsius, epochSeconds, minutes } from '@/core/units'
import type { Problem } from '@/domain/problem/problem'
import { cautionWords, troubleWords } from './cautions'
import { problemSentence } from './problems'
import { taskHelp, taskTitle, taskWhy } from './tasks'
import { clock, duration, length, localInput, mass, rise, shortDay, temperature, type Units } from './units'
import { donenessName, programName, surroundings } from './words'

const metric: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'Europe/London' }
const imperial: Units = { temperature: 'f', mass: 'lb', clock: '12h', timeZone: 'America/New_York' }
const T = Date.UTC(2026, 11, 25, 19) / 1000
const rib = findCut('beef-rib-bone-in') as NonNullable<ReturnType<typeof findCut>>
const turkey = findCut('turkey') as NonNullable<ReturnType<typeof findCut>>
const NOTHING_LEFT = /undefined|NaN|\[object|Infinity/

const stage = (environment: Stage['environment'], more: Partial<Stage> = {}): Stage => ({
  role: 'cook',
  environment,
  cover: 'bare',
  preheated: true,
  until: { kind: 'pull' },
  tending: [],
  ...more,
})

describe('numbers in the units of whoever reads', () => {
  it('temperatures and rises: a rise in °F has no 32', () => {
    expect(temperature(100, metric)).toBe('100 °C')
    expect(temperature(100, imperial)).toBe('212 °F')
    expect(rise(5, imperial)).toBe('9 °F')
    expect(rise(5, metric)).toBe('5.0 °C')
  })

  it('weights and lengths', () => {
    expect(mass(2.7, metric)).toBe('2.7 kg')
    expect(mass(0.45, metric)).toMatch(/g/)
    expect(mass(2.7, imperial)).toMatch(/lb/)
    expect(length(0.112, metric)).toBe('112 mm')
    expect(length(0.0254, imperial)).toMatch(/1.*in/)
  })

  it('times in the kitchen’s zone and the reader’s clock', () => {
    expect(clock(T, metric)).toBe('19:00')
    expect(clock(T, imperial).toLowerCase()).toMatch(/2:00\s?pm/)
    expect(localInput(T, metric)).toBe('2026-12-25T19:00')
    expect(localInput(T, imperial)).toBe('2026-12-25T14:00')
    expect(shortDay(T, metric)).toContain('25')
    expect(duration(3900)).toMatch(/1 h 5 min/)
    expect(duration(300)).toBe('5 min')
  })
})

describe('surroundings and programs', () => {
  it('every surrounding has words, with cover and heat', () => {
    const all: Stage['environment'][] = [
      { kind: 'oven', heat: 'on', set_c: celsius(150) },
      { kind: 'oven', heat: 'off' },
      { kind: 'fire', set_c: celsius(170) },
      { kind: 'fire', set_c: celsius(300) },
      { kind: 'pan', set_c: celsius(230) },
      { kind: 'bath', set_c: celsius(56) },
      { kind: 'cabinet', set_c: celsius(60) },
      { kind: 'counter' },
      { kind: 'fridge' },
    ]
    const words = all.map((environment) => surroundings(stage(environment), metric))
    expect(new Set(words).size).toBe(all.length)
    for (const each of words) expect(each).not.toMatch(NOTHING_LEFT)
    // Who wraps a brisket in a smoker is told to.
    expect(surroundings(stage({ kind: 'fire', set_c: celsius(107) }, { cover: 'foil' }), metric)).toContain(
      'under foil',
    )
    expect(surroundings(stage({ kind: 'oven', heat: 'on', set_c: celsius(150) }, { cover: 'foil' }), imperial)).toBe(
      'oven at 302 °F, under foil',
    )
  })

  it('a program is called by its school, its name, or own stages', () => {
    expect(programName({ school: 'reverse-sear' })).toBe('Reverse sear')
    expect(programName({ name: 'The Friday way', stages: [] })).toBe('The Friday way')
    expect(programName({ stages: [] })).toBe('Own stages')
    expect(donenessName('medium-rare')).toBe('medium-rare')
    expect(donenessName('just-done')).toBe('just done')
  })
})

describe('tasks', () => {
  const numbers = {
    ahead_h: 24,
    minutes: 20,
    set_c: 150,
    pull_c: 50,
    serve_c: 55,
    rise_k: 5,
    peak_after_min: 20,
    cook_min: 150,
    rest_min: 30,
  }
  const task = (kind: TaskKind, more: Partial<Task> = {}): Task => ({
    kind,
    at: epochSeconds(T),
    hands_s: 60,
    set_c: 150,
    pull_c: 50,
    because: { basis: 'model', numbers },
    ...more,
  })

  for (const kind of TASK_KINDS)
    it(`${kind} has a title, a reason and nothing left blank, for a roast and a bird`, () => {
      for (const cut of [rib, turkey])
        for (const more of [
          {},
          { stage: stage({ kind: 'oven', heat: 'on', set_c: celsius(150) }) },
          { act: 'turn' as const },
        ]) {
          expect(taskTitle(task(kind, more), { cut }, metric)).not.toMatch(NOTHING_LEFT)
          expect(taskTitle(task(kind, more), { cut }, metric).length).toBeGreaterThan(1)
          expect(taskWhy(task(kind, more), imperial)).not.toMatch(NOTHING_LEFT)
          expect(taskHelp(task(kind, more), { cut }, imperial) ?? '').not.toMatch(NOTHING_LEFT)
        }
    })

  it('the caution stands at the step where it bites', () => {
    expect(
      taskHelp(task('put_in', { stage: stage({ kind: 'pan', set_c: celsius(230) }) }), { cut: rib }, metric),
    ).toContain('Hot fat')
    expect(
      taskHelp(task('put_in', { stage: stage({ kind: 'fire', set_c: celsius(170) }) }), { cut: rib }, metric),
    ).toContain('Outdoors')
    expect(taskHelp(task('take_out'), { cut: turkey }, metric)).toContain('giblet')
    expect(taskHelp(task('salt'), { cut: turkey }, metric)).toContain('wash')
    expect(taskHelp(task('serve'), { cut: rib }, metric)).toContain('57')
    expect(
      taskHelp(task('rest', { stage: stage({ kind: 'cabinet', set_c: celsius(60) }) }), { cut: rib }, metric),
    ).toContain('57')
    expect(taskHelp(task('pull'), { cut: turkey }, metric)).toContain('inner thigh')
  })
})

describe('cautions, troubles and problems in words', () => {
  const cautions: readonly Caution[] = [
    { code: 'below_consumer_minimum', peak_c: 55, minimum_c: 62.8, choice: true },
    { code: 'below_consumer_minimum', peak_c: 70, minimum_c: 73.9, choice: false },
    { code: 'hold_table_met', at_s: 7200 },
    { code: 'hold_table_not_met', share: 0.3 },
    { code: 'not_intact', peak_c: 55, minimum_c: 62.8 },
    { code: 'slow_oven', set_c: 80, limit_c: 93 },
    { code: 'long_danger_zone', hours: 5 },
    { code: 'long_temper', minutes: 180, limit_minutes: 120 },
    { code: 'heat_off', core_c: 55 },
    { code: 'raw_poultry' },
    { code: 'hot_tin' },
    { code: 'fire' },
    { code: 'chill_leftovers' },
    { code: 'vulnerable_guest', peak_c: 55, minimum_c: 62.8 },
    { code: 'stuffing_short', peak_c: 66, minimum_c: 73.9 },
    { code: 'stuffed_bird' },
    { code: 'retail_oven', set_c: 120, least_c: 177 },
    { code: 'frozen_start', core_c: -3 },
    { code: 'poultry_decades_short', decades: 4, wanted: 7 },
    { code: 'cabinet_too_cool', set_c: 52, least_c: 57 },
    { code: 'cools_fast', minutes: 4 },
  ]

  it('each caution says its numbers in both units and weighs what it should', () => {
    const weights = Object.fromEntries(
      cautions.map((caution) => [
        `${caution.code}${'choice' in caution ? caution.choice : ''}`,
        cautionWords(caution, metric).weight,
      ]),
    )
    for (const caution of cautions)
      for (const units of [metric, imperial]) expect(cautionWords(caution, units).text).not.toMatch(NOTHING_LEFT)
    expect(weights).toMatchObject({
      below_consumer_minimumtrue: 'choice',
      below_consumer_minimumfalse: 'danger',
      not_intact: 'danger',
      vulnerable_guest: 'danger',
      stuffing_short: 'danger',
      poultry_decades_short: 'danger',
      cabinet_too_cool: 'danger',
      hold_table_met: 'good',
      raw_poultry: 'note',
    })
  })

  it('each trouble says what is wrong', () => {
    const troubles: readonly Trouble[] = [
      { code: 'start_passed', late_s: 600, earliestPromise: epochSeconds(T), hotter: undefined },
      {
        code: 'thaw_passed',
        at: epochSeconds(T),
        takes_s: 86_400,
        earliestPromise: epochSeconds(T),
        water: { at: epochSeconds(T), takes_s: 3600 },
      },
      { code: 'promise_passed', late_s: 600, earliestPromise: epochSeconds(T) },
      { code: 'never_reached', highest_c: 48, wanted_c: 55, setting_c: 50 },
      { code: 'stage_never_ends', stage: 1, highest_c: 48 },
      { code: 'water_boils', boiling_c: 91.3, wanted_c: 93 },
      { code: 'passed_before_pull', peak_c: 68, wanted_c: 55 },
      { code: 'rise_too_great', rise_k: 40, most_k: 25 },
      { code: 'rest_too_long', longest_s: 5400, most_s: 3600 },
      {
        code: 'clock_misses_doneness',
        peak_c: 66,
        wanted_c: 55,
        right: { stage: 0, minutes: 24, perKilo_min: undefined, mass_kg: undefined, start_c: undefined },
      },
    ]
    const words = troubles.map((trouble) => troubleWords(trouble, metric))
    expect(new Set(words).size).toBe(troubles.length)
    for (const each of words) expect(each).not.toMatch(NOTHING_LEFT)
  })

  it('each problem says what to do', () => {
    const path = ['roast', 'mass_kg']
    const problems: readonly Problem[] = [
      { code: 'missing_cut', nearest: ['turkey'] } as Problem,
      { code: 'line_of_a_meal', path },
      { code: 'unknown_cut', path, given: 'cow', nearest: ['beef-rib-bone-in'] },
      { code: 'unknown_school', path, given: 'x', nearest: ['steady'] },
      { code: 'unknown_doneness', path, given: 'purple', nearest: ['rare', 'medium'] },
      { code: 'school_does_not_suit', path, school: 'bird-turned', cut: 'pork-loin', nearest: ['steady'] },
      { code: 'out_of_range', path, quantity: 'mass_kg', value: -2, low: 0.6, high: 14, cut: 'beef-rib-bone-in' },
      { code: 'out_of_range', path: ['program', 'set_c'], quantity: 'temperature_c', value: 900, low: 60, high: 300 },
      { code: 'thickness_contradicts_mass', path, thickness_mm: 300, mass_kg: 2, low_mm: 60, high_mm: 140 },
      { code: 'missing_guests', path },
      { code: 'missing_time', path },
      { code: 'only_guests_and_time', path, words: 'purple' },
      { code: 'missing_doneness', path },
      { code: 'nothing_placed', path },
      { code: 'no_cavity', path },
      { code: 'no_cavity', path, flat: true },
      { code: 'no_thin_end', path },
      { code: 'missing_heat', path, title: 'Rib', source: 'fire' },
      { code: 'no_document', path },
      { code: 'version_unknown', path, version: '9', newest: 1 },
      { code: 'line_too_long', given: 900, most: 400 },
      { code: 'cannot_be', path, because: { code: 'passed_before_pull', peak_c: 68, wanted_c: 55 } },
      { code: 'heat_below_target', path, set_c: 50, serve_c: 55 },
      { code: 'start_above_target', path, start_c: 60, serve_c: 55 },
      { code: 'promise_passed', path, promise: '2026-01-01T12:00:00Z', now: '2026-01-02T12:00:00Z' },
      { code: 'promise_too_far', path, days: 800 },
      { code: 'malformed', path, detail: 'must be a number' },
      { code: 'malformed_json', path: [], detail: 'line 1' },
      { code: 'unreadable', path: ['plan'], what: 'pln_x', detail: 'is version 9' },
      { code: 'not_found', path: ['plan'], what: 'pln_x' },
      { code: 'stale_version', path: [], yours: 1, theirs: 2 },
    ]
    for (const problem of problems) {
      const words = problemSentence(problem, imperial)
      expect(words).not.toMatch(NOTHING_LEFT)
      expect(words.length).toBeGreaterThan(12)
    }
    expect(problemSentence(problems[2] as Problem, metric)).toContain('beef rib bone in')
  })
})

it('minutes are seconds inside', () => {
  expect(minutes(2)).toBe(120)
})
