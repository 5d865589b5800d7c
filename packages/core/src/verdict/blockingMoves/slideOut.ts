import { cameraPlaceAt } from '../../floor/index.js';
import { ringOf, withinReach } from '../../kit/index.js';
import { blurDiameterMm } from '../../optics/index.js';
import { addLandmark, changeLandmark, hiddenRunsOf, pictureWidthMm, planDistances, zoneLensAt } from '../../plan/index.js';
import { markReading } from '../../track/index.js';
import {
  aheadOf,
  cameraOf,
  cameraThrough,
  setFocusFrom,
  focusTargetAt,
  durationParam,
  length,
  markOf,
  placeOf,
  towards,
  directionChoice,
  withSubject,
} from './applying.js';
import { figure, type BlockedPlan, answer, type BlockingMove, type BlockingMoveStart } from './blockingMove.js';

const FOREGROUND_DEEP_MM = 100;
/** How far the foreground reaches above the lens and the point of focus. */
const FOREGROUND_ABOVE_MM = 300;

/** The camera slides out from behind a close object; a distant subject is in focus. */
export const slideOut: BlockingMove = {
  id: 'slide-out',
  movesCamera: true,
  needsPerson: false,
  params: (plan, at) => [
    directionChoice('side'),
    { key: 'closeMm', unit: 'distance', min: 100, max: 20_000, defaultValue: 700 },
    length('wideMm', 500, { min: 20, max: 10_000 }),
    length('slideMm', 700, { min: 50, max: 20_000 }),
    durationParam(plan, at, 3),
  ],
  apply(plan, at, { side, closeMm, wideMm, slideMm, lastsS }) {
    const someone = withSubject(plan, at);
    const camera = cameraOf(someone.plan, at.atS);
    const middle = towards(camera, placeOf(someone, at.atS), closeMm!);
    const hidden = addLandmark(someone.plan, 'box', `foreground ${someone.plan.floor!.landmarks.length + 1}`, middle);
    const heading = planDistances(hidden).headingAt(at.atS);
    const foreground = hidden.floor!.landmarks[hidden.floor!.landmarks.length - 1]!;
    const sized = changeLandmark(hidden, foreground.id, {
      widthMm: wideMm!,
      depthMm: FOREGROUND_DEEP_MM,
      // in the way: higher than the lens and the point of focus
      tallMm: Math.max(foreground.tallMm, highestMm(someone, at) + FOREGROUND_ABOVE_MM),
      turnedDeg: Math.round(heading + 90),
    });
    const to = aheadOf(sized, at.atS, 0, side! * slideMm!);
    const moved = cameraThrough(sized, at.atS, [{ ...to, atS: at.atS + lastsS! }]);
    return { ...someone, plan: setFocusFrom(moved, focusTargetAt(someone, at.atS), at.atS) };
  },
  figures(blocked, at, { closeMm, lastsS }) {
    const { optics } = blocked.plan;
    const { focusMm } = markReading(blocked.plan, markOf(blocked, at.atS));
    const lens = zoneLensAt(optics, at.atS);
    const focusDistanceMm = withinReach(ringOf(optics.lens), focusMm);
    const isBeforeLens = closeMm! > 2 * lens.focalLengthMm;
    const blurMm = isBeforeLens ? blurDiameterMm({ ...lens, focusDistanceMm, subjectDistanceMm: closeMm! }) : Infinity;
    const clearS = clearFrom(blocked, at, lastsS!);
    return [
      isBeforeLens
        ? figure('foreground-blur', 'percent', (100 * blurMm) / pictureWidthMm(optics))
        : answer('foreground-blur', 'touches-the-lens', 'soft'),
      isBeforeLens
        ? figure('foreground-blur-circles', 'times', blurMm / lens.circleOfConfusionMm)
        : answer('foreground-blur-circles', 'touches-the-lens'),
      clearS === null ? answer('clear-from', 'never-clear', 'soft') : figure('clear-from', 'time', clearS, 'sharp'),
      figure('focus-at', 'distance', focusMm),
    ];
  },
};

/** Height above the floor of the lens or of the subject's point of focus, whichever is higher. */
function highestMm({ plan, subjectId }: BlockedPlan, { atS }: BlockingMoveStart): number {
  const { heightMm } = plan.subjects.find(({ id }) => id === subjectId)!;
  return Math.max(cameraPlaceAt(plan.floor!, atS).heightMm, heightMm);
}

/** Time from which the foreground no longer hides the subject, until the end of the slide; null if it never is clear. */
function clearFrom({ plan, subjectId }: BlockedPlan, { atS }: BlockingMoveStart, lastsS: number): number | null {
  const foreground = plan.floor!.landmarks.at(-1)!;
  const behind = hiddenRunsOf(plan, subjectId)
    .filter(({ by }) => by.kind === 'landmark' && by.id === foreground.id)
    .map(({ fromFrame, toFrame }) => ({ fromS: fromFrame / plan.captureFps, toS: toFrame / plan.captureFps }))
    .filter(({ fromS, toS }) => fromS <= atS + lastsS && toS > atS);
  const last = behind.at(-1);
  if (last === undefined) return atS;
  return last.toS > atS + lastsS ? null : last.toS;
}
