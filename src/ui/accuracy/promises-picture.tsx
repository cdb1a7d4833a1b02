import type { PromisesKept } from '@/domain/accuracy/measured'
import { rise, type Units } from '@/words/units'

const PLATES = 100
const ACROSS = 20

/** A hundred plates: on time and as done as wanted, one of the two, neither. */
export function PromisesPicture({
  name,
  kept,
  units,
}: {
  readonly name: string
  readonly kept: PromisesKept
  readonly units: Units
}) {
  const both = Math.round(PLATES * kept.both)
  const onTime = Math.round(PLATES * kept.within10)
  const asWanted = Math.round(PLATES * kept.asWanted)
  const lateOnly = asWanted - both
  const missedOnly = onTime - both
  const kindOf = (i: number) =>
    i < both ? 'both' : i < both + missedOnly ? 'missed' : i < both + missedOnly + lateOnly ? 'late' : 'neither'
  return (
    <figure>
      <figcaption className="flex items-baseline justify-between gap-4 text-lg">
        <span className="font-semibold">{name}</span>
        <span className="tabular-nums">{both} of 100</span>
      </figcaption>
      <svg
        viewBox="0 0 200 50"
        className="mt-1 w-full"
        role="img"
        aria-label={`${name}: ${both} of 100 on time and as wanted; ${missedOnly} on time but not as wanted; ${lateOnly} as wanted but late`}
      >
        {Array.from({ length: PLATES }, (_, i) => {
          const kind = kindOf(i)
          const x = 5 + 10 * (i % ACROSS)
          const y = 5 + 10 * Math.floor(i / ACROSS)
          return (
            <g key={`${x}-${y}`}>
              <circle
                cx={x}
                cy={y}
                r={4}
                className={
                  kind === 'both'
                    ? 'fill-moss stroke-moss'
                    : kind === 'neither'
                      ? 'fill-none stroke-russet'
                      : 'fill-none stroke-copper'
                }
                strokeWidth={1}
              />
              {kind === 'missed' && (
                <path d={`M${x - 2.6} ${y + 2.6}L${x + 2.6} ${y - 2.6}`} className="stroke-copper" strokeWidth={1} />
              )}
              {kind === 'late' && <circle cx={x} cy={y} r={1.6} className="fill-copper" />}
            </g>
          )
        })}
      </svg>
      <p className="text-base text-soft">
        within ten minutes {onTime}, within {rise(2, units)} {asWanted}; {kept.late_min.toFixed(1)} min late on average
      </p>
    </figure>
  )
}
