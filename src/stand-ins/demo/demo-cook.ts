import { createHash, randomBytes } from 'node:crypto'
import { writeFileSync } from 'node:fs'
import type { Database } from '@/db/connection'
import { cookShelf } from '@/db/cooks'
import { openKitchen } from '@/db/repositories'
import { cookFromPlan } from '@/domain/cook/begin'
import { type CookEntry, cookEntry } from '@/domain/cook/cook-document'
import { planDocument } from '@/domain/roast/roast-document'
import type { StationOrders } from '../probe-station/station'

/** The demo's cook has been in for this long when it is laid, s. */
const IN_FOR_S = 75 * 60
/** The station sends for so long: then the cook is over. */
const OVER_S = 5 * 3600

/**
 * A rib in the cottage oven, an hour and a quarter in, with the simulated probe station on it. The
 * station's orders are written to a file; it starts with the application.
 */
export async function layDemoCook(db: Database, now_s: number, ordersFile: string): Promise<void> {
  const scope = await openKitchen(db, 'cottage')
  if (!scope) return
  const shelf = cookShelf(db, scope.kitchen)
  const running = (await shelf.list({ state: 'cooking', limit: 40, offset: 0 })).rows.find(
    ({ state, createdAt }) => state === 'cooking' && now_s - createdAt.getTime() / 1000 < OVER_S,
  )
  if (running) return
  const in_s = now_s - IN_FOR_S
  const plan = planDocument.parse({
    title: 'Tonight’s rib',
    roast: { cut: 'beef-rib-bone-in', mass_kg: 2.6, temper_min: 30, surface: 'dry_salted' },
    program: { school: 'steady', set_c: 130 },
    target: { doneness: 'medium-rare' },
    promise: new Date((now_s + 2.2 * 3600) * 1000).toISOString(),
    guests: 5,
  })
  const made = cookFromPlan(plan, now_s, 1)
  if (!made.ok) return
  const cook = await shelf.begin(made.value)
  const token = randomBytes(24).toString('base64url')
  const device = await shelf.addDevice(
    'Kitchen probe station (simulated)',
    createHash('sha256').update(token).digest('hex'),
  )
  const at = (s: number) => new Date(s * 1000).toISOString()
  const entry = (part: Partial<CookEntry>, s: number) =>
    cookEntry.parse({ id: randomBytes(12).toString('hex'), at: at(s), item: 'roast', by: 'Wren', ...part })
  await shelf.add(cook.id, [
    entry({ kind: 'in' }, in_s),
    entry({ kind: 'assign', device: device.id, channel: 0, point: 'core' }, in_s + 20),
    entry({ kind: 'assign', device: device.id, channel: 1, point: 'air' }, in_s + 30),
    entry({ kind: 'note', text: 'fat side up, on the small rack' }, in_s + 120),
  ])
  const told = { cut: 'beef-rib-bone-in', mass_kg: 2.6, set_c: 130, pull_c: 51, fan: false }
  const channel = { seed: 4, told, put_in: at(in_s), faults: [] }
  const orders: Omit<StationOrders, 'address'> = {
    token,
    clock: cook.document.clock,
    until_s: OVER_S,
    channels: [
      { ...channel, channel: 0, point: 'core' },
      { ...channel, channel: 1, point: 'air' },
      { ...channel, channel: 2, point: 'bench' },
    ],
  }
  writeFileSync(ordersFile, JSON.stringify(orders), { mode: 0o600 })
}
