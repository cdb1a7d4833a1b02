/** Shown at once, while the page is made. */
export function OneMoment() {
  return (
    <main className="mx-auto max-w-[84rem] px-4 py-16 sm:px-6" aria-busy="true">
      <p role="status" className="font-display text-2xl text-soft">
        One moment …
      </p>
    </main>
  )
}
