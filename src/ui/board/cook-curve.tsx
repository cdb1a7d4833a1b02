'use client'
import { useRef } from 'react'
import type { Estimate } from '@/core/estimate/estimate'
import type { BoardItem } from '@/domain/cook/board'
import { clock, temperature, type Units } from '@/words/units'
import { useWidth } from '../shell/use-width'

const HEIGHT = 150

/** What was read, and what is to come with its doubt, up to the promise. */
export function CookCurve({
  board,
  estimate,
  now_s,
  units,
}: {
  readonly board: BoardItem
  readonly estimate: Estimate | undefined
  readonly now_s: number
  readonly units: Units
}) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box, 640)
  const in_s = board.in_s ?? now_s
  const to_s = Math.max(board.promise_s, now_s + 600, estimate ? in_s + estimate.pull_s.p90 : 0)
  const x = (at_s: number) => 6 + ((at_s - in_s) / (to_s - in_s)) * (width - 12)
  const high = Math.max(70, (board.pull_c ?? 60) + 12)
  const y = (value_c: number) => HEIGHT - 22 - (Math.min(high, Math.max(0, value_c)) / high) * (HEIGHT - 40)
  const path = (points: readonly { at_s: number; value_c: number }[]) =>
    points
      .map(({ at_s, value_c }, i) => `${i === 0 ? 'M' : 'L'}${x(at_s).toFixed(1)} ${y(value_c).toFixed(1)}`)
      .join('')
  const stride = Math.max(1, Math.floor(board.readings.length / 300))
  const read = board.readings.filter((_, i) => i % stride === 0 || i === board.readings.length - 1)
  const ahead = (estimate?.course ?? [])
    .map((row) => ({ ...row, at_s: in_s + row.time_s }))
    .filter(({ at_s }) => at_s >= now_s - 300)
  const band =
    ahead.length > 1
      ? `${path(ahead.map(({ at_s, high_c }) => ({ at_s, value_c: high_c })))}${[...ahead]
          .reverse()
          .map(({ at_s, low_c }) => `L${x(at_s).toFixed(1)} ${y(low_c).toFixed(1)}`)
          .join('')}Z`
      : ''
  return (
    <div ref={box} className="mt-2 w-full min-w-0 overflow-hidden">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Core of ${board.item.title} through time${board.latest ? `, now ${temperature(board.latest.value_c, units)}` : ''}`}
      >
        <rect
          x={x(in_s)}
          y="6"
          width={Math.max(0, x(now_s) - x(in_s))}
          height={HEIGHT - 28}
          fill="var(--line)"
          fillOpacity="0.35"
          rx="6"
        />
        {board.pull_c !== undefined && (
          <>
            <line
              x1={x(in_s)}
              x2={x(to_s)}
              y1={y(board.pull_c)}
              y2={y(board.pull_c)}
              stroke="var(--copper)"
              strokeWidth="2"
              strokeDasharray="6 5"
            />
            <text x={x(in_s) + 8} y={y(board.pull_c) - 6} fontSize="14" fill="var(--copper)">
              pull {temperature(board.pull_c, units)}
            </text>
          </>
        )}
        {band && <path d={band} fill="var(--moss)" fillOpacity="0.22" />}
        {ahead.length > 1 && (
          <path
            d={path(ahead.map(({ at_s, middle_c }) => ({ at_s, value_c: middle_c })))}
            fill="none"
            stroke="var(--moss)"
            strokeWidth="2.5"
            strokeDasharray="7 5"
          />
        )}
        {read.length > 1 && (
          <path d={path(read)} fill="none" stroke="var(--moss)" strokeWidth="4" strokeLinejoin="round" />
        )}
        <line x1={x(now_s)} x2={x(now_s)} y1="4" y2={HEIGHT - 20} stroke="var(--ink)" strokeWidth="2" />
        <line
          x1={x(board.promise_s)}
          x2={x(board.promise_s)}
          y1="4"
          y2={HEIGHT - 20}
          stroke="var(--copper)"
          strokeWidth="4"
        />
        <text x={x(in_s)} y={HEIGHT - 5} fontSize="14" fill="var(--soft)">
          {clock(in_s, units)}
        </text>
        <text
          x={Math.min(width - 4, x(board.promise_s))}
          y={HEIGHT - 5}
          fontSize="14"
          textAnchor="end"
          fill="var(--copper)"
          fontWeight="700"
        >
          {clock(board.promise_s, units)}
        </text>
      </svg>
    </div>
  )
}
