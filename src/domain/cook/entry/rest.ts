import { SEEN_ONLY } from './kind'

/** It rests: said, beside having been taken out. */
export const rest = SEEN_ONLY
