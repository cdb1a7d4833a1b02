import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { nowSeconds } from '@/server/environment'
import { houseItemsOf } from '@/server/house'
import { kitchensOfHouse } from '@/server/kitchen'
import { mealInKitchen } from '@/server/meals'
import { MealDesk } from '@/ui/meal/meal-desk'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'Meal' }

export default async function MealPage({ params }: { params: Promise<{ kitchen: string; meal: string }> }) {
  const { kitchen: slug, meal: id } = await params
  const found = await mealInKitchen(slug, id)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, row, plan, problems, setAside, living, cooks } = found.value
  const units = await unitsOf(kitchen)
  const house = await houseItemsOf(slug)
  return (
    <>
      <Header kitchen={kitchen} kitchens={await kitchensOfHouse()} units={units} />
      <main>
        <h1 className="sr-only">{row.document.title || 'Meal'}</h1>
        <MealDesk
          kitchen={slug}
          mealId={id}
          version={row.version}
          document={row.document}
          plan={plan}
          problems={problems}
          units={units}
          now_s={nowSeconds()}
          setAside={setAside.map(({ id: version, createdAt, document }) => ({
            id: version,
            at_s: createdAt.getTime() / 1000,
            document,
          }))}
          living={living}
          house={house.ok ? house.value : []}
          cooks={cooks}
        />
      </main>
    </>
  )
}
