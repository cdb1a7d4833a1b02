import type { LineReading } from '@/domain/line/reading'
import { factWords } from '@/words/line-words'
import type { Units } from '@/words/units'

/** A line word by word: below what was typed stands what it was taken to mean. */
export function Understood({
  line,
  reading,
  units,
  now_s,
}: {
  readonly line: string
  readonly reading: LineReading
  readonly units: Units
  readonly now_s: number
}) {
  const unknown = reading.asks.flatMap((ask) =>
    ask.code === 'what_is'
      ? [{ ...ask.at, says: undefined, mended: false, instead: ask.not_of ? 'left out' : 'not understood' }]
      : [],
  )
  const known = reading.meanings.flatMap(({ from, to, fact, mended }) => {
    const says = factWords(fact, units, now_s)
    // What is asked about is not understood, whatever it looked like.
    return says === undefined || unknown.some((ask) => ask.from === from)
      ? []
      : [{ from, to, says, mended: mended.length > 0, instead: '' }]
  })
  const pieces = [...known, ...unknown].sort((a, b) => a.from - b.from)
  return (
    <ol className="flex flex-wrap gap-x-4 gap-y-3" data-testid="line-understood" aria-label="What it was taken to mean">
      {pieces.map(({ from, to, says, mended, instead }) => (
        <li
          key={`${from} ${says}`}
          className="leading-tight"
          data-from={from}
          data-unknown={says === undefined || undefined}
        >
          <span
            className={`block text-base ${says === undefined ? 'text-wattle underline decoration-wavy decoration-2 underline-offset-4' : mended ? 'text-russet' : 'text-soft'}`}
          >
            {line.slice(from, to)}
          </span>
          <span
            className={`block border-t-2 pt-0.5 text-lg ${says === undefined ? 'border-wattle text-wattle' : 'border-moss font-semibold'}`}
          >
            {says ?? instead}
          </span>
        </li>
      ))}
    </ol>
  )
}
