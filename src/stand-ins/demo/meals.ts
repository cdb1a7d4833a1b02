import { USUAL_SIDES } from '@/domain/meal/from-words'
import { type MealDocument, type MealDocumentInput, mealDocument } from '@/domain/meal/meal-document'

/** Tern Point's kitchen: two ovens, a fire pit, a warm cabinet, three cooks. Invented, like all of the demo. */
export const TERN_POINT_KITCHEN: MealDocumentInput['kitchen'] = {
  ovens: [
    { id: 'lamp', name: 'Lamp room oven', kind: 'fan', offset_k: 4, places: 4, low_c: 60, high_c: 260 },
    { id: 'galley', name: 'Galley oven', kind: 'still', offset_k: -6, places: 2, low_c: 80, high_c: 250 },
  ],
  fire_places: 2,
  hob_rings: 6,
  bath_places: 0,
  cabinet_places: 6,
  cooks: ['Maren', 'Jory', 'Tamsin'],
  probes: 5,
  fridge_litres: 620,
}

const side = (index: number, id: string, serving: string, owner: string | null = null) => ({
  ...(USUAL_SIDES[index] as (typeof USUAL_SIDES)[number]),
  id,
  serving,
  owner,
})

/** The keepers' reunion supper: 38 at the table. */
export function reunion(at: string): MealDocument {
  return mealDocument.parse({
    title: 'Keepers’ reunion supper',
    kitchen: TERN_POINT_KITCHEN,
    guests: 38,
    vulnerable: true,
    servings: [{ id: 'supper', title: 'Supper', at }],
    roasts: [
      {
        id: 'rib',
        title: 'Rib of beef',
        serving: 'supper',
        heads: 14,
        price_per_kg: 29.5,
        roast: { cut: 'beef-rib-bone-in', mass_kg: 6.3, thickness_mm: 126, temper_min: 60, surface: 'dry_salted' },
        program: { school: 'steady', set_c: 130 },
        target: { doneness: 'medium-well' },
        owner: 'Maren',
      },
      {
        id: 'lamb',
        title: 'Lamb leg by the fire',
        serving: 'supper',
        heads: 7,
        price_per_kg: 17.8,
        roast: { cut: 'lamb-leg-bone-in', mass_kg: 2.8, temper_min: 30, surface: 'dry_salted' },
        program: { school: 'two-zone-fire' },
        target: { doneness: 'medium-well' },
        owner: 'Jory',
      },
      {
        id: 'pork',
        title: 'Pork loin',
        serving: 'supper',
        heads: 14,
        price_per_kg: 11.2,
        roast: { cut: 'pork-loin', mass_kg: 3.3, surface: 'dry_salted' },
        program: { school: 'steady', set_c: 170 },
        preparation: 'wet_brine',
      },
      {
        id: 'duck',
        title: 'Duck',
        serving: 'supper',
        heads: 3,
        price_per_kg: 13.4,
        frozen: true,
        roast: { cut: 'duck', mass_kg: 2.3, surface: 'dry_salted' },
        program: { school: 'steady', set_c: 170 },
      },
    ],
    sides: [
      side(0, 'potatoes', 'supper', 'Tamsin'),
      side(1, 'roots', 'supper'),
      side(2, 'stuffing', 'supper'),
      side(5, 'cabbage', 'supper'),
    ],
  })
}

/** A Friday roast evening: a rib carved every half hour, each with its own potatoes. */
export function fridayEvening(first: string): MealDocument {
  const at = (i: number) => new Date(Date.parse(first) + i * 45 * 60_000).toISOString()
  const servings = [0, 1, 2].map((i) => ({ id: `carving-${i + 1}`, title: `Carving ${i + 1}`, at: at(i) }))
  return mealDocument.parse({
    title: 'Friday roast evening',
    kitchen: TERN_POINT_KITCHEN,
    guests: 30,
    servings,
    roasts: servings.map(({ id }, i) => ({
      id: `rib-${i + 1}`,
      title: `Rib ${i + 1}`,
      serving: id,
      heads: 10,
      price_per_kg: 29.5,
      roast: { cut: 'beef-rib-bone-in', mass_kg: 4.5, temper_min: 30, surface: 'dry_salted' },
      program: i === 0 ? { school: 'steady', set_c: 150 } : { school: 'reverse-sear', set_c: 110, rest_min: 30 },
      target: { doneness: 'medium-rare' },
    })),
    sides: servings.map(({ id }, i) => side(0, `potatoes-${i + 1}`, id)),
  })
}
