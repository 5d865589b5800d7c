import { type AidCell, nextAidTest, type KitCamera, withAidTest, type RecordingMode } from '@still-heron/core';
import { AID_WORDS } from '@still-heron/wording';
import { useState } from 'react';
import { useAppSelector } from '../../../shared/store/hooks';
import { TextField } from '../../../ui/fields/TextField';
import { useKeys } from '../../../shared/keys/useKeys';
import { TesterField } from '../TesterField';
import { today } from '../../../shared/today';
import { Button } from '../../../ui/Button';
import { Key } from '../../../ui/Key';
import styles from './AidGuide.module.css';
import kitStyles from '../kit.module.css';
import textStyles from '../../../ui/text.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';

interface Props {
  readonly camera: KitCamera;
  readonly onChange: (name: string, change: (camera: KitCamera) => KitCamera) => void;
  readonly onClose: () => void;
}

/** Guided test: asks for every untested or outdated cell, by display and mode, one question at a time. */
export function AidGuide({ camera, onChange, onClose }: Props) {
  const tester = useAppSelector((state) => state.preferences.tester);
  const [after, setAfter] = useState<AidCell | null>(null);
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [note, setNote] = useState('');
  const cell = nextAidTest(camera, today(), after);
  const isRound = cell !== null && skipped.includes(keyOf(cell));
  const isAsking = cell !== null && !isRound;

  function answer(works: boolean): void {
    if (!cell || isRound) return;
    const { aid, display, modeId } = cell;
    onChange(`${AID_WORDS[aid].short} on ${display}: ${works ? 'yes' : 'no'}`, (now) =>
      withAidTest(now, {
        aid,
        display,
        modeId,
        works,
        note: note.trim(),
        testedOn: today(),
        testedBy: tester,
        software: now.software,
      }),
    );
    goOn(cell);
  }
  function goOn(from: AidCell): void {
    setAfter(from);
    setNote('');
  }
  function skip(): void {
    if (!cell) return;
    setSkipped([...skipped, keyOf(cell)]);
    goOn(cell);
  }
  useKeys('y', () => answer(true), { enabled: isAsking });
  useKeys('x', () => answer(false), { enabled: isAsking });
  useKeys('s', skip, { enabled: isAsking });
  useKeys('esc', onClose);

  if (!isAsking) {
    return <GuideEnd cell={cell} onClose={onClose} onSkipped={setSkipped} />;
  }
  const mode = camera.modes.find(({ id }) => id === cell.modeId)!;
  return (
    <section className={styles.aidGuide} aria-label="Testing">
      <CellTitle cell={cell} mode={mode} />
      <h2>{AID_WORDS[cell.aid].ask}</h2>
      <AnswerButtons onAnswer={answer} onSkip={skip} />
      <div className={fieldStyles.fieldPair}>
        <TextField label="note" value={note} max={400} placeholder="menu page, button or level" onChange={setNote} />
        <TesterField />
      </div>
      <Button look="quiet" onClick={onClose}>
        Stop here; answers are kept
      </Button>
    </section>
  );
}

interface GuideEndProps extends Pick<Props, 'onClose'> {
  readonly cell: AidCell | null;
  readonly onSkipped: (value: readonly string[]) => void;
}

function GuideEnd({ cell, onClose, onSkipped }: GuideEndProps) {
  return (
    <section className={styles.aidGuide} aria-label="Testing">
      <h2>{cell === null ? 'Everything is tested.' : 'That was all, except for what you skipped.'}</h2>
      <div className={kitStyles.scaleActions}>
        <Button look="main" onClick={onClose}>
          Back to the table
        </Button>
        {cell !== null && <Button onClick={() => onSkipped([])}>Test the skipped ones</Button>}
      </div>
    </section>
  );
}

function CellTitle({ cell, mode }: { readonly cell: AidCell; readonly mode: RecordingMode }) {
  return (
    <p className={textStyles.muted}>
      {cell.display} · {mode.name} · {AID_WORDS[cell.aid].short}
      {cell.retest === 'other-software' && ` · was ${cell.answer} with software ${cell.test?.software || 'unknown'}`}
      {cell.retest === 'old' && ` · was ${cell.answer} on ${cell.test?.testedOn}`}
    </p>
  );
}

function AnswerButtons({ onAnswer, onSkip }: { readonly onAnswer: (works: boolean) => void; readonly onSkip: () => void }) {
  return (
    <div className={kitStyles.scaleActions}>
      <Button look="main" size="large" onClick={() => onAnswer(true)}>
        Yes <Key isOnAccent>Y</Key>
      </Button>
      <Button size="large" onClick={() => onAnswer(false)}>
        No <Key>X</Key>
      </Button>
      <Button size="large" onClick={onSkip}>
        Skip <Key>S</Key>
      </Button>
    </div>
  );
}

function keyOf({ aid, display, modeId }: AidCell): string {
  return `${aid}|${display}|${modeId}`;
}
