import { spawn } from 'node:child_process'
import { availableParallelism } from 'node:os'
import type { PromisesKept } from '@/domain/accuracy/measured'
import { keepFigures } from './measure'
import { byBoard, byChart, type Drawn, draw, type Ended, mealByBoard, mealByChart, offColour } from './promises-cases'

/**
 * Promises kept, in closed loop: a cook who does what the board says, and only that, in kitchens of other physics
 * than the planner's, beside one who follows a published chart by the clock, and one who follows it with a probe.
 * Prints, for each: served within so many minutes of the promise, core within 2 K of the wanted (a bird: 72 to 80 °C), as tender as wanted.
 *
 * npm run bench:promises -- [first seed] [how many roasts] [first seed of meals] [how many meals] [--write]
 */

const numbers = process.argv.slice(2).map(Number).filter(Number.isFinite)
const [first = 2101, many = 40, firstMeal = 2601, manyMeals = 0] = numbers

/** What is printed, and kept for the page that tells it. */
function tell(name: string, ended: readonly Ended[], what = 'roasts'): PromisesKept {
  const known = ended.filter(({ late_min }) => Number.isFinite(late_min))
  const byCore = ended.filter(({ asWanted }) => asWanted !== undefined)
  const byTender = ended.filter(({ tender }) => tender !== undefined)
  const asWanted = byCore.filter((each) => each.asWanted && Number.isFinite(each.late_min)).length
  const tender = byTender.filter((each) => each.tender).length
  const share = (ok: (each: Ended) => boolean) => `${Math.round((100 * known.filter(ok).length) / ended.length)} %`
  const late = known.map(({ late_min }) => Math.max(0, late_min))
  const mean = late.reduce((sum, each) => sum + each, 0) / Math.max(1, late.length)
  console.log(
    `${name.padEnd(34)} ${ended.length} ${what}: within 5 min ${share(({ late_min }) => Math.abs(late_min) <= 5)}, 10 min ${share(({ late_min }) => Math.abs(late_min) <= 10)}, 20 min ${share(({ late_min }) => Math.abs(late_min) <= 20)}; late ${mean.toFixed(1)} min on average; ${byCore.length > 0 ? `core as wanted ${Math.round((100 * asWanted) / byCore.length)} %;` : ''}${byTender.length > 0 ? ` as tender as wanted ${tender} of ${byTender.length};` : ''} coloured as it should be ${share(({ browned_s }) => offColour(browned_s) === 0)}; not safe ${known.filter(({ held }) => !held).length}; not served ${ended.length - known.length}; asked for something ${(ended.reduce((sum, { calls }) => sum + calls, 0) / ended.length).toFixed(1)} times, ways out taken ${(ended.reduce((sum, { taken }) => sum + taken, 0) / ended.length).toFixed(1)} each`,
  )
  const of = (ok: (each: Ended) => boolean) => Math.round((1000 * known.filter(ok).length) / ended.length) / 1000
  return {
    count: ended.length,
    within5: of(({ late_min }) => Math.abs(late_min) <= 5),
    within10: of(({ late_min }) => Math.abs(late_min) <= 10),
    within20: of(({ late_min }) => Math.abs(late_min) <= 20),
    asWanted: Math.round((1000 * asWanted) / Math.max(1, byCore.length)) / 1000,
    tender: byTender.length === 0 ? null : [tender, byTender.length],
    both: of(
      ({ late_min, asWanted: done, tender: soft }) => Math.abs(late_min) <= 10 && done !== false && soft !== false,
    ),
    late_min: Math.round(10 * mean) / 10,
    coloured: of(({ browned_s }) => offColour(browned_s) === 0),
    unsafe: known.filter(({ held }) => !held).length,
    calls: Math.round((10 * ended.reduce((sum, { calls }) => sum + calls, 0)) / Math.max(1, ended.length)) / 10,
  }
}

/** What is asked of a child: a roast or a meal by its seed, by each of the cooks. */
interface Answer {
  readonly board: Ended | undefined
  readonly clock: Ended | undefined
  readonly probe: Ended | undefined
}
const roastAnswer = (seed: number): Answer => {
  const drawn = draw(seed)
  return { board: byBoard(seed, drawn), clock: byChart(seed, drawn, false), probe: byChart(seed, drawn, true) }
}
const mealAnswer = (seed: number): Answer => ({
  board: mealByBoard(seed),
  clock: undefined,
  probe: mealByChart(seed, true),
})

/** A child answers its seeds, a line each: NaN goes as null. */
const CHILD = process.env.PROMISES_CHILD
if (CHILD !== undefined) {
  const [kind, from, to, step] = CHILD.split(' ')
  for (let seed = Number(from); seed <= Number(to); seed += Number(step))
    console.log(`@${JSON.stringify([seed, kind === 'meal' ? mealAnswer(seed) : roastAnswer(seed)])}`)
  process.exit(0)
}

/** Every seed answered, by as many children as there are processors. */
async function answered(kind: 'roast' | 'meal', from: number, count: number): Promise<Map<number, Answer>> {
  const found = new Map<number, Answer>()
  const children = Math.min(count, Math.max(1, availableParallelism()))
  await Promise.all(
    Array.from(
      { length: children },
      (_, i) =>
        new Promise<void>((done, failed) => {
          const child = spawn(process.execPath, ['--import', 'tsx', import.meta.filename], {
            env: { ...process.env, PROMISES_CHILD: `${kind} ${from + i} ${from + count - 1} ${children}` },
            stdio: ['ignore', 'pipe', 'inherit'],
          })
          let rest = ''
          child.stdout.on('data', (chunk) => {
            const lines = (rest + chunk).split('\n')
            rest = lines.pop() ?? ''
            for (const line of lines)
              if (line.startsWith('@')) {
                const [seed, answer] = JSON.parse(line.slice(1)) as [number, Answer]
                found.set(seed, answer)
              } else console.log(line)
          })
          child.on('exit', (code) => (code === 0 ? done() : failed(new Error(`seeds of ${kind} failed: ${code}`))))
        }),
    ),
  )
  return found
}
/** What never came to its table went as null. */
const ended = (each: Ended | undefined | null): Ended[] =>
  each
    ? [
        {
          ...each,
          late_min: (each.late_min as number | null) ?? Number.NaN,
          off_k: each.off_k ?? undefined,
          tender: each.tender ?? undefined,
          asWanted: each.asWanted ?? undefined,
        },
      ]
    : []

const roasts = await answered('roast', first, many)
const drawn = Array.from({ length: many }, (_, i) => ({ seed: first + i, ...draw(first + i) }))
const board = drawn.flatMap((each) =>
  ended(roasts.get(each.seed)?.board).map((end) => ({ ...end, school: each.school, cut: each.kind.cut, each })),
)
const saidOf = (each: Drawn & { readonly seed: number }, end: Ended) =>
  `${each.seed} ${each.kind.cut} ${each.mass_kg} kg ${each.school}, oven ${each.offset_k.toFixed(0)} K off, ${each.thicker.toFixed(2)} as thick${each.late_min ? `, in ${each.late_min} min late` : ''}${each.dead_at ? ', its probe dies' : ''}${each.forgotten_min ? `, forgotten ${each.forgotten_min} min` : ''}${each.kitchen.guests ? ', guests late' : ''}${each.kitchen.ovenDies_s ? ', its oven dies' : ''}, ${each.family}, to ${each.serve_c}: ${end.late_min.toFixed(0)} min, ${end.off_k === undefined ? `tender ${end.tender_min.toFixed(0)} min` : `${end.off_k.toFixed(1)} K`}, ${end.held ? '' : 'NOT SAFE, '}${end.taken} taken`
if (process.env.EACH) for (const end of board) console.log(saidOf(end.each, end))
console.log(
  `Promises kept by seeds ${first} to ${first + many - 1}; goals: within 10 min 95 %, core as wanted (within 2 K; birds 72 to 80 °C) 90 %`,
)
const told = { board: tell('by the board alone', board) }
for (const by of ['school', 'cut'] as const)
  for (const name of [...new Set(board.map((each) => each[by]))].toSorted())
    tell(
      `  ${name}`,
      board.filter((each) => each[by] === name),
    )
for (const [name, has] of [
  ['an oven that fails', ({ kitchen }: Drawn) => kitchen.ovenDies_s !== undefined],
  ['a probe that dies', ({ dead_at }: Drawn) => dead_at !== undefined],
  ['put in late', ({ late_min }: Drawn) => late_min > 0],
  ['guests late', ({ kitchen }: Drawn) => kitchen.guests !== undefined],
] as const)
  tell(
    `  ${name}`,
    board.filter(({ each }) => has(each)),
  )
const of = (cook: keyof Answer, from: ReadonlyMap<number, Answer>) =>
  [...from].toSorted(([a], [b]) => a - b).flatMap(([, answer]) => ended(answer[cook]))
const clock = tell('by a chart and the clock', of('clock', roasts))
const probe = tell('by a chart and a probe', of('probe', roasts))
const feasts = manyMeals > 0 ? await answered('meal', firstMeal, manyMeals) : undefined
const meals = feasts && tell('whole meals, their worst roast', of('board', feasts), 'meals')
const mealsByProbe = feasts && tell('meals by charts and probes', of('probe', feasts), 'meals')

if (process.argv.includes('--write'))
  keepFigures(process.env.PROMISES_FILE ?? 'src/domain/accuracy/promises-kept.json', {
    seeds: [first, first + many - 1],
    ...told,
    clock,
    probe,
    meals,
    mealsByProbe,
    mealSeeds: manyMeals > 0 ? [firstMeal, firstMeal + manyMeals - 1] : null,
  })
