import { planNotes, type PlanNote, type ShotPlan } from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import clsx from 'clsx';
import { useProductionQuery } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { selectProductionId } from '../shot/savingSlice';
import styles from './PlanNotes.module.css';
import layoutStyles from '../../ui/layout.module.css';

const CLASSES: Readonly<Record<PlanNote['kind'], string | undefined>> = {
  blocks: clsx(styles.planNote, styles.isBlocking),
  warning: clsx(styles.planNote, styles.isWarning),
  caution: layoutStyles.caution,
  hint: styles.planNote,
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
    <p key={note.code} data-testid={note.kind} className={CLASSES[note.kind]} role="note">
      {noteText(note)}
    </p>
  ));
}
