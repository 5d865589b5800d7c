import {
  changeMark,
  formatDistance,
  formatGap,
  type Mark,
  type ShotPlan,
  type FocusReference,
  focusReferences,
  type UnitSystem,
} from '@still-heron/core';
import { useEdit } from '../shot/useEdit';

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
  if (found.length === 0) return <p className="haze">No object on the floor is in view of the lens. Put a post near the mark.</p>;
  return (
    <ul className="stand-ins">
      {found.slice(0, MAX_SHOWN).map((standIn) => {
        const isTaken = mark.focusReferenceId === standIn.landmarkId;
        return (
          <li key={standIn.landmarkId}>
            <button
              type="button"
              className="quiet"
              aria-pressed={isTaken}
              onClick={() =>
                edit(
                  isTaken ? `${mark.letter} without an object to focus on` : `${standIn.name} to focus on for ${mark.letter}`,
                  (now) => changeMark(now, mark.id, { focusReferenceId: isTaken ? null : standIn.landmarkId }),
                )
              }
            >
              <span className="stand-in-name">{standIn.name}</span>
              <span className="figure">{formatDistance(standIn.focusMm, units)}</span>
              <small className={standIn.marginMm >= 0 ? 'tone-sharp' : 'tone-soft'}>{roomWords(standIn, units)}</small>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function roomWords({ marginMm, nearerMm, fartherMm }: FocusReference, units: UnitSystem): string {
  if (marginMm < 0) return `${formatGap(marginMm, units)} beside the zone: soft at the mark`;
  const farther = fartherMm === Infinity ? 'any' : formatGap(fartherMm, units);
  return `sharp at the mark, room −${formatGap(nearerMm, units)} / +${farther}`;
}
