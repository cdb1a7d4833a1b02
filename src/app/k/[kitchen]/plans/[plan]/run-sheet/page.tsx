import type { Metadata } from 'next'
import Link from 'next/link'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { livingTasks } from '@/domain/cook/living-plan'
import { planInKitchen } from '@/server/plans'
import { CookNews } from '@/ui/kitchen/cooking-now'
import { ShareAddress } from '@/ui/people/share'
import { PlanSheet } from '@/ui/plan/plan-sheet'
import { PrintButton } from '@/ui/shell/print-button'

export const metadata: Metadata = { title: 'Run sheet' }

export default async function PlanSheetPage({ params }: { params: Promise<{ kitchen: string; plan: string }> }) {
  const { kitchen: slug, plan: id } = await params
  const found = await planInKitchen(slug, id)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, row, plan: planned, living } = found.value
  const plan = living ? { ...planned, tasks: livingTasks(planned.tasks, living.run) } : planned
  const units = await unitsOf(kitchen)
  return (
    <main className="mx-auto max-w-3xl bg-white px-6 py-6 text-black print:p-0">
      <nav className="no-print mb-6 flex gap-3">
        <Link
          href={`/k/${slug}/plans/${id}`}
          className="inline-flex min-h-11 items-center rounded-full border-2 border-black px-5 font-semibold"
        >
          Back to the plan
        </Link>
        <PrintButton />
        {living && <CookNews kitchen={slug} cooks={[living.cookId]} />}
      </nav>
      <div className="no-print mb-6">
        <ShareAddress
          slug={slug}
          of="sheet"
          thing={id}
          name={`Run sheet: ${row.document.title}`}
          action="An address for this sheet"
          units={units}
        />
      </div>
      <PlanSheet kitchen={kitchen.name} document={row.document} plan={plan} units={units} version={row.version} />
    </main>
  )
}
