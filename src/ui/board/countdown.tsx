/** Time to go, or gone by: h:mm:ss under two hours, else h:mm. */
export function Countdown({ to_s, now_s }: { readonly to_s: number; readonly now_s: number }) {
  const left = Math.round(to_s - now_s)
  const size = Math.abs(left)
  const hours = Math.floor(size / 3600)
  const minutes = Math.floor((size % 3600) / 60)
  const seconds = size % 60
  const two = (value: number) => String(value).padStart(2, '0')
  const text =
    hours > 1
      ? `${hours}:${two(minutes)} h`
      : hours === 1
        ? `1:${two(minutes)}:${two(seconds)}`
        : `${minutes}:${two(seconds)}`
  return (
    <span suppressHydrationWarning>
      {left < 0 ? '−' : ''}
      {text}
    </span>
  )
}
