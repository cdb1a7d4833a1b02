import type { PieceSize } from '@/core/heat/piece'
import type { TenderEnd } from '@/core/reference/tenderness'
import type { HouseItem } from '../house/house-item'
import type { HouseStandards } from '../house/standards'
import type { HouseWays } from '../house/ways'
import type { Span } from '../problem/problem'
import type { StagePart } from '../roast/roast-document'
import type { Fact, Meaning, SaidStage } from './fact'
import type { Seating } from './seatings'

/** One roast as a line says it: what was left out is undefined. Temperatures in °C, masses in kg. */
export interface SaidRoast {
  readonly cut: string
  readonly count: number
  readonly mass_kg: number
  readonly thickness_mm?: number
  readonly start_c?: number
  readonly temper_min?: number
  readonly surface?: 'plain' | 'dry_salted' | 'buttered'
  readonly handling?: 'rolled' | 'stuffed' | 'tenderised' | 'injected'
  readonly stuffed?: boolean
  readonly legs?: NonNullable<PieceSize['legs']>
  readonly preparation?: 'none' | 'dry_salt' | 'wet_brine' | 'marinade' | 'acid_marinade'
  readonly frozen?: boolean
  readonly thaws?: 'water' | 'out'
  readonly oven?: 'still' | 'fan'
  readonly set_c?: number
  /** In a smoker, or beside the coals to the end. */
  readonly smoked?: true
  readonly school?: string
  readonly second_c?: number
  readonly second_min?: number
  readonly rest_min?: number
  /** It rests once more after its hot finish. */
  readonly restAfter_min?: number
  /** Kept warm once it has rested, °C, and for how long. */
  readonly hold_c?: number
  readonly hold_min?: number
  readonly cover?: 'bare' | 'tent' | 'foil' | 'bag'
  readonly tending: readonly Extract<Fact, { kind: 'tending' }>[]
  /** Stretches of heat in their order. */
  readonly stages: readonly HeatedStage[]
  readonly doneness?: string
  /** Until it is so tender, whatever it reads. */
  readonly tender?: TenderEnd
  readonly serve_c?: number
  /** A reading to pull at, °C. */
  readonly pull_c?: number
  /** Stages written out in full. */
  readonly written: readonly StagePart[]
  /** The kitchen's own cut, and program, that it was called by. */
  readonly houseCut?: Extract<HouseItem['document'], { kind: 'cut' }>
  readonly houseProgram?: Extract<HouseItem['document'], { kind: 'program' }>
  /** What is remembered but not computed with. */
  readonly notes: readonly string[]
}
/** A stretch of heat with its temperatures in °C. */
export type HeatedStage = Omit<SaidStage, 'heat' | 'core' | 'follows' | 'again' | 'after_min' | 'sear' | 'ifHeated'> & {
  readonly set_c?: number | undefined
  readonly core_c?: number | undefined
}

/** A question that a line leaves open: what was taken, and what one tap would make of it. */
export type Ask =
  | { readonly code: 'which_cut'; readonly at: Span; readonly taken: string; readonly options: readonly Choice[] }
  | { readonly code: 'no_cut'; readonly options: readonly Choice[] }
  | {
      readonly code: 'how_heavy'
      readonly cut: string
      readonly taken_kg: number
      /** So many of that weight, where it takes more than one for those who eat. */
      readonly pieces?: number
      readonly options: readonly Choice[]
    }
  | {
      readonly code: 'what_is'
      readonly at: Span
      readonly words: string
      /** The cut that it is understood of, and cannot be planned for. */
      readonly not_of?: string
      readonly options: readonly Choice[]
    }
  | {
      readonly code: 'what_time'
      /** So long from now is taken, or from when it goes in, h. */
      readonly taken_h: number
      /** When it goes in, where that was said instead, s since 1970. */
      readonly put_in_s?: number
      readonly options: readonly Choice[]
    }
  | {
      /** When it is put in was said beside when they eat, and follows from that. */
      readonly code: 'goes_in'
      readonly at: Span
      readonly words: string
      readonly options: readonly Choice[]
    }
  | {
      readonly code: 'said_twice'
      readonly at: Span
      readonly what: Fact['kind']
      /** Two hours that are of two meals: on two days, or from morning to night. */
      readonly meals?: true
      /** Their days differ, whatever their hours. */
      readonly days?: true
      /** The hour that is taken, as it was typed. */
      readonly taken?: string
      readonly options: readonly Choice[]
    }
  | {
      /** A weekday beside a date that is another. */
      readonly code: 'day_of_date'
      readonly at: Span
      /** As they were typed. */
      readonly words: string
      /** The day of the week that the date is, 0 a Sunday: it is taken. */
      readonly weekday: number
      readonly options: readonly Choice[]
    }
  | {
      readonly code: 'not_a_word_for_it'
      readonly at: Span
      readonly word: string
      readonly taken: string
      readonly options: readonly Choice[]
    }
/** Schools of one heat: of any other a line has said more than when it goes in. */
export const OF_ONE_HEAT: ReadonlySet<string> = new Set(['steady', 'low-and-long'])

/** One answer: what it says, and the line that it makes. */
export interface Choice {
  readonly says: string
  readonly line: string
}

/** What one typed line says, word by word and as a whole. */
export interface LineReading {
  readonly meanings: readonly Meaning[]
  readonly roasts: readonly SaidRoast[]
  readonly sides: readonly { readonly id: string; readonly title: string }[]
  readonly guests?: number
  readonly wishes: Readonly<Record<string, number>>
  readonly vulnerable: boolean
  /** So many batches of the same, and how far apart, minutes. */
  readonly batches?: { readonly count: number; readonly apart_min: number }
  /** Which pieces are eaten when, where not all are at one hour. */
  readonly seatings?: readonly Seating[]
  /** The way there, packed hot, minutes. */
  readonly away_min?: number
  /** How far the true mean of the oven lies above its dial, K. */
  readonly oven_k?: number
  /** How high the kitchen lies, m. */
  readonly altitude_m?: number
  /** How many ovens there are for it. */
  readonly ovens?: number
  /** How the kitchen does what a line does not say. */
  readonly ways: HouseWays
  readonly standards: HouseStandards
  /** s since 1970; undefined where no time was said. */
  readonly promise_s?: number
  /** When it was said to go in, s since 1970. */
  readonly put_in_s?: number
  /** It is in since then already. */
  readonly isIn?: true
  /** When it is to go in, where it was said when they eat too, s since 1970: then its heat follows, where that is open. */
  readonly between_s?: number
  readonly asks: readonly Ask[]
}

/** Whether a line is about more than one plan can hold: several roasts, or what goes beside one. */
export const isMeal = ({ roasts, sides, away_min }: Pick<LineReading, 'roasts' | 'sides' | 'away_min'>): boolean =>
  sides.length > 0 || away_min !== undefined || roasts.length > 1 || roasts.some(({ count }) => count > 1)
