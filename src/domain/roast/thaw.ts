import { coldWaterThawSeconds, thawSeconds } from '@/core/portions/buy'
import type { Thaw } from '@/core/schedule/days-before'
import type { PlanDocument } from './roast-document'

/** How a piece thaws that was bought frozen; undefined where there is nothing to thaw any more. */
export const thawOf = ({
  frozen,
  thaws,
  roast,
}: Pick<PlanDocument, 'frozen' | 'thaws'> & { readonly roast: { readonly mass_kg: number } }): Thaw | undefined =>
  !frozen || thaws === 'out'
    ? undefined
    : thaws === 'water'
      ? { how: 'water', takes_s: coldWaterThawSeconds(roast.mass_kg) }
      : { how: 'fridge', takes_s: thawSeconds(roast.mass_kg) }
