import { planInKitchen, savePlan } from '@/server/plans'
import { bodyOf, readChange, refuseStale, respond } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; plan: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  const found = await planInKitchen(kitchen, plan)
  return respond(
    found.ok
      ? {
          ok: true,
          value: {
            id: found.value.row.id,
            version: found.value.row.version,
            document: found.value.row.document,
            plan: found.value.made.plan,
          },
        }
      : found,
  )
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  const asked = readChange(await bodyOf(request))
  if (!asked.ok) return respond(asked)
  const { base_version, document } = asked.value
  const saved = await savePlan(kitchen, plan, base_version, document)
  return saved.ok && saved.value.outcome === 'stale'
    ? refuseStale(base_version, saved.value.current, saved.value.setAside.id)
    : respond(saved)
}
