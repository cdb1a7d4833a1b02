import loadHighs from 'highs'
import type { MipSolver } from '@/core/schedule/meal/solve'
import { highsSolver } from './highs-solver'

let loaded: Promise<MipSolver> | undefined

/** The exact solver in Node, loaded once. */
export const nodeSolver = (): Promise<MipSolver> => {
  loaded ??= loadHighs().then(highsSolver)
  return loaded
}
