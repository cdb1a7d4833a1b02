import Link from 'next/link'

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl px-6 py-24">
      <h1 className="font-display text-4xl font-semibold">Nothing is cooking here.</h1>
      <p className="mt-4 text-lg text-soft">The plan may belong to another kitchen, or the address has a slip in it.</p>
      <Link className="mt-8 inline-block rounded-full bg-action px-6 py-3 font-semibold text-white" href="/">
        To the kitchen
      </Link>
    </main>
  )
}
