import {
  formatDistance,
  formatDistanceFigure,
  formatGap,
  markFocusMm,
  planDistances,
  staleCause,
  type ShotPlan,
  type UnitSystem,
  type Mark,
  type Sighting,
} from '@still-heron/core';
import { axisLines, measuredByText } from '@still-heron/wording';
import clsx from 'clsx';
import { subjectColour } from '../../charts/subjectColour';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { Explain } from '../../ui/fields/Explain';
import { itemSelected, selectSelection } from '../shot/sessionSlice';
import styles from './MarkDistances.module.css';
import floorStyles from './floor.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Smaller differences between two distances are ignored. */
const MIN_DIFFERENCE_MM = 5;

/** All marks: tape distance, focus distance, and why they differ off the axis. */
export function MarkDistances({ plan, units }: Props) {
  const { markSightings } = planDistances(plan);
  if (plan.marks.length === 0) return null;
  return (
    <section>
      <h2>Marks</h2>
      <ul data-testid="floor-marks" className={styles.floorMarks}>
        {plan.marks.map((mark) => (
          <MarkRow
            key={mark.id}
            mark={mark}
            plan={plan}
            units={units}
            sight={markSightings.get(mark.id)}
            focusMm={markFocusMm(plan, mark.id)}
          />
        ))}
      </ul>
    </section>
  );
}

interface MarkRowProps extends Props {
  readonly mark: Mark;
  /** How the lens meets the mark; undefined if it is not drawn */
  readonly sight: Sighting | undefined;
  readonly focusMm: number;
}

function MarkRow({ plan, units, mark, sight, focusMm }: MarkRowProps) {
  const dispatch = useAppDispatch();
  const selection = useAppSelector(selectSelection);
  const subjectIndex = plan.subjects.findIndex(({ id }) => id === mark.subjectId);
  const tapeMm = mark.distanceMm ?? Infinity;
  const isBehind = sight !== undefined && sight.depthMm <= 0;
  const isStale = staleCause(plan, mark) !== null;
  const isOffAxis = sight !== undefined && !isBehind && Math.abs(focusMm - tapeMm) > MIN_DIFFERENCE_MM;
  return (
    <li className={clsx(selection?.id === mark.id && floorStyles.isSelected)}>
      <button
        type="button"
        className={styles.floorMarkName}
        style={{ color: subjectColour(subjectIndex) }}
        aria-label={`Select mark ${mark.letter}`}
        onClick={() => dispatch(itemSelected({ kind: 'mark', id: mark.id }))}
      >
        <strong>{mark.letter}</strong> {plan.subjects[subjectIndex]?.name ?? 'no subject'}
      </button>
      <span data-testid="floor-mark-distance" className={textStyles.figure}>
        {formatDistanceFigure(tapeMm, units)}
      </span>
      <small>
        {measuredByText(plan, mark)}
        {mark.isSimulated && <span className={textStyles.toneEdge}> · simulated</span>}
        {isStale && <span className={textStyles.toneEdge}> · stale</span>}
        {isBehind && <span className={textStyles.toneSoft}> · behind the camera</span>}
        {isOffAxis && (
          <>
            {' · '}
            <Explain what="Distance for the ring" lines={axisLines(plan, mark, units)}>
              ring at {formatDistance(focusMm, units)}
            </Explain>
          </>
        )}
        {mark.method !== 'drawn' && sight && !isBehind && Math.abs(tapeMm - sight.tapeMm) > MIN_DIFFERENCE_MM && (
          <span className={textStyles.toneEdge}> · drawn {formatGap(tapeMm - sight.tapeMm, units)} difference</span>
        )}
      </small>
    </li>
  );
}
