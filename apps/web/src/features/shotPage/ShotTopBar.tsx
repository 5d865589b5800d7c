import { Link } from 'react-router';
import { useProductionQuery } from '../../shared/api/api';
import { PreferenceChoices } from '../../ui/frame/PreferenceChoices';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { UndoRedo } from '../../ui/frame/UndoRedo';
import { TextField } from '../../ui/fields/TextField';
import { SaveState } from './SaveState';
import { selectProductionId } from '../shot/savingSlice';
import { editHeading, selectDocument, selectRedoName, selectUndoName } from '../shot/shotSlice';
import textStyles from '../../ui/text.module.css';
import styles from './ShotTopBar.module.css';
import barStyles from '../../ui/frame/bars.module.css';

/** Production, slate and title; undo and redo; save state; units and light. */
export function ShotTopBar({ onHistory }: { readonly onHistory: () => void }) {
  const productionId = useAppSelector(selectProductionId);
  const { data: production } = useProductionQuery(productionId ?? '', { skip: !productionId });
  // not the document itself, which changes with every edit of the plan
  const slate = useAppSelector((state) => selectDocument(state)!.slate);
  const title = useAppSelector((state) => selectDocument(state)!.title);
  const undoName = useAppSelector(selectUndoName);
  const redoName = useAppSelector(selectRedoName);
  const dispatch = useAppDispatch();
  return (
    <>
      <Link to={`/productions/${productionId}/shots`}>{production?.name ?? 'Shots'}</Link>
      <span className={textStyles.muted} aria-hidden="true">
        /
      </span>
      <h1 className={textStyles.unseen}>
        {slate} {title}
      </h1>
      <TextField
        label="Slate"
        isBare
        isOptional={false}
        max={12}
        className={styles.headingSlate}
        value={slate}
        onChange={(slate) => dispatch(editHeading('change the slate', { slate }))}
      />
      <TextField
        label="Title"
        isBare
        max={120}
        placeholder="What happens"
        className={styles.headingTitle}
        value={title}
        onChange={(title) => dispatch(editHeading('change the title', { title }))}
      />
      <span className={barStyles.topBarGap} />
      <UndoRedo undoName={undoName} redoName={redoName} />
      <SaveState onHistory={onHistory} />
      <PreferenceChoices />
    </>
  );
}
