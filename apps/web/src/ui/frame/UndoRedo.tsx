import { ActionCreators } from 'redux-undo';
import { useAppDispatch } from '../../shared/store/hooks';
import { Button } from '../Button';
import styles from './UndoRedo.module.css';

interface Props {
  /** Name of the step that undo reverts, or redo repeats; null if there is none */
  readonly undoName: string | null;
  readonly redoName: string | null;
}

/** Undo and redo buttons, labelled with the step. */
export function UndoRedo({ undoName, redoName }: Props) {
  const dispatch = useAppDispatch();
  return (
    <span className={styles.undoRedo}>
      <StepButton
        word="Undo"
        emptyWord="Undo"
        name={undoName}
        onPress={() => dispatch(ActionCreators.undo())}
        path="M6.5 3.5 3 7l3.5 3.5M3 7h7.5a4 4 0 0 1 0 8H8"
      />
      <StepButton
        word="Redo"
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
  /** Label without a step */
  readonly emptyWord: string;
  readonly name: string | null;
  readonly path: string;
  readonly onPress: () => void;
}

function StepButton({ word, emptyWord, name, path, onPress }: StepButtonProps) {
  const label = name === null ? emptyWord : `${word}: ${name}`;
  return (
    <Button look="quiet" disabled={name === null} onClick={onPress} title={label} aria-label={label}>
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
    </Button>
  );
}
