'use client'
import { useEffect, useMemo, useRef } from 'react'
import { stagesOfDocument } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { withRoles } from '@/domain/roast/stages'
import type { RibbonEdit } from '../ribbon/heat-ribbon'

/** A document with one timed stage longer. A school's rest and hot part stay settings of the school. */
function stretched(document: PlanDocument, index: number, longer_min: number): PlanDocument {
  const stages = stagesOfDocument(document)
  const stage = stages[index]
  if (stage?.until.kind !== 'time') return document
  const minutes = Math.max(stage.role === 'rest' ? 0 : 1, Math.round(stage.until.minutes + longer_min))
  const { program } = document
  if ('school' in program) {
    if (stage.role === 'rest' && stage.environment.kind === 'counter')
      return { ...document, program: { ...program, rest_min: minutes } }
    if (stage.role === 'finish' || (index === 0 && stages[1]?.until.kind === 'pull'))
      return { ...document, program: { ...program, hot_min: minutes } }
  }
  const changed = stages.with(index, { ...stage, until: { kind: 'time', minutes } })
  return { ...document, program: { ...('name' in program ? { name: program.name } : {}), stages: withRoles(changed) } }
}

/** What the ribbon's handles do to the document; each move counts from where the hand took hold. */
export function useRibbonEdit(
  document: PlanDocument,
  change: (apply: (last: PlanDocument) => PlanDocument) => void,
): RibbonEdit {
  const now = useRef(document)
  const taken = useRef(document)
  useEffect(() => {
    now.current = document
  }, [document])
  return useMemo(
    () => ({
      take: () => {
        taken.current = now.current
      },
      stretch: (index, longer_min) => {
        const from = taken.current
        change((last) => ({ ...last, program: stretched(from, index, longer_min).program }))
      },
      promise: (later_min) => {
        const from = Date.parse(taken.current.promise)
        change((last) => ({ ...last, promise: new Date(from + later_min * 60_000).toISOString() }))
      },
    }),
    [change],
  )
}
