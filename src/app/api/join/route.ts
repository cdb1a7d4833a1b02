import { join } from '@/server/access/people'
import { welcome } from '../welcome'

/** An invitation is taken: by somebody new, or by who is signed in. */
export const POST = (request: Request): Promise<Response> => welcome(request, join)
