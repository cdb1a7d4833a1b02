import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { readLine } from './reading'

/** Two or three roasts in one line, however they are named, weighed and joined: each is there, with its own weight. */

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const LIMIT_MS = 60

const NAMES: readonly (readonly [name: string, cut: string])[] = [
  ['turkey', 'turkey'],
  ['turkey crown', 'turkey-breast-bone-in'],
  ['ham', 'smoked-ham'],
  ['gammon', 'smoked-ham'],
  ['rib of beef', 'beef-rib-bone-in'],
  ['prime rib', 'beef-rib-bone-in'],
  ['3-rib beef joint', 'beef-rib-bone-in'],
  ['3 ribs of beef', 'beef-rib-bone-in'],
  ['topside', 'beef-round-or-rump'],
  ['beef fillet', 'beef-tenderloin'],
  ['chateaubriand', 'beef-tenderloin-half'],
  ['sirloin', 'beef-strip-loin'],
  ['brisket', 'beef-brisket'],
  ['leg of lamb', 'lamb-leg-bone-in'],
  ['boneless leg of lamb', 'lamb-leg-boneless-rolled'],
  ['shoulder of lamb', 'lamb-shoulder'],
  ['rack of lamb', 'lamb-rack'],
  ['saddle of lamb', 'lamb-saddle'],
  ['pork loin', 'pork-loin'],
  ['pork belly', 'pork-belly'],
  ['pork shoulder', 'pork-shoulder'],
  ['pork tenderloin', 'pork-tenderloin'],
  ['leg of pork', 'fresh-ham'],
  ['veal loin', 'veal-loin'],
  ['venison haunch', 'venison-haunch'],
  ['goose', 'goose'],
  ['duck', 'duck'],
  ['capon', 'capon'],
  ['chicken', 'chicken'],
  ['pheasant', 'pheasant'],
]
const isCounted = (name: string): boolean => /^\d/.test(name)
const SAID: readonly ((name: string, kg: string) => string)[] = [
  (name, kg) => `${name} ${kg} kg`,
  (name, kg) => `${kg} kg ${name}`,
  (name, kg) => (isCounted(name) ? `${name} ${kg}kg` : `a ${name} of ${kg} kg`),
  (name, kg) => (isCounted(name) ? `${name} ${kg}kg` : `a ${kg}kg ${name}`),
]
const JOINED = [', ', ' and ', ' + ', ' plus ', ', and ', ' with ', '; ']

describe('two roasts, or three', () => {
  it.each([105, 106, 107])('are as many, each with its weight (seed %i)', (seed) => {
    const random = seededRandom(seed)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    const faults: string[] = []
    const from = performance.now()
    const tries = 150
    for (let i = 0; i < tries; i++) {
      const roasts = Array.from({ length: random() < 0.75 ? 2 : 3 }, () => ({
        named: pick(NAMES),
        kg: (1 + Math.floor(random() * 40) / 10).toFixed(1),
      })).filter(({ named: [, cut] }, at, all) => all.findIndex((each) => each.named[1] === cut) === at)
      if (roasts.length < 2) continue
      const words = roasts.map(({ named: [name], kg }) => pick(SAID)(name, kg))
      const line = `${words.reduce((said, each) => `${said}${pick(JOINED)}${each}`)}, 7pm`
      const read = readLine(line, { now_s: NOW, timeZone: 'Europe/London' })
      const found = read.ok ? read.value.roasts.map(({ cut, mass_kg, count }) => `${count} ${cut} ${mass_kg}`) : []
      const wanted = roasts.map(({ named: [, cut], kg }) => `1 ${cut} ${Number(kg)}`)
      if (found.join() !== wanted.join()) faults.push(`${line}: ${found.join(', ')}`)
    }
    expect(faults).toEqual([])
    expect((performance.now() - from) / tries).toBeLessThan(LIMIT_MS)
  })
})

const COUNTED: readonly (readonly [one: string, many: string, cut: string])[] = [
  ['turkey', 'turkeys', 'turkey'],
  ['chicken', 'chickens', 'chicken'],
  ['duck', 'ducks', 'duck'],
  ['goose', 'geese', 'goose'],
  ['capon', 'capons', 'capon'],
  ['leg of lamb', 'legs of lamb', 'lamb-leg-bone-in'],
  ['rack of lamb', 'racks of lamb', 'lamb-rack'],
  ['lamb shoulder', 'lamb shoulders', 'lamb-shoulder'],
  ['pork loin', 'pork loins', 'pork-loin'],
  ['pork shoulder', 'pork shoulders', 'pork-shoulder'],
  ['beef fillet', 'beef fillets', 'beef-tenderloin'],
  ['ham', 'hams', 'smoked-ham'],
]
const WORDS = ['', 'one', 'two', 'three']
const HOURS: readonly (readonly [said: string, hour: string])[] = [
  ['at 7pm', '19:00'],
  ['19:30', '19:30'],
  ['for 6.30pm', '18:30'],
  ['eat at half past seven', '19:30'],
  ['ready by 18:15', '18:15'],
  ['on the table at 8pm', '20:00'],
  ['dinner at 7', '19:00'],
]

describe('a dinner of one roast or two, so many of each', () => {
  it.each([108, 110, 111])('has them, its guests and its hour, in any order (seed %i)', (seed) => {
    const random = seededRandom(seed)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    const faults: string[] = []
    for (let i = 0; i < 150; i++) {
      const items = Array.from({ length: 1 + Math.floor(random() * 2) }, () => ({
        name: pick(COUNTED),
        count: 1 + Math.floor(random() * 3),
        kg: (1 + Math.floor(random() * 40) / 10).toFixed(1),
      })).filter(({ name: [, , cut] }, at, all) => all.findIndex((each) => each.name[2] === cut) === at)
      const roasts = items.map(({ name: [one, many], count, kg }) =>
        count === 1
          ? pick([`${one} ${kg} kg`, `a ${kg} kg ${one}`, `one ${one} ${kg}kg`, `1 ${one} (${kg} kg)`])
          : pick([
              `${count} ${many} ${kg} kg each`,
              `${WORDS[count]} ${kg} kg ${many}`,
              `${count} x ${kg} kg ${one}`,
              `${WORDS[count]} ${many} of ${kg} kg`,
              `${one} x ${count}, ${kg} kg each`,
              `${count} ${many}, ${kg}kg each`,
            ]),
      )
      const guests = random() < 0.5 ? 2 + Math.floor(random() * 20) : 0
      const people = [
        `for ${guests} people`,
        `${guests} guests`,
        `dinner for ${guests}`,
        `feeds ${guests}`,
        `${guests} of us`,
      ]
      const side = random() < 0.4 ? [pick(['roast potatoes', 'with parsnips', 'sprouts', 'cauliflower cheese'])] : []
      const [said, hour] = pick(HOURS)
      const others = [...(guests > 0 ? [pick(people)] : []), ...side, said]
        .map((words) => ({ words, place: random() }))
        .sort((a, b) => a.place - b.place)
        .map(({ words }) => words)
      const meat = roasts.join(pick([', ', ' and ', ' plus ']))
      const line = (random() < 0.7 ? [meat, ...others] : [...others, meat]).join(', ')
      const read = readLine(line, { now_s: NOW, timeZone: 'Europe/London' })
      if (!read.ok) throw new Error(line)
      const { roasts: found, guests: eat, promise_s } = read.value
      const seen = [
        ...found.map(({ cut, mass_kg, count }) => `${count} ${cut} ${mass_kg}`),
        eat ?? 0,
        new Date((promise_s ?? Number.NaN) * 1000).toISOString().slice(11, 16),
      ].join()
      const wanted = [
        ...items.map(({ name: [, , cut], count, kg }) => `${count} ${cut} ${Number(kg)}`),
        guests,
        hour,
      ].join()
      if (seen !== wanted) faults.push(`${line}: ${seen}`)
    }
    expect(faults).toEqual([])
  })
})
