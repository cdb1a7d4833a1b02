'use client'
import { ArrowUp, Plus, X } from 'lucide-react'
import { useState } from 'react'
import { celsiusToFahrenheit, fahrenheitToCelsius } from '@/core/units'
import type { HouseItem } from '@/domain/house/house-item'
import type { PlanDocument, StagePart } from '@/domain/roast/roast-document'
import type { Units } from '@/words/units'
import { IconButton } from '../controls/icon-button'
import { heatColour } from '../ramp'
import { saidOf, send } from '../shell/client'

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
  colour: 'to a colour',
  clock: 'until serving',
} as const
const ACTS = { baste: 'baste', turn: 'turn', glaze: 'glaze', uncover: 'take off the foil' } as const
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
  readonly change: (apply: (last: PlanDocument) => PlanDocument) => void
  readonly house: readonly HouseItem[]
}

/** The program as stages that can be changed, added, moved and kept as the house's own. */
export function StageEditor({ stages, name, kitchen, units, onChange, change, house: firstHouse }: EditorProps) {
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
                  <Minutes
                    label={`Stage ${index + 1}: minutes`}
                    value={until.minutes}
                    onChange={(minutes) => put(index, { ...stage, until: { kind: 'time', minutes } })}
                  />
                )}
                {until.kind === 'clock' && (
                  <Minutes
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
                <select
                  aria-label={`Stage ${index + 1}: tend`}
                  className="said text-base"
                  value={stage.tending[0] ? `${stage.tending[0].act}` : 'none'}
                  onChange={(event) =>
                    put(index, {
                      ...stage,
                      tending:
                        event.target.value === 'none'
                          ? []
                          : [
                              {
                                act: event.target.value as keyof typeof ACTS,
                                at_min: event.target.value === 'uncover' ? 0 : 30,
                                ...(event.target.value === 'baste' ? { every_min: 30 } : {}),
                              },
                            ],
                    })
                  }
                >
                  <option value="none">door shut</option>
                  {Object.entries(ACTS).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                      {id === 'baste' ? ' every 30 min' : ''}
                    </option>
                  ))}
                </select>
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
        <label className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-3 text-lg">
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
                change((last) => ({ ...last, program: { name: program.name, stages: program.stages } }))
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

function Minutes({
  label,
  value,
  onChange,
}: {
  readonly label: string
  readonly value: number
  readonly onChange: (value: number) => void
}) {
  return (
    <span className="whitespace-nowrap">
      <input
        type="number"
        aria-label={label}
        className="said text-center"
        style={{ width: '5ch' }}
        min={0}
        step={5}
        value={Math.round(value)}
        onChange={(event) => event.target.value !== '' && onChange(Number(event.target.value))}
      />{' '}
      min
    </span>
  )
}
