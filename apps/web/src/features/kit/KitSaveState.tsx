import type { ErrorBody } from '@still-heron/contract';
import { keptHereText } from '@still-heron/wording';
import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import type { SavingStatus } from '../../shared/saving/savingSlice';
import { kitSaver } from './kitSaving';
import { kitSavingActions, selectKitSaving } from './kitSavingSlice';
import { kitEdited, selectOpenKit } from './kitSlice';
import { ConflictChoice } from '../../ui/ConflictChoice';
import { Button } from '../../ui/Button';
import barStyles from '../../ui/frame/bars.module.css';
import textStyles from '../../ui/text.module.css';

const WORDS: Readonly<Record<Exclude<SavingStatus, 'refused' | 'delayed'>, { readonly text: string; readonly tone: string }>> = {
  saved: { text: 'Saved', tone: 'plain' },
  waiting: { text: 'Saving…', tone: 'plain' },
  saving: { text: 'Saving…', tone: 'plain' },
  conflict: { text: 'Not saved: changed elsewhere', tone: 'soft' },
};

function saidOf(status: SavingStatus, problem: ErrorBody | null): { readonly text: string; readonly tone: string } {
  if (status === 'refused') return { text: `Not saved: ${problem?.path} ${problem?.message}`, tone: 'soft' };
  return status === 'delayed' ? { text: keptHereText(problem), tone: 'edge' } : WORDS[status];
}

/** Save state of the open item. */
export function KitSaveState() {
  const { status, problem } = useAppSelector(selectKitSaving);
  const open = useAppSelector(selectOpenKit);
  const dispatch = useAppDispatch();
  if (!open) return null;
  const { text, tone } = saidOf(status, problem);
  return (
    <span
      className={clsx(barStyles.saveState, textStyles[`tone-${tone}`])}
      role="status"
      title={problem ? `Needed: ${problem.need}` : text}
    >
      <span>{text}</span>
      {status === 'refused' && (
        <Button look="quiet" onClick={() => void dispatch(kitSaver.saveNow())}>
          Try again
        </Button>
      )}
    </span>
  );
}

/** Edit conflict of an item: the user chooses a version. The other one can be restored with undo. */
export function KitConflictBar() {
  const { status, stored } = useAppSelector(selectKitSaving);
  const open = useAppSelector(selectOpenKit);
  const dispatch = useAppDispatch();
  if (status !== 'conflict' || !stored || !open) return null;
  const keepMine = () => {
    dispatch(kitEdited({ item: stored.item, name: 'the version saved elsewhere' }));
    dispatch(kitEdited({ item: open.item, name: 'keep mine' }));
    dispatch(kitSavingActions.conflictResolved());
  };
  const acceptTheirs = () => {
    dispatch(kitEdited({ item: stored.item, name: 'use the version saved elsewhere' }));
    void dispatch(kitSaver.acceptStored(stored));
  };
  return (
    <ConflictChoice onMine={keepMine} onTheirs={acceptTheirs}>
      <strong>This was changed elsewhere.</strong>
    </ConflictChoice>
  );
}
