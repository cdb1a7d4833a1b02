import type { PieceSize } from '@/core/heat/piece'
import type { TendingAct } from '@/core/program/stage'
import type { TenderEnd } from '@/core/reference/tenderness'
import type { HouseItem } from '../house/house-item'
import type { Span } from '../problem/problem'
import type { StagePart } from '../roast/roast-document'
import type { CutTraits } from './cut-names'

/** A temperature as it was said; its unit may have to be guessed from what makes sense. */
export interface SaidHeat {
  readonly value: number
  readonly unit: 'c' | 'f' | undefined
}

/** One stretch of heat as it was said. */
export interface SaidStage {
  readonly on: 'oven' | 'fan' | 'pan' | 'fire' | 'bath' | 'off' | 'cold'
  readonly heat?: SaidHeat | undefined
  /** As hot, or as low, as it is usual for what is roasted. */
  readonly usual?: 'hot' | 'low' | undefined
  readonly minutes?: number | undefined
  /** Minutes for each kilogram, where they are said so. */
  readonly per_kg_min?: number | undefined
  /** A reading it goes to. */
  readonly core?: SaidHeat | undefined
  readonly cover?: 'bare' | 'tent' | 'foil' | 'bag' | undefined
  readonly breastDown?: boolean | undefined
  /** Seared, and nobody says when: first, where more heat is said after it. */
  readonly sear?: true | undefined
  /** The last stretch of its time in the heat: no rest before it, where the time before it is said. */
  readonly last?: true | undefined
  /** After the rest, for the crust. */
  readonly finish?: boolean | undefined
  /** Where no heat is said before it, it is all the heat there is. */
  readonly ifHeated?: true | undefined
  /** Said as what comes after another heat: then, down to. */
  readonly follows?: boolean | undefined
  /** As hot as what was said before, for so long more. */
  readonly again?: true | undefined
  /** Said as what it begins with, wherever it stands. */
  readonly first?: true | undefined
  /** What comes before it lasts so long. */
  readonly after_min?: number | undefined
}

/** When something is done while it cooks: a share of its stage, before its end, after its beginning, at a reading. */
export type SaidMoment =
  | { readonly share: number }
  | { readonly before_end_min: number }
  | { readonly at_min: number }
  | { readonly core: SaidHeat }

/** One thing that some words of a line say. */
export type Fact =
  | {
      readonly kind: 'cut'
      readonly ids: readonly string[]
      readonly count: number
      /** Ribs of one roast, not so many roasts. */
      readonly bones?: number
      /** Named before: more is said of that, and it is no second one. */
      readonly again?: true
    }
  | { readonly kind: 'bones'; readonly bones: number }
  | {
      readonly kind: 'traits'
      readonly traits: CutTraits
      readonly handling?: 'tenderised' | 'injected' | 'rolled' | 'stuffed'
    }
  | {
      readonly kind: 'mass'
      /** Of one piece, or for one guest. */
      readonly kg: number
      readonly each?: 'guest'
      /** Of every roast that has no weight of its own. */
      readonly apiece?: true
      /** How many pieces weigh so much. */
      readonly count?: number
      /** Of one piece after the other, where each has its own. */
      readonly kgs?: readonly number[]
    }
  /** How many there are of what was named before. */
  | {
      readonly kind: 'pieces'
      readonly count: number
      /** What was weighed is all of them, or it is where no one of them is so heavy. */
      readonly ofAll?: 'said' | 'perhaps'
      /** So many besides those that were named. */
      readonly more?: true
    }
  | { readonly kind: 'thickness'; readonly mm: number }
  | { readonly kind: 'start'; readonly heat?: SaidHeat; readonly temper_min?: number }
  | { readonly kind: 'stage'; readonly stage: SaidStage }
  /** A time that stands for itself: so long in the one heat that is said. */
  | { readonly kind: 'span'; readonly minutes: number; readonly slow?: true }
  | {
      readonly kind: 'heat'
      readonly heat: SaidHeat
      readonly on?: SaidStage['on']
      /** In a smoker: gently, and nothing over the coals at the end. */
      readonly smoked?: true
      /** Three figures and no word of an oven. */
      readonly bare?: true
    }
  /** It goes in before the oven is hot. */
  | { readonly kind: 'cold_oven' }
  | { readonly kind: 'oven'; readonly oven: 'still' | 'fan' }
  /** As long as usual where no minutes are said. */
  | { readonly kind: 'rest'; readonly minutes?: number }
  | { readonly kind: 'second'; readonly heat?: SaidHeat; readonly minutes?: number }
  /** Kept warm so hot, for so long, once it has rested. */
  | {
      readonly kind: 'hold'
      readonly heat: SaidHeat
      readonly minutes?: number
      /** Kept until this hour, as it was said. */
      readonly until?: string
    }
  /** With how long its first stretch lasts, where that is said with it. */
  | { readonly kind: 'school'; readonly id: string; readonly minutes?: number }
  | { readonly kind: 'doneness'; readonly word: string }
  | {
      readonly kind: 'serve'
      readonly heat: SaidHeat
      /** Only its size says that it is of the core. */
      readonly bare?: true
    }
  | { readonly kind: 'pull'; readonly heat: SaidHeat; readonly point?: string }
  | { readonly kind: 'surface'; readonly surface: 'plain' | 'dry_salted' | 'buttered' }
  | {
      readonly kind: 'preparation'
      readonly preparation: 'none' | 'dry_salt' | 'wet_brine' | 'marinade' | 'acid_marinade'
      readonly note?: string
    }
  | { readonly kind: 'frozen'; readonly thaws?: 'water' | 'out' }
  | { readonly kind: 'stuffing'; readonly where: 'cavity' | 'neck' | 'dish' | 'none' }
  | { readonly kind: 'legs'; readonly legs: NonNullable<PieceSize['legs']> }
  | { readonly kind: 'cover'; readonly cover: 'bare' | 'tent' | 'foil' | 'bag' }
  | {
      readonly kind: 'tending'
      readonly act: TendingAct
      readonly times?: number
      readonly every_min?: number
      readonly moments?: readonly SaidMoment[]
      /** Wrapped tight, where a cover by itself lies loosely. */
      readonly sealed?: true
      /** "Wrapped at 160": a reading, or an oven. */
      readonly bare?: true
      /** As it was said, where there is more to it than when. */
      readonly said?: string
    }
  /** Until it is so tender, whatever the reading. */
  | { readonly kind: 'tender'; readonly degree: TenderEnd }
  | { readonly kind: 'note'; readonly text: string }
  | { readonly kind: 'guests'; readonly guests: number }
  | {
      readonly kind: 'wish'
      readonly count: number
      readonly word: string
      /** "Medium for four": where nobody else is named these are all who eat. */
      readonly perhapsAll?: true
    }
  /** So much of the table wants it so; what is left of it where no share is said. */
  | { readonly kind: 'share'; readonly share?: number; readonly word: string }
  | { readonly kind: 'vulnerable' }
  | { readonly kind: 'batches'; readonly count: number; readonly apart_min: number }
  | { readonly kind: 'away'; readonly minutes: number }
  | { readonly kind: 'side'; readonly id: string; readonly title: string }
  | {
      readonly kind: 'moment'
      readonly at_s: number
      /** What of it was said: the rest is the usual. */
      readonly said: 'both' | 'day' | 'clock'
      /** When the guests come, something else is served, until when it is held, or the name of a meal: they eat then where nothing else is said. */
      readonly weak?: 'arrival' | 'course' | 'held' | 'meal'
      /** Its half of the day was not said. */
      readonly halfTaken?: true
      /** It was said that they eat then, or sit down. */
      readonly led?: true
    }
  /** So many pieces at an hour of their own: more of them, what is left, or some of those that were said. */
  | {
      readonly kind: 'again'
      readonly count: number
      readonly which: 'more' | 'rest' | 'some'
      readonly at_s: number
      readonly said: 'both' | 'clock'
    }
  /** In the heat through the night: the table is the next day's. */
  | { readonly kind: 'overnight' }
  /** How far the oven is hotter than its dial, in the degrees that are said: below zero it is colder. */
  | { readonly kind: 'offset'; readonly by: number; readonly unit: SaidHeat['unit'] }
  /** Above the sea, m. */
  | { readonly kind: 'altitude'; readonly m: number }
  /** How many ovens there are for it. */
  | { readonly kind: 'ovens'; readonly count: number }
  /** When it goes into the heat, or went in already, s since 1970: of one roast it says when it is eaten. */
  | {
      readonly kind: 'put_in'
      readonly at_s: number
      readonly already?: true
      /** Its half of the day was said: half past nine in the evening is not in the morning. */
      readonly halfSaid?: true
    }
  /** A stage written out in full, as a plan is read back. */
  | { readonly kind: 'written'; readonly stage: StagePart }
  /** The kitchen's own cut or program, by its name. */
  | { readonly kind: 'house'; readonly item: HouseItem['document'] }
  /** A way of cooking that is none of ours: deep fried, on a spit. */
  | { readonly kind: 'another_way' }
  | { readonly kind: 'filler' }

/** What some words of a line were taken to mean. */
export interface Meaning extends Span {
  readonly fact: Fact
  /** Words that were misspelt, as they were typed. */
  readonly mended: readonly string[]
  /** A comma or the like stands before it. */
  readonly parted: boolean
}
