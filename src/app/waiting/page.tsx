import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { kitchensOfHouse } from '@/server/kitchen'
import { WaitingList } from '@/ui/outbox/waiting-list'
import { FrontPage } from '@/ui/people/fields'
import { Header } from '@/ui/shell/header'
import { PLAIN_UNITS } from '@/words/units'

export const metadata: Metadata = { title: 'Not on the server yet' }

export default async function WaitingPage() {
  const kitchens = await kitchensOfHouse()
  const [kitchen] = kitchens
  // A device that is no longer let in still holds what was tapped on it.
  if (!kitchen)
    return (
      <FrontPage title="Not on the server yet">
        <WaitingList units={PLAIN_UNITS} />
      </FrontPage>
    )
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-4xl px-4 py-8 sm:px-6">
        <h1 className="font-display text-4xl font-bold tracking-tight">Not on the server yet</h1>
        <WaitingList units={units} />
      </main>
    </>
  )
}
