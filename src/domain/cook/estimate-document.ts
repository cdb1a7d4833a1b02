import { z } from 'zod'
import type { Spread } from '@/core/estimate/ensemble'
import { answerRoast } from '@/core/roast/answer'
import { carveSeconds } from '@/core/schedule/carving'
import { type Outcome, succeed } from '../problem/problem'
import { hundredth } from '../quantity/round'
import { questionOf } from '../roast/question'
import { simulateDocument } from '../roast/roast-document'
import { finite, probeCelsius, text } from '../schema/scalars'
import { boardOf } from './board'
import { cookDocument, cookEntry } from './cook-document'
import { forecastOf } from './forecast'

/** Where a probe may be; `core` of a bird is its first point. */
export const PROBED = ['core', 'thin_end', 'breast', 'thigh', 'stuffing', 'air'] as const

/**
 * The point of a roast that a probe is in: `core` of a piece that has none is its first.
 * @example pointProbed(['breast', 'thigh'], 'core') // 'breast'
 */
export const pointProbed = (points: readonly string[], probe: (typeof PROBED)[number]): string =>
  probe === 'core' && !points.includes('core') ? (points[0] as string) : probe

/** What `estimate` reads: a roast as for `simulate`, its readings so far, and how long it has been in. */
export const estimateDocument = simulateDocument.omit({ members: true }).extend({
  readings: z
    .array(
      z.strictObject({
        minute: finite.min(-1440).max(4320).describe('Since put-in'),
        c: probeCelsius,
        probe: z.enum(PROBED).default('core'),
        note: text(400).optional(),
      }),
    )
    .max(20_000),
  now_min: finite.min(0).max(4320).describe('Minutes since put-in'),
  plate_min: finite.min(0).max(10_000).optional().describe('Promised minutes since put-in; for options'),
  members: z.int().min(32).max(1024).default(256).describe('Size of the ensemble'),
})
export type EstimateDocument = z.output<typeof estimateDocument>

const spread = z.object({ p10: finite.nullable(), p50: finite.nullable(), p90: finite.nullable() })

/** What `estimate` answers. */
export const estimateAnswer = z.object({
  version: z.literal(1),
  outcome: z.enum(['arriving', 'cannot']),
  because: z.array(z.looseObject({ code: z.string() })).describe('Why it cannot be; empty where it can'),
  pull_c: finite.nullable(),
  pull_min: spread.describe('Minutes since put-in'),
  left_min: spread.describe('Minutes from now to the pull'),
  carve_min: spread.describe('When the knife begins, minutes since put-in'),
  plate_min: finite.nullable().describe('On the table, minutes since put-in'),
  peak_c: spread,
  points: z.array(z.object({ point: z.string(), at_pull_c: finite.nullable(), peak_c: finite.nullable() })),
  cautions: z.array(z.looseObject({ code: z.string() })),
  inferred: z.array(z.object({ name: z.string(), mean: finite, spread: finite, before: finite })),
  misfit_k: finite,
  members: finite,
  odd: z.array(z.looseObject({ code: z.string(), minute: finite })),
  options: z.array(
    z.object({
      code: z.string(),
      set_c: finite.nullable(),
      pull_c: finite.nullable(),
      pull_min: finite,
      plate_min: finite,
      peak_c: finite,
    }),
  ),
})
export type EstimateAnswer = z.output<typeof estimateAnswer>

const EPOCH_S = 1_700_000_000
const iso = (minute: number) => new Date((EPOCH_S + minute * 60) * 1000).toISOString()
const minutesOf = (seconds: number) => Math.round((seconds / 60) * 10) / 10
const orNull = (value: number, of: (value: number) => number) => (Number.isFinite(value) ? of(value) : null)
const spreadOf = ({ p10, p50, p90 }: Spread, of: (value: number) => number) => ({
  p10: orNull(p10, of),
  p50: orNull(p50, of),
  p90: orNull(p90, of),
})
/** Where nobody said when they eat, this is late enough for no way out to matter, minutes. */
const SOME_DAY_MIN = 10_000

/** The whole of the headless `estimate`: a board of one roast, with the entries and readings of the document. */
export function estimateFrom(document: EstimateDocument): Outcome<EstimateAnswer> {
  const asked = questionOf(document, { rest: 'as_said', members: 8, seed: document.seed })
  if (!asked.ok) return asked
  const { question, resolved } = asked.value
  const answer = answerRoast(question)
  const points = answer.run.points
  const { target, cut } = resolved
  const promise = iso(document.plate_min ?? SOME_DAY_MIN)
  const carving_min = carveSeconds(document.roast.mass_kg) / 60
  const cook = cookDocument.parse({
    title: cut.name,
    clock: { origin: iso(0), real: iso(0) },
    items: [
      {
        id: 'roast',
        title: cut.name,
        roast: document.roast,
        oven: document.oven,
        program: document.program,
        serve_c: target.kind === 'serve' ? target.serve_c : target.pull_c,
        promise,
        put_in: iso(0),
        pull: null,
        carve: iso((document.plate_min ?? SOME_DAY_MIN) - carving_min),
        pull_c: answer.pull_c,
        altitude_m: document.altitude_m,
        vulnerable: document.vulnerable,
        points: [...points],
      },
    ],
  })
  const entry = (kind: string, more: object = {}) =>
    cookEntry.parse({
      id: `headless-${kind}-${JSON.stringify(more)}`.slice(0, 64),
      kind,
      at: iso(0),
      item: 'roast',
      ...more,
    })
  const pointOf = (probe: (typeof PROBED)[number]) => pointProbed(points, probe)
  const probes = [...new Set(document.readings.map(({ probe }) => pointOf(probe)))]
  const now_s = EPOCH_S + document.now_min * 60
  const [board] = boardOf(
    cook,
    [entry('in'), ...probes.map((point, channel) => entry('assign', { device: 'd', channel, point }))],
    document.readings.map(({ minute, c, probe }) => ({
      device: 'd',
      channel: probes.indexOf(pointOf(probe)),
      at_s: EPOCH_S + minute * 60,
      value_c: c,
    })),
    now_s,
  )
  if (!board) throw new RangeError('a cook has an item')
  const forecast = forecastOf(board, now_s, document.seed, [], document.members)
  if (!forecast) throw new RangeError('a roast that is in has a forecast')
  const { estimate } = forecast
  const arrives = Number.isFinite(estimate.pull_s.p50) && answer.outcome !== 'cannot'
  const promised = document.plate_min !== undefined
  return succeed({
    version: 1,
    outcome: arrives ? 'arriving' : 'cannot',
    because: [...answer.hindrances],
    pull_c: arrives ? hundredth(answer.pull_c) : null,
    pull_min: spreadOf(estimate.pull_s, minutesOf),
    left_min: spreadOf(estimate.pull_s, (value) => minutesOf(Math.max(0, value - document.now_min * 60))),
    carve_min: spreadOf(estimate.carve_s, minutesOf),
    plate_min: orNull(promised ? forecast.plate_s - EPOCH_S : estimate.carve_s.p50 + carving_min * 60, minutesOf),
    peak_c: spreadOf(estimate.peak_c, hundredth),
    points: estimate.points.map(({ pull_c, peak_c }, i) => ({
      point: points[i] as string,
      at_pull_c: orNull(pull_c, hundredth),
      peak_c: orNull(peak_c, hundredth),
    })),
    cautions: [...answer.cautions],
    inferred: estimate.inferred.map(({ name, mean, spread: deviation, prior }) => ({
      name,
      mean: Math.round(mean * 1000) / 1000,
      spread: Math.round(deviation * 1000) / 1000,
      before: prior,
    })),
    misfit_k: hundredth(estimate.misfit_k),
    members: estimate.members,
    odd: board.odd.map((odd) => ({ ...odd, minute: minutesOf(odd.at_s - EPOCH_S) })),
    options: (promised && arrives ? forecast.advice : []).map((advice) => ({
      code: advice.code,
      set_c: advice.set_c ?? null,
      pull_c: advice.pull_c === undefined ? null : hundredth(advice.pull_c),
      pull_min: minutesOf(advice.pull_s - EPOCH_S),
      plate_min: minutesOf(advice.plate_s - EPOCH_S),
      peak_c: hundredth(advice.peak_c),
    })),
  })
}
