import { planNotes, type PlanNote, type ShotPlan } from '@still-heron/core';
import { useProductionQuery } from '../../api/api';
import { useAppSelector } from '../../app/store';
import { selectSaving } from '../shot/savingSlice';

const CLASSES: Readonly<Record<PlanNote['kind'], string>> = {
  blocks: 'plan-note is-blocking',
  doubt: 'plan-note is-doubt',
  caution: 'caution',
  hint: 'plan-note',
};

/** The angle the open shot's production is shot at. */
export function useProductionAngle(): number {
  const productionId = useAppSelector((state) => selectSaving(state).productionId);
  const { data } = useProductionQuery(productionId ?? '', { skip: !productionId });
  return data?.shutterAngleDeg ?? 180;
}

interface Props {
  readonly plan: ShotPlan;
  readonly without?: readonly string[];
  /** Notes of one kind alone */
  readonly only?: PlanNote['kind'];
}

/** What the gear says against the plan. Stale distances, and what stands elsewhere on the screen, are said there. */
export function PlanNotes({ plan, without = [], only }: Props) {
  const shutterAngleDeg = useProductionAngle();
  const notes = planNotes(plan, { shutterAngleDeg })
    .filter(({ code }) => code !== 'stale-marks' && !without.includes(code))
    .filter(({ kind }) => !only || kind === only);
  return notes.map(({ code, kind, text }) => (
    <p key={code} className={CLASSES[kind]} role="note">
      {text}
    </p>
  ));
}
