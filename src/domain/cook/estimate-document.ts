import { z } from 'zod'
import { estimate } from '@/core/estimate/assimilate'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { donenessScale } from '@/core/reference/doneness'
import { findPull } from '@/core/simulate/pull'
import { celsius } from '@/core/units'
import { type Outcome, succeed } from '../problem/problem'
import { pieceOf, resolveRoast } from '../roast/resolve'
import { simulateDocument } from '../roast/roast-document'
import { boardOf } from './board'
import { cookDocument, cookEntry } from './cook-document'
import { forecastOf } from './forecast'

const finite = z.number().finite()

/** What `estimate` reads: a roast as for `simulate`, its readings so far, and how long it has been in. */
export const estimateDocument = simulateDocument.omit({ members: true }).extend({
  readings: z
    .array(
      z.strictObject({
        minute: finite.describe('Since put-in'),
        c: finite,
        probe: z.enum(['core', 'air']).default('core'),
        note: z.string().max(400).optional(),
      }),
    )
    .max(20_000),
  now_min: finite.min(0).describe('Minutes since put-in'),
  plate_min: finite.min(0).optional().describe('Promised minutes since put-in; for options'),
  members: z.int().min(32).max(1024).default(256),
})
export type EstimateDocument = z.output<typeof estimateDocument>

const EPOCH_S = 1_700_000_000
const iso = (minute: number) => new Date((EPOCH_S + minute * 60) * 1000).toISOString()
const minutesOf = (seconds: number) => Math.round((seconds / 60) * 10) / 10

/** The whole of the headless `estimate`. */
export function estimateFrom(document: EstimateDocument): Outcome<unknown> {
  const resolved = resolveRoast(document)
  if (!resolved.ok) return resolved
  const { cut, program, oven, target } = resolved.value
  const piece = pieceOf(cut, document.roast)
  const scale = donenessScale(cut.doneness)
  const setup = {
    bodies: bodiesOf(piece, HEAT_PARAMETERS),
    program,
    oven,
    start_c: document.roast.start_c,
    parameters: HEAT_PARAMETERS,
  }
  const pull_c =
    target.kind === 'pull'
      ? target.pull_c
      : Math.min(...findPull(setup, target.serve_c, undefined, scale.pullFloor_c).pull_c)
  const serve_c = target.kind === 'serve' ? target.serve_c : target.pull_c + 4
  const promise = iso(document.plate_min ?? document.now_min + 240)
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
        serve_c,
        promise,
        put_in: iso(0),
        pull: null,
        carve: promise,
        pull_c,
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
  const now_s = EPOCH_S + document.now_min * 60
  const [board] = boardOf(
    cook,
    [
      entry('in'),
      entry('assign', { device: 'd', channel: 0, point: 'core' }),
      entry('assign', { device: 'd', channel: 1, point: 'air' }),
    ],
    document.readings.map(({ minute, c, probe }) => ({
      device: 'd',
      channel: probe === 'air' ? 1 : 0,
      at_s: EPOCH_S + minute * 60,
      value_c: c,
    })),
    now_s,
  )
  if (!board) throw new RangeError('a cook has an item')
  const forecast = forecastOf(board, now_s, document.seed)
  const main =
    forecast?.estimate ??
    estimate({
      piece,
      body: 0,
      stages: [{ stage: program.stages[0] as (typeof program.stages)[number], from_s: 0 }],
      oven,
      start_c: celsius(document.roast.start_c),
      readings: [],
      now_s: 0,
      pull_c,
      rest_s: 1200,
      measured: document.roast.thickness_mm !== null,
      parameters: HEAT_PARAMETERS,
      members: document.members,
      seed: document.seed,
    })
  const span = ({ p10, p50, p90 }: typeof main.pull_s, of: (value: number) => number) => ({
    p10: of(p10),
    p50: of(p50),
    p90: of(p90),
  })
  return succeed({
    version: 1,
    pull_c: Math.round(pull_c * 100) / 100,
    pull_min: span(main.pull_s, minutesOf),
    left_min: span(main.pull_s, (value) => minutesOf(Math.max(0, value - document.now_min * 60))),
    peak_c: span(main.peak_c, (value) => Math.round(value * 100) / 100),
    inferred: main.inferred.map(({ name, mean, spread, prior }) => ({
      name,
      mean: Math.round(mean * 1000) / 1000,
      spread: Math.round(spread * 1000) / 1000,
      before: prior,
    })),
    misfit_k: Math.round(main.misfit_k * 100) / 100,
    odd: board.odd.map((odd) => ({ ...odd, minute: minutesOf(odd.at_s - EPOCH_S) })),
    options: (document.plate_min === undefined ? [] : (forecast?.advice ?? [])).map((advice) => ({
      code: advice.code,
      set_c: advice.set_c ?? null,
      pull_c: advice.pull_c ?? null,
      pull_min: minutesOf(advice.pull_s - EPOCH_S),
      plate_min: minutesOf(advice.plate_s - EPOCH_S),
      peak_c: Math.round(advice.peak_c * 100) / 100,
    })),
  })
}
