import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { readNewPromise } from './new-promise'

const at = (hour: number, minute = 0, day = 25) => Date.UTC(2026, 10, day, hour, minute) / 1000
const here = { now_s: at(16), timeZone: 'UTC', promise_s: at(19) }

describe('where a promise moves, as a cook says it', () => {
  it('an hour said in words is the one nearest to what was promised, in the morning too', () => {
    const morning = { now_s: at(5), timeZone: 'UTC', promise_s: at(7) }
    expect(readNewPromise('half past seven', morning)).toBe(at(7, 30))
    expect(readNewPromise('7:30 p.m.', morning)).toBe(at(19, 30))
  })

  it.each([
    ['19:45', at(19, 45)],
    ['7.45', at(19, 45)],
    ['7:45 pm', at(19, 45)],
    ['7', at(19)],
    ['at 8', at(20)],
    ['20:00', at(20)],
    ['+45', at(19, 45)],
    ['+1h', at(20)],
    ['-15', at(18, 45)],
    ['45 min later', at(19, 45)],
    ['half an hour later', at(19, 30)],
    ['an hour earlier', at(18)],
    ['1 h 30 later', at(20, 30)],
    ['1,5 h later', at(20, 30)],
    ['in 2 h', at(18)],
    ['in 90 min', at(17, 30)],
    ['tomorrow 13:00', at(13, 0, 26)],
    ['7.30 p.m.', at(19, 30)],
    ['half past seven', at(19, 30)],
    ['at eight', at(20)],
    ['eight thirty', at(20, 30)],
    ['seven o clock', at(19)],
    ['1945', at(19, 45)],
    ['8p', at(20)],
    ['8:15 sharp', at(20, 15)],
    ['back 30', at(19, 30)],
    ['push by 15', at(19, 15)],
    ['delay 25 minutes', at(19, 25)],
    ['later by 20 min', at(19, 20)],
    ['twenty minutes late', at(19, 20)],
    ['fifteen minutes later', at(19, 15)],
    ['forty five minutes late', at(19, 45)],
    ['nineteen thirty', at(19, 30)],
    ['an hour and ten later', at(20, 10)],
    ['forward 10', at(18, 50)],
    ['the day after tomorrow 1 pm', at(13, 0, 27)],
    ['7:45 pm please', at(19, 45)],
    ['make it 8', at(20)],
    ['8 instead of 7', at(20)],
    ['8pm, not 7', at(20)],
    ['not 7 but half past eight', at(20, 30)],
    ['moved to 8:15', at(20, 15)],
    ['can we push it back to nine', at(21)],
    ['make it half an hour later', at(19, 30)],
    ['dinner is now at 20:30', at(20, 30)],
  ])('%s', (typed, wanted) => expect(readNewPromise(typed, here)).toBe(wanted))

  it.each([
    '',
    'soon',
    '25:00',
    '4 h earlier',
    '15:00 today',
    'the rib',
    '+',
    'in',
    'make it',
    'not 7 but',
    'instead of 7',
  ])('“%s” is not understood, or gone by', (typed) => expect(readNewPromise(typed, here)).toBeUndefined())

  it('stands any words, quickly, and never promises the past', () => {
    const random = seededRandom(1945)
    const words = [
      'at',
      'in',
      '7',
      '19:45',
      '+',
      '-',
      'h',
      'min',
      'later',
      'half',
      'an',
      'hour',
      '🦃',
      'tomorrow',
      '9'.repeat(40),
      '٣',
      '１９:００',
      '\u0000',
      'pm',
      '31 feb',
    ]
    const began = performance.now()
    for (let i = 0; i < 30_000; i++) {
      const typed = Array.from(
        { length: Math.floor(random() * 6) },
        () => words[Math.floor(random() * words.length)],
      ).join(random() < 0.8 ? ' ' : '')
      const found = readNewPromise(typed, here)
      if (found !== undefined) expect(found).toBeGreaterThan(here.now_s)
    }
    expect((performance.now() - began) / 30_000).toBeLessThan(10)
  })
})
