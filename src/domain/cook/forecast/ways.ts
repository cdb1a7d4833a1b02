import { spreadOf } from '@/core/estimate/ensemble'
import { type Estimate, type EstimateSetup, foresee, type Known, nowMarked, pastsOf } from '@/core/estimate/estimate'
import { readInstead } from '@/core/program/read-instead'
import { type Program, pullStageIndex, pullsAtReading, settingOf } from '@/core/program/stage'
import { STANDARDS } from '@/core/reference/standards'
import { tenderRate, tenderSeconds } from '@/core/reference/tenderness'
import { withRest } from '@/core/roast/rest'
import { SURE } from '@/core/safety/least'
import { celsius, minutes, seconds } from '@/core/units'
import { type BoardItem, backSince } from '../board'
import { withoutFinish, withPanFinish } from '../ending'
import { BACK_IN_S } from '../run/course'
import { type Advice, ofFire } from './advice'
import { type Belief, beliefOf, isDead, MEMBERS } from './belief'
import { apartFrom } from './choose'
import { plateOf } from './plate'
import { isUnsure, shortOfSure } from './safety'
import { isSound } from './sound'

/** Earlier or later than this a cook wants to know what could be done, s. */
export const WORTH_SAYING_S = 300
/** An oven must be this much hotter to be worth carrying hot tins across the kitchen, K. */
const SWAP_LEAST_K = 15
const OVEN_STEPS_K = { late: [20, 40], early: [-15, -30] } as const
const OVEN_C = { least: 80, still: 250, fan: 230 } as const
/** Below this the inside is raw: nobody pulls it now, °C. */
const PULL_NOW_FROM_C = 35
/** Another reading that is nearer than this is no other, K: a thermometer shows tenths and a hand is slower. */
const READING_K = 0.25
/** Where tender is counted as it is, °C. */
const AT_C = 90
/** Heats to try where an oven was switched off too soon, °C. */
const AGAIN_C = [100, 130]
/** Heats to try where the present one does not do, °C. */
const STUCK_C = [120, 150, 180, 220]
const PROMISE_GRID_S = 300

/** Another way of going on, as it would come out. */
interface Tried {
  readonly pull_s: number
  readonly carve_s: number
  readonly peak_c: number
  /** By how much later a reading would bring it to the wanted, surely safe where that is asked, K. */
  readonly raise_k: number
  readonly safe: number | undefined
}

/** Times are set in proportion from so long before now, s: what is due at once may yet be put off. */
const SHORTEST_S = 60

/**
 * What another way changes, member by member, and in the middle of those: the time to the pull by its share, the rest
 * and the peak by so much. Few members say this better than many say where each of the two lies. NaN where fewer than
 * half get there.
 */
function changedBy(base: Estimate, found: Estimate, now_s: number): { left: number; after_s: number; peak_k: number } {
  const lefts: number[] = []
  const afters: number[] = []
  const peaks: number[] = []
  for (let m = 0; m < found.members; m++) {
    const [was_s, is_s] = [base.each.pull_s[m] as number, found.each.pull_s[m] as number]
    if (!Number.isFinite(was_s) || !Number.isFinite(is_s)) continue
    lefts.push((is_s - now_s + SHORTEST_S) / (was_s - now_s + SHORTEST_S))
    afters.push((found.each.carve_s[m] as number) - is_s - ((base.each.carve_s[m] as number) - was_s))
    peaks.push((found.each.peak_c[m] as number) - (base.each.peak_c[m] as number))
  }
  if (2 * lefts.length <= found.members) return { left: Number.NaN, after_s: Number.NaN, peak_k: Number.NaN }
  return { left: spreadOf(lefts).p50, after_s: spreadOf(afters).p50, peak_k: spreadOf(peaks).p50 }
}

/** The ways of going on with one roast, each asked of the same members as leaving it is. */
class Ways {
  private readonly setup: EstimateSetup
  private found: { readonly instead: Program | undefined; readonly tender_c: number | undefined } | undefined
  private asIs: { readonly base: Estimate; readonly known: Known } | undefined

  constructor(
    private readonly belief: Belief,
    private readonly main: Estimate,
  ) {
    this.setup = { ...belief.setup, changes: nowMarked(belief.setup) }
  }

  /** Of a roast by the clock, as one that is pulled at a reading; of a tough cut only where the clock leaves it tough. */
  get instead(): Program | undefined {
    return this.byReading.instead
  }
  /** Left tough by its clock: what it reads when it is tender, °C. */
  get tender_c(): number | undefined {
    return this.byReading.tender_c
  }
  private get byReading() {
    if (!this.found) {
      const instead = insteadOf(this.belief)
      const isTough = instead !== undefined && this.belief.setup.piece.cut.doneness === 'tender'
      const tender_c = isTough ? this.readsTender() : undefined
      this.found = { instead: isTough && tender_c === undefined ? undefined : instead, tender_c }
    }
    return this.found
  }

  /** What it reads when it is as tender as it is wanted, °C; undefined where the clock does not take it out before. */
  private readsTender(): number | undefined {
    const found = this.untilTender({})
    const { serve_c } = this.belief.board.item
    // As it is heated it never does: hotter it may.
    if (!Number.isFinite(found.pull_s.p50)) return serve_c
    return found.pull_s.p50 > this.main.pull_s.p50 + TOUGH_S ? Math.min(serve_c, found.peak_c.p50) : undefined
  }

  /** Cooked on until it leaves its bone, or falls apart where it is wanted so and does not read so. */
  private untilTender(change: Partial<EstimateSetup>): Estimate {
    const { setup } = this
    const isApart = this.main.peak_c.p50 >= (apartFrom(this.belief) ?? Number.NEGATIVE_INFINITY)
    const wanted = tenderSeconds(isApart ? 'leaves_bone' : 'falls_apart')
    // Read to be colder than its members think it takes so much longer.
    const tender_s = seconds(wanted / Math.min(1, tenderRate(AT_C + Math.min(0, this.main.off_k))))
    const until = { kind: 'tender' as const, tender_s }
    const last = pullStageIndex(setup.program)
    const stages = setup.program.stages.map((stage, i) => (i === last ? { ...stage, until } : stage))
    return foresee(
      { ...setup, ...change, program: { ...setup.program, stages } },
      this.belief.posterior,
      MEMBERS.ways,
      this.leaving.known,
    )
  }

  /** Left as it is, by the members that every way is asked of: until now they are all one. Found when a way is first tried. */
  private get leaving(): { readonly base: Estimate; readonly known: Known } {
    if (!this.asIs) {
      const { posterior } = this.belief
      const known = { anchor: this.main.anchor, pasts: pastsOf(this.setup, posterior, MEMBERS.ways) }
      this.asIs = { known, base: foresee(this.setup, posterior, MEMBERS.ways, known) }
    }
    return this.asIs
  }

  /** Another way of going on, its times set against the whole ensemble's. */
  tried(change: Partial<EstimateSetup>): Tried {
    const { belief, main } = this
    const { base, known } = this.leaving
    const found = foresee({ ...this.setup, ...change }, belief.posterior, MEMBERS.ways, known)
    const now_s = belief.setup.now_s
    // Left as it is it never gets there: nothing to set the others against.
    if (!Number.isFinite(main.pull_s.p50))
      return {
        pull_s: found.pull_s.p50,
        carve_s: found.carve_s.p50,
        peak_c: found.peak_c.p50,
        raise_k: this.wanted_c - found.peak_c.p50,
        safe: belief.meant ? found.safe : undefined,
      }
    const { left, after_s, peak_k } = changedBy(base, found, now_s)
    const peak_c = main.peak_c.p50 + peak_k
    const safe =
      found.safe === undefined || main.safe === undefined || base.safe === undefined || !belief.meant
        ? undefined
        : Math.min(1, Math.max(0, main.safe + found.safe - base.safe))
    const pull_s = Math.max(now_s, now_s - SHORTEST_S + left * (Math.max(now_s, main.pull_s.p50) - now_s + SHORTEST_S))
    // As wanted, and where something is asked for safety, surely enough.
    const wanted_k = this.wanted_c - peak_c
    const p10 = main.peak_c.p10 + found.peak_c.p10 - base.peak_c.p10
    const short_k = belief.meant ? shortOfSure(belief.meant, { p50: peak_c, p10 }) : Number.NEGATIVE_INFINITY
    // Surely safe it is not lowered by more than it may be and still is.
    const sure_k = safe === undefined || safe < SURE ? short_k : Math.min(0, short_k)
    return {
      pull_s,
      carve_s: Math.max(now_s, pull_s + main.carve_s.p50 - main.pull_s.p50 + after_s),
      peak_c,
      raise_k: Math.max(wanted_k, sure_k),
      safe,
    }
  }

  /** Its core as it is wanted at its highest, °C. */
  get wanted_c(): number {
    const { board, floor_c = Number.NEGATIVE_INFINITY } = this.belief
    return Math.max(this.tender_c ?? board.item.serve_c, floor_c)
  }

  /** Pulled at a reading: what the clock would take out, too. */
  pulledAt(reading_c: number, change: Partial<EstimateSetup> = {}): Tried {
    const { instead, setup } = this
    return this.tried({
      ...change,
      ...(instead ? { program: instead } : {}),
      pull_c: setup.pull_c.map(() => reading_c),
    })
  }

  /** Cooked on with another setting from now, and pulled so that it peaks as wanted. */
  withSetting(set_c: number): Omit<Advice, 'code'> & { readonly set_c: number; readonly pull_c: number | undefined } {
    const { belief } = this
    const { setup, in_s, pullFloor_c = Number.NEGATIVE_INFINITY } = belief
    const { serve_c } = belief.board.item
    const changes = [...(this.setup.changes ?? []), { time_s: setup.now_s + 1, set_c }]
    const air = setup.air?.filter(({ time_s }) => time_s <= setup.now_s)
    // Hotter it reads more when it leaves its bone, for that takes its time.
    const tender = this.tender_c === undefined ? undefined : this.untilTender({ changes, air })
    const wanted_c = Math.min(serve_c, tender?.peak_c.p50 || serve_c)
    const least = Math.max(pullFloor_c, Math.min(wanted_c, belief.board.latest?.value_c ?? setup.start_c))
    const more_k = tender === undefined ? 0 : wanted_c - this.wanted_c
    let pull_c = setup.pull_c[0] as number
    // Of a roast by the clock another heat has a reading of its own, too.
    let found = this.pulledAt(pull_c, { changes, air })
    for (let attempt = 0; attempt < 2 && Number.isFinite(found.peak_c); attempt++) {
      const next = Math.min(wanted_c, Math.max(least, pull_c + found.raise_k + more_k))
      if (Math.abs(next - pull_c) < READING_K) break
      pull_c = next
      found = this.pulledAt(pull_c, { changes, air })
    }
    // Where it stands still a reading says nothing of its hours: then it is the most that is wanted.
    if (tender !== undefined && !(found.pull_s > tender.pull_s.p50 - TOUGH_S)) {
      pull_c = serve_c - (found.peak_c - pull_c || 0)
      found = this.pulledAt(pull_c, { changes, air })
    }
    return {
      set_c,
      // What the clock takes out still has none.
      pull_c: this.instead || !isClocked(setup.program) ? pull_c : undefined,
      pull_s: in_s + found.pull_s,
      plate_s: plateOf(belief, found.carve_s).plate_s,
      peak_c: found.peak_c,
      safe: found.safe,
    }
  }

  /** The same pull, another end. */
  withEnd(code: Advice['code'], program: Program): Advice {
    const { belief, main } = this
    const found = this.tried({ program })
    return {
      code,
      pull_s: belief.in_s + main.pull_s.p50,
      // Sooner than promised it rests so much longer.
      plate_s: Math.max(belief.board.promise_s, belief.in_s + found.carve_s + belief.carving_s),
      peak_c: found.peak_c,
      safe: found.safe,
    }
  }
}

/** What the end of a cook can give up: rest, the hot finish, waiting for the thick end. */
function shorterEnds(ways: Ways, belief: Belief, main: Estimate): Advice[] {
  const { program } = belief.setup
  const { board, rest, in_s } = belief
  const found: Advice[] = []
  const shortest = withRest(program, Math.min(rest.least_s, STANDARDS.shortRest.value))
  if (rest.least_s > STANDARDS.shortRest.value) found.push(ways.withEnd('short_rest', shortest))
  const least = withRest(program, rest.least_s)
  const bare = withoutFinish(least)
  if (bare) found.push(ways.withEnd('skip_finish', bare))
  const panned = withPanFinish(least)
  if (panned) found.push(ways.withEnd('pan_finish', panned))
  if (board.item.roast.thin_end !== null)
    found.push({
      code: 'thin_end_first',
      pull_s: in_s + main.pull_s.p50,
      plate_s: Math.max(board.promise_s, in_s + main.pull_s.p50),
      peak_c: main.peak_c.p50,
      safe: belief.meant ? main.safe : undefined,
    })
  return found
}

/** Hotter ovens that others of this cook are in: changed places, each with its new time and reading. */
function swaps(ways: Ways, belief: Belief, others: readonly BoardItem[], now_s: number, seed: number): Advice[] {
  return others.flatMap((other): Advice[] => {
    if (other.oven_name === belief.board.oven_name) return []
    const theirs = beliefOf(other, now_s, seed, MEMBERS.ways)
    if (theirs?.set_c === undefined || belief.set_c === undefined || theirs.oven.kind !== belief.oven.kind) return []
    // Nothing changes places with a fire.
    if ([belief, theirs].some(({ last }) => ofFire(last).fire)) return []
    if (theirs.set_c < belief.set_c + SWAP_LEAST_K) return []
    // The dial of one oven in terms of the other's: their means agree.
    const between = theirs.oven.offset_k - belief.oven.offset_k
    const mine = ways.withSetting(theirs.set_c + between)
    const its = new Ways(theirs, foresee(theirs.setup, theirs.posterior)).withSetting(belief.set_c - between)
    const { pull_c } = its
    if (pull_c === undefined) return []
    return [
      {
        ...mine,
        code: 'swap_ovens',
        swap: { item: other.item.id, title: other.item.title, oven_name: other.oven_name, ...its, pull_c },
      },
    ]
  })
}

/** Held in a warm cabinet from the rest's end until the promise. */
const heldUntil = (program: Program, hold_s: number): Program => ({
  ...program,
  stages: [
    ...program.stages,
    {
      role: 'rest',
      environment: { kind: 'cabinet', set_c: celsius(STANDARDS.cabinet.value) },
      cover: 'tent',
      preheated: true,
      tending: [],
      until: { kind: 'time', duration_s: minutes(Math.max(1, hold_s / 60)) },
    },
  ],
})

/** Hotter settings, one after another, until two do; of a dead oven, in another. */
function otherHeats(ways: Ways, belief: Belief, now_s: number): Advice[] {
  const { last, oven, set_c } = belief
  const settings = [(last && settingOf(last.environment)) ?? 0, ...STUCK_C].filter(
    (next) => next > (set_c ?? 0) + 5 && next <= OVEN_C[oven.kind],
  )
  const found: Advice[] = []
  for (const next of settings) {
    if (found.length >= 2) break
    const way: Advice = { code: isDead(belief) ? 'other_heat' : 'oven_up', ...ofFire(last), ...ways.withSetting(next) }
    if (isSound(way, belief, now_s)) found.push(way)
  }
  return found
}

/** What would get there a roast that does not as it is: another heat, one after another until one does. */
function stuck(ways: Ways, belief: Belief, others: readonly BoardItem[], now_s: number, seed: number): Advice[] {
  const never: Advice = {
    code: 'leave_it',
    never: true,
    pull_s: Number.NaN,
    plate_s: Number.NaN,
    peak_c: belief.board.latest?.value_c ?? belief.setup.start_c,
  }
  const found = otherHeats(ways, belief, now_s)
  return [...found, ...swaps(ways, belief, others, now_s, seed).filter((way) => isSound(way, belief, now_s)), never]
}

/** A peak that is off by less than this is as wanted, K. */
const PEAK_OFF_K = 1.2
/** The clock is let be until what it makes is so far from the wanted, K. */
const CLOCK_OFF_K = 3
/** Fewer readings do not tell how it climbs; and what is farther off than this may yet be otherwise, s. */
const CLIMB_READINGS = 8
const NEAR_PULL_S = 75 * 60
/** Whether the clock leaves it tough is seen sooner, and mended only so long before, s. */
const NEAR_TENDER_S = 150 * 60

/** What the clock takes out so little before it leaves its bone is let be, s. */
const TOUGH_S = 900
/** Of what the clock takes out a reading says enough once so much of its time has gone; in an oven that is off it may be hot sooner. */
const CLOCK_TELLS = { on: 0.4, off: 0.25 } as const
/**
 * A roast by the clock as one that is pulled at a reading; undefined where it is none, and early, when little is known
 * of it.
 */
function insteadOf({ setup, isOff }: Belief, tells: number = CLOCK_TELLS[isOff ? 'off' : 'on']): Program | undefined {
  const { program, now_s } = setup
  const last = pullStageIndex(program)
  const timed = program.stages.slice(0, last + 1).map(({ until }) => (until.kind === 'time' ? until.duration_s : 0))
  const all_s = timed.reduce<number>((sum, each) => sum + each, 0)
  // A reading ends the last heat and none before it.
  const from_s = Math.max(tells * all_s, all_s - (timed[last] ?? 0))
  return now_s > from_s ? readInstead(program) : undefined
}
const isClocked = (program: Program): boolean => program.stages[pullStageIndex(program)]?.until.kind === 'time'

/** Another reading to pull at, where by what was read it would climb less or more than the plan thought. */
function otherReading(ways: Ways, belief: Belief, main: Estimate): Advice | undefined {
  const { setup, board, in_s, pullFloor_c = Number.NEGATIVE_INFINITY } = belief
  const { program, now_s } = setup
  const safe = belief.meant ? main.safe : undefined
  const latest = board.latest
  const { instead, wanted_c } = ways
  const isNear = (pull_s: number) => pull_s - now_s < (ways.tender_c === undefined ? NEAR_PULL_S : NEAR_TENDER_S)
  // In an oven that is off the reading may be long before the clock.
  const near = (instead !== undefined && belief.isOff) || isNear(main.pull_s.p50)
  if (!(pullsAtReading(program) || instead) || !near || !latest || setup.readings.length < CLIMB_READINGS)
    return undefined
  const off_k = Math.abs(main.peak_c.p50 - wanted_c)
  if (off_k < (instead ? CLOCK_OFF_K : PEAK_OFF_K) && !isUnsure(safe)) return undefined
  const least_c = Math.max(pullFloor_c, latest.value_c)
  const planned_c = instead ? Number.NaN : (setup.pull_c[0] as number)
  let pull_c = setup.pull_c[0] as number
  let found = ways.pulledAt(pull_c)
  for (let attempt = 0; attempt < 2; attempt++) {
    const halves = 2 * Math.min(wanted_c, Math.max(least_c, pull_c + found.raise_k))
    pull_c = (isUnsure(safe) ? Math.ceil(halves - 0.1) : Math.round(halves)) / 2
    found = ways.pulledAt(pull_c)
  }
  // It is no other, or far ahead, or reads more than both already.
  if (
    (ways.tender_c !== undefined && found.pull_s < main.pull_s.p50) ||
    !isNear(found.pull_s) ||
    Math.abs(pull_c - planned_c) < (isUnsure(safe) ? READING_K : 0.5) ||
    Math.max(pull_c, instead ? pull_c : planned_c) <= latest.value_c
  )
    return undefined
  return {
    code: 'pull_at',
    pull_c,
    pull_s: in_s + found.pull_s,
    plate_s: plateOf(belief, found.carve_s).plate_s,
    peak_c: found.peak_c,
    safe: found.safe,
  }
}

/** The dial turned up or down, each setting with its own reading; none where the oven goes no farther that way. */
function dials(ways: Ways, { oven, set_c, last }: Belief, when: keyof typeof OVEN_STEPS_K): Advice[] {
  if (set_c === undefined || isDead({ set_c })) return []
  return OVEN_STEPS_K[when].flatMap((step): Advice[] => {
    const next_c = Math.min(OVEN_C[oven.kind], Math.max(OVEN_C.least, set_c + step))
    if (Math.sign(next_c - set_c) !== Math.sign(step)) return []
    return [{ code: when === 'late' ? 'oven_up' : 'oven_down', ...ofFire(last), ...ways.withSetting(next_c) }]
  })
}

/** Everything that could be done, each simulated from the readings; what could not be printed is left out. */

export function waysOut(
  belief: Belief,
  main: Estimate,
  late_s: number,
  others: readonly BoardItem[],
  now_s: number,
  seed: number,
): Advice[] {
  const { board, in_s, setup } = belief
  const ways = new Ways(belief, main)
  if (!Number.isFinite(main.pull_s.p50)) return stuck(ways, belief, others, now_s, seed)
  const pull_s = in_s + main.pull_s.p50
  const safe = belief.meant ? main.safe : undefined
  const left: Advice = {
    code: 'leave_it',
    pull_s,
    plate_s: plateOf(belief, main.carve_s.p50).plate_s,
    peak_c: main.peak_c.p50,
    safe,
  }
  const found: Advice[] = [left]
  const { instead } = ways
  // Just put back in for what its rest lacked: what it was put in for is not taken back before it has been read.
  const justBack = now_s < (backSince(board) ?? Number.NEGATIVE_INFINITY) + BACK_IN_S
  // Late or early, the ways that mend that bring their own reading; on time, only the reading may be wrong.
  const isOwnWay = Math.abs(late_s) <= WORTH_SAYING_S || isUnsure(safe)
  // Guests who are told a later hour anyway need not have it less done.
  const isRighted = late_s > WORTH_SAYING_S && !instead
  const other = !justBack && (isOwnWay || isRighted) ? otherReading(ways, belief, main) : undefined
  const reading = isOwnWay ? other : undefined
  if (reading) found.push(reading)
  // In an oven that is off it climbs no more, and is less than was wanted: on again, to a reading.
  if (
    instead &&
    belief.isOff &&
    insteadOf(belief, CLOCK_TELLS.on) &&
    main.peak_c.p50 < board.item.serve_c - CLOCK_OFF_K
  )
    found.push(...AGAIN_C.map((set_c): Advice => ({ code: 'oven_up', again: true, ...ways.withSetting(set_c) })))
  // Waiting for it makes the plates late: hotter it comes there in time.
  const isTough = !reading && ways.tender_c !== undefined && main.pull_s.p50 - setup.now_s < NEAR_TENDER_S
  if (isTough || (reading && reading.plate_s > board.promise_s + WORTH_SAYING_S))
    found.push(...dials(ways, belief, 'late'))
  if (Math.abs(late_s) > WORTH_SAYING_S) {
    found.push(...dials(ways, belief, late_s > 0 ? 'late' : 'early'))
    if (late_s > 0) found.push(...swaps(ways, belief, others, now_s, seed), ...shorterEnds(ways, belief, main))
    const later = isRighted && other && (other.pull_c ?? 0) > (setup.pull_c[0] as number) ? other : left
    const rounded = Math.ceil(later.plate_s / PROMISE_GRID_S) * PROMISE_GRID_S
    found.push({
      ...later,
      code: late_s > 0 ? 'later_promise' : 'earlier_promise',
      plate_s: rounded,
      promise_s: rounded,
    })
    const hold_s = board.promise_s - left.plate_s
    if (late_s < -2 * WORTH_SAYING_S && hold_s > 0 && hold_s < STANDARDS.longestHold.value)
      found.push({ ...ways.withEnd('hold', heldUntil(setup.program, hold_s)), plate_s: board.promise_s })
  }
  if (
    !justBack &&
    board.latest &&
    board.latest.value_c > PULL_NOW_FROM_C &&
    (isClocked(setup.program)
      ? instead && main.peak_c.p50 > board.item.serve_c + CLOCK_OFF_K
      : board.latest.value_c < (setup.pull_c[0] as number))
  ) {
    const early = ways.pulledAt(board.latest.value_c)
    const { earliest_s, plate_s } = plateOf(belief, early.carve_s - early.pull_s + setup.now_s)
    // What is not done yet stays in as long as its table lets it.
    const waits = early.peak_c < ways.wanted_c - PEAK_OFF_K && earliest_s < board.promise_s - WORTH_SAYING_S
    if (!waits)
      found.push({
        code: 'pull_now',
        pull_s: now_s,
        plate_s: Math.max(now_s, plate_s),
        peak_c: early.peak_c,
        safe: early.safe,
      })
  }
  return found.filter((advice) => isSound(advice, belief, now_s))
}
