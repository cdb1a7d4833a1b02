import type { Metadata } from 'next'
import { accuracyOfModel } from '@/server/accuracy'
import { kitchensOfHouse } from '@/server/kitchen'
import { AccuracyView } from '@/ui/accuracy/accuracy-view'
import { Header } from '@/ui/shell/header'
import { unitsOf } from '../reader'
import { Refused } from '../refused'

export const metadata: Metadata = { title: 'How good it is' }

export default async function AccuracyPage() {
  const kitchens = await kitchensOfHouse()
  const kitchen = kitchens[0]
  if (!kitchen) return null
  const units = await unitsOf(kitchen)
  const made = await accuracyOfModel()
  if (!made.ok) return <Refused problems={made.problems} />
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[84rem] px-4 py-8 sm:px-6">
        <AccuracyView accuracy={made.value} units={units} />
      </main>
    </>
  )
}
