import { TZDate } from '@date-fns/tz'
import { addDays } from 'date-fns'
import type { Database } from '@/db/connection'
import { ensureKitchen, listKitchens, openKitchen } from '@/db/repositories'
import { type PlanDocument, type PlanDocumentInput, planDocument } from '@/domain/roast/roast-document'
import { fridayEvening, reunion } from './meals'

interface DemoWorld {
  readonly timeZone: string
  readonly now_s: number
}

/** A clock time some days from today, at the earliest tomorrow, as an ISO instant. */
function on({ timeZone, now_s }: DemoWorld, days: number, hour: number, minute: number): string {
  const today = new TZDate(now_s * 1000, timeZone)
  const day = addDays(today, days)
  return new Date(
    new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), hour, minute, timeZone).getTime(),
  ).toISOString()
}

const daysTo = ({ timeZone, now_s }: DemoWorld, weekday: number) => {
  const today = new TZDate(now_s * 1000, timeZone).getDay()
  return ((weekday - today + 6) % 7) + 1
}

const plan = (
  title: string,
  promise: string,
  guests: number,
  roast: PlanDocumentInput['roast'],
  program: PlanDocument['program'],
  doneness: string,
  oven: PlanDocument['oven'] = { kind: 'still', offset_k: 0 },
): PlanDocument =>
  planDocument.parse({
    version: 1,
    title,
    roast: { start_c: 5, temper_min: 30, surface: 'dry_salted', ...roast },
    oven,
    program,
    target: { doneness },
    promise,
    guests,
  })

/**
 * Lays the invented demo: Tern Point, a lighthouse station turned guest house, and a cottage kitchen. Only into a
 * database that has no kitchen yet, or, where it is asked for, into kitchens of the demo that have no plans.
 *
 * @returns whether it was laid
 */
export async function layDemo(db: Database, world: DemoWorld, asked = false): Promise<boolean> {
  const { timeZone } = world
  if (!asked && (await listKitchens(db)).length > 0) return false
  await ensureKitchen(db, { slug: 'cottage', name: 'Cottage kitchen', timeZone, createdAt: new Date(0) })
  await ensureKitchen(db, { slug: 'tern-point', name: 'Tern Point', timeZone, createdAt: new Date(1000) })
  const friday = daysTo(world, 5)
  const saturday = daysTo(world, 6)
  const sunday = daysTo(world, 0)
  const demo: Record<string, PlanDocument[]> = {
    cottage: [
      plan(
        'Sunday rib',
        on(world, sunday, 19, 0),
        6,
        { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
        { school: 'steady', set_c: 120 },
        'medium-rare',
      ),
      plan(
        'A bird for six',
        on(world, sunday + 7, 14, 0),
        6,
        { cut: 'chicken', mass_kg: 2.4 },
        { school: 'steady', set_c: 175 },
        'done',
      ),
    ],
    'tern-point': [
      plan(
        'Friday roast, first carving',
        on(world, friday, 17, 0),
        14,
        { cut: 'beef-rib-bone-in', mass_kg: 6.4, thickness_mm: 128 },
        { school: 'reverse-sear' },
        'medium-rare',
        { kind: 'fan', offset_k: 4 },
      ),
      plan(
        'Keepers’ reunion, lamb by the fire',
        on(world, saturday, 19, 30),
        12,
        { cut: 'lamb-leg-bone-in', mass_kg: 2.8 },
        { school: 'two-zone-fire' },
        'medium-rare',
      ),
      plan(
        'Keepers’ reunion, pork loin',
        on(world, saturday, 19, 30),
        14,
        { cut: 'pork-loin', mass_kg: 3.4 },
        { school: 'pan-first' },
        'rosy',
        { kind: 'fan', offset_k: 4 },
      ),
    ],
  }
  for (const [slug, documents] of Object.entries(demo)) {
    const scope = await openKitchen(db, slug)
    if (!scope || (await scope.plans.list({ limit: 1, offset: 0 })).total > 0) continue
    for (const document of documents) await scope.plans.add({ ...document, time_zone: timeZone })
    if (slug !== 'tern-point') continue
    const supper = reunion(on(world, saturday, 19, 30))
    await scope.setEquipment(supper.kitchen)
    await scope.meals.add({ ...supper, time_zone: timeZone })
    await scope.meals.add({ ...fridayEvening(on(world, friday, 18, 0)), time_zone: timeZone })
  }
  return true
}
