import { headingDeg } from '../../floor/index.js';
import { markReading, setAim } from '../../pull/index.js';
import {
  apartMm,
  cameraOf,
  cameraThrough,
  distancesAt,
  focusFrom,
  focusOn,
  lasting,
  length,
  markOf,
  placeOf,
  twoWays,
  withSomeone,
} from './laying.js';
import { figure, said, type Staging } from './staging.js';

/** Largest step of the polyline around the circle. At 6° it is at most 0.14 % of the radius inside the circle. */
const PIECE_DEG = 6;

/** The camera circles a subject at a constant radius. */
export const arc: Staging = {
  id: 'arc',
  word: 'Circle them',
  says: 'The camera goes round someone at one radius, and looks at them all the while.',
  movesCamera: true,
  params: (plan, at) => [
    twoWays('side', 'round', 'to the right', 'to the left'),
    { key: 'arcDeg', word: 'so far', unit: 'degrees', min: 5, max: 180, usual: 90 },
    lasting(plan, at, 6),
    length('offMm', 'off centre by', 100, { min: 0, max: 5000 }),
  ],
  lay(plan, at, { side, arcDeg, lastsS }) {
    const someone = withSomeone(plan, at);
    const aimed = setAim(someone.plan, { kind: 'subject', subjectId: someone.subjectId }, at.atS, at.atS > 0);
    const [camera, centre] = [cameraOf(aimed, at.atS), placeOf(someone, at.atS)];
    const radiusMm = apartMm(camera, centre);
    const startDeg = headingDeg(centre, camera);
    const pieces = Math.ceil(arcDeg! / PIECE_DEG);
    const keys = Array.from({ length: pieces }, (_, k) => {
      const rad = ((startDeg + (side! * arcDeg! * (k + 1)) / pieces) * Math.PI) / 180;
      return {
        xMm: centre.xMm + radiusMm * Math.cos(rad),
        yMm: centre.yMm + radiusMm * Math.sin(rad),
        atS: at.atS + (lastsS! * (k + 1)) / pieces,
      };
    });
    const moved = cameraThrough(aimed, at.atS, keys, 'steady');
    return { ...someone, plan: focusFrom(moved, focusOn({ ...someone, plan: moved }, at.atS), at.atS) };
  },
  figures(laid, { atS }, { arcDeg, lastsS, offMm }) {
    const radiusMm = apartMm(cameraOf(laid.plan, atS), placeOf(laid, atS));
    const wayMm = (radiusMm * arcDeg! * Math.PI) / 180;
    const { nearerMm, fartherMm } = markReading(laid.plan, markOf(laid, atS));
    const roomMm = Math.min(nearerMm, fartherMm);
    const radii = Array.from({ length: 121 }, (_, k) => distancesAt(laid, atS + (lastsS! * k) / 120).focusMm);
    const driftMm = Math.max(...radii) - Math.min(...radii);
    return [
      figure('radius', 'distance', radiusMm),
      figure('the camera’s way', 'distance', wayMm),
      figure('pace', 'speed', wayMm / lastsS!),
      figure('as drawn it drifts', 'gap', driftMm, driftMm <= roomMm ? 'plain' : 'soft'),
      figure('may be off centre by', 'gap', roomMm, 'sharp'),
      offMm! <= roomMm ? said('off as said', 'stays sharp', 'sharp') : said('off as said', 'goes soft on the way round', 'soft'),
    ];
  },
};
