import type { Metadata } from 'next'
import Link from 'next/link'
import { notFound } from 'next/navigation'
import { z } from 'zod'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { cooksOfKitchen } from '@/server/cooks'
import { nowSeconds } from '@/server/environment'
import { kitchensOfHouse } from '@/server/kitchen'
import { mealsOfKitchen } from '@/server/meals'
import { listedPlans } from '@/server/plans'
import { CookRows } from '@/ui/kitchen/cook-rows'
import { MealRows } from '@/ui/kitchen/meal-rows'
import { PlanRows } from '@/ui/kitchen/plan-rows'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'All of them' }

const LISTS = {
  promised: 'Promised',
  eaten: 'Eaten',
  meals: 'Whole meals',
  cooked: 'Cooked',
  away: 'Put away',
} as const
const LENGTH = 24
const query = z.object({ page: z.coerce.number().int().min(1).max(40_000).catch(1) })

interface Props {
  readonly params: Promise<{ kitchen: string; which: string }>
  readonly searchParams: Promise<{ page?: string | string[] }>
}

/** The whole of one list, page by page, with what tidies it. */
export default async function AllPage({ params, searchParams }: Props) {
  const { kitchen: slug, which } = await params
  if (!Object.hasOwn(LISTS, which)) notFound()
  const list = which as keyof typeof LISTS
  const { page } = query.parse(await searchParams)
  const now = new Date(nowSeconds() * 1000)
  const part = { limit: LENGTH, offset: (page - 1) * LENGTH, archived: list === 'away' }
  const none = { limit: 0, offset: 0 }
  const [plans, meals, cooks, kitchens] = await Promise.all([
    listedPlans(
      slug,
      list === 'promised'
        ? { from: now, ...part }
        : list === 'eaten'
          ? { before: now, ...part }
          : list === 'away'
            ? part
            : none,
    ),
    mealsOfKitchen(slug, list === 'meals' || list === 'away' ? part : none),
    cooksOfKitchen(slug, list === 'cooked' ? { state: 'done', ...part } : list === 'away' ? part : none),
    kitchensOfHouse(),
  ])
  if (!plans.ok) return <Refused problems={plans.problems} />
  if (!meals.ok) return <Refused problems={meals.problems} />
  if (!cooks.ok) return <Refused problems={cooks.problems} />
  const { kitchen } = meals.value
  const units = await unitsOf(kitchen)
  const total =
    list === 'away'
      ? Math.max(plans.value.total, meals.value.total, cooks.value.total)
      : list === 'meals'
        ? meals.value.total
        : list === 'cooked'
          ? cooks.value.total
          : plans.value.total
  const pages = Math.max(1, Math.ceil(total / LENGTH))
  const tidy = list === 'away' ? 'away' : 'here'
  const empty = plans.value.rows.length + meals.value.meals.length + cooks.value.cooks.length === 0
  const turn = (to: number, words: string) =>
    to >= 1 &&
    to <= pages && (
      <Link
        href={`?page=${to}`}
        className="inline-flex min-h-12 items-center rounded-full border-2 border-line px-5 text-lg font-semibold hover:border-copper"
      >
        {words}
      </Link>
    )
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[84rem] px-4 py-8 sm:px-6">
        <h1 className="font-display text-4xl font-bold tracking-tight">{LISTS[list]}</h1>
        <nav aria-label="Lists" className="mt-3 flex flex-wrap gap-1">
          {(Object.keys(LISTS) as (keyof typeof LISTS)[]).map((each) => (
            <Link
              key={each}
              href={`/k/${slug}/all/${each}`}
              prefetch={false}
              aria-current={each === list ? 'page' : undefined}
              className={`inline-flex min-h-11 items-center rounded-full px-4 text-lg ${each === list ? 'bg-ink text-sheet' : 'hover:bg-moss-ground'}`}
            >
              {LISTS[each]}
            </Link>
          ))}
        </nav>
        {empty && <p className="mt-6 text-lg text-soft">Nothing here.</p>}
        {plans.value.rows.length > 0 && <PlanRows rows={plans.value.rows} slug={slug} units={units} tidy={tidy} />}
        {meals.value.meals.length > 0 && <MealRows meals={meals.value.meals} slug={slug} units={units} tidy={tidy} />}
        {cooks.value.cooks.length > 0 && <CookRows cooks={cooks.value.cooks} slug={slug} units={units} tidy={tidy} />}
        {pages > 1 && (
          <nav aria-label="Pages" className="mt-6 flex flex-wrap items-center gap-3">
            {turn(page - 1, 'Back')}
            <span className="text-lg text-soft">
              {page} of {pages}
            </span>
            {turn(page + 1, 'On')}
          </nav>
        )}
        <p className="mt-8">
          <Link className="inline-flex min-h-11 items-center underline underline-offset-4" href={`/k/${slug}`}>
            Back to the kitchen
          </Link>
        </p>
      </main>
    </>
  )
}
