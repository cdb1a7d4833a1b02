import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { nowSeconds } from '@/server/environment'
import { houseChangesOf, houseItemsOf } from '@/server/house'
import { kitchensOfHouse } from '@/server/kitchen'
import { KitchenWays } from '@/ui/kitchen/kitchen-ways'
import { Locked } from '@/ui/people/who'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'How we do it' }

export default async function WaysPage({ params }: { params: Promise<{ kitchen: string }> }) {
  const { kitchen: slug } = await params
  const [house, changes, kitchens] = await Promise.all([houseItemsOf(slug), houseChangesOf(slug), kitchensOfHouse()])
  const kitchen = kitchens.find((each) => each.slug === slug)
  if (!house.ok) return <Refused problems={house.problems} />
  if (!changes.ok) return <Refused problems={changes.problems} />
  if (!kitchen) return <Refused problems={[{ code: 'not_found', path: ['kitchen'], what: slug }]} />
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[60rem] px-4 py-8 sm:px-6">
        <Locked action="house">
          <KitchenWays
            kitchen={slug}
            name={kitchen.name}
            customs={{
              temperature: kitchen.temperatureUnit === 'f' ? 'f' : 'c',
              mass: kitchen.massUnit,
              clock: kitchen.clock,
              date_order: kitchen.dateOrder,
            }}
            house={house.value}
            changes={changes.value.map(({ id, at, by, before, after }) => ({
              id,
              at_s: at.getTime() / 1000,
              by,
              before,
              after,
            }))}
            units={units}
            now_s={nowSeconds()}
          />
        </Locked>
      </main>
    </>
  )
}
