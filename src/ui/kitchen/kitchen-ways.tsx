'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Customs } from '@/domain/house/customs'
import type { HouseItem } from '@/domain/house/house-item'
import { WAYS, waysOf } from '@/domain/house/ways'
import { clock, day, mass, temperature, type Units } from '@/words/units'
import { Choice } from '../controls/choice'
import { Ways } from '../controls/ways'
import { For } from '../people/who'
import { saidOf, send } from '../shell/client'
import { type ShownChange, Standards } from './standards'
import { WholeKitchen } from './whole-kitchen'

/** How a kitchen reads and how it does what kitchens differ about: where its next plans start. */
export function KitchenWays({
  kitchen,
  name,
  customs: first,
  house,
  changes,
  units,
  now_s,
}: {
  readonly kitchen: string
  readonly name: string
  readonly customs: Customs
  readonly house: readonly HouseItem[]
  readonly changes: readonly ShownChange[]
  readonly units: Units
  readonly now_s: number
}) {
  const router = useRouter()
  const [customs, setCustoms] = useState(first)
  const [ways, setWays] = useState(waysOf(house))
  const [said, setSaid] = useState('')
  const put = async (part: Partial<Customs>) => {
    const next = { ...customs, ...part }
    setCustoms(next)
    const kept = await send(`/api/k/${kitchen}/customs`, 'PUT', next)
    setSaid(kept.ok ? 'Kept for everyone in this kitchen.' : `Not kept. ${saidOf(kept, units)}`)
    if (kept.ok) router.refresh()
  }
  const shown: Units = {
    ...units,
    temperature: customs.temperature,
    mass: customs.mass,
    clock: customs.clock,
    dateOrder: customs.date_order,
  }
  return (
    <div className="space-y-6">
      <div>
        <p className="text-base text-soft">{name}</p>
        <h1 className="font-display text-4xl font-bold tracking-tight">How we do it</h1>
      </div>
      <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5" data-testid="customs">
        <h2 className="font-display text-2xl font-semibold">How it is read here</h2>
        <div className="mt-2 grid gap-x-8 text-lg sm:grid-cols-2">
          <Choice
            label="Heat"
            value={customs.temperature}
            onChange={(temperature) => void put({ temperature: temperature as Customs['temperature'] })}
            options={[
              ['c', 'Celsius'],
              ['f', 'Fahrenheit'],
            ]}
          />
          <Choice
            label="Weight"
            value={customs.mass}
            onChange={(mass) => void put({ mass: mass as Customs['mass'] })}
            options={[
              ['kg', 'kilograms'],
              ['lb', 'pounds and ounces'],
            ]}
          />
          <Choice
            label="Clock"
            value={customs.clock}
            onChange={(clock) => void put({ clock: clock as Customs['clock'] })}
            options={[
              ['24h', '24 hours'],
              ['12h', '12 hours, am and pm'],
            ]}
          />
          <Choice
            label="Days"
            value={customs.date_order}
            onChange={(date_order) => void put({ date_order: date_order as Customs['date_order'] })}
            options={[
              ['dmy', 'day before month: 25/12'],
              ['mdy', 'month before day: 12/25'],
            ]}
          />
        </div>
        <p className="mt-2 text-lg">
          So now is {clock(now_s, shown)} on {day(now_s, shown)}; a {mass(2.7, shown)} rib goes in at{' '}
          {temperature(150, shown)}.
        </p>
        <p role="status" className="min-h-6 text-base text-soft">
          {said}
        </p>
      </section>
      <Standards kitchen={kitchen} house={house} changes={changes} units={shown} />
      <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5">
        <h2 className="font-display text-2xl font-semibold">Where kitchens differ</h2>
        <p className="text-base text-soft">
          What a line does not say is done so. Each plan can do it another way; what is tapped there is remembered here.
        </p>
        <div className="mt-2 text-lg">
          <Ways
            kitchen={kitchen}
            units={units}
            ways={WAYS.map((way) => ({
              id: way.id,
              chosen: ways[way.id] ?? way.options[0]?.id,
              options: way.options.map(({ id }) => id),
            }))}
            choose={(id, option) => setWays((last) => ({ ...last, [id]: option }))}
          />
        </div>
      </section>
      <For action="whole">
        <WholeKitchen kitchen={kitchen} units={shown} />
      </For>
    </div>
  )
}
