import { DOMESTIC_OVEN } from '@/core/heat/oven'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { steadyProgram } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import { cook } from '@/core/simulate/cook'
import { cookFromPlan } from '@/domain/cook/begin'
import { boardOf } from '@/domain/cook/board'
import { cookEntry } from '@/domain/cook/cook-document'
import { forecastOf } from '@/domain/cook/forecast'
import { planDocument } from '@/domain/roast/roast-document'
import { time } from './measure'

/** What an update of the board costs, with 256 members: a roast that is late, with all its ways out; beside one plain roast in the same run, for a machine may be slow for half an hour. */
const late = lateRoast()
const forecast = forecastOf(late.board, late.now_s, 7, [], 256)
const ways_ms = time(() => forecastOf(late.board, late.now_s, 7, [], 256), 9)
const plain_ms = time(plainRoast, 300)
console.log(
  `an update of a roast that is ${((forecast?.late_s ?? 0) / 60).toFixed(0)} min late, with all ${forecast?.tried.length} ways out: ${ways_ms.toFixed(0)} ms (goal 300), or ${(ways_ms / plain_ms).toFixed(0)} plain roasts of ${plain_ms.toFixed(2)} ms`,
)

/** A roast as a plan cooks it, once. */
function plainRoast() {
  const cut = findCut('beef-rib-bone-in')
  if (!cut) throw new Error('no cut')
  const bodies = bodiesOf({ cut, mass_kg: 2.7 }, HEAT_PARAMETERS)
  const program = steadyProgram(115, 30)
  return cook({ bodies, program, oven: DOMESTIC_OVEN, start_c: 5, pull_c: [53], parameters: HEAT_PARAMETERS })
}

/** A reverse-seared rib near its promise, its probe slower than its plan. */
function lateRoast() {
  const begun_s = Date.UTC(2026, 10, 25, 12) / 1000
  const promise_s = begun_s + 5 * 3600
  const cooked = cookFromPlan(
    planDocument.parse({
      roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
      program: { school: 'reverse-sear' },
      promise: new Date(promise_s * 1000).toISOString(),
    }),
    begun_s,
    1,
  )
  if (!cooked.ok) throw new Error(JSON.stringify(cooked.problems))
  const [item] = cooked.value.items
  if (!item) throw new Error('no roast')
  const in_s = Date.parse(item.put_in) / 1000
  const now_s = promise_s - 75 * 60
  const at = (s: number) => new Date(s * 1000).toISOString()
  const entries = [
    { id: 'put-in-as-planned', kind: 'in', at: at(in_s), item: item.id },
    { id: 'probe-as-planned', kind: 'assign', at: at(in_s), item: item.id, device: 'probe', channel: 0, point: 'core' },
  ].map((each) => cookEntry.parse(each))
  const readings = Array.from({ length: Math.floor((now_s - in_s) / 120) }, (_, i) => ({
    device: 'probe',
    channel: 0,
    at_s: in_s + i * 120,
    value_c: 5 + 28 * Math.min(1, (i * 120) / (now_s - in_s)) ** 1.6,
  }))
  const [board] = boardOf(cooked.value, entries, readings, now_s)
  if (!board) throw new Error('no board')
  return { board, now_s }
}
