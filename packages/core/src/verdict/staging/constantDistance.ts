import { markReading, setAim } from '../../pull/index.js';
import {
  apartMm,
  cameraOf,
  cameraThrough,
  distancesAt,
  focusFrom,
  focusOn,
  isSharpThrough,
  lasting,
  length,
  markOf,
  paceFigures,
  placeOf,
  towards,
  twoWays,
  walk,
  withSomeone,
} from './laying.js';
import { figure, type Staging } from './staging.js';

/** Assumed error of the walking pace, for the time until focus is lost. */
const PACE_ERROR = 0.1;

/** The subject walks, and the camera keeps its distance. The ring is not turned. */
export const constantDistance: Staging = {
  id: 'constant-distance',
  word: 'Keep the distance',
  says: 'They walk and the camera goes with them at their pace; the ring is not touched.',
  movesCamera: true,
  params: (plan, at) => [
    twoWays('way', 'they walk', 'towards the camera', 'away from it'),
    length('walkMm', 'so far', 4000, { min: 200, max: 100_000 }),
    lasting(plan, at, 4),
  ],
  lay(plan, at, { way, walkMm, lastsS }) {
    const someone = withSomeone(plan, at);
    const [camera, place] = [cameraOf(someone.plan, at.atS), placeOf(someone, at.atS)];
    const to = towards(place, camera, way! * walkMm!);
    const by = { xMm: to.xMm - place.xMm, yMm: to.yMm - place.yMm };
    const target = { kind: 'subject' as const, subjectId: someone.subjectId };
    const aimed = { ...someone, plan: setAim(someone.plan, target, at.atS, at.atS > 0) };
    const walked = walk(aimed, to, at.atS, lastsS!);
    const moved = cameraThrough(walked.plan, at.atS, [
      { xMm: camera.xMm + by.xMm, yMm: camera.yMm + by.yMm, atS: at.atS + lastsS! },
    ]);
    return { ...walked, plan: focusFrom(moved, focusOn(aimed, at.atS), at.atS) };
  },
  figures(laid, { atS }, { walkMm, lastsS }) {
    const { nearerMm, fartherMm } = markReading(laid.plan, markOf(laid, atS));
    const paceMmPerS = walkMm! / lastsS!;
    const times = Array.from({ length: 21 }, (_, k) => distancesAt(laid, atS + (lastsS! * k) / 20).focusMm);
    const driftMm = Math.max(...times) - Math.min(...times);
    const isSharp = isSharpThrough(laid, atS, lastsS!);
    return [
      figure('the distance', 'distance', distancesAt(laid, atS).tapeMm, isSharp ? 'sharp' : 'soft'),
      ...paceFigures(walkMm!, lastsS!),
      figure('as drawn it drifts', 'gap', driftMm),
      figure('may come nearer by', 'gap', nearerMm),
      figure('may fall back by', 'gap', fartherMm),
      figure('a tenth too slow lasts', 'time', fartherMm / (PACE_ERROR * paceMmPerS)),
      figure('the camera’s way', 'distance', apartMm(cameraOf(laid.plan, atS), cameraOf(laid.plan, atS + lastsS!))),
    ];
  },
};
