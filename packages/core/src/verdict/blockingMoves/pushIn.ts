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
  word: 'Push in, pull back',
  description: 'Focus stays; the camera goes up to someone, or back from them, until they are sharp.',
  movesCamera: true,
  params(plan, at) {
    const nowMm = currentDistanceMm(plan, at);
    return [
      distance('focusMm', 'focus stays at', nowMm * 0.6),
      distance('endMm', 'the camera comes up to', nowMm * 0.6),
      durationParam(plan, at, 4),
    ];
  },
  lay(plan, at, { focusMm, endMm, lastsS }) {
    const someone = withSubject(plan, at);
    const place = placeOf(someone, at.atS + lastsS!);
    const to = towards(place, cameraOf(someone.plan, at.atS), floorMm(someone.plan, subjectOf(someone), endMm!));
    const moved = cameraThrough(someone.plan, at.atS, [{ ...to, atS: at.atS + lastsS! }]);
    return { ...someone, plan: setFocusFrom(moved, { kind: 'distance', distanceMm: focusMm! }, at.atS) };
  },
  figures(blocked, at, { lastsS }) {
    const wayMm = apartMm(cameraOf(blocked.plan, at.atS), cameraOf(blocked.plan, at.atS + lastsS!));
    return [
      ...windowFigures(zoneSpans(blocked.plan, subjectOf(blocked)), at, blocked.plan.durationS),
      figure('the camera’s way', 'distance', wayMm),
      ...paceFigures(wayMm, lastsS!),
    ];
  },
};
