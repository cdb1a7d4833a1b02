/**
 * Has the device keep this board and what it is made of, so that it opens again with the network or
 * the server gone. Where a browser has no such memory (an address without https that is not this
 * machine), the board works as long as it stays open.
 */
export function keepThisBoard(): void {
  if (!('serviceWorker' in navigator)) return
  void (async () => {
    await navigator.serviceWorker.register('/sw.js')
    const { active } = await navigator.serviceWorker.ready
    const tell = () =>
      active?.postMessage({
        keep: [
          location.href.split('#')[0],
          ...performance
            .getEntriesByType('resource')
            .map(({ name }) => name)
            .filter((name) => name.startsWith(`${location.origin}/_next/static/`)),
        ],
      })
    navigator.serviceWorker.addEventListener('message', ({ data }) => {
      if (data?.kept) document.documentElement.dataset.boardKept = 'yes'
    })
    // After the worker that estimates has loaded its own files.
    setTimeout(tell, 2000)
  })().catch(() => {})
}
