/**
 * What goes with a plan or a meal when it is deleted, with its verb.
 * @example versionsGo(1) // 'goes its one version'
 */
export const versionsGo = (version: number): string =>
  version === 1 ? 'goes its one version' : `go all ${version} versions it has had`
