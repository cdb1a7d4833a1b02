import type { Ask } from '@/domain/line/reading'
import { askWords } from '@/words/line-words'
import type { Units } from '@/words/units'

/** What a line leaves open, each with its answers a tap away. */
export function Asks({
  asks,
  units,
  answer,
}: {
  readonly asks: readonly Ask[]
  readonly units: Units
  readonly answer: (line: string) => void
}) {
  return (
    <ul className="grid items-start gap-3 sm:grid-cols-2" data-testid="line-asks">
      {asks.map((ask) => (
        <li
          key={`${ask.code}${'at' in ask ? ask.at.from : ''}${'cut' in ask ? ask.cut : ''}`}
          className="rounded-2xl border-l-4 border-copper bg-copper-ground px-4 py-2"
          data-ask={ask.code}
        >
          <p className="text-base">{askWords(ask, units)}</p>
          <p className="mt-1 flex flex-wrap gap-x-3 gap-y-1">
            {ask.options.map(({ says, line }) => (
              <button
                key={says}
                type="button"
                className="min-h-11 rounded-full border-2 border-copper px-4 text-base font-semibold hover:bg-sheet"
                onClick={() => answer(line)}
              >
                {says}
              </button>
            ))}
          </p>
        </li>
      ))}
    </ul>
  )
}
