import { buyFor } from '@/core/portions/buy'
import type { Cut } from '@/core/reference/cuts'
import { cutByStandards, type HouseStandards } from '../house/standards'
import { tenth } from '../quantity/round'

/** A rib of beef with its bone, raw (common practice), kg. */
const RIB_KG = 1
/** So many of them a side has that are roasted. */
const MOST_RIBS = 7

/** A weight for so many heads, kg: to a tenth, or as the kitchen buys. */
function asBought(known: Cut, standards: HouseStandards, heads: number): number {
  const cut = cutByStandards(known, standards)
  const bought_kg = buyFor(cut, heads, undefined).mass_kg
  // Nobody sells half a duck for one.
  const wanted_kg = Math.min(cut.mass_kg.most, cut.bone === 'bird' ? Math.max(cut.mass_kg.least, bought_kg) : bought_kg)
  return cut.buyStep_kg === undefined ? tenth(wanted_kg) : wanted_kg
}

/**
 * What is taken where a line says no weight: by its ribs, for so many heads, or as usual, kg; and sizes that are
 * plainly apart, for nobody chooses between 3.5 and 3.6.
 * @param heads how many it feeds; undefined where nobody says
 */
export function weightTaken(
  known: Cut,
  {
    heads,
    bones,
    standards,
  }: { readonly heads: number | undefined; readonly bones: number | undefined; readonly standards: HouseStandards },
): { readonly taken_kg: number; readonly sizes: readonly number[] } {
  const ribs_kg =
    known.id.startsWith('beef-rib') && bones !== undefined ? Math.min(MOST_RIBS, bones) * RIB_KG : undefined
  const { least, usual, most } = known.mass_kg
  const taken_kg = ribs_kg ?? (heads === undefined ? usual : asBought(known, standards, Math.max(1, Math.round(heads))))
  const sizes: number[] = []
  for (const kg of [taken_kg, usual, (usual + least) / 2, (usual + most) / 2])
    if (!sizes.some((each) => Math.abs(each - kg) < 0.15 * kg)) sizes.push(kg)
  return { taken_kg, sizes }
}
