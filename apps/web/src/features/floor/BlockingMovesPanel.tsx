import {
  type ShotPlan,
  type BlockingMove,
  type BlockingMoveFigure,
  BLOCKING_MOVES,
  type BlockingMoveValues,
  type UnitSystem,
} from '@still-heron/core';
import { BLOCKING_MOVE_WORDS, LOCAL_RULES, moveFigureLabel, moveFigureValue } from '@still-heron/wording';
import { Button } from 'antd';
import { Choice } from '../../ui/fields/Choice';
import { BlockingMoveParamField } from './BlockingMoveParam';

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
    return (
      <aside className="side floor-side" aria-label="Blocking moves">
        <section>
          <h2>Blocking moves, from the playhead on</h2>
          <ul className="moves-list">
            {BLOCKING_MOVES.map((blockingMove) => (
              <li key={blockingMove.id}>
                <button type="button" className="quiet" onClick={() => onPick(blockingMove)}>
                  <strong>{BLOCKING_MOVE_WORDS[blockingMove.id].name}</strong>
                  <small>{BLOCKING_MOVE_WORDS[blockingMove.id].description}</small>
                </button>
              </li>
            ))}
          </ul>
        </section>
      </aside>
    );
  }
  const { blockingMove, subjectId, atS } = draft;
  const { name, description } = BLOCKING_MOVE_WORDS[blockingMove.id];
  const stopScale = plan.optics.lens.stopScale;
  return (
    <aside className="side floor-side" aria-label={name}>
      <section>
        <h2>From {atS.toFixed(1)} s, not in the plan yet</h2>
        <p className="move-name">{name}</p>
        <p className="haze">{description}</p>
        <div className="field-pair">
          <Choice
            label="subject"
            value={subjectId ?? 'new'}
            choices={[...plan.subjects.map(({ id, name }) => ({ value: id, word: name })), { value: 'new', word: 'new subject' }]}
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
        <dl className="move-figures">
          {figures.map((item, index) => (
            <div key={`${index}-${item.code}`}>
              <dt>{moveFigureLabel(item, shown)}</dt>
              <dd className={`${item.unit === 'answer' ? '' : 'figure'}${item.tone === 'plain' ? '' : ` tone-${item.tone}`}`}>
                {moveFigureValue(item, units, stopScale)}
              </dd>
            </div>
          ))}
        </dl>
        {blockingMove.movesCamera && (
          <p className="move-caution">
            Walking with the camera, backward or sideways, while watching a screen: a spotter and a cleared path. {LOCAL_RULES}
          </p>
        )}
        <div className="side-actions is-last">
          <Button type="primary" onClick={onApply}>
            Add to the plan
          </Button>
          <Button onClick={() => onPick(null)}>Another move</Button>
        </div>
      </section>
    </aside>
  );
}
