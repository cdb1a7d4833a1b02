import { coldWaterThawSeconds } from '@/core/portions/buy'
import { THAW_GRACE_S } from '@/core/schedule/days-before'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument, MealRoast } from '@/domain/meal/meal-document'
import { thawOf } from '@/domain/roast/thaw'
import { thawPassedWords } from '@/words/cautions'
import type { Units } from '@/words/units'

/** What should be out of the freezer by now, with what could still be done, each one tap. */
export function ThawNotes({
  document,
  plan,
  now_s,
  units,
  put,
}: {
  readonly document: MealDocument
  readonly plan: MealPlan
  readonly now_s: number
  readonly units: Units
  readonly put: (id: string, part: Partial<MealRoast>) => void
}) {
  const late = plan.tasks.flatMap((task) => {
    const id = task.kind === 'thaw' && task.item !== undefined ? plan.itemIds[task.item] : undefined
    const roast = document.roasts.find((each) => each.id === id)
    const thaw = roast && thawOf(roast)
    return roast && thaw && task.at < now_s - THAW_GRACE_S ? [{ roast, thaw, at: task.at }] : []
  })
  if (late.length === 0 || plan.end_s <= now_s) return null
  return (
    <section
      role="alert"
      className="space-y-3 rounded-xl border-2 border-copper bg-copper-ground p-4"
      data-testid="thaws"
    >
      {late.map(({ roast, thaw: { how, takes_s }, at }) => {
        const water_s = how === 'fridge' ? coldWaterThawSeconds(roast.roast.mass_kg) : undefined
        const button = 'min-h-11 rounded-full border-2 border-ink px-4 text-left font-semibold leading-tight'
        return (
          <div key={roast.id}>
            <p className="text-lg font-semibold">{thawPassedWords(roast.title, { at, takes_s }, water_s, units)}</p>
            <div className="mt-2 flex flex-wrap gap-2">
              <button type="button" className={button} onClick={() => put(roast.id, { thaws: 'out' })}>
                It is out of the freezer
              </button>
              {water_s !== undefined && (
                <button type="button" className={button} onClick={() => put(roast.id, { thaws: 'water' })}>
                  Thaw it in cold water
                </button>
              )}
            </div>
          </div>
        )
      })}
    </section>
  )
}
