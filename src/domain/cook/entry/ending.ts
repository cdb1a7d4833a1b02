import { ENDINGS, type EntryKind, endingNamed } from './kind'

/** Its end goes otherwise than planned: the text says how. */
export const ending: EntryKind = {
  needs: ['text'],
  ofItem: true,
  cannot: ({ text }) => (endingNamed(text) ? undefined : `an end is one of ${ENDINGS.join(', ')}: say one as its text`),
  onItem: (item, { text }) => {
    const said = endingNamed(text)
    if (said) item.endings.add(said)
  },
}
