import { MINIMUM_JERK_PEAK } from '../../floor/index.js';
import { placeMark, addPlace } from '../../pull/index.js';
import { zoneSpans } from '../zoneSpans.js';
import {
  apartMm,
  cameraOf,
  DISTANCES,
  distanceNow,
  floorMm,
  focusFrom,
  placeOf,
  roomS,
  round,
  subjectOf,
  towards,
  usualS,
  walk,
  withSomeone,
} from './laying.js';
import { figure, type Staging, windowFigures } from './staging.js';

/** They come into a plane that was set beforehand, and go through it or stop in it. */
export const walkIn: Staging = {
  id: 'walk-in',
  word: 'Walk into focus',
  says: 'Focus waits at a distance; they walk into it, and stop there or go through.',
  movesCamera: false,
  params(plan, at) {
    const nowMm = distanceNow(plan, at);
    return [
      { key: 'focusMm', word: 'focus waits at', unit: 'distance', ...DISTANCES, usual: round(nowMm * 0.6) },
      { key: 'endMm', word: 'they walk up to', unit: 'distance', ...DISTANCES, usual: round(nowMm * 0.5) },
      { key: 'lastsS', word: 'in', unit: 'time', ...roomS(plan, at.atS), usual: usualS(plan, at.atS, 4) },
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
      figure('pace', 'speed', wayMm / lastsS!),
      figure('fastest', 'speed', (wayMm / lastsS!) * MINIMUM_JERK_PEAK),
    ];
  },
};
