import type { Metadata } from 'next'
import Link from 'next/link'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { storiesOf } from '@/server/logbook'
import { LeftoverLabel } from '@/ui/logbook/leftover-label'
import { PrintButton } from '@/ui/shell/print-button'

export const metadata: Metadata = { title: 'Labels' }

/** Labels for what is left of a cook: what it is, from when, eaten by when, reheated to what. */
export default async function LabelPage({ params }: { params: Promise<{ kitchen: string; cook: string }> }) {
  const { kitchen: slug, cook } = await params
  const found = await storiesOf(slug, [cook])
  if (!found.ok) return <Refused problems={found.problems} />
  const units = await unitsOf(found.value.kitchen)
  const items = (found.value.cooks[0]?.story.items ?? []).filter(({ ate }) => Number(ate.left) > 0)
  return (
    <main className="mx-auto max-w-3xl bg-white px-6 py-6 text-black print:p-0">
      <nav className="no-print mb-6 flex flex-wrap items-center gap-3">
        <Link
          href={`/k/${slug}/cooks/${cook}`}
          className="inline-flex min-h-11 items-center rounded-full border-2 border-black px-5 font-semibold"
        >
          Back to the board
        </Link>
        {items.length > 0 && <PrintButton />}
      </nav>
      {items.length === 0 && (
        <p className="text-xl">Nothing is left, as far as anybody said. Say on the board how much is left over.</p>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        {items.map((item) => (
          <LeftoverLabel key={item.id} item={item} kitchen={found.value.kitchen.name} units={units} />
        ))}
      </div>
    </main>
  )
}
