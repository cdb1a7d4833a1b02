import { distance } from 'fastest-levenshtein'
import { EMPTY, IN_NAMES, NAME_WORDS, singular } from './cut-names'
import { DAY_WORDS, WEEKDAYS } from './moment'
import { ORDINARY } from './ordinary'
import { READERS } from './readers'
import { DAYS_ABROAD } from './tokens'

/** Words of a line as they are spelt, and those that say nothing. */

/** Words that carry no meaning of their own here. */
export const FILLER = new Set([
  ...EMPTY,
  ..."and with then plus also please is are it its we i want wanted would like have having got need to cook cooking make making do doing for at in into by from that this there be will can each all them us me you so but or as nice about roughly around approximately centre center middle thermometer wedding birthday feast celebration cut dinner lunch supper tea meal eat eating people oven heat meat degrees deg served serve x just really very quite bit once after before until till up down day evening night afternoon morning weekend party family table off hot warm cold per service banquet buffet kettle kamado pellet ceramic direct rub prick pricked help third fourth bake wagyu angus hereford longhorn iberico grass fed milk bronze carvery method bring hungry finished how long what time when should could put hi hello hey thanks thank get let plan planning say approx assisted we'd we'll caterer catering same no later than latest i've i'm we're i'd it's they he she my our your does did take takes took go goes going start started arrive arrives now temp temperature says said kitchen tonight's today's one both every other weight target setting lowest sometime ish final if bought needs event site seating sitting first second mum mom dad uncle aunt auntie rather reach even ever seem though thus together needed main mains course booked must many keep manage team staff crew kids children slab combi something internal promise promised season seasoned place placed generously immediately sides carve finish prep ready streaky shelf w um loosely au jus okay ok alright er uh erm d'agneau kruste sister brother cousin neighbour neighbor boss husband wife partner nephew niece bringing brings double dumplings butcher butchers heritage heirloom posh laws starters alcohol never stock pressed late bell much enough adults mit fur entenbrust gansebrust sandwich sandwiches rolls iftar eid shabbat aga breakfast everything we've le la les un une der die das den ein eine ce am pour vom runs moved usually normally share shares shift welcome chef chefs chef's food din u inside only just".split(
    ' ',
  ),
  '+',
  '&',
  '"',
])
/** The words that a pattern takes: its own, with what may be added to them and without what may be left off. */
const wordsOf = (source: string): string[] => [
  ...(source.match(/[a-z]{4,}/g) ?? []),
  ...[...source.matchAll(/([a-z]{3,})\(\?:([a-z|]+)\)/g)].flatMap(([, stem, ends = '']) =>
    ends.split('|').map((end) => `${stem}${end}`),
  ),
  ...[...source.matchAll(/([a-z]{3,})([a-z])\?/g)].flatMap(([, stem = '', end]) => [stem, `${stem}${end}`]),
]
const PATTERN_WORDS = READERS.flatMap(({ pattern }) => wordsOf(pattern.source))
const VOCABULARY: ReadonlySet<string> = new Set([...FILLER, ...NAME_WORDS, ...PATTERN_WORDS, ...DAY_WORDS])
/** Words of ours that are too like everyday ones: no dean is a bean, and no market was marked. */
const NOT_MENDED_TO: ReadonlySet<string> = new Set(
  'bean char clay lard marked torch different home peach rose using nothing neither clod bacon cod emu tuna lane place longe stays road street avenue drive close park gardens terrace roe station pots'.split(
    ' ',
  ),
)
/** Words that a misspelt one may have been: whole words only, not the halves that patterns are made of. */
const MENDED_TO: readonly string[] = [...new Set([...NAME_WORDS, ...PATTERN_WORDS, ...DAY_WORDS])].filter(
  (word) => word.length >= 3 && !NOT_MENDED_TO.has(word),
)
/** How words are written in haste, or in another language. */
const SHORT: ReadonlyMap<string, string> = new Map([
  ...DAYS_ABROAD.flatMap((days) => days.map((day, i) => [day, WEEKDAYS[i] as string] as const)),
  ['sonnabend', 'saturday'],
  ...['puis', 'dann'].map((word) => [word, 'then'] as const),
  ...['farci', 'farcie', 'gefullt', 'gefullte'].map((word) => [word, 'stuffed'] as const),
  ...['et', 'und'].map((word) => [word, 'and'] as const),
  ...['heute', "aujourd'hui"].map((word) => [word, 'today'] as const),
  ...['morgen', 'demain'].map((word) => [word, 'tomorrow'] as const),
  ['ubermorgen', '+2d'],
  ...['mittag', 'mittags', 'midi'].map((word) => [word, 'noon'] as const),
  ...['abend', 'abends', 'soir'].map((word) => [word, 'evening'] as const),
  ...['weihnachten', 'noel'].map((word) => [word, 'christmas'] as const),
  ...['tmrw', 'tmw', 'tmr', 'tomoz', '2moro'].map((word) => [word, 'tomorrow'] as const),
  ['porc', 'pork'],
  ['degree', 'degrees'],
  ['grad', 'degrees'],
  ['sv', 'sousvide'],
  ['tky', 'turkey'],
  ...['chx', 'chix', 'chkn'].map((word) => [word, 'chicken'] as const),
  ['svc', 'service'],
  ...['heure', 'heures', 'stunde', 'stunden', 'std'].map((word) => [word, 'hours'] as const),
  ['minuten', 'minutes'],
  ['arvo', 'afternoon'],
  ['1st', 'first'],
  ['o/n', 'overnight'],
  ['til', 'until'],
  ['noonish', 'noon'],
  ['n', 'and'],
  ['ea', 'each'],
  ['w', 'with'],
  ['int', 'internal'],
  ...["low'n'slow", 'low-n-slow'].map((way) => [way, 'slow'] as const),
  ["o'", 'of'],
  ['pls', 'please'],
  ['plz', 'please'],
  ...['dinner', 'lunch', 'supper'].map((meal) => [`${meal}'s`, meal] as const),
  ...[...WEEKDAYS, 'tomorrow', 'christmas', 'thanksgiving', 'easter'].map((day) => [`${day}'s`, day] as const),
  ...['tonite', '2nite', 'tnite'].map((word) => [word, 'tonight'] as const),
])
/** Words of their own, however near to one of ours: a suckling is no duckling. */
const NOT_OURS: ReadonlySet<string> = new Set([
  ...ORDINARY,
  ...'went gone been since already possibly suckling sucking quail quails rabbit hare boar goat kid oxtail tongue clock fifteen fifty thirteen fourteen sixteen seventeen eighteen nineteen sixty seventy eighty ninety hundred altitude'.split(
    ' ',
  ),
])
const MEATS: ReadonlySet<string> = new Set('beef lamb pork veal ham turkey chicken duck goose rib joint'.split(' '))
/** "The beef's 3 kilos": what has it. */
const possessive = (word: string): string | undefined => {
  const name = /^([a-z]{3,})'s$/.exec(word)?.[1]
  return name !== undefined && MEATS.has(name) ? name : undefined
}
/** "Gary" is no grey. */
const LEAST_SWAPPED = 5
/** Two letters that changed places: one slip of the fingers. */
function isSwapped(word: string, known: string): boolean {
  if (word.length !== known.length || word.length < LEAST_SWAPPED || word[0] !== known[0]) return false
  const at = [...word].findIndex((letter, i) => letter !== known[i])
  return word[at] === known[at + 1] && word[at + 1] === known[at] && word.slice(at + 2) === known.slice(at + 2)
}
/** "Porkbelly", "beefrib": a meat, and what of it. */
const GLUED = /^(beef|pork|lamb|veal|turkey|duck|goose|chicken|venison|gammon)([a-z]{3,})$/
function unglued(word: string): string | undefined {
  const [, meat, part = ''] = GLUED.exec(word) ?? []
  return meat !== undefined && (IN_NAMES.has(part) || IN_NAMES.has(singular(part))) ? `${meat} ${part}` : undefined
}
/** Spellings are looked up once: the same words come again with every key. */
const mended = new Map<string, string | undefined>()
const MOST_MENDED = 2000

/** The one word that a misspelt one must have been; undefined where none or several are as near. */
export function spelling(word: string): string | undefined {
  const short = SHORT.get(word) ?? possessive(word)
  if (short !== undefined) return short
  if (word.length < 4 || word.length > 16 || !/^[a-z]+$/.test(word)) return undefined
  if (NOT_OURS.has(word) || VOCABULARY.has(word) || VOCABULARY.has(singular(word))) return undefined
  if (mended.has(word)) return mended.get(word)
  const parts = unglued(word)
  if (parts !== undefined) return parts
  const most = word.length >= 8 ? 2 : 1
  let best: string | undefined
  let least = most + 1
  let several = false
  for (const known of MENDED_TO) {
    if (Math.abs(known.length - word.length) > most) continue
    const slips = isSwapped(word, known) ? 1 : distance(word, known)
    const apart = known[0] === word[0] ? slips : slips + 0.5
    // Letters are left out more often than they are put in.
    const longer = best !== undefined && known.length > word.length && best.length <= word.length
    if (apart < least || (apart === least && longer)) {
      best = known
      least = apart
      several = false
    } else if (
      apart === least &&
      singular(known) !== singular(best ?? '') &&
      !(best !== undefined && best.length > word.length && known.length <= word.length)
    )
      several = true
  }
  const found = several ? undefined : best
  if (mended.size > MOST_MENDED) mended.clear()
  mended.set(word, found)
  return found
}
