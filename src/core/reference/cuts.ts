import type { CompositionId } from './composition'
import type { DonenessScaleId } from './doneness'
import { commonPractice, derived, type Source } from './source'

/**
 * How a cut is shaped and how it grows with weight.
 *
 * round: an elliptic cylinder. The section is `thickness_m` by `thickness_m × width` at the usual
 *   weight and swells as weight^growth; the length takes up the rest of the weight.
 * plump: an ellipsoid whose axes stand as 1 : width : length and all grow as weight^(1/3).
 * bird: two ellipsoids of meat, one lobe of the breast and one thigh, each a share of the bird's weight.
 * crown: both lobes of a breast on the bone, without legs or back.
 */
export type CutGeometry =
  | { readonly family: 'round'; readonly thickness_m: number; readonly width: number; readonly growth: number }
  | { readonly family: 'plump'; readonly width: number; readonly length: number }
  | { readonly family: 'bird' }
  | { readonly family: 'crown' }

export type SpeciesWord = 'beef' | 'veal' | 'lamb' | 'pork' | 'turkey' | 'chicken' | 'duck' | 'goose' | 'game bird' | 'venison'

export interface Cut {
  readonly id: string
  readonly name: string
  readonly species: SpeciesWord
  /** What a cook may type for it, lower case; the id's words count too. */
  readonly words: readonly string[]
  readonly geometry: CutGeometry
  readonly composition: CompositionId
  /** On the bone, boneless, or a whole bird. */
  readonly bone: 'in' | 'out' | 'bird'
  /** Bone as a share of the raw weight; it shields one side and takes up little of the heat. Common yields, from memory. */
  readonly boneShare?: number
  /** Rolled, stuffed or otherwise with its outside folded in: not an intact piece. */
  readonly intact: boolean
  /** Usually sliced, but people also cook it until it falls apart. */
  readonly pullsApart?: true
  /** Usual weight, kg: the middle is where the geometry is given. */
  readonly mass_kg: { readonly least: number; readonly usual: number; readonly most: number }
  readonly doneness: DonenessScaleId
  /** The degree a cook gets without asking. */
  readonly usualDoneness: string
  /** Rest before carving, minutes: the least that keeps the juice in, and the longest before it cools. */
  readonly rest_min: { readonly least: number; readonly most: number }
  /** Raw weight a head, kg. */
  readonly perHead_kg: number
  /** What a kitchen serves degrees at, by scale and degree, °C; the scale's own where it says nothing. */
  readonly serves?: Readonly<Record<string, number>>
  /** Weights to buy are rounded up to a step of, kg; 50 g where the kitchen says nothing. */
  readonly buyStep_kg?: number
  /** Where a thickness is measured. */
  readonly measure: string
  /** Where the probe goes. */
  readonly probe: string
  readonly source: Source
}

const round = (thickness_m: number, width: number, growth = 0.15): CutGeometry => ({ family: 'round', thickness_m, width, growth })
const plump = (width: number, length: number): CutGeometry => ({ family: 'plump', width, length })
const bird: CutGeometry = { family: 'bird' }

const tape = commonPractice('Section and proportions as bought from a butcher; sizes from memory of usual trim')
const solid = derived('Proportions as bought; thickness follows from weight and density')

const AT_THICKEST = 'Across the thickest part, the shortest way through'
const EYE = 'Through the eye from top to bottom, at the middle of the piece'
const PROBE_EYE = 'From the end into the centre of the eye, along the grain, off the bone and out of the fat seam'
const PROBE_THICK = 'Into the thickest part, off the bone; push through and draw back to the lowest reading'
const PROBE_BIRD = 'Inner thigh beside the body, off the bone; then the thickest part of the breast'

type Row = Omit<Cut, 'species' | 'composition' | 'doneness' | 'usualDoneness'>
const family =
  (species: SpeciesWord, composition: CompositionId, doneness: DonenessScaleId, usualDoneness: string) =>
  (row: Row & Partial<Pick<Cut, 'composition' | 'doneness' | 'usualDoneness'>>): Cut => ({
    species,
    composition,
    doneness,
    usualDoneness,
    ...row,
  })

const beef = family('beef', 'beef-lean', 'red', 'medium-rare')
const veal = family('veal', 'veal', 'red', 'medium')
const lamb = family('lamb', 'lamb', 'red', 'medium-rare')
const pork = family('pork', 'pork-lean', 'pork', 'rosy')
/** Cured, and cooked by who made it: it is heated and not roasted done. */
const cookedHam = family('pork', 'ham', 'ham', 'warmed-through')
const venison = family('venison', 'game', 'red', 'medium-rare')
const poultry = (species: SpeciesWord) => family(species, 'poultry', 'poultry', 'done')
const waterfowl = (species: SpeciesWord) => family(species, 'waterfowl', 'duck', 'done')

const wholeBird = (id: string, name: string, words: readonly string[], mass_kg: Cut['mass_kg'], rest: [number, number], perHead_kg: number): Row => ({
  id,
  name,
  words,
  geometry: bird,
  bone: 'bird',
  intact: true,
  mass_kg,
  rest_min: { least: rest[0], most: rest[1] },
  perHead_kg,
  measure: 'Depth of the breast from skin to breastbone, beside the keel at its fullest',
  probe: PROBE_BIRD,
  source: solid,
})

/** Every cut Pheasant knows. A house cut overrides any of these values. */
export const CUTS: readonly Cut[] = [
  beef({ id: 'beef-rib-bone-in', name: 'Beef rib, bone in', words: ['beef rib', 'prime rib', 'rib of beef', 'standing rib', 'rib roast', 'fore rib', 'tomahawk'], geometry: round(0.11, 1.6), composition: 'beef-marbled', bone: 'in', boneShare: 0.16, intact: true, mass_kg: { least: 1.2, usual: 3.5, most: 9 }, rest_min: { least: 20, most: 60 }, perHead_kg: 0.45, measure: EYE, probe: PROBE_EYE, source: tape }),
  beef({ id: 'beef-rib-boneless', name: 'Beef rib, boneless', words: ['boneless rib', 'ribeye roast', 'rib eye roast', 'rolled rib'], geometry: round(0.124, 1.25), composition: 'beef-marbled', bone: 'out', intact: true, mass_kg: { least: 0.9, usual: 3, most: 8 }, rest_min: { least: 20, most: 60 }, perHead_kg: 0.3, measure: EYE, probe: PROBE_EYE, source: tape }),
  beef({ id: 'beef-tenderloin', name: 'Beef tenderloin, whole', words: ['tenderloin', 'fillet of beef', 'beef fillet', 'whole tenderloin', 'filet'], geometry: round(0.066, 1.25, 0.2), bone: 'out', intact: true, mass_kg: { least: 1.2, usual: 2.2, most: 3.2 }, rest_min: { least: 10, most: 30 }, perHead_kg: 0.225, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  beef({ id: 'beef-tenderloin-half', name: 'Beef tenderloin, half', words: ['half tenderloin', 'chateaubriand', 'centre-cut tenderloin', 'center-cut tenderloin'], geometry: round(0.064, 1.2, 0.15), bone: 'out', intact: true, mass_kg: { least: 0.5, usual: 1.1, most: 1.6 }, rest_min: { least: 10, most: 25 }, perHead_kg: 0.225, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  beef({ id: 'beef-strip-loin', name: 'Beef strip loin', words: ['strip loin', 'striploin', 'sirloin', 'roasting sirloin', 'strip roast'], geometry: round(0.085, 1.9), composition: 'beef-marbled', bone: 'out', intact: true, mass_kg: { least: 1, usual: 3, most: 7 }, rest_min: { least: 15, most: 45 }, perHead_kg: 0.25, measure: EYE, probe: PROBE_EYE, source: tape }),
  beef({ id: 'beef-tri-tip', name: 'Beef tri-tip', words: ['tri-tip', 'tri tip'], geometry: plump(2.6, 4.8), bone: 'out', intact: true, mass_kg: { least: 0.6, usual: 1, most: 1.6 }, rest_min: { least: 10, most: 20 }, perHead_kg: 0.23, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  beef({ id: 'beef-eye-of-round', name: 'Beef eye of round', words: ['eye of round', 'eye round', 'silverside eye'], geometry: round(0.072, 1.25), bone: 'out', intact: true, mass_kg: { least: 0.7, usual: 1.3, most: 3 }, rest_min: { least: 15, most: 30 }, perHead_kg: 0.22, measure: EYE, probe: PROBE_EYE, source: tape }),
  beef({ id: 'beef-round-or-rump', name: 'Beef round or rump', words: ['beef round', 'rump', 'rump roast', 'topside', 'top round', 'round roast'], geometry: plump(1.55, 2), bone: 'out', intact: true, pullsApart: true, mass_kg: { least: 0.9, usual: 1.8, most: 6 }, rest_min: { least: 15, most: 40 }, perHead_kg: 0.23, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  beef({ id: 'beef-shoulder', name: 'Beef shoulder', words: ['chuck', 'chuck roast', 'beef shoulder', 'blade'], geometry: plump(1.4, 1.9), composition: 'beef-marbled', doneness: 'tender', usualDoneness: 'pull-apart', bone: 'out', intact: true, mass_kg: { least: 1, usual: 2, most: 5 }, rest_min: { least: 15, most: 60 }, perHead_kg: 0.28, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  beef({ id: 'beef-brisket', name: 'Beef brisket', words: ['brisket'], geometry: round(0.065, 3.5), composition: 'beef-marbled', doneness: 'tender', usualDoneness: 'pull-apart', bone: 'out', intact: true, mass_kg: { least: 1, usual: 3, most: 7.5 }, rest_min: { least: 20, most: 120 }, perHead_kg: 0.35, measure: 'Through the thickest part, laid flat', probe: 'From the side into the middle of the thickest part, along the grain', source: tape }),
  beef({ id: 'beef-short-ribs', name: 'Beef short ribs', words: ['short rib', 'plate ribs', 'beef plate ribs', "jacob's ladder", 'short plate'], geometry: round(0.055, 2.6, 0.1), composition: 'beef-marbled', doneness: 'tender', usualDoneness: 'pull-apart', bone: 'in', boneShare: 0.25, intact: true, mass_kg: { least: 0.6, usual: 2, most: 4.5 }, rest_min: { least: 15, most: 60 }, perHead_kg: 0.45, measure: 'Through the meat down to the bone, at its thickest', probe: 'Into the middle of the meat between two bones, along the grain', source: tape }),
  veal({ id: 'veal-rib', name: 'Veal rib', words: ['veal rack', 'veal rib roast'], geometry: round(0.1, 1.4), bone: 'in', boneShare: 0.2, intact: true, mass_kg: { least: 1, usual: 2.2, most: 5 }, rest_min: { least: 15, most: 35 }, perHead_kg: 0.35, measure: EYE, probe: PROBE_EYE, source: tape }),
  veal({ id: 'veal-loin', name: 'Veal loin', words: ['veal loin roast'], geometry: round(0.1, 1.4), bone: 'in', boneShare: 0.2, intact: true, mass_kg: { least: 0.9, usual: 1.7, most: 5 }, rest_min: { least: 15, most: 35 }, perHead_kg: 0.3, measure: EYE, probe: PROBE_EYE, source: tape }),
  veal({ id: 'veal-leg', name: 'Veal leg', words: ['leg of veal', 'veal rump', 'veal round', 'veal topside', 'cushion of veal', 'nut of veal'], geometry: plump(1.5, 2), bone: 'out', intact: true, mass_kg: { least: 0.8, usual: 2, most: 6 }, rest_min: { least: 15, most: 40 }, perHead_kg: 0.23, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  veal({ id: 'veal-shoulder', name: 'Veal shoulder, boned and rolled', words: ['shoulder of veal', 'veal shoulder', 'rolled veal shoulder'], geometry: round(0.11, 1.15, 0.25), doneness: 'tender', usualDoneness: 'sliceable', bone: 'out', intact: false, mass_kg: { least: 0.9, usual: 2, most: 4 }, rest_min: { least: 15, most: 45 }, perHead_kg: 0.28, measure: 'Across the roll at its middle', probe: 'Into the centre of the roll from one end', source: tape }),
  veal({ id: 'veal-breast', name: 'Veal breast', words: ['breast of veal', 'boned veal breast'], geometry: round(0.045, 4.5, 0.1), doneness: 'tender', usualDoneness: 'pull-apart', bone: 'out', intact: true, mass_kg: { least: 0.8, usual: 2, most: 5 }, rest_min: { least: 15, most: 45 }, perHead_kg: 0.35, measure: 'Through the thickest part, laid flat', probe: 'From the side into the middle of the thickest part, along the grain', source: tape }),
  lamb({ id: 'lamb-leg-bone-in', name: 'Lamb leg, bone in', words: ['lamb leg', 'leg of lamb', 'gigot'], geometry: plump(1.3, 2.8), bone: 'in', boneShare: 0.18, intact: true, pullsApart: true, mass_kg: { least: 1.4, usual: 2.6, most: 4.5 }, rest_min: { least: 15, most: 45 }, perHead_kg: 0.4, measure: 'Across the fleshy end, the shortest way through', probe: PROBE_THICK, source: solid }),
  lamb({ id: 'lamb-leg-boneless-rolled', name: 'Lamb leg, boned and rolled', words: ['boneless leg of lamb', 'rolled leg of lamb', 'lamb leg boneless', 'lamb leg rolled'], geometry: round(0.115, 1.1, 0.33), bone: 'out', intact: false, pullsApart: true, mass_kg: { least: 1, usual: 2, most: 3.6 }, rest_min: { least: 15, most: 40 }, perHead_kg: 0.28, measure: 'Across the roll at its middle', probe: 'Into the centre of the roll from one end', source: tape }),
  lamb({ id: 'lamb-leg-butterflied', name: 'Lamb leg, butterflied', words: ['butterflied leg of lamb', 'butterflied leg', 'lamb leg butterflied', 'butterflied lamb'], geometry: round(0.05, 4, 0.25), bone: 'out', intact: true, mass_kg: { least: 1, usual: 1.8, most: 3.2 }, rest_min: { least: 10, most: 25 }, perHead_kg: 0.28, measure: 'Through the thickest lobe, laid flat', probe: PROBE_THICK, source: tape }),
  lamb({ id: 'lamb-shoulder', name: 'Lamb shoulder', words: ['shoulder of lamb'], geometry: plump(1.7, 2.2), doneness: 'tender', usualDoneness: 'pull-apart', bone: 'in', boneShare: 0.2, intact: true, mass_kg: { least: 1.2, usual: 2.2, most: 3.8 }, rest_min: { least: 15, most: 60 }, perHead_kg: 0.45, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  lamb({ id: 'lamb-shank', name: 'Lamb shank', words: ['shank of lamb', 'hind shank'], geometry: plump(1.1, 2.2), doneness: 'tender', usualDoneness: 'pull-apart', bone: 'in', boneShare: 0.3, intact: true, mass_kg: { least: 0.25, usual: 0.42, most: 0.8 }, rest_min: { least: 10, most: 30 }, perHead_kg: 0.42, measure: 'Across the fleshy end, the shortest way through', probe: PROBE_THICK, source: solid }),
  lamb({ id: 'lamb-neck', name: 'Lamb neck', words: ['neck of lamb'], geometry: round(0.08, 1.2, 0.2), doneness: 'tender', usualDoneness: 'pull-apart', bone: 'in', boneShare: 0.25, intact: true, mass_kg: { least: 0.4, usual: 1, most: 2 }, rest_min: { least: 10, most: 40 }, perHead_kg: 0.4, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  lamb({ id: 'lamb-breast-rolled', name: 'Lamb breast, rolled', words: ['breast of lamb', 'rolled breast of lamb', 'lamb breast'], geometry: round(0.075, 1.15, 0.25), doneness: 'tender', usualDoneness: 'pull-apart', bone: 'out', intact: false, mass_kg: { least: 0.5, usual: 1.1, most: 2.2 }, rest_min: { least: 10, most: 40 }, perHead_kg: 0.3, measure: 'Across the roll at its middle', probe: 'Into the centre of the roll from one end', source: tape }),
  lamb({ id: 'lamb-loin', name: 'Lamb loin, boned and rolled', words: ['loin of lamb', 'lamb loin', 'boneless loin of lamb', 'lamb loin boneless', 'rolled loin of lamb', 'lamb loin rolled'], geometry: round(0.078, 1.15, 0.2), bone: 'out', intact: false, mass_kg: { least: 0.6, usual: 1.1, most: 2 }, rest_min: { least: 10, most: 25 }, perHead_kg: 0.2, measure: 'Across the roll at its middle', probe: 'Into the centre of the roll from one end', source: tape }),
  lamb({ id: 'lamb-cannon', name: 'Lamb cannon', words: ['cannon of lamb', 'lamb loin eye', 'eye of lamb loin', 'lamb backstrap'], geometry: round(0.045, 1.25), bone: 'out', intact: true, mass_kg: { least: 0.15, usual: 0.3, most: 0.6 }, rest_min: { least: 5, most: 12 }, perHead_kg: 0.16, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  lamb({ id: 'lamb-rump', name: 'Lamb rump', words: ['rump of lamb', 'lamb chump', 'chump of lamb'], geometry: round(0.05, 1.5, 0.25), bone: 'out', intact: true, mass_kg: { least: 0.2, usual: 0.32, most: 1.2 }, rest_min: { least: 6, most: 15 }, perHead_kg: 0.22, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  lamb({ id: 'lamb-saddle', name: 'Lamb saddle', words: ['saddle of lamb', 'saddle of hogget'], geometry: round(0.085, 1.7), bone: 'in', boneShare: 0.2, intact: true, mass_kg: { least: 1.2, usual: 2.5, most: 5 }, rest_min: { least: 15, most: 35 }, perHead_kg: 0.35, measure: 'Through one loin down to the backbone and on, at the middle', probe: 'From the end into the centre of one loin, off the backbone', source: tape }),
  lamb({ id: 'lamb-rack', name: 'Lamb rack', words: ['rack of lamb'], geometry: round(0.052, 1.45), bone: 'in', boneShare: 0.25, intact: true, mass_kg: { least: 0.4, usual: 0.7, most: 1.6 }, rest_min: { least: 8, most: 20 }, perHead_kg: 0.25, measure: EYE, probe: PROBE_EYE, source: tape }),
  pork({ id: 'pork-loin', name: 'Pork loin, boneless', words: ['loin of pork', 'pork loin roast', 'pork loin boneless', 'boneless pork loin'], geometry: round(0.07, 1.4), bone: 'out', intact: true, mass_kg: { least: 0.8, usual: 1.8, most: 5 }, rest_min: { least: 10, most: 30 }, perHead_kg: 0.23, measure: EYE, probe: PROBE_EYE, source: tape }),
  pork({ id: 'pork-loin-stuffed-rolled', name: 'Pork loin, stuffed and rolled', words: ['stuffed pork loin', 'rolled pork loin', 'pork loin stuffed', 'porchetta'], geometry: round(0.11, 1.1), bone: 'out', intact: false, usualDoneness: 'well-done', mass_kg: { least: 1, usual: 2.2, most: 5 }, rest_min: { least: 12, most: 30 }, perHead_kg: 0.25, measure: 'Across the roll at its middle', probe: 'Into the centre of the stuffing from one end', source: tape }),
  pork({ id: 'pork-rib-rack', name: 'Pork rib rack', words: ['rack of pork', 'pork rib roast', 'bone-in pork loin', 'pork loin bone-in', 'pork rack'], geometry: round(0.09, 1.5), bone: 'in', boneShare: 0.2, intact: true, mass_kg: { least: 1.2, usual: 2.6, most: 6 }, rest_min: { least: 15, most: 35 }, perHead_kg: 0.35, measure: EYE, probe: PROBE_EYE, source: tape }),
  pork({ id: 'pork-tenderloin', name: 'Pork tenderloin', words: ['pork fillet'], geometry: round(0.047, 1.2, 0.25), bone: 'out', intact: true, mass_kg: { least: 0.25, usual: 0.5, most: 0.9 }, rest_min: { least: 5, most: 12 }, perHead_kg: 0.115, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  pork({ id: 'pork-shoulder', name: 'Pork shoulder', words: ['shoulder of pork', 'pork butt', 'boston butt', 'pork neck'], geometry: plump(1.3, 1.6), composition: 'pork-fat', doneness: 'tender', usualDoneness: 'pull-apart', bone: 'out', intact: true, mass_kg: { least: 1.2, usual: 2.8, most: 6 }, rest_min: { least: 20, most: 90 }, perHead_kg: 0.35, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  pork({ id: 'pork-knuckle', name: 'Pork knuckle', words: ['knuckle of pork', 'pork hock', 'pork shank', 'schweinshaxe'], geometry: plump(1.15, 1.6), composition: 'pork-fat', doneness: 'tender', usualDoneness: 'pull-apart', bone: 'in', boneShare: 0.3, intact: true, mass_kg: { least: 0.6, usual: 1.2, most: 2.2 }, rest_min: { least: 10, most: 30 }, perHead_kg: 0.7, measure: 'Across the fleshy end, the shortest way through', probe: PROBE_THICK, source: solid }),
  pork({ id: 'fresh-ham', name: 'Fresh ham, whole', words: ['leg of pork', 'pork leg', 'whole fresh ham'], geometry: plump(1.2, 1.9), composition: 'pork-fat', bone: 'in', boneShare: 0.13, intact: true, usualDoneness: 'just-done', pullsApart: true, mass_kg: { least: 4, usual: 6.4, most: 9 }, rest_min: { least: 20, most: 60 }, perHead_kg: 0.4, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  pork({ id: 'fresh-ham-half', name: 'Fresh ham, half', words: ['half fresh ham', 'half leg of pork', 'half pork leg'], geometry: plump(1.15, 1.3), composition: 'pork-fat', bone: 'in', boneShare: 0.13, intact: true, usualDoneness: 'just-done', pullsApart: true, mass_kg: { least: 1.8, usual: 3, most: 5 }, rest_min: { least: 20, most: 45 }, perHead_kg: 0.4, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  pork({ id: 'pork-belly', name: 'Pork belly', words: ['belly of pork', 'belly pork', 'slab of belly'], geometry: round(0.045, 5, 0.1), composition: 'pork-belly', doneness: 'tender', usualDoneness: 'pull-apart', bone: 'out', intact: true, mass_kg: { least: 0.6, usual: 1.8, most: 5 }, rest_min: { least: 10, most: 30 }, perHead_kg: 0.3, measure: 'Through the thickest part, skin and all', probe: 'From the side into the middle of the meat, between two layers of fat', source: tape }),
  pork({ id: 'smoked-ham', name: 'Ham or gammon, cured', words: ['gammon', 'smoked ham', 'cured ham', 'country ham', 'gammon joint'], geometry: plump(1.2, 1.9), composition: 'ham', bone: 'in', boneShare: 0.13, intact: true, usualDoneness: 'just-done', mass_kg: { least: 3, usual: 5.5, most: 9 }, rest_min: { least: 15, most: 60 }, perHead_kg: 0.35, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  pork({ id: 'smoked-ham-half', name: 'Ham or gammon, cured, half', words: ['half gammon', 'half smoked ham', 'half cured ham'], geometry: plump(1.15, 1.3), composition: 'ham', bone: 'in', boneShare: 0.13, intact: true, usualDoneness: 'just-done', mass_kg: { least: 0.9, usual: 2.7, most: 4.5 }, rest_min: { least: 15, most: 60 }, perHead_kg: 0.35, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  cookedHam({ id: 'cooked-ham', name: 'Cooked ham, whole', words: ['cooked ham', 'fully cooked ham', 'spiral ham', 'city ham', 'ready-cooked ham', 'baked ham'], geometry: plump(1.2, 1.9), bone: 'in', boneShare: 0.13, intact: true, mass_kg: { least: 3, usual: 5.5, most: 9 }, rest_min: { least: 10, most: 60 }, perHead_kg: 0.3, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  cookedHam({ id: 'cooked-ham-half', name: 'Cooked ham, half', words: ['half cooked ham', 'half spiral ham'], geometry: plump(1.15, 1.3), bone: 'in', boneShare: 0.13, intact: true, mass_kg: { least: 0.9, usual: 2.7, most: 4.5 }, rest_min: { least: 10, most: 60 }, perHead_kg: 0.3, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
  poultry('turkey')(wholeBird('turkey', 'Turkey', ['whole turkey', 'turkey whole'], { least: 2.5, usual: 6, most: 14 }, [20, 60], 0.55)),
  poultry('turkey')({ id: 'turkey-breast-bone-in', name: 'Turkey breast, bone in', words: ['turkey breast', 'turkey crown'], geometry: { family: 'crown' }, bone: 'in', boneShare: 0.18, intact: true, mass_kg: { least: 1.2, usual: 2.4, most: 4.5 }, rest_min: { least: 15, most: 35 }, perHead_kg: 0.35, measure: 'Depth from skin to breastbone at the fullest', probe: PROBE_THICK, source: solid }),
  poultry('turkey')({ id: 'turkey-breast-boneless', name: 'Turkey breast, boned and rolled', words: ['boneless turkey breast', 'rolled turkey breast', 'turkey breast joint', 'turkey roll', 'turkey breast boneless'], geometry: round(0.1, 1.25, 0.3), bone: 'out', intact: false, mass_kg: { least: 0.6, usual: 1.8, most: 4 }, rest_min: { least: 10, most: 30 }, perHead_kg: 0.22, measure: 'Across the roll at its middle', probe: 'Into the centre of the roll from one end', source: tape }),
  poultry('chicken')(wholeBird('chicken', 'Chicken', ['whole chicken', 'chicken whole', 'roast chicken'], { least: 0.9, usual: 1.7, most: 3.2 }, [10, 30], 0.45)),
  poultry('chicken')(wholeBird('capon', 'Capon', ['whole capon'], { least: 1.6, usual: 2.8, most: 4.5 }, [15, 35], 0.45)),
  poultry('chicken')(wholeBird('cornish-hen', 'Cornish hen', ['cornish game hen', 'poussin'], { least: 0.35, usual: 0.6, most: 1 }, [8, 20], 0.5)),
  poultry('game bird')(wholeBird('partridge', 'Partridge', ['roast partridge', 'grey partridge', 'red-legged partridge'], { least: 0.25, usual: 0.4, most: 0.6 }, [6, 15], 0.4)),
  poultry('game bird')(wholeBird('grouse', 'Grouse', ['roast grouse', 'red grouse'], { least: 0.25, usual: 0.42, most: 0.7 }, [6, 15], 0.42)),
  poultry('game bird')(wholeBird('quail', 'Quail', ['roast quail'], { least: 0.12, usual: 0.18, most: 0.3 }, [5, 12], 0.3)),
  waterfowl('duck')(wholeBird('duck', 'Duck', ['whole duck', 'duckling'], { least: 1.2, usual: 2.2, most: 3.5 }, [10, 30], 0.6)),
  waterfowl('duck')({ id: 'duck-crown', name: 'Duck crown', words: ['crown of duck', 'duck breast crown'], geometry: { family: 'crown' }, bone: 'in', boneShare: 0.18, intact: true, mass_kg: { least: 0.6, usual: 1.2, most: 2 }, rest_min: { least: 10, most: 20 }, perHead_kg: 0.4, measure: 'Depth from skin to breastbone at the fullest', probe: PROBE_THICK, source: solid }),
  waterfowl('goose')(wholeBird('goose', 'Goose', ['whole goose'], { least: 3, usual: 4.5, most: 7 }, [20, 45], 0.7)),
  poultry('game bird')(wholeBird('guinea-fowl', 'Guinea fowl', ['guinea hen', 'guineafowl'], { least: 0.8, usual: 1.3, most: 2 }, [10, 25], 0.45)),
  poultry('game bird')(wholeBird('pheasant', 'Pheasant', ['roast pheasant', 'cock pheasant', 'hen pheasant'], { least: 0.6, usual: 1, most: 1.7 }, [10, 20], 0.5)),
  venison({ id: 'venison-loin', name: 'Venison loin', words: ['loin of venison', 'venison backstrap', 'venison fillet', 'backstrap'], geometry: round(0.06, 1.3), bone: 'out', intact: true, mass_kg: { least: 0.4, usual: 1.1, most: 2.5 }, rest_min: { least: 8, most: 20 }, perHead_kg: 0.2, measure: AT_THICKEST, probe: PROBE_THICK, source: tape }),
  venison({ id: 'venison-haunch', name: 'Venison haunch', words: ['haunch of venison', 'venison leg', 'leg of venison'], geometry: plump(1.3, 2.2), bone: 'in', boneShare: 0.15, intact: true, pullsApart: true, mass_kg: { least: 1.5, usual: 3, most: 7 }, rest_min: { least: 15, most: 40 }, perHead_kg: 0.35, measure: AT_THICKEST, probe: PROBE_THICK, source: solid }),
]

/**
 * The cut with this id, or undefined.
 * @example findCut('turkey').name // 'Turkey'
 */
export const findCut = (id: string): Cut | undefined => CUTS.find((cut) => cut.id === id)

/** What is done to the shape of a piece before it is cooked: tied round, a bird pressed flat, a slab trimmed even. */
export type Shaping = 'tie' | 'flatten' | 'even'
/** So many times as wide as it is thick no string makes it round. */
const SLAB_WIDTH = 2.5

/**
 * How a piece is shaped before it is cooked; undefined where it is as it is bought.
 * @param legs how a bird's legs lie
 * @example shapingOf(findCut('turkey'), 'flat') // 'flatten'
 */
export function shapingOf({ geometry }: Cut, legs?: 'tied' | 'open' | 'flat'): Shaping | undefined {
  if (geometry.family === 'bird') return legs === 'flat' ? 'flatten' : 'tie'
  if (geometry.family === 'round') return geometry.width >= SLAB_WIDTH ? 'even' : 'tie'
  return undefined
}

/**
 * Whether a piece has been in salt already, and wants none.
 * @example isCured({ composition: 'ham' }) // true
 */
export const isCured = ({ composition }: Pick<Cut, 'composition'>): boolean => composition === 'ham'

/**
 * Whether it is the meat of a bird, whole or a part of one: what keeps poultry safe is asked of it.
 * @example isPoultry(findCut('turkey-breast-boneless')) // true
 */
export const isPoultry = ({ geometry, composition }: Pick<Cut, 'geometry' | 'composition'>): boolean =>
  geometry.family === 'bird' || geometry.family === 'crown' || composition === 'poultry' || composition === 'waterfowl'
