/**
 * What the scheduler of a whole meal works on: heat sources, items that need them, and what each
 * item may do. Times are seconds since 1970; nothing here knows how a duration was found.
 */

export type SourceKind = 'oven' | 'fire' | 'hob' | 'bath' | 'cabinet'

/** Something that gives heat and can be full or set wrongly. */
export interface HeatSource {
  readonly id: string
  readonly kind: SourceKind
  /** Places: shelves of an oven, rings of a hob, pieces on a fire. */
  readonly places: number
  /** One setting at a time for all that is in it: an oven, a bath, a cabinet. A hob's rings are set apart. */
  readonly oneSetting: boolean
  readonly low_c: number
  readonly high_c: number
}

/** A stretch of heat at one setting; undefined: switched off, door shut, nobody else may use it. */
export interface Phase {
  readonly duration_s: number
  readonly set_c: number | undefined
}

/** One way of doing one leg: on which source, in which phases. */
export interface LegChoice {
  /** Index of the source. */
  readonly source: number
  readonly phases: readonly Phase[]
  /** Heat-up before it when the source was at another setting, s. */
  readonly lead_s: number
  readonly cost: number
}

/** A stay on one heat source. Before the next leg (or serving) lies a gap of `least_s` to `most_s`. */
export interface Leg {
  readonly places: number
  readonly choices: readonly LegChoice[]
  readonly gap: {
    readonly least_s: number
    readonly most_s: number
    /** The gap a cook would like best, s; each ten minutes beside it cost `perTen`. */
    readonly liked_s: number
    readonly perTen: number
  }
}

/** Something to be right at a time. */
export interface MealItem {
  readonly id: string
  readonly serve_s: number
  /** In order; the last one's gap ends at carving. */
  readonly legs: readonly Leg[]
  /** Carving or dishing up, s, a cook's hands all the while, ending at most `early_s` before serving. */
  readonly dish_s: number
  readonly early_s: number
  /** Its part of a tray that hands carry and dish up whole; 1 where nothing is said. */
  readonly hands?: number | undefined
  /** What leaving it out costs; {@link DROP_COST} where nothing is said. */
  readonly drop_cost?: number | undefined
  /** Held fast by hand: the end of the first leg may only be here, s. */
  readonly pinnedStart_s?: number | undefined
  readonly pinnedSource?: number | undefined
}

export interface MealProblem {
  readonly sources: readonly HeatSource[]
  readonly items: readonly MealItem[]
  readonly cooks: number
  /** Nothing may start before this, s. */
  readonly earliest_s: number
  /** What the kitchen's clock shows beyond UTC at the table, s; undefined where nobody knows. */
  readonly zone_s?: number | undefined
}

/** A leg on the clock. */
export interface Block {
  readonly source: number
  readonly places: number
  readonly from_s: number
  readonly to_s: number
  readonly lead_s: number
  readonly phases: readonly { readonly from_s: number; readonly to_s: number; readonly set_c: number | undefined }[]
}

/** A cook's hands for a while. */
export interface Hands {
  readonly from_s: number
  readonly to_s: number
  readonly kind: 'in' | 'out' | 'dish'
  /** Share of the time it needs: carving can be put down for a minute. */
  readonly share: number
}

/** One complete way of doing one item. */
export interface Option {
  readonly item: number
  readonly blocks: readonly Block[]
  readonly hands: readonly Hands[]
  readonly start_s: number
  readonly dish_s: number
  readonly done_s: number
  readonly cost: number
}

/** Whether two options put the same item in the same places at the same times, however each was made. */
export const sameOption = (a: Option, b: Option): boolean =>
  a.item === b.item &&
  a.dish_s === b.dish_s &&
  a.blocks.length === b.blocks.length &&
  a.blocks.every((block, i) => {
    const other = b.blocks[i]
    return (
      other !== undefined &&
      block.source === other.source &&
      block.from_s === other.from_s &&
      block.to_s === other.to_s &&
      block.phases.every((phase, k) => phase.set_c === other.phases[k]?.set_c)
    )
  })

/** One option for each item that could be placed. */
export interface MealSchedule {
  readonly options: readonly Option[]
  /** Items left out because nothing fitted. */
  readonly dropped: readonly number[]
  readonly cost: number
}

/** The grid of the exact model, s: every stay is rounded out to it, so what fits the grid fits the clock. */
export const GRID_S = 600
/** Putting in, taking out: a cook's hands, s. */
export const HANDLE_S = 120
/** Carving and dishing up leave this much of the time free for a hand elsewhere. */
export const DISH_SHARE = 0.65
/** Leaving an item out costs this: more than any comfort. */
export const DROP_COST = 1000
/** And that of an item of this place. */
export const dropCost = ({ items }: Pick<MealProblem, 'items'>, item: number): number =>
  items[item]?.drop_cost ?? DROP_COST
