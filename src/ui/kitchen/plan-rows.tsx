import Link from 'next/link'
import type { LivingCook } from '@/domain/cook/living-plan'
import type { PlanSummary } from '@/domain/plan/summary'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { versionsGo } from '@/words/lists'
import { stepTitle } from '@/words/steps'
import { lower, pullLead } from '@/words/tasks'
import { clock, mass, shortDay, temperature, type Units } from '@/words/units'
import { cutName, programName } from '@/words/words'
import { HeatRibbon } from '../ribbon/heat-ribbon'
import { PutAway } from './put-away'

interface PlanRowsProps {
  readonly rows: readonly {
    readonly row: { readonly id: string; readonly version: number; readonly document: PlanDocument }
    readonly summary: PlanSummary | null | undefined
    readonly living?: LivingCook | undefined
  }[]
  readonly slug: string
  readonly units: Units
  /** Offers to put each away or delete it; away: they are, and may come back. */
  readonly tidy?: 'here' | 'away' | undefined
}

/** Plans of one roast, each with its ribbon. */
export function PlanRows({ rows, slug, units, tidy }: PlanRowsProps) {
  return (
    <ul className="mt-3 space-y-3">
      {rows.map(({ row: { id, version, document }, summary, living }) => {
        const promise_s = Date.parse(document.promise) / 1000
        const title = document.title || cutName(document.roast.cut)
        const goesIn = living?.run.steps.find(({ step }) => step.kind === 'put_in')
        const plate_s = living?.run.items[0]?.plate_s ?? promise_s
        return (
          <li key={id} className={tidy ? 'sm:flex sm:items-center sm:gap-2' : ''}>
            <Link
              href={`/k/${slug}/plans/${id}`}
              prefetch={false}
              className="grid min-w-0 flex-1 grid-cols-[minmax(0,1fr)] items-center gap-x-5 gap-y-2 rounded-2xl border border-line bg-sheet px-4 py-3 hover:border-copper md:grid-cols-[17rem_minmax(0,1fr)_7rem]"
            >
              <span>
                <span className="block font-display text-xl font-semibold leading-tight">{title}</span>
                <span className="text-base text-soft">
                  {cutName(document.roast.cut)}, {mass(document.roast.mass_kg, units)},{' '}
                  {programName(document.program).toLowerCase()}
                </span>
              </span>
              {summary ? (
                <span className="block">
                  <HeatRibbon plan={summary} cutId={document.roast.cut} units={units} slim />
                  <span className="mt-1 flex justify-between text-sm text-soft">
                    <span>
                      {living && goesIn
                        ? `in at ${clock(goesIn.at_s, units)}`
                        : `${clock(summary.begin, units)} start, in at ${clock(summary.putIn, units)}`}
                    </span>
                    {living?.next && (
                      <span className="font-semibold text-moss">
                        {clock(living.next.at_s, units)} {stepTitle(living.next.step, living.document, units)}
                      </span>
                    )}
                    <span>
                      {lower(pullLead(summary.tasks.find(({ kind }) => kind === 'pull')?.because.numbers))}{' '}
                      {temperature(summary.pull_c, units)}
                    </span>
                  </span>
                </span>
              ) : (
                <span className={summary === null ? 'text-wattle' : 'text-soft'}>
                  {summary === null ? 'This plan needs a look.' : 'Its times are being worked out.'}
                </span>
              )}
              <span className="text-right">
                <span className="block font-display text-2xl font-bold leading-none text-copper">
                  {clock(promise_s, units)}
                </span>
                {plate_s > promise_s + 60 && (
                  <span className="block text-base font-semibold text-russet">now {clock(plate_s, units)}</span>
                )}
                <span className="text-base text-soft">{shortDay(promise_s, units)}</span>
              </span>
            </Link>
            {tidy && (
              <PutAway
                address={`/api/k/${slug}/plans/${id}`}
                title={title}
                goes={versionsGo(version)}
                away={tidy === 'away'}
                units={units}
              />
            )}
          </li>
        )
      })}
    </ul>
  )
}
