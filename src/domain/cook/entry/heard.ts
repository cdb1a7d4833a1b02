import type { EntryKind } from './kind'

/** An alarm was answered, on whatever device: its name is in the text. */
export const heard: EntryKind = {
  needs: ['text'],
  ofItem: false,
  onCook: (log, { text }) => {
    if (text) log.heard.add(text)
  },
}
