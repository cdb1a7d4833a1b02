import { describe, expect, it } from 'vitest'
import { readLine } from './line'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000 // a Tuesday
const read = (line: string, zone = 'Europe/London') => readLine(line, NOW, zone)
const at = (iso: string) => Date.parse(iso) / 1000

describe('a line a cook would type', () => {
  it('the line of the front page', () => {
    expect(read('beef rib 2.7 kg bone-in, medium-rare, oven 120, eat 19:00')).toEqual({
      ok: true,
      value: {
        cut: 'beef-rib-bone-in',
        mass_kg: 2.7,
        doneness: 'medium-rare',
        oven: 'still',
        set_c: 120,
        promise_s: at('2026-11-24T19:00:00Z'),
      },
    })
  })

  const cases: readonly [string, object][] = [
    [
      'lamb leg 2.8 kg bone-in, pink, fan 150, eat 19:15',
      { cut: 'lamb-leg-bone-in', oven: 'fan', set_c: 150, doneness: 'pink' },
    ],
    [
      'turkey 13 lb 4 oz, oven 325F, eat 25 dec 2pm for 8',
      {
        cut: 'turkey',
        mass_kg: expect.closeTo(6.01, 2),
        set_c: expect.closeTo(162.8, 1),
        promise_s: at('2026-12-25T14:00:00Z'),
        guests: 8,
      },
    ],
    [
      'pork loin 1,8 kg gas 4 at 1 pm tomorrow',
      { cut: 'pork-loin', mass_kg: 1.8, set_c: 180, promise_s: at('2026-11-25T13:00:00Z') },
    ],
    [
      '2 kg tenderloin reverse sear 54C 7.5 cm thick eat sat 19:30',
      {
        cut: 'beef-tenderloin',
        school: 'reverse-sear',
        serve_c: 54,
        thickness_mm: 75,
        promise_s: at('2026-11-28T19:30:00Z'),
      },
    ],
    ['beef rib 3 kg boneless', { cut: 'beef-rib-boneless' }],
    ['pork loin 2 kg bone in', { cut: 'pork-rib-rack' }],
    ['oven 350 chicken 1800 g', { cut: 'chicken', mass_kg: 1.8, set_c: expect.closeTo(176.7, 1) }],
    ['rack of lamb 700g from 8c bench 45 min', { cut: 'lamb-rack', start_c: 8, temper_min: 45 }],
  ]
  for (const [line, expected] of cases) {
    it(line, () => {
      expect(read(line)).toMatchObject({ ok: true, value: expected })
    })
  }

  it('a clock time that has passed means tomorrow, in the kitchen’s own zone', () => {
    expect(read('duck 2 kg eat 08:00')).toMatchObject({ value: { promise_s: at('2026-11-25T08:00:00Z') } })
    expect(read('duck 2 kg eat 19:00', 'America/New_York')).toMatchObject({
      value: { promise_s: at('2026-11-25T00:00:00Z') },
    })
  })
})

describe('a line that is not understood', () => {
  it('points at the word and offers the nearest', () => {
    const line = 'beef rib 2.7 kg, medum-rare, oven 120'
    const answer = read(line)
    expect(answer).toMatchObject({
      ok: false,
      problems: [{ code: 'unknown_word', word: 'medum-rare', nearest: expect.arrayContaining(['medium rare']) }],
    })
    const problem = answer.ok ? undefined : answer.problems[0]
    expect(problem?.code === 'unknown_word' && line.slice(problem.at.from, problem.at.to)).toBe('medum-rare')
  })

  it('an unknown cut is answered with cuts', () => {
    expect(read('lamb sholder 2kg')).toMatchObject({
      ok: false,
      problems: [{ code: 'unknown_word', word: 'lamb sholder', nearest: expect.arrayContaining(['lamb shoulder']) }],
    })
  })

  it('what is missing is asked for', () => {
    expect(read('beef rib, oven 120')).toMatchObject({ ok: false, problems: [{ code: 'missing_mass' }] })
    expect(read('2 kg')).toMatchObject({ ok: false, problems: [{ code: 'missing_cut' }] })
  })

  it('what is said twice is not guessed at', () => {
    expect(read('duck 2 kg 3 kg')).toMatchObject({ ok: false, problems: [{ code: 'given_twice', what: 'mass_kg' }] })
  })
})
