'use client'
import { scaleOf } from '@/core/reference/doneness'
import { type BoardItem, isResting, placeOf, sameTable, settingOf } from '@/domain/cook/board'
import type { CookEntry } from '@/domain/cook/cook-document'
import type { Forecast, PeakWatch, Way } from '@/domain/cook/forecast'
import { goesStraightOn, type Run } from '@/domain/cook/run'
import { type Decided, ovenSet, promiseMoved, pullAt, putBackIn, wayTaken } from '@/domain/cook/take'
import { cutAsCooked } from '@/domain/roast/resolve'
import { lateWords, oddWords, peakWords, pointName, stateWords } from '@/words/cook-words'
import { safetyWords } from '@/words/safety'
import { pullLead } from '@/words/tasks'
import { clock, temperature, type Units } from '@/words/units'
import { CookCurve } from './cook-curve'
import { GiveUp } from './give-up'
import { HandReading } from './hand-reading'
import { Mishaps } from './mishaps'
import { ProbesPanel } from './probes-panel'
import { PromiseMove } from './promise-move'
import { SplitWays } from './split-ways'
import { stepHands } from './step-hands'
import { blank, type LiveCook, lookedAt } from './use-cook'
import { WaysOut } from './ways-out'

/** Off by less than this nothing is offered, s. */
const WORTH_S = 300
const STEPS = [
  ['turned', 'Turned'],
  ['basted', 'Basted'],
  ['door', 'Door'],
  ['covered', 'Covered'],
  ['uncovered', 'Uncovered'],
] as const

interface RowProps {
  readonly board: BoardItem
  readonly forecast: Forecast | undefined
  readonly peak: PeakWatch | undefined
  readonly units: Units
  readonly cook: LiveCook
  readonly run: Run
  /** One of many: what is not urgent is folded away. */
  readonly compact?: boolean
}

/** What is worth taking though it is neither late nor early: without it, it is not as it was wanted. */
const TIMELY: ReadonlySet<string> = new Set(['pull_at', 'pull_now', 'oven_up'])

/** One roast: reading, trend, window of arrival, what is off, what could be done. */
export function BoardRow({ board, forecast, peak, units, cook, run, compact = false }: RowProps) {
  const { item, state, latest, pull_c, in_s, arrival } = board
  const { items, now_s, add } = cook
  const estimate = forecast?.estimate
  const arrives = estimate !== undefined && Number.isFinite(estimate.pull_s.p50)
  const fahrenheit = units.temperature === 'f'
  const put = (kind: CookEntry['kind'], more: Partial<CookEntry> = {}) => add(blank({ kind, item: item.id, ...more }))
  const button = 'min-h-12 rounded-full border-2 border-line px-4 text-lg font-semibold hover:border-copper'
  const set_c = board.settings.at(-1)?.set_c ?? settingOf(item)
  /** Roasts of the same table that move with it. */
  const others = sameTable(board, items).length - 1
  const decide = (decided: readonly Decided[]) => {
    for (const each of decided) add(blank(each))
  }
  const setOven = (value_c: number) => decide(ovenSet(value_c, board, items))
  const movePromise = (to_s: number) => decide(promiseMoved(to_s, board, items))
  const own = run.steps.filter(({ step }) => step.item === item.id)
  const goesIn = own.find(({ step }) => step.kind === 'put_in')
  const plate_s = run.items.find(({ id }) => id === item.id)?.plate_s ?? board.promise_s
  const finishes = own.some(({ step, state: each }) => step.kind === 'finish' && each === 'open')
  const straightOn = own.find(({ step, state: each }) => each === 'open' && goesStraightOn(step))
  /** Between the two steps of it: it has its reading, and rests nowhere. */
  const goesOn =
    state === 'resting' && finishes && own.some(({ step, state: each }) => each === 'done' && goesStraightOn(step))
  /** What takes it out of its hot finish. */
  const restsYet =
    board.off_s === undefined ? own.find(({ step, state: each }) => each === 'open' && step.kind === 'rest') : undefined
  const hands = stepHands(cook)
  const degreeOf = (peak_c: number) => {
    const cut = cutAsCooked(item)
    const degrees = cut ? scaleOf(cut).degrees : []
    return degrees.findLast(({ from_c }) => from_c <= peak_c)?.id.replaceAll('-', ' ') ?? 'less done than anyone asks'
  }
  const take = (way: Way) => decide(wayTaken(way, board, items, run))
  const odd = [
    ...board.odd,
    ...(forecast?.shallow !== undefined && state === 'in' && board.odd.length === 0
      ? [{ code: 'too_shallow', at_s: now_s, depth: forecast.shallow } as const]
      : []),
  ]
  const main = (
    <>
      {state === 'waiting' && <Big onClick={() => put('in')}>It is in</Big>}
      {state === 'in' && (
        <Big
          onClick={() => {
            put('out', { value_c: latest?.value_c ?? null })
            if (straightOn) put('finish')
          }}
        >
          {straightOn ? 'On to its hot finish' : 'It is out'}
        </Big>
      )}
      {state === 'resting' && finishes && <Big onClick={() => put('finish')}>To its hot finish</Big>}
      {state === 'finishing' && restsYet && <Big onClick={() => hands.done(restsYet)}>It is out</Big>}
      {((state === 'resting' && !goesOn) || (state === 'finishing' && !restsYet)) && (
        <Big onClick={() => put('carve')}>Carving</Big>
      )}
      {state === 'carving' && <Big onClick={() => put('served')}>On the table</Big>}
    </>
  )
  const stuck = estimate !== undefined && !arrives && state === 'in'
  const said = arrival && state === 'in' && !stuck ? arrival : undefined
  const offered =
    forecast !== undefined &&
    forecast.advice.length > 0 &&
    state === 'in' &&
    (stuck ||
      Math.abs(forecast.late_s) >= WORTH_S ||
      forecast.advice.some(({ code, best }) => best && TIMELY.has(code)))
  const rests = isResting(board) && !goesOn
  const urgent = stuck || odd.length > 0 || (rests && peak?.short === true)
  const body = (
    <>
      {item.notes !== '' && state === 'waiting' && (
        <p className="mt-1 text-lg">
          <span className="text-soft">Remember:</span> {item.notes}
        </p>
      )}
      {/* What is pressed stands over what comes and goes: a forecast that arrives moves no button from under a finger. */}
      <div className="mt-3 flex flex-wrap gap-2">
        {!compact && main}
        {rests && (
          <button type="button" className={button} onClick={() => put('in')}>
            Back in
          </button>
        )}
        {state === 'in' &&
          STEPS.map(([kind, words]) => (
            <button key={kind} type="button" className={button} onClick={() => put(kind)}>
              {words}
            </button>
          ))}
        {state === 'in' && set_c !== undefined && (
          <>
            <button type="button" className={button} onClick={() => setOven(set_c - 10)}>
              Oven −{fahrenheit ? '20 °F' : '10'}
            </button>
            <button type="button" className={button} onClick={() => setOven(set_c + 10)}>
              Oven +{fahrenheit ? '20 °F' : '10'}
            </button>
          </>
        )}
        {(state === 'in' || state === 'resting' || state === 'finishing') && (
          <HandReading
            board={board}
            now_s={now_s}
            units={units}
            put={(value_c, point) => put('reading', { value_c, point })}
          />
        )}
      </div>
      {forecast && arrives && state === 'in' && pull_c !== undefined && (
        <p className="mt-2 text-base text-soft" data-testid="risk">
          {straightOn ? 'From there through its hot finish' : 'Pulled there'} it peaks at{' '}
          {temperature(estimate.peak_c.p50, units)} ({temperature(estimate.peak_c.p10, units)} to{' '}
          {temperature(estimate.peak_c.p90, units)}); a degree later is about a degree more.
          {forecast.safety && (
            <span className={forecast.safety.pull_c === undefined ? '' : 'font-semibold text-wattle'}>
              {' '}
              {safetyWords(forecast.safety, units)}.
            </span>
          )}
          {forecast.safety?.pull_c !== undefined && (
            <button
              type="button"
              className="ml-2 min-h-11 rounded-full border-2 border-wattle px-4 text-lg font-semibold text-ink"
              onClick={() => decide(pullAt(forecast.safety?.pull_c, item.id))}
            >
              Pull at {temperature(forecast.safety.pull_c, units, 1)}: 95 in 100
            </button>
          )}
        </p>
      )}
      {board.points.length > 1 && (
        <ul className="mt-1 flex flex-wrap gap-x-5 text-lg" data-testid="points">
          {board.points.map(({ point, value_c, probe, decides, silent, at_s }) => (
            <li
              key={`${point}${probe?.device ?? 'hand'}${probe?.channel ?? ''}`}
              className={silent ? 'text-soft line-through' : decides ? 'font-semibold' : ''}
            >
              {pointName(point)} {temperature(value_c, units)}
              {probe ? '' : ` by hand ${clock(at_s, units)}`}
              {decides && ' (counts)'}
            </li>
          ))}
        </ul>
      )}
      {forecast?.split && state === 'in' && <SplitWays split={forecast.split} put={put} units={units} />}
      {rests && peak && (
        <div
          className={`mt-2 rounded-lg border-l-4 px-3 py-2 text-lg ${peak.short ? 'border-wattle bg-wattle-ground' : 'border-moss'}`}
          role={peak.short ? 'alert' : 'status'}
          data-testid="peak"
          data-short={peak.short}
        >
          {peakWords(peak, units)}{' '}
          {peak.short && (
            <button
              type="button"
              className="min-h-11 rounded-full border-2 border-ink px-4 font-semibold"
              onClick={() => decide(putBackIn(peak, board))}
            >
              Back in
            </button>
          )}
          {peak.restUntil && peak.restUntil.plate_s > board.promise_s && (
            <button
              type="button"
              className="min-h-11 rounded-full border-2 border-ink px-4 font-semibold"
              onClick={() => movePromise(peak.restUntil?.plate_s ?? board.promise_s)}
            >
              Promise {clock(peak.restUntil.plate_s, units)}
              {others > 0 && ', the whole table'}
            </button>
          )}
        </div>
      )}
      {odd.map((each) => (
        <p
          key={each.code}
          role="alert"
          className="mt-2 rounded-lg border-l-4 border-wattle bg-wattle-ground px-3 py-2 text-lg"
          data-odd={each.code}
        >
          {oddWords(each, units)}{' '}
          <button type="button" className="min-h-9 underline underline-offset-4" onClick={() => add(lookedAt(item.id))}>
            Looked at
          </button>
        </p>
      ))}
      {state !== 'waiting' && in_s !== undefined && (
        <CookCurve
          board={board}
          estimate={arrives && state === 'in' ? estimate : undefined}
          now_s={now_s}
          units={units}
        />
      )}
      {offered && forecast && (
        <WaysOut
          ways={forecast.advice}
          serve_c={item.serve_c}
          scale={degreeOf}
          units={units}
          others={others}
          take={take}
        />
      )}
      {state !== 'served' && state !== 'given_up' && (
        <>
          <Mishaps
            board={board}
            items={items}
            now_s={now_s}
            set_c={settingOf(item)}
            units={units}
            add={(entry) => add(blank(entry))}
          />
          <ProbesPanel board={board} items={items} cook={cook} units={units} put={put} />
          <GiveUp title={item.title} giveUp={(text) => put('given_up', { text })} />
        </>
      )}
    </>
  )
  return (
    <section
      className="rounded-2xl border border-line bg-sheet p-4"
      data-testid="board-row"
      data-item={item.id}
      data-state={state}
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-display text-3xl font-bold">{item.title}</h2>
        <p className="text-lg text-soft">
          {goesOn ? 'on to its hot finish' : stateWords(board)}
          {state === 'in' && `, ${placeOf(board)}${set_c === undefined ? '' : ` at ${temperature(set_c, units)}`}`}
          {state === 'waiting' && goesIn && `, goes in ${clock(goesIn.at_s, units)}`}
        </p>
        <div className="ml-auto">
          {state === 'served' || state === 'given_up' ? (
            <p className="text-lg text-soft">promised {clock(board.promise_s, units)}</p>
          ) : (
            <PromiseMove
              promise_s={board.promise_s}
              plate_s={plate_s}
              now_s={now_s}
              units={units}
              title={item.title}
              others={others}
              move={movePromise}
            />
          )}
        </div>
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
        <p>
          <span className="block text-base text-soft">Core</span>
          <span className="font-display text-5xl font-bold" data-testid="core">
            {latest ? temperature(latest.value_c, units) : '—'}
          </span>
          {board.trend_k_per_min !== undefined && (
            <span className="ml-2 text-lg text-soft">
              {board.trend_k_per_min >= 0 ? '↗' : '↘'}{' '}
              {(Math.abs(board.trend_k_per_min) * 10 * (fahrenheit ? 1.8 : 1)).toFixed(1)} in 10 min
            </span>
          )}
        </p>
        <p>
          <span className="block text-base text-soft">
            {pullLead(own.find(({ step }) => step.kind === 'pull')?.step.numbers)}
          </span>
          <span className="text-3xl font-semibold" data-testid="pull">
            {pull_c === undefined ? 'by the clock' : temperature(pull_c, units)}
          </span>
        </p>
        {stuck && (
          <p className="text-2xl font-semibold text-russet" data-testid="no-arrival">
            does not get there as it is set
          </p>
        )}
        {(said || (state === 'in' && pull_c !== undefined && !stuck)) && (
          <p data-testid={said && 'arrival'}>
            <span className="block text-base text-soft">Arrives</span>
            <span className="text-3xl font-semibold">{said ? clock(said.p50, units) : '—'}</span>{' '}
            {said && (
              <span className="text-lg text-soft">
                {clock(said.p10, units)} to {clock(said.p90, units)}
              </span>
            )}
          </p>
        )}
        {forecast && arrives && state === 'in' && (
          <p
            className={`text-2xl font-semibold ${Math.abs(forecast.late_s) < WORTH_S ? 'text-moss' : 'text-russet'}`}
            data-testid="late"
          >
            {lateWords(forecast.late_s)}
          </p>
        )}
      </div>
      {compact && <div className="mt-2 flex flex-wrap gap-2">{main}</div>}
      {compact ? (
        <details className="mt-1" open={urgent || undefined}>
          <summary className="min-h-11 cursor-pointer py-2 text-lg">
            {offered ? 'Ways out, readings and more' : 'Readings and more'}
          </summary>
          {body}
        </details>
      ) : (
        body
      )}
    </section>
  )
}

function Big({ onClick, children }: { readonly onClick: () => void; readonly children: React.ReactNode }) {
  return (
    <button
      type="button"
      className="min-h-12 rounded-full bg-action px-6 text-lg font-bold text-white"
      onClick={onClick}
    >
      {children}
    </button>
  )
}
