'use client'
import { STANDARDS } from '@/core/reference/standards'
import type { Split } from '@/domain/cook/forecast'
import { pointName } from '@/words/cook-words'
import { clock, temperature, type Units } from '@/words/units'

/** One part is done, another is not: what each way does to the done part. */
export function SplitWays({
  split,
  put,
  units,
}: {
  readonly split: Split
  readonly put: (
    kind: 'covered' | 'note' | 'spooned',
    more?: { readonly text?: string; readonly point?: string },
  ) => void
  readonly units: Units
}) {
  const done = pointName(split.done)
  const lacking = pointName(split.lacking)
  const way = 'min-h-14 rounded-xl border-2 border-line px-3 py-1.5 text-left hover:border-copper'
  return (
    <div className="mt-2 rounded-lg border-l-4 border-copper px-3 py-2" data-testid="split">
      <p className="text-lg">
        The {done} is done, the {lacking} gets there about {clock(split.arrives_s, units)}.{' '}
        {split.lacking === 'stuffing'
          ? `Stuffing is safe at ${temperature(STANDARDS.stuffingLeast.value, units)} in its middle, not before.`
          : 'Each part is safe at its own reading only.'}
      </p>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        <button type="button" className={way} onClick={() => put('covered', { point: split.done })}>
          <strong className="block text-lg">Foil over the {done}</strong>
          <span className="text-base text-soft">
            {Math.abs(split.foiled_c - split.as_it_is_c) < 1.5
              ? `the skin is spared; inside it comes to ${temperature(split.as_it_is_c, units)} by then either way`
              : `it comes to ${temperature(split.foiled_c, units)} by then; left bare, to ${temperature(split.as_it_is_c, units)}`}
          </span>
        </button>
        <button
          type="button"
          className={way}
          onClick={() =>
            split.lacking === 'stuffing'
              ? put('spooned')
              : put('note', { text: `${done} off and resting, the rest goes back in` })
          }
        >
          <strong className="block text-lg">
            {split.lacking === 'stuffing'
              ? 'Spoon the stuffing into a dish'
              : `Take the ${done} off, the rest goes back`}
          </strong>
          <span className="text-base text-soft">
            the {done} stays at {temperature(split.now_c, units)} and rests; the {lacking} needs until about{' '}
            {clock(split.arrives_s, units)} or a little less. Hot juices: use a tray
          </span>
        </button>
      </div>
    </div>
  )
}
