import {
  LOCAL_RULES,
  type ShotPlan,
  type BlockingMove,
  type BlockingMoveFigure,
  BLOCKING_MOVES,
  type BlockingMoveValues,
  type UnitSystem,
} from '@still-heron/core';
import { Button } from 'antd';
import { Choice } from '../../ui/fields/Choice';
import { figureWords } from './figureWords';
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
  readonly figures: readonly BlockingMoveFigure[];
  readonly onPick: (blockingMove: BlockingMove | null) => void;
  readonly onDraft: (draft: BlockingMoveDraft) => void;
  readonly onLay: () => void;
}

/** Blocking moves: choose one, see its figures and its preview, then apply it to the plan. */
export function BlockingMovesPanel({ plan, units, draft, values, figures, onPick, onDraft, onLay }: Props) {
  if (!draft) {
    return (
      <aside className="side floor-side" aria-label="Moves people make">
        <section>
          <h2>Moves people make, from the playhead on</h2>
          <ul className="moves-list">
            {BLOCKING_MOVES.map((blockingMove) => (
              <li key={blockingMove.id}>
                <button type="button" className="quiet" onClick={() => onPick(blockingMove)}>
                  <strong>{blockingMove.word}</strong>
                  <small>{blockingMove.description}</small>
                </button>
              </li>
            ))}
          </ul>
        </section>
      </aside>
    );
  }
  const { blockingMove, subjectId, atS } = draft;
  const stopScale = plan.optics.lens.stopScale;
  return (
    <aside className="side floor-side" aria-label={blockingMove.word}>
      <section>
        <h2>From {atS.toFixed(1)} s, not in the plan yet</h2>
        <p className="move-name">{blockingMove.word}</p>
        <p className="haze">{blockingMove.description}</p>
        <div className="field-pair">
          <Choice
            label="who"
            value={subjectId ?? 'new'}
            choices={[...plan.subjects.map(({ id, name }) => ({ value: id, word: name })), { value: 'new', word: 'someone new' }]}
            onPick={(picked) => onDraft({ ...draft, subjectId: picked === 'new' ? null : picked, values: {} })}
          />
          {blockingMove.params(plan, { subjectId, atS }).map((param) => (
            <BlockingMoveParamField
              key={param.key}
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
        <h2>What follows</h2>
        <dl className="move-figures">
          {figures.map((item, index) => (
            <div key={`${index}-${item.word}`}>
              <dt>{item.word}</dt>
              <dd className={`${item.unit === 'words' ? '' : 'figure'}${item.tone === 'plain' ? '' : ` tone-${item.tone}`}`}>
                {figureWords(item, units, stopScale)}
              </dd>
            </div>
          ))}
        </dl>
        {blockingMove.movesCamera && (
          <p className="move-caution">
            Walking with the camera, backward or sideways, with a screen before one’s eyes: a spotter, a cleared path.{' '}
            {LOCAL_RULES}
          </p>
        )}
        <div className="side-actions is-last">
          <Button type="primary" onClick={onLay}>
            Lay it in
          </Button>
          <Button onClick={() => onPick(null)}>Another move</Button>
        </div>
      </section>
    </aside>
  );
}
