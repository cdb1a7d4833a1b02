import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { kitchensOfHouse } from '@/server/kitchen'
import { learnedInKitchen } from '@/server/learned'
import { LearnedView } from '@/ui/logbook/learned-view'
import { Locked } from '@/ui/people/who'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'What was learned' }

/** What the kitchen's cooks taught, each lesson switched on or off. */
export default async function LearnedPage({ params }: { params: Promise<{ kitchen: string }> }) {
  const { kitchen: slug } = await params
  const [found, kitchens] = await Promise.all([learnedInKitchen(slug), kitchensOfHouse()])
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, things } = found.value
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[60rem] px-4 py-8 sm:px-6">
        <Locked action="house">
          <LearnedView slug={slug} things={things} units={units} />
        </Locked>
      </main>
    </>
  )
}
