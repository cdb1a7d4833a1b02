'use client'
import { useState } from 'react'
import type { Units } from '@/words/units'
import { useWho } from '../people/who'
import { saidOf, send } from '../shell/client'

/** Who is at the stove: whoever is signed in; on a shared tablet one tap, and a number where the kitchen wants one. */
export function AtTheStove({
  kitchen,
  by,
  setBy,
  units,
}: {
  readonly kitchen: string
  readonly by: string
  readonly setBy: (name: string) => void
  readonly units: Units
}) {
  const who = useWho()
  const own = who?.kind === 'person' ? who.name : undefined
  if (own !== undefined)
    return (
      <p className="text-base text-soft">
        At the stove <strong className="text-ink">{own}</strong>
      </p>
    )
  if (who?.kind === 'tablet' && who.names.length > 0)
    return <OneTap kitchen={kitchen} by={by} setBy={setBy} units={units} names={who.names} pins={who.pins} />
  return (
    <label className="inline-flex items-baseline gap-2 text-base text-soft">
      At the stove
      <input
        aria-label="Who is at the stove"
        className="said min-h-11 placeholder:font-normal placeholder:text-soft placeholder:opacity-100"
        style={{ width: `${Math.max(10, by.length + 1)}ch` }}
        placeholder="your name"
        maxLength={80}
        value={by}
        onChange={(event) => setBy(event.target.value)}
      />
    </label>
  )
}

function OneTap({
  kitchen,
  by,
  setBy,
  units,
  names,
  pins,
}: {
  readonly kitchen: string
  readonly by: string
  readonly setBy: (name: string) => void
  readonly units: Units
  readonly names: readonly { readonly personId: string; readonly name: string }[]
  readonly pins: boolean
}) {
  const [asked, setAsked] = useState<string | undefined>()
  const [pin, setPin] = useState('')
  const [said, setSaid] = useState<string | undefined>()
  const stand = async (person: string, name: string, number: string | null) => {
    // Without a number a name is taken as it is, with or without the network.
    if (!pins) return setBy(name)
    const done = await send<{ name: string }>(`/api/k/${kitchen}/stove`, 'POST', { person, pin: number })
    setSaid(done.ok ? undefined : saidOf(done, units))
    if (!done.ok) return
    setBy(done.value.name)
    setAsked(undefined)
    setPin('')
  }
  return (
    <fieldset className="flex flex-wrap items-center gap-2 text-base">
      <legend className="float-left mr-1 text-soft">At the stove</legend>
      {names.map(({ personId, name }) => (
        <button
          key={personId}
          type="button"
          aria-pressed={by === name}
          className={`min-h-12 rounded-full border-2 px-4 text-lg ${by === name ? 'border-moss bg-moss-ground font-semibold' : 'border-line hover:border-copper'}`}
          onClick={() => (pins && by !== name ? setAsked(personId) : void stand(personId, name, null))}
        >
          {name}
        </button>
      ))}
      {asked !== undefined && (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            void stand(asked, names.find(({ personId }) => personId === asked)?.name ?? '', pin)
          }}
        >
          <input
            aria-label="Your number"
            type="password"
            inputMode="numeric"
            autoComplete="off"
            className="min-h-12 w-28 rounded-xl border-2 border-line bg-transparent px-3 text-xl"
            value={pin}
            maxLength={8}
            onChange={(event) => setPin(event.target.value)}
          />
          <button type="submit" className="min-h-12 rounded-full border-2 border-line px-4 font-semibold">
            It is me
          </button>
        </form>
      )}
      {said && (
        <span role="alert" className="text-wattle">
          {said}
        </span>
      )}
    </fieldset>
  )
}
