import { cookies } from 'next/headers'
import type { KitchenRow } from '@/db/repositories'
import type { Units } from '@/ui/format/units'

/** The reader's units: their own choice where they made one, else the kitchen's. */
export async function unitsOf(
  kitchen: Pick<KitchenRow, 'temperatureUnit' | 'massUnit' | 'clock' | 'timeZone'>,
): Promise<Units> {
  const own = (await cookies()).get('pheasant-units')?.value
  const base: Units = {
    temperature: kitchen.temperatureUnit === 'f' ? 'f' : 'c',
    mass: kitchen.massUnit,
    clock: kitchen.clock,
    timeZone: kitchen.timeZone,
  }
  if (own === 'f-lb') return { ...base, temperature: 'f', mass: 'lb' }
  if (own === 'c-kg') return { ...base, temperature: 'c', mass: 'kg' }
  return base
}
