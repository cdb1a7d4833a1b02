import { nowSeconds } from '@/server/environment'

export const dynamic = 'force-dynamic'

export const GET = (): Response =>
  Response.json({ application: 'pheasant', checkout: process.env.PHEASANT_CHECKOUT ?? null, now_s: nowSeconds() })
