import { claim } from '@/server/access/people'
import { welcome } from '../welcome'

/** The first owner takes the installation. */
export const POST = (request: Request): Promise<Response> => welcome(request, claim)
