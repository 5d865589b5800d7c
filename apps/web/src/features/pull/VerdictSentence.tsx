import type { UnitSystem } from '@still-heron/core';
import { narrate } from '@still-heron/wording';
import { useAppDispatch } from '../../shared/store/hooks';
import type { PlanVerdict } from '../shot/useVerdict';
import { playheadMoved } from '../shot/sessionSlice';

interface Props {
  readonly judged: PlanVerdict | null;
  readonly units: UnitSystem;
}

/** Verdict in a sentence. Pressing its soft part moves the playhead there. */
export function VerdictSentence({ judged, units }: Props) {
  const dispatch = useAppDispatch();
  if (!judged) return <p className="sentence">&nbsp;</p>;
  const { parts } = narrate(judged.verdict, judged.plan, units);
  return (
    <p className="sentence" data-testid="verdict" role="status">
      {parts.map(({ tone, text, atS }) =>
        tone === 'soft' && atS !== undefined ? (
          <button
            key={text}
            type="button"
            className="go-there tone-soft"
            title="Move the playhead there"
            onClick={() => dispatch(playheadMoved(atS))}
          >
            {text}{' '}
          </button>
        ) : (
          <span key={text} className={tone === 'plain' ? undefined : `tone-${tone}`}>
            {text}{' '}
          </span>
        ),
      )}
    </p>
  );
}
