'use client'
import { useEffect, useRef, useState } from 'react'
import type { BoardItem } from '@/domain/cook/board'
import { settingOf } from '@/domain/cook/board'
import { duration } from '@/words/units'
import type { StationOrder } from '@/workers/browser/protocol'
import { send } from '../shell/client'
import { blank, type LiveCook, OTHER_EVENING_S } from './use-cook'

/** Adds a station to the kitchen, and tells the board; undefined where the server did not answer as it should. */
async function addStation({ kitchen, deviceAdded }: LiveCook, called: string) {
  const made = await send<{ device: { id: string; name: string }; token: string }>(
    `/api/k/${kitchen}/devices`,
    'POST',
    { name: called },
  )
  if (!made.ok) return undefined
  const { id, name } = made.value.device
  deviceAdded({ id, name, added: true })
  return { id, name, token: made.value.token }
}

/** Stations of this kitchen: added here with a token that is shown once, tested by what they say, practised with invented probes. */
export function Stations({ cook, board }: { readonly cook: LiveCook; readonly board: BoardItem }) {
  const { channels, now_s } = cook
  // Stations that spoke in this cook, or were added just now.
  const devices = cook.devices.filter(
    ({ id, added }) => added || channels.some(({ device, at_s }) => device === id && now_s - at_s < OTHER_EVENING_S),
  )
  const [name, setName] = useState('')
  const [added, setAdded] = useState<{ readonly name: string; readonly token: string } | undefined>()
  const [failed, setFailed] = useState(false)
  const add = async () => {
    const made = await addStation(cook, name.trim())
    setFailed(!made)
    if (!made) return
    setAdded(made)
    setName('')
  }
  return (
    <div className="mt-3 border-t border-line pt-2 text-lg">
      {devices.length > 0 && (
        <ul className="mb-2 space-y-1" data-testid="stations">
          {devices.map(({ id, name: own }) => {
            const said = channels.filter(({ device }) => device === id)
            const last = Math.max(...said.map(({ at_s }) => at_s))
            return (
              <li key={id}>
                <strong>{own}</strong>:{' '}
                {said.length === 0
                  ? 'has said nothing in this cook yet'
                  : `${said.length} ${said.length === 1 ? 'probe' : 'probes'}, last heard ${now_s - last < 60 ? 'just now' : `${duration(now_s - last)} ago`}`}
              </li>
            )
          })}
        </ul>
      )}
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (name.trim() !== '') void add()
        }}
      >
        <input
          aria-label="Name of a new station"
          className="min-h-12 w-48 rounded-xl border-2 border-line bg-transparent px-3"
          placeholder="a new station"
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button
          type="submit"
          className="min-h-12 rounded-full border-2 border-line px-4 font-semibold hover:border-copper"
        >
          Add it
        </button>
        {failed && <span role="alert">Not added: the server did not answer as it should. Try again.</span>}
      </form>
      {added && (
        <p className="mt-2 break-all rounded-lg border-l-4 border-moss px-3 py-2" data-testid="station-token">
          {added.name} sends to <code>/api/readings</code> with this token, shown this once: <code>{added.token}</code>
        </p>
      )}
      {cook.document.clock.speed > 1 && board.state === 'in' && <PracticeProbes cook={cook} board={board} />}
    </div>
  )
}

/** In a rehearsal: two probes that are none, in a roast whose truth the planner does not know. */
function PracticeProbes({ cook, board }: { readonly cook: LiveCook; readonly board: BoardItem }) {
  const [state, setState] = useState<'off' | 'starting' | 'on' | 'failed'>('off')
  const worker = useRef<Worker | undefined>(undefined)
  useEffect(() => () => worker.current?.terminate(), [])
  const begin = async () => {
    setState('starting')
    const made = await addStation(cook, 'Practice probes')
    if (!made || board.in_s === undefined) return setState('failed')
    const { id: device, token } = made
    const { item } = board
    const order: StationOrder = {
      token,
      clock: cook.document.clock,
      ahead_ms: cook.serverAhead_ms(),
      put_in: new Date(board.in_s * 1000).toISOString(),
      seed: Math.floor(Math.random() * 10_000),
      told: {
        cut: item.roast.cut,
        mass_kg: item.roast.mass_kg,
        set_c: settingOf(item) ?? 160,
        pull_c: (board.pull_c ?? item.serve_c) + 8,
        fan: item.oven.kind === 'fan',
      },
    }
    worker.current = new Worker(new URL('../../workers/browser/station.worker.ts', import.meta.url), {
      type: 'module',
      name: 'station',
    })
    worker.current.postMessage(order)
    cook.add(blank({ kind: 'assign', item: item.id, device, channel: 0, point: item.points[0] ?? 'core' }))
    cook.add(blank({ kind: 'assign', item: item.id, device, channel: 1, point: 'air' }))
    setState('on')
  }
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <button
        type="button"
        disabled={state === 'on' || state === 'starting'}
        className="min-h-12 rounded-full border-2 border-line px-4 font-semibold hover:border-copper disabled:opacity-50"
        onClick={() => void begin()}
      >
        {state === 'on' ? 'Practice probes are in it' : 'Put practice probes in it'}
      </button>
      <span className="text-base text-soft">
        {state === 'failed'
          ? 'They could not be added: try again.'
          : 'Invented readings of a roast that is not quite what was told. For this rehearsal only, while this page is open.'}
      </span>
    </p>
  )
}
