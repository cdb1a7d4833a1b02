import type { SaidHeat } from '../fact'
import { WEEKDAYS } from '../moment'
import {
  COVER,
  coverOf,
  HOUR,
  heatOf,
  listed,
  MIN,
  MOMENT,
  minutesOf,
  momentsOf,
  N,
  POINT,
  type Reader,
  reader,
  SPAN,
  stretchOf,
  TEMP,
  TENDER_SAID,
  tenderOf,
} from './grammar'

/** What is done to a piece before and while it is cooked. */

const ACID = /lemon|lime|citrus|vinegar|wine|yogh?urt|buttermilk|tamarind|pineapple|orange|tomato|beer|cider/
const AHEAD = `(?:overnight|the (?:day|night|evening) before|(?:for )?(?:${N}) (?:${HOUR}|days?)(?: (?:ahead|before))?)`
/** What meat lies in before it is cooked. */
const SOAK =
  '(?:(?:red|white|soy|olive|fish|dijon|greek|rice|cider|port|sesame|lemon|lime|orange) )?(?:lemon|lime|citrus|vinegar|wine|yogh?urt|buttermilk|tamarind|pineapple|orange|tomato|beer|cider|soy|sauce|oil|garlic|rosemary|thyme|herbs|mustard|honey|chilli|chili|ginger|spices|cumin|paprika|juice|zest|harissa|onions?|mint|oregano|milk|miso|sherry|port|whisky|bourbon)'
const BED =
  '(?:onions?|carrots?|celery|potatoes|vegetables?|veg|root vegetables|roots|bones|fennel|leeks?|herbs|rosemary|thyme|garlic|apples?|lemons?|sourdough|bread|trivet|salt)'
const SEASONING =
  '(?:rosemary|thyme|sage|garlic|mustard|pepper|peppercorns|salt and pepper|herbs|spices|spice|(?:smoked |sweet |hot )?paprika|cumin|anchov(?:y|ies)|parsley|tarragon|bay|juniper|fennel seeds?|chilli|chili|ginger|horseradish|olive oil|oil|lemons?|limes?|honey|maple syrup|lemon zest|zaatar|harissa|jerk|barbecue|breadcrumbs?|cloves|brown sugar|demerara(?: sugar)?|treacle|marmalade)'
/** An hour of something else than eating. */
const AN_HOUR = '(?:\\d{1,2}(?::\\d{2})?(?: ?[ap]m)?)'
/** What is laid round a roast that is no foil. */
const COAT =
  '(?:(?:streaky |smoked |back |the |its |thin )*(?:bacon|prosciutto|pancetta|parma ham|ham|speck|lardo|caul(?: fat)?|vine leaves|cabbage leaves))'
/** What a goose gives off is poured off. */
const FAT_OFF =
  '(?:prick(?:ed)?(?: it| the skin)? and )?(?:drain(?:ed)?|pour(?:ed)?|spoon(?:ed)?|siphon(?:ed)?|ladle|take|tip)(?: (?:off|out|away))?(?: the| any| all the| its)? (?:fat|grease|goose fat)(?: (?:off|out|away))?'
const LIQUID = '(?:stock|broth|wine|white wine|red wine|cider|water|beer|sherry|marsala|madeira|juice)'

/** What was said beyond the bare word is remembered as it was said. */
const noted = (text: string) => (/ (?!brined?$|marinade$)/.test(text) ? { note: text } : {})

const TIMES: Readonly<Record<string, number>> = { once: 1, twice: 2, 'three times': 3, 'four times': 4 }
const timesOf = (how: string | undefined) => {
  const times = TIMES[how ?? '']
  return times === undefined ? {} : { times }
}
const momentsPart = (text: string) => {
  const moments = momentsOf(text)
  return moments.length > 0 ? { moments } : {}
}
/** Where only "the last" was said it is half an hour (common practice). */
const LAST_MIN = 30
const lastOf = (text: string) => {
  const moments = momentsOf(text.replace(/ off (?:the )?(?:last|final) /, ' off the last '))
  return moments.length > 0 ? moments : [{ before_end_min: LAST_MIN }]
}

/** What a core may read once its outside is brown, in either scale. */
const isCore = ({ value, unit }: SaidHeat): boolean =>
  (unit !== 'f' && value >= 45 && value <= 95) || (unit !== 'c' && value >= 113 && value <= 203)

/** Words that go on after what it is glazed with: when, who and how done. */
const NO_GLAZE =
  '(?:half|last|for|over|halfway|ten|five|at|near|in|on|by|once|twice|three|and|every|after|when|then|until|till|to|today|tonight|tomorrow|this|next|(?:mon|tues|wednes|thurs|fri|satur|sun)days?|boxing|christmas|xmas|new|thanksgiving|easter|noon|midday|lunch|dinner|supper|eat|ready|serve|served|medium|rare|well|pink|we|oven|roast|roasted|bone|boneless)(?: |$)'

/** On which day before it was begun: no day to eat on. */
const DAY_BEFORE = `(?:last )?(?:${WEEKDAYS.join('|')})(?: (?:morning|afternoon|evening|night))?`
const SINCE_DAY = `(?:since|from|last) ${DAY_BEFORE}`

export const CARE: readonly Reader[] = [
  reader(`since ${DAY_BEFORE}`, (_, text) => ({ kind: 'note', text })),
  // What was done to it
  reader('plain surface', () => ({ kind: 'surface', surface: 'plain' })),
  reader('buttered surface', () => ({ kind: 'surface', surface: 'buttered' })),
  reader('salted surface', () => ({ kind: 'surface', surface: 'dry_salted' })),
  reader('handling (rolled|stuffed|tenderised|injected)', ([, handling]) => ({
    kind: 'traits',
    traits: {},
    handling: handling as 'rolled' | 'stuffed' | 'tenderised' | 'injected',
  })),
  reader('acid marinade', () => ({ kind: 'preparation', preparation: 'acid_marinade' })),
  reader(`(?:unsalted|no salt|without salt|not salted)`, () => ({ kind: 'preparation', preparation: 'none' })),
  reader(
    `(?:dry ?)?(?:salted|salt|dry brined?|dry brine)(?: (?:overnight|ahead|the day before|the night before|(?:since |from )?(?:yesterday|last night)|since this morning|${SINCE_DAY}|today|all over|well|and left open|(?:for )?${N} (?:${HOUR}|days?)(?: (?:ahead|before))?))*`,
    () => ({ kind: 'preparation', preparation: 'dry_salt' }),
  ),
  reader(
    `(?:wet )?(?:brined?|in (?:a |the )?brine|wet brined?|pickled)(?: (?:overnight|already|(?:since |from )?(?:yesterday|last night|the day before|the night before)|since (?:this morning|${N} (?:am|pm))|${SINCE_DAY}|(?:for )?${N} (?:${HOUR}|days?)))*`,
    (_, text) => ({
      kind: 'preparation',
      preparation: 'wet_brine',
      ...noted(text),
    }),
  ),
  // a dry rub overnight · rubbed the day before: it takes its own time, and no oven's
  reader(
    `(?:an? |with an? )?(?:overnight (?:(?:dry|spice|spiced|bbq) )*rub|(?:(?:dry|spice|spiced|bbq) )+rub(?:bed)?(?: ${AHEAD})?|rub(?:bed)? ${AHEAD})`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(`(?:in )?(?:buttermilk|yogh?urt) (?:${AHEAD}|brined?|soak(?:ed)?)(?: ${AHEAD})?`, (_, text) => ({
    kind: 'preparation',
    preparation: 'acid_marinade',
    note: text,
  })),
  listed(
    `(?:in (?:an? )?)?(?:(?:${SOAK} )?(?:marinated?|marinade|marinading|marinating))(?: ${AHEAD})?(?: (?:in|with|of) (${SOAK}(?:(?: and| with)? ${SOAK}){0,4}))?(?: ${AHEAD})?`,
    ([, what = ''], text) => ({
      kind: 'preparation',
      preparation: ACID.test(what || text) ? 'acid_marinade' : 'marinade',
      ...noted(text),
    }),
  ),
  reader(
    `(?:(?:\\d+ g |some )?(?:of )?butter under(?: the| its)? skin|with butter(?: under the skin)?|rubbed with butter|butter(?:ed)?|larded|smeared with (?:butter|fat)|goose fat|dripping|basted in butter)`,
    () => ({
      kind: 'surface',
      surface: 'buttered',
    }),
  ),
  reader(
    `(?:(?:from |still |partly |partially |half |part |semi )*frozen(?: solid)?|(?:straight )?(?:from|out of) (?:the )?(?:deep )?freezer|still frozen)`,
    () => ({ kind: 'frozen' }),
  ),
  reader(`(?:the )?stuffing (?:separate(?:ly)?|apart|on the side|beside(?: it)?|on its own)`, (_, text) => ({
    kind: 'note',
    text,
  })),
  reader(`(?:unstuffed|not stuffed|no stuffing|without stuffing|empty cavity)`, () => ({
    kind: 'stuffing',
    where: 'none',
  })),
  reader(
    `(?:stuff(?:ed|ing)?|filled)(?: (?:in|at))?(?: only)?(?: the)? neck(?: (?:only|end))?|neck (?:end )?stuffed|neck stuffing`,
    () => ({
      kind: 'stuffing',
      where: 'neck',
    }),
  ),
  reader(
    `(?:stuffed|stuffing (?:in|inside|down)(?: the)?(?: (?:middle|centre|center))?|with (?:[a-z]+ (?:and [a-z]+ )?)?stuffing(?: (?:in(?: the)?|inside)(?: cavity)?)?|(?:[a-z]+ and [a-z]+ )?stuffing (?:in the cavity|inside))(?: (?:cavity|inside|in the cavity|bird))?(?: with (?:[a-z]+(?: and )?){1,3}(?: stuffing)?)?`,
    () => ({ kind: 'stuffing', where: 'cavity' }),
  ),
  reader(`(?:legs? (?:open|untied|loose|splayed)|open legs?|untrussed|untied|not trussed|un trussed)`, () => ({
    kind: 'legs',
    legs: 'open',
  })),
  reader(
    `(?:spatchcock(?:ed)?|(?:pressed |opened )?flattened|pressed flat|(?:back ?bone|spine) (?:out|removed|cut out)(?: and (?:pressed |opened )?flat(?:tened)?)?)`,
    () => ({ kind: 'legs', legs: 'flat' }),
  ),
  reader(`(?:legs? tied|trussed|tied legs?|truss|tied up|tied)`, () => ({ kind: 'legs', legs: 'tied' })),
  reader(`(?:pot roasted|brais(?:e|ed|ing))(?: it)?`, () => ({ kind: 'cover', cover: 'foil' })),
  reader(`(?:on the bone|bone ?in|with (?:the )?bone(?: in)?|bone on|with bones?)`, () => ({
    kind: 'traits',
    traits: { bone: 'in' },
  })),
  reader(
    `(?:off the bone|bone ?less|boned(?: out)?|bone out|de ?boned|without (?:the )?bones?|no bones?)(?: (?:and )?(?:rolled|tied)(?: and (?:tied|rolled))?)?`,
    (_, text) => ({
      kind: 'traits',
      traits: { bone: 'out', rolled: /rolled/.test(text) || undefined },
    }),
  ),
  reader(`(?:rolled|rolled and tied|tied and rolled)`, () => ({ kind: 'traits', traits: { rolled: true } })),
  reader(`(?:butterflied|butterfly|opened flat|opened out)`, () => ({ kind: 'traits', traits: { butterflied: true } })),
  reader(
    `(?:half|1/2)(?: an?)?(?= (?:shoulder|ham|gammon|smoked|cured|cooked|spiral|leg|fresh|tenderloin|fillet|beef|a|pork|of|turkey|goose|chicken|duck|bird))`,
    () => ({
      kind: 'traits',
      traits: { half: true },
    }),
  ),
  reader(`(?:smoked|cured|cook before eating)(?! paprika)`, () => ({ kind: 'traits', traits: { cured: true } })),
  reader(
    `(?:(?:it is |its )?(?:fully|already|ready|pre) ?cooked|cooked already|precooked|canned|tinned|left ?overs?|ready to (?:eat|heat|serve)|spiral(?: cut| sliced)?|reheat(?:ed|ing)?|(?:just )?(?:re ?)?(?:heat|warm)(?:ed|ing)? (?:up|through)(?: (?:an?|the|my|our))?)`,
    () => ({ kind: 'traits', traits: { cooked: true } }),
  ),
  reader(`(?:raw|uncooked)`, () => ({ kind: 'traits', traits: { raw: true } })),
  reader(`(?:breast only|crown)`, () => ({ kind: 'traits', traits: { crown: true } })),
  reader(`(?:tenderised|tenderized|bladed|blade tenderi[sz]ed|needled)`, () => ({
    kind: 'traits',
    traits: {},
    handling: 'tenderised',
  })),
  reader(`(?:injected|pumped|self basting)`, () => ({ kind: 'traits', traits: {}, handling: 'injected' })),
  reader(COVER, (_, text) => {
    const cover = coverOf(text)
    return cover === undefined || text === 'open' || text === 'bare' ? undefined : { kind: 'cover', cover }
  }),
  reader(
    `(?:baste|basted|basting)(?: (?:it|with (?:butter|its juices|juices|fat|dripping)))*(?: (once|twice|three times|four times|often|a lot|now and then|every (${SPAN}|hour|half hour)))?(?: (?:and )?${MOMENT})*`,
    ([, how, span], text) => ({
      kind: 'tending',
      act: 'baste',
      ...(span ? { every_min: stretchOf(span) } : how === 'often' || how === 'a lot' ? { every_min: 20 } : {}),
      ...timesOf(how),
      ...momentsPart(text),
    }),
  ),
  listed(
    `(?:with (?:a |an )?)?(?:(?:honey|maple|mustard|sugar|marmalade|orange|apricot|cider) (?:and )?)*(?:glaze|glazed)(?: it)?(?: with [a-z]+(?: (?:(?:and|&) )?(?!${NO_GLAZE})[a-z]+){0,3})?(?: (once|twice|three times))?(?: (?:and )?(?:${MOMENT}|in the last ${N} ${MIN}))*`,
    ([, how], text) => ({ kind: 'tending', act: 'glaze', said: text, ...timesOf(how), ...momentsPart(text) }),
  ),
  reader(
    `(?:turn|turned|turning|flip|flipped|flipping|rotate|rotated)(?: it| the (?:tin|tray|pan|roast|joint|meat))?(?: (?:over|round|around))?(?: (once|twice|three times|every (${SPAN}|hour|half hour)))?(?: (?:and )?${MOMENT})*`,
    ([, how, span], text) => ({
      kind: 'tending',
      act: 'turn',
      ...(span ? { every_min: stretchOf(span) } : {}),
      ...timesOf(how),
      ...momentsPart(text),
    }),
  ),
  reader(
    `(?:remove|take off|lift off|take away|lose)(?: the)? (?:foil|lid|cover)(?: (?:for |in |at )?(?:${MOMENT}))?|(?:foil|lid|cover) (?:off|removed) (?:for |in |at )?(?:${MOMENT}|(?:the )?(?:last|end|final)(?: (?:${SPAN}|hour|half hour|bit|stretch))?)|(?:then )?uncover(?:ed)? (?:for )?${MOMENT}|(?:remove|removed|removing|take(?:n)? off|off|taking (?:it )?off)(?: it)? for (?:the )?(?:last|final) (?:${SPAN}|hour|half hour)`,
    (_, text) => ({ kind: 'tending', act: 'uncover', moments: lastOf(text) }),
  ),
  reader('(?:pour|spoon|drain|tip|take)(?:ed|ing)? off (?:the |its )?(?:fat|grease|dripping)', (_, text) => ({
    kind: 'note',
    text,
  })),
  // foil for the first two hours, then off
  reader(
    `(?:under |in )?(?:foil tent|foil|covered|cover|lid|tented|tent)(?: it)?(?: (?:with|in) foil)?(?: on)?(?: for)?(?: the)?(?: first (${SPAN}|hour|half hour)(?: (?:and )?then (?:off|uncover(?:ed)?|bare|open))?| (${SPAN}|hour|half hour) (?:and )?then (?:off|uncover(?:ed)?|bare|open))`,
    ([, first, span = '']) => ({
      kind: 'tending',
      act: 'uncover',
      moments: [{ at_min: stretchOf(first ?? span) }],
    }),
  ),
  // covered until the last 45 minutes
  reader(
    `(?:under |in )?(?:foil|covered|cover|lid|tented)(?: it)?(?: (?:with|in) foil)?(?: on)? (?:until|till|up to) (?:the )?(?:last|final) (${SPAN}|hour|half hour)`,
    ([, span = '']) => ({
      kind: 'tending',
      act: 'uncover',
      moments: [{ before_end_min: stretchOf(span) }],
    }),
  ),
  reader(
    `(?:foil|lid|cover) on (?:for )?${MOMENT}|(?:cover|covered|(?:foil )?tent(?:ed)?|foil|foiled|wrap|wrapped)(?: it| the (?:bird|breast|legs|meat|roast|joint|whole thing))?(?: (?:with|in) foil)? ${MOMENT}`,
    (_, text) => ({ kind: 'tending', act: 'cover', moments: lastOf(text) }),
  ),
  // Wrapped at 160: once its core reads so
  reader(
    `(?:then )?(?:wrap(?:ped|ping)?|foil(?:ed)?|crutch(?:ed)?)(?: it)?(?: tight(?:ly)?)?(?: (?:in|with) (?:foil|(?:butcher |pink |baking )?paper))?(?: (?:at|around|about|when|once|it|reads|hits|reaches|is))* ${TEMP}(?! (?:for|${MIN.slice(3, -1)}|h|hours?)(?: |$))`,
    ([, value, unit]) => {
      const heat = heatOf(value, unit)
      return heat && isCore(heat)
        ? {
            kind: 'tending',
            act: 'cover',
            sealed: true,
            moments: [{ core: heat }],
            ...(unit === undefined ? { bare: true } : {}),
          }
        : undefined
    },
  ),
  reader(`(?:look|check|peek|open the door)(?: (?:in|at) it)? every (${SPAN})`, ([, span = '']) => ({
    kind: 'tending',
    act: 'look',
    every_min: minutesOf(span),
  })),
  reader(`${FAT_OFF} every (${SPAN}|hour|half hour)`, ([, span = '']) => ({
    kind: 'tending',
    act: 'look',
    every_min: stretchOf(span),
    said: 'pour off the fat',
  })),
  reader('with (?:(?:onions?|shallots?|leeks?|fennel|garlic|apples?|lemons?)(?: and |, | )?)+', (_, text) => ({
    kind: 'note',
    text,
  })),
  reader(FAT_OFF, () => ({ kind: 'note', text: 'pour off the fat' })),
  reader(
    `(?:(?:coals|charcoal|briquettes|wood|fuel|a handful of coals?)(?: on| added)?|(?:add|top up|more)(?: the)? (?:coals?|charcoal|fuel|fire)) every (${SPAN}|hour)`,
    ([, span = '']) => ({ kind: 'tending', act: 'coals', every_min: stretchOf(span) }),
  ),
  reader(`(?:until|till|to where|cooked until) ${TENDER_SAID}`, (_, text) => ({
    kind: 'tender',
    degree: tenderOf(text.replace(/^(?:until|till|to where|cooked until) /, '')),
  })),
  reader(`(?:prep(?:aration|ping)?|marinat(?:e|ing)|chill(?:ing)?)(?: time)?(?: of| for)? (?:${SPAN})`, () => ({
    kind: 'filler',
  })),
  reader('(?:at )?different times', () => ({ kind: 'filler' })),
  // Smoked over what wood
  reader(
    '(?:over |with |using |on )?(?:hickory|oak|mesquite|pecan|alder|beech|(?:apple|cherry|pear|fruit|maple|olive) ?wood)(?: (?:wood|chips|chunks|smoke|pellets|logs))*',
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    "(?:in|with) (?:(?:pink|peach|brown|unwaxed) )?(?:butcher'?s?|baking|parchment|greaseproof|peach|brown) paper|in parchment",
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    '(?:just |only )*(?:needs?|wants?) (?:just |only )?(?:to be )?(?:re ?heat(?:ing|ed)?|warm(?:ing|ed)?|heat(?:ing|ed)?)(?: (?:up|through))?',
    (_, text) => ({ kind: 'note', text }),
  ),
  // When somebody is home, when the oven is wanted for something else
  reader(
    `(?:i am|i'm|we are|we're|be|get|getting|back|am) (?:back )?home (?:from |at |by |around |until )*${AN_HOUR}`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `(?:the )?oven (?:(?:must|has to|needs to|should|will) be |is )?(?:off|free|empty|out) (?:by|at|from|until|after) ${AN_HOUR}`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `(?:(?:${N} (?:days?|weeks?) |well )?(?:dry |wet )?aged|${N} (?:days?|weeks?) hung)(?: (?:for )?(?:${N} (?:days?|weeks?)))?`,
    (_, text) => ({
      kind: 'note',
      text,
    }),
  ),
  reader(
    `bacon off (?:for |in |at )?(?:the )?(?:last|end|final)(?: (?:${SPAN}|hour|half hour|bit|stretch))?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  listed(
    `(?:on|over|with) (?:a )?(?:bed of |trivet of |rack of )?(?:${BED}(?: and |, | )?)+(?: (?:underneath|in the (?:pan|tin|tray)|under it|below))?|(?:a )?bed of (?:${BED}(?: and | )?)+`,
    (_, text) =>
      /^(?:with) /.test(text) && !/(?:underneath|in the|under it|below)$/.test(text)
        ? undefined
        : { kind: 'note', text },
  ),
  reader(
    `(?:with |and )?(?:(?:a |some )?(?:splash|glass|cup|${N} (?:ml|l|cups?|litres?)) of )?(?:${LIQUID}(?: and )?)+ (?:in|under|into) (?:the )?(?:pan|tin|tray|roasting tin|roasting pan|bottom)`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `(?:take|lift|pull)(?: the)? ${COAT} off(?: (?:at|after|for|in) (?:the )?(?:last |final |first )?${SPAN})?|(?:remove|lose)(?: the)? ${COAT}(?: (?:at|after|for|in) (?:the )?(?:last |final |first )?${SPAN})?|${COAT} off(?: (?:at|after|for|in) (?:the )?(?:last |final |first )?${SPAN})?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // Bacon that nobody weighs is laid on
  reader(
    `(?<!(?:kg|kilo|kilos|lb|lbs|pound|pounds|g|of|\\d) )(?:(?:streaky|smoked|back|some) )*bacon(?: rashers| slices)?(?! (?:joint|roast|loin|collar|\\d))`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `prick(?:ed|ing)?(?: it| the skin| skin)?(?: all over| well)?(?: every (?:${SPAN}|hour|half hour)| now and then)?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `${COAT} (?:wrapped|draped|covered|barded)|(?:wrapped|draped|covered|barded) (?:in|with) ${COAT}|(?:barded|bacon on top)|${COAT} (?:over|on|across)(?: the| its)? (?:top|breasts?|it)(?= |$)|with (?:streaky |smoked )*(?:bacon|pancetta|prosciutto|speck|lardo|lardons)(?: rashers)?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // Over a part of a bird, for a while: no stage is as long
  reader(
    `(?:with )?(?:foil|foiled)(?: on| over)?(?: the)? (?:breasts?|legs|wings|wing tips|drumsticks)(?: (?:for|after|in) (?:the )?(?:first |last |final )?(?:${SPAN}))?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // What it reads by now is told the board, too
  reader(
    `(?:(?:the |my )?(?:(?:meat )?(?:thermometer|probe)|core|middle|inside|it) )?(?:(?:says|reads|shows|is|at) )+${TEMP} (?:right )?(?:now|already|so far)|(?:core|probe|thermometer|middle) (?:is |reads |says |at )*(?:now )(?:is |reads |says |at )*${TEMP}`,
    ([, first, , second], text) => {
      const c = Number(first ?? second)
      // Cooler it is what it starts at, hotter no core.
      return c > 30 && c < 100 ? { kind: 'note', text } : undefined
    },
  ),
  // Since when is told the board, where the line does not say it.
  reader('(?:(?:is|are) )?already in(?:(?: the)? oven)?', (_, text) => ({ kind: 'note', text })),
  reader(`soak(?:ed|ing)?(?: (?:it|first|in (?:cold )?(?:water|milk)|(?:for )?${SPAN}))*`, (_, text) => ({
    kind: 'note',
    text,
  })),
  // Which end of a leg: its weight says how much of it
  reader(`(?:with )?(?:the )?(?:(?:shank|butt|chump) (?:end|half|portion|off|bone)|fillet end)`, (_, text) => ({
    kind: 'note',
    text,
  })),
  reader(`(?:on|over) (?:a |the |its )?(?:wire )?rack`, (_, text) => ({ kind: 'note', text })),
  reader(
    `(?:(?:cooked |roasted )?upside down )?(?:in|on) (?:a |the |my )?(?:cast iron|heavy|big|roasting|sheet|large)(?: iron)? (?:pan|skillet|tin|tray|dish)|(?:cooked |roasted )?upside down`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `(?:roasted |cooked |done )?in (?:the |its |their )?(?:own )?(?:(?:duck|goose|beef|bacon|the) )?(?:fat|dripping|lard)|(?:(?:on|over) )?(?:an? )?beer can|(?:(?:and|then) )*(?:blow ?)?torch(?:ed)?(?: it)?|(?:thin )?tail(?: end)? (?:tucked|folded|turned)(?: under| in| over)?(?: and tied)?|(?:(?:with )?(?:only )?(?:one|two|three|four|\\d) (?:oven )?(?:shelf|shelves))`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader('rest(?:ed|ing)?(?: it)?(?= (?:and )?then )', () => ({ kind: 'filler' })),
  reader(
    `(?:with )?(?:a |the |two |one )?probes? (?:in|into) (?:the )?(?:${POINT})(?: and (?:the )?(?:${POINT}))?|with (?:a |two )?(?:probes?|thermometers?)|no (?:probe|thermometer)`,
    (_, text) => ({
      kind: 'note',
      text,
    }),
  ),
  listed(
    `(?:(?:with|and|rubbed|in|under|studded|seasoned|flavoured|some|plenty of|lots of|a little|fresh|dried|cracked|black|sea) )*(?:${SEASONING})(?:(?: and| with|,)? (?:(?:fresh|dried|black|cracked|sea|some) )*(?:${SEASONING}))*(?: (?:rub|crust|butter|paste|all over|under the skin))?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader('(?:thaw(?:ed|ing)?|defrost(?:ed|ing)?)(?: it)? in (?:cold )?water', () => ({
    kind: 'frozen',
    thaws: 'water',
  })),
  reader('(?:already (?:thawing|defrosting)|(?:thawing|defrosting) (?:already|since \\S+))', () => ({
    kind: 'frozen',
    thaws: 'out',
  })),
  reader(
    '(?:(?:still )?(?:needs?|to be|has to|must) )?(?:thaw|thawing|defrost|defrosting)(?: (?:it )?(?:needed|first))?',
    () => ({
      kind: 'frozen',
    }),
  ),
  reader('(?:fully )?(?:thawed|defrosted)(?: already| out)?', () => ({ kind: 'filler' })),
  reader(`with (?:an? )?(?:good |nice |crisp |thick |dark |golden )*crust`, (_, text) => ({ kind: 'note', text })),
  reader(`(?:nice and |very |extra |really )?(?:crisp|crispy|crusty|crunchy)(?: outside| crust)?`, (_, text) => ({
    kind: 'note',
    text,
  })),
  reader(
    `(?:(?:for |with )?(?:the |an? )?(?:good |crisp |crispy |dark |brown )?(?:crackling|skin|crust)|(?:score|scored)(?: (?:the |its )?(?:fat|skin|rind))?|(?:fat )?cap (?:on|off)|hog roast style|trimmed|peeled|denuded|silver ?skin (?:off|removed)|(?:rib )?bones (?:cut (?:off )?and tied(?: back)?(?: on)?|tied back(?: on)?)|frenched|french trimmed|(?:skin|rind) (?:on|off)|giblets? (?:out|in)|(?:(?:i|we) )?(?:get|getting|wake|waking) up (?:at|by) (?:\\d{1,2}:\\d{2}(?: [ap]m)?|\\d{1,2}(?: [ap]m)?)|wings? tucked)`,
    (_, text) => ({
      kind: 'note',
      text,
    }),
  ),
]
