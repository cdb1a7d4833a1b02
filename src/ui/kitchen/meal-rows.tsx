import Link from 'next/link'
import type { MealDocument } from '@/domain/meal/meal-document'
import { versionsGo } from '@/words/lists'
import { clock, shortDay, type Units } from '@/words/units'
import { PutAway } from './put-away'

interface MealRowsProps {
  readonly meals: readonly {
    readonly id: string
    readonly version: number
    readonly promiseAt: Date
    readonly document: MealDocument
  }[]
  readonly slug: string
  readonly units: Units
  readonly tidy?: 'here' | 'away' | undefined
}

/** Whole meals, each with its guests and its hour. */
export function MealRows({ meals, slug, units, tidy }: MealRowsProps) {
  return (
    <ul className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {meals.map(({ id, version, promiseAt, document }) => (
        <li key={id} className={tidy ? 'space-y-1' : ''}>
          <Link
            href={`/k/${slug}/meals/${id}`}
            prefetch={false}
            className={`block rounded-2xl border border-line bg-sheet px-4 py-3 hover:border-copper ${tidy ? '' : 'h-full'}`}
          >
            <span className="block font-display text-xl font-semibold leading-tight">{document.title}</span>
            <span className="mt-1 flex justify-between gap-3 text-base text-soft">
              <span>
                {document.guests} guests, {document.roasts.length} roasts, {document.sides.length} sides
              </span>
              <span className="whitespace-nowrap font-semibold text-copper">
                {shortDay(promiseAt.getTime() / 1000, units)} {clock(promiseAt.getTime() / 1000, units)}
              </span>
            </span>
          </Link>
          {tidy && (
            <PutAway
              address={`/api/k/${slug}/meals/${id}`}
              title={document.title}
              goes={versionsGo(version)}
              away={tidy === 'away'}
              units={units}
            />
          )}
        </li>
      ))}
    </ul>
  )
}
