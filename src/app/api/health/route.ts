import { nowSeconds } from '@/server/environment'
import { healthAnswer } from '@/server/wire/answers'
import { answer } from '../respond'

export const dynamic = 'force-dynamic'

export const GET = (): Response =>
  answer(healthAnswer, {
    application: 'pheasant',
    checkout: process.env.PHEASANT_CHECKOUT ?? null,
    now_s: nowSeconds(),
  })
