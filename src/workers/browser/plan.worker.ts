import * as Comlink from 'comlink'
import { makePlan } from '@/domain/plan/make-plan'
import type { PlanWorker } from './protocol'

const worker: PlanWorker = {
  async plan(document, now_s) {
    const made = makePlan(document, now_s)
    return made.ok ? { ok: true, value: made.value.plan } : made
  },
}

Comlink.expose(worker)
