import { createHash, randomBytes } from 'node:crypto'
import { z } from 'zod'
import { fahrenheitToCelsius } from '@/core/units'
import { type CookRow, cookShelf, type DeviceRow, deviceByToken, type KeptEntry, keepReadings } from '@/db/cooks'
import type { KitchenRow, KitchenScope } from '@/db/repositories'
import type { Unreadable } from '@/db/stored'
import { cookFromMeal, cookFromPlan } from '@/domain/cook/begin'
import { type CookEntry, cookEntry, cookTime, type ProbeReading, readingsBatch } from '@/domain/cook/cook-document'
import { foldLog, isOver } from '@/domain/cook/entry/fold'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { nowPrecisely, nowSeconds } from './environment'
import { database, inKitchen } from './kitchen'
import { savedMeal } from './meals'

/** The use cases around cooks: begin, look, enter, read probes. */

const noCook = (id: string) => fail({ code: 'not_found', path: ['cook'], what: id })
const shelf = (scope: KitchenScope) => cookShelf(database(), scope.kitchen)

const beginning = z.strictObject({
  plan: z.string().optional(),
  meal: z.string().optional(),
  speed: z.number().min(1).max(120).default(1),
})

/** Begins a cook from a plan or a meal. */
export const beginCook = (slug: string, value: unknown): Promise<Outcome<CookRow>> =>
  inKitchen(slug, async (scope) => {
    const asked = parseWith(beginning, value)
    if (!asked.ok) return asked
    const { plan, meal, speed } = asked.value
    if (plan !== undefined) {
      const row = await scope.plans.find(plan)
      if (!row) return fail({ code: 'not_found', path: ['plan'], what: plan })
      const made = cookFromPlan(row.document, nowSeconds(), speed)
      return made.ok ? succeed(await shelf(scope).begin(made.value)) : made
    }
    if (meal !== undefined) {
      const row = await scope.meals.find(meal)
      if (!row) return fail({ code: 'not_found', path: ['meal'], what: meal })
      const saved = savedMeal(scope.kitchen, row)
      if (!saved.plan) return fail(...saved.problems)
      const made = cookFromMeal(row.document, saved.plan, nowSeconds(), speed)
      return made.ok ? succeed(await shelf(scope).begin(made.value)) : made
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

export const cookInKitchen = (slug: string, id: string, since: number): Promise<Outcome<CookState>> =>
  inKitchen(slug, async (scope) => {
    const own = shelf(scope)
    const row = await own.find(id)
    if (!row) return noCook(id)
    const now_s = nowPrecisely()
    const cook_s = cookTime(row.document.clock, now_s)
    const from_s = Math.min(...row.document.items.map(({ put_in }) => Date.parse(put_in) / 1000), cook_s) - 7200
    const [entries, devices, readings] = await Promise.all([
      own.entriesSince(id, since),
      own.devices(),
      own.readings(new Date(Math.max(from_s, cook_s - SPAN_S) * 1000), new Date((cook_s + 120) * 1000), STEP_S),
    ])
    return succeed({ kitchen: scope.kitchen, row, entries, devices, readings, now_s })
  })

export const cooksOfKitchen = (
  slug: string,
): Promise<Outcome<{ cooks: readonly CookRow[]; unreadable: readonly Unreadable[] }>> =>
  inKitchen(slug, async (scope) => {
    const { rows, unreadable } = await shelf(scope).list()
    return succeed({ cooks: rows, unreadable })
  })

/** Kinds that can end a cook, or take its end back. */
const ENDING: ReadonlySet<CookEntry['kind']> = new Set(['served', 'undo', 'in', 'out', 'carve'])
const entryList = z.strictObject({ entries: z.array(cookEntry).min(1).max(500) })

/** Keeps entries, each once; what is answered is what is safe. */
export const addEntries = (slug: string, id: string, value: unknown): Promise<Outcome<readonly KeptEntry[]>> =>
  inKitchen(slug, async (scope) => {
    const asked = parseWith(entryList, value)
    if (!asked.ok) return asked
    const own = shelf(scope)
    const row = await own.find(id)
    if (!row) return noCook(id)
    const items = new Set(row.document.items.map((item) => item.id))
    const stray = asked.value.entries.find(({ item }) => item !== null && !items.has(item))
    if (stray) return fail({ code: 'not_found', path: ['entries', 'item'], what: stray.item ?? '' })
    const kept = await own.add(id, asked.value.entries)
    // What is done to a roast may end the cook, or take its end back: the log is folded for that.
    if (asked.value.entries.some(({ kind }) => ENDING.has(kind))) {
      const log = (await own.entriesSince(id, 0)).map(({ entry }) => entry)
      const state = isOver(foldLog(row.document, log)) ? 'done' : 'cooking'
      if (state !== row.state) await own.setState(id, state)
    }
    return succeed(kept)
  })

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/** Adds a probe station; its token is shown this once. */
export const addDevice = (slug: string, value: unknown): Promise<Outcome<{ device: DeviceRow; token: string }>> =>
  inKitchen(slug, async (scope) => {
    const asked = parseWith(z.strictObject({ name: z.string().trim().min(1).max(60) }), value)
    if (!asked.ok) return asked
    const token = randomBytes(24).toString('base64url')
    return succeed({ device: await shelf(scope).addDevice(asked.value.name, hashOf(token)), token })
  })

/**
 * A device's clock may be off: that is taken out in steps of this, s. In steps, so that a batch sent
 * again gets the same times and is known again.
 */
const SKEW_STEP_S = 5
const known = new Map<string, { id: string; kitchenId: string }>()

/** Takes a batch of readings from a device: idempotent by device, channel and sequence; late and out of order are welcome. */
export async function takeReadings(token: string, value: unknown): Promise<Outcome<{ kept: number; known: number }>> {
  const hash = hashOf(token)
  const device = known.get(hash) ?? (await deviceByToken(database(), hash))
  if (!device) return fail({ code: 'not_found', path: ['authorization'], what: 'device' })
  known.set(hash, device)
  const asked = parseWith(readingsBatch, value)
  if (!asked.ok) return asked
  const { sent_at, unit, readings, battery } = asked.value
  const off_s = sent_at === undefined ? 0 : nowSeconds() - Date.parse(sent_at) / 1000
  const shift_s = Math.round(off_s / SKEW_STEP_S) * SKEW_STEP_S
  const kept = await keepReadings(
    database(),
    device,
    readings.map(({ channel, seq, at, value: given }) => ({
      channel,
      seq,
      at: new Date(Date.parse(at) + shift_s * 1000),
      valueC: unit === 'f' ? fahrenheitToCelsius(given) : given,
    })),
    battery,
  )
  return succeed({ kept, known: readings.length - kept })
}
