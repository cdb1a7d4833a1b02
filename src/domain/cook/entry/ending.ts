import { ENDINGS, type EntryKind } from './kind'

/** Its end goes otherwise than planned: the text says how. */
export const ending: EntryKind = {
  needs: ['text'],
  ofItem: true,
  cannot: ({ text }) =>
    ENDINGS.some((each) => each === text) ? undefined : `an end is one of ${ENDINGS.join(', ')}: say one as its text`,
  onItem: (item, { text }) => {
    const said = ENDINGS.find((each) => each === text)
    if (said) item.endings.add(said)
  },
}
