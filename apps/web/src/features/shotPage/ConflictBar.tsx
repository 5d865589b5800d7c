import { differenceSummary } from '@still-heron/wording';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { savingActions, selectSaving } from '../shot/savingSlice';
import { documentEdited, selectDocument } from '../shot/shotSlice';
import { ConflictChoice } from '../../ui/ConflictChoice';

/** Edit conflict of a shot: shows what differs and lets the user choose. The other version can be restored with undo. */
export function ConflictBar() {
  const { status, stored } = useAppSelector(selectSaving);
  const document = useAppSelector(selectDocument);
  const dispatch = useAppDispatch();
  if (status !== 'conflict' || !stored || !document) return null;
  const { scene, slate, title, plan } = stored;
  const theirs = { scene, slate, title, plan };
  const time = new Date(stored.updatedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

  function keepMine(): void {
    // the stored version becomes an undo step below the own one
    dispatch(documentEdited({ document: theirs, name: 'the version saved elsewhere' }));
    dispatch(documentEdited({ document: document!, name: 'keep mine' }));
    dispatch(savingActions.conflictResolved());
  }
  function acceptTheirs(): void {
    dispatch(documentEdited({ document: theirs, name: 'use the version saved elsewhere' }));
    dispatch(savingActions.conflictResolved());
  }
  return (
    <ConflictChoice onMine={keepMine} onTheirs={acceptTheirs}>
      <strong>This shot was saved elsewhere at {time}.</strong> Yours differs in {differenceSummary(document, theirs)}.
    </ConflictChoice>
  );
}
