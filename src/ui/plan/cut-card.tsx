'use client'
import { useState } from 'react'
import type { HouseItem } from '@/domain/house/house-item'
import { doWithout } from '@/domain/learn/learned'
import { cutOf } from '@/domain/roast/resolve'
import type { HouseCutPart, PlanDocument } from '@/domain/roast/roast-document'
import { mass, type Units } from '@/words/units'
import { saidOf, send } from '../shell/client'

const SOURCE_WORDS = {
  published: 'published',
  from_memory: 'published, written down from memory',
  common_practice: 'common practice',
  derived: 'worked out',
} as const

type Key = 'thickness_mm' | 'width_ratio' | 'length_ratio' | 'bone_share' | 'per_head_kg' | 'rest_least_min'
const FIELDS: readonly {
  key: Key
  label: string
  unit: string
  step: number
  of: (cut: CutView) => number | undefined
}[] = [
  { key: 'thickness_mm', label: 'Usual thickness', unit: 'mm', step: 1, of: (cut) => cut.thickness_mm },
  { key: 'width_ratio', label: 'As wide as', unit: '× thick', step: 0.05, of: (cut) => cut.width },
  { key: 'length_ratio', label: 'As long as', unit: '× thick', step: 0.05, of: (cut) => cut.length },
  { key: 'bone_share', label: 'Bone', unit: 'of the weight', step: 0.01, of: (cut) => cut.bone },
  { key: 'per_head_kg', label: 'Raw a head', unit: 'kg', step: 0.01, of: (cut) => cut.perHead },
  { key: 'rest_least_min', label: 'Least rest', unit: 'min', step: 5, of: (cut) => cut.rest },
]
interface CutView {
  readonly thickness_mm: number | undefined
  readonly width: number | undefined
  readonly length: number | undefined
  readonly bone: number
  readonly perHead: number
  readonly rest: number
}

/** What Pheasant takes this cut to be, and where a kitchen says it is otherwise with its supplier. */
export function CutCard({
  document,
  kitchen,
  units,
  house: firstHouse,
  change,
}: {
  readonly document: PlanDocument
  readonly kitchen: string
  readonly units: Units
  readonly house: readonly HouseItem[]
  readonly change: (apply: (last: PlanDocument) => PlanDocument) => void
}) {
  const [house, setHouse] = useState(firstHouse)
  const [name, setName] = useState(document.roast.house?.name ?? '')
  const [said, setSaid] = useState<string | undefined>()
  const cut = cutOf(document.roast)
  if (!cut) return null
  const { geometry } = cut
  const view: CutView = {
    thickness_mm: geometry.family === 'round' ? geometry.thickness_m * 1000 : undefined,
    width: geometry.family === 'round' || geometry.family === 'plump' ? geometry.width : undefined,
    length: geometry.family === 'plump' ? geometry.length : undefined,
    bone: cut.boneShare ?? 0,
    perHead: cut.perHead_kg,
    rest: cut.rest_min.least,
  }
  const lay = (part: Partial<HouseCutPart>) =>
    change((last) => {
      // A size that the house sets comes before what pieces of the shop's size taught.
      const own = part.thickness_mm === undefined ? last : doWithout(last, ['cut', 'supplier'])
      return { ...own, roast: { ...own.roast, house: { ...(own.roast.house ?? {}), ...part } } }
    })
  const mine = house.flatMap(({ document: item }) =>
    item.kind === 'cut' && item.cut === document.roast.cut ? [item] : [],
  )
  const keep = async () => {
    const kept = await send<HouseItem>(`/api/k/${kitchen}/house`, 'POST', {
      kind: 'cut',
      name,
      cut: document.roast.cut,
      house: { ...(document.roast.house ?? {}), name },
    })
    if (!kept.ok) return setSaid(`Not kept. ${saidOf(kept, units)}`)
    const item = kept.value
    setHouse((last) => [...last.filter((each) => each.id !== item.id), item])
    lay({ name })
    setSaid(`Kept as “${name}”.`)
  }
  return (
    <details className="rounded-2xl border border-line bg-sheet px-4 py-2 sm:px-5" data-testid="cut-card">
      <summary className="min-h-11 cursor-pointer py-2 font-display text-xl font-semibold">About this cut</summary>
      <div className="space-y-3 pb-4 text-base">
        <p>
          <span className="text-soft">Measure: </span>
          {cut.measure}. <span className="text-soft">Probe: </span>
          {cut.probe}. <span className="text-soft">Usual weight </span>
          {mass(cut.mass_kg.least, units)} to {mass(cut.mass_kg.most, units)}. <span className="text-soft">Rest </span>
          {cut.rest_min.least} to {cut.rest_min.most} min.
        </p>
        <ul className="flex flex-wrap gap-x-6 gap-y-1 text-lg">
          {FIELDS.filter(({ of }) => of(view) !== undefined).map(({ key, label, unit, step, of }) => (
            <li key={key}>
              <label className="flex min-h-11 items-baseline gap-2">
                <span className="text-base text-soft">{label}</span>
                <input
                  type="number"
                  step={step}
                  className="said text-center"
                  style={{ width: '6ch' }}
                  value={Number((of(view) ?? 0).toFixed(2))}
                  onChange={(event) => event.target.value !== '' && lay({ [key]: Number(event.target.value) })}
                />
                <span className="text-base text-soft">{unit}</span>
              </label>
            </li>
          ))}
        </ul>
        <p className="text-soft">
          {SOURCE_WORDS[cut.source.kind]}: {cut.source.note}.
        </p>
        <div className="flex flex-wrap items-center gap-3">
          <input
            aria-label="Name of the house cut"
            className="said min-w-40 text-lg"
            placeholder="the farm's own"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <button
            type="button"
            className="min-h-11 rounded-full bg-action px-5 font-semibold text-white disabled:opacity-50"
            disabled={name.trim() === ''}
            onClick={() => void keep()}
          >
            Keep as a house cut
          </button>
          {document.roast.house && (
            <button
              type="button"
              className="min-h-11 px-2 underline underline-offset-4"
              onClick={() => change((last) => ({ ...last, roast: { ...last.roast, house: null } }))}
            >
              Back to the catalogue’s
            </button>
          )}
          {mine.map((item) => (
            <button
              key={item.name}
              type="button"
              className="min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
              onClick={() => {
                setName(item.name)
                change((last) => {
                  const own = doWithout(last, ['cut', 'supplier'])
                  return { ...own, roast: { ...own.roast, house: item.house } }
                })
              }}
            >
              {item.name}
            </button>
          ))}
        </div>
        {said && <p role="status">{said}</p>}
      </div>
    </details>
  )
}
