import type { Caution } from '@/core/safety/cautions'
import { cautionWords } from '@/words/cautions'
import type { Units } from '@/words/units'

/** Of a cook's cautions those that are a danger or a choice, a line each. */
export const GraveCautions = ({ cautions, units }: { readonly cautions: readonly Caution[]; readonly units: Units }) =>
  cautions
    .map((caution) => ({ code: caution.code, ...cautionWords(caution, units) }))
    .filter(({ weight }) => weight === 'danger' || weight === 'choice')
    .map(({ code, weight, text }) => (
      <li key={code} className={weight === 'danger' ? 'text-wattle' : 'text-soft'}>
        <span aria-hidden>{weight === 'danger' ? '■ ' : '◆ '}</span>
        {text}
      </li>
    ))
