import { type AidCell, nextAidTest, type KitCamera, withAidTest } from '@still-heron/core';
import { AID_WORDS } from '@still-heron/wording';
import { Button } from 'antd';
import { useState } from 'react';
import { useAppSelector } from '../../../shared/store/hooks';
import { TextField } from '../../../ui/fields/TextField';
import { useKeys } from '../../../shared/keys/useKeys';
import { TesterField } from '../TesterField';
import { today } from '../../../shared/today';

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
    return (
      <section className="aid-guide" aria-label="Testing">
        <h2>{cell === null ? 'Everything is tested.' : 'That was all, except for what you skipped.'}</h2>
        <div className="scale-actions">
          <Button type="primary" onClick={onClose}>
            Back to the table
          </Button>
          {cell !== null && <Button onClick={() => setSkipped([])}>Test the skipped ones</Button>}
        </div>
      </section>
    );
  }
  const mode = camera.modes.find(({ id }) => id === cell.modeId)!;
  return (
    <section className="aid-guide" aria-label="Testing">
      <p className="haze">
        {cell.display} · {mode.name} · {AID_WORDS[cell.aid].short}
        {cell.retest === 'other-software' && ` · was ${cell.answer} with software ${cell.test?.software || 'unknown'}`}
        {cell.retest === 'old' && ` · was ${cell.answer} on ${cell.test?.testedOn}`}
      </p>
      <h2>{AID_WORDS[cell.aid].ask}</h2>
      <div className="scale-actions">
        <Button type="primary" size="large" onClick={() => answer(true)}>
          Yes <kbd className="key key-on-lantern">Y</kbd>
        </Button>
        <Button size="large" onClick={() => answer(false)}>
          No <kbd className="key">X</kbd>
        </Button>
        <Button size="large" onClick={skip}>
          Skip <kbd className="key">S</kbd>
        </Button>
      </div>
      <div className="field-pair">
        <TextField label="note" value={note} max={400} placeholder="menu page, button or level" onChange={setNote} />
        <TesterField />
      </div>
      <button type="button" className="quiet" onClick={onClose}>
        Stop here; answers are kept
      </button>
    </section>
  );
}

function keyOf({ aid, display, modeId }: AidCell): string {
  return `${aid}|${display}|${modeId}`;
}
