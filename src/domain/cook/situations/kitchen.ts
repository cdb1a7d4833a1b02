import { prepareRoast } from '@/core/roast/prepare'
import { cook } from '@/core/simulate/cook'
import { RESOLUTION, type StageChange } from '@/core/simulate/stepper'
import { makePlan } from '../../plan/make-plan'
import { type PlanDocumentInput, planDocument } from '../../roast/roast-document'
import { cookFromPlan } from '../begin'
import { type BoardItem, boardOf } from '../board'
import { type CookDocument, type CookEntry, cookEntry, type ProbeReading } from '../cook-document'
import { isoOf } from '../entry/time'
import { questionOfItem } from '../forecast'
import { entriesOfMishap, type Mishap } from '../mishap'

/** Its probe is read so often, s. */
const READS_S = 60

/**
 * A kitchen for the table of situations: one planned roast, put in at its minute, read by a probe that is
 * in a roast which may be thicker, colder or in a weaker oven than was told.
 */
export interface Told {
  readonly plan: Partial<PlanDocumentInput>
  /** Minutes since put-in. */
  readonly minute: number
  /** Thickness over what was told. */
  readonly thicker?: number
  /** The oven's mean over its dial, K. */
  readonly oven_k?: number
  /** Warmer as it went in than told, K. */
  readonly warmer_k?: number
  /** What truly happened to the heat and the meat, minutes and °C. */
  readonly truly?: readonly { readonly minute: number; readonly set_c?: number; readonly away?: boolean }[]
  /** What was said on the board, minutes. */
  readonly said?: readonly {
    readonly minute: number
    readonly mishap?: Mishap
    readonly value?: number
    readonly entry?: Pick<CookEntry, 'kind'> & Partial<CookEntry>
  }[]
  /** No probe at all; or none from this minute. */
  readonly probeUntil?: number
  /** The promise is moved by so many minutes. */
  readonly promise_min?: number
}

const NOW = Date.UTC(2026, 10, 27, 9) / 1000
let count = 0
const entry = (kind: CookEntry['kind'], at_s: number, more: Partial<CookEntry> = {}): CookEntry =>
  cookEntry.parse({
    id: `entry-${String(count++).padStart(5, '0')}`,
    kind,
    at: isoOf(at_s),
    item: 'roast',
    ...more,
  })

export interface Scene {
  readonly document: CookDocument
  readonly entries: readonly CookEntry[]
  readonly board: BoardItem
  readonly now_s: number
}

export function sceneOf(told: Told): Scene {
  const plan = planDocument.parse({
    roast: { cut: 'pork-loin', mass_kg: 1.8 },
    program: { school: 'steady', set_c: 160 },
    promise: '2026-11-27T19:00:00Z',
    ...told.plan,
  })
  const made = makePlan(plan, NOW)
  const begun = cookFromPlan(plan, NOW, 1)
  if (!made.ok || !begun.ok) throw new Error('no plan')
  const document = begun.value
  const item = document.items[0] as CookDocument['items'][number]
  const in_s = Date.parse(item.put_in) / 1000
  const asked = questionOfItem(item)
  if (!asked.ok) throw new Error('no question')
  const { question } = asked.value
  const prepared = prepareRoast({
    ...question,
    piece: { ...question.piece, thickness_m: prepareRoast(question).thickness_m * (told.thicker ?? 1) },
    oven: { ...question.oven, offset_k: question.oven.offset_k + (told.oven_k ?? 0) },
  })
  const changes = (told.truly ?? []).map(
    ({ minute, set_c, away }): StageChange => ({
      time_s: minute * 60,
      ...(set_c === undefined ? {} : { set_c }),
      ...(away === undefined ? {} : { away }),
    }),
  )
  const series: { time_s: number; core_c: number }[] = []
  cook(
    {
      ...prepared,
      start_c: prepared.start_c + (told.warmer_k ?? 0),
      program: question.program,
      pull_c: prepared.bodies.map(() => 98),
      resolution: { ...RESOLUTION.estimate, dt_s: READS_S },
      changes,
    },
    {
      stepped: (stepper) => {
        series.push({ time_s: stepper.time_s, core_c: Math.min(...stepper.kernels.map(({ core_c }) => core_c)) })
        return stepper.time_s > told.minute * 60
      },
      bare: true,
    },
  )
  const until = told.probeUntil ?? Number.POSITIVE_INFINITY
  const readings: ProbeReading[] = Array.from({ length: Math.floor(Math.min(told.minute, until)) }, (_, i) => {
    const time_s = (i + 1) * 60
    const next = series.find((each) => each.time_s >= time_s) ?? series.at(-1)
    return { device: 'd', channel: 0, at_s: in_s + time_s, value_c: next?.core_c ?? prepared.start_c }
  })
  const now_s = in_s + told.minute * 60
  const log = [
    entry('in', in_s),
    ...(until > 0 ? [entry('assign', in_s + 30, { device: 'd', channel: 0, point: item.points[0] ?? 'core' })] : []),
    ...(told.promise_min === undefined
      ? []
      : [
          entry('promise', now_s - 1, {
            text: new Date(Date.parse(item.promise) + told.promise_min * 60_000).toISOString(),
          }),
        ]),
  ]
  for (const { minute, mishap, value, entry: fact } of told.said ?? []) {
    const at_s = in_s + minute * 60
    const [board] = boardOf(document, log, readings, at_s)
    if (fact) log.push(entry(fact.kind, at_s, fact))
    else if (mishap && board)
      for (const { kind, ...more } of entriesOfMishap(
        mishap,
        board,
        [board],
        at_s,
        item.set_c ?? undefined,
        value === undefined ? undefined : mishap === 'wrong_setting' ? value : in_s + value * 60,
      ))
        log.push(entry(kind, at_s, more))
  }
  const [board] = boardOf(document, log, readings, now_s)
  if (!board) throw new Error('no board')
  return { document, entries: log, board, now_s }
}
