import { addStay, changeMark, nextArrivalS, type ShotPlan, type Subject } from '@still-heron/core';
import { sameNameText } from '@still-heron/wording';
import { readDistance } from '../../ui/fields/readDistance';
import { Button } from '../../ui/Button';
import { useUnits } from '../../shared/useUnits';
import { useEdit } from '../shot/useEdit';
import styles from './SameName.module.css';

interface Props {
  readonly subject: Subject;
  /** As typed */
  readonly distance: string;
  readonly onDone: () => void;
  readonly onRename: () => void;
}

/** A name that somebody has already: says who has it, and offers a second mark for them. */
export function SameName({ subject, distance, onDone, onRename }: Props) {
  const edit = useEdit();
  const units = useUnits();
  const reading = readDistance(distance, units);
  const mm = 'problem' in reading || reading.value === Infinity ? null : reading.value;
  const isObject = subject.kind === 'object';
  const again = (plan: ShotPlan): ShotPlan =>
    isObject
      ? changeMark(plan, subject.stays[0]!.markId, { distanceMm: mm })
      : addStay(plan, subject.id, { distanceMm: mm!, fromS: nextArrivalS(plan, subject) });
  return (
    <div className={styles.sameName} role="alert" ref={(element) => element?.scrollIntoView({ block: 'nearest' })}>
      <p>{sameNameText(subject)}</p>
      {mm !== null && (
        <Button
          onClick={() => {
            edit(isObject ? `measure ${subject.name} again` : `${subject.name} walks on`, again);
            onDone();
          }}
        >
          {isObject ? `Measure ${subject.name} again` : `A second mark for ${subject.name}`}
        </Button>
      )}
      <Button onClick={onRename}>Another name</Button>
    </div>
  );
}
