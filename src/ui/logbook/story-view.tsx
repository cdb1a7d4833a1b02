import type { StoryItem } from '@/domain/cook/story/story'
import { ateSentence, causeSentence, laterWords, storySchool } from '@/words/story-words'
import { clock, mass, shortDay, temperature, type Units } from '@/words/units'
import { Picture, type ShownPhoto } from '../photos/photos'
import { StoryChart } from './story-chart'

const seconds = (at: string | null) => (at === null ? undefined : Date.parse(at) / 1000)
const ROWS = [
  ['in', 'In'],
  ['out', 'Out'],
  ['carve', 'Knife'],
  ['plate', 'On the table'],
] as const

/** One roast of a cook that is over: its curve, its times, why, and how it ate. */
export function StoryView({
  item,
  kitchen,
  photos,
  units,
}: {
  readonly item: StoryItem
  readonly kitchen: string
  readonly photos: readonly ShownPhoto[]
  readonly units: Units
}) {
  const ate = ateSentence(item.ate, units)
  const in_s = seconds(item.went.in)
  const out_s = seconds(item.went.out)
  const planned_s = seconds(item.planned.out)
  const took_s = in_s !== undefined && out_s !== undefined ? out_s - in_s : undefined
  const meant_s = planned_s === undefined ? undefined : planned_s - (seconds(item.planned.in) ?? 0)
  return (
    <article className="rounded-3xl border border-line bg-sheet p-4 sm:p-6" data-testid="story">
      <h2 className="font-display text-2xl font-semibold">{item.title}</h2>
      <p className="text-lg text-soft">
        {item.cut_name}, {mass(item.mass_kg, units)}
        {item.supplier && `, from ${item.supplier}`}; {storySchool(item.school)}
        {item.set_c !== null && ` at ${temperature(item.set_c, units)}`} in {item.oven}; wanted{' '}
        {temperature(item.serve_c, units)}.
        {item.given_up && <span className="text-wattle"> Given up: {item.given_up}.</span>}
      </p>
      {ate && (
        <p className="mt-2 text-xl" data-testid="ate">
          {ate}
          {item.ate.change && <span className="text-soft"> Next time: {item.ate.change}.</span>}
        </p>
      )}
      {photos.length > 0 && (
        <div className="mt-3 flex flex-wrap gap-3" data-testid="story-photos">
          {photos.map((photo) => (
            <Picture key={photo.id} kitchen={kitchen} photo={photo} title={item.title} className="h-44" />
          ))}
        </div>
      )}
      <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        {item.read_curve.length > 1 || item.planned_curve.length > 1 ? (
          <StoryChart curves={[{ key: item.id, name: item.title, item }]} units={units} />
        ) : (
          <p className="text-lg text-soft">No probe read it.</p>
        )}
        <table className="h-fit w-full text-lg">
          <caption className="sr-only">Planned, and as it went</caption>
          <thead>
            <tr className="text-left text-base text-soft">
              <th className="font-normal">What</th>
              <th className="font-normal">Planned</th>
              <th className="font-normal">As it went</th>
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([what, name]) => {
              const plan_s = seconds(item.planned[what])
              const went_s = seconds(item.went[what])
              return (
                <tr key={what} className="border-t border-line">
                  <td className="py-1">{name}</td>
                  <td className="tabular-nums">{plan_s === undefined ? '—' : clock(plan_s, units)}</td>
                  <td className="tabular-nums">
                    {went_s === undefined ? '—' : clock(went_s, units)}
                    {went_s !== undefined && plan_s !== undefined && (
                      <span className="ml-2 text-base text-soft">{laterWords(went_s - plan_s)}</span>
                    )}
                  </td>
                </tr>
              )
            })}
            <tr className="border-t border-line">
              <td className="py-1">Pulled at</td>
              <td>{item.planned.pull_c === null ? 'by the clock' : temperature(item.planned.pull_c, units)}</td>
              <td>{item.went.pull_c === null ? 'not read' : temperature(item.went.pull_c, units)}</td>
            </tr>
            <tr className="border-t border-line">
              <td className="py-1">Peak</td>
              <td>{temperature(item.serve_c, units)}</td>
              <td>{item.went.peak_c === null ? 'not read' : temperature(item.went.peak_c, units)}</td>
            </tr>
          </tbody>
        </table>
      </div>
      {took_s !== undefined && meant_s !== undefined && (
        <section className="mt-5" data-testid="causes">
          <h3 className="text-xl font-semibold">
            In its heat it took{' '}
            {laterWords(took_s - meant_s).replace(/(later|sooner)$/, (word) =>
              word === 'later' ? 'longer than planned' : 'less than planned',
            )}
          </h3>
          {item.causes.length > 0 ? (
            <ul className="mt-2 space-y-1.5 text-lg">
              {item.causes.slice(0, 4).map((cause) => (
                <li key={cause.what} className="grid grid-cols-[3.5rem_minmax(0,1fr)] items-baseline gap-3">
                  <span className="relative h-5 self-center overflow-hidden rounded-full bg-line" aria-hidden>
                    <span
                      className={`absolute inset-y-0 left-0 rounded-full ${cause.later_s > 0 ? 'bg-copper' : 'bg-moss'}`}
                      style={{ width: `${Math.max(6, 100 * cause.share)}%` }}
                    />
                  </span>
                  <span>
                    {causeSentence(item, cause, units)}:{' '}
                    <span className="text-soft">
                      {laterWords(cause.later_s)} by itself, {Math.round(100 * cause.share)} % of what made a difference
                    </span>
                  </span>
                </li>
              ))}
            </ul>
          ) : (
            <p className="mt-1 text-lg text-soft">
              {item.read_curve.length > 2
                ? 'Nothing that was read says why.'
                : 'Without readings nobody can say why: a probe would.'}
            </p>
          )}
        </section>
      )}
      {item.foreseen.length > 0 && (
        <details className="mt-4 text-lg">
          <summary className="min-h-11 cursor-pointer py-2">
            What the board foretold, {item.foreseen.length} {item.foreseen.length === 1 ? 'time' : 'times'}
          </summary>
          <table className="w-full max-w-2xl">
            <thead>
              <tr className="text-left text-base text-soft">
                <th className="font-normal">Said at</th>
                <th className="font-normal">Out at</th>
                <th className="font-normal">Eight in ten</th>
                <th className="font-normal">Came</th>
              </tr>
            </thead>
            <tbody>
              {item.foreseen.slice(-24).map(({ at, p10, p50, p90 }) => (
                <tr key={at} className="border-t border-line tabular-nums">
                  <td className="py-0.5">{clock(Date.parse(at) / 1000, units)}</td>
                  <td>{clock(Date.parse(p50) / 1000, units)}</td>
                  <td>
                    {clock(Date.parse(p10) / 1000, units)}–{clock(Date.parse(p90) / 1000, units)}
                  </td>
                  <td className="text-soft">
                    {out_s === undefined ? '—' : laterWords(out_s - Date.parse(p50) / 1000)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </article>
  )
}

/** Two or three cooks over each other: their curves, and what differed as a table. */
export function StoriesCompared({
  cooks,
  units,
}: {
  readonly cooks: readonly { readonly id: string; readonly when_s: number; readonly item: StoryItem }[]
  readonly units: Units
}) {
  const rows: readonly (readonly [string, (item: StoryItem) => string])[] = [
    ['Piece', (item) => `${item.cut_name}, ${mass(item.mass_kg, units)}`],
    ['From', (item) => item.supplier || '—'],
    ['How', (item) => `${storySchool(item.school)}${item.set_c === null ? '' : `, ${temperature(item.set_c, units)}`}`],
    ['Oven', (item) => item.oven],
    [
      'In its heat',
      (item) => {
        const [from, to] = [seconds(item.went.in), seconds(item.went.out)]
        return from === undefined || to === undefined ? '—' : laterWords(to - from).replace(' later', '')
      },
    ],
    ['Pulled at', (item) => (item.went.pull_c === null ? 'not read' : temperature(item.went.pull_c, units))],
    [
      'Peak, of wanted',
      (item) =>
        `${item.went.peak_c === null ? 'not read' : temperature(item.went.peak_c, units)} of ${temperature(item.serve_c, units)}`,
    ],
    [
      'On the table',
      (item) => {
        const [meant, went] = [seconds(item.planned.plate), seconds(item.went.plate)]
        return meant === undefined || went === undefined ? '—' : laterWords(went - meant)
      },
    ],
    ['How it ate', (item) => ateSentence(item.ate, units) ?? 'nobody said'],
    ['Next time', (item) => item.ate.change ?? '—'],
  ]
  const name = ({ when_s, item }: (typeof cooks)[number]) => `${item.title}, ${shortDay(when_s, units)}`
  return (
    <section className="rounded-3xl border border-line bg-sheet p-4 sm:p-6" data-testid="compared">
      <StoryChart curves={cooks.map((cook) => ({ key: cook.id, name: name(cook), item: cook.item }))} units={units} />
      <div className="mt-4 overflow-x-auto">
        <table className="w-full min-w-[36rem] text-lg [&_td]:pr-5 [&_th]:pr-5">
          <thead>
            <tr className="text-left align-baseline">
              <th className="w-36 text-base font-normal text-soft">What</th>
              {cooks.map((cook) => (
                <th key={cook.id} className="font-semibold">
                  {name(cook)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([what, say]) => {
              const said = cooks.map(({ item }) => say(item))
              const differs = new Set(said).size > 1
              return (
                <tr key={what} className="border-t border-line align-baseline">
                  <td className="py-1.5 text-base text-soft">{what}</td>
                  {cooks.map(({ id }, i) => (
                    <td key={id} className={differs ? '' : 'text-soft'}>
                      {said[i]}
                    </td>
                  ))}
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}
