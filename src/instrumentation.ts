/** At the start of the server: parse the environment once, so that a slip in it is said at once. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === 'nodejs') (await import('./server/environment')).environment()
}
