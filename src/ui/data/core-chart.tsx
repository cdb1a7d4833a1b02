'use client'
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import type { Plan } from '@/core/schedule/plan'
import { clock, degreesOf, temperature, type Units } from '@/words/units'
import { POINT_NAMES } from '@/words/words'
import { DEGREES, GRID, TICK, TOOLTIP } from './chart-frame'

const DASHES = ['7 4', '2 3'] as const

/** Core with its doubt, surface and surroundings through time. */
export function CoreChart({ plan, units }: { readonly plan: Plan; readonly units: Units }) {
  const { shown, unit } = degreesOf(units)
  const bandAt = (time_s: number): [number, number] | undefined => {
    const { band } = plan.ensemble
    const i = band.findIndex((row) => row.time_s >= time_s)
    const row = band[i]
    return row ? [shown(row.low_c), shown(row.high_c)] : undefined
  }
  const others = plan.points.slice(1)
  const rows = plan.course.map((point) => ({
    at: plan.putIn + point.time_s,
    core: shown(point.core_c[0] ?? 0),
    ...Object.fromEntries(others.map((name, i) => [name, shown(point.core_c[i + 1] ?? 0)])),
    surface: shown(point.surface_c),
    air: shown(point.air_c),
    doubt: bandAt(point.time_s),
  }))
  const names: Record<string, string> = {
    ...POINT_NAMES,
    core: POINT_NAMES[plan.points[0] ?? 'core'],
    surface: 'surface',
    air: 'around it',
    doubt: 'doubt',
  }
  return (
    <figure>
      <div
        className="h-64 w-full"
        role="img"
        aria-label={`Core temperature through time, pulled at ${temperature(plan.pull_c, units)}, peak ${temperature(plan.peak_c, units)}`}
      >
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 520, height: 256 }}>
          <ComposedChart data={rows} margin={{ top: 8, right: 8, bottom: 0, left: -14 }}>
            <CartesianGrid {...GRID} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(at: number) => clock(at, units)}
              tick={TICK}
              stroke="var(--line)"
              minTickGap={36}
            />
            <YAxis {...DEGREES} />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(at) => clock(Number(at), units)}
              formatter={(value, name) => [
                Array.isArray(value)
                  ? `${Number(value[0]).toFixed(0)} to ${Number(value[1]).toFixed(0)} ${unit}`
                  : `${Number(value).toFixed(0)} ${unit}`,
                names[String(name)] ?? String(name),
              ]}
            />
            <Area dataKey="doubt" stroke="none" fill="var(--moss)" fillOpacity={0.2} isAnimationActive={false} />
            <Line
              dataKey="air"
              stroke="var(--copper-bright)"
              strokeDasharray="3 4"
              strokeWidth={1.5}
              dot={false}
              isAnimationActive={false}
            />
            <Line dataKey="surface" stroke="var(--russet)" strokeWidth={1.5} dot={false} isAnimationActive={false} />
            {others.map((name, i) => (
              <Line
                key={name}
                dataKey={name}
                stroke="var(--moss)"
                strokeDasharray={DASHES[i] ?? '1 2'}
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
            ))}
            <Line dataKey="core" stroke="var(--moss)" strokeWidth={3} dot={false} isAnimationActive={false} />
            <ReferenceLine
              y={shown(plan.pull_c)}
              stroke="var(--ink)"
              strokeDasharray="6 4"
              label={{
                value: `pull ${temperature(plan.pull_c, units)}`,
                position: 'insideBottomRight',
                fill: 'var(--ink)',
                fontSize: 13,
              }}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="mt-1 flex flex-wrap gap-x-5 text-sm text-soft">
        <span>
          <i className="mr-1.5 inline-block h-1 w-6 bg-moss align-middle" />
          {names.core}, shaded by its doubt
        </span>
        {others.map((name, i) => (
          <span key={name}>
            <svg className="mr-1.5 inline-block align-middle" width="24" height="4" aria-hidden>
              <line x1="0" x2="24" y1="2" y2="2" stroke="var(--moss)" strokeWidth="2" strokeDasharray={DASHES[i]} />
            </svg>
            {POINT_NAMES[name]}
          </span>
        ))}
        <span>
          <i className="mr-1.5 inline-block h-0.5 w-6 bg-russet align-middle" />
          surface
        </span>
        <span>
          <i className="mr-1.5 inline-block w-6 border-t-2 border-dotted border-copper-bright align-middle" />
          around it ({unit})
        </span>
      </figcaption>
    </figure>
  )
}
