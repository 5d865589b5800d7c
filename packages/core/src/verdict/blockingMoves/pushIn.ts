import { zoneSpans } from '../zoneSpans.js';
import {
  apartMm,
  cameraOf,
  cameraThrough,
  distance,
  currentDistanceMm,
  floorMm,
  setFocusFrom,
  durationParam,
  paceFigures,
  placeOf,
  subjectOf,
  towards,
  withSubject,
} from './applying.js';
import { figure, type BlockingMove, windowFigures } from './blockingMove.js';

/** The camera moves up to a subject, or back from it, until it is sharp. */
export const pushIn: BlockingMove = {
  id: 'push-in',
  movesCamera: true,
  needsPerson: false,
  params(plan, at) {
    const nowMm = currentDistanceMm(plan, at);
    return [distance('focusMm', nowMm * 0.6), distance('endMm', nowMm * 0.6), durationParam(plan, at, 4)];
  },
  apply(plan, at, { focusMm, endMm, lastsS }) {
    const someone = withSubject(plan, at);
    const place = placeOf(someone, at.atS + lastsS!);
    const to = towards(place, cameraOf(someone.plan, at.atS), floorMm(someone.plan, subjectOf(someone), endMm!, at.atS));
    const moved = cameraThrough(someone.plan, at.atS, [{ ...to, atS: at.atS + lastsS! }]);
    return { ...someone, plan: setFocusFrom(moved, { kind: 'distance', distanceMm: focusMm! }, at.atS) };
  },
  figures(blocked, at, { lastsS }) {
    const wayMm = apartMm(cameraOf(blocked.plan, at.atS), cameraOf(blocked.plan, at.atS + lastsS!));
    return [
      ...windowFigures(zoneSpans(blocked.plan, subjectOf(blocked)), at, blocked.plan.durationS),
      figure('camera-path', 'distance', wayMm),
      ...paceFigures(wayMm, lastsS!),
    ];
  },
};
