import type { ReactNode } from 'react'

/** A round button that shows a picture and says its name. `pressed` makes it a switch; `large` is for wet hands at the stove. */
export function IconButton({
  label,
  pressed,
  disabled,
  large = false,
  onClick,
  children,
}: {
  readonly label: string
  readonly pressed?: boolean
  readonly disabled?: boolean
  readonly large?: boolean
  readonly onClick: () => void
  readonly children: ReactNode
}) {
  return (
    <button
      type="button"
      className={`grid ${large ? 'size-12' : 'size-11'} place-items-center rounded-full hover:bg-moss-ground disabled:opacity-30`}
      aria-label={label}
      aria-pressed={pressed}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  )
}
