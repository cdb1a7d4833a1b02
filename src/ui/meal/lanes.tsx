'use client'
import { type PointerEvent, useRef, useState } from 'react'
import { ROOM_C } from '@/core/reference/standards'
import type { MealPlan, MealSource, PlacedItem } from '@/domain/meal/make-meal'
import { clock, temperature, type Units } from '@/words/units'
import { heatColour } from '../ramp'
import { tickStep } from '../ribbon/scale'
import { useWidth } from '../shell/use-width'

interface LanesProps {
  readonly plan: MealPlan
  readonly units: Units
  readonly selected: string | undefined
  readonly onSelect: (id: string) => void
  /**
   * An item was put down by hand: its first stay starts here, on this source. Without a start it goes to
   * another source at whatever time serves it there: ovens differ, and the old start would rarely do.
   */
  readonly onMove: (id: string, start_s: number | undefined, source: string) => void
}

interface Drag {
  readonly id: string
  readonly from: { readonly x: number; readonly y: number }
  readonly shift_s: number
  readonly source: string
}

const LABEL = 132
const ROW = 38
const TOP = 34
const SNAP_S = 300

/** Rows of a lane: each stay takes the first row that is free then. */
function rowsOf(stays: readonly { from_s: number; to_s: number }[]): number[] {
  const ends: number[] = []
  return stays.map(({ from_s, to_s }) => {
    const free = ends.findIndex((end) => end <= from_s + 1)
    const row = free >= 0 ? free : ends.length
    ends[row] = to_s
    return row
  })
}

/** Lanes one under the other, each as high as its busiest moment. */
function lanesOf(plan: MealPlan, sources: readonly MealSource[], room: number) {
  const lanes: { source: MealSource; stays: ReturnType<typeof staysOf>; rows: number[]; y: number; height: number }[] =
    []
  for (const source of sources) {
    const stays = staysOf(plan, source)
    const rows = rowsOf(stays)
    const above = lanes.at(-1)
    lanes.push({
      source,
      stays,
      rows,
      y: above ? above.y + above.height + 10 : TOP,
      height: Math.max(1, ...rows.map((row) => row + 1)) * ROW + room,
    })
  }
  return lanes
}

const staysOf = (plan: MealPlan, source: MealSource) =>
  plan.items
    .flatMap((item) =>
      item.stays
        .map((stay, leg) => ({ item, stay, leg, from_s: stay.from_s, to_s: stay.to_s }))
        .filter(({ stay }) => stay.source === source.id),
    )
    .sort((a, b) => a.from_s - b.from_s)

/** Ovens as lanes on one clock: every stay a heat ribbon, a clash of heats a clash of colours. */
export function Lanes({ plan, units, selected, onSelect, onMove }: LanesProps) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box, 1100)
  const [drag, setDrag] = useState<Drag | undefined>()
  const narrow = width < 640
  const label = narrow ? 0 : LABEL
  const left = label
  const right = width - 10
  const perSecond = (right - left) / (plan.end_s - plan.begin_s)
  const x = (at_s: number) => left + (at_s - plan.begin_s) * perSecond
  const used = plan.sources.filter(
    (source) =>
      source.kind === 'oven' || plan.items.some((item) => item.stays.some((stay) => stay.source === source.id)),
  )
  const lanes = lanesOf(plan, used, narrow ? 22 : 8)
  const lowest = lanes.at(-1)
  const height = lowest ? lowest.y + lowest.height + 16 : TOP + 40
  const serveTimes = [...new Set(plan.items.map(({ serve_s }) => serve_s))]
  const step = tickStep(1 / perSecond, narrow ? 58 : 72)
  const ticks: number[] = []
  for (let t = Math.ceil(plan.begin_s / step) * step; t < plan.end_s - 600; t += step) ticks.push(t)
  const shadowed = (t: number) => serveTimes.some((at) => Math.abs((t - (at - 20 / perSecond)) * perSecond) < 46)
  const laneAt = (y: number) => lanes.find((lane) => y >= lane.y && y < lane.y + lane.height)

  const take = (event: PointerEvent<SVGGElement>, item: PlacedItem, source: string) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    setDrag({ id: item.id, from: { x: event.clientX, y: event.clientY }, shift_s: 0, source })
  }
  const move = (event: PointerEvent<SVGGElement>) => {
    if (!drag) return
    const svg = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    const lane = svg && laneAt(event.clientY - svg.top)
    const shift = Math.round((event.clientX - drag.from.x) / perSecond / SNAP_S) * SNAP_S
    setDrag({ ...drag, shift_s: shift, source: lane?.source.kind === 'oven' ? lane.source.id : drag.source })
  }
  const drop = (item: PlacedItem) => {
    if (!drag) return
    setDrag(undefined)
    if (drag.shift_s === 0 && drag.source === item.stays[0]?.source) return onSelect(item.id)
    onMove(item.id, drag.shift_s === 0 ? undefined : item.start_s + drag.shift_s, drag.source)
  }
  /** While something is dragged: the others it would disagree with where it now is. */
  const against = drag ? disagreements(plan, drag) : new Set<string>()

  return (
    <div ref={box} className="w-full min-w-0 select-none overflow-hidden" data-testid="lanes">
      <svg width={width} height={height} role="group" aria-label="Ovens through the meal">
        {ticks.map((t) => (
          <g key={t}>
            <line x1={x(t)} x2={x(t)} y1={TOP - 8} y2={height} stroke="var(--line)" />
            {!shadowed(t) && (
              <text x={Math.max(x(t), 20)} y={16} fontSize="13" textAnchor="middle" fill="var(--soft)">
                {clock(t, units)}
              </text>
            )}
          </g>
        ))}
        {lanes.map(({ source, stays, rows, y, height: laneHeight }) => (
          <g key={source.id} data-lane={source.id}>
            <rect
              x={left}
              y={y}
              width={right - left}
              height={laneHeight}
              rx="8"
              fill="var(--line)"
              fillOpacity="0.28"
            />
            <text
              x={narrow ? 8 : 0}
              y={narrow ? y + 15 : y + laneHeight / 2 - 2}
              fontSize="15"
              fontWeight="650"
              fill="var(--ink)"
            >
              {source.name}
              {narrow ? `, ${source.places} places` : ''}
            </text>
            {!narrow && (
              <text x={0} y={y + laneHeight / 2 + 16} fontSize="13" fill="var(--soft)">
                {source.places} {source.places === 1 ? 'place' : 'places'}
              </text>
            )}
            {stays.map(({ item, stay, leg }, i) => {
              const held = drag?.id === item.id && leg === 0
              const dx = held ? drag.shift_s * perSecond : 0
              const lane = held ? lanes.find((each) => each.source.id === drag.source) : undefined
              const rowY =
                (lane && lane.source.id !== source.id ? lane.y + 4 : y + 4 + (rows[i] ?? 0) * ROW) + (narrow ? 18 : 0)
              const from = x(stay.from_s)
              const to = x(stay.to_s)
              const set_c = stay.phases[0]?.set_c
              const wrong = against.has(item.id)
              const text = `${item.title}${set_c === undefined || source.kind === 'hob' ? '' : ` ${temperature(set_c, units)}`}`
              return (
                <g
                  key={`${item.id}${leg}`}
                  role="button"
                  tabIndex={0}
                  aria-label={`${item.title} in ${source.name}, ${clock(stay.from_s, units)} to ${clock(stay.to_s, units)}${item.pinned ? ', pinned' : ''}`}
                  aria-pressed={selected === item.id}
                  data-item={item.id}
                  transform={`translate(${dx} 0)`}
                  className="cursor-grab touch-none outline-none [&:focus-visible>rect.frame]:stroke-[var(--focus)] [&:focus-visible>rect.frame]:stroke-[3]"
                  onPointerDown={(event) => leg === 0 && take(event, item, source.id)}
                  onPointerMove={move}
                  onPointerUp={() => (leg === 0 ? drop(item) : onSelect(item.id))}
                  onPointerCancel={() => setDrag(undefined)}
                  onKeyDown={(event) => {
                    if (event.key === 'Enter' || event.key === ' ') onSelect(item.id)
                    if (event.key === 'ArrowLeft')
                      onMove(item.id, item.start_s - SNAP_S, item.stays[0]?.source ?? source.id)
                    if (event.key === 'ArrowRight')
                      onMove(item.id, item.start_s + SNAP_S, item.stays[0]?.source ?? source.id)
                    if (leg === 0 && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
                      event.preventDefault()
                      const alike = plan.sources.filter(({ kind }) => kind === source.kind)
                      const next = alike.findIndex(({ id }) => id === source.id) + (event.key === 'ArrowUp' ? -1 : 1)
                      const other = alike[next]
                      if (other) onMove(item.id, undefined, other.id)
                    }
                  }}
                >
                  {stay.lead_s > 0 && leg === 0 && !alreadyHot(stays, stay) && (
                    <line
                      x1={from - stay.lead_s * perSecond}
                      x2={from}
                      y1={rowY + ROW / 2 - 4}
                      y2={rowY + ROW / 2 - 4}
                      stroke={heatColour(set_c ?? 200)}
                      strokeWidth="3"
                      strokeDasharray="2 4"
                    />
                  )}
                  {stay.phases.map((phase) => (
                    <rect
                      key={phase.from_s}
                      x={x(phase.from_s)}
                      y={rowY}
                      width={Math.max(2, (phase.to_s - phase.from_s) * perSecond)}
                      height={ROW - 8}
                      fill={source.kind === 'hob' ? heatColour(100) : heatColour(phase.set_c ?? 80)}
                    />
                  ))}
                  <rect
                    className="frame"
                    x={from}
                    y={rowY}
                    width={Math.max(2, to - from)}
                    height={ROW - 8}
                    rx="4"
                    fill="transparent"
                    stroke={wrong ? 'var(--wattle)' : selected === item.id ? 'var(--ink)' : '#0a251d'}
                    strokeOpacity={wrong || selected === item.id ? 1 : 0.25}
                    strokeWidth={wrong || selected === item.id ? 3 : 1}
                  />
                  {coursePath(item, stay.from_s, stay.to_s, leg, x, rowY)}
                  {leg === item.stays.length - 1 && item.dish_s > stay.to_s + 60 && (
                    <line
                      x1={to}
                      x2={x(item.dish_s)}
                      y1={rowY + ROW / 2 - 4}
                      y2={rowY + ROW / 2 - 4}
                      stroke={heatColour(ROOM_C)}
                      strokeWidth="6"
                      strokeOpacity="0.9"
                    />
                  )}
                  <clipPath id={`clip-${item.id}-${leg}`}>
                    <rect x={from} y={rowY} width={Math.max(2, to - from - 4)} height={ROW - 8} />
                  </clipPath>
                  <text
                    x={from + 7}
                    y={rowY + 20}
                    fontSize="13.5"
                    fontWeight="650"
                    fill="#ffffff"
                    stroke="#0a251d"
                    strokeOpacity="0.85"
                    strokeWidth="3.5"
                    strokeLinejoin="round"
                    paintOrder="stroke"
                    clipPath={`url(#clip-${item.id}-${leg})`}
                  >
                    {item.pinned ? '⚲ ' : ''}
                    {to - from > text.length * 7.6 + 14 ? text : to - from > 56 ? item.title : ''}
                  </text>
                </g>
              )
            })}
          </g>
        ))}
        {serveTimes.map((at) => (
          <g key={at}>
            <line x1={x(at)} x2={x(at)} y1={TOP - 10} y2={height - 4} stroke="var(--copper)" strokeWidth="3" />
            <text
              x={Math.min(x(at), right)}
              y={16}
              fontSize="14"
              fontWeight="700"
              textAnchor="end"
              fill="var(--copper)"
              stroke="var(--sheet)"
              strokeWidth="6"
              paintOrder="stroke"
            >
              {clock(at, units)}
            </text>
          </g>
        ))}
      </svg>
    </div>
  )
}

/** Whether something else is in the same source at the same heat as this goes in: then nothing heats up for it. */
const alreadyHot = (stays: ReturnType<typeof staysOf>, own: ReturnType<typeof staysOf>[number]['stay']): boolean =>
  stays.some(
    ({ stay }) =>
      stay !== own &&
      stay.from_s < own.from_s - 60 &&
      stay.to_s >= own.from_s - 60 &&
      stay.phases.at(-1)?.set_c === own.phases[0]?.set_c,
  )

/** The core climbing inside a roast's first stay. */
function coursePath(
  item: PlacedItem,
  from_s: number,
  to_s: number,
  leg: number,
  x: (at_s: number) => number,
  y: number,
) {
  if (leg > 0 || item.course.length < 2) return null
  const points = item.course.filter(({ time_s }) => from_s + time_s <= to_s + 1)
  const high = y + 4
  const low = y + ROW - 12
  return (
    <path
      d={points
        .map(
          ({ time_s, core_c }, i) =>
            `${i === 0 ? 'M' : 'L'}${x(from_s + time_s).toFixed(1)} ${(low - (Math.min(90, Math.max(0, core_c)) / 90) * (low - high)).toFixed(1)}`,
        )
        .join('')}
      fill="none"
      stroke="#ffffff"
      strokeWidth="1.75"
      pointerEvents="none"
    />
  )
}

/** Who would be in the same oven at another heat, or one too many, if the dragged item stayed here: local and quick. */
function disagreements(plan: MealPlan, drag: Drag): Set<string> {
  const wrong = new Set<string>()
  const item = plan.items.find(({ id }) => id === drag.id)
  const stay = item?.stays[0]
  const source = plan.sources.find(({ id }) => id === drag.source)
  if (!item || !stay || !source) return wrong
  const from = stay.from_s + drag.shift_s
  const to = stay.to_s + drag.shift_s
  const set_c = stay.phases[0]?.set_c
  const there = plan.items.filter(
    (other) =>
      other.id !== item.id &&
      other.stays.some((each) => each.source === drag.source && each.from_s < to && each.to_s > from),
  )
  for (const other of there) {
    const same = other.stays.every(
      (each) =>
        each.source !== drag.source || each.to_s <= from || each.from_s >= to || each.phases[0]?.set_c === set_c,
    )
    if (source.kind === 'oven' && !same) wrong.add(other.id)
  }
  const taken = there.reduce(
    (sum, other) =>
      sum + Math.max(...other.stays.filter((each) => each.source === drag.source).map((each) => each.places)),
    stay.places,
  )
  if (taken > source.places) for (const other of there) wrong.add(other.id)
  const next = item.stays[1]?.from_s ?? item.dish_s
  if (to > next) wrong.add(item.id)
  if (wrong.size > 0) wrong.add(item.id)
  return wrong
}
