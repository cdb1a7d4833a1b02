import postgres from 'postgres'

/** The role that the application works as: it can neither change the tables nor reach past them. */
export const APP_ROLE = 'pheasant_app'

/** What is only ever added to: the application may not even ask to change it. */
const APPENDED = ['entries', 'readings', 'plan_versions', 'record_entries', 'house_changes', 'audit']

/** Lets the application's role do what it must, and no more. Run by the owner after every migration; twice does no harm. */
export async function grantToApplication(ownerUrl: string): Promise<void> {
  const owner = postgres(ownerUrl, { max: 1, onnotice: () => {} })
  try {
    const [role] = await owner`select 1 from pg_roles where rolname = ${APP_ROLE}`
    if (!role) return
    const app = owner(APP_ROLE)
    await owner.begin(async (tx) => {
      await tx`revoke all on all tables in schema public from ${app}`
      await tx`grant usage on schema public to ${app}`
      await tx`grant select, insert, update, delete on all tables in schema public to ${app}`
      for (const table of APPENDED) await tx`revoke update, delete on ${tx(table)} from ${app}`
      await tx`grant update (settled_at) on plan_versions to ${app}`
      await tx`grant execute on function thin_readings(text, timestamptz, timestamptz, int) to ${app}`
      await tx`grant execute on function device_of_token(text), holder_of(text, text), thinning_due(boolean, timestamptz, int) to ${app}`
      await tx`revoke insert, update, delete on installation from ${app}`
      // What was put aside is looked at, not touched.
      await tx`revoke insert, update, delete on readings_aside from ${app}`
    })
  } finally {
    await owner.end()
  }
}
