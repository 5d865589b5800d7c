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
      <button
        type="button"
        className="quiet"
        disabled={undoName === null}
        onClick={() => dispatch(ActionCreators.undo())}
        title={undoName ? `Undo: ${undoName}` : 'Nothing to undo'}
        aria-label={undoName ? `Undo: ${undoName}` : 'Undo'}
      >
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
          <path d="M6.500 3.500 3 7l3.500 3.500M3 7h7.500a4 4 0 0 1 0 8H8" />
        </svg>
      </button>
      <button
        type="button"
        className="quiet"
        disabled={redoName === null}
        onClick={() => dispatch(ActionCreators.redo())}
        title={redoName ? `Again: ${redoName}` : 'Nothing to do again'}
        aria-label={redoName ? `Again: ${redoName}` : 'Redo'}
      >
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
          <path d="M11.500 3.500 15 7l-3.500 3.500M15 7H7.500a4 4 0 0 0 0 8H10" />
        </svg>
      </button>
    </span>
  );
}
