import { describe, expect, it } from 'vitest'
import { readLine } from '../line/reading'
import { planFromLine } from './from-line'
import { makePlan } from './make-plan'

const NOW = Date.UTC(2026, 10, 25, 9) / 1000

/**
 * Twenty ways in which cooks roast, each typed as one line, each with the hours from the oven door to the pull (or to
 * the end of its clock) that practice knows for it: common practice, no single source; widths are those of kitchens.
 */
const WAYS: readonly (readonly [line: string, hours: readonly [number, number]])[] = [
  ['beef rib 2.7 kg bone-in, medium-rare, oven 120', [2.2, 5]],
  ['prime rib 3 kg reverse sear 110, rest 45, medium-rare', [2.5, 6]],
  ['rib 3 kg low 120 to 50, rest 45, hot finish 10', [2, 5]],
  ['prime rib 3.5 kg cold oven 190 for an hour, off 2 h, 150 for 45', [3.6, 3.9]],
  ['beef rib 3 kg, oven off, medium', [2.4, 2.7]],
  ['beef rib 3 kg 250 for 15 minutes, down to 150, medium', [1.3, 3.2]],
  ['prime rib 4 kg cook and hold', [2.5, 9]],
  ['beef fillet 1.2 kg, 2 min a side in a hot pan, then 180, medium-rare', [0.4, 1.2]],
  ['beef fillet 1.2 kg sous vide, medium', [1.2, 4]],
  ['eye of round 3 lb 225F to 125F', [1, 3.5]],
  ['tri-tip 1.1 kg on the grill, medium-rare', [0.4, 1.4]],
  ['butterflied lamb leg 1.8 kg over charcoal, pink', [0.4, 1.3]],
  ['leg of lamb 2.5 kg half an hour at 220 then 160, pink', [0.9, 2.3]],
  ['lamb shoulder 2 kg kick start under foil, falling apart', [3, 7]],
  ['shoulder of lamb 2 kg low and slow 140, fall off the bone', [3.5, 9]],
  ['pork loin 1.6 kg, 8 min a side in the pan first, oven 180, rosy', [0.7, 1.7]],
  ['turkey 6 kg stuffed, breast down first', [2.3, 4.8]],
  ['turkey 13 lb, 325F, basted twice, one pregnant', [2.4, 4.5]],
  ['chicken 1.6 kg 230 for 20 min then 175', [0.9, 1.8]],
  ['duck 2.2 kg oven 170, done', [1.1, 2.6]],
]

/** Known to come short of practice: by the model a pan warms more of a piece than it does on a hob (see docs). */
const SHORT = /in a hot pan|in the pan first/

describe('twenty ways of roasting, each from one typed line', () => {
  it.each(WAYS)('is in the hours that practice knows: %s', (line, [least, most]) => {
    const read = readLine(`${line}, saturday 19:00`, { now_s: NOW, timeZone: 'Europe/London' })
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    const made = makePlan(planFromLine(read.value, NOW), NOW)
    if (!made.ok) throw new Error(JSON.stringify(made.problems))
    const { tasks, outcome, promise } = made.value.plan
    const at = (kind: string) => tasks.find((task) => task.kind === kind)?.at
    const end = at('pull') ?? at('rest') ?? at('carve')
    const hours = ((end ?? Number.NaN) - (at('put_in') ?? Number.NaN)) / 3600
    expect(outcome).not.toBe('cannot')
    expect(promise).toBe(Date.UTC(2026, 10, 28, 19) / 1000)
    expect(at('serve')).toBe(promise)
    expect(hours).toBeGreaterThanOrEqual(SHORT.test(line) ? least * 0.75 : least)
    expect(hours).toBeLessThanOrEqual(most)
  })
})
