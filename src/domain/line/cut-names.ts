import { CUTS, findCut } from '@/core/reference/cuts'
import { IS_MASS_UNIT } from './readers/grammar'

/**
 * What cooks call the cuts, on both sides of the sea (common practice). A name that means several cuts is planned
 * as the first of them, and asked about.
 */

/** What a roast of beef may be. */
const BEEF: readonly string[] = ['beef-rib-bone-in', 'beef-strip-loin', 'beef-round-or-rump', 'beef-tenderloin']
/** Further names, by the cut that they mean, or by the cuts that they may mean. */
const NAMES: Readonly<Record<string, readonly string[]>> = {
  'beef rib': ['beef-rib-bone-in'],
  'prime rib': ['beef-rib-bone-in'],
  'standing rib': ['beef-rib-bone-in'],
  'rib eye': ['beef-rib-boneless'],
  ribeye: ['beef-rib-boneless'],
  'boneless rib eye': ['beef-rib-boneless'],
  'boneless ribeye': ['beef-rib-boneless'],
  'beef ribeye': ['beef-rib-boneless'],
  'beef rib eye': ['beef-rib-boneless'],
  'scotch fillet': ['beef-rib-boneless'],
  entrecote: ['beef-rib-boneless'],
  'beef entrecote': ['beef-rib-boneless'],
  'cote de boeuf': ['beef-rib-bone-in'],
  'beef forerib': ['beef-rib-bone-in'],
  forerib: ['beef-rib-bone-in'],
  'rib beef fore': ['beef-rib-bone-in'],
  fillet: ['beef-tenderloin'],
  'beef filet': ['beef-tenderloin'],
  'beef tenderloin': ['beef-tenderloin'],
  'filet mignon': ['beef-tenderloin'],
  'eye fillet': ['beef-tenderloin'],
  'beef sirloin': ['beef-strip-loin'],
  'beef strip': ['beef-strip-loin'],
  'new york strip': ['beef-strip-loin'],
  'ny strip': ['beef-strip-loin'],
  'top loin': ['beef-strip-loin'],
  'top sirloin': ['beef-round-or-rump'],
  'baron of beef': ['beef-round-or-rump'],
  'steamship round': ['beef-round-or-rump'],
  'beef top sirloin': ['beef-round-or-rump'],
  'sirloin cap': ['beef-round-or-rump'],
  culotte: ['beef-round-or-rump'],
  'beef top loin': ['beef-strip-loin'],
  porterhouse: ['beef-strip-loin'],
  tritip: ['beef-tri-tip'],
  'beef tri tip': ['beef-tri-tip'],
  'beef eye round': ['beef-eye-of-round'],
  girello: ['beef-eye-of-round'],
  silverside: ['beef-round-or-rump'],
  'beef silverside': ['beef-round-or-rump'],
  'beef topside': ['beef-round-or-rump'],
  'top side': ['beef-round-or-rump'],
  'beef top side': ['beef-round-or-rump'],
  'beef rump': ['beef-round-or-rump'],
  'rump cap': ['beef-round-or-rump'],
  'beef rump cap': ['beef-round-or-rump'],
  picanha: ['beef-round-or-rump'],
  'bottom round': ['beef-round-or-rump'],
  'beef bottom round': ['beef-round-or-rump'],
  'beef top round': ['beef-round-or-rump'],
  'london broil': ['beef-round-or-rump'],
  'beef chuck': ['beef-shoulder'],
  'beef blade': ['beef-shoulder'],
  pot: ['beef-shoulder'],
  'beef pot': ['beef-shoulder'],
  'beef feather blade': ['beef-shoulder'],
  'feather blade': ['beef-shoulder'],
  featherblade: ['beef-shoulder'],
  'short rib rack': ['beef-short-ribs'],
  'shoulder clod': ['beef-shoulder'],
  'cross rib': ['beef-shoulder'],
  'beef cross rib': ['beef-shoulder'],
  'chuck eye': ['beef-shoulder'],
  'beef chuck eye': ['beef-shoulder'],
  'bolar blade': ['beef-shoulder'],
  'mock tender': ['beef-shoulder'],
  'beef shin': ['beef-shoulder'],
  'wing rib': ['beef-rib-bone-in'],
  'beef wing rib': ['beef-rib-bone-in'],
  'sirloin tip': ['beef-round-or-rump'],
  'beef sirloin tip': ['beef-round-or-rump'],
  'beef knuckle': ['beef-round-or-rump'],
  'top rump': ['beef-round-or-rump'],
  'beef top rump': ['beef-round-or-rump'],
  'thick flank': ['beef-round-or-rump'],
  'short loin': ['beef-strip-loin'],
  'beef short loin': ['beef-strip-loin'],
  'brisket flat': ['beef-brisket'],
  'brisket point': ['beef-brisket'],
  'beef brisket flat': ['beef-brisket'],
  'beef brisket point': ['beef-brisket'],
  clod: ['beef-shoulder'],
  'beef clod': ['beef-shoulder'],
  'bacon joint': ['smoked-ham-half'],
  'cote de pork': ['pork-rib-rack'],
  'pork belly porchetta': ['pork-belly'],
  'porchetta pork belly': ['pork-belly'],
  'packer brisket': ['beef-brisket'],
  'beef packer brisket': ['beef-brisket'],
  wellington: ['beef-tenderloin'],
  'beef wellington': ['beef-tenderloin'],
  rosbif: BEEF,
  roastbeef: ['beef-strip-loin', 'beef-rib-boneless', 'beef-round-or-rump'],
  rinderbraten: ['beef-round-or-rump'],
  kalbsbraten: ['veal-leg'],
  lammkeule: ['lamb-leg-bone-in'],
  lammschulter: ['lamb-shoulder'],
  schweineschulter: ['pork-shoulder'],
  schweinebauch: ['pork-belly'],
  krustenbraten: ['pork-shoulder'],
  rinderfilet: ['beef-tenderloin'],
  schweinefilet: ['pork-tenderloin'],
  tafelspitz: ['beef-round-or-rump'],
  rehkeule: ['venison-haunch'],
  rehrucken: ['venison-loin'],
  boeuf: BEEF,
  veau: ['veal-loin', 'veal-rib', 'veal-leg', 'veal-shoulder'],
  agneau: ['lamb-leg-bone-in', 'lamb-shoulder', 'lamb-rack'],
  "epaule d'agneau": ['lamb-shoulder'],
  'longe de pork': ['pork-loin'],
  'carre de pork': ['pork-rib-rack'],
  schweinekrustenbraten: ['pork-shoulder'],
  "carre d'agneau": ['lamb-rack'],
  dinde: ['turkey'],
  chapon: ['capon'],
  oie: ['goose'],
  gans: ['goose'],
  gansebraten: ['goose'],
  entenbraten: ['duck'],
  putenbraten: ['turkey'],
  weihnachtsgans: ['goose'],
  martinsgans: ['goose'],
  ente: ['duck'],
  pute: ['turkey'],
  hahnchen: ['chicken'],
  huhn: ['chicken'],
  schweinebraten: ['pork-shoulder'],
  truthahn: ['turkey'],
  putenbrust: ['turkey-breast-boneless', 'turkey-breast-bone-in'],
  lammrucken: ['lamb-saddle'],
  hochrippe: ['beef-rib-bone-in'],
  kalbsrucken: ['veal-loin'],
  hirschkeule: ['venison-haunch'],
  hirschrucken: ['venison-loin'],
  perlhuhn: ['guinea-fowl'],
  rollbraten: ['pork-shoulder', 'pork-loin-stuffed-rolled', 'beef-round-or-rump'],
  canard: ['duck'],
  'filet de boeuf': ['beef-tenderloin'],
  beef: BEEF,
  veal: ['veal-loin', 'veal-rib', 'veal-leg', 'veal-shoulder'],
  lamb: ['lamb-leg-bone-in', 'lamb-shoulder', 'lamb-rack'],
  'lamb gigot': ['lamb-leg-bone-in'],
  'lamb leg short': ['lamb-leg-bone-in'],
  'lamb leg': ['lamb-leg-bone-in'],
  'lamb scrag': ['lamb-neck'],
  'lamb neck fillet': ['lamb-neck'],
  hogget: ['lamb-leg-bone-in', 'lamb-shoulder'],
  'hogget leg': ['lamb-leg-bone-in'],
  'hogget shoulder': ['lamb-shoulder'],
  mutton: ['lamb-shoulder', 'lamb-leg-bone-in'],
  'mutton leg': ['lamb-leg-bone-in'],
  'mutton shoulder': ['lamb-shoulder'],
  // A goat is built as a sheep is, and cooked so (common practice).
  goat: ['lamb-shoulder', 'lamb-leg-bone-in'],
  'goat leg': ['lamb-leg-bone-in'],
  'goat shank': ['lamb-shank'],
  'goat shoulder': ['lamb-shoulder'],
  'kid leg': ['lamb-leg-bone-in'],
  'kid shoulder': ['lamb-shoulder'],
  'lamb carre': ['lamb-rack'],
  'lamb best end': ['lamb-rack'],
  'guard honour': ['lamb-rack'],
  'lamb crown': ['lamb-rack'],
  'turkey roulade': ['turkey-breast-boneless'],
  'turkey roll': ['turkey-breast-boneless'],
  'turkey ballotine': ['turkey-breast-boneless'],
  'lamb loin fillet': ['lamb-cannon'],
  'hogget loin': ['lamb-loin'],
  'mutton loin': ['lamb-loin'],
  'hogget rump': ['lamb-rump'],
  pork: ['pork-loin', 'pork-shoulder', 'pork-rib-rack'],
  'pork loin': ['pork-loin'],
  'pork filet': ['pork-tenderloin'],
  'pork tenderloin': ['pork-tenderloin'],
  'pork butt': ['pork-shoulder'],
  pernil: ['pork-shoulder'],
  'pork boston butt': ['pork-shoulder'],
  'pork hand spring': ['pork-shoulder'],
  'pork collar': ['pork-shoulder'],
  'pork spare rib': ['pork-shoulder'],
  'pulled pork': ['pork-shoulder'],
  'boar shoulder': ['pork-shoulder'],
  haxe: ['pork-knuckle'],
  schweinshaxn: ['pork-knuckle'],
  'picnic shoulder': ['pork-shoulder'],
  'pork picnic': ['pork-shoulder'],
  'pork chine': ['pork-rib-rack'],
  'pork loin rack': ['pork-rib-rack'],
  'pork crown': ['pork-rib-rack'],
  // Most that is sold as ham is cured, and cured or cooked is written on it: to be cooked is the safe one to take.
  ham: ['smoked-ham', 'cooked-ham', 'fresh-ham'],
  'pork ham': ['fresh-ham'],
  'pork leg': ['fresh-ham', 'fresh-ham-half'],
  'green ham': ['fresh-ham'],
  'bayonne ham': ['smoked-ham'],
  'picnic ham': ['smoked-ham-half'],
  'ham hock': ['pork-knuckle'],
  'gammon hock': ['pork-knuckle'],
  'ham knuckle': ['pork-knuckle'],
  'bacon hock': ['pork-knuckle'],
  'turkey breast roll': ['turkey-breast-boneless'],
  'spiral cut ham': ['cooked-ham'],
  'spiral sliced ham': ['cooked-ham'],
  'honey ham': ['cooked-ham', 'smoked-ham'],
  'turkey crown': ['turkey-breast-bone-in'],
  'turkey breast': ['turkey-breast-bone-in'],
  'turkey buffe': ['turkey-breast-bone-in'],
  bird: ['turkey', 'chicken', 'goose'],
  hen: ['chicken'],
  chook: ['chicken'],
  roaster: ['chicken'],
  broiler: ['chicken'],
  fryer: ['chicken'],
  'chicken roaster': ['chicken'],
  poulet: ['chicken'],
  cockerel: ['capon', 'chicken'],
  'game hen': ['cornish-hen'],
  'cornish game hen': ['cornish-hen'],
  poussin: ['cornish-hen'],
  'spring chicken': ['cornish-hen'],
  duckling: ['duck'],
  'gressingham duck': ['duck'],
  guineafowl: ['guinea-fowl'],
  'guinea hen': ['guinea-fowl'],
  pintade: ['guinea-fowl'],
  venison: ['venison-haunch', 'venison-loin'],
  'deer loin': ['venison-loin'],
  'deer saddle': ['venison-loin'],
  'roe deer': ['venison-haunch', 'venison-loin'],
  'roe deer saddle': ['venison-loin'],
  'roe deer loin': ['venison-loin'],
  'roe deer leg': ['venison-haunch'],
  'roe deer haunch': ['venison-haunch'],
  'deer leg': ['venison-haunch'],
  'venison haunch': ['venison-haunch'],
  'venison leg': ['venison-haunch'],
  'venison saddle': ['venison-loin'],
  'saddle of venison': ['venison-loin'],
  // Other deer (common practice): as venison.
  ...Object.fromEntries(
    ['elk', 'moose', 'reindeer', 'caribou'].flatMap((deer) => [
      [deer, ['venison-haunch', 'venison-loin']],
      [`${deer} loin`, ['venison-loin']],
      [`${deer} haunch`, ['venison-haunch']],
      [`${deer} leg`, ['venison-haunch']],
    ]),
  ),
}

/** Words of a name that say nothing of the cut. */
export const EMPTY = new Set([
  'of',
  'o',
  'the',
  'a',
  'an',
  'roast',
  'roasts',
  'roasted',
  'roasting',
  'roti',
  'de',
  'joint',
  'joints',
  'whole',
  'piece',
  'fresh',
  'sunday',
  'free',
  'range',
  'some',
  'my',
  'our',
  'big',
  'small',
  'large',
  'little',
  'nice',
  'good',
  'lovely',
  'cooked',
  'organic',
  'on',
])
/** But these belong to the name where it has them. */
const KEPT = new Set(['fresh', 'cooked'])

const SINGULAR: ReadonlyMap<string, string> = new Map(
  Object.entries({
    geese: 'goose',
    turkies: 'turkey',
    fillets: 'fillet',
    filets: 'filet',
    poussins: 'poussin',
    striploin: 'strip loin',
    striploins: 'strip loin',
    'rib-eye': 'rib eye',
  }),
)
const ENDS = /(?:[^s])s$/
/** Many as one: turkeys, racks, legs, tenderloins. */
export const singular = (word: string): string =>
  SINGULAR.get(word) ?? (word.length > 3 && ENDS.test(word) && !word.endsWith('ss') ? word.slice(0, -1) : word)

/** Words in an order of their own, what is empty left out: the key of a name. */
const keyOf = (words: readonly string[]): string =>
  words
    .flatMap((word) => singular(word).split(' '))
    .filter((word) => !EMPTY.has(word) || KEPT.has(word))
    .sort()
    .join(' ')

const BY_KEY = new Map<string, readonly string[]>()
for (const cut of CUTS) {
  const own = [cut.id.replaceAll('-', ' '), cut.name.toLowerCase().replaceAll(',', ''), ...cut.words]
  for (const name of own) {
    const key = keyOf(name.replaceAll('-', ' ').split(' '))
    if (key !== '' && !BY_KEY.has(key)) BY_KEY.set(key, [cut.id])
  }
}
for (const [name, ids] of Object.entries(NAMES)) {
  for (const id of ids) if (!findCut(id)) throw new RangeError(`no cut ${id}`)
  BY_KEY.set(keyOf(name.split(' ')), ids)
}

/** Every word that stands in a name: what a misspelt one may have been. */
export const NAME_WORDS: readonly string[] = [...new Set([...BY_KEY.keys()].flatMap((key) => key.split(' ')))]
export const IN_NAMES: ReadonlySet<string> = new Set(NAME_WORDS)

const LONGEST_NAME = 8

/** A tray of these is no roast: nothing is planned of them, least of all as many whole birds. */
const PARTS = /^(?:thighs?|drumsticks?|hindquarters?|marylands?|wings?|legs?|breasts?|supremes?|wingettes|quarters)$/
/** Unless it is said what is done with them. */
const OF_WHOLE =
  /^(?:tied|untied|open|loose|splayed|up|down|out|in|on|off|first|covered|crossed|tucked|trussed|to|at|until|still|side)$/
const WHOLE_BIRDS = new Set(CUTS.filter(({ bone }) => bone === 'bird').map(({ id }) => id))

/**
 * Whether a cut is a whole bird.
 * @example isWholeBird('turkey') // true
 */
export const isWholeBird = (id: string): boolean => WHOLE_BIRDS.has(id)
/** "Breast 160": where it is read. */
const LEAST_READ = 45
const isPartOf = (ids: readonly string[], [part = '', next = '', unit = '']: readonly string[]): boolean =>
  isWholeBird(ids[0] ?? '') &&
  PARTS.test(part) &&
  !OF_WHOLE.test(next) &&
  !(Number(next) >= LEAST_READ && !IS_MASS_UNIT.test(unit))

/** What is braised, boiled or fried, or no meat: no roast is planned of it, least of all of what stands in its name. */
const NO_ROAST =
  /^(?:(?:two|three|four|five|multi|\d) birds? roasts?|ribs (?:\d+|one|two|three|four) racks?|(?:beef |pork |bbq )?(?:spare|baby back|back|country style) ?ribs|(?:veal |beef )?shanks?(?! (?:end|half|portion|on|off|in)(?: |$))|(?:corned|salt|minced|ground|chipped) beef|(?:beef|ox|pig|pork|veal) ?(?:cheeks?|tails?|tongues?|liver|kidneys?|heart)|oxtail|osso ?buco|(?:salmon|tuna|cod|halibut|monkfish|swordfish|turbot|haddock|sea ?bass|(?:sea )?bream|trout|mackerel|lobsters?|ostrich|kangaroo|emu)(?: (?:fillets?|loins?|tails?|sides?|steaks?|roasts?))?|magrets?(?: de canard)?|cuisses? de (?:canard|poulet|dinde)|meat ?loa(?:f|ves)|(?:(?:vegetarian|veggie|vegan) nut|vegetarians?|veggies?|vegans?|mushrooms?|nut|salmon|lentils?|beetroot|squash|chestnut|tofu) (?:wellington|roast|loaf|lasagne?|crown)|whole (?:lamb|pig|hog|goat|calf)(?! (?:leg|shoulder|rack|loin|saddle|neck|breast|rump|haunch|belly)s?(?: |$))|(?:beef|pork|lamb|veal|venison) (?:mince|steaks?(?! (?:roast|joint))|chops|cutlets|sausages?|burgers?|stew|curry|meatballs))(?= |$)/
const uncounted = (words: string): string => words.toLowerCase().replace(/^\d{1,2} /, '')
/** Roasts that no cut of ours is: nothing is planned of them, least of all of the beast that their name ends with. */
const OTHER_ROAST =
  /^(?:(?:wild )?boar(?: (?:haunch|leg|saddle|loin|joint))?(?! shoulder)|(?:haunch|leg|saddle|loin) of (?:wild )?boar|(?:wild )?(?:rabbits?|hares?)(?: (?:saddles?|legs?|loins?))?|(?:saddles?|legs?|loins?) of (?:rabbit|hare)|(?:wood ?)?pigeons?(?: breasts?)?|squabs?|woodcocks?|snipes?|suckling pigs?|(?:lamb|mutton|hogget) noisettes?|noisettes? of (?:lamb|mutton|hogget))(?= |$)/
/**
 * Whether some words are a roast of a beast or a part that is not planned here.
 * @example isOtherRoast('wild boar') // true
 */
export const isOtherRoast = (words: string): boolean => OTHER_ROAST.test(uncounted(words))
/**
 * Whether some words are meat that is not roasted.
 * @example isNoRoast('oxtail') // true
 */
export const isNoRoast = (words: string): boolean => NO_ROAST.test(uncounted(words))
/** Words from a place on that are such meat, and how many of it, how many: "4 pork chops", "pigeons x4". */
export function noRoastAt(words: readonly string[], at: number): number {
  const counted = /^\d{1,2}$/.test(words[at] ?? '') ? 1 : 0
  const said = words.slice(at + counted, at + counted + 4).join(' ')
  const found = NO_ROAST.exec(said) ?? OTHER_ROAST.exec(said)
  if (!found) return 0
  const end = at + counted + found[0].split(' ').length
  const isTimes = words[end] === 'x' && /^\d{1,2}$/.test(words[end + 1] ?? '')
  return end - at + (isTimes ? 2 : 0)
}

/** "Pheasant, bacon": what nobody weighs and calls no joint is laid on. @param after the place behind the word */
const isLaidOn = (words: readonly string[], after: number): boolean =>
  !/^(?:joints?|roasts?|\d.*)$/.test(words[after] ?? '') &&
  !IS_MASS_UNIT.test(words[after - 2] === 'of' ? (words[after - 3] ?? '') : (words[after - 2] ?? ''))

/** The cuts that some words name, the longest run first, in any order, with the number of words used. */
export function cutsNamed(
  words: readonly string[],
  at: number,
): { readonly count: number; readonly ids: readonly string[] } | undefined {
  const first = words[at]
  if (first === undefined || !IN_NAMES.has(singular(first).split(' ')[0] as string)) return undefined
  for (let count = Math.min(LONGEST_NAME, words.length - at); count >= 1; count--) {
    const last = words[at + count - 1] as string
    // A name ends with a word of its own; "roast" and "joint" after it are taken along by who reads on.
    if (EMPTY.has(last) && !KEPT.has(last)) continue
    // "Ham, green beans": a green ham is said the other way round.
    if (last === 'green') continue
    const named = words.slice(at, at + count)
    // A pot is no meat, a pot roast is.
    if (named.includes('pots')) continue
    if (named.includes('pot') && !/^roasts?$/.test(words[at + count] ?? '') && !named.includes('roast')) continue
    const ids = BY_KEY.get(keyOf(named))
    if (!ids || (last === 'bacon' && isLaidOn(words, at + count))) continue
    if (isPartOf(ids, words.slice(at + count))) return undefined
    const meat = meatAfter(words, at + count)
    // "Rolled rib of beef" is one name; "rump of veal" is no rump that we know.
    return meat === undefined || meat === findCut(ids[0] as string)?.species
      ? { count: count + (meat === undefined ? 0 : 2), ids }
      : undefined
  }
  return undefined
}

/** "Of beef" at a place: the animal that it names, where a name of several cuts is all that it is. */
function meatAfter(words: readonly string[], at: number): string | undefined {
  const ids = words[at] === 'of' ? BY_KEY.get(singular(words[at + 1] ?? '')) : undefined
  return ids && ids.length > 1 && !isWholeBird(ids[0] as string) ? findCut(ids[0] as string)?.species : undefined
}

/** What was done to a cut, or how much of it there is, as far as it makes another cut of it. */
export interface CutTraits {
  readonly bone?: 'in' | 'out' | undefined
  readonly rolled?: boolean | undefined
  readonly butterflied?: boolean | undefined
  readonly half?: boolean | undefined
  readonly stuffed?: boolean | undefined
  readonly crown?: boolean | undefined
  /** Raw, cured and still to be cooked, or cooked by who made it. */
  readonly raw?: boolean | undefined
  readonly cured?: boolean | undefined
  readonly cooked?: boolean | undefined
}

const HAM = /^(?:fresh|smoked|cooked)-ham(-half)?$/

/**
 * Whether what was cured or cooked before is another cut.
 * @example isHam('fresh-ham-half') // true
 */
export const isHam = (id: string): boolean => HAM.test(id)

/** A cut with its traits: a boned leg is another cut than a leg. Traits that make no other cut are left to the roast. */
export function withTraits(id: string, traits: CutTraits): string {
  const { bone, rolled, butterflied, half, stuffed, crown, raw, cured, cooked } = traits
  const ham = HAM.exec(id)
  if (ham) {
    const smoked = (cured && !id.startsWith('cooked')) || (raw && !id.startsWith('fresh'))
    const kind = cooked ? 'cooked-ham' : smoked ? 'smoked-ham' : id.replace('-half', '')
    return `${kind}${half ? '-half' : (ham[1] ?? '')}`
  }
  if (id.startsWith('lamb-leg')) {
    if (butterflied) return 'lamb-leg-butterflied'
    if (rolled || bone === 'out') return 'lamb-leg-boneless-rolled'
    return bone === 'in' ? 'lamb-leg-bone-in' : id
  }
  if (id.startsWith('beef-rib'))
    return bone === 'out' || rolled ? 'beef-rib-boneless' : bone === 'in' ? 'beef-rib-bone-in' : id
  if (id === 'beef-tenderloin' && half) return 'beef-tenderloin-half'
  if ((id === 'turkey' && crown) || id === 'turkey-breast-bone-in')
    return bone === 'out' || rolled ? 'turkey-breast-boneless' : 'turkey-breast-bone-in'
  if (id === 'duck' && crown) return 'duck-crown'
  // On the bone it is half a saddle.
  if (id === 'lamb-loin' && bone === 'in') return 'lamb-saddle'
  if (id === 'pork-loin' && bone === 'in') return 'pork-rib-rack'
  if (id === 'pork-loin' && stuffed) return 'pork-loin-stuffed-rolled'
  return id
}

/**
 * A cut's name as a line says it: its words without the comma.
 * @example nameInLine('beef-rib-bone-in') // 'beef rib bone in'
 */
export const nameInLine = (id: string): string => (findCut(id)?.name ?? id).toLowerCase().replaceAll(',', '')
