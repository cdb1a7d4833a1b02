import type { SaverSnapshot, SaveState } from './saver'

const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'Saved',
  saving: 'Saving…',
  offline: 'No connection: kept on this device, will be saved when it is back',
  refused: 'Not saved: see what is marked',
}

/** Whether what is on the desk is kept. */
export function SaveLine({ saving }: { readonly saving: Pick<SaverSnapshot<unknown>, 'clash' | 'state'> }) {
  return (
    <p
      role="status"
      className="text-base text-soft"
      data-testid="save-state"
      data-state={saving.clash ? 'clash' : saving.state}
    >
      {saving.clash ? 'Two versions: choose one' : SAVE_WORDS[saving.state]}
    </p>
  )
}
