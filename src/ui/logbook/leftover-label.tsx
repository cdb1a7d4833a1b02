import { COOLING, STANDARDS } from '@/core/reference/standards'
import type { StoryItem } from '@/domain/cook/story/story'
import { clock, day, mass, shortDay, temperature, type Units } from '@/words/units'

/** A label for a box in the fridge. */
export function LeftoverLabel({
  item,
  kitchen,
  units,
}: {
  readonly item: StoryItem
  readonly kitchen: string
  readonly units: Units
}) {
  const served = item.went.plate ?? item.planned.plate
  const served_s = Date.parse(served) / 1000
  return (
    <section className="break-inside-avoid rounded-lg border-2 border-black p-4" data-testid="label">
      <p className="text-base">{kitchen}</p>
      <h1 className="font-display text-3xl font-bold leading-tight">{item.title}</h1>
      <p className="text-xl">
        {mass(Number(item.ate.left), units)}, cooked {shortDay(served_s, units)}
      </p>
      <p className="mt-3 border-y-2 border-black py-1 text-2xl font-bold">
        Eat by {day(served_s + STANDARDS.leftoversKeep.value, units)}
      </p>
      <p className="mt-2 text-lg">
        Into the fridge by {clock(served_s + COOLING.first_s, units)}; at {temperature(COOLING.to_c, units)} by ______.
        <br />
        Reheat until its middle reads {temperature(STANDARDS.reheatTo.value, units)}, once.
      </p>
      <p className="mt-1 text-base">What smells or looks wrong is thrown away. Your local code decides.</p>
    </section>
  )
}
