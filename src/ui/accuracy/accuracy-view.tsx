import { fahrenheitToCelsius } from '@/core/units'
import type { Accuracy, ChartCheck } from '@/domain/accuracy/accuracy'
import { mass, temperature, type Units } from '@/words/units'

const percent = (value: number) => `${value > 0 ? '+' : ''}${Math.round(100 * value)} %`

/** What the model is judged by, the misses as plain as the hits. */
export function AccuracyView({ accuracy, units }: { readonly accuracy: Accuracy; readonly units: Units }) {
  const { charts, rules, summary } = accuracy
  const longest = Math.max(...charts.map(({ high_min, predicted_min }) => Math.max(high_min, predicted_min)))
  const missed = rules.filter(({ met }) => !met).length
  return (
    <>
      <h1 className="font-display text-4xl font-bold tracking-tight">How good it is</h1>
      <p className="mt-3 max-w-3xl text-lg">
        One set of parameters for every cut. {summary.reference.within15} of {summary.reference.rows} reference rows are
        within 15 % of their published interval, {summary.others.within15} of {summary.others.rows} others; the median
        error against the middle is {percent(summary.reference.medianError).replace('+', '')} and{' '}
        {percent(summary.others.medianError).replace('+', '')}. {missed} of {rules.length} rules of the trade are not
        met, and stand below as they are.
      </p>
      <section className="mt-8">
        <h2 className="font-display text-2xl font-semibold">Published roasting charts</h2>
        <p className="text-base text-soft">
          US federal food-safety agencies, from memory. The bar is the published interval, the mark the prediction for
          the middle of the weight range from a fridge at 5 °C. ● rows the parameters were chosen with, ○ others.
        </p>
        <ul className="mt-4 divide-y divide-line">
          {charts.map((check) => (
            <Row
              key={`${check.cutName}${check.row.weight_lb.join('-')}`}
              check={check}
              longest={longest}
              units={units}
            />
          ))}
        </ul>
      </section>
      <section className="mt-10">
        <h2 className="font-display text-2xl font-semibold">Rules of the trade and published tables</h2>
        <ul className="mt-3 divide-y divide-line">
          {rules.map(({ name, expected, found, met, source }) => (
            <li key={name} className="grid gap-x-4 gap-y-0.5 py-2.5 md:grid-cols-[6rem_minmax(0,1fr)_14rem_18rem]">
              <span className={met ? 'font-semibold text-moss' : 'font-semibold text-russet'}>
                {met ? '✓ met' : '✗ not met'}
              </span>
              <span>{name}</span>
              <span className="text-soft">{expected}</span>
              <span>
                {found} <span className="text-sm text-soft">({source})</span>
              </span>
            </li>
          ))}
        </ul>
        <p className="mt-4 max-w-3xl text-base text-soft">
          Where a rise in the rest is outside what the trade says, the physics says why: heat stored in the outer layers
          grows with the size of the piece and with the oven, so one span cannot hold for 1.5 and for 3 kg. The pull
          reading is found for each piece by simulation, not from the span.
        </p>
      </section>
    </>
  )
}

function Row({
  check,
  longest,
  units,
}: {
  readonly check: ChartCheck
  readonly longest: number
  readonly units: Units
}) {
  const { row, cutName, mass_kg, predicted_min, low_min, high_min, outside } = check
  const at = (value: number) => `${(100 * value) / longest}%`
  const off = Math.abs(outside) > 0.15
  return (
    <li className="grid items-center gap-x-4 gap-y-1 py-2 md:grid-cols-[19rem_minmax(0,1fr)_16rem]">
      <span>
        <span aria-hidden>{row.inReference ? '● ' : '○ '}</span>
        {cutName}
        <span className="block text-sm text-soft">
          {mass(mass_kg, units)} at {temperature(fahrenheitToCelsius(row.oven_f), units)} to{' '}
          {temperature(fahrenheitToCelsius(row.core_f), units)}
        </span>
      </span>
      <span aria-hidden className="relative block h-6 rounded-full bg-line/50">
        <span
          className="absolute top-1 h-4 rounded-full bg-moss"
          style={{ left: at(low_min), width: `max(4px, ${at(high_min - low_min)})` }}
        />
        <span
          className={`absolute -top-0.5 h-7 w-1 rounded-full ${off ? 'bg-russet' : 'bg-ink'}`}
          style={{ left: at(predicted_min) }}
        />
      </span>
      <span>
        {Math.round(predicted_min)} min{' '}
        <span className="text-soft">
          for {Math.round(low_min)} to {Math.round(high_min)}
        </span>
        {outside !== 0 && <strong className={off ? 'text-russet' : ''}> {percent(outside)}</strong>}
      </span>
    </li>
  )
}
