import Link from 'next/link'
import { shortDay, type Units } from '@/words/units'
import { PutAway } from './put-away'

interface CookRowsProps {
  readonly cooks: readonly {
    readonly id: string
    readonly lastSeq: number
    readonly createdAt: Date
    readonly document: { readonly title: string }
  }[]
  readonly slug: string
  readonly units: Units
  readonly tidy?: 'here' | 'away' | undefined
}

/** What was cooked, each with its day: to its board and its log. */
export function CookRows({ cooks, slug, units, tidy }: CookRowsProps) {
  return (
    <ul className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {cooks.map(({ id, lastSeq, createdAt, document }) => (
        <li key={id} className={tidy ? 'space-y-1' : ''}>
          <Link
            href={`/k/${slug}/cooks/${id}`}
            prefetch={false}
            className="flex min-h-12 items-baseline justify-between gap-3 rounded-2xl border border-line bg-sheet px-4 py-3 text-lg hover:border-copper"
          >
            <span className="font-semibold">{document.title}</span>
            <span className="whitespace-nowrap text-base text-soft">{shortDay(createdAt.getTime() / 1000, units)}</span>
          </Link>
          {tidy && (
            <PutAway
              address={`/api/k/${slug}/cooks/${id}`}
              title={document.title}
              goes={`goes its log of ${lastSeq} ${lastSeq === 1 ? 'entry' : 'entries'}; probe readings stay with the kitchen`}
              away={tidy === 'away'}
              units={units}
            />
          )}
        </li>
      ))}
    </ul>
  )
}
