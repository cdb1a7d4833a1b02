'use client'
import { useState } from 'react'
import { boilingPoint, pressureAtAltitude } from '@/core/heat/vapour'
import type { BoardItem } from '@/domain/cook/board'
import { NOWHERE } from '@/domain/cook/entry/assign'
import { lostAfter } from '@/domain/cook/odd'
import { pointName } from '@/words/cook-words'
import { duration, temperature, type Units } from '@/words/units'
import { Stations } from './stations'
import { type LiveCook, OTHER_EVENING_S } from './use-cook'

/** What a channel said while it was in a roast, as far as that is known: how often it speaks. */
const saidBy = (items: readonly BoardItem[], device: string, channel: number) =>
  items.flatMap(({ points }) => points).find(({ probe }) => probe?.device === device && probe.channel === channel)
    ?.readings ?? []

/** Every channel of every station: where it is, what it says, and whether it still says anything. */
export function ProbesPanel({
  board,
  items,
  cook,
  units,
  put,
}: {
  readonly board: BoardItem
  readonly items: readonly BoardItem[]
  readonly cook: LiveCook
  readonly units: Units
  readonly put: (
    kind: 'assign' | 'calibrate',
    more: { readonly device: string; readonly channel: number; readonly point: string; readonly value_c?: number },
  ) => void
}) {
  const { item } = board
  const { now_s } = cook
  const [altitude_m, setAltitude] = useState(item.altitude_m)
  const boiling_c = boilingPoint(pressureAtAltitude(altitude_m))
  const ownerOf = (device: string, channel: number) =>
    items.find(({ points, entries }) =>
      points.some(({ probe }) => probe?.device === device && probe.channel === channel)
        ? true
        : entries.findLast((entry) => entry.kind === 'assign' && entry.device === device && entry.channel === channel)
            ?.point === 'air',
    )?.item
  // Stations of other evenings are not in the way, unless one was put into something of this cook.
  const channels = cook.channels.filter(
    ({ device, channel, at_s }) => now_s - at_s < OTHER_EVENING_S || ownerOf(device, channel) !== undefined,
  )
  const names = new Map(cook.devices.map(({ id, name }) => [id, name]))
  const several = new Set(channels.map(({ device }) => device)).size > 1
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer py-2 text-lg">Probes</summary>
      {channels.length > 0 && (
        <p className="mb-2 flex flex-wrap items-baseline gap-2 text-base text-soft">
          To calibrate, stand a probe in stirred ice water (0 °C) or in a rolling boil (
          {temperature(boiling_c, units, 1)} at
          <label>
            <input
              inputMode="numeric"
              aria-label="Height above the sea, metres"
              className="said text-center"
              style={{ width: '6ch' }}
              maxLength={5}
              value={altitude_m}
              onChange={(event) => {
                const value = Number(event.target.value)
                if (Number.isFinite(value)) setAltitude(Math.max(0, Math.min(4500, value)))
              }}
            />{' '}
            m
          </label>
          ) and tap; its error is taken out from then on, and remembered for the next cook.
        </p>
      )}
      <ul className="flex flex-wrap gap-2">
        {channels.map(({ device, channel, value_c, at_s }) => {
          const owner = ownerOf(device, channel)
          const silent = now_s - at_s > lostAfter(saidBy(items, device, channel))
          const name = `${several ? `${names.get(device) ?? 'station'} ` : ''}${channel + 1}`
          const place = (point: string) =>
            point === 'air' ? `air around ${item.title}` : `${pointName(point)} of ${item.title}`
          return (
            <li
              key={`${device}${channel}`}
              data-testid="channel"
              data-silent={silent}
              className={`flex flex-wrap items-center gap-1 rounded-3xl border pl-3 text-lg ${silent ? 'border-wattle' : 'border-line'}`}
            >
              {name}: {temperature(value_c, units)}{' '}
              {silent && <span className="text-base text-wattle">silent {duration(now_s - at_s)}</span>}{' '}
              {owner && <span className="text-base text-soft">({owner.title})</span>}
              {[...item.points, 'air'].map((point) => (
                <button
                  key={point}
                  type="button"
                  className="min-h-11 rounded-full px-3 font-semibold hover:bg-moss-ground"
                  aria-label={`Probe ${channel + 1} is in the ${place(point)}`}
                  onClick={() => put('assign', { device, channel, point })}
                >
                  {point === 'air' ? 'in the air' : point === 'core' ? 'in the meat' : `in the ${pointName(point)}`}
                </button>
              ))}
              {owner?.id === item.id && (
                <button
                  type="button"
                  className="min-h-11 rounded-full px-3 hover:bg-moss-ground"
                  aria-label={`Probe ${channel + 1} is out of ${item.title}`}
                  onClick={() => put('assign', { device, channel, point: NOWHERE })}
                >
                  taken out
                </button>
              )}
              <button
                type="button"
                className="min-h-11 rounded-full px-3 hover:bg-moss-ground"
                aria-label={`Probe ${channel + 1} stands in ice water`}
                onClick={() => put('calibrate', { device, channel, value_c, point: 'ice' })}
              >
                ice water
              </button>
              <button
                type="button"
                className="min-h-11 rounded-full px-3 hover:bg-moss-ground"
                aria-label={`Probe ${channel + 1} stands in boiling water`}
                onClick={() => put('calibrate', { device, channel, value_c: value_c - boiling_c, point: 'boiling' })}
              >
                boiling
              </button>
            </li>
          )
        })}
      </ul>
      <Stations cook={cook} board={board} />
    </details>
  )
}
