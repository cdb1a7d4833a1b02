import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { sameDateAgain } from '../learn/again'
import { LINES } from './corpus/lines'
import { UNSEEN } from './corpus/unseen'
import { likeOf } from './like'

describe('a line that asks for what was before', () => {
  it('is known in the ways people say it', () => {
    for (const [line, words, yearly] of [
      ['like last christmas', 'christmas', true],
      ['Like last Xmas.', 'christmas', true],
      ['same as the birthday rib', 'birthday rib', true],
      ['like the Easter leg', 'easter leg', true],
      ['again the storm night', 'storm night', false],
      ['like last sunday', 'sunday', false],
    ] as const)
      expect(likeOf(line), line).toEqual({ words, yearly })
  })

  it('is none where a roast is said', () => {
    for (const line of ['beef rib 2.7 kg, eat 19:00', 'leg of lamb for 8', 'like', 'like  ', '', 'last christmas'])
      expect(likeOf(line), line).toBeUndefined()
    for (const [line] of [...LINES, ...UNSEEN]) expect(likeOf(line), line).toBeUndefined()
  })

  it('answers anything at once', () => {
    const random = seededRandom(6)
    const began = performance.now()
    for (let i = 0; i < 3000; i++) {
      const text = Array.from({ length: Math.floor(300 * random()) }, () =>
        String.fromCharCode(32 + Math.floor(random() * (random() < 0.5 ? 95 : 60_000))),
      ).join('')
      for (const line of [text, `like ${text}`, `same as the last ${text}`]) {
        const found = likeOf(line)
        if (found) expect(found.words.length).toBeLessThanOrEqual(120)
      }
    }
    expect(performance.now() - began).toBeLessThan(5000)
  })

  it('comes again on its date, over a year and a leap day', () => {
    const at = (iso: string) => Date.parse(iso) / 1000
    const again = (then: string, now: string) =>
      new Date(sameDateAgain(at(then), at(now), 'Europe/London') * 1000).toISOString()
    expect(again('2025-12-25T13:30:00Z', '2026-11-26T09:00:00Z')).toBe('2026-12-25T13:30:00.000Z')
    expect(again('2025-12-25T13:30:00Z', '2026-12-25T09:00:00Z')).toBe('2027-12-25T13:30:00.000Z')
    expect(again('2024-02-29T13:00:00Z', '2026-01-10T09:00:00Z')).toBe('2026-03-01T13:00:00.000Z')
  })
})
