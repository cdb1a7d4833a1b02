'use client'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { clock, mass, shortDay, temperature, type Units } from '@/words/units'
import { cutName, programName } from '@/words/words'
import type { Clash } from '../document-desk/saver'

const heatOf = (program: PlanDocument['program'], units: Units) =>
  'stages' in program
    ? `${program.stages.length} stages`
    : program.set_c === undefined
      ? 'usual'
      : temperature(program.set_c, units)

const rowsOf = (document: PlanDocument, units: Units): Record<string, string> => ({
  Cut: cutName(document.roast.cut),
  Weight: mass(document.roast.mass_kg, units),
  Thickness: document.roast.thickness_mm === null ? 'usual' : `${document.roast.thickness_mm} mm`,
  Start: `${temperature(document.roast.start_c, units)}, ${document.roast.temper_min} min on the bench`,
  School: programName(document.program),
  Heat: `${document.oven.kind}, ${heatOf(document.program, units)}`,
  Doneness: document.target
    ? 'serve_c' in document.target
      ? temperature(document.target.serve_c, units)
      : document.target.doneness
    : 'usual',
  Promise: `${shortDay(Date.parse(document.promise) / 1000, units)} ${clock(Date.parse(document.promise) / 1000, units)}`,
  Name: document.title,
})

/** What one text of a plan says otherwise than another, in a few words. */
export function differencesOf(other: PlanDocument, now: PlanDocument, units: Units): string {
  const theirs = rowsOf(other, units)
  const ours = rowsOf(now, units)
  const differing = Object.keys(ours).filter((key) => theirs[key] !== ours[key])
  return differing.length === 0
    ? 'the same in all that shows here'
    : differing.map((key) => `${key.toLowerCase()} ${theirs[key]}`).join(', ')
}

/** Two people changed the same plan: both texts are kept, and one is chosen here. */
export function ClashBanner({
  clash,
  units,
  keepMine,
  keepTheirs,
}: {
  readonly clash: Clash<PlanDocument>
  readonly units: Units
  readonly keepMine: () => void
  readonly keepTheirs: () => void
}) {
  const mine = rowsOf(clash.mine, units)
  const theirs = rowsOf(clash.theirs.document, units)
  const differing = Object.keys(mine).filter((key) => mine[key] !== theirs[key])
  return (
    <section role="alert" className="rounded-xl border-2 border-copper bg-copper-ground p-4" data-testid="clash">
      <h2 className="font-display text-xl font-semibold">Someone changed this plan while you did. Both are kept.</h2>
      <table className="mt-3 w-full max-w-2xl text-left text-base">
        <thead>
          <tr className="text-soft">
            <th className="py-1 pr-4 font-normal" />
            <th className="py-1 pr-4 font-semibold">Yours</th>
            <th className="py-1 font-semibold">Theirs, version {clash.theirs.version}</th>
          </tr>
        </thead>
        <tbody>
          {differing.map((key) => (
            <tr key={key} className="border-t border-line">
              <th className="py-1 pr-4 font-normal text-soft">{key}</th>
              <td className="py-1 pr-4">{mine[key]}</td>
              <td className="py-1">{theirs[key]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-4 flex flex-wrap gap-3">
        <button
          type="button"
          onClick={keepMine}
          className="min-h-11 rounded-full bg-action px-5 font-semibold text-white"
        >
          Use mine
        </button>
        <button
          type="button"
          onClick={keepTheirs}
          className="min-h-11 rounded-full border-2 border-ink px-5 font-semibold"
        >
          Keep theirs
        </button>
      </div>
    </section>
  )
}
