import type { UnitSystem } from '@still-heron/core';
import { narrate } from '@still-heron/wording';
import { useAppDispatch } from '../../shared/store/hooks';
import { Sentence } from '../../ui/Sentence';
import { playheadMoved } from '../shot/sessionSlice';
import type { PlanVerdict } from '../shot/useVerdict';

interface Props {
  readonly judged: PlanVerdict | null;
  readonly units: UnitSystem;
}

/** Verdict in a sentence. Pressing its soft part moves the playhead there. */
export function VerdictSentence({ judged, units }: Props) {
  const dispatch = useAppDispatch();
  if (!judged) return <Sentence parts={[]} />;
  return (
    <Sentence
      parts={narrate(judged.verdict, judged.plan, units).parts}
      testId="verdict"
      role="status"
      onTime={(timeS) => dispatch(playheadMoved(timeS))}
    />
  );
}
