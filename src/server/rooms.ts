import { sharedDatabase } from '@/db/connection'
import { environment } from './environment'

/** The process's database. */
export const database = () => sharedDatabase(environment().DATABASE_URL)
