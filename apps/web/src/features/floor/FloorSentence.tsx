import { type CompleteVerdict, sharpBeatsAt, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { floorSentence } from '@still-heron/wording';
import { useAppSelector } from '../../shared/store/hooks';
import { Sentence } from '../../ui/Sentence';
import { selectSession } from '../shot/sessionSlice';
import { selectedSubject } from './selectedSubject';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
  readonly units: UnitSystem;
}

/** Situation at the playhead of the selected subject, or of one that must be sharp there. */
export function FloorSentence({ plan, verdict, units }: Props) {
  const { timeS, selection } = useAppSelector(selectSession);
  const required = sharpBeatsAt(plan, timeS).map(({ subjectId }) => subjectId);
  const subject =
    selectedSubject(plan, selection) ?? plan.subjects.find(({ id }) => required.includes(id)) ?? plan.subjects[0] ?? null;
  return <Sentence parts={floorSentence(plan, verdict, subject, { timeS, units })} testId="floor-sentence" />;
}
