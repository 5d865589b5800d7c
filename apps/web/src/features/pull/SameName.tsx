import { addStay, canAddStay, changeMark, nextArrivalS, type ShotPlan, type Subject } from '@still-heron/core';
import { sameNameText } from '@still-heron/wording';
import { readDistance } from '../../ui/fields/readDistance';
import { Button } from '../../ui/Button';
import { useUnits } from '../../shared/useUnits';
import { useEdit } from '../shot/useEdit';
import styles from './SameName.module.css';

interface Props {
  readonly subject: Subject;
  readonly plan: ShotPlan;
  /** As typed */
  readonly distance: string;
  readonly onDone: () => void;
  readonly onRename: () => void;
}

/** A name that somebody has already: says who has it, and offers the distance as a further mark for them. */
export function SameName({ subject, plan, distance, onDone, onRename }: Props) {
  const edit = useEdit();
  const units = useUnits();
  const reading = readDistance(distance, units);
  const mm = 'problem' in reading || reading.value === Infinity ? null : reading.value;
  const offer = mm === null ? null : offerOf(plan, subject, mm);
  return (
    <div className={styles.sameName} role="alert" ref={(element) => element?.scrollIntoView({ block: 'nearest' })}>
      <p>{sameNameText(subject)}</p>
      {offer && (
        <Button
          onClick={() => {
            edit(offer.step, offer.change);
            onDone();
          }}
        >
          {offer.label}
        </Button>
      )}
      <Button onClick={onRename}>Another name</Button>
    </div>
  );
}

interface Offer {
  readonly label: string;
  /** Name of the step in the list of undo */
  readonly step: string;
  readonly change: (plan: ShotPlan) => ShotPlan;
}

/** What a distance can be for a subject that is there: its mark measured again, or a further mark; null if neither is possible. */
function offerOf(plan: ShotPlan, subject: Subject, distanceMm: number): Offer | null {
  const { id, name, kind, stays } = subject;
  if (canAddStay(plan, subject))
    return {
      label: stays.length === 0 ? `A mark for ${name}` : `Another mark for ${name}`,
      step: stays.length === 0 ? `add a mark for ${name}` : `${name} walks on`,
      change: (now) => addStay(now, id, { distanceMm, fromS: nextArrivalS(now, subject) }),
    };
  if (kind !== 'object' || stays.length === 0) return null;
  return {
    label: `Measure ${name} again`,
    step: `measure ${name} again`,
    change: (now) => changeMark(now, stays[0]!.markId, { distanceMm }),
  };
}
