import { ateProblem } from '../ate'
import type { EntryKind } from './kind'

/** How it ate, in one respect: the respect is its point, the word its text. Said again it is another word. */
export const ate: EntryKind = {
  needs: ['point', 'text'],
  ofItem: true,
  cannot: ({ point, text }) => ateProblem(point ?? '', text ?? ''),
  onItem: (item, { point, text }) => {
    if (point === null || text === null) return
    if (text.trim() === '') item.ate.delete(point)
    else item.ate.set(point, text.trim())
  },
}
