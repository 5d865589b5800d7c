import { type PlanNoteCode, planNotes, type ShotPlan } from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import clsx from 'clsx';
import { useProductionAngle } from '../setup/PlanNotes';
import styles from './PlanWarnings.module.css';
import textStyles from '../../ui/text.module.css';

/** Warnings that affect the verdict, in a line below it. Set-up shows all others. */
export function PlanWarnings({ plan }: { readonly plan: ShotPlan }) {
  const shutterAngleDeg = useProductionAngle();
  const warnings = planNotes(plan, { shutterAngleDeg }).filter(({ code }) => VERDICT_WARNINGS.includes(code));
  return warnings.map((note) => (
    <p
      key={note.code}
      role="note"
      className={clsx(styles.planWarning, note.kind === 'blocks' ? textStyles.toneSoft : textStyles.toneEdge)}
    >
      {noteText(note)}
    </p>
  ));
}

/** Codes of warnings that affect whether the track comes out as planned. */
const VERDICT_WARNINGS: readonly PlanNoteCode[] = [
  'ring-by-speed',
  'stop-limited',
  'zoom-not-tested',
  'out-of-reach',
  'reversed',
  'pulls-unused',
  'assumed-ring',
  'off-the-ring',
];
