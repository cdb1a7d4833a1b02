/** A line that asks for what was cooked before: "like last christmas", "same as the birthday rib". */
export interface LikeBefore {
  /** What it is looked for by, in small letters. */
  readonly words: string
  /** It comes again on its day of the year, and not of the week. */
  readonly yearly: boolean
}

const LIKE =
  /^\s*(?:cook\s+)?(?:the\s+)?(?:like|same\s+as|same|again)\s+(?:as\s+)?(?:(?:the\s+)?last\s+|our\s+|the\s+)?(.{2,80}?)[\s.!]*$/iu
/** Feasts that come once a year, on their date or, as Easter, on the day that moves. */
const YEARLY = /\b(?:easter|christmas|xmas|new\s+year|boxing\s+day|birthday|st\.?\s+\p{L}+)\b/iu
const SPELT: readonly (readonly [RegExp, string])[] = [
  [/\bxmas\b/giu, 'christmas'],
  [/['’]s\b/gu, ''],
  [/\btime\b|\byear['’]?s?\b(?=\s+\p{L})/giu, ' '],
]

/**
 * What a line asks to have again; undefined where it asks for nothing of the kind.
 * @example likeOf('like last christmas')?.words // 'christmas'
 */
export function likeOf(line: string): LikeBefore | undefined {
  const asked = LIKE.exec(line.slice(0, 200))?.[1]
  if (asked === undefined) return undefined
  const words = SPELT.reduce((text, [from, to]) => text.replace(from, to), asked)
    .replace(/[^\p{L}\p{M}\p{N}\s-]/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase()
  return words.length < 2 ? undefined : { words, yearly: YEARLY.test(asked) }
}
