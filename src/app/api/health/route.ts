export const dynamic = 'force-dynamic'

export const GET = () => Response.json({ application: 'pheasant', checkout: process.env.PHEASANT_CHECKOUT ?? null })
