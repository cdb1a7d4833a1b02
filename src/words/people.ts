import type { Action, Role } from '@/domain/people/roles'

/** Who somebody is in a kitchen, in words. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  guest: 'guest',
  cook: 'cook',
  head_cook: 'head cook',
  owner: 'owner',
}
/** What each may do, in a line. */
export const ROLE_LINES: Readonly<Record<Role, string>> = {
  guest: 'looks at everything, changes nothing',
  cook: 'works the board: begins cooks, keeps their log, readings and pictures',
  head_cook: 'plans, sets the house standards, keeps the record, adds probes and addresses',
  owner: 'all of it, and says who belongs here',
}
/** What one may not do, where a control stands for it. */
export const ACTION_WORDS: Readonly<Record<Action, string>> = {
  read: 'look',
  cook: 'work the board',
  plan: 'change plans',
  house: 'change how the house does it',
  record: 'keep the record',
  share: 'add probes and addresses',
  people: 'say who belongs here',
  whole: 'take the whole kitchen out or in',
}

/** What happened, as the trail has it. */
export function trailWords(
  what: string,
  detail: Readonly<Record<string, string | number | boolean | null>> | null,
  about: string,
): string {
  const role = ROLE_WORDS[detail?.role as Role] ?? ''
  const name = typeof detail?.name === 'string' && detail.name !== '' ? `“${detail.name}”` : ''
  switch (what) {
    case 'claimed':
      return 'claimed this installation'
    case 'signed_in':
      return 'signed in'
    case 'signed_out':
      return 'signed out'
    case 'sign_in_failed':
      return `a sign-in as ${name || 'somebody'} failed`
    case 'password':
      return 'changed their password'
    case 'invited':
      return detail?.of === 'tablet' ? 'made a code for a tablet' : `made an invitation for a ${role}`
    case 'withdrew':
      return 'withdrew an invitation'
    case 'joined':
      return `joined as ${role}`
    case 'role':
      return `made ${name || 'somebody'} ${role}`
    case 'put_out':
      return `put ${name || 'somebody'} out`
    case 'left':
      return 'left, and took their sign-in with them'
    case 'tablet_in':
      return `was scanned in as a tablet of the kitchen`
    case 'tablet_out':
      return `took the tablet ${name} out`
    case 'probe_in':
      return `gave a probe station ${name} its token`
    case 'probe_out':
      return `took the token of a probe station back`
    case 'shared':
      return `made an address: ${name}`
    case 'unshared':
      return 'closed an address'
    case 'exported':
      return `took along ${name || 'what is kept here'}`
    case 'brought_in':
      return 'brought a whole kitchen in'
    case 'setting':
      return `changed ${about}`
    case 'pins':
      return detail?.on ? 'asked for a number at shared tablets' : 'let shared tablets go without a number'
    case 'kitchen':
      return `opened the kitchen ${name}`
    case 'closed':
      return 'closed the kitchen; its record is kept'
    default:
      return `${what} ${about}`.trim()
  }
}
