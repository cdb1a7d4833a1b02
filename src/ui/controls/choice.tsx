import type { ReactNode } from 'react'

/** One of a few, said in a line. */
export function Choice({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string
  readonly value: string
  readonly options: readonly (readonly [string, ReactNode])[]
  readonly onChange: (value: string) => void
}) {
  return (
    <label className="flex min-h-11 flex-wrap items-baseline gap-x-3">
      <span className="w-24 text-base text-soft">{label}</span>
      <select className="said" value={value} onChange={(event) => onChange(event.target.value)}>
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}
