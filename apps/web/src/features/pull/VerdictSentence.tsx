import type { UnitSystem } from '@still-heron/core';
import { narrate } from '@still-heron/wording';
import { useAppDispatch } from '../../shared/store/hooks';
import { Sentence } from '../../ui/Sentence';
import { playheadMoved } from '../shot/sessionSlice';
import { useKeepRate } from '../shot/useKeepRate';
import type { PlanVerdict } from '../shot/useVerdict';

interface Props {
  readonly judged: PlanVerdict | null;
  readonly units: UnitSystem;
}

/** Verdict in a sentence. Pressing its soft part moves the playhead there. */
export function VerdictSentence({ judged, units }: Props) {
  const dispatch = useAppDispatch();
  const known = useKeepRate();
  if (!judged) return <Sentence parts={[]} />;
  // while the keep rate of an edit is drawn, its sentence says only what the ideal take does
  const keepRate = known?.plan === judged.plan ? known.rate.keepRate : null;
  return (
    <Sentence
      parts={narrate(judged.verdict, judged.plan, units, keepRate).parts}
      testId="verdict"
      role="status"
      onTime={(timeS) => dispatch(playheadMoved(timeS))}
    />
  );
}
