import { useId } from 'react'
import { type DonenessServing, servingsOf } from '@/core/doneness/servings'
import { type Colour, colourOf } from '@/core/heat/colour'
import { platesOf } from '@/core/portions/portions'
import { findCut } from '@/core/reference/cuts'
import { tendernessOf } from '@/core/reference/tenderness'
import type { Plan } from '@/core/schedule/plan'
import { length, type Units } from '@/words/units'
import { donenessName, TENDERNESS_NAMES } from '@/words/words'
import { meatColour } from '../ramp'

/** The crust by its colour. */
const CRUST: Readonly<Record<Colour, string>> = {
  pale: '#a98462',
  golden: '#9a6a3a',
  brown: '#7d4a28',
  deep: '#4a2615',
  burnt: '#1d1410',
}

/** The predicted slice, coloured by how hot each layer has been, and the meat by doneness. */
export function CutFace({
  plan,
  cutId,
  units,
  wishes,
}: {
  readonly plan: Plan
  readonly cutId: string
  readonly units: Units
  /** Guests by wanted doneness. */
  readonly wishes: Readonly<Record<string, number>>
}) {
  const id = useId().replaceAll(':', '')
  const cut = findCut(cutId)
  if (!cut) return null
  const pale = ['pork', 'ham', 'poultry'].includes(cut.doneness)
  const geometry = cut.geometry
  const wide = geometry.family === 'round' ? geometry.width : geometry.family === 'plump' ? geometry.width : 1.35
  const ry = 78
  const rx = Math.min(168, ry * wide)
  const servings = servingsOf(plan.slice, platesOf(plan.yield), wishes)
  const asked = servings.some(({ wanted }) => wanted > 0)
  const short = servings.filter(({ plates, wanted }) => wanted > plates)
  // Cooked until it is tender, no plate is told from another by its degree.
  const tender = plan.stages.some(({ stage }) => stage.until.kind === 'tender')
  const rings = [...plan.slice.profile].reverse()
  const shares = plan.slice.shares.filter(({ share }) => share > 0.005)
  const middle = { red: 51, pork: 63, ham: 60, poultry: 74, duck: 58, tender: 80 }[cut.doneness]
  const colours = plan.slice.shares.map(({ degree }, i) => ({
    degree,
    colour: meatColour(middle - 4 + i * (pale ? 7 : 6), pale),
  }))
  return (
    <figure className="flex flex-wrap items-center gap-x-6 gap-y-3">
      <svg
        viewBox={`0 0 ${rx * 2 + 16} ${ry * 2 + 16}`}
        className="w-full max-w-60"
        role="img"
        aria-label={`Predicted slice: ${shares.map(({ degree, share }) => `${Math.round(share * 100)} percent ${donenessName(degree)}`).join(', ')}`}
      >
        <defs>
          <radialGradient id={`${id}face`}>
            {[...plan.slice.profile].map(({ share, hottest_c }) => (
              <stop key={share} offset={share} stopColor={meatColour(hottest_c, pale)} />
            ))}
          </radialGradient>
        </defs>
        <ellipse
          cx={rx + 8}
          cy={ry + 8}
          rx={rx}
          ry={ry}
          fill={`url(#${id}face)`}
          stroke={CRUST[colourOf(plan.browning_s)]}
          strokeWidth={Math.min(7, 2.5 + plan.browning_s / 300)}
        />
        {rings.length > 0 && plan.slice.rim_m > 0.0005 && (
          <ellipse
            cx={rx + 8}
            cy={ry + 8}
            rx={rx * (1 - (plan.slice.rim_m * 2) / plan.thickness_m)}
            ry={ry * (1 - (plan.slice.rim_m * 2) / plan.thickness_m)}
            fill="none"
            stroke="#fff"
            strokeOpacity="0.65"
            strokeWidth="1.2"
            strokeDasharray="3 4"
          />
        )}
      </svg>
      <figcaption className="min-w-40 flex-1 text-base">
        {tender && (
          <p className="text-lg font-semibold">
            It {TENDERNESS_NAMES[tendernessOf(plan.tender_s)]} at its middle; further out more so. All{' '}
            {platesOf(plan.yield)} plates are alike.
          </p>
        )}
        <ul className={`space-y-1 ${tender ? 'hidden' : ''}`}>
          {shares.map(({ degree, share }) => (
            <li key={degree} className="flex items-center gap-2">
              <span
                className="inline-block size-4 rounded-sm border border-ink/20"
                style={{ background: colours.find((each) => each.degree === degree)?.colour }}
              />
              <span className="w-12 text-right font-semibold">{Math.round(share * 100)} %</span> {donenessName(degree)}
              <span className="ml-auto text-soft">{servingWords(servings, degree, asked)}</span>
            </li>
          ))}
        </ul>
        {!tender && short.length > 0 && (
          <p className="mt-2 font-semibold">
            {short
              .map(({ degree, plates, wanted }) => `${wanted - plates} short of ${donenessName(degree)}`)
              .join('; ')}
            . A second, smaller piece pulled apart from this one would do it.
          </p>
        )}
        <p className="mt-2 text-soft">
          {plan.slice.rim_m < 0.0005 ? 'No grey rim to speak of' : `Grey rim ${length(plan.slice.rim_m, units)}`}; the
          middle is the thickest part, the ends are more done.
        </p>
      </figcaption>
    </figure>
  )
}

function servingWords(servings: readonly DonenessServing[], degree: string, asked: boolean): string {
  const row = servings.find((each) => each.degree === degree)
  if (!row) return ''
  const plates = `${row.plates} plate${row.plates === 1 ? '' : 's'}`
  return asked ? `${plates}, ${row.wanted} asked` : plates
}
