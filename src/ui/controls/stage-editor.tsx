'use client'
import { ArrowUp, Plus, X } from 'lucide-react'
import { useState } from 'react'
import { COLOURS, type Colour, colourOf } from '@/core/heat/colour'
import { TENDER_ENDS, type TenderEnd } from '@/core/reference/tenderness'
import { celsiusToFahrenheit, fahrenheitToCelsius } from '@/core/units'
import type { HouseItem } from '@/domain/house/house-item'
import type { StagePart } from '@/domain/roast/roast-document'
import type { Units } from '@/words/units'
import { COLOUR_NAMES } from '@/words/words'
import { heatColour } from '../ramp'
import { saidOf, send } from '../shell/client'
import { IconButton } from './icon-button'
import { SaidNumber } from './said-number'
import { TendingList } from './tending-list'

const ENVIRONMENTS = {
  oven: 'oven',
  off: 'oven off, door shut',
  fire: 'fire',
  pan: 'heavy pan',
  bath: 'water bath',
  cabinet: 'warm cabinet',
  counter: 'board',
  fridge: 'fridge',
} as const
type EnvironmentName = keyof typeof ENVIRONMENTS
const COVERS = { bare: 'bare', tent: 'loosely tented', foil: 'under foil', bag: 'in a bag' } as const
const ENDS = {
  time: 'for a time',
  pull: 'to the pull',
  core: 'to a reading',
  tender: 'until tender',
  colour: 'to a colour',
  clock: 'until serving',
} as const
/** A little past where a colour begins. */
const browningOf = (colour: Colour): number => 1.2 * (COLOURS.find(({ id }) => id === colour)?.minutes ?? 2)
const TENDER_NAMES: Readonly<Record<TenderEnd, string>> = {
  slices: 'enough to slice',
  leaves_bone: 'enough to leave the bone',
  falls_apart: 'enough to fall apart',
}
const USUAL_SET_C: Readonly<Record<EnvironmentName, number>> = {
  oven: 160,
  off: 0,
  fire: 180,
  pan: 230,
  bath: 56,
  cabinet: 60,
  counter: 21,
  fridge: 4,
}

const nameOf = ({ environment }: StagePart): EnvironmentName =>
  environment.kind === 'oven' && environment.set_c === null ? 'off' : environment.kind
const settingOf = ({ environment }: StagePart) =>
  'set_c' in environment && environment.set_c !== null ? environment.set_c : undefined

function withEnvironment(stage: StagePart, name: EnvironmentName, set_c = USUAL_SET_C[name]): StagePart {
  const environment: StagePart['environment'] =
    name === 'off'
      ? { kind: 'oven', set_c: null }
      : name === 'oven'
        ? { kind: 'oven', set_c }
        : name === 'counter' || name === 'fridge'
          ? { kind: name }
          : { kind: name, set_c }
  return { ...stage, environment, preheated: name === 'oven' ? stage.preheated : name !== 'off' && name !== 'counter' }
}
const endOf = (kind: keyof typeof ENDS): StagePart['until'] =>
  kind === 'time'
    ? { kind, minutes: 20 }
    : kind === 'core'
      ? { kind, core_c: 50 }
      : kind === 'colour'
        ? { kind, browning_min: 3 }
        : kind === 'tender'
          ? { kind, degree: 'falls_apart' }
          : kind === 'clock'
            ? { kind, least_min: 30 }
            : { kind }

interface EditorProps {
  readonly stages: readonly StagePart[]
  readonly name: string | undefined
  readonly kitchen: string
  readonly units: Units
  /** Taken up as the plan's own stages. */
  readonly onChange: (stages: readonly StagePart[], name: string | undefined) => void
  readonly house: readonly HouseItem[]
  /** By how much later the pull comes for what is tended in a stage, s; by the stage's place. */
  readonly laterOf?: ((stage: number) => number | undefined) | undefined
}

/** The program as stages that can be changed, added, moved and kept as the house's own. */
export function StageEditor({ stages, name, kitchen, units, onChange, house: firstHouse, laterOf }: EditorProps) {
  const [house, setHouse] = useState(firstHouse)
  const [title, setTitle] = useState(name ?? '')
  const [said, setSaid] = useState<string | undefined>()
  const fahrenheit = units.temperature === 'f'
  const shown = (value_c: number) => Math.round(fahrenheit ? celsiusToFahrenheit(value_c) : value_c)
  const read = (value: string) => (fahrenheit ? fahrenheitToCelsius(Number(value)) : Number(value))
  const put = (index: number, stage: StagePart) => onChange(stages.with(index, stage), name)
  const keep = async () => {
    const kept = await send<HouseItem>(`/api/k/${kitchen}/house`, 'POST', { kind: 'program', name: title, stages })
    if (!kept.ok) return setSaid(`Not kept. ${title === '' ? 'Give it a name.' : saidOf(kept, units)}`)
    const item = kept.value
    setHouse((last) => [...last.filter(({ document }) => document.name !== item.document.name), item])
    setSaid(`Kept as “${title}”. It is in the list for every plan of this kitchen.`)
    onChange(stages, title)
  }
  const programs = house.flatMap(({ document }) => (document.kind === 'program' ? [document] : []))
  const field = 'said text-center'
  return (
    <div data-testid="stages">
      <ol className="space-y-2">
        {stages.map((stage, index) => {
          const environment = nameOf(stage)
          const set_c = settingOf(stage)
          const { until } = stage
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a stage has no identity but its place
            <li key={index} className="flex gap-3 rounded-xl border border-line bg-ground/40 p-3">
              <span
                aria-hidden
                className="w-2.5 shrink-0 rounded-full"
                style={{ background: heatColour(set_c ?? (environment === 'off' ? 90 : USUAL_SET_C[environment])) }}
              />
              <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-2 gap-y-1 text-lg">
                <span className="text-base text-soft">{index + 1}.</span>
                <select
                  aria-label={`Stage ${index + 1}: where`}
                  className="said"
                  value={environment}
                  onChange={(event) => put(index, withEnvironment(stage, event.target.value as EnvironmentName))}
                >
                  {Object.entries(ENVIRONMENTS).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
                {set_c !== undefined && (
                  <span className="whitespace-nowrap">
                    at{' '}
                    <input
                      type="number"
                      aria-label={`Stage ${index + 1}: heat`}
                      className={field}
                      style={{ width: '4.6ch' }}
                      step={5}
                      value={shown(set_c)}
                      onChange={(event) => put(index, withEnvironment(stage, environment, read(event.target.value)))}
                    />{' '}
                    {fahrenheit ? '°F' : '°C'}
                  </span>
                )}
                <select
                  aria-label={`Stage ${index + 1}: cover`}
                  className="said"
                  value={stage.cover}
                  onChange={(event) => put(index, { ...stage, cover: event.target.value as StagePart['cover'] })}
                >
                  {Object.entries(COVERS).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
                <select
                  aria-label={`Stage ${index + 1}: ends`}
                  className="said"
                  value={until.kind}
                  onChange={(event) => put(index, { ...stage, until: endOf(event.target.value as keyof typeof ENDS) })}
                >
                  {Object.entries(ENDS).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
                {until.kind === 'time' && (
                  <SaidNumber
                    least={0}
                    step={5}
                    suffix="min"
                    label={`Stage ${index + 1}: minutes`}
                    value={until.minutes}
                    onChange={(minutes) => put(index, { ...stage, until: { kind: 'time', minutes } })}
                  />
                )}
                {until.kind === 'clock' && (
                  <SaidNumber
                    least={0}
                    step={5}
                    suffix="min"
                    label={`Stage ${index + 1}: at least`}
                    value={until.least_min}
                    onChange={(least_min) => put(index, { ...stage, until: { kind: 'clock', least_min } })}
                  />
                )}
                {until.kind === 'core' && (
                  <span className="whitespace-nowrap">
                    <input
                      type="number"
                      aria-label={`Stage ${index + 1}: reading`}
                      className={field}
                      style={{ width: '4.6ch' }}
                      value={shown(until.core_c)}
                      onChange={(event) =>
                        put(index, { ...stage, until: { kind: 'core', core_c: read(event.target.value) } })
                      }
                    />{' '}
                    {fahrenheit ? '°F' : '°C'}
                  </span>
                )}
                {until.kind === 'colour' && (
                  <select
                    aria-label={`Stage ${index + 1}: colour`}
                    className="said"
                    value={colourOf(until.browning_min * 60)}
                    onChange={(event) =>
                      put(index, {
                        ...stage,
                        until: { kind: 'colour', browning_min: browningOf(event.target.value as Colour) },
                      })
                    }
                  >
                    {COLOURS.filter(({ minutes }) => minutes > 0).map(({ id }) => (
                      <option key={id} value={id}>
                        {COLOUR_NAMES[id]}
                      </option>
                    ))}
                  </select>
                )}
                {until.kind === 'tender' && (
                  <select
                    aria-label={`Stage ${index + 1}: how tender`}
                    className="said"
                    value={until.degree}
                    onChange={(event) =>
                      put(index, { ...stage, until: { kind: 'tender', degree: event.target.value as TenderEnd } })
                    }
                  >
                    {TENDER_ENDS.map((degree) => (
                      <option key={degree} value={degree}>
                        {TENDER_NAMES[degree]}
                      </option>
                    ))}
                  </select>
                )}
                {environment === 'oven' && index === 0 && (
                  <select
                    aria-label={`Stage ${index + 1}: oven at the start`}
                    className="said"
                    value={stage.preheated ? 'hot' : 'cold'}
                    onChange={(event) => put(index, { ...stage, preheated: event.target.value === 'hot' })}
                  >
                    <option value="hot">in hot</option>
                    <option value="cold">in cold</option>
                  </select>
                )}
                <div className="basis-full">
                  <TendingList
                    label={`Stage ${index + 1}`}
                    tending={stage.tending}
                    later_s={laterOf?.(index)}
                    units={units}
                    onChange={(tending) => put(index, { ...stage, tending })}
                  />
                </div>
              </div>
              <div className="flex shrink-0 gap-1">
                <IconButton
                  label={`Stage ${index + 1}: earlier`}
                  disabled={index === 0}
                  onClick={() =>
                    onChange(stages.with(index, stages[index - 1] as StagePart).with(index - 1, stage), name)
                  }
                >
                  <ArrowUp className="size-5" aria-hidden />
                </IconButton>
                <IconButton
                  label={`Stage ${index + 1}: leave out`}
                  disabled={stages.length === 1}
                  onClick={() => onChange(stages.toSpliced(index, 1), name)}
                >
                  <X className="size-5" aria-hidden />
                </IconButton>
              </div>
            </li>
          )
        })}
      </ol>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <button
          type="button"
          className="inline-flex min-h-11 items-center gap-2 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
          disabled={stages.length >= 12}
          onClick={() =>
            onChange(
              [
                ...stages,
                {
                  role: 'rest',
                  environment: { kind: 'counter' },
                  cover: 'tent',
                  preheated: false,
                  until: { kind: 'time', minutes: 15 },
                  tending: [],
                },
              ],
              name,
            )
          }
        >
          <Plus className="size-5" aria-hidden /> Stage
        </button>
        <label className="flex min-w-0 flex-1 basis-56 flex-wrap items-baseline gap-x-3 text-lg">
          <span className="text-base text-soft">Keep as</span>
          <input
            className="said min-w-40 flex-1"
            placeholder="the Friday way"
            maxLength={80}
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
        <button
          type="button"
          className="min-h-11 rounded-full bg-action px-5 font-semibold text-white disabled:opacity-50"
          disabled={title.trim() === ''}
          onClick={() => void keep()}
        >
          Keep as ours
        </button>
      </div>
      {said && (
        <p role="status" className="mt-2 text-base text-soft">
          {said}
        </p>
      )}
      {programs.length > 0 && (
        <p className="mt-3 text-base">
          Ours:{' '}
          {programs.map((program) => (
            <button
              key={program.name}
              type="button"
              className="mr-3 min-h-9 font-semibold underline decoration-copper-bright underline-offset-4"
              onClick={() => {
                setTitle(program.name)
                onChange(program.stages, program.name)
              }}
            >
              {program.name}
            </button>
          ))}
        </p>
      )}
    </div>
  )
}
