import { seededRandom } from '@/core/estimate/random'
import type { HeatSource, Leg, MealItem, MealProblem } from '@/core/schedule/meal/problem'

/** A seeded made-up kitchen and supper: for judging the scheduler, not for cooking. */
export function randomMeal(seed: number, roasts: number, sides: number, ovens: number, servings = 1): MealProblem {
  const random = seededRandom(seed)
  const pick = <Value>(values: readonly Value[]): Value => values[Math.floor(random() * values.length)] as Value
  const serve = 1_800_000_000 - (1_800_000_000 % 600)
  const sources: HeatSource[] = [
    ...Array.from({ length: ovens }, (_, i) => ({
      id: `oven-${i}`,
      kind: 'oven' as const,
      places: pick([2, 3, 4]),
      oneSetting: true,
      low_c: 50,
      high_c: 260,
    })),
    { id: 'hob', kind: 'hob', places: 4, oneSetting: false, low_c: 0, high_c: 400 },
  ]
  const lead = (set_c: number) => 600 + Math.round(set_c / 25) * 60
  const inOven = (set_c: number, minutes: number, cost: number) =>
    Array.from({ length: ovens }, (_, source) => ({
      source,
      phases: [{ duration_s: Math.round(minutes * (0.9 + 0.2 * random())) * 60, set_c }],
      lead_s: lead(set_c),
      cost,
    }))
  const at = () => serve - 1800 * Math.floor(random() * servings)
  const roast = (i: number): MealItem => {
    const set_c = pick([110, 120, 150, 160, 180])
    const rest = pick([15, 20, 30])
    const legs: Leg[] = [
      {
        places: pick([1, 1, 2]),
        choices: inOven(set_c, 60 + 180 * random(), 0),
        gap: { least_s: rest * 60, most_s: rest * 60 + 2700, liked_s: rest * 60 + 600, perTen: 2 },
      },
    ]
    if (random() < 0.35)
      legs.push({ places: 1, choices: inOven(240, 10, 1), gap: { least_s: 0, most_s: 0, liked_s: 0, perTen: 0 } })
    if (random() < 0.1) {
      legs[0] = {
        places: 1,
        choices: Array.from({ length: ovens }, (_, source) => ({
          source,
          phases: [
            { duration_s: 2400, set_c: 260 },
            { duration_s: 7200, set_c: undefined },
          ],
          lead_s: lead(260),
          cost: 0,
        })),
        gap: { least_s: 0, most_s: 1200, liked_s: 0, perTen: 3 },
      }
    }
    return { id: `roast-${i}`, serve_s: at(), legs, dish_s: 600, early_s: 1200 }
  }
  const side = (i: number): MealItem => {
    const nominal = pick([160, 180, 200, 220])
    const minutes = 20 + 50 * random()
    return {
      id: `side-${i}`,
      serve_s: at(),
      legs: [
        {
          places: 1,
          choices: [-20, 0, 20].flatMap((off) =>
            inOven(nominal + off, (minutes * (nominal - 85)) / (nominal + off - 85), Math.abs(off) / 10),
          ),
          gap: { least_s: 0, most_s: pick([600, 1200, 2400]), liked_s: 0, perTen: 1 },
        },
      ],
      dish_s: 300,
      early_s: 0,
    }
  }
  return {
    sources,
    items: [...Array.from({ length: roasts }, (_, i) => roast(i)), ...Array.from({ length: sides }, (_, i) => side(i))],
    cooks: pick([2, 3]),
    earliest_s: serve - 12 * 3600,
  }
}

/** A large supper as a kitchen would take it on: roasts at one or two heats an oven, sides while they rest. */
export function busyMeal(seed: number, roasts: number, sides: number, ovens: number): MealProblem {
  const meal = randomMeal(seed, roasts, sides, ovens)
  const random = seededRandom(seed + 7)
  const heats = [130, 160]
  return {
    ...meal,
    cooks: 3 + Math.ceil(roasts / 4),
    sources: meal.sources.map((source) => (source.kind === 'oven' ? { ...source, places: 5 } : source)),
    items: meal.items.map((item, i) =>
      i >= roasts
        ? {
            ...item,
            legs: item.legs.map((leg) => ({
              ...leg,
              choices: leg.choices.map((choice) => ({
                ...choice,
                phases: choice.phases.map((phase) => ({ ...phase, set_c: 180 + 20 * Math.round(random()) })),
              })),
              gap: { ...leg.gap, most_s: 2400 },
            })),
          }
        : {
            ...item,
            early_s: 2400,
            legs: item.legs.slice(0, 1).map((leg) => ({
              ...leg,
              places: 1,
              choices: leg.choices.map((choice) => ({
                ...choice,
                phases: [{ duration_s: choice.phases[0]?.duration_s ?? 3600, set_c: heats[i % 2] }],
              })),
              gap: { ...leg.gap, most_s: leg.gap.least_s + 4200 },
            })),
          },
    ),
  }
}
