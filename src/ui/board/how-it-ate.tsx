'use client'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { COOLING } from '@/core/reference/standards'
import { prepareRoast } from '@/core/roast/prepare'
import { coolingOf } from '@/core/simulate/afterwards'
import { POUND_KG } from '@/core/units'
import { ATE_ASPECTS, ATE_WORDS, type AteAspect, type AteSaid, LEFT_POINT } from '@/domain/cook/ate'
import type { BoardItem } from '@/domain/cook/board'
import { questionOfItem } from '@/domain/cook/forecast'
import { coolingWords } from '@/words/after-words'
import { ASPECT_NAMES, ateName } from '@/words/story-words'
import { degreesOf, duration, temperature, type Units } from '@/words/units'
import { typedDegrees } from '../controls/typed-degrees'
import { Photos } from '../photos/photos'
import { blank, type LiveCook } from './use-cook'

/** A few taps before bed: how it ate. Each stands for itself, none must be said. */
export function HowItAte({
  items,
  kitchen,
  cookId,
  now_s,
  units,
  add,
  fridge_c,
}: {
  readonly fridge_c: number | undefined
  readonly items: readonly BoardItem[]
  readonly kitchen: string
  readonly cookId: string
  readonly now_s: number
  readonly units: Units
  readonly add: LiveCook['add']
}) {
  const served = items.filter(({ state }) => state === 'served')
  if (served.length === 0) return null
  return (
    <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5" id="ate" data-testid="how-it-ate">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="font-display text-2xl font-semibold">How did it eat?</h2>
        <Link
          href={`/k/${kitchen}/logbook/${cookId}`}
          prefetch={false}
          className="inline-flex min-h-11 items-center text-lg underline underline-offset-4"
        >
          Its page in the logbook
        </Link>
      </div>
      <div className="mt-2 grid gap-x-10 gap-y-6 xl:grid-cols-2">
        {served.map((board) => (
          <OneRoast
            key={board.item.id}
            board={board}
            alone={served.length === 1}
            kitchen={kitchen}
            cookId={cookId}
            now_s={now_s}
            units={units}
            add={add}
            fridge_c={fridge_c}
          />
        ))}
      </div>
    </section>
  )
}

function OneRoast({
  board,
  alone,
  kitchen,
  cookId,
  now_s,
  units,
  add,
  fridge_c,
}: {
  readonly fridge_c: number | undefined
  readonly board: BoardItem
  readonly alone: boolean
  readonly kitchen: string
  readonly cookId: string
  readonly now_s: number
  readonly units: Units
  readonly add: LiveCook['add']
}) {
  const { item, entries } = board
  const said = (aspect: AteAspect | AteSaid) =>
    entries.findLast(({ kind, point }) => kind === 'ate' && point === aspect)?.text ?? undefined
  const say = (aspect: AteAspect | AteSaid, text: string) => {
    if (text !== said(aspect)) add(blank({ kind: 'ate', item: item.id, point: aspect, text }))
  }
  return (
    <div className="min-w-0">
      {!alone && <h3 className="text-xl font-semibold">{item.title}</h3>}
      {ATE_ASPECTS.map((aspect) => (
        <fieldset key={aspect} className="mt-3">
          <legend className="text-base text-soft">{ASPECT_NAMES[aspect]}</legend>
          <div className="mt-1 grid max-w-xl grid-cols-3 gap-2">
            {ATE_WORDS[aspect].map((word) => {
              const on = said(aspect) === word
              return (
                <button
                  key={word}
                  type="button"
                  aria-pressed={on}
                  className={`min-h-14 rounded-2xl border-2 px-2 text-lg leading-tight ${
                    on
                      ? word === 'as_wanted'
                        ? 'border-moss bg-moss-ground font-semibold'
                        : 'border-copper bg-copper-ground font-semibold'
                      : 'border-line hover:border-copper'
                  }`}
                  onClick={() => say(aspect, word)}
                >
                  {ateName(aspect, word)}
                </button>
              )
            })}
          </div>
        </fieldset>
      ))}
      <div className="mt-4 flex flex-wrap items-baseline gap-x-6 gap-y-3 text-lg">
        <LeftOver said={said('left')} pounds={units.mass === 'lb'} say={(text) => say('left', text)} />
        <Change said={said('change')} say={(text) => say('change', text)} title={item.title} />
      </div>
      <Photos kitchen={kitchen} cookId={cookId} item={item.id} title={item.title} units={units} />
      {Number(said('left')) > 0 && (
        <Cooling
          fridge_c={fridge_c}
          board={board}
          add={add}
          now_s={now_s}
          kitchen={kitchen}
          cookId={cookId}
          units={units}
          left_kg={Number(said('left'))}
        />
      )}
    </div>
  )
}

/** What becomes of what is left: how it is cooled in time, by when, and how long it keeps. */
function Cooling({
  board: { item, entries },
  add,
  now_s,
  kitchen,
  cookId,
  units,
  left_kg,
  fridge_c,
}: {
  /** What this kitchen's cold store was last read at, °C. */
  readonly fridge_c: number | undefined
  readonly board: BoardItem
  readonly add: LiveCook['add']
  readonly now_s: number
  readonly kitchen: string
  readonly cookId: string
  readonly units: Units
  readonly left_kg: number
}) {
  const served = entries.findLast(({ kind }) => kind === 'served')
  const advice = useMemo(() => {
    // So much of the piece, cooled as it is or cut.
    const asked = questionOfItem({ ...item, roast: { ...item.roast, mass_kg: Math.max(left_kg, LEAST_KG) } })
    const whole = asked.ok ? asked : questionOfItem(item)
    if (!whole.ok) return undefined
    const { bodies, parameters } = prepareRoast(whole.value.question)
    return bodies[0] && coolingOf(bodies[0], parameters, fridge_c)
  }, [item, left_kg, fridge_c])
  if (!served || !advice) return null
  const served_s = Date.parse(served.at) / 1000
  const left_s = served_s + COOLING.first_s - now_s
  return (
    <div className="mt-3 rounded-lg border-l-4 border-moss px-3 py-1 text-lg" data-testid="leftovers">
      <p>{coolingWords(advice, served_s, units, fridge_c)}</p>
      <p className={left_s > 0 || left_s < -SOON_S ? 'text-soft' : 'text-wattle'}>
        {left_s > 0
          ? `${duration(left_s)} until it must be at ${temperature(COOLING.middle_c, units)}. `
          : left_s > -SOON_S
            ? `The two hours are over: what is not at ${temperature(COOLING.middle_c, units)} is thrown away. `
            : ''}
      </p>
      <CoolingRead
        last={entries.findLast(({ kind, text }) => kind === 'note' && text?.startsWith(COLD_NOTE))?.text ?? undefined}
        minutes={Math.max(0, Math.round((now_s - served_s) / 60))}
        units={units}
        keep={(value_c, text) => add(blank({ kind: 'note', item: item.id, point: LEFT_POINT, value_c, text }))}
      />
      <p className="flex flex-wrap gap-x-6">
        <Link href={`/k/${kitchen}/cooks/${cookId}/label`} prefetch={false} className={LINK}>
          A label for it
        </Link>
        <Link href={`/k/${kitchen}/record`} prefetch={false} className={LINK}>
          The food-safety record
        </Link>
      </p>
    </div>
  )
}
/** What a reading of leftovers begins with in the log. */
const COLD_NOTE = 'Left over, it reads'

/** What is left, read as it cools: kept in the log, and said to be in time or not. */
function CoolingRead({
  last,
  minutes,
  units,
  keep,
}: {
  readonly last: string | undefined
  readonly minutes: number
  readonly units: Units
  readonly keep: (value_c: number, text: string) => void
}) {
  const [typed, setTyped] = useState('')
  const degrees = degreesOf(units)
  const number = typedDegrees(typed)
  const value_c = number === undefined ? undefined : degrees.celsius(number)
  const late =
    value_c !== undefined &&
    ((minutes * 60 > COOLING.first_s && value_c > COOLING.middle_c) ||
      (minutes * 60 > COOLING.whole_s && value_c > COOLING.to_c))
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <label className="inline-flex items-baseline gap-2">
        It reads
        <input
          inputMode="decimal"
          className="said min-h-11 w-20"
          aria-label="What is left reads"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        {degrees.unit}
      </label>
      <button
        type="button"
        disabled={value_c === undefined}
        className="min-h-11 rounded-full border-2 border-line px-4 disabled:opacity-60 hover:border-copper"
        onClick={() => {
          if (value_c === undefined) return
          keep(
            value_c,
            `${COLD_NOTE} ${temperature(value_c, units)} after ${duration(minutes * 60)}${late ? ': too warm for so long, thrown away' : ''}`,
          )
          setTyped('')
        }}
      >
        Keep it
      </button>
      {late && <span className="text-wattle">Too warm for so long: it is thrown away.</span>}
      {last && !late && <span className="text-base text-soft">{last}.</span>}
    </div>
  )
}

const LINK = 'inline-flex min-h-11 items-center underline underline-offset-4'
/** Less than this is no piece that was cut for a roast, kg. */
const LEAST_KG = 0.3
/** What was left that long ago is no news, s. */
const SOON_S = 12 * 3600

function LeftOver({
  said,
  pounds,
  say,
}: {
  readonly said: string | undefined
  readonly pounds: boolean
  readonly say: (text: string) => void
}) {
  const unit = pounds ? POUND_KG : 1
  const shown = said === undefined ? '' : String(Number((Number(said) / unit).toFixed(2)))
  const [typed, setTyped] = useState<string | undefined>()
  const value = typed ?? shown
  const number = Number(value.replace(',', '.'))
  const wrong = value.trim() !== '' && !(Number.isFinite(number) && number >= 0 && number * unit <= 60)
  return (
    <label className="inline-flex items-baseline gap-2">
      <span className="text-base text-soft">Left over</span>
      <input
        inputMode="decimal"
        className="said min-h-11 w-20"
        aria-invalid={wrong || undefined}
        value={value}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed === undefined || wrong || typed.trim() === '') return
          say(String(Number((number * unit).toFixed(3))))
          setTyped(undefined)
        }}
      />
      {pounds ? 'lb' : 'kg'}
      {wrong && <span className="text-base text-wattle">a weight, such as {pounds ? '1.5' : '0.6'}</span>}
    </label>
  )
}

function Change({
  said,
  say,
  title,
}: {
  readonly said: string | undefined
  readonly say: (text: string) => void
  readonly title: string
}) {
  const [typed, setTyped] = useState<string | undefined>()
  return (
    <label className="flex min-w-0 flex-1 basis-72 items-baseline gap-2">
      <span className="whitespace-nowrap text-base text-soft">Next time</span>
      <input
        className="said min-h-11 min-w-0 flex-1"
        aria-label={`What to change next time: ${title}`}
        placeholder="salt it a day longer"
        maxLength={300}
        value={typed ?? said ?? ''}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed !== undefined) say(typed.trim())
          setTyped(undefined)
        }}
      />
    </label>
  )
}
