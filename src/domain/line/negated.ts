import type { Fact, Meaning } from './fact'
import type { Sentence } from './sentence'

/** What a line says that it is not to be: "no foil", "never frozen", "don't want it pink". */

/** What turns the next words round, and what may stand between. */
const NOT =
  /(?<![\p{L}\p{N}'-])(?:not|no|never|none|nothing|nobody|neither|nor|without|less|avoid|hates?|dislikes?|cannot|(?:do|does|did|is|are|was|has|have|wo|ca)n'?t)(?:\s+(?:want(?:s|ed)?|likes?|have|having|been|being|be|it|them|to|too|very|overly|really|that|so|in|with|under|on|the|an?|any|use|of|us|me|eats?|eaten|is|are|at|all))*\s+$/iu
/** "Beef instead of turkey", "not a rib, a sirloin": another roast. */
const NO_ROAST =
  /(?<![\p{L}\p{N}'-])(?:not|no|(?:instead|in place) of|rather than)(?:\s+(?:an?|the|any|my|our|another))?\s+$/iu
/** So far before a word it is looked for, characters. */
const REACH = 60
/** "I don't", "nobody": all of them; "two don't" are some. */
const OF_ALL = /(?:^|[,;.:(\n]|\b(?:i|we|they|you|it|its|it's|please|but|and|do))\s*$/i

/** What may be said not to be. A heat, an hour or a weight that is not is another one, and asked about. */
const TURNED: ReadonlySet<Fact['kind']> = new Set([
  'cold_oven',
  'cover',
  'doneness',
  'frozen',
  'hold',
  'legs',
  'oven',
  'preparation',
  'school',
  'second',
  'share',
  'side',
  'stuffing',
  'surface',
  'tender',
  'tending',
  'vulnerable',
  'wish',
])
/** What is wanted where this is not (common practice). */
const INSTEAD: Readonly<Record<string, string>> = { rare: 'medium', pink: 'well-done' }

const isNothing = (fact: Fact): boolean =>
  (fact.kind === 'stuffing' && fact.where === 'none') || (fact.kind === 'preparation' && fact.preparation === 'none')

/** What is said by what is not to be: another doneness where it is plain which, else a note. */
function insteadOf({ fact }: Meaning, before: string, text: string): Fact {
  const word = fact.kind === 'doneness' && OF_ALL.test(before) ? INSTEAD[fact.word] : undefined
  return word === undefined ? { kind: 'note', text } : { kind: 'doneness', word }
}

/**
 * A sentence with what it says is not to be as what it is then, and with no question about the word that says so.
 * @param line the whole of it
 */
export function withNegated(sentence: Sentence, line: string): Sentence {
  const plain = line.replaceAll('’', "'")
  const turned = new Map<Meaning, Meaning>()
  for (const meaning of sentence.meanings) {
    const isCut = meaning.fact.kind === 'cut'
    if ((!isCut && !TURNED.has(meaning.fact.kind)) || isNothing(meaning.fact)) continue
    const found = (isCut ? NO_ROAST : NOT).exec(plain.slice(Math.max(0, meaning.from - REACH), meaning.from))
    const from = meaning.from - (found?.[0].length ?? 0)
    const said = sentence.meanings.some(({ fact, to }) => fact.kind !== 'filler' && to > from && to <= meaning.from)
    if (!found || said) continue
    const fact = insteadOf(meaning, plain.slice(0, from), line.slice(from, meaning.to))
    turned.set(meaning, { ...meaning, from, fact })
  }
  // There is one that it is, or none would be left to ask about.
  const isRoast = ({ fact }: Meaning) => fact.kind === 'cut'
  if (!sentence.meanings.some((meaning) => isRoast(meaning) && !turned.has(meaning)))
    for (const meaning of sentence.meanings.filter(isRoast)) turned.delete(meaning)
  if (turned.size === 0) return sentence
  const isOpen = ({ from, to }: { readonly from: number; readonly to: number }) =>
    ![...turned].some(([was, now]) => from >= now.from && to <= was.from)
  return {
    ...sentence,
    meanings: sentence.meanings.flatMap((meaning) => {
      const now = turned.get(meaning)
      return now ? [now] : isOpen(meaning) ? [meaning] : []
    }),
    unknown: sentence.unknown.flatMap((span) => partsLeft(span, turned)),
  }
}

/** What of some words that said nothing does so still: "nobody likes" before "rare" is told by now. */
function partsLeft<Span extends Sentence['unknown'][number]>(
  span: Span,
  turned: ReadonlyMap<Meaning, Meaning>,
): Span[] {
  const over = [...turned].find(([was, now]) => span.from < was.from && span.to > now.from)?.[1]
  if (!over) return [span]
  if (span.from >= over.from) return []
  const text = span.text.slice(0, over.from - span.from).trimEnd()
  return text === '' ? [] : [{ ...span, to: span.from + text.length, text }]
}
