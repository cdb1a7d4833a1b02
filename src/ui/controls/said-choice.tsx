/** One of a few, inside a sentence. */
export function SaidChoice({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string
  readonly value: string
  readonly options: readonly (readonly [string, string])[]
  readonly onChange: (value: string) => void
}) {
  return (
    <select className="said" aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  )
}
