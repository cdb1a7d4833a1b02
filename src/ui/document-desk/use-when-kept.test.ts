import { describe, expect, it } from 'vitest'
import type { SaverSnapshot } from './saver'
import { standingOf } from './use-when-kept'

const at = (change: Partial<SaverSnapshot<string>>) => ({
  state: 'saved' as const,
  version: 3,
  clash: undefined,
  ...change,
})

describe('how a desk stands to what the server has', () => {
  it('is kept only where nothing waits and nothing is worked out', () => {
    expect(standingOf(at({}), false)).toBe('kept')
    expect(standingOf(at({}), true)).toBe('in_a_moment')
    expect(standingOf(at({ state: 'saving' }), false)).toBe('in_a_moment')
  })

  it('is not kept where somebody has to do something first, whatever is worked out meanwhile', () => {
    const clash = { theirs: { version: 4, document: 'theirs' }, mine: 'mine', setAsideId: 'x', byItself: false }
    for (const change of [{ state: 'offline' }, { state: 'refused' }, { clash }] as const)
      for (const working of [false, true]) expect(standingOf(at(change), working)).toBe('not_kept')
  })
})
