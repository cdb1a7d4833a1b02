import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { cookInKitchen } from '@/server/cooks'
import { kitchensOfHouse } from '@/server/kitchen'
import { fridgeOf } from '@/server/record'
import { Board } from '@/ui/board/board'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'Cooking' }

export default async function CookPage({ params }: { params: Promise<{ kitchen: string; cook: string }> }) {
  const { kitchen: slug, cook } = await params
  const found = await cookInKitchen(slug, cook, 0)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, row, entries, readings, devices, now_s } = found.value
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={await kitchensOfHouse()} units={units} />
      <main>
        <h1 className="sr-only">{row.document.title}</h1>
        <Board
          kitchen={slug}
          cookId={cook}
          document={row.document}
          entries={entries.map(({ seq, entry }) => ({ seq, entry }))}
          readings={readings}
          now_s={now_s}
          devices={devices.map(({ id, name }) => ({ id, name }))}
          units={units}
          fridge_c={await fridgeOf(slug)}
        />
      </main>
    </>
  )
}
