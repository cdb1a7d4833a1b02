/** Goes to a page of ours and leaves nothing of this one behind: who it is has changed. */
export const leaveFor = (path: string): void => {
  window.location.href = path
}
