import { changeMark, formatDistance, type Mark, type ShotPlan, focusReferences, type UnitSystem } from '@still-heron/core';
import { referenceRoomText } from '@still-heron/wording';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import styles from './FocusReferences.module.css';

interface Props {
  readonly mark: Mark;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Number of focus references shown. */
const MAX_SHOWN = 4;

/** Landmarks to focus on instead of the subject, best first, with the room each leaves. */
export function FocusReferences({ mark, plan, units }: Props) {
  const edit = useEdit();
  const found = focusReferences(plan, mark);
  if (found.length === 0)
    return <p className={textStyles.muted}>No object on the floor is in view of the lens. Put a post near the mark.</p>;
  return (
    <ul data-testid="focus-references" className={styles.focusReferences}>
      {found.slice(0, MAX_SHOWN).map((reference) => {
        const isTaken = mark.focusReferenceId === reference.landmarkId;
        return (
          <li key={reference.landmarkId}>
            <Button
              look="quiet"
              aria-pressed={isTaken}
              onClick={() =>
                edit(
                  isTaken ? `${mark.letter} without an object to focus on` : `${reference.name} to focus on for ${mark.letter}`,
                  (now) => changeMark(now, mark.id, { focusReferenceId: isTaken ? null : reference.landmarkId }),
                )
              }
            >
              <span className={styles.referenceName}>{reference.name}</span>
              <span className={textStyles.figure}>{formatDistance(reference.focusMm, units)}</span>
              <small className={reference.marginMm >= 0 ? textStyles.toneSharp : textStyles.toneSoft}>
                {referenceRoomText(reference, units)}
              </small>
            </Button>
          </li>
        );
      })}
    </ul>
  );
}
