import { seededRandom } from '@/core/estimate/random'
import { CHART_ROWS } from '@/core/reference/charts'
import { findCut } from '@/core/reference/cuts'
import { carveSeconds } from '@/core/schedule/carving'
import { fahrenheitToCelsius, poundsToKilograms } from '@/core/units'
import { type NextAnswer, nextDocument, nextFrom } from '@/domain/cook/next-document'
import { makePlan } from '@/domain/plan/make-plan'
import { type PlanDocumentInput, planDocument } from '@/domain/roast/roast-document'
import { KitchenHeat, KitchenRoast } from '@/stand-ins/kitchen/kitchen'

/**
 * Promises kept, in closed loop: a cook who does what the headless `next` says, and only that, in kitchens of other
 * physics than the planner's, beside one who follows a published chart by the clock, and one who follows it with a
 * probe. Prints, for each: served within so many minutes of the promise, core within 2 K of the wanted, unsafe.
 *
 * npm run bench:promises -- [first seed] [how many]
 */

const [first = 2101, many = 40] = process.argv.slice(2).map(Number)
const PROMISE = '2026-11-28T19:00:00Z'
const PROMISE_S = Date.parse(PROMISE) / 1000
const BEGUN_S = PROMISE_S - 12 * 3600
const TICK_S = 15
/** The board is looked at so often, s, and when a step is due. */
const LOOK_S = 600
const READ_S = 120
/** Nothing is later than this, s. */
const GIVE_UP_S = PROMISE_S + 4 * 3600
/** A pan lies on a third of the meat at a time and gives there ten times what an oven does. */
const PAN_CONTACT = 3.5
/** The way the board marks is taken, and not again for so long, s. */
const TAKEN_AGAIN_S = 900
/** A rest that is cut short, s. */
const SHORT_REST_S = 600
/** Put back in no oftener. */
const MOST_BACK = 1
/** After the pull it is looked at so soon, s: that is when being short is seen. */
const RESTING_LOOK_S = 300

/** A thermometer is stuck in by hand so often, s. */
const HAND_S = 600

type Entered = { kind: string; at: string; value_c?: number }

interface Ended {
  /** On the table after its promise, minutes; before it, it is held. */
  readonly late_min: number
  /** Highest core less the wanted, K. */
  readonly off_k: number
  /** Core at its highest, °C. */
  readonly peak_c: number
  readonly taken: number
}

/** All to the charts' own 145 °F, so that a chart is used for what it is for. */
const KINDS = [
  { cut: 'beef-rib-bone-in', kg: [2, 4.5], serve_c: 63, schools: ['steady', 'reverse-sear', 'hot-start'] },
  { cut: 'pork-loin', kg: [1.2, 3], serve_c: 63, schools: ['steady', 'hot-start', 'pan-first'] },
  { cut: 'beef-tenderloin', kg: [1.3, 2.4], serve_c: 63, schools: ['steady', 'reverse-sear', 'pan-first'] },
  { cut: 'beef-eye-of-round', kg: [0.9, 2.2], serve_c: 63, schools: ['steady', 'reverse-sear'] },
] as const

const draw = (seed: number) => {
  const random = seededRandom(seed * 7717 + 5)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
  const kind = pick(KINDS)
  const mass_kg = Math.round(10 * (kind.kg[0] + (kind.kg[1] - kind.kg[0]) * random())) / 10
  // A dial that lies, a piece that is thicker or thinner than its weight says, a cook who is late with it, a probe that dies.
  const offset_k = 12 * (2 * random() - 1)
  const thicker = 1 + 0.1 * (2 * random() - 1)
  const school = pick(kind.schools)
  const late_min = random() < 0.2 ? Math.round(5 + 20 * random()) : 0
  const dead_at = random() < 0.1 ? 0.3 + 0.4 * random() : undefined
  return { kind, mass_kg, offset_k, thicker, school, late_min, dead_at }
}
type Drawn = ReturnType<typeof draw>

const pieceOf = (seed: number, { kind, mass_kg, thicker }: Drawn): KitchenRoast => {
  const cut = findCut(kind.cut)
  if (!cut) throw new Error(kind.cut)
  const planned = makePlan(planDocument.parse({ roast: { cut: kind.cut, mass_kg }, promise: PROMISE }), BEGUN_S, 8)
  if (!planned.ok) throw new Error(JSON.stringify(planned.problems))
  return new KitchenRoast({ seed, thickness_m: planned.value.plan.thickness_m * thicker, shape: 2, start_c: 5 })
}

/** What an action does in the kitchen. */
function act(action: NextAnswer['actions'][number], roast: KitchenRoast, heats: Record<'oven' | 'pan', KitchenHeat>) {
  const { kind, set_c, says = '' } = action
  const where = /pan/i.test(says) ? 'pan' : 'oven'
  if (kind === 'heat_up') heats[where].set(set_c ?? undefined)
  if (kind === 'put_in' || kind === 'finish') {
    if (set_c !== null) heats[where].set(set_c)
    roast.put(heats[where])
  }
  if (kind === 'change') {
    heats.oven.set(set_c ?? undefined)
    roast.put(heats.oven)
  }
  if (kind === 'pull' || kind === 'carve' || kind === 'take_off') roast.put(undefined)
}

/** One roast by the board alone. */
function byBoard(seed: number, drawn: Drawn): Ended {
  const { kind, mass_kg, school, offset_k, late_min, dead_at } = drawn
  const plan: PlanDocumentInput = {
    roast: { cut: kind.cut, mass_kg, temper_min: 0, surface: 'dry_salted' },
    program: { school },
    target: { serve_c: kind.serve_c },
    promise: PROMISE,
  }
  const roast = pieceOf(seed, drawn)
  const heats = { oven: new KitchenHeat(offset_k), pan: new KitchenHeat(0, PAN_CONTACT) }
  const entries: Entered[] = []
  const readings: { at: string; c: number }[] = []
  const iso = (at_s: number) => new Date(at_s * 1000).toISOString()
  let now_s = BEGUN_S
  let due_s = BEGUN_S
  let read_s = BEGUN_S
  let inside = false
  let took_s = Number.NEGATIVE_INFINITY
  let taken = 0
  let begun = false
  let backs = 0
  let outAt_s: number | undefined
  let dies_s = Number.POSITIVE_INFINITY
  let delayed = late_min === 0
  let short = false
  let calls_c = Number.POSITIVE_INFINITY
  let hand_s = Number.NEGATIVE_INFINITY
  let rests_s = Number.POSITIVE_INFINITY
  const enter = (more: object) => entries.push({ ...more, at: iso(now_s) } as Entered)
  for (;;) {
    for (; now_s < due_s; now_s += TICK_S) {
      heats.oven.advance(TICK_S)
      heats.pan.advance(TICK_S)
      // Until it goes in it lies in the fridge.
      if (begun) roast.advance(TICK_S)
      if (inside && now_s >= read_s && now_s < dies_s) {
        readings.push({ at: iso(now_s), c: Math.round(10 * roast.core_c) / 10 })
        read_s = now_s + READ_S
        // The board calls when it reads its pull.
        if (roast.core_c >= calls_c) {
          calls_c = Number.POSITIVE_INFINITY
          due_s = now_s
        }
      }
    }
    if (now_s > GIVE_UP_S) return { late_min: Number.NaN, off_k: Number.NaN, peak_c: roast.highest_c, taken }
    const asked = nextDocument.parse({ plan, begun: iso(BEGUN_S), now: iso(now_s), entries, readings, members: 96 })
    const answer = nextFrom(asked, (step) => (step.stage?.environment.kind === 'pan' ? 'pan' : 'oven'))
    if (!answer.ok) throw new Error(`${seed}: ${JSON.stringify(answer.problems)}`)
    const { actions, roasts, over } = answer.value
    if (over)
      return {
        late_min: (now_s - PROMISE_S) / 60,
        off_k: roast.highest_c - kind.serve_c,
        peak_c: roast.highest_c,
        taken,
      }
    // Told that its probe is silent, somebody goes with a thermometer.
    const silent = roasts[0]?.odd.some(({ code }) => code === 'lost') === true
    if (silent && inside && now_s - hand_s > HAND_S) {
      hand_s = now_s
      entries.push({ kind: 'reading', at: iso(now_s), value_c: Math.round(10 * roast.core_c) / 10 } as Entered)
      due_s = now_s + TICK_S
      continue
    }
    if (inside && now_s < dies_s && roasts[0]?.pull_c != null) calls_c = roasts[0].pull_c
    const next = actions.find(({ kind: what }) => what !== 'look')
    const cut = short && next?.kind === 'carve' && now_s >= rests_s + SHORT_REST_S
    const at_s = cut ? now_s : next ? Date.parse(next.at) / 1000 : now_s + LOOK_S
    if (next && at_s <= now_s + TICK_S) {
      if (next.kind === 'put_in' && !delayed) {
        delayed = true
        due_s = now_s + late_min * 60
        continue
      }
      act(next, roast, heats)
      if (next.kind === 'put_in') {
        inside = true
        begun = true
        const [own] = roasts
        const pull = actions.find(({ kind: what }) => what === 'pull')
        if (dead_at !== undefined && own && pull) dies_s = now_s + dead_at * (Date.parse(pull.at) / 1000 - now_s)
      }
      if (next.kind === 'pull') {
        inside = false
        rests_s = now_s
      }
      for (const entry of next.enter) enter(entry)
      // The same minute may have another step.
      due_s = now_s
      continue
    }
    const [own] = roasts
    // Out too soon: back in, and read it there.
    if (own?.state === 'resting' && own.back_in_min !== null && backs < MOST_BACK && next?.kind !== 'finish') {
      backs++
      enter({ kind: 'in', item: own.item })
      roast.put(heats.oven)
      inside = true
      due_s = now_s + own.back_in_min * 60
      outAt_s = due_s
      continue
    }
    if (outAt_s !== undefined && now_s >= outAt_s) {
      outAt_s = undefined
      enter({ kind: 'out', item: own?.item ?? null, value_c: Math.round(10 * roast.core_c) / 10 })
      roast.put(undefined)
      inside = false
      due_s = now_s
      continue
    }
    const best = own?.ways.find((way) => way.best)
    if (own && best?.code === 'pull_at') {
      taken++
      enter({ kind: 'pull_at', item: own.item, value_c: best.pull_c })
      due_s = now_s + TICK_S
      continue
    }
    // Said while it is in, done once it rests.
    if (best?.code === 'short_rest') short = true
    else if (best) short = false
    if (own && best && best.code !== 'leave_it' && now_s - took_s > TAKEN_AGAIN_S) {
      if (best.code === 'oven_up' || best.code === 'oven_down') {
        took_s = now_s
        taken++
        if (best.pull_c !== null) enter({ kind: 'pull_at', item: own.item, value_c: best.pull_c })
        enter({ kind: 'oven', item: own.item, value_c: best.set_c })
        heats.oven.set(best.set_c ?? undefined)
      } else if (best.code === 'skip_finish') {
        took_s = now_s
        taken++
        for (const { step, kind: what } of actions)
          if (step !== null && what === 'finish') enter({ kind: 'skipped', step, item: own.item })
      }
    }
    const look_s = own?.state === 'resting' ? RESTING_LOOK_S : LOOK_S
    due_s = Math.min(now_s + look_s, Math.max(now_s + TICK_S, at_s))
  }
}

/** The chart's oven and minutes for a piece: the row nearest to its weight, the middle of its interval. */
function chartOf({ kind, mass_kg }: Drawn): { set_c: number; minutes: number } | undefined {
  const lb = mass_kg / poundsToKilograms(1)
  const apart = ([low, high]: readonly [number, number]) => Math.max(0, low - lb, lb - high)
  const [row] = CHART_ROWS.filter(({ cut }) => cut === kind.cut).toSorted(
    (a, b) => apart(a.weight_lb) - apart(b.weight_lb),
  )
  if (!row) return undefined
  const [low, high] = row.minutes
  return {
    set_c: fahrenheitToCelsius(row.oven_f),
    minutes: ((low + high) / 2) * (row.basis === 'per_lb' ? lb : 1),
  }
}

const REST_S = 20 * 60
/** A probe's cook pulls so far below the wanted, K (common practice). */
const EARLY_K = 5

/** By the chart: put in when it says, taken out by the clock, or at a reading. */
function byChart(seed: number, drawn: Drawn, probe: boolean): Ended | undefined {
  const chart = chartOf(drawn)
  if (!chart) return undefined
  const carve_s = carveSeconds(drawn.mass_kg)
  const in_s = PROMISE_S - carve_s - REST_S - chart.minutes * 60
  const roast = pieceOf(seed, drawn)
  const oven = new KitchenHeat(drawn.offset_k)
  oven.set(chart.set_c)
  for (let i = 0; i < 1500; i += TICK_S) oven.advance(TICK_S)
  roast.put(oven)
  let now_s = in_s
  const step = () => {
    oven.advance(TICK_S)
    roast.advance(TICK_S)
    now_s += TICK_S
  }
  while (now_s < GIVE_UP_S && (probe ? roast.core_c < drawn.kind.serve_c - EARLY_K : now_s < in_s + chart.minutes * 60))
    step()
  roast.put(undefined)
  const out_s = now_s
  while (now_s < Math.max(out_s + REST_S, PROMISE_S - carve_s)) step()
  return {
    late_min: (now_s + carve_s - PROMISE_S) / 60,
    off_k: roast.highest_c - drawn.kind.serve_c,
    peak_c: roast.highest_c,
    taken: 0,
  }
}

function tell(name: string, ended: readonly Ended[]) {
  const known = ended.filter(({ late_min }) => Number.isFinite(late_min))
  const share = (ok: (each: Ended) => boolean) => `${Math.round((100 * known.filter(ok).length) / ended.length)} %`
  const late = known.map(({ late_min }) => Math.max(0, late_min))
  const mean = late.reduce((sum, each) => sum + each, 0) / Math.max(1, late.length)
  console.log(
    `${name.padEnd(34)} ${ended.length} roasts: within 5 min ${share(({ late_min }) => Math.abs(late_min) <= 5)}, 10 min ${share(({ late_min }) => Math.abs(late_min) <= 10)}, 20 min ${share(({ late_min }) => Math.abs(late_min) <= 20)}; late ${mean.toFixed(1)} min on average; core within 2 K ${share(({ off_k }) => Math.abs(off_k) <= 2)}; not served ${ended.length - known.length}; ways out taken ${(ended.reduce((sum, { taken }) => sum + taken, 0) / ended.length).toFixed(1)} each`,
  )
}

const drawn = Array.from({ length: many }, (_, i) => ({ seed: first + i, ...draw(first + i) }))
const board = drawn.map((each) => {
  const ended = byBoard(each.seed, each)
  if (process.env.EACH)
    console.log(
      `${each.seed} ${each.kind.cut} ${each.mass_kg} kg ${each.school}, oven ${each.offset_k.toFixed(0)} K off, ${each.thicker.toFixed(2)} as thick${each.late_min ? `, in ${each.late_min} min late` : ''}${each.dead_at ? ', its probe dies' : ''}: ${ended.late_min.toFixed(0)} min, ${ended.off_k.toFixed(1)} K, ${ended.taken} taken`,
    )
  return { ...ended, school: each.school }
})
console.log(`Promises kept by seeds ${first} to ${first + many - 1}; goals: within 10 min 95 %, core within 2 K 90 %`)
tell('by the board alone', board)
for (const school of [...new Set(board.map((each) => each.school))])
  tell(
    `  ${school}`,
    board.filter((each) => each.school === school),
  )
tell(
  'by a chart and the clock',
  drawn.flatMap((each) => byChart(each.seed, each, false) ?? []),
)
tell(
  'by a chart and a probe',
  drawn.flatMap((each) => byChart(each.seed, each, true) ?? []),
)
