import * as Comlink from 'comlink'
import { forecastOf } from '@/domain/cook/forecast'
import type { CookWorker } from './protocol'

const worker: CookWorker = { forecast: async (board, now_s, others) => forecastOf(board, now_s, undefined, others) }

Comlink.expose(worker)
