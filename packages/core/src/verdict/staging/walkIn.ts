import { placeMark, addPlace } from '../../pull/index.js';
import { zoneSpans } from '../zoneSpans.js';
import {
  apartMm,
  cameraOf,
  distance,
  distanceNow,
  floorMm,
  focusFrom,
  lasting,
  paceFigures,
  placeOf,
  subjectOf,
  towards,
  walk,
  withSomeone,
} from './laying.js';
import { figure, type Staging, windowFigures } from './staging.js';

/** The subject walks into a preset focus distance, and stops there or walks through it. */
export const walkIn: Staging = {
  id: 'walk-in',
  word: 'Walk into focus',
  says: 'Focus waits at a distance; they walk into it, and stop there or go through.',
  movesCamera: false,
  params(plan, at) {
    const nowMm = distanceNow(plan, at);
    return [
      distance('focusMm', 'focus waits at', nowMm * 0.6),
      distance('endMm', 'they walk up to', nowMm * 0.5),
      lasting(plan, at, 4),
    ];
  },
  lay(plan, at, { focusMm, endMm, lastsS }) {
    const someone = withSomeone(plan, at, 5000);
    const camera = cameraOf(someone.plan, at.atS);
    const place = placeOf(someone, at.atS);
    const onTheWay = (mm: number) => towards(camera, place, floorMm(someone.plan, subjectOf(someone), mm));
    const { plan: waiting, markId } = addPlace(someone.plan, onTheWay(focusMm!), someone.subjectId);
    const walked = walk({ ...someone, plan: waiting }, onTheWay(endMm!), at.atS, lastsS!);
    return { ...walked, plan: focusFrom(placeMark(walked.plan, markId, onTheWay(focusMm!)), { kind: 'mark', markId }, at.atS) };
  },
  figures(laid, at, { lastsS }) {
    const wayMm = apartMm(placeOf(laid, at.atS), placeOf(laid, at.atS + lastsS!));
    return [
      ...windowFigures(zoneSpans(laid.plan, subjectOf(laid)), at, laid.plan.durationS),
      figure('they walk', 'distance', wayMm),
      ...paceFigures(wayMm, lastsS!),
    ];
  },
};
