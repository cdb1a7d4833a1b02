import Link from 'next/link'
import { notFound } from 'next/navigation'
import { unitsOf } from '@/app/reader'
import { makePlan } from '@/domain/plan/make-plan'
import { cooksOfKitchen } from '@/server/cooks'
import { nowSeconds } from '@/server/environment'
import { kitchensOfHouse } from '@/server/kitchen'
import { mealsOfKitchen } from '@/server/meals'
import { plansOfKitchen } from '@/server/plans'
import { LineEntry } from '@/ui/line/line-entry'
import { MealEntry } from '@/ui/meal/meal-entry'
import { HeatRibbon } from '@/ui/ribbon/heat-ribbon'
import { Header } from '@/ui/shell/header'
import { problemSentence } from '@/words/problems'
import { clock, mass, shortDay, temperature } from '@/words/units'
import { cutName, programName } from '@/words/words'

/** So many of what is over are shown. */
const MOST_EATEN = 20

export default async function KitchenPage({ params }: { params: Promise<{ kitchen: string }> }) {
  const { kitchen: slug } = await params
  const found = await plansOfKitchen(slug)
  if (!found.ok) notFound()
  const { kitchen, plans } = found.value
  const units = await unitsOf(kitchen)
  const withMeals = await mealsOfKitchen(slug)
  const meals = withMeals.ok ? withMeals.value.meals : []
  const withCooks = await cooksOfKitchen(slug)
  const cooking = withCooks.ok ? withCooks.value.cooks.filter(({ state }) => state === 'cooking').slice(0, 6) : []
  const unreadable = [
    ...found.value.unreadable,
    ...(withMeals.ok ? withMeals.value.unreadable : []),
    ...(withCooks.ok ? withCooks.value.unreadable : []),
  ]
  const now_s = nowSeconds()
  const withPlan = (row: (typeof plans)[number]) => ({ row, made: makePlan(row.document, now_s) })
  const isAhead = ({ promiseAt }: (typeof plans)[number]) => promiseAt.getTime() / 1000 >= now_s
  const ahead = plans.filter(isAhead).map(withPlan)
  const gone = plans
    .filter((row) => !isAhead(row))
    .reverse()
    .slice(0, MOST_EATEN)
    .map(withPlan)
  const cooked = withCooks.ok ? withCooks.value.cooks.filter(({ state }) => state === 'done').slice(0, MOST_EATEN) : []
  return (
    <>
      <Header kitchen={kitchen} kitchens={await kitchensOfHouse()} units={units} />
      <main className="mx-auto max-w-[84rem] px-4 py-8 sm:px-6 sm:py-10">
        <h1 className="sr-only">{kitchen.name}</h1>
        <LineEntry kitchen={slug} units={units} now_s={now_s} />
        {cooking.length > 0 && (
          <section className="mt-8">
            <h2 className="font-display text-2xl font-semibold">Cooking now</h2>
            <ul className="mt-3 flex flex-wrap gap-3">
              {cooking.map((cook) => (
                <li key={cook.id}>
                  <Link
                    href={`/k/${slug}/cooks/${cook.id}`}
                    className="inline-flex min-h-12 items-center gap-3 rounded-full bg-bottle px-5 text-lg font-semibold text-white"
                  >
                    {cook.document.title} <span className="font-normal text-white/80">to the board</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section className="mt-8">
          <div className="flex flex-wrap items-center gap-x-6 gap-y-3">
            <h2 className="font-display text-2xl font-semibold">Whole meals</h2>
            <MealEntry kitchen={slug} units={units} />
          </div>
          <ul className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {meals.map((meal) => (
              <li key={meal.id}>
                <Link
                  href={`/k/${slug}/meals/${meal.id}`}
                  className="block h-full rounded-2xl border border-line bg-sheet px-4 py-3 hover:border-copper"
                >
                  <span className="block font-display text-xl font-semibold leading-tight">{meal.document.title}</span>
                  <span className="mt-1 flex justify-between gap-3 text-base text-soft">
                    <span>
                      {meal.document.guests} guests, {meal.document.roasts.length} roasts, {meal.document.sides.length}{' '}
                      sides
                    </span>
                    <span className="whitespace-nowrap font-semibold text-copper">
                      {shortDay(meal.promiseAt.getTime() / 1000, units)} {clock(meal.promiseAt.getTime() / 1000, units)}
                    </span>
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
        <section className="mt-8">
          <h2 className="font-display text-2xl font-semibold">Promised</h2>
          {ahead.length === 0 && (
            <p className="mt-3 text-lg text-soft">
              Nothing yet. One line above makes the first plan: the cut, its weight, and when they eat.
            </p>
          )}
          <List rows={ahead} slug={slug} units={units} />
        </section>
        {gone.length > 0 && (
          <section className="mt-8">
            <h2 className="font-display text-2xl font-semibold text-soft">Eaten</h2>
            <List rows={gone} slug={slug} units={units} />
          </section>
        )}
        {cooked.length > 0 && (
          <section className="mt-8" data-testid="cooked">
            <h2 className="font-display text-2xl font-semibold text-soft">Cooked</h2>
            <ul className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
              {cooked.map((cook) => (
                <li key={cook.id}>
                  <Link
                    href={`/k/${slug}/cooks/${cook.id}`}
                    className="flex min-h-12 items-baseline justify-between gap-3 rounded-2xl border border-line bg-sheet px-4 py-3 text-lg hover:border-copper"
                  >
                    <span className="font-semibold">{cook.document.title}</span>
                    <span className="whitespace-nowrap text-base text-soft">
                      {shortDay(cook.createdAt.getTime() / 1000, units)}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        {unreadable.length > 0 && (
          <section className="mt-8" data-testid="unreadable">
            <h2 className="font-display text-2xl font-semibold text-soft">Kept, but not readable here</h2>
            <ul className="mt-3 space-y-1 text-lg">
              {unreadable.map(({ id, detail }) => (
                <li key={id}>{problemSentence({ code: 'unreadable', path: [], what: id, detail }, units)}</li>
              ))}
            </ul>
          </section>
        )}
        <footer className="mt-12 border-t border-line pt-4 text-base text-soft">
          <Link className="inline-flex min-h-11 items-center underline underline-offset-4" href="/accuracy">
            How good the predictions are
          </Link>
        </footer>
      </main>
    </>
  )
}

type Rows = readonly {
  row: { id: string; document: Parameters<typeof makePlan>[0] }
  made: ReturnType<typeof makePlan>
}[]

function List({ rows, slug, units }: { rows: Rows; slug: string; units: Awaited<ReturnType<typeof unitsOf>> }) {
  return (
    <ul className="mt-3 space-y-3">
      {rows.map(({ row, made }) => {
        const promise_s = Date.parse(row.document.promise) / 1000
        const plan = made.ok ? made.value.plan : undefined
        return (
          <li key={row.id}>
            <Link
              href={`/k/${slug}/plans/${row.id}`}
              className="grid grid-cols-[minmax(0,1fr)] items-center gap-x-5 gap-y-2 rounded-2xl border border-line bg-sheet px-4 py-3 hover:border-copper md:grid-cols-[17rem_minmax(0,1fr)_7rem]"
            >
              <span>
                <span className="block font-display text-xl font-semibold leading-tight">
                  {row.document.title || cutName(row.document.roast.cut)}
                </span>
                <span className="text-base text-soft">
                  {cutName(row.document.roast.cut)}, {mass(row.document.roast.mass_kg, units)},{' '}
                  {programName(row.document.program).toLowerCase()}
                </span>
              </span>
              {plan ? (
                <span className="block">
                  <HeatRibbon plan={plan} cutId={row.document.roast.cut} units={units} slim />
                  <span className="mt-1 flex justify-between text-sm text-soft">
                    <span>
                      {clock(plan.begin, units)} start, in at {clock(plan.putIn, units)}
                    </span>
                    <span>pull {temperature(plan.pull_c, units)}</span>
                  </span>
                </span>
              ) : (
                <span className="text-wattle">This plan needs a look.</span>
              )}
              <span className="text-right">
                <span className="block font-display text-2xl font-bold leading-none text-copper">
                  {clock(promise_s, units)}
                </span>
                <span className="text-base text-soft">{shortDay(promise_s, units)}</span>
              </span>
            </Link>
          </li>
        )
      })}
    </ul>
  )
}
