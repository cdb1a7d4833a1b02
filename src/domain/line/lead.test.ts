import { describe, expect, it } from 'vitest'
import { planFromLine } from '../plan/from-line'
import { makePlan } from '../plan/make-plan'
import { leadHours } from './lead'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const readAt = (line: string) => {
  const reading = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!reading.ok) throw new Error(line)
  return reading.value
}

describe('a line that says no hour', () => {
  it('is promised so late that it can be: nothing should have begun already', () => {
    for (const line of [
      'pork shoulder 1.5 kg',
      'pork shoulder 4 kg',
      'brisket 3 kg',
      'lamb shoulder 2.5 kg pulled',
      'lamb leg 2.5 kg low and slow until it falls off the bone',
      'beef rib 6 kg 110C',
      'beef rib 3 kg 95C',
      'beef rib 5 kg reverse sear',
      'turkey 10 kg',
      'fresh ham 6.5 kg',
      'pork shoulder 3 kg 107C to 95C',
      'pork shoulder 2.8kg, 8 hours at 110, 240 at the end',
      'goose 5.2kg, 150 for three hours, 220 last 20 min',
      'chicken 1.6 kg',
    ]) {
      const made = makePlan(planFromLine(readAt(line), NOW), NOW, 4)
      expect(made.ok && made.value.plan.troubles.map(({ code }) => code), line).not.toContain('start_passed')
    }
  })

  it('is soon where it can be: in five hours, and never more than a day and a half on', () => {
    expect(leadHours([])).toBe(5)
    for (const line of ['chicken 1.6 kg', 'prime rib 3 kg', 'lamb leg 2 kg', 'beef tenderloin 2 kg reverse sear'])
      expect(leadHours(readAt(line).roasts), line).toBe(5)
    expect(leadHours(readAt('pork shoulder 9 kg 80C').roasts)).toBeLessThanOrEqual(36)
    const said = readAt('pork shoulder 2.5 kg')
    expect(said.asks.find(({ code }) => code === 'what_time')).toMatchObject({ taken_h: leadHours(said.roasts) })
  })
})
