import * as Comlink from 'comlink'
import { forecastOf, watchPeak } from '@/domain/cook/forecast'
import { replanMeal } from '@/domain/cook/replan'
import type { CookWorker } from './protocol'

const worker: CookWorker = {
  forecast: async (board, now_s, others) => forecastOf(board, now_s, undefined, others),
  replan: async (cook, entries, now_s) => replanMeal(cook, entries, now_s),
  peak: async (board, now_s) => watchPeak(board, now_s),
}

Comlink.expose(worker)
