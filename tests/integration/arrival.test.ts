import { describe, expect, it } from 'vitest'
import { arrivalAt, summariseArrivals } from '@/domain/accuracy/arrival'
import { trueCook } from '@/stand-ins/truth/truth'

const cooks = Array.from({ length: 24 }, (_, i) => trueCook(200 + i)).filter(({ pull_s }) => Number.isFinite(pull_s))

describe('arrival on cooks made by other models', () => {
  it('beats the straight line at every stage, and its band is honest', () => {
    for (const at of [0.35, 0.5, 0.75]) {
      const found = summariseArrivals(cooks.map((cook) => arrivalAt(cook, at, 96)))
      expect(found.median).toBeLessThan(found.straight)
      expect(found.median).toBeLessThan(at < 0.4 ? 0.14 : at < 0.6 ? 0.09 : 0.06)
      expect(found.inside).toBeGreaterThan(0.6)
    }
  })

  it('the two kinds of truth are unlike, and the same number is the same cook', () => {
    expect(new Set(cooks.map(({ name }) => name)).size).toBe(2)
    expect(trueCook(7)).toEqual(trueCook(7))
  })
})
