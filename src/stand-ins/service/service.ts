import type { CookDocument } from '@/domain/cook/cook-document'
import { type NextAnswer, nextDocument, nextOf } from '@/domain/cook/next-document'
import { tenth } from '@/domain/quantity/round'
import { KitchenHeat, type KitchenMeat, leastRead } from '../kitchen/kitchen'

/**
 * A service: somebody cooks who does what the board says, and only that, in a kitchen of other physics than the
 * planner's. For judging promises in closed loop; a rehearsal may use it too.
 */

/** A step of the kitchen's clock, s. */
const TICK_S = 15
/** The board is looked at so often, s; while something rests, and when a step is due. */
const LOOK_S = 600
const RESTING_LOOK_S = 300
const READ_S = 120
/** A thermometer is stuck in by hand so often where a probe is lost, s. */
const HAND_S = 600
/** The way the board marks is taken, and not again for so long, s. */
const TAKEN_AGAIN_S = 900
/** Put back in no oftener. */
const MOST_BACK = 1
/** A pan lies on a third of the meat at a time and gives there ten times what an oven does. */
const PAN_CONTACT = 3.5

type Action = NextAnswer['actions'][number]
type Seen = NextAnswer['roasts'][number]
export interface Entered {
  readonly kind: string
  readonly at: string
  readonly item?: string | null
  readonly value_c?: number | null
  readonly text?: string
  readonly point?: string | null
  readonly step?: string | null
}

/** A roast as it truly is, and what goes wrong with it. */
export interface ServedRoast {
  readonly piece: KitchenMeat
  readonly serve_c: number
  /** Put in so much later than told, minutes. */
  readonly late_min: number
  /** Taken out so much later than told, minutes: whoever has it is elsewhere. */
  readonly forgotten_min?: number
  /** Its probe dies at this share of its time in; undefined: it holds. */
  readonly dead_at: number | undefined
}

/** What a kitchen is besides its roasts. */
export interface Kitchen {
  /** What an oven's air is off its setting, K, by its name. */
  readonly offset_k: (oven: string) => number
  readonly swings?: boolean
  /** When somebody looks into every oven, s since 1970. */
  readonly doors_s?: readonly number[]
  /** An oven that holds a roast fails, s since 1970: there is another, which is cold. */
  readonly ovenDies_s?: number
  /** The probes of the first two roasts change places, s since 1970, until the board says that something is wrong with them. */
  readonly swapped_s?: number
  /** A probe lies in the air beside each roast. */
  readonly airProbe?: boolean
  /** The guests say at a minute that they come so much later, s. */
  readonly guests?: { readonly said_s: number; readonly later_s: number }
}

/** How one roast came to its table. */
export interface Served {
  readonly item: string
  /** On the table after its promise, minutes; NaN where it never came. */
  readonly late_min: number
  /** Highest core less the wanted, K. */
  readonly off_k: number
  readonly peak_c: number
  readonly taken: number
  /** How often the cook was asked for something: steps done, ways taken, readings by hand. */
  readonly calls: number
  /** How brown it is, s at 150 °C, and how tender, minutes at 90 °C. */
  readonly browned_s: number
  readonly tender_min: number
  /** Whether its middle was held as long as the published table asks. */
  readonly held: boolean
}

class OneRoast {
  inside = false
  begun = false
  delayed: boolean
  calls_c = Number.POSITIVE_INFINITY
  dies_s = Number.POSITIVE_INFINITY
  read_s = 0
  hand_s = Number.NEGATIVE_INFINITY
  took_s = Number.NEGATIVE_INFINITY
  looked_s = Number.NEGATIVE_INFINITY
  outAt_s: number | undefined
  waitsUntil_s = 0
  backs = 0
  taken = 0
  calls = 0
  forgot = false
  found = false
  set_c: number | undefined
  served_s: number | undefined
  carved = false
  heat: KitchenHeat | undefined
  constructor(
    readonly item: string,
    readonly told: ServedRoast,
  ) {
    this.delayed = told.late_min === 0
  }
}

/**
 * Cooks a begun cook to its end by the board alone.
 *
 * @param cook as it began: with its schedule
 * @param roasts by the ids of the cook's items
 * @param giveUp_s nothing is later than this, s since 1970
 */
export function serve(...asked: Parameters<typeof service>): readonly Served[] {
  return service(...asked).served
}

/** What was entered and read in a service, with how it came to the table. */
export interface Service {
  readonly served: readonly Served[]
  readonly entries: readonly Entered[]
  readonly readings: readonly Read[]
}

interface Read {
  readonly at: string
  readonly c: number
  readonly item: string
  readonly probe: 'core' | 'breast' | 'thigh' | 'air'
}
/** What a probe says that a board asks somebody to look at, where two may have changed places. */
const ASKS_TO_LOOK = new Set(['swapped', 'moved', 'pulled_out', 'too_warm'])

/** The same, with its whole log. */
export function service(
  cook: CookDocument,
  ask: { readonly plan?: unknown; readonly meal?: unknown },
  roasts: ReadonlyMap<string, ServedRoast>,
  kitchen: Kitchen,
  begun_s: number,
  giveUp_s: number,
  members = 96,
): Service {
  const heats = new Map<string, KitchenHeat>()
  const heatOf = (where: string | null, oven: string | null): KitchenHeat => {
    const pan = where === 'pan'
    const key = pan ? 'pan' : (oven ?? where ?? 'oven')
    const { offset_k, swings } = kitchen
    const known = heats.get(key) ?? (pan ? new KitchenHeat(0, PAN_CONTACT) : new KitchenHeat(offset_k(key), 1, swings))
    heats.set(key, known)
    return known
  }
  const ones = new Map([...roasts].map(([item, told]) => [item, new OneRoast(item, told)]))
  const only = ones.size === 1 ? [...ones.values()][0] : undefined
  const entries: Entered[] = []
  const readings: Read[] = []
  const iso = (at_s: number) => new Date(at_s * 1000).toISOString()
  const oneOf = ({ item }: Action) => (item === null ? only : ones.get(item))
  let now_s = begun_s
  let due_s = begun_s
  let promises = new Map<string, number>()
  let told = kitchen.guests
  let dies_s = kitchen.ovenDies_s ?? Number.POSITIVE_INFINITY
  let spare: KitchenHeat | undefined
  let swapped_s = kitchen.swapped_s ?? Number.POSITIVE_INFINITY
  const [first, second] = [...ones.values()]
  /** Whose probe it is by its label. */
  const labelOf = (one: OneRoast): OneRoast =>
    now_s < swapped_s || !first?.inside || !second?.inside ? one : one === first ? second : one === second ? first : one
  const doors = (kitchen.doors_s ?? []).toSorted((a, b) => a - b)

  const advance = () => {
    for (; now_s < due_s; now_s += TICK_S) {
      while (doors[0] !== undefined && doors[0] <= now_s) {
        doors.shift()
        for (const [key, heat] of heats) if (key !== 'pan') heat.door()
      }
      if (now_s >= dies_s) {
        const failing = [...ones.values()].find(({ inside, heat }) => inside && heat && heat.contact === 1)
        if (failing) {
          dies_s = Number.POSITIVE_INFINITY
          failing.heat?.fail()
        }
      }
      for (const heat of [...heats.values(), ...(spare ? [spare] : [])]) heat.advance(TICK_S)
      for (const one of ones.values()) {
        const { piece } = one.told
        // What it is like is what it is like at the knife, as with the other cooks.
        if (!one.begun || one.carved) continue
        piece.advance(TICK_S)
        // A probe stays in while it rests.
        if (now_s < one.read_s || now_s >= one.dies_s) continue
        const at = iso(now_s)
        const { item } = labelOf(one)
        for (const { probe, c } of piece.read()) readings.push({ at, c: tenth(c), item, probe })
        if (kitchen.airProbe && one.inside && one.heat)
          readings.push({ at, c: tenth(one.heat.air_c), item: one.item, probe: 'air' })
        one.read_s = now_s + READ_S
        // The board calls when it reads its pull.
        if (one.inside && leastRead(piece) >= one.calls_c) {
          one.calls_c = Number.POSITIVE_INFINITY
          due_s = now_s
        }
      }
    }
  }
  const enter = (more: Omit<Entered, 'at'>) => entries.push({ ...more, at: iso(now_s) })
  const out = (one: OneRoast) => {
    one.inside = false
    one.told.piece.put(undefined)
  }
  const into = (one: OneRoast, heat: KitchenHeat, set_c?: number | null) => {
    one.set_c = set_c ?? one.set_c
    one.heat = heat
    one.inside = true
    one.begun = true
    one.told.piece.put(heat)
  }

  /** What is in the same oven as one, itself first. */
  const inWith = (one: OneRoast): OneRoast[] => [
    one,
    ...[...ones.values()].filter((each) => each !== one && each.inside && each.heat === one.heat),
  ]
  /** Whoever touches a dead oven sees that it is cold, and says so of all that is in it. */
  const touched = (one: OneRoast): boolean => {
    if (!one.heat?.dead || one.found) return false
    one.calls++
    for (const each of inWith(one)) {
      each.found = true
      enter({ kind: 'oven', item: each.item, value_c: 20 })
    }
    return true
  }
  /** Carried to the other oven, which is as cold as the kitchen, with all that is in the dead one. */
  const carried = (one: OneRoast, set_c: number | null) => {
    spare ??= new KitchenHeat(kitchen.offset_k('spare'), 1, kitchen.swings)
    spare.set(set_c ?? undefined)
    for (const each of inWith(one)) {
      into(each, spare)
      enter({ kind: 'oven', item: each.item, value_c: set_c, text: 'Spare oven' })
    }
  }

  /** What an action does in the kitchen. */
  const act = (action: Action, actions: readonly Action[]) => {
    const { kind, set_c, where, oven } = action
    const one = oneOf(action)
    if (kind === 'heat_up') heatOf(where, oven).set(set_c ?? undefined)
    if (!one) return
    if (kind === 'put_in' || kind === 'finish') {
      const heat = heatOf(where, oven)
      if (set_c !== null) heat.set(set_c)
      into(one, heat, set_c)
      const pull = actions.find((each) => each.kind === 'pull' && each.item === action.item)
      const { dead_at } = one.told
      if (kind === 'put_in' && dead_at !== undefined && pull)
        one.dies_s = now_s + dead_at * (Date.parse(pull.at) / 1000 - now_s)
    }
    if (kind === 'change') {
      heatOf(where, oven).set(set_c ?? undefined)
      into(one, heatOf(where, oven))
      touched(one)
    }
    // By the clock its rest is what takes it out.
    if (kind === 'pull' || kind === 'carve' || kind === 'take_off' || kind === 'rest') out(one)
    if (kind === 'carve') one.carved = true
  }

  const readByHand = (one: OneRoast) => {
    one.hand_s = now_s
    for (const { probe, c } of one.told.piece.read())
      enter({ kind: 'reading', item: one.item, value_c: tenth(c), ...(probe === 'core' ? {} : { point: probe }) })
  }

  /** One roast's own troubles: a lost probe, a way out, back in. Answers when to look again, s; undefined: nothing done. */
  const attend = (one: OneRoast, own: Seen, actions: readonly Action[]): number | undefined => {
    const { piece } = one.told
    if (own.odd.some(({ code }) => code === 'oven_falling' || code === 'core_falling') && touched(one))
      return now_s + TICK_S
    if (own.odd.some(({ code }) => ASKS_TO_LOOK.has(code)) && now_s - one.looked_s > LOOK_S) {
      one.looked_s = now_s
      one.calls++
      if (now_s >= swapped_s) swapped_s = Number.POSITIVE_INFINITY
      enter({ kind: 'note', item: one.item, text: 'looked at' })
      return now_s + TICK_S
    }
    if (own.odd.some(({ code }) => code === 'lost') && one.inside && now_s - one.hand_s > HAND_S) {
      one.calls++
      readByHand(one)
      return now_s + TICK_S
    }
    if (one.inside && now_s < one.dies_s && own.pull_c !== null) one.calls_c = own.pull_c
    const finishes = actions.some(({ kind, item }) => kind === 'finish' && (item === one.item || item === null))
    if (own.back_in_min !== null && one.backs < MOST_BACK && !finishes && one.heat) {
      one.backs++
      for (const decided of own.back_in_enter ?? []) enter(decided)
      // Nobody puts it back into an oven that is known to be dead.
      if (one.heat.dead && one.found) carried(one, one.set_c ?? null)
      else into(one, one.heat)
      if (own.back_in_pull_c !== null) {
        one.calls_c = own.back_in_pull_c
        return now_s + TICK_S
      }
      one.outAt_s = now_s + own.back_in_min * 60
      return Math.min(one.outAt_s, now_s + LOOK_S)
    }
    if (one.outAt_s !== undefined && now_s >= one.outAt_s) {
      one.outAt_s = undefined
      enter({ kind: 'out', item: one.item, value_c: tenth(leastRead(piece)) })
      out(one)
      return now_s
    }
    const best = own.ways.find((way) => way.best)
    if (best?.code === 'pull_at') {
      one.taken++
      enter({ kind: 'pull_at', item: one.item, value_c: best.pull_c })
      return now_s + TICK_S
    }
    if (best?.code === 'pull_now') {
      one.taken++
      for (const decided of best.enter) enter(decided)
      out(one)
      return now_s + TICK_S
    }
    if (best && best.code !== 'leave_it' && now_s - one.took_s > TAKEN_AGAIN_S) {
      one.took_s = now_s
      if (best.code === 'other_heat') {
        one.taken++
        carried(one, best.set_c)
        return now_s + TICK_S
      }
      if (best.code === 'oven_up' || best.code === 'oven_down') {
        if (touched(one)) {
          // Nothing was taken: what is said of a dead oven is heard at once.
          one.took_s = Number.NEGATIVE_INFINITY
          return now_s + TICK_S
        }
        one.taken++
        for (const decided of best.enter) enter(decided)
        one.heat?.set(best.set_c ?? undefined)
        return now_s + TICK_S
      }
      // What is given up at the end is entered, and the board goes by it.
      if (best.code === 'short_rest' || best.code === 'skip_finish') {
        one.taken++
        for (const decided of best.enter) enter(decided)
        return now_s + TICK_S
      }
    }
    return undefined
  }

  while (now_s < giveUp_s) {
    advance()
    if (told && now_s >= told.said_s) {
      const { later_s } = told
      told = undefined
      for (const { id, promise } of cook.items) {
        const moved_s = (promises.get(id) ?? Date.parse(promise) / 1000) + later_s
        enter({ kind: 'promise', item: cook.items.length > 1 ? id : null, text: iso(moved_s) })
      }
    }
    const asked = nextDocument.parse({ ...ask, begun: iso(begun_s), now: iso(now_s), entries, readings, members })
    const answer = nextOf(cook, asked)
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    const { actions, over } = answer.value
    promises = new Map(answer.value.roasts.map(({ item, promise }) => [item, Date.parse(promise) / 1000]))
    for (const own of answer.value.roasts) {
      const one = ones.get(own.item)
      if (one && own.state === 'served') one.served_s ??= now_s
    }
    if (over) break
    // What is to be read by hand is read before it is pulled.
    const steps = actions
      .filter(({ kind }) => kind !== 'look')
      .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at) || Number(b.kind === 'read') - Number(a.kind === 'read'))
    const soonest = steps.find((action) => {
      const one = oneOf(action)
      const at_s = Date.parse(action.at) / 1000
      // Late with it: nothing that comes after is done before it.
      if (one && now_s < one.waitsUntil_s && action.kind !== 'heat_up') return false
      return at_s <= now_s + TICK_S
    })
    if (soonest) {
      const one = oneOf(soonest)
      if (one && soonest.kind === 'put_in' && !one.delayed) {
        one.delayed = true
        one.waitsUntil_s = now_s + one.told.late_min * 60
        due_s = now_s + TICK_S
        continue
      }
      if (one && soonest.kind === 'pull' && one.told.forgotten_min && !one.forgot) {
        one.forgot = true
        one.waitsUntil_s = now_s + one.told.forgotten_min * 60
        due_s = now_s + TICK_S
        continue
      }
      if (one) one.calls++
      if (one && soonest.kind === 'read') {
        readByHand(one)
        due_s = now_s + TICK_S
        continue
      }
      act(soonest, actions)
      for (const entry of soonest.enter) entries.push({ ...entry, at: iso(now_s) } as Entered)
      due_s = now_s
      continue
    }
    let again_s = Math.min(now_s + LOOK_S, told ? Math.max(told.said_s, now_s + TICK_S) : Number.POSITIVE_INFINITY)
    for (const own of answer.value.roasts) {
      const one = ones.get(own.item)
      if (!one) continue
      if (own.state === 'resting' || own.state === 'finishing') again_s = Math.min(again_s, now_s + RESTING_LOOK_S)
      if (one.outAt_s !== undefined) again_s = Math.min(again_s, one.outAt_s)
      if (one.waitsUntil_s > now_s) again_s = Math.min(again_s, one.waitsUntil_s)
      const due = attend(one, own, actions)
      if (due !== undefined) again_s = Math.min(again_s, due)
    }
    const [next] = steps.filter(({ at }) => Date.parse(at) / 1000 > now_s)
    if (next) again_s = Math.min(again_s, Date.parse(next.at) / 1000)
    due_s = Math.max(now_s + (again_s > now_s ? TICK_S : 0), again_s)
  }
  const served = [...ones.values()].map(({ item, told, taken, calls, served_s }) => ({
    item,
    calls: taken + calls,
    browned_s: told.piece.browned_s,
    tender_min: told.piece.tender_min,
    held: told.piece.held >= 1,
    late_min: served_s === undefined ? Number.NaN : (served_s - (promises.get(item) ?? Number.NaN)) / 60,
    off_k: told.piece.highest_c - told.serve_c,
    peak_c: told.piece.highest_c,
    taken,
  }))
  return { served, entries, readings }
}
