import Link from 'next/link'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { lastBackup } from '@/server/backups'
import { boardsNow, cooksOfKitchen } from '@/server/cooks'
import { nowSeconds } from '@/server/environment'
import { houseItemsOf } from '@/server/house'
import { kitchensOfHouse } from '@/server/kitchen'
import { mealsOfKitchen } from '@/server/meals'
import { listedPlans } from '@/server/plans'
import { CookRows } from '@/ui/kitchen/cook-rows'
import { CookNews } from '@/ui/kitchen/cooking-now'
import { MealRows } from '@/ui/kitchen/meal-rows'
import { PlanRows } from '@/ui/kitchen/plan-rows'
import { LineEntry } from '@/ui/line/line-entry'
import { MealEntry } from '@/ui/meal/meal-entry'
import { For } from '@/ui/people/who'
import { Header } from '@/ui/shell/header'
import { problemSentence } from '@/words/problems'
import { stepTitle } from '@/words/steps'
import { clock, shortDay } from '@/words/units'

/** So many of each are shown here; all of them stand in their list. */
const SHOWN = { promised: 14, eaten: 6, meals: 6, cooking: 6, cooked: 6 }

export default async function KitchenPage({ params }: { params: Promise<{ kitchen: string }> }) {
  const { kitchen: slug } = await params
  const now = new Date(nowSeconds() * 1000)
  const part = (limit: number) => ({ limit, offset: 0 })
  const [mealsAhead, mealsGone, promised, eaten, cooking, cooked, kitchens, house] = await Promise.all([
    mealsOfKitchen(slug, { from: now, ...part(SHOWN.meals) }),
    mealsOfKitchen(slug, { before: now, ...part(3) }),
    listedPlans(slug, { from: now, ...part(SHOWN.promised) }),
    listedPlans(slug, { before: now, ...part(SHOWN.eaten) }),
    cooksOfKitchen(slug, { state: 'cooking', ...part(SHOWN.cooking) }),
    cooksOfKitchen(slug, { state: 'done', ...part(SHOWN.cooked) }),
    kitchensOfHouse(),
    houseItemsOf(slug),
  ])
  for (const found of [mealsAhead, mealsGone, promised, eaten, cooking, cooked])
    if (!found.ok) return <Refused problems={found.problems} />
  if (!(mealsAhead.ok && mealsGone.ok && promised.ok && eaten.ok && cooking.ok && cooked.ok)) return null
  const { kitchen } = mealsAhead.value
  const units = await unitsOf(kitchen)
  const backup_s = await lastBackup()
  const boards = await boardsNow(slug, cooking.value.cooks)
  const unreadable = [mealsAhead, mealsGone, promised, eaten, cooking, cooked].flatMap(({ value }) => value.unreadable)
  const meals = [...mealsAhead.value.meals, ...mealsGone.value.meals]
  const all = (which: string, total: number, shown: number) =>
    shown > 0 && (
      <Link
        href={`/k/${slug}/all/${which}`}
        prefetch={false}
        className="inline-flex min-h-11 items-center text-base underline underline-offset-4"
      >
        {total > shown ? `All ${total}` : 'Tidy'}
      </Link>
    )
  const heading = (title: string, which: string, total: number, shown: number) => (
    <div className="flex flex-wrap items-center gap-x-6">
      <h2 className={`font-display text-2xl font-semibold ${which === 'promised' ? '' : 'text-soft'}`}>{title}</h2>
      {all(which, total, shown)}
    </div>
  )
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[84rem] px-4 py-8 sm:px-6 sm:py-10">
        <h1 className="sr-only">{kitchen.name}</h1>
        <For action="plan">
          <LineEntry kitchen={slug} units={units} now_s={nowSeconds()} house={house.ok ? house.value : []} />
        </For>
        {cooking.value.cooks.length > 0 && (
          <section className="mt-8" data-testid="cooking">
            <CookNews kitchen={slug} cooks={boards.map(({ cookId }) => cookId)} />
            <h2 className="font-display text-2xl font-semibold">Cooking now</h2>
            <ul className="mt-3 flex flex-wrap gap-3">
              {boards.map(({ cookId, document, next }) => (
                <li key={cookId}>
                  <Link
                    href={`/k/${slug}/cooks/${cookId}`}
                    prefetch={false}
                    className="inline-flex min-h-14 flex-col justify-center rounded-2xl bg-bottle px-5 py-1.5 text-lg font-semibold text-white"
                  >
                    <span>
                      {document.title}
                      {document.clock.speed > 1 && <span className="font-normal text-white/80"> rehearsal</span>}
                    </span>
                    <span className="text-base font-normal text-white/85">
                      {next
                        ? `${clock(next.at_s, units)} ${stepTitle(next.step, document, units)}`
                        : 'all steps are done'}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <section className="mt-8">
          <div className="flex flex-wrap items-center gap-x-6 gap-y-3">
            <h2 className="font-display text-2xl font-semibold">Whole meals</h2>
            <For action="plan">
              <MealEntry kitchen={slug} units={units} />
            </For>
            {all('meals', mealsAhead.value.total + mealsGone.value.total, meals.length)}
          </div>
          <MealRows meals={meals} slug={slug} units={units} />
        </section>
        <section className="mt-8">
          {heading('Promised', 'promised', promised.value.total, promised.value.rows.length)}
          {promised.value.rows.length === 0 && (
            <p className="mt-3 text-lg text-soft">
              Nothing yet. One line above makes the first plan: the cut, its weight, and when they eat.
            </p>
          )}
          <PlanRows rows={promised.value.rows} slug={slug} units={units} />
        </section>
        {eaten.value.rows.length > 0 && (
          <section className="mt-8">
            {heading('Eaten', 'eaten', eaten.value.total, eaten.value.rows.length)}
            <PlanRows rows={eaten.value.rows} slug={slug} units={units} />
          </section>
        )}
        {cooked.value.cooks.length > 0 && (
          <section className="mt-8" data-testid="cooked">
            <div className="flex flex-wrap items-center gap-x-6">
              <h2 className="font-display text-2xl font-semibold text-soft">Cooked</h2>
              <Link
                href={`/k/${slug}/logbook`}
                prefetch={false}
                className="inline-flex min-h-11 items-center text-base underline underline-offset-4"
              >
                Logbook
              </Link>
              {all('cooked', cooked.value.total, cooked.value.cooks.length)}
            </div>
            <CookRows cooks={cooked.value.cooks} slug={slug} units={units} />
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
        <footer className="mt-12 flex flex-wrap gap-x-6 border-t border-line pt-4 text-base text-soft">
          <Link className="inline-flex min-h-11 items-center underline underline-offset-4" href="/accuracy">
            How good the predictions are
          </Link>
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            href={`/k/${slug}/logbook`}
            prefetch={false}
          >
            Logbook
          </Link>
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            href={`/k/${slug}/learned`}
            prefetch={false}
          >
            What was learned
          </Link>
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            href={`/k/${slug}/record`}
            prefetch={false}
          >
            Food-safety record
          </Link>
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            href={`/k/${slug}/ways`}
            prefetch={false}
          >
            How we do it
          </Link>
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            href={`/k/${slug}/people`}
            prefetch={false}
          >
            People and devices
          </Link>
          <span className="inline-flex min-h-11 items-center" data-testid="backup">
            {backup_s === undefined
              ? 'No backup yet: npm run backup makes one'
              : `Last good backup ${shortDay(backup_s, units)} ${clock(backup_s, units)}`}
          </span>
          <Link
            className="inline-flex min-h-11 items-center underline underline-offset-4"
            href={`/k/${slug}/all/away`}
            prefetch={false}
          >
            Put away
          </Link>
        </footer>
      </main>
    </>
  )
}
