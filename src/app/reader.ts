import { cookies } from 'next/headers'
import type { KitchenRow } from '@/db/repositories'
import { kitchenUnits, type Units } from '@/words/units'

/** The reader's units: their own choice where they made one, else the kitchen's. */
export async function unitsOf(
  kitchen: Pick<KitchenRow, 'temperatureUnit' | 'massUnit' | 'clock' | 'timeZone' | 'dateOrder'>,
): Promise<Units> {
  const own = (await cookies()).get('pheasant-units')?.value
  const base = kitchenUnits(kitchen)
  if (own === 'f-lb') return { ...base, temperature: 'f', mass: 'lb' }
  if (own === 'c-kg') return { ...base, temperature: 'c', mass: 'kg' }
  return base
}
