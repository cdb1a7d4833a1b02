'use client'
import { type ReactNode, useId } from 'react'
import { findSchool, SCHOOLS, settingsOf } from '@/core/program/schools'
import { CUTS, findCut } from '@/core/reference/cuts'
import { scaleOf } from '@/core/reference/doneness'
import { TENDER_ENDS, type TenderEnd } from '@/core/reference/tenderness'
import { celsiusToFahrenheit, fahrenheitToCelsius, INCH_M, POUND_KG } from '@/core/units'
import { unlearned } from '@/domain/learn/learned'
import type { Problem } from '@/domain/problem/problem'
import { cutAsCooked, cutOf, withProgram } from '@/domain/roast/resolve'
import { type PlanDocument, ROAST_SURFACES, type SchoolPart } from '@/domain/roast/roast-document'
import { TENDER_WORDS } from '@/words/line-words'
import { problemSentence } from '@/words/problems'
import { clock, temperature, type Units } from '@/words/units'
import { donenessName, programName } from '@/words/words'
import { SaidChoice } from '../controls/said-choice'
import { SaidNumber } from '../controls/said-number'
import { SaidTime } from '../controls/said-time'
import { useHydrated } from '../shell/use-hydrated'
import { SURFACE_NAMES } from './particulars'

interface SentenceProps {
  readonly document: PlanDocument
  readonly usualThickness_mm: number
  readonly problems: readonly Problem[]
  readonly units: Units
  readonly now_s: number
  readonly change: (change: (document: PlanDocument) => PlanDocument) => void
}

/** Stands for a reading where tenderness is chosen. */
const BY_READING = 'by_reading'

/** How tender a plan cooks it, where it does not cook to a reading. */
function tenderOf({ program }: PlanDocument, usual: TenderEnd | undefined): TenderEnd | undefined {
  if ('school' in program) return usual === undefined ? undefined : (program.tender ?? usual)
  const until = program.stages.findLast((stage) => stage.until.kind === 'tender')?.until
  return until?.kind === 'tender' ? until.degree : undefined
}

const withTender = (document: PlanDocument, degree: TenderEnd): PlanDocument => {
  const { program } = document
  return 'school' in program
    ? { ...document, program: { ...program, tender: degree } }
    : {
        ...document,
        program: {
          ...program,
          stages: program.stages.map((stage) =>
            stage.until.kind === 'tender' ? { ...stage, until: { kind: 'tender', degree } } : stage,
          ),
        },
      }
}

/** Stands in the list of schools for stages of one's own. */
const OWN = 'own'
const pathOf = (problem: Problem) => ('path' in problem ? problem.path.join('.') : '')

/** The plan as one sentence whose values can be changed where they stand. */
export function Sentence({ document, usualThickness_mm, problems, units, now_s, change }: SentenceProps) {
  const id = useId()
  const { roast, oven, program, target } = document
  const own = cutOf(roast)
  const cut = cutAsCooked(document)
  const school = 'school' in program ? findSchool(program.school) : undefined
  const given = 'school' in program ? program : undefined
  const problemAt = (path: string) => {
    const found = problems.find((problem) => pathOf(problem) === path)
    return found && problemSentence(found, units)
  }
  const ready = useHydrated()
  if (!cut || !own) return null
  const scale = scaleOf(cut)
  const serve_c =
    target && 'serve_c' in target
      ? target.serve_c
      : (scale.degrees.find(
          ({ id, words }) =>
            target && 'doneness' in target && (id === target.doneness || words.includes(target.doneness)),
        )?.serve_c ??
        scale.degrees.find(({ id }) => id === cut.usualDoneness)?.serve_c ??
        60)
  const degree = scale.degrees.find((each) => each.serve_c === serve_c)
  const settings = school && given && settingsOf(school, given, cut, serve_c)
  const tender = tenderOf(document, school?.usual(cut, serve_c).tender)
  const fahrenheit = units.temperature === 'f'
  const toShown = (value_c: number) => (fahrenheit ? celsiusToFahrenheit(value_c) : value_c)
  const fromShown = (value: number) => (fahrenheit ? fahrenheitToCelsius(value) : value)
  const degrees = fahrenheit ? '°F' : '°C'
  const pounds = units.mass === 'lb'
  const roastWith = (part: Partial<PlanDocument['roast']>) =>
    change((last) => ({ ...last, roast: { ...last.roast, ...part } }))
  const measured = (thickness_mm: number | null) =>
    change((last) => unlearned({ ...last, roast: { ...last.roast, thickness_mm } }, ['cut', 'supplier']))
  const programWith = (part: Partial<SchoolPart>) =>
    change((last) => ('school' in last.program ? { ...last, program: { ...last.program, ...part } } : last))
  const number = (
    path: string,
    label: string,
    value: number,
    step: number,
    digits: number,
    suffix: string,
    onChange: (value: number) => void,
  ): ReactNode => (
    <SaidNumber
      label={label}
      value={value}
      step={step}
      digits={digits}
      suffix={suffix}
      problem={problemAt(path)}
      problemId={`${id}${path}`}
      onChange={onChange}
    />
  )
  const temperatureField = (
    path: string,
    label: string,
    value_c: number,
    step: number,
    onChange: (value_c: number) => void,
  ) => number(path, label, toShown(value_c), step, 0, degrees, (value) => onChange(fromShown(value)))
  const hasHot = school?.controls.hot ?? false

  return (
    <fieldset disabled={!ready} className="text-[1.15rem] leading-[2.15]" data-ready={ready || undefined}>
      <legend className="sr-only">The plan</legend>
      <select
        className="said"
        aria-label="Cut"
        value={roast.cut}
        onChange={(event) => change((last) => changedCut(last, event.target.value))}
      >
        {CUTS.map((each) => (
          <option key={each.id} value={each.id}>
            {each.name}
          </option>
        ))}
      </select>
      ,{' '}
      {number(
        'roast.mass_kg',
        'Weight',
        pounds ? roast.mass_kg / POUND_KG : roast.mass_kg,
        pounds ? 0.25 : 0.1,
        2,
        pounds ? 'lb' : 'kg',
        (value) => roastWith({ mass_kg: pounds ? value * POUND_KG : value }),
      )}
      ,{' '}
      {number(
        'roast.thickness_mm',
        'Thickness',
        (roast.thickness_mm ?? usualThickness_mm) / (pounds ? INCH_M * 1000 : 1),
        pounds ? 0.1 : 2,
        pounds ? 1 : 0,
        pounds ? 'in through' : 'mm through',
        (value) => measured(Math.round(value * (pounds ? INCH_M * 1000 : 1))),
      )}{' '}
      {roast.thickness_mm === null ? (
        <span className="text-base text-soft">(usual for its weight; measure it)</span>
      ) : (
        <button
          type="button"
          className="min-h-8 text-base text-soft underline underline-offset-4"
          onClick={() => measured(null)}
        >
          {roast.thickness_doubt === undefined ? 'measured' : 'as pieces before it were'}; use the usual
        </button>
      )}
      , from{' '}
      {temperatureField('roast.start_c', 'Start temperature', roast.start_c, 1, (value) =>
        roastWith({ start_c: value }),
      )}{' '}
      after{' '}
      {number('roast.temper_min', 'Minutes on the bench', roast.temper_min, 10, 0, 'min on the bench', (value) =>
        roastWith({ temper_min: value }),
      )}
      ,{' '}
      <select
        className="said"
        aria-label="Surface"
        value={roast.surface}
        onChange={(event) => roastWith({ surface: event.target.value as PlanDocument['roast']['surface'] })}
      >
        {ROAST_SURFACES.map((each) => (
          <option key={each} value={each}>
            {SURFACE_NAMES[each]}
          </option>
        ))}
      </select>
      . {tender ? 'Cooked' : 'Served'}{' '}
      {tender && (
        <SaidChoice
          label="How tender"
          value={tender}
          options={[
            ...TENDER_ENDS.map((each) => [each, TENDER_WORDS[each]] as const),
            ...(school ? [[BY_READING, 'until it slices, by its reading'] as const] : []),
          ]}
          onChange={(value) =>
            change((last) =>
              value === BY_READING
                ? { ...last, target: { doneness: 'sliceable' } }
                : withTender(last, value as TenderEnd),
            )
          }
        />
      )}
      {!tender && (
        <select
          className="said"
          aria-label="Doneness"
          value={serve_c}
          onChange={(event) => change((last) => ({ ...last, target: { serve_c: Number(event.target.value) } }))}
        >
          {!degree && <option value={serve_c}>{temperature(serve_c, units)}</option>}
          {scale.degrees.map((each) => (
            <option key={each.id} value={each.serve_c}>
              {donenessName(each.id)}, {temperature(each.serve_c, units)}
            </option>
          ))}
        </select>
      )}
      , by{' '}
      <select
        className="said"
        aria-label="School"
        value={given?.school ?? OWN}
        aria-invalid={problemAt('program.school') ? true : undefined}
        onChange={(event) => {
          const id = event.target.value
          if (id !== OWN) change((last) => withProgram(last, { school: id }))
        }}
      >
        {!given && <option value={OWN}>{programName(program).toLowerCase()}</option>}
        {SCHOOLS.filter((each) => each.suits(own) || each.id === given?.school).map((each) => (
          <option key={each.id} value={each.id}>
            {each.name.toLowerCase()}
          </option>
        ))}
      </select>{' '}
      in a{' '}
      {school === undefined || school.heat === 'oven' ? (
        <select
          className="said"
          aria-label="Oven kind"
          value={oven.kind}
          onChange={(event) =>
            change((last) => ({ ...last, oven: { ...last.oven, kind: event.target.value as 'still' | 'fan' } }))
          }
        >
          <option value="still">still oven</option>
          <option value="fan">fan oven</option>
        </select>
      ) : school.heat === 'fire' ? (
        'lidded fire'
      ) : (
        'water bath'
      )}
      {school && settings && (
        <>
          {' '}
          at{' '}
          {temperatureField(
            'program.set_c',
            'Heat',
            settings.set_c,
            fahrenheit ? 5 : school.heat === 'bath' ? 1 : 5,
            (value) => programWith({ set_c: value }),
          )}
        </>
      )}
      {hasHot && settings && (
        <>
          {' '}
          with{' '}
          {temperatureField('program.hot_c', 'Second heat', settings.hot_c, 5, (value) =>
            programWith({ hot_c: value }),
          )}{' '}
          for{' '}
          {number('program.hot_min', 'Minutes of the second heat', settings.hot_min, 1, 0, 'min', (value) =>
            programWith({ hot_min: value }),
          )}
        </>
      )}
      . On the table{' '}
      <SaidTime
        at={document.promise}
        now_s={now_s}
        units={units}
        timeLabel="Promised time"
        dayLabel="Promised day"
        problem={problemAt('promise') !== undefined}
        onChange={(promise) => change((last) => ({ ...last, promise }))}
      />
      .
      {document.in_since !== undefined && (
        <InSince
          since_s={Date.parse(document.in_since) / 1000}
          units={units}
          onUndo={() => change((last) => ({ ...last, in_since: undefined }))}
        />
      )}
      {problems.length > 0 && (
        <ul
          role="alert"
          className="mt-2 space-y-1 rounded-lg border-l-4 border-wattle bg-wattle-ground px-4 py-2 text-base leading-snug text-ink"
        >
          {problems.map((problem) => (
            <li key={`${problem.code}${pathOf(problem)}`} id={`${id}${pathOf(problem)}`}>
              {problemSentence(problem, units)}
            </li>
          ))}
        </ul>
      )}
    </fieldset>
  )
}

/** That it is in the heat already, and since when; its cook begins with that. */
function InSince({
  since_s,
  units,
  onUndo,
}: {
  readonly since_s: number
  readonly units: Units
  readonly onUndo: () => void
}) {
  return (
    <span data-testid="in-since">
      {' '}
      It has been in since {clock(since_s, units)}.{' '}
      <button
        type="button"
        className="min-h-11 rounded-full border-2 border-ink px-4 align-middle text-base font-semibold"
        onClick={onUndo}
      >
        Not in yet
      </button>
    </span>
  )
}

/** Another cut keeps the weight where it is believable, and lets go of what was measured on the old one. */
function changedCut(taught: PlanDocument, id: string): PlanDocument {
  const document = unlearned(taught, ['cut', 'supplier'])
  const cut = findCut(id)
  if (!cut) return document
  const school = 'school' in document.program ? findSchool(document.program.school) : undefined
  const mass = document.roast.mass_kg
  const believable = mass >= cut.mass_kg.least && mass <= cut.mass_kg.most
  return {
    version: document.version,
    preparation: document.preparation,
    frozen: document.frozen,
    notes: document.notes,
    gravy: document.gravy,
    learned: document.learned,
    price_per_kg: null,
    oven: document.oven,
    promise: document.promise,
    ...(document.in_since === undefined ? {} : { in_since: document.in_since }),
    guests: document.guests,
    wishes: {},
    vulnerable: document.vulnerable,
    altitude_m: document.altitude_m,
    title: document.title === findCut(document.roast.cut)?.name ? cut.name : document.title,
    roast: {
      ...document.roast,
      cut: id,
      house: null,
      stuffed: false,
      thin_end: null,
      thickness_mm: null,
      mass_kg: believable ? mass : cut.mass_kg.usual,
    },
    program: school?.suits(cut)
      ? { school: school.id }
      : 'stages' in document.program
        ? document.program
        : { school: 'steady' },
  }
}
