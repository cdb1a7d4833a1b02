import { planInKitchen, savePlan } from '@/server/plans'
import { respond, saveBy } from '../../../../respond'

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
  return saveBy(request, (version, document) => savePlan(kitchen, plan, version, document))
}
