import { addPlace, placeMark } from '../../plan/index.js';
import { zoneSpans } from '../zoneSpans.js';
import {
  apartMm,
  cameraOf,
  distance,
  currentDistanceMm,
  floorMm,
  setFocusFrom,
  durationParam,
  paceFigures,
  placeOf,
  subjectOf,
  towards,
  walk,
  withSubject,
} from './applying.js';
import { figure, type BlockingMove, windowFigures } from './blockingMove.js';

/** The subject walks into a preset focus distance, and stops there or walks through it. */
export const walkIn: BlockingMove = {
  id: 'walk-in',
  movesCamera: false,
  needsPerson: true,
  params(plan, at) {
    const nowMm = currentDistanceMm(plan, at);
    return [distance('focusMm', nowMm * 0.6), distance('endMm', nowMm * 0.5), durationParam(plan, at, 4)];
  },
  apply(plan, at, { focusMm, endMm, lastsS }) {
    const someone = withSubject(plan, at, 5000);
    const camera = cameraOf(someone.plan, at.atS);
    const place = placeOf(someone, at.atS);
    const pathPosition = (mm: number) => towards(camera, place, floorMm(someone.plan, subjectOf(someone), mm, at.atS));
    const { plan: waiting, markId } = addPlace(someone.plan, pathPosition(focusMm!), someone.subjectId);
    const walked = walk({ ...someone, plan: waiting }, pathPosition(endMm!), at.atS, lastsS!);
    return {
      ...walked,
      plan: setFocusFrom(placeMark(walked.plan, markId, pathPosition(focusMm!)), { kind: 'mark', markId }, at.atS),
    };
  },
  figures(blocked, at, { lastsS }) {
    const wayMm = apartMm(placeOf(blocked, at.atS), placeOf(blocked, at.atS + lastsS!));
    return [
      ...windowFigures(zoneSpans(blocked.plan, subjectOf(blocked)), at, blocked.plan.durationS),
      figure('subject-path', 'distance', wayMm),
      ...paceFigures(wayMm, lastsS!),
    ];
  },
};
