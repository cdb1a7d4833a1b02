import { entriesOf, type RunStep } from '@/domain/cook/run'
import { blank, type LiveCook } from './use-cook'

/** What hands on a board do to a step of the plan. */
export interface StepHands {
  readonly done: (step: RunStep) => void
  readonly skip: (step: RunStep) => void
  /** Earlier or later than it stands, s. */
  readonly shift: (step: RunStep, by_s: number) => void
}

export const stepHands = ({ add, items, now_s }: LiveCook): StepHands => ({
  done: ({ step }) => {
    const states = items.map(({ item, state }) => ({
      id: item.id,
      state,
      promise_s: Date.parse(item.promise) / 1000,
    }))
    const latest = items.find(({ item }) => item.id === step.item)?.latest?.value_c ?? null
    for (const entry of entriesOf(step, states, latest)) add(blank(entry))
  },
  skip: ({ step: { id, item } }) => void add(blank({ kind: 'skipped', of: id, item })),
  shift: ({ step: { id, item }, at_s }, by_s) =>
    void add(
      blank({
        kind: 'shifted',
        of: id,
        item,
        // What is overdue is put off from now.
        text: new Date(Math.round(Math.max(at_s, by_s > 0 ? now_s : at_s) + by_s) * 1000).toISOString(),
      }),
    ),
})
