import { type Place, type ShotPlan, spotTape, STANDING_EYES_MM, type UnitSystem } from '@still-heron/core';
import { spotTapeText } from '@still-heron/wording';
import { useAppSelector } from '../../shared/store/hooks';
import { Button } from '../../ui/Button';
import { selectSession } from '../shot/sessionSlice';
import styles from './FloorNotice.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly spot: Place;
  readonly units: UnitSystem;
  readonly onClose: () => void;
}

/** What a tape says to a spot on the floor, from where the camera is at the playhead. */
export function SpotTape({ plan, spot, units, onClose }: Props) {
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  const heightMm = plan.subjects.find(({ kind }) => kind === 'person')?.heightMm ?? STANDING_EYES_MM;
  const tape = spotTape(plan, spot, heightMm, timeS);
  if (tape === null) return null;
  return (
    <p className={styles.floorNotice} role="status" data-testid="spot-tape">
      {spotTapeText(tape, heightMm, units)}
      <Button size="small" onClick={onClose}>
        Close
      </Button>
    </p>
  );
}
