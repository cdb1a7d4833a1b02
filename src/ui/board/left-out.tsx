import Link from 'next/link'
import { leftOut } from '@/domain/cook/cook-document'
import type { CookStart } from './use-cook'

/** What the meal asks for and this board does not cook: nobody else would say it. */
export function LeftOut({ start: { kitchen, document } }: { readonly start: Pick<CookStart, 'kitchen' | 'document'> }) {
  const left = leftOut(document)
  if (left.length === 0) return null
  return (
    <p
      className="rounded-2xl border-2 border-wattle bg-wattle-ground px-4 py-3 text-lg font-semibold"
      data-testid="left-out"
    >
      Not on this board: {left.map(({ title }) => title).join('; ')}. The plan found no room for{' '}
      {left.length === 1 ? 'it' : 'them'}.{' '}
      {document.source && (
        <Link
          className="inline-flex min-h-11 items-center underline underline-offset-4"
          href={`/k/${kitchen}/meals/${document.source.id}`}
        >
          Why, and what would make room
        </Link>
      )}
    </p>
  )
}
