'use client'
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import type { StoryItem } from '@/domain/cook/story/story'
import { degreesOf, temperature, type Units } from '@/words/units'
import { DEGREES, GRID, TICK, TOOLTIP } from '../data/chart-frame'

/** One roast as a curve of the chart: what it is called, and how it is drawn. */
export interface StoryCurve {
  readonly key: string
  readonly name: string
  readonly item: StoryItem
}

const STROKES = ['var(--moss)', 'var(--copper)', 'var(--focus)'] as const
const hours = (minutes: number) => `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')}`

/** Core as it was read, beside as it was planned; of several cooks only as they were read. Time counts from the oven door. */
export function StoryChart({ curves, units }: { readonly curves: readonly StoryCurve[]; readonly units: Units }) {
  const { shown, unit } = degreesOf(units)
  const alone = curves.length === 1
  const [only] = curves
  const ends = (item: StoryItem) => {
    const { in: from, out } = item.went
    return from !== null && out !== null ? (Date.parse(out) - Date.parse(from)) / 60_000 : undefined
  }
  const series = [
    ...curves.map(({ key, name, item }, i) => ({
      key,
      name: alone ? 'read' : name,
      data: item.read_curve.map(([s, c]) => ({ minute: s / 60, value: shown(c) })),
      stroke: STROKES[i] ?? 'var(--ink)',
      width: 3,
      dash: undefined as string | undefined,
    })),
    ...(alone && only
      ? [
          {
            key: 'planned',
            name: 'planned',
            data: only.item.planned_curve.map(([s, c]) => ({ minute: s / 60, value: shown(c) })),
            stroke: 'var(--soft)',
            width: 2,
            dash: '6 5',
          },
        ]
      : []),
  ]
  return (
    <figure data-testid="story-chart">
      <div
        className="h-72 w-full"
        role="img"
        aria-label={`Core through time: ${curves.map(({ name, item }) => `${name}, pulled at ${item.went.pull_c === null ? 'no reading' : temperature(item.went.pull_c, units)}`).join('; ')}`}
      >
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 640, height: 288 }}>
          <LineChart margin={{ top: 10, right: 12, bottom: 0, left: -14 }}>
            <CartesianGrid {...GRID} />
            <XAxis
              dataKey="minute"
              type="number"
              domain={['dataMin', 'dataMax']}
              allowDuplicatedCategory={false}
              tickFormatter={hours}
              tick={TICK}
              stroke="var(--line)"
              minTickGap={40}
            />
            <YAxis {...DEGREES} />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(minute) => `${hours(Number(minute))} after it went in`}
              formatter={(value, name) => [`${Number(value).toFixed(0)} ${unit}`, String(name)]}
            />
            {series.map(({ key, name, data, stroke, width, dash }) => (
              <Line
                key={key}
                data={data}
                name={name}
                dataKey="value"
                stroke={stroke}
                strokeWidth={width}
                {...(dash ? { strokeDasharray: dash } : {})}
                dot={false}
                isAnimationActive={false}
              />
            ))}
            {alone && only && (
              <ReferenceLine y={shown(only.item.serve_c)} stroke="var(--copper)" strokeDasharray="2 4" />
            )}
            {curves.map(({ key, item }, i) => {
              const minute = ends(item)
              return minute !== undefined && item.went.pull_c !== null ? (
                <ReferenceDot
                  key={`${key}-out`}
                  x={minute}
                  y={shown(item.went.pull_c)}
                  r={6}
                  fill="var(--sheet)"
                  stroke={STROKES[i] ?? 'var(--ink)'}
                  strokeWidth={3}
                />
              ) : null
            })}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="mt-1 flex flex-wrap gap-x-5 text-base text-soft">
        {series.map(({ key, name, stroke, dash }) => (
          <span key={key}>
            <svg className="mr-1.5 inline-block align-middle" width="26" height="4" aria-hidden>
              <line x1="0" x2="26" y1="2" y2="2" stroke={stroke} strokeWidth="3" strokeDasharray={dash} />
            </svg>
            {name}
          </span>
        ))}
        <span>○ taken out</span>
        {alone && <span>dotted: wanted</span>}
      </figcaption>
    </figure>
  )
}
