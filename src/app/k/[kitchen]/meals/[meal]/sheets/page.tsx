import type { Metadata } from 'next'
import Link from 'next/link'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { livingMeal } from '@/domain/cook/living-plan'
import { mealInKitchen } from '@/server/meals'
import { CookNews } from '@/ui/kitchen/cooking-now'
import { MealSheets, SHEETS, type SheetKind } from '@/ui/meal/meal-sheets'
import { ShareAddress } from '@/ui/people/share'
import { PrintButton } from '@/ui/shell/print-button'

export const metadata: Metadata = { title: 'Run sheets' }

type Props = {
  params: Promise<{ kitchen: string; meal: string }>
  searchParams: Promise<{ by?: string }>
}

export default async function SheetsPage({ params, searchParams }: Props) {
  const { kitchen: slug, meal: id } = await params
  const { by } = await searchParams
  const found = await mealInKitchen(slug, id)
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, row, plan: planned, problems, living } = found.value
  const plan = planned && living ? livingMeal(planned, living.run) : planned
  if (!plan) return <Refused problems={problems} />
  const kind: SheetKind = by !== undefined && Object.hasOwn(SHEETS, by) ? (by as SheetKind) : 'whole'
  return (
    <main className="mx-auto max-w-3xl bg-white px-6 py-6 text-black print:p-0">
      <nav className="no-print mb-6 flex flex-wrap gap-2">
        <Link
          href={`/k/${slug}/meals/${id}`}
          className="inline-flex min-h-11 items-center rounded-full border-2 border-black px-5 font-semibold"
        >
          Back to the meal
        </Link>
        {(Object.keys(SHEETS) as SheetKind[]).map((each) => (
          <Link
            key={each}
            href={`?by=${each}`}
            aria-current={each === kind ? 'page' : undefined}
            className={`inline-flex min-h-11 items-center rounded-full px-4 ${each === kind ? 'bg-black text-white' : 'underline'}`}
          >
            {SHEETS[each]}
          </Link>
        ))}
        <PrintButton />
        {living && <CookNews kitchen={slug} cooks={[living.cookId]} />}
      </nav>
      <div className="no-print mb-6">
        <ShareAddress
          slug={slug}
          of="sheet"
          thing={id}
          name={`Run sheets: ${row.document.title}`}
          action="An address for these sheets"
          units={await unitsOf(kitchen)}
        />
      </div>
      <MealSheets
        kind={kind}
        kitchen={kitchen.name}
        document={row.document}
        plan={plan}
        units={await unitsOf(kitchen)}
        version={row.version}
      />
    </main>
  )
}
