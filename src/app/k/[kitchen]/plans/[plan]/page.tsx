import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { nowSeconds } from '@/server/environment'
import { houseItemsOf } from '@/server/house'
import { kitchensOfHouse } from '@/server/kitchen'
import { planInKitchen } from '@/server/plans'
import { PlanDesk } from '@/ui/plan/plan-desk'
import { Header } from '@/ui/shell/header'

type Params = { params: Promise<{ kitchen: string; plan: string }> }

export const metadata: Metadata = { title: 'Plan' }

export default async function PlanPage({ params }: Params) {
  const { kitchen: slug, plan: id } = await params
  const found = await planInKitchen(slug, id)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, row, plan, setAside, living, cooks } = found.value
  const units = await unitsOf(kitchen)
  const house = await houseItemsOf(slug)
  return (
    <>
      <Header kitchen={kitchen} kitchens={await kitchensOfHouse()} units={units} />
      <main>
        <h1 className="sr-only">{row.document.title || 'Plan'}</h1>
        <PlanDesk
          kitchen={slug}
          planId={id}
          version={row.version}
          document={row.document}
          plan={plan}
          units={units}
          now_s={nowSeconds()}
          living={living}
          cooks={cooks}
          house={house.ok ? house.value : []}
          setAside={setAside.map(({ id: version, createdAt, document }) => ({
            id: version,
            at_s: createdAt.getTime() / 1000,
            document,
          }))}
        />
      </main>
    </>
  )
}
