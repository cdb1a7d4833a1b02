import { z } from 'zod'

/** How the people of a kitchen read quantities and days; a reader's own choice of units goes before it. */
export const customsPart = z.strictObject({
  temperature: z.enum(['c', 'f']),
  mass: z.enum(['kg', 'lb']),
  clock: z.enum(['24h', '12h']),
  date_order: z.enum(['dmy', 'mdy']).describe('3/11: the third of November, or the eleventh of March'),
})
export type Customs = z.output<typeof customsPart>
