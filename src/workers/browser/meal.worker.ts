import * as Comlink from 'comlink'
import loadHighs from 'highs'
import type { MipSolver } from '@/core/schedule/meal/solve'
import { changesFor } from '@/domain/meal/changes'
import { makeMeal } from '@/domain/meal/make-meal'
import { highsSolver } from '../solver/highs-solver'
import type { MealWorker } from './protocol'

let solver: Promise<MipSolver> | undefined
const exact = () => {
  solver ??= loadHighs({ locateFile: () => new URL('highs/runtime', import.meta.url).href }).then(highsSolver)
  return solver
}

const worker: MealWorker = {
  quick: async (document) => makeMeal(document, undefined, 0),
  solve: async (document, limit_s, tell) => makeMeal(document, await exact(), limit_s, (plan) => void tell(plan)),
  changes: async (document, ids, dropped) => changesFor(document, ids, dropped),
}

Comlink.expose(worker)
