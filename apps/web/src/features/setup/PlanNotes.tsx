import { planNotes, type PlanNote, type ShotPlan } from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import { useProductionQuery } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { selectProductionId } from '../shot/savingSlice';

const CLASSES: Readonly<Record<PlanNote['kind'], string>> = {
  blocks: 'plan-note is-blocking',
  warning: 'plan-note is-warning',
  caution: 'caution',
  hint: 'plan-note',
};

/** Shutter angle of the open shot's production. */
export function useProductionAngle(): number {
  const productionId = useAppSelector(selectProductionId);
  const { data } = useProductionQuery(productionId ?? '', { skip: !productionId });
  return data?.shutterAngleDeg ?? 180;
}

interface Props {
  readonly plan: ShotPlan;
  readonly without?: readonly string[];
  /** Shows only notes of this kind */
  readonly only?: PlanNote['kind'];
}

/** Notes about the gear. Notes that the page shows elsewhere are omitted. */
export function PlanNotes({ plan, without = [], only }: Props) {
  const shutterAngleDeg = useProductionAngle();
  const notes = planNotes(plan, { shutterAngleDeg })
    .filter(({ code }) => code !== 'stale-marks' && !without.includes(code))
    .filter(({ kind }) => !only || kind === only);
  return notes.map((note) => (
    <p key={note.code} className={CLASSES[note.kind]} role="note">
      {noteText(note)}
    </p>
  ));
}
