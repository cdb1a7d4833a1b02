import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { nowSeconds } from '@/server/environment'
import { kitchensOfHouse } from '@/server/kitchen'
import { LOGBOOK_PAGE, logbookOf, logbookQuery } from '@/server/logbook'
import { LogbookView } from '@/ui/logbook/logbook-view'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'Logbook' }

interface Props {
  readonly params: Promise<{ kitchen: string }>
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>
}

/** Every cook that is over: found by words, by what it was, and by its day. */
export default async function LogbookPage({ params, searchParams }: Props) {
  const { kitchen: slug } = await params
  const query = logbookQuery.parse(
    Object.fromEntries(
      Object.entries(await searchParams).map(([name, value]) => [name, [value].flat()[0] || undefined]),
    ),
  )
  const now_s = nowSeconds()
  const [found, kitchens] = await Promise.all([logbookOf(slug, query, now_s), kitchensOfHouse()])
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, ...logbook } = found.value
  const units = await unitsOf(kitchen)
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[84rem] px-4 py-8 sm:px-6">
        <LogbookView
          slug={slug}
          logbook={logbook}
          query={query}
          perPage={LOGBOOK_PAGE}
          year={query.year ?? new Date(now_s * 1000).getUTCFullYear()}
          units={units}
        />
      </main>
    </>
  )
}
