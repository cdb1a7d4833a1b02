/** A count by thumb: less, the number, more. */
export function Stepper({
  label,
  value,
  onChange,
  least = 0,
}: {
  readonly label: string
  readonly value: number
  readonly onChange: (value: number) => void
  readonly least?: number
}) {
  const button =
    'grid size-11 place-items-center rounded-full border-2 border-line text-xl font-semibold hover:border-copper disabled:opacity-40'
  return (
    <span className="inline-flex items-center gap-2">
      <button
        type="button"
        className={button}
        aria-label={`${label}: one less`}
        disabled={value <= least}
        onClick={() => onChange(value - 1)}
      >
        −
      </button>
      <output aria-label={label} className="w-8 text-center text-xl font-semibold">
        {value}
      </output>
      <button type="button" className={button} aria-label={`${label}: one more`} onClick={() => onChange(value + 1)}>
        +
      </button>
    </span>
  )
}
