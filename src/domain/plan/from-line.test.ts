import { describe, expect, it } from 'vitest'
import { readLine } from '../line/reading'
import { comesAsItComes, planFromLine, servedAsItComes } from './from-line'
import { makePlan } from './make-plan'

const now_s = Date.UTC(2026, 10, 24, 9) / 1000
function planBy(line: string) {
  const reading = readLine(line, { now_s, timeZone: 'Europe/London' })
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return planFromLine(reading.value, now_s)
}
const programBy = (line: string) => planBy(line).program
/** How a line has its roast cooked: its school's settings, or each stretch of heat in its order. */
function cookedBy(line: string): object | string[] {
  const program = programBy(line)
  if (!('stages' in program)) return program
  return program.stages.map(({ role, environment, until }) =>
    [role, 'set_c' in environment ? environment.set_c : environment.kind, ...Object.values(until)].join(' '),
  )
}

describe('wrapped, bathed and smoked', () => {
  it('a roast that is wrapped at a reading goes on in foil from there, and one without an oven is in foil all along', () => {
    expect(cookedBy('brisket 5 kg 120 C wrapped at 74 C until 95 C')).toEqual([
      'cook 120 core 74',
      'cook 120 pull',
      'rest counter time 20',
    ])
    const program = programBy('brisket 5 kg 120 C wrapped at 74 C until 95 C')
    expect('stages' in program && program.stages.map(({ cover }) => cover)).toEqual(['bare', 'foil', 'tent'])
    expect(cookedBy('pork shoulder 3 kg wrapped in foil at 150')).toEqual(['cook 150 pull', 'rest counter time 20'])
  })

  it('what is covered after so long is open until then, and so long is counted from when it went in', () => {
    const careOf = (line: string) => {
      const program = programBy(line)
      if (!('stages' in program)) throw new Error(line)
      return program.stages.map(({ cover, tending }) => [
        cover,
        ...tending.map(({ act, at_min }) => `${act} ${at_min}`),
      ])
    }
    expect(careOf('turkey 6 kg 160 C, covered after 2 hours, 3 pm')).toEqual([['bare', 'cover 120'], ['tent']])
    for (const said of ['cover after 2 hours', 'foil on after 2 hours', 'covered after 2 hours'])
      expect(careOf(`turkey 6 kg 190 C for 40 min then 160 C, ${said}, 3 pm`)).toEqual([
        ['bare'],
        ['bare', 'cover 80'],
        ['tent'],
      ])
    // Said to be covered all along, it is.
    expect(careOf('turkey 6 kg 160 C covered, uncovered after 2 hours, 3 pm')[0]?.slice(1)).toEqual(['uncover 120'])
  })

  it('hours in a bath are spent in it, and browned after it', () => {
    expect(cookedBy('beef shoulder 2 kg sous vide 62 C 24 hours')).toEqual([
      'cook 62 time 1440',
      'cook counter time 10',
      'cook 250 time 8',
    ])
  })

  it('what is smoked, or falls apart, is not finished over the coals; a rib on the fire is', () => {
    const last = (line: string) => [cookedBy(line)].flat().at(-1)
    expect(last('turkey 5 kg smoked at 135 C')).toMatch(/^rest/)
    expect(last('pork shoulder 4 kg on the barbecue at 120 C')).toMatch(/^rest/)
    expect(cookedBy('beef rib 3 kg on the grill')).toEqual({ school: 'two-zone-fire' })
  })

  it('to a reading beside the coals, and then over them: each stretch is of the fire, with coals for the first', () => {
    for (const line of [
      'beef tenderloin 1.8 kg, grill 135 C until 49 C then sear',
      'beef tenderloin 1.8 kg, bbq 135 C to 49 C then sear over the coals',
      'beef tenderloin 1.8 kg smoked at 135 C to 49 C, sear at the end',
    ]) {
      expect(cookedBy(line), line).toEqual(['cook 135 core 49', 'rest counter time 10', 'finish 300 time 4'])
      const program = programBy(line)
      const [low, , hot] = 'stages' in program ? program.stages : []
      expect([low?.environment.kind, hot?.environment.kind]).toEqual(['fire', 'fire'])
      expect(low?.tending).toEqual([expect.objectContaining({ act: 'coals', every_min: 60 })])
      expect(hot?.tending).toEqual([])
    }
  })
})

describe('hours that are said and no heat', () => {
  it('are low ones of what can fall apart, the lower the longer', () => {
    expect(cookedBy('7 hour lamb shoulder 2 kg')).toEqual(['cook 120 time 420', 'rest counter time 15'])
    expect(cookedBy('12-hour pork shoulder 3 kg')).toEqual(['cook 105 time 720', 'rest counter time 20'])
    expect(cookedBy('lamb shoulder 2 kg, 4 hours')).toEqual(['cook 140 time 240', 'rest counter time 15'])
    expect(cookedBy('beef rib 3 kg, 4 hours')).toEqual({ school: 'steady' })
  })

  it('nobody says how done: a leg of seven hours comes as it comes, a rib and a pink leg do not', () => {
    expect(comesAsItComes(planBy('leg of lamb 2.4 kg seven hours at 120'))).toBe(true)
    expect(comesAsItComes(planBy('leg of lamb 2.4 kg seven hours at 120, pink'))).toBe(false)
    expect(comesAsItComes(planBy('leg of lamb 2.4 kg 90 minutes at 180'))).toBe(false)
    expect(comesAsItComes(planBy('beef rib 3 kg four hours at 110'))).toBe(false)
  })

  it('told its reading and not how done: wanted as that makes it, where it can be served so', () => {
    const made = (line: string, peak_c: number) => servedAsItComes(planBy(line), { peak_c, tender_s: 0 })
    expect(made('beef rib 3 kg 120 to 48, sear', 51.2)).toBe(51.2)
    expect(made('pork loin 2 kg 160, pull at 60', 64)).toBe(64)
    expect(made('leg of lamb 2.4 kg 150 to 88', 90)).toBe(90)
    // Nobody serves it so, a bird is as done as birds are, and what is said to be wanted is wanted.
    expect(made('pork loin 2 kg 160, pull at 48', 52)).toBeUndefined()
    expect(made('beef rib 3 kg 160, pull at 80', 84)).toBeUndefined()
    expect(made('chicken 1.6 kg 180 until 71 in the breast', 78)).toBeUndefined()
    expect(made('beef rib 3 kg 120 to 48, sear, medium', 51)).toBeUndefined()
    expect(made('beef rib 3 kg 120', 57)).toBeUndefined()
  })

  it('a shoulder that falls apart at 85 °C by its hours misses nothing; one that does not is told', () => {
    const missed = (line: string) => {
      const made = makePlan(planBy(line), now_s, 1)
      if (!made.ok) throw new Error(JSON.stringify(made.problems))
      return made.value.plan.troubles.some(({ code }) => code === 'clock_misses_doneness')
    }
    expect(missed('12-hour pork shoulder 3 kg, saturday 19:00')).toBe(false)
    expect(missed('pork shoulder 3 kg two hours at 160, saturday 19:00')).toBe(true)
  })
})

describe('one heat and then another', () => {
  it('hotter first is a hot start, for as long as is said or as usual', () => {
    for (const line of [
      'rib 3kg at 260 then 160',
      'rib 3kg start in a 260C oven then 160',
      'rib 3 kg in a 260 oven, then turn it down to 160',
    ])
      expect(cookedBy(line), line).toEqual({ school: 'hot-start', hot_c: 260, set_c: 160, hot_min: 15 })
    for (const line of [
      'rib 3kg 230 turned down to 160 after 20 min',
      'rib 3kg at 230, after 20 minutes down to 160',
      'rib 3kg oven at 160, first 20 min at 230',
      'rib 3kg 230 for 20 min then 160',
    ])
      expect(cookedBy(line), line).toEqual({ school: 'hot-start', hot_c: 230, set_c: 160, hot_min: 20 })
  })

  it('stays as hot and as long as it was said where something is done to it as well', () => {
    expect(cookedBy('beef rib 3 kg 240 for 20 minutes then 150, baste twice')).toEqual([
      'cook 240 time 20',
      'cook 150 pull',
      'rest counter time 20',
    ])
    expect(cookedBy('gammon 2.2 kg, bake 30 minutes at 200, glazed')).toContain('cook 200 time 30')
    // A bath is a degree over what is wanted, glazed or not.
    const bathed = programBy('beef fillet 1.5 kg sous vide rare, glazed')
    expect('stages' in bathed && bathed.stages[0]?.environment).toEqual({ kind: 'bath', set_c: 52 })
  })

  it('hotter last is its finish, and never comes first', () => {
    expect(cookedBy('rib 3kg at 120C then 250')).toMatchObject({ school: 'reverse-sear', set_c: 120, hot_c: 250 })
    for (const line of ['rib 3kg at 120C then 250 for 10 minutes', 'rib 3kg at 120C, last 10 minutes at 250'])
      expect(cookedBy(line), line).toEqual({ school: 'reverse-sear', set_c: 120, hot_c: 250, hot_min: 10 })
  })

  it('hotter for the last of it is straight on in the same oven, and rests after that', () => {
    expect(cookedBy('turkey 6kg 180C, last 30 mins at 220')).toEqual([
      'cook 180 pull',
      'finish 220 time 30',
      'rest counter time 20',
    ])
    expect(cookedBy('turkey 6kg 180 covered, last 45 min uncovered at 200')).toEqual([
      'cook 180 pull',
      'finish 200 time 45',
      'rest counter time 20',
    ])
    expect(cookedBy('pork belly 2kg 160, rest 20, last 10 minutes at 230')).toEqual([
      'cook 160 pull',
      'rest counter time 20',
      'finish 230 time 10',
    ])
  })

  it('with a reading or minutes of its own the second heat keeps them, and its place', () => {
    expect(cookedBy('rib 3kg at 260 then 160 to 52')).toEqual([
      'cook 260 time 15',
      'cook 160 core 52',
      'rest counter time 20',
    ])
    expect(cookedBy('rib 3kg at 260 then 160 for 2 hours')).toEqual([
      'cook 260 time 15',
      'cook 160 time 120',
      'rest counter time 20',
    ])
  })

  it('then off: the hot stretch stays, and what was not said of either is as its school does it', () => {
    const hot = ['cook 260 time 15', 'cook  time 150']
    expect(cookedBy('eye of round 3lb 500F then off for two and a half hours')).toEqual(hot)
    expect(cookedBy('eye of round 1.4kg 260C 18 min then turn off the oven')).toEqual([
      'cook 260 time 18',
      'cook  time 120',
    ])
    expect(cookedBy('rib 3kg 260C oven off')).toEqual({ school: 'oven-off', set_c: 260 })
  })
})

describe('what a line says besides', () => {
  const planned = (line: string) => {
    const reading = readLine(line, { now_s, timeZone: 'Europe/London' })
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
    return planFromLine(reading.value, now_s)
  }

  it('hotter after the rest is the finish, and comes after it', () => {
    expect(cookedBy('rib 3 kg at 250F until 125F, rest 30 min, 500F for 8 min')).toEqual([
      'cook 121.1 core 51.7',
      'rest counter time 30',
      'finish 260 time 8',
    ])
    // A rest that is said again is the one after its finish.
    expect(cookedBy('rib 3kg 120c to 45c, 15 min rest, 250c 8 min, 10 min rest')).toEqual([
      'cook 120 core 45',
      'rest counter time 15',
      'finish 250 time 8',
      'rest counter time 10',
    ])
    // What has no reading and no minutes is the crust of what has been cooked to one.
    expect(cookedBy('ham 6 kg, 160 until 68 then 230')).toEqual([
      'cook 160 core 68',
      'rest counter time 30',
      'finish 230 time 8',
    ])
  })

  it('a bird that is turned is roasted at the heat that was said, before and after', () => {
    const stages = cookedBy('turkey 9 kg breast down first, under foil, 325F') as string[]
    expect(stages.slice(0, 2).map((stage) => stage.split(' ')[1])).toEqual(['162.8', '162.8'])
  })

  it('breast down for the first hour is roasted on, the other way up, at the same heat', () => {
    expect(cookedBy('turkey 6 kg 180 breast down for the first 90 minutes')).toEqual([
      'cook 180 time 90',
      'cook 180 pull',
      'rest counter time 20',
    ])
  })

  it('kept warm is kept warm at the end, whatever it was cooked by', () => {
    expect(cookedBy('prime rib 6 kg, hold at 60 for 3 hours')).toEqual({
      school: 'cook-and-hold',
      hot_c: 60,
      hot_min: 180,
    })
    expect(cookedBy('rib 7 kg 150C until 48C, hold at 58C')).toEqual([
      'cook 150 core 48',
      'rest counter time 20',
      'rest 58 time 120',
    ])
    expect((cookedBy('turkey 5 kg hold at 60 for an hour') as string[]).at(-1)).toBe('rest 60 time 60')
  })

  it('a hot oven and a low one are as hot and as low as they usually are', () => {
    expect(cookedBy('eye of round 1.5 kg 20 min hot then 150')).toMatchObject({
      school: 'hot-start',
      set_c: 150,
      hot_min: 20,
    })
    expect(cookedBy('lamb shoulder 2 kg low oven 6 hours')).toEqual(['cook 140 time 360', 'rest counter time 15'])
  })

  it('a cold oven is cold where nobody says for how long', () => {
    for (const line of ['cold oven 200C, chicken 1.5 kg', 'chicken 1.5 kg, cold oven, set to 200']) {
      const { program } = planned(line)
      expect('stages' in program && program.stages[0], line).toMatchObject({
        environment: { kind: 'oven', set_c: 200 },
        preheated: false,
        until: { kind: 'pull' },
      })
    }
  })

  it('an oven that is hot so long for its weight and then off stays shut as long as that school has it', () => {
    expect(cookedBy('500F oven 5 min per lb then off, 6 lb rib roast')).toEqual(['cook 260 time 30', 'cook  time 120'])
  })

  it('the oven against its dial and the height of the kitchen are in the plan', () => {
    expect(planned('oven runs 10C cold, rib 3 kg').oven.offset_k).toBe(-10)
    expect(planned('my oven is 18F hot, rib 6 lb').oven.offset_k).toBe(10)
    expect(planned('oven is 15 too hot, rib 3 kg at 160').oven.offset_k).toBe(15)
  })
})

describe('a hot stretch and nothing after it', () => {
  it.each([
    'pork rib rack 2.5kg start 240 for 20, 7pm',
    'pork rib rack 2.5kg first 20 min at 240, 7pm',
    'pork rib rack 2.5kg blast at 240 for 20, 7pm',
    'pork rib rack 2.5kg hot start 240 for 20, 7pm',
    'pork rib rack 2.5kg 240 for 20 then 160, 7pm',
  ])('is a start where no middle can be warm by then: %s', (line) => {
    expect(cookedBy(line)).toEqual({ school: 'hot-start', set_c: 160, hot_c: 240, hot_min: 20 })
  })

  it.each([
    ['pork tenderloin 500g 20 min at 220, 7pm', 'cook 220 time 20'],
    ['rack of lamb 700g 220 for 20 min 7pm', 'cook 220 time 20'],
    ['beef tenderloin 1.2kg 230 for 20 min rare 7pm', 'cook 230 time 20'],
    ['chicken 1.6kg 220 for 60 min 7pm', 'cook 220 time 60'],
    ['rib 3kg 150 for 20 min 7pm', 'cook 150 time 20'],
  ])('is all of it where it can be, or is no hot one: %s', (line, first) => {
    expect(cookedBy(line)).toEqual([first, expect.stringMatching(/^rest/)])
  })
})
