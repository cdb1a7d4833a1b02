import type { Fact } from '../fact'
import { MONTH } from '../said-clock'
import { COLD_OR_HOB, SIDES } from '../sides'
import { numberOf } from '../tokens'
import { DIGITS, listed, MASS_UNIT, minutesOf, N, type Reader, reader, SPAN } from './grammar'

/** Who eats, and what goes beside it. */

const EATER =
  '(?:pregnant(?: (?:woman|guest|lady|sister|daughter|wife))?|expecting|toddlers?|bab(?:y|ies)|infants?|small children|small child|young children|young child|children under (?:five|5)|elderly(?: (?:guests?|people|parents?|aunts?))?|frail|over (?:70|80|seventy|eighty)|immune(?: compromised| suppressed)?|immunocompromised|on chemo|vulnerable(?: guests?)?|grandma|granny|gran|nan|nana|grandad|grandpa|grandfather|grandmother|grandparents)'
const PEOPLE =
  '(?:people|persons?|guests?|heads?|covers?|portions(?: of)?|plates(?: of)?|diners?|eaters?|adults?|of us|pax|ppl|folks|friends|mouths|men|women|lads|ladies|teenagers|personnes|convives)'

/** Batches where nobody says how far apart, minutes (common practice). */
const APART_MIN = 20

/** No hall holds more. */
export const MOST_GUESTS = 2000

const NOBODY = new Set(['a', 'an', 'half', 'quarter'])
const guests = (count: number): Fact | undefined =>
  Number.isInteger(count) && count >= 1 && count <= MOST_GUESTS ? { kind: 'guests', guests: count } : undefined

export const TABLE: readonly Reader[] = [
  // Said of how they are served, and of no heat
  reader(
    `(?:(?:in |over )?(?:${N} )?(?:services|sittings|seatings)|(?:for )?(?:the |a )?(?:carving station|carvery|supper club))`,
    () => ({ kind: 'filler' }),
  ),
  reader(`(?:gluten|dairy|nut|lactose) free(?: (?:gravy|stuffing))?`, (_, text) => ({ kind: 'note', text })),
  // Who eats
  listed(
    `(?:for |feeds |feeding |serves |serving |there are |we are |we will be |party of )?(${N}) adults?(?: and| plus)? (${N}) (?:children|kids|child|teenagers)`,
    ([, adults = '', children = '']) => guests(numberOf(adults) + numberOf(children)),
  ),
  reader(
    `(?:for |pour |fur |feeds |feeding |serves |serving |there are |we are |we will be |dinner for |lunch for |supper for |(?:party|group|table|crowd|wedding|family|crew|banquet|function|event|gathering|reunion|room|room full) of (?:about |around |some )?)(${N})(?: (?:hungry )?${PEOPLE})?(?! (?:kg|g|lb|lbs|h|hours?|min|minutes?|${MONTH.source.slice(1)}[a-z]*(?: |$)))`,
    ([, count = '']) => (NOBODY.has(count) ? undefined : guests(numberOf(count))),
  ),
  // we're five
  reader(
    `(?:we are|we're|we will be|we'll be|there(?:'s| are| will be)|there's) (${N})(?: of us| in all| altogether| at table)?(?! (?:${MASS_UNIT.slice(1, -1)}|min|minutes?|h|hours?|of))`,
    ([, count = '']) => (NOBODY.has(count) ? undefined : guests(numberOf(count))),
  ),
  // about 15 or so people
  reader(
    `(?:for )?(?:about |around |roughly |some )*(${N}) (?:or so|odd|plus) (?:hungry )?${PEOPLE}`,
    ([, count = '']) => (NOBODY.has(count) ? undefined : guests(numberOf(count))),
  ),
  // 6 for dinner
  reader(`(${N})(?= for (?:dinner|lunch|supper|sunday|christmas))`, ([, count = '']) =>
    NOBODY.has(count) ? undefined : guests(numberOf(count)),
  ),
  // for 8-10 people, 8 or 10 guests: as many as there may be
  reader(
    `(?:for |feeds |feeding |serves |serving |we are )?(${N})(?: or| to)? (${N}) (?:hungry )?${PEOPLE}`,
    ([, least = '', most = '']) =>
      Number.isInteger(numberOf(least)) && numberOf(least) < numberOf(most) ? guests(numberOf(most)) : undefined,
  ),
  // guests: 9
  listed(
    `(?:(?:number of )?(?:guests|people|covers|pax|diners|eaters)|(?:party|group|table) size(?: of)?) (${N})(?! (?:${MASS_UNIT.slice(1, -1)}|[ap]m|for|at|with|want)(?: |$))`,
    ([, count = '']) => (NOBODY.has(count) ? undefined : guests(numberOf(count))),
  ),
  reader(`(${N}) (?:hungry )?${PEOPLE}`, ([, count = '']) => guests(numberOf(count))),
  reader(
    `(?:(?:one|two|three|1|2|3|a|an|some|my|the|with|is|of them|of us|who is|someone|somebody|guest) )*${EATER}(?: (?:at the table|guest|guests|is coming|are coming))?`,
    () => ({ kind: 'vulnerable' }),
  ),
  // When its oven is free: remembered, for nothing is computed with it
  reader(
    `(?:but )?(?:the |my |one )?oven (?:is )?(?:only )?(?:free|available|busy|in use|mine) (?:from|at|until|after|till|before|by) \\S+(?: (?:am|pm))?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // Who eats something else: remembered
  listed(
    `(?:for |from )?(?:the )?(?:those|people|guests|ones|anyone|anybody|whoever|kids|children|vegetarians) (?:(?:who|that) )?(?:don't|do not|hates?|can't|won't|will not|dislikes?)(?: (?:like|eat|want|have|touch))?(?: [a-z]+)?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // Somebody comes later: remembered
  listed(
    `(?:but )?(?:(?:${N}|some|a few|the) )?(?:more )?(?:${PEOPLE} )?(?:(?:will|are|is|be|who) )*(?:arriv(?:e|es|ing)|com(?:e|es|ing)|join(?:s|ing)?)(?: us)? (?:late|later)(?: (?:at|by|around|about) \\S+(?: (?:am|pm))?)?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // In batches, and somewhere else
  reader(
    `(?:carved |served |cooked |sent out |ready )?in (${N}) (?:batches|goes|waves|lots)(?:,? (?:(${SPAN}) apart|(?:one )?every (${SPAN})))?`,
    ([, count = '', apart, every]) => {
      const said = apart ?? every
      const batches = numberOf(count)
      return batches >= 2 && batches <= 12
        ? { kind: 'batches', count: batches, apart_min: said === undefined ? APART_MIN : minutesOf(said) }
        : undefined
    },
  ),
  reader(
    `(?:and |then )?(?:(${SPAN}) (?:away|by van|by car|in the van|on the road|drive(?: away)?|on the way)|(?:a )?(${SPAN}) drive(?: away| to the (?:venue|hall|church))?)`,
    ([, one, two]) => {
      const minutes = minutesOf(one ?? two ?? '')
      return minutes > 0 && minutes <= 240 ? { kind: 'away', minutes } : undefined
    },
  ),
  // Beside it
  ...SIDES.map(({ id, words, side: { title } }) =>
    reader(
      `(?:with |and |plus |alongside |some |the |served with |a |dish of )*(?:${DIGITS} ${MASS_UNIT} (?:of )?(?:the |some )?)?(?:${words})(?: (?:roast(?:ed)? )?(?:at|in an? oven at) (?:\\d{3}(?: (?:c|f|degrees))?|gas(?: mark)? \\d)(?: for ${SPAN})?)?`,
      () => ({
        kind: 'side',
        id,
        title,
      }),
    ),
  ),
  reader(`(?:with |and |plus |served with |some )*(?:${COLD_OR_HOB})`, (_, text) => ({
    kind: 'note',
    text: text.replace(/^(?:(?:with|and|plus|some) )+/, ''),
  })),
  // Held from one hour on without how warm: remembered
  reader(
    `(?:(?:and|then) )?(?:hold|held|keep|kept)(?: it| them)?(?: hot| warm)? from \\d{1,2}(?::\\d{2})?(?: [ap]m)?(?= (?:until|till|to|for) )`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // What it costs: remembered
  listed(
    '(?:about |around |budget |for |at |under |up to )*[£$€] ?[\\d.,]+(?: ?/ ?[a-z]+)?(?: (?:a|per) (?:kg|kilo|lb|pound|head|person|cover)| each| a head| pp)?',
    (_, text) => ({
      kind: 'note',
      text,
    }),
  ),
  reader('as well', () => ({ kind: 'filler' })),
  reader('at night', () => ({ kind: 'filler' })),
  reader('suckling(?= lamb )', () => ({ kind: 'filler' })),
  // "Am 25.12."
  reader('am(?= \\d{4}-\\d{2}-\\d{2})', () => ({ kind: 'filler' })),
  reader('(?:not|no) later than|at the latest', () => ({ kind: 'filler' })),
  reader('(?:restaurant|chef|pub|hotel|american|english|french|italian|texas|southern) style', () => ({
    kind: 'filler',
  })),
  // When it is done is asked, and no doneness
  reader(
    '(?:when|what time|how soon|how long(?: until| till| before)?)(?: (?:will|would|should|is|does))*(?: (?:it|that|this|they|dinner|the (?:meat|roast|joint|bird)))?(?: (?:be|is|get|to be))* (?:done|ready|cooked|finished)',
    () => ({ kind: 'filler' }),
  ),
  reader('asap|as soon as (?:possible|it can be|we can)|(?:how soon can we|as soon as we can) eat', () => ({
    kind: 'filler',
  })),
  reader(`(?:with |and |plus )?(?:some |the )?gravy`, () => ({ kind: 'filler' })),
]
