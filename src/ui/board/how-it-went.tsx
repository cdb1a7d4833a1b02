'use client'
import type { BoardItem } from '@/domain/cook/board'
import type { CookEntry } from '@/domain/cook/cook-document'
import { standing } from '@/domain/cook/entry/fold'
import { howItWent } from '@/domain/cook/how-it-went'
import { clock, duration, temperature, type Units } from '@/words/units'

const WHAT = { in: 'In', out: 'Out', carve: 'Knife', plate: 'On the table' } as const
const SHOWN = 12

/** What was planned beside what happened, and each arrival as it was foreseen then. */
export function HowItWentView({
  items,
  entries,
  units,
}: {
  readonly items: readonly BoardItem[]
  readonly entries: readonly CookEntry[]
  readonly units: Units
}) {
  const stand = standing(entries)
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4" data-testid="how-it-went">
      <h2 className="font-display text-xl font-semibold">How it went</h2>
      <div className="mt-1 grid gap-x-8 gap-y-4 lg:grid-cols-2">
        {items.map((board) => {
          const { id, title, rows, pull, peak, foreseen, givenUp } = howItWent(board, stand)
          const out_s = rows.find(({ what }) => what === 'out')?.actual_s
          return (
            <div key={id}>
              <h3 className="text-lg font-semibold">
                {title}
                {givenUp && <span className="font-normal text-wattle"> given up: {givenUp}</span>}
              </h3>
              <table className="w-full text-lg">
                <thead>
                  <tr className="text-left text-base text-soft">
                    <th className="font-normal">What</th>
                    <th className="font-normal">Planned</th>
                    <th className="font-normal">As it went</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map(({ what, planned_s, actual_s }) => (
                    <tr key={what} className="border-t border-line">
                      <td className="py-0.5">{WHAT[what]}</td>
                      <td className="tabular-nums">{clock(planned_s, units)}</td>
                      <td className="tabular-nums">
                        {actual_s === undefined ? '—' : clock(actual_s, units)}
                        {actual_s !== undefined && Math.abs(actual_s - planned_s) >= 60 && (
                          <span className="ml-2 text-base text-soft">
                            {duration(Math.abs(actual_s - planned_s))} {actual_s > planned_s ? 'later' : 'sooner'}
                          </span>
                        )}
                      </td>
                    </tr>
                  ))}
                  <tr className="border-t border-line">
                    <td className="py-0.5">Pulled at</td>
                    <td>{pull.planned_c === undefined ? 'by the clock' : temperature(pull.planned_c, units)}</td>
                    <td>{pull.actual_c === undefined ? 'not read' : temperature(pull.actual_c, units)}</td>
                  </tr>
                  <tr className="border-t border-line">
                    <td className="py-0.5">Peak</td>
                    <td>{temperature(peak.planned_c, units)}</td>
                    <td>{peak.actual_c === undefined ? 'not read' : temperature(peak.actual_c, units)}</td>
                  </tr>
                </tbody>
              </table>
              {foreseen.length > 0 && (
                <p className="mt-1 text-base text-soft">
                  Foreseen:{' '}
                  {foreseen
                    .slice(-SHOWN)
                    .map(({ at_s, p50 }) => `at ${clock(at_s, units)} for ${clock(p50, units)}`)
                    .join(', ')}
                  {out_s !== undefined && `; it came out at ${clock(out_s, units)}`}.
                </p>
              )}
            </div>
          )
        })}
      </div>
    </section>
  )
}
