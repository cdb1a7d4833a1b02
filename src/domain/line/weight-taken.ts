import { buyFor } from '@/core/portions/buy'
import type { Cut } from '@/core/reference/cuts'
import { cutByStandards, type HouseStandards } from '../house/standards'
import { tenth } from '../quantity/round'

/** More pieces than this nobody means who says none, however many eat. */
const MOST_SHARED = 40
const meant = (pieces: number): number => (pieces > MOST_SHARED ? 1 : pieces)
/** A hair over what so many weigh is no piece more. */
const fewestOf = (all_kg: number, { most }: { readonly most: number }): number =>
  Math.max(1, Math.ceil(all_kg / most - 1e-9))
/** A rib of beef with its bone, raw (common practice), kg. */
const RIB_KG = 1
/** So many of them a side has that are roasted. */
const MOST_RIBS = 7

/** What is bought for so many heads: what each piece weighs, to a tenth or as the kitchen buys, kg, and how many. */
function asBought(known: Cut, standards: HouseStandards, heads: number) {
  const cut = cutByStandards(known, standards)
  const bought = buyFor(cut, heads, undefined)
  const wanted_kg = heads * cut.perHead_kg
  // Sixty shanks are as many as nobody lists: fewer, and larger.
  const fewest = fewestOf(wanted_kg, cut.mass_kg)
  const { mass_kg: bought_kg, pieces } =
    bought.pieces > MOST_SHARED ? { mass_kg: wanted_kg / fewest, pieces: fewest } : bought
  // Nobody sells half a duck for one.
  const piece_kg = Math.min(cut.mass_kg.most, cut.bone === 'bird' ? Math.max(cut.mass_kg.least, bought_kg) : bought_kg)
  return {
    kg: cut.buyStep_kg === undefined ? tenth(piece_kg) : piece_kg,
    pieces: meant(pieces),
  }
}

/**
 * In how many pieces a cut comes that is to weigh so much in all: in as few as it is sold in.
 * @example piecesFor(18, { most: 4.5 }) // 4
 */
export function piecesFor(all_kg: number, { most }: { readonly most: number }): number {
  return meant(fewestOf(all_kg, { most }))
}

/**
 * What is taken where a line says no weight: by its ribs, for so many heads, or as usual, kg; and sizes that are
 * plainly apart, for nobody chooses between 3.5 and 3.6, each with how many pieces of it those eat.
 * @param heads how many it feeds; undefined where nobody says
 * @param alone nobody said how many pieces there are, and no other roast feeds them
 */
export function weightTaken(
  known: Cut,
  {
    heads,
    bones,
    standards,
    alone = false,
  }: {
    readonly heads: number | undefined
    readonly bones: number | undefined
    readonly standards: HouseStandards
    readonly alone?: boolean
  },
): {
  readonly taken_kg: number
  readonly pieces: number
  readonly sizes: readonly { readonly kg: number; readonly pieces: number }[]
} {
  const ribs_kg =
    known.id.startsWith('beef-rib') && bones !== undefined ? Math.min(MOST_RIBS, bones) * RIB_KG : undefined
  const { least, usual, most } = known.mass_kg
  const bought =
    ribs_kg === undefined && heads !== undefined
      ? asBought(known, standards, Math.max(1, Math.round(heads)))
      : { kg: ribs_kg ?? usual, pieces: 1 }
  const [taken_kg, pieces] = [bought.kg, alone ? bought.pieces : 1]
  const sizes: { readonly kg: number; readonly pieces: number }[] = []
  for (const kg of [taken_kg, usual, (usual + least) / 2, (usual + most) / 2])
    if (!sizes.some((each) => Math.abs(each.kg - kg) < 0.15 * kg))
      sizes.push({ kg, pieces: pieces === 1 ? 1 : Math.max(1, Math.round((taken_kg * pieces) / kg)) })
  return { taken_kg, pieces, sizes }
}
