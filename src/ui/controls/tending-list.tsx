'use client'
import { Plus, X } from 'lucide-react'
import { TENDING_ACTS, type TendingAct } from '@/core/program/stage'
import { celsiusToFahrenheit, fahrenheitToCelsius } from '@/core/units'
import type { StagePart } from '@/domain/roast/roast-document'
import { duration, type Units } from '@/words/units'
import { IconButton } from './icon-button'
import { SaidNumber } from './said-number'

type TendingPart = StagePart['tending'][number]

const ACTS: Readonly<Record<TendingAct, string>> = {
  baste: 'baste',
  turn: 'turn it',
  glaze: 'glaze',
  uncover: 'foil off',
  cover: 'foil on',
  look: 'open to look',
  coals: 'coals on',
}
const WHENS = {
  every: 'every',
  after: 'after',
  share: 'at a share of it',
  before_end: 'before its end',
  core: 'when it reads',
} as const
type When = keyof typeof WHENS
const SHARES = [
  [0.25, 'a quarter through'],
  [0.33, 'a third through'],
  [0.5, 'half-way'],
  [0.67, 'two thirds through'],
  [0.75, 'three quarters through'],
  [0.85, 'near the end'],
] as const

const whenOf = ({ at_share, before_end_min, at_core_c, every_min }: TendingPart): When =>
  at_share !== undefined
    ? 'share'
    : before_end_min !== undefined
      ? 'before_end'
      : at_core_c !== undefined
        ? 'core'
        : every_min !== undefined
          ? 'every'
          : 'after'
const partOf = (act: TendingAct, when: When): TendingPart =>
  when === 'every'
    ? { act, at_min: 30, every_min: 30 }
    : when === 'share'
      ? { act, at_min: 0, at_share: 0.5 }
      : when === 'before_end'
        ? { act, at_min: 0, before_end_min: 20 }
        : when === 'core'
          ? { act, at_min: 0, at_core_c: 45 }
          : { act, at_min: 30 }
/** How each is usually done (common practice). */
const USUAL: Readonly<Record<TendingAct, TendingPart>> = {
  baste: partOf('baste', 'every'),
  turn: partOf('turn', 'share'),
  glaze: { act: 'glaze', at_min: 0, at_share: 0.75 },
  uncover: partOf('uncover', 'before_end'),
  cover: partOf('cover', 'share'),
  look: partOf('look', 'every'),
  coals: { act: 'coals', at_min: 60, every_min: 60 },
}
const MOST = 12

/**
 * What is done while a stage lasts: any of several kinds, by the clock, at a share of it, before its end or at a
 * reading, with what the doors cost.
 */
export function TendingList({
  label,
  tending,
  later_s,
  units,
  onChange,
}: {
  /** Such as "Stage 1". */
  readonly label: string
  readonly tending: readonly TendingPart[]
  /** By how much later the pull comes for it, s. */
  readonly later_s: number | undefined
  readonly units: Units
  readonly onChange: (tending: TendingPart[]) => void
}) {
  const fahrenheit = units.temperature === 'f'
  const put = (index: number, part: TendingPart) => onChange(tending.with(index, part) as TendingPart[])
  return (
    <ul className="mt-1 space-y-1 text-base" aria-label={`${label}: tending`}>
      {tending.map((part, index) => {
        const when = whenOf(part)
        const name = `${label}, tending ${index + 1}`
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: what is done has no identity but its place
          <li key={index} className="flex flex-wrap items-center gap-x-2">
            <select
              aria-label={`${name}: what`}
              className="said text-base"
              value={part.act}
              onChange={(event) => put(index, USUAL[event.target.value as TendingAct])}
            >
              {TENDING_ACTS.map((act) => (
                <option key={act} value={act}>
                  {ACTS[act]}
                </option>
              ))}
            </select>
            <select
              aria-label={`${name}: when`}
              className="said text-base"
              value={when}
              onChange={(event) => put(index, partOf(part.act, event.target.value as When))}
            >
              {Object.entries(WHENS).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
            {when === 'share' ? (
              <select
                aria-label={`${name}: share`}
                className="said text-base"
                value={part.at_share}
                onChange={(event) => put(index, { ...part, at_share: Number(event.target.value) })}
              >
                {!SHARES.some(([share]) => share === part.at_share) && (
                  <option value={part.at_share}>{Math.round((part.at_share ?? 0) * 100)} %</option>
                )}
                {SHARES.map(([share, words]) => (
                  <option key={share} value={share}>
                    {words}
                  </option>
                ))}
              </select>
            ) : when === 'core' ? (
              <SaidNumber
                least={0}
                label={`${name}: reading`}
                value={Math.round(fahrenheit ? celsiusToFahrenheit(part.at_core_c ?? 0) : (part.at_core_c ?? 0))}
                suffix={fahrenheit ? '°F' : '°C'}
                onChange={(value) =>
                  put(index, { ...part, at_core_c: fahrenheit ? fahrenheitToCelsius(value) : value })
                }
              />
            ) : (
              <SaidNumber
                least={0}
                label={`${name}: minutes`}
                value={Math.round(
                  when === 'every'
                    ? (part.every_min ?? 0)
                    : when === 'before_end'
                      ? (part.before_end_min ?? 0)
                      : part.at_min,
                )}
                suffix="min"
                onChange={(value) =>
                  put(
                    index,
                    when === 'every'
                      ? { ...part, at_min: value, every_min: Math.max(1, value) }
                      : when === 'before_end'
                        ? { ...part, before_end_min: value }
                        : { ...part, at_min: value },
                  )
                }
              />
            )}
            <IconButton label={`${name}: leave out`} onClick={() => onChange(tending.toSpliced(index, 1))}>
              <X className="size-5" aria-hidden />
            </IconButton>
          </li>
        )
      })}
      <li className="flex flex-wrap items-center gap-x-3">
        <button
          type="button"
          className="inline-flex min-h-11 items-center gap-1 text-soft hover:text-ink disabled:opacity-40"
          disabled={tending.length >= MOST}
          onClick={() => onChange([...tending, USUAL.baste])}
        >
          <Plus className="size-5" aria-hidden /> {tending.length === 0 ? 'Door shut. Tend it' : 'And'}
          <span className="sr-only"> in {label.toLowerCase()}</span>
        </button>
        {tending.length > 0 && later_s !== undefined && (
          <span className="text-soft" data-testid="tending-cost">
            {later_s < 60 ? 'The doors cost less than a minute.' : `The doors cost ${duration(later_s)}.`}
          </span>
        )}
      </li>
    </ul>
  )
}
