'use client'
import { useId, useState } from 'react'
import type { HouseItem } from '@/domain/house/house-item'
import { NO_CUT, readLine } from '@/domain/line/reading'
import { addSaid, freshId } from '@/domain/meal/add-said'
import { USUAL_SIDES } from '@/domain/meal/from-words'
import { type MealDocument, mealSide } from '@/domain/meal/meal-document'
import type { Problem } from '@/domain/problem/problem'
import type { Units } from '@/words/units'
import { lineContext } from '../line/context'
import { ProblemList } from '../shell/problem-list'

/** A roast as one typed line; sides by tap. */
export function AddToMeal({
  document,
  units,
  now_s,
  house,
  change,
  onAdded,
}: {
  readonly document: MealDocument
  readonly units: Units
  readonly now_s: number
  /** The kitchen's own cuts and programs: they are known by name here too. */
  readonly house: readonly HouseItem[]
  readonly change: (apply: (last: MealDocument) => MealDocument) => void
  readonly onAdded: (id: string) => void
}) {
  const id = useId()
  const [line, setLine] = useState('')
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const add = () => {
    const context = lineContext(units, now_s, house)
    const read = readLine(line, context)
    if (!read.ok) return setProblems(read.problems)
    const { roasts, sides } = read.value
    if (roasts.length === 0 && sides.length === 0) return setProblems([NO_CUT])
    const { meal, added } = addSaid(document, read.value, context.timeZone)
    change((last) => ({
      ...last,
      roasts: [...last.roasts, ...meal.roasts.slice(document.roasts.length)],
      sides: [...last.sides, ...meal.sides.slice(document.sides.length)],
      servings: [...last.servings, ...meal.servings.slice(document.servings.length)],
      placed: null,
    }))
    setLine('')
    setProblems([])
    onAdded(added)
  }
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <label htmlFor={id} className="font-display text-xl font-semibold">
          Another roast
        </label>
        <div className="mt-2 flex flex-wrap gap-2">
          <input
            id={id}
            className="min-h-12 min-w-0 flex-1 rounded-xl border-2 border-line bg-transparent px-3 text-lg"
            placeholder="pork loin 3 kg, rosy, oven 160"
            value={line}
            onChange={(event) => {
              setLine(event.target.value)
              setProblems([])
            }}
          />
          <button type="submit" className="min-h-12 rounded-xl bg-action px-5 font-semibold text-white">
            Add
          </button>
        </div>
      </form>
      <ProblemList problems={problems} units={units} className="mt-2 px-3 py-1.5" />
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <span className="text-base text-soft">Beside it:</span>
        {USUAL_SIDES.map((side) => (
          <button
            key={side.title}
            type="button"
            className="min-h-11 rounded-full border-2 border-line px-4 hover:border-copper"
            onClick={() => {
              const key = freshId(document, 'side')
              change((last) => ({
                ...last,
                sides: [...last.sides, mealSide.parse({ ...side, id: key, serving: last.servings[0]?.id })],
                placed: null,
              }))
              onAdded(key)
            }}
          >
            {side.title}
          </button>
        ))}
      </div>
    </section>
  )
}
