'use client'
import { useId } from 'react'
import { PREPARATIONS } from '@/domain/roast/roast-document'
import { Choice } from './choice'

type Preparation = (typeof PREPARATIONS)[number]
const PREPARATION_NAMES: Readonly<Record<Preparation, string>> = {
  none: 'nothing ahead',
  dry_salt: 'salted a day ahead',
  wet_brine: 'wet-brined overnight',
  marinade: 'marinated overnight',
  acid_marinade: 'marinated with acid, five hours',
}

interface Before {
  readonly preparation: Preparation
  readonly frozen: boolean
  /** How it thaws: in the fridge where nothing is said. */
  readonly thaws?: 'water' | 'out' | undefined
  readonly notes: string
}

/** What is done to a piece on the days before, and what is to be remembered of it. */
export function DaysBefore({
  preparation,
  frozen,
  thaws,
  notes,
  put,
}: Before & { readonly put: (part: Partial<Before>) => void }) {
  const id = useId()
  return (
    <>
      <Choice
        label="Ahead"
        value={preparation}
        onChange={(value) => put({ preparation: value as Preparation })}
        options={PREPARATIONS.map((each) => [each, PREPARATION_NAMES[each]])}
      />
      <Choice
        label="Bought"
        value={frozen ? (thaws ?? 'frozen') : 'fresh'}
        onChange={(value) =>
          put({ frozen: value !== 'fresh', thaws: value === 'water' || value === 'out' ? value : undefined })
        }
        options={[
          ['fresh', 'fresh'],
          ['frozen', 'frozen: thaw in the fridge'],
          ['water', 'frozen: thaw in cold water'],
          ['out', 'frozen: out of the freezer already'],
        ]}
      />
      <label htmlFor={id} className="flex min-h-11 flex-wrap items-baseline gap-x-3">
        <span className="w-24 text-base text-soft">Remember</span>
        <textarea
          id={id}
          rows={1}
          maxLength={500}
          className="said field-sizing-content min-w-0 flex-1 resize-none"
          placeholder="bed of onions, stock in the tin"
          value={notes}
          onChange={(event) => put({ notes: event.target.value })}
        />
      </label>
    </>
  )
}
