'use client'
import type { Way } from '@/domain/cook/forecast'
import { costWords, wayWords } from '@/words/cook-words'
import type { Units } from '@/words/units'

/** At most four ways out, each simulated from these readings: the best first and marked. */
export function WaysOut({
  ways,
  serve_c,
  scale,
  units,
  others,
  take,
}: {
  readonly ways: readonly Way[]
  readonly serve_c: number
  /** Name of a doneness by its peak, °C. */
  readonly scale: (peak_c: number) => string
  readonly units: Units
  readonly others: number
  readonly take: (way: Way) => void
}) {
  return (
    <div className="mt-3" data-testid="ways-out">
      <p className="text-base text-soft">Ways out, each simulated from these readings</p>
      <ul className="mt-1 grid gap-2 sm:grid-cols-2">
        {ways.map((way) => {
          const words = wayWords(way, serve_c, units, others)
          return (
            <li key={`${way.code}${way.set_c ?? ''}`}>
              <button
                type="button"
                data-way={way.code}
                data-best={way.best}
                className={`h-full min-h-14 w-full rounded-xl border-2 px-3 py-1.5 text-left hover:border-copper ${way.best ? 'border-moss bg-moss-ground' : 'border-line'}`}
                onClick={() => take(way)}
              >
                <span className="flex flex-wrap items-baseline justify-between gap-x-3">
                  <strong className="text-lg">{words.what}</strong>
                  {way.best && <span className="text-base font-semibold text-moss">best: {words.why}</span>}
                </span>
                <span className="block text-base">{words.result}</span>
                <span className="block text-base text-soft">{costWords(way, scale(way.peak_c))}</span>
              </button>
            </li>
          )
        })}
      </ul>
    </div>
  )
}
