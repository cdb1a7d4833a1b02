'use client'
import { Pin, PinOff, Trash2 } from 'lucide-react'
import { useId } from 'react'
import { SCHOOLS, settingsOf } from '@/core/program/schools'
import { scaleOf } from '@/core/reference/doneness'
import type { HouseItem } from '@/domain/house/house-item'
import { stagesOfRoast } from '@/domain/meal/batches'
import type { MealPlan } from '@/domain/meal/make-meal'
import { type MealDocument, type MealRoast, type MealSide, withPart } from '@/domain/meal/meal-document'
import { totalOf } from '@/domain/meal/quantities'
import { cutAsCooked, cutOf, thicknessRange, withProgram } from '@/domain/roast/resolve'
import { withRoles } from '@/domain/roast/stages'
import { clock, length, temperature, type Units } from '@/words/units'
import { donenessName } from '@/words/words'
import { DaysBefore } from '../controls/days-before'
import { IconButton } from '../controls/icon-button'
import { PieceFields } from '../controls/piece-fields'
import { SaidChoice } from '../controls/said-choice'
import { SaidHeat, SaidMass, SaidNumber, SaidThickness } from '../controls/said-number'
import { StageEditor } from '../controls/stage-editor'
import { GraveCautions } from '../data/grave-cautions'
import { Batches } from './batches'
import { OneOrTwo } from './one-or-two'

type Change = (apply: (last: MealDocument) => MealDocument) => void

interface PanelProps {
  readonly kitchen: string
  readonly house: readonly HouseItem[]
  readonly document: MealDocument
  readonly plan: MealPlan
  readonly selected: string | undefined
  readonly units: Units
  readonly change: Change
  readonly onSelect: (id: string | undefined) => void
}

/** What stands behind the item that was tapped; the list of all where none was. */
export function ItemPanel({ kitchen, house, document, plan, selected, units, change, onSelect }: PanelProps) {
  const roast = document.roasts.find(({ id }) => id === selected)
  const side = document.sides.find(({ id }) => id === selected)
  const placed = plan.items.find(({ id }) => id === selected)
  if (!roast && !side)
    return (
      <section className="rounded-2xl border border-line bg-sheet p-4">
        <h2 className="font-display text-xl font-semibold">What is cooked</h2>
        {document.roasts.length + document.sides.length === 0 && (
          <p className="mt-2 text-soft">Nothing yet. Type a roast on the left.</p>
        )}
        <ul className="mt-2 divide-y divide-line">
          {[...document.roasts, ...document.sides].map((item) => {
            const at = plan.items.find(({ id }) => id === item.id)
            return (
              <li key={item.id}>
                <button
                  type="button"
                  className="flex min-h-11 w-full items-baseline gap-3 py-1.5 text-left text-lg hover:text-copper"
                  onClick={() => onSelect(item.id)}
                >
                  <span className="flex-1">{item.title}</span>
                  <span className="text-base text-soft">
                    {at ? `in ${clock(at.start_s, units)}, ${clock(at.done_s, units)} ready` : 'no place'}
                  </span>
                </button>
              </li>
            )
          })}
        </ul>
      </section>
    )
  const item = (roast ?? side) as MealRoast | MealSide
  const put = (part: Partial<MealRoast> & Partial<MealSide>) => change((last) => withPart(last, item.id, part))
  const pinned = item.pin.start !== null || item.pin.oven !== null
  return (
    <section className="space-y-3 rounded-2xl border border-line bg-sheet p-4" data-testid="item-panel">
      <div className="flex items-start gap-2">
        <input
          aria-label="Name of the item"
          className="min-w-0 flex-1 border-0 bg-transparent font-display text-2xl font-semibold"
          value={item.title}
          maxLength={120}
          onChange={(event) => put({ title: event.target.value })}
        />
        {placed && (
          <IconButton
            label={pinned ? 'Let it move' : 'Pin it here'}
            pressed={pinned}
            onClick={() =>
              put({
                pin: pinned
                  ? { start: null, oven: null }
                  : {
                      start: new Date(placed.start_s * 1000).toISOString(),
                      oven: document.kitchen.ovens.some(({ id }) => id === placed.stays[0]?.source)
                        ? (placed.stays[0]?.source ?? null)
                        : null,
                    },
              })
            }
          >
            {pinned ? <PinOff className="size-5" aria-hidden /> : <Pin className="size-5" aria-hidden />}
          </IconButton>
        )}
        <button
          type="button"
          className="grid size-11 place-items-center rounded-full hover:bg-wattle-ground"
          aria-label={`Leave out ${item.title}`}
          onClick={() => {
            change((last) => ({
              ...last,
              roasts: last.roasts.filter(({ id }) => id !== item.id),
              sides: last.sides.filter(({ id }) => id !== item.id),
              placed: null,
            }))
            onSelect(undefined)
          }}
        >
          <Trash2 className="size-5" aria-hidden />
        </button>
        <button
          type="button"
          className="min-h-11 px-2 underline underline-offset-4"
          onClick={() => onSelect(undefined)}
        >
          All
        </button>
      </div>
      {placed ? (
        <p className="text-base text-soft">
          {pinned ? 'Pinned. ' : ''}In at {clock(placed.start_s, units)}
          {placed.pull_c !== undefined && `, pull at ${temperature(placed.pull_c, units)}`}
          {placed.window_s && ` (± ${Math.round((placed.window_s.p90 - placed.window_s.p10) / 120)} min)`},{' '}
          {roast ? 'carve' : 'dish up'} {clock(placed.dish_s, units)}, ready {clock(placed.done_s, units)}.
          {placed.doors > 0 &&
            ` Others open its oven ${placed.doors} ${placed.doors === 1 ? 'time' : 'times'}; that is counted in.`}
          {placed.slice && ` Grey rim ${length(placed.slice.rim_m, units)}.`}
        </p>
      ) : (
        <p className="font-semibold text-wattle">No place in the schedule yet.</p>
      )}
      <div className="text-lg leading-[2.1]">
        {roast && <RoastWords roast={roast} units={units} put={put} />}
        {side && <SideWords side={side} units={units} guests={document.guests} put={put} />}{' '}
        {document.servings.length > 1 && (
          <>
            For{' '}
            <SaidChoice
              label="For"
              value={item.serving}
              onChange={(serving) => put({ serving })}
              options={document.servings.map(({ id, title, at }) => [
                id,
                `${title}, ${clock(Date.parse(at) / 1000, units)}`,
              ])}
            />
            .{' '}
          </>
        )}
        Cooked by{' '}
        <SaidChoice
          label="Cook"
          value={item.owner ?? ''}
          onChange={(owner) => put({ owner: owner || null })}
          options={[['', 'whoever is free'], ...document.kitchen.cooks.map((cook) => [cook, cook] as const)]}
        />
        .
      </div>
      {roast && (
        <details className="rounded-xl border border-line px-3 py-1" data-testid="item-piece">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">The piece and its days before</summary>
          <div className="grid gap-x-6 gap-y-1 pb-2 text-lg sm:grid-cols-2">
            <PieceFields roast={roast.roast} put={(part) => put({ roast: { ...roast.roast, ...part } })} />
            <DaysBefore
              preparation={roast.preparation}
              frozen={roast.frozen}
              thaws={roast.thaws}
              notes={roast.notes}
              put={put}
            />
          </div>
        </details>
      )}
      {roast && <Batches key={`batches ${roast.id}`} roast={roast} document={document} units={units} change={change} />}
      {roast && (
        <details className="rounded-xl border border-line px-3 py-1" data-testid="item-stages">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">The stages</summary>
          <StageEditor
            stages={stagesOfRoast(roast, document)}
            name={'stages' in roast.program ? roast.program.name : undefined}
            kitchen={kitchen}
            units={units}
            house={house}
            onChange={(next, name) => put(withProgram(roast, { ...(name ? { name } : {}), stages: withRoles(next) }))}
          />
        </details>
      )}
      {roast && <OneOrTwo key={roast.id} roast={roast} document={document} plan={plan} units={units} change={change} />}
      {placed && placed.cautions.length > 0 && (
        <ul className="space-y-1 text-base">
          <GraveCautions cautions={placed.cautions} units={units} />
        </ul>
      )}
    </section>
  )
}

/** A roast as it is cooked, in a sentence. */
function RoastWords({
  roast,
  units,
  put,
}: {
  readonly roast: MealRoast
  readonly units: Units
  readonly put: (part: Partial<MealRoast>) => void
}) {
  const own = cutOf(roast.roast)
  const cut = cutAsCooked(roast)
  if (!cut || !own) return null
  const scale = scaleOf(cut)
  const school = 'school' in roast.program ? roast.program : undefined
  const served = roast.target && 'doneness' in roast.target ? roast.target.doneness : undefined
  const at_c = roast.target && 'serve_c' in roast.target ? roast.target.serve_c : undefined
  const degree = scale.degrees.find(({ id, words }) => served && (id === served || words.includes(served)))
  const found = school && SCHOOLS.find(({ id }) => id === school.school)
  const settings = found && school && settingsOf(found, school, cut, degree?.serve_c)
  return (
    <>
      <SaidMass
        label="Weight"
        value_kg={roast.roast.mass_kg}
        units={units}
        least={0.05}
        onChange={(mass_kg) => put({ roast: { ...roast.roast, mass_kg } })}
      />
      ,{' '}
      <SaidThickness
        label="Through"
        value_mm={roast.roast.thickness_mm ?? thicknessRange(cut, roast.roast.mass_kg, roast.roast.legs).usual}
        units={units}
        least={10}
        onChange={(thickness_mm) => put({ roast: { ...roast.roast, thickness_mm } })}
      />{' '}
      through{roast.roast.thickness_mm === null && <span className="text-base text-soft"> (usual)</span>}, after{' '}
      <SaidNumber
        label="Minutes on the bench"
        value={roast.roast.temper_min}
        step={10}
        least={0}
        suffix="min on the bench"
        onChange={(temper_min) => put({ roast: { ...roast.roast, temper_min } })}
      />
      . Served{' '}
      <SaidChoice
        label="Done"
        value={at_c === undefined ? (degree?.id ?? cut.usualDoneness) : OWN_CORE}
        onChange={(doneness) => doneness !== OWN_CORE && put({ target: { doneness } })}
        options={[
          ...(at_c === undefined ? [] : [[OWN_CORE, temperature(at_c, units)] as const]),
          ...scale.degrees.map(
            ({ id, serve_c }) => [id, `${donenessName(id)}, ${temperature(serve_c, units)}`] as const,
          ),
        ]}
      />
      , by{' '}
      <SaidChoice
        label="School"
        value={school?.school ?? 'own'}
        onChange={(id) => id !== 'own' && put(withProgram(roast, { school: id }))}
        options={[
          ...(school ? [] : [['own', 'own stages'] as const]),
          ...SCHOOLS.filter((each) => each.suits(own)).map((each) => [each.id, each.name.toLowerCase()] as const),
        ]}
      />
      {school && settings && (
        <>
          {' '}
          at{' '}
          <SaidHeat
            label="Heat"
            value_c={settings.set_c}
            units={units}
            onChange={(set_c) => put({ program: { ...school, set_c } })}
          />
        </>
      )}
      {school && settings && found?.controls.hot && (
        <>
          {' '}
          with{' '}
          <SaidHeat
            label="Second heat"
            value_c={settings.hot_c}
            units={units}
            onChange={(hot_c) => put({ program: { ...school, hot_c } })}
          />{' '}
          for{' '}
          <SaidNumber
            label="Minutes of the second heat"
            value={settings.hot_min}
            least={1}
            suffix="min"
            onChange={(hot_min) => put({ program: { ...school, hot_min } })}
          />
        </>
      )}
      . Feeds{' '}
      <SaidNumber
        label="Feeds"
        value={roast.heads}
        least={0}
        most={2000}
        onChange={(heads) => put({ heads: Math.round(heads) })}
      />{' '}
      at{' '}
      <SaidNumber
        label="Price a kilo"
        value={roast.price_per_kg ?? 0}
        step={0.5}
        digits={2}
        least={0}
        most={10_000}
        onChange={(price) => put({ price_per_kg: price > 0 ? price : null })}
      />{' '}
      a kilo.
    </>
  )
}
/** A core of one's own, where no word says it. */
const OWN_CORE = 'own_core'

/** A side as it is cooked, in a sentence. */
function SideWords({
  side,
  units,
  guests,
  put,
}: {
  readonly side: MealSide
  readonly units: Units
  readonly guests: number
  readonly put: (part: Partial<MealSide>) => void
}) {
  const id = useId()
  const total = totalOf(side.quantity, guests)
  return (
    <>
      <SaidNumber
        label="Minutes in the oven"
        value={side.minutes}
        step={5}
        least={1}
        most={600}
        suffix="min"
        onChange={(minutes) => put({ minutes })}
      />{' '}
      at{' '}
      <SaidHeat
        label="Likes best"
        value_c={side.set_c}
        units={units}
        onChange={(set_c) => put({ set_c, low_c: Math.min(side.low_c, set_c), high_c: Math.max(side.high_c, set_c) })}
      />
      , which it likes best; it bears{' '}
      <SaidHeat
        label="Bears from"
        value_c={side.low_c}
        units={units}
        onChange={(low_c) => put({ low_c: Math.min(low_c, side.set_c) })}
      />{' '}
      to{' '}
      <SaidHeat
        label="Bears up to"
        value_c={side.high_c}
        units={units}
        onChange={(high_c) => put({ high_c: Math.max(high_c, side.set_c) })}
      />
      , longer when cooler. First{' '}
      <SaidNumber
        label="Minutes on the hob first"
        value={side.hob_min}
        step={5}
        least={0}
        most={240}
        suffix="min on the hob"
        onChange={(hob_min) => put({ hob_min })}
      />
      ; it keeps{' '}
      <SaidNumber
        label="Minutes it keeps"
        value={side.hold_min}
        step={5}
        least={0}
        most={240}
        suffix="min"
        onChange={(hold_min) => put({ hold_min })}
      />
      . <label htmlFor={id}>To buy:</label>{' '}
      <input
        id={id}
        className="said"
        style={{ width: `${Math.max(12, side.quantity.length + 2)}ch`, maxWidth: '100%' }}
        value={side.quantity}
        maxLength={120}
        onChange={(event) => put({ quantity: event.target.value })}
      />
      {total && <span className="text-base text-soft"> ({total} in all)</span>}.
    </>
  )
}
