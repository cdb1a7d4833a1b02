'use client'
import { Trash2 } from 'lucide-react'
import { furtherServing } from '@/domain/meal/add-said'
import { type MealDocument, mealOven } from '@/domain/meal/meal-document'
import { SHARE_A_PLACE } from '@/domain/meal/meal-problem'
import { mass, type Units } from '@/words/units'
import { SaidChoice } from '../controls/said-choice'
import { SaidHeat, SaidNumber, SaidRise } from '../controls/said-number'
import { SaidTime } from '../controls/said-time'
import { KeepEquipment } from './kitchen-keeps'

/** What a kitchen has, its words, its step and the most of it: what is counted singly is whole. */
const EQUIPMENT = [
  ['fire_places', 'Fire places', 'places on the fire', 1, 12],
  ['hob_rings', 'Hob rings', 'rings on the hob', 1, 24],
  ['cabinet_places', 'Cabinet', 'places in a warm cabinet', 1, 24],
  ['bath_places', 'Water bath', 'in a water bath', 1, 12],
  ['fridge_litres', 'Fridge', 'litres of fridge', 20, 20_000],
  ['probes', 'Probes', 'probes', 1, 40],
] as const

/** Who eats when, and what the kitchen has. What is said here is where the next meal of this kitchen starts. */
export function KitchenPanel({
  slug,
  document,
  units,
  now_s,
  change,
}: {
  readonly slug: string
  readonly document: MealDocument
  readonly units: Units
  readonly now_s: number
  readonly change: (apply: (last: MealDocument) => MealDocument) => void
}) {
  const { kitchen } = document
  const put = (part: Partial<MealDocument['kitchen']>) =>
    change((last) => ({ ...last, kitchen: { ...last.kitchen, ...part }, placed: null }))
  const button = 'min-h-11 rounded-full border-2 border-line px-4 font-semibold hover:border-copper'
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2" data-testid="kitchen-panel">
      <section className="rounded-2xl border border-line bg-sheet p-4">
        <h2 className="font-display text-2xl font-semibold">The promise</h2>
        <p className="text-lg leading-[2.1]">
          <SaidNumber
            label="Guests"
            value={document.guests}
            least={1}
            most={2000}
            onChange={(guests) => change((last) => ({ ...last, guests: Math.round(guests) }))}
          />{' '}
          at the table.
        </p>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6 accent-[var(--action)]"
            checked={document.vulnerable}
            onChange={(event) => change((last) => ({ ...last, vulnerable: event.target.checked }))}
          />
          Someone is very young, old, pregnant or ill
        </label>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6 accent-[var(--action)]"
            checked={document.gravy}
            onChange={(event) => change((last) => ({ ...last, gravy: event.target.checked }))}
          />
          Gravy from the drippings
        </label>
        <ul className="mt-2 space-y-2">
          {document.servings.map((serving) => (
            <li key={serving.id} className="flex flex-wrap items-center gap-3 text-lg">
              <input
                aria-label="Name of the serving"
                className="said"
                value={serving.title}
                maxLength={120}
                onChange={(event) =>
                  change((last) => ({
                    ...last,
                    servings: last.servings.map((each) =>
                      each.id === serving.id ? { ...each, title: event.target.value } : each,
                    ),
                  }))
                }
              />
              <SaidTime
                at={serving.at}
                now_s={now_s}
                units={units}
                timeLabel={`Time of ${serving.title}`}
                dayLabel={`Day of ${serving.title}`}
                onChange={(at) =>
                  change((last) => ({
                    ...last,
                    placed: null,
                    servings: last.servings.map((each) => (each.id === serving.id ? { ...each, at } : each)),
                  }))
                }
              />
              <span className="flex items-baseline gap-2">
                <span className="text-base text-soft">on the way</span>
                <SaidNumber
                  label={`Minutes on the way to ${serving.title}`}
                  value={serving.away_min}
                  step={5}
                  least={0}
                  most={240}
                  onChange={(away_min) =>
                    change((last) => ({
                      ...last,
                      placed: null,
                      servings: last.servings.map((each) => (each.id === serving.id ? { ...each, away_min } : each)),
                    }))
                  }
                />
                <span className="text-base text-soft">min, packed hot</span>
              </span>
              {document.servings.length > 1 &&
                !document.roasts.some((item) => item.serving === serving.id) &&
                !document.sides.some((item) => item.serving === serving.id) && (
                  <button
                    type="button"
                    aria-label={`Leave out ${serving.title}`}
                    className="grid size-11 place-items-center rounded-full hover:bg-wattle-ground"
                    onClick={() =>
                      change((last) => ({ ...last, servings: last.servings.filter(({ id }) => id !== serving.id) }))
                    }
                  >
                    <Trash2 className="size-5" aria-hidden />
                  </button>
                )}
            </li>
          ))}
        </ul>
        <button
          type="button"
          className={`${button} mt-3`}
          onClick={() =>
            change((last) => {
              const latest = Math.max(...last.servings.map(({ at }) => Date.parse(at)))
              return {
                ...last,
                servings: [...last.servings, { ...furtherServing(last, latest / 1000 + 30 * 60), away_min: 0 }],
              }
            })
          }
        >
          Another serving, half an hour later
        </button>
      </section>
      <section className="rounded-2xl border border-line bg-sheet p-4">
        <h2 className="font-display text-2xl font-semibold">Ovens and hands</h2>
        <p className="text-base text-soft">
          A place takes a roast or a tray. Small pieces share one:{' '}
          {SHARE_A_PLACE.map(({ most_kg, pieces }) => `${pieces} of up to ${mass(most_kg, units)}`).join(', ')}.
        </p>
        <ul className="space-y-4">
          {kitchen.ovens.map((oven) => {
            const with_ = (part: Partial<typeof oven>) =>
              put({ ovens: kitchen.ovens.map((each) => (each.id === oven.id ? { ...each, ...part } : each)) })
            return (
              <li key={oven.id} className="border-b border-line pb-2 text-lg leading-[2.1]">
                <input
                  aria-label="Name of the oven"
                  className="said font-semibold"
                  value={oven.name}
                  maxLength={120}
                  onChange={(event) => with_({ name: event.target.value })}
                />
                , a{' '}
                <SaidChoice
                  label={`Heat of ${oven.name}`}
                  value={oven.kind}
                  onChange={(kind) => with_({ kind: kind as 'still' | 'fan' })}
                  options={[
                    ['still', 'still oven'],
                    ['fan', 'fan oven'],
                  ]}
                />{' '}
                with{' '}
                <SaidNumber
                  label={`Places of ${oven.name}`}
                  value={oven.places}
                  least={1}
                  most={20}
                  onChange={(places) => with_({ places: Math.round(places) })}
                />{' '}
                places. It is{' '}
                <SaidRise
                  label={`${oven.name}: hotter than its dial by`}
                  value_k={oven.offset_k}
                  units={units}
                  least={-110}
                  most={110}
                  onChange={(offset_k) => with_({ offset_k })}
                />{' '}
                hotter than its dial says, and goes from{' '}
                <SaidHeat
                  label={`${oven.name}: from`}
                  value_c={oven.low_c}
                  units={units}
                  onChange={(low_c) => with_({ low_c })}
                />{' '}
                up to{' '}
                <SaidHeat
                  label={`${oven.name}: up to`}
                  value_c={oven.high_c}
                  units={units}
                  onChange={(high_c) => with_({ high_c })}
                />
                .
                {kitchen.ovens.length > 1 && (
                  <button
                    type="button"
                    className="block min-h-11 text-left text-base underline underline-offset-4"
                    onClick={() => change((last) => withoutOven(last, oven.id))}
                  >
                    Leave this oven out
                  </button>
                )}
              </li>
            )
          })}
        </ul>
        <button
          type="button"
          className={`${button} mt-3`}
          onClick={() =>
            put({
              ovens: [
                ...kitchen.ovens,
                mealOven.parse({
                  id: `oven-${Date.now().toString(36)}`,
                  name: `Oven ${kitchen.ovens.length + 1}`,
                  places: 2,
                }),
              ],
            })
          }
        >
          Another oven
        </button>
        <p className="mt-4 text-lg leading-[2.1]" data-testid="equipment">
          Beside them{' '}
          {EQUIPMENT.map(([key, label, words, step, most], i) => (
            <span key={key}>
              {i > 0 && (i === EQUIPMENT.length - 1 ? ' and ' : ', ')}
              <SaidNumber
                label={label}
                value={kitchen[key]}
                step={step}
                least={0}
                most={most}
                onChange={(value) => put({ [key]: step === 1 ? Math.round(value) : value })}
              />{' '}
              {words}
            </span>
          ))}
          . The kitchen lies{' '}
          <SaidNumber
            label="Above the sea"
            value={kitchen.altitude_m}
            step={10}
            least={-450}
            most={5500}
            suffix="m"
            onChange={(altitude_m) => put({ altitude_m })}
          />{' '}
          above the sea.
        </p>
        <label className="mt-2 block text-lg">
          <span className="text-base text-soft">Cooks, one a line</span>
          <textarea
            className="mt-1 block w-full rounded-lg border-2 border-line bg-transparent p-2"
            rows={kitchen.cooks.length + 1}
            defaultValue={kitchen.cooks.join('\n')}
            onBlur={(event) => {
              const cooks = event.target.value
                .split('\n')
                .map((name) => name.trim())
                .filter(Boolean)
              if (cooks.length > 0) put({ cooks })
            }}
          />
        </label>
        <KeepEquipment slug={slug} equipment={kitchen} units={units} />
      </section>
    </div>
  )
}

/** A meal whose kitchen has one oven less; pins to it are let go. */
function withoutOven(meal: MealDocument, id: string): MealDocument {
  const free = <Item extends { pin: MealDocument['sides'][number]['pin'] }>(item: Item): Item =>
    item.pin.oven === id ? { ...item, pin: { start: null, oven: null } } : item
  return {
    ...meal,
    kitchen: { ...meal.kitchen, ovens: meal.kitchen.ovens.filter((oven) => oven.id !== id) },
    roasts: meal.roasts.map(free),
    sides: meal.sides.map(free),
    placed: null,
  }
}
