'use client'
import { useState } from 'react'
import type { MealDocument } from '@/domain/meal/meal-document'
import type { Units } from '@/words/units'
import { saidOf, send } from '../shell/client'

const button = 'min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper'

/** Keeps this meal's ovens and hands for the kitchen's next meals: no other meal is changed by it. */
export function KeepEquipment({
  slug,
  equipment,
  units,
}: {
  readonly slug: string
  readonly equipment: MealDocument['kitchen']
  readonly units: Units
}) {
  const [said, setSaid] = useState('')
  const keep = async () => {
    const kept = await send(`/api/k/${slug}/equipment`, 'PUT', equipment)
    setSaid(kept.ok ? 'The next meals of this kitchen start from these.' : saidOf(kept, units))
  }
  return (
    <p className="mt-4 flex flex-wrap items-center gap-3 text-base">
      <button type="button" className={button} onClick={() => void keep()}>
        Keep these for the next meals
      </button>
      <span role="status" className="text-soft">
        {said || 'They belong to this meal; the kitchen’s other meals keep theirs.'}
      </span>
    </p>
  )
}
