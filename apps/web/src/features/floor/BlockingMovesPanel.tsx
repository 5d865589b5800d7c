import {
  type ShotPlan,
  type BlockingMove,
  type BlockingMoveFigure,
  BLOCKING_MOVES,
  type BlockingMoveValues,
  type UnitSystem,
  type StopScale,
  subjectsFor,
} from '@still-heron/core';
import { BLOCKING_MOVE_WORDS, LOCAL_RULES, moveFigureLabel, moveFigureValue } from '@still-heron/wording';
import clsx from 'clsx';
import { Choice } from '../../ui/fields/Choice';
import { BlockingMoveParamField } from './BlockingMoveParam';
import { Button } from '../../ui/Button';
import { focusInvalid } from '../../ui/fields/focusInvalid';
import layoutStyles from '../../ui/layout.module.css';
import floorStyles from './floor.module.css';
import styles from './BlockingMovesPanel.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** A blocking move being edited: kind, subject, start time, and values that differ from the defaults. */
export interface BlockingMoveDraft {
  readonly blockingMove: BlockingMove;
  readonly subjectId: string | null;
  readonly atS: number;
  readonly values: BlockingMoveValues;
}

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly draft: BlockingMoveDraft | null;
  /** All values, with defaults filled in */
  readonly values: BlockingMoveValues;
  /** The plan with the move, and the figures of the move */
  readonly shown: ShotPlan;
  readonly figures: readonly BlockingMoveFigure[];
  readonly onPick: (blockingMove: BlockingMove | null) => void;
  readonly onDraft: (draft: BlockingMoveDraft) => void;
  readonly onApply: () => void;
}

/** Blocking moves: choose one, see its figures and its preview, then apply it to the plan. */
export function BlockingMovesPanel({ plan, units, draft, values, shown, figures, onPick, onDraft, onApply }: Props) {
  if (!draft) {
    return <MoveList onPick={onPick} />;
  }
  const { blockingMove, subjectId, atS } = draft;
  const { name, description } = BLOCKING_MOVE_WORDS[blockingMove.id];
  const stopScale = plan.optics.lens.stopScale;
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, floorStyles.floorSide)} aria-label={name}>
      <section>
        <h2>From {atS.toFixed(1)} s, not in the plan yet</h2>
        <p className={styles.moveName}>{name}</p>
        <p className={textStyles.muted}>{description}</p>
        <div className={fieldStyles.fieldPair}>
          <Choice
            label="subject"
            value={subjectId ?? 'new'}
            choices={[
              ...subjectsFor(blockingMove, plan).map(({ id, name }) => ({ value: id, word: name })),
              { value: 'new', word: 'new subject' },
            ]}
            onPick={(picked) => onDraft({ ...draft, subjectId: picked === 'new' ? null : picked, values: {} })}
          />
          {blockingMove.params(plan, { subjectId, atS }).map((param) => (
            <BlockingMoveParamField
              key={param.key}
              moveId={blockingMove.id}
              param={param}
              value={values[param.key]!}
              units={units}
              stopScale={stopScale}
              captureFps={plan.captureFps}
              onChange={(value) => onDraft({ ...draft, values: { ...draft.values, [param.key]: value } })}
            />
          ))}
        </div>
      </section>
      <section>
        <h2>Result</h2>
        <MoveFigures figures={figures} shown={shown} units={units} stopScale={stopScale} />
        {blockingMove.movesCamera && (
          <p className={floorStyles.moveCaution}>
            Walking with the camera, backward or sideways, while watching a screen: a spotter and a cleared path. {LOCAL_RULES}
          </p>
        )}
        <div className={clsx(layoutStyles.sideActions, layoutStyles.isLast)}>
          <Button
            look="main"
            onClick={({ currentTarget }) => {
              // an invalid text stays in its field, and the last valid value must not be applied in its place
              if (!focusInvalid(currentTarget.closest('aside')!)) onApply();
            }}
          >
            Add to the plan
          </Button>
          <Button onClick={() => onPick(null)}>Another move</Button>
        </div>
      </section>
    </aside>
  );
}

function MoveList({ onPick }: Pick<Props, 'onPick'>) {
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, floorStyles.floorSide)} aria-label="Blocking moves">
      <section>
        <h2>Blocking moves, from the playhead on</h2>
        <ul className={styles.movesList}>
          {BLOCKING_MOVES.map((blockingMove) => (
            <li key={blockingMove.id}>
              <Button look="quiet" onClick={() => onPick(blockingMove)}>
                <strong>{BLOCKING_MOVE_WORDS[blockingMove.id].name}</strong>
                <small>{BLOCKING_MOVE_WORDS[blockingMove.id].description}</small>
              </Button>
            </li>
          ))}
        </ul>
      </section>
    </aside>
  );
}

interface MoveFiguresProps extends Pick<Props, 'figures' | 'shown' | 'units'> {
  readonly stopScale: StopScale;
}

function MoveFigures({ figures, shown, units, stopScale }: MoveFiguresProps) {
  return (
    <dl data-testid="move-figures" className={styles.moveFigures}>
      {figures.map((item, index) => (
        <div key={`${index}-${item.code}`}>
          <dt>{moveFigureLabel(item, shown)}</dt>
          <dd
            className={clsx(
              !(item.unit === 'answer') && textStyles.figure,
              !(item.tone === 'plain') && textStyles[`tone-${item.tone}`],
            )}
          >
            {moveFigureValue(item, units, stopScale)}
          </dd>
        </div>
      ))}
    </dl>
  );
}
