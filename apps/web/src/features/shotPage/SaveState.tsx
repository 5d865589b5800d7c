import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { shotSaver } from '../shot/saving';
import type { Saving } from '../../shared/saving/savingSlice';
import { selectSaving } from '../shot/savingSlice';
import { Button } from '../../ui/Button';
import barStyles from '../../ui/frame/bars.module.css';
import textStyles from '../../ui/text.module.css';

/** Save state and time, with a link to saved versions. If saving fails, it says why, and that nothing is lost. */
export function SaveState({ onHistory }: { readonly onHistory?: () => void }) {
  const saving = useAppSelector(selectSaving);
  const dispatch = useAppDispatch();
  const { status } = saving;
  const { text, tone, title } = wordsFor(saving);
  return (
    <span className={clsx(barStyles.saveState, textStyles[`tone-${tone}`])} role="status" title={title}>
      {onHistory && status !== 'refused' ? (
        <Button look="quiet" aria-label={`${text}: saved versions`} onClick={onHistory}>
          {text}
        </Button>
      ) : (
        text
      )}
      {status === 'refused' && (
        <Button look="quiet" onClick={() => void dispatch(shotSaver.saveNow())}>
          Try again
        </Button>
      )}
    </span>
  );
}

function wordsFor({ status, savedAt, problem }: Pick<Saving<unknown>, 'status' | 'savedAt' | 'problem'>): {
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
