import { markReading } from '../../track/index.js';
import { setAim } from '../../plan/index.js';
import {
  apartMm,
  cameraOf,
  cameraThrough,
  distancesAt,
  setFocusFrom,
  focusTargetAt,
  isSharpThrough,
  durationParam,
  length,
  markOf,
  paceFigures,
  placeOf,
  towards,
  directionChoice,
  walk,
  withDrift,
  withSubject,
} from './applying.js';
import { figure, type BlockingMove } from './blockingMove.js';

/** Assumed error of the walking pace: one standard deviation, as a share of it. */
const PACE_ERROR = 0.1;

/** The subject walks, and the camera keeps its distance. The ring is not turned. */
export const constantDistance: BlockingMove = {
  id: 'constant-distance',
  movesCamera: true,
  needsPerson: true,
  params: (plan, at) => [directionChoice('way'), length('walkMm', 4000, { min: 200, max: 100_000 }), durationParam(plan, at, 4)],
  apply(plan, at, { way, walkMm, lastsS }) {
    const someone = withSubject(plan, at);
    const [camera, place] = [cameraOf(someone.plan, at.atS), placeOf(someone, at.atS)];
    const to = towards(place, camera, way! * walkMm!);
    const by = { xMm: to.xMm - place.xMm, yMm: to.yMm - place.yMm };
    const target = { kind: 'subject' as const, subjectId: someone.subjectId };
    const aimed = { ...someone, plan: setAim(someone.plan, target, { atS: at.atS, isNew: at.atS > 0 }) };
    const walked = walk(aimed, to, at.atS, lastsS!);
    const moved = cameraThrough(walked.plan, at.atS, [
      { xMm: camera.xMm + by.xMm, yMm: camera.yMm + by.yMm, atS: at.atS + lastsS! },
    ]);
    // a pace that is off by a tenth adds up over the walk: on average over it, by that share of its length over √3
    const drifting = withDrift(moved, { driftSigmaMm: (PACE_ERROR * walkMm!) / Math.sqrt(3), driftTimeS: lastsS! });
    return { ...walked, plan: setFocusFrom(drifting, focusTargetAt(aimed, at.atS), at.atS) };
  },
  figures(blocked, { atS }, { way, walkMm, lastsS }) {
    const { nearerMm, fartherMm } = markReading(blocked.plan, markOf(blocked, atS));
    const paceMmPerS = walkMm! / lastsS!;
    const times = Array.from({ length: 21 }, (_, k) => distancesAt(blocked, atS + (lastsS! * k) / 20).focusMm);
    const driftMm = Math.max(...times) - Math.min(...times);
    const isSharp = isSharpThrough(blocked, atS, lastsS!);
    return [
      figure('distance', 'distance', distancesAt(blocked, atS).tapeMm, isSharp ? 'sharp' : 'soft'),
      ...paceFigures(walkMm!, lastsS!),
      figure('drift', 'gap', driftMm),
      figure('nearer-room', 'gap', nearerMm),
      figure('farther-room', 'gap', fartherMm),
      // who comes towards a camera that retreats too slowly comes nearer
      figure('slow-pace-lasts', 'time', (way! > 0 ? nearerMm : fartherMm) / (PACE_ERROR * paceMmPerS)),
      figure('camera-path', 'distance', apartMm(cameraOf(blocked.plan, atS), cameraOf(blocked.plan, atS + lastsS!))),
    ];
  },
};
