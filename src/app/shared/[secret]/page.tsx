import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { livingMeal, livingTasks } from '@/domain/cook/living-plan'
import { sharedAt } from '@/server/access/shared'
import { MealSheets } from '@/ui/meal/meal-sheets'
import { Glance } from '@/ui/people/glance'
import { PlanSheet } from '@/ui/plan/plan-sheet'
import { PrintButton } from '@/ui/shell/print-button'

export const metadata: Metadata = { title: 'Shared', referrer: 'no-referrer', robots: 'noindex' }

/** What an address shows to whoever has it: a sheet, or a board to watch. Nothing here leads further in. */
export default async function SharedPage({ params }: { params: Promise<{ secret: string }> }) {
  const found = await sharedAt((await params).secret)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen } = found.value
  const units = await unitsOf(kitchen)
  if (found.value.of === 'board') {
    const { document, run, items, now_s } = found.value
    return <Glance kitchen={kitchen.name} document={document} run={run} items={items} now_s={now_s} units={units} />
  }
  if (found.value.of === 'plan') {
    const { row, plan: planned, living } = found.value.plan
    const plan = living ? { ...planned, tasks: livingTasks(planned.tasks, living.run) } : planned
    return (
      <main className="mx-auto max-w-3xl bg-white px-6 py-6 text-black print:p-0">
        <nav className="no-print mb-6">
          <PrintButton />
        </nav>
        <PlanSheet kitchen={kitchen.name} document={row.document} plan={plan} units={units} version={row.version} />
      </main>
    )
  }
  const { row, plan: planned, problems, living } = found.value.meal
  const plan = planned && living ? livingMeal(planned, living.run) : planned
  if (!plan) return <Refused problems={problems} />
  return (
    <main className="mx-auto max-w-3xl bg-white px-6 py-6 text-black print:p-0">
      <nav className="no-print mb-6">
        <PrintButton />
      </nav>
      <MealSheets
        kind="whole"
        kitchen={kitchen.name}
        document={row.document}
        plan={plan}
        units={units}
        version={row.version}
      />
    </main>
  )
}
