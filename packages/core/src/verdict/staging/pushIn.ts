import { zoneSpans } from '../zoneSpans.js';
import {
  apartMm,
  cameraOf,
  cameraThrough,
  distance,
  distanceNow,
  floorMm,
  focusFrom,
  lasting,
  paceFigures,
  placeOf,
  subjectOf,
  towards,
  withSomeone,
} from './laying.js';
import { figure, type Staging, windowFigures } from './staging.js';

/** The camera moves up to a subject, or back from it, until it is sharp. */
export const pushIn: Staging = {
  id: 'push-in',
  word: 'Push in, pull back',
  says: 'Focus stays; the camera goes up to someone, or back from them, until they are sharp.',
  movesCamera: true,
  params(plan, at) {
    const nowMm = distanceNow(plan, at);
    return [
      distance('focusMm', 'focus stays at', nowMm * 0.6),
      distance('endMm', 'the camera comes up to', nowMm * 0.6),
      lasting(plan, at, 4),
    ];
  },
  lay(plan, at, { focusMm, endMm, lastsS }) {
    const someone = withSomeone(plan, at);
    const place = placeOf(someone, at.atS + lastsS!);
    const to = towards(place, cameraOf(someone.plan, at.atS), floorMm(someone.plan, subjectOf(someone), endMm!));
    const moved = cameraThrough(someone.plan, at.atS, [{ ...to, atS: at.atS + lastsS! }]);
    return { ...someone, plan: focusFrom(moved, { kind: 'distance', distanceMm: focusMm! }, at.atS) };
  },
  figures(laid, at, { lastsS }) {
    const wayMm = apartMm(cameraOf(laid.plan, at.atS), cameraOf(laid.plan, at.atS + lastsS!));
    return [
      ...windowFigures(zoneSpans(laid.plan, subjectOf(laid)), at, laid.plan.durationS),
      figure('the camera’s way', 'distance', wayMm),
      ...paceFigures(wayMm, lastsS!),
    ];
  },
};
