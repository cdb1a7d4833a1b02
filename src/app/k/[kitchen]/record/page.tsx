import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { kitchenDay } from '@/domain/record/day'
import { nowSeconds } from '@/server/environment'
import { kitchensOfHouse } from '@/server/kitchen'
import { dayOfRecord } from '@/server/record'
import { Locked } from '@/ui/people/who'
import { RecordView } from '@/ui/record/record-view'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'Food-safety record' }

interface Props {
  readonly params: Promise<{ kitchen: string }>
  readonly searchParams: Promise<{ day?: string | string[] }>
}

/** One day of the food-safety record, to be filled, looked at and signed. */
export default async function RecordPage({ params, searchParams }: Props) {
  const { kitchen: slug } = await params
  const { day: said } = await searchParams
  const kitchens = await kitchensOfHouse()
  const known = kitchens.find((each) => each.slug === slug)
  const day = kitchenDay([said].flat()[0], nowSeconds(), known?.timeZone ?? 'UTC')
  const found = await dayOfRecord(slug, day.from_s, day.before_s)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, ...record } = found.value
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[72rem] px-4 py-8 sm:px-6">
        <Locked action="record">
          <RecordView
            slug={slug}
            name={kitchen.name}
            plan={kitchen.recordPlan}
            day={{ iso: day.iso, at_s: day.from_s + 12 * 3600, before: day.before, after: day.after }}
            record={record}
            units={units}
          />
        </Locked>{' '}
      </main>
    </>
  )
}
