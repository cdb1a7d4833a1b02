import * as Comlink from 'comlink'
import { forecastOf, watchPeak } from '@/domain/cook/forecast'
import type { CookWorker } from './protocol'

const worker: CookWorker = {
  forecast: async (board, now_s, others) => forecastOf(board, now_s, undefined, others),
  peak: async (board, now_s) => watchPeak(board, now_s),
}

Comlink.expose(worker)
