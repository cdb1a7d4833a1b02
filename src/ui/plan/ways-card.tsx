'use client'
import { WAYS, withWay } from '@/domain/house/ways'
import { cutOf } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import type { Units } from '@/words/units'
import { wayWords } from '@/words/ways'
import { Ways } from '../controls/ways'

/** How this one is done where kitchens differ, in a line; opened, each way with its reason. */
export function WaysCard({
  document,
  kitchen,
  units,
  change,
}: {
  readonly document: PlanDocument
  readonly kitchen: string
  readonly units: Units
  readonly change: (apply: (last: PlanDocument) => PlanDocument) => void
}) {
  const cut = cutOf(document.roast)
  if (!cut) return null
  const ways = WAYS.filter((way) => way.applies(cut)).map((way) => ({
    id: way.id,
    chosen: way.of(document),
    options: way.options.map(({ id }) => id),
  }))
  const words = wayWords(units)
  const summary = ways
    .flatMap(({ id, chosen }) => {
      const name = chosen === undefined ? undefined : words[id].options[chosen]?.name
      return name === undefined ? [] : [`${words[id].about.toLowerCase()} ${name}`]
    })
    .join(' · ')
  return (
    <details className="rounded-2xl border border-line bg-sheet px-4 py-2 sm:px-5" data-testid="ways-card">
      <summary className="min-h-11 cursor-pointer py-2">
        <span className="font-display text-xl font-semibold">Where kitchens differ</span>
        <span className="block text-base text-soft">{summary}</span>
      </summary>
      <div className="pb-3 text-lg">
        <Ways
          kitchen={kitchen}
          ways={ways}
          units={units}
          choose={(id, option) => change((last) => withWay(last, id, option))}
        />
      </div>
    </details>
  )
}
