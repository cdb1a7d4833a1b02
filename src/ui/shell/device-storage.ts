/** The device's own storage; none while the server renders. */
export const deviceStorage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> =
  typeof window === 'undefined' ? { getItem: () => null, setItem: () => {}, removeItem: () => {} } : localStorage

/** The keys it holds that begin so. */
export const deviceKeys = (prefix: string): readonly string[] =>
  typeof window === 'undefined' ? [] : Object.keys(localStorage).filter((key) => key.startsWith(prefix))
