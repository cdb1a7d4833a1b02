'use client'
import { type PointerEvent, useId, useRef, useState } from 'react'
import { settingOf } from '@/core/program/stage'
import { findCut } from '@/core/reference/cuts'
import { ROOM_C } from '@/core/reference/standards'
import type { CoursePoint } from '@/core/schedule/plan'
import type { Task } from '@/core/schedule/task'
import type { RibbonPlan } from '@/domain/plan/summary'
import { lower, pullLead, taskTitle } from '@/words/tasks'
import { clock, shortDay, temperature, type Units } from '@/words/units'
import { POINT_NAMES, surroundings } from '@/words/words'
import { heatColour } from '../ramp'
import { useWidth } from '../shell/use-width'
import { Handle } from './handles'
import { ribbonScale, rowsFor, tickStep } from './scale'

interface RibbonProps {
  readonly plan: RibbonPlan
  readonly cutId: string
  readonly units: Units
  /** Small and quiet, for a list. */
  readonly slim?: boolean
  /** Lets a hand stretch timed stages and move the promise. */
  readonly edit?: RibbonEdit | undefined
}

export interface RibbonEdit {
  readonly take: () => void
  /** A timed stage is longer by so many minutes than when it was taken. */
  readonly stretch: (stageIndex: number, longer_min: number) => void
  readonly promise: (later_min: number) => void
}

const MARKS: readonly Task['kind'][] = ['take_out', 'heat_up', 'put_in', 'tend', 'change', 'pull', 'finish', 'carve']
/** What stands at the ribbon: also where it comes out of its last heat; a reading and what it leads to are one mark. */
const isMarked = ({ kind, because: { numbers }, at }: Task, tasks: readonly Task[]): boolean => {
  const isSaid = tasks.some((other) => other.kind === 'pull' && other.at === at)
  if (kind === 'rest') return Boolean(numbers.finished || numbers.out) && !isSaid
  return MARKS.includes(kind) && !(kind === 'finish' && isSaid)
}
const SHORT: Partial<Record<Task['kind'], string>> = {
  take_out: 'Out of the fridge',
  heat_up: 'Heat up',
  put_in: 'In',
  rest: 'Out',
  carve: 'Carve',
  finish: 'Finish',
}

/** The course at a moment, by straight lines between its points. */
function courseAt(course: readonly CoursePoint[], time_s: number): CoursePoint | undefined {
  const next = course.findIndex((point) => point.time_s >= time_s)
  if (next < 0) return course.at(-1)
  const to = course[next]
  const from = course[Math.max(0, next - 1)]
  if (!to || !from || to === from) return to
  const part = (time_s - from.time_s) / (to.time_s - from.time_s)
  const mix = (a: number, b: number) => a + part * (b - a)
  return {
    time_s,
    air_c: mix(from.air_c, to.air_c),
    surface_c: mix(from.surface_c, to.surface_c),
    core_c: from.core_c.map((value, i) => mix(value, to.core_c[i] ?? value)),
  }
}

/**
 * The heat ribbon. Its right edge is the promise. The fill is what surrounds the meat, the white
 * line the core with its doubt, the bracket the window of the pull.
 */
export function HeatRibbon({ plan, cutId, units, slim = false, edit }: RibbonProps) {
  const id = useId().replaceAll(':', '')
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box, 1100)
  const [cursor, setCursor] = useState<number | undefined>()
  const cut = findCut(cutId)
  const narrow = width < 560
  const pad = slim ? 2 : narrow ? 6 : 14
  const top = slim ? 4 : 54
  const band = slim ? 34 : narrow ? 120 : 148
  const bottom = top + band
  const labelRows = slim ? 0 : narrow ? 4 : 3
  const height = slim ? bottom + 4 : bottom + 18 + labelRows * 19
  // While a hand holds an edge the axis stands still, or the edge would run from under the finger.
  const [held, setHeld] = useState<{ from_s: number; to_s: number } | undefined>()
  // What went in too late ends after its promise.
  const table_s = Math.max(plan.promise, ...plan.tasks.map(({ at }) => at))
  const isLate = table_s > plan.promise + 60
  const frame = { from_s: plan.begin, to_s: table_s, ...held, left: pad, right: width - pad, top, bottom }
  const scale = ribbonScale(frame)
  const putIn = plan.putIn
  const inOven = plan.course.map((point) => ({ ...point, at: putIn + point.time_s }))
  const end = plan.stages.at(-1)?.to ?? plan.promise

  const stops = inOven.filter((_, i) => i % 2 === 0 || i === inOven.length - 1)
  const offset = (at: number) => `${(((at - plan.putIn) / (end - plan.putIn)) * 100).toFixed(2)}%`
  const line = (pick: (point: (typeof inOven)[number]) => number) =>
    inOven
      .map((point, i) => `${i === 0 ? 'M' : 'L'}${scale.x(point.at).toFixed(1)} ${scale.y(pick(point)).toFixed(1)}`)
      .join('')
  const bandRows = plan.ensemble.band.filter((row) => putIn + row.time_s <= table_s)
  const bandPath =
    bandRows.length > 1
      ? `${bandRows.map((row, i) => `${i === 0 ? 'M' : 'L'}${scale.x(putIn + row.time_s).toFixed(1)} ${scale.y(row.high_c).toFixed(1)}`).join('')}${[
          ...bandRows,
        ]
          .reverse()
          .map((row) => `L${scale.x(putIn + row.time_s).toFixed(1)} ${scale.y(row.low_c).toFixed(1)}`)
          .join('')}Z`
      : ''
  const pull = plan.tasks.find((task) => task.kind === 'pull')
  const perPixel = (frame.to_s - frame.from_s) / (frame.right - frame.left)
  const step = tickStep(perPixel, narrow ? 64 : 78)
  const ticks: number[] = []
  for (let t = Math.ceil(frame.from_s / step) * step; t < frame.to_s - perPixel * 60; t += step) ticks.push(t)
  const marks = plan.tasks.filter((task) => isMarked(task, plan.tasks) && task.at >= plan.begin && task.at <= table_s)
  const labels = marks.map((task, i) => {
    // What is done again and again is named once.
    const isAgain = task.act !== undefined && marks.slice(0, i).some(({ act }) => act === task.act)
    const name = isAgain ? '' : `${SHORT[task.kind] ?? taskTitle(task, { cut }, units)} `
    const text = `${name}${clock(task.at, units)}`
    const w = text.length * 6.9 + 8
    const x = Math.min(scale.x(task.at), frame.right - w)
    return { task, text, isAgain, x: Math.max(frame.left, x), width: w }
  })
  const rows = rowsFor(labels, Math.max(1, labelRows))
  // Where no row has room the hour of what is done again gives way.
  const isCovered = labels.map(
    (one, i) =>
      one.isAgain &&
      labels.some((two, k) => k !== i && rows[k] === rows[i] && two.x < one.x + one.width && one.x < two.x + two.width),
  )
  const at = cursor === undefined ? undefined : courseAt(plan.course, cursor - putIn)
  const stageAt =
    cursor === undefined ? undefined : plan.stages.find((stage) => cursor >= stage.from && cursor < stage.to)
  const move = (event: PointerEvent<SVGSVGElement>) => {
    const left = event.currentTarget.getBoundingClientRect().left
    const time = scale.at(event.clientX - left)
    setCursor(Math.min(frame.to_s, Math.max(frame.from_s, time)))
  }
  const summary = `In at ${clock(plan.putIn, units)}${pull ? `, ${lower(pullLead(pull.because.numbers))} ${temperature(plan.pull_c, units)} about ${clock(pull.at, units)}` : ''}, on the table ${clock(table_s, units)}.`

  return (
    <div
      ref={box}
      className="relative w-full min-w-0 select-none overflow-hidden"
      data-testid={slim ? 'ribbon-slim' : 'ribbon'}
    >
      <svg
        width={width}
        height={height}
        role={edit ? 'group' : 'img'}
        aria-label={summary}
        onPointerMove={slim ? undefined : move}
        onPointerLeave={() => setCursor(undefined)}
        className="block touch-pan-y"
      >
        <defs>
          <linearGradient
            id={`${id}heat`}
            x1={scale.x(plan.putIn)}
            x2={scale.x(end)}
            y1="0"
            y2="0"
            gradientUnits="userSpaceOnUse"
          >
            {stops.map((point) => (
              <stop key={point.time_s} offset={offset(point.at)} stopColor={heatColour(point.air_c)} />
            ))}
          </linearGradient>
          <clipPath id={`${id}clip`}>
            <rect
              x={frame.left}
              y={top}
              width={Math.max(0, frame.right - frame.left)}
              height={band}
              rx={slim ? 6 : 10}
            />
          </clipPath>
        </defs>
        {!slim &&
          ticks.map((t) => (
            <g key={t}>
              <line x1={scale.x(t)} x2={scale.x(t)} y1={top - 8} y2={bottom + 4} stroke="var(--line)" />
              <text x={scale.x(t)} y={top - 14} fontSize="13" textAnchor="middle" fill="var(--soft)">
                {clock(t, units)}
              </text>
            </g>
          ))}
        <g clipPath={`url(#${id}clip)`}>
          <rect
            x={frame.left}
            y={top}
            width={Math.max(0, scale.x(plan.putIn) - frame.left)}
            height={band}
            fill={heatColour(ROOM_C)}
          />
          <rect
            x={scale.x(plan.putIn)}
            y={top}
            width={Math.max(0, scale.x(end) - scale.x(plan.putIn))}
            height={band}
            fill={`url(#${id}heat)`}
          />
          <rect
            x={scale.x(end)}
            y={top}
            width={Math.max(0, frame.right - scale.x(end))}
            height={band}
            fill={heatColour(ROOM_C)}
          />
          {!slim &&
            [25, 50, 75].map((mark) => (
              <line
                key={mark}
                x1={frame.left}
                x2={frame.right}
                y1={scale.y(mark)}
                y2={scale.y(mark)}
                stroke="#0a251d"
                strokeOpacity="0.16"
                strokeDasharray="2 5"
              />
            ))}
          {bandPath && <path d={bandPath} fill="#ffffff" fillOpacity={slim ? 0.25 : 0.38} />}
          {plan.points.slice(1).map((name, i) => (
            <path
              key={name}
              d={line((point) => point.core_c[i + 1] ?? 0)}
              fill="none"
              stroke="#ffffff"
              strokeWidth="2"
              strokeDasharray={i === 0 ? '5 4' : '2 3'}
            />
          ))}
          <path
            d={line((point) => point.core_c[0] ?? 0)}
            fill="none"
            stroke="#0a251d"
            strokeWidth={slim ? 3.5 : 6}
            strokeLinejoin="round"
          />
          <path
            d={line((point) => point.core_c[0] ?? 0)}
            fill="none"
            stroke="#ffffff"
            strokeWidth={slim ? 1.75 : 3}
            strokeLinejoin="round"
          />
        </g>
        {pull?.window && !slim && (
          <g>
            <path
              d={`M${scale.x(pull.window.from)} ${top - 2}V${top - 6}H${scale.x(pull.window.to)}V${top - 2}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2.5"
            />
            <rect
              x={scale.x(pull.window.from)}
              y={top}
              width={Math.max(2, scale.x(pull.window.to) - scale.x(pull.window.from))}
              height={band}
              fill="#0a251d"
              fillOpacity="0.16"
            />
            <text
              x={Math.min(
                (scale.x(pull.window.from) + scale.x(pull.window.to)) / 2,
                frame.right - (narrow ? 90 : 190) - (isLate ? 100 : 0),
              )}
              y={top - 32}
              fontSize="15"
              fontWeight="700"
              textAnchor="middle"
              fill="var(--ink)"
            >
              {pull.because.numbers.stays ? 'finish from' : 'pull'} {temperature(plan.pull_c, units)}
            </text>
          </g>
        )}
        {pull && slim && (
          <line
            x1={scale.x(pull.at)}
            x2={scale.x(pull.at)}
            y1={top}
            y2={bottom}
            stroke="#0a251d"
            strokeWidth="2"
            strokeOpacity="0.6"
          />
        )}
        {!slim &&
          labels.map(({ task }, i) => {
            const x = scale.x(task.at)
            return (
              <g key={`${task.kind}${task.at}${task.act ?? ''}`}>
                <line
                  x1={x}
                  x2={x}
                  y1={bottom}
                  y2={bottom + 7 + (rows[i] ?? 0) * 19}
                  stroke="var(--soft)"
                  strokeWidth="1.5"
                />
                <circle cx={x} cy={bottom} r="3.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
              </g>
            )
          })}
        {!slim &&
          labels.map(({ task, text, x }, i) =>
            isCovered[i] ? null : (
              <text
                key={`${task.kind}${task.at}${task.act ?? ''}`}
                x={x}
                y={bottom + 20 + (rows[i] ?? 0) * 19}
                fontSize="13.5"
                fill="var(--ink)"
                stroke="var(--sheet)"
                strokeWidth="4"
                strokeLinejoin="round"
                paintOrder="stroke"
              >
                {text}
              </text>
            ),
          )}
        <line
          x1={scale.x(plan.promise)}
          x2={scale.x(plan.promise)}
          y1={slim ? 0 : top - 10}
          y2={slim ? height : bottom + 6}
          stroke="var(--copper)"
          strokeWidth={slim ? 3 : 4}
        />
        {!slim && (
          <text x={frame.right} y={top - 32} fontSize="15" fontWeight="700" textAnchor="end" fill="var(--copper)">
            {clock(table_s, units)}
            {narrow ? '' : ' on the table'}
            {isLate ? `, for ${clock(plan.promise, units)}` : ''}
          </text>
        )}
        {edit &&
          !slim &&
          plan.stages.map(({ stage, from, to }, i) =>
            stage.until.kind === 'time' && to - from > 0 ? (
              <Handle
                // biome-ignore lint/suspicious/noArrayIndexKey: a stage has no identity but its place
                key={i}
                x={scale.x(from)}
                top={top}
                bottom={bottom}
                perPixel_min={perPixel / 60}
                colour="#ffffff"
                label={`Start of ${surroundings(stage, units)}`}
                value={clock(from, units)}
                minutes={{
                  now: (from - plan.putIn) / 60,
                  least: 0,
                  most: (to - plan.putIn) / 60,
                }}
                onTake={() => {
                  setHeld({ from_s: frame.from_s, to_s: frame.to_s })
                  edit.take()
                }}
                onMove={(delta, done) => {
                  edit.stretch(i, -delta)
                  if (done) setHeld(undefined)
                }}
              />
            ) : null,
          )}
        {edit && !slim && (
          <Handle
            x={Math.min(scale.x(plan.promise), width - 8)}
            top={top}
            bottom={bottom}
            perPixel_min={perPixel / 60}
            colour="var(--copper-bright)"
            label="The promise"
            value={clock(plan.promise, units)}
            minutes={{
              now: (plan.promise - plan.putIn) / 60,
              least: 0,
              most: (plan.promise - plan.putIn) / 60 + 24 * 60,
            }}
            onTake={() => {
              setHeld({ from_s: frame.from_s, to_s: frame.to_s })
              edit.take()
            }}
            onMove={(delta, done) => {
              edit.promise(delta)
              if (done) setHeld(undefined)
            }}
          />
        )}
        {cursor !== undefined && (
          <line
            x1={scale.x(cursor)}
            x2={scale.x(cursor)}
            y1={top}
            y2={bottom}
            stroke="#ffffff"
            strokeWidth="1.5"
            pointerEvents="none"
          />
        )}
      </svg>
      {cursor !== undefined && !slim && (
        <div
          className="pointer-events-none absolute top-[60px] rounded-lg bg-bottle-deep/95 px-3 py-1.5 text-sm text-white shadow-lg"
          style={scale.x(cursor) > width / 2 ? { right: width - scale.x(cursor) + 10 } : { left: scale.x(cursor) + 10 }}
        >
          <strong>{clock(cursor, units)}</strong>{' '}
          {at && cursor >= putIn ? (
            <>
              core {temperature(at.core_c[0] ?? 0, units)}
              {plan.points
                .slice(1)
                .map((name, i) => `, ${POINT_NAMES[name]} ${temperature(at.core_c[i + 1] ?? 0, units)}`)
                .join('')}{' '}
              · {stageAt ? surroundings(stageAt.stage, units) : 'on the board'}
              {stageAt && settingOf(stageAt.stage.environment) === undefined
                ? ` (${temperature(at.air_c, units)})`
                : ''}
            </>
          ) : (
            'on the bench'
          )}
        </div>
      )}
      {!slim && plan.begin < plan.promise - 86_400 && (
        <p className="text-sm text-soft">From {shortDay(plan.begin, units)}.</p>
      )}
    </div>
  )
}
