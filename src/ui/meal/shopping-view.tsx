'use client'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { totalOf } from '@/domain/meal/quantities'
import { gravyWords } from '@/words/after-words'
import { itemTitle } from '@/words/meal-words'
import { mass, type Units } from '@/words/units'
import { KeptLink } from '../document-desk/kept-link'
import type { Standing } from '../document-desk/use-when-kept'
import { ShareAddress } from '../people/share'

/** What to buy, what it costs a head, what the fridge must take, and the ways out of the application. */
export function ShoppingView({
  plan,
  document,
  units,
  kitchen,
  mealId,
  standing,
  change,
}: {
  readonly plan: MealPlan
  readonly document: MealDocument
  readonly units: Units
  readonly kitchen: string
  readonly mealId: string
  readonly standing: Standing
  readonly change: (apply: (last: MealDocument) => MealDocument) => void
}) {
  const total = plan.purchases.reduce((sum, { purchase }) => sum + (purchase.price ?? 0), 0)
  const litres = document.roasts.reduce((sum, roast) => sum + roast.roast.mass_kg * 2.2, 0)
  const base = `/api/k/${kitchen}/meals/${mealId}`
  const link = 'rounded-full border-2 border-line px-4 hover:border-copper'
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2" data-testid="shopping">
      <section className="rounded-2xl border border-line bg-sheet p-4">
        <h2 className="font-display text-2xl font-semibold">To buy</h2>
        <ul className="mt-2 divide-y divide-line text-lg">
          {plan.purchases.map(({ id, purchase }) => {
            const roast = document.roasts.find((each) => each.id === id)
            const differs = roast && Math.abs(roast.roast.mass_kg - purchase.mass_kg * purchase.pieces) > 0.06
            return (
              <li key={id} className="py-2">
                <div className="flex items-baseline gap-3">
                  <span className="flex-1">{itemTitle(document, id)}</span>
                  <strong>
                    {purchase.pieces > 1 ? `${purchase.pieces} × ` : ''}
                    {mass(purchase.mass_kg, units)}
                  </strong>
                  {purchase.price !== undefined && (
                    <span className="text-soft">
                      {purchase.price.toFixed(2)} ({purchase.pricePerHead?.toFixed(2)} a head)
                    </span>
                  )}
                </div>
                {differs && purchase.pieces === 1 && (
                  <button
                    type="button"
                    className="min-h-9 text-base underline underline-offset-4"
                    onClick={() =>
                      change((last) => ({
                        ...last,
                        roasts: last.roasts.map((each) =>
                          each.id === id
                            ? { ...each, roast: { ...each.roast, mass_kg: purchase.mass_kg, thickness_mm: null } }
                            : each,
                        ),
                      }))
                    }
                  >
                    The plan says {mass(roast.roast.mass_kg, units)}: plan with {mass(purchase.mass_kg, units)}
                  </button>
                )}
              </li>
            )
          })}
          {document.sides.map((side) => (
            <li key={side.id} className="flex gap-3 py-2">
              <span className="flex-1">{side.title}</span>
              <span>
                {totalOf(side.quantity, document.guests) && (
                  <strong className="mr-2">{totalOf(side.quantity, document.guests)}</strong>
                )}
                <span className="text-soft">{side.quantity}</span>
              </span>
            </li>
          ))}
          {plan.gravy && (
            <li className="py-2">
              {gravyWords(plan.gravy, document.guests)}
              {plan.gravy.salty && (
                <span className="block text-base text-soft">One roast is wet-brined: unsalted stock, taste first.</span>
              )}
            </li>
          )}
        </ul>
        {total > 0 && (
          <p className="mt-3 text-lg">
            Meat in all <strong>{total.toFixed(2)}</strong>, {(total / document.guests).toFixed(2)} a guest.
          </p>
        )}
        <p
          className={`mt-2 text-base ${litres > document.kitchen.fridge_litres ? 'font-semibold text-wattle' : 'text-soft'}`}
        >
          The roasts in their tins take about {Math.round(litres)} l of the fridge’s {document.kitchen.fridge_litres}.
          {litres > document.kitchen.fridge_litres && ' Too little: borrow a fridge or fetch later.'}
        </p>
      </section>
      <section className="space-y-3 rounded-2xl border border-line bg-sheet p-4">
        <h2 className="font-display text-2xl font-semibold">Take it along</h2>
        <p className="flex flex-wrap gap-2">
          <KeptLink file className={link} standing={standing} href={`${base}/calendar`}>
            Calendar file
          </KeptLink>
          <KeptLink file className={link} standing={standing} href={`${base}/tasks`}>
            Tasks as CSV
          </KeptLink>
          <KeptLink file className={link} standing={standing} href={`${base}/shopping`}>
            Shopping as CSV
          </KeptLink>
          <KeptLink file className={link} standing={standing} href={`${base}/document`}>
            The whole plan as JSON
          </KeptLink>
        </p>
        <ShareAddress
          slug={kitchen}
          of="calendar"
          thing={null}
          name="Calendar of the kitchen"
          action="An address for a calendar"
          units={units}
        />
      </section>
    </div>
  )
}
