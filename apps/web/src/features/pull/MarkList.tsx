import {
  changeMark,
  formatDistance,
  formatGap,
  type Mark,
  markReading,
  ringOf,
  type ShotPlan,
  type UnitSystem,
  wheelDegOf,
} from '@still-heron/core';
import { beyondRingText, markRoomLines, measuredByText } from '@still-heron/wording';
import clsx from 'clsx';
import { subjectColour } from '../../charts/subjectColour';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { DistanceField } from '../../ui/fields/DistanceField';
import { Explain } from '../../ui/fields/Explain';
import { StaleMark } from '../marks/StaleMark';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import styles from './MarkList.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** All marks: subject, distance, and room before the subject is soft. */
export function MarkList({ plan, units }: Props) {
  return (
    <section>
      <h2>Marks</h2>
      <ul className={styles.markList}>
        {plan.marks.map((mark) => (
          <MarkRow key={mark.id} mark={mark} plan={plan} units={units} />
        ))}
      </ul>
    </section>
  );
}

function MarkRow({ mark, plan, units }: Props & { readonly mark: Mark }) {
  const dispatch = useAppDispatch();
  const isSelected = useAppSelector((state) => selectSession(state).selection?.id === mark.id);
  const at = plan.subjects.findIndex(({ id }) => id === mark.subjectId);
  const walks = (plan.subjects[at]?.stays.length ?? 0) > 1;
  const label = `${mark.letter}, ${plan.subjects[at]?.name ?? 'a mark'}`;
  return (
    <li className={clsx(isSelected && styles.isSelected)}>
      <button
        type="button"
        className={styles.markName}
        style={{ color: subjectColour(at) }}
        aria-label={`Select mark ${label}`}
        onClick={() => dispatch(itemSelected({ kind: 'mark', id: mark.id }))}
      >
        <span className={styles.markListLetter}>{mark.letter}</span>
        <span className={styles.markOwner}>{plan.subjects[at]?.name ?? 'a mark'}</span>
      </button>
      <DistanceField
        label={`Distance of ${label}`}
        isBare
        distanceMm={mark.distanceMm ?? Infinity}
        units={units}
        {...(walks ? { range: { minMm: 0, maxMm: 10_000_000, reason: 'walk' } } : {})}
        onChange={(mm, gesture) =>
          dispatch(
            editPlan(
              `measure ${mark.letter} again`,
              (now) => changeMark(now, mark.id, { distanceMm: mm === Infinity ? null : mm }),
              gesture,
            ),
          )
        }
        testId={`mark-${mark.letter}`}
      />
      <StaleMark mark={mark} plan={plan} units={units} />
      <Room mark={mark} plan={plan} units={units} />
    </li>
  );
}

/** Ring position and landing window of a mark in wheel or ring degrees; none for a ring that answers by speed. */
function ringWords({ optics: { lens }, wheel }: ShotPlan, atDeg: number, windowDeg: number): string {
  if (lens.response === 'speed') return 'no mark on this ring holds';
  const turns = `${wheelDegOf(wheel, atDeg).toFixed(1)}° ± ${(wheelDegOf(wheel, windowDeg) / 2).toFixed(1)}°`;
  if (lens.response === 'steps')
    return `step ${Math.round((atDeg / ringOf(lens).throwDeg) * lens.stepCount)} of ${lens.stepCount}`;
  return `${wheel ? 'wheel' : 'ring'} ${turns}`;
}

/** Room around a mark in distance, and its position on the ring. */
function Room({ mark, plan, units }: Props & { readonly mark: Mark }) {
  const reading = markReading(plan, mark);
  const { nearerMm, fartherMm, ringDeg, towardsNearDeg, towardsFarDeg } = reading;
  const beyond = beyondRingText(reading, plan, units);
  if (beyond !== null) return <p className={clsx(styles.markRoom, textStyles.toneSoft)}>{beyond}</p>;
  const farther = fartherMm === Infinity ? 'any' : formatGap(fartherMm, units);
  return (
    <p className={styles.markRoom}>
      <Explain what="How the room is computed" lines={markRoomLines(reading, mark, plan, units)}>
        {mark.distanceMm === null
          ? `sharp from ${formatDistance(reading.nearMm, units)}`
          : `room −${formatGap(nearerMm, units)} / +${farther}`}
      </Explain>
      <span data-testid="mark-ring" className={clsx(styles.markRing, textStyles.figure)}>
        {ringWords(plan, ringDeg, towardsNearDeg + towardsFarDeg)}
        {reading.read && ` · ${measuredByText(plan, mark)}`}
      </span>
    </p>
  );
}
