import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { nowSeconds } from '@/server/environment'
import { kitchensOfHouse } from '@/server/kitchen'
import { planInKitchen } from '@/server/plans'
import { SchoolsPage } from '@/ui/schools/schools-page'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'Schools side by side' }

export default async function Schools({ params }: { params: Promise<{ kitchen: string; plan: string }> }) {
  const { kitchen: slug, plan: id } = await params
  const found = await planInKitchen(slug, id)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, row } = found.value
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={await kitchensOfHouse()} units={units} />
      <main>
        <SchoolsPage
          kitchen={slug}
          planId={id}
          version={row.version}
          document={row.document}
          units={units}
          now_s={nowSeconds()}
        />
      </main>
    </>
  )
}
