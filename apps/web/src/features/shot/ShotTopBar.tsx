import { Link } from 'react-router';
import { ActionCreators } from 'redux-undo';
import { useProductionQuery } from '../../api/api';
import { Settings } from '../../app/Settings';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { TextField } from '../../fields/TextField';
import { SaveState } from './SaveState';
import { selectSaving } from './savingSlice';
import { editHeading, selectDocument, selectRedoName, selectUndoName } from './shotSlice';
import './shot.css';

/** Production, slate and title; undo and redo by name; what is saved and when; units and light. */
export function ShotTopBar() {
  const { productionId } = useAppSelector(selectSaving);
  const { data: production } = useProductionQuery(productionId ?? '', { skip: !productionId });
  const document = useAppSelector(selectDocument)!;
  const dispatch = useAppDispatch();
  return (
    <>
      <Link to={`/productions/${productionId}/shots`}>{production?.name ?? 'Shots'}</Link>
      <span className="haze" aria-hidden="true">
        /
      </span>
      <h1 className="unseen">
        {document.slate} {document.title}
      </h1>
      <TextField
        label="Slate"
        isBare
        isOptional={false}
        max={12}
        className="heading-slate"
        value={document.slate}
        onChange={(slate) => dispatch(editHeading('change the slate', { slate }))}
      />
      <TextField
        label="Title"
        isBare
        max={120}
        placeholder="What happens"
        className="heading-title"
        value={document.title}
        onChange={(title) => dispatch(editHeading('change the title', { title }))}
      />
      <span className="top-bar-gap" />
      <UndoRedo />
      <SaveState />
      <Settings productionId={productionId} />
    </>
  );
}

function UndoRedo() {
  const undoName = useAppSelector(selectUndoName);
  const redoName = useAppSelector(selectRedoName);
  const dispatch = useAppDispatch();
  return (
    <span className="undo-redo">
      <StepButton
        word="Undo"
        emptyWord="Undo"
        name={undoName}
        onPress={() => dispatch(ActionCreators.undo())}
        path="M6.5 3.5 3 7l3.5 3.5M3 7h7.5a4 4 0 0 1 0 8H8"
      />
      <StepButton
        word="Again"
        emptyWord="Redo"
        name={redoName}
        onPress={() => dispatch(ActionCreators.redo())}
        path="M11.5 3.5 15 7l-3.5 3.5M15 7H7.5a4 4 0 0 0 0 8H10"
      />
    </span>
  );
}

interface StepButtonProps {
  readonly word: string;
  /** What it is called while there is no step */
  readonly emptyWord: string;
  readonly name: string | null;
  readonly path: string;
  readonly onPress: () => void;
}

/** One step back or forth, called by what it will do. */
function StepButton({ word, emptyWord, name, path, onPress }: StepButtonProps) {
  const label = name === null ? emptyWord : `${word}: ${name}`;
  return (
    <button type="button" className="quiet" disabled={name === null} onClick={onPress} title={label} aria-label={label}>
      <svg
        width="18"
        height="18"
        viewBox="0 0 18 18"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.7"
        strokeLinecap="round"
        strokeLinejoin="round"
        aria-hidden="true"
      >
        <path d={path} />
      </svg>
    </button>
  );
}
