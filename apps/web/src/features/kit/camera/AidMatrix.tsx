import { type AidCell, aidMatrix, AIDS, type KitCamera, withAidTest, withoutAidTest } from '@still-heron/core';
import { AID_WORDS } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { useAppSelector } from '../../../shared/store/hooks';
import { WordChoice } from '../../../ui/fields/WordChoice';
import { today } from '../../../shared/today';
import { Button } from '../../../ui/Button';
import styles from './AidMatrix.module.css';
import textStyles from '../../../ui/text.module.css';

interface Props {
  readonly camera: KitCamera;
  readonly onChange: (name: string, change: (camera: KitCamera) => KitCamera) => void;
  readonly onGuide: () => void;
}

const SIGNS = { yes: '✓ yes', no: '✕ no', untested: '· untested' } as const;

/** Focus aids by display, for one recording mode. A press cycles: untested, yes, no. */
export function AidMatrix({ camera, onChange, onGuide }: Props) {
  const tester = useAppSelector((state) => state.preferences.tester);
  const [chosen, setChosen] = useState(camera.modes[0]!.id);
  const mode = camera.modes.find(({ id }) => id === chosen) ?? camera.modes[0]!;
  const cells = aidMatrix(camera, today()).filter(({ modeId }) => modeId === mode.id);
  function turn(cell: AidCell): void {
    const { aid, display, modeId } = cell;
    const name = `${AID_WORDS[aid].short} on ${display}`;
    if (cell.answer === 'no') return onChange(name, (now) => withoutAidTest(now, cell));
    onChange(name, (now) =>
      withAidTest(now, {
        aid,
        display,
        modeId,
        works: cell.answer === 'untested',
        note: cell.test?.note ?? '',
        testedOn: today(),
        testedBy: tester,
        software: now.software,
      }),
    );
  }
  if (camera.displays.length === 0) return null;
  return (
    <section data-testid="aid-matrix" className={styles.aidMatrix} aria-label="What it can do, by your tests">
      <header>
        {camera.modes.length > 1 ? (
          <WordChoice
            label="Recording mode"
            chosen={mode.id}
            choices={camera.modes.map(({ id, name }) => ({ value: id, word: name }))}
            onChoose={setChosen}
          />
        ) : (
          <h2>{mode.name}</h2>
        )}
        <Button look="main" onClick={onGuide}>
          Test step by step
        </Button>
      </header>
      <AidTable camera={camera} cells={cells} onTurn={turn} />
    </section>
  );
}

interface AidTableProps extends Pick<Props, 'camera'> {
  readonly cells: AidCell[];
  readonly onTurn: (cell: AidCell) => void;
}

function AidTable({ camera, cells, onTurn }: AidTableProps) {
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">
            <span className={textStyles.unseen}>aid</span>
          </th>
          {camera.displays.map((display) => (
            <th scope="col" key={display}>
              {display}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {AIDS.map((aid) => (
          <tr key={aid}>
            <th scope="row">{AID_WORDS[aid].short}</th>
            {camera.displays.map((display) => {
              const cell = cells.find((item) => item.aid === aid && item.display === display)!;
              return (
                <td key={display}>
                  <AidButton cell={cell} onTurn={() => onTurn(cell)} />
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function AidButton({ cell, onTurn }: { readonly cell: AidCell; readonly onTurn: () => void }) {
  const { answer, retest, test, aid, display } = cell;
  const by =
    test && `${test.testedOn}${test.testedBy ? `, ${test.testedBy}` : ''}${test.software ? `, software ${test.software}` : ''}`;
  return (
    <button
      type="button"
      className={clsx(styles.aidAnswer, styles[`is-${answer}`])}
      title={[by, test?.note].filter(Boolean).join(': ') || 'not tested'}
      aria-label={`${AID_WORDS[aid].short} on ${display}: ${answer}${retest ? ', test again' : ''}`}
      onClick={onTurn}
    >
      {SIGNS[answer]}
      {retest && <span className={styles.aidAgain}>again</span>}
      {test?.note && <span className={styles.aidNote}>{test.note}</span>}
    </button>
  );
}
