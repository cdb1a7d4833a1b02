import { findCut } from '@/core/reference/cuts'
import type { ExportWords } from '@/server/exports'
import { mealTaskTitle } from '@/ui/format/meal-words'
import type { Units } from '@/ui/format/units'
import { taskTitle } from '@/ui/format/words'

/** Words for what leaves the application: in °C and kg, for nobody's own units are known there. */
const UNITS: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'UTC' }

export const exportWords: ExportWords = {
  mealTask: (task, plan, meal) => mealTaskTitle(task, plan, meal, UNITS),
  roastTask: (task, cutId) => {
    const cut = findCut(cutId)
    return cut ? taskTitle(task, cut, UNITS) : task.kind
  },
}

/** A text to keep as a file. */
export const fileOf = (text: string, type: string, name: string): Response =>
  new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  })
