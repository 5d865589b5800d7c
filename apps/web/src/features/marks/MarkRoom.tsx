import { formatDistance, formatGap, type Mark, markReading, type ShotPlan, type UnitSystem, wheelDegOf } from '@still-heron/core';
import { beyondRingText, leanText, markRoomLines, markOnRingText } from '@still-heron/wording';
import { Explain } from '../../ui/fields/Explain';
import { roomBar } from './roomLayout';
import textStyles from '../../ui/text.module.css';
import styles from './MarkRoom.module.css';

interface Props {
  readonly mark: Mark;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

const WIDTH = 250;

/** Room around a mark on both sides, in distance and in degrees, and its position on the ring. */
export function MarkRoom({ mark, plan, units }: Props) {
  const reading = markReading(plan, mark);
  const { nearerMm, fartherMm } = reading;
  const beyond = beyondRingText(reading, plan, units);
  if (beyond !== null) return <p className={textStyles.toneSoft}>{beyond}</p>;
  const lean = leanText(reading, plan, units);
  const bar = roomBar(reading, WIDTH);
  const atHand = (deg: number) => `${wheelDegOf(plan.wheel, deg).toFixed(1)}°`;
  return (
    <div className={styles.markRoomDrawing} data-testid="mark-room">
      <svg viewBox={`0 0 ${WIDTH} 22`} aria-hidden="true">
        <rect x={bar.nearEnd} y={7} width={bar.farEnd - bar.nearEnd} height={8} className={styles.roomBar} />
        {bar.isEndless && <path d={`M${bar.farEnd - 9},3l8,8l-8,8`} className={styles.roomEndless} />}
        <path d={`M${bar.middle},1V21`} className={styles.roomMiddle} />
      </svg>
      <p className={styles.roomSides}>
        <span>
          <strong className={textStyles.figure}>{Number.isFinite(nearerMm) ? formatGap(nearerMm, units) : 'any'}</strong> nearer
          <small className={textStyles.figure}>{atHand(reading.towardsNearDeg)} of turn</small>
        </span>
        <span>
          <strong className={textStyles.figure}>{fartherMm === Infinity ? 'any' : formatGap(fartherMm, units)}</strong> farther
          <small className={textStyles.figure}>{atHand(reading.towardsFarDeg)} of turn</small>
        </span>
      </p>
      {lean !== null && <p>{lean}</p>}
      <p className={textStyles.muted}>{markOnRingText(reading, plan, units)}</p>
      <p>
        <Explain what="Room at this mark" lines={markRoomLines(reading, mark, plan, units)}>
          sharp from {formatDistance(reading.nearMm, units)} to {formatDistance(reading.farMm, units)}
        </Explain>
      </p>
    </div>
  );
}
