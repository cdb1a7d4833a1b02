import { findCut } from '@/core/reference/cuts'
import type { Line } from '../line/line'
import { type PlanDocument, planDocument } from '../roast/roast-document'
import { heldNumber } from '../schema/scalars'

/** The next half hour that leaves a roast time to cook, for a line that names no promise. */
const USUAL_LEAD_S = 5 * 3600

/** How a typed line wants it cooked and how done: the parts a plan and a meal's roast share. */
export function wantsOfLine(line: Line) {
  const target =
    line.serve_c !== undefined
      ? { serve_c: heldNumber(line.serve_c) }
      : line.doneness !== undefined
        ? { doneness: line.doneness }
        : undefined
  return {
    program: {
      school: line.school ?? 'steady',
      ...(line.set_c === undefined ? {} : { set_c: heldNumber(line.set_c) }),
    },
    ...(target ? { target } : {}),
  }
}

/** The plan document that a typed line stands for. */
export function planFromLine(line: Line, now_s: number): PlanDocument {
  const promise_s = line.promise_s ?? Math.ceil((now_s + USUAL_LEAD_S) / 1800) * 1800
  return planDocument.parse({
    version: 1,
    title: findCut(line.cut)?.name ?? '',
    roast: {
      cut: line.cut,
      mass_kg: heldNumber(line.mass_kg),
      thickness_mm: line.thickness_mm === undefined ? null : heldNumber(line.thickness_mm),
      start_c: heldNumber(line.start_c ?? 5),
      temper_min: heldNumber(line.temper_min ?? 30),
      surface: line.salted === false ? 'plain' : 'dry_salted',
    },
    oven: { kind: line.oven ?? 'still', offset_k: 0 },
    ...wantsOfLine(line),
    promise: new Date(promise_s * 1000).toISOString(),
    guests: line.guests ?? null,
  })
}
