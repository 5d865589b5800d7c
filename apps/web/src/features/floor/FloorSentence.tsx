import {
  type FollowSpeed,
  followSpeed,
  formatGap,
  formatTime,
  frameAtOrAfter,
  isInFrame,
  type CompleteVerdict,
  type SubjectMotion,
  motionOf,
  planDistances,
  sharpBeatsAt,
  type ShotPlan,
  type Placement,
  placementOf,
  type UnitSystem,
} from '@still-heron/core';
import { useAppSelector } from '../../shared/store/hooks';
import { selectSession } from '../shot/sessionSlice';
import { selectedSubject } from './selectedSubject';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
  readonly units: UnitSystem;
}

/** Situation at the playhead: who is in the zone, how subjects move, and what the ring must do. */
export function FloorSentence({ plan, verdict, units }: Props) {
  const { timeS, selection } = useAppSelector(selectSession);
  const distances = planDistances(plan);
  const subject = selectedSubject(plan, selection) ?? neededNow(plan, timeS) ?? plan.subjects[0];
  if (!subject)
    return (
      <p data-testid="sentence" className={layoutStyles.sentence}>
        Nobody is on the floor yet. Choose Subject, and click where it stands.
      </p>
    );
  const sight = distances.sightingAt(subject, timeS);
  const standing = placementOf(plan, subject, timeS);
  if (!sight || standing === 'not-on-the-floor')
    return (
      <p data-testid="sentence" className={layoutStyles.sentence}>
        {subject.name} is not on the floor: at infinity, or with a tape distance only.
      </p>
    );
  if (standing !== 'before-the-camera')
    return (
      <p className={layoutStyles.sentence} data-testid="floor-sentence">
        <span className={textStyles.toneSoft}>
          {subject.name} {PLACEMENT_PROBLEMS[standing].what}
        </span>{' '}
        at {formatTime(timeS)}: {PLACEMENT_PROBLEMS[standing].do}.
      </p>
    );
  const speed = followSpeed(plan, subject, timeS);
  const motion = motionOf(plan, subject, timeS);
  const isOut = isInFrame(plan, subject, timeS) === false;
  return (
    <p className={layoutStyles.sentence} data-testid="floor-sentence">
      <Placement
        subjectId={subject.id}
        name={subject.name}
        mustBeSharp={isNeeded(plan, subject.id, timeS)}
        verdict={verdict}
        timeS={timeS}
        units={units}
      />{' '}
      {isOut && `Out of frame, ${sight.offAxisDeg > 0 ? 'to the left' : 'to the right'}. `}
      {speed && motion && <Moving speed={speed} motion={motion} hasWheel={plan.wheel !== null} units={units} />}
    </p>
  );
}

/** Subjects that can't be focused on where they are, with a remedy. */
const PLACEMENT_PROBLEMS: Readonly<
  Record<Exclude<Placement, 'before-the-camera' | 'not-on-the-floor'>, { what: string; do: string }>
> = {
  'behind-it': { what: 'is behind the camera', do: 'turn the camera, or move the subject in front of it' },
  'on-top-of-it': { what: 'stands where the camera is', do: 'move one of them away' },
  'nearer-than-it-focuses': { what: 'is closer than the lens can focus', do: 'step back, or use a lens with a closer focus' },
};

/** Slower changes count as standing still, in mm per second. */
const STANDSTILL_MM_PER_S = 20;

interface MovingProps {
  readonly speed: FollowSpeed;
  readonly motion: SubjectMotion;
  readonly hasWheel: boolean;
  readonly units: UnitSystem;
}

/** The part of a movement that focus must follow: depth. Sideways movement needs no focus change. */
function Moving({ speed: { mmPerS, maxHandDegPerS }, motion, hasWheel, units }: MovingProps) {
  const across = Math.abs(motion.acrossMmPerS);
  const side =
    across > STANDSTILL_MM_PER_S &&
    `${formatGap(across, units)} a second ${motion.acrossMmPerS > 0 ? 'to the left' : 'to the right'}`;
  if (Math.abs(mmPerS) < STANDSTILL_MM_PER_S)
    return <>{side ? `${side}, and the distance does not change.` : 'The distance does not change.'}</>;
  return (
    <>
      {formatGap(mmPerS, units)} a second {mmPerS < 0 ? 'nearer' : 'farther'}
      {side && `, ${side}`}: the {hasWheel ? 'wheel' : 'ring'} must turn {turnFigure(maxHandDegPerS)}°/s.
    </>
  );
}

/** Slow turns get a decimal, so that a moving ring is never shown as 0. */
function turnFigure(degPerS: number): string {
  return Math.abs(degPerS).toFixed(Math.abs(degPerS) < 3 ? 1 : 0);
}

function Placement({
  subjectId,
  name,
  mustBeSharp,
  verdict,
  timeS,
  units,
}: {
  subjectId: string;
  name: string;
  mustBeSharp: boolean;
  verdict: CompleteVerdict | null;
  timeS: number;
  units: UnitSystem;
}) {
  const frames = verdict?.subjects.find((item) => item.subjectId === subjectId);
  if (!verdict || !frames) return <span>{name} is on the floor; nothing has to be sharp yet.</span>;
  const frame = Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1);
  const marginMm = frames.marginMm[frame]!;
  if (frames.sharp[frame])
    return (
      <span className={textStyles.toneSharp}>
        {name} is sharp{marginMm === Infinity ? '.' : `, with ${formatGap(marginMm, units)} of room.`}
      </span>
    );
  const isInFront = frames.distanceMm[frame]! < verdict.track.nearMm[frame]!;
  return (
    <span className={mustBeSharp ? textStyles.toneSoft : textStyles.toneEdge}>
      {name} is {formatGap(marginMm, units)} {isInFront ? 'in front of' : 'behind'} the zone
      {mustBeSharp ? '.' : ', and may be soft now.'}
    </span>
  );
}

function neededNow(plan: ShotPlan, timeS: number) {
  return plan.subjects.find(({ id }) => isNeeded(plan, id, timeS));
}

/** Whether a subject must be sharp at a time. */
function isNeeded(plan: ShotPlan, subjectId: string, timeS: number): boolean {
  return sharpBeatsAt(plan, timeS).some((beat) => beat.subjectId === subjectId);
}
