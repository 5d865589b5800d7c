import type { Place } from '../../floor/index.js';
import { pictureSize, ringOf, withinReach } from '../../kit/index.js';
import { blurDiameterMm } from '../../optics/index.js';
import { addLandmark, changeLandmark, planDistances, type ShotPlan, zoneLensAt } from '../../plan/index.js';
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
        ? figure('foreground-blur', 'percent', (100 * blurMm) / pictureSize(optics.camera).sensorWidthMm)
        : answer('foreground-blur', 'touches-the-lens', 'soft'),
      isBeforeLens
        ? figure('foreground-blur-circles', 'times', blurMm / lens.circleOfConfusionMm)
        : answer('foreground-blur-circles', 'touches-the-lens'),
      clearS === null ? answer('clear-from', 'never-clear', 'soft') : figure('clear-from', 'time', clearS, 'sharp'),
      figure('focus-at', 'distance', focusMm),
    ];
  },
};

/** Time from which the line of sight is clear until the end of the slide; null if it never is. */
function clearFrom(blocked: BlockedPlan, { atS }: BlockingMoveStart, lastsS: number): number | null {
  const STEPS = 240;
  let clearS: number | null = null;
  for (let step = 0; step <= STEPS; step++) {
    const timeS = atS + (lastsS * step) / STEPS;
    if (isHidden(blocked.plan, cameraOf(blocked.plan, timeS), placeOf(blocked, timeS))) clearS = null;
    else clearS ??= timeS;
  }
  return clearS;
}

/** Whether the line between two places crosses the front edge of the last landmark. */
function isHidden({ floor }: ShotPlan, from: Place, to: Place): boolean {
  const box = floor!.landmarks[floor!.landmarks.length - 1]!;
  const rad = (box.turnedDeg * Math.PI) / 180;
  const local = ({ xMm, yMm }: Place) => ({
    across: (xMm - box.xMm) * Math.cos(rad) + (yMm - box.yMm) * Math.sin(rad),
    along: -(xMm - box.xMm) * Math.sin(rad) + (yMm - box.yMm) * Math.cos(rad),
  });
  const [a, b] = [local(from), local(to)];
  if (a.along * b.along > 0) return false;
  const share = a.along / (a.along - b.along);
  return Math.abs(a.across + (b.across - a.across) * share) <= box.widthMm / 2;
}
