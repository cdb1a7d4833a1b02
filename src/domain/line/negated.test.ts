import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { documentFromLine } from '../meal/from-line'
import { PLAIN_KITCHEN } from '../meal/meal-problem'
import { readLine } from './reading'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const zone = { now_s: NOW, timeZone: 'Europe/London' }

/** What a line comes to, but for its notes. */
function planOf(line: string) {
  const reading = readLine(line, zone)
  if (!reading.ok) throw new Error(line)
  const found = documentFromLine(reading.value, NOW, PLAIN_KITCHEN)
  if (found?.kind !== 'plan') throw new Error(`${line} is no plan`)
  const { notes, ...plan } = found.document
  return { plan, notes, asks: reading.value.asks.map(({ code }) => code) }
}

/** What is done with a roast, or wanted of it. */
const WANTED = [
  'frozen',
  'foil',
  'cover',
  'brined',
  'marinated',
  'basted',
  'reverse sear',
  'well done',
  'medium',
  'spatchcocked',
  'stuffed',
]
const NOT = [
  'not',
  'never',
  "don't want it",
  'nobody wants it',
  "it isn't",
  "it's not to be",
  'avoid',
  'none of us like it',
]

describe('what is not to be', () => {
  it('makes no other plan than a line without it, and asks nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NOT),
        fc.constantFrom(...WANTED),
        fc.constantFrom('chicken 1.8 kg', 'turkey 6 kg'),
        fc.boolean(),
        (not, wanted, roast, first) => {
          const said = `${not} ${wanted}`
          const line = first ? `${said}, ${roast} 7pm` : `${roast}, ${said}, 7pm`
          const { plan, asks } = planOf(line)
          const plain = planOf(`${roast} 7pm`).plan
          expect({ ...plan, roast: { ...plan.roast, stuffed: false } }, line).toEqual(plain)
          expect(asks, line).toEqual([])
        },
      ),
      { seed: 94, numRuns: 176 },
    )
  })

  it('is another doneness where it is plain which', () => {
    for (const [line, wanted] of [
      ["I don't want it pink, pork loin 1.5 kg 7pm", 'well-done'],
      ['nobody likes it rare, rib 3 kg 7pm', 'medium'],
      ['none of us eat pink meat, rib 3 kg 7pm', 'well-done'],
      // Of some of them it is not said of all.
      ["two don't like it pink, rib 3 kg for 8 7pm", undefined],
      ['rib 3 kg, no, rare please, 7pm', 'rare'],
    ] as const) {
      const reading = readLine(line, zone)
      expect(reading.ok && reading.value.roasts[0]?.doneness, line).toBe(wanted)
    }
  })

  it('may be another roast, of which there is none then', () => {
    const roasts = (line: string) => {
      const reading = readLine(line, zone)
      return reading.ok ? reading.value.roasts.map(({ cut }) => cut) : []
    }
    expect(roasts('beef rib 3 kg instead of turkey 2pm')).toEqual(['beef-rib-bone-in'])
    expect(roasts('turkey 6 kg rather than goose 2pm')).toEqual(['turkey'])
    expect(roasts('no turkey this year: goose 5 kg at 4')).toEqual(['goose'])
    expect(roasts('not a rib, a sirloin 3 kg 7pm')).toEqual(['beef-strip-loin'])
    // Where none else is named it is the one that is asked about.
    expect(roasts('no turkey at 7pm')).toEqual(['turkey'])
    expect(planOf('chicken 1.6 kg, no potatoes, 7pm').notes).toContain('no potatoes')
  })

  it('stays in the notes of its plan', () => {
    expect(planOf('rib 3 kg, no foil, 7pm').notes).toContain('no foil')
    expect(planOf('never frozen turkey 6 kg 3pm').notes).toContain('never frozen')
  })

  it('reads any words in any script without losing its place', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), fc.constantFrom(...NOT), (words, not) => {
        const line = `${words} ${not} frozen turkey 6 kg ${words}`
        const reading = readLine(line, zone)
        if (!reading.ok) return
        for (const { from, to } of reading.value.meanings) {
          expect(from).toBeLessThan(to)
          expect(to).toBeLessThanOrEqual(line.length)
        }
      }),
      { seed: 95, numRuns: 150, interruptAfterTimeLimit: 60_000, markInterruptAsFailure: true },
    )
  })
})
