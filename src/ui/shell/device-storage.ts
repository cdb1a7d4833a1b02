/** The device's own storage; none while the server renders. */
export const deviceStorage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> =
  typeof window === 'undefined' ? { getItem: () => null, setItem: () => {}, removeItem: () => {} } : localStorage
