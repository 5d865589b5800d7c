import {
  type UpcomingArrival,
  type UpcomingPull,
  COUNT_IN_BEATS,
  type FocusTarget,
  followPaces,
  methodAt,
  type PreparedRoll,
  type ShotPlan,
  type UnitSystem,
  zoneCourse,
  type ZonePlace,
} from '@still-heron/core';
import {
  countdownText,
  cueText,
  figureAndUnit,
  targetName,
  paceText,
  ringText,
  subjectName,
  targetHintText,
  turnText,
  targetSubjectName,
  zoneLabel,
  zoneRoomText,
} from '@still-heron/wording';
import clsx from 'clsx';
import { useMemo } from 'react';
import { AutofocusAhead } from './Ahead';
import type { RollMoment } from './rollMoment';
import styles from './RollFigures.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly moment: RollMoment;
  readonly ringDeg: number | null;
  readonly units: UnitSystem;
  /** Shows only the next cue, for a person who also operates */
  readonly isAlone: boolean;
}

/** Current and next distance, readable from two metres in the dark. */
export function RollState({ plan, ready, moment, ringDeg, units, isAlone }: Props) {
  const { now, at, arrival, upcoming: coming } = ready.figuresAt(moment.planS);
  const shown = ringDeg === null ? now : ready.figureOf(ringDeg, moment.planS);
  const { figure, unit } = figureAndUnit(shown.distanceMm, units);
  const [next] = coming;
  const course = useMemo(() => zoneCourse(plan), [plan]);
  const paces = useMemo(() => followPaces(plan), [plan]);
  const pace = paces.paceAt(moment.planS);
  // the camera then focuses where it will: what was set is not what is sharp
  const isAutomatic = methodAt(plan, moment.planS) === 'automatic';
  const places = course && moment.planS < plan.durationS ? course.placesAt(moment.planS) : [];
  return (
    <div className={clsx(styles.rollFigures, isAlone && styles.isAlone)}>
      {!isAlone && (
        <section className={styles.rollNow} aria-label="Now">
          <span className={styles.rollLabel}>{isAutomatic ? 'set before it focuses by itself' : 'now'}</span>
          <p className={styles.rollFigure} data-testid="roll-now">
            {figure}
            <small>{unit}</small>
          </p>
          <p className={styles.rollWords}>
            {[targetSubjectName(at, plan), ringText(shown, plan, units)].filter(Boolean).join(' · ')}
          </p>
          <Hint target={at} plan={plan} />
          {pace && (
            <p className={styles.rollPace} data-testid="roll-pace">
              {paceText(pace)}
            </p>
          )}
        </section>
      )}
      {arrival && <Arrival arrival={arrival} plan={plan} units={units} />}
      {!arrival && next && <Next pull={next} plan={plan} moment={moment} units={units} />}
      {!arrival && !next && places.length > 0 && <InZone places={places} plan={plan} units={units} />}
      {!arrival && !next && places.length === 0 && (
        <section className={styles.rollNext} aria-label="Next">
          <span className={styles.rollLabel}>next</span>
          <p className={styles.rollNone}>{nothingNext(plan, moment.planS)}</p>
          <AutofocusAhead plan={plan} planS={moment.planS} />
        </section>
      )}
    </div>
  );
}

/** What to focus on there, and how its mark is known. */
function Hint({ target, plan }: { readonly target: FocusTarget; readonly plan: ShotPlan }) {
  const text = targetHintText(target, plan);
  return text === '' ? null : <p className={styles.rollHint}>{text}</p>;
}

interface ArrivalProps {
  readonly arrival: UpcomingArrival;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** The mark at which the subject that is followed arrives next. */
function Arrival({ arrival: { subjectId, markId, to, arrivesInS }, plan, units }: ArrivalProps) {
  const { figure, unit } = figureAndUnit(to.distanceMm, units);
  return (
    <section className={styles.rollNext} aria-label="Next">
      <span className={styles.rollLabel}>{subjectName(plan, subjectId)} arrives</span>
      <p className={styles.rollTarget} data-testid="roll-next">
        <strong>{plan.marks.find(({ id }) => id === markId)?.letter}</strong> {figure}
        <small>{unit}</small>
      </p>
      <p className={styles.rollWhen} data-testid="roll-when">
        in {countdownText(arrivesInS)} s
      </p>
      <p className={styles.rollWords}>follow until then, {ringText(to, plan, units)}</p>
      <Hint target={{ kind: 'mark', markId }} plan={plan} />
    </section>
  );
}

interface InZoneProps {
  readonly places: readonly ZonePlace[];
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Where nobody pulls: who enters or leaves the zone next, and how near everybody is to its limits. */
function InZone({ places, plan, units }: InZoneProps) {
  const [first, ...others] = places;
  return (
    <section className={clsx(styles.rollNext, first!.isInside ? styles.isInZone : styles.isOutside)} aria-label="Zone">
      <span className={styles.rollLabel}>{zoneLabel(first!, plan)}</span>
      <p className={styles.rollTarget} data-testid="roll-zone">
        {first!.isInside ? 'in' : 'out'}
      </p>
      {first!.changesInS !== null && (
        <p className={styles.rollWhen} data-testid="roll-when">
          in {countdownText(first!.changesInS)} s
        </p>
      )}
      <p className={styles.rollWords}>{zoneRoomText(first!, units)}</p>
      {others.map((place) => (
        <p key={place.subjectId} className={styles.rollWords}>
          {zoneLabel(place, plan)}: {zoneRoomText(place, units)}
        </p>
      ))}
    </section>
  );
}

/** What is said where no pull is left. */
function nothingNext(plan: ShotPlan, planS: number): string {
  if (planS >= plan.durationS) return 'End of the shot.';
  return methodAt(plan, planS) === 'automatic' ? 'The camera focuses.' : 'No more pulls.';
}

interface NextProps {
  readonly pull: UpcomingPull;
  readonly plan: ShotPlan;
  readonly moment: RollMoment;
  readonly units: UnitSystem;
}

function Next({ pull, plan, moment, units }: NextProps) {
  const { figure, unit } = figureAndUnit(pull.to.distanceMm, units);
  const name = targetName(pull.target, plan, units);
  const waits = moment.waitingPullId === pull.pullId;
  const event = cueText(pull);
  const when = pull.isUnderWay ? `lands ${countdownText(pull.landsInS)}` : `in ${countdownText(pull.startsInS)} s`;
  return (
    <section className={clsx(styles.rollNext, pull.isUnderWay && styles.isUnderWay)} aria-label="Next">
      <span className={styles.rollLabel}>
        {[pull.isUnderWay ? 'turning to' : 'next', targetSubjectName(pull.target, plan)].filter(Boolean).join(' ')}
      </span>
      <p className={styles.rollTarget} data-testid="roll-next">
        {name !== `${figure} ${unit}` && name.length < 4 && <strong>{name}</strong>} {figure}
        <small>{unit}</small>
      </p>
      <p className={clsx(styles.rollWhen, waits && styles.isWaiting)} data-testid="roll-when">
        {waits ? 'waits' : when}
      </p>
      <p className={styles.rollWords}>
        <Turn turns={pull.turns} /> {turnText(pull)}
        {event && <>, {event}</>}
      </p>
      <Hint target={pull.target} plan={plan} />
      <Counts pull={pull} plan={plan} waits={waits} />
    </section>
  );
}

/** Arrow in the turning direction. */
function Turn({ turns }: { readonly turns: UpcomingPull['turns'] }) {
  return (
    <svg className={styles.rollTurn} width="26" height="26" viewBox="0 0 26 26" role="img" aria-label={turns}>
      <g transform={turns === 'clockwise' ? undefined : 'matrix(-1 0 0 1 26 0)'}>
        <path d="M5 17a9 9 0 1 1 14 2" fill="none" stroke="currentColor" strokeWidth="3" />
        <path d="M22 14l-3 7-6-4z" fill="currentColor" />
      </g>
    </svg>
  );
}

/** Visual count-in: bars that fill up, then the pull itself. */
function Counts({ pull, plan, waits }: { readonly pull: UpcomingPull; readonly plan: ShotPlan; readonly waits: boolean }) {
  const leadS = plan.focusTrack.pulls.find(({ id }) => id === pull.pullId)?.countInS ?? 0;
  const counted = leadS > 0 && pull.startsInS <= leadS ? Math.floor(((leadS - pull.startsInS) / leadS) * COUNT_IN_BEATS) + 1 : 0;
  const turned = pull.isUnderWay ? 1 - pull.landsInS / pull.durationS : 0;
  return (
    <div className={styles.rollCounts} aria-hidden="true">
      {Array.from({ length: COUNT_IN_BEATS }, (_, k) => (
        <span key={k} className={clsx((pull.isUnderWay || waits || counted > k) && styles.isOn)} />
      ))}
      <span className={styles.rollCountsTurn}>
        <span style={{ width: `${turned * 100}%` }} />
      </span>
    </div>
  );
}
