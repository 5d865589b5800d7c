/** State of saving a document, as it is told. */
export interface SavingState {
  readonly status: 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused';
  /** null if it was never saved */
  readonly savedAt: string | null;
  readonly problem: { readonly message: string; readonly path?: string; readonly need?: string } | null;
}

/** Where the edits are, with the reason as a title. Nothing is ever lost. */
export function savingText({ status, savedAt, problem }: SavingState): {
  text: string;
  tone: 'plain' | 'edge' | 'soft';
  title: string;
} {
  const time = savedAt ? new Date(savedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }) : '';
  switch (status) {
    case 'saved':
      return { text: `Saved ${time}`, tone: 'plain', title: 'Every change is saved after a moment' };
    case 'waiting':
    case 'saving':
      return { text: 'Saving…', tone: 'plain', title: 'Kept on this device, being sent to the server' };
    case 'offline':
      return {
        text: 'Kept here: no server',
        tone: 'edge',
        title: 'The server does not answer. Your edits are kept on this device and will be sent later.',
      };
    case 'conflict':
      return { text: 'Not saved: changed elsewhere', tone: 'soft', title: 'Choose below which version to keep' };
    case 'refused':
      return {
        text: `Not saved: ${problem?.message ?? 'refused'}`,
        tone: 'soft',
        title: `${problem?.path ?? ''} needs ${problem?.need ?? 'another value'}. It is kept on this device.`,
      };
  }
}
