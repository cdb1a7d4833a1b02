import { z } from 'zod'
import { parseWith } from '@/domain/problem/parse'
import { planInKitchen, savePlan } from '@/server/plans'
import { bodyOf, respond } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; plan: string }> }
const change = z.strictObject({ base_version: z.int().min(1), document: z.unknown() })

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
  const body = await bodyOf(request)
  if (!body.ok) return respond(body)
  const asked = parseWith(change, body.value)
  if (!asked.ok) return respond(asked)
  const saved = await savePlan(kitchen, plan, asked.value.base_version, asked.value.document)
  if (!saved.ok || saved.value.outcome === 'saved') return respond(saved)
  const { current, setAside } = saved.value
  return Response.json(
    {
      errors: [{ code: 'stale_version', path: [], yours: asked.value.base_version, theirs: current.version }],
      current: { version: current.version, document: current.document },
      set_aside: setAside.id,
    },
    { status: 409 },
  )
}
