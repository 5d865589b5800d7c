/** State of saving a document, as it is told. */
export interface SavingState {
  readonly status: 'saved' | 'waiting' | 'saving' | 'delayed' | 'conflict' | 'refused';
  /** null if it was never saved */
  readonly savedAt: string | null;
  readonly problem: { readonly code?: string; readonly message: string; readonly path?: string; readonly need?: string } | null;
}

/** Where the edits are, with the reason as a title. Nothing is ever lost. */
export function savingText({ status, savedAt, problem }: SavingState): {
  text: string;
  tone: 'plain' | 'edge' | 'soft';
  title: string;
} {
  const time = savedAt ? new Date(savedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }) : '';
  // being tried again: until that succeeds, what was wrong is wrong
  const isTriedAgain = (status === 'waiting' || status === 'saving') && problem !== null;
  switch (isTriedAgain ? 'delayed' : status) {
    case 'saved':
      return { text: `Saved ${time}`, tone: 'plain', title: 'Every change is saved after a moment' };
    case 'waiting':
    case 'saving':
      return { text: 'Saving…', tone: 'plain', title: 'Kept on this device, being sent to the server' };
    case 'delayed':
      return {
        text: keptHereText(problem),
        tone: 'edge',
        title: `${problem && problem.code !== 'unreachable' ? `Needed: ${problem.need}.` : 'The server does not answer.'} Your edits are kept here and sent again.`,
      };
    case 'conflict':
      return { text: 'Not saved: changed elsewhere', tone: 'soft', title: 'Choose below which version to keep' };
    case 'refused':
      return {
        text: `Not saved: ${problem?.message ?? 'refused'}`,
        tone: 'soft',
        title: `${neededText(problem)}. It is kept on this device.`,
      };
  }
}

/** Edits that are not saved yet, for a reason that passes. */
export function keptHereText(problem: SavingState['problem']): string {
  return problem && problem.code !== 'unreachable' ? `Kept here: ${problem.message}` : 'Kept here: no server';
}

function neededText(problem: SavingState['problem']): string {
  const need = problem?.need ?? 'another value';
  return problem?.path ? `${problem.path} needs ${need}` : `Needed: ${need}`;
}
