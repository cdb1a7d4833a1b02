/** Why what was wanted cannot be, as numbers; sentences live in `words`. Temperatures in °C, rises in K. */
export type Hindrance =
  /** The heat does not bring it there within the longest a stage may last. */
  | {
      readonly code: 'never_reached'
      readonly highest_c: number
      readonly wanted_c: number
      readonly setting_c: number | undefined
    }
  /** Water boils below what is wanted, so high over the sea: no core gets over it. */
  | { readonly code: 'water_boils'; readonly boiling_c: number; readonly wanted_c: number }
  /** A stage that waits for a core or a colour waits for ever. */
  | { readonly code: 'stage_never_ends'; readonly stage: number; readonly highest_c: number }
  /** What comes before the reading is waited for takes it past the wanted by itself. */
  | { readonly code: 'passed_before_pull'; readonly peak_c: number; readonly wanted_c: number }
  /** It would have to be pulled so far below the wanted that no reading can be trusted to stop it there. */
  | { readonly code: 'rise_too_great'; readonly rise_k: number; readonly most_k: number }
