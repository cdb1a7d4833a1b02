import { fahrenheitToCelsius } from '@/core/units'
import type { Accuracy, ChartCheck, FactCheck } from '@/domain/accuracy/accuracy'
import { ARRIVALS, PROMISES } from '@/domain/accuracy/measured'
import { mass, rise, temperature, type Units } from '@/words/units'
import { PromisesPicture } from './promises-picture'

const percent = (value: number) => `${value > 0 ? '+' : ''}${Math.round(100 * value)} %`

/** What the model is judged by, the misses as plain as the hits. */
export function AccuracyView({ accuracy, units }: { readonly accuracy: Accuracy; readonly units: Units }) {
  const { charts, facts, rules, summary } = accuracy
  const longest = Math.max(...charts.map(({ high_min, predicted_min }) => Math.max(high_min, predicted_min)))
  const missed = rules.filter(({ met }) => !met).length
  return (
    <>
      <h1 className="font-display text-4xl font-bold tracking-tight">How good it is</h1>
      <Promises units={units} />
      <Arrivals />
      <h2 className="mt-10 font-display text-2xl font-semibold">The model beneath</h2>
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
        <h2 className="font-display text-2xl font-semibold">What else it was laid on</h2>
        <p className="max-w-3xl text-base text-soft">
          Low ovens, covers, rises as a probe shows them, weight lost, and the two halves of a bird. With the charts
          these are the evidence from which the shared parameters follow, all at once; the mark says by how many of its
          own doubts a fact is missed.
        </p>
        <ul className="mt-3 divide-y divide-line">
          {facts.map((fact) => (
            <Fact key={fact.name} fact={fact} />
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
          grows with the size of the piece and with the oven, so one span cannot hold for 1.5 and for 3 kg. Out of a hot
          oven a large rib climbs too high here, and no parameter within its range mends that with the charts kept: it
          is the largest miss of the model. The pull reading is found for each piece by simulation, not from the span.
        </p>
      </section>
    </>
  )
}

const of100 = (share: number) => Math.round(100 * share)

/** The first thing a cook wants to know: is it on the table when it was promised, and as it was wanted. */
function Promises({ units }: { readonly units: Units }) {
  const { board, clock, probe, meals, mealsByProbe, seeds, on } = PROMISES
  return (
    <section className="mt-3" data-testid="promises-kept">
      <p className="max-w-4xl text-2xl leading-snug">
        Of {board.count} roasts cooked by nobody but the board, in kitchens whose dials lie and whose cooks are late,{' '}
        <strong>{of100(board.within10)} in a hundred came within ten minutes of their promise</strong> and{' '}
        <strong>{of100(board.asWanted)} as done as wanted</strong>
        {board.tender ? `, ${board.tender[0]} of ${board.tender[1]} shoulders as tender` : ''}
        {meals
          ? `; of ${meals.count} whole meals ${Math.round(meals.count * meals.within10)} came so, ${Math.round(meals.count * meals.asWanted)} with every roast as wanted`
          : ''}
        .{' '}
        {board.unsafe + (meals?.unsafe ?? 0) === 0
          ? 'Nothing unsafe was served.'
          : `Unsafe: ${board.unsafe + (meals?.unsafe ?? 0)}.`}
      </p>
      <div className="mt-5 grid gap-x-10 gap-y-6 md:grid-cols-3">
        <PromisesPicture name="By the board" kept={board} units={units} />
        <PromisesPicture name="By a chart and the clock" kept={clock} units={units} />
        <PromisesPicture name="By a chart and a probe" kept={probe} units={units} />
      </div>
      <p className="mt-4 max-w-4xl text-base text-soft">
        <span className="text-moss">●</span> on time and as wanted, <span className="text-copper">⊘</span> on time but
        not as wanted, <span className="text-copper">⊙</span> as wanted but late, <span className="text-russet">○</span>{' '}
        neither. Simulated, not cooked: {board.count} roasts{meals ? ` and ${meals.count} meals` : ''} in kitchens of
        two kinds of physics, neither the planner’s, drawn by numbers {seeds[0]} to {seeds[1]} that nobody had looked at
        before, on {on}. Dials are up to {rise(12, units)} off, pieces a tenth thicker or thinner, probes lie off the
        middle, one in five goes in late, one in ten is forgotten in its heat, one probe in ten dies, some guests come
        later than they said, and doors are opened that nobody writes down.
        {board.tender
          ? ' One oven in seventeen fails and another has to be heated; in meals probes change places.'
          : ''}{' '}
        Wanted are {temperature(63, units)}, the charts’ own, or {temperature(57, units)} for beef, within{' '}
        {rise(2, units)}
        {board.tender
          ? `; of a bird ${temperature(74, units)}, and up to ${temperature(80, units)}, for it is never pulled under ${temperature(71, units)}; shoulders until they fall apart`
          : ''}
        . The clock is judged by the charts’ own alone. Neither pale nor burnt were {of100(board.coloured)} in a
        hundred. The board asked for something {board.calls.toFixed(0)} times a roast, a chart {probe.calls.toFixed(0)}{' '}
        times.
        {meals && mealsByProbe
          ? ` The same meals by charts and probes, each roast with an oven of its own: ${Math.round(mealsByProbe.count * mealsByProbe.within10)} of ${mealsByProbe.count} in time, ${mealsByProbe.late_min.toFixed(0)} minutes late on average; by the board ${meals.late_min.toFixed(0)}.`
          : ''}
      </p>
    </section>
  )
}

/** How well the end is foretold while it is in. */
function Arrivals() {
  const { rows, seeds, on } = ARRIVALS
  return (
    <section className="mt-8">
      <h2 className="font-display text-2xl font-semibold">When it will be done, foretold from its readings</h2>
      <table className="mt-3 w-full max-w-3xl text-lg">
        <thead>
          <tr className="text-left text-base text-soft">
            <th className="py-1 font-normal">so far</th>
            <th className="font-normal">Pheasant is off by</th>
            <th className="font-normal">a straight line</th>
            <th className="font-normal">a fitted curve</th>
            <th className="font-normal">its window held</th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {rows.map(({ at, median, straight, exponential, inside }) => (
            <tr key={at} className="border-t border-line">
              <td className="py-1.5">{of100(at)} % of the cook</td>
              <td className="font-semibold">{(100 * median).toFixed(1)} %</td>
              <td>{(100 * straight).toFixed(1)} %</td>
              <td>{(100 * exponential).toFixed(1)} %</td>
              <td>{of100(inside)} in 100, meant 80</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 max-w-3xl text-base text-soft">
        Middle error as a share of the whole cook, over {rows[0]?.cooks} cooks of three kinds of truth unlike the model,
        numbers {seeds[0]} to {seeds[1]}, on {on}.
      </p>
    </section>
  )
}

function Fact({ fact }: { readonly fact: FactCheck }) {
  const { name, unit, value, found, off, source, note } = fact
  const digits = unit === 'min' ? 0 : 1
  const near = Math.abs(off) <= 1.5
  return (
    <li className="grid gap-x-4 gap-y-0.5 py-2 md:grid-cols-[minmax(0,1fr)_9rem_9rem_16rem]">
      <span>{name}</span>
      <span className="text-soft">
        {value.toFixed(digits)} {unit}
      </span>
      <span className={near ? '' : 'font-semibold text-russet'}>
        {found.toFixed(digits)} {unit}{' '}
        <span className="text-sm">
          ({off > 0 ? '+' : ''}
          {off.toFixed(1)})
        </span>
      </span>
      <span className="text-sm text-soft">
        {source}
        {note ? `; ${note}` : ''}
      </span>
    </li>
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
