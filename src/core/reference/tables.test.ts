import { describe, expect, it } from 'vitest'
import { SCHOOLS } from '../program/schools'
import { CHART_ROWS } from './charts'
import { COMPOSITIONS, compositionOf } from './composition'
import { CUTS, findCut } from './cuts'
import { DONENESS_SCALES, donenessScale } from './doneness'
import { houseCut } from './house-cut'
import { COOLING, DANGER_ZONE_C, STANDARDS } from './standards'

const unique = (values: readonly string[]) => new Set(values).size === values.length

/** Cuts that scripts and imports may name: the least there is. */
const PROMISED = [
  'beef-rib-bone-in',
  'beef-rib-boneless',
  'beef-tenderloin',
  'beef-tenderloin-half',
  'beef-strip-loin',
  'beef-tri-tip',
  'beef-eye-of-round',
  'beef-round-or-rump',
  'beef-shoulder',
  'veal-rib',
  'veal-loin',
  'lamb-leg-bone-in',
  'lamb-leg-boneless-rolled',
  'lamb-leg-butterflied',
  'lamb-shoulder',
  'lamb-rack',
  'pork-loin',
  'pork-loin-stuffed-rolled',
  'pork-rib-rack',
  'pork-tenderloin',
  'pork-shoulder',
  'fresh-ham',
  'fresh-ham-half',
  'turkey',
  'turkey-breast-bone-in',
  'chicken',
  'capon',
  'cornish-hen',
  'duck',
  'goose',
  'guinea-fowl',
  'pheasant',
  'venison-haunch',
  'beef-brisket',
  'pork-belly',
  'smoked-ham',
  'smoked-ham-half',
  'cooked-ham',
  'cooked-ham-half',
  'turkey-breast-boneless',
  'duck-crown',
  'lamb-saddle',
  'venison-loin',
  'partridge',
  'quail',
]

describe('the catalogue of cuts', () => {
  it('has every promised cut once', () => {
    expect(unique(CUTS.map(({ id }) => id))).toBe(true)
    expect(PROMISED.filter((id) => !findCut(id))).toEqual([])
  })

  it('no two cuts answer to the same word', () => {
    const words = CUTS.flatMap((cut) => cut.words.map((word) => [word, cut.id] as const))
    const twice = words.filter(([word, id]) => words.some(([other, otherId]) => other === word && otherId !== id))
    expect(twice).toEqual([])
  })

  for (const cut of CUTS) {
    it(`${cut.id} is whole: ordered weights and rests, a degree of its own scale, a source`, () => {
      const { least, usual, most } = cut.mass_kg
      expect(least).toBeGreaterThan(0)
      expect(usual).toBeGreaterThanOrEqual(least)
      expect(most).toBeGreaterThanOrEqual(usual)
      expect(cut.rest_min.most).toBeGreaterThanOrEqual(cut.rest_min.least)
      expect(cut.perHead_kg).toBeGreaterThan(0.05)
      expect(cut.boneShare ?? 0).toBeLessThan(0.5)
      expect(donenessScale(cut.doneness).degrees.map(({ id }) => id)).toContain(cut.usualDoneness)
      expect(compositionOf(cut.composition).water).toBeGreaterThan(0.4)
      expect(cut.measure.length).toBeGreaterThan(10)
      expect(cut.probe.length).toBeGreaterThan(10)
      expect(cut.source.note.length).toBeGreaterThan(10)
      expect(SCHOOLS.some((school) => school.suits(cut))).toBe(true)
    })
  }
})

describe('doneness', () => {
  for (const scale of DONENESS_SCALES) {
    it(`${scale.id} rises degree by degree, and each is served within its own band`, () => {
      expect(unique(scale.degrees.map(({ id }) => id))).toBe(true)
      scale.degrees.forEach((degree, i) => {
        const next = scale.degrees[i + 1]
        expect(degree.serve_c).toBeGreaterThanOrEqual(degree.from_c)
        if (next) {
          expect(next.serve_c).toBeGreaterThan(degree.serve_c)
          expect(next.from_c).toBeGreaterThan(degree.from_c)
          expect(degree.serve_c).toBeLessThan(next.from_c)
        }
        expect(degree.source.kind).toBe('common_practice')
      })
      expect(scale.minimumSource.note).toContain('consumer')
    })

    it(`${scale.id} says a word for one degree only`, () => {
      const words = scale.degrees.flatMap((degree) => [...new Set([degree.id, ...degree.words])])
      expect(unique(words)).toBe(true)
    })
  }
})

describe('compositions and charts', () => {
  it('fractions sum to one and every row has its source', () => {
    for (const row of COMPOSITIONS) {
      expect(row.water + row.protein + row.fat + row.ash).toBeCloseTo(1, 9)
      expect(row.source.note.length).toBeGreaterThan(10)
    }
  })

  it('an unknown id is our own bug and throws', () => {
    expect(() => compositionOf('none' as never)).toThrow(RangeError)
    expect(() => donenessScale('none' as never)).toThrow(RangeError)
  })

  it('chart rows name cuts that exist, ordered weights and minutes, and twelve are the reference', () => {
    for (const row of CHART_ROWS) {
      expect(findCut(row.cut)).toBeDefined()
      expect(row.weight_lb[1]).toBeGreaterThanOrEqual(row.weight_lb[0])
      expect(row.minutes[1]).toBeGreaterThanOrEqual(row.minutes[0])
      expect(row.oven_f).toBeGreaterThan(200)
    }
    expect(CHART_ROWS.filter(({ inReference }) => inReference)).toHaveLength(12)
  })
})

describe('a house cut', () => {
  const plump = findCut('lamb-leg-bone-in') as NonNullable<ReturnType<typeof findCut>>
  const bird = findCut('turkey') as NonNullable<ReturnType<typeof findCut>>

  it('without values of its own is the catalogue’s, but for its source', () => {
    const rest = { ...houseCut(plump, {}), source: plump.source }
    const base = plump
    expect(rest).toEqual(base)
  })

  it('a plump one is never longer than wide the wrong way round, nor thinner than one', () => {
    const own = houseCut(plump, { width: 0.4, length: 0.2 })
    expect(own.geometry).toMatchObject({ width: 1, length: 1 })
  })

  it('a bone share of nothing makes it boneless; a bird stays a bird', () => {
    expect(houseCut(plump, { boneShare: 0 }).bone).toBe('out')
    expect(houseCut(bird, { boneShare: 0.2 }).bone).toBe('bird')
  })

  it('usual weights stretch the range, and the longest rest is never under the least', () => {
    expect(houseCut(plump, { usual_kg: 9 }).mass_kg.most).toBe(9)
    expect(houseCut(plump, { restLeast_min: 90 }).rest_min.most).toBe(90)
  })
})

describe('standards', () => {
  it('each has a value in its unit and a source, and limits that belong together are in order', () => {
    for (const [name, { value, unit, source }] of Object.entries(STANDARDS)) {
      expect(Number.isFinite(value), name).toBe(true)
      expect(source.note.length, name).toBeGreaterThan(5)
      if (unit === 's') expect(value % 60, name).toBe(0)
    }
    expect(DANGER_ZONE_C.low).toBeLessThan(DANGER_ZONE_C.high)
    expect(COOLING.to_c).toBeLessThan(COOLING.middle_c)
    expect(COOLING.middle_c).toBeLessThan(COOLING.from_c)
    expect(COOLING.first_s).toBeLessThan(COOLING.whole_s)
    expect(STANDARDS.acidAhead.value).toBeLessThan(STANDARDS.acidLimit.value)
    expect(STANDARDS.cabinet.value).toBeGreaterThan(DANGER_ZONE_C.high)
    expect(STANDARDS.stuffingLeast.value).toBe(donenessScale('poultry').minimum_c)
  })
})
