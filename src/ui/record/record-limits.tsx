'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { limitOf, PUBLISHED_LIMITS, RECORD_KINDS, type RecordKind, type RecordPlan } from '@/domain/record/record'
import { limitWords, RECORD_NAMES } from '@/words/record-words'
import { degreesOf, type Units } from '@/words/units'
import { saidOf, send } from '../shell/client'

/** The kitchen's own limits, each beside what is published. */
export function Limits({
  slug,
  plan,
  units,
  ready,
}: {
  readonly slug: string
  readonly plan: RecordPlan
  readonly units: Units
  readonly ready: boolean
}) {
  const router = useRouter()
  const [failed, setFailed] = useState<string | undefined>()
  const { shown, unit, celsius } = degreesOf(units)
  const put = async (kind: RecordKind, side: 'most_c' | 'least_c', typed: string) => {
    const number = Number(typed.replace(',', '.'))
    if (typed.trim() === '' || !Number.isFinite(number)) return
    const value = Math.round(10 * celsius(number)) / 10
    const limit = limitOf(plan, kind)
    if (limit[side] === value) return
    const kept = await send(`/api/k/${slug}/record/limits`, 'PUT', {
      on: plan.on,
      limits: { ...plan.limits, [kind]: { ...limit, [side]: value } },
    })
    setFailed(kept.ok ? undefined : saidOf(kept, units))
    if (kept.ok) router.refresh()
  }
  return (
    <details className="no-print mt-3 text-lg text-ink">
      <summary className="min-h-11 cursor-pointer py-2">Limits this kitchen sets itself</summary>
      <ul className="divide-y divide-line">
        {RECORD_KINDS.map((kind) => {
          const limit = limitOf(plan, kind)
          const published = PUBLISHED_LIMITS[kind]
          return (
            <li key={kind} className="flex flex-wrap items-baseline gap-x-6 gap-y-1 py-2">
              <span className="w-36 font-semibold">{RECORD_NAMES[kind]}</span>
              {(['least_c', 'most_c'] as const).map(
                (side) =>
                  limit[side] !== null && (
                    <label key={`${side}${limit[side]}`} className="inline-flex items-baseline gap-2">
                      {side === 'most_c' ? 'at most' : 'at least'}
                      <input
                        aria-label={`${RECORD_NAMES[kind]} ${side === 'most_c' ? 'at most' : 'at least'}`}
                        inputMode="decimal"
                        disabled={!ready}
                        className="said min-h-11 w-20 text-right"
                        defaultValue={Number(shown(limit[side] ?? 0).toFixed(1))}
                        onBlur={(event) => void put(kind, side, event.target.value)}
                      />
                      {unit}
                    </label>
                  ),
              )}
              <span className="text-base text-soft">
                published: {limitWords(published, units)} ({published.source})
              </span>
            </li>
          )
        })}
      </ul>
      {failed && (
        <p role="alert" className="text-wattle">
          {failed}
        </p>
      )}
    </details>
  )
}
