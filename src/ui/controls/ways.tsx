'use client'
import { useState } from 'react'
import type { WayId } from '@/domain/house/ways'
import type { Units } from '@/words/units'
import { wayWords } from '@/words/ways'
import { saidOf, send } from '../shell/client'

export interface ShownWay {
  readonly id: WayId
  /** Undefined: done in another way than these. */
  readonly chosen: string | undefined
  readonly options: readonly string[]
}

/**
 * What practitioners differ about: the way that is taken with its reason in a line, the others a tap away. What is
 * tapped is remembered by the kitchen for its next plans.
 */
export function Ways({
  kitchen,
  ways,
  units,
  choose,
}: {
  readonly kitchen: string
  readonly ways: readonly ShownWay[]
  readonly units: Units
  readonly choose: (id: WayId, option: string) => void
}) {
  const [said, setSaid] = useState('')
  const words = wayWords(units)
  const take = async (id: WayId, option: string) => {
    choose(id, option)
    const kept = await send(`/api/k/${kitchen}/house`, 'POST', { kind: 'way', name: id, option })
    setSaid(
      kept.ok
        ? `${words[id].about}: ${words[id].options[option]?.name ?? option}. The next plans of this kitchen start so.`
        : `Changed here, not remembered. ${saidOf(kept, units)}`,
    )
  }
  return (
    <div data-testid="ways">
      <ul className="divide-y divide-line">
        {ways.map(({ id, chosen, options }) => (
          <li key={id} className="grid gap-x-4 gap-y-1 py-2.5 sm:grid-cols-[9rem_1fr]">
            <span className="pt-2 font-semibold">{words[id].about}</span>
            <div>
              <div className="flex flex-wrap gap-2" role="group" aria-label={words[id].about}>
                {options.map((option) => (
                  <button
                    key={option}
                    type="button"
                    aria-pressed={option === chosen}
                    className="min-h-11 rounded-full border-2 border-line px-4 aria-pressed:border-bottle aria-pressed:bg-bottle aria-pressed:text-white hover:border-copper"
                    onClick={() => void take(id, option)}
                  >
                    {words[id].options[option]?.name ?? option}
                  </button>
                ))}
              </div>
              <p className="mt-1 text-base text-soft">
                {chosen === undefined ? 'Here it is done in a way of its own.' : (words[id].options[chosen]?.why ?? '')}
              </p>
            </div>
          </li>
        ))}
      </ul>
      <p role="status" className="mt-1 min-h-6 text-base text-soft">
        {said}
      </p>
    </div>
  )
}
