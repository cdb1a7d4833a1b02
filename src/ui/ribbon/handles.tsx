'use client'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'

interface HandleProps {
  readonly x: number
  readonly top: number
  readonly bottom: number
  readonly label: string
  readonly value: string
  /** Where it stands, and how far it can go, in minutes. */
  readonly minutes: { readonly now: number; readonly least: number; readonly most: number }
  /** Minutes that one pixel stands for. */
  readonly perPixel_min: number
  readonly colour: string
  /** Minutes moved since the hand took hold, to the right; `done` when it lets go. */
  readonly onMove: (delta_min: number, done: boolean) => void
  readonly onTake: () => void
}

const SNAP_MIN = 5

/** An edge of the ribbon that a hand or the arrow keys can move, in steps of five minutes. */
export function Handle({ x, top, bottom, label, value, minutes, perPixel_min, colour, onMove, onTake }: HandleProps) {
  const from = useRef<number | undefined>(undefined)
  const deltaOf = (event: PointerEvent) =>
    Math.round(((event.clientX - (from.current ?? event.clientX)) * perPixel_min) / SNAP_MIN) * SNAP_MIN
  const key = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowLeft' ? -SNAP_MIN : event.key === 'ArrowRight' ? SNAP_MIN : 0
    if (step === 0) return
    event.preventDefault()
    onTake()
    onMove(step, true)
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuetext={value}
      aria-valuenow={Math.round(minutes.now)}
      aria-valuemin={Math.round(minutes.least)}
      aria-valuemax={Math.round(minutes.most)}
      aria-orientation="horizontal"
      className="cursor-ew-resize touch-none outline-none [&:focus-visible>rect]:stroke-[var(--focus)] [&:focus-visible>rect]:stroke-[3]"
      onKeyDown={key}
      onPointerDown={(event) => {
        event.stopPropagation()
        event.currentTarget.setPointerCapture(event.pointerId)
        from.current = event.clientX
        onTake()
      }}
      onPointerMove={(event) => {
        if (from.current === undefined) return
        event.stopPropagation()
        onMove(deltaOf(event), false)
      }}
      onPointerUp={(event) => {
        if (from.current === undefined) return
        const delta = deltaOf(event)
        from.current = undefined
        onMove(delta, true)
      }}
      onPointerCancel={() => {
        from.current = undefined
        onMove(0, true)
      }}
    >
      <rect x={x - 12} y={top} width="24" height={bottom - top} fill="transparent" stroke="transparent" rx="6" />
      <rect
        x={x - 4}
        y={(top + bottom) / 2 - 20}
        width="8"
        height="40"
        rx="4"
        fill={colour}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
    </g>
  )
}
