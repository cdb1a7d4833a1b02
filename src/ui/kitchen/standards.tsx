'use client'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { SCHOOLS } from '@/core/program/schools'
import { DONENESS_SCALES, type DonenessScale, servedWithin } from '@/core/reference/doneness'
import type { HouseItem, HouseItemDocument, HouseStandard } from '@/domain/house/house-item'
import { STANDARD_NUMBERS, standardsOf } from '@/domain/house/standards'
import { houseItemWords, MEATS, standardName, standardShort, standardValue } from '@/words/standards'
import { clock, shortDay, temperature, type Units } from '@/words/units'
import { donenessName } from '@/words/words'
import { SaidHeat, SaidMass, SaidNumber } from '../controls/said-number'
import { useSigning } from '../people/who'
import { saidOf, send } from '../shell/client'
import { useHydrated } from '../shell/use-hydrated'

export interface ShownChange {
  readonly id: string
  readonly at_s: number
  readonly by: string
  readonly before: HouseItemDocument | null
  readonly after: HouseItemDocument | null
}
/** Nothing more is typed of a number after this, ms. */
const TYPED_MS = 700
type Put = (standard: Partial<HouseStandard> & { readonly name: string }) => Promise<void>

/** What every plan of the kitchen begins with, set by its head cook; and who changed what. */
export function Standards({
  kitchen,
  house,
  changes,
  units,
}: {
  readonly kitchen: string
  readonly house: readonly HouseItem[]
  readonly changes: readonly ShownChange[]
  readonly units: Units
}) {
  const router = useRouter()
  const ready = useHydrated()
  const [by, setBy, fixed] = useSigning()
  const [said, setSaid] = useState('')
  const standards = standardsOf(house)
  const waiting = useRef(new Map<string, ReturnType<typeof setTimeout>>())
  /** A number is kept when it has been typed: not at each of its digits. */
  const put: Put = async (part) => {
    clearTimeout(waiting.current.get(part.name))
    if (part.value === undefined) return keep(part)
    waiting.current.set(
      part.name,
      setTimeout(() => void keep(part), TYPED_MS),
    )
  }
  const keep: Put = async ({ name, ...part }) => {
    const next = { ...blank(name), ...standards.get(name), ...part }
    const kept = await send(`/api/k/${kitchen}/house`, 'POST', { ...next, by })
    setSaid(
      kept.ok
        ? `${standardName(name)}: ${standardValue(next, units)}. Plans made from now on begin so.`
        : `Not kept. ${saidOf(kept, units)}`,
    )
    if (kept.ok) router.refresh()
  }
  const drop = async (name: string) => {
    const item = house.find(({ document }) => document.kind === 'standard' && document.name === name)
    if (!item) return
    const gone = await send(`/api/k/${kitchen}/house/${item.id}?by=${encodeURIComponent(by)}`, 'DELETE')
    setSaid(gone.ok ? `${standardName(name)}: as everywhere again.` : `Not taken back. ${saidOf(gone, units)}`)
    if (gone.ok) router.refresh()
  }
  const held = (name: string) => standards.get(name)
  const number = (name: string, usual: number) => held(name)?.value ?? usual
  const own = { held, put, drop, units, ready }
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5" data-testid="standards">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
        <h2 className="font-display text-2xl font-semibold">House standards</h2>
        <label className="inline-flex items-baseline gap-2 text-lg">
          <span className="text-base text-soft">Set by</span>
          <input
            className="said min-h-11 w-40"
            placeholder="your name"
            maxLength={80}
            value={by}
            readOnly={fixed}
            onChange={(event) => setBy(event.target.value)}
          />
        </label>
      </div>
      <p className="text-base text-soft">
        Every plan made from now on begins with these, by line, desk, meal and board alike; one that is made keeps what
        it began with. A degree stays within its own band, and a bird never goes below its floor.
      </p>
      <div className="mt-3 grid gap-x-6 gap-y-1 text-lg sm:grid-cols-2 lg:grid-cols-3">
        <Held name="portion" title="Portions" {...own}>
          <SaidNumber
            label="Portions, percent of the usual"
            value={100 * number('portion', 1)}
            step={5}
            suffix="% of usual"
            least={100 * STANDARD_NUMBERS.portion.low}
            most={100 * STANDARD_NUMBERS.portion.high}
            onChange={(value) => void put({ name: 'portion', value: Number((value / 100).toFixed(3)) })}
          />
        </Held>
        <Held name="margin" title="Margin" {...own}>
          <SaidNumber
            label="Margin before the plate, minutes"
            value={number('margin', 0)}
            step={5}
            suffix="min more rest"
            least={0}
            most={STANDARD_NUMBERS.margin.high}
            onChange={(value) => void put({ name: 'margin', value })}
          />
        </Held>
        <Held name="buy" title="Bought by the" {...own}>
          <SaidMass
            label="Weights to buy are rounded up to"
            value_kg={number('buy', 0.05)}
            units={units}
            least={0.01}
            most={2.5}
            onChange={(value) => void put({ name: 'buy', value: Number(value.toFixed(4)) })}
          />
        </Held>
      </div>
      <div className="mt-3 divide-y divide-line border-t border-line">
        {DONENESS_SCALES.map((scale) => (
          <Meat key={scale.id} scale={scale} {...own} />
        ))}
      </div>
      <p role="status" className="mt-2 min-h-6 text-base text-soft">
        {said}
      </p>
      <Changes changes={changes} units={units} />
    </section>
  )
}

const blank = (name: string): HouseStandard => ({ kind: 'standard', name, value: null, option: null, reason: '' })

interface Own {
  readonly held: (name: string) => HouseStandard | undefined
  readonly put: Put
  readonly drop: (name: string) => Promise<void>
  readonly units: Units
  readonly ready: boolean
}

/** One standard: what it is about, its value, and a tap back to what is usual everywhere. */
function Held({
  name,
  title,
  held,
  drop,
  ready,
  children,
}: Own & { readonly name: string; readonly title: string; readonly children: React.ReactNode }) {
  const set = held(name) !== undefined
  return (
    <div className="flex min-h-12 flex-wrap items-baseline gap-x-3">
      <span className={`min-w-24 text-base ${set ? 'font-semibold' : 'text-soft'}`}>{title}</span>
      <span className={set ? '' : 'text-soft'}>{children}</span>
      {set && (
        <button
          type="button"
          disabled={!ready}
          aria-label={`${standardName(name)}: as everywhere`}
          className="min-h-11 px-1 text-base underline underline-offset-4"
          onClick={() => void drop(name)}
        >
          as everywhere
        </button>
      )}
    </div>
  )
}

/** The standards of one kind of meat. */
function Meat({ scale, ...own }: Own & { readonly scale: DonenessScale }) {
  const { held, put, units, ready } = own
  const school = held(`school.${scale.id}`)
  const set = [
    ...scale.degrees.map(({ id }) => `serve.${scale.id}.${id}`),
    ...['usual', 'rest', 'school'].map((what) => `${what}.${scale.id}`),
  ].flatMap((name) => held(name) ?? [])
  return (
    <details>
      <summary className="min-h-12 cursor-pointer py-2.5 text-lg">
        <span className="font-semibold">{MEATS[scale.id]}</span>{' '}
        <span className="text-base text-soft">
          {set.length === 0 ? 'as everywhere' : set.map((each) => standardShort(each, units)).join('; ')}
        </span>
      </summary>
      <div className="grid gap-x-10 gap-y-1 pb-4 pl-1 text-lg sm:grid-cols-2">
        <div>
          {scale.degrees.map(({ id, serve_c }) => {
            const name = `serve.${scale.id}.${id}`
            const range = servedWithin(scale.id, id)
            if (!range || range.high < range.low || serve_c < (scale.pullFloor_c ?? 0)) return null
            return (
              <Held key={id} name={name} title={donenessName(id)} {...own}>
                <SaidHeat
                  label={`${donenessName(id)} is served at`}
                  value_c={held(name)?.value ?? serve_c}
                  units={units}
                  least={units.temperature === 'f' ? range.low * 1.8 + 32 : range.low}
                  most={units.temperature === 'f' ? range.high * 1.8 + 32 : range.high}
                  onChange={(value) => void put({ name, value: Number(value.toFixed(1)) })}
                />
                <span className="ml-2 text-base text-soft">
                  of {temperature(range.low, units).replace(/ .*/, '')}–{temperature(range.high, units)}
                </span>
              </Held>
            )
          })}
        </div>
        <div>
          <Held name={`usual.${scale.id}`} title="Nobody says" {...own}>
            <select
              className="said"
              aria-label={`Where nobody says: ${MEATS[scale.id]}`}
              disabled={!ready}
              value={held(`usual.${scale.id}`)?.option ?? ''}
              onChange={(event) => void put({ name: `usual.${scale.id}`, option: event.target.value })}
            >
              <option value="" disabled>
                the cut’s own
              </option>
              {scale.degrees
                .filter(({ serve_c }) => serve_c >= (scale.pullFloor_c ?? 0))
                .map(({ id }) => (
                  <option key={id} value={id}>
                    {donenessName(id)}
                  </option>
                ))}
            </select>
          </Held>
          <Held name={`rest.${scale.id}`} title="Least rest" {...own}>
            <SaidNumber
              label={`Least rest, minutes: ${MEATS[scale.id]}`}
              value={held(`rest.${scale.id}`)?.value ?? 20}
              step={5}
              suffix={held(`rest.${scale.id}`) ? 'min' : 'min (each cut’s own)'}
              least={0}
              most={STANDARD_NUMBERS.rest.high}
              onChange={(value) => void put({ name: `rest.${scale.id}`, value })}
            />
          </Held>
          <Held name={`school.${scale.id}`} title="Cooked" {...own}>
            <select
              className="said max-w-full"
              aria-label={`How it is cooked: ${MEATS[scale.id]}`}
              disabled={!ready}
              value={school?.option ?? ''}
              onChange={(event) => void put({ name: `school.${scale.id}`, option: event.target.value })}
            >
              <option value="" disabled>
                steady, unless said
              </option>
              {SCHOOLS.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </Held>
          {school && <Reason key={school.reason} school={school} put={put} />}
        </div>
      </div>
    </details>
  )
}

function Reason({ school, put }: { readonly school: HouseStandard; readonly put: Put }) {
  const [typed, setTyped] = useState(school.reason)
  return (
    <label className="flex min-h-12 items-baseline gap-x-3">
      <span className="min-w-28 text-base text-soft">because</span>
      <input
        className="said min-w-0 flex-1"
        placeholder="the rim stays thin"
        maxLength={200}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed.trim() !== school.reason) void put({ name: school.name, reason: typed.trim() })
        }}
      />
    </label>
  )
}

/** Who changed what, newest first. */
function Changes({ changes, units }: { readonly changes: readonly ShownChange[]; readonly units: Units }) {
  if (changes.length === 0) return null
  return (
    <details className="text-lg" data-testid="house-changes">
      <summary className="min-h-11 cursor-pointer py-2">Who changed what</summary>
      <ul className="divide-y divide-line">
        {changes.map(({ id, at_s, by, before, after }) => {
          const shown = after ?? before
          if (!shown) return null
          const { what } = houseItemWords(shown, units)
          const from = before && houseItemWords(before, units).says
          const to = after && houseItemWords(after, units).says
          return (
            <li key={id} className="grid items-baseline gap-x-4 py-1.5 sm:grid-cols-[9.5rem_7rem_minmax(0,1fr)]">
              <span className="text-base text-soft tabular-nums">
                {shortDay(at_s, units)} {clock(at_s, units)}
              </span>
              <span>{by || 'someone'}</span>
              <span>
                {what}: {from && <s className="text-soft">{from}</s>} {to ?? 'as everywhere'}
              </span>
            </li>
          )
        })}
      </ul>
    </details>
  )
}
