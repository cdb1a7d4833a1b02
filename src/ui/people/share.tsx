'use client'
import { useState } from 'react'
import { shortDay, type Units } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { BUTTON, Said } from './fields'
import { Handed } from './handed'
import { useMay, useWho } from './who'

const DAYS = { calendar: 365, sheet: 14, board: 3 } as const
const WHAT = {
  calendar: 'Whoever has this address can read the kitchen’s tasks.',
  sheet: 'Whoever has this address can read this sheet.',
  board: 'Whoever has this address can watch this board, and change nothing.',
} as const

/** Makes an address that shows one thing to whoever has it. */
export function ShareAddress({
  slug,
  of,
  thing,
  name,
  action,
  units,
}: {
  readonly slug: string
  readonly of: keyof typeof DAYS
  readonly thing: string | null
  readonly name: string
  readonly action: string
  readonly units: Units
}) {
  const base = useWho()?.base
  const may = useMay('share')
  const [made, setMade] = useState<{ readonly path: string; readonly ends: string } | undefined>()
  const [said, setSaid] = useState<string | undefined>()
  if (!may) return null
  const make = async () => {
    const done = await send<{ path: string; ends: string }>(`/api/k/${slug}/addresses`, 'POST', {
      of,
      thing,
      name: name.slice(0, 80),
      days: DAYS[of],
    })
    setMade(done.ok ? done.value : undefined)
    setSaid(done.ok ? undefined : saidOf(done, units))
  }
  return (
    <div className="space-y-2">
      <button type="button" className={BUTTON} onClick={() => void make()}>
        {action}
      </button>
      <Said text={said} />
      {made && (
        <>
          <Handed address={`${base ?? window.location.origin}${made.path}`} what={WHAT[of]} />
          <p className="text-base text-soft">
            It ends on {shortDay(Date.parse(made.ends) / 1000, units)}; People and devices lists it, and closes it.
          </p>
        </>
      )}
    </div>
  )
}
