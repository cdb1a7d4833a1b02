import type { Fact } from '../fact'
import { SIDES } from '../sides'
import { numberOf } from '../tokens'
import { listed, N, type Reader, reader } from './grammar'

/** Who eats, and what goes beside it. */

const EATER =
  '(?:pregnant(?: (?:woman|guest|lady|sister|daughter|wife))?|expecting|toddlers?|bab(?:y|ies)|infants?|small children|small child|young children|young child|children under (?:five|5)|elderly(?: (?:guests?|people|parents?|aunts?))?|frail|over (?:70|80|seventy|eighty)|immune(?: compromised| suppressed)?|immunocompromised|on chemo|vulnerable(?: guests?)?|grandma|granny|grandad|grandfather|grandmother|grandparents)'
const PEOPLE = '(?:people|persons?|guests?|heads?|covers?|diners?|eaters?|adults?|of us|pax|folks|friends|mouths)'

const guests = (count: number): Fact | undefined =>
  Number.isInteger(count) && count >= 1 && count <= 2000 ? { kind: 'guests', guests: count } : undefined

export const TABLE: readonly Reader[] = [
  // Who eats
  listed(
    `(?:for |feeds |feeding |serves |serving |there are |we are |we will be |party of )?(${N}) adults?(?: and| plus)? (${N}) (?:children|kids|child|teenagers)`,
    ([, adults = '', children = '']) => guests(numberOf(adults) + numberOf(children)),
  ),
  reader(
    `(?:for |feeds |feeding |serves |serving |there are |we are |we will be |dinner for |lunch for |supper for |party of )(${N})(?: (?:hungry )?${PEOPLE})?(?! (?:kg|g|lb|lbs|h|hours?|min|minutes?))`,
    ([, count = '']) => guests(numberOf(count)),
  ),
  reader(`(${N}) (?:hungry )?${PEOPLE}`, ([, count = '']) => guests(numberOf(count))),
  reader(
    `(?:(?:one|two|three|1|2|3|a|an|some|my|the|with|is|of them|of us|who is|someone|somebody|guest) )*${EATER}(?: (?:at the table|guest|guests|is coming|are coming))?`,
    () => ({ kind: 'vulnerable' }),
  ),
  // Beside it
  ...SIDES.map(({ id, words, side: { title } }) =>
    reader(`(?:with |and |plus |alongside |some |the |served with |a |dish of )*(?:${words})`, () => ({
      kind: 'side',
      id,
      title,
    })),
  ),
  reader(`(?:with |and |plus )?(?:some |the )?gravy`, () => ({ kind: 'filler' })),
]
