import type { UnitSystem } from '@still-heron/core';
import { narrate } from '@still-heron/wording';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import type { PlanVerdict } from '../shot/useVerdict';
import { playheadMoved } from '../shot/sessionSlice';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly judged: PlanVerdict | null;
  readonly units: UnitSystem;
}

/** Verdict in a sentence. Pressing its soft part moves the playhead there. */
export function VerdictSentence({ judged, units }: Props) {
  const dispatch = useAppDispatch();
  if (!judged)
    return (
      <p data-testid="sentence" className={layoutStyles.sentence}>
        &nbsp;
      </p>
    );
  const { parts } = narrate(judged.verdict, judged.plan, units);
  return (
    <p className={layoutStyles.sentence} data-testid="verdict" role="status">
      {parts.map(({ tone, text, atS }) =>
        tone === 'soft' && atS !== undefined ? (
          <button
            key={text}
            type="button"
            className={clsx(layoutStyles.goThere, textStyles.toneSoft)}
            title="Move the playhead there"
            onClick={() => dispatch(playheadMoved(atS))}
          >
            {text}{' '}
          </button>
        ) : (
          <span key={text} className={clsx(!(tone === 'plain') && textStyles[`tone-${tone}`])}>
            {text}{' '}
          </span>
        ),
      )}
    </p>
  );
}
