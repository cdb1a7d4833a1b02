import { gravyFor } from '@/core/portions/gravy'
import { platesOf } from '@/core/portions/portions'
import type { Plan } from '@/core/schedule/plan'
import { preparationOf } from '@/domain/plan/make-plan'
import { cutOf } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { coolingWords, gravyWords } from '@/words/after-words'
import { cautionWords } from '@/words/cautions'
import { lower, pullLead } from '@/words/tasks'
import { clock, day, length, mass, temperature, type Units } from '@/words/units'
import { cutName, programName, surroundings } from '@/words/words'
import { RunSheet } from '../sheets/run-sheet'

interface SheetProps {
  readonly kitchen: string
  readonly document: PlanDocument
  readonly plan: Plan
  readonly units: Units
  readonly version: number
}

/** How a bird lies, where it is not tied close as usual. */
const LEGS = { tied: '', open: 'legs open, ', flat: 'pressed flat, ' } as const

/** A planned roast's run sheet: how it is cooked and probed, its steps, what is to be minded. */
export function PlanSheet({ kitchen, document, plan, units, version }: SheetProps) {
  const cut = cutOf(document.roast)
  if (!cut) return null
  const eaters = document.guests ?? platesOf(plan.yield)
  const heats = plan.stages.map(({ stage }) => surroundings(stage, units)).join(' → ')
  return (
    <RunSheet
      kicker={`${kitchen} · ${day(plan.promise, units)}`}
      title={document.title || cutName(cut.id)}
      day="On the table"
      time={clock(plan.promise, units)}
      units={units}
      rows={plan.tasks.map((task) => ({
        task,
        scene: { cut, acid: document.preparation === 'acid_marinade' },
      }))}
      lead={
        <>
          <p className="mt-2">
            {cutName(cut.id)}, <strong>{mass(document.roast.mass_kg, units)}</strong>,{' '}
            {document.roast.stuffed ? 'stuffed, ' : ''}
            {cut.geometry.family === 'bird' ? LEGS[document.roast.legs] : ''}
            {length(plan.thickness_m, units)} through
            {document.roast.thickness_mm === null ? ' (not measured)' : ''}. {programName(document.program)}: {heats}.
          </p>
          <p className="mt-1 text-[15pt]">
            {pullLead(plan.tasks.find(({ kind }) => kind === 'pull')?.because.numbers)}{' '}
            <strong>{temperature(plan.pull_c, units)}</strong>, peaks at{' '}
            <strong>{temperature(plan.peak_c, units)}</strong> in the rest. Probe: {lower(cut.probe)}.
          </p>
          {document.gravy && (
            <p className="mt-1">{gravyWords(gravyFor(eaters, preparationOf(document) === 'wet_brine'), eaters)}</p>
          )}
          {document.notes !== '' && <p className="mt-1">Remember: {document.notes}.</p>}
        </>
      }
      foot={
        <>
          {plan.cautions
            .map((caution) => cautionWords(caution, units))
            .filter(({ weight }) => weight !== 'good')
            .map(({ text }) => (
              <p key={text}>• {text}</p>
            ))}
          <p>• {coolingWords(plan.cooling, plan.promise, units)}</p>
          <p className="mt-1">Plan version {version}. Your local code comes before this sheet.</p>
        </>
      }
    />
  )
}
