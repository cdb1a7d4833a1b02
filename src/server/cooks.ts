import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { fahrenheitToCelsius } from '@/core/units'
import { type CookPage, type CookRow, cookShelf, type DeviceRow, type KeptEntry, keepReadings } from '@/db/cooks'
import type { KitchenRow, KitchenScope } from '@/db/repositories'
import type { Unreadable } from '@/db/stored'
import { LEFT_POINT } from '@/domain/cook/ate'
import { wentInAlready } from '@/domain/cook/begin'
import {
  type CookDocument,
  type CookEntry,
  cookEntry,
  cookTime,
  type ProbeReading,
  readingsBatch,
  sortReadings,
} from '@/domain/cook/cook-document'
import type { LivingCook } from '@/domain/cook/living-plan'
import { isOver } from '@/domain/cook/run'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, type Problem, succeed } from '@/domain/problem/problem'
import { finite, ident, text } from '@/domain/schema/scalars'
import { deviceOf } from './access/devices'
import { withinOften } from './access/limiter'
import { hashOf, newSecret } from './access/secrets'
import { keepTrail, signedAs } from './access/trail'
import { compute } from './compute'
import { nowPrecisely, nowSeconds } from './environment'
import { inKitchen, withDatabase } from './kitchen'
import { offsetsFor } from './learned'
import { livingCook } from './living'
import { tellSoon } from './logbook'
import { planFollows } from './promise'
import { recordLeftovers } from './record'
import { database } from './rooms'

/** The use cases around cooks: begin, look, enter, read probes. */

const noCook = (id: string) => fail({ code: 'not_found', path: ['cook'], what: id })
const shelf = (scope: KitchenScope) => cookShelf(database(), scope.kitchen)

const beginning = z.strictObject({
  plan: ident(60).optional(),
  meal: ident(60).optional(),
  speed: finite.min(1).max(120).default(1),
})

/**
 * A cook as it begins: with what its probes are known to read too much, and in where it is in already. A rehearsal has
 * probes of its own, and begins before anything is in.
 */
async function begun(
  scope: KitchenScope,
  document: CookDocument,
  source: NonNullable<CookDocument['source']>,
  wentIn: readonly CookEntry[] = [],
): Promise<Outcome<CookRow>> {
  const row = await shelf(scope).begin({ ...document, source })
  if (document.clock.speed > 1) return succeed(row)
  const known = [...(await offsetsFor(scope)), ...wentIn]
  if (known.length > 0) await shelf(scope).add(row.id, known)
  return succeed(row)
}

/** Begins a cook from a plan or a meal. */
export const beginCook = (slug: string, value: unknown): Promise<Outcome<CookRow>> =>
  inKitchen(slug, 'cook', async (scope) => {
    const asked = parseWith(beginning, value)
    if (!asked.ok) return asked
    const { plan, meal, speed } = asked.value
    if (plan !== undefined) {
      const row = await scope.plans.find(plan)
      if (!row) return fail({ code: 'not_found', path: ['plan'], what: plan })
      const made = await compute('beginPlan', { document: row.document, now_s: nowSeconds(), speed })
      const since = wentInAlready(row.document, nowSeconds(), `in-already-${randomUUID()}`)
      return made.ok ? begun(scope, made.value, { kind: 'plan', id: plan, version: row.version }, since) : made
    }
    if (meal !== undefined) {
      const row = await scope.meals.find(meal)
      if (!row) return fail({ code: 'not_found', path: ['meal'], what: meal })
      const made = await compute('beginMeal', { document: row.document, now_s: nowSeconds(), speed })
      return made.ok ? begun(scope, made.value, { kind: 'meal', id: meal, version: row.version }) : made
    }
    return fail({ code: 'malformed', path: [], detail: 'say which plan or meal is cooked' })
  })

export interface CookState {
  readonly kitchen: KitchenRow
  readonly row: CookRow
  readonly entries: readonly KeptEntry[]
  readonly readings: readonly ProbeReading[]
  readonly devices: readonly DeviceRow[]
  readonly now_s: number
}

/** Longest cook whose readings are sent, s, and the step they are thinned to. */
const SPAN_S = 20 * 3600
const STEP_S = 20
/** Readings so long after its promise are still of a cook that is over, s. */
const AFTER_S = 4 * 3600

export const cookInKitchen = (slug: string, id: string, since: number): Promise<Outcome<CookState>> =>
  inKitchen(slug, 'read', async (scope) => {
    const own = shelf(scope)
    const row = await own.find(id)
    if (!row) return noCook(id)
    const now_s = nowPrecisely()
    const cook_s = cookTime(row.document.clock, now_s)
    const from_s = Math.min(...row.document.items.map(({ put_in }) => Date.parse(put_in) / 1000), cook_s) - 7200
    // One that is over is shown as it was: its last hours, not those before now.
    const over_s =
      row.state === 'done' ? Math.max(...row.document.items.map(({ promise }) => Date.parse(promise) / 1000)) : cook_s
    const to_s = Math.min(cook_s, over_s + AFTER_S)
    const [entries, devices, readings] = await Promise.all([
      own.entriesSince(id, since),
      own.devices(),
      own.readings(new Date(Math.max(from_s, to_s - SPAN_S) * 1000), new Date((to_s + 120) * 1000), STEP_S),
    ])
    return succeed({ kitchen: scope.kitchen, row, entries, devices, readings, now_s })
  })

export const cooksOfKitchen = (
  slug: string,
  page: CookPage,
): Promise<Outcome<{ cooks: readonly CookRow[]; unreadable: readonly Unreadable[]; total: number }>> =>
  inKitchen(slug, 'read', async (scope) => {
    const { rows, unreadable, total } = await shelf(scope).list(page)
    return succeed({ cooks: rows, unreadable, total })
  })

/** How each of these cooks stands: what is next on its board, and when. */
export async function boardsNow(slug: string, rows: readonly CookRow[]): Promise<readonly LivingCook[]> {
  const found = await inKitchen(slug, 'read', async (scope) =>
    succeed(await Promise.all(rows.map((row) => livingCook(scope, row)))),
  )
  return found.ok ? found.value : []
}

/** Kinds that can end a cook, or take its end back. */
const ENDING: ReadonlySet<CookEntry['kind']> = new Set([
  'served',
  'undo',
  'in',
  'out',
  'carve',
  'finish',
  'done',
  'skipped',
  'given_up',
])
const entryList = z.strictObject({ entries: z.array(z.unknown()).min(1).max(500) })

/** What became of each entry that was sent. */
export interface AddedEntries {
  readonly kept: readonly KeptEntry[]
  readonly refused: readonly { readonly id: string | null; readonly problems: readonly Problem[] }[]
}
const idOf = (value: unknown): string | null => {
  const { id } = typeof value === 'object' && value !== null ? (value as { id?: unknown }) : {}
  return typeof id === 'string' ? id.slice(0, 64) : null
}

/** Keeps entries, each once and each on its own: what is answered as kept is safe, what is refused says why and takes no other with it. */
export const addEntries = (slug: string, id: string, value: unknown): Promise<Outcome<AddedEntries>> =>
  inKitchen(slug, 'cook', async (scope, actor) => {
    const asked = parseWith(entryList, value)
    if (!asked.ok) return asked
    const own = shelf(scope)
    const row = await own.find(id)
    if (!row) return noCook(id)
    const items = new Set([...row.document.items, ...row.document.sides].map(({ id }) => id))
    const refused: { id: string | null; problems: readonly Problem[] }[] = []
    const added: CookEntry[] = []
    for (const value of asked.value.entries) {
      const entry = parseWith(cookEntry, value)
      if (!entry.ok) refused.push({ id: idOf(value), problems: entry.problems })
      else if (entry.value.item !== null && !items.has(entry.value.item))
        refused.push({
          id: entry.value.id,
          problems: [{ code: 'not_found', path: ['item'], what: entry.value.item }],
        })
      else added.push({ ...entry.value, by: signedAs(actor, entry.value.by) })
    }
    const { kept, reused } = added.length > 0 ? await own.add(id, added, scope.who.id) : { kept: [], reused: [] }
    for (const twice of reused) refused.push({ id: twice, problems: [{ code: 'id_reused', path: ['id'], id: twice }] })
    // What is done to a roast may end the cook, or take its end back: the log is folded for that.
    if (kept.some(({ entry: { kind } }) => ENDING.has(kind) || kind === 'promise')) {
      const log = (await own.entriesSince(id, 0)).map(({ entry }) => entry)
      await planFollows(
        scope,
        row,
        log,
        kept.map(({ entry }) => entry),
      )
      const over = isOver(row.document, log, cookTime(row.document.clock, nowPrecisely()))
      const state = over ? 'done' : 'cooking'
      if (state !== row.state) await own.setState(id, state)
      if (state === 'done') tellSoon(scope, row)
    } else if (kept.length > 0 && row.state === 'done') tellSoon(scope, row)
    if (kept.some(({ entry: { point } }) => point === LEFT_POINT))
      await recordLeftovers(
        scope,
        row,
        (await own.entriesSince(id, 0)).map(({ entry }) => entry),
        kept.map(({ entry }) => entry),
      )
    return succeed({ kept, refused })
  })

/** The probe stations whose tokens open something. */
export const devicesOf = (slug: string): Promise<Outcome<readonly DeviceRow[]>> =>
  inKitchen(slug, 'share', async (scope) => succeed(await shelf(scope).openDevices()))

/** Adds a probe station; its token is shown this once. */
export const addDevice = (slug: string, value: unknown): Promise<Outcome<{ device: DeviceRow; token: string }>> =>
  inKitchen(slug, 'share', async (scope) => {
    const asked = parseWith(z.strictObject({ name: text(60).trim().min(1) }), value)
    if (!asked.ok) return asked
    const token = newSecret()
    const device = await shelf(scope).addDevice(asked.value.name, hashOf(token))
    await keepTrail(scope, 'probe_in', device.id, { name: asked.value.name })
    return succeed({ device, token })
  })

/**
 * A device's clock may be off: that is taken out in steps of this, s. In steps, so that a batch sent
 * again gets the same times and is known again.
 */
const SKEW_STEP_S = 5
/** Every server forgets what it knew of it at once. */
async function takenBack(scope: KitchenScope, id: string): Promise<boolean> {
  if (!(await shelf(scope).revokeDevice(id))) return false
  await keepTrail(scope, 'probe_out', id)
  return true
}

/** Takes a device’s token back: what it sent stays. */
export const revokeDevice = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'share', async (scope) =>
    (await takenBack(scope, id)) ? succeed({ removed: true }) : fail({ code: 'not_found', path: ['device'], what: id }),
  )

export interface TakenReadings {
  readonly kept: number
  readonly known: number
  /** By their place in the batch, each with its reasons. */
  readonly refused: readonly { readonly place: number; readonly problems: readonly Problem[] }[]
}

/** To a ten-thousandth of a kelvin: no probe reads finer, and what is smaller than any single-precision number is nought. */
const finelyEnough = (value_c: number): number => Math.round(value_c * 1e4) / 1e4

/**
 * Takes a batch of readings from a device: each once by session, channel and number, whatever its time; late and out
 * of order are welcome, and one that cannot be is refused alone.
 */
export const takeReadings = (token: string, value: unknown): Promise<Outcome<TakenReadings>> =>
  withDatabase(async () => {
    const hash = hashOf(token)
    const device = await deviceOf(hash)
    if (!device) return fail({ code: 'not_found', path: ['authorization'], what: 'device' })
    const often = await withinOften('readings', device.id)
    if (!often.ok) return often
    const asked = parseWith(readingsBatch, value)
    if (!asked.ok) return asked
    const { sent_at, unit, battery, session } = asked.value
    const { possible, refused } = sortReadings(asked.value)
    const off_s = sent_at === undefined ? 0 : nowSeconds() - Date.parse(sent_at) / 1000
    const shift_s = Math.round(off_s / SKEW_STEP_S) * SKEW_STEP_S
    if (possible.length === 0) return succeed({ kept: 0, known: 0, refused })
    const { kept, reused } = await keepReadings(
      database(),
      device,
      possible.map(({ reading: { channel, seq, at, value: given } }) => ({
        channel,
        seq,
        at: new Date(Date.parse(at) + shift_s * 1000),
        deviceAt: new Date(at),
        valueC: finelyEnough(unit === 'f' ? fahrenheitToCelsius(given) : given),
      })),
      battery,
      session,
    )
    const twice = new Set(reused.map(({ channel, seq }) => `${channel}/${seq}`))
    const again = possible.filter(({ reading: { channel, seq } }) => twice.has(`${channel}/${seq}`))
    return succeed({
      kept,
      known: Math.max(0, possible.length - kept - again.length),
      refused: [
        ...refused,
        ...again.map(({ place, reading: { channel, seq } }) => ({
          place,
          problems: [{ code: 'sequence_reused' as const, path: ['readings', place], channel, seq }],
        })),
      ],
    })
  })

/** Puts a cook away, or takes it out again. */
export const archiveCook = (slug: string, id: string, away: boolean): Promise<Outcome<{ archived: boolean }>> =>
  inKitchen(slug, 'plan', async (scope) =>
    (await shelf(scope).archive(id, away)) ? succeed({ archived: away }) : noCook(id),
  )

/** Takes a cook away with its log. The readings are the kitchen's, and stay. */
export const removeCook = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'plan', async (scope) =>
    (await shelf(scope).remove(id)) ? succeed({ removed: true }) : noCook(id),
  )
